"""What the guide says to type does what it says."""

from __future__ import annotations

import re
import shlex
from pathlib import Path

import pytest

from tonada.cli import main

GUIDE = Path(__file__).parents[2] / "docs" / "guide"
BLOCK = re.compile(r"```sh\n(?P<typed>.*?)```(?:\n\n```text\n(?P<printed>.*?)```)?", re.DOTALL)


def examples() -> list[tuple[str, list[str], str | None]]:
    """Return page, what is typed, and what is then printed where the page says it."""
    return [
        (page.name, found["typed"].splitlines(), found["printed"])
        for page in sorted(GUIDE.glob("*.md"))
        for found in BLOCK.finditer(page.read_text(encoding="utf-8"))
    ]


def test_every_example_runs(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    monkeypatch.chdir(tmp_path)
    ran = 0
    for page, typed, printed in examples():
        for line in typed:
            command, *arguments = shlex.split(line)
            assert command == "tonada", f"{page}: {line}"
            assert main(arguments) == 0, f"{page}: {line}"
            ran += 1
        out = capsys.readouterr().out
        assert printed is None or out == printed, page
    assert ran >= 5
