"""Names of what is handed off: ASCII in every script, one for each thing, the same by day and by night."""

from __future__ import annotations

import json
import re
from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.takes import TAKE, TYPED
from tonada.core.formats import read_list
from tonada.core.formats.naming import Names, words_of
from tonada.core.formats.registry import WRITINGS
from tonada.core.formats.sheet import Dark, Options, joined
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.recolouring.restyle import restyle
from tonada.core.source.stylesheets import StyleFile
from tonada.core.take.parts import Overlay
from tonada.core.take.take import Assignment, Take

ALL = Options(steps=True, grounds=True)
OWN_NAMES = st.text(min_size=1, max_size=20).filter(lambda name: name.strip() != "")


def named(*swatches: str, roles: tuple[str, ...] = ()) -> Take:
    """Return the take with other names for its swatches, and with roles of the designer's own."""
    renamed = (
        tuple(replace(one, name=name) for one, name in zip(TAKE.swatches, swatches, strict=False))
        + TAKE.swatches[len(swatches) :]
    )
    own = tuple(
        Assignment(f"own-{row}", TAKE.swatches[0].id, step=row + 1, reason="", name=name)
        for row, name in enumerate(roles)
    )
    assert TAKE.other is not None
    other = replace(TAKE.other, roles=TAKE.other.roles + own)
    return replace(TAKE, swatches=renamed, roles=TAKE.roles + own, other=other)


@pytest.mark.parametrize(
    ("name", "words"),
    [
        ("Türkis", ("turkis",)),
        ("Night indigo 2", ("night", "indigo", "2")),
        ("50 shades", ("color", "50", "shades")),
        ("Ёлка", ("elka",)),
        ("ελιά", ("elia",)),
        ("—", ("color",)),
    ],
)
def test_names_of_any_script_are_ascii_words(name: str, words: tuple[str, ...]) -> None:
    assert words_of(name) == words


def test_a_japanese_name_is_neither_empty_nor_lost() -> None:
    take = named("青い海", "Türkis")
    css = WRITINGS["css"].write(sheet_of(take, ALL, title="x"), ALL)
    assert "--:" not in css
    assert re.search(r"--[a-z][-a-z0-9]*: #[0-9a-f]{6}; /\* 青い海 · ", css)
    assert re.search(r"--turkis: #[0-9a-f]{6}; /\* Türkis · ", css)


@given(st.lists(OWN_NAMES, min_size=3, max_size=3), st.lists(OWN_NAMES, min_size=2, max_size=2))
@settings(max_examples=examples(60), deadline=None)
def test_every_name_is_a_variable_and_stands_for_one_thing_by_day_and_by_night(
    swatches: list[str], roles: list[str]
) -> None:
    sheet = sheet_of(named(*swatches, roles=tuple(roles)), ALL, title="x")
    day, night = ([joined(value.words, ALL) for value in values] for values in (sheet.day, sheet.night))
    assert len(set(day)) == len(day)
    assert set(day) == set(night)
    assert all(re.fullmatch(r"[a-z][a-z0-9]*(-[a-z0-9]+)*", name) for name in day)
    by_words = {value.words: value for value in sheet.day}
    assert all(by_words[value.refers].hex == value.hex for value in sheet.day if value.refers)


def test_what_one_scheme_lacks_has_the_others_value() -> None:
    own = Assignment("own-badge", TAKE.swatches[0].id, step=3, reason="", name="Badge")
    for options in (Options(), ALL):
        sheet = sheet_of(replace(TAKE, roles=(*TAKE.roles, own)), options, title="x")
        assert {value.words for value in sheet.day} == {value.words for value in sheet.night}
        by_night = next(value for value in sheet.night if value.words == ("badge",))
        assert by_night.hex == TAKE.value_at(own.swatch, 3)
        assert by_night.note == "as by day"


def test_a_step_and_a_swatch_of_its_name_are_told_apart() -> None:
    extra = replace(TAKE.swatches[0], id="s80", name="Indigo 500", hex="#123456", origin=TYPED)
    take = replace(TAKE, swatches=(*TAKE.swatches, extra))
    names = Names(take)
    assert names.of("s80") != names.of_step(TAKE.swatches[0].id, 6)
    sheet = sheet_of(take, ALL, title="x")
    by_words = {value.words: value.hex for value in sheet.day}
    assert len(by_words) == len(sheet.day)
    assert by_words[names.of("s80")] == "#123456"


def test_a_stylesheet_refers_to_the_names_that_the_export_has() -> None:
    take = named("青い海", "Türkis")
    sheet = sheet_of(take, ALL, title="x")
    known = {f"--{joined(value.words, ALL)}": value.hex for value in sheet.day}
    step = f"{take.swatches[1].id}/4"
    made = restyle(
        take,
        [StyleFile("a.css", "a { color: #ff0000; background: #00ff00 }")],
        {"#ff0000": take.swatches[0].id, "#00ff00": step},
        "properties",
    )
    declared = dict(re.findall(r"(--[-\w]+): (#[0-9a-f]{6});", made.files[0].text))
    assert len(declared) == 2
    assert declared.items() <= known.items()


def test_overlays_are_on_every_file_that_holds_alpha() -> None:
    take = replace(TAKE, overlays=(Overlay("o1", "Veil", TAKE.swatches[0].id, 0.05),))
    sheet = sheet_of(take, Options(), title="x")
    made = {kind: one.write(sheet, Options()) for kind, one in WRITINGS.items()}
    assert "--veil: rgb(43 58 140 / 5%);" in made["css"]
    assert "$veil: rgb(43 58 140 / 5%);" in made["scss"]
    assert "--color-veil: rgb(43 58 140 / 5%);" in made["tailwind"]
    assert json.loads(made["tokens"])["day"]["veil"]["$value"]["alpha"] == 0.05
    assert 'fill="#2b3a8c" fill-opacity="0.05"' in made["svg"]
    assert "Veil,veil,,#2b3a8c0d,43,58,140,0.05,day" in made["csv"]
    assert "Veil" not in made["gpl"]
    for kind in ("css", "scss", "less", "tailwind", "tokens", "json", "csv", "svg"):
        read = read_list(made[kind].encode(), f"a{WRITINGS[kind].ending}")
        veils = [one.hex for one in read.colors if one.name and "eil" in one.name]
        assert veils, kind
        assert all(value in ("#f4f5f9", "#f5f6fa") for value in veils), "read as it looks on white"


@pytest.mark.parametrize("kind", WRITINGS)
def test_own_exports_can_be_read_again(kind: str) -> None:
    sheet = sheet_of(TAKE, ALL, title="x")
    read = read_list(WRITINGS[kind].write(sheet, ALL).encode(), f"a{WRITINGS[kind].ending}")
    assert {(note.kind, "names of texts on grounds" in note.text) for note in read.warnings} <= {
        ("left out", True)
    }
    values = (*sheet.day, *sheet.night)
    expected = {value.hex for value in values if kind not in ("gpl", "svg") or value.part != "use"}
    found = {one.hex for one in read.colors}
    assert found == expected if WRITINGS[kind].holds_all else found <= expected


def test_the_night_comes_by_wish_by_attribute_or_by_class() -> None:
    heads: dict[Dark, str] = {
        "media": "@media (prefers-color-scheme: dark) {",
        "attribute": '[data-theme="dark"] {',
        "class": ".dark {",
    }
    for dark, head in heads.items():
        options = Options(dark=dark)
        for kind in ("css", "tailwind"):
            text = WRITINGS[kind].write(sheet_of(TAKE, options, title="x"), options)
            assert text.count(head) == 1
            read = read_list(text.encode(), f"a{WRITINGS[kind].ending}")
            assert sum(bool(one.name and one.name.endswith("(dark)")) for one in read.colors) > 5


def test_a_component_that_is_called_dark_is_no_night() -> None:
    text = ".table-dark { --edge: #373b3e } :root[data-mode=dark], .dark { --page: #111111 }"
    assert [one.name for one in read_list(text.encode(), "a.css").colors] == ["edge", "page (dark)"]


def test_a_role_that_is_called_as_a_grounds_value_is_told_apart() -> None:
    values = sheet_of(TAKE, ALL, title="x").day
    longest = max((value.words for value in values if value.words[0] == "on"), key=len)
    words = [value.words for value in sheet_of(named(roles=(" ".join(longest),)), ALL, title="x").day]
    assert len(set(words)) == len(words)


def test_pasted_less_variables_are_read() -> None:
    read = read_list(b"@dome: #2b3a8c;\n@media print { a { color: red } }")
    assert [(one.name, one.hex) for one in read.colors] == [("dome", "#2b3a8c")]
