"""Mutants of the parts that must be exact: a seeded sample of each, and how many the tests catch.

What was tried is kept in mutants/ and tried again only after its function changed: a run that was cut off
goes on where it stopped. Each target has a folder there, since mutmut reads its settings from pyproject.toml.
"""

from __future__ import annotations

import argparse
import json
import random
import re
import subprocess
import sys
from dataclasses import dataclass
from pathlib import Path
from typing import Final

ROOT: Final = Path(__file__).parents[1]
SAMPLE: Final = 150
SEED: Final = 1


@dataclass(frozen=True, slots=True)
class Target:
    """What is changed, and the tests that are to notice; both with patterns from the project's folder."""

    name: str
    changed: tuple[str, ...]
    tests: tuple[str, ...]

    @property
    def folder(self) -> Path:
        return ROOT / "mutants" / self.name


TARGETS: Final = {
    one.name: one
    for one in (
        Target(
            "contrast",
            ("src/tonada/core/color/contrast.py", "src/tonada/core/color/requirements.py"),
            ("tests/core/color", "tests/core/pairs"),
        ),
        Target("mends", ("src/tonada/core/mends/*",), ("tests/core/mends",)),
        Target(
            "store",
            ("src/tonada/store/*",),
            (
                "tests/store",
                "tests/frozen",
                "tests/mail",
                *(
                    f"tests/web/test_{name}.py"
                    for name in (
                        "api",
                        "harmony_api",
                        "mails",
                        "palettes_api",
                        "review_answers",
                        "review_links",
                        "reviews_api",
                        "sources",
                    )
                ),
            ),
        ),
    )
}
# Each mutant has a process of its own that has computed nothing yet: what is cached would hide it.
SETTINGS: Final = """
[tool.mutmut]
source_paths = ["src"]
only_mutate = {changed}
also_copy = ["frontend/dist", "docs"]
process_isolation = "forkserver"
pytest_add_cli_args_test_selection = {tests}
"""
# pytest's own codes, and those of what ran too long or died, both of which the tests would notice.
SURVIVED: Final = 0
UNTESTED: Final = (5, 33)
# Nothing is said of SQL that only changes its case: it means the same.
_STATEMENT: Final = re.compile(r"\b(select|insert into|update|delete from|where|returning)\b", re.IGNORECASE)


@dataclass(frozen=True, slots=True)
class Score:
    """Of one target: how many mutants were caught, and the names of those that weren't."""

    target: str
    caught: int
    survived: tuple[str, ...]
    equal: int

    @property
    def tried(self) -> int:
        return self.caught + len(self.survived)

    def __str__(self) -> str:
        share = 100 * self.caught / max(self.tried, 1)
        left_out = f"; {self.equal} mean the same and don't count" if self.equal else ""
        return f"{self.target}: {self.caught} of {self.tried} caught, {share:.1f} %{left_out}"


def main() -> None:
    options = argparse.ArgumentParser(description=__doc__)
    options.add_argument("targets", nargs="*", help=f"of {', '.join(TARGETS)}; else all")
    options.add_argument("--show", action="store_true", help="print what those that survived changed")
    chosen = options.parse_args()
    for name in chosen.targets or TARGETS:
        target = TARGETS[name]
        _prepare(target)
        _run(target, "none.of.them")  # makes the mutants of all files on the way
        sample = _sample(target)
        _run(target, *sample)
        score = _score(target, sample)
        print(score, flush=True)
        for survivor in score.survived:
            print(_difference(target, survivor) if chosen.show else f"  {survivor}")


def _prepare(target: Target) -> None:
    """Lay out the target's folder: the project by links, with settings of its own."""
    target.folder.mkdir(parents=True, exist_ok=True)
    for name in ("src", "tests", "docs", "frontend"):
        link = target.folder / name
        if not link.is_symlink():
            link.symlink_to(ROOT / name)
    project = (ROOT / "pyproject.toml").read_text()
    settings = SETTINGS.format(changed=json.dumps(target.changed), tests=json.dumps(target.tests))
    (target.folder / "pyproject.toml").write_text(project + settings)


def _run(target: Target, *names: str) -> None:
    done = _mutmut(target, "run", *names)
    if done.returncode and "none.of.them" not in names:
        sys.exit(f"{done.stdout[-3000:]}\n{done.stderr[-3000:]}")


def _sample(target: Target) -> list[str]:
    names = sorted(_codes(target))
    return sorted(random.Random(SEED).sample(names, min(SAMPLE, len(names))))  # noqa: S311


def _codes(target: Target) -> dict[str, int | None]:
    """Return the exit code of the tests by the name of the mutant, None where it wasn't tried."""
    found: dict[str, int | None] = {}
    for path in sorted((target.folder / "mutants").rglob("*.meta")):
        found |= json.loads(path.read_text())["exit_code_by_key"]
    return found


def _score(target: Target, sample: list[str]) -> Score:
    codes = _codes(target)
    passed = [name for name in sample if codes[name] == SURVIVED or codes[name] in UNTESTED]
    equal = [name for name in passed if _is_same_statement(_difference(target, name))]
    survived = tuple(name for name in passed if name not in equal)
    return Score(target.name, len(sample) - len(passed), survived, len(equal))


def _is_same_statement(difference: str) -> bool:
    lines = difference.splitlines()
    before = [one[1:] for one in lines if one.startswith("-") and not one.startswith("---")]
    after = [one[1:] for one in lines if one.startswith("+") and not one.startswith("+++")]
    text = "\n".join(before)
    same = text.lower() == "\n".join(after).lower()
    return same and bool(_STATEMENT.search(text)) and "'" not in text


def _difference(target: Target, name: str) -> str:
    return _mutmut(target, "show", name).stdout


def _mutmut(target: Target, *arguments: str) -> subprocess.CompletedProcess[str]:
    program = Path(sys.executable).parent / "mutmut"
    return subprocess.run(
        [program, *arguments], cwd=target.folder, capture_output=True, text=True, check=False
    )


if __name__ == "__main__":
    main()
