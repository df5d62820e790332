"""Plain JSON: `{"name", "colors": [{"name", "token", "role", "hex", "rgb", "scheme"}, …]}`."""

from __future__ import annotations

import json
from typing import Final

from tonada.core.color.contrast import rounded_down
from tonada.core.color.notation import LONGEST_COLOR, read_color
from tonada.core.color.requirements import passes_of
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.color.writing import hex_with_alpha
from tonada.core.errors import ColorError
from tonada.core.formats.checked import Verdict, end_name, summary, verdicts_of
from tonada.core.formats.format import Format, Json, JsonReading, Writing
from tonada.core.formats.listed import ColorList, ListBuilder, role_of_name
from tonada.core.formats.sheet import Options, Sheet, Value, joined

COLORS: Final = "colors"
PAIRS: Final = "pairs"


def is_plain(root: Json) -> bool:
    """Return whether JSON is a plain list of colours, and no file of design tokens."""
    return isinstance(root, dict) and isinstance(root.get(COLORS), list)


def read_json(root: dict[str, Json]) -> ColorList:
    """Return the colours of a plain list. Raises InputError without any."""
    found = ListBuilder("plain JSON")
    title = root.get("name")
    found.title = title if isinstance(title, str) else None
    entries = root[COLORS]
    for number, entry in enumerate(entries if isinstance(entries, list) else [], 1):
        value = entry.get("hex") if isinstance(entry, dict) else entry
        if not isinstance(value, str) or len(value) > LONGEST_COLOR:
            found.warn(None, f"Entry {number} has no “hex”.")
            continue
        name = entry.get("name") if isinstance(entry, dict) else None
        role = entry.get("role") if isinstance(entry, dict) else None
        try:
            color = read_color(value)
        except ColorError as reason:
            found.warn(None, f"Entry {number}: {reason}")
            continue
        found.add(
            color,
            name if isinstance(name, str) else None,
            role=role_of_name(role) if isinstance(role, str) else None,
        )
    return found.build()


def write_json(sheet: Sheet, options: Options) -> str:
    """Return the list, by day and then by night."""
    colors = [_entry(value, "day", options) for value in sheet.day]
    colors += [_entry(value, "night", options) for value in sheet.night]
    whole: dict[str, Json] = {
        "name": sheet.title,
        **({"from": sheet.origin} if sheet.origin else {}),
        COLORS: colors,
    }
    if sheet.pairs or sheet.night_pairs:
        whole |= {"checked": summary(sheet, options), "level": sheet.level}
        whole[PAIRS] = [_pair(verdict, options) for verdict in verdicts_of(sheet)]
    return json.dumps(whole, ensure_ascii=False, indent=2) + "\n"


def _entry(value: Value, scheme: str, options: Options) -> dict[str, Json]:
    entry: dict[str, Json] = {"name": value.name, "token": joined(value.words, options)}
    if value.part == "role":
        entry["role"] = "-".join(value.words)
    entry["hex"] = hex_with_alpha(value.hex, value.alpha)
    entry["rgb"] = [int(channel) for channel in hex_to_srgb8(value.hex)]
    if value.over:
        entry["on"] = value.over
    if value.alpha < 1:
        entry["alpha"] = round(value.alpha, 4)
    entry["scheme"] = scheme
    return entry


def _pair(verdict: Verdict, options: Options) -> dict[str, Json]:
    """Return a pair by the names of its colours; pass is null where WCAG asks nothing."""
    named, pair = verdict.pair, verdict.pair.pair
    return {
        "text": end_name(named.text, options),
        "ground": end_name(named.ground, options),
        **({"layers": [end_name(layer, options) for layer in named.layers]} if named.layers else {}),
        "usage": str(pair.usage),
        **({"size": pair.size} if pair.size else {}),
        **({"weight": pair.weight} if pair.weight else {}),
        "scheme": verdict.scheme,
        "ratio": float(rounded_down(verdict.ratio)),
        "needed": verdict.asked.ratio,
        "pass": passes_of(verdict.outcome),
        "outcome": verdict.outcome,
    }


FORMAT: Final = Format(
    kind="json",
    name="Plain JSON",
    note="a list of colours",
    json_reading=JsonReading(read=read_json, recognise=is_plain),
    writing=Writing(write=write_json, ending=".json", mimetype="application/json"),
)
