"""Pairs that the designer adds to a take and removes from it, in the scheme at hand."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Final

from tonada.core.color.wcag import Usage
from tonada.core.errors import TakeError
from tonada.core.take.parts import free_id
from tonada.core.take.take import Pair, Role, Take

# What the ids of added pairs begin with.
ADDED: Final = "added-"


def add_pair(
    take: Take, text: str, ground: str, usage: Usage, sample: str, *, layers: Sequence[str] = ()
) -> Take:
    """Return the take with one more pair, at the end. text and ground: keys of colours.

    Raises TakeError for a colour or an overlay that isn't there.
    """
    made = Pair(
        free_id(ADDED, {pair.id for pair in take.pairs}), text, ground, usage, sample, layers=tuple(layers)
    )
    return replace(take, pairs=(*take.pairs, made))


def add_pair_on_overlay(take: Take, overlay_id: str, ground: str) -> Take:
    """Return the take with a pair of a running text on an overlay that lies on a ground.

    The text is Paper, which overlays are usually laid under. Raises TakeError for an unknown overlay.
    """
    overlay = take.overlay(overlay_id)
    if overlay is None:
        raise TakeError(f"There is no overlay “{overlay_id[:40]}” in this take.", field="overlay")
    text = Role.PAPER if take.has_role(Role.PAPER) else ground
    return add_pair(take, text, ground, Usage.BODY_TEXT, f"On {overlay.name}"[:80], layers=(overlay_id,))


def remove_pair(take: Take, pair_id: str) -> Take:
    """Return the take without a pair. Raises TakeError for one that isn't there."""
    left = tuple(pair for pair in take.pairs if pair.id != pair_id)
    if len(left) == len(take.pairs):
        raise TakeError(f"There is no pair “{pair_id[:40]}” here.", field="pair")
    return replace(take, pairs=left)
