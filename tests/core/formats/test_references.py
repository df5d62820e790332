"""Tokens that refer to each other, resolver documents, scripts, and what a limit cuts."""

from __future__ import annotations

import json
from typing import Any

import pytest

from tonada.core.errors import InputError
from tonada.core.formats.detect import read_list
from tonada.core.formats.listed import ColorList
from tonada.core.limits import MAX_LIST_COLORS

INDIGO = "#2b3a8c"
PART, HALF = "#/base/parts/$value/components/0", "{base.half}"


def read(root: Any) -> ColorList:
    return read_list(json.dumps(root).encode(), "a.json")


def names_of(found: ColorList) -> dict[str | None, str]:
    return {color.name: color.hex for color in found.colors}


@pytest.mark.parametrize(
    ("token", "expected"),
    [
        ({"$value": "{base.indigo}"}, INDIGO),
        ({"$ref": "#/base/indigo"}, INDIGO),
        ({"$value": {"$ref": "#/base/indigo/$value"}}, INDIGO),
        ({"$value": "{base.group}"}, "#123456"),
        ({"$value": "{base.group.$root}"}, "#123456"),
        ({"$value": "rgba({base.indigo}, 0.5)"}, "#959dc6"),
        ({"$value": "rgba({base.indigo}, {base.half})"}, "#959dc6"),
        ({"$value": "color-mix(in srgb, {base.indigo}, white)"}, "#959dc6"),
        ({"$value": "hwb(231 17% 45%)"}, "#2b3a8c"),
        (
            {
                "$type": "color",
                "$value": {"colorSpace": "srgb", "components": [{"$ref": PART}, 0, 0]},
            },
            "#ff0000",
        ),
        (
            {"$type": "color", "$value": {"colorSpace": "srgb", "components": [0, 0, 0], "alpha": HALF}},
            "#808080",
        ),
    ],
)  # fmt: skip
def test_references_lead_through_types_groups_pointers_and_parts(token: Any, expected: str) -> None:
    base = {
        "indigo": {"$type": "color", "$value": INDIGO},
        "group": {"$type": "color", "$root": {"$value": "#123456"}},
        "half": {"$type": "number", "$value": 0.5},
        "parts": {"$type": "color", "$value": {"colorSpace": "srgb", "components": [1, 0.2, 0]}},
    }
    assert names_of(read({"base": base, "asked": token}))["asked"] == expected


def test_a_reference_within_a_set_is_followed_there_first_and_said_where_several_could_be_meant() -> None:
    found = read(
        {
            "one": {"blue": {"$value": "#0000ff"}, "link": {"$value": "{blue}"}},
            "two": {"blue": {"$value": "#0000aa"}, "link": {"$value": "{blue}"}},
            "more": {"link": {"$value": "{blue}"}},
        }
    )
    named = names_of(found)
    assert (named["one link"], named["two link"], named["more link"]) == ("#0000ff", "#0000aa", "#0000aa")
    assert [(note.kind, note.text) for note in found.warnings] == [
        ("assumed", "{blue} stands in several sets; the last one is taken.")
    ]


def test_a_reference_to_nothing_is_named() -> None:
    found = read(
        {"a": {"$type": "color", "$value": "{no.where}"}, "b": {"$type": "color", "$value": "#123456"}}
    )
    assert [color.name for color in found.colors] == ["b"]
    assert "{no.where} isn’t in the file" in found.warnings[0].text


DAY = {"color": {"$type": "color", "ink": {"$value": INDIGO}, "paper": {"$value": "#ffffff"}}}
NIGHT = {"color": {"paper": {"$value": "#101014"}, "link": {"$value": "{color.ink}"}}}
RESOLVER = {
    "version": "2025.10",
    "sets": {"base": {"sources": [DAY]}},
    "modifiers": {"theme": {"default": "light", "contexts": {"light": [], "dark": [NIGHT]}}},
    "resolutionOrder": [{"$ref": "#/sets/base"}, {"$ref": "#/modifiers/theme"}],
}


def test_a_resolver_document_is_read_as_its_defaults_say_with_other_contexts_beside() -> None:
    assert names_of(read(RESOLVER)) == {
        "color ink": INDIGO,
        "color paper": "#ffffff",
        "color paper (dark)": "#101014",
        "color link (dark)": INDIGO,
    }


def test_tokens_in_other_files_are_named() -> None:
    sources = [DAY, {"$ref": "more.tokens.json"}]
    found = read({**RESOLVER, "sets": {"base": {"sources": sources}}})
    assert "“more.tokens.json” are in another file" in found.warnings[0].text
    with pytest.raises(InputError, match=r"in other files: more\.tokens\.json"):
        read({"resolutionOrder": [{"type": "set", "name": "x", "sources": [{"$ref": "more.tokens.json"}]}]})


SCRIPT = """
import { base } from './base'
const ink = '#101014' as const
const own = { red: '#ff0000', deep: { er: 'hsl(231deg 53% 36%)' } }
/** @type {import('some').Config} */
module.exports = defineConfig({
  content: ['./src/*.html'],
  theme: { fontSize: { big: 'calc(1rem + 2px)' }, extend: { colors: {
    ...own, ink,
    brand: { DEFAULT: '#2b3a8c', 500: `#${'123456'}`, 'x-y': own.red, deep: own.deep.er, number: 0x00ff00 },
    far: base.blue[500],
    made: darken('#fff', 10),
    late: ({ opacity }) => `rgb(1 2 3 / ${opacity})`,
  } } },
  plugins: [require('./plugin')],
})
"""


def test_a_script_is_read_and_what_would_have_to_be_run_is_named() -> None:
    found = read_list(SCRIPT.encode(), "site.config.ts")
    named = names_of(found)
    expected = {"brand": INDIGO, "brand 500": "#123456", "brand x-y": "#ff0000", "brand deep": INDIGO,
                "brand number": "#00ff00", "ink": "#101014", "own red": "#ff0000"}  # fmt: skip
    assert expected.items() <= named.items()
    said = " ".join(warning.text for warning in found.warnings)
    for part in ("base.blue[500]", "darken('#fff', 10)", "late"):
        assert part in said
    assert "calc" not in said
    assert "content" not in said


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        (
            "colors: { primary: '#2b3a8c', grey: { 50: '#fafafa' } }",
            {"primary": INDIGO, "grey 50": "#fafafa"},
        ),
        ("const palette = ['#2b3a8c', 'tomato']", {None: "#ff6347"}),
        ("export const accent = '#2b3a8c'", {"accent": INDIGO}),
        ("export default { ...require('./x'), accent: '#2b3a8c' }", {"accent": INDIGO}),
    ],
)
def test_what_is_pasted_out_of_a_script_is_read(text: str, expected: dict[str | None, str]) -> None:
    assert names_of(read_list(text.encode())) == expected


@pytest.mark.parametrize("value", ["[" * 30_000, "a." * 30_000, "{b: a}", "`${a}`", "a"])
def test_a_hostile_script_is_refused(value: str) -> None:
    with pytest.raises(InputError):
        read_list(f"const a = {value}".encode(), "a.js")


def test_what_a_limit_cuts_is_counted() -> None:
    lines = "\n".join(f"$c{number}: #{number:06x};" for number in range(MAX_LIST_COLORS + 34))
    found = read_list(lines.encode(), "a.scss")
    assert len(found.colors) == MAX_LIST_COLORS
    assert "2,000 of 2,034 colours were taken" in found.warnings[0].text


def test_an_initial_value_is_a_colour_of_the_list_and_behind_references() -> None:
    text = '@property --ink { syntax: "<color>"; initial-value: #2b3a8c } :root { --a: var(--ink) }'
    assert names_of(read_list(text.encode(), "a.css")) == {"ink": INDIGO, "a": INDIGO}
