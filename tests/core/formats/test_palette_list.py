"""Lists of palettes: round trips, what other files mean, and what is refused with its reason."""

from __future__ import annotations

import json
from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tonada.core.errors import InputError
from tonada.core.formats.palette_list import read_palettes, tags_from, write_palette_tokens, write_palettes
from tonada.core.limits import MAX_FILE_PALETTES, MAX_LIST_BYTES
from tonada.core.ready.palette import PALETTE_ROLES, ReadyPalette, checked_colors, traits_of
from tonada.core.take.parts import Role

names = st.text(st.characters(codec="utf-8", exclude_categories=["C", "Z"]), min_size=1, max_size=40)
role_sets = st.sets(st.sampled_from([one for one in PALETTE_ROLES if one is not Role.PRIMARY]))


@st.composite
def palettes(draw: st.DrawFn) -> ReadyPalette:
    roles = {Role.PRIMARY, *draw(role_sets)}
    colors = checked_colors({role: draw(hexes) for role in roles})
    tags = tuple(dict.fromkeys(draw(st.lists(names, max_size=3))))
    return ReadyPalette("", draw(names), colors, traits_of(colors), tags=tags)


@given(st.lists(palettes(), min_size=1, max_size=5))
@settings(max_examples=examples(40), deadline=None)
def test_own_files_come_back_as_they_were(given_palettes: list[ReadyPalette]) -> None:
    read = read_palettes(write_palettes(given_palettes))
    assert read.skipped == ()
    assert list(read.palettes) == given_palettes


@given(st.lists(palettes(), min_size=1, max_size=5))
@settings(max_examples=examples(40), deadline=None)
def test_design_tokens_come_back_with_colours_roles_and_tags(given_palettes: list[ReadyPalette]) -> None:
    read = read_palettes(write_palette_tokens(given_palettes))
    assert read.skipped == ()
    assert [one.colors for one in read.palettes] == [one.colors for one in given_palettes]
    assert [one.tags for one in read.palettes] == [one.tags for one in given_palettes]
    assert all(one.name for one in read.palettes)


def test_names_that_tokens_forbid_are_changed_and_none_is_lost() -> None:
    one = next(iter(read_palettes(own([{"name": "A", "colors": {"primary": "#123456"}}])).palettes))
    awkward = [replace(one, name=name) for name in ("$a.b{c}", "a b c", "$", "…", "a b c")]
    root = json.loads(write_palette_tokens(awkward))
    assert len(root) == 5
    assert not any(set(key) & set("{}.") or key.startswith("$") for key in root)


def own(entries: object, **more: object) -> bytes:
    return json.dumps({"format": "tonada palettes", "version": 1, "palettes": entries, **more}).encode()


def test_what_cant_be_taken_is_said_and_the_rest_is_taken() -> None:
    read = read_palettes(
        own(
            [
                {
                    "name": "Good",
                    "colors": {"primary": "rgb(10 20 30)", "accent": "hotpink"},
                    "moods": ["warm", "?"],
                },
                {"name": "No lead", "colors": {"accent": "#ff0000"}},
                {"name": "Odd role", "colors": {"primary": "#000000", "muted": "#777777"}},
                {"name": "No colour", "colors": {"primary": "blurple"}},
                {"name": "Glass", "colors": {"primary": "#00000080"}},
                {"name": "Number", "colors": {"primary": 7}},
                "nothing",
                {"name": "Tagged", "colors": {"primary": "#000000"}, "tags": ["x" * 41]},
            ]
        )
    )
    (good,) = read.palettes
    assert good.by_role == {Role.PRIMARY: "#0a141e", Role.ACCENT: "#ff69b4"}
    assert good.moods == ("warm",)
    said = " ".join(read.skipped)
    assert len(read.skipped) == 7
    for word in ("Primary", "muted", "blurple", "translucent", "isn’t text", "no “colors”", "tags"):
        assert word in said
    assert all(one.startswith(f"Palette {number} ") for number, one in enumerate(read.skipped, 2))


def test_references_lead_through_the_whole_file() -> None:
    blue = {"$value": "#123456", "$type": "color"}
    file = {"base": {"blue": blue}, "Sea": {"primary": {"$value": "{base.blue}"}, "size": {"$value": "4px"}}}
    read = read_palettes(json.dumps(file).encode())
    assert [(one.name, one.by_role) for one in read.palettes] == [
        ("base", {Role.PRIMARY: "#123456"}),
        ("Sea", {Role.PRIMARY: "#123456"}),
    ]
    sized = read_palettes(json.dumps({"Sea": {"primary": blue}, "sizes": {"a": {"$value": "1px"}}}).encode())
    assert len(sized.palettes) == 1
    assert sized.skipped[0].startswith("“sizes” was left out")


def test_tokens_beside_groups_are_not_lost_in_silence() -> None:
    token = {"$type": "color", "$value": "#102030"}
    read = read_palettes(json.dumps({"Sea": {"primary": token}, "accent": token}).encode())
    assert [one.name for one in read.palettes] == ["Sea"]
    assert read.skipped == ("What stands outside of the groups was left out: each group is a palette.",)


def test_tokens_without_roles_lead_in_their_order_and_tokens_at_the_top_are_one_palette() -> None:
    token = {"$type": "color", "$value": "#102030"}
    grouped = {"Sea": {"deep water": token, "foam": {**token, "$value": "#e0f0ff"}}, "$description": "x"}
    (sea,) = read_palettes(json.dumps(grouped).encode()).palettes
    assert (sea.name, sea.by_role) == ("Sea", {Role.PRIMARY: "#102030", Role.SECONDARY: "#e0f0ff"})
    (top,) = read_palettes(json.dumps({"primary": token, "text": token}).encode()).palettes
    assert top.by_role == {Role.PRIMARY: "#102030", Role.INK: "#102030"}


@pytest.mark.parametrize(
    ("data", "says"),
    [
        pytest.param(b"", "empty", id="empty"),
        pytest.param(b"[1, 2]", "JSON object", id="a list"),
        pytest.param(b"\xff\xfe\x00", "JSON|text|encod", id="no text"),
        pytest.param(b'{"a":' * 3000, "JSON", id="nested"),
        pytest.param(b'{"format": "tonada take"}', "tonada take", id="another file of ours"),
        pytest.param(own([], version=9), "version", id="a later version"),
        pytest.param(own({}), "isn’t a list", id="no list"),
        pytest.param(own([]), "No palette", id="no palette"),
        pytest.param(b'{"a": 1}', "^No palette was found in the file. No colour was found", id="no colours"),
        pytest.param(b" " * (MAX_LIST_BYTES + 1), "kB", id="too large"),
    ],
)
def test_what_is_no_list_of_palettes_is_refused_naming_the_file(data: bytes, says: str) -> None:
    with pytest.raises(InputError, match=says) as refused:
        read_palettes(data)
    assert refused.value.field == "file"


def test_more_than_a_file_may_hold_is_refused_as_a_whole() -> None:
    entry = {"name": "x", "colors": {"primary": "#123456"}}
    assert len(read_palettes(own([entry] * 30)).palettes) == 30
    with pytest.raises(InputError, match="2,000"):
        read_palettes(own([{}] * (MAX_FILE_PALETTES + 1)))


def test_what_was_skipped_is_counted_where_it_is_much() -> None:
    read = read_palettes(own([{"name": "x", "colors": {"primary": "#123456"}}, *[{}] * 50]))
    assert len(read.skipped) == 21
    assert read.skipped[-1] == "30 more were left out."


def test_tags_are_in_one_line_each_and_none_is_there_twice() -> None:
    assert tags_from([" a\nb ", "a b", "", 7]) == ("a b", "7")
    with pytest.raises(InputError, match="12 tags"):
        tags_from(str(number) for number in range(13))
