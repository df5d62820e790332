"""Remakes docs/screenshots/: the real server with the demo data, in Debian's Chromium."""

from __future__ import annotations

import os
import re
import socket
import subprocess
import sys
import tempfile
import time
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

ROOT = Path(__file__).resolve().parents[1]
TARGET = ROOT / "docs" / "screenshots"
# The interface's own typeface comes after the first view.
TYPEFACE_IS_THERE = """() => [...document.fonts].some(
  one => one.family.includes('Bricolage') && one.status === 'loaded')"""
FLAGS = ["--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking"]


def brands(page: Page) -> None:
    page.goto("/")
    page.get_by_role("link", name="Orrin Peak Observatory").wait_for()


def source(page: Page) -> None:
    brands(page)
    page.get_by_role("link", name="Orrin Peak Observatory").click()
    page.get_by_test_id("roles-made").wait_for()


def photograph(page: Page) -> None:
    source(page)
    page.get_by_role("button", name="dusk-ridge.jpg").first.click()
    box = page.get_by_test_id("loupe").bounding_box()
    assert box
    page.mouse.move(box["x"] + box["width"] * 0.3, box["y"] + box["height"] * 0.645)
    page.get_by_test_id("loupe").locator("svg").wait_for()


def stylesheet(page: Page) -> None:
    source(page)
    page.get_by_role("button", name="old-site.css").first.click()
    page.get_by_text("colours in use").wait_for()


def pairs(page: Page) -> None:
    source(page)
    page.get_by_role("navigation", name="Takes").get_by_role("link", name="Take 2").click()
    page.get_by_role("link", name=re.compile("Pairs")).click()
    page.get_by_test_id("mends").wait_for()


def harmony(page: Page) -> None:
    source(page)
    # What sRGB has at the chroma of Primary is a picture, and takes the server a moment.
    with page.expect_response(re.compile(r"/api/stave/field\?chroma=0\.14$")):
        page.get_by_role("link", name="Harmony").click()
        page.get_by_role("slider", name="Primary, Link", exact=True).focus()


def roles(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Roles").click()
    page.locator("[data-flag=muted]").wait_for()


def roles_by_night(page: Page) -> None:
    roles(page)
    page.get_by_role("radio", name="Night").click()
    page.locator("[data-flag=muted]").focus()


def grid(page: Page) -> None:
    pairs(page)
    page.get_by_role("radio", name="Grid").click()
    page.get_by_test_id("grid").wait_for()


def proof(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Proof").click()
    frame = page.frame_locator("[data-testid=stage] iframe")
    frame.locator("[data-part='Opening’s paragraph']").click()
    page.get_by_test_id("part-ratio").wait_for()


def proof_by_night(page: Page) -> None:
    proof(page)
    page.get_by_role("radio", name="Dashboard").click()
    page.get_by_role("radio", name="Night").click()
    page.get_by_role("tab", name="Grounds").click()
    time.sleep(0.6)


def handoff(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Handoff").click()
    page.get_by_role("radio", name="Files").click()
    page.get_by_role("button", name="PDF sheet").click()
    page.get_by_test_id("sheet").get_by_role("img").wait_for()


def slots(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Handoff").click()
    page.get_by_role("radio", name="Slot sheet").click()
    page.get_by_test_id("slots").wait_for()
    for count in (0, 1, 2):
        if count:
            page.keyboard.press("c")
        page.get_by_text(re.compile(rf"^{count} of \d+ copied$")).wait_for()


def act(page: Page, action: str) -> None:
    page.get_by_role("button", name="Options for this take").click()
    page.get_by_role("menuitem", name=action, exact=True).click()


def recolour(page: Page) -> None:
    pairs(page)
    page.get_by_role("link", name="Handoff").click()
    page.get_by_role("radio", name="Recolour a stylesheet").click()
    page.get_by_test_id("rules").wait_for()


def compare(page: Page) -> None:
    source(page)
    act(page, "Compare takes")
    page.get_by_test_id("columns").locator("section").first.wait_for()


def ready_made(page: Page) -> None:
    source(page)
    page.get_by_role("link", name="Ready-made palettes").click()
    cards = page.get_by_test_id("palettes").get_by_role("radio")
    cards.first.wait_for()
    page.get_by_test_id("find-stave").click(position={"x": 108, "y": 88})
    page.get_by_role("button", name=re.compile("^Note 1")).wait_for()
    page.get_by_role("button", name="warm", exact=True).click()
    page.get_by_text(re.compile(r"^\d+ of 480$")).wait_for()
    cards.nth(5).click()
    page.get_by_text("by day and by night").wait_for()
    time.sleep(1)


def reviews(page: Page) -> None:
    brands(page)
    page.get_by_role("link", name=re.compile("^Midnight approved by Ana")).click()
    page.get_by_role("heading", name="Ana approved Midnight").wait_for()


def review(page: Page) -> None:
    """The client's page, before anything is approved: the demo's review is opened again for it."""
    reviews(page)
    page.get_by_role("button", name="Reopen").first.click()
    page.get_by_role("dialog").get_by_role("button", name="Reopen").click()
    page.get_by_role("button", name="New link").click()
    page.get_by_role("dialog").get_by_label("Recipient").fill("Ana")
    page.get_by_role("dialog").get_by_role("button", name="Make the link").click()
    path = page.get_by_role("link", name="View it as the client").get_attribute("href")
    page.goto(str(path))
    page.get_by_role("button", name="Choose this one: Midnight").click()
    page.get_by_text("You chose Midnight.").wait_for()
    for take in ("Midnight", "Dusk"):
        frame = page.frame_locator(f"iframe[title='A page in the colours of {take}']")
        frame.locator("[data-part]").first.wait_for()
    time.sleep(1)


def dark(page: Page) -> None:
    page.evaluate("localStorage.setItem('tonada-workspace', 'dark')")
    pairs(page)


SHOTS = {
    "brands": brands,
    "source": source,
    "source-photograph": photograph,
    "source-stylesheet": stylesheet,
    "harmony": harmony,
    "roles": roles,
    "roles-night": roles_by_night,
    "pairs": pairs,
    "grid": grid,
    "proof": proof,
    "proof-night": proof_by_night,
    "handoff": handoff,
    "slots": slots,
    "ready-made": ready_made,
    "compare": compare,
    "recolour": recolour,
    "reviews": reviews,
    "review": review,
    "pairs-dark": dark,
}


def main() -> None:
    TARGET.mkdir(parents=True, exist_ok=True)
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    with tempfile.TemporaryDirectory(prefix="tonada-shots-") as data:
        Path(data).chmod(0o755)
        command = [sys.executable, "-m", "tonada.cli", "serve", "--demo"]
        server = subprocess.Popen(
            command, env={**os.environ, "PORT": str(port), "TONADA_DATA": data}, stdout=subprocess.PIPE
        )
        try:
            assert server.stdout, "the server's first line says that it is up"
            server.stdout.readline()
            shoot(f"http://127.0.0.1:{port}")
        finally:
            server.terminate()
            server.wait()


def shoot(address: str) -> None:
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium-headless-shell", args=FLAGS)
        context = browser.new_context(viewport={"width": 1280, "height": 800}, base_url=address)
        page = context.new_page()
        for name, go in SHOTS.items():
            go(page)
            page.evaluate("document.fonts.ready")
            time.sleep(0.4)
            page.wait_for_function(TYPEFACE_IS_THERE)
            page.screenshot(path=TARGET / f"{name}.png")
            print(f"docs/screenshots/{name}.png")
        browser.close()


if __name__ == "__main__":
    main()
