"""Selectors of rules that are in one another, worked into one. Source: CSS Nesting 1, section 3."""

from __future__ import annotations

import re
from collections.abc import Sequence
from typing import Final

_COMMA: Final = re.compile(r",(?![^(]*\))")
_PARENT: Final = re.compile(r"&")
# Of a list that is worked out; a stylesheet made to harm would multiply without end.
MOST_WORKED_OUT: Final = 64


def split_selectors(selector: str) -> list[str]:
    """Return the selectors of a list, apart at the commas that don't stand in brackets."""
    return [part.strip() for part in _COMMA.split(selector)]


def nested(selectors: Sequence[str]) -> str:
    """Return one selector list for preludes from the outside in; empty for none.

    `&` stands for the one around it, also as the beginning of a name, as in SCSS and Less; without it
    a selector means what is within. Where that gives too many, the rest is left out.
    """
    if len(selectors) < 2:
        return selectors[0] if selectors else ""
    outer = split_selectors(selectors[0])
    for inner in selectors[1:]:
        parts = split_selectors(inner)
        outer = [_within(around, part) for around in outer for part in parts][:MOST_WORKED_OUT]
    return ", ".join(outer)


def _within(around: str, selector: str) -> str:
    if "&" in selector:
        return _PARENT.sub(lambda _: around, selector)
    return f"{around} {selector}"
