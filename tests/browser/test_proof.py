"""The proof in a real browser: every part measured as it is really painted, and changed from the page."""

from __future__ import annotations

import re
from io import BytesIO

import pytest
from PIL import Image
from playwright.sync_api import Frame, Page, expect

from tests.browser.axe import axe_findings, axe_violations
from tests.browser.conftest import open_demo
from tests.browser.saving import saved

PAGES = ("Board", "Home", "Article", "Shop", "Dashboard", "Form", "Email", "Style")

# From the styles that the browser used: every text with its colour and the first opaque ground under it.
READ_PARTS = """() => {
  const linear = v => (v /= 255) <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
  const luminance = ([r, g, b]) => 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b)
  const numbers = text => text.match(/[\\d.]+/g).map(Number)
  const ground = one => {
    for (let at = one; at; at = at.parentElement) {
      const color = numbers(getComputedStyle(at).backgroundColor)
      if (color.length < 4 || color[3] === 1) return color
    }
    return [255, 255, 255]
  }
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  const found = []
  while (walker.nextNode()) {
    const one = walker.currentNode.parentElement
    if (!walker.currentNode.data.trim() || !one.getClientRects().length) continue
    const part = one.closest('[data-part]')
    const [text, under] = [numbers(getComputedStyle(one).color), ground(one)]
    const [a, b] = [luminance(text), luminance(under)].sort((x, y) => y - x)
    found.push({
      part: part?.dataset.part ?? null, element: part?.dataset.element ?? null,
      ground: one.closest('[data-ground]')?.dataset.ground ?? null,
      ratio: (a + 0.05) / (b + 0.05), text: walker.currentNode.data.trim().slice(0, 30),
    })
  }
  return found
}"""


def open_proof(page: Page, take: str = "Take 1") -> Frame:
    open_demo(page, take=take, step="proof")
    expect(page.get_by_test_id("short-parts")).to_contain_text(re.compile(r"[1-9]\d* elements"))
    return frame_of(page)


def frame_of(page: Page) -> Frame:
    handle = page.locator("[data-testid=stage] iframe").element_handle()
    frame = handle.content_frame()
    assert frame
    frame.locator("[data-part]").first.wait_for()
    return frame


def turn_to(page: Page, name: str) -> Frame:
    page.get_by_role("radiogroup", name="Page").get_by_role("radio", name=name, exact=True).click()
    title = re.compile(f"^{name} of ")
    expect(page.locator("[data-testid=stage] iframe")).to_have_attribute("title", title)
    return frame_of(page)


def document_of(page: Page) -> dict[str, object]:
    take = re.search(r"/takes/([0-9a-f-]+)/", page.url)
    assert take
    document: dict[str, object] = page.request.get(f"/api/takes/{take[1]}").json()["document"]
    return document


@pytest.mark.parametrize("scheme", ["Day", "Night"])
def test_what_the_browser_paints_is_what_the_core_says(page: Page, scheme: str) -> None:
    open_proof(page)
    page.get_by_role("radio", name=scheme, exact=True).click()
    document = document_of(page)
    if scheme == "Night":
        other = document["other"]
        assert isinstance(other, dict)
        document = {**document, **other, "scheme": "night", "other": None}
    proof = page.request.post("/api/proof", data={"document": document}).json()
    ratios = {
        (ground["id"], used["element"]): used["ratio"]
        for ground in proof["grounds"]
        for used in ground["elements"]
    }
    seen = 0
    for name in PAGES:
        frame = turn_to(page, name)
        for one in frame.evaluate(READ_PARTS):
            assert one["part"], (name, one["text"])
            if one["element"] == "disabled":
                continue
            expected = ratios[one["ground"], one["element"]]
            assert abs(one["ratio"] - expected) < 0.01, (name, one)
            seen += 1
    assert seen > 150


@pytest.mark.detail
def test_every_part_has_a_role_and_a_pair_and_axe_finds_nothing_on_the_pages(page: Page) -> None:
    open_proof(page)
    for name in PAGES:
        frame = turn_to(page, name)
        parts = frame.locator("[data-part]").evaluate_all(
            "all => all.map(one => [one.dataset.part, one.dataset.element ?? one.dataset.series])"
        )
        assert all(part and element for part, element in parts)
        assert len({part for part, _ in parts}) == len(parts), name
        stray = frame.evaluate(
            """() => [...document.body.querySelectorAll('[style]')].flatMap(one => [...one.style])
               .filter(name => /color|background|fill|stroke$/.test(name) && !name.startsWith('--'))
               .filter(name => !['fill', 'stroke'].includes(name))"""
        )
        assert stray == []
        assert axe_violations(frame) == [], name


@pytest.mark.detail(3)
def test_a_part_gets_another_role_and_goes_back_to_the_rule(page: Page) -> None:
    frame = open_proof(page)
    frame.locator("[data-part='Opening’s paragraph']").click()
    inspector = page.get_by_role("complementary", name="Inspector")
    expect(inspector).to_contain_text("Paper on Primary")
    expect(inspector.get_by_test_id("part-ratio")).to_have_text("9.64:1")
    assert axe_findings(page) == []
    inspector.get_by_role("button", name="Muted", exact=True).click()
    expect(inspector).to_contain_text("Short by")
    expect(page.get_by_test_id("short-count")).to_have_text("1 fails")
    saved(page, 2)
    page.get_by_role("link", name=re.compile("^Pairs")).click()
    used = page.locator("[data-pair='ground:primary:text']")
    expect(used).to_have_attribute("data-passes", "false")
    used.get_by_role("button").click()
    expect(page.get_by_role("link", name="Open in Proof")).to_be_visible()
    expect(page.get_by_test_id("mends")).to_contain_text("the text")
    page.go_back()
    frame = frame_of(page)
    frame.locator("[data-part='Opening’s paragraph']").click()
    inspector.get_by_role("button", name="Reset to automatic").click()
    expect(inspector.get_by_test_id("part-ratio")).to_have_text("9.64:1")
    page.get_by_role("button", name="Undo").click()
    expect(inspector).to_contain_text("Short by")


@pytest.mark.detail
def test_parts_are_reached_from_a_list_with_the_keyboard(page: Page) -> None:
    open_proof(page)
    page.locator("summary", has_text="All elements").focus()
    page.keyboard.press("Enter")
    page.get_by_test_id("parts").get_by_role("button", name=re.compile("^Story’s link")).focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("complementary", name="Inspector")).to_contain_text("Story’s link")
    expect(page).to_have_url(re.compile("part="))
    expect(frame_of(page).locator(".is-chosen")).to_have_count(1)


@pytest.mark.detail
def test_sections_alternate_and_grounds_are_added_and_taken_out(page: Page) -> None:
    frame = open_proof(page)
    page.get_by_role("tab", name="Grounds").click()
    page.get_by_role("button", name="Two alternating grounds: Alternate…").click()
    page.get_by_role("option", name="Paper and Deep").click()
    stands = "all => all.map(one => one.dataset.ground)"
    expect(frame.locator("[data-section=opening]")).to_have_attribute("data-ground", "deep")
    assert frame.locator("[data-section]").evaluate_all(stands) == ["paper", "deep"] * 3
    page.get_by_role("button", name="As it was").click()
    expect(frame.locator("[data-section=opening]")).to_have_attribute("data-ground", "primary")
    page.get_by_role("button", name="Add a ground: Add a ground…").click()
    page.get_by_role("option", name="Info", exact=True).first.click()
    grounds = page.get_by_role("region", name="Grounds", exact=True)
    grounds.get_by_role("button", name=re.compile("^Info")).click()
    grounds.get_by_role("button", name="Take out").click()
    expect(grounds.get_by_role("button", name=re.compile("^Info"))).to_have_count(0)


@pytest.mark.detail
def test_a_click_beside_the_parts_opens_the_ground_of_the_section(page: Page) -> None:
    frame = open_proof(page)
    frame.locator("[data-section=opening]").click(position={"x": 4, "y": 4})
    grounds = page.get_by_role("region", name="Grounds", exact=True)
    expect(grounds.get_by_role("button", name=re.compile("^Primary"), expanded=True)).to_be_visible()
    page.get_by_role("button", name=re.compile("^Ground of Opening:")).click()
    page.get_by_role("option", name="Accent", exact=True).click()
    expect(frame.locator("[data-section=opening]")).to_have_attribute("data-ground", "accent")


@pytest.mark.detail
def test_size_decides_what_is_needed(page: Page) -> None:
    open_proof(page)
    page.get_by_role("tab", name="Type").click()
    row = page.get_by_role("row", name=re.compile("Heading 3"))
    expect(row).to_contain_text("4.5:1")
    page.get_by_label("Size of Heading 3 in pixels").fill("30")
    page.keyboard.press("Tab")
    expect(row).to_contain_text("3:1")
    page.locator("summary", has_text="Custom pairing").click()
    page.get_by_role("button", name="Heading font: The trade’s own").click()
    page.get_by_role("option", name="Fraunces").click()
    family = frame_of(page).locator("h1").evaluate("one => getComputedStyle(one).fontFamily")
    assert "Fraunces" in family


@pytest.mark.detail
def test_takes_stand_beside_each_other_and_scroll_together(page: Page) -> None:
    open_proof(page)
    page.get_by_role("button", name="Side by side…").click()
    page.get_by_label("Take 2").check()
    page.get_by_label("Take 3").check()
    page.keyboard.press("Escape")
    frames = page.locator("[data-testid=beside] iframe")
    expect(frames).to_have_count(3)
    page.get_by_role("radio", name="Phone").click()
    contents = [handle.content_frame() for handle in frames.element_handles()]
    for one in contents:
        assert one
        one.locator("[data-section=foot]").wait_for()
    first, *others = [one for one in contents if one]
    first.evaluate("() => scrollTo(0, 400)")
    for one in others:
        one.wait_for_function("() => scrollY > 200")
    page.get_by_role("button", name="Side by side…").click()
    page.get_by_label("Take 3").uncheck()
    page.get_by_label("One on the other").check()
    page.keyboard.press("Escape")
    expect(page.get_by_label("Edge between Take 1 and Take 2")).to_be_visible()


@pytest.mark.detail
def test_a_picture_of_a_proof_is_the_whole_page_at_twice_the_size(page: Page) -> None:
    frame = open_proof(page)
    with page.expect_download() as started:
        page.get_by_role("button", name="Page options").click()
        page.get_by_role("menuitem", name="Picture, PNG at 2x").click()
    picture = Image.open(BytesIO(started.value.path().read_bytes())).convert("RGB")
    height = frame.evaluate("() => document.documentElement.scrollHeight")
    assert picture.size == (2560, 2 * height)
    assert picture.getpixel((8, 8)) == (0xF9, 0xFA, 0xFD)
    assert picture.getpixel((8, 2 * height - 8)) == (0x13, 0x1C, 0x4C)


@pytest.mark.detail
def test_the_pages_stay_in_their_frame_and_follow_a_drag(page: Page) -> None:
    frame = open_proof(page)
    leaked = page.evaluate("() => getComputedStyle(document.body).getPropertyValue('--size-h1')")
    assert leaked == ""
    opening, before = (
        frame.locator(f"[data-section={section}]").evaluate("one => getComputedStyle(one).backgroundColor")
        for section in ("opening", "offers")
    )
    page.get_by_role("radio", name="Night", exact=True).click()
    frame.wait_for_function(
        """before => getComputedStyle(document.querySelector('[data-section=offers]'))
          .backgroundColor !== before""",
        arg=before,
    )
    # The fill stays.
    stays = frame.locator("[data-section=opening]").evaluate("one => getComputedStyle(one).backgroundColor")
    assert stays == opening
    page.get_by_role("radio", name="Scatter").click()
    expect(page.get_by_test_id("scatter").locator("path")).to_have_count(24 * 14)
    page.get_by_role("radio", name="Woven").click()
    expect(page.get_by_test_id("scatter").locator("path")).to_have_count(32 * 18)
