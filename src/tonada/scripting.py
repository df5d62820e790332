"""What `import tonada` offers to scripts: read, build, evaluate, mend, check, export … See docs/python.md.

Names here keep their meaning as semantic versions have it: what a script relies on changes with the first
number alone (before 1.0, with the second). Everything else in the package may change at any time.
"""

from __future__ import annotations

from collections.abc import Iterable
from pathlib import Path
from typing import TypeAlias

from tonada.core.color.contrast import ratio_between
from tonada.core.color.notation import parse_color
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import Level, Usage
from tonada.core.errors import InputError, TonadaError
from tonada.core.formats.convert import write_list
from tonada.core.formats.detect import is_own_file, read_list
from tonada.core.formats.listed import ColorList
from tonada.core.formats.sheet import Options
from tonada.core.gate.check import CheckedPair, check_files, check_take
from tonada.core.handoff.changes import ChangeLine, changes_between
from tonada.core.mends.all_pairs import MendedTake, mend_all
from tonada.core.pairs.evaluation import Evaluation
from tonada.core.pairs.evaluation import evaluate as evaluation_of
from tonada.core.roles.build import build_take
from tonada.core.roles.candidates import WHOLES, SourceColor, candidates_of
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.starts import start_named
from tonada.core.take.take import Take
from tonada.document.own_file import OwnFile, read_own, write_own
from tonada.files.client_sheet import ExportHeader
from tonada.files.file_format import Handoff
from tonada.files.kinds import FILE_FORMATS, make_file
from tonada.files.press_profile import usual_press

__all__ = [
    "FILE_FORMATS", "ChangeLine", "CheckedPair", "ColorList", "Evaluation", "InputError", "Level",
    "MendedTake", "Options", "Take", "TonadaError", "Usage", "build", "changes", "check", "contrast",
    "convert", "evaluate", "export", "load", "mend", "read", "save",
]  # fmt: skip

Source: TypeAlias = str | Path | bytes


def contrast(text: str, ground: str) -> float:
    """Return the contrast ratio of two opaque colours in any CSS notation, exact, 1 to 21. Source: WCAG 2.2.

    Raises InputError for what is no colour, or translucent.
    """
    return ratio_between(_opaque(text, "text"), _opaque(ground, "ground"))


def read(source: Source, name: str = "") -> ColorList:
    """Return the colours of a list: a path, or the content as text or bytes with the name of its file.

    Raises InputError where no colour is found; OSError for a path that can't be read.
    """
    data, found = _content(source)
    return read_list(data, name or found)


def build(colors: Iterable[str], *, start: str | None = None) -> Take:
    """Return the take that is proposed for a brand's colours, the leading one first: roles, night, pairs.

    start: how an accent is made that no given colour can be: calm, lively or contrasting.

    Raises InputError for what is no colour, where there is none, and for an unknown start.
    """
    typed = tuple(SourceColor(_opaque(color, "colors")) for color in colors)
    if not typed:
        raise InputError("Give at least one colour.", field="colors")
    candidates = candidates_of("list", typed).candidates
    proposal = propose_roles(candidates, WHOLES["list"], start=start_named(start) if start else None)
    return build_take(candidates, proposal, source=None, source_name="a list")


def load(source: Source) -> Take:
    """Return the take in a file of Tonada's own, by its path or content. Raises InputError, OSError."""
    return read_own(_content(source)[0]).take


def save(take: Take, path: str | Path, *, brand: str = "", name: str = "") -> None:
    """Write a take into a file of Tonada's own, `.tonada.json`: the same take gives the same bytes."""
    Path(path).write_bytes(write_own(OwnFile(take, brand, name)).encode())


def evaluate(take: Take) -> Evaluation:
    """Return the figures of a take in the scheme that is in front: every swatch, every pair, the counts.

    `evaluate(take.turned())` are those of the other scheme.
    """
    return evaluation_of(take)


def mend(take: Take) -> MendedTake:
    """Return a take in which all pairs pass that can, changed as little as possible, and what was changed.

    In the scheme that is in front. Held colours stay.
    """
    return mend_all(take)


def check(*sources: Source | Take, level: Level | None = None) -> tuple[CheckedPair, ...]:
    """Return the pairs of takes, token files, stylesheets and pages, each held to a level.

    level: None for what a file says, else AA. Custom properties of one file hold in the others. Raises
    InputError for files without a pair, or with broken ones.
    """
    takes, files = [], []
    for number, source in enumerate(sources, 1):
        if isinstance(source, Take):
            takes.append(source)
            continue
        data, name = _content(source)
        if is_own_file(data):
            takes.append(read_own(data).take)
        else:
            files.append((name or f"source {number}", data))
    found = [pair for take in takes for pair in check_take(take)]
    return (*found, *(check_files(files, level) if files else ()))


def convert(source: Source, to: str, name: str = "") -> str:
    """Return a list of colours in another format, such as `css` or `tokens`. Raises InputError."""
    return write_list(read(source, name), to)


def export(
    take: Take, kind: str, options: Options | None = None, *, brand: str = "", name: str = ""
) -> bytes:
    """Return a take as a file: one of FILE_FORMATS, such as `css`, `tokens`, `pdf` or `pptx`.

    Raises InputError for an unknown kind.
    """
    head = ExportHeader(brand, name, "")
    return make_file(Handoff(take, head, usual_press(), options or Options()), kind)


def changes(before: Take, after: Take) -> tuple[ChangeLine, ...]:
    """Return what changed between two takes, over everything they hold; () where they are the same."""
    return changes_between(before, after)


def _opaque(text: str, field: str) -> Hex:
    value, alpha = parse_color(text, field=field)
    if alpha < 1:
        raise InputError(f"“{text[:40]}” is translucent; a colour here is opaque.", field=field)
    return value


def _content(source: Source) -> tuple[bytes, str]:
    """Return the bytes of a source and the name of its file. Text with a line break or bracket is content."""
    if isinstance(source, bytes):
        return source, ""
    if isinstance(source, str) and any(mark in source for mark in "\n{<#"):
        return source.encode(), ""
    path = Path(source)
    return path.read_bytes(), path.name
