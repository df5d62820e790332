"""Whatever is proposed passes, or says what doesn't and why it can't."""

from __future__ import annotations

import random
from collections.abc import Iterator
from dataclasses import replace

import numpy as np
import pytest

from tests.sampling import IS_LONG
from tests.takes import FAILING, TAKE
from tonada.core.color.apart import TOLD_APART
from tonada.core.color.contrast import luminance_of
from tonada.core.color.hue_rules import color_at, is_neutral
from tonada.core.color.spaces import difference_between
from tonada.core.color.wcag import Usage
from tonada.core.mends.nearest import nearest_passing
from tonada.core.mends.shortfalls import shortfalls, shortfalls_in
from tonada.core.pairs.evaluation import PairFigures, evaluate
from tonada.core.roles.assignment import REQUIREMENTS
from tonada.core.roles.brand import Candidate
from tonada.core.roles.partners import ACCENT_APART
from tonada.core.roles.proposal import propose_roles
from tonada.core.take.take import SIGNALS, Pair, Role, Take


def palettes(count: int, seed: int) -> Iterator[tuple[Candidate, ...]]:
    """Yield colours of every sort: anything at all, vivid, quiet, and of one family."""
    draw = random.Random(seed)  # noqa: S311
    for number in range(count):
        hexes: list[str] = []
        family = draw.uniform(0, 360)
        for _ in range(draw.randint(1, 6) if number % 10 else draw.randint(7, 12)):
            value = (
                f"#{draw.randrange(1 << 24):06x}",
                color_at(draw.uniform(0.3, 0.95), draw.uniform(0.08, 0.3), draw.uniform(0, 360)),
                color_at(draw.uniform(0.1, 1), draw.choice([0, 0.01, 0.02, 0.05, 0.1]), draw.uniform(0, 360)),
                color_at(draw.uniform(0.05, 1), draw.uniform(0, 0.35), draw.gauss(family, 30)),
            )[number % 4]
            if value not in hexes:
                hexes.append(value)
        weights = [draw.random() ** 3 + 0.01 for _ in hexes]
        yield tuple(
            Candidate(value, weight / sum(weights)) for value, weight in zip(hexes, weights, strict=True)
        )


DEGENERATE = [
    ("#ffffff",),
    ("#fffbe0",),
    ("#ffffff", "#f7f7f0", "#fff5d0"),
    ("#000000",),
    ("#111111", "#1a1410"),
    ("#7f7f7f", "#828282"),
    ("#39ff14",),
    ("#39ff14", "#ff00ff", "#00ffff"),
    ("#010001",),
    ("#d9d9d9",),
    ("#7c3aed", "#7b3bea", "#7a39ec"),
    ("#93fe3e",),
    ("#ff6f00",),
    ("#ffd800",),
    ("#b55851", "#7c8243"),
]


def is_fine(take: Take) -> bool:
    return not any(pair.short_by > 0 for scheme in (take, take.turned()) for pair in evaluate(scheme).pairs)


def test_what_is_proposed_for_any_colors_passes_by_day_and_by_night() -> None:
    for candidates in palettes(1000 if IS_LONG else 60, seed=15):
        take = propose_roles(candidates).take
        assert is_fine(take), candidates
        assert shortfalls(take) == ()


@pytest.mark.parametrize("values", DEGENERATE)
def test_poor_colors_give_something_usable(values: tuple[str, ...]) -> None:
    proposal = propose_roles(tuple(Candidate(value, 1 / len(values)) for value in values))
    take = proposal.take
    assert is_fine(take)
    primary, accent = take.hex_of(Role.PRIMARY), take.hex_of(Role.ACCENT)
    assert luminance_of(primary) < 0.85, "nobody would see it on Paper"
    # A second colour that was given is the accent, even where a made one would stand further away.
    least = TOLD_APART if accent in values else ACCENT_APART
    assert difference_between(primary, accent) >= least
    # A pale colour that can't lead is still there, or was white anyway.
    for value, choice in zip(values, proposal.choices, strict=True):
        assert choice != "leave out" or is_neutral(value)


def test_with_wishes_it_is_impossible_only_where_no_color_could_do() -> None:
    """What falls short is a colour that was wished for, or a text that nothing can be on such grounds."""
    draw = random.Random(5)  # noqa: S311
    explained = 0
    for candidates in palettes(150 if IS_LONG else 25, seed=9):
        roles = draw.sample(list(Role), len(candidates))
        wished = tuple(
            Candidate(one.hex, one.share, role if draw.random() < 0.6 else None)
            for one, role in zip(candidates, roles, strict=True)
        )
        take = propose_roles(wished, "list").take
        hers = {one.choice for one in wished}
        said = shortfalls(take)
        short = [
            pair for scheme in (take, take.turned()) for pair in evaluate(scheme).pairs if pair.short_by > 0
        ]
        assert len(said) == len(short)
        for pair in short:
            explained += 1
            assert pair.text in hers or not can_be_met(take, pair), (pair.id, wished)
    assert explained


def can_be_met(take: Take, pair: PairFigures) -> bool:
    """Return whether any luminance at all has the ratio on every ground that the text's role is read on."""
    role = Role(pair.text)
    on = REQUIREMENTS["day"][role].on if role not in SIGNALS else (Role.PAPER, Role.MIST)
    luminance = np.linspace(0, 1, 20001)
    fits = np.ones(len(luminance), dtype=bool)
    for ground in on:
        face = luminance_of(take.hex_of(ground))
        fits &= (np.maximum(luminance, face) + 0.05) / (np.minimum(luminance, face) + 0.05) >= pair.needed
    return bool(fits.any())


def test_a_shortfall_says_which_why_and_the_nearest_way() -> None:
    (said,) = shortfalls(FAILING)
    assert said.startswith("Paper on Accent reaches ")
    assert "since Accent is yours" in said
    assert "The nearest way: Paper as #" in said
    assert shortfalls(TAKE) == ()


def test_of_a_take_without_a_night_nothing_is_said_by_night() -> None:
    assert [one for one in shortfalls(replace(FAILING, other=None)) if one.startswith("By night")] == []


def test_two_held_colours_are_named_together_and_the_way_keeps_the_hue() -> None:
    """Accent on Secondary, both of the logo; the way is the nearest that keeps the hue."""
    pair = Pair("own", Role.ACCENT, Role.SECONDARY, Usage.BODY_TEXT, "A text")
    take = replace(TAKE, pairs=(pair,), grounds=())
    (said,) = (one for one in shortfalls_in(take) if one.startswith("Accent on Secondary"))
    assert "since Accent and Secondary are yours" in said
    way = nearest_passing(take.hex_of(Role.ACCENT), take.hex_of(Role.SECONDARY), 4.5, "hue")
    assert said.endswith(f"The nearest way: Accent as {way.hex}.")
