"""The folders of the front end have an order: each knows only those before it, as in the core.

Read from the imports of TypeScript and Vue, those that come later (`import()`) and types included.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from pathlib import Path

import pytest

SOURCE = Path(__file__).parents[1] / "frontend" / "src"
# What has no folder starts the application and knows everything.
ORDER = (
    "api",  # asking the server
    "ui",  # controls and behaviour that know nothing of the job
    "take",  # the state of a brand and its take, and the parts that show a piece of it
    "head",  # the mark, the menu and the sheets that every page of the application has
    "panel",  # what stands beside a view
    "remarks",  # what clients have said, wherever it is seen
    "proof",  # the sample pages
    "page",  # a sample page beside a view
    "source",
    "harmony",
    "roles",
    "pairs",
    "ready",
    "versions",
    "review",
    "handoff",
    "brands",
    "studio",
    "help",
    "frame",  # the frame of a take: everything comes together here
)
# For tests only.
TESTING = "testing"
IMPORT = re.compile(r"""(?:\bfrom|\bimport)\s*\(?\s*['"]((?:@/|\.{1,2}/)[^'"]+)['"]""")


def modules() -> Iterator[Path]:
    for file in SOURCE.rglob("*"):
        if file.suffix in (".ts", ".vue") and not file.name.endswith((".test.ts", ".d.ts")):
            yield file


def imports_of(file: Path) -> set[Path]:
    """Return the files of ours that one imports, without their endings."""
    found = set()
    for address in IMPORT.findall(file.read_text(encoding="utf-8")):
        if address.endswith(".css"):  # the look is everybody's
            continue
        base = SOURCE / address[2:] if address.startswith("@/") else file.parent / address
        found.add(base.resolve())
    return found


def folder_of(path: Path) -> str:
    parts = path.relative_to(SOURCE).parts
    return parts[0] if len(parts) > 1 else ""


def test_every_folder_has_its_place() -> None:
    assert {one.name for one in SOURCE.iterdir() if one.is_dir()} == {*ORDER, TESTING}


@pytest.mark.parametrize("folder", ORDER)
def test_a_folder_knows_only_those_before_it(folder: str) -> None:
    allowed = set(ORDER[: ORDER.index(folder) + 1])
    files = [file for file in modules() if folder_of(file) == folder]
    assert files
    for file in files:
        known = {folder_of(one) for one in imports_of(file) if one.is_relative_to(SOURCE)}
        assert known <= allowed, (file.relative_to(SOURCE), known - allowed)


def test_no_module_is_in_a_circle() -> None:
    named = {file.resolve(): file for file in modules()}
    named |= {file.with_suffix("").resolve(): file for file in modules() if file.suffix == ".ts"}
    edges = {file: {named[one] for one in imports_of(file) if one in named} - {file} for file in modules()}
    while leaves := {file for file, needs in edges.items() if not needs & edges.keys()}:
        edges = {file: needs for file, needs in edges.items() if file not in leaves}
    assert not edges, [str(file.relative_to(SOURCE)) for file in edges]


def test_the_order_is_read_from_what_is_there() -> None:
    """An import of each kind is seen: plain, of a type, one that comes later, and one that passes on."""
    written = (
        "import { a } from '@/ui/keys'\nimport type { B } from './b'\n"
        "const C = later(() => import('@/frame/C.vue'))\nexport * from '../take/d'\nimport '@/proof/e.css'\n"
    )
    assert IMPORT.findall(written) == ["@/ui/keys", "./b", "@/frame/C.vue", "../take/d", "@/proof/e.css"]
