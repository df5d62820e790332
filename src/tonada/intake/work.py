"""What a process that reads can be asked for; each answers with JSON and bytes.

This module is loaded once by the process that the readings are forked from, with all that they need.
"""

from __future__ import annotations

import io
from collections.abc import Callable
from typing import Any, Final, TypeAlias

import numpy as np
from PIL import Image

from tonada.core.source.pictures import Region, extract_colors, render_preview
from tonada.core.source.pictures.pick import decode_for_picking
from tonada.intake.fonts import read_font
from tonada.intake.results import image_to_json
from tonada.intake.taking_in import Upload, is_bitmap, read_styles, take_in

MARK_SIZE: Final = (480, 160)
Progress: TypeAlias = Callable[[float], None]
Answered: TypeAlias = tuple[Any, list[bytes]]


def _take_in(asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    """An upload becomes an image, a list or a stylesheet; the picture to show goes with an image."""
    uploads = tuple(Upload(name, content) for name, content in zip(asked["names"], files, strict=True))
    intake = take_in(uploads, asked["wanted"])
    result = {
        "kind": intake.kind,
        "name": intake.name,
        "extraction": intake.extraction,
        "is_reading": intake.is_reading,
    }
    return result, [] if intake.preview is None else [intake.preview]


def _is_bitmap(asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    uploads = tuple(Upload(name, content) for name, content in zip(asked["names"], files, strict=True))
    return is_bitmap(uploads, asked["wanted"]), []


def _picture(_asked: dict[str, Any], files: list[bytes], say_progress: Progress) -> Answered:
    """A large picture: its colours, then the picture to show."""
    say_progress(0.15)
    extraction = extract_colors(files[0])
    say_progress(0.6)
    return image_to_json(extraction), [render_preview(files[0])]


def _colors(asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    """The colours of a picture, or of a part of it, of the kind that is asked for."""
    region = Region(**asked["region"]) if asked["region"] else None
    most = {"most": asked["most"]} if asked.get("most") else {}
    return image_to_json(extract_colors(files[0], kind=asked["kind"], region=region, **most)), []


def _styles(asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    named = list(zip(asked["names"], files, strict=True))
    return read_styles(named, asked["difference"]), []


def _pixels(_asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    """The pixels of a picture, for the magnifier: rows of red, green, blue, then of alpha."""
    picture = decode_for_picking(files[0])
    height, width = picture.rgb.shape[:2]
    parts = [np.ascontiguousarray(picture.rgb).tobytes()]
    if picture.alpha is not None:
        parts.append(np.ascontiguousarray(picture.alpha).tobytes())
    size = {"width": width, "height": height, "own_width": picture.width, "own_height": picture.height}
    return {**size, "format": picture.format}, parts


def _preview(_asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    """The picture to show of one that was read before."""
    return None, [render_preview(files[0])]


def _mark(_asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    """A studio's mark as an email shows it: twice as large as it is seen, for sharp screens."""
    with Image.open(io.BytesIO(render_preview(files[0]))) as drawn:
        drawn.thumbnail(MARK_SIZE)
        written = io.BytesIO()
        drawn.save(written, "PNG", optimize=True)
    return None, [written.getvalue()]


def _font(asked: dict[str, Any], files: list[bytes], _: Progress) -> Answered:
    """What is to be known of a font, and the font as it is kept."""
    found, made = read_font(asked["name"], files[0])
    return found, [made]


WORKS: Final[dict[str, Callable[[dict[str, Any], list[bytes], Progress], Answered]]] = {
    "take in": _take_in,
    "is bitmap": _is_bitmap,
    "picture": _picture,
    "colors": _colors,
    "styles": _styles,
    "pixels": _pixels,
    "preview": _preview,
    "font": _font,
    "mark": _mark,
}
