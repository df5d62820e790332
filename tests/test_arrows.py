"""The layers of docs/architecture: arrows point one way, read from the imports themselves.

Within the core its folders have an order too: each knows only those before it.
"""

from __future__ import annotations

import ast
from pathlib import Path

import pytest

SOURCE = Path(__file__).parents[1] / "src" / "tonada"
ALLOWED = {
    "core": set(),
    "document": {"core"},
    "store": {"core"},
    "files": {"core", "document"},
    "intake": {"core"},
    "frozen": {"core", "document", "files"},
    "mail": set(),
    "sharing": {"core", "document", "files", "frozen", "store"},
    "brand_archive": {"core", "document", "files", "frozen", "sharing", "store"},
    "rendering": {"core"},
    "web": {"core", "document", "files", "store", "intake", "frozen", "sharing", "mail", "brand_archive"},
    "demo": {"core", "document", "files", "store", "intake", "frozen", "sharing", "mail"},
    "run": {"core", "document", "store", "intake", "web", "demo"},
    "cli": {"core", "document", "store", "intake", "files", "rendering", "run"},
}
# Each folder of the core with those that it may know: all above it.
CORE = (
    "color",
    "sight",
    "take",
    "harmony",
    "source",
    "roles",
    "proof",
    "pairs",
    "mends",
    "ready",
    "formats",
    "gate",
    "recolouring",
    "handoff",
    "wording",
)
# What every folder may know.
COMMON = {"errors", "limits"}
FORBIDDEN_OUTSIDE = {
    "core": {"flask", "psycopg", "pydantic", "os", "pathlib", "time", "datetime", "random", "secrets"},
    "document": {"flask", "psycopg"},
    "files": {"flask", "psycopg", "pydantic"},
    "store": {"flask", "pydantic"},
    "intake": {"flask", "psycopg", "pydantic"},
    "rendering": {"flask", "psycopg", "pydantic"},
    "frozen": {"flask", "psycopg"},
    "mail": {"flask", "psycopg", "pydantic"},
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


def test_every_folder_of_the_core_has_its_place() -> None:
    folders = {one.name for one in (SOURCE / "core").iterdir() if one.is_dir() and one.name != "__pycache__"}
    assert folders == set(CORE)
    loose = {one.stem for one in (SOURCE / "core").glob("*.py")}
    assert loose == COMMON | {"__init__"}


@pytest.mark.parametrize("folder", CORE)
def test_a_folder_of_the_core_knows_only_those_before_it(folder: str) -> None:
    allowed = COMMON | set(CORE[: CORE.index(folder) + 1])
    for file in (SOURCE / "core" / folder).rglob("*.py"):
        # `from tonada.core import limits` names the module after the package.
        ours = {name.split(".")[2] for name in imports_of(file) if name.startswith("tonada.core.")}
        assert ours <= allowed, (file, ours - allowed)


def test_no_module_of_ours_is_in_a_circle() -> None:
    graph = {module_of(file): imports_of(file) for file in SOURCE.rglob("*.py")}
    known = {name: {one for one in needs if one in graph and one != name} for name, needs in graph.items()}
    # What a package offers comes from its own modules: that is no circle.
    edges = {name: {one for one in needs if not name.startswith(f"{one}.")} for name, needs in known.items()}
    while leaves := {name for name, needs in edges.items() if not needs & edges.keys()}:
        edges = {name: needs for name, needs in edges.items() if name not in leaves}
    assert not edges


def module_of(file: Path) -> str:
    parts = ("tonada", *file.relative_to(SOURCE).with_suffix("").parts)
    return ".".join(parts[:-1] if parts[-1] == "__init__" else parts)
