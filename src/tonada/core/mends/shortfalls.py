"""What a proposal says of the pairs that it couldn't make pass: which, why, and the nearest way."""

from __future__ import annotations

from tonada.core.color.contrast import rounded_down
from tonada.core.errors import NotReachable
from tonada.core.mends.nearest import nearest_passing
from tonada.core.mends.one_pair import is_held
from tonada.core.pairs.evaluation import PairFigures, evaluate
from tonada.core.take.take import Take


def shortfalls(take: Take) -> tuple[str, ...]:
    """Return a sentence for each pair that falls short, by day and then by night; empty where all pass."""
    day = take if take.scheme == "day" else take.turned()
    by_night = shortfalls_in(day.turned()) if day.other is not None else ()
    return (*shortfalls_in(day), *(f"By night: {entry}" for entry in by_night))


def shortfalls_in(take: Take) -> tuple[str, ...]:
    """Return a sentence for each pair that falls short in the scheme in front."""
    return tuple(_sentence(take, pair) for pair in evaluate(take).pairs if pair.short_by > 0)


def _sentence(take: Take, pair: PairFigures) -> str:
    held = [take.display_name(key) for key in (pair.text, pair.ground) if is_held(take, key)]
    reached = f"{pair.text_name} on {pair.ground_name} reaches {rounded_down(pair.ratio)} of {pair.needed:g}"
    why = f", since {' and '.join(held)} {'is' if len(held) == 1 else 'are'} yours" if held else ""
    return f"{reached}{why}. {_way(pair)}"


def _way(pair: PairFigures) -> str:
    """Name the nearest colour with which the pair passes: of the text, or else of the ground."""
    ends = (
        (pair.text_name, pair.text_hex, pair.ground_hex),
        (pair.ground_name, pair.ground_hex, pair.text_hex),
    )
    for name, moving, fixed in ends:
        try:
            found = nearest_passing(moving, fixed, pair.needed, "hue")
        except NotReachable:
            continue
        return f"The nearest way: {name} as {found.hex}."
    return "No change of one of them alone would do."
