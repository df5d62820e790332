"""Logos drawn by chance, for measuring: seeded, of 2 to 9 colours, and what is true about each.

Where tests/artwork.py has few drawings made with care, these are many: faces, flags, line icons,
badges, lettering, scenes and buildings, with shades of one hue beside each other, thin strokes,
and small things. A truth is counted like there, of the artwork without the ground it is on.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import dataclass
from random import Random
from typing import TypeAlias

import numpy as np

from tests.artwork import circle, draw, line, rect, shape, star
from tonada.core.color.spaces import Hex, oklch_to_srgb8, srgb8_to_hex

# What covers this much of the artwork counts; between both, a colour may be found or not.
SURELY_TRUE = 0.01
MAYBE_TRUE = 0.004
SEED = 20_26

Motif: TypeAlias = "Callable[[Random, list[str]], str]"


@dataclass(frozen=True)
class Logo:
    """A drawing in a square of 100 by 100. ground: what it is on, or None for nothing."""

    name: str
    body: str
    ground: str | None

    def svg(self, ground: str | None = None) -> str:
        """Return the drawing, on `ground` where it has none of its own."""
        back = self.ground or ground
        behind = rect(0, 0, 100, 100, back) if back else ""
        return f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">{behind}{self.body}</svg>'


@dataclass(frozen=True)
class Truth:
    """Shares of everything visible: of the colours that must be found, and of those that may be."""

    sure: dict[str, float]
    maybe: dict[str, float]


def hex_from_oklch(lightness: float, chroma: float, hue: float) -> Hex:
    return srgb8_to_hex(oklch_to_srgb8(np.array([lightness, chroma, hue % 360])))


def palette(random: Random) -> list[str]:
    """Return nine colours: three shades of one hue, two of a second, a third, dark, light, any."""
    hue = random.uniform(0, 360)
    second = hue + random.choice((20, 40, 90, 120, 150, 180, 210))
    chroma = random.uniform(0.05, 0.2)
    middle = random.uniform(0.45, 0.8)
    step = random.uniform(0.07, 0.16)
    other = random.uniform(0.4, 0.85)
    return [
        hex_from_oklch(middle, chroma, hue),
        hex_from_oklch(max(0.2, middle - step), chroma, hue),
        hex_from_oklch(min(0.95, middle + step), 0.8 * chroma, hue),
        hex_from_oklch(other, random.uniform(0.05, 0.2), second),
        hex_from_oklch(max(0.2, other - step), random.uniform(0.05, 0.15), second),
        hex_from_oklch(random.uniform(0.4, 0.9), random.uniform(0.1, 0.22), random.uniform(0, 360)),
        hex_from_oklch(random.uniform(0.12, 0.35), random.uniform(0, 0.06), hue),
        random.choice(
            ("#ffffff", hex_from_oklch(random.uniform(0.9, 0.98), random.uniform(0, 0.03), second))
        ),
        hex_from_oklch(random.uniform(0.3, 0.9), random.uniform(0, 0.2), random.uniform(0, 360)),
    ]


def ellipse(x: float, y: float, across: float, down: float, fill: str) -> str:
    return f'<ellipse cx="{x:.2f}" cy="{y:.2f}" rx="{across:.2f}" ry="{down:.2f}" fill="{fill}"/>'


def ring(x: float, y: float, r: float, stroke: str, width: float) -> str:
    place = f'cx="{x:.1f}" cy="{y:.1f}" r="{r:.1f}"'
    return f'<circle {place} fill="none" stroke="{stroke}" stroke-width="{width:.2f}"/>'


def face(random: Random, c: list[str]) -> str:
    eye = random.uniform(3.2, 6.5)
    apart = random.uniform(11, 18)
    parts = circle(50, 50, 45, c[0])
    if random.random() < 0.6:
        parts += shape("M8 62A45 45 0 0 0 92 62A47 40 0 0 1 8 62Z", c[1])
    if random.random() < 0.5:
        parts += ellipse(34, 20, 13, 5, c[2])
    for side in (-1, 1):
        parts += ellipse(50 + side * apart, 42, eye * 0.8, eye, c[6])
        if random.random() < 0.4:
            parts += ellipse(50 + side * apart + 1, 40, eye * 0.35, eye * 0.4, c[7])
        if random.random() < 0.3:
            parts += circle(50 + side * 28, 60, 6, c[5])
    mouth = random.uniform(1.6, 4)
    return parts + line(f"M32 66Q50 {random.uniform(72, 88):.1f} 68 66", c[6], round(mouth, 2))


def flag(random: Random, c: list[str]) -> str:
    chosen = random.sample(c, 5)
    count = random.choice((2, 3, 3, 4, 5))
    parts, top, down = "", 18, 64 / count
    upright = random.random() < 0.4
    for n in range(count):
        fill = chosen[n % min(3, count)]
        parts += (
            rect(4 + n * 92 / count, top, 92 / count, 64, fill)
            if upright
            else rect(4, top + n * down, 92, down, fill)
        )
    if random.random() < 0.4:
        width = random.uniform(1.4, 4)
        parts += rect(4, top + down - width / 2, 92, width, chosen[3])
    emblem = random.random()
    if emblem < 0.35:
        parts += star(50, 50, random.uniform(8, 18), chosen[4])
    elif emblem < 0.6:
        parts += circle(50, 50, random.uniform(7, 17), chosen[4])
    elif emblem < 0.85:
        parts += rect(4, top, 40, 32, chosen[3])
        for n in range(6):
            parts += star(12 + 11 * (n % 3), 27 + 13 * (n // 3), random.uniform(3, 5), chosen[4])
    return parts


def icon(random: Random, c: list[str]) -> str:
    chosen = random.sample(c[:7], 3)
    parts = ""
    for n in range(random.choice((2, 3, 4))):
        width = random.uniform(1.6, 7)
        kind = random.random()
        x, y, r = random.uniform(25, 75), random.uniform(25, 75), random.uniform(12, 38)
        if kind < 0.4:
            parts += ring(x, y, r, chosen[n % 3], width)
        elif kind < 0.7:
            points = " ".join(f"{random.uniform(8, 92):.1f} {random.uniform(8, 92):.1f}" for _ in range(4))
            parts += line(f"M{points}", chosen[n % 3], round(width, 2))
        else:
            parts += rect(
                x - r, y - r / 2, 2 * r, r, "none", f'stroke="{chosen[n % 3]}" stroke-width="{width:.2f}"'
            )
    return parts + circle(random.uniform(20, 80), random.uniform(20, 80), random.uniform(3, 9), chosen[2])


def badge(random: Random, c: list[str]) -> str:
    rim = random.uniform(1.2, 4)
    shield = "M50 5L90 18V50C90 74 70 88 50 96C30 88 10 74 10 50V18Z"
    parts = f'<path d="{shield}" fill="{c[0]}" stroke="{c[6]}" stroke-width="{rim:.2f}"/>'
    if random.random() < 0.5:
        parts += shape("M50 5L90 18V50C90 74 70 88 50 96Z", c[1])
    parts += rect(14, random.uniform(54, 62), 72, random.uniform(5, 12), c[3])
    parts += star(50, 36, random.uniform(9, 17), random.choice((c[7], c[5])))
    for n in range(random.choice((0, 3, 5))):
        parts += circle(34 + 8 * n, 76, random.uniform(1.6, 2.6), c[2])
    return parts


def lettering(random: Random, c: list[str]) -> str:
    width = random.uniform(3, 8)
    strokes = (
        "M{0} 30V62",
        "M{0} 62V30L{1} 62V30",
        "M{0} 30H{1}M{0} 46H{1}M{0} 62H{1}",
        "M{0} 62L{2} 30L{1} 62",
    )
    parts = ""
    for n in range(4):
        left = 8 + 22 * n
        form = random.choice(strokes).format(left, left + 14, left + 7)
        parts += line(form, c[0] if n < 2 or random.random() < 0.5 else c[3], round(width, 2))
    small = random.uniform(1.3, 3)
    for n in range(random.choice((5, 9))):
        parts += rect(8 + 9.4 * n, 74, random.uniform(3, 8), small, c[5])
    if random.random() < 0.5:
        parts += circle(90, 22, random.uniform(3, 7), c[4])
    return parts


def scene(random: Random, c: list[str]) -> str:
    horizon = random.uniform(45, 60)
    parts = circle(50, 50, 46, c[2]) + circle(random.uniform(30, 70), 32, random.uniform(6, 13), c[5])
    parts += shape(
        f"M6 {horizon:.1f}L30 34L50 {horizon:.1f}L66 40L94 {horizon:.1f}A46 46 0 0 1 6 {horizon:.1f}Z", c[3]
    )
    parts += shape(f"M8 64Q30 {horizon:.1f} 50 66T92 64A46 46 0 0 1 8 64Z", c[0])
    if random.random() < 0.6:
        parts += shape("M16 80Q50 70 84 80A46 46 0 0 1 16 80Z", c[1])
    for n in range(random.choice((0, 2, 4))):
        parts += shape(f"M{24 + 14 * n} 72L{28 + 14 * n} 58L{32 + 14 * n} 72Z", c[6])
    return parts


def building(random: Random, c: list[str]) -> str:
    parts = rect(14, 26, 72, 68, c[0]) + shape("M8 28L50 6L92 28Z", c[1])
    across, down = random.choice((2, 3, 4)), random.choice((2, 3))
    for a in range(across):
        for b in range(down):
            x, y = 20 + a * 62 / across, 34 + b * 40 / down
            parts += rect(x, y, 44 / across, 26 / down, c[7])
            if random.random() < 0.5:
                parts += rect(x, y + 26 / down, 44 / across, random.uniform(1, 2.5), c[2])
    parts += rect(43, 76, 14, 18, c[3]) + circle(54, 85, random.uniform(1, 2.2), c[5])
    return parts + rect(4, 93, 92, random.uniform(2, 5), c[6])


def petals(random: Random, c: list[str]) -> str:
    count = random.choice((4, 5, 6, 8))
    parts = line("M50 55V97", c[4], round(random.uniform(2, 5), 2))
    for n in range(count):
        angle = 2 * math.pi * n / count
        fill = (c[0], c[1], c[2])[n % random.choice((1, 2, 3))]
        parts += circle(50 + 22 * math.cos(angle), 40 + 22 * math.sin(angle), random.uniform(9, 14), fill)
    return parts + circle(50, 40, random.uniform(7, 12), c[5])


MOTIFS: tuple[Motif, ...] = (face, flag, icon, badge, lettering, scene, building, petals)


def logos(number: int, *, seed: int = SEED) -> list[Logo]:
    """Return so many logos, each motif in turn: on nothing, on white, or on a colour."""
    random = Random(seed)  # noqa: S311  # the same drawings every time
    drawn = []
    for n in range(number):
        motif, colors = MOTIFS[n % len(MOTIFS)], palette(random)
        body = motif(random, colors)
        ground = random.choice((None, None, "#ffffff", colors[8]))
        size = random.choice((1, 1, 0.8, 0.6))
        if size < 1:
            edge = 50 * (1 - size)
            body = f'<g transform="translate({edge:.1f} {edge:.1f}) scale({size})">{body}</g>'
        drawn.append(Logo(f"{motif.__name__}-{n}", body, ground))
    return drawn


def truth_of(logo: Logo, *, on: str | None = None) -> Truth:
    """Return what is true of a logo, standing on `on` where it has no ground of its own."""
    ground = logo.ground or on
    counted = draw(logo.svg(on), 1200, smooth=False).getcolors(64) or []
    solid = {"#" + bytes(color[:3]).hex(): count for count, color in counted if color[3] == 255}
    total = sum(solid.values())
    artwork = total - (solid.get(ground, 0) if ground else 0)
    sure = {
        value: count / total
        for value, count in solid.items()
        if count / artwork >= SURELY_TRUE or value == ground
    }
    maybe = {
        value: count / total
        for value, count in solid.items()
        if value not in sure and count / artwork >= MAYBE_TRUE
    }
    return Truth(sure, maybe)
