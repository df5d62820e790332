"""The client's sheet: one composed page, further ones by wish, accessible as it claims, in any script."""

from __future__ import annotations

import base64
import ctypes
import io
import re
import subprocess
from collections.abc import Callable
from dataclasses import replace
from itertools import product
from pathlib import Path
from typing import get_args

import pypdfium2
import pypdfium2.raw as raw
import pytest
from PIL import Image

from tests.sampling import sampled
from tests.takes import FAILING, TAKE, TYPED
from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.take import Role, Swatch
from tonada.files.client_sheet import (
    ALL_PAGES,
    FIRST_PAGE,
    ExportHeader,
    Paper,
    SheetPages,
    html_sheet,
    pdf_sheet,
)
from tonada.files.page_faces import face_data
from tonada.files.press_profile import usual_press
from tonada.files.sheet_front import front_of
from tonada.files.sheet_preview import preview_of

VERSION = "version 4, 26 November 2026"
HEAD = ExportHeader("Orrin Peak Observatory", "Take 1", "version 4, http://127.0.0.1:8000/x", version=VERSION)
LONG = "Ausschuss für die Schiffbarmachung der östlichen Küstengewässer und Wattinseln"
EXTRA = tuple(
    Swatch(f"s{row + 50}", f"Extra colour {row}", f"#{row * 999 + 4096:06x}", False, TYPED)
    for row in range(9)
)
MANY = replace(TAKE, swatches=TAKE.swatches + EXTRA)


def words_of(pdf: bytes, tmp_path: Path) -> str:
    file = tmp_path / "sheet.pdf"
    file.write_bytes(pdf)
    return subprocess.run(
        ["pdftotext", "-layout", file, "-"], capture_output=True, text=True, check=True
    ).stdout


def pages_of(pdf: bytes) -> int:
    return preview_of(pdf).count


TAKES = {"usual": TAKE, "failing": FAILING, "many colours": MANY}
BRANDS = {"short": "Orrin Peak Observatory", "long": LONG}


@pytest.mark.parametrize("case", sampled(product(get_args(Paper), TAKES, BRANDS), keep=2), ids="-".join)
def test_it_is_one_page(case: tuple[Paper, str, str]) -> None:
    paper, take, brand = case[0], TAKES[case[1]], BRANDS[case[2]]
    assert pages_of(pdf_sheet(take, replace(HEAD, brand=brand), usual_press(), paper)) == 1


def test_the_first_page_says_the_colours_the_shares_the_pairs_and_the_letters(tmp_path: Path) -> None:
    text = words_of(pdf_sheet(TAKE, HEAD, usual_press()), tmp_path)
    for said in ("#2b3a8c", "43, 58, 140", "98 93 9 2", "15.49:1", "on Paper, all text", VERSION):
        assert said in text, said
    for said in ("Space Grotesk", "Literata", "headings 51 · 30 · 21", "Paper 42%"):
        assert said in text, said
    assert "127.0.0.1" not in text, "no server address"


@pytest.mark.detail
def test_further_pages_come_by_wish_and_by_night_too(tmp_path: Path) -> None:
    said = {
        "values": ("Values by day", "Values by night", "hsl("),
        "steps": ("Tints and shades", "Neutral"),
        "grounds": ("Which colours go together, by day", "by night", "Heading: Primary #2b3a8c, 9.64:1"),
        "pairs": ("Pairs by day, held to level AA", "Pairs by night", "Ink on Paper"),
    }
    plain = words_of(pdf_sheet(TAKE, HEAD, None), tmp_path)
    for page, words in said.items():
        text = words_of(pdf_sheet(TAKE, HEAD, None, "A4", SheetPages(**{page: True})), tmp_path)
        for word in words:
            assert word in text, (page, word)
        assert words[0] not in plain
    assert "fails" in words_of(pdf_sheet(FAILING, HEAD, None, "A4", ALL_PAGES), tmp_path)


def test_every_pair_of_the_first_page_passes_as_it_says() -> None:
    for take in (TAKE, FAILING, MANY, TAKE.turned()):
        front = front_of(take, evaluate(take), None, HEAD.set_in(take))
        assert front.pairs
        for pair in front.pairs:
            exact = ratio_between(pair.text_hex, pair.ground_hex)
            assert exact >= (4.5 if pair.good_for == "all text" else 3)
            assert 0 <= exact - float(pair.ratio) < 0.01, "cut, never rounded up"
        values = [*(area.values for area in front.areas), *front.others]
        assert all(ratio_between(one.label, one.hex) >= 4.5 for one in values)


def test_the_areas_cover_the_page_and_none_is_another() -> None:
    roles = (Role.PAPER, Role.MIST, Role.PRIMARY, Role.SECONDARY, Role.ACCENT)
    for missing in ((), (Role.SECONDARY,), (Role.MIST, Role.ACCENT)):
        kept = tuple(one for one in TAKE.roles if one.role not in missing)
        ends = {one.role for one in kept}
        pairs = tuple(one for one in TAKE.pairs if {one.text, one.ground} <= ends)
        take = replace(TAKE, roles=kept, pairs=pairs, other=None)
        areas = front_of(take, evaluate(take), None, HEAD.set_in(take)).areas
        assert len(areas) == len(roles) - len(missing)
        assert sum(area.width * area.height for area in areas) == pytest.approx(10_000)


def alternative_texts(file: Path) -> list[str]:
    """Return what stands for the figures of a PDF's first page, in their order."""
    document = pypdfium2.PdfDocument(file)
    page = document[0]
    tree = raw.FPDF_StructTree_GetForPage(page)
    found: list[str] = []

    def walk(element: object) -> None:
        kind = said_by(raw.FPDF_StructElement_GetType, element)
        if kind == "Figure":
            found.append(said_by(raw.FPDF_StructElement_GetAltText, element))
        for row in range(raw.FPDF_StructElement_CountChildren(element)):
            child = raw.FPDF_StructElement_GetChildAtIndex(element, row)
            if child:
                walk(child)

    for row in range(raw.FPDF_StructTree_CountChildren(tree)):
        walk(raw.FPDF_StructTree_GetChildAtIndex(tree, row))
    raw.FPDF_StructTree_Close(tree)
    document.close()
    return found


def said_by(ask: Callable[..., int], element: object) -> str:
    """Return what a function of PDFium writes, which gives the bytes that it needs first."""
    size = ask(element, None, 0)
    written = ctypes.create_string_buffer(size)
    ask(element, written, size)
    return written.raw.decode("utf-16-le").rstrip("\0")


def test_it_is_tagged_with_alternative_texts_and_headers_of_tables(tmp_path: Path) -> None:
    made = io.BytesIO()
    Image.new("RGB", (40, 20), (200, 30, 30)).save(made, "PNG")
    file = tmp_path / "tagged.pdf"
    file.write_bytes(pdf_sheet(TAKE, replace(HEAD, logo=made.getvalue()), usual_press(), "A4", ALL_PAGES))
    tree = subprocess.run(["pdfinfo", "-struct", file], capture_output=True, text=True, check=True).stdout
    assert re.search(r"^\s*H1 ", tree, re.MULTILINE)
    grounds = [f"The logo on {role}" for role in ("Paper", "Deep", "Primary")]
    assert alternative_texts(file) == ["Logo of Orrin Peak Observatory", *grounds]
    cells = len(re.findall(r"^\s*TD:", tree, re.MULTILINE))
    assert cells > 100
    assert len(re.findall(r"^\s*/Headers \[", tree, re.MULTILINE)) >= cells, "each knows its headers"
    said = subprocess.run(["pdfinfo", "-meta", file], capture_output=True, text=True, check=True).stdout
    assert re.search(r"pdfuaid:part=.1", said)
    info = subprocess.run(["pdfinfo", file], capture_output=True, text=True, check=True).stdout
    assert re.search(r"Title:\s+Orrin Peak Observatory: colours", info)


@pytest.mark.detail(4)
def test_names_in_other_scripts_have_letters(tmp_path: Path) -> None:
    swatches = tuple(
        replace(one, name=name) for one, name in zip(TAKE.swatches, ("青い海", "Ёлка", "ελιά"), strict=False)
    )
    take = replace(TAKE, swatches=swatches + TAKE.swatches[3:])
    text = words_of(
        pdf_sheet(take, replace(HEAD, brand="天文台 Обсерватория"), None, "A4", ALL_PAGES), tmp_path
    )
    assert "天文台 Обсерватория" in text
    fonts = subprocess.run(
        ["pdffonts", tmp_path / "sheet.pdf"], capture_output=True, text=True, check=True
    ).stdout
    assert "CJK" in fonts, "not the boxes of a letter that no font has"


@pytest.mark.detail(2)
@pytest.mark.parametrize(
    ("name", "script"),
    [
        ("หอดูดาวเทือกเขา", "Thai"),
        ("वेधशाला पर्वत", "Devanagari"),
        ("মানমন্দির", "Bengali"),
        ("ኦብዘርቫቶሪ", "Ethiopic"),
    ],
)
def test_alphabets_of_asia_and_africa_have_letters(name: str, script: str, tmp_path: Path) -> None:
    (tmp_path / "sheet.pdf").write_bytes(pdf_sheet(TAKE, replace(HEAD, brand=name), None))
    fonts = subprocess.run(
        ["pdffonts", tmp_path / "sheet.pdf"], capture_output=True, text=True, check=True
    ).stdout
    assert re.search(f"Noto-?(Sans|Serif|Looped)-?{script}", fonts.replace("-Bold", "")), fonts


def test_the_faces_are_set_in_themselves(tmp_path: Path) -> None:
    faces = replace(TAKE.proof, heading_face="Fraunces", text_face="Space Grotesk")
    (tmp_path / "sheet.pdf").write_bytes(pdf_sheet(replace(TAKE, proof=faces), HEAD, None))
    fonts = subprocess.run(
        ["pdffonts", tmp_path / "sheet.pdf"], capture_output=True, text=True, check=True
    ).stdout
    assert "Letters-Fraunces" in fonts
    assert "Letters-Space-Grotesk" in fonts
    again = pdf_sheet(replace(TAKE, proof=faces), HEAD, None)
    assert again == (tmp_path / "sheet.pdf").read_bytes(), "the same each time"
    html = html_sheet(replace(TAKE, proof=faces), HEAD, None)
    assert html.count("data:font/woff2;base64,") == 2
    front = front_of(TAKE, evaluate(TAKE), None, faces)
    assert [one.face for one in front.letters] == ["Fraunces", "Space Grotesk"]


def test_without_the_front_end_the_faces_are_only_named(
    monkeypatch: pytest.MonkeyPatch, tmp_path: Path
) -> None:
    monkeypatch.setenv("TONADA_FRONTEND", str(tmp_path))
    face_data.cache_clear()
    html = html_sheet(TAKE, HEAD, None)
    face_data.cache_clear()
    assert "data:font/woff2" not in html
    assert "Literata" in html, "an observatory’s own"
    assert face_data("No such face") is None


def test_the_preview_has_the_colours_of_the_page() -> None:
    preview = preview_of(pdf_sheet(TAKE, HEAD, None))
    assert preview.count == len(preview.pages) == 1
    data = base64.b64decode(preview.pages[0].partition(",")[2])
    picture = Image.open(io.BytesIO(data)).convert("RGB")
    found = {color for _, color in picture.getcolors(1 << 24) or []}
    for role in (Role.PRIMARY, Role.PAPER, Role.ACCENT, Role.MUTED):
        assert tuple(int(part) for part in hex_to_srgb8(TAKE.hex_of(role))) in found, role


def test_the_html_says_the_same_and_only_what_is_wished() -> None:
    assert "Values by day" not in html_sheet(TAKE, HEAD, None, FIRST_PAGE)
    page = html_sheet(TAKE, HEAD, usual_press(), ALL_PAGES)
    for said in ("Values by day", "Tints and shades", "Pairs by night", "#2b3a8c", VERSION):
        assert said in page
    assert "127.0.0.1" not in page


def test_the_logo_stands_on_light_on_dark_and_on_a_tile(tmp_path: Path) -> None:
    made = io.BytesIO()
    drawn = Image.new("RGBA", (120, 40))
    drawn.paste("#131c4c", (10, 10, 110, 30))
    drawn.save(made, "PNG")
    navy = made.getvalue()
    page = html_sheet(TAKE, replace(HEAD, logo=navy), None)
    marks = re.findall(r'class="mark[^>]*background: (#\w+)"><img src="data:image/png;base64,([^"]+)', page)
    assert [ground for ground, _ in marks] == [TAKE.hex_of(role) for role in ("paper", "deep", "primary")]
    light, dark, _ = (
        Image.open(io.BytesIO(base64.b64decode(data))).convert("RGBA").getpixel((60, 20)) for _, data in marks
    )
    assert light == (0x13, 0x1C, 0x4C, 255)
    assert dark != light, "it would be lost there"
    assert 'class="mark' not in html_sheet(TAKE, HEAD, None), "there is no logo"
