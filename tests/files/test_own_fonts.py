"""Files that are set in a font of the brand's own."""

from __future__ import annotations

import base64
import io
import re
import subprocess
import zipfile
from dataclasses import replace
from pathlib import Path

import pytest
from fontTools.ttLib import TTFont

from tests.files.test_client_sheet import HEAD
from tests.fonts import ADVANCE, FAMILY, UNITS, font_file
from tests.takes import TAKE
from tonada.core.proof.typefaces import OwnFace
from tonada.core.take.take import Take
from tonada.files.brand_font import brand_font
from tonada.files.client_sheet import ExportHeader, html_sheet, pdf_sheet
from tonada.files.file_format import Handoff
from tonada.files.kinds import made_file
from tonada.files.page_faces import OwnFont, own_font
from tonada.intake.fonts import read_font

FACE = f"own: {FAMILY}"


def own(weight: int) -> OwnFont:
    found, content = read_font("a.ttf", font_file(weight=weight))
    return OwnFont(OwnFace(**{**found, "scripts": tuple(found["scripts"])}), content)


@pytest.fixture(scope="module")
def fonts() -> tuple[OwnFont, ...]:
    return own(400), own(800)


@pytest.fixture
def head(fonts: tuple[OwnFont, ...]) -> ExportHeader:
    return replace(HEAD, fonts=fonts)


def take(**faces: str) -> Take:
    return replace(TAKE, proof=replace(TAKE.proof, **faces))


def fonts_in(pdf: bytes, folder: Path) -> str:
    (folder / "sheet.pdf").write_bytes(pdf)
    listed = ["pdffonts", str(folder / "sheet.pdf")]
    return subprocess.run(listed, capture_output=True, text=True, check=True).stdout


def test_the_nearest_weight_is_taken(fonts: tuple[OwnFont, ...]) -> None:
    weights = {weight: own_font(FACE, weight, fonts) for weight in (1, 400, 500, 501, 1000)}
    assert [one is fonts[1] for one in weights.values()] == [False, False, False, True, True]
    assert own_font("Karla", 400, fonts) is None


def test_a_sheet_is_set_in_it_beside_one_that_ships(head: ExportHeader, tmp_path: Path) -> None:
    made = pdf_sheet(take(heading_face=FACE, text_face="Karla"), head, None)
    found = fonts_in(made, tmp_path)
    assert "Letters-own" in found, found
    assert "Letters-Karla" in found, found
    assert made == pdf_sheet(take(heading_face=FACE, text_face="Karla"), head, None), "the same each time"
    page = html_sheet(take(heading_face=FACE, text_face=FACE), head, None)
    assert page.count(f'font-family: "Letters {FACE}"; font-weight: 400 400;') == 1
    assert page.count(f'font-family: "Letters {FACE}"; font-weight: 800 800;') == 1
    assert page.count(f">{FAMILY}</strong>") == 2


def test_without_it_the_trades_own_face_stands_in(tmp_path: Path) -> None:
    found = fonts_in(pdf_sheet(take(heading_face=FACE), HEAD, None), tmp_path)
    assert "own" not in found
    assert "Letters" in found


def test_no_sheet_leaves_a_font_behind_for_the_next_one(head: ExportHeader, tmp_path: Path) -> None:
    before = pdf_sheet(TAKE, HEAD, None)
    pdf_sheet(take(heading_face=FACE), head, None)
    assert pdf_sheet(TAKE, HEAD, None) == before
    assert "own" not in fonts_in(before, tmp_path)


def test_an_icon_has_its_letter(fonts: tuple[OwnFont, ...], head: ExportHeader) -> None:
    made = brand_font(FACE, 700, "Hall", own_font(FACE, 700, fonts))
    assert made
    assert made.width == 4 * ADVANCE / UNITS
    assert letter_width(head) == ADVANCE / UNITS


def test_another_face_draws_an_icon_whose_letter_it_lacks(head: ExportHeader) -> None:
    assert letter_width(replace(head, brand="Őrház")) not in (0, ADVANCE / UNITS)
    assert letter_width(replace(head, brand="Ωmega")) not in (0, ADVANCE / UNITS)


def letter_width(head: ExportHeader) -> float:
    """Return how wide the letter of an icon is, at a size of 1."""
    icon = made_file(Handoff(take(heading_face=FACE), replace(head, logo=None), None), "icons")
    with zipfile.ZipFile(io.BytesIO(icon.content)) as archive:
        drawn = next(archive.read(name).decode() for name in archive.namelist() if name.endswith(".svg"))
    embedded = re.search(r"font/woff2;base64,([^)\"']+)", drawn)
    assert embedded
    font = TTFont(io.BytesIO(base64.b64decode(embedded[1])))
    first = font.getBestCmap()[ord(head.brand[0])]
    return float(font["hmtx"][first][0]) / font["head"].unitsPerEm


def test_slides_name_the_family(head: ExportHeader) -> None:
    made = made_file(Handoff(take(heading_face=FACE), head, None), "pptx")
    with zipfile.ZipFile(io.BytesIO(made.content)) as archive:
        theme = archive.read("ppt/theme/theme1.xml").decode()
    assert f'typeface="{FAMILY}"' in theme
    assert FACE not in theme
