"""The layers of docs/architecture: arrows point one way, read from the imports themselves."""

from __future__ import annotations

import ast
from pathlib import Path

import pytest

SOURCE = Path(__file__).parents[1] / "src" / "tonada"
ALLOWED = {
    "core": set(),
    "document": {"core"},
    "store": {"core"},
    "handoff": {"core", "document"},
    "reading": {"core"},
    "web": {"core", "document", "handoff", "store", "reading"},
    "demo": {"core", "document", "store", "reading", "web"},
    "run": {"core", "document", "store", "reading", "web", "demo"},
}
FORBIDDEN_OUTSIDE = {
    "core": {"flask", "psycopg", "pydantic", "os", "pathlib", "time", "datetime", "random", "secrets"},
    "document": {"flask", "psycopg"},
    "handoff": {"flask", "psycopg", "pydantic"},
    "store": {"flask", "pydantic"},
    "reading": {"flask", "psycopg", "pydantic"},
    "web": {"psycopg"},
}


def imports_of(file: Path) -> set[str]:
    names: set[str] = set()
    for node in ast.walk(ast.parse(file.read_text(encoding="utf-8"))):
        if isinstance(node, ast.Import):
            names |= {alias.name for alias in node.names}
        elif isinstance(node, ast.ImportFrom) and node.module:
            names |= {node.module, *(f"{node.module}.{alias.name}" for alias in node.names)}
    return names


@pytest.mark.parametrize("layer", ALLOWED)
def test_a_layer_imports_only_what_lies_below_it(layer: str) -> None:
    files = list((SOURCE / layer).rglob("*.py"))
    assert files
    for file in files:
        ours = {name.split(".")[1] for name in imports_of(file) if name.startswith("tonada.")}
        assert ours - {"__version__"} <= ALLOWED[layer] | {layer}, file


@pytest.mark.parametrize("layer", FORBIDDEN_OUTSIDE)
def test_a_layer_stays_clear_of_what_is_not_its_business(layer: str) -> None:
    for file in (SOURCE / layer).rglob("*.py"):
        outside = {name.split(".")[0] for name in imports_of(file)}
        assert not outside & FORBIDDEN_OUTSIDE[layer], file
