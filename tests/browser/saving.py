"""What a test may say of saving.

How many saves a gesture takes is not certain: edits made while one is on its way go together, and a busy
machine takes long pauses between keys for two gestures. So a test waits for at least so many.
"""

from __future__ import annotations

import re

from playwright.sync_api import Page, expect


def revision(page: Page) -> int:
    """Return the revision that is shown as saved."""
    state = page.get_by_test_id("save-state")
    expect(state).to_have_attribute("data-state", "saved")
    return int(state.get_attribute("data-revision") or 0)


def saved(page: Page, at_least: int) -> None:
    """Wait until everything is saved, in this revision or a later one."""
    state = page.get_by_test_id("save-state")
    expect(state).to_have_attribute("data-revision", re.compile(numbers_from(at_least)))
    expect(state).to_have_attribute("data-state", "saved")


def not_saved(page: Page, revision: int) -> None:
    """Nothing was saved after this revision, nor is anything about to be."""
    state = page.get_by_test_id("save-state")
    expect(state).to_have_attribute("data-state", "saved")
    expect(state).to_have_attribute("data-revision", str(revision))


def numbers_from(first: int) -> str:
    return "^(" + "|".join(str(number) for number in range(first, first + 60)) + ")$"
