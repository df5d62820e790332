"""What mending all pairs changes, in words: what moved, by how much, and what still falls short."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.color.contrast import rounded_down
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.mends.one_pair import is_held
from tonada.core.mends.texts_first import TextChanged
from tonada.core.pairs.evaluation import PairFigures, evaluate
from tonada.core.take.take import Take

# A change is slight up to this deltaEOK: side by side it is seen, on a page hardly; large from the next.
SLIGHT: Final = 0.05
LARGE: Final = 0.15


@dataclass(frozen=True, slots=True)
class Moved:
    """One colour before and after. difference: deltaEOK."""

    name: str
    before: Hex
    after: Hex
    difference: float


def moves_between(before: Take, after: Take) -> tuple[Moved, ...]:
    """Return what changed, as a person sees it: swatches, and roles on steps."""
    pairs = [
        (_named(after, swatch.id), before.swatch(swatch.id).hex, swatch.hex) for swatch in after.swatches
    ]
    pairs += [
        (after.display_name(assigned.role), before.hex_of(assigned.role), after.hex_of(assigned.role))
        for assigned in after.roles
        if assigned.step is not None
    ]
    return tuple(
        Moved(name, old, new, difference_between(old, new)) for name, old, new in pairs if old != new
    )


def _named(take: Take, owner: str) -> str:
    """Return what a swatch is for, and its name only where it has no role."""
    roles = take.roles_of(owner)
    return ", ".join(take.display_name(role) for role in roles) or take.name_of(owner, None)


def size_of(before: Take, after: Take, moved: Sequence[Moved], texts: Sequence[TextChanged]) -> str:
    """Say in words how much changes, and how many pairs pass by it."""
    passing = [sum(pair.short_by <= 0 for pair in evaluate(take).pairs) for take in (before, after)]
    gained = passing[1] - passing[0]
    gain = f"{gained} more pair{'s' if gained != 1 else ''} pass"
    if not moved:
        return f"No colour moves: only texts have another role. {gain}." if texts else ""
    largest = max(moved, key=lambda entry: entry.difference)
    counts = f"{len(moved)} colour{'s' if len(moved) > 1 else ''}"
    if largest.difference < SLIGHT:
        return f"Slight: {counts} and hardly to be seen on a page. {gain}."
    how = f"{largest.name} the most, by {largest.difference:.2f}"
    if largest.difference < LARGE:
        return f"Visible: {counts}, {how}. {gain}."
    if gained < len(moved):
        return f"Much for little: {counts}, {how}, and only {gain}. Releasing a held colour may cost less."
    return f"Large: {counts}, {how}. {gain}."


def why_short(take: Take, pair: PairFigures) -> str:
    ends = [key for key in (pair.text, pair.ground) if is_held(take, key)]
    held = list(
        dict.fromkeys(
            take.display_name(key) if take.has_role(key) else _named(take, take.owner_of(key)[0])
            for key in ends
        )
    )
    name = f"{pair.text_name} on {pair.ground_name}"
    reached = f"has {rounded_down(pair.ratio)}:1 and needs {pair.needed:g}"
    if not held:
        return f"{name} {reached}; fixing it would break other pairs."
    is_are = "is" if len(held) == 1 else "are"
    return f"{name} {reached}; {' and '.join(held)} {is_are} held."
