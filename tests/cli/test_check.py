"""The gate: what a build is told, in which form, and with which exit code."""

from __future__ import annotations

import io
import json
import os
import re
import subprocess
import sys
from pathlib import Path
from typing import Any
from xml.etree import ElementTree

import pytest

from tests.cli.test_cli import run
from tests.takes import FAILING
from tonada.document.own_file import OwnFile, write_own

GUIDE = Path(__file__).parents[2] / "docs" / "check.md"
SHEET = """.good { color: #000; background: #fff }
.weak { color: #999;
  background: #fff }
.glass { color: #000; background: #fff8 }
"""


@pytest.fixture
def folder(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> Path:
    monkeypatch.chdir(tmp_path)
    (tmp_path / "dist").mkdir()
    (tmp_path / "dist/site.css").write_text(SHEET)
    (tmp_path / "page.html").write_text("<style>.b{color:#777;background:#fff}</style>")
    return tmp_path


def check(capsys: pytest.CaptureFixture[str], *arguments: str) -> tuple[int, str]:
    code, out, err = run(capsys, "check", *arguments)
    assert err == ""
    return code, out


def test_lines_say_where_what_and_what_would_do(folder: Path, capsys: pytest.CaptureFixture[str]) -> None:
    code, out = check(capsys, "dist/site.css")
    lines = out.splitlines()
    assert code == 1
    assert re.fullmatch(
        r"fails +2\.84 of 4\.5  dist/site\.css:2:16  \.weak on #ffffff, body text; #[0-9a-f]{6} would do",
        lines[1],
    )
    assert lines[2].startswith(
        "unknown         – of 4.5  dist/site.css:4:17  .glass on its ground, the ground lets"
    )
    assert lines[-1] == "3 pairs: 1 fails, 1 is unknown, 1 passes"


def test_what_is_suggested_passes(folder: Path, capsys: pytest.CaptureFixture[str]) -> None:
    found = json.loads(check(capsys, "dist/site.css", "--json")[1])["pairs"]
    weak = next(one for one in found if one["text"] == ".weak")
    assert (weak["line"], weak["ground_line"], weak["outcome"]) == (2, 3, "fails")
    (folder / "dist/site.css").write_text(SHEET.replace("#999", weak["suggestion"]))
    assert check(capsys, "dist/site.css")[0] == 0


def test_only_strict_fails_for_what_can_t_be_told(folder: Path, capsys: pytest.CaptureFixture[str]) -> None:
    (folder / "dist/site.css").write_text(".glass { color: #000; background: #fff8 }")
    assert check(capsys, "dist/site.css")[0] == 0
    assert check(capsys, "dist/site.css", "--strict")[0] == 1


def test_patterns_several_files_and_standard_input(
    folder: Path, capsys: pytest.CaptureFixture[str], monkeypatch: pytest.MonkeyPatch
) -> None:
    (folder / "dist/deep").mkdir()
    (folder / "dist/deep/more.css").write_text(".c{color:#fff;background:#fff}")
    code, out = check(capsys, "dist/**/*.css", "page.html", "--quiet")
    assert code == 1
    assert {line.split()[4].split(":")[0] for line in out.splitlines() if line.startswith("fails")} == {
        "dist/site.css",
        "dist/deep/more.css",
        "page.html",
    }
    monkeypatch.setattr(sys, "stdin", io.TextIOWrapper(io.BytesIO(b".d{color:#aaa;background:#fff}")))
    code, out = check(capsys, "-")
    assert (code, "standard-input:1:10" in out) == (1, True)
    code, _, err = run(capsys, "check", "nothing/*.css")
    assert (code, "nothing/*.css" in err) == (2, True)
    code, _, err = run(capsys, "check")
    assert (code, "Give a file" in err) == (2, True)


def test_a_take_is_held_to_its_own_level_unless_told_otherwise(
    folder: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    own = folder / "a.tonada.json"
    from dataclasses import replace

    own.write_text(write_own(OwnFile(replace(FAILING, level="AAA"), "A", "one")), encoding="utf-8")

    def needed(*more: str) -> float:
        pairs = json.loads(run(capsys, "check", str(own), "--json", *more)[1])["pairs"]
        return float(max(one["needed"] for one in pairs))

    assert needed() == 7
    assert needed("--level", "AA") == 4.5


def test_sarif_names_places_and_rules(folder: Path, capsys: pytest.CaptureFixture[str]) -> None:
    code, out = check(capsys, "dist/site.css", "--format", "sarif")
    log: Any = json.loads(out)
    assert (code, log["version"]) == (1, "2.1.0")
    (ran,) = log["runs"]
    rules = {one["id"] for one in ran["tool"]["driver"]["rules"]}
    first, second = ran["results"]
    assert {first["ruleId"], second["ruleId"]} == rules
    assert (first["level"], second["level"]) == ("error", "note")
    place = first["locations"][0]["physicalLocation"]
    assert place["artifactLocation"]["uri"] == "dist/site.css"
    assert place["region"] == {"startLine": 2, "startColumn": 16}
    assert first["relatedLocations"][0]["physicalLocation"]["region"]["startLine"] == 3


def test_junit_and_annotations_say_the_same(folder: Path, capsys: pytest.CaptureFixture[str]) -> None:
    suite = ElementTree.fromstring(check(capsys, "dist/site.css", "--junit")[1])
    assert (suite.get("tests"), suite.get("failures"), suite.get("skipped")) == ("3", "1", "1")
    strict = ElementTree.fromstring(check(capsys, "dist/site.css", "--junit", "--strict")[1])
    assert (strict.get("failures"), strict.get("skipped")) == ("2", "0")
    lines = check(capsys, "dist/site.css", "--format", "annotations")[1].splitlines()
    assert lines[0].startswith(
        "::error file=dist/site.css,line=2,col=16,title=Contrast::.weak on #ffffff: 2.84 of 4.5"
    )
    assert lines[1].startswith("::notice file=dist/site.css,line=4")


def test_a_baseline_lets_old_failures_be_and_fails_new_ones(
    folder: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    known = ("dist/site.css", "--baseline", "known.json")
    assert check(capsys, *known, "--update-baseline") == (0, "known.json: 1 known.\n")
    assert check(capsys, *known)[0] == 0
    # Another line is the same failure; another value or selector isn't.
    (folder / "dist/site.css").write_text("\n\n" + SHEET)
    assert check(capsys, *known)[0] == 0
    (folder / "dist/site.css").write_text(SHEET.replace(".weak", ".weaker"))
    assert check(capsys, *known)[0] == 1
    (folder / "known.json").write_text("[]")
    code, _, err = run(capsys, "check", *known)
    assert (code, "known.json" in err) == (2, True)
    code, _, err = run(capsys, "check", "dist/site.css", "--update-baseline")
    assert (code, "--baseline" in err) == (2, True)


@pytest.mark.parametrize(
    ("file", "table"), [("tonada.toml", "check"), ("pyproject.toml", "tool.tonada.check")]
)
def test_settings_are_read_and_what_they_ignore_has_a_reason(
    folder: Path, capsys: pytest.CaptureFixture[str], file: str, table: str
) -> None:
    settings = folder / file
    settings.write_text(f'[{table}]\nfiles = ["dist/*.css"]\nstrict = true\n')
    assert check(capsys)[0] == 1
    ignored = (
        'ignore = [{ selector = ".w*", reason = "soon" }, { selector = ".glass", reason = "on white" }]\n'
    )
    settings.write_text(f'[{table}]\nfiles = ["dist/*.css"]\nstrict = true\n{ignored}')
    code, out = check(capsys)
    assert (code, "ignored: soon" in out) == (0, True)


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("[check]\nfile = []", "“file”"),
        ('[check]\nlevel = "B"', "A, AA or AAA"),
        ('[check]\nstrict = "yes"', "strict"),
        ('[check]\nignore = [{ selector = ".a" }]', "reason"),
        ("[check]\nfiles = [1]", "files"),
        ("[check", "can't be read"),
    ],
)
def test_wrong_settings_are_refused(
    folder: Path, capsys: pytest.CaptureFixture[str], text: str, says: str
) -> None:
    (folder / "tonada.toml").write_text(text)
    code, _, err = run(capsys, "check", "dist/site.css")
    assert (code, says in err) == (2, True)


def scripts() -> list[str]:
    return re.findall(r"```bash\n(.*?)```", GUIDE.read_text(encoding="utf-8"), re.DOTALL)


def in_shell(script: str, folder: Path) -> subprocess.CompletedProcess[str]:
    environment = os.environ | {"PATH": f"{Path(sys.executable).parent}:{os.environ['PATH']}"}
    return subprocess.run(["sh", "-c", script], cwd=folder, env=environment, capture_output=True, text=True)


def test_the_hook_of_the_guide_stops_a_commit(folder: Path) -> None:
    hook, _ = scripts()
    git = "git -c user.name=a -c user.email=a@example.org"
    assert in_shell("git init -q . && git add dist", folder).returncode == 0
    (folder / ".git/hooks/pre-commit").write_text(hook)
    (folder / ".git/hooks/pre-commit").chmod(0o755)
    stopped = in_shell(f"{git} commit -qm one", folder)
    assert (stopped.returncode, ".weak" in stopped.stdout + stopped.stderr) == (1, True)
    (folder / "dist/site.css").write_text(".good { color: #000; background: #fff }")
    assert in_shell(f"git add dist && {git} commit -qm one", folder).returncode == 0


def test_the_build_script_of_the_guide_reports_and_fails(folder: Path) -> None:
    _, build = scripts()
    ran = in_shell(build, folder)
    assert (ran.returncode, "::error file=dist/site.css" in ran.stdout) == (1, True)
    assert ElementTree.parse(folder / "contrast.xml").getroot().get("failures") == "1"


def test_fix_writes_the_nearest_that_passes_and_says_so(
    folder: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    sheet = folder / "dist/site.css"
    sheet.write_bytes(b"\xef\xbb\xbf" + SHEET.encode())
    sheet.chmod(0o640)
    code, out, err = run(capsys, "check", "dist/site.css", "page.html", "--fix", "--json")
    assert code == 0
    # Beside the report, which stays one that can be read.
    assert {one["outcome"] for one in json.loads(out)["pairs"]} == {"passes", "unknown"}
    assert re.search(r"^fixed +dist/site\.css:2:16  #999 is (#[0-9a-f]{6}) now$", err, re.MULTILINE)
    after = sheet.read_bytes()
    assert after.startswith(b"\xef\xbb\xbf")
    assert after.decode("utf-8-sig").count("#999") == 0
    assert sheet.stat().st_mode & 0o777 == 0o640
    assert [one.name for one in (folder / "dist").iterdir()] == ["site.css"]
    assert run(capsys, "check", "page.html", "--fix", "--render")[0] == 2
    (folder / "a.json").write_text("{}")
    for name in ("-", "a.json"):
        code, _, err = run(capsys, "check", name, "--fix")
        assert (code, "mended" in err) == (2, True)


def test_fix_leaves_what_is_ignored_and_keeps_encodings_and_links(
    folder: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    (folder / "tonada.toml").write_text('[check]\nignore = [{ selector = ".weak", reason = "soon" }]')
    before = (folder / "dist/site.css").read_bytes()
    assert run(capsys, "check", "dist/site.css", "--fix")[0] == 0
    assert (folder / "dist/site.css").read_bytes() == before
    wide = folder / "wide.css"
    wide.write_bytes(".é{color:#999;background:#fff}\r\n".encode("utf-16"))
    (folder / "link.css").symlink_to(wide)
    assert run(capsys, "check", "link.css", "--fix")[0] == 0
    assert (folder / "link.css").is_symlink()
    text = wide.read_bytes().decode("utf-16")
    assert text.startswith(".é{color:#")
    assert text.endswith("}\r\n")
    assert "#999;" not in text


def test_a_closed_pipe_is_no_error(folder: Path) -> None:
    (folder / "dist/site.css").write_text(
        "".join(f".a{n}{{color:#000;background:#fff}}\n" for n in range(3000))
    )
    ran = in_shell("tonada check dist/site.css | head -n 1", folder)
    assert (ran.returncode, ran.stderr) == (0, "")


def test_a_mistyped_word_gets_a_suggestion(capsys: pytest.CaptureFixture[str]) -> None:
    code, _, err = run(capsys, "chek", "a.css")
    assert (code, "Did you mean “check”?" in err) == (2, True)
    code, _, err = run(capsys, "check", "--format", "jsn", "a.css")
    assert (code, "Did you mean “json”?" in err) == (2, True)
