"""Tonada's own file: the whole take."""

from __future__ import annotations

from typing import Final

from tonada.core.formats import own_list
from tonada.document.own_file import OwnFile, write_own
from tonada.files.file_format import FileFormat, Handoff


def make_own(handoff: Handoff) -> bytes:
    """Return the take with its names and where it comes from."""
    head = handoff.head
    own = OwnFile(handoff.take, head.brand, head.take, head.origin, handoff.pictures)
    return write_own(own).encode()


FORMAT: Final = FileFormat(
    kind=own_list.FORMAT.kind,
    name=own_list.FORMAT.name,
    note="the whole take",
    ending=".tonada.json",
    mimetype="application/json",
    make=make_own,
    is_text=True,
)
