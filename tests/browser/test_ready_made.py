"""Ready-made palettes in a real browser: leafed through, asked for, tried on the page, taken, kept."""

from __future__ import annotations

import json
import re

import pytest
from playwright.sync_api import Locator, Page, Route, expect

from tests.browser.axe import ALL_RULES, axe_findings
from tests.browser.conftest import make_brand, open_demo
from tonada.core.ready.finding import Question, find, index_of
from tonada.core.ready.shipped import shipped_palettes

HELD = ("#2b3a8c", "#b6653a", "#d7b13c")
SHIPPED = {one.name: one for one in shipped_palettes()}


def open_palettes(page: Page) -> Locator:
    """Open the palettes from Source of the demo brand, and return the cards."""
    open_demo(page)
    page.get_by_role("link", name="Ready-made palettes").click()
    cards = page.get_by_role("radiogroup", name="Palettes", exact=True).get_by_role("radio")
    expect(cards.first).to_be_visible()
    return cards


def names(cards: Locator) -> list[str]:
    return [
        name.removesuffix(", starred") for name in cards.evaluate_all("all => all.map(one => one.ariaLabel)")
    ]


def found(page: Page, text: str | re.Pattern[str]) -> None:
    expect(page.get_by_test_id("found")).to_have_text(text)


def panel(page: Page) -> Locator:
    return page.get_by_role("complementary", name="The palette on your page")


def measure_values(page: Page) -> str:
    return page.get_by_role("region", name="The measure").inner_text()


@pytest.mark.detail(3)
def test_leafing_shows_each_on_the_brands_own_page_before_anything_is_taken(page: Page) -> None:
    cards = open_palettes(page)
    found(page, "480 of 480")
    assert axe_findings(page) == []
    cards.nth(1).click()
    first = names(cards)[1]
    expect(panel(page).get_by_role("heading", name=first)).to_be_visible()
    expect(panel(page).get_by_text(re.compile(r"All \d+ pairs pass AA, by day and by night"))).to_be_visible()
    frame = panel(page).frame_locator("iframe")
    expect(frame.get_by_text("Come before dark and stay", exact=False)).to_be_visible()
    primary = next(one.hex for one in SHIPPED[first].colors if one.role == "primary")
    assert primary in panel(page).get_by_role("button", name=re.compile("^Primary")).get_attribute(
        "aria-label"
    )
    page.keyboard.press("ArrowRight")
    expect(panel(page).get_by_role("heading", name=names(cards)[2])).to_be_visible()
    expect(page).to_have_url(re.compile(f"palette={SHIPPED[names(cards)[2]].id}"))
    # Nothing was changed by looking.
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    second = names(cards)[2]
    page.reload()
    expect(panel(page).get_by_role("heading", name=second)).to_be_visible()


@pytest.mark.detail
def test_the_end_of_the_list_brings_more(page: Page) -> None:
    cards = open_palettes(page)
    expect(cards).to_have_count(24)
    page.get_by_test_id("palettes").hover()
    for count in (48, 72):
        cards.last.scroll_into_view_if_needed()
        page.mouse.wheel(0, 4000)
        expect(cards).to_have_count(count)
    assert len(set(names(cards))) == 72


@pytest.mark.detail
def test_notes_are_put_moved_and_taken_away_without_a_pointer(page: Page) -> None:
    cards = open_palettes(page)
    before = names(cards)
    page.get_by_role("button", name="Add a note").focus()
    page.keyboard.press("Enter")
    note = page.get_by_role("button", name=re.compile("^Note 1"))
    expect(note).to_have_accessible_name(re.compile("#[0-9a-f]{6}"))
    expect(cards.first).not_to_have_accessible_name(before[0])
    where = note.get_attribute("aria-label")
    note.focus()
    for _ in range(6):
        page.keyboard.press("Shift+ArrowRight")
    expect(note).not_to_have_accessible_name(where)
    page.get_by_test_id("find-stave").click(position={"x": 30, "y": 90})
    expect(page.get_by_role("button", name=re.compile("^Note 2"))).to_be_visible()
    page.get_by_role("button", name=re.compile("^Note 2")).focus()
    page.keyboard.press("Delete")
    expect(page.get_by_role("button", name=re.compile("^Note 2"))).to_have_count(0)
    page.get_by_role("button", name="Clear", exact=True).click()
    expect(cards.first).to_have_accessible_name(before[0])


@pytest.mark.detail
def test_a_note_is_put_and_dragged_in_one_go_and_stays_one(page: Page) -> None:
    open_palettes(page)
    refused: list[int] = []
    page.on("response", lambda one: refused.append(one.status) if one.status >= 400 else None)
    box = page.get_by_test_id("find-stave").bounding_box()
    assert box
    for number, left in enumerate((60, 110, 160), 1):
        page.mouse.move(box["x"] + left, box["y"] + 60)
        page.mouse.down()
        for step in range(12):
            page.mouse.move(box["x"] + left + step, box["y"] + 60 + 2 * step)
        page.mouse.up()
        expect(page.get_by_role("button", name=re.compile(r"^Note \d"))).to_have_count(number)
    page.mouse.click(box["x"] + 20, box["y"] + 20)
    expect(page.get_by_role("button", name=re.compile(r"^Note \d"))).to_have_count(3)
    expect(page.get_by_role("button", name="Add a note")).to_be_disabled()
    assert refused == []


@pytest.mark.detail
def test_a_note_keeps_its_own_colour_when_another_goes_over_a_slow_line(page: Page) -> None:
    open_palettes(page)
    named = re.compile("^Note [12]: .*#[0-9a-f]{6}")
    for left in (40, 170):
        page.get_by_test_id("find-stave").click(position={"x": left, "y": 60})
    expect(page.get_by_role("button", name=named)).to_have_count(2)
    second = page.get_by_role("button", name=re.compile("^Note 2"))
    color = re.findall("#[0-9a-f]{6}", second.get_attribute("aria-label") or "")[0]
    held: list[Route] = []
    page.route("**/api/palettes/search", lambda one: held.append(one))
    page.get_by_role("button", name=re.compile("^Note 1")).focus()
    with page.expect_request("**/api/palettes/search"):
        page.keyboard.press("Delete")
    expect(page.get_by_role("button", name=re.compile("^Note"))).to_have_count(1)
    expect(page.get_by_role("button", name=re.compile("^Note 1"))).to_have_accessible_name(re.compile(color))
    assert held
    page.unroute("**/api/palettes/search")
    expect(page.get_by_role("button", name=re.compile("^Note 1"))).to_have_accessible_name(re.compile(color))


@pytest.mark.detail
def test_words_moods_hues_ground_and_level_narrow_and_are_said(page: Page) -> None:
    cards = open_palettes(page)
    page.get_by_role("button", name="warm", exact=True).click()
    found(page, f"{sum('warm' in one.moods for one in SHIPPED.values())} of 480")
    page.get_by_role("radio", name="dark", exact=True).click()
    page.get_by_role("button", name="AAA").click()
    wanted = [
        one
        for one in SHIPPED.values()
        if "warm" in one.moods and one.traits.ground == "dark" and one.proof and one.proof.reaches_aaa
    ]
    found(page, f"{len(wanted)} of 480")
    page.get_by_label("Words").fill("zzz")
    found(page, "0 of 480")
    expect(page.get_by_text("No palette matches")).to_be_visible()
    assert axe_findings(page) == []
    page.get_by_role("button", name="Clear", exact=True).click()
    found(page, "480 of 480")
    page.get_by_role("button", name=re.compile("^Order")).click()
    page.get_by_role("option", name="quiet to loud").click()
    quietest = min(SHIPPED.values(), key=lambda one: one.traits.loudness)
    expect(cards.first).to_have_accessible_name(quietest.name)


@pytest.mark.detail
def test_answers_that_overtake_each_other_leave_the_newest(page: Page) -> None:
    open_palettes(page)
    asked: list[str] = []

    held: list[Route] = []

    def first_waits(route: Route) -> None:
        words = json.loads(route.request.post_data or "{}")["words"]
        asked.append(words)
        if words == "t":
            held.append(route)
        else:
            route.continue_()

    page.route("**/api/palettes/search", first_waits)
    field = page.get_by_label("Words")
    with page.expect_request("**/api/palettes/search"):
        field.press_sequentially("t")
    field.press_sequentially("eal")
    assert asked == ["t"], "the others wait"
    held[0].continue_()
    rows = find(index_of(shipped_palettes()), Question(words="teal"))
    found(page, f"{len(rows)} of 480")
    assert asked == ["t", "teal"]


def test_a_palette_becomes_a_new_take_and_the_old_one_stays(page: Page) -> None:
    cards = open_palettes(page)
    cards.nth(2).click()
    name = names(cards)[2]
    panel(page).get_by_role("button", name="Use it as a new take").click()
    expect(page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 4")).to_be_visible()
    expect(page).to_have_url(re.compile("/harmony"))
    colors = SHIPPED[name].by_role
    expect(page.get_by_role("region", name="The measure")).to_contain_text(colors["primary"])
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 1").click()
    expect(page.get_by_role("region", name="The measure")).to_contain_text(HELD[0])


@pytest.mark.detail
def test_what_is_free_changes_in_one_step_and_the_held_stays(page: Page) -> None:
    cards = open_palettes(page)
    before = measure_values(page)
    cards.nth(3).click()
    panel(page).get_by_role("radio", name="What is free").click()
    paper = SHIPPED[names(cards)[3]].by_role["paper"]
    panel(page).get_by_role("button", name="Use it in this take").click()
    measure = page.get_by_role("region", name="The measure")
    expect(measure).to_contain_text(paper)
    for value in HELD:
        expect(measure).to_contain_text(value)
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    expect(measure).not_to_contain_text(paper)
    assert measure_values(page) == before
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name="Versions").click()
    expect(page.get_by_text(re.compile("Before the palette “"))).to_be_visible()


@pytest.mark.detail(3)
def test_over_a_slow_line_what_was_shown_before_is_never_taken(page: Page) -> None:
    cards = open_palettes(page)
    cards.nth(3).click()
    act = panel(page).get_by_role("button", name=re.compile("^Use it (as|in)"))
    expect(act).to_be_enabled()

    held: list[Route] = []
    page.route("**/api/changes", lambda route: held.append(route))
    with page.expect_request("**/api/changes"):
        panel(page).get_by_role("radio", name="What is free").click()
    expect(act).to_be_disabled()
    held[0].continue_()
    act.click()
    measure = page.get_by_role("region", name="The measure")
    expect(measure).to_contain_text(SHIPPED[names(cards)[3]].by_role["paper"])
    for value in HELD:
        expect(measure).to_contain_text(value)


@pytest.mark.detail
def test_one_colour_of_it_is_taken_into_a_role(page: Page) -> None:
    cards = open_palettes(page)
    cards.nth(0).click()
    color = SHIPPED[names(cards)[0]].by_role["secondary"]
    panel(page).get_by_role("button", name=re.compile("^Secondary")).click()
    page.get_by_role("menuitem", name="As Accent").click()
    expect(panel(page).get_by_role("status").last).to_contain_text("is in this take")
    expect(page.get_by_role("region", name="The measure")).to_contain_text(color)
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_role("region", name="The measure")).not_to_contain_text(color)


@pytest.mark.detail
def test_nothing_is_taken_into_a_version_that_is_looked_at(page: Page) -> None:
    open_demo(page)
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name="Versions").click()
    page.get_by_role("button", name="Save a version").click()
    page.get_by_role("button", name=re.compile("^Look at it: version 1")).click()
    page.get_by_role("link", name="Source", exact=True).click()
    page.get_by_role("link", name="Ready-made palettes").click()
    cards = page.get_by_role("radiogroup", name="Palettes", exact=True).get_by_role("radio")
    cards.first.click()
    before = measure_values(page)
    refusal = panel(page).get_by_role("alert").filter(has_text="You are looking at a version")
    panel(page).get_by_role("button", name=re.compile("^Secondary")).click()
    page.get_by_role("menuitem", name="As Accent").click()
    expect(refusal).to_be_visible()
    refusal.get_by_role("button", name="Dismiss").click()
    panel(page).get_by_role("radio", name="What is free").click()
    panel(page).get_by_role("button", name="Use it in this take").click()
    expect(refusal).to_be_visible()
    expect(panel(page).get_by_role("status").last).not_to_contain_text("Undo")
    assert measure_values(page) == before


@pytest.mark.detail
def test_a_take_is_kept_named_starred_deleted_and_brought_back(page: Page) -> None:
    cards = open_palettes(page)
    page.get_by_role("button", name="Keep this take").click()
    dialog = page.get_by_role("dialog")
    assert axe_findings(page, ALL_RULES[:-1]) == []
    dialog.get_by_label("Name").fill("Nachthimmel über Łódź 夜")
    dialog.get_by_label("Tags").fill("client, autumn, client")
    dialog.get_by_role("button", name="Keep it").click()
    expect(page.get_by_role("alert")).to_contain_text("is one of the studio’s palettes now")
    page.get_by_role("alert").get_by_role("button", name="Dismiss").click()
    page.get_by_role("radio", name="own", exact=True).click()
    found(page, "1 of 481")
    cards.first.click()
    menu = panel(page).get_by_role("button", name=re.compile("^Options for Nachthimmel"))
    menu.click()
    page.get_by_role("menuitem", name="Star it").click()
    expect(cards.first).to_have_accessible_name(re.compile("starred$"))
    menu.click()
    page.get_by_role("menuitem", name="Name and tags").click()
    expect(dialog.get_by_label("Tags")).to_have_value("client, autumn")
    dialog.get_by_label("Name").fill("Night sky")
    dialog.get_by_role("button", name="Save").click()
    expect(cards.first).to_have_accessible_name(re.compile("^Night sky"))
    panel(page).get_by_role("button", name="Options for Night sky").click()
    page.get_by_role("menuitem", name="Delete").click()
    found(page, "0 of 480")
    page.get_by_role("alert").get_by_role("button", name="Restore").click()
    found(page, "1 of 481")
    page.reload()
    page.get_by_role("radio", name="starred", exact=True).click()
    expect(cards.first).to_have_accessible_name(re.compile("^Night sky"))


@pytest.mark.detail
def test_files_are_added_proven_and_given_out(page: Page) -> None:
    open_palettes(page)
    entries = [
        {"name": f"No {number}", "colors": {"primary": f"#{number + 1:x}0305a"[:7]}} for number in range(9)
    ]
    entries.append({"name": "Broken", "colors": {"accent": "#ffffff"}})
    listed = {"format": "tonada palettes", "version": 1, "palettes": entries}
    file = {"name": "list.json", "mimeType": "application/json", "buffer": json.dumps(listed).encode()}
    page.get_by_test_id("palette-file").set_input_files(file)
    expect(page.get_by_role("alert")).to_contain_text("Nine palettes were added. Palette 10 was left out")
    found(page, "489 of 489")
    page.get_by_role("radio", name="own", exact=True).click()
    found(page, "9 of 489")
    expect(page.get_by_text("still to prove")).to_have_count(0)
    page.get_by_role("button", name="Files of palettes").click()
    with page.expect_download() as download:
        page.get_by_role("menuitem", name="Your own as a file").click()
    content = json.loads(download.value.path().read_text())
    assert len(content["palettes"]) == 9
    page.get_by_test_id("palette-file").set_input_files({**file, "buffer": b"{}"})
    expect(page.get_by_role("alert").filter(has_text="No palette was found")).to_be_visible()


@pytest.mark.detail
def test_a_brand_without_anything_begins_with_a_palette(page: Page) -> None:
    make_brand(page, "Fresh")
    page.get_by_role("link", name="Ready-made palettes").first.click()
    cards = page.get_by_role("radiogroup", name="Palettes", exact=True).get_by_role("radio")
    cards.first.click()
    name = names(cards)[0]
    expect(page.get_by_role("button", name="To go with the held colours")).to_have_count(0)
    panel(page).get_by_role("button", name="Begin with it").click()
    expect(panel(page).get_by_text(f"This take has the colours of “{name}”.")).to_be_visible()
    expect(page.get_by_role("navigation", name="Takes").get_by_role("link")).to_have_count(1)
    expect(page.get_by_role("region", name="The measure")).to_contain_text(SHIPPED[name].by_role["primary"])
    page.get_by_role("button", name="Undo").click()
    expect(panel(page).get_by_role("button", name="Begin with it")).to_be_visible()


@pytest.mark.detail
@pytest.mark.parametrize("width", [390, 1000])
def test_nothing_runs_over_the_edge_of_a_narrow_screen(page: Page, width: int) -> None:
    cards = open_palettes(page)
    page.set_viewport_size({"width": width, "height": 800})
    cards.first.click()
    expect(panel(page).get_by_role("button", name="Use it as a new take")).to_be_visible()
    assert page.evaluate("document.documentElement.scrollWidth") <= width
