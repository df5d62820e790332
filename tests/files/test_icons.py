"""Icons and the tile: what is in them, drawn in the brand's own colours and letters."""

from __future__ import annotations

import io
import zipfile
from dataclasses import replace
from xml.etree import ElementTree

import pytest
from PIL import Image, ImageDraw

from tests.takes import TAKE
from tonada.core.take.take import Role, Take
from tonada.files.client_sheet import ExportHeader
from tonada.files.file_format import Handoff
from tonada.files.formats.icons import initial_of
from tonada.files.kinds import made_file

NAMES = ["Orrin Peak", "天文台", "مرصد الجبل", "Обсерватория", '<&"> Ltd', "…", "W" * 80, "Élan"]
SIZES = {
    "favicon-32.png": (32, 32),
    "app-icon-180.png": (180, 180),
    "app-icon-512.png": (512, 512),
    "social-tile.png": (1200, 630),
}


def icons_of(name: str, take: Take = TAKE, logo: bytes | None = None) -> dict[str, bytes]:
    made = made_file(Handoff(take, ExportHeader(name, "Take 1", "", logo)), "icons").content
    with zipfile.ZipFile(io.BytesIO(made)) as archive:
        return {entry: archive.read(entry) for entry in archive.namelist()}


def picture(content: bytes) -> Image.Image:
    return Image.open(io.BytesIO(content)).convert("RGB")


def badge(width: int, height: int) -> bytes:
    drawn = Image.new("RGBA", (width, height))
    ImageDraw.Draw(drawn).ellipse((0, 0, width - 1, height - 1), fill="#ffe9a8")
    made = io.BytesIO()
    drawn.save(made, "PNG")
    return made.getvalue()


@pytest.mark.parametrize("name", NAMES)
def test_every_name_has_its_icons_and_nothing_is_fetched(name: str) -> None:
    files = icons_of(name)
    assert sorted(files) == sorted([*SIZES, "favicon.svg", "social-tile.svg"])
    for entry, size in SIZES.items():
        assert picture(files[entry]).size == size
    for entry in ("favicon.svg", "social-tile.svg"):
        text = files[entry].decode()
        ElementTree.fromstring(text)
        assert "http" not in text.replace("http://www.w3.org/2000/svg", "")
    assert icons_of(name) == files, "the same each time"


def test_the_letter_stands_in_what_headings_use_on_primary() -> None:
    icon = picture(icons_of("Orrin Peak")["app-icon-512.png"])
    colors = {color: count for count, color in icon.getcolors(1 << 18) or []}
    lead = tuple(bytes.fromhex(TAKE.hex_of(Role.PRIMARY)[1:]))
    accent = tuple(bytes.fromhex(TAKE.hex_of(Role.ACCENT)[1:]))
    assert max(colors, key=lambda one: colors[one]) == lead
    assert colors[accent] > 5000, "the letter, in the accent"


@pytest.mark.parametrize("name", ["天文台", "مرصد", "O"])
def test_a_name_in_any_script_is_drawn_within_the_tile(name: str) -> None:
    tile = picture(icons_of(name)["social-tile.png"])
    lead = tuple(bytes.fromhex(TAKE.hex_of(Role.PRIMARY)[1:]))
    left = tile.crop((0, 0, 900, 630))
    drawn = sum(count for count, color in left.getcolors(1 << 20) or [] if color != lead)
    assert drawn > 400
    assert all(tile.getpixel((x, y)) == lead for x in (20, 880) for y in (20, 600)), "it keeps its margin"


def test_a_logo_that_is_nearly_square_is_the_icon_and_a_long_one_is_not() -> None:
    square = picture(icons_of("Orrin Peak", logo=badge(200, 200))["app-icon-512.png"])
    assert square.getpixel((256, 256)) == (255, 233, 168)
    long = picture(icons_of("Orrin Peak", logo=badge(900, 200))["app-icon-512.png"])
    assert (255, 233, 168) not in {color for _, color in long.getcolors(1 << 18) or []}
    tile = picture(icons_of("Orrin Peak", logo=badge(900, 200))["social-tile.png"])
    assert (255, 233, 168) in {color for _, color in tile.getcolors(1 << 20) or []}


def test_an_empty_take_has_plain_ones() -> None:
    assert picture(icons_of("Orrin Peak", Take())["favicon-32.png"]).getpixel((16, 1)) == (255, 255, 255)
    by_night = icons_of("Orrin Peak", TAKE.turned())
    assert by_night == icons_of("Orrin Peak"), "icons are of the day"
    bare = replace(TAKE, other=None)
    assert icons_of("Orrin Peak", bare) == by_night


def test_the_first_letter_is_as_people_count() -> None:
    assert [initial_of(name) for name in ("élan", "“Q”", "e\u0301lan", "9 to 5", "天文", "")] == [
        "É", "Q", "E\u0301", "9", "天", "•",
    ]  # fmt: skip
