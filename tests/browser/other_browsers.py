"""Firefox and WebKit for tests: Firefox ESR by its own protocol, WebKitGTK by WebDriver."""

from __future__ import annotations

import io
import os
import subprocess
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any, Protocol

from PIL import Image

from tests import waiting


class OtherBrowser(Protocol):
    def open(self, url: str) -> None: ...
    def run(self, script: str) -> Any: ...
    def picture(self) -> Image.Image: ...
    def drag(self, start: tuple[float, float], end: tuple[float, float]) -> None:
        """With the pointer from one place of the window to another, as a hand does; a click without a way."""


def until(browser: OtherBrowser, condition: str, seconds: float = 40) -> None:
    """Wait until a condition of the page holds."""
    waiting.until(
        lambda: browser.run(f"return Boolean({condition})"),
        lambda: f"{condition} did not come true: {browser.run('return document.body.innerText')}",
        pause=0.1,
        patience=seconds,
    )


class _Firefox:
    def __init__(self, client: Any) -> None:
        self._client = client

    def open(self, url: str) -> None:
        self._client.navigate(url)

    def run(self, script: str) -> Any:
        return self._client.execute_script(script, sandbox=None)

    def picture(self) -> Image.Image:
        return Image.open(io.BytesIO(self._client.screenshot(format="binary", full=False))).convert("RGB")

    def drag(self, start: tuple[float, float], end: tuple[float, float]) -> None:
        hand = self._client.actions.sequence("pointer", "hand", {"pointerType": "mouse"})
        hand.pointer_move(round(start[0]), round(start[1])).pointer_down()
        hand.pointer_move(round(end[0]), round(end[1]), duration=200).pointer_up().perform()


@contextmanager
def firefox() -> Iterator[OtherBrowser]:
    from marionette_driver.marionette import Marionette

    client = Marionette(host="127.0.0.1", bin="/usr/bin/firefox-esr", headless=True, startup_timeout=120)
    client.start_session()
    try:
        client.set_window_rect(width=1280, height=900)
        yield _Firefox(client)
    finally:
        # It is not asked to end by itself: on a busy machine that has taken more than a minute.
        client.quit(in_app=False)
        client.cleanup()


class _WebKit:
    def __init__(self, driver: Any) -> None:
        self._driver = driver

    def open(self, url: str) -> None:
        self._driver.get(url)

    def run(self, script: str) -> Any:
        return self._driver.execute_script(script)

    def picture(self) -> Image.Image:
        return Image.open(io.BytesIO(self._driver.get_screenshot_as_png())).convert("RGB")

    def drag(self, start: tuple[float, float], end: tuple[float, float]) -> None:
        from selenium.webdriver.common.actions.action_builder import ActionBuilder

        actions: Any = ActionBuilder(self._driver, duration=200)
        hand = actions.pointer_action
        hand.move_to_location(round(start[0]), round(start[1])).pointer_down()
        hand.move_to_location(round(end[0]), round(end[1])).pointer_up()
        actions.perform()


@contextmanager
def webkit() -> Iterator[OtherBrowser]:
    from selenium import webdriver
    from selenium.webdriver.webkitgtk.service import Service

    with _virtual_screen() as display:
        options = webdriver.WebKitGTKOptions()
        options.binary_location = str(next(Path("/usr/lib").glob("*/webkit2gtk-4.*/MiniBrowser")))
        options.add_argument("--automation")
        service = Service("/usr/bin/WebKitWebDriver", env={**os.environ, "DISPLAY": display})
        driver = webdriver.WebKitGTK(options=options, service=service)
        try:
            driver.set_window_size(1280, 900)
            yield _WebKit(driver)
        finally:
            driver.quit()


@contextmanager
def _virtual_screen() -> Iterator[str]:
    """A screen of its own; Xvfb itself finds a number that is free and says it."""
    reader, writer = os.pipe()
    command = ["Xvfb", "-displayfd", str(writer), "-screen", "0", "1400x1000x24", "-nolisten", "tcp"]
    with subprocess.Popen(
        command, pass_fds=[writer], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL
    ) as screen:
        os.close(writer)
        try:
            with os.fdopen(reader) as said:
                yield f":{said.readline().strip()}"
        finally:
            screen.terminate()
