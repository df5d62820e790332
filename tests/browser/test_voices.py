"""The voices of the sample pages in a real browser: whole, within the plan, in the user's own words."""

from __future__ import annotations

import re
from io import BytesIO
from typing import Any

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Frame, Page, Route, expect

from tests.browser.axe import axe_violations
from tests.browser.conftest import open_demo
from tests.browser.saving import saved
from tests.sampling import some
from tonada.core.color.spaces import hex_to_srgb8, hexes_to_srgb8
from tonada.core.proof.pages import PAGES
from tonada.core.proof.toning import Toning, toned
from tonada.core.proof.voices import VOICES
from tonada.core.take.proof_settings import VoiceId
from tonada.core.take.take import Role
from tonada.document.take import TakeDocument

ASK = """async ([method, path, body]) => {
  const { csrf_token } = await (await fetch('/api/session')).json()
  const headers = { 'Content-Type': 'application/json', 'X-CSRF-Token': csrf_token }
  return await (await fetch(path, { method, headers, body: body && JSON.stringify(body) })).json()
}"""
# Of the home page of a fresh proposal: how far what is painted may lie from the plan.
POINTS = 5
HEADLINE = {"page": "home", "part": "Opening’s heading"}


def ask(page: Page, method: str, path: str, body: object = None) -> Any:
    return page.evaluate(ASK, [method, path, body])


def fresh_brand(page: Page) -> tuple[str, str]:
    """Make a brand from the three colours of a mill, as a user who takes every suggestion."""
    page.goto("/")
    brand = ask(page, "POST", "/api/brands", {"name": "Overlook"})["id"]
    take = ask(page, "GET", f"/api/brands/{brand}")["takes"][0]["id"]
    colors = [
        {"hex": value, "share": share}
        for value, share in (("#8a3f24", 0.5), ("#2f6072", 0.3), ("#dfa847", 0.1))
    ]
    proposal = ask(page, "POST", "/api/proposals", {"colors": colors})
    save(page, take, lambda document: document | proposal["document"])
    return brand, take


def save(page: Page, take: str, change: Any) -> None:
    before = ask(page, "GET", f"/api/takes/{take}")
    body = {"document": change(before["document"]), "revision": before["revision"]}
    assert "document" in ask(page, "PUT", f"/api/takes/{take}", body)


def spoken_by(page: Page, brand: str, take: str, voice: VoiceId, name: str = "home") -> Frame:
    def with_voice(document: dict[str, Any]) -> dict[str, Any]:
        return document | {"proof": document["proof"] | {"voice": voice}}

    save(page, take, with_voice)
    page.goto(f"/brands/{brand}/takes/{take}/proof/{name}")
    return frame_of(page)


def frame_of(page: Page) -> Frame:
    expect(page.get_by_test_id("short-parts")).to_contain_text(re.compile(r"[1-9]\d* elements"))
    frame = page.locator("[data-testid=stage] iframe").element_handle().content_frame()
    assert frame
    frame.locator("[data-part]").first.wait_for()
    return frame


def test_every_home_page_is_whole_and_paints_what_was_planned(page: Page) -> None:
    brand, take = fresh_brand(page)
    document = TakeDocument.model_validate(ask(page, "GET", f"/api/takes/{take}")["document"])
    accent = "rgb({}, {}, {})".format(*hex_to_srgb8(document.to_take().hex_of(Role.ACCENT)))
    for voice in some(VOICES, 3):
        frame = spoken_by(page, brand, take, voice.id)
        sections = frame.locator("[data-section]").evaluate_all("all => all.map(one => one.dataset.section)")
        assert sections == [part.id for part in voice.home]
        expect(page.get_by_test_id("short-parts")).to_contain_text("all pass")
        names = frame.locator("[data-part]").evaluate_all("all => all.map(one => one.dataset.part)")
        assert len(set(names)) == len(names), (voice.id, sorted(names))
        painted = page.get_by_test_id("painted").locator("tr")
        # Until the page has been measured nothing is said of it.
        expect(painted.nth(2)).to_contain_text(re.compile(r"Call to action.*\d+%.*\d+%", re.DOTALL))
        for row in painted.all()[:3]:
            found, planned = (int(one) for one in re.findall(r"(\d+)\s*%", row.inner_text()))
            assert abs(found - planned) <= POINTS, (voice.id, row.inner_text())
        assert axe_violations(frame) == [], voice.id
        # The accent calls in the first view, whatever its ground: by the button, or above the heading.
        shown = frame.locator("[data-section=opening]").evaluate(PAINTED)
        assert accent in shown, (voice.id, shown)


# Every colour that something in a section is filled with, as a browser computes it.
PAINTED = """section => [section, ...section.querySelectorAll('*')]
  .map(one => getComputedStyle(one).backgroundColor)"""


@pytest.mark.detail
def test_no_page_is_wider_than_its_window(page: Page) -> None:
    brand, take = fresh_brand(page)
    long = "Donaudampfschifffahrtsgesellschaftskapitänswitwenrente"
    save(
        page,
        take,
        lambda document: document | {"proof": document["proof"] | {"texts": [HEADLINE | {"text": long}]}},
    )
    pages: list[tuple[VoiceId, str]] = [(one.id, "home") for one in VOICES]
    pages += [("hall", one.id) for one in PAGES]
    for voice, name in some(pages, 6):
        frame = spoken_by(page, brand, take, voice, name)
        for width, window in {"Tablet": 820, "Phone": 390}.items():
            page.get_by_role("radio", name=width).click()
            frame.wait_for_function("wide => innerWidth === wide", arg=window)
            assert frame.evaluate("document.documentElement.scrollWidth") <= window, (voice, name, width)


@pytest.mark.detail
def test_a_trade_is_chosen_and_its_words_are_the_designers_own(page: Page) -> None:
    open_demo(page, step="proof")
    frame = frame_of(page)
    page.get_by_role("tab", name="Content").click()
    page.get_by_role("button", name="Trade: An observatory, as guessed").click()
    page.get_by_role("option", name="A concert hall").click()
    expect(frame.locator("[data-section=programme]")).to_be_visible()
    page.get_by_label("Headline").fill("Nine hundred seats, one sky")
    page.get_by_label("Line above it").fill("Überall ・ 星")
    page.get_by_label("Button").fill("Come up")
    page.keyboard.press("Tab")
    expect(frame.get_by_role("heading", name="Nine hundred seats, one sky")).to_be_visible()
    expect(frame.locator("[data-part='Opening’s kicker']")).to_have_text("Überall ・ 星")
    expect(frame.locator("[data-part='Opening’s button, label']")).to_have_text("Come up")
    saved(page, 2)
    page.reload()
    frame = frame_of(page)
    expect(frame.get_by_role("heading", name="Nine hundred seats, one sky")).to_be_visible()
    page.get_by_role("tab", name="Content").click()
    page.get_by_label("Headline").fill("")
    page.keyboard.press("Tab")
    expect(frame.get_by_role("heading", name="Sit close")).to_be_visible()


def show_picture(page: Page, brand: str, take: str, picture: Image.Image) -> Frame:
    """Add a picture in Source, and have it on the pages, with Content open."""
    written = BytesIO()
    picture.save(written, "PNG")
    page.goto(f"/brands/{brand}/takes/{take}/source")
    file = {"name": "meadow.png", "mimeType": "image/png", "buffer": written.getvalue()}
    page.get_by_test_id("any-file").set_input_files([file])
    expect(page.get_by_role("button", name="meadow.png").first).to_be_visible()
    page.get_by_role("link", name="Proof").click()
    frame = frame_of(page)
    page.get_by_role("tab", name="Content").click()
    page.get_by_role("button", name=re.compile("^Picture:")).click()
    page.get_by_role("option", name="meadow.png").click()
    return frame


@pytest.mark.detail
def test_where_a_name_says_nothing_one_question_is_asked(page: Page) -> None:
    brand, take = fresh_brand(page)
    page.goto(f"/brands/{brand}/takes/{take}/proof/home")
    frame = frame_of(page)
    expect(frame.get_by_role("heading", name="Overlook", exact=True).first).to_be_visible()
    question = page.get_by_test_id("trade-question")
    expect(question.get_by_role("button")).to_have_count(6)
    question.get_by_role("button", name="A shop").focus()
    page.keyboard.press("Enter")
    expect(frame.get_by_role("heading", name="Things that are used until they are thin")).to_be_visible()
    expect(question).to_have_count(0)
    page.keyboard.press("Control+z")
    question.get_by_role("button", name="Another trade: Something else…").click()
    page.get_by_role("option", name="A hotel").click()
    expect(frame.get_by_role("heading", name="Wake up with the lake in the room")).to_be_visible()
    # Whoever chose to have none isn't asked again.
    page.get_by_role("tab", name="Content").click()
    page.get_by_role("button", name="Trade: A hotel").click()
    page.get_by_role("option", name="No trade", exact=True).click()
    expect(frame.get_by_role("heading", name="What Overlook stands for")).to_be_visible()
    expect(page.get_by_test_id("trade-question")).to_have_count(0)


@pytest.mark.detail
def test_a_text_over_a_picture_is_counted_by_the_worst_pixel(page: Page) -> None:
    brand, take = fresh_brand(page)
    grain = Image.effect_noise((400, 300), 80).convert("RGB")
    frame = show_picture(page, brand, take, grain)
    expect(frame.locator("[data-picture] .layer")).to_have_count(1)
    height = frame.locator("[data-section=opening]").evaluate("one => one.getBoundingClientRect().height")
    assert height >= 460
    page.get_by_role("tab", name="Element").click()
    expect(page.get_by_test_id("short-parts")).to_contain_text("all pass")
    page.get_by_role("tab", name="Content").click()
    page.get_by_role("button", name=re.compile("^Overlay on the picture: As much")).click()
    page.get_by_role("option", name="Nothing").click()
    expect(frame.locator("[data-picture] .layer")).to_have_count(0)
    page.get_by_role("tab", name="Element").click()
    expect(page.get_by_test_id("short-parts")).to_contain_text(re.compile(r"[1-9] fail"))


@pytest.mark.detail
def test_a_shape_of_a_picture_is_a_role_that_can_be_chosen(page: Page) -> None:
    open_demo(page, step="roles")
    shown = page.frame_locator("[data-testid=page] iframe")
    shown.locator("[data-part='Opening’s picture'] [data-paint=accent]").first.click()
    expect(page.get_by_role("tab", name="Role", exact=True)).to_have_attribute("aria-selected", "true")
    expect(page.get_by_role("heading", name="Accent", exact=True)).to_be_visible()


@pytest.mark.detail
def test_the_brands_picture_takes_the_place_of_the_drawn_one_in_two_colours(page: Page) -> None:
    """The browser's filter and the core, which measures texts over it, mix the same colours."""
    brand, take = fresh_brand(page)
    grey = np.full((400, 400, 3), (90, 160, 30), dtype=np.uint8)
    frame = show_picture(page, brand, take, Image.fromarray(grey))
    expect(frame.locator("[data-picture]")).to_have_count(1)
    page.get_by_role("radio", name="Beside them").click()
    picture = frame.locator("[data-part='Opening’s picture'] img")
    expect(picture).to_be_visible()
    page.get_by_role("radio", name="Duotone").click()
    page.get_by_role("button", name="Light parts: Paper").click()
    page.get_by_role("option", name="Accent", exact=True).click()
    expect(page.get_by_role("button", name="Dark parts: Deep")).to_be_visible()
    frame.wait_for_function("() => document.querySelector('.drawn > img')?.style.filter")
    seen = np.asarray(Image.open(BytesIO(picture.screenshot())).convert("RGB"))
    # A page keeps what it was proposed: Deep and the accent as they are said beside it.
    roles = {one["role"]: one for one in ask(page, "GET", f"/api/takes/{take}")["document"]["roles"]}
    assert {"deep", "accent"} <= set(roles)
    document = ask(page, "GET", f"/api/takes/{take}")["document"]
    grounds = {
        one["id"]: one["hex"] for one in ask(page, "POST", "/api/proof", {"document": document})["grounds"]
    }
    ends = (hexes_to_srgb8((grounds["deep"], grounds["accent"])) / 255).tolist()
    toning = Toning(tuple(ends[0]), tuple(ends[1]), by_luma=True)
    expected = toned(grey[:1, :1], toning)[0, 0].astype(int)
    middle = seen[seen.shape[0] // 2, seen.shape[1] // 2].astype(int)
    assert np.abs(middle - expected).max() <= 2, (middle, expected, hexes_to_srgb8(tuple(grounds.values())))


@pytest.mark.detail(3)
def test_what_is_being_typed_stays_when_an_answer_comes(page: Page) -> None:
    open_demo(page, step="proof")
    frame_of(page)
    page.get_by_role("tab", name="Type").click()
    held: list[Route] = []
    page.route("**/api/proof", lambda route: held.append(route))
    with page.expect_request("**/api/proof"):
        page.get_by_role("radio", name="Fraunces / Work Sans").click()
    size = page.get_by_label("Size of Heading 1 in pixels")
    size.fill("51")
    with page.expect_response("**/api/proof"):
        held[0].continue_()
    # Two frames: what the answer changes has been drawn.
    page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))")
    expect(size).to_have_value("51")


@pytest.mark.detail
def test_type_is_chosen_by_looking_and_a_size_out_of_range_is_said(page: Page) -> None:
    open_demo(page, step="proof")
    frame = frame_of(page)
    page.get_by_role("tab", name="Type").click()
    specimens = page.get_by_role("radiogroup", name="Fonts that go together")
    specimens.get_by_role("radio", name="Fraunces / Work Sans").click()
    family = "() => getComputedStyle(document.querySelector('h1')).fontFamily"
    frame.wait_for_function(f"() => ({family})().includes('Fraunces')")
    size = page.get_by_label("Size of Heading 1 in pixels")
    size.fill("500")
    page.keyboard.press("Tab")
    expect(page.get_by_role("alert")).to_contain_text(
        "Type a whole number from 8 to 200. Nothing was changed."
    )
    expect(size).to_have_value("500")
    assert frame.evaluate("() => getComputedStyle(document.querySelector('h1')).fontSize") == "51px", (
        "the observatory’s"
    )
    page.get_by_role("button", name="Ratio of the scale: By a ratio…").click()
    page.get_by_role("option", name="By 1.5 fifth").click()
    frame.wait_for_function("() => getComputedStyle(document.querySelector('h1')).fontSize === '81px'")
    page.get_by_role("radiogroup", name="Sizes for").get_by_role("radio", name="Phone").click()
    page.get_by_label("Size of Heading 1 in pixels").fill("30")
    page.keyboard.press("Tab")
    page.get_by_role("radiogroup", name="Width").get_by_role("radio", name="Phone").click()
    frame.wait_for_function("() => getComputedStyle(document.querySelector('h1')).fontSize === '30px'")
    page.get_by_role("button", name="Let Heading 1 follow the wide size").click()
    frame.wait_for_function("() => getComputedStyle(document.querySelector('h1')).fontSize === '55px'")


@pytest.mark.detail
def test_the_dashboard_speaks_for_its_trade_as_well(page: Page) -> None:
    brand, take = fresh_brand(page)
    for voice, lines, bars in (
        ("hall", "Seats by day", "How they booked"),
        ("mill", "Metres by day", "Who orders"),
    ):
        frame = spoken_by(page, brand, take, voice, "dashboard")
        headings = frame.get_by_role("heading")
        assert frame.get_by_role("img", name=f"{lines}, rising").count() == 1
        assert {lines, bars} <= set(headings.all_inner_texts())
