"""What axe finds on a page as it is."""

from __future__ import annotations

from pathlib import Path
from typing import Any, Final

from playwright.sync_api import Frame, Page

_AXE: Final = Path(__file__).parents[2] / "frontend/node_modules/axe-core/axe.min.js"

ALL_RULES: Final = ("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice")
COLOR_RULES: Final = ("color-contrast", "link-in-text-block")
# What axe could not decide was looked at: texts over a picture of colours or cut by the edge of a
# list (their ground is opaque), signs such as “+” with a name in words, frames that are tested themselves.
# Targets it asks about are steps of a ramp, which arrows walk to; a list in the inspector has them too.
LOOKED_AT: Final = (
    "color-contrast",
    "label-content-name-mismatch",
    "frame-tested",
    "aria-hidden-focus",
    "target-size",
)
# Only what is found comes back: all that passes is a megabyte.
_FIND: Final = """async ([context, options]) => {
  const found = await axe.run(context ?? document, { ...options, resultTypes: ['violations', 'incomplete'] })
  const lines = results =>
    results.flatMap(one => one.nodes.map(node => [one.id, `${one.id}: ${node.html.slice(0, 160)}`]))
  return { violations: lines(found.violations), incomplete: lines(found.incomplete) }
}"""


def load_axe(page: Page | Frame) -> None:
    """Make axe known to a page, once."""
    if not page.evaluate("'axe' in window"):
        page.evaluate(_AXE.read_text(encoding="utf-8"))


def axe_findings(page: Page, only: tuple[str, ...] = ALL_RULES) -> list[str]:
    """Run axe on the page as it is and return what it finds, one line each.

    Left out are the specimens: texts of the designer's own failing pairs, shown as they fail. Frames are
    looked at by themselves.
    """
    found = _found(page, {"exclude": ["[data-specimen]"]}, {"runOnly": list(only), "iframes": False})
    undecided = [line for rule, line in found["incomplete"] if rule not in LOOKED_AT]
    return [*(line for _, line in found["violations"]), *undecided]


def axe_violations(frame: Frame, **options: Any) -> list[str]:
    """Return what is surely wrong in a frame, one line each."""
    return [line for _, line in _found(frame, None, {"iframes": False, **options})["violations"]]


def _found(page: Page | Frame, context: dict[str, Any] | None, options: dict[str, Any]) -> Any:
    load_axe(page)
    return page.evaluate(_FIND, [context, options])
