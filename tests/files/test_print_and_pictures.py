"""The sheet in print, its pages, and pictures of many swatches."""

from __future__ import annotations

import io
import zipfile
from dataclasses import replace
from pathlib import Path

import pytest
from hypothesis import given, settings
from PIL import Image

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE, take_of
from tonada.core.color.press import INK_LIMIT, is_text_black
from tonada.core.color.spaces import difference_between
from tonada.core.errors import InputError
from tonada.core.formats.sheet import Options
from tonada.core.proof.grounds import grounds_of
from tonada.files import press_profile
from tonada.files.client_sheet import (
    ALL_PAGES,
    LEAST_FILLED,
    ExportHeader,
    SheetPages,
    least_filled,
    pdf_sheet,
)
from tonada.files.file_format import Handoff
from tonada.files.formats.png import MOST_HIGH
from tonada.files.kinds import made_file
from tonada.files.press_profile import USUAL_PROFILES, press_of, presses

HEAD = ExportHeader("Orrin Peak", "Take 1", "", version="version 1")
PAGES = {
    "values": SheetPages(values=True),
    "steps": SheetPages(steps=True),
    "grounds": SheetPages(grounds=True),
    "pairs": SheetPages(pairs=True),
    "all": ALL_PAGES,
}


@given(hexes)
@settings(max_examples=examples(200), deadline=None)
def test_no_press_gets_more_ink_than_paper_takes(value: str) -> None:
    for press in presses().values():
        printed = press.printed(value)
        inks = (printed.cyan, printed.magenta, printed.yellow, printed.black)
        assert sum(inks) <= INK_LIMIT, (press.name, value, inks)
        assert all(0 <= ink <= 100 for ink in inks)


def test_black_of_texts_is_black_ink_alone() -> None:
    for press in presses().values():
        for value in ("#000000", "#0a0a0a", "#161616", "#14161a"):
            assert is_text_black(value)
            printed = press.printed(value)
            assert (printed.cyan, printed.magenta, printed.yellow) == (0, 0, 0), value
            assert printed.black >= 80
        assert press.printed("#000000").black == 100
        # A dark blue keeps its hue.
        assert not is_text_black("#131c4c")
        assert press.printed("#131c4c").cyan > 50


def test_within_the_limit_a_colour_stays_as_near_as_it_was() -> None:
    """Ink that is given up for black changes what is seen by little, if at all."""
    for press in presses().values():
        for value in ("#02100a", "#0a0f2a", "#1a0508", "#001018"):
            printed = press.printed(value)
            assert difference_between(printed.hex, value) < 0.09, (press.name, value, printed)


def test_a_press_is_chosen_by_its_name_among_those_installed(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    usual = press_of("").name
    profile = USUAL_PROFILES[0].read_bytes()
    other = "Another".ljust(len(usual))
    (tmp_path / "other.icc").write_bytes(
        profile.replace(usual.encode(), other.encode()).replace(
            usual.encode("utf-16-be"), other.encode("utf-16-be")
        )
    )
    (tmp_path / "screen.icc").write_bytes(b"\0" * 12 + b"mntrRGB " + b"\0" * 100)
    (tmp_path / "broken.icc").write_bytes(b"\0" * 12 + b"prtrCMYK" + b"\0" * 100)
    monkeypatch.setattr(press_profile, "FOLDERS", (tmp_path,))
    presses.cache_clear()
    try:
        assert list(presses()) == [usual, "Another"]
        assert press_of("Another").name == "Another"
        with pytest.raises(InputError, match=f"installed here are: {usual}, Another"):
            press_of("A third")
    finally:
        presses.cache_clear()


@pytest.mark.parametrize("name", PAGES)
def test_no_page_of_the_sheet_is_two_thirds_empty(name: str) -> None:
    for take in (TAKE, take_of("#777777")):
        made = pdf_sheet(take, HEAD, press_of(""), "A4", PAGES[name])
        assert least_filled(made) >= LEAST_FILLED, (name, least_filled(made))


def test_black_is_called_black() -> None:
    names = {use.name for ground in grounds_of(TAKE) for use in ground.elements}
    assert "Black" in names
    assert "#000000" not in names


def test_pictures_of_steps_are_never_higher_than_a_picture_should_be() -> None:
    swatches = tuple(replace(TAKE.swatches[0], id=f"x{row}", name=f"Colour {row}") for row in range(30))
    many = replace(TAKE, swatches=(*TAKE.swatches, *swatches))
    made = made_file(Handoff(many, HEAD, options=Options(steps=True)), "png")
    assert made.name == "orrin-peak-take-1.png.zip"
    with zipfile.ZipFile(io.BytesIO(made.content)) as archive:
        pictures = [Image.open(io.BytesIO(archive.read(name))) for name in archive.namelist()]
    assert len(pictures) > 1
    assert all(picture.height <= MOST_HIGH for picture in pictures)
    one = made_file(Handoff(TAKE, HEAD), "png")
    assert (one.name, one.mimetype) == ("orrin-peak-take-1.png", "image/png")
    assert Image.open(io.BytesIO(one.content)).height <= MOST_HIGH
