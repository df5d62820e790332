"""How much a run takes: `make test` samples of what is large, `make test-long` everything.

What is marked as `long` is left out. Of what is marked as a `detail`, each commit takes others, so that all
of them are run within a few days: it goes beyond what another test says of the same thing, or takes seconds.
Samples of cases are the same in each run.
"""

from __future__ import annotations

import os
import random
import subprocess
import zlib
from collections.abc import Iterable
from functools import cache
from pathlib import Path
from typing import Any, Final, TypeVar

import pytest

Case = TypeVar("Case")

IS_LONG: Final = os.environ.get("TONADA_TESTS") == "long"
# Which ones of many cases are in every run: the same ones each time, and not the first.
_SEED: Final = 20261130
# Of the details; `detail(4)` takes one in four.
ONE_IN: Final = 16


@cache
def detail_seed() -> str:
    """Return what decides on the details: the last commit, or what TONADA_DETAILS says."""
    if given := os.environ.get("TONADA_DETAILS"):
        return given
    command = ["git", "rev-parse", "--short", "HEAD"]
    asked = subprocess.run(command, cwd=Path(__file__).parent, capture_output=True, text=True, check=False)
    return asked.stdout.strip() or "no commit"


def is_left(item: pytest.Item) -> bool:
    """Return whether a test is left to the long run."""
    if IS_LONG:
        return False
    detail = item.get_closest_marker("detail")
    one_in = detail.args[0] if detail and detail.args else ONE_IN
    is_taken = zlib.crc32(f"{detail_seed()} {item.nodeid}".encode()) % one_in == 0
    return bool(item.get_closest_marker("long") or (detail and not is_taken))


def sampled(cases: Iterable[Any], keep: int) -> list[Any]:
    """Return all cases for a parametrization; all but so many are left to the long run."""
    listed = list(cases)
    kept = _places(len(listed), keep)
    return [
        case if place in kept else pytest.param(case, marks=pytest.mark.long)
        for place, case in enumerate(listed)
    ]


def some(cases: Iterable[Case], keep: int) -> list[Case]:
    """Return as many of the cases, in their order; in the long run, all."""
    listed = list(cases)
    kept = _places(len(listed), keep)
    return [case for place, case in enumerate(listed) if IS_LONG or place in kept]


def _places(count: int, keep: int) -> set[int]:
    return set(random.Random(_SEED).sample(range(count), keep))  # noqa: S311  # no secret


def examples(count: int) -> int:
    """Return how many of so many examples of a property are tried: in the short run, a third of them."""
    return count if IS_LONG else count // 3
