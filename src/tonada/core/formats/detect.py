"""Which format a file of colours is in, and reading it."""

from __future__ import annotations

from tonada.core.errors import InputError
from tonada.core.formats.format import Reading
from tonada.core.formats.listed import ColorList
from tonada.core.formats.own_list import is_own
from tonada.core.formats.registry import READINGS
from tonada.core.formats.tokens import parse_json
from tonada.core.limits import MAX_JSON_BYTES, MAX_LIST_BYTES


def read_list(data: bytes, name: str = "") -> ColorList:
    """Return the colours of a file or a pasted text, in any of the formats.

    Raises InputError for an empty, too large, undecodable or colourless one.
    """
    if len(data) > MAX_LIST_BYTES:
        raise InputError(
            f"The list is {len(data) / 2**20:.1f} MB; the limit is {MAX_LIST_BYTES // 2**20} MB.",
            field="file",
        )
    text = decode_text(data)
    try:
        return _reading_of(text, name.lower()).read(text)
    except RecursionError:
        raise InputError("It’s nested too deeply to be a list of colours.", field="file") from None


def decode_text(data: bytes) -> str:
    """Return the text of a file in UTF-8 or, with its mark, UTF-16. Raises InputError."""
    encoding = "utf-16" if data.startswith((b"\xff\xfe", b"\xfe\xff")) else "utf-8-sig"
    try:
        text = data.decode(encoding)
    except UnicodeDecodeError as reason:
        raise InputError(
            f"The text is not in UTF-8 (byte {reason.start + 1}). Save it as UTF-8.", field="file"
        ) from reason
    if not text.strip():
        raise InputError("It’s empty. Paste or choose something with a colour.", field="file")
    if "\0" in text:
        raise InputError("This is a binary file, not text.", field="file")
    return text


def _reading_of(text: str, name: str) -> Reading:
    """Return how a text is read: as it surely is, else as its name says, else as what it resembles."""
    ways = (
        lambda reading: reading.recognise(text),
        lambda reading: name.endswith(reading.endings),
        lambda reading: reading.resembles(text),
    )
    return next(reading for is_so in ways for reading in READINGS if is_so(reading))


def is_own_file(data: bytes) -> bool:
    """Return whether bytes look like a file of Tonada's own; it may still be invalid."""
    if len(data) > MAX_JSON_BYTES or data.lstrip()[:1] != b"{":
        return False
    try:
        return is_own(parse_json(decode_text(data)))
    except InputError:
        return False
