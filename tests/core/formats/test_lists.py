"""Lists of colours in every format that comes in."""

from __future__ import annotations

import json
import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tests.strategies import hexes
from tonada.core.errors import InputError
from tonada.core.formats import read_list
from tonada.core.formats.listed import role_of_name
from tonada.core.take.take import Role

INDIGO, COMET = "#2b3a8c", "#d7b13c"
TOKENS = {
    "color": {
        "$type": "color",
        "brand": {
            "primary": {"$value": {"colorSpace": "srgb", "components": [0.1686, 0.2275, 0.549]}},
            "accent": {"$value": "#d7b13c"},
        },
        "text": {"$value": "{color.brand.primary}"},
        "pointer": {"$ref": "#/color/brand/accent"},
        "hsl": {"$value": {"colorSpace": "hsl", "components": [230.722, 53.0055, 35.8824]}},
        "grey": {"$value": {"colorSpace": "oklch", "components": [0.6, 0, "none"]}},
        "wide": {"$value": {"colorSpace": "display-p3", "components": [0, 1, 0]}},
        "wrong": {"$value": {"colorSpace": "srgb", "components": [1, 2]}},
    },
    "edge": {"$type": "border", "$value": {"color": "#fff", "width": "1px", "style": "solid"}},
    "size": {"$type": "dimension", "$value": {"value": 4, "unit": "px"}},
    "more": {"$extends": "{color.brand}", "own": {"$type": "color", "$value": "#123456"}},
}


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        pytest.param("Primary: #2b3a8c", [(INDIGO, "Primary")], id="a name and a colon"),
        pytest.param("#2b3a8c Night indigo", [(INDIGO, "Night indigo")], id="the name behind"),
        pytest.param("1. Comet - #D7B13C;", [(COMET, "Comet")], id="a numbered line"),
        pytest.param("#2b3a8c, #d7b13c", [(INDIGO, None), (COMET, None)], id="several on a line"),
        pytest.param("a: #2b3a8c b: #d7b13c", [(INDIGO, "a"), (COMET, "b")], id="several with names"),
        pytest.param("Indigo 43 58 140", [(INDIGO, "Indigo")], id="bare decimals"),
        pytest.param("43 58 140", [(INDIGO, None)], id="bare decimals alone"),
        pytest.param("2b3a8c", [(INDIGO, None)], id="bare hex digits"),
        pytest.param("shade: teal", [("#008080", "shade")], id="a CSS name"),
        pytest.param("facade\nrgb(43 58 140)", [(INDIGO, None)], id="a word of hex letters is no colour"),
        pytest.param(
            "\ufeff#2b3a8c\r\n#d7b13c\r\n", [(INDIGO, None), (COMET, None)], id="a mark and other line ends"
        ),
        pytest.param("$a: #2b3a8c !default;\n$b: $a;", [(INDIGO, "a"), (INDIGO, "b")], id="SCSS"),
        pytest.param(
            ":root{--primary:#2b3a8c;--x:var(--primary);--pad:4px}",
            [(INDIGO, "primary"), (INDIGO, "x")],
            id="CSS",
        ),
        pytest.param(
            "GIMP Palette\nName: Peak\n#\n 43  58 140\tNight indigo\n215 177 60\n",
            [(INDIGO, "Night indigo"), (COMET, None)],
            id="GPL",
        ),
    ],
)
def test_every_color_is_found_in_order_with_its_name(
    text: str, expected: list[tuple[str, str | None]]
) -> None:
    assert [(color.hex, color.name) for color in read_list(text.encode()).colors] == expected


@pytest.mark.parametrize(
    "text",
    [
        "name,hex\nIndigo,#2b3a8c\nComet,#d7b13c\n",
        "name;r;g;b\nIndigo;43;58;140\nComet;215;177;60",
        "#2b3a8c\tIndigo\n#d7b13c\tComet",
        '"Indigo","rgb(43, 58, 140)"\n"Comet","#D7B13C"',
        "Indigo,43,58,140\nComet,215,177,60",
    ],
)
def test_csv_is_read_with_and_without_a_header(text: str) -> None:
    found = read_list(text.encode(), "colours.csv")
    assert [(color.hex, color.name) for color in found.colors] == [(INDIGO, "Indigo"), (COMET, "Comet")]


def test_design_tokens_are_read_through_references_types_and_extensions() -> None:
    found = read_list(json.dumps(TOKENS).encode(), "brand.tokens.json")
    colors = {color.name: color.hex for color in found.colors}
    assert colors["color brand primary"] == colors["color text"] == INDIGO
    assert colors["color brand accent"] == colors["color pointer"] == COMET
    assert colors["color hsl"] == INDIGO
    assert re.fullmatch(r"#(..)\1\1", colors["color grey"])
    assert colors["more own"] == "#123456"
    assert colors["more primary"] == INDIGO
    notes = " ".join(warning.text for warning in found.warnings)
    assert "edge: a composite token (border) was skipped" in notes
    assert "wide lies outside sRGB" in notes
    assert "wrong" in notes
    assert "size" not in notes


def test_tokens_that_refer_in_a_circle_are_noted() -> None:
    text = '{"$type":"color","a":{"$value":"{b}"},"b":{"$value":"{a}"},"c":{"$value":"#123456"}}'
    text = text.replace('"$type":"color",', '"$type":"color",')
    found = read_list(text.encode(), "t.json")
    assert [color.hex for color in found.colors] == ["#123456"]


def test_a_swatch_sheet_keeps_its_names() -> None:
    svg = (
        '<svg xmlns="http://www.w3.org/2000/svg"><rect id="night-indigo" fill="#2b3a8c"/>'
        '<rect style="fill: #d7b13c"><title>Comet</title></rect><circle fill="#fff"/><text>Snow</text>'
        '<path fill="none"/></svg>'
    )
    assert [(color.hex, color.name) for color in read_list(svg.encode()).colors] == [
        (INDIGO, "night-indigo"),
        (COMET, "Comet"),
        ("#ffffff", "Snow"),
    ]


@pytest.mark.parametrize(
    ("name", "role"),
    [
        ("--color-primary", Role.PRIMARY),
        ("Primary", Role.PRIMARY),
        ("brand/accent", Role.ACCENT),
        ("background", Role.PAPER),
        ("$text-color", Role.INK),
        ("primary-500", None),
        ("Night indigo", None),
        ("", None),
    ],
)
def test_a_role_is_kept_where_the_name_says_so(name: str, role: Role | None) -> None:
    assert role_of_name(name) == role


def test_a_role_goes_to_the_first_that_says_it() -> None:
    found = read_list(b"primary: #2b3a8c\nbrand: #d7b13c")
    assert [color.role for color in found.colors] == [Role.PRIMARY, None]


def test_what_cannot_be_taken_is_listed_line_by_line_and_the_rest_is_taken() -> None:
    text = "GIMP Palette\n43 58 140 Indigo\nnonsense\n300 0 0 Loud\n215 177 60 Comet"
    found = read_list(text.encode(), "p.gpl")
    assert len(found.colors) == 2
    assert [warning.line for warning in found.warnings] == [3, 4]


def test_translucent_and_wide_colors_say_what_they_became() -> None:
    found = read_list(b"veil: rgb(0 0 0 / 50%)\nneon: color(display-p3 0 1 0)\nnone: transparent")
    assert found.colors[0].hex == "#808080"
    assert len(found.colors) == 2
    texts = {warning.kind: warning.text for warning in found.warnings}
    assert "translucent" in texts["assumed"]
    assert "outside sRGB" in texts["mapped"]
    assert "transparent" in texts["left out"]


@given(st.lists(hexes, min_size=1, max_size=20, unique=True))
def test_a_list_of_hex_values_comes_back_as_it_is(values: list[str]) -> None:
    for text in (
        "\n".join(values),
        ", ".join(values),
        "".join(f"--c{n}: {v};\n" for n, v in enumerate(values)),
    ):
        assert [color.hex for color in read_list(text.encode()).colors] == values


@pytest.mark.parametrize(
    ("data", "name", "says"),
    [
        pytest.param(b"", "a.txt", "empty", id="empty"),
        pytest.param(b"no colours at all", "a.txt", "No colour was found", id="prose"),
        pytest.param(b"#2b3a8c \xff\xfe", "a.txt", "not in UTF-8", id="invalid UTF-8"),
        pytest.param(b"a\0b #123456", "a.txt", "binary", id="binary"),
        pytest.param(b"{" * 100_000, "a.json", "JSON", id="broken JSON"),
        pytest.param(b'{"a":' * 50_000 + b"1" + b"}" * 50_000, "a.json", "nested", id="deeply nested JSON"),
        pytest.param(b'{"a":' * 60 + b"{}" + b"}" * 60, "a.json", "deeper than", id="groups too deep"),
        pytest.param(b"[1, 2]", "a.json", "No colour was found", id="JSON that is a list"),
        pytest.param(b"#123456\n" * 400_000, "a.txt", "the limit is 1 MB", id="too large"),
        pytest.param(
            b"<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>", "a.svg", "script", id="a script"
        ),
    ],
)
def test_a_list_that_cannot_be_used_says_why(data: bytes, name: str, says: str) -> None:
    with pytest.raises(InputError) as refused:
        read_list(data, name)
    assert says in str(refused.value)


def read(text: str, name: str) -> dict[str | None, str]:
    return {one.name: one.hex for one in read_list(text.encode(), name).colors}


def test_numbers_in_a_stylesheet_are_no_colors() -> None:
    found = read_list(
        b"$z-index: 1055;\n$year: 2026;\n$size: 100;\n$brand: #0d6efd;\n$hot: tomato;", "a.scss"
    )
    assert [(one.name, one.hex) for one in found.colors] == [("brand", "#0d6efd"), ("hot", "#ff6347")]
    assert [one.line for one in found.warnings] == [1, 2, 3]


@pytest.mark.parametrize(
    "line",
    ["Dusk cmyk(100 50 0 10)", "CMYK: 100, 50, 0, 10", "cmyk C100 M50 Y0 K10", "Dusk 100 50 0 10"],
)
def test_cmyk_is_not_read_as_rgb(line: str) -> None:
    found = read_list(f"{line}\nLoam #b6653a".encode(), "a.txt")
    assert [one.hex for one in found.colors] == ["#b6653a"]
    assert len(found.warnings) == 1
    both = read_list(b"Dusk cmyk(100 50 0 10) #2b3a8c", "a.txt")
    assert [one.hex for one in both.colors] == ["#2b3a8c"]


def test_android_has_the_alpha_first() -> None:
    text = (
        '<?xml version="1.0"?><resources><color name="brand">#FF0D6EFD</color>'
        '<color name="half">#800D6EFD</color><color name="same">@color/brand</color>'
        '<color name="short">#f0a</color><color name="none">@color/x</color>'
        "</resources>"
    )
    found = read_list(text.encode(), "colors.xml")
    assert {one.name: one.hex for one in found.colors} == {
        "brand": "#0d6efd",
        "half": "#86b6fe",
        "same": "#0d6efd",
        "short": "#ff00aa",
    }
    assert any("none" in one.text for one in found.warnings)
    bomb = '<!DOCTYPE x [<!ENTITY a "b">]><resources><color name="a">&a;</color></resources>'
    with pytest.raises(InputError):
        read_list(bomb.encode(), "colors.xml")


def test_older_tokens_are_read() -> None:
    text = (
        '{"global": {"brand": {"value": "#0d6efd", "type": "color"},'
        '"size": {"value": "4", "type": "dimension"}, "ref": {"value": "{global.brand}", "type": "color"},'
        '"old": {"value": "{global.brand.value}", "type": "color"}}}'
    )
    assert read(text, "a.json") == {
        "global brand": "#0d6efd",
        "global ref": "#0d6efd",
        "global old": "#0d6efd",
    }


def test_maps_of_names_to_colors_are_read_at_any_depth_and_the_rest_is_counted() -> None:
    found = read_list(
        b'{"brand": "#0d6efd", "grey": {"100": "#eee", "list": ["red", 3]}, "n": 1055}', "a.json"
    )
    assert {one.name: one.hex for one in found.colors} == {
        "brand": "#0d6efd",
        "grey 100": "#eeeeee",
        "grey list 1": "#ff0000",
    }
    assert [one.text for one in found.warnings] == ["2 entries were no colour and left out."]
    assert [one.hex for one in read_list(b'["#0d6efd", "#fff"]', "").colors] == ["#0d6efd", "#ffffff"]
    with pytest.raises(InputError):
        read_list(("[" * 60 + '"red"' + "]" * 60).encode(), "a.json")
    with pytest.raises(InputError):
        read_list(b'{"n": 1, "text": "no colour"}', "a.json")


@pytest.mark.parametrize(
    "text",
    [
        "{ // the brand\n  indigo: '#2b3a8c', /* and */ comet: '#d7b13c', }",
        'module.exports = { "indigo": "#2b3a8c", comet: "#d7b13c" };',
        "export default {\n  indigo: '#2b3a8c',\n  comet: `#d7b13c`\n}".replace("`", "'"),
    ],
)
def test_looser_json_is_read_pasted_and_as_a_file(text: str) -> None:
    for name in ("", "colours.json5", "colours.json"):
        found = [(one.name, one.hex) for one in read_list(text.encode(), name).colors]
        assert found == [("indigo", "#2b3a8c"), ("comet", "#d7b13c")]


@pytest.mark.parametrize(
    "text",
    [
        "module.exports = { indigo: dark('#2b3a8c') }",
        "{ indigo: require('./colours') }",
        "{indigo: " * 200 + "1" + "}" * 200,
    ],
)
def test_code_is_not_read_as_data(text: str) -> None:
    with pytest.raises(InputError, match=r"isn’t run|broken at line|nested"):
        read_list(text.encode(), "a.json")


def test_names_of_a_theme_are_without_their_kind() -> None:
    text = "@theme { --color-copper: #b6653a; --radius: 4px } :root { --color-x: #123456 }"
    assert [one.name for one in read_list(text.encode(), "t.css").colors] == ["copper", "color-x"]
