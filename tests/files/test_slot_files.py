"""Slot sheets as files: for a spreadsheet, for a script, for a sheet of paper."""

from __future__ import annotations

import csv
import io
import json
from dataclasses import replace
from pathlib import Path

import pytest

from tests.files.test_client_sheet import words_of
from tests.takes import TAKE
from tonada.core.errors import InputError
from tonada.core.handoff.slots import SHIPPED, Destination, Slot, fill_slots
from tonada.files.client_sheet import ExportHeader
from tonada.files.slot_files import SLOT_KINDS, slot_file, slot_file_name

HEAD = ExportHeader("Orrin Peak", "Take 2", "", None, "Version 4, 26 November 2026")


def made(kind: str, destination: Destination = SHIPPED[1]) -> bytes:
    return slot_file(destination, fill_slots(TAKE, destination, {}), HEAD, kind)


@pytest.mark.parametrize("destination", SHIPPED, ids=lambda one: one.id)
def test_csv_and_json_say_the_same_in_the_order_of_the_slots(destination: Destination) -> None:
    rows = list(csv.DictReader(io.StringIO(made("csv", destination).decode())))
    listed = json.loads(made("json", destination))
    filled = fill_slots(TAKE, destination, {})
    assert [row["slot"] for row in rows] == [one.slot.name for one in filled]
    assert [row["value"] for row in rows] == [one.text for one in filled]
    for row, entry, one in zip(rows, listed["slots"], filled, strict=True):
        assert entry["hex"] == row["hex"] == one.hex
        assert (entry["passes"] is None) == (one.ratio is None)


def test_a_spreadsheet_takes_no_name_for_a_formula() -> None:
    odd = Destination("x", "X", (Slot("=1+1", "ground"), Slot("@x", "text", on="=1+1")))
    rows = list(csv.DictReader(io.StringIO(made("csv", odd).decode())))
    assert [row["slot"] for row in rows] == ["'=1+1", "'@x"]


def test_the_page_prints_every_slot_with_its_value(tmp_path: Path) -> None:
    text = words_of(made("pdf"), tmp_path)
    assert "Theme with eight slots" in text
    for one in fill_slots(TAKE, SHIPPED[1], {}):
        assert one.slot.name in text
        assert one.text in text
    page = made("html").decode()
    assert page.count('scope="row"') == len(SHIPPED[1].slots)


def test_names_are_text_and_a_slot_that_falls_short_says_so() -> None:
    odd = replace(SHIPPED[0], name="<b>&</b>")
    filled = fill_slots(TAKE, odd, {"Text": "accent"})
    page = slot_file(odd, filled, HEAD, "html").decode()
    assert "&lt;b&gt;&amp;&lt;/b&gt;" in page
    assert "Needs 4.5:1." in page


def test_a_file_has_a_plain_name_and_other_kinds_are_refused() -> None:
    assert slot_file_name(SHIPPED[2], HEAD, "csv") == "orrin-peak-take-2-slides.csv"
    assert set(SLOT_KINDS) == {"csv", "json", "html", "pdf"}
    with pytest.raises(InputError):
        made("xls")
