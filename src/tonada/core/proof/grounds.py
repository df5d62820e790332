"""Grounds: what sections of a site stand on, and what every figure wears on them so that it can be read.

The rule goes down a list of colours for each figure and takes the first that reaches what the
figure needs there; then the nearest step of a ramp; where nothing does, the best there is.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final

from tonada.core.color.contrast import Usage, luminance_of, ratio_between
from tonada.core.color.requirements import TEXTS, Requirement, requirement
from tonada.core.color.spaces import Hex
from tonada.core.errors import TakeError
from tonada.core.take.proof_settings import FIGURE_USAGES, TEXT_STYLES, Figure, Ground, TextSize, TextStyle
from tonada.core.take.take import Role, Take, role_name

# The grounds that every take has, in order; all but “tint” are roles.
TINT: Final = "tint"
STANDARD_GROUNDS: Final = (Role.PAPER, Role.MIST, TINT, Role.PRIMARY, Role.ACCENT, Role.NIGHT)
TINT_NAME: Final = "Tint"

_HEADINGS: Final[tuple[TextStyle, ...]] = ("h1", "h2", "h3")
# The style of each figure that is a running text.
TEXT_FIGURES: Final[dict[Figure, TextStyle]] = {
    Figure.TEXT: "text",
    Figure.QUIET: "small",
    Figure.LINK: "text",
    Figure.LABEL: "label",
}
# On a brand colour and at night the accent may lead a heading; on light grounds Primary does.
_LIT_HEADINGS: Final = (Role.ACCENT, Role.PAPER, Role.INK)
_HEADING_WEARERS: Final = (Role.PRIMARY, Role.INK, Role.PAPER)
_BUTTON_WEARERS: Final = (Role.ACCENT, Role.PRIMARY, Role.SECONDARY, Role.INK, Role.PAPER)
_LINK_WEARERS: Final = (Role.LINK, Role.ACCENT, Role.PRIMARY)
_SIGNALS: Final = {
    Figure.GOOD: Role.GOOD,
    Figure.CAUTION: Role.CAUTION,
    Figure.BAD: Role.BAD,
    Figure.NOTE: Role.NOTE,
}


@dataclass(frozen=True, slots=True)
class Worn:
    """What a figure wears on a ground. key, name, hex: the colour; by_rule: the key that the rule gives.

    over: what it stands on, the button's face for a label. ratio is exact; changed: by hand.
    needed, criterion, passes: as the figure is usually set. reads_in: of a text, the styles of the
    pages in which it passes.
    """

    figure: Figure
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
class WornGround:
    """A ground with what every figure wears on it. is_own: added by the designer."""

    id: str
    name: str
    key: str
    hex: Hex
    is_own: bool
    figures: tuple[Worn, ...]


def grounds_of(take: Take) -> tuple[WornGround, ...]:
    """Return the grounds of a take: those of the rule that its roles allow, then the designer's own."""
    changed = {one.id: one for one in take.grounds}
    known = _Known(take)
    grounds = []
    for standard in STANDARD_GROUNDS:
        given = changed.get(standard, Ground(standard))
        key = _key_there(take, given.ground) or _standard_key(take, standard)
        if key is not None:
            name = given.name or (TINT_NAME if standard == TINT else role_name(standard))
            grounds.append(_Dresser(known, given, key).dress(name, is_own=False))
    for one in take.grounds:
        key = _key_there(take, one.ground)
        if one.id not in STANDARD_GROUNDS and key is not None:
            grounds.append(_Dresser(known, one, key).dress(one.name or called(take, key), is_own=True))
    return tuple(grounds)


def needed_for(take: Take, style: TextStyle, usage: Usage = Usage.BODY_TEXT) -> Requirement:
    """Return what a text of the proof's pages needs in its size and weight."""
    size = take.proof.size_of(style)
    return requirement(usage, take.level, size.size, size.weight)


def called(take: Take, key: str) -> str:
    """Return what a person calls a colour that a figure wears."""
    if take.has_role(key):
        return role_name(key, take.assignment(key).name)
    owner, _, step = key.partition("/")
    return key if key.startswith("#") else take.name_of(owner, int(step) if step else None)


def wear(take: Take, ground: str, figure: Figure, key: str | None) -> Take:
    """Return the take with a figure of a ground worn by a colour; None gives it back to the rule.

    Raises TakeError for a colour that isn't there.
    """
    if key is not None:
        take.color_of(key)
    before = next((one for one in take.grounds if one.id == ground), Ground(ground))
    wears = tuple((one, worn) for one, worn in before.wears if one != figure)
    after = replace(before, wears=wears if key is None else (*wears, (figure, key)))
    others = [one for one in take.grounds if one.id != ground]
    if after == Ground(ground):
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
    return f"{swatch}/{_between(take.ramp(swatch).hexes, paper, take.hex_of(Role.MIST)) + 1}"


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


class _Known:
    """A take with what was asked of it before: the same colours come up on every ground."""

    def __init__(self, take: Take) -> None:
        self.take = take
        self.asked = {figure: _asked(take, figure) for figure in Figure}
        self.needs = {figure: asked.ratio for figure, asked in self.asked.items()}
        self.styles = {style: needed_for(take, style).ratio for style in TEXT_STYLES}
        self._colors: dict[str, Hex] = {}
        self._names: dict[str, str] = {}

    def color(self, key: str) -> Hex:
        if key not in self._colors:
            self._colors[key] = self.take.color_of(key)
        return self._colors[key]

    def name(self, key: str) -> str:
        if key not in self._names:
            self._names[key] = called(self.take, key)
        return self._names[key]

    def ramp(self, owner: str) -> tuple[Hex, ...]:
        return self.take.ramp(owner).hexes


def _asked(take: Take, figure: Figure) -> Requirement:
    if figure is Figure.HEADING:
        size = smallest_heading(take)
        return requirement(Usage.BODY_TEXT, take.level, size.size, size.weight)
    if figure in TEXT_FIGURES:
        return needed_for(take, TEXT_FIGURES[figure], FIGURE_USAGES[figure])
    return requirement(FIGURE_USAGES[figure], take.level)


class _Dresser:
    """Goes through the figures of one ground; later ones may depend on earlier ones."""

    def __init__(self, known: _Known, given: Ground, key: str) -> None:
        self.known, self.take, self.given, self.key = known, known.take, given, key
        self.hex = known.color(key)
        self.by_hand = dict(given.wears)
        self.worn: dict[Figure, Worn] = {}

    def dress(self, name: str, *, is_own: bool) -> WornGround:
        for figure, choose in _RULES.items():
            needed = self.known.needs[figure]
            face = self.worn.get(Figure.BUTTON)
            if figure is Figure.LABEL and face is None:
                continue
            over = face.hex if face and figure is Figure.LABEL else self.hex
            by_rule = choose(self, over, needed)
            if by_rule is not None:
                self.worn[figure] = self._worn(figure, by_rule, over, needed)
        return WornGround(self.given.id, name, self.key, self.hex, is_own, tuple(self.worn.values()))

    def _worn(self, figure: Figure, by_rule: str, over: Hex, needed: float) -> Worn:
        hand = _key_there(self.take, self.by_hand.get(figure))
        key = hand or by_rule
        value = self.known.color(key)
        ratio = ratio_between(value, over)
        return Worn(
            figure=figure,
            key=key,
            name=self.known.name(key),
            hex=value,
            by_rule=by_rule,
            by_rule_name=self.known.name(by_rule),
            changed=key != by_rule,
            over=over,
            usage=FIGURE_USAGES[figure],
            ratio=ratio,
            needed=needed,
            criterion=self.known.asked[figure].criterion,
            passes=ratio >= needed,
            is_text=FIGURE_USAGES[figure] in TEXTS,
            reads_in=self._reads_in(figure, ratio),
        )

    def _reads_in(self, figure: Figure, ratio: float) -> tuple[TextStyle, ...]:
        if FIGURE_USAGES[figure] not in TEXTS:
            return ()
        return tuple(style for style, needed in self.known.styles.items() if ratio >= needed)

    @property
    def text(self) -> str | None:
        """What a text wears here, the last resort of other figures."""
        worn = self.worn.get(Figure.TEXT)
        return worn.key if worn else None

    def roles(self, wanted: tuple[Role, ...]) -> list[str]:
        return [role for role in wanted if self.take.has_role(role)]

    def first(self, keys: list[str], over: Hex, needed: float) -> str | None:
        """Return the first that reaches what is needed; else the quietest step that does; else the best."""
        for key in keys:
            if ratio_between(self.known.color(key), over) >= needed:
                return key
        step = self.quietest(over, needed)
        return step or self.best(keys, over)

    def best(self, keys: list[str], over: Hex) -> str | None:
        return max(keys, key=lambda key: ratio_between(self.known.color(key), over), default=None)

    def quietest(self, over: Hex, needed: float) -> str | None:
        """Return the step of the neutrals that just reaches the ratio, or None."""
        return self.step_of([one.id for one in self.take.neutrals], over, needed)

    def step_of(self, owners: list[str], over: Hex, needed: float) -> str | None:
        for owner in owners:
            step = _quietest_step(self.known.ramp(owner), over, needed)
            if step is not None:
                return f"{owner}/{step + 1}"
        return None

    def texts(self) -> list[str]:
        return self.roles((Role.INK, Role.PAPER, Role.NIGHT, Role.MIST, Role.PRIMARY))


@lru_cache(maxsize=4096)
def _quietest_step(hexes: tuple[Hex, ...], over: Hex, needed: float) -> int | None:
    passing = [(ratio_between(value, over), row) for row, value in enumerate(hexes)]
    passing = [one for one in passing if one[0] >= needed]
    return min(passing)[1] if passing else None


def _heading(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    is_lit = dresser.given.id in (Role.PRIMARY, Role.NIGHT)
    return dresser.first(dresser.roles(_LIT_HEADINGS if is_lit else _HEADING_WEARERS), over, needed)


def _text(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    pair = dresser.roles((Role.INK, Role.PAPER))
    best = dresser.best(pair, over)
    if best is not None and ratio_between(dresser.known.color(best), over) >= needed:
        return best
    return dresser.first(dresser.texts(), over, needed)


def _quiet(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    muted = dresser.roles((Role.MUTED,))
    if muted and ratio_between(dresser.known.color(muted[0]), over) >= needed:
        return muted[0]
    return dresser.quietest(over, needed) or dresser.text


def _link(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    text = dresser.known.color(dresser.text) if dresser.text else None
    for key in dresser.roles(_LINK_WEARERS):
        value = dresser.known.color(key)
        if value != text and ratio_between(value, over) >= needed:
            return key
    owners = [dresser.take.assignment(role).swatch for role in dresser.roles(_LINK_WEARERS)]
    return dresser.step_of(owners, over, needed) or dresser.text


def _button(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    return dresser.first([key for key in dresser.roles(_BUTTON_WEARERS) if key != dresser.key], over, needed)


def _line(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    return dresser.first(dresser.roles((Role.LINE,)), over, needed) or dresser.text


def _focus(dresser: _Dresser, over: Hex, needed: float) -> str | None:
    return dresser.first(dresser.roles((Role.INK, Role.PAPER)), over, needed) or dresser.text


def _signal(figure: Figure) -> Callable[[_Dresser, Hex, float], str | None]:
    def choose(dresser: _Dresser, over: Hex, needed: float) -> str | None:
        role = _SIGNALS[figure]
        if not dresser.take.has_role(role):
            return None
        if ratio_between(dresser.known.color(role), over) >= needed:
            return role
        return dresser.step_of([dresser.take.assignment(role).swatch], over, needed) or role

    return choose


# In the order in which they are dressed: a label needs its button, a link keeps off the text.
_RULES: Final[dict[Figure, Callable[[_Dresser, Hex, float], str | None]]] = {
    Figure.HEADING: _heading,
    Figure.TEXT: _text,
    Figure.QUIET: _quiet,
    Figure.LINK: _link,
    Figure.BUTTON: _button,
    Figure.LABEL: _text,
    Figure.LINE: _line,
    Figure.FOCUS: _focus,
    **{figure: _signal(figure) for figure in _SIGNALS},
}
