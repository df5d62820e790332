"""`import tonada` for scripts: what its document shows is run, and what it offers is one list."""

from __future__ import annotations

import re
import subprocess
import sys
from pathlib import Path

import pytest

import tonada
from tonada import scripting
from tonada.core.errors import InputError

DOCUMENT = Path(__file__).parents[1] / "docs" / "python.md"
EXAMPLES = re.findall(r"```python\n(.*?)```", DOCUMENT.read_text(encoding="utf-8"), re.DOTALL)


def test_the_examples_of_the_document_run(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.chdir(tmp_path)
    names: dict[str, object] = {}
    assert len(EXAMPLES) == 4
    for example in EXAMPLES:
        exec(compile(example, str(DOCUMENT), "exec"), names)  # noqa: S102  (our own document)


def test_what_is_offered_is_one_list_and_all_of_it_is_told() -> None:
    assert set(scripting.__all__) == tonada._OFFERED
    text = DOCUMENT.read_text(encoding="utf-8")
    functions = [name for name in scripting.__all__ if name[0].islower()]
    assert len(functions) == 11
    for name in functions:
        assert f"tonada.{name}(" in text, name
        assert getattr(tonada, name).__doc__
    with pytest.raises(AttributeError, match="no attribute"):
        _ = tonada.palette


def test_importing_it_loads_nothing() -> None:
    asked = "import tonada, sys; print(sorted(one for one in sys.modules if one.startswith('tonada')))"
    told = subprocess.run([sys.executable, "-c", asked], capture_output=True, text=True, check=True)
    assert told.stdout.strip() == "['tonada']"


def test_wrong_input_names_its_field() -> None:
    for ask, field in (
        (lambda: tonada.contrast("#0008", "#fff"), "text"),
        (lambda: tonada.build([]), "colors"),
        (lambda: tonada.build(["no colour"]), "colors"),
        (lambda: tonada.export(tonada.build(["#123456"]), "doc"), "kind"),
        (lambda: tonada.convert("#123456\n", "doc"), "to"),
    ):
        with pytest.raises(InputError) as refused:
            ask()
        assert refused.value.field == field
