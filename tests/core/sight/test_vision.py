"""Sight at any severity: greys stay grey, the published tables are met."""

from __future__ import annotations

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from tonada.core.errors import InputError
from tonada.core.sight.machado import MACHADO
from tonada.core.sight.vision import sight_matrix, simulate


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
