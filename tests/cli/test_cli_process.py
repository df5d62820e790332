"""The command as a process of its own, in which nothing has loaded a library before."""

from __future__ import annotations

import subprocess
import sys
from importlib.resources import files
from pathlib import Path

import pytest

from tests.artwork import draw, encoded
from tests.scenes import scene

LOGO = files("tonada.demo") / "files" / "saltmarsh-logo.svg"


def tonada(*arguments: str) -> subprocess.CompletedProcess[str]:
    command = [sys.executable, "-m", "tonada.cli", *arguments]
    return subprocess.run(command, capture_output=True, text=True, check=False)


@pytest.mark.parametrize("kind", ["svg", "png", "jpg", "photograph"])
def test_every_kind_of_picture_is_read_within_the_limits(kind: str, tmp_path: Path) -> None:
    file = tmp_path / f"a.{'jpg' if kind == 'photograph' else kind}"
    if kind == "svg":
        file.write_bytes(LOGO.read_bytes())
    elif kind == "photograph":
        file.write_bytes(scene(3).jpeg())
    else:
        picture = draw(LOGO.read_text(encoding="utf-8"), 640).convert("RGB")
        file.write_bytes(encoded(picture, {"jpg": "JPEG", "png": "PNG"}[kind]))
    run = tonada("extract", str(file))
    assert run.returncode == 0, run.stderr
    assert len(run.stdout.splitlines()) >= 3


def test_a_logo_becomes_a_palette() -> None:
    run = tonada("build", str(LOGO))
    assert run.returncode == 0, run.stderr
    assert run.stdout.startswith("primary   #0f6b66")
