"""Failing text colours of stylesheets and pages, replaced where they are written.

Only a colour that is in the rule itself is replaced: one that comes from a property may be right
elsewhere. What would make another pair fail is left as it was.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import Level
from tonada.core.gate.check import CheckedPair, pair_of_rule
from tonada.core.gate.check_reports import suggestion_of
from tonada.core.gate.rule_pairs import Place, rule_pairs
from tonada.core.gate.written import Written, triples_in, written_in
from tonada.core.source.stylesheets.scan import line_finder
from tonada.core.source.stylesheets.usage import StyleFile

_TEXT_PROPERTIES: Final = ("color", "-webkit-text-fill-color")


@dataclass(frozen=True, slots=True)
class Fix:
    """A colour that was replaced. old: as it was written."""

    file: str
    place: Place
    selector: str
    old: str
    new: Hex


@dataclass(frozen=True, slots=True)
class _Spot:
    """A colour that can be replaced: its place in the text, and the pairs that it is the text of."""

    index: int
    written: Written
    pairs: tuple[CheckedPair, ...]
    new: Hex


def fix_stylesheets(
    files: Sequence[StyleFile], level: Level, is_ignored: Callable[[str], bool] = lambda _: False
) -> tuple[tuple[StyleFile, ...], tuple[Fix, ...]]:
    """Return the files with failing text colours replaced by the nearest that pass, and the replacements.

    No pair that passed fails afterwards: that is checked, and where all replacements together would
    break it, each is tried by itself. Everything else stays to the letter. is_ignored: says of a rule's
    selector whether its colour is left as it is.
    """
    sheets = tuple(files)
    spots = [spot for spot in _spots(sheets, level) if not is_ignored(spot.written.declaration.selector)]
    before = _failing(sheets, level)
    made = _with_all(sheets, spots)
    if not _failing(made, level) <= before:
        kept: list[_Spot] = []
        for spot in spots:
            if _failing(_with_all(sheets, [*kept, spot]), level) <= before:
                kept.append(spot)
        spots, made = kept, _with_all(sheets, kept)
    return made, tuple(_fix(sheets[spot.index], spot) for spot in spots)


def _spots(files: Sequence[StyleFile], level: Level) -> list[_Spot]:
    by_place: dict[tuple[str, Place], list[CheckedPair]] = {}
    for pair in rule_pairs(files, level):
        by_place.setdefault((pair.file, pair.text), []).append(pair_of_rule(pair))
    triples = triples_in(files)
    found = []
    for index, file in enumerate(files):
        finder = line_finder(file.text)
        for written in written_in(file, triples):
            declaration = written.declaration
            pairs = by_place.get((file.name, Place(*finder.place_of(declaration.start))), [])
            is_whole = file.text[written.start : written.end] == declaration.value
            if declaration.property not in _TEXT_PROPERTIES or not is_whole:
                continue
            new = _passing_everywhere(pairs)
            if new is not None:
                found.append(_Spot(index, written, tuple(pairs), new))
    return found


def _passing_everywhere(pairs: Sequence[CheckedPair]) -> Hex | None:
    """Return the first colour suggested for a failing pair that passes on every ground of the text."""
    told = [pair for pair in pairs if pair.ground_hex is not None and pair.outcome != "exempt"]
    for pair in pairs:
        new = suggestion_of(pair)
        if new and all(ratio_between(new, other.ground_hex or new) >= other.needed for other in told):
            return new
    return None


def _with_all(files: Sequence[StyleFile], spots: Sequence[_Spot]) -> tuple[StyleFile, ...]:
    made = []
    for index, file in enumerate(files):
        text = file.text
        for spot in sorted(spots, key=lambda spot: spot.written.start, reverse=True):
            if spot.index == index:
                text = text[: spot.written.start] + spot.new + text[spot.written.end :]
        made.append(StyleFile(file.name, text))
    return tuple(made)


def _failing(files: Sequence[StyleFile], level: Level) -> set[tuple[str, int, str, str]]:
    return {
        (pair.file, pair.text.line, pair.selector, pair.scope)
        for pair in rule_pairs(files, level)
        if pair.outcome == "fails"
    }


def _fix(file: StyleFile, spot: _Spot) -> Fix:
    place = Place(*line_finder(file.text).place_of(spot.written.start))
    old = file.text[spot.written.start : spot.written.end]
    return Fix(file.name, place, spot.written.declaration.selector, old, spot.new)
