"""What is refused by its shape is said as a person would say it: the field, and what is allowed."""

from __future__ import annotations

from typing import Any

import pytest
from pydantic import ValidationError

from tests.takes import TAKE
from tonada.document.take import TakeDocument
from tonada.document.wrong_fields import first_wrong


def refused(path: str, value: Any) -> tuple[str, str]:
    """Return what is said of the usual take with one part of it set to something else."""
    document = TakeDocument.of(TAKE).model_dump(mode="json")
    *way, last = (int(part) if part.isdigit() else part for part in path.split("."))
    place: Any = document
    for part in way:
        place = place[part]
    place[last] = value
    with pytest.raises(ValidationError) as caught:
        TakeDocument.model_validate(document)
    return first_wrong(caught.value)


@pytest.mark.parametrize(
    ("path", "value", "said"),
    [
        ("swatches.3.name", "", "“swatches 4, name” can’t be empty."),
        ("swatches.3.name", "x" * 999, "“swatches 4, name” may have at most 80 characters."),
        ("swatches.0.hex", "red", "“swatches 1, hex” must be a colour like #2b3a8c."),
        ("swatches.0.ramp.steps", 3.5, "“swatches 1, steps” must be a whole number."),
        ("swatches.0.held", "maybe", "“swatches 1, held” must be true or false."),
        ("roles.0.share", 2, "“roles 1, share” must be at most 1."),
        ("roles.0.share", "much", "“roles 1, share” must be a number."),
        ("roles.0.share", "0,25", "“roles 1, share” must be a number; write 0.25 with a point."),
        ("pairs.2.size", 0, "“pairs 3, size” must be more than 0."),
        ("level", "B", "“level” must be “A”, “AA” or “AAA”."),
        ("swatches", "none", "“swatches” must be a list."),
        ("more", 1, "“more” is not known here."),
    ],
)
def test_a_sentence_names_the_field_and_what_is_allowed(path: str, value: Any, said: str) -> None:
    assert refused(path, value) == (path, said)


def test_the_whole_has_a_name_too() -> None:
    with pytest.raises(ValidationError) as caught:
        TakeDocument.model_validate([])
    assert first_wrong(caught.value, "take") == ("", "“take” must be an object.")
