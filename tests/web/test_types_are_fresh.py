"""The OpenAPI document and the front end's types are what the application would make now."""

from __future__ import annotations

import json
import subprocess
from pathlib import Path

from tonada.web.openapi import openapi_document

FRONTEND = Path(__file__).parents[2] / "frontend"


def test_the_openapi_document_is_current() -> None:
    kept = json.loads((FRONTEND / "src/api/openapi.json").read_text(encoding="utf-8"))
    assert kept == json.loads(json.dumps(openapi_document())), "run: make types"


def test_the_types_are_made_from_it(tmp_path: Path) -> None:
    made = tmp_path / "schema.d.ts"
    command = ["node", "node_modules/openapi-typescript/bin/cli.js", "src/api/openapi.json", "-o", str(made)]
    subprocess.run(command, cwd=FRONTEND, check=True, capture_output=True)
    assert made.read_text() == (FRONTEND / "src/api/schema.d.ts").read_text(), "run: make types"
