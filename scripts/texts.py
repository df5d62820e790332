"""Prints what the server and the command line say (errors, help, reasons), with its place."""

from __future__ import annotations

import ast
import re
from collections.abc import Iterator
from pathlib import Path
from typing import Final

SOURCE: Final = Path(__file__).resolve().parents[1] / "src"
# What a person reads is a sentence or the help of an option; the rest is SQL, names and addresses.
SENTENCE: Final = re.compile(r"[A-Za-zÀ-ž]{2}.* .*[A-Za-z]{2}")
NOT_SAID: Final = re.compile(
    r"^\s*(SELECT|INSERT|UPDATE|DELETE|WITH|CREATE|ALTER|DROP|GRANT)\b|[{}<>;\\]{2}|^/|\n"
)


def texts(tree: ast.AST) -> Iterator[tuple[int, str]]:
    """Yield line and text; a part that is filled in is {…}."""
    documentation = {
        id(node.body[0].value)
        for node in ast.walk(tree)
        if isinstance(node, ast.Module | ast.ClassDef | ast.FunctionDef)
        and node.body
        and isinstance(node.body[0], ast.Expr)
    }
    parts = {id(part) for node in ast.walk(tree) if isinstance(node, ast.JoinedStr) for part in node.values}
    for node in ast.walk(tree):
        if isinstance(node, ast.JoinedStr):
            said = "".join(str(one.value) if isinstance(one, ast.Constant) else "{…}" for one in node.values)
            yield node.lineno, said
        elif isinstance(node, ast.Constant) and id(node) not in documentation | parts:
            yield node.lineno, str(node.value)


def main() -> None:
    for path in sorted(SOURCE.rglob("*.py")):
        for line, text in sorted(texts(ast.parse(path.read_text(encoding="utf-8")))):
            if SENTENCE.search(text) and not NOT_SAID.search(text):
                print(f"{path.relative_to(SOURCE)}:{line}\t{text}")


if __name__ == "__main__":
    main()
