"""Fonts that people bring: what is read of them, what is kept, and what is refused with which sentence."""

from __future__ import annotations

import io
import struct
from collections.abc import Callable
from importlib.resources import files
from typing import Any

import pytest
from fontTools.ttLib import TTFont, newTable
from fontTools.ttLib.tables import ttProgram
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.fonts import FAMILY, LATIN, font_file
from tonada.core.errors import InputError, TonadaError
from tonada.core.limits import MAX_FONT_BYTES, MAX_FONT_UNPACKED_BYTES
from tonada.intake.bounded import FONT, run_bounded
from tonada.intake.fonts import read_font

SHIPPED = (files("tonada.files") / "fonts" / "BricolageGrotesque-Bold.ttf").read_bytes()


def opened(content: bytes) -> TTFont:
    return TTFont(io.BytesIO(content))


@pytest.mark.parametrize("cubic", [False, True])
@pytest.mark.parametrize("flavor", [None, "woff2"])
def test_a_font_is_kept_as_woff2_with_all_that_it_draws(flavor: str | None, cubic: bool) -> None:
    found, made = read_font("halden.otf", font_file(weight=500, flavor=flavor, cubic=cubic))
    assert (found["family"], found["lightest"], found["heaviest"]) == (FAMILY, 500, 500)
    assert found["scripts"] == []
    assert set(found["lacks"]) & set(LATIN) == set()
    assert made[:4] == b"wOF2"
    assert set(map(chr, opened(made).getBestCmap())) == set(LATIN)


def test_a_font_of_a_foundry_keeps_its_features_and_terms_and_loses_its_programs() -> None:
    found, made = read_font("bricolage.ttf", SHIPPED)
    before, after = opened(SHIPPED), opened(made)
    assert found["lightest"] == found["heaviest"] == 700
    assert found["lacks"] == "" or "a" not in found["lacks"]
    assert {"GSUB", "GPOS"} <= set(before.keys()) & set(after.keys())
    assert not {"fpgm", "prep", "cvt ", "DSIG"} & set(after.keys())
    assert after["name"].getDebugName(0) == before["name"].getDebugName(0)
    assert before.getBestCmap().keys() == after.getBestCmap().keys()


def test_what_is_kept_is_read_again_to_the_same_bytes() -> None:
    first = read_font("a.ttf", SHIPPED)
    assert read_font("b.woff2", first[1]) == first


def with_programs(font: TTFont) -> None:
    for tag in ("fpgm", "prep"):
        font[tag] = newTable(tag)
        font[tag].program = ttProgram.Program()
        font[tag].program.fromBytecode(b"\xb0\x00\x2c\x2d")
    font["SVG "] = newTable("SVG ")
    font["SVG "].docList = [("<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>", 1, 1)]
    font["ZZZZ"] = newTable("ZZZZ")
    font["ZZZZ"].data = b"whatever"


def test_programs_drawings_and_unknown_tables_stay_behind() -> None:
    sent = font_file(flavor=None, change=with_programs)
    assert {"fpgm", "prep", "SVG ", "ZZZZ"} <= set(opened(sent).keys())
    kept = set(opened(read_font("a.ttf", sent)[1]).keys())
    assert kept.isdisjoint({"fpgm", "prep", "SVG ", "ZZZZ"})


def set_os2(**values: int) -> Callable[[TTFont], None]:
    def change(font: TTFont) -> None:
        for name, value in values.items():
            setattr(font["OS/2"], name, value)

    return change


def lean(font: TTFont) -> None:
    font["post"].italicAngle = -12


REFUSED: dict[str, tuple[bytes, str]] = {
    "a restricted font": (font_file(change=set_os2(fsType=0x0002)), "may not be embedded"),
    "one for bitmaps alone": (font_file(change=set_os2(fsType=0x0200)), "may not be embedded"),
    "an italic": (font_file(change=set_os2(fsSelection=0x0001)), "is an italic"),
    "a slanted one": (font_file(change=lean), "is an italic"),
    "a font of signs": (font_file("\u2190\u2191\u2192 "), "draws no whole alphabet"),
    "some of an alphabet": (font_file("abcdefgh"), "draws no whole alphabet"),
    "a collection": (b"ttcf" + bytes(60), "is a collection"),
    "a collection as WOFF2": (b"wOF2ttcf" + bytes(60), "is a collection"),
    "an old web font": (b"wOFF" + bytes(60), "older kind of web font"),
    "a picture": (b"\x89PNG\r\n\x1a\n" + bytes(60), "isn’t a font"),
    "nothing": (b"", "isn’t a font"),
    "one that is cut off": (font_file()[:200], "is broken"),
    "a head alone": (b"wOF2" + bytes(8), "is broken"),
    "a head that promises too much": (
        b"wOF2\x00\x01\x00\x00"
        + struct.pack(">IHHII", 60, 10, 0, MAX_FONT_UNPACKED_BYTES + 1, 10)
        + bytes(40),
        "unpacks to",
    ),
    "one that is too large": (b"\x00\x01\x00\x00" + bytes(MAX_FONT_BYTES), "at most 2"),
}


@pytest.mark.parametrize("name", list(REFUSED))
def test_a_font_is_refused_with_a_sentence_that_says_why(name: str) -> None:
    content, said = REFUSED[name]
    with pytest.raises(InputError, match=said) as refused:
        read_font("sent.woff2", content)
    assert refused.value.field == "file"
    assert str(refused.value).startswith("“sent.woff2” ")
    assert str(refused.value).endswith("Nothing was changed.")


@settings(max_examples=60, deadline=None)
@given(st.lists(st.tuples(st.integers(12, 4000), st.integers(0, 255)), min_size=1, max_size=12))
def test_a_table_that_lies_is_refused_or_told_from_what_is_there(changes: list[tuple[int, int]]) -> None:
    broken = bytearray(font_file(flavor=None))
    for place, value in changes:
        broken[place % len(broken)] = value
    try:
        _, made = read_font("a.ttf", bytes(broken))
    except InputError:
        return
    assert opened(made).getBestCmap()


@settings(max_examples=30, deadline=None)
@given(st.text(min_size=0, max_size=60))
def test_a_family_may_stand_in_a_stylesheet_as_it_is(family: str) -> None:
    storable = "".join(one for one in family if one.isprintable()) or "x"
    found, made = read_font("“a\"'.ttf", font_file(family=storable))
    assert 1 <= len(found["family"]) <= 40
    assert not set(found["family"]) & set("\"'\\<>{}();:/\n")
    assert opened(made)["name"].getDebugName(1) == found["family"]


@pytest.mark.parametrize(
    ("family", "expected"),
    [
        ("Halden Light", "Halden"),
        ("Halden SemiBold", "Halden"),
        ("Black", "Black"),
        ("Halden 55", "Halden 55"),
    ],
)
def test_a_weight_in_the_older_name_is_no_part_of_the_family(family: str, expected: str) -> None:
    assert read_font("a.ttf", font_file(family=family))[0]["family"] == expected


def test_weights_of_older_tools_are_hundreds() -> None:
    found, _ = read_font("a.ttf", font_file(change=set_os2(usWeightClass=7)))
    assert (found["lightest"], found["heaviest"]) == (700, 700)


def test_a_process_of_its_own_reads_fonts() -> None:
    answer = run_bounded("font", {"name": "a.woff2"}, [font_file()], budget=FONT)
    expected: tuple[dict[str, Any], bytes] = read_font("a.woff2", font_file())
    assert (answer.result, answer.parts[0]) == expected
    with pytest.raises(TonadaError, match="is an italic"):
        run_bounded("font", {"name": "a.woff2"}, [font_file(change=lean)], budget=FONT)
