"""The OpenAPI document and the front end's types are what the application would make now."""

from __future__ import annotations

import json
import subprocess
import sys
from pathlib import Path

from tests.web.conftest import Client
from tonada.document.take import TakeDocument
from tonada.web.frontend import DESCRIPTION

FRONTEND = Path(__file__).parents[2] / "frontend"


def test_the_openapi_document_is_current() -> None:
    made = subprocess.run([sys.executable, "-m", "tonada.web.openapi"], check=True, capture_output=True)
    assert json.loads(DESCRIPTION.read_text(encoding="utf-8")) == json.loads(made.stdout), "run: make types"


def test_each_change_is_described_as_itself() -> None:
    """Two classes of one name would be one schema, and nothing else would say so."""
    schemas = json.loads(DESCRIPTION.read_text(encoding="utf-8"))["components"]["schemas"]
    unions = [one for schema in schemas.values() for one in schema.get("properties", {}).values()]
    mappings = [one["discriminator"]["mapping"] for one in unions if "discriminator" in one]
    assert any("give" in mapping for mapping in mappings)
    for mapping in mappings:
        for kind, reference in mapping.items():
            assert schemas[reference.rsplit("/", 1)[1]]["properties"]["kind"]["const"] == kind


def test_the_types_are_made_from_it(tmp_path: Path) -> None:
    made = tmp_path / "schema.d.ts"
    command = ["node", "node_modules/openapi-typescript/bin/cli.js", str(DESCRIPTION), "-o", str(made)]
    subprocess.run(command, cwd=FRONTEND, check=True, capture_output=True)
    assert made.read_text() == (FRONTEND / "src/api/schema.d.ts").read_text(), "run: make types"


def test_the_empty_take_is_the_one_of_the_document() -> None:
    kept = json.loads((FRONTEND / "src/api/empty-take.json").read_text(encoding="utf-8"))
    assert kept == TakeDocument().model_dump(mode="json"), "run: make types"


def test_the_document_is_served(client: Client) -> None:
    assert client.get("/api/openapi.json").get_json() == json.loads(DESCRIPTION.read_text(encoding="utf-8"))
