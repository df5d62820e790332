"""Hostile drawings: everything that makes a renderer work for nothing."""

from __future__ import annotations

import base64
import io
import zlib
from collections.abc import Iterator

import numpy as np
from PIL import Image

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" '
RECT = '<rect width="100" height="100" fill="#2b3a8c"/>'


def svg(body: str, attributes: str = 'viewBox="0 0 100 100"') -> bytes:
    return f"{HEAD}{attributes}>{body}</svg>".encode()


def filtered(primitives: str, uses: int = 1) -> bytes:
    used = '<rect width="100" height="100" fill="#2b3a8c" filter="url(#f)"/>' * uses
    return svg(f'<filter id="f" x="-9" y="-9" width="99" height="99">{primitives}</filter>{used}')


def png(width: int, height: int) -> bytes:
    file = io.BytesIO()
    Image.new("L", (width, height)).save(file, "PNG")
    return file.getvalue()


def drawings(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    """Name each drawing by what it does."""
    yield from _filters()
    yield from _layers()
    yield from _numbers(random)
    yield from _references()
    yield from _texts()
    yield from _pictures()


def _filters() -> Iterator[tuple[str, bytes]]:
    for octaves in (2, 6, 7, 100, 1_000_000, "1e9", "-4", "NaN", "9" * 400):
        primitive = f'<feTurbulence baseFrequency="0.4" numOctaves="{octaves}"/>'
        yield f"turbulence of {str(octaves)[:12]} octaves", filtered(primitive)
    for radius in (1, 50, 5000, 1e12):
        yield f"morphology of {radius}", filtered(f'<feMorphology operator="dilate" radius="{radius}"/>')
    for order in (3, 7, 50, 500):
        kernel = "1 " * min(order * order, 40_000)
        yield (
            f"convolution of {order}",
            filtered(f'<feConvolveMatrix order="{order}" kernelMatrix="{kernel}"/>'),
        )
    light = (
        '<feSpecularLighting specularExponent="128"><fePointLight x="1" y="1" z="9"/></feSpecularLighting>'
    )
    for count in (1, 9, 200):
        yield f"{count} lights", filtered(light * count)
    for count, uses in ((1, 300), (9, 1), (9, 100), (400, 1), (10, 5)):
        blurs = '<feGaussianBlur stdDeviation="400"/>' * count
        yield f"{count} blurs, {uses} times", filtered(blurs, uses)
    merged = "<feMerge>" + '<feMergeNode in="SourceGraphic"/>' * 5000 + "</feMerge>"
    yield "a merge of thousands", filtered(merged)
    yield (
        "a filter by a stylesheet",
        svg(
            '<style>rect{filter:url(#f)}</style><filter id="f"><feGaussianBlur stdDeviation="90"/></filter>'
            + RECT * 4000
        ),
    )
    yield "a displacement", filtered('<feTurbulence/><feDisplacementMap in="SourceGraphic" scale="1e30"/>')


def _layers() -> Iterator[tuple[str, bytes]]:
    for depth in (20, 150, 199, 3000):
        yield f"opacity {depth} deep", svg('<g opacity=".99">' * depth + RECT + "</g>" * depth)
    for count in (500, 9000, 19_900):
        yield f"{count} translucent circles", svg('<circle cx="50" cy="50" r="50" opacity=".9"/>' * count)
    mask = "".join(f'<mask id="m{n}"><g mask="url(#m{n + 1})">{RECT}</g></mask>' for n in range(300))
    yield "masks in masks", svg(f'{mask}<rect width="9" height="9" mask="url(#m0)"/>')
    yield (
        "many masks",
        svg(f'<mask id="m">{RECT}</mask>' + '<g mask="url(#m)"><rect width="99" height="99"/></g>' * 3000),
    )
    clips = "".join(f'<clipPath id="c{n}" clip-path="url(#c{n + 1})">{RECT}</clipPath>' for n in range(900))
    yield "clips of clips", svg(f'{clips}<rect width="9" height="9" clip-path="url(#c0)"/>')
    patterns = "".join(
        f'<pattern id="p{n}" width=".01" height=".01">'
        f'<rect width="1" height="1" fill="url(#p{n + 1})"/></pattern>'
        for n in range(12)
    )
    yield "patterns of patterns", svg(f'{patterns}<rect width="100" height="100" fill="url(#p0)"/>')
    yield (
        "a tiny pattern",
        svg(
            '<pattern id="p" width="0.0001" height="0.0001" patternUnits="userSpaceOnUse">'
            '<path d="M0 0h1"/></pattern><rect width="100" height="100" fill="url(#p)"/>'
        ),
    )
    marker = '<marker id="m" markerWidth="9" markerHeight="9">' + RECT * 60 + "</marker>"
    yield (
        "markers on every corner",
        svg(f'{marker}<path fill="none" stroke="#000" marker-mid="url(#m)" d="M0 0{"L9 9L0 0" * 30_000}"/>'),
    )
    yield (
        "markers in markers",
        svg(
            '<marker id="a"><path marker-mid="url(#b)" d="M0 0L1 1L2 2"/></marker><marker id="b">'
            '<path marker-mid="url(#a)" d="M0 0L1 1L2 2"/></marker>'
            '<path marker-mid="url(#a)" d="M0 0L1 1L2 2"/>'
        ),
    )
    yield (
        "blend modes",
        svg('<g style="mix-blend-mode:multiply;isolation:isolate">' * 120 + RECT + "</g>" * 120),
    )


def _numbers(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    for count in (5000, 60_000, 200_000):
        attributes = " ".join(f'a{n}="1"' for n in range(count))
        yield f"{count} attributes", svg(f"<path {attributes}/>")
    for rules, elements in ((50, 100), (5000, 100), (5000, 5000), (60_000, 2)):
        css = "".join(f".c{n}{{fill:#{n % 4096:03x}}}" for n in range(rules))
        yield (
            f"{rules} rules, {elements} elements",
            svg(f"<style>{css}</style>" + '<rect class="c1" width="1" height="1"/>' * elements),
        )
    yield (
        "a selector of thousands",
        svg(f"<style>{','.join(['rect rect'] * 50_000)}{{fill:red}}</style>{RECT * 50}"),
    )
    for length in (20_000, 400_000, 3_000_000):
        yield f"a path of {length}", svg(f'<path fill="#123456" d="M0 0{"l9 9-9 0" * (length // 8)}"/>')
    yield "arcs", svg(f'<path stroke="#000" d="M0 0{"A1 1 0 1 1 50 50A1 1 0 0 0 0 0" * 40_000}"/>')
    yield "dashes", svg('<path stroke="#000" stroke-dasharray="1e-6" d="M0 0H1e9"/>')
    yield (
        "a hundred thousand dashes",
        svg(f'<path stroke="#000" stroke-dasharray="{"0.001 " * 100_000}" d="M0 0H100"/>'),
    )
    for size in ("1e9", "1e30", "0", "-5", "NaN", "1e-30", "99999999999999999999"):
        yield f"a size of {size}", svg(RECT, f'width="{size}" height="{size}"')
        yield f"a box of {size}", svg(RECT, f'viewBox="0 0 {size} 1"')
    for power in (9, 38, 300):
        moves = " ".join(f"{random.normal() * 10.0**power:.3e}" for _ in range(4000))
        yield f"coordinates of 1e{power}", svg(f'<polygon fill="#123456" points="{moves}"/>')
        yield (
            f"a transform of 1e{power}",
            svg(f'<g transform="scale(1e{power}) rotate(1e{power})">{RECT}</g>'),
        )
    stops = "".join(f'<stop offset="{n / 60_000}" stop-color="#{n % 4096:03x}"/>' for n in range(15_000))
    yield (
        "a gradient of thousands",
        svg(
            f'<linearGradient id="g">{stops}</linearGradient><rect width="100" height="100" fill="url(#g)"/>'
        ),
    )
    colors = "".join(
        f'<rect x="{n % 100}" y="{n // 100}" width="1" height="1" fill="#{n:06x}"/>' for n in range(9000)
    )
    yield "thousands of colours", svg(colors)
    yield "millions of elements", svg("<a/>" * 1_500_000)
    yield "nested a hundred thousand deep", svg("<g>" * 100_000 + "</g>" * 100_000)


def _references() -> Iterator[tuple[str, bytes]]:
    bomb = "".join(f'<g id="u{n}">' + f'<use href="#u{n + 1}"/>' * 10 + "</g>" for n in range(9))
    yield "uses of uses", svg(f'{bomb}<g id="u9">{RECT}</g><use href="#u0"/>')
    yield "a use of itself", svg('<g id="a"><use href="#a"/></g>')
    yield "a circle of uses", svg('<g id="a"><use href="#b"/></g><g id="b"><use xlink:href="#a"/></g>')
    yield "symbols", svg(f'<symbol id="s">{RECT * 900}</symbol>' + '<use href="#s"/>' * 100)
    yield (
        "a million laughs",
        (
            b'<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">'
            b'<!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;">]><svg xmlns="http://www.w3.org/2000/svg"><text>&c;</text></svg>'
        ),
    )
    yield (
        "an outside entity",
        b'<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>' + svg("<text>&x;</text>"),
    )
    for address in (
        "file:///etc/passwd",
        "http://127.0.0.1:1/x.png",
        "//evil.example/x",
        "data:text/html,x",
        "data:image/svg+xml,<svg/>",
    ):
        yield f"an image at {address}", svg(f'<image width="9" height="9" href="{address}"/>')
        yield f"a paint at {address}", svg(f'<rect width="9" height="9" fill="url({address}#a)"/>')
    yield "an import", svg("<style>@import 'http://127.0.0.1:1/x.css';</style>" + RECT)
    for name in ("script", "foreignObject", "iframe", "embed", "object"):
        yield f"a {name}", svg(f"<{name}>alert(1)</{name}>{RECT}")
    yield "a handler", svg('<rect width="9" height="9" onload="alert(1)"/>')


def _texts() -> Iterator[tuple[str, bytes]]:
    for length in (2000, 60_000, 1_000_000):
        yield f"a text of {length}", svg(f'<text font-size="40" font-family="serif">{"W" * length}</text>')
    letters = "".join(map(chr, range(0x100, 0xD000)))
    yield (
        "letters of every script",
        svg(f'<text y="50" font-size="9">{letters}</text>'),
    )
    spans = '<tspan x="1" y="9">W</tspan>' * 15_000
    yield "thousands of spans", svg(f"<text>{spans}</text>")
    yield "a giant letter", svg('<text font-size="1e9">W</text>')
    yield "a comment of megabytes", svg(f"<!--{'x' * 4_000_000}-->{RECT}")
    long = "x" * 4_000_000
    yield "a value of megabytes", svg(f'<rect width="9" height="9" data-x="{long}"/>')
    yield "UTF-16", f"{HEAD}>{RECT}</svg>".encode("utf-16")
    yield "no UTF-8", svg(RECT).replace(b"rect", b"r\xff\xfect")
    yield "U+0000", svg(RECT).replace(b"rect", b"re\x00ct")
    yield "cut off", svg(RECT)[:80]
    yield "HTML", b"<!-- x --><html><body><h1>hello</h1></body></html>"


def _pictures() -> Iterator[tuple[str, bytes]]:
    def holding(content: bytes, times: int = 1, mime: str = "png") -> bytes:
        data = base64.b64encode(content).decode()
        return svg(f'<image width="9" height="9" href="data:image/{mime};base64,{data}"/>' * times)

    yield "a picture of 49 megapixels inside", holding(png(7000, 7000))
    yield "many pictures inside", holding(png(3000, 3000), 40)
    yield "small pictures, many", holding(png(40, 40), 3000)
    yield "a broken picture inside", holding(png(40, 40)[:60])
    yield "no picture inside", holding(b"x" * 500_000)
    yield "a GIF that is a PNG", holding(png(3000, 3000), 1, "gif")
    bomb = base64.b64encode(png(6900, 6900)).decode()
    yield (
        "a bomb used again",
        svg(
            f'<image id="i" width="9" height="9" href="data:image/png;base64,{bomb}"/>'
            + '<use href="#i"/>' * 200
        ),
    )
    yield "not base64", svg('<image width="9" height="9" href="data:image/png;base64,@@@@"/>')
    yield "deflated nonsense", holding(b"\x89PNG\r\n\x1a\n" + zlib.compress(b"\0" * 3_000_000))
