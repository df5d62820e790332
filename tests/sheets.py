"""Sheets as PDF take seconds, and dozens of tests make reviews, each with the same ones.

All processes of a run share them in a folder. That a sheet comes out the same each time is a test of its own.
"""

from __future__ import annotations

import fcntl
import os
import shutil
import tempfile
from functools import lru_cache
from hashlib import sha256
from pathlib import Path
from typing import Final

import pytest

from tonada.files import client_sheet
from tonada.files.page_faces import OwnFont

PLACE: Final = "tonada.files.client_sheet.pdf_of"
# In the environment, so that the servers of tests have it too.
FOLDER: Final = "TONADA_TEST_SHEETS"

_make = client_sheet.pdf_of


def make_sheets_once(monkeypatch: pytest.MonkeyPatch) -> None:
    """Let each PDF of a take be made once in this run."""
    monkeypatch.setattr(PLACE, made_once)


@lru_cache(maxsize=256)
def made_once(page: str, letters: tuple[str, ...] = (), own: tuple[OwnFont, ...] = ()) -> bytes:
    """Return the PDF that any process of this run has made of the page, or make it."""
    if FOLDER not in os.environ:
        return _make(page, letters, own)
    place = Path(os.environ[FOLDER]) / sha256(repr((page, letters, own)).encode()).hexdigest()
    with place.with_suffix(".lock").open("w") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not place.exists():
            half = place.with_suffix(".half")
            half.write_bytes(_make(page, letters, own))
            half.rename(place)
    return place.read_bytes()


def begin() -> None:
    """Make the folder, in the process that all others of the run come from."""
    os.environ.setdefault(FOLDER, tempfile.mkdtemp(prefix="tonada-sheets-"))


def end() -> None:
    """Remove it."""
    shutil.rmtree(os.environ.pop(FOLDER, ""), ignore_errors=True)
