"""Pairs that grounds make: what is worn on them joins the take's pairs where it says something new."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.proof.grounds import TEXT_FIGURES, Worn, WornGround, grounds_of, smallest_heading, wear
from tonada.core.take.proof_settings import Figure, TextSize
from tonada.core.take.take import Pair, Take

# How such a pair is named: `worn-` ground `-` figure.
_WORN: Final = "worn-"
_SAMPLES: Final[dict[Figure, str]] = {
    Figure.HEADING: "A heading",
    Figure.TEXT: "A text to be read",
    Figure.QUIET: "A quiet remark",
    Figure.LINK: "a link in a text",
    Figure.LABEL: "A button",
}


def with_worn_pairs(take: Take) -> Take:
    """Return the take with a pair for each figure that falls short or was changed by hand.

    The rule's own choices pass and say nothing new, so they stay out of the list.
    """
    take = absorbed(take)
    known = {(one.text, one.ground, one.usage) for one in take.pairs}
    pairs = [
        pair
        for ground in grounds_of(take)
        for worn in ground.figures
        if worn.changed or not worn.passes
        if (pair := _pair_of(take, ground, worn)) and (pair.text, pair.ground, pair.usage) not in known
    ]
    return replace(take, pairs=(*take.pairs, *pairs)) if pairs else take


def absorbed(take: Take) -> Take:
    """Return the take with the pairs of with_worn_pairs taken into its grounds again."""
    worn = [one for one in take.pairs if is_worn(one.id)]
    if not worn:
        return take
    plain = replace(take, pairs=tuple(one for one in take.pairs if not is_worn(one.id)))
    for pair in worn:
        ground, figure = _place_of(pair.id)
        now = next((one for one in grounds_of(plain) if one.id == ground), None)
        here = next((one for one in now.figures if one.figure == figure), None) if now else None
        if here and here.key != pair.text:
            plain = wear(plain, ground, figure, pair.text)
    return plain


def is_worn(pair_id: str) -> bool:
    """Say whether a pair was made by a ground: it is changed there, and stands in no document."""
    return pair_id.startswith(_WORN)


def _place_of(pair_id: str) -> tuple[str, Figure]:
    ground, _, figure = pair_id.removeprefix(_WORN).rpartition("-")
    return ground, next(one for one in Figure if _word(one) == figure)


def _word(figure: Figure) -> str:
    return figure.split(" ")[-1] if figure is not Figure.QUIET else "quiet"


def _pair_of(take: Take, ground: WornGround, worn: Worn) -> Pair:
    below = ground.key
    if worn.figure is Figure.LABEL:
        below = next(one.key for one in ground.figures if one.figure == Figure.BUTTON)
    size: TextSize | None = None
    if worn.figure is Figure.HEADING:
        size = smallest_heading(take)
    elif worn.figure in TEXT_FIGURES:
        size = take.proof.size_of(TEXT_FIGURES[worn.figure])
    return Pair(
        f"{_WORN}{ground.id}-{_word(worn.figure)}",
        worn.key,
        below,
        worn.usage,
        _SAMPLES.get(worn.figure, worn.figure.capitalize()),
        size=size.size if size else None,
        weight=size.weight if size else None,
    )
