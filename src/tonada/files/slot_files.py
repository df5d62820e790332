"""A filled slot sheet as a file: CSV for a spreadsheet, JSON for a script, a page to print and tick off."""

from __future__ import annotations

import csv
import io
import json
from collections.abc import Sequence
from typing import Final, Literal, TypeAlias, get_args

from tonada.core.color.contrast import rounded_down
from tonada.core.color.requirements import passes_of
from tonada.core.errors import InputError
from tonada.core.formats.naming import words_of
from tonada.core.formats.table import inert
from tonada.core.handoff.slots import Destination, FilledSlot
from tonada.files.client_sheet import ExportHeader, Paper, page_of, pdf_of

SlotKind: TypeAlias = Literal["csv", "json", "html", "pdf"]
SLOT_KINDS: Final[tuple[SlotKind, ...]] = get_args(SlotKind)
SLOT_TYPES: Final[dict[SlotKind, str]] = {
    "csv": "text/csv",
    "json": "application/json",
    "html": "text/html",
    "pdf": "application/pdf",
}
COLUMNS: Final = ("slot", "purpose", "value", "hex", "colour", "stands_on", "ratio", "needed", "passes")


def slot_file(
    destination: Destination,
    slots: Sequence[FilledSlot],
    head: ExportHeader,
    kind: SlotKind,
    paper: Paper = "A4",
) -> bytes:
    """Return the slots of a destination in a format, in their order. Raises InputError for another kind."""
    if kind == "csv":
        return _csv(slots).encode()
    if kind == "json":
        return _json(destination, slots, head).encode()
    if kind in ("html", "pdf"):
        page = page_of(
            "slots.html",
            embeds=kind == "html",
            paper=paper,
            head=head,
            destination=destination,
            slots=slots,
            cut=rounded_down,
        )
        return page.encode() if kind == "html" else pdf_of(page)
    raise InputError(f"A slot sheet is one of: {', '.join(SLOT_KINDS)}.", field="kind")


def slot_file_name(destination: Destination, head: ExportHeader, kind: SlotKind) -> str:
    """Return a plain name of ASCII letters, such as orrin-peak-take-1-slides.csv."""
    return f"{'-'.join(words_of(f'{head.brand} {head.take} {destination.name}'))}.{kind}"


def _row(slot: FilledSlot) -> dict[str, str | float | bool | None]:
    return {
        "slot": slot.slot.name,
        "purpose": slot.slot.purpose,
        "value": slot.text,
        "hex": slot.hex,
        "colour": slot.name,
        "stands_on": slot.slot.on,
        "ratio": None if slot.ratio is None else float(rounded_down(slot.ratio)),
        "needed": None if slot.ratio is None else slot.slot.needed,
        "passes": None if slot.outcome is None else passes_of(slot.outcome),
    }


def _csv(slots: Sequence[FilledSlot]) -> str:
    made = io.StringIO()
    writer = csv.DictWriter(made, COLUMNS, lineterminator="\n")
    writer.writeheader()
    for slot in slots:
        row = _row(slot)
        writer.writerow(
            {name: inert(value) if isinstance(value, str) else value for name, value in row.items()}
        )
    return made.getvalue()


def _json(destination: Destination, slots: Sequence[FilledSlot], head: ExportHeader) -> str:
    content = {
        "brand": head.brand,
        "take": head.take,
        "destination": destination.name,
        "slots": [_row(slot) for slot in slots],
    }
    return json.dumps(content, ensure_ascii=False, indent=2) + "\n"
