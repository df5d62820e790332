"""Pairs in a real browser: all mended at once, the grid, other eyes, usage and size, pairs that are added."""

from __future__ import annotations

import csv
import io
import re
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import open_demo
from tests.browser.saving import not_saved, saved


def open_pairs(page: Page, take: str = "Take 2") -> None:
    open_demo(page, take=take, step="pairs")
    page.locator("[data-pair]").first.wait_for()


def inspector_of(page: Page, pair: str) -> None:
    page.locator(f"[data-pair={pair}]").get_by_role("button").click()


@pytest.mark.detail(3)
def test_all_pairs_are_mended_in_one_step_after_a_preview(page: Page) -> None:
    open_pairs(page)
    page.get_by_role("button", name="Mend all 5").click()
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_test_id("moved")).to_contain_text("#747892")
    # Paper on the held accent fails; no colour has to move for it.
    expect(dialog.get_by_test_id("texts")).to_contain_text("Paper on Accent")
    assert axe_findings(page) == []
    not_saved(page, 1)
    dialog.get_by_role("button", name="Apply all").click()
    expect(page.locator("[data-pair=muted-on-mist]")).to_have_attribute("data-passes", "true")
    saved(page, 2)
    page.get_by_role("button", name="Undo").click()
    expect(page.locator("[data-pair=muted-on-mist]")).to_have_attribute("data-passes", "false")
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name="Versions").click()
    expect(page.get_by_test_id("versions")).to_contain_text("Before all pairs were mended")


@pytest.mark.detail
def test_the_grid_is_sorted_and_saved(page: Page) -> None:
    open_pairs(page)
    page.get_by_role("radio", name="Grid").click()
    grid = page.get_by_test_id("grid")
    expect(grid.locator("tbody th").first).to_have_text("Primary")
    page.get_by_role("button", name=re.compile("^Order")).click()
    page.get_by_role("option", name="From light to dark").click()
    expect(grid.locator("tbody th").first).to_have_text("Paper")
    assert axe_findings(page) == []
    with page.expect_download() as download:
        page.get_by_role("link", name="Save as CSV").click()
    rows = list(csv.reader(io.StringIO(Path(download.value.path()).read_text())))
    assert rows[0][1] == "Paper #faf9f7"
    assert rows[1][1] == "1.00"
    page.get_by_role("radio", name="Text on every colour").click()
    expect(grid.locator("tbody th").filter(has_text="White")).to_have_count(1)


def filters(page: Page) -> set[str]:
    """What is between each colour on the page and the eye."""
    return set(
        page.evaluate(
            """[...document.querySelectorAll('.keeps-color')]
                 .filter(one => !one.parentElement.closest('.keeps-color'))
                 .map(one => getComputedStyle(one).filter)"""
        )
    )


@pytest.mark.detail
def test_other_eyes_see_the_whole_view_and_name_what_they_confuse(page: Page) -> None:
    open_pairs(page)
    page.get_by_role("button", name=re.compile("^Colour vision")).click()
    page.get_by_role("option", name="Deutan vision").click()
    expect(page.get_by_test_id("confusions")).to_be_visible()
    assert filters(page) == {'url("#sight")'}
    full = page.locator("#sight feColorMatrix").get_attribute("values")
    page.get_by_label("Severity").fill("0.5")
    expect(page.locator("#sight feColorMatrix")).not_to_have_attribute("values", full or "")
    page.get_by_role("link", name="Harmony").click()
    page.get_by_test_id("stave").wait_for()
    assert filters(page) == {'url("#sight")'}
    page.get_by_role("button", name=re.compile("^Colour vision")).click()
    page.get_by_role("option", name="Typical vision").click()
    expect(page.get_by_label("Severity")).to_have_count(0)
    assert filters(page) == {"none"}


@pytest.mark.detail
def test_size_and_usage_decide_what_is_needed(page: Page) -> None:
    open_pairs(page)
    inspector_of(page, "muted-on-mist")
    inspector = page.get_by_role("complementary", name="Inspector")
    expect(inspector).to_contain_text("needs 4.5:1 by 1.4.3")
    inspector.get_by_text("Usage and size").click()
    inspector.get_by_label("Size of the text in px").fill("24")
    inspector.get_by_label("Size of the text in px").press("Tab")
    expect(inspector).to_contain_text("needs 3:1 by 1.4.3")
    expect(page.locator("[data-pair=muted-on-mist]")).to_have_attribute("data-passes", "true")
    inspector.get_by_role("button", name=re.compile("^Usage: ")).click()
    page.get_by_role("option", name="Decoration, exempt").click()
    expect(page.locator("[data-pair=muted-on-mist]")).to_contain_text("Exempt")
    expect(page.get_by_test_id("tally")).to_contain_text("of 18 pairs pass AA")


@pytest.mark.detail
def test_any_colors_make_a_pair_of_their_own(page: Page) -> None:
    open_pairs(page)
    page.get_by_role("button", name="Add", exact=True).click()
    page.get_by_role("menuitem", name="A pair").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("button", name=re.compile("^Text or element: ")).click()
    page.get_by_role("option", name="Another colour…").click()
    dialog.get_by_label("Colour of the text or element, in any CSS notation").fill("no colour")
    dialog.get_by_role("button", name="Add").click()
    expect(dialog.get_by_role("alert")).to_contain_text("is not a colour")
    dialog.get_by_label("Colour of the text or element, in any CSS notation").fill("oklch(0.6 0.1 30)")
    dialog.get_by_label("Sample").fill("Season tickets")
    dialog.get_by_role("button", name="Add").click()
    row = page.locator("[data-pair=added-1]")
    expect(row).to_contain_text("Season tickets")
    inspector_of(page, "added-1")
    inspector = page.get_by_role("complementary", name="Inspector")
    inspector.get_by_text("Usage and size").click()
    inspector.get_by_role("button", name="Remove the pair").click()
    expect(row).to_have_count(0)


@pytest.mark.detail
def test_what_no_color_reaches_is_said_with_the_best(page: Page) -> None:
    open_pairs(page)
    page.get_by_role("radio", name="AAA", exact=True).click()
    inspector_of(page, "label-on-secondary")
    inspector = page.get_by_role("complementary", name="Inspector")
    expect(inspector).to_contain_text("No colour reaches 7 with Secondary")
    expect(inspector).to_contain_text("at best. Moving Secondary itself helps.")


@pytest.mark.detail
def test_states_are_pairs_of_their_own(page: Page) -> None:
    open_pairs(page)
    page.get_by_role("button", name="Add", exact=True).click()
    page.get_by_role("menuitem", name="States of links and buttons").click()
    expect(page.locator("[data-pair=state-primary-hover]")).to_contain_text("Button, hover")
    expect(page.locator("[data-pair=state-disabled]")).to_contain_text("Exempt")
    saved(page, 2)


@pytest.mark.detail
def test_a_text_over_a_picture_counts_its_worst_pixel(page: Page) -> None:
    open_demo(page, step="roles")
    page.get_by_role("tab", name="Roles").click()
    page.get_by_role("tab", name="Overlays").click()
    page.get_by_role("button", name="Add an overlay").click()
    page.get_by_role("link", name=re.compile("^Pairs")).click()
    page.get_by_role("button", name="Add", exact=True).click()
    page.get_by_role("menuitem", name="Text over a picture").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("button", name=re.compile("^Over: ")).click()
    page.get_by_role("option", name="dusk-ridge.jpg").click()
    read = dialog.get_by_test_id("backdrop")
    expect(read).to_contain_text("Needs an overlay of at least")
    whole = read.inner_text()
    dialog.get_by_test_id("region").focus()
    page.keyboard.press("Enter")
    expect(read).not_to_have_text(whole)
    dialog.get_by_role("button", name=re.compile("^Set it to")).click()
    expect(read).to_contain_text("passes")
    assert axe_findings(page) == []
    dialog.get_by_role("button", name=re.compile("^Over: ")).click()
    page.get_by_role("option", name="A gradient").click()
    expect(read).to_contain_text("Worst pixel")
