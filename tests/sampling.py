"""How much a run takes: `make test` samples of what is large, `make test-long` everything."""

from __future__ import annotations

import os
import random
from collections.abc import Iterable
from typing import Any, Final

import pytest

IS_LONG: Final = os.environ.get("TONADA_TESTS") == "long"
# Which ones of many cases are in every run: the same ones each time, and not the first.
_SEED: Final = 20261130


def sampled(cases: Iterable[Any], keep: int) -> list[Any]:
    """Return all cases for a parametrization; all but so many are left to the long run."""
    listed = list(cases)
    kept = set(random.Random(_SEED).sample(range(len(listed)), keep))  # noqa: S311  # no secret
    return [
        case if place in kept else pytest.param(case, marks=pytest.mark.long)
        for place, case in enumerate(listed)
    ]


def examples(count: int) -> int:
    """Return how many of so many examples of a property are tried: in the short run, half of them."""
    return count if IS_LONG else count // 2
