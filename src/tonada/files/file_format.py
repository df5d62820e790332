"""What a file of a version is, and what it is made from."""

from __future__ import annotations

import io
import zipfile
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Final

from tonada.core.color.press import Press
from tonada.core.formats.naming import words_of
from tonada.core.formats.sheet import USUAL_OPTIONS, Options, Sheet
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.take.take import Take
from tonada.document.own_file import NamedPicture
from tonada.files.client_sheet import FIRST_PAGE, ExportHeader, Paper, SheetPages

# All files of an archive have this date: the same version gives the same bytes.
_NO_DATE: Final = (2026, 1, 1, 0, 0, 0)


@dataclass(frozen=True, slots=True)
class Handoff:
    """A version with all that its files say of it. pictures: those that the take names."""

    take: Take
    head: ExportHeader
    press: Press | None = None
    options: Options = USUAL_OPTIONS
    paper: Paper = "A4"
    pages: SheetPages = FIRST_PAGE
    pictures: tuple[NamedPicture, ...] = ()

    @property
    def title(self) -> str:
        return ", ".join(part for part in (self.head.brand, self.head.take) if part)

    def sheet(self) -> Sheet:
        """Return the values of the take, as the options want them."""
        return sheet_of(self.take, self.options, title=self.title, origin=self.head.origin)

    def file_name(self, ending: str) -> str:
        """Return a plain name of ASCII letters, such as orrin-peak-take-1.css."""
        return f"{'-'.join(words_of(f'{self.head.brand} {self.head.take}'))}{ending}"


@dataclass(frozen=True, slots=True, kw_only=True)
class FileFormat:
    """A kind of file. name, note: for people. make: its content.

    is_text: whether it can be shown as text. options: whether names, notation and parts are chosen for it.
    texts: whether it may hold what reads on each ground.
    """

    kind: str
    name: str
    note: str
    ending: str
    mimetype: str
    make: Callable[[Handoff], bytes]
    is_text: bool = False
    options: bool = False
    texts: bool = False


def zipped(files: Mapping[str, bytes]) -> bytes:
    """Return an archive of files, the same bytes every time."""
    made = io.BytesIO()
    with zipfile.ZipFile(made, "w", zipfile.ZIP_DEFLATED) as archive:
        for name, content in files.items():
            entry = zipfile.ZipInfo(name, _NO_DATE)
            entry.compress_type = zipfile.ZIP_DEFLATED
            archive.writestr(entry, content)
    return made.getvalue()
