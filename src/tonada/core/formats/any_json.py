"""A file in JSON, in whichever of the formats within JSON it is."""

from __future__ import annotations

import re
from typing import Final

from tonada.core.errors import InputError
from tonada.core.formats.format import JsonReading, Reading
from tonada.core.formats.listed import ColorList
from tonada.core.formats.script import is_script, read_script
from tonada.core.formats.tokens import parse_any_json

# A list that begins like a colour, such as [1 2 3], is none: a name or a quote comes first.
_JSON: Final = re.compile(
    r"""\s*(?:module\.exports\s*=|export\s+default)?\s*[\[{]\s*(?:["'\[{]|//|/\*|[\w$]+\s*:)""", re.IGNORECASE
)
_HEAD: Final = 400


def json_reading(readings: tuple[JsonReading, ...]) -> Reading:
    """Return how any file in JSON is read: by the first of `readings` that recognises it."""

    def read(text: str) -> ColorList:
        try:
            root = parse_any_json(text)
        except InputError:
            # What a script exports may be more than data.
            if not is_script(text):
                raise
            return read_script(text)
        refusal = InputError("The JSON is not an object with colours in it.", field="file")
        for reading in readings:
            if not reading.recognise(root):
                continue
            try:
                return reading.read(root)
            except InputError as reason:
                refusal = reason
                if not reading.guesses:
                    break
        raise refusal

    return Reading(
        read=read,
        endings=(".json", ".json5", ".jsonc", ".tokens", ".tonada"),
        resembles=lambda text: _JSON.match(text[:_HEAD]) is not None,
    )
