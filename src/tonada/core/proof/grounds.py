"""Grounds: what sections of a site stand on, and what every element uses on them."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final

from tonada.core.color.hue_rules import color_at
from tonada.core.color.neutrals import STRONGEST
from tonada.core.color.spaces import Hex, difference_between, hex_to_oklch
from tonada.core.color.vibration import vibrates
from tonada.core.color.wcag import TEXTS, Usage
from tonada.core.proof.choices import Choice, Chooser, TakeColors, key_there
from tonada.core.roles.proposal import NIGHT_STRENGTH, turns_brown
from tonada.core.roles.text_colors import FILLS
from tonada.core.take.proof_settings import ELEMENT_USAGES, Element, GroundSettings, TextStyle
from tonada.core.take.take import Role, Take, role_name

# The grounds that every take has, in order; all but “tint” are roles.
TINT: Final = "tint"
STANDARD_GROUNDS: Final = (Role.PAPER, Role.MIST, TINT, Role.PRIMARY, Role.SECONDARY, Role.ACCENT, Role.DEEP)
TINT_NAME: Final = "Tint"
# A card of a fill that is nearer (deltaEOK) to what it lies on can't be seen there.
CARD_APART: Final = 0.12
# A ground darker than this (OKLCH lightness) is one of the night's.
DARK_BELOW: Final = 0.5
ROUNDING_STEP: Final = 0.002


@dataclass(frozen=True, slots=True)
class Use:
    """What an element uses on a ground. key, name, hex: the colour; by_rule: the key that the rule gives.

    over: what it is on, the button's background for a label. ratio is exact; changed: by hand.
    needed, criterion, passes, short_by: as the element is usually set. reads_in: of a text, the styles of
    the pages in which it passes; short_in: by how much it falls short in the others.
    """

    element: Element
    key: str
    name: str
    hex: Hex
    by_rule: str
    by_rule_name: str
    changed: bool
    over: Hex
    usage: Usage
    ratio: float
    needed: float
    criterion: str
    passes: bool
    short_by: float
    is_text: bool
    reads_in: tuple[TextStyle, ...]
    short_in: Mapping[TextStyle, float]


@dataclass(frozen=True, slots=True)
class Ground:
    """A ground with what every element uses on it. is_own: added by the designer."""

    id: str
    name: str
    key: str
    hex: Hex
    is_own: bool
    elements: tuple[Use, ...]


def grounds_of(take: Take) -> tuple[Ground, ...]:
    """Return the grounds of a take: those of the rule that its roles allow, then the designer's own."""
    return tuple(_ground(take, chooser) for chooser in _choosers(take))


def ground_on(take: Take, key: str) -> Ground:
    """Return any colour of a take as a ground, with what the rule gives every element on it."""
    return _ground(take, Chooser(TakeColors(take), GroundSettings(key), key))


def choices_of(take: Take) -> Iterator[tuple[str, dict[Element, Choice]]]:
    """Return the id of each ground with its choices: what grounds_of has, without the words."""
    for chooser in _choosers(take):
        yield chooser.settings.id, chooser.choose()


def doubtful_choices(take: Take) -> Iterator[tuple[str, str, dict[Element, Choice]]]:
    """Return the id and the key of each ground with the choices that may fail or were changed by hand."""
    for chooser in _choosers(take):
        yield chooser.settings.id, chooser.key, chooser.choose_doubtful()


def clashing_with(ground: Ground, grounds: Iterable[Ground]) -> tuple[str, ...]:
    """Return the ids of the grounds that a part of a page had better not have on this one.

    Their edge would vibrate, or nobody would see it: a card would be lost on a ground so near.
    """
    return tuple(
        other.id
        for other in grounds
        if other.id != ground.id
        and other.id in FILLS
        and (vibrates(ground.hex, other.hex) or difference_between(ground.hex, other.hex) < CARD_APART)
    )


def _choosers(take: Take) -> Iterator[Chooser]:
    changed = {ground.id: ground for ground in take.grounds}
    colors = TakeColors(take)
    for standard in STANDARD_GROUNDS:
        settings = changed.get(standard, GroundSettings(standard))
        key = key_there(take, settings.ground) or _standard_key(take, standard)
        if key is not None:
            yield Chooser(colors, settings, key)
    for ground in take.grounds:
        key = key_there(take, ground.ground)
        if ground.id not in STANDARD_GROUNDS and key is not None:
            yield Chooser(colors, ground, key)


def _ground(take: Take, chooser: Chooser) -> Ground:
    uses = tuple(_use(chooser.colors, choice) for choice in chooser.choose().values())
    is_own = chooser.settings.id not in STANDARD_GROUNDS
    return Ground(chooser.settings.id, _name_of(take, chooser), chooser.key, chooser.hex, is_own, uses)


def _use(colors: TakeColors, choice: Choice) -> Use:
    usage = ELEMENT_USAGES[choice.element]
    styles = colors.styles if usage in TEXTS else {}
    return Use(
        element=choice.element,
        key=choice.key,
        name=colors.name(choice.key),
        hex=choice.hex,
        by_rule=choice.by_rule,
        by_rule_name=colors.name(choice.by_rule),
        changed=choice.key != choice.by_rule,
        over=choice.over,
        usage=usage,
        ratio=choice.ratio,
        needed=choice.needed,
        criterion=colors.asked[choice.element].criterion,
        passes=choice.ratio >= choice.needed,
        short_by=max(0.0, choice.needed - choice.ratio),
        is_text=usage in TEXTS,
        reads_in=tuple(style for style, needed in styles.items() if choice.ratio >= needed),
        short_in={style: needed - choice.ratio for style, needed in styles.items() if choice.ratio < needed},
    )


def _name_of(take: Take, chooser: Chooser) -> str:
    ground = chooser.settings
    if ground.name:
        return ground.name
    if ground.id in STANDARD_GROUNDS:
        return TINT_NAME if ground.id == TINT else role_name(ground.id)
    return take.display_name(chooser.key)


def set_use(take: Take, ground: str, element: Element, key: str | None) -> Take:
    """Return the take with an element of a ground in another colour; None gives it back to the rule.

    Raises TakeError for a colour that isn't there.
    """
    if key is not None:
        take.color_of(key)
    before = next((one for one in take.grounds if one.id == ground), GroundSettings(ground))
    uses = tuple((one, used) for one, used in before.uses if one != element)
    after = replace(before, uses=uses if key is None else (*uses, (element, key)))
    others = [one for one in take.grounds if one.id != ground]
    if after == GroundSettings(ground):
        return replace(take, grounds=tuple(others))
    at = next((row for row, one in enumerate(take.grounds) if one.id == ground), len(others))
    return replace(take, grounds=(*others[:at], after, *others[at:]))


def _standard_key(take: Take, ground: str) -> str | None:
    if ground != TINT:
        return ground if take.has_role(ground) else None
    owner = next((role for role in (Role.SECONDARY, Role.ACCENT) if take.has_role(role)), None)
    if owner is None or not take.has_role(Role.MIST):
        return None
    paper = take.hex_of(Role.PAPER) if take.has_role(Role.PAPER) else take.hex_of(Role.MIST)
    return tint_between(take.hex_of(owner), paper, take.hex_of(Role.MIST))


@lru_cache(maxsize=1024)
def tint_between(color: Hex, paper: Hex, mist: Hex) -> Hex:
    """Return a ground of this colour's hue, between the other two in OKLCH lightness.

    It has at most the chroma of Mist, so that it is as quiet as that over a whole page; and nearly none
    where a dark of this hue would be brown or green.
    """
    (light, *_), (lightness, chroma, _) = hex_to_oklch(paper), hex_to_oklch(mist)
    middle = (light + lightness) / 2
    _, own, hue = hex_to_oklch(color)
    most = min(chroma, own)
    if middle < DARK_BELOW and turns_brown(color):
        most = min(most, NIGHT_STRENGTH * STRONGEST)
    value = color_at(middle, most, hue)
    # Rounded to 8 bits, a dark may have more.
    while most > 0 and hex_to_oklch(value)[1] > chroma:
        most = max(0.0, most - ROUNDING_STEP)
        value = color_at(middle, most, hue)
    return value
