"""What comes back from a review that was sent as a file: its file, or the text to paste."""

from __future__ import annotations

import base64
import binascii
import re
from typing import Final

from pydantic import ValidationError

from tonada.core.errors import InputError
from tonada.document.review import OutsideAnswers
from tonada.document.wrong_fields import first_wrong

# A mail program breaks lines and turns quotes, so that a text travels in letters that none touches.
_PACKED: Final = re.compile(r"TONADA ANSWERS\s+([A-Za-z0-9+/=\s>]+?)\s+END OF ANSWERS", re.IGNORECASE)


def read_answers(text: str) -> OutsideAnswers:
    """Find and return the answers in a file or a pasted text. Raises InputError where there are none."""
    packed = _PACKED.search(text)
    if packed:
        try:
            # An answered mail may have “>” before each line.
            letters = re.sub(r"[\s>]", "", packed[1])
            text = base64.b64decode(letters, validate=True).decode()
        except (binascii.Error, UnicodeDecodeError) as reason:
            raise InputError(
                "The text is cut off; copy it whole, from TONADA to END.", field="text"
            ) from reason
    try:
        return OutsideAnswers.model_validate_json(text.strip())
    except ValidationError as reason:
        path, said = first_wrong(reason)
        why = f"{said} That is at {path}." if path else "they aren't answers to a review."
        raise InputError(f"These answers can’t be read: {why}", field="text") from reason
