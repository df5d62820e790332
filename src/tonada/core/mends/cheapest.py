"""The cheapest choice of one candidate for each of some colours, so that all pairs between them pass.

Branch and bound. At every step each colour's candidates are narrowed to those that still go with
some candidate of every other one. Only luminance decides whether a pair passes, so of the other's
candidates the darkest and the lightest are enough to ask: if one of all goes with it, one of these does.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import Floats

Mask: TypeAlias = NDArray[np.bool_]

# Enough for every take that was tried; where it isn't, the best so far is taken.
MOST_NODES: Final = 5_000
_EDGE: Final = 1e-12


@dataclass(frozen=True, slots=True)
class Candidates:
    """luminance and what each costs, shapes (N,); the cheapest need not be the first."""

    luminance: Floats
    cost: Floats


def cheapest_choice(
    candidates: Sequence[Candidates],
    masks: Mapping[int, Mask],
    between: Mapping[tuple[int, int], Mask],
) -> dict[int, int] | None:
    """Return a row for each colour of `masks`, or None where no choice passes.

    masks: which rows of a colour may be taken. between: for two colours, both ways round, which rows
    go together, shape (rows of the first, rows of the second); that has to be a matter of luminance.
    """
    return _Branches(candidates, between).search(masks)


class _Branches:
    """The colour with most neighbours first, the rows with the lowest bound first."""

    def __init__(self, candidates: Sequence[Candidates], between: Mapping[tuple[int, int], Mask]) -> None:
        self._cost = [candidate.cost for candidate in candidates]
        self._dark_to_light = [np.argsort(candidate.luminance, kind="stable") for candidate in candidates]
        self._between = between
        self._neighbors: dict[int, list[int]] = {}
        for one, other in between:
            self._neighbors.setdefault(one, []).append(other)
        self._best: tuple[float, dict[int, int] | None] = (np.inf, None)
        self._nodes = 0

    def search(self, masks: Mapping[int, Mask]) -> dict[int, int] | None:
        narrowed = self._narrowed(dict(masks), list(masks))
        if narrowed is not None:
            order = sorted(masks, key=lambda number: (-len(self._neighbors.get(number, ())), number))
            self._descend(order, narrowed, {}, 0.0)
        return self._best[1]

    def _descend(self, left: list[int], masks: dict[int, Mask], chosen: dict[int, int], spent: float) -> None:
        self._nodes += 1
        if not left:
            self._best = (spent, chosen)
            return
        number, rest = left[0], left[1:]
        bounds = spent + self._bounds(number, masks, rest)
        for row in np.argsort(bounds, kind="stable").tolist():
            # The rows behind it cost more still. Endless bounds are those that may not be taken.
            if bounds[row] >= self._best[0] - _EDGE or bounds[row] == np.inf or self._nodes > MOST_NODES:
                return
            alone = np.zeros(len(masks[number]), dtype=np.bool_)
            alone[row] = True
            narrowed = self._narrowed(masks | {number: alone}, [number])
            if narrowed is not None:
                cost = float(self._cost[number][row])
                self._descend(rest, narrowed, {**chosen, number: row}, spent + cost)

    def _bounds(self, number: int, masks: Mapping[int, Mask], rest: Sequence[int]) -> Floats:
        """Return for each row the least that it and all that are left can cost; endless for no row."""
        total = np.where(masks[number], self._cost[number], np.inf)
        for other in rest:
            costs = np.where(masks[other], self._cost[other], np.inf)
            together = self._between.get((number, other))
            if together is None:
                total = total + costs.min()
            else:
                total = total + np.where(together, costs, np.inf).min(axis=1)
        return total

    def _narrowed(self, masks: dict[int, Mask], changed: list[int]) -> dict[int, Mask] | None:
        """Return the masks without rows that go with nothing of a neighbour; None where one is empty."""
        waiting = list(changed)
        while waiting:
            number = waiting.pop()
            rows = self._dark_to_light[number]
            rows = rows[masks[number][rows]]
            if not len(rows):
                return None
            for other in self._neighbors.get(number, ()):
                if other in masks:
                    together = self._between[number, other]
                    kept = masks[other] & (together[rows[0]] | together[rows[-1]])
                    if not kept.any():
                        return None
                    if not np.array_equal(kept, masks[other]):
                        masks[other] = kept
                        if other not in waiting:
                            waiting.append(other)
        return masks
