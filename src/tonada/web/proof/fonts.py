"""Fonts of a brand's own: added, listed, shown, taken away and brought back."""

from __future__ import annotations

from typing import Final
from uuid import UUID

import werkzeug.datastructures
from flask import Response
from flask_openapi3.models.file import FileStorage
from pydantic import ConfigDict, Field

from tonada.core import limits
from tonada.core.errors import InputError
from tonada.core.take.texts import one_line
from tonada.document.parts import Described
from tonada.intake.bounded import FONT, run_bounded
from tonada.store import brands, fonts
from tonada.store.fonts import FontContent
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.proof.font_models import FontAnswer
from tonada.web.security import UPLOADS_PER_MINUTE, limiter

api = blueprint("fonts")
# A font never changes under its address.
KEPT_SECONDS: Final = 24 * 3600


class FontForm(Described):
    model_config = ConfigDict(arbitrary_types_allowed=True)

    file: FileStorage = Field(description="A font: WOFF2, TTF or OTF")


class FontPath(Described):
    font_id: UUID


@api.post(
    "/brands/<uuid:brand_id>/fonts", responses={201: FontAnswer}, summary="Add a font of the brand's own"
)
@limiter.limit(UPLOADS_PER_MINUTE)
def add_font(path: BrandPath, form: FontForm) -> Response:
    if not isinstance(form.file, werkzeug.datastructures.FileStorage):
        raise InputError("The form’s field “file” holds no file.", field="file")
    name = one_line((form.file.filename or "").replace("\\", "/").rpartition("/")[2])[:200].strip() or "font"
    with workspace_connection() as (connection, workspace):
        brands.find(connection, workspace, path.brand_id)
    read = run_bounded("font", {"name": name}, [form.file.stream.read()], budget=FONT)
    with workspace_connection() as (connection, workspace):
        row = fonts.create(
            connection,
            workspace,
            path.brand_id,
            name,
            FontContent(**read.result, content=read.parts[0]),
            limits.MAX_FONTS,
        )
    return answer(FontAnswer.of_row(row), 201)


@api.delete("/fonts/<uuid:font_id>", summary="Remove a font; it can be restored")
def remove_font(path: FontPath) -> Response:
    with workspace_connection() as (connection, workspace):
        fonts.remove(connection, workspace, path.font_id)
    return Response(status=204)


@api.post("/fonts/<uuid:font_id>/restoration", summary="Bring a removed font back")
def restore_font(path: FontPath) -> Response:
    with workspace_connection() as (connection, workspace):
        fonts.restore(connection, workspace, path.font_id)
    return Response(status=204)


@api.get("/fonts/<uuid:font_id>/file", summary="A font of the brand's own, as WOFF2")
def read_font(path: FontPath) -> Response:
    with workspace_connection() as (connection, workspace):
        content = fonts.content(connection, workspace, path.font_id)
    made = Response(content, mimetype="font/woff2")
    made.headers["Cache-Control"] = f"private, max-age={KEPT_SECONDS}, immutable"
    return made
