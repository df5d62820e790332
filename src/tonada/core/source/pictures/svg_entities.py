"""Entities that a drawing declares for itself, as drawing programs write them for their namespaces.

Each is replaced by its text, once, before anything is parsed. One whose text holds another one, or a tag,
or that leads outside, is left alone, and so refused by the parser: only those can grow without end.
Source: XML 1.0, section 4.
"""

from __future__ import annotations

import re
from typing import Final

from tonada.core import limits
from tonada.core.errors import ImageTooLarge

# The declaration of the document, with the part in brackets; comments in it may hold anything.
_DOCTYPE: Final = re.compile(rb"<!DOCTYPE\s[^\[<>]*\[((?:[^\]\"']|\"[^\"]*\"|'[^']*')*)\]\s*>")
_DECLARED: Final = re.compile(rb"<!ENTITY\s+([A-Za-z_][\w.-]*)\s+(?:\"([^\"&%<]*)\"|'([^'&%<]*)')\s*>")
_ANY: Final = re.compile(rb"<!(?:ENTITY|ATTLIST|ELEMENT|NOTATION)|%")
_REFERENCE: Final = re.compile(rb"&([A-Za-z_][\w.-]*);")
_HEAD: Final = 20_000


def with_entities_filled_in(data: bytes) -> bytes:
    """Return the file with its own plain entities filled in; any other file as it is.

    Raises ImageTooLarge where it becomes larger than a file may be.
    """
    doctype = _DOCTYPE.search(data[:_HEAD])
    if doctype is None:
        return data
    left = re.sub(rb"<!--.*?-->", b"", _DECLARED.sub(b"", doctype[1]), flags=re.DOTALL)
    if _ANY.search(left):
        return data
    texts = {name: double or single for name, double, single in _DECLARED.findall(doctype[1])}
    body = data[: doctype.start()] + data[doctype.end() :]
    grown = sum(len(texts.get(match[1], b"")) for match in _REFERENCE.finditer(body))
    if len(body) + grown > limits.MAX_FILE_BYTES:
        raise ImageTooLarge("The SVG’s entities make it larger than a file may be. Export it as plain SVG.")
    # What isn't declared stays, such as &amp;.
    return _REFERENCE.sub(lambda match: texts.get(match[1], match[0]), body)
