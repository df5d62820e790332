"""Prints the OpenAPI document: `python -m tonada.web.openapi`. The front end's types are made from it."""

from __future__ import annotations

import json
import os
from pathlib import Path
from typing import Any

# Python 3.13 calls them otherwise than 3.11. Source: RFC 9110, 15.5.14 and 15.5.21.
_NAMES = {"413": "Content Too Large", "422": "Unprocessable Content"}


def openapi_document() -> dict[str, Any]:
    """Return the OpenAPI document of the application; no database is needed.

    To be called in a process that has not imported the application yet: it describes itself only then.
    """
    os.environ["TONADA_DESCRIBE"] = "1"
    from tonada.web.app import create_app
    from tonada.web.settings import Settings

    app = create_app(Settings("postgresql://nowhere", "only for the document, no session", Path()))
    document: dict[str, Any] = app.api_doc
    for path in document["paths"].values():
        for operation in path.values():
            for status, answer in operation.get("responses", {}).items():
                answer["description"] = _NAMES.get(status, answer["description"])
    return document


if __name__ == "__main__":
    print(json.dumps(openapi_document(), indent=1))
