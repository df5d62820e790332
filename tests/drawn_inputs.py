"""What designers start from, drawn by chance: logos, lists, single colours, moods. Seeded.

Lists are as people have them: two or three brand colours, some with greys, some of one family, some calm.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from random import Random

from tests.logos import hex_from_oklch, logos, truth_of
from tonada.core.color.spaces import Hex
from tonada.core.roles.brand import Candidate, Whole
from tonada.core.roles.candidates import WHOLES, SourceColor, candidates_of, leaves_out
from tonada.core.source.kept import SourceKind
from tonada.core.source.mood import read_mood
from tonada.core.source.mood_words import WORDS
from tonada.core.source.pictures.preview import render_preview

# The parts of 300: logos, lists, single colours, moods.
PARTS = (70, 130, 60, 40)


@dataclass(frozen=True, slots=True)
class Input:
    """name: with its number. kind: of source. colors: what a proposal is asked about.

    preview: of a logo, the picture as it is kept.
    """

    name: str
    kind: SourceKind
    colors: tuple[Candidate, ...]
    preview: bytes | None = None

    @property
    def hexes(self) -> tuple[Hex, ...]:
        return tuple(candidate.hex for candidate in self.colors)

    @property
    def whole(self) -> Whole:
        return WHOLES[self.kind]


def drawn_inputs(seed: int, parts: tuple[int, int, int, int] = PARTS) -> Iterator[Input]:
    """Return so many of each part, the same for a seed."""
    random = Random(seed)  # noqa: S311  # the same inputs every time
    drawn = (
        _logos(parts[0], seed),
        _lists(random, parts[1]),
        _singles(random, parts[2]),
        _moods(random, parts[3]),
    )
    for part in drawn:
        yield from part


def _logos(count: int, seed: int) -> Iterator[Input]:
    for logo in logos(count, seed=seed):
        truth = truth_of(logo)
        colors = [
            SourceColor(value, share, share if value == logo.ground else 0.0)
            for value, share in {**truth.sure, **truth.maybe}.items()
        ]
        asked = candidates_of("image", colors, leave_out_ground=leaves_out(logo.ground))
        if asked.candidates:
            preview = render_preview(logo.svg().encode())
            yield Input(f"logo {logo.name}", "image", asked.candidates, preview)


def _lists(random: Random, count: int) -> Iterator[Input]:
    for number in range(count):
        colors = [SourceColor(value) for value in dict.fromkeys(_list(random))]
        yield Input(f"list {number}", "list", candidates_of("list", colors).candidates)


def _list(random: Random) -> list[Hex]:
    """Return two to five colours: some calm, some strong, of one family or of several, some with greys."""
    calm = random.random() < 0.35
    hue = random.uniform(0, 360)

    def chroma() -> float:
        return random.uniform(0.035, 0.1) if calm else random.uniform(0.08, 0.24)

    turns = random.choice(([0, 180], [0, 30], [0, 60], [0, 120], [0, 150, 210], [0, 25, 180], [0, 90], [0]))
    colors = [
        hex_from_oklch(random.uniform(0.25, 0.85), chroma(), hue + turn + random.uniform(-12, 12))
        for turn in turns
    ]
    if random.random() < 0.3:
        colors.append(hex_from_oklch(random.uniform(0.1, 0.3), random.uniform(0, 0.03), hue))
    if random.random() < 0.3:
        colors.append(hex_from_oklch(random.uniform(0.9, 0.985), random.uniform(0, 0.03), hue))
    if random.random() < 0.15:
        colors.append(hex_from_oklch(random.uniform(0.4, 0.8), random.uniform(0, 0.02), hue))
    random.shuffle(colors)
    return colors


def _singles(random: Random, count: int) -> Iterator[Input]:
    for number in range(count):
        chroma = random.choice((0.0, 0.02, random.uniform(0.03, 0.1), random.uniform(0.08, 0.26)))
        value = hex_from_oklch(random.uniform(0.1, 0.95), chroma, random.uniform(0, 360))
        yield Input(f"single {number}", "list", candidates_of("list", [SourceColor(value)]).candidates)


def _moods(random: Random, count: int) -> Iterator[Input]:
    known = sorted(WORDS)
    for _ in range(count):
        words = tuple(random.sample(known, random.choice((1, 2, 2, 3))))
        colors = [SourceColor(one.hex, one.weight) for one in read_mood(words, None).starting_colors]
        yield Input(f"mood {' '.join(words)}", "mood", candidates_of("mood", colors).candidates)
