"""Lists of palettes as files: Tonada's own format, and design tokens with a group for each palette.

Tonada's own is JSON. `format` is “tonada palettes”, `version` 1; each of `palettes` has a `name`, `colors`
by role (`primary` has to be there) and, where somebody gave them, `moods`, `trades` and `tags`. Whatever
else stands there is left alone: figures are always computed again. Documented in docs/ready-made.md.
"""

from __future__ import annotations

import json
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass
from typing import Any, Final

from tonada.core.color.notation import read_color
from tonada.core.color.spaces import Hex, hex_to_srgb8
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.detect import decode_text
from tonada.core.formats.format import Json
from tonada.core.formats.listed import ColorList, plain_name
from tonada.core.formats.tokens import parse_any_json, read_token_object
from tonada.core.limits import MAX_FILE_PALETTES, MAX_LIST_BYTES, MAX_PALETTE_TAGS, MAX_TAG_LENGTH
from tonada.core.ready.palette import (
    BRAND,
    PALETTE_ROLES,
    ReadyPalette,
    checked_colors,
    traits_of,
)
from tonada.core.source.mood_words import FIELDS, WORDS
from tonada.core.take.parts import Role
from tonada.core.take.texts import one_line

MARK: Final = "tonada palettes"
VERSION: Final = 1
TAGS_KEY: Final = "org.tonada.tags"
_MOST_SAID: Final = 20


@dataclass(frozen=True, slots=True)
class PaletteFile:
    """palettes: what was read; without ids, proofs and, from tokens, moods. skipped: why others weren't."""

    palettes: tuple[ReadyPalette, ...]
    skipped: tuple[str, ...]


def read_palettes(data: bytes) -> PaletteFile:
    """Return the palettes of a file. Raises InputError if it isn't a list of palettes, or is empty."""
    if len(data) > MAX_LIST_BYTES:
        raise InputError(f"A list of palettes may have {MAX_LIST_BYTES // 1024} kB.", field="file")
    root = parse_any_json(decode_text(data))
    if not isinstance(root, dict):
        raise InputError("This isn’t a list of palettes: it isn’t a JSON object.", field="file")
    if root.get("format") == MARK:
        found = _own_entries(root)
    elif "format" in root and "palettes" not in root:
        raise InputError(
            f"This file is a “{str(root['format'])[:40]}”, not a list of palettes.", field="file"
        )
    else:
        found = _token_groups(root)
    return _gathered(found)


def write_palettes(
    palettes: Iterable[ReadyPalette], beside: Callable[[ReadyPalette], dict[str, Any]] | None = None
) -> bytes:
    """Return palettes in Tonada's own format, one to a line. beside: what else to say of each."""
    entries = ({**_entry(palette), **(beside(palette) if beside else {})} for palette in palettes)
    lines = ",\n    ".join(json.dumps(entry, ensure_ascii=False) for entry in entries)
    return (
        f'{{\n  "format": "{MARK}",\n  "version": {VERSION},\n  "palettes": [\n    {lines}\n  ]\n}}\n'
    ).encode()


def write_palette_tokens(palettes: Iterable[ReadyPalette]) -> bytes:
    """Return palettes as design tokens (DTCG Format Module 2025.10), a group for each."""
    root: dict[str, Json] = {}
    for palette in palettes:
        name = _group_name(palette.name, root)
        group: dict[str, Json] = {"$type": "color"}
        if palette.tags:
            group["$extensions"] = {TAGS_KEY: list(palette.tags)}
        root[name] = group | {str(color.role): {"$value": _components(color.hex)} for color in palette.colors}
    return (json.dumps(root, ensure_ascii=False, indent=2) + "\n").encode()


def tags_from(values: Iterable[object]) -> tuple[str, ...]:
    """Return tags in one line each, none twice. Raises InputError for too many or too long ones."""
    tags = dict.fromkeys(one_line(str(value)).strip() for value in values)
    kept = tuple(tag for tag in tags if tag)
    if len(kept) > MAX_PALETTE_TAGS or any(len(tag) > MAX_TAG_LENGTH for tag in kept):
        raise InputError(
            f"A palette has at most {MAX_PALETTE_TAGS} tags of {MAX_TAG_LENGTH} characters.", field="tags"
        )
    return kept


def _entry(palette: ReadyPalette) -> dict[str, Json]:
    entry: dict[str, Json] = {
        "name": palette.name,
        "colors": {str(color.role): color.hex for color in palette.colors},
    }
    for key, words in (("moods", palette.moods), ("trades", palette.trades), ("tags", palette.tags)):
        if words:
            entry[key] = list(words)
    return entry


def _own_entries(root: dict[str, Json]) -> Iterator[tuple[str, ReadyPalette | str]]:
    if root.get("version") != VERSION:
        raise InputError(f"This list is of a version that isn’t known here; {VERSION} is.", field="file")
    entries = root.get("palettes")
    if not isinstance(entries, list):
        raise InputError("“palettes” isn’t a list.", field="file")
    for number, entry in enumerate(entries, 1):
        try:
            yield f"Palette {number}", _palette_from(entry)
        except InputError as reason:
            yield f"Palette {number}", str(reason)


def _palette_from(entry: Json) -> ReadyPalette:
    written = entry.get("colors") if isinstance(entry, dict) else None
    if not isinstance(entry, dict) or not isinstance(written, dict):
        raise InputError("it has no “colors” by role.", field="file")
    colors = checked_colors({_role(role): _hex(role, value) for role, value in written.items()})
    return ReadyPalette(
        id="",
        name=plain_name(str(entry.get("name") or "")) or "",
        colors=colors,
        traits=traits_of(colors),
        moods=_known(entry.get("moods"), WORDS),
        trades=_known(entry.get("trades"), FIELDS),
        tags=tags_from(_list(entry.get("tags"))),
    )


def _role(key: str) -> Role:
    if key not in set(PALETTE_ROLES):
        raise InputError(f"“{key[:40]}” isn’t a role of a palette: {', '.join(PALETTE_ROLES)}.", field="file")
    return Role(key)


def _hex(role: str, value: Json) -> Hex:
    if not isinstance(value, str):
        raise InputError(f"the colour of {role} isn’t text.", field="file")
    try:
        read = read_color(value)
    except ColorError as reason:
        raise InputError(f"{role}: {reason}", field="file") from reason
    if read.alpha < 1:
        raise InputError(f"{role} is translucent; a palette’s colours are opaque.", field="file")
    return read.hex


def _list(value: Json) -> list[Json]:
    return value if isinstance(value, list) else []


def _known(value: Json, words: Mapping[str, object]) -> tuple[str, ...]:
    return tuple(dict.fromkeys(entry for entry in _list(value) if isinstance(entry, str) and entry in words))


def _token_groups(root: dict[str, Json]) -> Iterator[tuple[str, ReadyPalette | str]]:
    groups: dict[str, dict[str, Json]] = {
        key: value
        for key, value in root.items()
        if isinstance(value, dict) and "$value" not in value and not key.startswith("$")
    }
    # Tokens at the top are one palette.
    for key in groups or (None,):
        group = groups[key] if key is not None else root
        try:
            colors = checked_colors(_roles_of(read_token_object(root, key)))
            extensions = group.get("$extensions")
            tags = tags_from(_list(extensions.get(TAGS_KEY)) if isinstance(extensions, dict) else [])
            yield "", ReadyPalette("", plain_name(key) or "", colors, traits_of(colors), tags=tags)
        except InputError as reason:
            if key is None:
                raise InputError(f"No palette was found in the file. {reason}", field="file") from reason
            yield f"“{key[:40]}”", str(reason)
    if groups and any(isinstance(value, dict) and "$value" in value for value in root.values()):
        yield "What stands outside of the groups", "each group is a palette."


def _roles_of(found: ColorList) -> dict[Role, Hex]:
    """Return colours by the roles that their names say; where no name does, the first ones lead."""
    named = {color.role: color.hex for color in found.colors if color.role in set(PALETTE_ROLES)}
    if Role.PRIMARY in named:
        return {role: value for role, value in named.items() if role is not None}
    return dict(zip(BRAND, (color.hex for color in found.colors), strict=False))


def _gathered(found: Iterator[tuple[str, ReadyPalette | str]]) -> PaletteFile:
    palettes: list[ReadyPalette] = []
    skipped: list[str] = []
    for number, (where, one) in enumerate(found):
        if number >= MAX_FILE_PALETTES:
            raise InputError(f"A list may hold {MAX_FILE_PALETTES:,} palettes.", field="file")
        if isinstance(one, str):
            skipped.append(f"{where} was left out: {one}"[:300])
        else:
            palettes.append(one)
    if not palettes:
        why = f" {skipped[0]}" if skipped else ""
        raise InputError(f"No palette was found in the file.{why}", field="file")
    if len(skipped) > _MOST_SAID:
        more = len(skipped) - _MOST_SAID
        skipped = [*skipped[:_MOST_SAID], f"{more} more were left out."]
    return PaletteFile(tuple(palettes), tuple(skipped))


def _group_name(name: str, taken: Mapping[str, object]) -> str:
    """Return a name that no other group has, without what the format forbids in it: $, { } and dots."""
    plain = "".join(" " if character in "{}." else character for character in name).lstrip("$ ").strip()
    plain = plain or "Palette"
    if plain not in taken:
        return plain
    return next(f"{plain} {n}" for n in range(2, len(taken) + 3) if f"{plain} {n}" not in taken)


def _components(value: Hex) -> Json:
    channels: list[Json] = [round(int(channel) / 255, 6) for channel in hex_to_srgb8(value)]
    return {"colorSpace": "srgb", "components": channels, "hex": value}
