"""Every pair at once: the least total change of what is free, so that all that can pass does.

Only luminance decides whether a pair passes. So each colour that may move gets a column of
candidates from dark to light, of its own hue (a role on a step: the steps of its ramp), each with
what it costs: deltaEOK times the share of the page. The cheapest choice of one candidate each, with
every pair passing, is cheapest.py's to find. A light ground stays light and a dark one dark; a held
swatch stays as it is, but what is no brand role may move to a step of it.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import luminance_of, ratio_of_luminances, relative_luminance
from tonada.core.color.hue_rules import nearest_of_hue
from tonada.core.color.spaces import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hexes_to_srgb8,
    srgb8_to_hex,
    srgb8_to_oklab,
)
from tonada.core.mends.cheapest import Candidates, cheapest_choice
from tonada.core.mends.kept_apart import BRAND, GROUNDS, apart_in
from tonada.core.mends.one_pair import is_held
from tonada.core.mends.texts_first import TextChanged, with_other_texts
from tonada.core.mends.what_moved import Moved, moves_between, size_of, why_short
from tonada.core.pairs.evaluation import PairFigures, evaluate
from tonada.core.pairs.ground_pairs import with_ground_pairs, without_ground_pairs
from tonada.core.take.key import read_key, role_as_text, step_key, text_key
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import Assignment, Take

CANDIDATES: Final = 160
# Below this OKLCH chroma a colour is a pure grey, but for rounding.
LEAST_CHROMA: Final = 0.004
# So that a colour without a share still counts.
LEAST_WEIGHT: Final = 0.02
_ROUNDS: Final = 4
# The luminance at which white and black are equally far: grounds stay on their side of it.
MIDDLE: Final = (1.05 * 0.05) ** 0.5 - 0.05


@dataclass(frozen=True, slots=True)
class MendedTake:
    """take: with every change. moved: what changed. texts: which pairs have another role as their text.
    size: a sentence of how much that is, and for what.

    impossible: a sentence for each pair that still falls short, with the held colours that make it so.
    """

    take: Take
    moved: tuple[Moved, ...]
    texts: tuple[TextChanged, ...]
    size: str
    impossible: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class _Mover:
    """A colour that may move: a free swatch, or a role on a step. steps: None for a swatch.

    allowed: which of the candidates it may be, whatever the pairs.
    """

    key: str
    hexes: tuple[Hex, ...]
    steps: tuple[int, ...] | None
    candidates: Candidates
    lab: Floats
    allowed: NDArray[np.bool_]


@dataclass(frozen=True, slots=True)
class _Gap:
    """Two movers that stay apart. table: which candidates of one and of the other do."""

    one: int
    other: int
    table: NDArray[np.bool_]


@dataclass(frozen=True, slots=True)
class _Need:
    """A pair that has to pass: movers by their place, or None with the luminance that stays."""

    pair: PairFigures
    one: int | None
    other: int | None
    fixed: float


def mend_all(take: Take) -> MendedTake:
    """Return the take with all pairs passing that can, held colours untouched. Deterministic.

    Source of the ratios: WCAG 2.2.
    """
    movable = set(_movers(with_ground_pairs(take))[1])
    # A text that can't move, or would take a ground or the brand with it, is another role first.
    mended, texts = with_other_texts(
        take, lambda pair: pair.text not in movable or pair.text in {*GROUNDS, *BRAND}
    )
    given_up: set[str] = set()
    for _ in range(_ROUNDS):
        failing = [pair for pair in evaluate(mended).pairs if pair.short_by > 0 and pair.id not in given_up]
        if not failing:
            break
        # Steps follow their swatch: what moved may have moved others, so it is looked at again.
        after, lost = _one_round(with_ground_pairs(mended), given_up)
        mended = _on_their_side(take, without_ground_pairs(after))
        given_up |= lost
    mended, more = with_other_texts(mended, lambda _: True)
    texts = (*texts, *more)
    short = [pair for pair in evaluate(mended).pairs if pair.short_by > 0]
    moved = moves_between(take, mended)
    return MendedTake(
        mended,
        moved,
        texts,
        size_of(take, mended, moved, texts),
        tuple(why_short(mended, entry) for entry in short),
    )


def _one_round(take: Take, given_up: set[str]) -> tuple[Take, set[str]]:
    movers, place = _movers(take)
    pairs = [pair for pair in evaluate(take).pairs if not pair.is_exempt and pair.id not in given_up]
    needs = [_need(take, pair, place) for pair in pairs]
    lost = {
        need.pair.id for need in needs if need.one is None and need.other is None and need.pair.short_by > 0
    }
    needs = [need for need in needs if need.one is not None or need.other is not None]
    movers, gaps = _kept_apart(take, movers, place)
    picked = [0] * len(movers)
    for members in _components(len(movers), needs, gaps):
        own = [need for need in needs if {need.one, need.other} & members]
        if not any(need.pair.short_by > 0 for need in own):
            continue
        chosen, dropped = _solve(movers, sorted(members), own, gaps)
        lost |= dropped
        for number, row in chosen.items():
            picked[number] = row
    return _applied(take, movers, picked), lost


def _movers(take: Take) -> tuple[list[_Mover], dict[str, int]]:
    """Return what may move, and for each end of a pair its place among them."""
    shares = {cell.key: cell.share for cell in evaluate(take).measure}
    ends = dict.fromkeys(key for pair in take.pairs if not pair.layers for key in (pair.text, pair.ground))
    movers: list[_Mover] = []
    by_key: dict[str, int] = {}
    place: dict[str, int] = {}
    for end in ends:
        if read_key(end).value or take.overlay(end):
            continue
        owner, step = take.owner_of(end)
        stays = is_held(take, end)
        if (step is not None or stays) and not _may_change_step(take, end, stays=stays):
            continue
        key = owner if step is None and not stays else end
        if key not in by_key:
            by_key[key] = len(movers)
            weight = max(LEAST_WEIGHT, shares.get(step_key(owner, step), 0.0))
            movers.append(_mover(take, key, owner, step, weight))
        place[end] = by_key[key]
    return movers, place


def _kept_apart(
    take: Take, movers: list[_Mover], place: Mapping[str, int]
) -> tuple[list[_Mover], list[_Gap]]:
    """Return the movers, each allowed only what keeps off roles that stay, and the gaps between movers."""
    gaps: list[_Gap] = []
    allowed = [mover.allowed for mover in movers]
    for apart in apart_in(take):
        one, other = place.get(apart.one), place.get(apart.other)
        if one is not None and other is not None:
            table = delta_e_ok(movers[one].lab[:, None], movers[other].lab[None]) >= apart.least
            # Where they are now counts as apart, whatever rounding says.
            table[0, 0] = True
            if one != other:
                gaps.append(_Gap(one, other, table))
            continue
        for number, role in ((one, apart.other), (other, apart.one)):
            if number is not None:
                stays = srgb8_to_oklab(hexes_to_srgb8((take.hex_of(role),)))
                allowed[number] = allowed[number] & (delta_e_ok(movers[number].lab, stays) >= apart.least)
    return [replace(mover, allowed=own) for mover, own in zip(movers, allowed, strict=True)], gaps


def _may_change_step(take: Take, end: str, *, stays: bool) -> bool:
    """Return whether a role may move along its ramp: off a held swatch only what isn't the brand itself.

    What a role is as text always may: its fill stays.
    """
    role = role_as_text(end)
    if role is not None:
        return take.has_role(role)
    return take.has_role(end) and not (stays and end in BRAND)


def _mover(take: Take, key: str, owner: str, step: int | None, weight: float) -> _Mover:
    """Return a mover with its present value first."""
    now = take.value_at(owner, step)
    if key == owner:
        _, chroma, hue = hex_to_oklch(now)
        grid = np.linspace(0, 1, CANDIDATES)
        # A trace of a hue is kept: what is greyer than its page looks dirty.
        kept = chroma if chroma >= LEAST_CHROMA else 0.0
        places = np.stack([grid, np.full(CANDIDATES, kept), np.full(CANDIDATES, hue)], axis=-1)
        hexes = (now, *(srgb8_to_hex(color) for color in nearest_of_hue(places)))
        steps = None
    else:
        ramp = take.ramp(owner)
        first = ramp.own if step is None else step - 1
        order = [first, *(number for number in range(len(ramp.hexes)) if number != first)]
        hexes, steps = tuple(ramp.hexes[number] for number in order), tuple(number + 1 for number in order)
    colors = hexes_to_srgb8(hexes)
    lab = srgb8_to_oklab(colors)
    luminance = relative_luminance(colors)
    allowed = np.ones(len(hexes), dtype=bool)
    if set(GROUNDS) & {key, *(take.roles_of(owner) if key == owner else ())}:
        allowed = (luminance >= MIDDLE) == (luminance[0] >= MIDDLE)
    return _Mover(key, hexes, steps, Candidates(luminance, weight * delta_e_ok(lab, lab[0])), lab, allowed)


def _need(take: Take, pair: PairFigures, place: Mapping[str, int]) -> _Need:
    source = next(one for one in take.pairs if one.id == pair.id)
    one, other = (None if source.layers else place.get(end) for end in (pair.text, pair.ground))
    if one == other:
        one = other = None
    fixed = pair.ground_hex if one is not None and other is None else pair.text_hex
    return _Need(pair, one, other, luminance_of(fixed))


def _components(count: int, needs: Sequence[_Need], gaps: Sequence[_Gap]) -> list[set[int]]:
    """Return the movers in groups that no pair and no gap connects."""
    groups = [{number} for number in range(count)]
    links: list[_Need | _Gap] = [*needs, *gaps]
    for link in links:
        if link.one is not None and link.other is not None:
            first = next(group for group in groups if link.one in group)
            second = next(group for group in groups if link.other in group)
            if first is not second:
                first |= second
                groups.remove(second)
    return groups


def _solve(
    movers: Sequence[_Mover], members: list[int], needs: list[_Need], gaps: Sequence[_Gap]
) -> tuple[dict[int, int], set[str]]:
    """Return a row for each member, and the pairs that had to be given up."""
    dropped: set[str] = set()
    left = list(needs)
    while (found := _cheapest(movers, members, left, gaps)) is None:
        lost = _in_the_way(movers, members, left, gaps)
        dropped.add(lost.pair.id)
        left.remove(lost)
    return found, dropped


def _in_the_way(
    movers: Sequence[_Mover], members: list[int], needs: Sequence[_Need], gaps: Sequence[_Gap]
) -> _Need:
    """Return the pair to give up: one that no candidate can meet, else the shortest of a mover whose
    fixed pairs contradict each other, else the shortest without which all others can pass, else the
    shortest of all."""
    by_mover: dict[int, list[_Need]] = {}
    for need in needs:
        mover = need.one if need.other is None else need.other if need.one is None else None
        if mover is not None:
            by_mover.setdefault(mover, []).append(need)
    for mover, own in by_mover.items():
        met = [_met(movers[mover], need) for need in own]
        hopeless = [need for need, mask in zip(own, met, strict=True) if not mask.any()]
        if hopeless or not np.logical_and.reduce(met).any():
            return max(hopeless or own, key=_shortness)
    ranked = sorted(needs, key=_shortness, reverse=True)
    return next(
        (
            need
            for need in ranked
            if _cheapest(movers, members, [one for one in needs if one is not need], gaps) is not None
        ),
        ranked[0],
    )


def _shortness(need: _Need) -> tuple[float, str]:
    return need.pair.needed / need.pair.ratio, need.pair.id


def _met(mover: _Mover, need: _Need) -> NDArray[np.bool_]:
    """Return a mask of candidates that pass against what stays, and may be taken."""
    ratios = ratio_of_luminances(mover.candidates.luminance, np.array(need.fixed))
    return np.asarray((ratios >= need.pair.needed) & mover.allowed)


def _cheapest(
    movers: Sequence[_Mover], members: list[int], needs: Sequence[_Need], gaps: Sequence[_Gap]
) -> dict[int, int] | None:
    masks = {number: movers[number].allowed for number in members}
    between: dict[tuple[int, int], NDArray[np.bool_]] = {}

    def bind(one: int, other: int, fits: NDArray[np.bool_]) -> None:
        for key, table in (((one, other), fits), ((other, one), fits.T)):
            between[key] = between[key] & table if key in between else table

    for gap in gaps:
        if gap.one in masks and gap.other in masks:
            bind(gap.one, gap.other, gap.table)
    for need in needs:
        if need.one is not None and need.other is not None:
            first, second = (movers[number].candidates.luminance for number in (need.one, need.other))
            bind(need.one, need.other, ratio_of_luminances(first[:, None], second[None]) >= need.pair.needed)
        else:
            mover = need.one if need.one is not None else need.other
            if mover is not None:
                masks[mover] = masks[mover] & _met(movers[mover], need)
    return cheapest_choice([mover.candidates for mover in movers], masks, between)


def _applied(take: Take, movers: Sequence[_Mover], picked: Sequence[int]) -> Take:
    values: dict[str, Hex] = {}
    steps: dict[str, int] = {}
    for mover, row in zip(movers, picked, strict=True):
        if row and mover.steps is None:
            values[mover.key] = mover.hexes[row]
        elif row and mover.steps is not None:
            steps[mover.key] = mover.steps[row]
    roles = tuple(
        replace(assigned, step=steps[assigned.role], reason="Moved to another step by mending all pairs.")
        if assigned.role in steps
        else assigned
        for assigned in take.roles
    )
    roles = tuple(
        replace(assigned, text_step=steps.get(text_key(assigned.role), assigned.text_step))
        for assigned in roles
    )
    return recolor_many(replace(take, roles=roles), values, "mended with all pairs", "mended")


def _on_their_side(before: Take, after: Take) -> Take:
    """Return `after` with grounds that a moved swatch took across the middle on a step of their own side."""
    roles = tuple(
        replace(assigned, step=_nearest_step(before, after, assigned))
        if assigned.role in GROUNDS
        and assigned.step is not None
        and _is_light(before.hex_of(assigned.role)) != _is_light(after.hex_of(assigned.role))
        else assigned
        for assigned in after.roles
    )
    return replace(after, roles=roles)


def _nearest_step(before: Take, after: Take, ground: Assignment) -> int:
    """Return the step of the ground's ramp that is nearest to what it was, of those on the same side."""
    now = before.hex_of(ground.role)
    hexes = after.ramp(ground.swatch).hexes
    away = delta_e_ok(srgb8_to_oklab(hexes_to_srgb8(hexes)), srgb8_to_oklab(hexes_to_srgb8((now,))))
    is_across = [_is_light(value) != _is_light(now) for value in hexes]
    return int(np.argmin(np.where(is_across, np.inf, away))) + 1


def _is_light(color: Hex) -> bool:
    return luminance_of(color) >= MIDDLE
