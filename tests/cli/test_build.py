"""`tonada build`: the whole way from what a designer has to a checked take, for people and for scripts."""

from __future__ import annotations

import json
from pathlib import Path

import pytest

from tests.cli.test_cli import LOGO, as_json, run
from tonada.document.own_file import read_own

OLD_SITE = LOGO.parent / "old-site.css"


def test_a_logo_becomes_a_checked_take(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    out = tmp_path / "orrin.tonada.json"
    code, said, err = run(capsys, "build", str(LOGO), "--out", str(out))
    assert (code, err) == (0, "")
    assert said.splitlines()[0].startswith("primary   #2b3a8c  Covers 74% of the artwork")
    assert said.splitlines()[-1] == "38 pairs checked by day and night: all pass AA."
    take = read_own(out.read_bytes()).take
    assert {one.hex for one in take.swatches if one.held} == {"#2b3a8c", "#b6653a", "#d7b13c"}
    code, _, _ = run(capsys, "check", str(out))
    assert code == 0


def test_colors_a_list_and_an_old_site_are_sources_too(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    named = tmp_path / "colors.csv"
    named.write_text("name,hex\nCrust,#7a2e1f\nMoss,#2f5d50\n")
    noted = tmp_path / "colors.md"
    noted.write_text("- Crust: #7a2e1f\n- Moss: #2f5d50\n")
    for given in (["#7a2e1f", "#2f5d50"], [str(named)], [str(noted)]):
        roles = {one["role"]: one["hex"] for one in as_json(capsys, "build", *given)["roles"]}
        assert roles["primary"] == "#7a2e1f"
    site = as_json(capsys, "build", str(OLD_SITE))
    assert "of all uses" in site["roles"][0]["reason"]
    assert site["short"] == []


def test_a_mood_is_free_and_with_colors_it_shapes_what_is_free(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    out = tmp_path / "mood.tonada.json"
    code, _, _ = run(capsys, "build", "--mood", "calm", "natural", "--out", str(out))
    assert code == 0
    take = read_own(out.read_bytes()).take
    assert not any(one.held for one in take.swatches)
    shaped = as_json(capsys, "build", "#2b3a8c", "--mood", "calm")
    assert shaped["short"] == []
    assert len(shaped["notes"]) == 1


def test_what_a_list_makes_impossible_is_said_and_the_exit_code_is_1(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    list_ = tmp_path / "colors.csv"
    list_.write_text("name,hex\nPrimary,#2b3a8c\nPaper,#9a9a9a\nInk,#888888\n")
    code, said, _ = run(capsys, "build", str(list_))
    assert code == 1
    assert "Ink on Paper reaches 1.2" in said
    assert "The nearest way: Ink as #" in said
    code, said, _ = run(capsys, "build", str(list_), "--json")
    assert code == 1
    assert json.loads(said)["short"]


@pytest.mark.parametrize(
    ("given", "problem"),
    [
        ([], "Give a file, colours, or words"),
        ([str(LOGO), "#ffffff"], "Give one file, or colours"),
        (["nowhere.png"], "is not a colour"),
        (["rgb(0 0 0 / 50%)"], "transparent"),
        (["--mood", "qqq"], "doesn’t know the word"),
        ([__file__], "not an image"),
    ],
)
def test_what_it_can_t_use_is_named(
    capsys: pytest.CaptureFixture[str], given: list[str], problem: str
) -> None:
    code, said, err = run(capsys, "build", *given)
    assert (code, said) == (2, "")
    assert problem in err
