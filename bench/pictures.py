"""Pictures to measure with, drawn here, the same each time."""

from __future__ import annotations

import io

import numpy as np
from PIL import Image, ImageFilter

from tonada.core.source.pictures.svg import draw_svg
from tonada.demo.seed import demo_file


def logo_png(size: int = 640) -> bytes:
    """Return the demo logo on white as PNG."""
    drawn = draw_svg(demo_file("peak-logo.svg"), size)
    ground = Image.new("RGB", drawn.size, "#ffffff")
    ground.paste(drawn, mask=drawn.getchannel("A"))
    return _encoded(ground, "PNG")


def photograph_jpeg(width: int = 4000, height: int = 3000) -> bytes:
    """Return a landscape at dusk with grain, as a camera's JPEG of 12 megapixels."""
    generator = np.random.default_rng(20)
    down = np.linspace(0, 1, height)[:, None, None]
    sky = (1 - down) * np.array([38, 52, 110]) + down * np.array([226, 150, 104])
    picture = np.repeat(sky, width, axis=1).astype(np.float32)
    ridge = height * (0.62 + 0.06 * np.sin(np.arange(width) / 310) + 0.03 * np.sin(np.arange(width) / 83))
    picture[np.arange(height)[:, None] > ridge[None]] = (34, 38, 46)
    picture[1100:1180, 2600:2700] = (250, 214, 60)
    picture += generator.normal(0, 7, (height, width, 1)).astype(np.float32)
    image = Image.fromarray(np.clip(picture, 0, 255).astype(np.uint8))
    return _encoded(image.filter(ImageFilter.GaussianBlur(1)), "JPEG", quality=88)


def _encoded(image: Image.Image, format_name: str, **options: object) -> bytes:
    written = io.BytesIO()
    image.save(written, format_name, **options)
    return written.getvalue()
