"""Mutants of the parts that must be exact: a seeded sample of each, and how many the tests catch.

What was tried is kept in mutants/ and tried again only after its function changed: a run that was cut off
goes on where it stopped. Needs mutmut; settings are in pyproject.toml.
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

SAMPLE: Final = 150
SEED: Final = 1
MUTANTS: Final = Path("mutants/src")
TARGETS: Final = {
    "contrast and requirements": ("tonada/core/color/contrast.py", "tonada/core/color/requirements.py"),
    "mends": ("tonada/core/mends",),
    "store": ("tonada/store",),
}
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
    options.add_argument(
        "targets", nargs="*", choices=[*TARGETS, []], help="all of them, where none is named"
    )
    options.add_argument("--show", action="store_true", help="print what those that survived changed")
    chosen = options.parse_args()
    _run("tonada.core.color.requirements.*")  # makes the mutants of all files on the way
    for target in chosen.targets or TARGETS:
        sample = _sample(target)
        _run(*sample)
        score = _score(target, sample)
        print(score)
        for name in score.survived:
            print(_difference(name) if chosen.show else f"  {name}")


def _run(*names: str) -> None:
    done = subprocess.run([_mutmut(), "run", *names], capture_output=True, text=True, check=False)
    if done.returncode:
        sys.exit(f"{done.stdout[-3000:]}\n{done.stderr[-3000:]}")


def _sample(target: str) -> list[str]:
    names = sorted(_codes(target))
    return sorted(random.Random(SEED).sample(names, min(SAMPLE, len(names))))  # noqa: S311


def _codes(target: str) -> dict[str, int | None]:
    """Return the exit code of the tests by the name of the mutant, None where it wasn't tried."""
    found: dict[str, int | None] = {}
    for path in sorted(MUTANTS.rglob("*.meta")):
        if str(path.relative_to(MUTANTS)).startswith(TARGETS[target]):
            found |= json.loads(path.read_text())["exit_code_by_key"]
    return found


def _score(target: str, sample: list[str]) -> Score:
    codes = _codes(target)
    passed = [name for name in sample if codes[name] == SURVIVED or codes[name] in UNTESTED]
    equal = [name for name in passed if _is_same_statement(name)]
    survived = tuple(name for name in passed if name not in equal)
    return Score(target, len(sample) - len(passed), survived, len(equal))


def _is_same_statement(name: str) -> bool:
    lines = _difference(name).splitlines()
    before = [one[1:] for one in lines if one.startswith("-") and not one.startswith("---")]
    after = [one[1:] for one in lines if one.startswith("+") and not one.startswith("+++")]
    text = "\n".join(before)
    same = text.lower() == "\n".join(after).lower()
    return same and bool(_STATEMENT.search(text)) and "'" not in text


def _difference(name: str) -> str:
    return subprocess.run([_mutmut(), "show", name], capture_output=True, text=True, check=True).stdout


def _mutmut() -> str:
    return str(Path(sys.executable).parent / "mutmut")


if __name__ == "__main__":
    main()
