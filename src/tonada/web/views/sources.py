"""Sources: files in, pictures out."""

from __future__ import annotations

from uuid import UUID

import werkzeug.datastructures
from flask import Response, request
from flask_openapi3.models.file import FileStorage
from pydantic import BaseModel, ConfigDict, Field

from tonada.core.errors import InputError
from tonada.core.extract import extract_colors, render_preview
from tonada.core.naming import color_name
from tonada.store import sources
from tonada.web.access import workspace_connection
from tonada.web.models import SourceAnswer, extraction_to_json
from tonada.web.security import UPLOADS_PER_MINUTE, limiter
from tonada.web.views.answers import answer, blueprint
from tonada.web.views.brands import BrandPath

api = blueprint("sources")


class UploadForm(BaseModel):
    model_config = ConfigDict(arbitrary_types_allowed=True)

    file: FileStorage = Field(description="An image: SVG, PNG, JPEG, WebP, GIF, AVIF, BMP or TIFF")


class SourcePath(BaseModel):
    source_id: UUID


@api.post(
    "/brands/<uuid:brand_id>/sources",
    responses={201: SourceAnswer},
    summary="Read the colours of an image and keep it",
)
@limiter.limit(UPLOADS_PER_MINUTE)
def create_source(path: BrandPath, form: UploadForm) -> Response:
    if not isinstance(form.file, werkzeug.datastructures.FileStorage):
        raise InputError("The form’s field “file” holds no file.", field="file")
    content = form.file.stream.read()
    extraction = extract_colors(content)
    found = extraction_to_json(extraction, [color_name(color.hex) for color in extraction.colors])
    preview = render_preview(content)
    with workspace_connection() as (connection, workspace):
        row = sources.create(
            connection,
            workspace,
            path.brand_id,
            name=_plain_name(form.file.filename),
            content=content,
            preview=preview,
            extraction=found,
        )
    return answer(SourceAnswer.of(row), 201)


@api.get("/sources/<uuid:source_id>/preview", summary="The picture of a source, written anew as PNG")
def read_preview(path: SourcePath) -> Response:
    with workspace_connection() as (connection, workspace):
        preview, digest = sources.preview(connection, workspace, path.source_id)
    picture = Response(preview, mimetype="image/png")
    picture.set_etag(digest)
    picture.headers["Cache-Control"] = "private, max-age=31536000, immutable"
    picture.make_conditional(request)
    return picture


def _plain_name(name: str | None) -> str:
    """Return the last part of a file's name, without control characters, 200 characters at most."""
    last = (name or "").replace("\\", "/").rpartition("/")[2]
    return "".join(character for character in last if character.isprintable()).strip()[:200] or "image"
