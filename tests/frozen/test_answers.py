"""What comes back from a review that was sent as a file: however a mail program has treated it."""

from __future__ import annotations

import base64
import json
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tonada.core.errors import InputError
from tonada.frozen.answers import read_answers

ANSWERS: dict[str, Any] = {
    "format": "tonada-review-answers",
    "version": 1,
    "review": "00000000-0000-4000-8000-000000000000",
    "key": "abcdef0123456789",
    "name": "Zoë",
    "remarks": [{"key": "k" * 16, "about": {"kind": "whole"}, "text": "Schön — “sehr” 夜"}],
    "choice": {"place": None, "reason": "Too cold", "at": "2026-11-29T12:00:00Z"},
    "approved": None,
}


def packed(answers: dict[str, Any]) -> list[str]:
    letters = base64.b64encode(json.dumps(answers).encode()).decode()
    lines = [letters[at : at + 64] for at in range(0, len(letters), 64)]
    return ["TONADA ANSWERS", *lines, "END OF ANSWERS"]


@pytest.mark.parametrize(
    "text",
    [
        json.dumps(ANSWERS),
        f"  {json.dumps(ANSWERS, indent=1)}\n\n",
        "\n".join(packed(ANSWERS)),
        "Hello,\r\n\r\n" + "\r\n".join(packed(ANSWERS)) + "\r\n-- \r\nZoë",
        "\n".join(f"> > {line}" for line in packed(ANSWERS)),
        " ".join(packed(ANSWERS)),
        "\n".join(packed(ANSWERS)).replace("TONADA ANSWERS", "Tonada Answers"),
    ],
)
def test_whatever_a_mail_does_to_them_they_are_read(text: str) -> None:
    found = read_answers(text)
    assert (found.name, found.remarks[0].text) == ("Zoë", "Schön — “sehr” 夜")
    assert found.choice is not None
    assert (found.choice.place, found.choice.reason) == (None, "Too cold")


@pytest.mark.parametrize(
    ("changes", "says"),
    [
        ({"format": "other"}, "format"),
        ({"version": 2}, "version"),
        ({"review": "../x"}, "review"),
        ({"name": ""}, "name"),
        ({"approved": {"place": 4, "at": "2026-11-29T12:00:00Z"}}, "approved.place"),
        ({"approved": {"place": 0, "at": "yesterday"}}, "approved.at"),
        ({"remarks": [{"key": "short", "about": {}, "text": "x"}]}, "remarks.0.key"),
        ({"remarks": [{"key": "k" * 16, "about": {"kind": "roof"}, "text": "x"}]}, "remarks.0.about.kind"),
        ({"remarks": [{"key": "k" * 16, "about": {}, "text": "x" * 2001}]}, "remarks.0.text"),
        ({"more": 1}, "more"),
    ],
)
def test_what_is_wrong_in_them_is_named(changes: dict[str, Any], says: str) -> None:
    with pytest.raises(InputError, match=says):
        read_answers(json.dumps({**ANSWERS, **changes}))


def test_a_text_that_was_cut_off_says_so() -> None:
    lines = packed(ANSWERS)
    with pytest.raises(InputError, match="cut off"):
        read_answers("\n".join([lines[0], lines[1], lines[2][:-3], lines[-1]]))
    with pytest.raises(InputError, match="aren't answers"):
        read_answers("\n".join(lines[:3]))


@given(st.text(max_size=200))
def test_anything_else_is_refused_and_nothing_else_happens(text: str) -> None:
    with pytest.raises(InputError):
        read_answers(text)
