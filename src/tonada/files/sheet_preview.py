"""What the client's sheet looks like: the pages of the PDF itself, drawn as pictures."""

from __future__ import annotations

import base64
import io
from dataclasses import dataclass
from threading import Lock
from typing import TYPE_CHECKING, Final

if TYPE_CHECKING:
    from pypdfium2 import PdfPage

# Dots for each point of the page: sharp at the size of the preview.
SCALE: Final = 1.6
MOST_PAGES: Final = 12
# Pixels: sharp at the width of a mail on a fine screen.
FRONT: Final = 1024
# PDFium is not made for several threads of one process.
_ONE_AT_A_TIME: Final = Lock()


@dataclass(frozen=True, slots=True)
class Preview:
    """pages: PNG as data addresses, at most MOST_PAGES. count: how many the PDF has. size: its bytes."""

    pages: tuple[str, ...]
    count: int
    size: int


def preview_of(pdf: bytes) -> Preview:
    """Return the pages of a PDF that was made here."""
    # Asked for when a sheet is looked at: a start needn't wait for it.
    import pypdfium2

    with _ONE_AT_A_TIME:
        document = pypdfium2.PdfDocument(pdf)
        try:
            count = len(document)
            pages = tuple(_drawn(document[number]) for number in range(min(count, MOST_PAGES)))
        finally:
            document.close()
    return Preview(pages, count, len(pdf))


def front_of(pdf: bytes) -> bytes:
    """Return the first page of a PDF that was made here as a small PNG, FRONT pixels wide, for a mail."""
    import pypdfium2

    with _ONE_AT_A_TIME:
        document = pypdfium2.PdfDocument(pdf)
        try:
            page = document[0]
            drawn = page.render(scale=FRONT / page.get_width()).to_pil()
        finally:
            document.close()
    made = io.BytesIO()
    # A few flat colours and thin letters: 128 are as good as all, and a third of the bytes.
    drawn.quantize(128).save(made, "PNG", optimize=True)
    return made.getvalue()


def _drawn(page: PdfPage) -> str:
    made = io.BytesIO()
    page.render(scale=SCALE).to_pil().save(made, "PNG")
    return f"data:image/png;base64,{base64.b64encode(made.getvalue()).decode()}"
