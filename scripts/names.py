"""Refuses names that say nothing to who reads them first: `python -m scripts.names`, as lint does.

The front end has the same list in its eslint.config.js.
"""

from __future__ import annotations

import sys
import tokenize
from collections.abc import Iterator
from pathlib import Path
from typing import Final

REFUSED: Final = frozenset({"given", "unlike", "Ways"})
SOURCE: Final = Path(__file__).parents[1] / "src"


def refused_names(file: Path) -> Iterator[tuple[int, str]]:
    """Yield the line and the name of each that is refused; words in comments and texts may be there."""
    with tokenize.open(file) as opened:
        for token in tokenize.generate_tokens(opened.readline):
            if token.type == tokenize.NAME and token.string in REFUSED:
                yield token.start[0], token.string


def main() -> int:
    found = [
        f"{file.relative_to(SOURCE.parent)}:{line}: “{name}” says nothing to who reads it first"
        for file in sorted(SOURCE.rglob("*.py"))
        for line, name in refused_names(file)
    ]
    print("\n".join(found), end="\n" if found else "")
    return 1 if found else 0


if __name__ == "__main__":
    sys.exit(main())
