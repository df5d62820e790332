"""What draws the sample pages: a script, a stylesheet and fonts of the built front end, kept with a review.

A review that was made with them is drawn with them for good: a later Tonada may have other pages.
"""

from __future__ import annotations

import hashlib
import re
from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path
from typing import Final

from tonada.core.errors import TonadaError

SCRIPT: Final = "pages.js"
STYLE: Final = "pages.css"
_TYPES: Final = {
    ".js": "text/javascript",
    ".css": "text/css",
    ".woff2": "font/woff2",
}


class NotBuilt(TonadaError):
    """The front end is not built, so that there is nothing to show a client."""

    def __init__(self) -> None:
        super().__init__("The sample pages are not built yet. Run: make setup")


@dataclass(frozen=True, slots=True)
class ReviewFile:
    """A file that a review shows, or that draws its pages. digest: SHA-256 of the content, in hex."""

    digest: str
    mimetype: str
    content: bytes


@dataclass(frozen=True, slots=True)
class PageSet:
    """All that draws the pages, by name; digest: SHA-256 of names and contents, in hex."""

    digest: str
    files: Mapping[str, ReviewFile]

    @property
    def names(self) -> dict[str, str]:
        """The digest of each file by its name: what is kept with a review."""
        return {name: one.digest for name, one in self.files.items()}


def review_file_of(content: bytes, mimetype: str) -> ReviewFile:
    """Return a file under its digest."""
    return ReviewFile(hashlib.sha256(content).hexdigest(), mimetype, content)


def page_set_in(folder: Path) -> PageSet:
    """Return the set that the front end was built with. folder: of the build.

    Raises NotBuilt where there is none.
    """
    if not (folder / "pages" / SCRIPT).is_file():
        raise NotBuilt
    return _read(folder / "pages", (folder / "pages" / SCRIPT).stat().st_mtime_ns)


@lru_cache(maxsize=4)
def _read(folder: Path, _changed: int) -> PageSet:
    found: dict[str, ReviewFile] = {}
    for path in sorted(folder.iterdir()):
        if path.suffix in _TYPES:
            found[path.name] = review_file_of(path.read_bytes(), _TYPES[path.suffix])
    whole = hashlib.sha256("\n".join(f"{name} {one.digest}" for name, one in found.items()).encode())
    return PageSet(whole.hexdigest(), found)


_FACE: Final = re.compile(r"@font-face\s*{[^}]*}")
_FAMILY: Final = re.compile(r"font-family:\s*[\"']?([^\"';}]+)")
_ADDRESS: Final = re.compile(r"url\(\s*[\"']?([^\"')]+?)[\"']?\s*\)")


def style_with(style: str, families: frozenset[str], data: Mapping[str, str]) -> str:
    """Return a stylesheet for one file: its fonts as data, those of other families left out.

    families: such as “Karla Variable”. data: the data address of each file by its name.
    """

    def face(found: re.Match[str]) -> str:
        family = _FAMILY.search(found[0])
        if family is None or family[1].strip() not in families:
            return ""
        return _ADDRESS.sub(lambda one: f'url("{data.get(one[1].rpartition("/")[2], "")}")', found[0])

    return _FACE.sub(face, style)
