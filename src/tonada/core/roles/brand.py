"""The brand roles of a set of colours: Primary, Secondary, Accent, each with its reason.

The colours that were given have them, as brand_fit.py says; what is missing is made, as a start asks for it.
A wish is an exchange: the colour that had the role gets what the other had.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import ratio_between, rounded_down
from tonada.core.color.spaces import Hex, difference_between, hue_distance
from tonada.core.color.wcag import ENHANCED_RATIO, TEXT_RATIO
from tonada.core.errors import InputError
from tonada.core.roles.brand_fit import BrandColor, best_brand, figures_of
from tonada.core.roles.partners import (
    ACCENT_APART,
    Partner,
    make_accent,
    make_lead,
    make_secondary,
)
from tonada.core.roles.starts import STARTS, USUAL_START, Start
from tonada.core.take.parts import Role, role_rank

Choice: TypeAlias = Role | Literal["keep", "leave out"]

# What the shares of the candidates are of; a list and a mood have none that mean anything.
Whole: TypeAlias = Literal["artwork", "stylesheet", "list", "mood"]
SHARES_OF: Final[Mapping[Whole, str]] = {
    "artwork": "{} of the artwork",
    "stylesheet": "{} of all uses",
    "list": "",
    "mood": "",
}


# A near-black that is left can be the text; it has this on white.
INK_RATIO: Final = 12.0
# What is paler than this can be Paper; what is paler than the next, Mist.
PAPER_RATIO: Final = 1.12
MIST_RATIO: Final = 1.4


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

    choices: what becomes of each candidate. start: how the rest was made; starts: those to choose from, the
    usual one first.
    """

    holders: tuple[Holder, ...]
    partners: tuple[Partner, ...]
    choices: tuple[Choice, ...]
    start: Start
    starts: tuple[Start, ...]


def choose_brand(
    candidates: tuple[Candidate, ...], whole: Whole = "artwork", start: Start | None = None
) -> BrandChoice:
    """Return which candidates get the brand roles, and the roles that the designer chose for them.

    whole: what the shares are of, for the reasons. start: the one that was chosen; where these colours
    don't offer it, it is the usual one.

    Raises InputError without candidates, or where two ask for the same role.
    """
    if not candidates:
        raise InputError("Roles need at least one colour.", field="colors")
    wishes = _wishes(candidates)
    colors = [figures_of(number, one.hex, one.share) for number, one in enumerate(candidates)]
    starts = _starts(candidates, colors, wishes)
    chosen = start if start in starts else starts[0]
    makes_accent = chosen != "given" and Role.ACCENT not in wishes
    taken = _taken(candidates, colors, wishes, makes_accent=makes_accent)
    # A wish that agrees with what would have been proposed keeps the proposal's reason.
    unasked = _unasked(colors, start) if wishes else {}
    against = {role for role, number in wishes.items() if unasked.get(role) is not colors[number]}
    made = _partners(taken, colors, chosen if chosen != "given" else USUAL_START)
    lead = taken.get(Role.PRIMARY) or figures_of(-1, made[0].hex)
    holders = tuple(
        Holder(
            role,
            color.number,
            "Chosen by you." if role in against else _reason(role, color, lead, whole),
        )
        for role, color in sorted(taken.items(), key=lambda entry: role_rank(entry[0]))
    )
    return BrandChoice(holders, made, _choices(candidates, colors, taken, whole), chosen, starts)


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


def _starts(
    candidates: tuple[Candidate, ...], colors: Sequence[BrandColor], wishes: Mapping[Role, int]
) -> tuple[Start, ...]:
    """Return the starts that these colours leave open: three where the accent has to be made.

    Of two colours with a hue the second is the accent; one that is made is offered beside it.
    """
    if Role.ACCENT in wishes:
        return ("given",)
    taken = _taken(candidates, colors, wishes, makes_accent=False)
    if Role.ACCENT not in taken:
        return (USUAL_START, *(start for start in STARTS if start != USUAL_START))
    return ("given",) if Role.SECONDARY in taken else ("given", "contrasting")


def _taken(
    candidates: tuple[Candidate, ...],
    colors: Sequence[BrandColor],
    wishes: Mapping[Role, int],
    *,
    makes_accent: bool,
) -> dict[Role, BrandColor]:
    """Return who has which role: as proposed, after the wishes have been exchanged for it."""
    asking = [color for color in colors if candidates[color.number].choice in (None, *Role)]
    placed = _exchanged(best_brand(asking, {}, makes_accent=makes_accent), colors, wishes)
    used = {color.number for color in placed.values()}
    free = [color for color in colors if candidates[color.number].choice is None and color.number not in used]
    taken = {**placed, **best_brand(free, placed, makes_accent=makes_accent)}
    _choose_ink(free, taken)
    if Role.PRIMARY not in taken:
        _choose_ground(free, taken)
    return taken


def _exchanged(
    proposed: Mapping[Role, BrandColor], colors: Sequence[BrandColor], wishes: Mapping[Role, int]
) -> dict[Role, BrandColor]:
    """Return the roles with each wish fulfilled: who had the role gets what the other one had."""
    placed = dict(proposed)
    wished = set(wishes.values())
    for role in sorted(wishes, key=role_rank):
        color, before = colors[wishes[role]], placed.get(role)
        was = next((one for one, holder in placed.items() if holder is color), None)
        if was is not None:
            del placed[was]
        if was is not None and before is not None and before.number not in wished:
            placed[was] = before
        placed[role] = color
    return placed


def _unasked(colors: Sequence[BrandColor], start: Start | None) -> dict[Role, BrandColor]:
    """Return who would have the roles, by that start, if nobody had asked for any."""
    nobody = tuple(Candidate(color.hex, color.share) for color in colors)
    starts = _starts(nobody, colors, {})
    makes_accent = (start if start in starts else starts[0]) != "given"
    return _taken(nobody, colors, {}, makes_accent=makes_accent)


def _choose_ink(free: Sequence[BrandColor], taken: dict[Role, BrandColor]) -> None:
    """Take a near-black of the artwork for the text, where one is left."""
    used = {color.number for color in taken.values()}
    grounds = [taken[role].hex for role in (Role.PAPER, Role.MIST) if role in taken]
    dark = [
        color
        for color in free
        if color.number not in used and (color.is_neutral or color.is_black) and color.on_white >= INK_RATIO
        if all(ratio_between(color.hex, ground) >= ENHANCED_RATIO for ground in grounds)
    ]
    if dark and Role.INK not in taken:
        taken[Role.INK] = max(dark, key=lambda color: color.on_white)


def _choose_ground(free: Sequence[BrandColor], taken: dict[Role, BrandColor]) -> None:
    """Where all are too pale to lead, the palest of them becomes a ground."""
    used = {color.number for color in taken.values()}
    left = [color for color in free if color.number not in used]
    if not left:
        return
    palest = min(left, key=lambda color: color.on_white)
    for role, most in ((Role.PAPER, PAPER_RATIO), (Role.MIST, MIST_RATIO)):
        if palest.on_white <= most and not taken.keys() & {Role.PAPER, Role.MIST}:
            taken[role] = palest


def _partners(
    taken: Mapping[Role, BrandColor], colors: Sequence[BrandColor], start: Start
) -> tuple[Partner, ...]:
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
            made.append(make(primary, others, start))
    return tuple(made)


def _choices(
    candidates: tuple[Candidate, ...],
    colors: Sequence[BrandColor],
    taken: Mapping[Role, BrandColor],
    whole: Whole,
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


def _reason(role: Role, color: BrandColor, primary: BrandColor, whole: Whole) -> str:
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
        apart = difference_between(primary.hex, color.hex)
        if apart < ACCENT_APART:
            return f"The second colour with a hue, but near Primary: they differ by only {apart:.2f}."
        small = f"only {share}" if share else f"lively at chroma {color.chroma:.2f}"
        return f"{_turn(primary, color)} from Primary in hue and {small}, so it stands out."
    if role in (Role.PAPER, Role.MIST):
        return f"Pale ({rounded_down(color.on_white, 1)}:1 on white), so it suits a background."
    if role is Role.INK:
        return f"A near-black from the source: {rounded_down(color.on_white, 1)}:1 on white."
    return "Chosen by you."


def _turn(primary: BrandColor, color: BrandColor) -> str:
    return f"{float(hue_distance(primary.hue, color.hue)):.0f}°"
