"""The structure of a stylesheet: which declaration stands in which rule, and where.

Only as much of CSS Syntax 3 as that takes: comments, strings, url(), and nested brackets. Values
are left as text with their places, so that one can be replaced without touching anything else.
"""

from __future__ import annotations

import re
from bisect import bisect_right
from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from functools import lru_cache
from typing import Final, NamedTuple

from tonada.core.source.stylesheets.nesting import nested

# What can hide a brace or a semicolon comes first; an unclosed comment or string ends with the text.
_TOKEN: Final = re.compile(
    r"""/\*.*?(?:\*/|\Z) | "(?:\\.|[^"\\\n])*(?:"|$|\n) | '(?:\\.|[^'\\\n])*(?:'|$|\n)
      | url\(\s*(?!["'\s])[^)]*(?:\)|\Z) | [{};()\[\]]""",
    re.VERBOSE | re.DOTALL | re.IGNORECASE,
)
_COMMENT: Final = re.compile(r"/\*.*?(?:\*/|\Z)", re.DOTALL)
_DECLARATION: Final = re.compile(r"\s*([-\w*]+|[$@][-\w]+)\s*:", re.ASCII)
VARIABLE_MARKS: Final = ("$", "@")
# What stands for the selector outside of all rules.
OUTSIDE: Final = "variables"
# Rules deeper than this are no stylesheet that a person wrote.
DEEPEST_RULE: Final = 60


class Declaration(NamedTuple):
    """property: in lower case, but for custom properties. value: without !important.

    start: where the value begins in the text. selector: of the rule, those around it worked in. rule: a
    number shared by the declarations of one block. context: preludes of the at-rules around it.
    important: whether it says so.
    """

    property: str
    value: str
    start: int
    selector: str
    rule: int
    context: tuple[str, ...]
    important: bool = False


def scan_stylesheet(text: str, wanted: Callable[[str], bool] | None = None) -> Iterator[Declaration]:
    """Yield every declaration in the order of the text; what is no CSS yields nothing.

    wanted: says of a property's name, in lower case, whether its declarations are asked for.
    """
    preludes: list[str] = []
    rules: list[int] = []
    number = start = brackets = 0
    for token in _TOKEN.finditer(text):
        mark = token[0]
        if mark == "}" or (mark == ";" and not brackets):
            if len(preludes) <= DEEPEST_RULE:
                found = _declaration(text, start, token.start(), preludes, rules, wanted)
                if found:
                    yield found
            start, brackets = token.end(), 0
            if mark == "}" and preludes:
                preludes.pop()
                rules.pop()
        elif mark == "{" and not brackets:
            number += 1
            preludes.append(text[start : token.start()])
            rules.append(number)
            start = token.end()
        elif mark in "([":
            brackets += 1
        elif mark in ")]":
            brackets = max(0, brackets - 1)
    if len(preludes) <= DEEPEST_RULE:
        last = _declaration(text, start, len(text), preludes, rules, wanted)
        if last:
            yield last


def scan_style_attribute(text: str, rule: int) -> Iterator[Declaration]:
    """Yield the declarations of a style attribute."""
    for found in scan_stylesheet("{" + text):
        yield found._replace(start=found.start - 1, selector="style attribute", rule=rule, context=())


@lru_cache(maxsize=1024)
def is_variable(name: str) -> bool:
    """Return whether a name is that of a custom property, or of a variable of SCSS or Less."""
    return name.startswith(("--", *VARIABLE_MARKS))


def registered_in(declarations: Iterable[Declaration]) -> dict[str, Declaration]:
    """Return the initial values of custom properties, by name. Source: CSS Properties and Values 1, 3.3."""
    found = {}
    for entry in declarations:
        if entry.property == "initial-value" and entry.selector.lower().startswith("@property "):
            found[entry.selector.split()[1]] = entry
    return found


def line_finder(text: str) -> LineFinder:
    """Return what tells the line of a place in the text."""
    return LineFinder([0, *(match.end() for match in re.finditer("\n", text))])


@dataclass(frozen=True, slots=True)
class LineFinder:
    """Where each line begins."""

    starts: list[int]

    def line_of(self, place: int) -> int:
        """Return the number of the line, from 1."""
        return bisect_right(self.starts, place)

    def place_of(self, place: int) -> tuple[int, int]:
        """Return the line and the column, both from 1."""
        line = self.line_of(place)
        return line, place - self.starts[line - 1] + 1


def without_comments(text: str) -> str:
    """Return the text with every comment blanked out, so that places stay."""
    return _COMMENT.sub(lambda match: re.sub(r"[^\n]", " ", match.group()), text) if "/*" in text else text


def _declaration(
    text: str,
    start: int,
    end: int,
    preludes: list[str],
    rules: list[int],
    wanted: Callable[[str], bool] | None,
) -> Declaration | None:
    # Most declarations aren't asked for: they are told by their name, before anything is copied.
    plain_name = _DECLARATION.match(text, start, end)
    if plain_name is not None and wanted is not None and not wanted(plain_name[1].lower()):
        return None
    body = without_comments(text[start:end])
    named = _DECLARATION.match(body)
    # Outside of all rules only the variables of SCSS and Less are declared.
    if named is None or (not preludes and named[1][0] not in VARIABLE_MARKS):
        return None
    name = named.group(1)
    if not name.startswith(("--", *VARIABLE_MARKS)):
        name = name.lower()
    if wanted is not None and not wanted(name):
        return None
    rest = body[named.end() :]
    value = rest.strip()
    place = start + named.end() + len(rest) - len(rest.lstrip())
    important = value[-9:].lower() == "important" and value[:-9].rstrip().endswith("!")
    if important:
        value = value[:-9].rstrip()[:-1].rstrip()
    selector, context = _placed(tuple(preludes))
    return Declaration(name, value, place, selector, rules[-1] if rules else 0, context, important)


@lru_cache(maxsize=4096)
def _placed(preludes: tuple[str, ...]) -> tuple[str, tuple[str, ...]]:
    """Return the selector of a block, those of the rules around it worked in, and its at-rules."""
    plain = [_plain(prelude) for prelude in preludes]
    selectors = [entry for entry in plain if not entry.startswith("@")]
    return nested(selectors) or (plain[-1] if plain else OUTSIDE), tuple(
        entry for entry in plain if entry.startswith("@")
    )


@lru_cache(maxsize=4096)
def _plain(prelude: str) -> str:
    return " ".join(without_comments(prelude).split())
