"""What no rule of axe covers, measured on the page: reflow, small text, controls that can't be hit."""

from __future__ import annotations

from pathlib import Path
from typing import Final

from playwright.sync_api import Frame, Page

from tests.browser.axe import ALL_RULES, axe_findings, axe_violations

LEAST_TEXT: Final = 11

_MEASURE: Final = Path(__file__).with_name("audit.js").read_text(encoding="utf-8")


def findings(page: Page) -> list[str]:
    """Return everything that is wrong with the page as it stands, one line each; the frames' pages too."""
    found = axe_findings(page)
    for frame in page.frames[1:]:
        found += _frame_findings(frame)
    # Sorted out and in the order they were met.
    return [*dict.fromkeys([*found, *page.evaluate(_MEASURE, LEAST_TEXT)])]


def _frame_findings(frame: Frame) -> list[str]:
    """What axe finds in a sample page; its colours are the designer's, and are measured by Tonada itself."""
    if not frame.query_selector("[data-part]"):
        return []
    found = axe_violations(frame, runOnly=list(ALL_RULES), rules={"color-contrast": {"enabled": False}})
    return [f"in the frame, {line}" for line in found]
