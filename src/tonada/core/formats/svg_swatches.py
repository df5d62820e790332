"""A swatch sheet in SVG: its filled shapes in their order, with the names they carry."""

from __future__ import annotations

from typing import Final
from xml.etree.ElementTree import Element

from tonada.core.errors import ColorError
from tonada.core.extract.svg import local_name, parse_svg
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.notation import read_color

_SHAPES: Final = frozenset(("rect", "circle", "ellipse", "path", "polygon"))


def read_svg_swatches(data: bytes) -> ColorList:
    """Return the fill of each shape; its name is its title, label or id, or the text that follows.

    Raises ImageError for what is not an SVG that is safe to read, InputError without any colour.
    """
    found = ListBuilder("SVG swatches")
    waiting: tuple[str, str | None] | None = None
    for element in parse_svg(data).iter():
        kind = local_name(element)
        if kind in _SHAPES:
            if waiting:
                found.add_text(*waiting)
            fill = _fill(element)
            waiting = (fill, _name(element)) if fill else None
        elif kind == "text" and waiting:
            written = " ".join("".join(element.itertext()).split())
            found.add_text(waiting[0], waiting[1] or _unless_color(written))
            waiting = None
    if waiting:
        found.add_text(*waiting)
    return found.build()


def _fill(element: Element) -> str | None:
    """Return the fill where the shape states one that is a colour."""
    stated = element.attrib.get("fill", "")
    for part in element.attrib.get("style", "").split(";"):
        name, _, value = part.partition(":")
        if name.strip() == "fill":
            stated = value.strip()
    try:
        read_color(stated)
    except ColorError:
        return None
    return stated


def _name(element: Element) -> str | None:
    for child in element:
        if local_name(child) == "title":
            return "".join(child.itertext())
    for attribute, value in element.attrib.items():
        if attribute.rpartition("}")[2] in ("label", "aria-label", "data-name"):
            return value
    return element.attrib.get("id")


def _unless_color(text: str) -> str | None:
    """Return a written name; a written value such as #2b3a8c is none, “Snow” is."""
    try:
        return text if read_color(text).notation == "name" else None
    except ColorError:
        return text or None
