"""Roles in a real browser: flags dragged and stepped, schemes, ramps, shares, what follows a colour."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.conftest import open_demo
from tests.browser.saving import revision, saved


def open_roles(page: Page) -> None:
    open_demo(page, step="roles")
    page.locator("[data-flag=muted]").wait_for()


def flag(page: Page, role: str) -> Locator:
    return page.locator(f"[data-flag={role}]")


def chip(page: Page, owner: str, step: int) -> Locator:
    return page.locator(f"[data-row={owner}] button").nth(step)  # the first button is the name


def drag(page: Page, start: Locator, end: Locator, *, drop: bool = True) -> None:
    (x, y), (to_x, to_y) = (_middle(one) for one in (start, end))
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x + 8, y + 8)
    page.mouse.move(to_x, to_y, steps=6)
    if drop:
        page.mouse.up()


def _middle(one: Locator) -> tuple[float, float]:
    box = one.bounding_box()
    assert box
    return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2


def test_a_flag_says_what_it_would_break_and_moves_in_one_step(page: Page) -> None:
    open_roles(page)
    before = flag(page, "muted").get_attribute("data-key")
    drag(page, flag(page, "muted"), chip(page, "n1", 5), drop=False)
    expect(page.get_by_text("This would make Muted on")).to_be_visible()
    expect(flag(page, "muted")).to_contain_text("more pairs fail")
    expect(page.get_by_test_id("short-count")).to_contain_text("2 fail")
    page.mouse.up()
    expect(flag(page, "muted")).to_have_attribute("data-key", "n1/5")
    saved(page, 2)
    page.get_by_role("button", name="Undo").click()
    expect(flag(page, "muted")).to_have_attribute("data-key", before or "")


@pytest.mark.detail
def test_a_flag_on_another_changes_places_with_it(page: Page) -> None:
    open_roles(page)
    muted, line = (flag(page, role).get_attribute("data-key") for role in ("muted", "line"))
    drag(page, flag(page, "muted"), flag(page, "line"))
    expect(flag(page, "line")).to_have_attribute("data-key", muted or "")
    expect(flag(page, "muted")).to_have_attribute("data-key", line or "")


@pytest.mark.detail
def test_a_flag_is_moved_by_keyboard_within_and_across_ramps(page: Page) -> None:
    open_roles(page)
    flag(page, "deep").focus()
    page.keyboard.press("ArrowRight")
    expect(flag(page, "deep")).to_have_attribute("data-key", "s1/11")
    page.keyboard.press("ArrowDown")
    expect(flag(page, "deep")).to_have_attribute("data-key", re.compile("^s2/"))
    inspector = page.get_by_role("complementary", name="Inspector")
    expect(inspector.get_by_role("heading", name="Deep")).to_be_visible()
    expect(inspector).to_contain_text("Chosen by you.")


@pytest.mark.detail
def test_a_color_dropped_on_a_role_takes_it(page: Page) -> None:
    open_roles(page)
    drag(page, chip(page, "s2", 9), flag(page, "link"))
    expect(flag(page, "link")).to_have_attribute("data-key", "s2/9")
    drag(page, page.locator("[data-cell=s3] button").first, flag(page, "link"))
    expect(flag(page, "link")).to_have_attribute("data-key", "s3")


@pytest.mark.detail
def test_a_cell_of_the_measure_on_another_changes_places_with_it_day_and_night(page: Page) -> None:
    open_roles(page)

    def owner(role: str) -> str | None:
        return page.locator(f"[data-role={role}][data-cell]").get_attribute("data-cell")

    primary, accent = owner("primary"), owner("accent")
    cell, other = (page.locator(f"[data-cell={one}] button").first for one in (primary, accent))
    drag(page, cell, other, drop=False)
    expect(page.get_by_text("Swap with Accent")).to_be_visible()
    expect(page.get_by_text("as it would look", exact=True)).to_be_visible()
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    page.mouse.up()
    expect(page.locator(f"[data-cell={accent}][data-role=primary]")).to_be_visible()
    assert owner("accent") == primary
    page.get_by_role("radio", name="Night").click()
    expect(flag(page, "primary")).to_have_attribute("data-key", re.compile(f"^{accent}"))
    page.get_by_role("radio", name="Day", exact=True).click()
    page.locator(f"[data-cell={accent}] button").first.focus()
    neighbour = page.locator("[data-cell]").nth(1).get_attribute("data-role")
    page.keyboard.press("Shift+ArrowRight")
    expect(page.locator(f"[data-cell={accent}][data-role={neighbour}]")).to_be_visible()
    assert neighbour == "secondary"


@pytest.mark.detail(3)
def test_night_is_a_scheme_of_its_own(page: Page) -> None:
    open_roles(page)
    page.get_by_role("radio", name="Night").click()
    by_night = flag(page, "paper").get_attribute("data-key")
    assert by_night != "n1/1"
    flag(page, "muted").focus()
    page.keyboard.press("ArrowLeft")
    saved(page, 2)
    key = flag(page, "muted").get_attribute("data-key")
    page.get_by_role("radio", name="Day").click()
    expect(flag(page, "paper")).to_have_attribute("data-key", "n1/1")
    page.reload()
    page.get_by_role("radio", name="Night").click()
    expect(flag(page, "muted")).to_have_attribute("data-key", key or "")
    page.get_by_role("link", name=re.compile("Pairs")).click()
    expect(page.locator("[data-pair]").first).to_be_visible()
    expect(page.locator("[data-pair]")).to_have_count(19)


@pytest.mark.detail
def test_shares_are_planned_at_the_edges_of_the_measure(page: Page) -> None:
    open_roles(page)
    expect(page.get_by_test_id("plan")).to_contain_text("60 / 30 / 10")
    page.get_by_role("separator", name="Edge between Accent and Paper").focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(page.get_by_test_id("plan")).to_contain_text("/ 20")
    expect(page.get_by_text("Accent has a larger planned share than Mist")).to_be_visible()
    page.get_by_role("button", name="Back to 60 / 30 / 10").click()
    expect(page.get_by_test_id("plan")).to_contain_text("60 / 30 / 10")


def test_a_ramp_is_made_anew_and_a_swatch_replaced(page: Page) -> None:
    open_roles(page)
    page.locator("[data-cell=s1] button").first.click()
    inspector = page.get_by_role("complementary", name="Inspector")
    expect(inspector.get_by_test_id("uses")).to_contain_text("Primary by night")
    inspector.get_by_role("button", name="Kind of ramp: Even, chroma held").click()
    page.get_by_role("option", name="Mixed with white and black").click()
    expect(page.locator("[data-row=s1] button")).to_have_count(22)
    inspector.get_by_role("button", name="Remove").click()
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("Tint of Neutral")
    dialog.get_by_role("button", name=re.compile("In its place")).click()
    page.get_by_role("option", name="Copper dome").click()
    dialog.get_by_role("button", name="Remove").click()
    expect(page.locator("[data-row=s1]")).to_have_count(0)
    expect(flag(page, "primary")).to_have_attribute("data-key", "s2")
    page.get_by_role("button", name="Undo").click()
    expect(flag(page, "primary")).to_have_attribute("data-key", "s1")


@pytest.mark.detail
def test_roles_of_one_s_own_are_added_and_removed(page: Page) -> None:
    open_roles(page)
    page.get_by_role("button", name="Add a role").click()
    page.get_by_role("menuitem", name="Custom role").click()
    page.get_by_label("Name of the role").fill("Badge of the late-night star-gazing season ticket")
    page.get_by_role("dialog").get_by_role("button", name="Add").click()
    own = page.locator("[data-flag^=own-]")
    expect(own).to_contain_text("Badge of the late…")
    saved(page, 2)
    own.focus()
    page.keyboard.press("Delete")
    expect(own).to_have_count(0)
    saved(page, 3)


@pytest.mark.detail
def test_a_role_of_one_s_own_may_be_named_in_any_script(page: Page) -> None:
    open_roles(page)
    for number, name in enumerate(("Кнопка", "徽章"), start=2):
        page.get_by_role("button", name="Add a role").click()
        page.get_by_role("menuitem", name="Custom role").click()
        page.get_by_label("Name of the role").fill(name)
        page.get_by_role("dialog").get_by_role("button", name="Add").click()
        expect(page.locator("[data-flag^=own-]").filter(has_text=name)).to_have_count(1)
        saved(page, number)
    page.reload()
    expect(page.locator("[data-flag^=own-]")).to_have_text(["Кнопка", "徽章"])


@pytest.mark.detail(3)
def test_suggesting_roles_undoes_a_wrong_hand_and_keeps_a_version(page: Page) -> None:
    open_roles(page)
    flag(page, "primary").focus()
    page.keyboard.press("ArrowDown")
    expect(flag(page, "primary")).not_to_have_attribute("data-key", "s1")
    page.get_by_role("button", name="Suggest roles").click()
    expect(flag(page, "primary")).to_have_attribute("data-key", "s1")


@pytest.mark.detail
def test_neutrals_follow_their_tint_and_an_overlay_counts_in_pairs(page: Page) -> None:
    open_roles(page)
    page.get_by_role("tab", name="Roles").click()
    page.get_by_role("tab", name="Neutrals").click()
    page.get_by_role("button", name=re.compile("^Tint: ")).click()
    page.get_by_role("option", name="Pure grey").click()
    paper = page.locator("[data-cell='n1/1']").get_by_role("button", name=re.compile("Copy"))
    expect(paper).to_contain_text("#fafafa")
    page.get_by_role("tab", name="Overlays").click()
    page.get_by_role("button", name="Add an overlay").click()
    page.get_by_role("button", name=re.compile("Use in a pair")).click()
    page.get_by_role("option", name="over primary").click()
    page.get_by_role("link", name=re.compile("Pairs")).click()
    expect(page.locator("[data-pair=added-1]")).to_contain_text("On Overlay 1")


@pytest.mark.detail
def test_numbers_of_one_row_that_are_set_without_a_server_are_all_kept(page: Page) -> None:
    open_roles(page)
    page.get_by_role("tab", name="Roles").click()
    page.get_by_role("tab", name="Neutrals").click()
    before = revision(page)
    page.context.set_offline(True)
    row = page.get_by_role("group", name="Neutral", exact=True)
    for label, number in (("Steps", "7"), ("Name", "Stone")):
        row.get_by_label(label).fill(number)
        row.get_by_label(label).press("Tab")
    add = page.get_by_role("button", name="Add neutrals")
    add.click()
    add.click()
    page.context.set_offline(False)
    for name in ("Stone", "Neutral", "Neutral 2"):
        expect(page.get_by_role("group", name=name, exact=True)).to_be_visible()
    expect(page.get_by_role("group", name="Stone").get_by_label("Steps")).to_have_value("7")
    saved(page, before + 1)


def test_a_number_is_typed_with_a_comma_and_nothing_is_clamped(page: Page) -> None:
    open_roles(page)
    page.locator("[data-cell=s1] button").first.click()
    lightness = page.get_by_role("spinbutton", name="Lightness")
    before = lightness.input_value()
    lightness.fill("0,45")
    lightness.press("Enter")
    expect(lightness).to_have_value(re.compile(r"^0\.4[45]"))
    taken = lightness.input_value()
    assert taken != before
    lightness.fill("45")
    lightness.press("Tab")
    expect(page.get_by_role("alert")).to_have_text("Type a number from 0 to 1. Nothing was changed.")
    expect(lightness).to_have_attribute("aria-invalid", "true")
    expect(lightness).to_have_value("45")
    lightness.fill(taken)
    lightness.press("Enter")
    expect(page.get_by_role("alert")).to_have_count(0)
    lightness.press("Shift+ArrowUp")
    expect(lightness).to_have_value(re.compile(r"^0\.5[45]"))
