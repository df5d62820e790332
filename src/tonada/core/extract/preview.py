"""A picture that is safe to show: decoded and written anew, so nothing of the upload travels on."""

from __future__ import annotations

import io
from typing import Final

import numpy as np
from PIL import Image

from tonada.core.extract.decode import check_file_size, decode_bitmap
from tonada.core.extract.svg import draw_svg, looks_like_svg

PREVIEW_SIZE: Final = 1200
PREVIEW_PIXELS: Final = 1_000_000


def render_preview(data: bytes) -> bytes:
    """Return a PNG in sRGB, its longer side at most 1200 pixels. Raises ImageError."""
    check_file_size(data)
    if looks_like_svg(data):
        image = draw_svg(data, PREVIEW_SIZE)
    else:
        picture = decode_bitmap(data, working_pixels=PREVIEW_PIXELS)
        image = Image.fromarray(picture.rgb)
        if picture.alpha is not None:
            image.putalpha(Image.fromarray(np.ascontiguousarray(picture.alpha)))
        image.thumbnail((PREVIEW_SIZE, PREVIEW_SIZE))
    written = io.BytesIO()
    image.save(written, "PNG", compress_level=3)
    return written.getvalue()
