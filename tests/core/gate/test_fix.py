"""Failing text colours, replaced where they are written, and nothing else."""

from __future__ import annotations

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tonada.core.color.contrast import ratio_between
from tonada.core.gate.fix import fix_stylesheets
from tonada.core.gate.rule_pairs import rule_pairs
from tonada.core.source.stylesheets import StyleFile

HEXES = st.integers(0, 0xFFFFFF).map("#{:06x}".format)


def fixed(text: str, name: str = "a.css") -> tuple[str, list[str]]:
    (made,), fixes = fix_stylesheets([StyleFile(name, text)], "AA")
    return made.text, [one.selector for one in fixes]


def test_only_the_failing_colour_changes() -> None:
    text = "/* head */\n.a{color:#999;background:#fff} .b { color : rgb(0 0 0) ; background:#fff }"
    made, selectors = fixed(text)
    assert selectors == [".a"]
    value = made[made.index("color:") + 6 :][:7]
    assert made == text.replace("#999", value)
    assert ratio_between(value, "#ffffff") >= 4.5


def test_one_colour_on_several_grounds_passes_on_all_or_stays() -> None:
    sheet = ":root{{--g:#fff}} .dark{{--g:{}}} .a{{color:#999;background:var(--g)}}"
    made, selectors = fixed(sheet.format("#f0f0f0"))
    assert selectors == [".a"]
    assert all(one.outcome == "passes" for one in rule_pairs([StyleFile("a.css", made)], "AA"))
    impossible = sheet.format("#555")
    assert fixed(impossible) == (impossible, [])


@pytest.mark.parametrize(
    "text",
    [
        ":root{--x:#999} .a{color:var(--x);background:#fff}",
        ".a{color:#999;background:url(x.png)}",
        ".a:disabled{color:#999;background:#fff}",
        "/* tonada-ignore: old */ .a{color:#999;background:#fff}",
    ],
)
def test_what_comes_from_elsewhere_or_is_exempt_stays(text: str) -> None:
    assert fixed(text) == (text, [])


def test_pages_are_mended_in_their_style_blocks() -> None:
    made, selectors = fixed("<p>#999</p><style>p{color:#999;background:#fff}</style>", "a.html")
    assert selectors == ["p"]
    assert made.startswith("<p>#999</p>")


@given(st.lists(st.tuples(HEXES, HEXES), min_size=1, max_size=4))
@settings(max_examples=examples(30), deadline=None)
def test_all_pass_afterwards_and_a_second_time_changes_nothing(pairs: list[tuple[str, str]]) -> None:
    text = "".join(f".r{row}{{color:{one};background:{other}}}\n" for row, (one, other) in enumerate(pairs))
    made, _ = fixed(text)
    assert all(one.outcome == "passes" for one in rule_pairs([StyleFile("a.css", made)], "AA"))
    assert fixed(made) == (made, [])
