"""The grid: every colour on every other, and as CSV."""

from __future__ import annotations

import csv
import io
from dataclasses import replace

import numpy as np

from tests.takes import FAILING
from tonada.core.pairs.grid import grid_csv, grid_of
from tonada.core.take.take import Take


def test_the_grid_has_every_color_on_every_other() -> None:
    grid = grid_of(FAILING)
    assert grid.texts == grid.grounds
    ratios = np.array(grid.ratios)
    assert np.array_equal(ratios, ratios.T)
    assert (np.diag(ratios) == 1).all()
    ordered = grid_of(FAILING, "light to dark")
    places = [one.position for one in ordered.grounds]
    assert places == sorted(places, reverse=True)
    tried = grid_of(FAILING, tried=True)
    assert [one.hex for one in tried.texts[:2]] == ["#ffffff", "#000000"]
    assert len(tried.texts) > 20
    assert grid_of(Take()).texts == ()


def test_the_grid_is_saved_as_csv_that_no_spreadsheet_runs() -> None:
    hostile = replace(FAILING.swatches[0], name='=HYPERLINK("x")')
    bare = Take((hostile, *FAILING.swatches[1:2]))
    rows = list(csv.reader(io.StringIO(grid_csv(grid_of(bare)))))
    assert rows[1][0].startswith("'=HYPERLINK")
    assert [len(row) for row in rows] == [3, 3, 3]
    assert rows[1][1] == "1.00"
