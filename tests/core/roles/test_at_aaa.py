"""Roles of a take that is held to AAA: texts on the grounds reach 7 to 1, or it is said that they can't."""

from __future__ import annotations

from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE
from tonada.core.color.wcag import ENHANCED_RATIO
from tonada.core.mends.shortfalls import shortfalls
from tonada.core.pairs.evaluation import evaluate
from tonada.core.roles.brand import Candidate
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.suggest import derive_night, suggest_roles
from tonada.core.take.parts import Role
from tonada.core.take.take import Take

TEXTS = (Role.INK, Role.MUTED, Role.LINK)
GROUNDS = (Role.PAPER, Role.MIST)


def texts_short(take: Take) -> list[str]:
    """Return what of the texts on the grounds is under 7 to 1, by day and by night."""
    wanted = {f"{text}-on-{ground}" for text in TEXTS for ground in GROUNDS}
    return [
        pair.id
        for scheme in (take, take.turned())
        for pair in evaluate(scheme).pairs
        if pair.id in wanted and pair.ratio < ENHANCED_RATIO
    ]


@given(st.lists(hexes, min_size=1, max_size=4, unique=True))
@settings(max_examples=examples(25), deadline=None)
def test_texts_on_the_grounds_reach_seven_to_one_for_any_colours(values: list[str]) -> None:
    proposal = propose_roles(tuple(Candidate(value, 0.5) for value in values), "list", "AAA")
    assert proposal.take.level == "AAA"
    assert texts_short(proposal.take) == []


def test_the_same_colours_at_aa_are_proposed_as_before() -> None:
    candidates = tuple(Candidate(one.hex, 0.3) for one in TAKE.swatches[:3])
    assert propose_roles(candidates) == propose_roles(candidates, "artwork", "AA")
    assert texts_short(propose_roles(candidates).take) != []


def test_suggesting_and_deriving_the_night_keep_the_level() -> None:
    strict = replace(TAKE, level="AAA")
    suggested, _ = suggest_roles(strict)
    assert texts_short(suggested) == []
    night, _ = derive_night(suggested)
    assert night.level == "AAA"
    assert texts_short(night) == []
    # What a brand colour can't carry is said, one sentence for each pair.
    failing = evaluate(suggested).failing + evaluate(suggested.turned()).failing
    assert len(shortfalls(suggested)) == failing
