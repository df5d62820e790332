"""References between design tokens: `{group.token}`, JSON pointers, and parts of values.

Source: Design Tokens Community Group, Format Module 2025.10, sections 7 (aliases) and 7.2 (`$ref`, as JSON
pointers of RFC 6901).
"""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Final, NamedTuple

from tonada.core.color.css_values import FUNCTION_NAMES
from tonada.core.color.notation import is_color_name
from tonada.core.formats.format import Json

DEEPEST_REFERENCE: Final = 24
_EMBEDDED: Final = re.compile(r"\{([^{}]+)\}")
# What other languages write, and CSS doesn't: a colour in place of its channels.
_COLOR_AND_ALPHA: Final = re.compile(
    r"\Argba?\(\s*(#[0-9a-f]{3,8}|[a-z]+\([^()]*\))\s*,\s*([^(),]+)\)\Z", re.I
)


class Target(NamedTuple):
    """What a reference leads to. kind: the type that its groups give it. is_sure: only this can be meant."""

    node: Json
    kind: str | None
    is_sure: bool = True


class References:
    """The references of one file. assumed: told of each that several sets could be meant by."""

    def __init__(self, root: dict[str, Json], assumed: Callable[[str], None] = lambda _: None) -> None:
        self._root = root
        self._assumed = assumed

    def resolve(self, token: dict[str, Json], kind: str | None, home: str = "") -> tuple[Json, str | None]:
        """Return the value behind all references, with its type. home: the set that the token is in.

        A reference that leads nowhere, or in a circle, comes back as it is.
        """
        for _ in range(DEEPEST_REFERENCE):
            value = token.get("$value")
            reference = reference_of(value) or reference_of(token)
            if reference is None:
                return self._filled(value, home, 0), kind
            target = self.target(reference, home)
            if target is None:
                return reference, kind
            if not target.is_sure:
                self._assumed(reference)
            node, kind = target.node, target.kind or kind
            if isinstance(node, dict) and "$root" in node and "$value" not in node:
                node = node["$root"]
            if not isinstance(node, dict) or looks_like_color(node):
                # {group.token.value} names the value of an older token, and a pointer any part of a file.
                is_value = reference.startswith("#/") or reference.endswith("value}")
                return (node if is_value else reference), kind
            if is_older(node):
                node = {"$value": node["value"], "$type": node.get("type")}
            token, kind = node, node.get("$type") or kind
        return None, kind

    def target(self, reference: str, home: str = "") -> Target | None:
        """Return what a reference leads to: from the root, else within a set, its own first."""
        steps = _steps(reference)
        found = _walk(self._root, steps)
        if found is not None or reference.startswith("#/"):
            return found
        sets = [found for name in self._root if (found := _walk(self._root, [name, *steps]))]
        own = _walk(self._root, [home, *steps]) if home else None
        if own is not None:
            return own
        return sets[-1]._replace(is_sure=len({str(one.node) for one in sets}) == 1) if sets else None

    def _filled(self, value: Json, home: str, depth: int) -> Json:
        """Return a value whose parts may be references, too."""
        if depth > DEEPEST_REFERENCE:
            return None
        if isinstance(value, str):
            return self._filled_text(value, home, depth)
        if isinstance(value, dict) and looks_like_color(value):
            return {name: self._filled_part(part, home, depth) for name, part in value.items()}
        return value

    def _filled_part(self, part: Json, home: str, depth: int) -> Json:
        if isinstance(part, list):
            return [self._filled_part(inner, home, depth + 1) for inner in part[:8]]
        reference = reference_of(part)
        return self.resolve({"$value": part}, None, home)[0] if reference else part

    def _filled_text(self, value: str, home: str, depth: int) -> str:
        """Return a text with the references within it filled in: `rgba({brand.blue}, 0.5)`."""
        if "{" not in value:
            return value

        def one(match: re.Match[str]) -> str:
            found, _ = self.resolve({"$value": match.group()}, None, home) if depth == 0 else (None, None)
            if isinstance(found, dict) and isinstance(found.get("hex"), str):
                found = found["hex"]
            return str(found) if isinstance(found, (str, int, float)) else match.group()

        filled = _EMBEDDED.sub(one, value)
        within = _COLOR_AND_ALPHA.match(filled.strip())
        return f"rgb(from {within[1]} r g b / {within[2].strip()})" if within else filled


def reference_of(value: Json) -> str | None:
    """Return the reference that a value is, or None."""
    if isinstance(value, str):
        return value if value.startswith("{") and value.endswith("}") and value.count("{") == 1 else None
    if isinstance(value, dict) and isinstance(value.get("$ref"), str):
        return str(value["$ref"])
    return None


def is_older(group: dict[str, Json]) -> bool:
    """Return whether an object is a token of the format's drafts: value and type without a dollar sign."""
    value = group.get("value")
    if isinstance(value, dict) and not looks_like_color(value):
        return False
    return "value" in group and (isinstance(group.get("type"), str) or looks_like_color(value))


def looks_like_color(value: Json) -> bool:
    """Return whether a value without a type is probably a colour."""
    if isinstance(value, dict):
        return "colorSpace" in value
    if not isinstance(value, str):
        return False
    head, bracket, _ = value.partition("(")
    return value.startswith("#") or (bracket and head.lower() in FUNCTION_NAMES) or is_color_name(value)


def _steps(reference: str) -> list[str]:
    if reference.startswith("#/"):
        return [step.replace("~1", "/").replace("~0", "~") for step in reference[2:].split("/")]
    return reference.strip("{}").strip().split(".")


def _walk(root: Json, steps: list[str]) -> Target | None:
    place, kind = root, None
    for step in steps:
        if isinstance(place, dict):
            own = place.get("$type")
            kind = own if isinstance(own, str) else kind
            place = place.get(step)
        elif isinstance(place, list) and step.isdigit() and int(step) < len(place):
            place = place[int(step)]
        else:
            return None
    if isinstance(place, dict) and isinstance(place.get("$type"), str):
        kind = place["$type"]
    return None if place is None else Target(place, kind)
