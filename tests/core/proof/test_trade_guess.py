"""The trade that a name points to: rather none than a wrong one."""

from __future__ import annotations

from pathlib import Path

import pytest

from tonada.core.proof.trade_guess import guessed_voice
from tonada.core.proof.voices import NEUTRAL, VOICES
from tonada.core.source.mood_words import FIELDS

# Names with the trades that may be guessed of them: none where it is “-”.
NAMES = [
    (name, set(trades.split()) - {"-"})
    for name, trades in (
        line.split(" | ")
        for line in Path(__file__).with_name("brand_names.txt").read_text("utf-8").splitlines()
        if not line.startswith("#")
    )
]
MOST_WRONG, LEAST_RIGHT = 0.02, 0.6


def test_of_names_that_were_written_down_before_it_few_are_guessed_wrongly_and_most_rightly() -> None:
    guessed = [(guessed_voice(name), trades) for name, trades in NAMES]
    wrong = sum(voice != NEUTRAL and voice not in trades for voice, trades in guessed)
    right = sum(voice in trades for voice, trades in guessed)
    assert len(guessed) > 300
    assert wrong <= MOST_WRONG * len(guessed)
    assert right >= LEAST_RIGHT * len(guessed)


@pytest.mark.parametrize(
    ("name", "fields", "voice"),
    [
        ("Juniper & Loom", (), "mill"),
        ("Orrin Peak Observatory", (), "observatory"),
        ("Saltmarsh Kayak School", (), "outdoors"),
        ("CAFÉ am Fluss", (), "restaurant"),
        ("Zahnarzt Öhler", ("technology",), "practice"),
        ("Overlook", ("health",), "practice"),
        ("Overlook", (), NEUTRAL),
        ("", (), NEUTRAL),
        ("ジュニパー", (), NEUTRAL),
        ("喫茶カモメ", (), "restaurant"),
        ("Музей моря", (), "museum"),
        # The noun at the end, unless a preposition ties it to the one before.
        ("Museum Café", (), "restaurant"),
        ("Café im Museum", (), "restaurant"),
        ("Musée de la Pâtisserie", (), "museum"),
        # A general word gives way, in any order.
        ("School of Kayaking", (), "outdoors"),
        ("The Bike Kitchen", (), "bicycles"),
        # Whole words and heads of compounds: no beginnings, no ends of names.
        ("Appleby", (), NEUTRAL),
        ("Taxi Rosenau", (), NEUTRAL),
        ("Milligan", (), NEUTRAL),
        ("Bishop", (), NEUTRAL),
        ("Kirchengemeinde Sulz", (), "charity"),
        ("Meergemeinde Sulz", (), "town"),
    ],
)
def test_what_a_name_says(name: str, fields: tuple[str, ...], voice: str) -> None:
    assert guessed_voice(name, fields) == voice


def test_every_field_of_work_has_a_voice_and_every_trade_can_be_guessed() -> None:
    assert {field for one in VOICES for field in one.fields} == set(FIELDS)
    for one in VOICES:
        assert [guessed_voice("Zzz", (field,)) for field in one.fields] == [one.id] * len(one.fields)
        assert all(guessed_voice(word) == one.id for word in one.said_by.words)


def test_no_word_says_two_trades() -> None:
    said = [word for one in VOICES for word in one.said_by.words | one.said_by.general | one.said_by.phrases]
    assert len(said) == len(set(said))
