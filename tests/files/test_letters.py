"""Fonts with the letters of a script: what they hold, and that the typefaces hold what is said of them."""

from __future__ import annotations

import io
from pathlib import Path

import pytest
from fontTools.ttLib import TTFont

from tests.core.proof.test_own_texts import SAID
from tonada.core.proof.letters import NOTO
from tonada.core.proof.own_texts import script_of_language
from tonada.core.proof.typefaces import TYPEFACES
from tonada.files import letters
from tonada.files.letters import NoLetters, letters_font

FACES = Path(__file__).parents[2] / "frontend" / "node_modules" / "@fontsource-variable"
# A letter of each script that a typeface may have.
TELLING = {"Grek": "ή", "Cyrl": "Ж", "Arab": "ق", "Hebr": "ש"}


@pytest.mark.detail
@pytest.mark.parametrize("language", SAID)
def test_a_font_has_the_letters_that_were_asked_for(language: str) -> None:
    text = SAID[language]
    for kind in ("sans", "serif"):
        made = letters_font(script_of_language(language), kind, 400, text)
        assert made[:4] == b"wOF2"
        there = set(map(chr, TTFont(io.BytesIO(made)).getBestCmap()))
        assert set(text) - there <= set(" .,()、。,"), (language, kind)
        assert len(made) < 60_000


def test_the_same_request_gives_the_same_bytes_and_joined_letters_stay_joined() -> None:
    made = letters_font("Arab", "sans", 700, "بحيرة")
    letters._cut.cache_clear()
    assert letters_font("Arab", "sans", 700, "ةريحب") == made
    font = TTFont(io.BytesIO(made))
    assert "GSUB" in font, "shapes at the beginning, in the middle, at the end"
    assert font["maxp"].numGlyphs > 5 * 2


@pytest.mark.parametrize("script", NOTO)
def test_every_script_is_there_in_both_weights(script: str) -> None:
    for kind in ("sans", "serif"):
        for weight in (400, 700):
            assert letters._file_of(script, kind, weight)[0].is_file()


def test_without_the_typeface_the_device_is_left_to_itself(
    monkeypatch: pytest.MonkeyPatch, tmp_path: Path
) -> None:
    monkeypatch.setattr(letters, "_FOLDER", tmp_path)
    letters._cut.cache_clear()
    with pytest.raises(NoLetters, match="Noto Sans Thai"):
        letters_font("Thai", "sans", 400, "ก")


def test_the_typefaces_have_the_scripts_that_are_said_and_no_others() -> None:
    for face in TYPEFACES:
        files = (FACES / face.name.lower().replace(" ", "-") / "files").glob("*-wght-normal.woff2")
        there = {code for file in files for code in TTFont(file).getBestCmap()}
        found = tuple(sorted(script for script, letter in TELLING.items() if ord(letter) in there))
        assert found == face.scripts, face.name
