"""What changed, as a text for a message, and in Markdown for a changelog or a ticket."""

from __future__ import annotations

from collections.abc import Iterable
from itertools import groupby

from tonada.core.handoff.changes import ChangeLine

NOTHING = "Nothing changed."


def changes_text(lines: Iterable[ChangeLine]) -> str:
    """Return a line for each change under the heading of its section; a sentence where there is none."""
    parts = [
        "\n".join([section, *(f"- {_what(line)}: {line.before} → {line.after}" for line in group)])
        for section, group in groupby(lines, key=lambda line: line.section)
    ]
    return "\n\n".join(parts or [NOTHING]) + "\n"


def changes_markdown(lines: Iterable[ChangeLine], title: str) -> str:
    """Return a table for each section (GitHub Flavored Markdown). title: such as of two versions."""
    parts = [f"# {_plain(title)}"]
    for section, group in groupby(lines, key=lambda line: line.section):
        rows = [f"| {_plain(_what(line))} | {_plain(line.before)} | {_plain(line.after)} |" for line in group]
        parts.append("\n".join([f"## {section}", "", "| | Before | After |", "| --- | --- | --- |", *rows]))
    if len(parts) == 1:
        parts.append(NOTHING)
    return "\n\n".join(parts) + "\n"


def _what(line: ChangeLine) -> str:
    """Return what changed: its name, that in files, and the scheme where it is so in one alone."""
    named = f"{line.label} ({line.token})" if line.token else line.label
    return f"{named}, by {line.scheme}" if line.scheme in ("day", "night") else named


def _plain(text: str) -> str:
    """Return text that means nothing in Markdown or HTML."""
    flat = " ".join(text.split()).replace("\\", "\\\\")
    for mark in "|`*_<>[]#":
        flat = flat.replace(mark, f"\\{mark}")
    return flat
