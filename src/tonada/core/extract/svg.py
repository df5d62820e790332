"""SVG: what it may hold, the colours it declares, and its drawing without smooth edges."""

from __future__ import annotations

import io
import re
from collections.abc import Iterator
from typing import Final
from xml.etree.ElementTree import Element, ParseError, tostring

import numpy as np
import resvg_py
from defusedxml import DefusedXmlException, EntitiesForbidden
from defusedxml.ElementTree import fromstring
from PIL import Image

from tonada.core.color import hex_to_srgb8
from tonada.core.errors import ColorError, ImageError, ImageTooLarge
from tonada.core.extract.picture import Picture, pack
from tonada.core.limits import MAX_SVG_DEPTH, MAX_SVG_DRAWN_ELEMENTS, MAX_SVG_ELEMENTS
from tonada.core.notation import parse_color

SVG_NAMESPACE: Final = "{http://www.w3.org/2000/svg}"
LINK: Final = ("href", "{http://www.w3.org/1999/xlink}href")
PAINTS: Final = ("fill", "stroke", "stop-color", "color", "flood-color")
READING_SIZE: Final = 1000
_EMBEDDED: Final = re.compile(r"data:image/(png|jpe?g|gif|webp);base64,", re.IGNORECASE)
_CSS_URL: Final = re.compile(r"url\(\s*['\"]?\s*([^)'\"]*)", re.IGNORECASE)
_CSS_PAINT: Final = re.compile(rf"(?:^|[;{{\s])({'|'.join(PAINTS)})\s*:\s*([^;}}]+)", re.IGNORECASE)


def looks_like_svg(data: bytes) -> bool:
    """Say whether the file starts as XML does; what it really is, the parser finds."""
    head = data[:1024].lstrip(b"\xef\xbb\xbf \t\r\n")
    return head.startswith((b"<?xml", b"<svg", b"<!--", b"<!DOCTYPE svg", b"<!doctype svg"))


def parse_svg(data: bytes) -> Element:
    """Return the root of an SVG that is safe to draw.

    Raises ImageError for what is not SVG and for scripts, entities and external references,
    ImageTooLarge where it would draw more than the limits allow.
    """
    try:
        root: Element = fromstring(data)
    except EntitiesForbidden as reason:
        raise ImageError(
            "The SVG declares entities, which are not allowed. Save it without them."
        ) from reason
    except DefusedXmlException as reason:
        raise ImageError("The SVG refers to something outside itself, which is not allowed.") from reason
    except (ParseError, ValueError, LookupError) as reason:
        raise ImageError("The SVG is broken: it is not well-formed XML in UTF-8.") from reason
    if root.tag not in (f"{SVG_NAMESPACE}svg", "svg"):
        raise ImageError("This is XML, but not an SVG drawing.")
    _check_size(root)
    for element in root.iter():
        _check_element(element)
    _check_drawn_elements(root)
    return root


def decode_svg(data: bytes) -> Picture:
    """Return the drawing without smooth edges, with the colours it declares.

    Without smoothing every pixel has the colour of one shape, so that areas are exact and no
    blends come up.
    """
    root = parse_svg(data)
    for element in root.iter():
        for name in ("shape-rendering", "text-rendering"):
            element.attrib.pop(name, None)
    image = _draw(root, READING_SIZE, smooth=False)
    pixels = np.asarray(image)
    alpha = pixels[..., 3]
    declared = declared_colors(root)
    return Picture(
        format="SVG",
        rgb=np.ascontiguousarray(pixels[..., :3]),
        alpha=None if alpha.min() == 255 else alpha,
        ycc=None,
        profile=None,
        lossy=False,
        declared=tuple(declared),
        stops=tuple(color for color, is_stop in declared.items() if is_stop),
        width=image.width,
        height=image.height,
    )


def draw_svg(data: bytes, size: int) -> Image.Image:
    """Return the drawing as RGBA, smooth, its longer side `size` pixels. Raises as parse_svg."""
    return _draw(parse_svg(data), size, smooth=True)


def _draw(root: Element, size: int, *, smooth: bool) -> Image.Image:
    has_text = any(local_name(element) == "text" for element in root.iter())
    try:
        drawn = resvg_py.svg_to_bytes(
            svg_string=tostring(root, encoding="unicode"),
            width=size,
            height=size,
            skip_system_fonts=not has_text,
            shape_rendering="geometric_precision" if smooth else "crisp_edges",
            text_rendering="geometric_precision" if smooth else "optimize_speed",
        )
        image = Image.open(io.BytesIO(bytes(drawn)), formats=("PNG",)).convert("RGBA")
    except (ValueError, OSError, RuntimeError) as reason:
        raise ImageError("The SVG can't be drawn; it may lack a size or hold wrong values.") from reason
    return image


def local_name(element: Element) -> str:
    return element.tag.rpartition("}")[2] if isinstance(element.tag, str) else ""


def _check_size(root: Element) -> None:
    waiting, count = [(root, 1)], 0
    while waiting:
        element, depth = waiting.pop()
        count += 1
        if count > MAX_SVG_ELEMENTS:
            raise ImageTooLarge(f"The SVG has more than {MAX_SVG_ELEMENTS:,} elements, which is the limit.")
        if depth > MAX_SVG_DEPTH:
            raise ImageTooLarge(f"The SVG is nested deeper than {MAX_SVG_DEPTH} levels, which is the limit.")
        waiting.extend((child, depth + 1) for child in element)


def _check_element(element: Element) -> None:
    name = local_name(element)
    if name in ("script", "foreignObject", "iframe", "object", "embed"):
        raise ImageError(f"The SVG holds a <{name}> element, which is not allowed. Save it without.")
    for attribute, value in element.attrib.items():
        if attribute.rpartition("}")[2].lower().startswith("on"):
            raise ImageError(f"The SVG holds a script ({attribute}), which is not allowed.")
        if attribute in LINK and name != "a" and not _stays_inside(value):
            raise ImageError(f"The SVG refers to “{value[:60]}”, outside itself, which is not allowed.")
        _check_css(value)
    if name == "style":
        text = "".join(element.itertext())
        if "@import" in text.lower():
            raise ImageError("The SVG imports a stylesheet, which is not allowed.")
        _check_css(text)


def _stays_inside(reference: str) -> bool:
    reference = reference.strip()
    return not reference or reference.startswith("#") or bool(_EMBEDDED.match(reference))


def _check_css(text: str) -> None:
    for reference in _CSS_URL.findall(text):
        if not _stays_inside(reference):
            raise ImageError(f"The SVG refers to “{reference[:60]}”, outside itself, which is not allowed.")


def _check_drawn_elements(root: Element) -> None:
    """Count what is drawn once every `use` is carried out; nested ones multiply."""
    by_id = {element.attrib["id"]: element for element in root.iter() if "id" in element.attrib}
    counts: dict[int, int] = {}
    open_elements: set[int] = set()
    waiting = [(root, False)]
    while waiting:
        element, ready = waiting.pop()
        key = id(element)
        parts = list(_drawn_parts(element, by_id))
        if ready:
            open_elements.discard(key)
            counts[key] = 1 + sum(counts.get(id(part), 1) for part in parts)
            if counts[key] > MAX_SVG_DRAWN_ELEMENTS:
                raise ImageTooLarge(
                    f"The SVG draws more than {MAX_SVG_DRAWN_ELEMENTS:,} elements, which is the limit."
                )
        elif key not in counts and key not in open_elements:
            open_elements.add(key)
            waiting.append((element, True))
            waiting.extend((part, False) for part in parts)


def _drawn_parts(element: Element, by_id: dict[str, Element]) -> Iterator[Element]:
    yield from element
    for name, value in element.attrib.items():
        if name in LINK and value.strip().startswith("#"):
            target = by_id.get(value.strip()[1:])
            if target is not None:
                yield target
        for reference in _CSS_URL.findall(value):
            target = by_id.get(reference.strip()[1:])
            if target is not None:
                yield target


def declared_colors(root: Element) -> dict[int, bool]:
    """Return the colours that fills, strokes, stops and styles name, as 0xRRGGBB, in their order.

    The value says whether a colour is only ever the stop of a gradient.
    """
    found: dict[int, bool] = {}
    for element in root.iter():
        texts = [(name, element.attrib[name]) for name in PAINTS if name in element.attrib]
        texts += _CSS_PAINT.findall(element.attrib.get("style", ""))
        if local_name(element) == "style":
            texts += _CSS_PAINT.findall("".join(element.itertext()))
        for name, text in texts:
            try:
                color = int(pack(hex_to_srgb8(parse_color(text)[0])))
            except ColorError:  # none, inherit, url(#…), currentColor
                continue
            found[color] = found.get(color, True) and name.lower() == "stop-color"
    return found
