"""A picture that is safe to serve: decoded and encoded again, so that no uploaded byte is served."""

from __future__ import annotations

import io
from typing import Final

import numpy as np
from PIL import Image

from tonada.core.source.pictures.decode import check_file_size, decode_bitmap
from tonada.core.source.pictures.picture import Picture
from tonada.core.source.pictures.svg import draw_svg, looks_like_svg

PREVIEW_SIZE: Final = 1200
PREVIEW_PIXELS: Final = 1_000_000


def render_preview(data: bytes) -> bytes:
    """Return a PNG in sRGB, its longer side at most 1200 pixels. Raises ImageError."""
    check_file_size(data)
    if looks_like_svg(data):
        return _written(draw_svg(data, PREVIEW_SIZE))
    return draw_preview(decode_bitmap(data, working_pixels=PREVIEW_PIXELS))


def draw_preview(picture: Picture) -> bytes:
    """Return the same of a bitmap that is decoded already."""
    image = Image.fromarray(picture.rgb)
    if picture.alpha is not None:
        image.putalpha(Image.fromarray(np.ascontiguousarray(picture.alpha)))
    image.thumbnail((PREVIEW_SIZE, PREVIEW_SIZE))
    return _written(image)


def _written(image: Image.Image) -> bytes:
    written = io.BytesIO()
    image.save(written, "PNG", compress_level=3)
    return written.getvalue()
