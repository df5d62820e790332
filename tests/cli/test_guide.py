"""The examples of the guide, run as they stand there."""

from __future__ import annotations

import re
import shlex
from pathlib import Path

import pytest

from tests.cli.test_cli import run
from tests.takes import FAILING
from tonada.demo.seed import demo_file
from tonada.document.own_file import write_own

GUIDE = Path(__file__).parents[2] / "docs" / "handoff.md"
LINES = re.findall(r"^tonada .*$", GUIDE.read_text(encoding="utf-8"), re.MULTILINE)


@pytest.mark.parametrize("line", LINES)
def test_every_command_of_the_guide_works(
    line: str, tmp_path: Path, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.chdir(tmp_path)
    Path("colours.txt").write_text("Dusk: #2b3a8c\nLoam: #b6653a\n")
    Path("orrin.tonada.json").write_text(
        write_own(FAILING, "Orrin Peak Observatory, Take 1"), encoding="utf-8"
    )
    Path("old-site.css").write_bytes(demo_file("old-site.css"))
    command, _, comment = line.partition("#")
    code, out, err = run(capsys, *shlex.split(command)[1:])
    assert (code, err) == (1 if comment.strip() == "exit 1" else 0, "")
    out_file = re.search(r"--out (\S+)", command)
    assert out or (out_file and Path(out_file[1]).stat().st_size > 1000)


def test_the_guide_has_examples() -> None:
    assert len(LINES) >= 11
