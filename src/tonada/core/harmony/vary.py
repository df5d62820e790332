"""New values for what is free, within rule and character: the same seed always gives the same.

A variation is drawn from the values that the take had when varying began, so that each one can be
named by its seed and returned to. Drawn are many; taken is the first that leaves every needed text
pair passing, and that plainly differs from the variation before.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import ratio_of_luminances, relative_luminance
from tonada.core.color.hue_rules import NEUTRAL_BELOW, nearest_of_hue
from tonada.core.color.placing import web_safe
from tonada.core.color.requirements import requirement
from tonada.core.color.spaces import (
    Floats,
    delta_e_ok,
    hexes_to_srgb8,
    largest_chroma,
    srgb8_to_hex,
    srgb8_to_oklab,
    srgb8_to_oklch,
)
from tonada.core.errors import InputError
from tonada.core.harmony.character import Character
from tonada.core.harmony.chord import anchor_of, character_of, chord_members, play
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import Take

LAST_SEED: Final = 200
# Two neighbours in a row of variations differ by at least this deltaEOK in some swatch.
LEAST_DIFFERENCE: Final = 0.05
_DRAWN: Final = 96
# How far a draw strays from rule and character: degrees, lightness, share of the largest chroma.
_HUE_STRAYS: Final = 14.0
_ANCHOR_STRAYS: Final = 30.0
_LIGHTNESS_STRAYS: Final = 0.16
_CHROMA_STRAYS: Final = 0.22


@dataclass(frozen=True, slots=True)
class Variation:
    """take: with the seed in its settings. difference: deltaEOK to the variation before, in the swatch
    that differs most. failing: ids of needed pairs that no draw could keep passing; problem says why."""

    seed: int
    take: Take
    difference: float
    failing: tuple[str, ...]
    problem: str | None


def vary(take: Take, seed: int) -> Variation:
    """Return one variation, seed 1 to LAST_SEED. Raises InputError outside that, or where nothing is free."""
    return vary_row(take, seed, 1)[0]


def vary_row(take: Take, first: int, count: int) -> tuple[Variation, ...]:
    """Return `count` variations from a seed on; see vary."""
    if not 1 <= first <= LAST_SEED:
        raise InputError(f"A seed is a number from 1 to {LAST_SEED}.", field="seed")
    base = restored(take)
    free = _free(base)
    if not free:
        raise InputError("Every coloured swatch is held; release one to vary it.", field="document")
    drawer = _Drawer(base, free)
    before, row = drawer.current, []
    for seed in range(1, min(first + count, LAST_SEED + 1)):
        drawn = drawer.draw(seed, before)
        if seed >= first:
            row.append(_variation(base, drawer, seed, drawn, before))
        before = drawn
    return tuple(row)


def restored(take: Take) -> Take:
    """Return the take with the values that varying began from."""
    began = recolor_many(take, dict(take.harmony.varied_from), "as it was", "varied")
    return replace(began, harmony=replace(take.harmony, seed=None, varied_from=()))


def _free(take: Take) -> tuple[str, ...]:
    anchor = anchor_of(take)
    members = (*((anchor,) if anchor else ()), *chord_members(take))
    return tuple(one.id for one in members if not one.held)


def _variation(
    base: Take, drawer: _Drawer, seed: int, drawn: NDArray[np.uint8], before: NDArray[np.uint8]
) -> Variation:
    values = {key: srgb8_to_hex(color) for key, color in zip(drawer.free, drawn, strict=True)}
    began = tuple((key, base.swatch(key).hex) for key in drawer.free)
    varied = recolor_many(base, values, f"variation {seed}", "varied")
    varied = replace(varied, harmony=replace(varied.harmony, seed=seed, varied_from=began))
    failing = drawer.failing(drawn)
    problem = None
    if failing:
        problem = (
            f"{len(failing)} needed pairs fall short in every draw: what they stand on or are set in is "
            "held, or the character leaves no room."
        )
    difference = float(delta_e_ok(srgb8_to_oklab(drawn), srgb8_to_oklab(before)).max())
    return Variation(seed, varied, difference, failing, problem)


class _Drawer:
    """Draws colours for the free swatches of one take, and knows which pairs they must keep."""

    def __init__(self, take: Take, free: tuple[str, ...]) -> None:
        self.free = free
        self._take = take
        self._character = character_of(take)
        self._row = {swatch.id: row for row, swatch in enumerate(take.swatches)}
        self._columns = [self._row[key] for key in free]
        self._colors = hexes_to_srgb8(tuple(swatch.hex for swatch in take.swatches))
        self.current = self._colors[self._columns]
        in_rule = play(take)
        self._places = srgb8_to_oklch(hexes_to_srgb8(tuple(in_rule.swatch(key).hex for key in free)))
        anchor = anchor_of(take)
        self._anchor = free.index(anchor.id) if anchor and anchor.id in free else None
        # Only pairs that a free swatch is part of can be kept or lost. Steps keep about their
        # luminance when their swatch varies, so they count with what they have now.
        ends = [(pair, self._end(pair.text), self._end(pair.ground)) for pair in take.pairs]
        self._pairs = [pair for pair, *rows in ends if {*rows} & {*self._columns}]
        self._ends = [rows for _, *rows in ends if {*rows} & {*self._columns}]

    def _end(self, key: str) -> int:
        """Return the row of a pair's end among the colours; what is no swatch itself gets a new one."""
        take = self._take
        owner = take.assignment(key) if take.has_role(key) else None
        swatch = key if owner is None else owner.swatch if owner.step is None else None
        if swatch in self._row:
            return self._row[swatch]
        value = "#808080" if take.overlay(key) else take.color_of(key)
        self._colors = np.concatenate([self._colors, hexes_to_srgb8((value,))])
        return len(self._colors) - 1

    def draw(self, seed: int, before: NDArray[np.uint8]) -> NDArray[np.uint8]:
        """Return the colours of one seed, shape (free, 3)."""
        drawn = self._candidates(np.random.default_rng(seed))
        worth = self._shortfalls(drawn)
        differs = delta_e_ok(srgb8_to_oklab(drawn), srgb8_to_oklab(before)[None]).max(axis=1)
        # Least short first, then what plainly differs, then in the order drawn.
        order = np.lexsort((np.arange(len(drawn)), differs < LEAST_DIFFERENCE, np.round(worth, 6)))
        fits = [number for number in order if differs[number] >= LEAST_DIFFERENCE]
        return np.asarray(drawn[fits[0] if fits else int(np.argmax(differs))])

    def failing(self, drawn: NDArray[np.uint8]) -> tuple[str, ...]:
        """Return the ids of the needed pairs that fall short with these colours."""
        ratios, needed = self._ratios(drawn[None])
        short = ratios[0] < needed
        return tuple(pair.id for pair, is_short in zip(self._pairs, short, strict=True) if is_short)

    def _candidates(self, random: np.random.Generator) -> NDArray[np.uint8]:
        count = len(self.free)
        places = np.repeat(self._places[None], _DRAWN, axis=0)
        strays = random.uniform(-1, 1, (_DRAWN, count, 3))
        places[..., 2] += strays[..., 2] * _HUE_STRAYS
        if self._anchor is not None:
            # The whole chord turns with its anchor.
            places[..., 2] += (random.uniform(-1, 1, (_DRAWN, 1)) * _ANCHOR_STRAYS).repeat(count, axis=1)
        targets = self._targets(places, random)
        places[..., 0] = np.clip(targets + strays[..., 0] * _LIGHTNESS_STRAYS, 0.15, 0.95)
        limit = largest_chroma(places[..., 0], places[..., 2] % 360)
        share = self._chroma_share(places) + strays[..., 1] * _CHROMA_STRAYS
        places[..., 1] = np.maximum(NEUTRAL_BELOW * 1.4, np.clip(share, 0.08, 1.0) * limit)
        places[..., 2] %= 360
        colors = nearest_of_hue(places.reshape(-1, 3)).reshape(_DRAWN, count, 3)
        return _on_web(colors) if self._take.harmony.web_safe else colors

    def _targets(self, places: Floats, random: np.random.Generator) -> Floats:
        """Return lightness to stray from: over the character's span in any order, or as it is."""
        if self._character is None:
            return places[..., 0]
        ranks = random.permuted(np.tile(np.arange(len(self.free)), (_DRAWN, 1)), axis=1)
        spaced = ranks / max(1, len(self.free) - 1) - 0.5 if len(self.free) > 1 else ranks * 0.0
        return self._character.lightness + spaced * self._character.span

    def _chroma_share(self, places: Floats) -> Floats:
        character: Character | None = self._character
        if character is not None:
            return np.full(places.shape[:-1], character.chroma)
        limit = largest_chroma(self._places[:, 0], self._places[:, 2])
        return np.broadcast_to(self._places[:, 1] / np.maximum(limit, 1e-6), places.shape[:-1])

    def _ratios(self, drawn: NDArray[np.uint8]) -> tuple[Floats, Floats]:
        """Return the ratio of each pair for each draw, and what each pair needs."""
        luminance = np.repeat(relative_luminance(self._colors)[None], len(drawn), axis=0)
        luminance[:, self._columns] = relative_luminance(drawn)
        texts, grounds = [text for text, _ in self._ends], [ground for _, ground in self._ends]
        needed = np.array(
            [requirement(pair.usage, self._take.level, pair.size, pair.weight).ratio for pair in self._pairs]
        )
        return ratio_of_luminances(luminance[:, texts], luminance[:, grounds]), needed

    def _shortfalls(self, drawn: NDArray[np.uint8]) -> Floats:
        """Return for each draw how much its pairs fall short together; 0 where all pass."""
        if not self._pairs:
            return np.zeros(len(drawn))
        ratios, needed = self._ratios(drawn)
        return np.asarray(np.maximum(0, needed / ratios - 1).sum(axis=1))


def _on_web(colors: NDArray[np.uint8]) -> NDArray[np.uint8]:
    flat = [hexes_to_srgb8((web_safe(srgb8_to_hex(color)),))[0] for color in colors.reshape(-1, 3)]
    return np.stack(flat).reshape(colors.shape)
