"""Pairs that grounds make: an element on its ground joins the take's pairs where that says something new."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Final

from tonada.core.proof.choices import HEADINGS, TEXT_ELEMENTS, Choice, strictest_size
from tonada.core.proof.grounds import choices_of, doubtful_choices, set_use
from tonada.core.take.parts import GroundPair, GroundPlace
from tonada.core.take.proof_settings import ELEMENT_USAGES, Element, TextSize
from tonada.core.take.take import Take

_SAMPLES: Final[dict[Element, str]] = {
    Element.HEADING: "A heading",
    Element.TEXT: "Body text",
    Element.QUIET: "A quiet remark",
    Element.LINK: "a link in a text",
    Element.LABEL: "A button",
}


def ground_pairs(take: Take) -> tuple[GroundPair, ...]:
    """Return a pair for each element that fails or was changed by hand.

    The rule's own choices pass and say nothing new, so they stay out of the list.
    """
    known = {(pair.text, pair.ground, pair.usage) for pair in take.pairs}
    return tuple(
        pair
        for ground, key, choices in doubtful_choices(take)
        for choice in choices.values()
        if choice.key != choice.by_rule or choice.ratio < choice.needed
        if (pair := _pair_of(take, ground, key, choice, choices))
        and (pair.text, pair.ground, pair.usage) not in known
    )


def with_ground_pairs(take: Take) -> Take:
    """Return the take with the pairs that its grounds make added to its pairs."""
    take = without_ground_pairs(take)
    pairs = ground_pairs(take)
    return replace(take, pairs=(*take.pairs, *pairs)) if pairs else take


def without_ground_pairs(take: Take) -> Take:
    """Return the take without pairs of its grounds; their changed texts are written to the grounds."""
    made = [pair for pair in take.pairs if isinstance(pair, GroundPair)]
    if not made:
        return take
    plain = replace(take, pairs=tuple(pair for pair in take.pairs if not isinstance(pair, GroundPair)))
    for pair in made:
        place = pair.place
        here = next(
            (choices.get(place.element) for ground, choices in choices_of(plain) if ground == place.ground),
            None,
        )
        if here and here.key != pair.text:
            plain = set_use(plain, place.ground, place.element, pair.text)
    return plain


def _pair_of(
    take: Take, ground: str, key: str, choice: Choice, choices: Mapping[Element, Choice]
) -> GroundPair:
    below = choices[Element.BUTTON].key if choice.element is Element.LABEL else key
    return pair_on_ground(take, ground, choice.element, choice.key, below)


def pair_on_ground(take: Take, ground: str, element: Element, text: str, below: str) -> GroundPair:
    """Return an element of a ground as a pair. text, below: the keys of its colour and of what it is on."""
    size: TextSize | None = None
    if element is Element.HEADING:
        size = strictest_size(take, HEADINGS)
    elif element in TEXT_ELEMENTS:
        size = strictest_size(take, (TEXT_ELEMENTS[element],))
    place = GroundPlace(ground, element)
    return GroundPair(
        place.pair_id,
        text,
        below,
        ELEMENT_USAGES[element],
        _SAMPLES.get(element, element.capitalize()),
        size=size.size if size else None,
        weight=size.weight if size else None,
        place=place,
    )
