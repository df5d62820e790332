"""Advice while composing, each with its reason and a way to act."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import combinations
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import ratio_between
from tonada.core.color.hue_rules import NEUTRAL_BELOW, color_at
from tonada.core.color.spaces import (
    Floats,
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hexes_to_srgb8,
    hue_distance,
    srgb8_to_oklab,
    srgb8_to_oklch,
)
from tonada.core.color.vibration import vibrates
from tonada.core.color.wcag import LARGE_RATIO
from tonada.core.harmony.alike import alike_roles, only
from tonada.core.harmony.chord import is_for_reading
from tonada.core.harmony.hue_families import hue_families
from tonada.core.sight.machado import Sight
from tonada.core.sight.vision import simulated_oklab
from tonada.core.take.take import Role, Swatch, Take

AdviceKind: TypeAlias = Literal["many hues", "close", "confused", "vibrates", "quiet accent"]

MOST_HUES: Final = 3
# Neighbours closer than this (deltaEOK) aren't told apart across a page.
HUES_APART: Final = 0.07
ACCENT_CHROMA: Final = 0.08
ACCENT_DISTANCE: Final = 0.15
# How far the free one of two moves away in lightness: as little of these as helps.
LIGHTNESS_STEPS: Final = (0.18, 0.26, 0.34, 0.42)
LEAST_LIGHTNESS: Final = 0.12
MOST_LIGHTNESS: Final = 0.95
_SIGHTS: Final[tuple[Sight, ...]] = ("protan", "deutan")


@dataclass(frozen=True, slots=True)
class Advice:
    """text: what and why, in a sentence. swatches: those it is about. act: what the button says,
    with the swatch and the value it would get; None where only a held one could be moved."""

    kind: AdviceKind
    text: str
    swatches: tuple[str, ...]
    act: str | None = None
    target: str | None = None
    value: Hex | None = None


@dataclass(frozen=True, slots=True)
class _HuedSwatch:
    swatch: Swatch
    lightness: float
    chroma: float
    hue: float
    lab: Floats


def advise(take: Take) -> tuple[Advice, ...]:
    """Return what there is to say about a take's colours; black, white and grey don't count."""
    hued = _hued_swatches(take)
    said = [*_many_hues(hued), *_pairs(hued), *_alike(take, hued), *_accent(take, hued)]
    return tuple(said)


def _hued_swatches(take: Take) -> list[_HuedSwatch]:
    if not take.swatches:
        return []
    colors = hexes_to_srgb8(tuple(swatch.hex for swatch in take.swatches))
    places, labs = srgb8_to_oklch(colors), srgb8_to_oklab(colors)
    return [
        _HuedSwatch(swatch, float(places[row, 0]), float(places[row, 1]), float(places[row, 2]), labs[row])
        for row, swatch in enumerate(take.swatches)
        if places[row, 1] >= NEUTRAL_BELOW and not is_for_reading(take, swatch.id)
    ]


def _many_hues(hued: list[_HuedSwatch]) -> list[Advice]:
    families = [[hued[row] for row in rows] for rows in hue_families([color.hue for color in hued])]
    if len(families) <= MOST_HUES:
        return []
    text = (
        f"There are {len(families)} hues; black, white and grey don't count. More than {MOST_HUES} are hard "
        "to hold together on a page."
    )
    free = [family[0] for family in families if len(family) == 1 and not family[0].swatch.held]
    ids = tuple(family[0].swatch.id for family in families)
    if not free:
        return [Advice("many hues", text, ids)]
    mover = min(free, key=lambda entry: min(_turn(entry, other) for other in hued if other is not entry))
    near = min((entry for entry in hued if entry is not mover), key=lambda entry: _turn(mover, entry))
    value = color_at(mover.lightness, mover.chroma, near.hue)
    act = f"Bring {mover.swatch.name} to the hue of {near.swatch.name}"
    return [Advice("many hues", text, ids, act, mover.swatch.id, value)]


def _pairs(hued: list[_HuedSwatch]) -> list[Advice]:
    said: list[Advice] = []
    for one, other in combinations(hued, 2):
        apart = float(delta_e_ok(one.lab, other.lab))
        if apart < HUES_APART:
            text = (
                f"{one.swatch.name} and {other.swatch.name} differ by {only(apart)}, too little to "
                "tell them apart on a page."
            )
            said.append(_lighter("close", text, one, other))
        elif vibrates(one.swatch.hex, other.swatch.hex):
            text = (
                f"{one.swatch.name} and {other.swatch.name} are strong, far apart in hue and near in "
                "lightness; edges between them seem to vibrate."
            )
            said.append(_lighter("vibrates", text, one, other))
        elif (sight := _confused_by(one, other)) is not None:
            text = f"{sight.capitalize()} eyes can hardly tell {one.swatch.name} from {other.swatch.name}."
            said.append(_lighter("confused", text, one, other))
    return said


def _alike(take: Take, hued: list[_HuedSwatch]) -> list[Advice]:
    """Advise on roles that look alike, where _pairs hasn't said so of their swatches."""
    said: list[Advice] = []
    known = {one.swatch.id for one in hued}
    for alike in alike_roles(take):
        one, other = (take.swatch_of(role) for role in (alike.one, alike.other))
        if one is None or other is None or ({one.id, other.id} <= known and one is not other):
            continue
        if one is other:
            said.append(Advice("close", alike.text, (one.id,)))
        else:
            said.append(_lighter("close", alike.text, _hued(one), _hued(other), _grounds_under(take, other)))
    return said


def _grounds_under(take: Take, swatch: Swatch) -> tuple[Hex, ...]:
    """Return what a colour has to be seen on, where it is a signal."""
    if not take.is_signal_only(swatch.id):
        return ()
    return tuple(take.hex_of(role) for role in (Role.PAPER, Role.MIST) if take.has_role(role))


def _hued(swatch: Swatch) -> _HuedSwatch:
    lightness, chroma, hue = hex_to_oklch(swatch.hex)
    lab = srgb8_to_oklab(hexes_to_srgb8((swatch.hex,)))[0]
    return _HuedSwatch(swatch, lightness, chroma, hue, lab)


def _confused_by(one: _HuedSwatch, other: _HuedSwatch) -> Sight | None:
    colors = hexes_to_srgb8((one.swatch.hex, other.swatch.hex))
    for sight in _SIGHTS:
        seen = simulated_oklab(colors, sight)
        if float(delta_e_ok(seen[0], seen[1])) < HUES_APART:
            return sight
    return None


def _lighter(
    kind: AdviceKind, text: str, one: _HuedSwatch, other: _HuedSwatch, grounds: tuple[Hex, ...] = ()
) -> Advice:
    """Advise to move the free one of two in lightness, away from the other.

    grounds: on which it has to stay visible, 3 to 1.
    """
    ids = (one.swatch.id, other.swatch.id)
    mover, fixed = (other, one) if not other.swatch.held else (one, other)
    if mover.swatch.held:
        return Advice(kind, text + " Both are held.", ids)
    # On its side as far as there is room, then on the other one.
    side = 1 if mover.lightness > fixed.lightness or (mover == fixed and fixed.lightness < 0.5) else -1
    ways = [
        (step * way > 0, color_at(lightness, mover.chroma, mover.hue))
        for way in (side, -side)
        for step in LIGHTNESS_STEPS
        if LEAST_LIGHTNESS <= (lightness := fixed.lightness + way * step) <= MOST_LIGHTNESS
    ]
    seen = [way for way in ways if all(ratio_between(way[1], ground) >= LARGE_RATIO for ground in grounds)]
    ways = seen or ways
    is_up, value = next((way for way in ways if not vibrates(way[1], fixed.swatch.hex)), ways[0])
    act = f"Make {mover.swatch.name} {'lighter' if is_up else 'darker'}"
    return Advice(kind, text, ids, act, mover.swatch.id, value)


def _accent(take: Take, hued: list[_HuedSwatch]) -> list[Advice]:
    if not (take.has_role(Role.ACCENT) and take.has_role(Role.PRIMARY)):
        return []
    accent, primary = take.swatch_of(Role.ACCENT), take.swatch_of(Role.PRIMARY)
    if accent is None or primary is None:
        return []
    places = srgb8_to_oklch(hexes_to_srgb8((accent.hex, primary.hex)))
    labs = srgb8_to_oklab(hexes_to_srgb8((accent.hex, primary.hex)))
    apart, chroma = float(delta_e_ok(labs[0], labs[1])), float(places[0, 1])
    if chroma >= ACCENT_CHROMA and apart >= ACCENT_DISTANCE:
        return []
    is_grey = chroma < ACCENT_CHROMA
    why = f"its chroma is only {chroma:.2f}" if is_grey else f"it is only {apart:.2f} from Primary"
    text = f"The accent {accent.name} doesn’t stand out: {why}."
    if accent.held:
        return [Advice("quiet accent", text + " It is held; release it to change it.", (accent.id,))]
    hue = float(places[1, 2]) + 180 if hued else 60.0
    act = f"Set {accent.name} opposite Primary"
    return [Advice("quiet accent", text, (accent.id,), act, accent.id, color_at(0.76, 0.15, hue))]


def _turn(one: _HuedSwatch, other: _HuedSwatch) -> float:
    return float(hue_distance(one.hue, other.hue))
