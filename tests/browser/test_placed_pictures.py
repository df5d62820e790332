"""Pictures of the brand in places of a page: where they are put, what stays in view, in which tone."""

from __future__ import annotations

import re
from io import BytesIO
from pathlib import Path

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Browser, Frame, Page, expect

from tests.browser.axe import axe_violations
from tests.browser.conftest import open_demo
from tests.browser.review import client_page, offline_page, shown
from tests.browser.review import frame_of as client_frame
from tests.browser.saving import revision, saved
from tests.browser.servers import Server
from tests.browser.test_own_texts import ARABIC, HEADING, letters_are_there, type_over
from tests.browser.test_voices import ask, frame_of
from tonada.core.proof.toning import toned, toning_of
from tonada.core.take.proof_settings import PictureTone
from tonada.document.take import TakeDocument

PLACE = "Offer 2, picture"
PICTURE = f"[data-part='{PLACE}'] img"
GREEN = (90, 160, 30)
# Where a colour starts in the picture that is put there, from the left.
EDGE = 0.75


def picture_file() -> dict[str, object]:
    """A wide picture: green, and from EDGE on blue."""
    pixels = np.full((300, 1200, 3), GREEN, dtype=np.uint8)
    pixels[:, int(1200 * EDGE) :] = (20, 40, 200)
    written = BytesIO()
    Image.fromarray(pixels).save(written, "PNG")
    return {"name": "meadow.png", "mimeType": "image/png", "buffer": written.getvalue()}


def put(page: Page) -> Frame:
    """Add a picture at a place of the demo's home page."""
    open_demo(page, step="proof")
    frame = frame_of(page)
    frame.locator(f"[data-part='{PLACE}']").click()
    page.get_by_test_id("picture-file").set_input_files([picture_file()])
    expect(frame.locator(PICTURE)).to_be_visible()
    return frame


def middle_of(frame: Frame) -> tuple[int, ...]:
    """Return the colour in the middle of the place."""
    frame.wait_for_function("part => document.querySelector(part).complete", arg=PICTURE)
    seen = np.asarray(Image.open(BytesIO(frame.locator(PICTURE).screenshot())).convert("RGB"))
    return tuple(seen[seen.shape[0] // 2, seen.shape[1] // 2].tolist())


def test_a_picture_is_put_where_a_drawing_was_and_a_point_of_it_stays_in_view(page: Page) -> None:
    frame = put(page)
    assert middle_of(frame) == GREEN
    point = page.get_by_role("button", name=re.compile("^Point that stays in view: 50 per cent"))
    before = revision(page)
    area = page.get_by_test_id("picture-view").bounding_box()
    assert area
    page.mouse.move(area["x"] + area["width"] / 2, area["y"] + area["height"] / 2)
    page.mouse.down()
    page.mouse.move(area["x"] + area["width"], area["y"] + area["height"] / 2, steps=4)
    # The page follows before the point is let go.
    expect(frame.locator(PICTURE)).to_have_css("object-position", "100% 50%")
    page.mouse.up()
    saved(page, before + 1)
    assert middle_of(frame) == (20, 40, 200)
    page.get_by_role("button", name="Undo").click()
    expect(frame.locator(PICTURE)).to_have_css("object-position", "50% 50%")
    point.focus()
    page.keyboard.press("Shift+ArrowLeft")
    page.keyboard.press("ArrowUp")
    expect(frame.locator(PICTURE)).to_have_css("object-position", "40% 49%")
    page.get_by_label("Closer").fill("2")
    expect(frame.locator(PICTURE)).to_have_css("transform", "matrix(2, 0, 0, 2, 0, 0)")
    assert axe_violations(page.main_frame) == []
    page.get_by_role("button", name="Close").click()
    page.reload()
    frame = frame_of(page)
    expect(frame.locator(PICTURE)).to_have_css("object-position", "40% 49%")
    frame.locator(f"[data-part='{PLACE}']").click()
    page.get_by_role("button", name="Picture here: meadow.png").click()
    page.get_by_role("option", name="The page’s own").click()
    expect(frame.locator(f"[data-part='{PLACE}'] [data-scene]")).to_be_visible()


@pytest.mark.parametrize("kind", ["Duotone", "Tinted"])
def test_a_tone_is_what_the_core_makes_of_the_colours(page: Page, kind: str) -> None:
    frame = put(page)
    page.get_by_role("radio", name=kind).click()
    expect(frame.locator(PICTURE)).to_have_attribute("style", re.compile("filter"))
    saved(page, 2)
    take = re.search(r"/takes/([^/]+)", page.url)
    assert take
    document = ask(page, "GET", f"/api/takes/{take[1]}")["document"]
    tone = document["proof"]["pictures"][0]["tone"]
    toning = toning_of(TakeDocument.model_validate(document).to_take(), PictureTone(**tone))
    assert toning
    expected = toned(np.array([[GREEN]], dtype=np.uint8), toning)[0, 0].astype(int)
    assert np.abs(np.array(middle_of(frame)) - expected).max() <= 2


def test_a_file_that_is_no_picture_is_kept_in_source_and_that_is_said(page: Page) -> None:
    open_demo(page, step="proof")
    frame_of(page).locator(f"[data-part='{PLACE}']").click()
    style = {"name": "a.css", "mimeType": "text/css", "buffer": b":root{--leaf:#2e7d32}"}
    page.get_by_test_id("picture-file").set_input_files([style])
    said = page.get_by_role("alert").filter(has_text="This is no picture. It is kept in Source.")
    expect(said).to_be_visible()
    expect(page.get_by_role("button", name="Picture here: The page’s own")).to_be_visible()


def test_a_client_sees_pictures_and_letters_by_link_and_in_one_file(
    page: Page, browser: Browser, server: Server, tmp_path: Path
) -> None:
    frame = put(page)
    page.get_by_role("radio", name="Duotone").click()
    type_over(page, frame, "Opening’s heading", ARABIC)
    saved(page, 3)
    made = shown(page)

    def is_whole(seen: Frame) -> None:
        expect(seen.locator(HEADING)).to_have_text(ARABIC)
        letters_are_there(seen, "Arab")
        expect(seen.locator(PICTURE)).to_have_attribute("style", re.compile("filter"))
        assert seen.locator(PICTURE).evaluate("one => one.decode().then(() => one.naturalWidth)") == 1200

    with client_page(browser, server, made["review"] and made["link"]["path"]) as client:
        is_whole(drawn_in(client))
    with offline_page(page, browser, made, tmp_path) as outside:
        is_whole(drawn_in(outside))


def drawn_in(page: Page) -> Frame:
    """Return the frame of the first take that a client sees."""
    client_frame(page, "Midnight").locator(HEADING).wait_for()
    handle = page.locator("iframe").first.element_handle()
    frame = handle.content_frame()
    assert frame
    return frame
