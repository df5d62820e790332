"""What the ending of a file's name says of it; everything else is read as a picture."""

from __future__ import annotations

from typing import Final

STYLE_ENDINGS: Final = (".css", ".html", ".htm", ".xhtml")
LIST_ENDINGS: Final = (
    *(".scss", ".sass", ".less"),
    *(".xml", ".json", ".json5", ".jsonc", ".tokens", ".gpl", ".csv", ".tsv", ".txt", ".md"),
)
