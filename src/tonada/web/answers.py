"""How a model becomes an answer, and what every API blueprint has in common."""

from __future__ import annotations

import os
from typing import Any, Final

import orjson
from flask import Response
from flask_openapi3.blueprint import APIBlueprint
from pydantic import BaseModel

from tonada.web.takes.models import Problem

# The document of the API takes two thirds of the time in which the application starts, and is always the
# same: it is made by `make types`, with this set, and ships as openapi.json.
IS_DESCRIBED: Final = os.environ.get("TONADA_DESCRIBE") == "1"
PROBLEMS: dict[Any, Any] = {str(status): Problem for status in (404, 409, 413, 415, 422)}


def blueprint(name: str) -> APIBlueprint:
    """Return a blueprint below /api whose problems are in the document."""
    return APIBlueprint(name, __name__, url_prefix="/api", abp_responses=PROBLEMS, doc_ui=IS_DESCRIBED)


def answer(model: BaseModel, status: int = 200) -> Response:
    """Return the model as JSON."""
    return Response(model.model_dump_json(), status=status, mimetype="application/json")


def answer_value(value: object) -> Response:
    """Return a value of the core as JSON, without a model between: a third of the time, for the hot path.

    The model in the OpenAPI document still describes it; a test holds the two together. What a take's
    document and figures are made of has no slots: orjson writes such dataclasses in a third of the time.
    """
    return Response(orjson.dumps(value), mimetype="application/json")
