"""Every notation of a colour, in every place of an SVG where it can stand: read as Chromium paints it.

Each drawing is a square of one paint. What Tonada reads of it is held against the pixel that the browser
shows; what it doesn't understand has to be said.
"""

from __future__ import annotations

import base64
import io
import random
from collections.abc import Callable, Iterator

import numpy as np
from PIL import Image
from playwright.sync_api import sync_playwright

from tonada.core.source.pictures.svg import draw_svg
from tonada.core.source.pictures.svg_limits import parse_svg
from tonada.core.source.pictures.svg_paints import normalise_paints
from tonada.rendering.browser import find_browser

SEED = 38
EACH = 5
SIDE = 8
ACROSS = 40
# One level of 8 bits: where the browser rounds another way.
NEAR = 1


def notations(draw: random.Random) -> Iterator[tuple[str, str]]:
    """Yield a colour in each notation, by the notation's name."""
    red, green, blue = (draw.randrange(256) for _ in range(3))
    hue, first, second = draw.randrange(360), draw.randrange(101), draw.randrange(101)
    light, chroma = draw.uniform(0.1, 0.9), draw.uniform(0, 0.3)
    yield "hex", f"#{red:02x}{green:02x}{blue:02X}"
    yield "short hex", f"#{draw.randrange(16):x}{draw.randrange(16):x}{draw.randrange(16):X}"
    yield "legacy rgb", f"rgb({red}, {green},{blue})"
    yield "rgb", f"rgb({red} {green} {blue} / 100%)"
    yield "rgb in per cent", f"rgb({first}% {second}% {draw.randrange(101)}%)"
    yield "legacy hsl", f"hsl({hue},{first}%,{second}%)"
    yield "hsl", f"hsl({hue}deg {first}% {second}%)"
    yield "hwb", f"hwb({hue} {first // 2}% {second // 2}%)"
    yield "lab", f"lab({light * 100:.1f}% {draw.uniform(-80, 80):.1f} {draw.uniform(-80, 80):.1f})"
    yield "lch", f"lch({light * 100:.1f} {chroma * 300:.1f} {hue})"
    yield "oklab", f"oklab({light:.3f} {draw.uniform(-0.2, 0.2):.3f} {draw.uniform(-0.2, 0.2):.3f})"
    yield "oklch", f"oklch({light * 100:.1f}% {chroma:.3f} {hue}deg)"
    yield "display-p3", f"color(display-p3 {draw.random():.3f} {draw.random():.3f} {draw.random():.3f})"
    yield "srgb-linear", f"color(srgb-linear {draw.random():.3f} {draw.random():.3f} {draw.random():.3f})"
    yield "rec2020", f"color(rec2020 {draw.random():.3f} {draw.random():.3f} {draw.random():.3f})"
    yield "name", draw.choice(["RebeccaPurple", "tomato", "gold", "teal", "navy", "crimson"])
    yield "relative", f"oklch(from #{red:02x}{green:02x}{blue:02x} calc(l * .8) c h)"
    yield "relative hsl", f"hsl(from rgb({red} {green} {blue}) h s 40%)"
    yield "mixed", f"color-mix(in oklab, #{red:02x}{green:02x}{blue:02x} {first}%, white)"
    yield "mixed in srgb", f"color-mix(in srgb, hsl({hue} 80% 40%), rgb({blue} {red} {green}) 30%)"
    yield "calculated", f"rgb(calc({red} * .5) max({green}, 20) {blue})"
    yield "light-dark", f"light-dark(rgb({red} {green} {blue}), white)"


def in_attribute(value: str) -> str:
    return f'<path fill="{value}" d="M0 0h9v9H0z"/>'


def in_style(value: str) -> str:
    return f'<path fill="lime" style="fill:{value}" d="M0 0h9v9H0z"/>'


def in_style_element(value: str) -> str:
    return f"<style>path{{fill:{value}}}</style>" + '<path fill="lime" d="M0 0h9v9H0z"/>'


def by_class(value: str) -> str:
    return f'<style>.a{{fill:{value}}} g{{fill:lime}}</style><g class="a"><path d="M0 0h9v9H0z"/></g>'


def by_variables(value: str) -> str:
    chain = f":root{{--a:{value};--b:var(--a)}}g{{--c:var(--none, var(--b))}}path{{fill:var(--c, lime)}}"
    return f'<style>{chain}</style><g><path d="M0 0h9v9H0z"/></g>'


def recovered(value: str) -> str:
    return f'<path style="fill:{value};fill:url;fill:rgb(1 2)" d="M0 0h9v9H0z"/>'


PLACES: tuple[Callable[[str], str], ...] = (
    in_attribute,
    in_style,
    in_style_element,
    by_class,
    by_variables,
    recovered,
)


def drawings() -> list[tuple[str, str, bytes]]:
    """Return the place, the notation and the SVG of each; every notation comes by every place."""
    draw = random.Random(SEED)  # noqa: S311
    head = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" width="9" height="9">'
    return [
        (place.__name__, f"{name}: {value}", f"{head}{place(value)}</svg>".encode())
        for _ in range(EACH)
        for place in PLACES
        for name, value in notations(draw)
    ]


def painted(svgs: list[bytes]) -> np.ndarray:
    """Return the colour that Chromium shows of each, 8-bit sRGB: pictures in one page."""
    pictures = "".join(
        f'<img src="data:image/svg+xml;base64,{base64.b64encode(svg).decode()}">' for svg in svgs
    )
    page_of_all = (
        f"<style>body{{margin:0;width:{ACROSS * SIDE}px;font-size:0;line-height:0;background:#fff}}"
        f"img{{width:{SIDE}px;height:{SIDE}px}}</style>{pictures}"
    )
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=find_browser(None), args=["--no-sandbox", "--force-color-profile=srgb"]
        )
        page = browser.new_page(viewport={"width": ACROSS * SIDE, "height": 200})
        page.set_content(page_of_all, wait_until="load")
        shot = page.screenshot(full_page=True)
        browser.close()
    pixels = np.asarray(Image.open(io.BytesIO(shot)).convert("RGB"))
    places = [divmod(number, ACROSS) for number in range(len(svgs))]
    return np.array([pixels[row * SIDE + SIDE // 2, column * SIDE + SIDE // 2] for row, column in places])


def test_paints_are_read_as_a_browser_paints_them_or_it_is_said() -> None:
    made = drawings()
    assert len(made) >= 600
    expected = painted([svg for _, _, svg in made]).astype(int)
    wrong, said = [], []
    for (place, notation, svg), pixel in zip(made, expected, strict=True):
        drawn = np.asarray(draw_svg(svg, SIDE))
        ours = drawn[SIDE // 2, SIDE // 2, :3].astype(int)
        if any(note.kind == "not understood" for note in normalise_paints(parse_svg(svg))):
            said.append((place, notation))
        elif np.abs(ours - pixel).max() > NEAR:
            wrong.append((place, notation, tuple(ours), tuple(pixel)))
    assert wrong == []
    assert len(said) <= 0.02 * len(made), said
