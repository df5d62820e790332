"""The size and weight of a text, as far as its declarations say them."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping
from typing import Final, NamedTuple

from tonada.core.color.unknown import CannotTell
from tonada.core.source.stylesheets.computed import filled_in
from tonada.core.source.stylesheets.scan import Declaration

# What 1rem is where nothing else is said.
ROOT_PIXELS: Final = 16.0
_ROOT_SIZE: Final = re.compile(r"(\d*\.?\d+)(px|%|em|rem)")
_SIZE: Final = re.compile(r"(?<![-\w.])(\d*\.?\d+)(px|rem|pt)(?![-\w])", re.IGNORECASE)
_WEIGHT: Final = re.compile(r"(?<![-\w.#])([1-9]\d\d|bold|normal)(?![-\w.%])", re.IGNORECASE)
_WEIGHTS: Final = {"bold": 700, "normal": 400}


class TextSize(NamedTuple):
    """pixels and weight: None where nothing says them. is_known: it is not something that isn't computed."""

    pixels: float | None = None
    weight: int | None = None
    is_known: bool = True


def size_of(
    declarations: Iterable[Declaration], variables: Mapping[str, str], root: float | None = ROOT_PIXELS
) -> TextSize:
    """Return the size that declarations give, the last most. root: the pixels of 1rem, None if unknown.

    Sizes in the text's own measure (em, %) depend on where it stands, and aren't known.
    """
    size = TextSize()
    for declaration in declarations:
        if declaration.property not in ("font", "font-size", "font-weight"):
            continue
        try:
            value = filled_in(declaration.value, variables).strip().lower()
        except CannotTell:
            size = TextSize(None, None, is_known=False)
            continue
        if declaration.property != "font-weight":
            size = _sized(size, value, root)
        if declaration.property != "font-size":
            said = _WEIGHT.search(value.split("/")[0])
            if said is not None:
                size = size._replace(weight=_WEIGHTS.get(said[1]) or int(said[1]))
    return size


def root_pixels(declarations: Iterable[Declaration]) -> float | None:
    """Return the pixels of 1rem by the declarations of the root, or None where that isn't known."""
    size: float | None = ROOT_PIXELS
    for declaration in declarations:
        if declaration.property in ("font", "font-size"):
            found = _ROOT_SIZE.fullmatch(declaration.value.strip().lower())
            units = {"px": 1.0, "%": ROOT_PIXELS / 100, "em": ROOT_PIXELS, "rem": ROOT_PIXELS}
            size = float(found[1]) * units[found[2]] if found else None
    return size


def _sized(size: TextSize, value: str, root: float | None) -> TextSize:
    if value in ("inherit", "unset", "initial"):
        return size
    found = _SIZE.search(value)
    if found is None or "(" in value or (found[2] == "rem" and root is None):
        return size._replace(pixels=None, is_known=False)
    number = float(found[1])
    pixels = {"px": number, "pt": number * 96 / 72, "rem": number * (root or ROOT_PIXELS)}[found[2]]
    return size._replace(pixels=pixels, is_known=True)
