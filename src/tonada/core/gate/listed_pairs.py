"""The pairs that one of our files lists, with the values that the file has for their names."""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from typing import Final, NamedTuple

from tonada.core.color.notation import read_color
from tonada.core.color.spaces import Hex
from tonada.core.color.unknown import CannotTell
from tonada.core.color.wcag import LEVELS, USUAL_LEVEL, Level, Usage
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.checked import PairLine, Seen, read_level, read_pair_lines, seen_through
from tonada.core.formats.css import is_by_night
from tonada.core.formats.format import Json
from tonada.core.formats.plain_json import COLORS, PAIRS
from tonada.core.limits import MAX_FILE_PAIRS, MAX_OVERLAYS
from tonada.core.source.stylesheets.computed import filled_in, paint
from tonada.core.source.stylesheets.scan import scan_stylesheet

_SASS: Final = re.compile(r"^[ \t]*([$@][\w-]+):[ \t]*([^;\n]+);", re.MULTILINE)
DEEPEST_REFERENCE: Final = 8


class ListedPair(NamedTuple):
    """A pair by the names in the file, with its colours as they are seen."""

    text: str
    ground: str
    text_hex: Hex
    ground_hex: Hex
    usage: Usage
    size: float | None
    weight: int | None
    level: Level


def pairs_listed_in(text: str, level: Level | None) -> tuple[ListedPair, ...]:
    """Return the pairs that a stylesheet's own comment lists, by day and then by night; () without any.

    Raises InputError where a name of the list has no colour in the file.
    """
    lines = read_pair_lines(text)[:MAX_FILE_PAIRS]
    if not lines:
        return ()
    held = level or read_level(text) or USUAL_LEVEL
    values = _sass_values(text) if lines[0].text[:1] in "$@" or lines[0].ground[:1] in "$@" else None
    schemes = {"day": values or _values(text, night=False), "night": values or _values(text, night=True)}
    return tuple(
        _judged(line, schemes[scheme], held, " (night)" if scheme == "night" else "")
        for scheme in ("day", "night")
        for line in lines
        if scheme in line.schemes
    )


def pairs_of_plain(root: dict[str, Json], level: Level | None) -> tuple[ListedPair, ...]:
    """Return the pairs of a plain list of colours. Raises InputError where it lists none, or broken ones."""
    listed = root.get(PAIRS)
    if not isinstance(listed, list) or not listed:
        raise InputError(f"The file lists no “{PAIRS}”.", field=PAIRS)
    if len(listed) > MAX_FILE_PAIRS:
        raise InputError(f"At most {MAX_FILE_PAIRS} pairs in one file.", field=PAIRS)
    said = root.get("level")
    named = next((one for one in LEVELS if one == said), None)
    held = level or named or USUAL_LEVEL
    values = _plain_values(root)
    return tuple(_of_entry(entry, row, values, held) for row, entry in enumerate(listed))


def _of_entry(entry: Json, row: int, schemes: Mapping[str, Mapping[str, Seen]], level: Level) -> ListedPair:
    field = f"{PAIRS}.{row}"
    usage = entry.get("usage") if isinstance(entry, dict) else None
    if not isinstance(usage, str) or usage not in set(Usage):
        raise InputError("A pair is an object with text, ground and usage.", field=field)
    layers = entry.get("layers", [])
    size, weight = (_number(entry.get(part), f"{field}.{part}") for part in ("size", "weight"))
    line = PairLine(
        str(entry.get("text")),
        str(entry.get("ground")),
        tuple(map(str, layers[:MAX_OVERLAYS])) if isinstance(layers, list) else (),
        Usage(usage),
        size,
        None if weight is None else int(weight),
        (),
    )
    night = entry.get("scheme") == "night"
    return _judged(line, schemes["night" if night else "day"], level, " (night)" if night else "")


def _number(value: Json, field: str) -> float | None:
    if value is None:
        return None
    if isinstance(value, bool) or not isinstance(value, int | float) or not 0 < value <= 1000:
        raise InputError("It is a number over 0, up to 1000.", field=field)
    return float(value)


def _plain_values(root: dict[str, Json]) -> dict[str, dict[str, Seen]]:
    found: dict[str, dict[str, Seen]] = {"day": {}, "night": {}}
    for entry in root[COLORS]:
        if isinstance(entry, dict) and entry.get("scheme") in ("day", "night"):
            seen = _read(str(entry.get("hex")))
            if seen is not None:
                found[entry["scheme"]][str(entry.get("token"))] = seen
    return found


def _judged(line: PairLine, values: Mapping[str, Seen], level: Level, after: str) -> ListedPair:
    def end(name: str) -> Seen:
        seen = values.get(name) or _read(name)
        if seen is None:
            raise InputError(f"The list of pairs names {name[:60]}, which has no colour here.", field="file")
        return seen

    below, alpha = end(line.ground)
    if alpha < 1:
        raise InputError(f"A ground must be opaque; {line.ground[:60]} isn’t.", field="file")
    text, ground = seen_through(end(line.text), below, tuple(map(end, line.layers)))
    return ListedPair(
        f"{line.text}{after}",
        f"{line.ground}{after}",
        text,
        ground,
        line.usage,
        line.size,
        line.weight,
        level,
    )


def _values(text: str, *, night: bool) -> dict[str, Seen]:
    """Return the custom properties of a stylesheet in a scheme: the night's go before the day's."""
    declared = [entry for entry in scan_stylesheet(text) if entry.property.startswith("--")]
    counted = sorted((entry for entry in declared if night or not is_by_night(entry)), key=is_by_night)
    variables = {entry.property: entry.value for entry in counted}
    return dict(_all_read(variables, "dark" if night else "light"))


def _all_read(variables: Mapping[str, str], scheme: str) -> Iterator[tuple[str, Seen]]:
    for name, value in variables.items():
        try:
            colors = paint(filled_in(value, variables), scheme).colors
        except CannotTell:
            continue
        if len(colors) == 1:
            yield name, (colors[0].hex, colors[0].alpha)


def _sass_values(text: str) -> dict[str, Seen]:
    written = {match[1]: match[2].strip() for match in _SASS.finditer(text)}
    found: dict[str, Seen] = {}
    for name, own in written.items():
        value = own
        for _ in range(DEEPEST_REFERENCE):
            value = written.get(value, value)
        seen = _read(value)
        if seen is not None:
            found[name] = seen
    return found


def _read(value: str) -> Seen | None:
    try:
        read = read_color(value)
    except ColorError:
        return None
    return read.hex, read.alpha
