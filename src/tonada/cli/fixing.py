"""The part of `tonada check` that writes: failing text colours in files, replaced in place."""

from __future__ import annotations

import codecs
import os
import sys
import tempfile
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import TYPE_CHECKING, Final

if TYPE_CHECKING:
    from tonada.core.color.wcag import Level

_MARKS: Final = {
    codecs.BOM_UTF8: "utf-8",
    codecs.BOM_UTF16_LE: "utf-16-le",
    codecs.BOM_UTF16_BE: "utf-16-be",
}


def fix(names: Sequence[str], level: Level, is_ignored: Callable[[str], bool]) -> None:
    """Replace failing text colours of stylesheets and pages, and say each beside the report.

    is_ignored: says of a selector whether its rule is left as it is. Raises InputError for what can't be
    written: standard input, a take, tokens.
    """
    from tonada.core.formats.detect import decode_text
    from tonada.core.gate.fix import fix_stylesheets
    from tonada.core.source.stylesheets import StyleFile

    files = []
    for name in names:
        _refuse_what_is_no_stylesheet(name)
        files.append(StyleFile(name, decode_text(Path(name).read_bytes())))
    made, fixes = fix_stylesheets(files, level, is_ignored)
    for before, after in zip(files, made, strict=True):
        if after.text != before.text:
            _write(Path(after.name), after.text)
    for one in fixes:
        place = f"{one.file}:{one.place.line}:{one.place.column}"
        print(f"fixed        {place}  {one.old} is {one.new} now", file=sys.stderr)


def _refuse_what_is_no_stylesheet(name: str) -> None:
    from tonada.core.errors import InputError

    if name == "-" or "://" in name:
        raise InputError("Only files can be mended.", field="fix")
    if name.lower().endswith((".json", ".tokens")):
        raise InputError(
            f"{name} isn’t a stylesheet or page. A take is mended in Tonada, where the choice is yours.",
            field="fix",
        )


def _write(path: Path, text: str) -> None:
    """Write a file whole or not at all, in the encoding and with the rights that it had."""
    target = path.resolve()
    data = _encoded(text, target.read_bytes())
    descriptor, name = tempfile.mkstemp(dir=target.parent, prefix=f".{target.name}.")
    made = Path(name)
    try:
        with open(descriptor, "wb") as file:
            file.write(data)
        made.chmod(target.stat().st_mode & 0o777)
        os.replace(made, target)
    finally:
        made.unlink(missing_ok=True)


def _encoded(text: str, before: bytes) -> bytes:
    """Return a text with the mark and in the encoding that its file began with; see decode_text."""
    for mark, encoding in _MARKS.items():
        if before.startswith(mark):
            return mark + text.encode(encoding)
    return text.encode("utf-8")
