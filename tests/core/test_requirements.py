"""What WCAG asks by usage, size and level; sight; the grid; all pairs mended at once."""

from __future__ import annotations

import csv
import io
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.test_take import FAILING, take_of
from tests.strategies import hexes
from tonada.core.confusions import TOLD_APART, confusions
from tonada.core.contrast import Level, Usage
from tonada.core.errors import InputError
from tonada.core.evaluation import evaluate
from tonada.core.grid import grid_csv, grid_of
from tonada.core.machado import MACHADO
from tonada.core.mend_all import mend_all
from tonada.core.palette import Pair, Role, Take
from tonada.core.requirements import requirement
from tonada.core.vision import sight_matrix, simulate


@pytest.mark.parametrize(
    ("usage", "level", "size", "weight", "ratio", "criterion"),
    [
        pytest.param(Usage.BODY_TEXT, "AA", None, None, 4.5, "1.4.3", id="body text"),
        pytest.param(Usage.BODY_TEXT, "AAA", None, None, 7, "1.4.6", id="enhanced"),
        pytest.param(Usage.BODY_TEXT, "A", None, None, 1, "1.4.3", id="level A asks nothing of text"),
        pytest.param(Usage.BODY_TEXT, "AA", 24, None, 3, "1.4.3", id="24 px is large"),
        pytest.param(Usage.BODY_TEXT, "AA", 23.99, None, 4.5, "1.4.3", id="a little under isn't"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 18.67, 700, 3, "1.4.3", id="14 pt bold is large"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 18.66, 700, 4.5, "1.4.3", id="18.66 px is under 14 pt"),
        pytest.param(Usage.BUTTON_LABEL, "AA", 20, 600, 4.5, "1.4.3", id="semibold isn't bold"),
        pytest.param(Usage.LARGE_TEXT, "AA", 16, None, 4.5, "1.4.3", id="large in name only"),
        pytest.param(Usage.LARGE_TEXT, "AAA", None, None, 4.5, "1.4.6", id="large, enhanced"),
        pytest.param(Usage.PART, "AAA", 40, 700, 3, "1.4.11", id="a part has no AAA and no size"),
        pytest.param(Usage.LINK_IN_TEXT, "A", None, None, 3, "1.4.1", id="link told by colour"),
        pytest.param(Usage.FOCUS, "AAA", None, None, 3, "2.4.13", id="focus"),
    ],
)
def test_what_is_asked_is_what_the_standard_says(
    usage: Usage, level: Level, size: float | None, weight: int | None, ratio: float, criterion: str
) -> None:
    asked = requirement(usage, level, size, weight)
    assert (asked.ratio, asked.criterion, asked.excepted) == (ratio, criterion, False)


@pytest.mark.parametrize("usage", [Usage.DECORATION, Usage.DISABLED, Usage.LOGOTYPE])
def test_an_excepted_pair_neither_passes_nor_fails(usage: Usage) -> None:
    pair = Pair("p", "#777777", "#777777", usage, "x")
    figures = evaluate(replace(FAILING, pairs=(pair,)))
    assert figures.failing == 0
    one = figures.pairs[0]
    assert (one.passes, one.excepted, one.verdict, one.short_by) == (False, True, "excepted", 0)


@given(st.sampled_from(["protan", "deutan", "tritan", "no colour"]), st.floats(0, 1))
def test_greys_stay_grey_for_all_eyes(sight: str, severity: float) -> None:
    greys = np.repeat(np.arange(0, 256, 17)[:, None], 3, axis=1)
    seen = simulate(greys, sight, severity)
    assert np.abs(seen - simulate(greys, sight, 0.0)).max() < 1e-5


def test_severity_runs_through_the_published_tenths() -> None:
    for sight, table in MACHADO.items():
        assert np.allclose(table.sum(axis=2), 1, atol=2e-6)
        for tenth in range(11):
            assert np.allclose(sight_matrix(sight, tenth / 10), table[tenth], atol=1e-12)
        between = sight_matrix(sight, 0.25)
        assert np.allclose(between, (table[2] + table[3]) / 2)
    with pytest.raises(InputError):
        sight_matrix("protan", 1.1)


def test_confused_roles_are_named_with_a_lightness_that_tells_them() -> None:
    take = take_of("#c8443c", "#6e6e1e", "#2b3a8c")
    free = replace(take, swatches=tuple(replace(one, held=False) for one in take.swatches))
    found = confusions(free, "deutan")
    assert found
    assert all(one.difference < TOLD_APART <= one.typical for one in found)
    first = found[0]
    assert first.mend
    key, value = first.mend
    mended = replace(
        free, swatches=tuple(replace(one, hex=value) if one.id == key else one for one in free.swatches)
    )
    still = {(one.one, one.other) for one in confusions(mended, "deutan")}
    assert (first.one, first.other) not in still
    assert all(
        one.mend is None
        for one in confusions(take, "deutan")
        if {one.one, one.other} < {"primary", "secondary"}
    )


def test_the_grid_has_every_color_on_every_other() -> None:
    grid = grid_of(FAILING)
    assert grid.figures == grid.grounds
    ratios = np.array(grid.ratios)
    assert np.array_equal(ratios, ratios.T)
    assert (np.diag(ratios) == 1).all()
    ordered = grid_of(FAILING, "light to dark")
    places = [one.position for one in ordered.grounds]
    assert places == sorted(places, reverse=True)
    tried = grid_of(FAILING, tried=True)
    assert [one.hex for one in tried.figures[:2]] == ["#ffffff", "#000000"]
    assert len(tried.figures) > 20
    assert grid_of(Take()).figures == ()


def test_the_grid_is_saved_as_csv_that_no_spreadsheet_runs() -> None:
    hostile = replace(FAILING.swatches[0], name='=HYPERLINK("x")')
    bare = Take((hostile, *FAILING.swatches[1:2]))
    rows = list(csv.reader(io.StringIO(grid_csv(grid_of(bare)))))
    assert rows[1][0].startswith("'=HYPERLINK")
    assert [len(row) for row in rows] == [3, 3, 3]
    assert rows[1][1] == "1.00"


@given(st.lists(hexes, min_size=1, max_size=3, unique=True), st.sampled_from(["AA", "AAA"]))
@settings(max_examples=25, deadline=None)
def test_all_pairs_are_mended_where_nothing_is_held(values: list[str], level: Level) -> None:
    take = take_of(*values)
    free = replace(take, level=level, swatches=tuple(replace(one, held=False) for one in take.swatches))
    mended = mend_all(free)
    after = evaluate(mended.take)
    assert after.failing == len(mended.impossible)
    assert after.failing <= evaluate(free).failing
    if level == "AA":
        assert after.failing == 0
    assert mend_all(free) == mended


def test_held_colors_are_untouched_and_named() -> None:
    mended = mend_all(FAILING)
    before = {one.id: one.hex for one in FAILING.swatches if one.held}
    assert {one.id: one.hex for one in mended.take.swatches if one.id in before} == before
    assert any("Accent is held" in text for text in mended.impossible)


def test_what_can_be_mended_is_although_something_else_can_t() -> None:
    muted = next(number for number, one in enumerate(FAILING.roles) if one.role == Role.MUTED)
    roles = list(FAILING.roles)
    roles[muted] = replace(roles[muted], step=4)
    take = replace(FAILING, roles=tuple(roles))
    mended = mend_all(take)
    short = {one.id for one in evaluate(mended.take).pairs if one.short_by > 0}
    assert short == {"label-on-accent", "label-on-secondary"}
    assert [one.name for one in mended.moved] == ["Muted"]


def test_a_take_that_passes_is_left_as_it_is() -> None:
    night = take_of("#2b3a8c").turned()
    assert mend_all(night).take == night
