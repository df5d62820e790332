"""An existing site's colours: how often, for what, through which detours."""

from __future__ import annotations

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import hexes
from tonada.core.color.contrast import contrast_ratio
from tonada.core.color.spaces import hex_to_srgb8, srgb8_to_oklab
from tonada.core.source.stylesheets import ColorUse, StyleFile, group_uses, read_stylesheets
from tonada.core.source.stylesheets.scan import line_finder, scan_stylesheet
from tonada.demo.seed import demo_file


def uses_of(text: str) -> dict[str, tuple[int, int, int, int]]:
    uses = read_stylesheets([StyleFile("a.css", text)]).uses
    return {use.hex: (use.text, use.ground, use.border, use.other) for use in uses}


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        pytest.param("a{color:#ABC}", {"#aabbcc": (1, 0, 0, 0)}, id="text, in short hex"),
        pytest.param("a{BACKGROUND:Red url(x.png)}", {"#ff0000": (0, 1, 0, 0)}, id="a shorthand"),
        pytest.param("a{border:1px solid rgb(1 2 3)}", {"#010203": (0, 0, 1, 0)}, id="a border"),
        pytest.param("a{outline-color:#123456}", {"#123456": (0, 0, 1, 0)}, id="an outline"),
        pytest.param(
            "a{fill:#111;box-shadow:0 0 2px #222}",
            {"#111111": (0, 0, 0, 1), "#222222": (0, 0, 0, 1)},
            id="other",
        ),
        pytest.param(
            "a{background:linear-gradient(90deg,#111 10%,#222)}",
            {"#111111": (0, 1, 0, 0), "#222222": (0, 1, 0, 0)},
            id="a gradient's stops",
        ),
        pytest.param("a{color:var(--x)}:root{--x:#123456}", {"#123456": (1, 0, 0, 0)}, id="a property"),
        pytest.param("a{color:var(--x,#654321)}", {"#654321": (1, 0, 0, 0)}, id="a fallback"),
        pytest.param(
            ":root{--a:var(--b);--b:var(--c);--c:#123456}a{color:var(--a)}b{color:var(--a)}",
            {"#123456": (2, 0, 0, 0)},
            id="properties through properties",
        ),
        pytest.param(
            ":root{--a:var(--b);--b:var(--a)}a{color:var(--a)}i{color:#000}",
            {"#000000": (1, 0, 0, 0)},
            id="a circle",
        ),
        pytest.param("a{color:rgba(0,0,0,.5)}", {"#808080": (1, 0, 0, 0)}, id="translucent over white"),
        pytest.param(
            "a{color:rgba(255,255,255,.5);background:#000}",
            {"#808080": (1, 0, 0, 0), "#000000": (0, 1, 0, 0)},
            id="translucent over the rule's own ground",
        ),
        pytest.param(
            "body{background:#000}a{color:rgb(255 255 255 / 50%)}",
            {"#000000": (0, 1, 0, 0), "#808080": (1, 0, 0, 0)},
            id="translucent over the page's ground",
        ),
        pytest.param(
            "a{color:transparent;background:none}b{color:#111}",
            {"#111111": (1, 0, 0, 0)},
            id="nothing to see",
        ),
        pytest.param(
            "a{font-family:Tan;animation:red 1s}b{color:#111}",
            {"#111111": (1, 0, 0, 0)},
            id="words that are no colours",
        ),
        pytest.param("/* a{color:red} */ a{color:#111/* blue */}", {"#111111": (1, 0, 0, 0)}, id="comments"),
        pytest.param('a{content:"}";color:#111}', {"#111111": (1, 0, 0, 0)}, id="a brace in a string"),
        pytest.param(
            "a{background:url(data:x;y});color:#111}", {"#111111": (1, 0, 0, 0)}, id="a brace in an address"
        ),
        pytest.param(
            "@media print{a{color:#111;&:hover{color:#222}}}",
            {"#111111": (1, 0, 0, 0), "#222222": (1, 0, 0, 0)},
            id="nested rules",
        ),
        pytest.param("a{color:#111!important}", {"#111111": (1, 0, 0, 0)}, id="important"),
        pytest.param("a{color:#111", {"#111111": (1, 0, 0, 0)}, id="an unclosed rule"),
        pytest.param(
            "<p style='color:#111'><table bgcolor=#222222><style>b{color:#333}</style>"
            "<script>c{color:#444}</script>",
            {"#111111": (1, 0, 0, 0), "#222222": (0, 1, 0, 0), "#333333": (1, 0, 0, 0)},
            id="a page",
        ),
    ],
)
def test_a_color_counts_where_it_is_seen(text: str, expected: dict[str, tuple[int, ...]]) -> None:
    assert uses_of(text) == expected


def test_a_property_set_at_the_root_goes_before_the_dark_one() -> None:
    text = ":root{--x:#111}@media (prefers-color-scheme:dark){:root{--x:#222}}a{color:var(--x)}"
    assert uses_of(text) == {"#111111": (1, 0, 0, 0)}


def test_properties_of_one_file_hold_in_the_others() -> None:
    files = [StyleFile("a.css", "a{color:var(--x)}"), StyleFile("b.css", ":root{--x:#123456}")]
    assert [use.hex for use in read_stylesheets(files).uses] == ["#123456"]


def test_pairs_that_stand_in_one_rule_come_with_their_ratio() -> None:
    reading = read_stylesheets(
        [StyleFile("a.css", ".a{color:#fff;background:#d7b13c}.b{color:#fff;background:#2b3a8c}i{color:red}")]
    )
    assert [(pair.text, pair.ground, pair.selector) for pair in reading.pairs] == [
        ("#ffffff", "#d7b13c", ".a"),
        ("#ffffff", "#2b3a8c", ".b"),
    ]
    for pair in reading.pairs:
        assert pair.ratio == float(contrast_ratio(hex_to_srgb8(pair.text), hex_to_srgb8(pair.ground)))


def test_the_place_of_a_value_is_exact() -> None:
    text = "a { color : #123456 ; }\nb{\n  background:  rgb(1,2,3)!important}"
    found = list(scan_stylesheet(text))
    assert [text[one.start :][: len(one.value)] for one in found] == ["#123456", "rgb(1,2,3)"]
    assert [line_finder(text).line_of(one.start) for one in found] == [1, 3]


@given(st.text(alphabet="{}();:/*\"'\\#ab c-@!url\n", max_size=120))
def test_no_text_breaks_the_scanner(text: str) -> None:
    for one in scan_stylesheet(text):
        assert text[one.start :].startswith(one.value.split("\n")[0][:1])


def test_an_old_site_of_thirty_colors_has_its_greys_grouped() -> None:
    reading = read_stylesheets([StyleFile("old-site.css", demo_file("old-site.css").decode())])
    assert len(reading.uses) >= 28
    groups = group_uses(reading.uses)
    assert len(groups) < 0.6 * len(reading.uses)
    assert sum(len(group.members) for group in groups) == len(reading.uses)
    assert sum(group.count for group in groups) == sum(use.count for use in reading.uses)
    assert [group.count for group in groups] == sorted((g.count for g in groups), reverse=True)


@given(st.lists(hexes, min_size=1, max_size=12, unique=True), st.floats(0.0, 0.25))
def test_no_two_of_a_group_differ_by_more_than_asked(values: list[str], difference: float) -> None:
    uses = tuple(ColorUse(value, 1, 0, 0, 0) for value in values)
    groups = group_uses(uses, difference)
    assert sorted(row for group in groups for row in group.members) == list(range(len(values)))
    for group in groups:
        places = [srgb8_to_oklab(hex_to_srgb8(values[row])) for row in group.members]
        for one in places:
            for other in places:
                assert float(((one - other) ** 2).sum() ** 0.5) <= difference + 1e-9


def test_a_wider_difference_never_makes_more_groups() -> None:
    reading = read_stylesheets([StyleFile("old-site.css", demo_file("old-site.css").decode())])
    counts = [len(group_uses(reading.uses, step / 50)) for step in range(13)]
    assert counts == sorted(counts, reverse=True)
    assert counts[0] == len(reading.uses)
