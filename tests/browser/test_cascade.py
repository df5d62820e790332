"""What is said of rules is what Chromium computes: its styles are an oracle for our cascade."""

from __future__ import annotations

from collections.abc import Iterator
from xml.etree import ElementTree

import pytest
from playwright.sync_api import Browser, Page

from tonada.core.color.notation import read_color
from tonada.core.source.stylesheets.cascade import Block, Cascade, Style
from tonada.core.source.stylesheets.computed import filled_in, paint
from tonada.core.source.stylesheets.elements import Built, as_matched, build, described, scoped
from tonada.core.source.stylesheets.scan import Declaration, scan_stylesheet
from tonada.demo.seed import demo_file

# Written as frameworks are: components take their colours from properties that variants set.
FRAMEWORK = """
@property --soft { syntax: "<color>"; inherits: true; initial-value: #e0e8f0 }
@layer base { .card { background: #123456; color: #fff } .only { background: #013; color: #fed } }
:root, [data-theme=light] { --ink: #1a1a2e; --paper: #fffdf8; --brand-rgb: 13, 110, 253; --h: 210;
  --brand: rgb(var(--brand-rgb)); --deep: hsl(var(--h) 60% calc(30% - 2 * 4%)); --made: var(--brand) }
[data-theme=dark] { --ink: #e8e8f0; --paper: #14141f; --brand-rgb: 120, 170, 255; --h: 40 }
@media (prefers-color-scheme: dark) { :root:not([data-theme]) { --ink: #ddd; --paper: #101010 } }
body { color: var(--ink); background: var(--paper) }
.btn { --b: var(--paper); --t: var(--ink); color: var(--t); background-color: var(--b) }
.btn-primary { --b: var(--brand); --t: #fff }
.btn-primary.soft { --b: color-mix(in srgb, var(--brand) 20%, white); --t: var(--deep) }
.btn-primary:hover { --b: color-mix(in oklab, var(--made), black 25%) }
.btn:focus-visible, a.btn:active { color: #fff !important; background: #a00 }
.card { color: var(--ink); background: var(--soft) }
.card .title, .card > h2 { color: var(--deep); background: var(--paper) }
.card::before { color: white; background: var(--made) }
table.list tr:nth-child(odd) td { background: #eee; color: #222 }
.list td { background: #ddd; color: #333 }
:is(.note, .tip) { background: #fef6d8; color: #5a4a00 } :where(.note) { color: red; background: blue }
.note + .note { color: #004; background: #cdf }
#menu a.on { background: oklch(0.4 0.1 250); color: lab(95 0 0) }
a.on { background: #fff !important; color: #000 }
.legacy { background: #abc; background: transparent; color: #000; background-color: #cba }
"""
LOOK = """([inside, of_root, of_body, tag, pseudo]) => {
  const fill = (element, pairs) => {
    for (const one of [...element.attributes]) element.removeAttribute(one.name)
    for (const [name, value] of pairs) element.setAttribute(name, value)
  }
  fill(document.documentElement, of_root); fill(document.body, of_body)
  const read = new DOMParser().parseFromString(
    '<div xmlns="http://www.w3.org/1999/xhtml">' + inside + '</div>', 'text/xml')
  const made = [...read.documentElement.childNodes].map((one) => document.importNode(one, true))
  document.body.replaceChildren(...made)
  const subject = document.querySelector('[data-subject]') ?? document.querySelector(tag)
  const style = getComputedStyle(subject, pseudo ? '::' + pseudo : null)
  return [style.color, style.backgroundColor]
}"""


def blocks_of(text: str) -> list[Block]:
    found: dict[int, list[Declaration]] = {}
    for one in scan_stylesheet(text):
        found.setdefault(one.rule, []).append(one)
    return [Block("a.css", order, tuple(each)) for order, each in enumerate(found.values())]


def looks(blocks: list[Block], cascade: Cascade) -> Iterator[tuple[Block, Built, str, Style, bool]]:
    """Yield each element that a rule describes, by itself and in every block's scope, by day and night."""
    usual = [one for one in blocks if not one.selector.startswith("@")]
    for block in usual:
        for selector in block.selectors:
            own = described(selector)
            assert own is not None
            scopes = [own.compounds]
            for other in usual:
                for name in other.selectors if other.custom else ():
                    scope = described(name)
                    scopes += list(scoped(own, scope)) if scope else []
            for compounds in scopes:
                for dark in (False, True):
                    conditions = frozenset({"@media (prefers-color-scheme: dark)"} if dark else ())
                    if block.conditions <= conditions:
                        built = build(compounds)
                        yield block, built, own.pseudo, cascade.style(built, own.pseudo, conditions), dark


def said(style: Style) -> list[tuple[int, ...] | None]:
    """Return text and ground in channels of 8 bits, None where they are not opaque or not set."""
    made: list[tuple[int, ...] | None] = []
    for names in (("color",), ("background", "background-color")):
        won = [one.declaration for one in style.ranked if one.declaration.property in names]
        colors = paint(filled_in(won[-1].value, style.variables)).colors if won else ()
        opaque = colors and colors[-1].alpha == 1
        made.append(tuple(bytes.fromhex(colors[-1].hex[1:])) if opaque else None)
    return made


def channels(computed: str) -> list[int]:
    return list(bytes.fromhex(read_color(computed).hex[1:]))


@pytest.fixture(scope="module")
def blank(browser: Browser) -> Iterator[Page]:
    page = browser.new_page(viewport={"width": 400, "height": 800})
    yield page
    page.close()


@pytest.mark.detail
@pytest.mark.parametrize(
    ("sheet", "least"),
    [
        pytest.param(FRAMEWORK, 250, id="a framework"),
        pytest.param(demo_file("old-site.css").decode(), 10, id="an old site"),
    ],
)
def test_the_cascade_agrees_with_chromium(blank: Page, sheet: str, least: int) -> None:
    blocks = blocks_of(sheet)
    cascade = Cascade(blocks)
    blank.set_content("<!doctype html><style></style>")
    still = as_matched(sheet + " ")[0]
    blank.evaluate("(text) => { document.querySelector('style').textContent = text }", still)
    compared = 0
    for block, built, pseudo, style, dark in looks(blocks, cascade):
        body = next(one for one in built.root if one.tag == "body")
        if built.subject not in (built.root, body):
            built.subject.set("data-subject", "")
        inside = "".join(ElementTree.tostring(one, encoding="unicode") for one in body)
        blank.emulate_media(color_scheme="dark" if dark else "light")
        asked = [inside, list(built.root.items()), list(body.items()), built.subject.tag, pseudo]
        computed = [channels(one) for one in blank.evaluate(LOOK, asked)]
        for expected, shown in zip(said(style), computed, strict=True):
            if expected is not None:
                # Chromium may compute in floats what CSS rounds to 8 bits.
                assert shown == pytest.approx(expected, abs=1.6), (block.selector, inside, dark)
                compared += 1
    assert compared >= least
