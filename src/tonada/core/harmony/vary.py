"""New values for the free swatches, within rule and character; the same seed gives the same values.

Variations come in sheets. For each a pool is drawn around the values that the take has, for later ones
further away; those that leave a pair short, or vibrate, go to the end; of the others those are taken one
by one that are farthest from all taken before, in earlier sheets too, and each is proved by evaluating the
whole take. So a sheet differs as much as it can from all that was shown, and says of each variation how
many pairs fall short. Where nothing is left that differs enough, a later sheet is shorter, or empty. A
variation is named by its seed, its place in the row of sheets, and can be returned to.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Final

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.contrast import ratio_of_luminances, relative_luminance
from tonada.core.color.hue_rules import nearest_of_hue
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
from tonada.core.color.vibration import VIBRATES_FROM, vibration_of
from tonada.core.errors import InputError
from tonada.core.harmony.character import LEAST_CHROMA
from tonada.core.harmony.chord import anchor_of, character_of, chord_members, play
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import Take

LAST_SEED: Final = 240
SHEET: Final = 12
# Two variations of the first sheet differ by at least this, as the root mean square of deltaEOK over what is
# free; those of a later sheet differ from all before by at least the next.
LEAST_DIFFERENCE: Final = 0.04
LEAST_LATER: Final = 0.06
_POOL: Final = 400
# How much further each sheet strays than the one before, and how far at most.
_WIDER: Final = 0.15
_WIDEST: Final = 2.5
_WIDEST_HUE: Final = 1.6
# How far a draw strays from rule and character: degrees, lightness, share of the largest chroma.
_HUE_STRAYS: Final = 14.0
_ANCHOR_STRAYS: Final = 30.0
_LIGHTNESS_STRAYS: Final = 0.16
_CHROMA_STRAYS: Final = 0.22
# Where the anchor is held only its partners can make a difference: they stray so much farther.
_HELD_STRAYS: Final = 1.8


@dataclass(frozen=True, slots=True)
class Drawn:
    """One set of values for what is free: the take, by both schemes, is checked by the caller.

    take: with the seed in its settings. difference: from the values that varying began with.
    """

    seed: int
    take: Take
    difference: float


def restored(take: Take) -> Take:
    """Return the take with the values that varying began from.

    Where the designer has changed or held one of them since, what is on screen is where it begins.
    """
    began = dict(take.harmony.varied_from)
    is_varied = all(
        swatch.origin.kind == "varied" and not swatch.held for swatch in take.swatches if swatch.id in began
    )
    values = began if is_varied else {}
    back = recolor_many(take, values, "as it was", "varied")
    return replace(back, harmony=replace(take.harmony, seed=None, varied_from=()))


def free_of(take: Take) -> tuple[str, ...]:
    """Return the ids of what can vary. Raises InputError where everything coloured is held."""
    anchor = anchor_of(take)
    members = (*((anchor,) if anchor else ()), *chord_members(take))
    free = tuple(member.id for member in members if not member.held)
    if not free:
        raise InputError("All coloured swatches are held. Release at least one to vary it.", field="document")
    return free


def drawn_for(
    base: Take, sheet: int, following: frozenset[str] = frozenset(), shown: Sequence[Take] = ()
) -> Iterator[Drawn]:
    """Yield the draws of a sheet, from 0: what seems to pass first, each as far as can be from the others.

    Their seeds are those of the sheet's first place; whoever proves them gives each its own. base: a
    take as `restored` gives it. following: ids of pairs whose text will follow, and so isn't known yet
    beforehand. shown: the variations of earlier sheets, from which all differ by LEAST_LATER. The same
    takes give the same draws.
    """
    free = free_of(base)
    drawer = _Drawer(base, free, following)
    pool = drawer.candidates(np.random.default_rng(sheet + 1), min(_WIDEST, 1 + _WIDER * sheet))
    began = tuple((key, base.swatch(key).hex) for key in free)
    before = np.array([hexes_to_srgb8(tuple(one.swatch(key).hex for key in free)) for one in shown])
    for row, difference in _farthest_first(pool, drawer.current, drawer.faults(pool), before):
        values = {key: srgb8_to_hex(color) for key, color in zip(free, pool[row], strict=True)}
        seed = sheet * SHEET + 1
        varied = recolor_many(base, values, "a variation", "varied")
        varied = replace(varied, harmony=replace(varied.harmony, seed=seed, varied_from=began))
        yield Drawn(seed, varied, difference)


def numbered(drawn: Drawn, seed: int) -> Drawn:
    """Return a variation with the seed that makes it again."""
    return replace(drawn, seed=seed, take=replace(drawn.take, harmony=replace(drawn.take.harmony, seed=seed)))


def _farthest_first(
    pool: NDArray[np.uint8], current: NDArray[np.uint8], faults: Floats, before: NDArray[np.uint8]
) -> Iterator[tuple[int, float]]:
    """Yield rows of the pool, shape (draws, free, 3), with their distance from the present values.

    Those without faults first, then by faults; among equals always the one farthest from all taken before,
    of which `before` has those of earlier sheets. After those, only what differs enough is yielded.
    """
    lab = srgb8_to_oklab(pool)
    from_current = _apart(lab, srgb8_to_oklab(current))
    nearest = from_current.copy()
    for one in before:
        nearest = np.minimum(nearest, _apart(lab, srgb8_to_oklab(one)))
    left = np.ones(len(pool), dtype=bool)
    for _ in range(len(pool)):
        if len(before):
            left &= nearest >= LEAST_LATER
        if not left.any():
            return
        level = faults[left].min()
        worth = np.where(left & (faults <= level), nearest, -1.0)
        row = int(np.argmax(worth))
        left[row] = False
        yield row, float(from_current[row])
        nearest = np.minimum(nearest, _apart(lab, lab[row]))


def _apart(lab: Floats, other: Floats) -> Floats:
    """Return the root mean square of deltaEOK over what is free, for each draw."""
    return np.asarray(np.sqrt((delta_e_ok(lab, other[None]) ** 2).mean(axis=1)))


class _Drawer:
    """Draws colours for the free swatches of one take, and knows which pairs they must keep."""

    def __init__(self, take: Take, free: tuple[str, ...], following: frozenset[str]) -> None:
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
        self._anchor_row = self._row[anchor.id] if anchor else None
        self._strays = 1.0 if self._anchor is not None else _HELD_STRAYS
        # Only pairs that a free swatch itself is part of can be told beforehand.
        ends = [
            (pair, self._end(pair.text), self._end(pair.ground))
            for pair in take.pairs
            if pair.id not in following
        ]
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

    def candidates(self, random: np.random.Generator, wider: float = 1.0) -> NDArray[np.uint8]:
        """Return the draws of a sheet, shape (draws, free, 3). wider: so many times as far as usual."""
        count = len(self.free)
        places = np.repeat(self._places[None], _POOL, axis=0)
        strays = random.uniform(-1, 1, (_POOL, count, 3)) * self._strays * wider
        # The rule holds the hues together: they stray less than lightness and chroma do.
        places[..., 2] += strays[..., 2] * min(1.0, _WIDEST_HUE / wider) * _HUE_STRAYS
        if self._anchor is not None:
            # The whole chord turns with its anchor.
            turns = random.uniform(-1, 1, (_POOL, 1)) * _ANCHOR_STRAYS * wider
            places[..., 2] += turns.repeat(count, axis=1)
        targets = self._targets(places, random)
        places[..., 0] = np.clip(targets + strays[..., 0] * _LIGHTNESS_STRAYS, 0.22, 0.92)
        limit = largest_chroma(places[..., 0], places[..., 2] % 360)
        share = self._chroma_share(places) + strays[..., 1] * _CHROMA_STRAYS
        most = 1.2 * self._character.most_chroma if self._character else np.inf
        chroma = np.minimum(np.clip(share, 0.08, 1.0) * limit, most)
        places[..., 1] = np.maximum(LEAST_CHROMA, chroma)
        places[..., 2] %= 360
        colors = nearest_of_hue(places.reshape(-1, 3)).reshape(_POOL, count, 3)
        return _on_web(colors) if self._take.harmony.web_safe else colors

    def _targets(self, places: Floats, random: np.random.Generator) -> Floats:
        """Return lightness to stray from: over the character's span in any order, or as it is."""
        if self._character is None:
            return places[..., 0]
        ranks = random.permuted(np.tile(np.arange(len(self.free)), (_POOL, 1)), axis=1)
        spaced = ranks / max(1, len(self.free) - 1) - 0.5 if len(self.free) > 1 else ranks * 0.0
        return self._character.lightness + spaced * self._character.span

    def _chroma_share(self, places: Floats) -> Floats:
        if self._character is not None:
            return np.full(places.shape[:-1], self._character.chroma)
        limit = largest_chroma(self._places[:, 0], self._places[:, 2])
        return np.broadcast_to(self._places[:, 1] / np.maximum(limit, 1e-6), places.shape[:-1])

    def faults(self, drawn: NDArray[np.uint8]) -> Floats:
        """Return for each draw how many pairs seem to fall short, and 1 more where it vibrates."""
        faults = np.zeros(len(drawn))
        if self._pairs:
            luminance = np.repeat(relative_luminance(self._colors)[None], len(drawn), axis=0)
            luminance[:, self._columns] = relative_luminance(drawn)
            texts, grounds = [text for text, _ in self._ends], [ground for _, ground in self._ends]
            ratios = ratio_of_luminances(luminance[:, texts], luminance[:, grounds])
            needed = np.array(
                [
                    requirement(pair.usage, self._take.level, pair.size, pair.weight).ratio
                    for pair in self._pairs
                ]
            )
            faults += (ratios < needed).sum(axis=1)
        if self._anchor_row is not None:
            beside = drawn[:, self._anchor] if self._anchor is not None else self._colors[self._anchor_row]
            vibration = vibration_of(drawn, np.broadcast_to(beside, (len(drawn), 3))[:, None])
            faults += vibration.max(axis=1) >= VIBRATES_FROM
        return faults


def _on_web(colors: NDArray[np.uint8]) -> NDArray[np.uint8]:
    flat = [hexes_to_srgb8((web_safe(srgb8_to_hex(color)),))[0] for color in colors.reshape(-1, 3)]
    return np.stack(flat).reshape(colors.shape)
