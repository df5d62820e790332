"""The icon of a tab, the icon of an app, and the tile that others show of the website."""

from __future__ import annotations

import base64
import io
import unicodedata
from dataclasses import dataclass, replace
from html import escape
from itertools import takewhile
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Final

import resvg_py
from PIL import Image

from tonada.core.color.spaces import Hex
from tonada.core.proof.grounds import grounds_of
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Role, Take
from tonada.files.brand_font import FAMILY, BrandFont, brand_font
from tonada.files.file_format import FileFormat, Handoff, zipped
from tonada.files.page_faces import own_font
from tonada.files.shown_logo import first_that_shows, logo_for

# Pixels. The sizes that browsers and phones ask for, and the proportion of a shared link's picture.
TAB: Final = 32
APP_SIZES: Final = (180, 512)
TILE: Final = (1200, 630)
ICON: Final = 512
# How round the corners of a tab's icon are, and how much of an icon its sign fills. A phone rounds its own.
_ROUND: Final = 0.22
_FILLED: Final = 0.64
# A logo this near to a square is the icon; of a long one nothing would be left.
_SQUARE: Final = (0.7, 1.45)
_LARGEST: Final = 104.0
_MARGIN: Final = 84.0
_LINES_OF: Final = 0.78  # what a stripe's column leaves of the tile's width


@dataclass(frozen=True, slots=True)
class _Stand:
    """What an icon stands on, and what a heading uses there."""

    hex: Hex
    heading: Hex


_EMPTY: Final = _Stand("#ffffff", "#000000")


def make_icons(handoff: Handoff) -> bytes:
    """Return an archive: each as SVG, with all that it needs in it, and as PNG."""
    take = handoff.take if handoff.take.scheme == "day" else handoff.take.turned()
    icon, initial = _icon(handoff, take, rounded=True)
    square, _ = _icon(handoff, take, rounded=False)
    tile, words = _tile(handoff, take)
    files = {
        "favicon.svg": icon.encode(),
        f"favicon-{TAB}.png": _drawn(icon, initial, TAB),
        **{f"app-icon-{size}.png": _drawn(square, initial, size) for size in APP_SIZES},
        "social-tile.svg": tile.encode(),
        "social-tile.png": _drawn(tile, words, TILE[0]),
    }
    return zipped(files)


def _icon(handoff: Handoff, take: Take, *, rounded: bool) -> tuple[str, BrandFont | None]:
    """Return the icon: a logo that is nearly square, else the first letter of the name."""
    round_by = f' rx="{ICON * _ROUND:g}"' if rounded else ""
    logo = handoff.head.logo
    if logo is not None and _is_square(logo):
        ground = _ground_for(logo, take)
        side = ICON * _FILLED
        at = (ICON - side) / 2
        body = _picture(logo_for(logo, ground.hex, ground.heading), at, at, side, side)
        return _svg((ICON, ICON), ground.hex, round_by, body, None), None
    ground = _offered(take)[0]
    letter = initial_of(handoff.head.brand)
    font = _font(handoff, take, letter)
    size = ICON * _FILLED
    middle = font.middle if font else 0.36
    body = (
        f'<text x="{ICON / 2}" y="{ICON / 2 + size * middle:g}" text-anchor="middle" font-family="{FAMILY}, '
        f'sans-serif" font-size="{size:g}" fill="{ground.heading}">{escape(letter)}</text>'
    )
    return _svg((ICON, ICON), ground.hex, round_by, body, font), font


def _tile(handoff: Handoff, take: Take) -> tuple[str, BrandFont | None]:
    """Return the tile: the name on the lead, the logo above it, and the colours at their side."""
    width, height = TILE
    logo = handoff.head.logo
    ground = _ground_for(logo, take) if logo else _offered(take)[0]
    name = handoff.head.brand
    font = _font(handoff, take, name)
    room = width * _LINES_OF - 2 * _MARGIN
    size = min(_LARGEST, room / font.width) if font and font.width else _LARGEST / 2
    body = [
        f'<text x="{_MARGIN:g}" y="{height - _MARGIN:g}" font-family="{FAMILY}, sans-serif" '
        f'font-size="{size:.4g}" fill="{ground.heading}">{escape(name)}</text>'
    ]
    if logo:
        shown = logo_for(logo, ground.hex, ground.heading)
        body.append(_picture(shown, _MARGIN, _MARGIN, room, 150, "xMinYMin"))
    stripes = [role for role in (Role.PAPER, Role.SECONDARY, Role.ACCENT, Role.DEEP) if take.has_role(role)]
    left, each = width * _LINES_OF, height / max(1, len(stripes))
    body += [
        f'<rect x="{left:g}" y="{row * each:g}" width="{width - left:g}" height="{each:g}" '
        f'fill="{take.hex_of(role)}"/>'
        for row, role in enumerate(stripes)
    ]
    return _svg(TILE, ground.hex, "", "".join(body), font), font


def initial_of(name: str) -> str:
    """Return the first letter or figure of a name with the marks that are on it, large where it has such."""
    first = next((at for at, one in enumerate(name) if unicodedata.category(one)[0] in "LN"), None)
    if first is None:
        return "•"
    marks = takewhile(lambda one: unicodedata.category(one)[0] == "M", name[first + 1 :])
    return f"{name[first].upper()}{''.join(marks)}"


def _svg(size: tuple[int, int], ground: Hex, round_by: str, body: str, font: BrandFont | None) -> str:
    width, height = size
    face = f"<style>@font-face{{font-family:{FAMILY};src:url({font.data})}}</style>" if font else ""
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {height}" width="{width}" '
        f'height="{height}">{face}<rect width="{width}" height="{height}"{round_by} fill="{ground}"/>'
        f"{body}</svg>\n"
    )


def _drawn(svg: str, font: BrandFont | None, width: int) -> bytes:
    """Return a PNG, so many pixels wide."""
    with TemporaryDirectory() as folder:
        file = Path(folder) / "brand.ttf"
        if font:
            file.write_bytes(font.truetype)
        return bytes(
            resvg_py.svg_to_bytes(
                svg_string=svg,
                width=width,
                skip_system_fonts=True,
                font_files=[str(file)] if font else [],
            )
        )


def _picture(png: bytes, x: float, y: float, width: float, height: float, at: str = "xMidYMid") -> str:
    data = base64.b64encode(png).decode()
    return (
        f'<image x="{x:g}" y="{y:g}" width="{width:g}" height="{height:g}" preserveAspectRatio="{at} meet" '
        f'href="data:image/png;base64,{data}"/>'
    )


def _font(handoff: Handoff, take: Take, words: str) -> BrandFont | None:
    head = handoff.head
    proof = head.set_in(take)
    face, weight = proof.heading_face or "", proof.size_of("h1").weight
    own = own_font(face, weight, head.fonts)
    if own and not own.draws(words):
        return brand_font(replace(head, fonts=()).set_in(take).heading_face or "", weight, words)
    return brand_font(face, weight, words, own)


def _is_square(logo: bytes) -> bool:
    with Image.open(io.BytesIO(logo)) as picture:
        least, most = _SQUARE
        return least <= picture.width / picture.height <= most


def _ground_for(logo: bytes, take: Take) -> _Stand:
    """Return the ground on which a logo is seen, the lead first."""
    offered = _offered(take)
    shows = first_that_shows(logo, [stand.hex for stand in offered])
    return next(stand for stand in offered if stand.hex == shows)


def _offered(take: Take) -> list[_Stand]:
    """Return the grounds that an icon may stand on, the lead first; plain white of an empty take."""
    grounds = {ground.id: ground for ground in grounds_of(take)}
    there = [grounds[role] for role in (Role.PRIMARY, Role.DEEP, Role.PAPER) if role in grounds]
    headings = [
        _Stand(ground.hex, use.hex)
        for ground in there
        for use in ground.elements
        if use.element == Element.HEADING
    ]
    return headings or [_EMPTY]


FORMAT: Final = FileFormat(
    kind="icons",
    name="Icons and tile",
    note="for tabs, phones and shared links",
    ending="-icons.zip",
    mimetype="application/zip",
    make=make_icons,
)
