"""SVG: the colours it declares, and its drawing without smooth edges."""

from __future__ import annotations

import io
import re
from collections.abc import Iterator
from typing import Final
from xml.etree.ElementTree import Element, tostring

import numpy as np
import resvg_py
from PIL import Image

from tonada.core.color.notation import parse_color
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.errors import ColorError, ImageError, ImageTooLarge
from tonada.core.limits import MAX_SVG_COLORS
from tonada.core.source.pictures.picture import Picture, pack
from tonada.core.source.pictures.svg_limits import local_name, parse_svg
from tonada.core.source.pictures.svg_paints import normalise_paints
from tonada.core.source.pictures.svg_size import give_size

PAINTS: Final = ("fill", "stroke", "stop-color", "color", "flood-color")
READING_SIZE: Final = 1000
_CSS_PAINT: Final = re.compile(rf"(?:^|[;{{\s])({'|'.join(PAINTS)})\s*:\s*([^;}}]+)", re.IGNORECASE)


def looks_like_svg(data: bytes) -> bool:
    """Return whether a file starts like XML; the parser decides whether it is SVG."""
    head = data[:1024].lstrip(b"\xef\xbb\xbf \t\r\n")
    return head.startswith((b"<?xml", b"<svg", b"<!--", b"<!DOCTYPE svg", b"<!doctype svg"))


def decode_svg(data: bytes) -> Picture:
    """Return the drawing without smooth edges, with the colours it declares.

    Without smoothing every pixel has the colour of one shape, so that areas are exact and no
    blends come up.
    """
    root = parse_svg(data)
    notes = normalise_paints(root)
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
        notes=notes,
    )


def draw_svg(data: bytes, size: int) -> Image.Image:
    """Return the drawing as RGBA, smooth, its longer side `size` pixels. Raises as parse_svg."""
    root = parse_svg(data)
    normalise_paints(root)
    return _draw(root, size, smooth=True)


def _draw(root: Element, size: int, *, smooth: bool) -> Image.Image:
    give_size(root)
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


def declared_colors(root: Element) -> dict[int, bool]:
    """Return the colours that fills, strokes, stops and styles name, as 0xRRGGBB, in their order.

    The value says whether a colour is only ever the stop of a gradient. Raises ImageTooLarge.
    """
    found: dict[int, bool] = {}
    for name, text in dict.fromkeys(_named_paints(root)):
        try:
            color = int(pack(hex_to_srgb8(parse_color(text)[0])))
        except ColorError:  # none, inherit, url(#…), currentColor
            continue
        found[color] = found.get(color, True) and name == "stop-color"
        if len(found) > MAX_SVG_COLORS:
            raise ImageTooLarge(f"The SVG names more than {MAX_SVG_COLORS:,} colours, which is the limit.")
    return found


def _named_paints(root: Element) -> Iterator[tuple[str, str]]:
    for element in root.iter():
        yield from ((name, element.attrib[name].strip()) for name in PAINTS if name in element.attrib)
        texts = [element.attrib.get("style", "")]
        if local_name(element) == "style":
            texts.append("".join(element.itertext()))
        for text in texts:
            yield from ((name.lower(), value.strip()) for name, value in _CSS_PAINT.findall(text))
