"""How a model becomes an answer, and what every API blueprint has in common."""

from __future__ import annotations

from typing import Any

import orjson
from flask import Response
from flask_openapi3.blueprint import APIBlueprint
from pydantic import BaseModel

from tonada.web.takes.models import Problem

PROBLEMS: dict[Any, Any] = {str(status): Problem for status in (404, 409, 413, 415, 422)}


def blueprint(name: str) -> APIBlueprint:
    """Return a blueprint below /api whose problems are in the document."""
    return APIBlueprint(name, __name__, url_prefix="/api", abp_responses=PROBLEMS)


def answer(model: BaseModel, status: int = 200) -> Response:
    """Return the model as JSON."""
    return Response(model.model_dump_json(), status=status, mimetype="application/json")


def answer_value(value: object) -> Response:
    """Return a value of the core as JSON, without a model between: a third of the time, for the hot path.

    The model in the OpenAPI document still describes it; a test holds the two together.
    """
    return Response(orjson.dumps(value), mimetype="application/json")
