"""What is handed off: notations that read back, formats that come back the same, names that don't clash."""

from __future__ import annotations

import csv
import io
import json
from dataclasses import replace
from pathlib import Path
from xml.etree import ElementTree

import pytest
from coloraide import Color
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE
from tonada.core.color.notation import read_color
from tonada.core.color.press import Press
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.color.wcag import Usage
from tonada.core.color.writing import NOTATIONS, WrittenAs, all_notations, written
from tonada.core.errors import InputError
from tonada.core.formats import read_list
from tonada.core.formats.check_key import LEVEL_KEY, PAIRS_KEY
from tonada.core.formats.convert import sheet_of_list, write_list
from tonada.core.formats.listed import ColorList, ListedColor
from tonada.core.formats.naming import words_of
from tonada.core.formats.registry import WRITINGS
from tonada.core.formats.sheet import Options, joined
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.gate.check import check_file, check_take
from tonada.core.pairs.evaluation import evaluate
from tonada.core.take.parts import Overlay, Pair
from tonada.core.take.take import Assignment, Role

# On the edge of sRGB, where a rounded value lies outside: one channel alone, and two alike.
EDGES = [(0, 0, level) for level in range(0, 256, 5)] + [(level, level, 0) for level in range(0, 256, 5)]
ALL = Options(steps=True, grounds=True)
WHOLE = [kind for kind, one in WRITINGS.items() if one.holds_all]
names = st.lists(st.sampled_from(["dusk", "reed", "tide", "loam", "ash", "fern"]), min_size=1, max_size=3)


@given(hexes)
def test_every_notation_reads_back_as_the_same_colour(value: str) -> None:
    for notation, text in all_notations(value).items():
        assert read_color(text).hex == value, (notation, text)


def test_the_darkest_and_the_palest_colours_read_back_too() -> None:
    """Where one step of a channel is the least of the notation's digits."""
    for value in (f"#{row << 16 | column << 8 | blue:06x}" for row, column, blue in EDGES):
        for notation, text in all_notations(value).items():
            assert read_color(text).hex == value, (notation, text)
    for base in (0, 252):
        for one in range(64):
            channels = (base + one // 16, base + one // 4 % 4, base + one % 4)
            value = "#{:02x}{:02x}{:02x}".format(*channels)
            for notation, text in all_notations(value).items():
                assert read_color(text).hex == value, (notation, text)


@given(hexes)
@settings(max_examples=examples(40))
def test_functions_agree_with_another_library(value: str) -> None:
    for notation in ("hsl", "hwb", "oklch", "lab"):
        other = Color(written(value, notation)).convert("srgb")
        channels = [round(part * 255, 1) for part in other.coords(nans=False)]
        assert channels == pytest.approx(hex_to_srgb8(value).tolist(), abs=0.3)


def test_an_unknown_notation_or_prefix_is_refused() -> None:
    with pytest.raises(InputError, match="notation"):
        written("#2b3a8c", "morse")
    with pytest.raises(InputError, match="prefix"):
        Options(prefix="2 words")
    assert len(NOTATIONS) == 11


@given(st.lists(st.tuples(names, hexes), min_size=1, max_size=12, unique_by=lambda one: tuple(one[0])))
@settings(max_examples=examples(60), deadline=None)
@pytest.mark.parametrize("kind", WHOLE)
def test_a_list_comes_back_the_same_and_is_written_the_same(
    kind: str, colors: list[tuple[list[str], str]]
) -> None:
    listed = tuple(ListedColor(value, " ".join(words), None) for words, value in colors)
    sheet = sheet_of_list(ColorList("made", listed, (), "Sample sheet"))
    first = WRITINGS[kind].write(sheet, Options())
    again = read_list(first.encode(), f"a{WRITINGS[kind].ending}")
    assert [one.hex for one in again.colors] == [one.hex for one in listed]
    assert write_list(read_list(first.encode(), f"a{WRITINGS[kind].ending}"), kind) == first


@pytest.mark.parametrize("kind", WHOLE)
@pytest.mark.parametrize("notation", ["hex", "oklch", "hsl"])
def test_a_takes_values_are_all_there_after_reading(kind: str, notation: WrittenAs) -> None:
    options = Options(steps=True, notation=notation)
    sheet = sheet_of(TAKE, options, title="Orrin Peak, Take 1")
    text = WRITINGS[kind].write(sheet, options)
    found = {one.hex for one in read_list(text.encode(), f"a{WRITINGS[kind].ending}").colors}
    # What is used on a ground may be plain black, which a palette of swatches doesn't have.
    assert {value.hex for value in sheet.day if kind not in ("gpl", "svg") or value.part != "use"} <= found


def test_names_are_distinct_and_follow_the_wish() -> None:
    for options in (ALL, replace(ALL, naming="camel"), replace(ALL, naming="snake", prefix="op")):
        sheet = sheet_of(TAKE, options, title="x")
        for values in (sheet.day, sheet.night):
            written_names = [joined(value.words, options) for value in values]
            assert len(set(written_names)) == len(written_names)
    assert joined(("on", "mist", "text"), replace(ALL, naming="camel", prefix="op")) == "opOnMistText"
    assert words_of("Night indigo 2") == ("night", "indigo", "2")
    assert words_of("primaryDark") == ("primary", "dark")


def test_options_decide_what_is_on_the_sheet() -> None:
    few = sheet_of(TAKE, Options(swatches=False, texts=False, night=False), title="x")
    assert {value.part for value in few.day} == {"role"}
    assert few.night == ()
    every = sheet_of(TAKE, ALL, title="x").day
    assert {value.part for value in every} == {"role", "use", "swatch", "step", "ground"}
    # A role points at its colour once that has a name of its own on the sheet.
    roles = {value.words: value for value in every if value.part == "role"}
    assert roles["primary",].refers == ("indigo",)
    assert all(value.refers is None or value.words == (*value.refers, "as", "text") for value in few.day)
    for options in (Options(), ALL, Options(roles=False), Options(swatches=False, steps=True)):
        sheet = sheet_of(TAKE, options, title="x")
        for values in (sheet.day, sheet.night):
            there = {value.words for value in values}
            assert {value.refers for value in values if value.refers} <= there, options


def test_a_name_that_would_end_a_comment_or_start_a_formula_is_made_harmless() -> None:
    swatch = replace(TAKE.swatches[0], name="*/ body { display: none } /* =cmd()")
    take = replace(TAKE, swatches=(swatch, *TAKE.swatches[1:]))
    sheet = sheet_of(take, Options(steps=True), title="*/ x")
    css = WRITINGS["css"].write(sheet, Options())
    assert "*/ body" not in css
    assert css.splitlines()[0] == "/* * / x */"
    formula = replace(swatch, name="=HYPERLINK(1)")
    text = WRITINGS["csv"].write(
        sheet_of(replace(take, swatches=(formula, *take.swatches[1:])), Options(steps=True), title="x"), ALL
    )
    rows = list(csv.reader(io.StringIO(text)))
    assert rows[0][:4] == ["name", "token", "role", "hex"]
    assert not any(cell.startswith("=") for row in rows for cell in row)
    svg = WRITINGS["svg"].write(sheet_of(take, ALL, title="<script>alert(1)</script>"), ALL)
    assert "<script>" not in svg


def test_tokens_follow_the_format_and_carry_their_pairs() -> None:
    text = WRITINGS["tokens"].write(sheet_of(TAKE, ALL, title="Orrin Peak"), ALL)
    root = json.loads(text)
    assert set(root) == {"$description", "day", "night", "$extensions"}
    for group in (root["day"], root["night"]):
        assert group["$type"] == "color"
        for name, token in group.items():
            if name.startswith("$"):
                continue
            # Names: no “.”, “{”, “}”, no leading “$” (Format Module, 5.1.1).
            assert not set(name) & set(".{}")
            assert set(token) <= {"$value", "$description"}
            value = token["$value"]
            if isinstance(value, str):
                scheme, target = value.strip("{}").split(".")
                # A role as text may be the role itself.
                is_role = name == f"{target}-as-text" or "-on-" in name
                assert is_role or isinstance(root[scheme][target]["$value"], dict), "one step, no chain"
            else:
                assert set(value) == {"colorSpace", "components", "alpha", "hex"}
                assert all(0 <= part <= 1 for part in value["components"])
    without = replace(ALL, texts=False)
    text = WRITINGS["tokens"].write(sheet_of(TAKE, without, title="Orrin Peak"), without)
    checked = check_file(text.encode(), "a.tokens.json")
    both = (*evaluate(TAKE).pairs, *evaluate(TAKE.turned()).pairs)
    figures = {(f.text_hex, f.ground_hex, f.usage): f.ratio for f in both}
    assert len(checked) == len(TAKE.pairs) + len(TAKE.turned().pairs)
    assert all(figures[one.text_hex, one.ground_hex, one.usage] == one.ratio for one in checked)


def test_tokens_carry_pairs_of_steps_swatches_and_overlays_and_the_level() -> None:
    veil = Overlay("o1", "Veil", TAKE.swatches[0].id, 0.4)
    own = (
        Pair("p1", f"{TAKE.swatches[0].id}/3", TAKE.swatches[1].id, Usage.BODY_TEXT, "x"),
        Pair("p2", Role.INK, Role.PAPER, Usage.BODY_TEXT, "x", layers=("o1",)),
        Pair("p3", "o1", Role.PAPER, Usage.BODY_TEXT, "x"),
        Pair("p4", "#123456", "#abcdef", Usage.BODY_TEXT, "x"),
    )
    take = replace(TAKE, overlays=(veil,), pairs=own, level="AAA")
    by_id = {one.id: one.ratio for one in evaluate(take).pairs}
    expected = [by_id[one.id] for one in own]
    for options in (Options(), ALL, Options(overlays=False, night=False)):
        text = WRITINGS["tokens"].write(sheet_of(take, options, title="x"), options)
        checked = check_file(text.encode(), "a.tokens.json")[: len(own)]
        assert [one.ratio for one in checked] == expected
        assert {one.needed for one in checked} == {7.0}
        assert {one.needed for one in check_file(text.encode(), "a.tokens.json", "AA")[: len(own)]} == {4.5}


def test_a_token_file_with_layers_that_are_none_is_refused() -> None:
    pair = {"text": "#000", "ground": "#fff", "layers": "#0008"}
    for wrong in ("#0008", ["nothing"], ["#0008"] * 25):
        root = {"$extensions": {PAIRS_KEY: [{**pair, "layers": wrong}]}}
        with pytest.raises(InputError) as refused:
            check_file(json.dumps(root).encode(), "a.tokens.json")
        assert refused.value.field.startswith(f"{PAIRS_KEY}.0.layers")
    with pytest.raises(InputError):
        check_file(json.dumps({"$extensions": {PAIRS_KEY: [pair], LEVEL_KEY: "B"}}).encode(), "a.tokens.json")


def test_the_svg_is_a_sheet_of_named_rectangles_with_text() -> None:
    text = WRITINGS["svg"].write(sheet_of(TAKE, Options(), title="Orrin Peak"), Options())
    root = ElementTree.fromstring(text)
    space = "{http://www.w3.org/2000/svg}"
    assert root.findtext(f"{space}title") == "Orrin Peak"
    assert len(root.findall(f"{space}g")) == len(root.findall(f".//{space}rect"))
    assert root.findall(f".//{space}text")


def test_a_take_is_checked_by_day_and_by_night() -> None:
    checked = check_take(TAKE)
    assert len(checked) == len(TAKE.pairs) + len(TAKE.turned().pairs)
    assert any(one.text.endswith("(night)") for one in checked)


def test_print_values_come_from_a_press_profile() -> None:
    profile = Path("/usr/share/color/icc/ghostscript/default_cmyk.icc")
    press = Press(profile.read_bytes())
    assert "CMYK" in press.name
    white, black = press.printed("#ffffff"), press.printed("#000000")
    assert (white.cyan, white.magenta, white.yellow, white.black) == (0, 0, 0, 0)
    assert black.black >= 60
    assert press.printed("#d7b13c").in_gamut
    assert not press.printed("#00ff00").in_gamut
    naive = press.printed("#2b3a8c")
    assert (naive.cyan, naive.magenta) != (69, 59), "not the formula 1 - channel / maximum"
    with pytest.raises(InputError):
        Press(b"no profile")


def test_a_role_of_ones_own_is_named_as_it_is_called() -> None:
    own = Assignment("own-sea-light", TAKE.swatches[0].id, "Chosen by you.", name="Sea light")
    take = replace(TAKE, roles=(*TAKE.roles, own))
    assert ("sea", "light") in {value.words for value in sheet_of(take, Options(), title="x").day}
    assert Role.PRIMARY in {one.role for one in take.roles}
