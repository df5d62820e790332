"""The voices of the pages: each composed differently, each guessed from what a brand says of itself."""

from __future__ import annotations

import pytest

from tests.takes import TAKE
from tonada.core.proof.grounds import STANDARD_GROUNDS, grounds_of
from tonada.core.proof.pages import HOME, PAGES, section_grounds, sections_of
from tonada.core.proof.voices import VOICES, voice_of
from tonada.core.take.take import Role


def test_no_two_home_pages_are_composed_alike() -> None:
    composed = [tuple((part.id, part.ground) for part in one.home) for one in VOICES]
    assert len(VOICES) >= 18
    assert len(set(composed)) == len(VOICES)
    assert len({tuple(part.id for part in one.home) for one in VOICES}) >= 7, "not in grounds alone"


@pytest.mark.parametrize("voice", VOICES, ids=lambda one: one.id)
def test_every_home_page_uses_what_a_take_has(voice: object) -> None:
    home = next(one for one in VOICES if one == voice).home
    grounds = [part.ground for part in home]
    assert len({part.id for part in home}) == len(home)
    assert set(grounds) <= set(STANDARD_GROUNDS)
    assert grounds[-1] == Role.DEEP, "Deep closes the page"
    assert "opening" in {part.id for part in home}


def test_the_home_page_has_its_voice_s_sections_and_other_pages_their_own() -> None:
    there = {one.id: one.hex for one in grounds_of(TAKE)}
    for voice in VOICES:
        stands = section_grounds(TAKE, there, voice.id)
        for page in PAGES:
            found = [part for name, part, _ in stands if name == page.id]
            assert found == [part.id for part in sections_of(page, voice.id)]
    assert sections_of(PAGES[0], "mill") == voice_of("mill").home
    assert PAGES[0].id == HOME
