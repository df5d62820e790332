"""The styles in an HTML page: <style> elements, style attributes, and the colour attributes of old.

Read by patterns that never look at a character twice: the standard library's parser takes minutes
for a megabyte of unclosed tags.
"""

from __future__ import annotations

import html
import re
from collections.abc import Callable, Iterator
from typing import Final

from tonada.core.source.stylesheets.scan import Declaration, scan_style_attribute, scan_stylesheet

# Attributes that HTML and SVG understand as a colour, and the property that each stands for.
COLOR_ATTRIBUTES: Final = {
    "bgcolor": "background-color",
    "text": "color",
    "color": "color",
    "bordercolor": "border-color",
    "fill": "fill",
    "stroke": "stroke",
    "stop-color": "stop-color",
}
_PART: Final = re.compile(
    r"""<(?: !--.*?(?:-->|\Z)
           | (?P<raw>script|style)\b[^<>]*>(?P<text>.*?)(?:</(?P=raw)|\Z)
           | (?P<tag>[a-z][\w:-]*+)(?P<attributes>(?:[^<>"']++|"[^"]*"|'[^']*')*+)> )""",
    re.VERBOSE | re.DOTALL | re.IGNORECASE,
)
_ATTRIBUTE: Final = re.compile(r"""(?<![\w:-])([\w:-]++)\s*+=\s*+("[^"]*"|'[^']*'|[^\s"'>]++)""")


def looks_like_html(text: str) -> bool:
    """Return whether a text starts as a page does, and not as a stylesheet."""
    return text.lstrip("\ufeff \t\r\n")[:1] == "<"


def scan_page(text: str, wanted: Callable[[str], bool] | None = None) -> Iterator[Declaration]:
    """Yield the declarations of a page; a broken page gives what can be made out."""
    number = 0
    for part in _PART.finditer(text):
        if part["raw"] and part["raw"].lower() == "style":
            first = number + 1
            for found in scan_stylesheet(part["text"], wanted):
                number = first + found.rule
                yield found._replace(rule=number, start=part.start("text") + found.start)
        elif part["tag"] and "=" in part["attributes"]:
            number += 1
            for found in _attributes(part["tag"].lower(), part["attributes"], number):
                # Values are unescaped, and so not where they stand: the place is the tag's.
                yield found._replace(start=part.start())


def _attributes(tag: str, attributes: str, number: int) -> Iterator[Declaration]:
    for name, written in _ATTRIBUTE.findall(attributes):
        value = html.unescape(written.strip("\"'"))
        if name.lower() == "style":
            yield from scan_style_attribute(value, number)
        elif name.lower() in COLOR_ATTRIBUTES:
            yield Declaration(COLOR_ATTRIBUTES[name.lower()], value.strip(), 0, f"<{tag}>", number, ())
