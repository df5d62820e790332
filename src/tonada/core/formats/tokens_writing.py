"""Design tokens written: groups for day and night, roles as references, pairs for a check of the build.

Source: Design Tokens Community Group, Format Module and Color Module 2025.10.
"""

from __future__ import annotations

import json
from typing import Final

from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.color.writing import hex_with_alpha
from tonada.core.formats.check_key import CHECKED_KEY, LEVEL_KEY, PAIRS_KEY
from tonada.core.formats.checked import summary
from tonada.core.formats.format import Format, Json, JsonReading, Writing
from tonada.core.formats.sheet import End, NamedPair, Options, Sheet, Value, joined, remark
from tonada.core.formats.tokens import read_token_object

RESOLVER_VERSION: Final = "2025.10"
# The set of the resolver document, and its modifier.
COLORS: Final = "colors"
SCHEME: Final = "scheme"


def write_tokens(sheet: Sheet, options: Options) -> str:
    """Return the file. A sheet with a night has a group for each; else the tokens stand at the top."""
    root: dict[str, Json] = {"$description": sheet.title} if sheet.title else {}
    if sheet.origin:
        root["$description"] = f"{sheet.title} · {sheet.origin}"
    day = group_of(sheet.day, options, "day." if sheet.night else "")
    if sheet.night:
        root["day"] = day
        root["night"] = group_of(sheet.night, options, "night.")
    else:
        root |= day
    pairs = [pair_entry(pair, options, "day." if sheet.night else "") for pair in sheet.pairs]
    pairs += [pair_entry(pair, options, "night." if sheet.night else "") for pair in sheet.night_pairs]
    if pairs:
        root["$extensions"] = _checked(sheet, options, pairs)
    return json.dumps(root, ensure_ascii=False, indent=2) + "\n"


def group_of(values: tuple[Value, ...], options: Options, above: str) -> dict[str, Json]:
    group: dict[str, Json] = {"$type": "color"}
    for value in values:
        token: dict[str, Json] = {
            "$value": _reference(value.refers, options, above) if value.refers else value_of(value, options)
        }
        note = remark(value, value.reason or value.note)
        if note:
            token["$description"] = note
        group[joined(value.words, options)] = token
    return group


def pair_entry(pair: NamedPair, options: Options, above: str) -> dict[str, Json]:
    layers: list[Json] = [_end(layer, options, above) for layer in pair.layers]
    return {
        "text": _end(pair.text, options, above),
        "ground": _end(pair.ground, options, above),
        **({"layers": layers} if layers else {}),
        "usage": str(pair.pair.usage),
        **({"size": pair.pair.size} if pair.pair.size else {}),
        **({"weight": pair.pair.weight} if pair.pair.weight else {}),
    }


def write_resolver(sheet: Sheet, options: Options) -> str:
    """Return the resolver document: the tokens by day, and a modifier with what the night changes.

    Source: Design Tokens Community Group, Resolver Module 2025.10.
    """
    day = group_of(sheet.day, options, "")
    root: dict[str, Json] = {
        "version": RESOLVER_VERSION,
        **({"name": sheet.title} if sheet.title else {}),
        **({"description": sheet.origin} if sheet.origin else {}),
        "sets": {COLORS: {"sources": [day]}},
    }
    order = [f"#/sets/{COLORS}"]
    if sheet.night:
        night = group_of(sheet.night, options, "")
        contexts = {"day": [], "night": [night]}
        root["modifiers"] = {SCHEME: {"contexts": contexts, "default": "day"}}
        order.append(f"#/modifiers/{SCHEME}")
    root["resolutionOrder"] = [{"$ref": reference} for reference in order]
    if sheet.pairs:
        pairs = [{**pair_entry(pair, options, ""), SCHEME: "day"} for pair in sheet.pairs]
        pairs += [{**pair_entry(pair, options, ""), SCHEME: "night"} for pair in sheet.night_pairs]
        root["$extensions"] = _checked(sheet, options, pairs)
    return json.dumps(root, ensure_ascii=False, indent=2) + "\n"


def _checked(sheet: Sheet, options: Options, pairs: list[dict[str, Json]]) -> dict[str, Json]:
    return {PAIRS_KEY: pairs, LEVEL_KEY: sheet.level, CHECKED_KEY: summary(sheet, options)}


def _end(end: End, options: Options, above: str) -> str:
    return end if isinstance(end, str) else _reference(end, options, above)


def _reference(words: tuple[str, ...], options: Options, above: str) -> str:
    return f"{{{above}{joined(words, options)}}}"


def value_of(value: Value, options: Options) -> Json:
    """Return a colour as an object of the format, or for readers that can't take those as a string."""
    if options.hex_tokens:
        return hex_with_alpha(value.hex, value.alpha)
    channels: list[Json] = [round(int(channel) / 255, 6) for channel in hex_to_srgb8(value.hex)]
    return {"colorSpace": "srgb", "components": channels, "alpha": round(value.alpha, 4), "hex": value.hex}


FORMAT: Final = Format(
    kind="tokens",
    name="Design tokens",
    note="DTCG 2025.10, with pairs",
    json_reading=JsonReading(
        read=read_token_object, recognise=lambda root: isinstance(root, dict), guesses=True
    ),
    writing=Writing(write=write_tokens, ending=".tokens.json", mimetype="application/json"),
)
