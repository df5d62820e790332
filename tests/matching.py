"""How well found colours match the truth: F1 with one-to-one matching by CIEDE2000."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from coloraide import Color
from scipy.optimize import linear_sum_assignment


@dataclass(frozen=True)
class Match:
    """Counts over one file. share_error: mean absolute, over the matched colours."""

    found: int
    true: int
    matched: int
    exact: int
    share_error: float

    @property
    def f1(self) -> float:
        return 2 * self.matched / max(1, self.found + self.true)


def match(found: dict[str, float], truth: dict[str, float], *, tolerance: float) -> Match:
    """Match colours one to one: a second colour near the same truth colour stays without a partner."""
    names, wanted = list(found), list(truth)
    distance = np.array([[Color(a).delta_e(Color(b), method="2000") for b in wanted] for a in names]).reshape(
        len(names), len(wanted)
    )
    rows, columns = linear_sum_assignment(np.where(distance <= tolerance, distance, 1e6))
    pairs = [(names[r], wanted[c]) for r, c in zip(rows, columns, strict=True) if distance[r, c] <= tolerance]
    errors = [abs(found[a] - truth[b]) for a, b in pairs]
    return Match(
        found=len(names),
        true=len(wanted),
        matched=len(pairs),
        exact=sum(a == b for a, b in pairs),
        share_error=float(np.mean(errors)) if errors else 1.0,
    )


def mean_f1(matches: list[Match]) -> float:
    """Return the mean over files."""
    return float(np.mean([one.f1 for one in matches]))
