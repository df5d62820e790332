"""What a source keeps of what was found: the core's results as JSON."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Any

from tonada.core.color.naming import color_name, unused_name
from tonada.core.formats import ColorList
from tonada.core.harmony.character import CHARACTERS
from tonada.core.limits import MAX_LIST_WARNINGS
from tonada.core.source.kept import VERSION
from tonada.core.source.mood import read_mood
from tonada.core.source.notes import Note
from tonada.core.source.pictures import Extraction, FoundColor
from tonada.core.source.stylesheets import StylesheetReading, group_uses
from tonada.core.source.stylesheets.groups import USUAL_DIFFERENCE


def image_to_json(extraction: Extraction, names: dict[str, str] | None = None) -> dict[str, Any]:
    """Return what a source keeps of an image's reading; names go before the systematic ones."""
    return {
        "version": VERSION,
        "format": extraction.format,
        "kind": extraction.kind,
        "exact": extraction.exact,
        "width": extraction.width,
        "height": extraction.height,
        "ground": extraction.ground,
        "count": extraction.count,
        "steps": [_step(step, names or {}) for step in extraction.steps],
        "notes": notes_to_json(extraction.notes),
    }


def _step(step: tuple[FoundColor, ...], names: dict[str, str]) -> list[dict[str, Any]]:
    """Return one step; colours that would have the same name are numbered."""
    taken: set[str] = set()
    found = []
    for color in step:
        name = unused_name(names.get(color.hex) or color_name(color.hex), taken)
        taken.add(name)
        found.append(
            {
                "hex": color.hex,
                "name": name,
                "share": color.share,
                "ground_share": color.ground_share,
                "is_stop": color.is_stop,
            }
        )
    return found


def notes_to_json(notes: Iterable[Note]) -> list[dict[str, Any]]:
    """Return the first notes, and a last one that counts the others."""
    listed = list(notes)
    shown = [note._asdict() for note in listed[:MAX_LIST_WARNINGS]]
    if len(listed) > MAX_LIST_WARNINGS:
        beyond = len(listed) - MAX_LIST_WARNINGS
        more = Note(listed[MAX_LIST_WARNINGS].kind, "", f"{beyond:,} more of these", beyond)
        shown.append(more._asdict())
    return shown


def list_to_json(found: ColorList) -> dict[str, Any]:
    """Return what a source keeps of a list; every colour gets a name."""
    taken: set[str] = set()
    colors = []
    for color in found.colors:
        name = unused_name(color.name or color_name(color.hex), taken)
        taken.add(name)
        colors.append({"hex": color.hex, "name": name, "role": color.role})
    warnings = [
        {"line": warning.line, "text": warning.text, "kind": warning.kind, "times": warning.times}
        for warning in found.warnings
    ]
    return {
        "version": VERSION,
        "format": found.format,
        "title": found.title,
        "colors": colors,
        "warnings": warnings,
    }


def stylesheet_to_json(
    reading: StylesheetReading, files: tuple[str, ...], difference: float | None
) -> dict[str, Any]:
    """Return what a source keeps of stylesheets, with near-twins grouped."""
    difference = USUAL_DIFFERENCE if difference is None else difference
    groups = group_uses(reading.uses, difference)
    return {
        "version": VERSION,
        "files": list(files),
        "rules": reading.rules,
        "variables": reading.variables,
        "page_ground": reading.page_ground,
        "difference": difference,
        "uses": [
            {
                "hex": use.hex,
                "text": use.text,
                "ground": use.ground,
                "border": use.border,
                "other": use.other,
                "translucent": _translucent(use.translucent),
            }
            for use in reading.uses
        ],
        "groups": [
            {
                "hex": group.hex,
                "name": color_name(group.hex),
                "members": list(group.members),
                "count": group.count,
            }
            for group in groups
        ],
        "pairs": [
            {
                "text": pair.text,
                "ground": pair.ground,
                "selector": pair.selector,
                "count": pair.count,
                "ratio": pair.ratio,
            }
            for pair in reading.pairs
        ],
        "notes": notes_to_json(reading.notes),
    }


def _translucent(found: Iterable[tuple[str, float]]) -> list[str]:
    return list(dict.fromkeys(f"{value} at {alpha * 100:.0f}%" for value, alpha in found))


def mood_to_json(words: tuple[str, ...], field: str | None) -> dict[str, Any]:
    """Return what a source keeps of a mood. Raises InputError for unknown words."""
    reading = read_mood(words, field)
    return {
        "version": VERSION,
        "words": list(reading.words),
        "field": reading.field,
        "characters": [{"name": name, "says": CHARACTERS[name].says} for name in reading.characters],
        "conventions": list(reading.conventions),
        "differs": list(reading.differs),
        "starting_colors": [
            {
                "hex": color.hex,
                "name": color.name,
                "family": color.family,
                "weight": color.weight,
                "words": list(color.words),
            }
            for color in reading.starting_colors
        ],
    }
