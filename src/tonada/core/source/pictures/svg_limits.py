"""What an SVG may hold: nothing that acts or reaches outside, and no more than a logo has a use for.

All of it is checked before anything is drawn. What can't be decided from the text, such as how long a
drawing takes, is left to the limits of the process that draws (`tonada.intake`).
"""

from __future__ import annotations

import base64
import binascii
import io
import re
from collections.abc import Iterator
from typing import Final
from urllib.parse import unquote_to_bytes
from xml.etree.ElementTree import Element, ParseError

from defusedxml import DefusedXmlException, EntitiesForbidden
from defusedxml.ElementTree import iterparse

from tonada.core import limits
from tonada.core.errors import ImageError, ImageTooLarge
from tonada.core.source.pictures.decode import measure_bitmap
from tonada.core.source.pictures.svg_entities import with_entities_filled_in

SVG_NAMESPACE: Final = "{http://www.w3.org/2000/svg}"
LINK: Final = ("href", "{http://www.w3.org/1999/xlink}href")
_FORBIDDEN: Final = ("script", "iframe", "object", "embed")
_NESTED: Final = {
    "mask": ("mask",),
    "marker": ("marker", "marker-start", "marker-mid", "marker-end"),
}
_PATHS: Final = ("d", "points")
_EMBEDDED: Final = re.compile(r"data:image/(?:png|jpe?g|gif|webp)\s*(;base64)?\s*,", re.IGNORECASE)
# A typeface within the file; text is drawn in one that ships.
_FONT: Final = re.compile(r"data:(?:font/|application/(?:x-)?font-|application/octet-stream)", re.IGNORECASE)
_CSS_URL: Final = re.compile(r"url\(\s*['\"]?\s*([^)'\"]*)", re.IGNORECASE)


def parse_svg(data: bytes) -> Element:
    """Return the root of an SVG that is safe to draw.

    Raises ImageError for what is not SVG and for scripts, entities and external references,
    ImageTooLarge where it holds or draws more than the limits allow.
    """
    root = _parse(with_entities_filled_in(data))
    if root.tag not in (f"{SVG_NAMESPACE}svg", "svg"):
        raise ImageError("This is XML, but not an SVG drawing.")
    for element in root.iter():
        _check_element(element)
    _check_rules(root)
    _check_filters(root)
    _check_masks(root)
    _check_drawn_elements(root)
    _check_embedded(root)
    return root


def local_name(element: Element) -> str:
    """Return the name of an element without its namespace; empty for comments."""
    return element.tag.rpartition("}")[2] if isinstance(element.tag, str) else ""


class _GrowingBlocks(io.BytesIO):
    """Bytes that are read in blocks of twice the size each time.

    Expat before 2.6 begins a value or comment anew with each block until it has the end: in blocks of one
    size, one of megabytes would take the square of its length. Source: CVE-2023-52425.
    """

    _size = 32 * 1024

    def read(self, _size: int | None = -1) -> bytes:
        self._size *= 2
        return super().read(self._size)


def _parse(data: bytes) -> Element:
    """Parse, and stop at the first limit: a tree takes many times the memory of its text."""
    elements = attributes = characters = depth = 0
    root: Element | None = None
    try:
        for event, element in iterparse(_GrowingBlocks(data), events=("start", "end"), forbid_dtd=False):
            if event == "end":
                depth -= 1
                continue
            root = element if root is None else root
            depth += 1
            elements += 1
            attributes += len(element.attrib)
            characters += sum(len(element.attrib.get(name, "")) for name in _PATHS)
            _check("elements", elements, limits.MAX_SVG_ELEMENTS)
            _check("attributes", attributes, limits.MAX_SVG_ATTRIBUTES)
            _check("characters of path data", characters, limits.MAX_SVG_PATH_CHARACTERS)
            if depth > limits.MAX_SVG_DEPTH:
                raise ImageTooLarge(
                    f"The SVG is nested deeper than {limits.MAX_SVG_DEPTH} levels, which is the limit."
                )
    except EntitiesForbidden as reason:
        raise ImageError(
            "The SVG contains entity declarations, which aren’t allowed. Export it as plain SVG."
        ) from reason
    except DefusedXmlException as reason:
        raise ImageError("The SVG refers to something outside itself, which isn’t allowed.") from reason
    except (ParseError, ValueError, LookupError) as reason:
        raise ImageError("The SVG is broken: it is not well-formed XML in UTF-8.") from reason
    if root is None:
        raise ImageError("The SVG is broken: it is not well-formed XML in UTF-8.")
    return root


def _check(what: str, count: int, most: int) -> None:
    if count > most:
        raise ImageTooLarge(
            f"The SVG has more than {most:,} {what}, which is the limit. Simplify it, or export it as PNG."
        )


def _check_element(element: Element) -> None:
    name = local_name(element)
    if name in _FORBIDDEN:
        raise ImageError(f"The SVG holds a <{name}> element, which isn’t allowed. Export it without.")
    for attribute, value in element.attrib.items():
        if attribute.rpartition("}")[2].lower().startswith("on"):
            raise ImageError(f"The SVG holds a script ({attribute}), which isn’t allowed.")
        if attribute in LINK and name != "a" and not _stays_inside(value):
            raise ImageError(f"The SVG refers to “{value[:60]}”, outside itself, which isn’t allowed.")
        if "(" in value:
            _check_css(value)
    if name == "style":
        text = "".join(element.itertext())
        if "@import" in text.lower():
            raise ImageError("The SVG imports a stylesheet, which isn’t allowed.")
        _check_css(text)


def _stays_inside(reference: str) -> bool:
    reference = reference.strip()
    return not reference or reference.startswith("#") or bool(_EMBEDDED.match(reference))


def _check_css(text: str) -> None:
    for reference in _CSS_URL.findall(text):
        if not _stays_inside(reference) and not _FONT.match(reference):
            raise ImageError(f"The SVG refers to “{reference[:60]}”, outside itself, which isn’t allowed.")


def _check_rules(root: Element) -> None:
    """Every rule is tried on every element."""
    texts = ["".join(entry.itertext()) for entry in root.iter() if local_name(entry) == "style"]
    # A rule with many selectors costs as much as many rules.
    rules = sum(text.count("{") + text.count(",") for text in texts)
    elements = sum(1 for _ in root.iter())
    _check("CSS rules times elements", rules * elements, limits.MAX_SVG_RULES_TIMES_ELEMENTS)


def _check_filters(root: Element) -> None:
    """A filter of a logo is a shadow: a few primitives, used a few times."""
    sizes: dict[str, int] = {}
    for element in root.iter():
        if local_name(element) == "filter":
            primitives = sum(1 for entry in element.iter() if local_name(entry).startswith("fe"))
            _check("primitives in a filter", primitives, limits.MAX_SVG_FILTER_PRIMITIVES)
            sizes[element.attrib.get("id", "")] = primitives
        elif local_name(element) == "feTurbulence":
            octaves = element.attrib.get("numOctaves", "1").strip()
            _check("octaves of turbulence", _whole(octaves), limits.MAX_SVG_OCTAVES)
        elif local_name(element) == "feConvolveMatrix":
            size = max([_whole(part) for part in element.attrib.get("order", "3").split()] or [3])
            _check("rows in a convolution", size, limits.MAX_SVG_CONVOLUTION)
    used = sum(
        sizes.get(reference.strip()[1:], 0)
        for element in root.iter()
        for name in ("filter", "style")
        for reference in _CSS_URL.findall(element.attrib.get(name, ""))
    )
    # From a stylesheet any number of elements may use a filter.
    is_styled = any(
        "filter" in "".join(entry.itertext()) for entry in root.iter() if local_name(entry) == "style"
    )
    if is_styled:
        used += max(sizes.values(), default=0) * sum(1 for _ in root.iter())
    _check("filter primitives in use", used, limits.MAX_SVG_USED_PRIMITIVES)


def _whole(text: str) -> int:
    """Return a number of an attribute, rounded up; one that is none counts as 1."""
    try:
        number = float(text)
    except ValueError:
        return 1
    return int(min(max(number, 0.0), 1e9) + 0.999) if number == number else 1


def _check_masks(root: Element) -> None:
    """A mask inside the content of a mask, or a marker inside a marker, multiplies the layers."""
    for outer in root.iter():
        names = _NESTED.get(local_name(outer), ())
        for inner in outer.iter() if names else ():
            texts = [inner.attrib.get(name, "") for name in names]
            texts += [
                entry for entry in inner.attrib.get("style", "").split(";") if entry.strip().startswith(names)
            ]
            if inner is not outer and any("url(" in text for text in texts):
                kind = local_name(outer)
                raise ImageTooLarge(
                    f"The SVG has a {kind} inside a {kind}, which isn’t allowed. "
                    "Simplify it, or export it as PNG."
                )


def _check_drawn_elements(root: Element) -> None:
    """Count what is drawn once every `use` is carried out; nested ones multiply."""
    by_id = {element.attrib["id"]: element for element in root.iter() if "id" in element.attrib}
    counts: dict[int, int] = {}
    open_elements: set[int] = set()
    waiting = [(root, False)]
    while waiting:
        element, ready = waiting.pop()
        key = id(element)
        parts = list(_drawn_parts(element, by_id))
        if ready:
            open_elements.discard(key)
            counts[key] = 1 + sum(counts.get(id(part), 1) for part in parts)
            if counts[key] > limits.MAX_SVG_DRAWN_ELEMENTS:
                raise ImageTooLarge(
                    f"The SVG draws more than {limits.MAX_SVG_DRAWN_ELEMENTS:,} elements, "
                    "which is the limit. Simplify it, or export it as PNG."
                )
        elif key not in counts and key not in open_elements:
            open_elements.add(key)
            waiting.append((element, True))
            waiting.extend((part, False) for part in parts)


def _drawn_parts(element: Element, by_id: dict[str, Element]) -> Iterator[Element]:
    yield from element
    for name, value in element.attrib.items():
        if name in LINK and value.strip().startswith("#"):
            target = by_id.get(value.strip()[1:])
            if target is not None:
                yield target
        if "(" not in value:
            continue
        for reference in _CSS_URL.findall(value):
            target = by_id.get(reference.strip()[1:])
            if target is not None:
                yield from [target] * _times(element, name)


def _times(element: Element, attribute: str) -> int:
    """Return how often what an attribute refers to is drawn: a marker comes at every corner."""
    if not attribute.startswith("marker"):
        return 1
    data = "".join(element.attrib.get(name, "") for name in _PATHS)
    return max(1, len(data) // 4) if attribute in ("marker", "marker-mid") else 1


def _check_embedded(root: Element) -> None:
    """Measure pictures inside the SVG as any picture is, each alone and all together, undecoded."""
    pixels = 0
    for element in root.iter():
        for value in element.attrib.values():
            for reference in [value, *(_CSS_URL.findall(value) if "(" in value else ())]:
                match = _EMBEDDED.match(reference.strip())
                if match:
                    _, width, height = measure_bitmap(_decoded(reference.strip(), match))
                    pixels += width * height
                    _check("pixels in pictures", pixels, limits.MAX_SVG_EMBEDDED_PIXELS)


def _decoded(reference: str, match: re.Match[str]) -> bytes:
    body = reference[match.end() :]
    try:
        if match.group(1):
            return base64.b64decode(re.sub(r"\s+", "", body), validate=False)
        return unquote_to_bytes(body)
    except (binascii.Error, ValueError) as reason:
        raise ImageError("The SVG holds a picture that is broken. Save it again.") from reason
