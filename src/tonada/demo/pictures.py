"""Pictures for the demo brands, drawn here, the same each time."""

from __future__ import annotations

import io

import numpy as np
from PIL import Image, ImageFilter

from tonada.core.source.pictures.svg import draw_svg

_NAMESPACE = 'xmlns="http://www.w3.org/2000/svg"'


def dusk_ridge(width: int = 1500, height: int = 1000) -> bytes:
    """Return a made photograph as JPEG: ridges at dusk, haze between them, one lit dome."""
    generator = np.random.default_rng(30)
    down, right = np.mgrid[0 : 1 : height * 1j, 0 : 1 : width * 1j]
    stops = np.array([[24, 32, 78], [58, 72, 146], [150, 116, 152], [226, 148, 104], [246, 200, 138]], float)
    sky = np.stack([np.interp(down * 1.45, np.linspace(0, 1, 5), stops[:, c]) for c in range(3)], axis=-1)
    picture = sky + 10 * np.exp(-(((right - 0.7) / 0.3) ** 2))[..., None]
    ridges = ((0.60, 0.05, 7, (96, 84, 122)), (0.70, 0.06, 11, (58, 56, 92)), (0.82, 0.05, 17, (24, 26, 44)))
    for level, rise, waves, color in ridges:
        edge = level + rise * np.sin(waves * right[0] + level * 9) + 0.02 * np.sin(waves * 4.3 * right[0])
        below = down > edge[None]
        haze = np.clip((down - edge[None]) * 4, 0, 1)[..., None] * 0.25
        picture = np.where(
            below[..., None], np.array(color) * (1 - haze) + np.array((150, 120, 130)) * haze, picture
        )
    dome = ((right - 0.30) / 0.035) ** 2 + ((down - 0.66) / 0.05) ** 2 < 1
    picture = np.where((dome & (down < 0.665))[..., None], np.array((196, 116, 68)), picture)
    slit = (np.abs(right - 0.305) < 0.006) & (down > 0.615) & (down < 0.665)
    picture = np.where(slit[..., None], np.array((250, 214, 92)), picture)
    picture += generator.normal(0, 4.0, (height, width, 1))
    image = Image.fromarray(np.clip(picture, 0, 255).astype(np.uint8)).filter(ImageFilter.GaussianBlur(0.8))
    return _written(image, "JPEG", quality=88)


def old_page() -> bytes:
    """Return a made screenshot of the kayak school's page of some years ago, as PNG."""
    bar = '<rect x="{}" y="{}" width="{}" height="{}" fill="{}"/>'
    parts = [
        bar.format(0, 0, 960, 600, "#f4efe4"),
        bar.format(0, 0, 960, 86, "#0d5c63"),
        bar.format(40, 30, 150, 26, "#f4efe4"),
        *(bar.format(520 + 100 * n, 36, 70, 12, "#bfe0da") for n in range(4)),
        bar.format(0, 86, 960, 190, "#8fc7bd"),
        bar.format(40, 130, 330, 30, "#123b40"),
        bar.format(40, 172, 260, 12, "#1e6067"),
        bar.format(40, 206, 130, 38, "#e4572e"),
        bar.format(62, 220, 86, 10, "#ffffff"),
    ]
    for n in range(3):
        x = 40 + 300 * n
        parts += [
            bar.format(x, 310, 270, 210, "#ffffff"),
            bar.format(x, 310, 270, 92, ("#f2c14e", "#0d5c63", "#8fc7bd")[n]),
            bar.format(x + 16, 420, 150, 14, "#123b40"),
            *(bar.format(x + 16, 448 + 18 * line, 230 - 40 * (line == 2), 7, "#6d8285") for line in range(3)),
        ]
    svg = f'<svg {_NAMESPACE} viewBox="0 0 960 600">{"".join(parts)}</svg>'
    return _written(draw_svg(svg.encode(), 960).convert("RGB"), "PNG")


def saltmarsh_logo(svg: bytes) -> bytes:
    """Return the kayak school's logo as it came: a PNG with soft edges on white."""
    return _written(draw_svg(svg, 640).convert("RGB"), "PNG")


def _written(image: Image.Image, format_name: str, **options: object) -> bytes:
    written = io.BytesIO()
    image.save(written, format_name, **options)
    return written.getvalue()
