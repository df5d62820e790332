"""A swatch sheet in SVG: its filled shapes in their order, with the names they carry."""

from __future__ import annotations

from dataclasses import replace
from typing import Final
from xml.etree.ElementTree import Element, SubElement, indent, tostring

from tonada.core.color.notation import ReadColor, read_color
from tonada.core.errors import ColorError
from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.sheet import Options, Sheet, Value, joined, shown
from tonada.core.source.pictures.svg_limits import local_name, parse_svg

_SHAPES: Final = frozenset(("rect", "circle", "ellipse", "path", "polygon"))
_SVG: Final = "http://www.w3.org/2000/svg"
# Within so much of a text the root of a drawing begins.
_HEAD: Final = 4000
_CELL: Final = (180, 96)
_COLUMNS: Final = 5
_MARGIN: Final = 24
# Beneath a cell, over the first one, and over those of the night.
_BELOW: Final = 44
_HEADING: Final = 36
_BY_NIGHT: Final = 40
_FACE: Final = "Bricolage Grotesque, sans-serif"
_MONO: Final = "Spline Sans Mono, monospace"


def read_svg_swatches(data: bytes) -> ColorList:
    """Return the fill of each shape; its name is its title, label or id, or the text that follows.

    Raises ImageError for what is not an SVG that is safe to read, InputError without any colour.
    """
    found = ListBuilder("SVG swatches")
    waiting: tuple[ReadColor, str | None] | None = None
    heading = next((child for child in parse_svg(data) if local_name(child) == "title"), None)
    found.title = "".join(heading.itertext()) if heading is not None else None
    for element in parse_svg(data).iter():
        kind = local_name(element)
        if kind in _SHAPES:
            if waiting:
                found.add(*waiting)
            fill = _fill(element)
            waiting = (fill, _name(element)) if fill else None
        elif kind == "text" and waiting:
            written = " ".join("".join(element.itertext()).split())
            found.add(waiting[0], waiting[1] or _unless_color(written))
            waiting = None
    if waiting:
        found.add(*waiting)
    return found.build()


def _fill(element: Element) -> ReadColor | None:
    """Return the fill where the shape states one that is a colour, with its opacity."""
    stated = {name: element.attrib.get(name, "") for name in ("fill", "fill-opacity", "opacity")}
    for part in element.attrib.get("style", "").split(";"):
        name, _, value = part.partition(":")
        if name.strip() in stated:
            stated[name.strip()] = value.strip()
    try:
        color = read_color(stated["fill"])
    except ColorError:
        return None
    return replace(color, alpha=color.alpha * _opacity(stated["fill-opacity"]) * _opacity(stated["opacity"]))


def _opacity(text: str) -> float:
    """Return an opacity, 0 to 1, from a number or per cents; 1 where none is stated."""
    try:
        value = float(text.removesuffix("%")) / (100 if text.endswith("%") else 1)
    except ValueError:
        return 1.0
    return min(1.0, max(0.0, value)) if value == value else 1.0


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


def write_svg(sheet: Sheet, options: Options) -> str:
    """Return a sheet of named rectangles that an editor opens: text as text, one group for a swatch."""
    sheet = replace(sheet, day=_swatches(sheet.day), night=_swatches(sheet.night))
    width, height = 2 * _MARGIN + _COLUMNS * _CELL[0], height_of(sheet)
    root = Element(
        "svg",
        {"xmlns": _SVG, "width": str(width), "height": str(height), "viewBox": f"0 0 {width} {height}"},
    )
    if sheet.title:
        SubElement(root, "title").text = sheet.title
    # The background is no swatch: it is painted by style, which a reader of swatches passes over.
    root.set("style", "background:#ffffff")
    _text(root, _MARGIN, _MARGIN + 14, sheet.title or "Colours", size=20, bold=True)
    top = _cells(root, sheet.day, options, _MARGIN + _HEADING)
    if sheet.night:
        _text(root, _MARGIN, top + 20, "By night", size=15, bold=True)
        _cells(root, sheet.night, options, top + _BY_NIGHT, after=" (night)")
    indent(root, space="  ")
    return tostring(root, encoding="unicode") + "\n"


def height_of(sheet: Sheet) -> int:
    """Return how high the drawing of a sheet is, in pixels."""
    day, night = len(_swatches(sheet.day)), len(_swatches(sheet.night))
    rows = -(-day // _COLUMNS) + -(-night // _COLUMNS)
    return 2 * _MARGIN + _HEADING + rows * (_CELL[1] + _BELOW) + (_BY_NIGHT if night else 0)


def per_page(height: int) -> int:
    """Return how many swatches a drawing of this height has room for, in whole rows."""
    return (height - 2 * _MARGIN - _HEADING - _BY_NIGHT) // (_CELL[1] + _BELOW) * _COLUMNS


def _swatches(values: tuple[Value, ...]) -> tuple[Value, ...]:
    """Return the values without what is used on a ground, which is no colour of its own."""
    return tuple(value for value in values if value.part != "use")


def _cells(root: Element, values: tuple[Value, ...], options: Options, top: int, after: str = "") -> int:
    """Draw a cell for each value and return where the next row begins."""
    for place, value in enumerate(values):
        left = _MARGIN + place % _COLUMNS * _CELL[0]
        above = top + place // _COLUMNS * (_CELL[1] + _BELOW)
        group = SubElement(root, "g", {"id": f"{joined(value.words, options)}{'-night' if after else ''}"})
        box = {"x": str(left), "y": str(above), "width": str(_CELL[0] - 12), "height": str(_CELL[1])}
        opacity = {} if value.alpha == 1 else {"fill-opacity": f"{value.alpha:.4g}"}
        face = SubElement(group, "rect", {**box, "fill": value.hex, **opacity})
        SubElement(face, "title").text = f"{value.name}{after}"
        _text(group, left, above + _CELL[1] + 15, f"{value.name}{after}"[:28], size=12)
        _text(group, left, above + _CELL[1] + 31, shown(value, options), size=11, mono=True)
    return top + -(-len(values) // _COLUMNS) * (_CELL[1] + _BELOW)


def _text(
    parent: Element, x: int, y: int, text: str, *, size: int, bold: bool = False, mono: bool = False
) -> None:
    style = {"font-family": _MONO if mono else _FACE, "font-size": str(size)}
    if bold:
        style["font-weight"] = "700"
    SubElement(parent, "text", {"x": str(x), "y": str(y), **style}).text = text


FORMAT: Final = Format(
    kind="svg",
    name="SVG swatches",
    note="editable, text as text",
    reading=Reading(
        read=lambda text: read_svg_swatches(text.encode()),
        recognise=lambda text: text.lstrip().startswith("<") and "<svg" in text[:_HEAD],
    ),
    writing=Writing(write=write_svg, ending=".svg", mimetype="image/svg+xml", holds_texts=False),
)
