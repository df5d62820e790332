"""Grounds: what sections of a site stand on, and what every element uses on them so that it can be read.

The rule goes down a list of colours for each element and takes the first that reaches what the
element needs there; then the nearest step of a ramp; where nothing does, the best there is.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final, NamedTuple

from tonada.core.color.contrast import luminance_of, ratio_between
from tonada.core.color.requirements import Requirement, requirement
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import TEXTS, Level, Usage
from tonada.core.errors import TakeError
from tonada.core.take.key import step_key
from tonada.core.take.proof_settings import (
    ELEMENT_USAGES,
    TEXT_STYLES,
    Element,
    GroundSettings,
    ProofSettings,
    TextSize,
    TextStyle,
)
from tonada.core.take.take import Role, Take, role_name

# The grounds that every take has, in order; all but “tint” are roles.
TINT: Final = "tint"
STANDARD_GROUNDS: Final = (Role.PAPER, Role.MIST, TINT, Role.PRIMARY, Role.ACCENT, Role.DEEP)
TINT_NAME: Final = "Tint"

_HEADINGS: Final[tuple[TextStyle, ...]] = ("h1", "h2", "h3")
# The style of each element that is a running text.
TEXT_ELEMENTS: Final[dict[Element, TextStyle]] = {
    Element.TEXT: "text",
    Element.QUIET: "small",
    Element.LINK: "text",
    Element.LABEL: "label",
}
# On a brand colour and at night the accent may lead a heading; on light grounds Primary does.
_LIT_HEADINGS: Final = (Role.ACCENT, Role.PAPER, Role.INK)
_HEADING_ROLES: Final = (Role.PRIMARY, Role.INK, Role.PAPER)
_BUTTON_ROLES: Final = (Role.ACCENT, Role.PRIMARY, Role.SECONDARY, Role.INK, Role.PAPER)
_LINK_ROLES: Final = (Role.LINK, Role.ACCENT, Role.PRIMARY)
_SIGNALS: Final = {
    Element.SUCCESS: Role.SUCCESS,
    Element.WARNING: Role.WARNING,
    Element.ERROR: Role.ERROR,
    Element.INFO: Role.INFO,
}


@dataclass(frozen=True, slots=True)
class Use:
    """What an element uses on a ground. key, name, hex: the colour; by_rule: the key that the rule gives.

    over: what it stands on, the button's face for a label. ratio is exact; changed: by hand.
    needed, criterion, passes: as the element is usually set. reads_in: of a text, the styles of the
    pages in which it passes.
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
    is_text: bool
    reads_in: tuple[TextStyle, ...]


@dataclass(frozen=True, slots=True)
class Ground:
    """A ground with what every element uses on it. is_own: added by the designer."""

    id: str
    name: str
    key: str
    hex: Hex
    is_own: bool
    elements: tuple[Use, ...]


class Choice(NamedTuple):
    """The colour that an element has on a ground, what the rule would give, and what it reaches."""

    element: Element
    key: str
    by_rule: str
    hex: Hex
    over: Hex
    ratio: float
    needed: float


def grounds_of(take: Take) -> tuple[Ground, ...]:
    """Return the grounds of a take: those of the rule that its roles allow, then the designer's own."""
    return tuple(
        styler.style(_name_of(take, styler), is_own=styler.given.id not in STANDARD_GROUNDS)
        for styler in _stylers(take)
    )


def choices_of(take: Take) -> Iterator[tuple[str, str, dict[Element, Choice]]]:
    """Return the id and the key of each ground with its choices: what grounds_of has, without the words."""
    for styler in _stylers(take):
        yield styler.given.id, styler.key, styler.choose()


def _stylers(take: Take) -> Iterator[_Styler]:
    changed = {one.id: one for one in take.grounds}
    colors = _TakeColors(take)
    for standard in STANDARD_GROUNDS:
        given = changed.get(standard, GroundSettings(standard))
        key = _key_there(take, given.ground) or _standard_key(take, standard)
        if key is not None:
            yield _Styler(colors, given, key)
    for one in take.grounds:
        key = _key_there(take, one.ground)
        if one.id not in STANDARD_GROUNDS and key is not None:
            yield _Styler(colors, one, key)


def _name_of(take: Take, styler: _Styler) -> str:
    ground = styler.given
    if ground.name:
        return ground.name
    if ground.id in STANDARD_GROUNDS:
        return TINT_NAME if ground.id == TINT else role_name(ground.id)
    return take.display_name(styler.key)


def needed_for(take: Take, style: TextStyle, usage: Usage = Usage.BODY_TEXT) -> Requirement:
    """Return what a text of the proof's pages needs in its size and weight."""
    size = take.proof.size_of(style)
    return requirement(usage, take.level, size.size, size.weight)


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


def smallest_heading(take: Take) -> TextSize:
    """Return the size of the heading that needs the highest ratio."""
    sizes = [take.proof.size_of(style) for style in _HEADINGS]
    return max(sizes, key=lambda one: requirement(Usage.BODY_TEXT, take.level, one.size, one.weight).ratio)


def _standard_key(take: Take, ground: str) -> str | None:
    if ground != TINT:
        return ground if take.has_role(ground) else None
    owner = next((role for role in (Role.SECONDARY, Role.ACCENT) if take.has_role(role)), None)
    if owner is None or not take.has_role(Role.MIST):
        return None
    swatch = take.assignment(owner).swatch
    paper = take.hex_of(Role.PAPER) if take.has_role(Role.PAPER) else take.hex_of(Role.MIST)
    return step_key(swatch, _between(take.ramp(swatch).hexes, paper, take.hex_of(Role.MIST)) + 1)


@lru_cache(maxsize=1024)
def _between(hexes: tuple[Hex, ...], paper: Hex, mist: Hex) -> int:
    """Return the row whose luminance is nearest to the middle of the two grounds."""
    middle = (luminance_of(paper) + luminance_of(mist)) / 2
    return min(range(len(hexes)), key=lambda row: abs(luminance_of(hexes[row]) - middle))


def _key_there(take: Take, key: str | None) -> str | None:
    """Return a key whose colour is still there; what was taken out falls back to the rule."""
    if key is None:
        return None
    try:
        take.color_of(key)
    except TakeError:
        return None
    return key


class _TakeColors:
    """A take with what was asked of it before: the same colours come up on every ground."""

    def __init__(self, take: Take) -> None:
        self.take = take
        self.asked, self.needs, self.styles = _all_asked(take.level, take.proof)
        self._colors: dict[str, Hex] = {}
        self._names: dict[str, str] = {}

    def color(self, key: str) -> Hex:
        if key not in self._colors:
            self._colors[key] = self.take.color_of(key)
        return self._colors[key]

    def name(self, key: str) -> str:
        if key not in self._names:
            self._names[key] = self.take.display_name(key)
        return self._names[key]

    def ramp(self, owner: str) -> tuple[Hex, ...]:
        return self.take.ramp(owner).hexes


# The same in every step of a drag.
@lru_cache(maxsize=64)
def _all_asked(
    level: Level, proof: ProofSettings
) -> tuple[dict[Element, Requirement], dict[Element, float], dict[TextStyle, float]]:
    """Return what is asked of each element, the ratios alone, and those of each style of text."""
    take = Take(level=level, proof=proof)
    asked = {element: _asked(take, element) for element in Element}
    ratios = {element: one.ratio for element, one in asked.items()}
    return asked, ratios, {style: needed_for(take, style).ratio for style in TEXT_STYLES}


def _asked(take: Take, element: Element) -> Requirement:
    if element is Element.HEADING:
        size = smallest_heading(take)
        return requirement(Usage.BODY_TEXT, take.level, size.size, size.weight)
    if element in TEXT_ELEMENTS:
        return needed_for(take, TEXT_ELEMENTS[element], ELEMENT_USAGES[element])
    return requirement(ELEMENT_USAGES[element], take.level)


class _Styler:
    """Goes through the elements of one ground; later ones may depend on earlier ones."""

    def __init__(self, colors: _TakeColors, given: GroundSettings, key: str) -> None:
        self.colors, self.take, self.given, self.key = colors, colors.take, given, key
        self.hex = colors.color(key)
        self.by_hand = dict(given.uses)
        self.choices: dict[Element, Choice] = {}

    def choose(self) -> dict[Element, Choice]:
        """Return the choice for each element, in the order in which they are shown."""
        for element, choose in _RULES.items():
            needed = self.colors.needs[element]
            background = self.choices.get(Element.BUTTON)
            if element is Element.LABEL and background is None:
                continue
            over = background.hex if background and element is Element.LABEL else self.hex
            by_rule = choose(self, over, needed)
            if by_rule is not None:
                key = _key_there(self.take, self.by_hand.get(element)) or by_rule
                value = self.colors.color(key)
                ratio = ratio_between(value, over)
                self.choices[element] = Choice(element, key, by_rule, value, over, ratio, needed)
        return self.choices

    def style(self, name: str, *, is_own: bool) -> Ground:
        uses = tuple(self._use(choice) for choice in self.choose().values())
        return Ground(self.given.id, name, self.key, self.hex, is_own, uses)

    def _use(self, choice: Choice) -> Use:
        usage = ELEMENT_USAGES[choice.element]
        return Use(
            element=choice.element,
            key=choice.key,
            name=self.colors.name(choice.key),
            hex=choice.hex,
            by_rule=choice.by_rule,
            by_rule_name=self.colors.name(choice.by_rule),
            changed=choice.key != choice.by_rule,
            over=choice.over,
            usage=usage,
            ratio=choice.ratio,
            needed=choice.needed,
            criterion=self.colors.asked[choice.element].criterion,
            passes=choice.ratio >= choice.needed,
            is_text=usage in TEXTS,
            reads_in=self._reads_in(choice.element, choice.ratio),
        )

    def _reads_in(self, element: Element, ratio: float) -> tuple[TextStyle, ...]:
        if ELEMENT_USAGES[element] not in TEXTS:
            return ()
        return tuple(style for style, needed in self.colors.styles.items() if ratio >= needed)

    @property
    def text(self) -> str | None:
        """What a text uses here, the last resort of other elements."""
        text = self.choices.get(Element.TEXT)
        return text.key if text else None

    def roles(self, wanted: tuple[Role, ...]) -> list[str]:
        return [role for role in wanted if self.take.has_role(role)]

    def first(self, keys: list[str], over: Hex, needed: float) -> str | None:
        """Return the first that reaches what is needed; else the quietest step that does; else the best."""
        for key in keys:
            if ratio_between(self.colors.color(key), over) >= needed:
                return key
        step = self.quietest(over, needed)
        return step or self.best(keys, over)

    def best(self, keys: list[str], over: Hex) -> str | None:
        return max(keys, key=lambda key: ratio_between(self.colors.color(key), over), default=None)

    def quietest(self, over: Hex, needed: float) -> str | None:
        """Return the step of the neutrals that just reaches the ratio, or None."""
        return self.step_of([one.id for one in self.take.neutrals], over, needed)

    def step_of(self, owners: list[str], over: Hex, needed: float) -> str | None:
        for owner in owners:
            step = _quietest_step(self.colors.ramp(owner), over, needed)
            if step is not None:
                return step_key(owner, step + 1)
        return None

    def texts(self) -> list[str]:
        return self.roles((Role.INK, Role.PAPER, Role.DEEP, Role.MIST, Role.PRIMARY))


@lru_cache(maxsize=4096)
def _quietest_step(hexes: tuple[Hex, ...], over: Hex, needed: float) -> int | None:
    passing = [(ratio_between(value, over), row) for row, value in enumerate(hexes)]
    passing = [one for one in passing if one[0] >= needed]
    return min(passing)[1] if passing else None


def _heading(styler: _Styler, over: Hex, needed: float) -> str | None:
    is_lit = styler.given.id in (Role.PRIMARY, Role.DEEP)
    return styler.first(styler.roles(_LIT_HEADINGS if is_lit else _HEADING_ROLES), over, needed)


def _text(styler: _Styler, over: Hex, needed: float) -> str | None:
    pair = styler.roles((Role.INK, Role.PAPER))
    best = styler.best(pair, over)
    if best is not None and ratio_between(styler.colors.color(best), over) >= needed:
        return best
    return styler.first(styler.texts(), over, needed)


def _quiet(styler: _Styler, over: Hex, needed: float) -> str | None:
    muted = styler.roles((Role.MUTED,))
    if muted and ratio_between(styler.colors.color(muted[0]), over) >= needed:
        return muted[0]
    return styler.quietest(over, needed) or styler.text


def _link(styler: _Styler, over: Hex, needed: float) -> str | None:
    text = styler.colors.color(styler.text) if styler.text else None
    for key in styler.roles(_LINK_ROLES):
        value = styler.colors.color(key)
        if value != text and ratio_between(value, over) >= needed:
            return key
    owners = [styler.take.assignment(role).swatch for role in styler.roles(_LINK_ROLES)]
    return styler.step_of(owners, over, needed) or styler.text


def _button(styler: _Styler, over: Hex, needed: float) -> str | None:
    return styler.first([key for key in styler.roles(_BUTTON_ROLES) if key != styler.key], over, needed)


def _line(styler: _Styler, over: Hex, needed: float) -> str | None:
    return styler.first(styler.roles((Role.LINE,)), over, needed) or styler.text


def _focus(styler: _Styler, over: Hex, needed: float) -> str | None:
    return styler.first(styler.roles((Role.INK, Role.PAPER)), over, needed) or styler.text


def _signal(element: Element) -> Callable[[_Styler, Hex, float], str | None]:
    def choose(styler: _Styler, over: Hex, needed: float) -> str | None:
        role = _SIGNALS[element]
        if not styler.take.has_role(role):
            return None
        if ratio_between(styler.colors.color(role), over) >= needed:
            return role
        return styler.step_of([styler.take.assignment(role).swatch], over, needed) or role

    return choose


# In the order in which they are styled: a label needs its button, a link keeps off the text.
_RULES: Final[dict[Element, Callable[[_Styler, Hex, float], str | None]]] = {
    Element.HEADING: _heading,
    Element.TEXT: _text,
    Element.QUIET: _quiet,
    Element.LINK: _link,
    Element.BUTTON: _button,
    Element.LABEL: _text,
    Element.LINE: _line,
    Element.FOCUS: _focus,
    **{element: _signal(element) for element in _SIGNALS},
}
