"""Contact sheets of ready-made palettes: each as a small page over its measure, to be looked at."""

from __future__ import annotations

from collections.abc import Sequence
from pathlib import Path
from typing import Final

from PIL import Image, ImageDraw, ImageFont

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.ready.palette import ReadyPalette
from tonada.core.take.parts import PLANNED_SHARES, Role

COLUMNS: Final = 12
ROWS: Final = 10
WIDTH: Final = 128
HEIGHT: Final = 112
_GAP: Final = 6
_FONT: Final = ImageFont.load_default(9)


def draw_sheets(palettes: Sequence[ReadyPalette], folder: Path) -> None:
    """Write PNG files with 120 palettes each into a folder."""
    folder.mkdir(parents=True, exist_ok=True)
    on_sheet = COLUMNS * ROWS
    for first in range(0, len(palettes), on_sheet):
        sheet = Image.new("RGB", (COLUMNS * (WIDTH + _GAP), ROWS * (HEIGHT + _GAP)), "#dddddd")
        pen = ImageDraw.Draw(sheet)
        for place, palette in enumerate(palettes[first : first + on_sheet]):
            left, top = place % COLUMNS * (WIDTH + _GAP), place // COLUMNS * (HEIGHT + _GAP)
            _draw_page(pen, left + _GAP // 2, top + _GAP // 2, palette)
        sheet.save(folder / f"ready-made-{first // on_sheet + 1}.png")


def _draw_page(pen: ImageDraw.ImageDraw, left: int, top: int, palette: ReadyPalette) -> None:
    colors = palette.by_role
    primary, paper, ink = colors[Role.PRIMARY], colors[Role.PAPER], colors[Role.INK]

    def box(x: float, y: float, width: float, height: float, fill: Hex) -> None:
        pen.rectangle([left + x, top + y, left + x + width, top + y + height], fill=fill)

    def label(ground: Hex) -> Hex:
        return max((paper, ink), key=lambda one: ratio_between(one, ground))

    box(0, 0, WIDTH, HEIGHT, paper)
    box(6, 2, 34, 4, primary)
    box(0, 10, WIDTH, 46, primary)
    pen.ellipse([left + 80, top + 14, left + 116, top + 50], fill=colors[Role.SECONDARY])
    if Role.ACCENT_2 in colors:
        box(70, 38, 26, 18, colors[Role.ACCENT_2])
    box(8, 18, 56, 4, label(primary))
    box(8, 26, 46, 4, label(primary))
    box(8, 38, 38, 12, colors[Role.ACCENT])
    box(14, 43, 26, 3, label(colors[Role.ACCENT]))
    box(0, HEIGHT - 36, WIDTH, 14, colors[Role.MIST])
    box(8, HEIGHT - 32, 68, 2, ink)
    box(8, HEIGHT - 27, 58, 1, ink)
    whole = sum(PLANNED_SHARES[one.role] for one in palette.colors)
    x = 0.0
    for one in palette.colors:
        width = WIDTH * PLANNED_SHARES[one.role] / whole
        box(x, HEIGHT - 21, width, 11, one.hex)
        x += width
    box(0, HEIGHT - 10, WIDTH, 10, "#ffffff")
    pen.text((left + 2, top + HEIGHT - 11), palette.name, fill="#000000", font=_FONT)
