"""Remake the ready-made palettes: draw many, keep what holds, choose the most unlike, name them.

Takes some ten minutes on two cores, and gives the same file every time. `--sheet` draws contact
sheets of what was chosen, to be looked at.
"""

from __future__ import annotations

import argparse
from collections import Counter
from dataclasses import replace
from multiprocessing import Pool
from pathlib import Path
from typing import Final

import numpy as np
from scripts.ready_made_sheet import draw_sheets

from tonada.core.formats.palette_list import write_palettes
from tonada.core.harmony.character import CHARACTERS
from tonada.core.ready import shipped
from tonada.core.ready.choosing import Chooser, fault_of
from tonada.core.ready.drawing import Wish, draw
from tonada.core.ready.names import named
from tonada.core.ready.palette import Ground, ReadyPalette, RoleColor, traits_of
from tonada.core.ready.serving import moods_of, trades_of
from tonada.core.ready.taking import proof_of
from tonada.core.source.mood_words import FIELDS, WORDS

SEED: Final = 7
DRAWN: Final = 60_000
WANTED: Final = 480
LEAST_OF_EACH: Final = 22  # moods and trades
LEAST_OF_HUES: Final = {1: 60, 2: 60, 3: 60, 4: 44}
LEAST_DARK: Final = 110
LEAST_AAA: Final = 70
HUES: Final = (0.16, 0.34, 0.32, 0.18)  # how many of one to four are drawn
DARK: Final = 0.24
OF_ITS_MOOD: Final = 0.75  # how often the character is that of the mood
FILE: Final = Path(shipped.__file__).parent / shipped.FILE


def wish_of(number: int) -> Wish:
    """Return what the palette of a number is drawn for: moods and trades take turns."""
    random = np.random.default_rng([SEED, number])
    moods, trades = list(WORDS.values()), list(FIELDS.values())
    mood = moods[number % len(moods)]
    hues = int(random.choice([1, 2, 3, 4], p=HUES))
    ground: Ground = "dark" if random.random() < DARK else "light"
    own = CHARACTERS[mood.character]
    character = own if random.random() < OF_ITS_MOOD else random.choice(np.array(list(CHARACTERS)))
    return Wish(
        mood, trades[number // len(moods) % len(trades)], hues, ground, CHARACTERS.get(str(character), own)
    )


def drawn(number: int) -> tuple[tuple[RoleColor, ...], str | None]:
    """Return the palette of a number, and the rule that it breaks."""
    colors = draw(wish_of(number), number)
    return colors, fault_of(colors)


def described(given: tuple[int, tuple[RoleColor, ...]]) -> ReadyPalette:
    """Return a palette that was kept with all that is said of it."""
    number, colors = given
    return ReadyPalette(
        str(number),
        "",
        colors,
        traits_of(colors),
        moods_of(colors),
        trades_of(colors),
        proof=proof_of(colors),
    )


def chosen(pool: list[ReadyPalette]) -> list[ReadyPalette]:
    """Return the most unlike: those that are rare first, so that each kind has its number."""
    chooser = Chooser(pool)

    def rows(*keeps: bool) -> np.ndarray[tuple[int], np.dtype[np.bool_]]:
        return np.array(keeps)

    kinds = {
        **{f"mood {name}": rows(*(name in one.moods for one in pool)) for name in WORDS},
        **{f"trade {name}": rows(*(name in one.trades for one in pool)) for name in FIELDS},
    }
    wanted = dict.fromkeys(kinds, LEAST_OF_EACH)
    for count in (1, 2, 3, 4):
        kinds[f"{count} hues"] = rows(*(one.traits.hues == count for one in pool))
        wanted[f"{count} hues"] = LEAST_OF_HUES[count]
    kinds["dark"] = rows(*(one.traits.ground == "dark" for one in pool))
    kinds["AAA"] = rows(*(one.proof is not None and one.proof.reaches_aaa for one in pool))
    wanted |= {"dark": LEAST_DARK, "AAA": LEAST_AAA}
    # Whatever there is least of goes first, so that a few palettes serve several kinds.
    for name in sorted(kinds, key=lambda name: int(kinds[name].sum())):
        there = chooser.fill(kinds[name], wanted[name])
        print(f"{name}: {there} of {kinds[name].sum()} kept")
        assert there >= min(wanted[name], 20), f"too few palettes: {name}"
    chooser.fill(np.ones(len(pool), dtype=bool), WANTED)
    assert len(chooser.taken) == WANTED, f"{len(chooser.taken)} palettes"
    return unlike_first([pool[row] for row in chooser.taken])


def unlike_first(palettes: list[ReadyPalette]) -> list[ReadyPalette]:
    """Return palettes so that each is as unlike as can be to all before it, for whoever leafs."""
    order = Chooser(palettes)
    order.fill(np.ones(len(palettes), dtype=bool), len(palettes))
    return [palettes[row] for row in order.taken]


def main() -> None:
    """Write the file."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--drawn", type=int, default=DRAWN)
    parser.add_argument("--sheet", type=Path, help="a folder for contact sheets")
    options = parser.parse_args()
    with Pool() as processes:
        found = processes.map(drawn, range(options.drawn), chunksize=50)
        print(f"{options.drawn} drawn:", Counter(fault or "kept" for _, fault in found))
        kept = [(number, colors) for number, (colors, fault) in enumerate(found) if fault is None]
        pool = processes.map(described, kept, chunksize=10)
    palettes = chosen([one for one in pool if one.moods and one.trades])
    names = named(palettes)
    ready = [
        replace(one, id=name.lower().replace(" ", "-"), name=name)
        for one, name in zip(palettes, names, strict=True)
    ]
    FILE.write_bytes(write_palettes(ready, shipped.figures_of))
    print(f"{len(ready)} written, {FILE.stat().st_size // 1024} kB")
    if options.sheet:
        draw_sheets(ready, options.sheet)


if __name__ == "__main__":
    main()
