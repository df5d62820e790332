"""Texts before colours: a pair that another role would mend needs no colour to move."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Final

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.mends.one_pair import other_texts
from tonada.core.pairs.evaluation import PairFigures, evaluate
from tonada.core.roles.page_pairs import page_pairs
from tonada.core.take.recolor import change_pair_text
from tonada.core.take.take import Role, Take, role_name

# What a text usually is: these go before a brand colour that would read as well.
_TEXTS: Final = tuple(role_name(role) for role in (Role.INK, Role.PAPER, Role.DEEP, Role.MIST))


@dataclass(frozen=True, slots=True)
class TextChanged:
    """A pair with another text. pair: its id; name: as it was; before, after: of the colours."""

    pair: str
    name: str
    before: str
    after: str
    before_hex: Hex
    after_hex: Hex


def with_other_texts(
    take: Take, is_asked: Callable[[PairFigures], bool]
) -> tuple[Take, tuple[TextChanged, ...]]:
    """Return the take with another text in each failing pair asked about, where one would do.

    What the rule gives goes first, then Ink, Paper, Deep and Mist, then what is nearest to the text.
    """
    changed: list[TextChanged] = []
    by_rule = {pair.id: pair.text for pair in page_pairs(take)}
    for pair in evaluate(take).pairs:
        if pair.short_by <= 0 or not is_asked(pair):
            continue
        found = _by_rule(take, pair, by_rule.get(pair.id)) or _another(take, pair)
        if found is None:
            continue
        take, name, value = found
        named = f"{pair.text_name} on {pair.ground_name}"
        changed.append(TextChanged(pair.id, named, pair.text_name, name, pair.text_hex, value))
    return take, tuple(changed)


def _by_rule(take: Take, pair: PairFigures, key: str | None) -> tuple[Take, str, Hex] | None:
    if key is None or ratio_between(take.color_of(key), pair.ground_hex) < pair.needed:
        return None
    return change_pair_text(take, pair.id, key), take.display_name(key), take.color_of(key)


def _another(take: Take, pair: PairFigures) -> tuple[Take, str, Hex] | None:
    mends = other_texts(take, pair.id)
    if not mends:
        return None
    usual = next((mend for name in _TEXTS for mend in mends if mend.moved == name), mends[0])
    return usual.mended, usual.moved, usual.text_hex
