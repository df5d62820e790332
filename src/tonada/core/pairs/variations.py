"""Variations that are proved: each draw is evaluated, by day and by night, before it is shown."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import islice
from typing import Final

from tonada.core.color.spaces import Hex
from tonada.core.errors import InputError
from tonada.core.harmony.vary import LAST_SEED, SHEET, Drawn, drawn_for, free_of, numbered, restored
from tonada.core.pairs.evaluation import evaluate
from tonada.core.roles.page_pairs import by_rule, with_texts_by_rule
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import Take

# So many draws are proved for a sheet before one that falls short is shown.
MOST_PROVED: Final = 60
# Of the takes that are varied at the moment, a row each.
KEPT_SHEETS: Final = 60


@dataclass(frozen=True, slots=True)
class Variation:
    """take: with the seed in its settings. difference: from what varying began with, the root mean square
    of deltaEOK over what is free. failing: ids of the pairs that fall short; those of the other scheme
    say which it is. problem: why, where any does."""

    seed: int
    take: Take
    difference: float
    failing: tuple[str, ...]
    problem: str | None


def vary(take: Take, seed: int) -> Variation:
    """Return one variation, seed 1 to LAST_SEED.

    Raises InputError outside that, where nothing is free, and where nothing is left that differs enough.
    """
    row = vary_row(take, seed, 1)
    if not row:
        raise InputError(f"There is no variation {seed}: nothing is left that differs enough.", field="seed")
    return row[0]


def with_variation(take: Take, values: Mapping[str, Hex], seed: int) -> Take:
    """Return the take with the values of a variation in what is free, and texts that follow.

    values: by the id of a swatch; of one that is held by now, or isn't there, nothing is changed. So a
    variation that was pinned changes nothing else of what the take is now. Raises InputError where
    nothing is free.
    """
    base = with_texts_by_rule(take, restored(take))
    free = free_of(base)
    began = tuple((key, base.swatch(key).hex) for key in free)
    moved = {key: values[key] for key in free if key in values}
    varied = recolor_many(base, moved, "a variation", "varied")
    harmony = replace(varied.harmony, seed=seed, varied_from=began)
    return with_texts_by_rule(base, replace(varied, harmony=harmony))


def vary_row(take: Take, first: int, count: int) -> tuple[Variation, ...]:
    """Return `count` variations from a seed on; see vary."""
    if not 1 <= first <= LAST_SEED:
        raise InputError(f"A seed is a number from 1 to {LAST_SEED}.", field="seed")
    # A text that followed its ground into a variation follows it back.
    base = with_texts_by_rule(take, restored(take))
    row: list[Variation] = []
    last = min(first + count - 1, LAST_SEED)
    for sheet in range((last - 1) // SHEET + 1):
        # Each sheet differs from those before: they have to be there first.
        row += _sheet(base, sheet)
    return tuple(one for one in row if first <= one.seed <= last)


@lru_cache(maxsize=KEPT_SHEETS)
def _sheet(base: Take, sheet: int) -> tuple[Variation, ...]:
    shown = [one.take for earlier in range(sheet) for one in _sheet(base, earlier)]
    return tuple(_proved(base, sheet, shown))


def _proved(base: Take, sheet: int, shown: Sequence[Take]) -> Iterator[Variation]:
    """Yield the variations of a sheet: those that pass as they come, then the least short of the proved.

    What falls short without varying, and so isn't the variation's doing, is counted but holds none back.
    """
    anyway = set(_failing(base))
    left_over: list[tuple[int, int, Drawn, tuple[str, ...]]] = []
    count = 0
    draws = drawn_for(base, sheet, by_rule(base), shown)
    for number, plain in enumerate(islice(draws, MOST_PROVED)):
        drawn = replace(plain, take=with_texts_by_rule(base, plain.take))
        failing = _failing(drawn.take)
        if not anyway.issuperset(failing):
            left_over.append((len(failing), number, drawn, failing))
            continue
        yield _variation(drawn, sheet * SHEET + 1 + count, failing)
        count += 1
        if count == SHEET:
            return
    for _, _, drawn, failing in sorted(left_over, key=lambda entry: entry[:2])[: SHEET - count]:
        yield _variation(drawn, sheet * SHEET + 1 + count, failing)
        count += 1


def _failing(take: Take) -> tuple[str, ...]:
    here = tuple(pair.id for pair in evaluate(take).pairs if pair.short_by > 0)
    if take.other is None:
        return here
    other = take.turned()
    return here + tuple(
        f"by {other.scheme}: {pair.id}" for pair in evaluate(other).pairs if pair.short_by > 0
    )


def _variation(drawn: Drawn, seed: int, failing: tuple[str, ...]) -> Variation:
    own = numbered(drawn, seed)
    problem = None
    if failing:
        problem = (
            f"{len(failing)} pair{'s' if len(failing) > 1 else ''} would fail: their colours are held, or "
            "rule and character leave no room. Release a colour, or choose another character."
        )
    return Variation(own.seed, own.take, own.difference, failing, problem)
