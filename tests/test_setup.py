"""The set-up on a new machine: installers take turns, also with other programs that install packages."""

from __future__ import annotations

import shutil
import subprocess
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
SCRIPT = "scripts/system-packages.sh"
# What the script itself needs; all else is missing on the machine that it sees.
TOOLS = ("bash", "dirname", "flock", "grep", "head", "mktemp", "rm", "mkdir", "rmdir")


def _tool(folder: Path, name: str, text: str) -> None:
    (folder / name).write_text(f"#!/bin/sh\n{text}\n")
    (folder / name).chmod(0o755)


def _new_machine(folder: Path, installing: str) -> Path:
    """Make a machine without packages on which a user may install them; `installing` is run for that."""
    tools = folder / "tools"
    tools.mkdir()
    for name in TOOLS:
        (tools / name).symlink_to(shutil.which(name) or name)
    _tool(tools, "apt-get", "exit 99")
    _tool(tools, "id", "echo 1000")
    _tool(tools, "sudo", installing)
    _tool(tools, "sleep", "echo waited >>waits")
    (folder / "scripts").mkdir()
    shutil.copy(ROOT / SCRIPT, folder / SCRIPT)
    return tools


def _start(folder: Path, tools: Path) -> subprocess.Popen[str]:
    command = ["bash", SCRIPT, "--tests"]
    environment = {"PATH": str(tools), "TMPDIR": str(folder)}
    pipe = subprocess.PIPE
    return subprocess.Popen(command, cwd=folder, env=environment, text=True, stdout=pipe, stderr=pipe)


def test_two_at_once_take_turns(tmp_path: Path) -> None:
    # A folder can be made once: who finds it there has not waited for the other.
    tools = _new_machine(tmp_path, "mkdir busy || exit 1; /bin/sleep 0.3; rmdir busy; echo done >>installed")
    both = [_start(tmp_path, tools), _start(tmp_path, tools)]
    assert [one.communicate(timeout=60)[1] for one in both] == ["", ""]
    assert (tmp_path / "installed").read_text() == "done\n" * 2


def test_another_program_is_waited_for(tmp_path: Path) -> None:
    held = "E: Could not get lock /var/lib/apt/lists/lock. It is held by process 1970 (apt-get)"
    tools = _new_machine(tmp_path, f'if mkdir first 2>/dev/null; then echo "{held}" >&2; exit 100; fi')
    script = _start(tmp_path, tools)
    told, errors = script.communicate(timeout=60)
    assert (script.returncode, errors) == (0, "")
    assert "waiting for it" in told
    assert (tmp_path / "waits").read_text() == "waited\n"


def test_what_cannot_be_installed_is_told_at_once(tmp_path: Path) -> None:
    tools = _new_machine(tmp_path, 'echo "E: Unable to locate package redis-server" >&2; exit 100')
    script = _start(tmp_path, tools)
    _, errors = script.communicate(timeout=60)
    assert script.returncode == 1
    assert "E: Unable to locate package redis-server" in errors
    assert not (tmp_path / "waits").exists()


def test_the_set_up_of_tests_takes_its_steps_in_turn(tmp_path: Path) -> None:
    """With as many jobs as make likes: each installer begins when the one before has ended."""
    scripts = tmp_path / "scripts"
    scripts.mkdir()
    for name in ("Makefile", "pyproject.toml"):
        shutil.copy(ROOT / name, tmp_path / name)
    for folder in ("requirements", "frontend/node_modules", ".venv"):
        (tmp_path / folder).mkdir(parents=True)
    for name in ("requirements/run.txt", "requirements/dev.txt", "frontend/package-lock.json"):
        (tmp_path / name).touch()
    _tool(
        scripts, "system-packages.sh", "mkdir apt || exit 1; echo $* >>installed; /bin/sleep 0.3; rmdir apt"
    )
    _tool(
        scripts,
        "python-environment.sh",
        'mkdir pip || exit 1; /bin/sleep 0.3; rmdir pip; touch ".venv/.installed-$1"',
    )
    goals = ["system-tests", ".venv/.installed-dev", ".venv/.installed-run"]
    done = subprocess.run(
        ["make", "--jobs=8", *goals], cwd=tmp_path, capture_output=True, text=True, timeout=60
    )
    assert (done.returncode, done.stderr) == (0, "")
    assert (tmp_path / "installed").read_text() == "\n--tests\n"
