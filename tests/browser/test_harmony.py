"""The stave in the browser: notes and flags by pointer and keyboard, rules, characters, variations."""

from __future__ import annotations

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.axe import axe_findings
from tests.browser.conftest import make_brand, open_demo
from tests.browser.saving import not_saved, revision, saved


def open_stave(page: Page, *, release: tuple[str, ...] = ("Secondary", "Accent")) -> None:
    open_demo(page, step="harmony")
    page.get_by_test_id("stave").wait_for()
    for number, name in enumerate(release):
        note(page, name).focus()
        page.keyboard.press("h")
        expect(note(page, name)).not_to_have_attribute("aria-valuetext", re.compile("held"))
        saved(page, number + 2)


def note(page: Page, name: str) -> Locator:
    return page.get_by_role("slider", name=name, exact=True)


def cell(page: Page, name: str) -> Locator:
    return page.get_by_test_id("measure").locator("li").filter(has_text=re.compile(name))


def middle(one: Locator) -> tuple[float, float]:
    box = one.bounding_box()
    assert box
    return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2


def value(page: Page, name: str) -> str:
    return cell(page, name).get_by_role("button", name=re.compile("^Copy")).inner_text().strip()


def test_a_drag_is_one_step_and_everything_follows(page: Page) -> None:
    open_stave(page)
    at_start = revision(page)
    before = value(page, "Secondary")
    x, y = middle(note(page, "Secondary"))
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x - 130, y + 60, steps=12)
    expect(cell(page, "Secondary")).not_to_contain_text(before)
    not_saved(page, at_start)
    page.mouse.up()
    saved(page, 4)
    after = value(page, "Secondary")
    assert middle(note(page, "Secondary"))[0] < x - 100
    page.get_by_role("button", name="Undo").click()
    expect(cell(page, "Secondary")).to_contain_text(before)
    page.get_by_role("button", name="Redo").click()
    expect(cell(page, "Secondary")).to_contain_text(after)


@pytest.mark.detail
def test_shift_keeps_one_axis_and_escape_gives_a_drag_up(page: Page) -> None:
    open_stave(page)
    before = value(page, "Secondary")
    x, y = middle(note(page, "Secondary"))
    page.mouse.move(x, y)
    page.mouse.down()
    page.keyboard.down("Shift")
    page.mouse.move(x - 120, y + 30, steps=6)
    expect(cell(page, "Secondary")).not_to_contain_text(before)
    assert abs(middle(note(page, "Secondary"))[1] - y) < 2
    page.keyboard.up("Shift")
    page.keyboard.press("Escape")
    page.mouse.up()
    expect(cell(page, "Secondary")).to_contain_text(before)
    not_saved(page, 3)


@pytest.mark.detail
def test_a_click_only_selects(page: Page) -> None:
    open_stave(page, release=())
    x, y = middle(note(page, "Secondary"))
    page.mouse.click(x, y)
    expect(page).to_have_url(re.compile("swatch="))
    expect(page.get_by_role("complementary", name="Inspector")).to_contain_text("Secondary")
    page.mouse.move(x + 200, y)
    page.mouse.down()
    page.mouse.move(x + 260, y + 40)
    page.mouse.up()
    not_saved(page, 1)


def test_notes_move_by_keyboard_and_say_where_they_are(page: Page) -> None:
    open_stave(page, release=("Secondary",))
    secondary = note(page, "Secondary")
    expect(secondary).to_have_attribute("aria-valuetext", re.compile(r"to 1 on Paper, enough for large"))
    before = value(page, "Secondary")
    hue = int(secondary.get_attribute("aria-valuenow") or 0)
    secondary.focus()
    page.keyboard.press("Shift+ArrowRight")
    expect(secondary).to_have_attribute("aria-valuenow", re.compile(f"{hue + 9}|{hue + 10}|{hue + 11}"))
    for _ in range(6):
        page.keyboard.press("ArrowDown")
    page.keyboard.press("-")
    expect(secondary).to_have_attribute("aria-valuetext", re.compile("enough for body text"))
    saved(page, 3)
    # A busy machine may have taken the keys for more gestures than one, and saved several together.
    for _ in range(8):
        if before not in cell(page, "Secondary").inner_text():
            page.keyboard.press("Control+z")
    expect(cell(page, "Secondary")).to_contain_text(before)


@pytest.mark.detail
def test_the_wheel_over_a_note_changes_its_chroma(page: Page) -> None:
    open_stave(page, release=("Accent",))
    page.mouse.move(*middle(note(page, "Accent")))
    inspector = page.get_by_role("complementary", name="Inspector")
    note(page, "Accent").focus()
    before = float(inspector.get_by_label("Chroma").input_value())
    for _ in range(8):
        page.mouse.wheel(0, 100)
    saved(page, 3)
    assert float(inspector.get_by_label("Chroma").input_value()) < before - 0.004


@pytest.mark.detail
def test_a_note_is_deleted_only_without_a_role(page: Page) -> None:
    open_stave(page, release=())
    note(page, "Secondary").focus()
    page.keyboard.press("Delete")
    expect(page.get_by_role("alert")).to_contain_text("Give that role to another colour first.")
    page.get_by_role("slider", name=re.compile("^Open place")).first.focus()
    count = page.get_by_test_id("measure").locator("li").count()
    page.keyboard.press("Enter")
    expect(page.get_by_test_id("measure").locator("li")).to_have_count(count + 1)
    saved(page, 2)
    page.locator("[data-note]").last.get_by_role("slider").focus()
    page.keyboard.press("Delete")
    expect(page.get_by_test_id("measure").locator("li")).to_have_count(count)


@pytest.mark.detail
def test_a_note_that_something_else_uses_is_not_deleted(page: Page) -> None:
    open_stave(page, release=())
    page.get_by_role("slider", name=re.compile("^Open place")).first.focus()
    page.keyboard.press("Enter")
    saved(page, 2)
    page.evaluate("""async () => {
        const { csrf_token } = await (await fetch('/api/session')).json()
        const address = '/api/takes/' + location.pathname.split('/')[4]
        const { document, revision } = await (await fetch(address)).json()
        const swatch = document.swatches.at(-1).id
        document.overlays = [{ id: 'o1', name: 'Veil', swatch, alpha: 0.5, step: null }]
        const headers = { 'Content-Type': 'application/json', 'X-CSRF-Token': csrf_token }
        const body = JSON.stringify({ document, revision })
        const answer = await fetch(address, { method: 'PUT', headers, body })
        if (!answer.ok) throw new Error(await answer.text())
    }""")
    page.reload()
    page.get_by_test_id("stave").wait_for()
    notes = page.locator("[data-note]")
    count = notes.count()
    notes.last.get_by_role("slider").focus()
    page.keyboard.press("Delete")
    expect(page.get_by_role("alert")).to_contain_text("This colour is in use.")
    expect(notes).to_have_count(count)
    expect(page.get_by_test_id("save-state")).to_have_attribute("data-state", "saved")


@pytest.mark.detail(3)
def test_rules_move_what_is_free_and_the_spread_is_dragged_or_typed(page: Page) -> None:
    open_stave(page)
    page.get_by_role("radio", name="split complementary").click()
    flags = page.locator("[data-flag]")
    expect(flags).to_have_text(["+150°", "−150°"])
    held = value(page, "Primary")
    flags.first.focus()
    page.keyboard.press("Shift+ArrowLeft")
    expect(flags).to_have_text(["+140°", "−140°"])
    expect(flags.first).to_be_focused()
    page.keyboard.press("ArrowLeft")
    expect(flags).to_have_text(["+139°", "−139°"])
    x, y = middle(flags.first)
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x + 45, y, steps=5)
    page.mouse.up()
    expect(flags.first).not_to_have_text("+139°")
    assert value(page, "Primary") == held
    page.get_by_role("slider", name=re.compile("^Spread")).fill("120")
    expect(flags).to_have_text(["+120°", "−120°"])


@pytest.mark.detail
def test_free_angles_are_added_and_moved_one_by_one(page: Page) -> None:
    open_stave(page)
    page.get_by_role("radio", name="triadic").click()
    flags = page.locator("[data-flag]")
    expect(flags).to_have_text(["+120°", "−120°"])
    saved(page, 4)
    page.get_by_role("radio", name="free").click()
    saved(page, 5)
    expect(flags).to_have_text(["+120°", "−120°"])
    flags.first.focus()
    page.keyboard.press("Shift+ArrowLeft")
    expect(flags.first).to_have_text("+110°")
    expect(flags.nth(1)).to_have_text("−120°")
    page.get_by_role("button", name="Add angle").click()
    expect(flags).to_have_count(3)


@pytest.mark.detail
def test_a_free_anchor_s_flag_turns_the_whole_chord(page: Page) -> None:
    open_stave(page, release=("Primary, Link", "Secondary", "Accent"))
    before = [value(page, name) for name in ("Primary", "Mist", "Ink")]
    flag = page.get_by_role("slider", name=re.compile("^Anchor’s flag"))
    flag.focus()
    for _ in range(3):
        page.keyboard.press("Shift+ArrowRight")
    expect(cell(page, "Primary")).not_to_contain_text(before[0])
    saved(page, 5)
    assert all(value(page, n) != b for n, b in zip(("Primary", "Mist", "Ink"), before, strict=True))


@pytest.mark.detail
def test_a_character_over_the_whole(page: Page) -> None:
    open_stave(page)
    before = value(page, "Accent")
    page.get_by_role("button", name=re.compile("^Character")).click()
    page.get_by_role("option", name=re.compile("deep")).click()
    expect(cell(page, "Accent")).not_to_contain_text(before)
    saved(page, 4)
    page.get_by_role("slider", name=re.compile("^Chroma")).first.fill("0.2")
    saved(page, 5)


@pytest.mark.detail
def test_variations_can_be_returned_to(page: Page) -> None:
    open_stave(page)
    page.get_by_role("button", name="Vary free colours").click()
    sheet = page.get_by_role("list", name="Variations").get_by_role("listitem")
    expect(sheet).to_have_count(12)
    before = value(page, "Accent")
    sheet.nth(1).get_by_role("button").first.click()
    expect(cell(page, "Accent")).not_to_contain_text(before)
    second = value(page, "Accent")
    sheet.nth(4).get_by_role("button").first.click()
    expect(cell(page, "Accent")).not_to_contain_text(second)
    expect(sheet.nth(4).get_by_role("button").first).to_have_attribute("aria-pressed", "true")
    page.reload()
    page.get_by_role("button", name="Vary free colours").click()
    sheet.nth(1).get_by_role("button").first.click()
    expect(cell(page, "Accent")).to_contain_text(second)


@pytest.mark.detail
def test_a_pinned_variation_stays_while_others_are_leafed_through(page: Page) -> None:
    open_stave(page)
    page.get_by_role("button", name="Vary free colours").click()
    page.get_by_role("button", name="Pin variation 3", exact=True).click()
    pinned = page.get_by_role("list", name="Pinned").get_by_role("listitem")
    expect(pinned).to_have_count(1)
    page.get_by_role("button", name="Next").click()
    expect(page.get_by_text("Variations 13 to 24")).to_be_visible()
    expect(pinned).to_have_count(1)
    pinned.get_by_role("button").first.click()
    third = value(page, "Accent")
    page.get_by_role("button", name="Before").click()
    first_sheet = page.get_by_role("list", name="Variations").get_by_role("listitem")
    expect(first_sheet.nth(2).get_by_role("button").first).to_have_attribute("aria-pressed", "true")
    first_sheet.nth(0).get_by_role("button").first.click()
    expect(cell(page, "Accent")).not_to_contain_text(third)


@pytest.mark.detail
def test_a_rule_turns_on_another_circle_and_its_flags_say_both_angles(page: Page) -> None:
    open_stave(page)
    page.get_by_role("radio", name="complementary", exact=True).click()
    flag = page.locator("[data-flag]")
    expect(flag).to_have_count(1)
    expect(flag).to_have_text("+180°")
    page.get_by_role("button", name=re.compile("^Colour circle")).click()
    page.get_by_role("option", name=re.compile("painter")).click()
    expect(flag).to_contain_text("+180°")
    expect(flag).to_have_attribute("aria-valuetext", re.compile("on the circle, .* on the stave"))
    page.reload()
    expect(page.get_by_role("button", name=re.compile("^Colour circle"))).to_contain_text("painter")


@pytest.mark.detail
def test_any_swatch_can_be_the_ground(page: Page) -> None:
    open_stave(page, release=())
    page.get_by_role("button", name=re.compile("^Ground of the stave")).click()
    page.get_by_role("option", name="on Success").click()
    expect(note(page, "Accent")).to_have_attribute("aria-valuetext", re.compile(r"\d\.\d\d to 1 on Success"))


@pytest.mark.detail
def test_numbers_in_the_inspector_set_a_shade(page: Page) -> None:
    open_stave(page, release=())
    note(page, "Secondary").focus()
    inspector = page.get_by_role("complementary", name="Inspector")
    inspector.get_by_label("Hue").fill("150")
    inspector.get_by_label("Hue").press("Tab")
    saved(page, 2)
    inspector.get_by_label("Blue").fill("90")
    inspector.get_by_label("Blue").press("Tab")
    expect(cell(page, "Secondary").get_by_role("button", name=re.compile("5a$"))).to_be_visible()


@pytest.mark.detail
def test_numbers_typed_over_a_slow_line_all_count(page: Page) -> None:
    open_stave(page, release=())
    note(page, "Secondary").focus()
    inspector = page.get_by_role("complementary", name="Inspector")
    page.route("**/api/changes", lambda _: None)
    with page.expect_request("**/api/changes"):
        for label, number in (("Hue", "150"), ("Red", "64"), ("Blue", "90")):
            inspector.get_by_label(label).fill(number)
            inspector.get_by_label(label).press("Tab")
    with page.expect_response(lambda one: '"blue"' in (one.request.post_data or "")):
        page.unroute("**/api/changes")  # and what was held goes on
    expect(cell(page, "Secondary").get_by_role("button", name=re.compile("#40..5a$"))).to_be_visible()


@pytest.mark.detail
def test_a_rule_that_moves_nothing_says_why(page: Page) -> None:
    open_demo(page, step="harmony")
    page.get_by_role("radio", name="complementary", exact=True).click()
    alert = page.get_by_role("alert").filter(has_text="colours are held; nothing moved.")
    expect(alert).to_be_visible()
    alert.get_by_role("button", name="Dismiss").click()
    expect(alert).to_have_count(0)


@pytest.mark.detail
def test_advice_is_followed_with_a_button(page: Page) -> None:
    make_brand(page, "Advice")
    page.get_by_role("button", name="Type or paste colours").first.click()
    page.get_by_label("Colours", exact=True).fill("Primary: #2b3a8c\nSecondary: #2f4094\nAccent: #d7b13c")
    page.get_by_role("button", name="Keep as a source").click()
    page.get_by_role("button", name="Build the palette").click()
    page.get_by_role("link", name="Harmony").click()
    page.get_by_role("tab", name=re.compile("^Advice")).click()
    advice = page.get_by_test_id("advice")
    expect(advice).to_contain_text("too little to tell them apart")
    note(page, "Secondary").focus()
    page.keyboard.press("h")
    page.get_by_role("tab", name=re.compile("^Advice")).click()
    advice.get_by_role("button", name=re.compile("^Make")).first.click()
    expect(page.get_by_text("too little to tell them apart")).to_have_count(0)


@pytest.mark.detail
def test_axe_finds_nothing_on_the_stave_with_everything_open(page: Page) -> None:
    open_stave(page)
    page.get_by_role("button", name="Vary free colours").click()
    page.get_by_test_id("variations").get_by_role("listitem").first.wait_for()
    assert axe_findings(page) == []
    page.get_by_role("button", name=re.compile("^Character")).click()
    # The option that is pointed at is shown on the page, in place of the chosen colour: nothing is to change
    # while axe looks.
    page.frame_locator("#inspector iframe").locator("[data-part]").first.wait_for()
    # The open list covers notes; what is covered counts as too small a target, and comes back with Escape.
    covered = 'target-size: <div role="slider"'
    assert [one for one in axe_findings(page) if not one.startswith(covered)] == []


@pytest.mark.detail
def test_labels_step_aside(page: Page) -> None:
    open_stave(page, release=())
    boxes = (
        page.get_by_test_id("stave")
        .locator("[data-note] > span")
        .evaluate_all(
            """all => all.map(one => {
          const box = one.getBoundingClientRect()
          return [box.x, box.y, box.right, box.bottom]
        })"""
        )
    )
    for number, one in enumerate(boxes):
        for other in boxes[:number]:
            apart = one[0] >= other[2] or other[0] >= one[2] or one[1] >= other[3] or other[1] >= one[3]
            assert apart, (one, other)
