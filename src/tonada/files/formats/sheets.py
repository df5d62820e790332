"""The client's sheet, as a page and as a PDF."""

from __future__ import annotations

from typing import Final

from tonada.files.client_sheet import html_sheet, pdf_sheet
from tonada.files.file_format import FileFormat, Handoff


def make_html(handoff: Handoff) -> bytes:
    """Return the sheet as one file of HTML."""
    return html_sheet(handoff.take, handoff.head, handoff.press, handoff.pages).encode()


def make_pdf(handoff: Handoff) -> bytes:
    """Return the sheet as a PDF on the chosen paper."""
    return pdf_sheet(handoff.take, handoff.head, handoff.press, handoff.paper, handoff.pages)


HTML: Final = FileFormat(
    kind="html",
    name="HTML sheet",
    note="one file, prints well",
    ending=".html",
    mimetype="text/html",
    make=make_html,
    is_text=True,
)
PDF: Final = FileFormat(
    kind="pdf",
    name="PDF sheet",
    note="for the client",
    ending=".pdf",
    mimetype="application/pdf",
    make=make_pdf,
)
