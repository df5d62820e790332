"""Pairs that grounds make: an element on its ground joins the take's pairs where that says something new."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.proof.grounds import TEXT_ELEMENTS, Ground, Use, grounds_of, set_use, smallest_heading
from tonada.core.take.parts import GroundPair, GroundPlace
from tonada.core.take.proof_settings import Element, TextSize
from tonada.core.take.take import Take

_SAMPLES: Final[dict[Element, str]] = {
    Element.HEADING: "A heading",
    Element.TEXT: "A text to be read",
    Element.QUIET: "A quiet remark",
    Element.LINK: "a link in a text",
    Element.LABEL: "A button",
}


def with_ground_pairs(take: Take) -> Take:
    """Return the take with a pair for each element that fails or was changed by hand.

    The rule's own choices pass and say nothing new, so they stay out of the list.
    """
    take = without_ground_pairs(take)
    known = {(one.text, one.ground, one.usage) for one in take.pairs}
    pairs = [
        pair
        for ground in grounds_of(take)
        for use in ground.elements
        if use.changed or not use.passes
        if (pair := _pair_of(take, ground, use)) and (pair.text, pair.ground, pair.usage) not in known
    ]
    return replace(take, pairs=(*take.pairs, *pairs)) if pairs else take


def without_ground_pairs(take: Take) -> Take:
    """Return the take with what was changed in the pairs of its grounds written to the grounds."""
    made = [one for one in take.pairs if isinstance(one, GroundPair)]
    if not made:
        return take
    plain = replace(take, pairs=tuple(one for one in take.pairs if not isinstance(one, GroundPair)))
    for pair in made:
        place = pair.place
        now = next((one for one in grounds_of(plain) if one.id == place.ground), None)
        here = next((one for one in now.elements if one.element == place.element), None) if now else None
        if here and here.key != pair.text:
            plain = set_use(plain, place.ground, place.element, pair.text)
    return plain


def _pair_of(take: Take, ground: Ground, use: Use) -> GroundPair:
    below = ground.key
    if use.element is Element.LABEL:
        below = next(one.key for one in ground.elements if one.element == Element.BUTTON)
    size: TextSize | None = None
    if use.element is Element.HEADING:
        size = smallest_heading(take)
    elif use.element in TEXT_ELEMENTS:
        size = take.proof.size_of(TEXT_ELEMENTS[use.element])
    place = GroundPlace(ground.id, use.element)
    return GroundPair(
        place.pair_id,
        use.key,
        below,
        use.usage,
        _SAMPLES.get(use.element, use.element.capitalize()),
        size=size.size if size else None,
        weight=size.weight if size else None,
        place=place,
    )
