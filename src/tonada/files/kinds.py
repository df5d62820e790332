"""Every file that a version is handed off as, by its kind.

A new one is a module of `core/formats` or `handoff/formats`, and a line in the registry there or here.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Final

from tonada.core.errors import InputError
from tonada.core.formats.format import Format, Writing
from tonada.core.formats.registry import FORMATS
from tonada.files.client_sheet import ALL_PAGES
from tonada.files.file_format import FileFormat, Handoff, zipped
from tonada.files.formats import icons, modes, own, png, sheets, slides


def _of_text(text_format: Format, writing: Writing) -> FileFormat:
    """Return a format of colours as a kind of file."""
    return FileFormat(
        kind=text_format.kind,
        name=text_format.name,
        note=text_format.note,
        ending=writing.ending,
        mimetype=writing.mimetype,
        make=lambda handoff: writing.write(handoff.sheet(), handoff.options).encode(),
        is_text=True,
        options=writing.has_options,
        texts=writing.has_options and writing.holds_texts,
    )


def _archive(handoff: Handoff) -> bytes:
    """Return all other files in one: each says all there is, but for the picture of hundreds of swatches."""
    files: dict[str, bytes] = {}
    for file_format in _IN_ARCHIVE:
        all_of_it = file_format is not png.FORMAT
        options = replace(handoff.options, steps=all_of_it, grounds=all_of_it, night=True)
        whole = replace(handoff, options=options, pages=ALL_PAGES)
        made = made_file(whole, file_format.kind)
        files[made.name] = made.content
    return zipped(files)


# What an archive begins with (PKWARE, APPNOTE, 4.3.7).
ZIP_MARK: Final = b"PK\x03\x04"
_IN_ARCHIVE: Final = (
    *(_of_text(one, one.writing) for one in FORMATS if one.writing),
    icons.FORMAT,
    modes.FORMAT,
    own.FORMAT,
    png.FORMAT,
    sheets.HTML,
    sheets.PDF,
    slides.FORMAT,
)
ARCHIVE: Final = FileFormat(
    kind="zip",
    name="Everything",
    note="all files in an archive",
    ending=".zip",
    mimetype="application/zip",
    make=_archive,
    options=True,
    texts=True,
)
FILE_FORMATS: Final[Mapping[str, FileFormat]] = {entry.kind: entry for entry in (*_IN_ARCHIVE, ARCHIVE)}


def file_format(kind: str) -> FileFormat:
    """Return a kind of file. Raises InputError for an unknown one."""
    if kind not in FILE_FORMATS:
        raise InputError(f"A file is one of: {', '.join(FILE_FORMATS)}.", field="kind")
    return FILE_FORMATS[kind]


def make_file(handoff: Handoff, kind: str) -> bytes:
    """Return the content of a file. Raises InputError for an unknown kind."""
    return file_format(kind).make(handoff)


@dataclass(frozen=True, slots=True)
class MadeFile:
    """A file as it is handed over. Pictures that didn't fit into one are an archive."""

    content: bytes
    name: str
    mimetype: str


def made_file(handoff: Handoff, kind: str) -> MadeFile:
    """Return a file with its plain name. Raises InputError for an unknown kind."""
    wanted = file_format(kind)
    content, name = wanted.make(handoff), handoff.file_name(wanted.ending)
    if content.startswith(ZIP_MARK) and wanted is png.FORMAT:
        return MadeFile(content, f"{name}.zip", ARCHIVE.mimetype)
    return MadeFile(content, name, wanted.mimetype)
