"""The command line's promise: what --json prints and how it exits."""

from __future__ import annotations

import argparse
import json
import os
import re
import shlex
import socket
import subprocess
import sys
from pathlib import Path
from typing import Any
from xml.etree import ElementTree

import pytest

from tonada.cli import main
from tonada.cli.commands import parser_for
from tonada.cli.examples import EXAMPLES

LOGO = Path(__file__).parents[2] / "src/tonada/demo/files/peak-logo.svg"


def run(capsys: pytest.CaptureFixture[str], *arguments: str) -> tuple[int, str, str]:
    try:
        code = main(arguments)
    except SystemExit as end:
        code = int(end.code or 0)
    out, err = capsys.readouterr()
    return code, out, err


def as_json(capsys: pytest.CaptureFixture[str], *arguments: str) -> Any:
    code, out, err = run(capsys, *arguments, "--json")
    assert (code, err) == (0, "")
    return json.loads(out)


def test_extract_lists_colors_largest_first(capsys: pytest.CaptureFixture[str]) -> None:
    colors = as_json(capsys, "extract", str(LOGO))["colors"]
    assert [color["hex"] for color in colors] == ["#2b3a8c", "#b6653a", "#ffffff", "#d7b13c"]
    assert sum(color["share"] for color in colors) == pytest.approx(1, abs=0.001)
    assert len(as_json(capsys, "extract", str(LOGO), "--max", "2")["colors"]) == 2


def test_contrast_is_exact(capsys: pytest.CaptureFixture[str]) -> None:
    answer = as_json(capsys, "contrast", "#2b3a8c", "#faf9f7")
    assert answer["ratio"] == pytest.approx(9.56477, abs=5e-5)
    assert answer["levels"] == {"text": "AAA", "large": "AAA", "part": "AA"}


def test_contrast_of_a_translucent_text_is_that_of_what_is_seen(capsys: pytest.CaptureFixture[str]) -> None:
    seen = as_json(capsys, "contrast", "rgb(0 0 0 / 50%)", "white")
    assert seen["ratio"] == as_json(capsys, "contrast", "#808080", "white")["ratio"]
    assert seen["levels"]["text"] == "fail"


def test_contrast_for_a_person_never_rounds_up(capsys: pytest.CaptureFixture[str]) -> None:
    _, out, _ = run(capsys, "contrast", "#777777", "#ffffff")
    assert out.startswith("4.47:1")


def test_roles_come_with_reasons(capsys: pytest.CaptureFixture[str]) -> None:
    roles = as_json(capsys, "roles", "#2b3a8c", "rgb(182 101 58)", "#d7b13c")["roles"]
    assert roles[0] == {"role": "primary", "hex": "#2b3a8c", "reason": roles[0]["reason"]}
    assert all(set(role) == {"role", "hex", "reason"} and role["reason"] for role in roles)


@pytest.mark.parametrize(
    "arguments",
    [
        pytest.param(("extract", "/nowhere.png"), id="no such file"),
        pytest.param(("extract", __file__), id="not an image"),
        pytest.param(("extract", str(LOGO), "--max", "13"), id="too many asked for"),
        pytest.param(("contrast", "blurple", "white"), id="no colour"),
        pytest.param(("contrast", "black", "rgb(0 0 0 / 50%)"), id="translucent ground"),
        pytest.param(("roles", "#12"), id="wrong hex"),
        pytest.param(("paint",), id="no such command"),
    ],
)
def test_what_can_t_be_used_exits_2_and_says_why(
    capsys: pytest.CaptureFixture[str], arguments: tuple[str, ...]
) -> None:
    code, out, err = run(capsys, *arguments)
    assert (code, out) == (2, "")
    assert err.strip()
    assert "Traceback" not in err


def serve(**environment: str) -> subprocess.CompletedProcess[str]:
    command = [sys.executable, "-m", "tonada.cli", "serve"]
    given = {**os.environ, **environment}
    return subprocess.run(command, env=given, capture_output=True, text=True, timeout=60, check=False)


@pytest.mark.detail(4)
def test_serve_says_in_one_line_why_it_can_t(tmp_path: Path) -> None:
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = str(taken.getsockname()[1])
        cases = [
            serve(PORT=port, TONADA_DATA=str(tmp_path)),
            serve(PORT="many", TONADA_DATA=str(tmp_path)),
            serve(PORT="0", TONADA_DATA=str(tmp_path)),
            serve(DATABASE_URL="postgresql://x:y@127.0.0.1:1/z", PORT=str(free_port())),
            serve(PORT=str(free_port()), TONADA_DATA="/proc/nowhere"),
        ]
    for done, word in zip(cases, (port, "many", "0", "database", "/proc"), strict=True):
        assert done.returncode == 1
        assert done.stdout == ""
        assert len(done.stderr.strip().splitlines()) == 1, done.stderr
        assert word in done.stderr


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def test_harmony_gives_the_anchor_first_and_partners_by_the_rule(capsys: pytest.CaptureFixture[str]) -> None:
    colors = as_json(capsys, "harmony", "#2b3a8c", "--rule", "split complementary")["colors"]
    assert [color["angle"] for color in colors] == [0, 150, 210]
    assert colors[0]["hex"] == "#2b3a8c"
    square = as_json(capsys, "harmony", "rgb(43 58 140)", "--rule", "tetradic", "--spread", "90")["colors"]
    assert [color["angle"] for color in square] == [0, 90, 180, 270]


@pytest.mark.parametrize(
    "arguments",
    [("blurple", "--rule", "triadic"), ("#2b3a8c", "--rule", "blurple"), ("grey", "--rule", "triadic")],
)
def test_harmony_says_in_one_line_what_is_wrong(
    capsys: pytest.CaptureFixture[str], arguments: tuple[str, ...]
) -> None:
    code, out, err = run(capsys, "harmony", *arguments)
    assert (code, out) == (2, "")
    assert err.count("\n") == 1


def test_a_mend_is_the_nearest_color_that_reaches_the_ratio(capsys: pytest.CaptureFixture[str]) -> None:
    arguments = ["mend", "#747892", "#e4e5ef", "--ratio", "4.5", "--json"]
    assert main(arguments) == 0
    answer = json.loads(capsys.readouterr().out)
    assert answer["ratio"] >= 4.5
    assert 0 < answer["difference"] < 0.1
    assert answer["best_ratio"] > 16
    assert main([*arguments, "--mode", "free", "--move", "ground"]) == 0
    assert json.loads(capsys.readouterr().out)["hex"] not in (answer["hex"], "#e4e5ef")


def test_a_mend_that_can_t_be_says_the_best(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["mend", "#808080", "#777777", "--ratio", "7", "--json"]) == 0
    answer = json.loads(capsys.readouterr().out)
    assert answer["hex"] is None
    assert answer["best_ratio"] == pytest.approx(4.69, abs=0.01)
    assert main(["mend", "#808080", "#777777", "--ratio", "7"]) == 0
    assert "the best is 4.68" in capsys.readouterr().out


def test_a_ramp_is_printed_light_to_dark(capsys: pytest.CaptureFixture[str]) -> None:
    assert main(["ramp", "#2b3a8c", "--json"]) == 0
    steps = json.loads(capsys.readouterr().out)["steps"]
    assert len(steps) == 11
    assert [one["position"] for one in steps] == sorted((one["position"] for one in steps), reverse=True)
    assert "#2b3a8c" in {one["hex"] for one in steps}
    assert main(["ramp", "#2b3a8c", "--kind", "mix", "--steps", "4", "--json"]) == 0
    assert len(json.loads(capsys.readouterr().out)["steps"]) == 9
    assert main(["ramp", "#2b3a8c", "--steps", "99"]) == 2


TOKENS = {
    "color": {
        "$type": "color",
        "ink": {"$value": "#1b1d2e"},
        "muted": {"$value": {"colorSpace": "srgb", "components": [0.46, 0.47, 0.57]}},
        "paper": {"$value": "#faf9f7"},
        "text": {"$value": "{color.ink}"},
    },
    "$extensions": {
        "org.tonada.pairs": [
            {"text": "{color.text}", "ground": "{color.paper}"},
            {"text": "{color.muted}", "ground": "{color.paper}", "usage": "body text", "size": 24},
            {"text": "#ffffff", "ground": "{color.paper}", "usage": "decoration"},
        ]
    },
}


def test_a_check_passes_or_fails_a_build(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path = tmp_path / "brand.tokens.json"
    path.write_text(json.dumps(TOKENS))
    assert main(["check", str(path), "--json"]) == 0
    pairs = json.loads(capsys.readouterr().out)["pairs"]
    assert [(one["needed"], one["outcome"], one["pass"], one["exempt"]) for one in pairs] == [
        (4.5, "passes", True, False),
        (3.0, "passes", True, False),
        (1.0, "exempt", None, True),
    ]
    assert main(["check", str(path), "--level", "AAA"]) == 1
    assert "fails" in capsys.readouterr().out
    assert main(["check", str(path), "--level", "AAA", "--junit"]) == 1
    suite = ElementTree.fromstring(capsys.readouterr().out)
    assert (suite.get("tests"), suite.get("failures"), suite.get("skipped")) == ("3", "1", "1")


def test_a_stylesheet_is_checked_rule_by_rule(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path = tmp_path / "site.css"
    path.write_text(".good { color: #000; background: #fff } .weak { color: #999; background: #fff }")
    assert main(["check", str(path), "--json"]) == 1
    pairs = json.loads(capsys.readouterr().out)["pairs"]
    assert {one["text"]: one["pass"] for one in pairs} == {".good": True, ".weak": False}


@pytest.mark.parametrize(
    ("change", "says"),
    [
        pytest.param({"$extensions": {}}, "no pairs", id="no pairs"),
        pytest.param(
            {"$extensions": {"org.tonada.pairs": [{"text": "{color.none}", "ground": "#fff"}]}},
            "isn’t a colour token",
            id="a reference to nothing",
        ),
        pytest.param(
            {"$extensions": {"org.tonada.pairs": [{"text": "#000", "ground": "#fff", "usage": "x"}]}},
            "usage is one of",
            id="an unknown usage",
        ),
        pytest.param(
            {"$extensions": {"org.tonada.pairs": [{"text": "#000", "ground": "#fff8"}]}},
            "opaque",
            id="a translucent ground",
        ),
        pytest.param(
            {"$extensions": {"org.tonada.pairs": [{"text": "#000", "ground": "#fff", "size": "big"}]}},
            "number",
            id="a size that is none",
        ),
    ],
)
def test_what_can_t_be_checked_says_why(
    tmp_path: Path, capsys: pytest.CaptureFixture[str], change: dict[str, Any], says: str
) -> None:
    path = tmp_path / "brand.tokens.json"
    path.write_text(json.dumps(TOKENS | change))
    assert main(["check", str(path)]) == 2
    assert says in capsys.readouterr().err


def test_a_rule_turns_on_the_circle_that_is_asked_for(capsys: pytest.CaptureFixture[str]) -> None:
    asked = ("harmony", "#0050d0", "--rule", "complementary")
    found = {
        circle: as_json(capsys, *asked, "--circle", circle)["colors"][1]
        for circle in ("perceptual", "painter", "light")
    }
    assert {one["angle"] for one in found.values()} == {180.0}
    assert len({one["hex"] for one in found.values()}) == 3
    assert as_json(capsys, *asked)["colors"][1] == found["perceptual"]
    assert run(capsys, *asked, "--circle", "square")[0] == 2


def test_every_command_shows_lines_that_work() -> None:
    parser = parser_for()
    commands = next(one for one in parser._actions if isinstance(one, argparse._SubParsersAction)).choices
    for name, command in commands.items():
        shown = [line.strip() for line in command.format_help().splitlines() if line.startswith("  tonada ")]
        assert shown, name
        for line in EXAMPLES.get(name, ()):
            assert line in shown
            assert parser.parse_args(shlex.split(line)[1:]).run


@pytest.mark.parametrize("shell", ["bash", "zsh", "fish"])
def test_a_shell_can_complete_commands_options_and_values(
    capsys: pytest.CaptureFixture[str], shell: str
) -> None:
    assert run(capsys, "completions", shell)[0] == 0
    for line, wanted in {
        "tonada con": {"contrast", "convert"},
        "tonada convert x --to tok": {"tokens"},
        "tonada harmony --circle p": {"painter", "perceptual"},
    }.items():
        assert {re.split("[\t:]", word)[0].strip() for word in completed(line, shell)} == wanted


def completed(line: str, shell: str) -> list[str]:
    """Return what the command answers where a shell asks how a line goes on."""
    reading, writing = os.pipe()
    asked = {
        "_ARGCOMPLETE": "1", "_ARGCOMPLETE_SHELL": shell, "_ARGCOMPLETE_IFS": "\n", "COMP_LINE": line,
        "COMP_POINT": str(len(line)), "COMP_TYPE": "9",
    }  # fmt: skip
    # What answers expects its descriptor to be the eighth.
    command = ["bash", "-c", f"exec 8>&{writing} 9>/dev/null; exec {sys.executable} -m tonada.cli"]
    subprocess.run(command, env={**os.environ, **asked}, pass_fds=[writing], check=False)
    os.close(writing)
    with os.fdopen(reading) as answer:
        return answer.read().splitlines()


def test_what_is_printed_can_go_to_a_file(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    out = tmp_path / "ratio.txt"
    _, printed, _ = run(capsys, "contrast", "#000", "#fff")
    code, nothing, _ = run(capsys, "contrast", "#000", "#fff", "--out", str(out))
    assert (code, nothing, out.read_text()) == (0, "", printed)
    assert run(capsys, "contrast", "#000", "never", "--out", str(tmp_path / "no.txt"))[0] == 2
    assert not (tmp_path / "no.txt").exists()
