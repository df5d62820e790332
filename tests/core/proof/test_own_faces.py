"""Fonts of a brand's own among the typefaces: what they draw, what stands in, what is asked of the page."""

from __future__ import annotations

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tonada.core.proof.font_letters import LATIN_LETTERS, draws_latin, latin_lacking, scripts_drawn
from tonada.core.proof.letters import NOTO, letters_for
from tonada.core.proof.own_texts import spoken_texts
from tonada.core.proof.typefaces import OwnFace, family_of, kind_and_scripts
from tonada.core.proof.typesetting import typeset
from tonada.core.proof.voices import VOICES
from tonada.core.take.proof_settings import USUAL_PROOF, OwnText

REGULAR = OwnFace("Halden", "serif", 400, 400, ("Cyrl", "Grek"), "ő")
BOLD = OwnFace("Halden", "serif", 700, 700, ("Grek",))
GREEK = spoken_texts((OwnText("home", "x", "Καλημέρα κόσμε"),), None)
RUSSIAN = spoken_texts((OwnText("home", "x", "Доброе утро, мир"),), None)


@pytest.mark.parametrize("voice", [voice.id for voice in VOICES])
def test_a_family_that_is_not_there_is_the_trades(voice: str) -> None:
    trade = next(one.type for one in VOICES if one.id == voice)
    chosen = replace(USUAL_PROOF, heading_face=REGULAR.name, text_face="own: Gone")
    there = typeset(chosen, voice, (REGULAR, BOLD))
    assert (there.heading_face, there.text_face) == (REGULAR.name, trade.text)
    away = typeset(chosen, voice)
    assert (away.heading_face, away.text_face) == (trade.heading, trade.text)
    # What is asked of the texts doesn't hang on a font that may be taken away.
    assert there.sizes == away.sizes == typeset(USUAL_PROOF, voice).sizes


def test_a_script_is_a_familys_where_each_of_its_files_draws_it() -> None:
    assert kind_and_scripts(REGULAR.name, (REGULAR,)) == ("serif", {"Cyrl", "Grek"})
    assert kind_and_scripts(REGULAR.name, (REGULAR, BOLD)) == ("serif", {"Grek"})
    with pytest.raises(KeyError):
        kind_and_scripts(REGULAR.name, ())
    assert letters_for(GREEK, REGULAR.name, "Literata", (REGULAR, BOLD)) == ()
    (letters,) = letters_for(RUSSIAN, REGULAR.name, "Literata", (REGULAR, BOLD))
    assert (letters.script, letters.kind, letters.instead_of) == ("Cyrl", "serif", (REGULAR.name,))


def test_people_call_a_typeface_by_its_family() -> None:
    assert family_of(REGULAR.name) == "Halden"
    assert family_of("Work Sans") == "Work Sans"


@given(st.sets(st.sampled_from(LATIN_LETTERS)))
def test_what_is_lacking_is_what_is_not_there(there: set[str]) -> None:
    lacking = latin_lacking({ord(one) for one in there})
    assert set(lacking) | there == set(LATIN_LETTERS)
    assert not set(lacking) & there
    basic = {one for one in LATIN_LETTERS if one.isascii() and one.isalpha()}
    assert draws_latin(lacking) == (basic <= there)


SAMPLES = {
    "Arab": "ابتثجحخدذرزسشصضطظعغفقكلمنهويءآأؤإئةى",
    "Cyrl": "абвгдежзийклмнопрстуфхцчшщъыьэюяАБВГДЕЖЗИЙКЛМНОПРСТУФХЦЧШЩЪЫЬЭЮЯ",
    "Grek": "αβγδεζηθικλμνξοπρσςτυφχψωάέήίόύώϊϋΐΰΑΒΓΔΕΖΗΘΙΚΛΜΝΞΟΠΡΣΤΥΦΧΨΩ",
    "Hebr": "אבגדהוזחטיכלמנסעפצקרשתךםןףץ",
    "Thai": "".join(map(chr, range(0xE01, 0xE31))),
    "Deva": "".join(map(chr, range(0x905, 0x93A))),
}


@pytest.mark.parametrize("script", list(SAMPLES))
def test_a_font_with_an_alphabet_draws_that_script_and_no_other(script: str) -> None:
    characters = set(map(ord, SAMPLES[script]))
    assert scripts_drawn(characters) == (script,)
    assert scripts_drawn({ord(one) for one in SAMPLES[script][:8]}) == ()


def test_a_japanese_font_needs_both_kana_and_characters() -> None:
    kana = {*range(0x3041, 0x3094), *range(0x30A1, 0x30F7)}
    characters = set(range(0x4E00, 0x4E00 + 3500))
    assert scripts_drawn(kana) == ()
    assert scripts_drawn(characters) == ("Hani",)
    assert scripts_drawn(kana | characters) == ("Hani", "Jpan")
    assert set(scripts_drawn(kana | characters)) <= set(NOTO)
