"""What changed, as a PDF: before and after side by side, each colour beside its value."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import groupby

from tonada.core.handoff.changes import ChangeLine
from tonada.files.client_sheet import page_of, pdf_of


def change_sheet(brand: str, before: str, after: str, lines: Sequence[ChangeLine]) -> bytes:
    """Return the changes between two states, called `before` and `after`, on A4."""
    sections = [(section, list(group)) for section, group in groupby(lines, key=lambda line: line.section)]
    return pdf_of(
        page_of("changes.html", embeds=False, brand=brand, before=before, after=after, sections=sections)
    )
