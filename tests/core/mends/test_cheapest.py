"""The cheapest choice of candidates, against trying all of them."""

from __future__ import annotations

from itertools import product

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tonada.core.color.contrast import ratio_of_luminances
from tonada.core.mends.cheapest import Candidates, cheapest_choice

ROWS = 5


@st.composite
def puzzles(draw: st.DrawFn) -> tuple[list[Candidates], dict[int, np.ndarray], dict[tuple[int, int], float]]:
    """Up to four colours of five candidates each, what is free of them, and the ratios between them."""
    count = draw(st.integers(1, 4))
    random = np.random.default_rng(draw(st.integers(0, 2**32)))
    made = [Candidates(random.random(ROWS), random.random(ROWS).round(1)) for _ in range(count)]
    masks = {number: random.random(ROWS) < 0.8 for number in range(count)}
    pairs = [(one, other) for one in range(count) for other in range(one)]
    ratios = st.sampled_from([1.2, 1.5, 2.0, 3.0, 4.5])
    return made, masks, {pair: draw(ratios) for pair in pairs if draw(st.booleans())}


def together(candidates: list[Candidates], needed: dict[tuple[int, int], float]) -> dict:
    found = {}
    for (one, other), ratio in needed.items():
        first, second = candidates[one].luminance, candidates[other].luminance
        passes = ratio_of_luminances(first[:, None], second[None]) >= ratio
        found[one, other], found[other, one] = passes, passes.T
    return found


@given(puzzles())
@settings(max_examples=examples(300), deadline=None)
def test_it_is_the_cheapest_of_all_choices_that_pass(puzzle: tuple) -> None:
    candidates, masks, needed = puzzle
    between = together(candidates, needed)
    allowed = [
        rows
        for rows in product(range(ROWS), repeat=len(candidates))
        if all(masks[number][row] for number, row in enumerate(rows))
        and all(between[pair][rows[pair[0]], rows[pair[1]]] for pair in between)
    ]
    costs = [sum(one.cost[row] for one, row in zip(candidates, rows, strict=True)) for rows in allowed]
    found = cheapest_choice(candidates, masks, between)
    if found is None:
        assert not allowed
    else:
        rows = tuple(found[number] for number in range(len(candidates)))
        assert rows in allowed
        cost = sum(one.cost[row] for one, row in zip(candidates, rows, strict=True))
        assert cost == pytest.approx(min(costs), abs=1e-9)


def test_what_nothing_binds_keeps_its_cheapest() -> None:
    candidates = [Candidates(np.array([0.1, 0.5]), np.array([0.3, 0.2]))]
    assert cheapest_choice(candidates, {0: np.array([True, True])}, {}) == {0: 1}
    assert cheapest_choice(candidates, {0: np.array([True, False])}, {}) == {0: 0}
    assert cheapest_choice(candidates, {0: np.array([False, False])}, {}) is None
    assert cheapest_choice(candidates, {}, {}) == {}


def test_a_contradiction_among_many_is_seen_without_trying_all() -> None:
    # Nine colours that all have to be 4.5 to 1 apart: there is room for two, three at most.
    random = np.random.default_rng(5)
    candidates = [Candidates(np.sort(random.random(160)), random.random(160)) for _ in range(9)]
    needed = {(one, other): 4.5 for one in range(9) for other in range(one)}
    masks = {number: np.ones(160, dtype=bool) for number in range(9)}
    assert cheapest_choice(candidates, masks, together(candidates, needed)) is None
