"""`tonada palettes`: finding by colours and words, other lists, and taking one."""

from __future__ import annotations

import json
from pathlib import Path

import pytest

from tests.cli.test_cli import as_json, run
from tonada.core.formats.palette_list import write_palettes
from tonada.core.ready.shipped import shipped_palettes
from tonada.document.own_file import read_own


def test_the_nearest_come_first_and_all_are_as_asked(capsys: pytest.CaptureFixture[str]) -> None:
    asked = ("--near", "#8a3f24", "--mood", "warm", "--hues", "2")
    found = as_json(capsys, "palettes", *asked)
    assert 0 < found["found"] < 480
    assert len(found["palettes"]) == min(12, found["found"])
    for one in found["palettes"]:
        assert "warm" in one["moods"]
        assert one["hues"] == 2
    code, said, _ = run(capsys, "palettes", *asked, "--max", "2")
    assert code == 0
    lines = said.splitlines()
    assert lines[0].startswith(found["palettes"][0]["name"])
    assert lines[-1] == f"{found['found']} of 480 found."


def test_a_palette_is_taken_as_a_file_that_passes_its_check(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    palette = next(one for one in shipped_palettes() if one.proof and one.proof.reaches_aaa)
    out = tmp_path / "taken.tonada.json"
    code, said, _ = run(capsys, "palettes", "--take", palette.name.upper(), "--aaa", "--out", str(out))
    assert code == 0
    assert said.splitlines()[-1] == "Every pair passes AAA, by day and by night."
    take = read_own(out.read_bytes()).take
    assert take.level == "AAA"
    assert run(capsys, "check", str(out))[0] == 0
    assert as_json(capsys, "palettes", "--take", palette.name)["short"] == []


def test_a_list_of_ones_own_is_searched_instead(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    file = tmp_path / "own.json"
    file.write_bytes(write_palettes(shipped_palettes()[:5]))
    assert as_json(capsys, "palettes", "--file", str(file))["found"] == 5
    assert json.loads(file.read_text())["format"] == "tonada palettes"


@pytest.mark.parametrize(
    ("arguments", "says"),
    [
        (("--mood", "nice"), "nice"),
        (("--near", "blurple"), "not a colour"),
        (("--near", "red", "blue", "lime", "black"), "At most 3"),
        (("--take", "Nobody"), "no palette called"),
        (("--file", "/nowhere.json"), "nowhere"),
        (("--hues", "7"), "1 to 4"),
        (("--max", "0"), "1 to 1000"),
    ],
)
def test_what_cant_be_asked_is_said_in_a_line(
    capsys: pytest.CaptureFixture[str], arguments: tuple[str, ...], says: str
) -> None:
    code, out, err = run(capsys, "palettes", *arguments)
    assert (code, out) == (2, "")
    assert says in err
