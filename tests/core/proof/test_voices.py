"""The voices of the pages: each composed differently, each guessed from what a brand says of itself."""

from __future__ import annotations

from dataclasses import replace

import pytest

from tests.takes import TAKE
from tonada.core.color.wcag import Level
from tonada.core.proof.choices import needed_for
from tonada.core.proof.grounds import STANDARD_GROUNDS, grounds_of
from tonada.core.proof.pages import HOME, PAGES, section_grounds, sections_of
from tonada.core.proof.typefaces import TYPEFACES
from tonada.core.proof.typesetting import typeset, usual_sizes
from tonada.core.proof.voices import VOICES, Voice, voice_of
from tonada.core.take.proof_settings import TEXT_STYLES, USUAL_PROOF, ProofSettings, TextSize
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
    home = next(page for page in PAGES if page.id == HOME)
    assert sections_of(home, "mill") == voice_of("mill").home


def test_every_trade_has_a_pair_of_typefaces_of_its_own_in_weights_that_they_have() -> None:
    assert len({(one.type.heading, one.type.text) for one in VOICES}) == len(VOICES)
    faces = {face.name: face for face in TYPEFACES}
    for voice in VOICES:
        heading = faces[voice.type.heading]
        for style in ("h1", "h2", "h3"):
            assert heading.lightest <= usual_sizes(voice.id)[style].weight <= heading.heaviest, voice.id


@pytest.mark.parametrize("level", ["A", "AA", "AAA"])
@pytest.mark.parametrize("voice", VOICES, ids=lambda one: one.id)
def test_the_type_of_a_trade_never_changes_what_is_asked_of_a_text(voice: Voice, level: Level) -> None:
    take = replace(TAKE, level=level, proof=USUAL_PROOF)
    set_in = replace(take, proof=typeset(USUAL_PROOF, voice.id))
    for style in TEXT_STYLES:
        assert needed_for(set_in, style) == needed_for(take, style), style


def test_what_was_chosen_stays_in_every_trade() -> None:
    chosen = ProofSettings(heading_face="Lora", sizes=(("h1", TextSize(72, 300)),))
    for voice in VOICES:
        made = typeset(chosen, voice.id)
        assert made.heading_face == "Lora"
        assert made.text_face == voice.type.text
        assert made.size_of("h1") == TextSize(72, 300)
        assert typeset(made, voice.id) == made


def test_a_trade_has_grounds_of_its_own_on_pages_that_all_have() -> None:
    known = {(page.id, part.id) for page in PAGES for part in page.sections}
    for voice in VOICES:
        assert set(voice.grounds) <= known, voice.id
        for page in PAGES[2:]:
            for part in sections_of(page, voice.id):
                usual = next(one for one in page.sections if one.id == part.id)
                assert part.ground == voice.grounds.get((page.id, part.id), usual.ground)
                assert part.name == usual.name
    assert len({tuple(voice.grounds.values()) for voice in VOICES}) > 8
