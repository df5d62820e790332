"""A review that outlives its server: as one file without any, and under a newer Tonada."""

from __future__ import annotations

import io
import json
import shutil
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image
from playwright.sync_api import Browser, Page, expect

from tests.browser.conftest import new_context, opened_page
from tests.browser.review import client_page, frame_of, say, shown
from tests.browser.servers import ROOT, Server

# What a list box points at while the keyboard moves through it.
ACTIVE = """
() => {
  const id = document.activeElement.getAttribute('aria-activedescendant')
  return id && document.getElementById(id)?.textContent.trim()
}
"""
PHONE: dict[str, Any] = {"viewport": {"width": 375, "height": 740}, "has_touch": True, "is_mobile": True}


@pytest.mark.detail(3)
def test_a_file_works_without_a_server_and_its_answers_come_back(
    page: Page, browser: Browser, tmp_path: Path
) -> None:
    made = shown(page)
    review = made["review"]["id"]
    page.goto(f"/brands/{made['review']['brand_id']}/reviews/{review}")
    with page.expect_download() as download:
        page.get_by_role("link", name="Review as a file").click()
    file = tmp_path / download.value.suggested_filename
    download.value.save_as(file)
    assert file.name == "Orrin Peak Observatory colours.html"

    context = browser.new_context(viewport={"width": 1280, "height": 800}, offline=True)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    client = context.new_page()
    complaints: list[str] = []
    requests: list[str] = []
    client.on("pageerror", lambda error: complaints.append(str(error)))
    client.on("console", lambda said: complaints.append(said.text) if said.type == "error" else None)
    client.on("request", lambda request: requests.append(request.url))
    client.goto(file.as_uri())
    frame = frame_of(client, "Midnight")
    # In its own typeface, which is in the file.
    assert client.evaluate("[...document.fonts].some((one) => one.status === 'loaded')")
    heading = frame.locator("[data-part='Opening’s heading']")
    heading.click()
    say(client, "Schön — “sehr” 夜", name="Zoë")
    client.get_by_role("button", name="Choose this one: Dusk").click()
    client.get_by_role("button", name="Approve Dusk").click()
    client.get_by_label("I approve these colours").check()
    client.get_by_role("dialog").get_by_role("button", name="Approve", exact=True).click()
    expect(client.get_by_text("Dusk is approved.")).to_be_visible()
    # It is still there when the file is opened again.
    client.reload()
    expect(client.get_by_text("Dusk is approved.")).to_be_visible()
    client.get_by_role("button", name="Send your answers back").click()
    client.get_by_role("button", name="Copy them as text").click()
    expect(client.get_by_role("button", name="Copied")).to_be_visible()
    text = client.evaluate("navigator.clipboard.readText()")
    with client.expect_download() as answers:
        client.get_by_role("button", name="Save your answers").click()
    saved = tmp_path / "answers.json"
    answers.value.save_as(saved)
    assert [one for one in requests if not one.startswith(("file:", "data:", "blob:", "about:"))] == []
    assert complaints == []
    context.close()

    page.get_by_role("button", name="Import answers").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Or the text of the email").fill("> Hello,\n> " + text.replace("\n", "\n> "))
    dialog.get_by_role("button", name="Import").click()
    expect(dialog.get_by_text("Zoë’s answers were imported, with one new remark.")).to_be_visible()
    # The file says the same again, and adds nothing.
    dialog.get_by_label("The file that came back").set_input_files(saved)
    expect(dialog.get_by_text("Zoë’s answers were imported, with 0 new remarks.")).to_be_visible()
    dialog.get_by_role("button", name="Close").click()
    expect(page.get_by_role("heading", name="Zoë approved Dusk")).to_be_visible()
    expect(page.get_by_role("article").filter(has_text="Schön — “sehr” 夜")).to_have_count(1)


def test_answers_that_are_none_are_refused(page: Page) -> None:
    made = shown(page)
    page.goto(f"/brands/{made['review']['brand_id']}/reviews/{made['review']['id']}")
    page.get_by_role("button", name="Import answers").click()
    dialog = page.get_by_role("dialog")
    for text in ("Hello", json.dumps({"format": "other"}), "TONADA ANSWERS\nabc\nEND OF ANSWERS"):
        dialog.get_by_label("Or the text of the email").fill(text)
        dialog.get_by_role("button", name="Import").click()
        expect(dialog.get_by_role("alert")).to_be_visible()
        page.wait_for_function("() => !document.querySelector('[role=dialog] [role=status]')")


@pytest.mark.long
def test_a_review_looks_the_same_after_tonada_was_brought_up_to_date(
    browser: Browser, own_server: Server, tmp_path: Path
) -> None:
    """Another Tonada has other words and other type on its pages; reviews of before have not."""
    path = new_link(browser, own_server)
    before = pictures_of(browser, own_server, path)
    newer = tmp_path / "dist"
    shutil.copytree(ROOT / "frontend/dist", newer)
    script, style = newer / "pages/pages.js", newer / "pages/pages.css"
    script.write_text(script.read_text().replace("Book a place", "Reserve now"))
    style.write_text(style.read_text() + "h1{letter-spacing:.2em;font-family:serif!important}")
    own_server.stop()
    own_server.environment["TONADA_FRONTEND"] = str(newer)
    own_server.start()
    after = pictures_of(browser, own_server, path)
    for old, new in zip(before, after, strict=True):
        assert np.array_equal(old, new)
    # What is shown now is drawn by the newer one.
    with client_page(browser, own_server, new_link(browser, own_server)) as client:
        expect(frame_of(client, "Midnight").get_by_text("Reserve now").first).to_be_visible()
        expect(frame_of(client, "Midnight").get_by_text("Book a place")).to_have_count(0)


def new_link(browser: Browser, server: Server) -> str:
    with new_context(browser, server) as context, opened_page(context) as page:
        path: str = shown(page)["link"]["path"]
    return path


def pictures_of(browser: Browser, server: Server, path: str) -> list[Any]:
    found = []
    with client_page(browser, server, path, reduced_motion="reduce") as client:
        for take in ("Midnight", "Dusk"):
            frame_of(client, take)
        for frame in client.frames[1:]:
            frame.evaluate("document.fonts.ready.then(() => true)")
            frame.evaluate("Promise.all([...document.images].map((one) => one.decode())).then(() => true)")
        client.evaluate("new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))")
        for element in client.locator("iframe").all():
            found.append(np.asarray(Image.open(io.BytesIO(element.screenshot())).convert("RGB")))
    assert len(found) == 4, "each take on a wide window, and on a phone"
    return found
