"""The pairs of a page as it is rendered: by day and night, wide and on a phone, at rest and in use."""

from __future__ import annotations

import io
from collections.abc import Iterator, Sequence
from importlib.resources import files
from typing import TYPE_CHECKING, Any, Final, Literal, TypeAlias, get_args

import numpy as np
from PIL import Image

from tonada.core.color.wcag import Level
from tonada.core.gate.check import CheckedPair
from tonada.core.gate.rendered_text import PageText, Painted, Picture, pair_of
from tonada.rendering.browser import load, open_browser

if TYPE_CHECKING:
    from playwright.sync_api import Browser, CDPSession, FloatRect, Page

Scheme: TypeAlias = Literal["light", "dark"]
State: TypeAlias = Literal["rest", "hover", "focus", "active"]
WIDTHS: Final = {"wide": (1280, 800), "phone": (390, 844)}
STATES: Final[tuple[State, ...]] = get_args(State)
# What a browser can take a picture of; what stands lower isn't looked at.
MOST_HEIGHT: Final = 12_000
# Elements that are put into a state at once.
MOST_ELEMENTS: Final = 2_000
_IN_USE: Final = "a[href], button, input, select, textarea, summary, [role], [tabindex]"
_FORCED: Final[dict[State, list[str]]] = {
    "rest": [],
    "hover": ["hover"],
    "focus": ["focus", "focus-visible", "focus-within"],
    "active": ["hover", "active"],
}
_STILL: Final = """
*, *::before, *::after { transition: none !important; animation: none !important;
  caret-color: transparent !important; scroll-behavior: auto !important }
"""
# Letters of one colour, without what is drawn around them; what uses currentColor stays.
_LETTERS: Final = """
*, *::before, *::after, *::placeholder, *::marker, *::first-line, *::first-letter {
  -webkit-text-fill-color: %s !important; text-shadow: none !important;
  -webkit-text-stroke-width: 0 !important; text-decoration-color: transparent !important }
svg text, svg text * { fill: %s !important; stroke: none !important }
"""


def check_pages(names: Sequence[str], level: Level, browser: str) -> list[CheckedPair]:
    """Return the pairs of pages, files or addresses, each distinct one once, in the order of the page.

    browser: path of a Chromium. Raises InputError where a page can't be opened.
    """
    with open_browser(browser, names) as started:
        return [pair for name in names for pair in _of_page(started, name, level)]


def _of_page(browser: Browser, name: str, level: Level) -> list[CheckedPair]:
    found: dict[tuple[Any, ...], CheckedPair] = {}
    for scheme in get_args(Scheme):
        for width, (across, down) in WIDTHS.items():
            context = browser.new_context(
                viewport={"width": across, "height": down},
                color_scheme=scheme,
                reduced_motion="reduce",
                device_scale_factor=1,
                bypass_csp=True,
                service_workers="block",
            )
            page = context.new_page()
            load(page, name)
            for state, texts, painted in _states(page):
                scope = f"{scheme}, {width}" + ("" if state == "rest" else f", {state}")
                for text in texts:
                    pair = pair_of(text, painted, level, scope, name)
                    if pair is not None:
                        key = (pair.text, pair.text_hex, pair.ground_hex, pair.usage, pair.needed)
                        found.setdefault(key, pair)
            context.close()
    return list(found.values())


def _states(page: Page) -> Iterator[tuple[State, list[PageText], Painted]]:
    """Yield the texts and pictures of a page at rest, then where a state changes anything."""
    page.add_style_tag(content=_STILL)
    session = page.context.new_cdp_session(page)
    nodes = _nodes_in_use(session)
    script = files("tonada.rendering").joinpath("page_texts.js").read_text(encoding="utf-8")
    before: tuple[list[PageText], Picture] | None = None
    for state in STATES:
        if state != "rest" and not nodes:
            return
        _force(session, nodes, state)
        texts = [_text_of(entry) for entry in page.evaluate(script)]
        bare = _picture(page, "transparent")
        is_as_before = before is not None and before[0] == texts and np.array_equal(before[1], bare)
        if is_as_before:
            continue
        if state == "rest":
            before = texts, bare
        yield state, texts, Painted(bare, _picture(page, "#000"), _picture(page, "#fff"))


def _text_of(said: dict[str, Any]) -> PageText:
    rects = tuple((rect[0], rect[1], rect[2], rect[3]) for rect in said["rects"])
    return PageText(**{**said, "rects": rects, "changes": tuple(said["changes"])})


def _nodes_in_use(session: CDPSession) -> list[int]:
    session.send("DOM.enable")
    session.send("CSS.enable")
    root = session.send("DOM.getDocument", {"depth": 0})["root"]["nodeId"]
    found = session.send("DOM.querySelectorAll", {"nodeId": root, "selector": _IN_USE})["nodeIds"]
    return list(found[:MOST_ELEMENTS])


def _force(session: CDPSession, nodes: Sequence[int], state: State) -> None:
    for node in nodes:
        session.send("CSS.forcePseudoState", {"nodeId": node, "forcedPseudoClasses": _FORCED[state]})


def _picture(page: Page, letters: str) -> Picture:
    """Return the whole page with its letters in one colour, 8-bit sRGB of shape (h, w, 3)."""
    style = page.add_style_tag(content=_LETTERS.replace("%s", letters))
    height = min(MOST_HEIGHT, int(page.evaluate("() => document.documentElement.scrollHeight")))
    width = page.evaluate("() => document.documentElement.clientWidth")
    clip: FloatRect = {"x": 0, "y": 0, "width": width, "height": max(1, height)}
    data = page.screenshot(full_page=True, clip=clip, scale="css", animations="disabled")
    style.evaluate("(element) => element.remove()")
    with Image.open(io.BytesIO(data)) as image:
        return np.asarray(image.convert("RGB"))
