"""What every element uses on a ground so that it can be read: the rules.

A rule goes down a list of colours for its element and takes the first that reaches what the element
needs there; then the nearest step of a ramp; where nothing does, the best there is.
"""

from __future__ import annotations

from collections.abc import Callable, Collection
from functools import lru_cache
from typing import Final, NamedTuple

from tonada.core.color.contrast import EXTREMES, ratio_between
from tonada.core.color.requirements import Requirement, requirement
from tonada.core.color.spaces import Hex
from tonada.core.color.vibration import is_neon, vibrates
from tonada.core.color.wcag import Level, Usage
from tonada.core.errors import TakeError
from tonada.core.roles.page_pairs import nearest_step
from tonada.core.take.key import step_key
from tonada.core.take.proof_settings import (
    ELEMENT_USAGES,
    TEXT_STYLES,
    WIDTHS,
    Element,
    GroundSettings,
    ProofSettings,
    TextSize,
    TextStyle,
)
from tonada.core.take.take import Role, Take

HEADINGS: Final[tuple[TextStyle, ...]] = ("h1", "h2", "h3")
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


class Choice(NamedTuple):
    """The colour of an element on a ground, the colour by rule, and its contrast ratio."""

    element: Element
    key: str
    by_rule: str
    hex: Hex
    over: Hex
    ratio: float
    needed: float


def needed_for(take: Take, style: TextStyle, usage: Usage = Usage.BODY_TEXT) -> Requirement:
    """Return what a text of the proof's pages needs in its size and weight, in the strictest width."""
    size = strictest_size(take, (style,))
    return requirement(usage, take.level, size.size, size.weight)


def strictest_size(take: Take, styles: tuple[TextStyle, ...]) -> TextSize:
    """Return the size, of all styles and widths, that needs the highest ratio; the first of equals."""
    sizes = [take.proof.size_of(style, width) for width in WIDTHS for style in styles]
    return max(sizes, key=lambda size: requirement(Usage.BODY_TEXT, take.level, size.size, size.weight).ratio)


def key_there(take: Take, key: str | None) -> str | None:
    """Return the key if its colour still exists, else None, so that the rule decides."""
    if key is None:
        return None
    try:
        take.color_of(key)
    except TakeError:
        return None
    return key


class TakeColors:
    """A take with what each element needs in it, and which roles it has: the same on every ground."""

    def __init__(self, take: Take) -> None:
        self.take = take
        self.asked, self.needs, self.styles = _all_asked(take.level, take.proof)
        self.color, self.name = take.color_of, take.display_name

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
        size = strictest_size(take, HEADINGS)
        return requirement(Usage.BODY_TEXT, take.level, size.size, size.weight)
    if element in TEXT_ELEMENTS:
        return needed_for(take, TEXT_ELEMENTS[element], ELEMENT_USAGES[element])
    return requirement(ELEMENT_USAGES[element], take.level)


class Chooser:
    """Goes through the elements of one ground; later ones may depend on earlier ones."""

    def __init__(self, colors: TakeColors, settings: GroundSettings, key: str) -> None:
        self.colors, self.take, self.settings, self.key = colors, colors.take, settings, key
        self.hex = colors.color(key)
        self.by_hand = dict(settings.uses)
        self.choices: dict[Element, Choice] = {}

    def choose(self, left: Collection[Element] = ()) -> dict[Element, Choice]:
        """Return the choice for each element but those `left`, in the order in which they are shown."""
        for element, choose in _RULES.items():
            if element in left:
                continue
            needed = self.colors.needs[element]
            background = self.choices.get(Element.BUTTON)
            if element is Element.LABEL and background is None:
                continue
            over = background.hex if background and element is Element.LABEL else self.hex
            by_rule = choose(self, over, needed)
            if by_rule is not None:
                key = key_there(self.take, self.by_hand.get(element)) or by_rule
                value = self.colors.color(key)
                ratio = ratio_between(value, over)
                self.choices[element] = Choice(element, key, by_rule, value, over, ratio, needed)
        return self.choices

    def choose_doubtful(self) -> dict[Element, Choice]:
        """Return what choose does of elements that fail or were changed by hand, and of the button.

        Where a step of the neutrals reads on the ground, the rules of most elements end there if no role
        reads: they can't fail, and need not be gone through. Nor need the others, where none of them fails.
        """
        needs = self.colors.needs
        most = max(needs[neutral] for neutral in _END_AT_NEUTRALS)
        is_sure = needs[Element.LINK] <= needs[Element.TEXT] and self.quietest(self.hex, most) is not None
        if self.by_hand or not is_sure:
            return self.choose()
        return {} if self._signals_read() and self._button_reads() else self.choose(_END_AT_NEUTRALS)

    def _signals_read(self) -> bool:
        for element, role in _SIGNALS.items():
            needed = self.colors.needs[element]
            if (
                self.take.has_role(role)
                and not self.reads(role, self.hex, needed)
                and self.step_of([self.take.assignment(role).swatch], self.hex, needed) is None
            ):
                return False
        return True

    def _button_reads(self) -> bool:
        """Return whether the button that the rule gives, and the label on it, reach what they need."""
        needs = self.colors.needs
        key = _button(self, self.hex, needs[Element.BUTTON])
        if key is None:
            return True
        button = self.colors.color(key)
        label = _text(self, button, needs[Element.LABEL])
        return self.reads(key, self.hex, needs[Element.BUTTON]) and (
            label is None or self.reads(label, button, needs[Element.LABEL])
        )

    @property
    def text(self) -> str | None:
        """What a text uses here, the last resort of other elements."""
        text = self.choices.get(Element.TEXT)
        return text.key if text else None

    def roles(self, wanted: tuple[Role, ...]) -> list[str]:
        return [role for role in wanted if self.take.has_role(role)]

    def first(self, keys: list[str], over: Hex, needed: float) -> str | None:
        """Return the first role that passes; else the passing step nearest to the ground; else the best."""
        for key in keys:
            if self.reads(key, over, needed):
                return key
        step = self.quietest(over, needed)
        return step or self.best([*keys, *EXTREMES], over)

    def reads(self, key: str, over: Hex, needed: float) -> bool:
        return ratio_between(self.colors.color(key), over) >= needed

    def glares(self, key: str, over: Hex) -> bool:
        """Return whether a text in this colour vibrates here, or glows anywhere."""
        value = self.colors.color(key)
        return vibrates(value, over) or is_neon(value)

    def best(self, keys: list[str], over: Hex) -> str | None:
        return max(keys, key=lambda key: ratio_between(self.colors.color(key), over), default=None)

    def quietest(self, over: Hex, needed: float) -> str | None:
        """Return the step of the neutrals that just reaches the ratio, or None."""
        return self.step_of([neutral.id for neutral in self.take.neutrals], over, needed)

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
    passing = [entry for entry in passing if entry[0] >= needed]
    return min(passing)[1] if passing else None


def _heading(chooser: Chooser, over: Hex, needed: float) -> str | None:
    take = chooser.take
    if chooser.settings.id in (Role.PRIMARY, Role.DEEP):
        wanted = chooser.roles(_LIT_HEADINGS)
    else:
        wanted = chooser.roles(_HEADING_ROLES)
        on_page = chooser.settings.id in (Role.PAPER, Role.MIST)
        if on_page and wanted[:1] == [Role.PRIMARY] and not chooser.reads(Role.PRIMARY, over, needed):
            # The brand stays in the heading: Primary as text, or a step of it, goes before Ink.
            as_text = take.text_key_of(Role.PRIMARY)
            reads = chooser.reads(as_text, over, needed)
            wanted[0] = as_text if reads else nearest_step(take, Role.PRIMARY, over, needed) or Role.PRIMARY
    calm = [key for key in wanted if not chooser.glares(key, over)]
    return chooser.first(calm, over, needed)


def _text(chooser: Chooser, over: Hex, needed: float) -> str | None:
    best = chooser.best(chooser.roles((Role.INK, Role.PAPER)), over)
    if best is not None and chooser.reads(best, over, needed):
        return best
    return chooser.first(chooser.texts(), over, needed)


def _quiet(chooser: Chooser, over: Hex, needed: float) -> str | None:
    muted = chooser.roles((Role.MUTED,))
    if muted and chooser.reads(muted[0], over, needed):
        return muted[0]
    return chooser.quietest(over, needed) or chooser.text


def _link(chooser: Chooser, over: Hex, needed: float) -> str | None:
    text = chooser.colors.color(chooser.text) if chooser.text else None
    roles = chooser.roles(_LINK_ROLES)
    for key in dict.fromkeys((*roles, *map(chooser.take.text_key_of, roles))):
        value = chooser.colors.color(key)
        if value != text and chooser.reads(key, over, needed) and not chooser.glares(key, over):
            return key
    owners = [chooser.take.assignment(role).swatch for role in roles]
    step = chooser.step_of(owners, over, needed)
    return step if step and not chooser.glares(step, over) else chooser.text


def _button(chooser: Chooser, over: Hex, needed: float) -> str | None:
    others = [key for key in chooser.roles(_BUTTON_ROLES) if key != chooser.key]
    for key in others:
        if chooser.reads(key, over, needed) and not vibrates(chooser.colors.color(key), over):
            return key
    # None that is calm passes.
    calm = [key for key in others if not vibrates(chooser.colors.color(key), over)]
    return chooser.first(calm, over, needed)


def _line(chooser: Chooser, over: Hex, needed: float) -> str | None:
    return chooser.first(chooser.roles((Role.LINE,)), over, needed) or chooser.text


def _focus(chooser: Chooser, over: Hex, needed: float) -> str | None:
    return chooser.first(chooser.roles((Role.INK, Role.PAPER)), over, needed) or chooser.text


def _signal(element: Element) -> Callable[[Chooser, Hex, float], str | None]:
    def choose(chooser: Chooser, over: Hex, needed: float) -> str | None:
        role = _SIGNALS[element]
        if not chooser.take.has_role(role):
            return None
        if chooser.reads(role, over, needed):
            return role
        return chooser.step_of([chooser.take.assignment(role).swatch], over, needed) or role

    return choose


# What takes the passing step of the neutrals where no role passes; a link takes the text's colour then.
_END_AT_NEUTRALS: Final = frozenset(
    (Element.HEADING, Element.TEXT, Element.QUIET, Element.LINK, Element.LINE, Element.FOCUS)
)
# In the order in which they are chosen: a label needs its button, a link keeps off the text.
_RULES: Final[dict[Element, Callable[[Chooser, Hex, float], str | None]]] = {
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
