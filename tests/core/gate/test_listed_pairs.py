"""The list of pairs in our own files: read exactly, and never a way in for anything else."""

from __future__ import annotations

import json
from typing import Any

import pytest

from tests.takes import TAKE
from tonada.core.errors import InputError
from tonada.core.formats.checked import read_pair_lines
from tonada.core.formats.registry import WRITINGS
from tonada.core.formats.sheet import Options
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.gate.check import check_file

CSS = """:root { --ink: #222; --paper: #fff; --veil: rgb(0 0 0 / 50%) }
@media (prefers-color-scheme: dark) { :root { --ink: #ddd; --paper: #111 } }
/* Checked against WCAG 2.2 AAA: 3 pairs. None fails. */
/* Every pair, as text on ground · use · contrast ratio:
   --ink on --paper · body text, 16px 400 · 15.9 by day, 13.8 by night, needs 7
   --paper on --paper through --veil · large text · 3.9 by day, needs 4.5
   #fff on #888 · link · 3.54 by night, needs 7
   nothing that is a pair
*/"""


def test_a_line_says_its_schemes_its_size_and_what_lies_between() -> None:
    ink, veil, literal = read_pair_lines(CSS)
    assert (ink.text, ink.ground, ink.size, ink.weight, ink.schemes) == (
        "--ink", "--paper", 16.0, 400, ("day", "night"),
    )  # fmt: skip
    assert (veil.layers, veil.size, veil.schemes) == (("--veil",), None, ("day",))
    assert (literal.text, literal.ground, literal.schemes) == ("#fff", "#888", ("night",))


def test_the_values_in_the_file_decide_not_what_it_says() -> None:
    pairs = check_file(CSS.encode(), "a.css")
    assert [round(pair.ratio, 1) for pair in pairs] == [15.9, 3.9, 13.9, 3.5]
    # The level is the file's own.
    assert [pair.needed for pair in pairs] == [7, 4.5, 7, 7]
    assert [pair.fails for pair in pairs] == [False, True, False, True]


def test_a_name_without_a_colour_and_a_translucent_ground_are_refused() -> None:
    with pytest.raises(InputError, match="--muted, which has no colour"):
        check_file(CSS.replace("#fff on", "--muted on").encode(), "a.css")
    with pytest.raises(InputError, match="opaque"):
        check_file(CSS.replace("on #888", "on --veil").encode(), "a.css")


def test_a_list_that_is_made_to_hang_is_read_at_once() -> None:
    """Each of these words begins another part of a line."""
    hostile = "/* Every pair, as\n" + " on through · and " * 60_000 + "\n" + "a on b · body text · 1\n" * 5
    assert len(read_pair_lines(hostile)) == 5


@pytest.mark.parametrize(
    "change",
    [
        {"usage": []}, {"usage": "shouting"}, {"size": "16px"}, {"size": 10**400}, {"size": -1},
        {"weight": True}, {"text": {}}, {"ground": None}, {"layers": ["no colour"]},
    ],
)  # fmt: skip
def test_broken_pairs_in_json_are_refused(change: dict[str, Any]) -> None:
    options = Options()
    root = json.loads(WRITINGS["json"].write(sheet_of(TAKE, options, title="x"), options))
    root["pairs"][3] |= change
    with pytest.raises(InputError):
        check_file(json.dumps(root).encode(), "a.json")


@pytest.mark.parametrize(
    "root",
    [
        {"colors": [{"scheme": [], "hex": "#000", "token": {}}, 7], "pairs": [{"usage": "body text"}]},
        {"colors": [], "pairs": [7]},
        {"colors": [], "pairs": {}},
        {"colors": [], "pairs": [{}] * 1001},
    ],
)
def test_json_of_another_shape_is_refused(root: dict[str, Any]) -> None:
    with pytest.raises(InputError):
        check_file(json.dumps(root).encode(), "a.json")


def test_tokens_whose_usage_is_no_text_are_refused() -> None:
    pair = {"text": "#000", "ground": "#fff", "usage": ["body text"]}
    with pytest.raises(InputError, match="usage"):
        check_file(json.dumps({"$extensions": {"org.tonada.pairs": [pair]}}).encode(), "a.tokens.json")
