"""A client beside the designer: a browser of their own, which has a link and nothing else."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from playwright.sync_api import Browser, FrameLocator, Page, expect

from tests.browser.servers import Server

NAME = "Orrin Peak Observatory"


def ask(page: Page, method: str, path: str, body: Any = None) -> Any:
    """Ask the server as the page would, with its session's token."""
    return page.evaluate(
        """async ([method, path, body]) => {
          const { csrf_token } = await (await fetch('/api/session')).json()
          const headers = { 'X-CSRF-Token': csrf_token, 'Content-Type': 'application/json' }
          const given = body === null ? undefined : JSON.stringify(body)
          const answer = await fetch(path, { method, headers, body: given })
          if (!answer.ok) throw new Error(await answer.text())
          return answer.json()
        }""",
        [method, path, body],
    )


def brand_of(page: Page, name: str = NAME) -> dict[str, Any]:
    """Return a demo brand with its takes. The page is left where it is, on the server."""
    page.goto("/favicon.svg")
    listed = ask(page, "GET", "/api/brands")["brands"]
    brand = next(one["brand"] for one in listed if one["brand"]["name"] == name)
    found: dict[str, Any] = ask(page, "GET", f"/api/brands/{brand['id']}")
    return found


def shown(page: Page, **asked: Any) -> dict[str, Any]:
    """Show two takes of the observatory; return the answer, with the path of the link."""
    brand = brand_of(page)
    takes = [
        {"take": brand["takes"][0]["id"], "name": "Midnight"},
        {"take": brand["takes"][2]["id"], "name": "Dusk"},
    ]
    body = {"takes": takes, "pages": ["home", "article"], "greeting": "Two suggestions.", **asked}
    made: dict[str, Any] = ask(page, "POST", f"/api/brands/{brand['brand']['id']}/reviews", body)
    return made


@contextmanager
def client_page(browser: Browser, server: Server, path: str, **options: Any) -> Iterator[Page]:
    """The page behind a link, in a browser that has never been here, which complains of nothing."""
    size = options.pop("viewport", {"width": 1280, "height": 800})
    context = browser.new_context(base_url=server.url, viewport=size, **options)
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    page = context.new_page()
    page.set_default_timeout(30_000)
    complaints: list[str] = []
    page.on("pageerror", lambda error: complaints.append(str(error)))
    page.on(
        "console",
        lambda message: (
            complaints.append(message.text)
            if message.type == "error" and "Failed to load resource" not in message.text
            else None
        ),
    )
    page.goto(path)
    yield page
    context.close()
    assert complaints == []


@contextmanager
def offline_page(page: Page, browser: Browser, made: dict[str, Any], folder: Path) -> Iterator[Page]:
    """Open a review that was saved as one file, in a browser without a network."""
    page.goto(f"/brands/{made['review']['brand_id']}/reviews/{made['review']['id']}")
    with page.expect_download() as download:
        page.get_by_role("link", name="Review as a file").click()
    file = folder / "review.html"
    download.value.save_as(file)
    context = browser.new_context(viewport={"width": 1280, "height": 800}, offline=True)
    outside = context.new_page()
    outside.goto(file.as_uri())
    yield outside
    context.close()


def frame_of(page: Page, take: str) -> FrameLocator:
    """The sample page of a take, once it is drawn."""
    frame = page.frame_locator(f"iframe[title='A page in the colours of {take}']")
    frame.locator("[data-part='Opening’s heading']").first.wait_for()
    return frame


def say(page: Page, text: str, name: str = "") -> None:
    """Add a remark in the form that is there, and wait until it is in the list."""
    page.get_by_label("Your remark").fill(text)
    if name:
        page.get_by_label("Your name").fill(name)
    page.get_by_role("button", name="Send", exact=True).click()
    expect(page.get_by_test_id("said").get_by_text(text)).to_be_visible()
