"""Words typed over a page's own: their language, their direction, the letters that they need."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.takes import TAKE
from tonada.core.proof.letters import MOST_LETTERS, NOTO, letters_for
from tonada.core.proof.own_texts import (
    LANGUAGE_CODES,
    LATIN,
    OFFERED_LANGUAGES,
    page_spoken,
    say,
    say_in_other,
    script_of_language,
    spoken_in,
    spoken_texts,
)
from tonada.core.take.proof_settings import OwnText

# The first article of the Universal Declaration of Human Rights begins so.
SAID = {
    "ar": "يولد جميع الناس أحرارًا متساوين في الكرامة والحقوق",
    "fa": "تمام افراد بشر آزاد به دنیا می‌آیند و پیش قانون برابرند",
    "ur": "تمام انسان آزاد اور حقوق و عزت کے اعتبار سے برابر پیدا ہوئے ہیں",
    "he": "כל בני האדם נולדו בני חורין ושווים בערכם ובזכויותיהם",
    "el": "Όλοι οι άνθρωποι γεννιούνται ελεύθεροι και ίσοι στην αξιοπρέπεια",
    "ru": "Все люди рождаются свободными и равными в своём достоинстве",
    "uk": "Всі люди народжуються вільними і рівними у своїй гідності",
    "ja": "すべての人間は、生まれながらにして自由であり、尊厳と権利とについて平等である",
    "zh": "人人生而自由,在尊严和权利上一律平等",
    "ko": "모든 인간은 태어날 때부터 자유로우며 그 존엄과 권리에 있어 동등하다",
    "hi": "सभी मनुष्यों को गौरव और अधिकारों के मामले में जन्मजात स्वतन्त्रता",
    "th": "มนุษย์ทั้งหลายเกิดมามีอิสระและเสมอภาคกันในเกียรติศักดิ์และสิทธิ",
}


@pytest.mark.parametrize(("language", "text"), SAID.items())
def test_a_text_is_in_the_language_of_its_letters(language: str, text: str) -> None:
    found = spoken_in(text, None)
    assert found.language == language
    assert found.direction == ("rtl" if language in ("ar", "fa", "ur", "he") else "ltr")
    assert spoken_in(f"{text} (Tonada 2026)", None) == found, "a name in Latin letters changes nothing"


def test_latin_letters_are_of_the_chosen_language_and_others_speak_against_it() -> None:
    assert spoken_in("Ganz früh am See", "de").language == "de"
    assert spoken_in("Ganz früh am See", None).language == "en", "nobody said, so nothing is claimed"
    assert spoken_in(SAID["ar"], "de").language == "ar"
    assert spoken_in("Overlook", "ar").direction == "ltr"
    assert spoken_in("انتظر", "fa").language == "fa", "letters that both have"
    assert spoken_in("東京", "ja").language == "ja"
    assert spoken_in("2026, 14:30", "he").direction == "rtl", "figures go with the page"


def test_a_page_is_mirrored_by_most_of_its_own_words_or_by_choice() -> None:
    arabic = OwnText("home", "Opening’s heading", SAID["ar"])
    english = OwnText("home", "Opening’s paragraph", "Short.")
    assert page_spoken((), None).direction == "ltr"
    assert page_spoken((english,), None).language == "en"
    assert page_spoken((arabic, english), None).direction == "rtl"
    assert page_spoken((arabic, english), "en").direction == "ltr"
    assert page_spoken((), "he").direction == "rtl"


@given(st.text(max_size=80), st.sampled_from([None, *LANGUAGE_CODES]))
def test_any_text_has_a_language_and_letters_that_can_be_cut(text: str, chosen: str | None) -> None:
    (one,) = spoken_texts((OwnText("home", "Opening’s heading", text),), chosen)
    script = script_of_language(one.spoken.language)
    assert script == LATIN or script in NOTO
    for letters in letters_for((one,), "Archivo", "Literata"):
        assert len(letters.characters) <= MOST_LETTERS
        assert set(letters.characters) <= set(text)


def test_every_language_that_is_offered_is_written_in_a_script_that_ships() -> None:
    for code, _ in OFFERED_LANGUAGES:
        assert script_of_language(code) in {LATIN, *NOTO}, code


def test_letters_are_asked_for_only_where_a_chosen_typeface_lacks_them() -> None:
    greek = spoken_texts((OwnText("home", "x", SAID["el"]),), None)
    assert letters_for(greek, "Literata", "Manrope") == ()
    (lacking,) = letters_for(greek, "Fraunces", "Literata")
    assert (lacking.instead_of, lacking.name, lacking.kind) == (("Fraunces",), "Noto Serif", "serif")
    both = letters_for(spoken_texts((OwnText("home", "x", SAID["ja"]),), None), "Fraunces", "Karla")
    assert [one.name for one in both] == ["Noto Serif CJK JP", "Noto Sans CJK JP"]


def test_another_take_keeps_words_of_its_own() -> None:
    said = OwnText("home", "Opening’s heading", "Open on Mondays")
    own = say(TAKE, OwnText("home", "Opening’s heading", "Mine"))
    assert say_in_other(TAKE, said, "").proof.texts == (said,)
    assert say_in_other(own, said, "") == own
    told = say_in_other(TAKE, said, "")
    assert say_in_other(told, OwnText("home", "Opening’s heading", "Closed"), "Open on Mondays") == say(
        TAKE, OwnText("home", "Opening’s heading", "Closed")
    )
    assert say_in_other(told, OwnText("home", "Opening’s heading", ""), "Open on Mondays") == TAKE
    assert say_in_other(own, OwnText("home", "Opening’s heading", ""), "Open on Mondays") == own


def test_letters_beyond_the_most_are_counted_and_not_left_out_silently() -> None:
    many = "".join(map(chr, range(0x4E00, 0x4E00 + MOST_LETTERS + 70))) + "のは"
    for letters in letters_for(spoken_texts((OwnText("home", "x", many),), "ja"), "Karla", "Karla"):
        assert len(letters.characters) == MOST_LETTERS
        assert letters.left_out == 72
