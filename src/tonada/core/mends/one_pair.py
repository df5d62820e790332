"""Mends: the least visible changes that make a failing pair pass."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import ratio_between
from tonada.core.color.naming import color_name, unused_name
from tonada.core.color.requirements import requirement
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.color.vibration import vibrates
from tonada.core.errors import NotReachable, TakeError
from tonada.core.mends.nearest import MendMode, best_ratio, mend_color
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.ground_pairs import with_ground_pairs, without_ground_pairs
from tonada.core.take.key import role_as_text, step_key
from tonada.core.take.parts import free_swatch_id, new_swatch
from tonada.core.take.recolor import change_pair_text, recolor
from tonada.core.take.take import SIGNALS, Origin, Pair, Take

MendKind: TypeAlias = Literal["move text", "move ground", "change step", "change role", "use step"]
End: TypeAlias = Literal["text", "ground"]

MOST_OTHER_ROLES: Final = 3
MOST_PALETTE_STEPS: Final = 2


@dataclass(frozen=True, slots=True)
class Mend:
    """A proposed change for one pair. difference: deltaEOK, 0 where no colour changes.

    moved: what the change is made to, as a person calls it. touches: how many other pairs use what
    is moved. breaks: how many pairs fail afterwards that pass now. mended: the whole take with the
    change carried out.
    """

    kind: MendKind
    moved: str
    text_hex: Hex
    ground_hex: Hex
    ratio: float
    difference: float
    touches: int
    breaks: int
    mended: Take


def mends_for_pair(take: Take, pair_id: str, mode: MendMode = "hue") -> tuple[Mend, ...]:
    """Return the ways to mend one pair, the least visible change first; none where it passes.

    mode: whether a colour that moves keeps its hue.

    Held colours don't move. Another role for the text counts as least visible, since no colour
    changes; the ones that break no other pair come first, then those that don't vibrate. Raises
    TakeError for an unknown pair.
    """
    take, pair = _with_pair(take, pair_id)
    needed = requirement(pair.usage, take.level, pair.size, pair.weight).ratio
    text, ground = take.pair_colors(pair)
    if ratio_between(text, ground) >= needed:
        return ()
    found = [
        *_moves(take, pair, needed, mode),
        *_other_steps(take, pair, needed),
        *_other_roles(take, pair, needed),
        *_palette_steps(take, pair, needed),
    ]
    passing = _passing(take)
    mends = [_weighed(take, pair, entry, passing) for entry in found]
    return tuple(sorted(mends, key=_rank))


def _rank(mend: Mend) -> tuple[bool, bool, float, float]:
    return mend.breaks > 0, vibrates(mend.text_hex, mend.ground_hex), mend.difference, -mend.ratio


def other_texts(take: Take, pair_id: str) -> tuple[Mend, ...]:
    """Return the roles that would do as the text of a pair, the one nearest to what it is now first.

    Only those that break no other pair. Raises TakeError for an unknown pair.
    """
    take, pair = _with_pair(take, pair_id)
    needed = requirement(pair.usage, take.level, pair.size, pair.weight).ratio
    text, _ = take.pair_colors(pair)
    passing = _passing(take)
    mends = [_weighed(take, pair, entry, passing) for entry in _other_roles(take, pair, needed)]
    fitting = [mend for mend in mends if not mend.breaks]
    return tuple(sorted(fitting, key=lambda mend: difference_between(mend.text_hex, text)))


@dataclass(frozen=True, slots=True)
class Reach:
    """The highest ratio that any colour in the place of an end could have against the other one."""

    text: float
    ground: float


def reach_of(take: Take, pair_id: str) -> Reach:
    """Return what moving the text, or the ground, could reach at best. Raises TakeError if unknown."""
    take, pair = _with_pair(take, pair_id)
    text, ground = take.pair_colors(pair)
    return Reach(text=best_ratio(ground), ground=best_ratio(text))


def _with_pair(take: Take, pair_id: str) -> tuple[Take, Pair]:
    """Return a pair, one that a ground makes too, and the take with it among its pairs."""
    take = with_ground_pairs(take)
    pair = next((pair for pair in take.pairs if pair.id == pair_id), None)
    if pair is None:
        raise TakeError("There is no such pair in this take.", field="pair")
    return take, pair


@dataclass(frozen=True, slots=True)
class _Change:
    kind: MendKind
    moved: str
    difference: float
    mended: Take


def _weighed(take: Take, pair: Pair, change: _Change, passing: set[str]) -> Mend:
    """Return a change with what it does to this pair and to the others."""
    after = next(one for one in change.mended.pairs if one.id == pair.id)
    text, ground = change.mended.pair_colors(after)
    before = {pair.id: take.pair_colors(pair) for pair in take.pairs}
    touched = [
        one.id
        for one in change.mended.pairs
        if one.id != pair.id and before[one.id] != change.mended.pair_colors(one)
    ]
    return Mend(
        kind=change.kind,
        moved=change.moved,
        text_hex=text,
        ground_hex=ground,
        ratio=ratio_between(text, ground),
        difference=change.difference,
        touches=len(touched),
        breaks=len(passing - _passing(change.mended)),
        mended=without_ground_pairs(change.mended),
    )


def _moves(take: Take, pair: Pair, needed: float, mode: MendMode) -> list[_Change]:
    """Return the nearest colour for the text and for the ground, where each may move."""
    if pair.layers or take.overlay(pair.text):
        return []  # what is seen is composited: moving one part by its own distance isn't it
    text, ground = take.pair_colors(pair)
    changes: list[_Change] = []
    ends: tuple[tuple[End, MendKind, Hex, Hex], ...] = (
        ("text", "move text", text, ground),
        ("ground", "move ground", ground, text),
    )
    for end, kind, moving, fixed in ends:
        if is_held(take, getattr(pair, end)) or _same_swatch(take, pair):
            continue
        try:
            value, difference = mend_color(moving, fixed, needed, mode)
        except NotReachable:
            continue
        name, mended = _moved(take, pair, end, value)
        changes.append(_Change(kind, name, difference, mended))
    return changes


def is_held(take: Take, key: str) -> bool:
    """Return whether an end of a pair is a held swatch itself; its steps may be exchanged."""
    owner, step = take.owner_of(key)
    return step is None and any(swatch.id == owner and swatch.held for swatch in take.swatches)


def _same_swatch(take: Take, pair: Pair) -> bool:
    """Return whether both colours of a pair come from one swatch."""
    return take.owner_of(pair.text) == take.owner_of(pair.ground)


def _moved(take: Take, pair: Pair, end: End, value: Hex) -> tuple[str, Take]:
    """Return the changed colour's name, and the take. A role on a step gets a swatch of its own."""
    key = pair.text if end == "text" else pair.ground
    owner, step = take.owner_of(key)
    note = f"mended so that {take.display_name(pair.text)} reads on {take.display_name(pair.ground)}"
    if step is None and not owner.startswith("#"):
        return take.display_name(key), recolor(take, owner, value, note)
    if not take.has_role(key):
        return key, _with_end(take, pair, end, value)
    name = unused_name(color_name(value), {swatch.name for swatch in take.swatches})
    taken = {swatch.id for swatch in take.swatches}
    new = free_swatch_id(taken)
    swatch = new_swatch(new, name, value, Origin("mended", note))
    reason = f"{note[:1].upper()}{note[1:]}."
    roles = tuple(
        replace(assigned, swatch=new, step=None, reason=reason) if assigned.role == key else assigned
        for assigned in take.roles
    )
    return take.display_name(key), replace(take, swatches=(*take.swatches, swatch), roles=roles)


def _with_end(take: Take, pair: Pair, end: End, key: str) -> Take:
    changed = replace(pair, text=key) if end == "text" else replace(pair, ground=key)
    return replace(take, pairs=tuple(changed if one.id == pair.id else one for one in take.pairs))


def _other_steps(take: Take, pair: Pair, needed: float) -> list[_Change]:
    """Return for each end that is a role the nearest step of its ramp that passes."""
    if pair.layers or take.overlay(pair.text) or _same_swatch(take, pair):
        return []
    text, ground = take.pair_colors(pair)
    changes: list[_Change] = []
    for key, moving, fixed in ((pair.text, text, ground), (pair.ground, ground, text)):
        role = role_as_text(key) or key
        if not take.has_role(role):
            continue
        owner, step = take.owner_of(key)
        passing = [
            (difference_between(value, moving), number + 1)
            for number, value in enumerate(take.ramp(owner).hexes)
            if number + 1 != step and value != moving and ratio_between(value, fixed) >= needed
        ]
        if passing:
            difference, number = min(passing)
            reason = "Moved to the nearest step that reads."
            # A text moves along the ramp alone: the fill stays.
            change = {"step": number, "reason": reason} if role == key else {"text_step": number}
            roles = tuple(
                replace(assigned, **change) if assigned.role == role else assigned for assigned in take.roles
            )
            name = f"{take.display_name(key)} to {take.name_of(owner, number)}"
            changes.append(_Change("change step", name, difference, replace(take, roles=roles)))
    return changes


def _other_roles(take: Take, pair: Pair, needed: float) -> list[_Change]:
    """Return the colours of the palette that already read here, best first."""
    text, ground = take.pair_colors(pair)
    found, seen = [], {text}
    brand = [assigned.role for assigned in take.roles if assigned.role not in SIGNALS]
    for key in dict.fromkeys((*brand, *map(take.text_key_of, brand))):
        value = take.color_of(key)
        if value in seen:
            continue
        seen.add(value)
        ratio = ratio_between(value, ground)
        if ratio >= needed and not vibrates(value, ground):
            mended = change_pair_text(take, pair.id, key)
            found.append((-ratio, _Change("change role", take.display_name(key), 0.0, mended)))
    return [change for _, change in sorted(found, key=lambda entry: entry[0])][:MOST_OTHER_ROLES]


def _palette_steps(take: Take, pair: Pair, needed: float) -> list[_Change]:
    """Return the steps of other ramps that already read here, those nearest to the text first."""
    text, ground = take.pair_colors(pair)
    own, _ = take.owner_of(pair.text)
    in_use = {take.hex_of(assigned.role) for assigned in take.roles}
    swatches = [swatch.id for swatch in take.swatches if not take.is_signal_only(swatch.id)]
    owners = swatches + [neutral.id for neutral in take.neutrals]
    found = [
        (difference_between(value, text), step_key(owner, row + 1))
        for owner in owners
        if owner != own
        for row, value in enumerate(take.ramp(owner).hexes)
        if value not in in_use and ratio_between(value, ground) >= needed and not vibrates(value, ground)
    ]
    return [
        _Change("use step", take.display_name(key), difference, change_pair_text(take, pair.id, key))
        for difference, key in sorted(found)[:MOST_PALETTE_STEPS]
    ]


def _passing(take: Take) -> set[str]:
    return {pair.id for pair in evaluate(take).pairs if pair.short_by <= 0}
