"""Sheets that are asked for at once by several people: one after the other, and the worker lives."""

from __future__ import annotations

import subprocess
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[2]
# In a process of its own: memory that is corrupted would end the one that the tests run in.
MANY_AT_ONCE = """
from concurrent.futures import ThreadPoolExecutor
from tests.takes import TAKE
from tonada.files.client_sheet import ExportHeader, pdf_sheet
head = ExportHeader("Peak", "Take 1", "")
with ThreadPoolExecutor(4) as pool:
    made = set(pool.map(lambda _: pdf_sheet(TAKE, head, None), range(8)))
print(len(made))
"""


@pytest.mark.detail
def test_sheets_made_at_once_are_all_the_same_and_corrupt_nothing() -> None:
    command = [sys.executable, "-c", MANY_AT_ONCE]
    run = subprocess.run(command, cwd=ROOT, capture_output=True, text=True, check=False)
    assert (run.returncode, run.stdout.strip()) == (0, "1"), run.stderr[-2000:]
    assert "GLib" not in run.stderr
