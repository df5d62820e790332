"""The OpenAPI document is what the application would make now, and describes each change as itself."""

from __future__ import annotations

import json
import subprocess
import sys

from tests.web.conftest import Client
from tonada.web.frontend import DESCRIPTION


def test_the_openapi_document_is_current() -> None:
    made = subprocess.run([sys.executable, "-m", "tonada.web.openapi"], check=True, capture_output=True)
    assert json.loads(DESCRIPTION.read_text(encoding="utf-8")) == json.loads(made.stdout), "run: make setup"


def test_each_change_is_described_as_itself() -> None:
    """Two classes of one name would be one schema, and nothing else would say so."""
    schemas = json.loads(DESCRIPTION.read_text(encoding="utf-8"))["components"]["schemas"]
    unions = [one for schema in schemas.values() for one in schema.get("properties", {}).values()]
    mappings = [one["discriminator"]["mapping"] for one in unions if "discriminator" in one]
    assert any("give" in mapping for mapping in mappings)
    for mapping in mappings:
        for kind, reference in mapping.items():
            assert schemas[reference.rsplit("/", 1)[1]]["properties"]["kind"]["const"] == kind


def test_the_document_is_served(client: Client) -> None:
    assert client.get("/api/openapi.json").get_json() == json.loads(DESCRIPTION.read_text(encoding="utf-8"))
