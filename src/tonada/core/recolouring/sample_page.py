"""A page with a few elements of a stylesheet's own rules on it: to see it before and after a recolouring.

The page has no script, and the stylesheet can't leave its style block.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import Final
from xml.etree import ElementTree

from tonada.core.source.stylesheets.elements import build, described
from tonada.core.source.stylesheets.markup import looks_like_html, scan_page
from tonada.core.source.stylesheets.nesting import split_selectors
from tonada.core.source.stylesheets.scan import scan_stylesheet
from tonada.core.source.stylesheets.usage import StyleFile

MOST_SAMPLES: Final = 36
_PLAIN: Final = (
    "<h1>A heading</h1><h2>One below it</h2>"
    '<p>Text as most of it is set, with <a href="#">a link</a>, <strong>something strong</strong> and '
    "<code>some code</code>.</p>"
    '<p><button type="button">A button</button> <input placeholder="A field"></p>'
)
# Elements that hold no text, or can't stand by themselves.
_WITHOUT_TEXT: Final = frozenset(
    ("input", "img", "br", "hr", "progress", "meter", "select", "option", "tr", "td", "th", "thead", "tbody",
     "col", "dt", "dd", "source", "svg", "path", "iframe", "video", "audio", "object", "embed", "script",
     "style", "link", "meta", "base", "title", "head", "frame", "frameset", "template", "dialog")
)  # fmt: skip


def sample_page(files: Sequence[StyleFile]) -> str:
    """Return a page of HTML with the stylesheets' rules, most at work first, and plain elements."""
    styles = "\n".join(_style_of(file) for file in files)
    samples = "\n".join(_samples(files))
    return (
        '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Sample</title>'
        f"<style>{styles}</style></head><body>{_PLAIN}{samples}</body></html>"
    )


def _style_of(file: StyleFile) -> str:
    """Return the style of a file such that it can't end its block, and asks for nothing."""
    if not looks_like_html(file.text):
        return file.text.replace("</", "<\\/")
    rules: list[str] = []
    for entry in scan_page(file.text):
        if entry.selector and not entry.selector.startswith("<") and entry.selector != "style attribute":
            rule = f"{entry.selector} {{ {entry.property}: {entry.value} }}"
            for context in reversed(entry.context):
                rule = f"{context} {{ {rule} }}"
            rules.append(rule)
    return "\n".join(rules).replace("</", "<\\/")


def _samples(files: Sequence[StyleFile]) -> Iterator[str]:
    """Yield an element for each rule that sets a ground, of every kind once, the plain ones first."""
    already: set[str] = set()
    for selector in _selectors(files):
        found = _element(selector)
        if found is not None and found not in already:
            already.add(found)
            yield found
            if len(already) == MOST_SAMPLES:
                return


def _selectors(files: Sequence[StyleFile]) -> list[str]:
    found: dict[str, None] = {}
    for file in files:
        scan = scan_page if looks_like_html(file.text) else scan_stylesheet
        for entry in scan(file.text, lambda name: name in ("background", "background-color")):
            if not any(context.startswith(("@media", "@keyframes")) for context in entry.context):
                found |= dict.fromkeys(split_selectors(entry.selector))
    return sorted(found, key=lambda entry: (":" in entry, entry.count(" ")))


def _element(selector: str) -> str | None:
    """Return the element that a selector describes, at rest and with a word in it; None where it has none."""
    own = described(selector) if "<" not in selector else None
    if own is None or own.pseudo or ":" in selector or any(compound.is_root for compound in own.compounds):
        return None
    built = build(own.compounds)
    subject = built.subject
    if any(entry.tag in _WITHOUT_TEXT for entry in built.root.iter() if entry.tag not in ("html", "body")):
        return None
    if subject.tag in ("html", "body"):
        return None
    for entry in built.root.iter():
        for name in list(entry.keys()):
            # What asks for another place, or would be a script.
            if name.startswith("on") or name in ("src", "href", "style", "srcset", "action", "data"):
                del entry.attrib[name]
    words = selector.replace(".", " ").replace("#", " ").split()
    subject.text = words[-1].replace("-", " ") if words else selector
    return "".join(ElementTree.tostring(entry, "unicode", method="html") for entry in built.root[0])
