"""Flat artwork drawn for the tests: 48 drawings of 2 to 6 colours, and what is true about each.

Every drawing is an SVG of a few shapes. Its truth comes from drawing it once without smooth edges
at a large size and counting: the colours that cover 1% and more of what is visible. It is kept in
artwork_truths.json; `python -m tests.artwork` rewrites that file.
"""

from __future__ import annotations

import io
import json
import math
from dataclasses import dataclass
from functools import cache
from pathlib import Path

import resvg_py
from PIL import Image

SMALLEST_TRUTH = 0.01
TRUTHS = Path(__file__).with_name("artwork_truths.json")

# Colour sets by hand: near and far hues, pale, dark, grey, two of one hue, near-black with near-white.
SETS = (
    ("#1f4e79", "#f2b134", "#e4572e", "#76b041", "#17bebb", "#2e282a"),
    ("#2b3a8c", "#b6653a", "#d7b13c", "#ffffff", "#8f9bd6", "#14193a"),
    ("#0f6b66", "#e2703f", "#86b8a4", "#f7f3e8", "#33312e", "#c9b458"),
    ("#5b2a86", "#f5d5ff", "#ff6f91", "#ffc75f", "#2d1b3d", "#9b89b3"),
    ("#111111", "#e8e8e8", "#d62828", "#fcbf49", "#7a7a7a", "#003049"),
    ("#2f6f3e", "#a7d129", "#f8eeb4", "#616f39", "#000000", "#d9a441"),
    ("#c1121f", "#fdf0d5", "#669bbc", "#780000", "#003049", "#f4a261"),
    ("#3d348b", "#7678ed", "#f7b801", "#f18701", "#f35b04", "#ffffff"),
    ("#006d77", "#83c5be", "#edf6f9", "#ffddd2", "#e29578", "#22333b"),
    ("#4a4e69", "#9a8c98", "#c9ada7", "#f2e9e4", "#22223b", "#b56576"),
    ("#00a6a6", "#efca08", "#f49f0a", "#bbdef0", "#f08700", "#10454f"),
    ("#6a040f", "#d00000", "#ffba08", "#370617", "#fae0c8", "#3f88c5"),
)


@dataclass(frozen=True)
class Drawing:
    """A drawing in a square of 100 by 100."""

    name: str
    svg: str
    has_ground: bool


def rect(x: float, y: float, w: float, h: float, fill: str, extra: str = "") -> str:
    return f'<rect x="{x}" y="{y}" width="{w}" height="{h}" fill="{fill}" {extra}/>'


def circle(x: float, y: float, r: float, fill: str) -> str:
    return f'<circle cx="{x}" cy="{y}" r="{r}" fill="{fill}"/>'


def shape(points: str, fill: str) -> str:
    return f'<path d="{points}" fill="{fill}"/>'


def line(points: str, stroke: str, width: float) -> str:
    return f'<path d="{points}" fill="none" stroke="{stroke}" stroke-width="{width}"/>'


def star(x: float, y: float, r: float, fill: str, rays: int = 5) -> str:
    corners = []
    for step in range(2 * rays):
        reach = r if step % 2 == 0 else 0.45 * r
        angle = math.pi * step / rays - math.pi / 2
        corners.append(f"{x + reach * math.cos(angle):.3f} {y + reach * math.sin(angle):.3f}")
    return shape("M" + "L".join(corners) + "Z", fill)


def rings(c: tuple[str, ...]) -> str:
    return (
        circle(50, 50, 46, c[0])
        + circle(50, 50, 34, c[1])
        + circle(50, 50, 21, c[2])
        + circle(50, 50, 9, c[4])
    )


def sails(c: tuple[str, ...]) -> str:
    hull = shape("M8 72 92 72C84 92 18 92 8 72Z", c[0])
    return hull + shape("M46 8V66H12Z", c[1]) + shape("M52 18V66H84Z", c[2]) + line("M49 4V72", c[5], 2.4)


def leaf(c: tuple[str, ...]) -> str:
    blade = shape("M50 6C88 30 88 70 50 94C12 70 12 30 50 6Z", c[0])
    return blade + line("M50 14V90M50 40L70 28M50 58L72 46M50 40L30 28M50 58L28 46", c[2], 1.8)


def bars(c: tuple[str, ...]) -> str:
    return "".join(rect(8 + 17.3 * n, 80 - 11.7 * n, 13.4, 12 + 11.7 * n, c[n]) for n in range(5))


def dotted(c: tuple[str, ...]) -> str:
    field = rect(10, 10, 80, 80, c[0])
    return field + "".join(
        circle(24 + 17.3 * a, 24 + 17.3 * b, 4.4, c[1 + (a + b) % 2]) for a in range(4) for b in range(4)
    )


def spot(c: tuple[str, ...]) -> str:
    """One dot of about 1.2 % that is clearly a colour of its own."""
    return circle(50, 50, 44, c[0]) + circle(66, 34, 6.2, c[2])


def thin_frame(c: tuple[str, ...]) -> str:
    inner = rect(17, 17, 66, 66, c[1]) + star(50, 52, 24, c[2])
    return (
        f'<rect x="9" y="9" width="82" height="82" fill="none" stroke="{c[0]}" stroke-width="1.6"/>' + inner
    )


def letters(c: tuple[str, ...]) -> str:
    """Letter shapes drawn as paths, so that no font is needed."""
    tall = shape("M14 82V18H26L44 56V18H54V82H43L24 44V82Z", c[0])
    return tall + shape("M62 82V50H88V58H71V63H84V70H71V74H88V82Z", c[1]) + rect(62, 20, 26, 6, c[2])


def waves(c: tuple[str, ...]) -> str:
    def wave(y: float, fill: str) -> str:
        return shape(f"M0 {y}C16 {y - 9} 33 {y + 9} 50 {y}S84 {y - 9} 100 {y}V100H0Z", fill)

    return circle(70, 26, 15, c[3]) + wave(48, c[0]) + wave(65, c[1]) + wave(83, c[4])


def quarters(c: tuple[str, ...]) -> str:
    parts = rect(5, 5, 45.4, 45.4, c[0]) + rect(50.4, 5, 44.6, 45.4, c[1])
    return (
        parts + rect(5, 50.4, 45.4, 44.6, c[2]) + rect(50.4, 50.4, 44.6, 44.6, c[4]) + circle(50, 50, 8, c[3])
    )


def arcs(c: tuple[str, ...]) -> str:
    drawn = [
        line(f"M{50 - r} 80A{r} {r} 0 0 1 {50 + r} 80", c[n], 8.2) for n, r in enumerate((42, 33, 24, 15))
    ]
    return "".join(drawn)


def mark(c: tuple[str, ...]) -> str:
    return rect(10, 10, 80, 80, c[0], 'rx="18"') + shape("M30 66 46 30H56L72 66H61L51 42 41 66Z", c[3])


MOTIFS = (rings, sails, leaf, bars, dotted, spot, thin_frame, letters, waves, quarters, arcs, mark)


def drawings() -> list[Drawing]:
    """Return all drawings: each motif in four colour sets, with a white, a coloured or no ground."""
    result = []
    for number, motif in enumerate(MOTIFS):
        for turn in range(4):
            colors = SETS[(5 * turn + number) % len(SETS)]
            ground = (None, "#ffffff", "#ffffff", colors[5])[turn]
            body = motif(colors)
            if ground and ground in body:  # what is drawn in the ground's colour would not be seen
                ground = "#ffffff" if ground != "#ffffff" else "#f6efe2"
            back = rect(0, 0, 100, 100, ground) if ground else ""
            svg = f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">{back}{body}</svg>'
            result.append(Drawing(f"{motif.__name__}-{turn}", svg, ground is not None))
    return result


def draw(svg: str, size: int, *, smooth: bool = True) -> Image.Image:
    """Return the drawing as RGBA."""
    rendering = "geometric_precision" if smooth else "crisp_edges"
    data = resvg_py.svg_to_bytes(
        svg_string=svg, width=size, height=size, skip_system_fonts=True, shape_rendering=rendering
    )
    return Image.open(io.BytesIO(bytes(data))).convert("RGBA")


def counted_truth(svg: str) -> dict[str, float]:
    """Return the share of each colour that covers 1% and more of what is visible, by drawing it large."""
    counted = draw(svg, 1200, smooth=False).getcolors(64) or []
    solid = {color[:3]: count for count, color in counted if color[3] == 255}
    total = sum(solid.values())
    return {
        "#" + bytes(color).hex(): count / total
        for color, count in solid.items()
        if count / total >= SMALLEST_TRUTH
    }


@cache
def kept_truths() -> dict[str, dict[str, dict[str, float]]]:
    """The truths of all drawings by name, as they are and on white. A long test counts them again."""
    kept: dict[str, dict[str, dict[str, float]]] = json.loads(TRUTHS.read_text(encoding="utf-8"))
    return kept


def truth_of(drawing: Drawing, *, on_white: bool = False) -> dict[str, float]:
    """Return the share of each colour of a drawing."""
    return kept_truths()[drawing.name]["on white" if on_white else "own"]


def on_white(drawing: Drawing) -> str:
    """Return the drawing with a white ground where it has none."""
    if drawing.has_ground:
        return drawing.svg
    return drawing.svg.replace('100">', f'100">{rect(0, 0, 100, 100, "#ffffff")}', 1)


def flattened(image: Image.Image) -> Image.Image:
    """Return the image on white, as formats without transparency need it."""
    ground = Image.new("RGB", image.size, "#ffffff")
    ground.paste(image, mask=image.getchannel("A"))
    return ground


def encoded(image: Image.Image, format_name: str, **options: object) -> bytes:
    """Return the bytes of a file."""
    written = io.BytesIO()
    image.save(written, format_name, **options)
    return written.getvalue()


def variant(drawing: Drawing, kind: str) -> bytes:
    """Return one of the files that the figures are asked for: `png 640`, `jpeg 75` and so on."""
    if kind == "png 640":
        return encoded(draw(drawing.svg, 640), "PNG")
    if kind == "png 96":
        return encoded(draw(drawing.svg, 96), "PNG")
    size, quality = (640, 75) if kind == "jpeg 75" else (320, 50)
    return encoded(flattened(draw(drawing.svg, size)), "JPEG", quality=quality, subsampling="4:2:0")


def count_truths() -> dict[str, dict[str, dict[str, float]]]:
    """Return the truths of all drawings, counted again."""
    return {
        one.name: {"own": counted_truth(one.svg), "on white": counted_truth(on_white(one))}
        for one in drawings()
    }


if __name__ == "__main__":
    TRUTHS.write_text(json.dumps(count_truths(), indent=1) + "\n", encoding="utf-8")
