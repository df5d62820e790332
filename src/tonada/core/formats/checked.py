"""What a file says of its own pairs: how many were held to which level, which of them fail, and each by name.

The verdicts are of the values in the file, as whoever reads it has them; `tonada check` reads the list.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import composite, ratio_between, rounded_down
from tonada.core.color.notation import read_color
from tonada.core.color.requirements import Outcome, Requirement, outcome_of, requirement
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.color.wcag import Level, Usage
from tonada.core.formats.naming import Words
from tonada.core.formats.sheet import End, NamedPair, Options, Sheet, Value, joined

SchemeName: TypeAlias = Literal["day", "night"]
# A colour with its alpha, 0 to 1.
Seen: TypeAlias = tuple[Hex, float]

# The list of pairs in a comment of a stylesheet.
LIST_BEGINS: Final = "Every pair, as"
_LONGEST_LINE: Final = 1_000
_SIZE: Final = re.compile(r"(?P<size>\d+(?:\.\d+)?)px(?: (?P<weight>\d{1,4}))?")


@dataclass(frozen=True, slots=True)
class Verdict:
    """What comes of a pair in a scheme. ratio: exact."""

    pair: NamedPair
    scheme: SchemeName
    ratio: float
    asked: Requirement

    @property
    def outcome(self) -> Outcome:
        return outcome_of(self.ratio, self.asked)

    @property
    def fails(self) -> bool:
        return self.outcome == "fails"


@dataclass(frozen=True, slots=True)
class PairLine:
    """A pair as a file says it. schemes: by which it is there; text, ground and layers as written."""

    text: str
    ground: str
    layers: tuple[str, ...]
    usage: Usage
    size: float | None
    weight: int | None
    schemes: tuple[SchemeName, ...]


def verdicts_of(sheet: Sheet) -> tuple[Verdict, ...]:
    """Return the verdict of each pair of a sheet, by day and then by night."""
    return (*_of_scheme(sheet, "day"), *_of_scheme(sheet, "night"))


def _of_scheme(sheet: Sheet, scheme: SchemeName) -> Iterator[Verdict]:
    values, pairs = (sheet.day, sheet.pairs) if scheme == "day" else (sheet.night, sheet.night_pairs)
    there = {value.words: value for value in values}
    for pair in pairs:
        layers = tuple(_seen(layer, there) for layer in pair.layers)
        ratio = ratio_between(*seen_through(_seen(pair.text, there), _seen(pair.ground, there)[0], layers))
        asked = requirement(pair.pair.usage, sheet.level, pair.pair.size, pair.pair.weight)
        yield Verdict(pair, scheme, ratio, asked)


def seen_through(text: Seen, ground: Hex, layers: tuple[Seen, ...]) -> tuple[Hex, Hex]:
    """Return a text and its ground as they are seen on an opaque colour under layers, the lowest first."""
    for layer in layers:
        ground = _over(layer, ground)
    return _over(text, ground), ground


def _over(top: Seen, ground: Hex) -> Hex:
    return srgb8_to_hex(composite(hex_to_srgb8(top[0]), top[1], hex_to_srgb8(ground)))


def _seen(end: End, there: Mapping[Words, Value]) -> Seen:
    if isinstance(end, str):
        read = read_color(end)
        return read.hex, read.alpha
    return there[end].hex, there[end].alpha


def summary(sheet: Sheet, options: Options, lead: str = "") -> str:
    """Return how many pairs were checked at which level, and those that fail; empty without pairs."""
    verdicts = verdicts_of(sheet)
    if not verdicts:
        return ""
    counts = {scheme: sum(one.scheme == scheme for one in verdicts) for scheme in ("day", "night")}
    many = (
        f"{counts['day']} pairs by day and {counts['night']} by night"
        if sheet.night
        else _pairs(counts["day"])
    )
    exempt = sum(one.outcome == "exempt" for one in verdicts)
    besides = f"; {exempt} exempt" if exempt else ""
    failing = [one for one in verdicts if one.fails]
    if not failing:
        return f"Checked against WCAG 2.2 {sheet.level}: {many}. None fails{besides}."
    named = "; ".join(
        f"{_ends(one.pair, options, lead)}{f' by {one.scheme}' if sheet.night else ''}, "
        f"{rounded_down(one.ratio)} of {one.asked.ratio:g}"
        for one in failing
    )
    verb = "fails" if len(failing) == 1 else "fail"
    return f"Checked against WCAG 2.2 {sheet.level}: {many}. {len(failing)} {verb}{besides}: {named}."


def _pairs(count: int) -> str:
    return f"{count} pair{'' if count == 1 else 's'}"


def pair_lines(sheet: Sheet, options: Options, lead: str = "") -> list[str]:
    """Return a line for each pair: its names, what it is used for, and its ratio in each scheme."""
    lines: dict[str, list[str]] = {}
    for one in verdicts_of(sheet):
        pair = one.pair.pair
        size = f", {pair.size:g}px" + (f" {pair.weight}" if pair.weight else "") if pair.size else ""
        start = f"{_ends(one.pair, options, lead)} · {pair.usage}{size}"
        by = f" by {one.scheme}" if sheet.night else ""
        needed = f", needs {one.asked.ratio:g}"
        figures = lines.setdefault(start, [])
        if needed in figures:
            figures.remove(needed)
        figures += [f"{', ' if figures else ''}{rounded_down(one.ratio)}{by}", needed]
    return [f"{start} · {''.join(figures)}" for start, figures in lines.items()]


def _ends(pair: NamedPair, options: Options, lead: str) -> str:
    through = " and ".join(end_name(layer, options, lead) for layer in pair.layers)
    on = f"{end_name(pair.text, options, lead)} on {end_name(pair.ground, options, lead)}"
    return f"{on} through {through}" if through else on


def end_name(end: End, options: Options, lead: str = "") -> str:
    """Return the name of an end of a pair, or its colour where it has none on the sheet."""
    return end if isinstance(end, str) else f"{lead}{joined(end, options)}"


def read_level(text: str) -> Level | None:
    """Return the level that a file's comment says, None where it says none."""
    found = re.search(r"Checked against WCAG 2\.2 (A{1,3}):", text)
    levels: dict[str, Level] = {"A": "A", "AA": "AA", "AAA": "AAA"}
    return levels.get(found[1]) if found else None


def read_pair_lines(text: str) -> tuple[PairLine, ...]:
    """Return the pairs that the comment of a stylesheet lists; none where there is no such list."""
    begin = text.rfind(LIST_BEGINS)
    if begin < 0:
        return ()
    lines = text[begin:].partition("*/")[0].splitlines()[1:]
    found = (_line(line.strip()) for line in lines if len(line) <= _LONGEST_LINE)
    return tuple(line for line in found if line is not None)


def _line(text: str) -> PairLine | None:
    """Return a pair from “text on ground through layers · use, 16px 400 · ratios”; None for anything else."""
    ends, _, rest = text.partition(" · ")
    used, _, figures = rest.partition(" · ")
    name, on, below = ends.partition(" on ")
    ground, _, layers = below.partition(" through ")
    usage, _, said = used.partition(", ")
    size = _SIZE.fullmatch(said)
    if not on or not figures or usage not in set(Usage):
        return None
    by_night = " by night" in figures
    by_day = " by day" in figures or not by_night
    return PairLine(
        name,
        ground,
        tuple(layers.split(" and ")) if layers else (),
        Usage(usage),
        float(size["size"]) if size else None,
        int(size["weight"]) if size and size["weight"] else None,
        (*(("day",) if by_day else ()), *(("night",) if by_night else ())),
    )
