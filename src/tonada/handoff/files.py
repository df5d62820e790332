"""Every file that a version is handed off as, by name."""

from __future__ import annotations

import io
import zipfile
from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

import resvg_py

from tonada.core.color.press import Press
from tonada.core.errors import InputError
from tonada.core.formats.convert import TEXT_FORMATS
from tonada.core.formats.naming import words_of
from tonada.core.formats.sheet import USUAL_OPTIONS, Options, sheet_of
from tonada.core.formats.tokens_writing import write_tokens
from tonada.core.take.take import Take
from tonada.document.own_file import write_own
from tonada.handoff.client_sheet import (
    ALL_PAGES,
    FIRST_PAGE,
    FONTS,
    ExportHeader,
    Paper,
    SheetPages,
    html_sheet,
    pdf_sheet,
)

FileKind: TypeAlias = Literal[
    "css",
    "scss",
    "less",
    "tailwind",
    "tokens",
    "modes",
    "office",
    "tonada",
    "json",
    "csv",
    "gpl",
    "svg",
    "png",
    "html",
    "pdf",
    "zip",
]
# A PNG of a few swatches is drawn at twice the size of the SVG; of very many, at its size.
PNG_ZOOM: Final = 2.0
MOST_ZOOMED: Final = 80
# All files of an archive have this date: the same version gives the same bytes.
_NO_DATE: Final = (2026, 1, 1, 0, 0, 0)


@dataclass(frozen=True, slots=True)
class FileFormat:
    """name: for people. options: whether naming, notation and the choice of parts count for it."""

    name: str
    ending: str
    mimetype: str
    is_text: bool
    options: bool
    note: str


FILE_FORMATS: Final[Mapping[FileKind, FileFormat]] = {
    "css": FileFormat("CSS custom properties", ".css", "text/css", True, True, "light and dark"),
    "scss": FileFormat("SCSS variables", ".scss", "text/x-scss", True, True, "for Sass"),
    "less": FileFormat("Less variables", ".less", "text/x-less", True, True, "for the Less compiler"),
    "tailwind": FileFormat("Tailwind theme", ".theme.css", "text/css", True, True, "for Tailwind CSS 4"),
    "tokens": FileFormat(
        "Design tokens", ".tokens.json", "application/json", True, True, "DTCG 2025.10, with pairs"
    ),
    "modes": FileFormat(
        "Design tokens by mode", ".modes.zip", "application/zip", False, True, "a file for each scheme"
    ),
    "office": FileFormat(
        "Office colour theme", ".theme.xml", "application/xml", True, False, "twelve slots, ECMA-376"
    ),
    "tonada": FileFormat(
        "Tonada’s own file", ".tonada.json", "application/json", True, False, "the whole take"
    ),
    "json": FileFormat("Plain JSON", ".json", "application/json", True, True, "a list of colours"),
    "csv": FileFormat("CSV", ".csv", "text/csv", True, True, "for a spreadsheet"),
    "gpl": FileFormat("GPL palette", ".gpl", "text/plain", True, True, "for drawing programs"),
    "svg": FileFormat("SVG swatches", ".svg", "image/svg+xml", True, True, "editable, text as text"),
    "png": FileFormat("PNG swatches", ".png", "image/png", False, True, "a picture"),
    "html": FileFormat("HTML sheet", ".html", "text/html", True, False, "one file, prints well"),
    "pdf": FileFormat("PDF sheet", ".pdf", "application/pdf", False, False, "for the client"),
    "zip": FileFormat("Everything", ".zip", "application/zip", False, True, "all files in an archive"),
}
_IN_ARCHIVE: Final = tuple(kind for kind in FILE_FORMATS if kind != "zip")


@dataclass(frozen=True, slots=True)
class Handoff:
    """A version with all that its files say of it."""

    take: Take
    head: ExportHeader
    press: Press | None = None
    options: Options = USUAL_OPTIONS
    paper: Paper = "A4"
    pages: SheetPages = FIRST_PAGE


def make_file(handoff: Handoff, kind: FileKind) -> bytes:
    """Return the content of a file. Raises InputError for an unknown kind."""
    if kind == "zip":
        return _archive(handoff)
    if kind == "modes":
        return _modes(handoff)
    if kind == "png":
        return _png(_text(handoff, "svg"))
    if kind == "pdf":
        return pdf_sheet(handoff.take, handoff.head, handoff.press, handoff.paper, handoff.pages)
    return _text(handoff, kind).encode()


def file_name(handoff: Handoff, kind: FileKind) -> str:
    """Return a plain name of ASCII letters, such as orrin-peak-take-1.css."""
    words = words_of(f"{handoff.head.brand} {handoff.head.take}")
    return f"{'-'.join(words)}{FILE_FORMATS[kind].ending}"


def _text(handoff: Handoff, kind: FileKind) -> str:
    take, head = handoff.take, handoff.head
    if kind == "tonada":
        return write_own(take, f"{head.brand}, {head.take}", head.origin)
    if kind == "html":
        return html_sheet(take, head, handoff.press, handoff.pages)
    text_format = TEXT_FORMATS.get(kind)
    if text_format is None:
        raise InputError(f"A file is one of: {', '.join(FILE_FORMATS)}.", field="kind")
    sheet = sheet_of(take, handoff.options, title=f"{head.brand}, {head.take}", origin=head.origin)
    return text_format.write(sheet, handoff.options)


def _modes(handoff: Handoff) -> bytes:
    """Return the tokens of each scheme in a file of its own, with the same names in both."""
    head = handoff.head
    sheet = sheet_of(handoff.take, handoff.options, title=f"{head.brand}, {head.take}", origin=head.origin)
    schemes = {
        "day": replace(sheet, night=(), night_pairs=()),
        "night": replace(sheet, day=sheet.night, night=(), pairs=sheet.night_pairs, night_pairs=()),
    }
    files = {
        f"{name}.tokens.json": write_tokens(one, handoff.options).encode()
        for name, one in schemes.items()
        if one.day
    }
    return zipped(files)


def _png(svg: str) -> bytes:
    fonts = [str(FONTS / name) for name in _font_files()]
    zoom = PNG_ZOOM if svg.count("<rect") <= MOST_ZOOMED else 1.0
    return bytes(
        resvg_py.svg_to_bytes(
            svg_string=svg, zoom=zoom, background="#ffffff", skip_system_fonts=True, font_files=fonts
        )
    )


def _font_files() -> list[str]:
    return sorted(one.name for one in FONTS.iterdir() if one.name.endswith(".ttf"))


def _archive(handoff: Handoff) -> bytes:
    files: dict[str, bytes] = {}
    for kind in _IN_ARCHIVE:
        # Files of the archive say all there is; a picture of hundreds of swatches is of no use.
        all_of_it = kind != "png"
        options = replace(handoff.options, steps=all_of_it, grounds=all_of_it, night=True)
        files[file_name(handoff, kind)] = make_file(replace(handoff, options=options, pages=ALL_PAGES), kind)
    return zipped(files)


def zipped(files: Mapping[str, bytes]) -> bytes:
    """Return an archive of files, the same bytes every time."""
    made = io.BytesIO()
    with zipfile.ZipFile(made, "w", zipfile.ZIP_DEFLATED) as archive:
        for name, content in files.items():
            entry = zipfile.ZipInfo(name, _NO_DATE)
            entry.compress_type = zipfile.ZIP_DEFLATED
            archive.writestr(entry, content)
    return made.getvalue()
