"""The brand roles of a set of colours: Primary, Secondary, Accent, each with its reason.

They are the assignment with the best sum of the weights below, tried one by one; what is missing
comes from a hue rule.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from itertools import product
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import contrast_ratio, ratio_between, rounded_down
from tonada.core.color.hue_rules import NEUTRAL_BELOW
from tonada.core.color.spaces import Hex, difference_between, hex_to_srgb8, hue_distance, srgb8_to_oklch
from tonada.core.color.vibration import vibration
from tonada.core.color.wcag import ENHANCED_RATIO, LARGE_RATIO, TEXT_RATIO
from tonada.core.errors import InputError
from tonada.core.roles.partners import (
    ACCENT_APART,
    BRAND_APART,
    Partner,
    make_accent,
    make_lead,
    make_secondary,
)
from tonada.core.take.parts import Role, role_rank

BRAND_ROLES: Final = (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)
Choice: TypeAlias = Role | Literal["keep", "leave out"]

# What the shares of the candidates are of; a list and a mood have none that mean anything.
Whole: TypeAlias = Literal["artwork", "stylesheet", "list", "mood"]
SHARES_OF: Final[Mapping[Whole, str]] = {
    "artwork": "{} of the artwork",
    "stylesheet": "{} of all uses",
    "list": "",
    "mood": "",
}


# The objective. Each term runs from 0 to 1 before it is weighted.
PRIMARY_COVERS: Final = 1.0  # its share beside the largest one
PRIMARY_CARRIES_TEXT: Final = 0.6  # the ratio of white text on it, 4.5 and more is 1
PRIMARY_IS_SEEN: Final = 0.4  # its ratio as a headline on white, 3 and more is 1
PRIMARY_IS_COLORED: Final = 0.3  # chroma, 0.12 and more is 1
SECONDARY_COVERS: Final = 0.35
SECONDARY_IS_THERE: Final = 0.25
SECONDARY_IS_COLORED: Final = 0.3  # chroma, 0.1 and more is 1: next to Primary stands a colour, not a shade
ACCENT_IS_FAR: Final = 0.4  # hue distance to the primary, 180 degrees is 1
ACCENT_IS_LIVELY: Final = 0.4  # chroma, 0.15 and more is 1
ACCENT_IS_SMALL: Final = 0.2
ACCENT_VIBRATES: Final = 0.3  # how much it vibrates on Primary counts against it
# A colour so pale on white, and of so little chroma, can't lead: nobody would see it.
PALE_RATIO: Final = 1.7
PALE_CHROMA: Final = 0.1
# A near-black that is left can be the text; it has this on white.
INK_RATIO: Final = 12.0
# What is paler than this can be Paper; what is paler than the next, Mist.
PAPER_RATIO: Final = 1.12
MIST_RATIO: Final = 1.4

_WHITE: Final = hex_to_srgb8("#ffffff")


@dataclass(frozen=True, slots=True)
class Candidate:
    """A colour that asks for a role. share: 0 to 1, of the artwork. choice: the designer's, if any.

    name: as its source calls it; without one the swatch is named after its colour.
    """

    hex: Hex
    share: float
    choice: Choice | None = None
    name: str = ""


@dataclass(frozen=True, slots=True)
class Holder:
    """A role that one of the candidates has: which one, by its place, and why."""

    role: Role
    candidate: int
    reason: str


@dataclass(frozen=True, slots=True)
class BrandChoice:
    """holders: which candidates have a role. partners: what is made for the rest, Primary too if
    none can be it.

    choices: what becomes of each candidate.
    """

    holders: tuple[Holder, ...]
    partners: tuple[Partner, ...]
    choices: tuple[Choice, ...]


@dataclass(frozen=True, slots=True)
class _Color:
    """A candidate with the figures that decide."""

    number: int
    hex: Hex
    share: float
    lightness: float
    chroma: float
    hue: float
    on_white: float

    @property
    def is_neutral(self) -> bool:
        return self.chroma < NEUTRAL_BELOW

    @property
    def is_pale(self) -> bool:
        return self.on_white < PALE_RATIO and self.chroma < PALE_CHROMA


def choose_brand(candidates: tuple[Candidate, ...], whole: Whole = "artwork") -> BrandChoice:
    """Return which candidates get the brand roles, and the roles that the designer chose for them.

    whole: what the shares are of, for the reasons.

    Raises InputError without candidates, or where two ask for the same role.
    """
    if not candidates:
        raise InputError("Roles need at least one colour.", field="colors")
    wishes = _wishes(candidates)
    colors = [_figures(number, candidate) for number, candidate in enumerate(candidates)]
    free = [color for color in colors if candidates[color.number].choice is None]
    taken = _choose_brand_roles(colors, free, wishes)
    for role, number in wishes.items():
        taken.setdefault(role, colors[number])
    _choose_ink(free, taken)
    if Role.PRIMARY not in taken:
        _choose_ground(free, taken)
    # A wish that agrees with what would have been proposed keeps the proposal's reason.
    unasked = _unasked(colors) if wishes else {}
    against = {role for role, number in wishes.items() if unasked.get(role) is not colors[number]}
    made = _partners(taken, colors)
    lead = taken.get(Role.PRIMARY) or _figures(-1, Candidate(made[0].hex, 0.0))
    holders = tuple(
        Holder(
            role,
            color.number,
            "Chosen by you." if role in against else _reason(role, color, lead, whole),
        )
        for role, color in sorted(taken.items(), key=lambda entry: role_rank(entry[0]))
    )
    return BrandChoice(holders, made, _choices(candidates, colors, taken, whole))


def _wishes(candidates: tuple[Candidate, ...]) -> dict[Role, int]:
    wishes: dict[Role, int] = {}
    for number, candidate in enumerate(candidates):
        if isinstance(candidate.choice, Role):
            if candidate.choice in wishes:
                raise InputError(
                    f"Two colours are to be {candidate.choice}; a role takes one.",
                    field=f"colors.{number}.choice",
                )
            wishes[candidate.choice] = number
    return wishes


def _figures(number: int, candidate: Candidate) -> _Color:
    srgb8 = hex_to_srgb8(candidate.hex)
    lightness, chroma, hue = (float(channel) for channel in srgb8_to_oklch(srgb8))
    on_white = float(contrast_ratio(_WHITE, srgb8))
    return _Color(number, candidate.hex, candidate.share, lightness, chroma, hue, on_white)


def _unasked(colors: list[_Color]) -> dict[Role, _Color]:
    """Return who would have the roles if nobody had asked for any."""
    taken = _choose_brand_roles(colors, colors, {})
    _choose_ink(colors, taken)
    if Role.PRIMARY not in taken:
        _choose_ground(colors, taken)
    return taken


def _choose_brand_roles(
    colors: list[_Color], free: list[_Color], wishes: dict[Role, int]
) -> dict[Role, _Color]:
    """Return the best of all assignments of the free colours to the brand roles that nobody wished for.

    Without Primary where none of them can lead.
    """
    lively = [color for color in free if not color.is_neutral]
    seen = [color for color in free if not color.is_pale]
    primaries = [color for color in lively if not color.is_pale] or seen
    options: list[list[_Color | None]] = []
    for role in BRAND_ROLES:
        if role in wishes:
            options.append([colors[wishes[role]]])
        elif role is Role.PRIMARY:
            options.append([*primaries] or [None])
        else:
            options.append([None, *lively])
    largest = max(color.share for color in colors) or 1.0
    best: tuple[float, dict[Role, _Color]] = (-1.0, {})
    for assigned in product(*options):
        numbers = [color.number for color in assigned if color]
        if len(set(numbers)) < len(numbers) or not _is_apart(*assigned, wishes=wishes):
            continue
        score = _score(*assigned, largest=largest)
        if score > best[0]:
            best = (score, {role: color for role, color in zip(BRAND_ROLES, assigned, strict=True) if color})
    return best[1]


def _is_apart(
    primary: _Color | None, secondary: _Color | None, accent: _Color | None, *, wishes: Mapping[Role, int]
) -> bool:
    """Return whether the roles that nobody wished for differ enough from the others."""
    for role, one, other, least in (
        (Role.SECONDARY, secondary, primary, BRAND_APART),
        (Role.ACCENT, accent, primary, ACCENT_APART),
        (Role.ACCENT, accent, secondary, BRAND_APART),
    ):
        if role not in wishes and one and other and difference_between(one.hex, other.hex) < least:
            return False
    return True


def _score(
    primary: _Color | None, secondary: _Color | None, accent: _Color | None, *, largest: float
) -> float:
    if primary is None:
        # All are pale: the most chromatic one stands beside the Primary that is made.
        return secondary.chroma if secondary and accent is None else 0.0
    score = PRIMARY_COVERS * primary.share / largest
    score += PRIMARY_CARRIES_TEXT * min(1.0, primary.on_white / TEXT_RATIO)
    score += PRIMARY_IS_SEEN * min(1.0, primary.on_white / LARGE_RATIO)
    score += PRIMARY_IS_COLORED * min(1.0, primary.chroma / 0.12)
    if secondary:
        score += SECONDARY_COVERS * secondary.share / largest + SECONDARY_IS_THERE
        score += SECONDARY_IS_COLORED * min(1.0, secondary.chroma / 0.1)
    if accent:
        score += ACCENT_IS_FAR * float(hue_distance(primary.hue, accent.hue)) / 180
        score += ACCENT_IS_LIVELY * min(1.0, accent.chroma / 0.15)
        score += ACCENT_IS_SMALL * (1 - accent.share / largest)
        score -= ACCENT_VIBRATES * vibration(primary.hex, accent.hex)
    return score


def _choose_ink(free: list[_Color], taken: dict[Role, _Color]) -> None:
    """Take a near-black of the artwork for the text, where one is left."""
    used = {color.number for color in taken.values()}
    grounds = [taken[role].hex for role in (Role.PAPER, Role.MIST) if role in taken]
    dark = [
        color
        for color in free
        if color.number not in used and color.is_neutral and color.on_white >= INK_RATIO
        if all(ratio_between(color.hex, ground) >= ENHANCED_RATIO for ground in grounds)
    ]
    if dark and Role.INK not in taken:
        taken[Role.INK] = max(dark, key=lambda color: color.on_white)


def _choose_ground(free: list[_Color], taken: dict[Role, _Color]) -> None:
    """Where all are too pale to lead, the palest of them becomes a ground."""
    used = {color.number for color in taken.values()}
    left = [color for color in free if color.number not in used]
    if not left:
        return
    palest = min(left, key=lambda color: color.on_white)
    for role, most in ((Role.PAPER, PAPER_RATIO), (Role.MIST, MIST_RATIO)):
        if palest.on_white <= most and not taken.keys() & {Role.PAPER, Role.MIST}:
            taken[role] = palest


def _partners(taken: Mapping[Role, _Color], colors: list[_Color]) -> tuple[Partner, ...]:
    """Return what is made for the brand roles that none of the colours has, in the order of the roles."""
    made: list[Partner] = []
    if Role.PRIMARY not in taken:
        made.append(make_lead(max(colors, key=lambda color: (color.chroma >= 0.01, color.share)).hex))
    primary = taken[Role.PRIMARY].hex if Role.PRIMARY in taken else made[0].hex
    for role, make in ((Role.SECONDARY, make_secondary), (Role.ACCENT, make_accent)):
        if role not in taken:
            others = (
                *(color.hex for other, color in taken.items() if other in (Role.SECONDARY, Role.ACCENT)),
                *(assigned.hex for assigned in made if assigned.role is Role.SECONDARY),
            )
            made.append(make(primary, others))
    return tuple(made)


def _choices(
    candidates: tuple[Candidate, ...], colors: list[_Color], taken: Mapping[Role, _Color], whole: Whole
) -> tuple[Choice, ...]:
    """Return what becomes of each. Of a mood, which only suggests, what gets no role is left out."""
    role_of = {color.number: role for role, color in taken.items()}
    result: list[Choice] = []
    for candidate, color in zip(candidates, colors, strict=True):
        if color.number in role_of:
            result.append(role_of[color.number])
        elif candidate.choice is not None:
            result.append(candidate.choice)
        else:
            near_white = color.is_neutral and color.on_white < 1.4
            result.append("leave out" if near_white or whole == "mood" else "keep")
    return tuple(result)


def _reason(role: Role, color: _Color, primary: _Color, whole: Whole) -> str:
    share = SHARES_OF[whole].format(f"{color.share * 100:.0f}%") if SHARES_OF[whole] else ""
    if role is Role.PRIMARY and color.is_neutral:
        return f"There is no clear hue, so a neutral is Primary{share and ': ' + share}."
    if role is Role.PRIMARY:
        ratio = rounded_down(color.on_white, 1)
        only = "" if color.on_white >= TEXT_RATIO else "only "
        lead = f"Covers {share}" if share else "The best candidate for Primary"
        return f"{lead}; white text on it has {only}{ratio}:1."
    if role is Role.SECONDARY and color.is_pale:
        return f"Too pale for Primary ({rounded_down(color.on_white, 1)}:1 on white): a background beside it."
    if role is Role.SECONDARY:
        return f"The second colour{share and ': ' + share}, {_turn(primary, color)} from Primary in hue."
    if role is Role.ACCENT:
        small = f"only {share}" if share else f"lively at chroma {color.chroma:.2f}"
        return f"{_turn(primary, color)} from Primary in hue and {small}, so it stands out."
    if role in (Role.PAPER, Role.MIST):
        return f"Pale ({rounded_down(color.on_white, 1)}:1 on white), so it suits a background."
    if role is Role.INK:
        return f"A near-black from the source: {rounded_down(color.on_white, 1)}:1 on white."
    return "Chosen by you."


def _turn(primary: _Color, color: _Color) -> str:
    return f"{float(hue_distance(primary.hue, color.hue)):.0f}°"
