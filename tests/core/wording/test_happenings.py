"""What happened to a review, as sentences."""

from __future__ import annotations

from typing import Any

import pytest

from tonada.core.wording.happenings import KINDS, Happening, sentence_of

TOLD: list[tuple[str, str, dict[str, Any], str]] = [
    ("made", "", {"takes": "Midnight, version 1"}, "The review was made with Midnight, version 1."),
    ("link made", "", {"link": "Ana"}, "A link for Ana was made."),
    ("link made", "", {"link": ""}, "A link was made."),
    ("opened", "", {"link": "Ana"}, "The link for Ana was opened for the first time."),
    ("remarked", "Ana", {"about": "Heading", "text": "Hm"}, "Ana remarked on Heading: “Hm”"),
    ("answered", "", {"text": "Yes"}, "The designer answered: “Yes”"),
    ("taken back", "Ana", {"about": "Heading"}, "Ana deleted a remark on Heading."),
    ("chosen", "Ana", {"place": 0, "name": "Dusk", "reason": ""}, "Ana chose Dusk."),
    ("chosen", "Ana", {"place": 0, "name": "Dusk", "reason": "Warm"}, "Ana chose Dusk: “Warm”."),
    ("chosen", "Ana", {"place": None, "reason": "Cold"}, "Ana chose none of them: “Cold”."),
    (
        "approved",
        "Ana",
        {"name": "Dusk", "version": 4, "digest": "0123456789abcdef"},
        "Ana approved Dusk, version 4 (digest 0123456789ab).",
    ),
    ("reopened", "", {"reason": ""}, "The designer reopened the review."),
    ("reopened", "", {"reason": "New logo"}, "The designer reopened the review: “New logo”."),
    ("prolonged", "", {"link": "Ana", "until": "on 3 May 2027"}, "The link for Ana now ends on 3 May 2027."),
    ("prolonged", "", {"link": "", "until": None}, "The link now ends never."),
    ("link withdrawn", "", {"link": "Ana"}, "The link for Ana was withdrawn."),
    ("withdrawn", "", {}, "The review was withdrawn."),
    ("answers taken in", "", {"link": "Ana"}, "Answers from a file for Ana were imported."),
]


@pytest.mark.parametrize(("kind", "who", "detail", "said"), TOLD)
def test_everything_is_told_in_plain_words(kind: str, who: str, detail: dict[str, Any], said: str) -> None:
    assert sentence_of(Happening(kind, who, detail)) == said


def test_every_kind_is_told_here() -> None:
    assert set(KINDS) == {kind for kind, *_ in TOLD}


def test_what_a_later_tonada_would_know_is_told_all_the_same() -> None:
    assert sentence_of(Happening("danced", "Ana", {})) == "Ana: danced."
