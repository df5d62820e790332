"""Sheets as PDF take seconds, and dozens of tests make reviews, each with the same ones."""

from __future__ import annotations

from functools import lru_cache
from typing import Final

import pytest

from tonada.handoff import client_sheet

PLACE: Final = "tonada.handoff.client_sheet.pdf_of"

# That a sheet comes out the same each time is a test of its own.
made_once = lru_cache(maxsize=256)(client_sheet.pdf_of)


def make_sheets_once(monkeypatch: pytest.MonkeyPatch) -> None:
    """Let each PDF of a take be made once by this process."""
    monkeypatch.setattr(PLACE, made_once)
