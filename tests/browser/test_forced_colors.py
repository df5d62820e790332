"""In forced colours a browser takes away every ground: what is chosen is still seen, by pixels."""

from __future__ import annotations

import io
from typing import Final, Literal

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Locator, Page, expect

from tests.browser.views import View, harmony, pairs, roles

# As much of a control's pixels as a reader notices from the corner of the eye.
LEAST_SHARE: Final = 0.04
Control = Literal["link", "radio", "tab"]
CHOSEN: Final[dict[Control, tuple[str, str]]] = {
    "link": ("aria-current", "page"),
    "radio": ("aria-checked", "true"),
    "tab": ("aria-selected", "true"),
}


def picture_of(control: Locator) -> np.ndarray:
    """What is painted where a control is, without what pointer and focus do to it."""
    control.page.mouse.move(1, 1)
    control.page.evaluate("document.activeElement?.blur()")
    return np.asarray(Image.open(io.BytesIO(control.screenshot())).convert("L"), dtype=float)


def choose(control: Locator, role: Control) -> None:
    """Choose it, and wait until it is chosen: a rule is, once the server has answered."""
    control.click()
    expect(control).to_have_attribute(*CHOSEN[role])


def forced(page: Page, view: View) -> Page:
    page.emulate_media(forced_colors="active", reduced_motion="reduce")
    view(page)
    return page


CASES: Final[list[tuple[View, Control, str, str]]] = [
    (roles, "link", "Roles", "Harmony"),
    (harmony, "radio", "triadic", "analogous"),
    (roles, "radio", "Day", "Night"),
    (pairs, "radio", "List", "Grid"),
    (pairs, "radio", "AA", "AAA"),
    (pairs, "tab", "The page", "Swatch"),
]


@pytest.mark.detail
@pytest.mark.parametrize("case", CASES, ids=lambda one: f"{one[0].__name__}-{one[2]}")
def test_what_is_chosen_looks_otherwise_than_what_is_not(
    page: Page, case: tuple[View, Control, str, str]
) -> None:
    view, role, first, second = case
    page = forced(page, view)
    one = page.get_by_role(role, name=first, exact=True)
    other = page.get_by_role(role, name=second, exact=True)
    choose(one, role)
    chosen = picture_of(one)
    choose(other, role)
    left = picture_of(one)
    assert chosen.shape == left.shape
    assert (np.abs(chosen - left) > 60).mean() > LEAST_SHARE
