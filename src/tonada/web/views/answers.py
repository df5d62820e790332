"""How a model becomes an answer, and what every API blueprint has in common."""

from __future__ import annotations

from typing import Any

from flask import Response
from flask_openapi3.blueprint import APIBlueprint
from pydantic import BaseModel

from tonada.web.models import Problem

PROBLEMS: dict[Any, Any] = {str(status): Problem for status in (404, 409, 413, 415, 422)}


def blueprint(name: str) -> APIBlueprint:
    """Return a blueprint below /api whose problems are in the document."""
    return APIBlueprint(name, __name__, url_prefix="/api", abp_responses=PROBLEMS)


def answer(model: BaseModel, status: int = 200) -> Response:
    """Return the model as JSON."""
    return Response(model.model_dump_json(), status=status, mimetype="application/json")
