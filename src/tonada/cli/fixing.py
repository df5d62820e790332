"""The part of `tonada check` that writes: failing text colours in files, replaced in place."""

from __future__ import annotations

import os
import tempfile
from collections.abc import Sequence
from pathlib import Path
from typing import TYPE_CHECKING

if TYPE_CHECKING:
    from tonada.core.color.wcag import Level


def fix(names: Sequence[str], level: Level) -> None:
    """Replace failing text colours of stylesheets and pages, and print each.

    Raises InputError for what can't be written: standard input, a take, tokens.
    """
    from tonada.core.formats.detect import decode_text
    from tonada.core.handoff.fix import fix_stylesheets
    from tonada.core.source.stylesheets import StyleFile

    files = []
    for name in names:
        _refuse_what_is_no_stylesheet(name)
        files.append(StyleFile(name, decode_text(Path(name).read_bytes())))
    made, fixes = fix_stylesheets(files, level)
    for before, after in zip(files, made, strict=True):
        if after.text != before.text:
            _write(Path(after.name), after.text)
    for one in fixes:
        print(f"fixed        {one.file}:{one.place.line}:{one.place.column}  {one.old} is {one.new} now")


def _refuse_what_is_no_stylesheet(name: str) -> None:
    from tonada.core.errors import InputError

    if name == "-" or "://" in name:
        raise InputError("Only files can be mended.", field="fix")
    if name.lower().endswith((".json", ".tokens")):
        raise InputError(
            f"{name} is no stylesheet or page. A take is mended in Tonada, where the choice is yours.",
            field="fix",
        )


def _write(path: Path, text: str) -> None:
    """Write a file whole or not at all, with the rights that it had."""
    raw = path.read_bytes()
    mark = b"\xef\xbb\xbf" if raw.startswith(b"\xef\xbb\xbf") else b""
    with tempfile.NamedTemporaryFile("wb", dir=path.parent, prefix=f".{path.name}.", delete=False) as made:
        made.write(mark + text.encode("utf-8"))
    os.chmod(made.name, path.stat().st_mode & 0o777)
    os.replace(made.name, path)
