"""Sources: files, lists and moods in; what was found, pictures and single pixels out."""

from __future__ import annotations

from typing import Any
from uuid import UUID

import werkzeug.datastructures
from flask import Response, request
from flask_openapi3.models.file import FileStorage
from pydantic import ConfigDict, Field

from tonada.core.errors import InputError
from tonada.core.take.texts import one_line
from tonada.document.parts import Described
from tonada.intake.bounded import AGAIN, Answer, TakesTooLong, run_bounded
from tonada.intake.results import mood_to_json
from tonada.intake.taking_in import Wanted
from tonada.store import sources
from tonada.store.sources import FileContent, SourceRow
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.security import UPLOADS_PER_MINUTE, limiter
from tonada.web.sources.models import (
    BesideAnswer,
    PickedBody,
    ReadingBody,
    SourceAnswer,
    SourceNameBody,
)
from tonada.web.sources.readings import readings

api = blueprint("sources")


class UploadForm(Described):
    model_config = ConfigDict(arbitrary_types_allowed=True)

    file: FileStorage = Field(
        description="An image, a list of colours, or a stylesheet; of the last, several"
    )
    wanted: Wanted | None = Field(None, description="What to read it as, where its name leaves a choice")


class SourcePath(Described):
    source_id: UUID


class BesidePath(SourcePath):
    before_id: UUID


@api.post(
    "/brands/<uuid:brand_id>/sources",
    responses={201: SourceAnswer, 202: SourceAnswer},
    summary="Read the colours of a file and keep it; 202 where that goes on in the background",
)
@limiter.limit(UPLOADS_PER_MINUTE)
def create_source(path: BrandPath, form: UploadForm) -> Response:
    if not isinstance(form.file, werkzeug.datastructures.FileStorage):
        raise InputError("The form’s field “file” holds no file.", field="file")
    names = [_plain_name(file.filename) for file in request.files.getlist("file")]
    contents = [file.stream.read() for file in request.files.getlist("file")]
    read = _taken_in(names, form.wanted, contents)
    intake = read.result
    previews = [*read.parts, None][:1] + [None] * (len(contents) - 1)
    with workspace_connection() as (connection, workspace):
        row = sources.create(
            connection,
            workspace,
            path.brand_id,
            name=intake["name"],
            kind=intake["kind"],
            extraction=intake["extraction"],
            files=tuple(map(FileContent, names, contents, previews)),
            is_reading=intake["is_reading"],
        )
    if intake["is_reading"]:
        readings().wake()
    return answer(SourceAnswer.of(row), 202 if intake["is_reading"] else 201)


@api.get(
    "/sources/<uuid:source_id>", responses={200: SourceAnswer}, summary="A source, and how far it is read"
)
def read_source(path: SourcePath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = sources.find(connection, workspace, path.source_id)
    return answer(SourceAnswer.of(row))


@api.put("/sources/<uuid:source_id>", responses={200: SourceAnswer}, summary="Rename a source")
def rename_source(path: SourcePath, body: SourceNameBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = sources.rename(connection, workspace, path.source_id, body.name)
    return answer(SourceAnswer.of(row))


@api.delete("/sources/<uuid:source_id>", summary="Remove a source, or cancel its reading; it can be restored")
def remove_source(path: SourcePath) -> Response:
    with workspace_connection() as (connection, workspace):
        sources.remove(connection, workspace, path.source_id)
    return Response(status=204)


@api.post(
    "/sources/<uuid:source_id>/restoration",
    responses={200: SourceAnswer},
    summary="Bring a removed source back",
)
def restore_source(path: SourcePath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = sources.restore(connection, workspace, path.source_id)
    return answer(SourceAnswer.of(row))


@api.put(
    "/sources/<uuid:source_id>/reading",
    responses={200: SourceAnswer},
    summary="Read a source again, differently",
)
@limiter.limit("600 per minute")
def read_again(path: SourcePath, body: ReadingBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = sources.find(connection, workspace, path.source_id)
        files = sources.contents(connection, workspace, path.source_id) if _needs_files(row, body) else []
    extraction = _read(row, body, files)
    settings = body.model_dump(mode="json", exclude_none=True)
    with workspace_connection() as (connection, workspace):
        row = sources.read_again(
            connection, workspace, path.source_id, settings=settings, extraction=extraction
        )
    return answer(SourceAnswer.of(row))


@api.put(
    "/sources/<uuid:source_id>/picked",
    responses={200: SourceAnswer},
    summary="The colours picked by hand from a source, all of them",
)
def set_picked(path: SourcePath, body: PickedBody) -> Response:
    picked = [color.model_dump(mode="json") for color in body.colors]
    with workspace_connection() as (connection, workspace):
        row = sources.set_picked(connection, workspace, path.source_id, picked)
    return answer(SourceAnswer.of(row))


@api.get(
    "/sources/<uuid:source_id>/beside/<uuid:before_id>",
    responses={200: BesideAnswer},
    summary="A source beside the one that it replaces, colour by colour",
)
def compare_sources(path: BesidePath) -> Response:
    with workspace_connection() as (connection, workspace):
        after = sources.find(connection, workspace, path.source_id)
        before = sources.find(connection, workspace, path.before_id)
    return answer(BesideAnswer.of(SourceAnswer.of(before), SourceAnswer.of(after)))


@api.get("/sources/<uuid:source_id>/preview", summary="The picture of a source, re-encoded as PNG")
def read_preview(path: SourcePath) -> Response:
    with workspace_connection() as (connection, workspace):
        preview, digest = sources.preview(connection, workspace, path.source_id)
    picture = Response(preview, mimetype="image/png")
    picture.set_etag(digest)
    picture.headers["Cache-Control"] = "private, max-age=31536000, immutable"
    picture.make_conditional(request)
    return picture


def _needs_files(row: SourceRow, body: ReadingBody) -> bool:
    """Return whether anything but the number of colours or the grouping changes."""
    if row.kind == "image":
        asked = ReadingBody.model_validate(row.settings)
        return (asked.kind, asked.region) != (body.kind, body.region)
    return row.kind == "stylesheet"


def _read(row: SourceRow, body: ReadingBody, files: list[tuple[str, bytes]]) -> dict[str, Any]:
    if row.kind == "image" and files:
        region = body.region.model_dump() if body.region else None
        part = {"kind": body.kind, "region": region}
        return dict(run_bounded("colors", part, [files[0][1]], budget=AGAIN).result)
    if row.kind == "stylesheet":
        asked = {"names": [name for name, _ in files], "difference": body.difference}
        return dict(run_bounded("styles", asked, [content for _, content in files]).result)
    if row.kind == "mood":
        return mood_to_json(body.words or (), body.field)
    return row.extraction


def _taken_in(names: list[str], wanted: Wanted | None, contents: list[bytes]) -> Answer:
    """Return what the files become. A picture that a busy machine can't read at once is read later."""
    asked = {"names": names, "wanted": wanted}
    try:
        return run_bounded("take in", asked, contents)
    except TakesTooLong:
        if not run_bounded("is bitmap", asked, contents).result:
            raise
    return Answer({"kind": "image", "name": names[0], "extraction": {}, "is_reading": True}, ())


def _plain_name(name: str | None) -> str:
    """Return the last part of a file's name, without control characters, 200 characters at most."""
    last = (name or "").replace("\\", "/").rpartition("/")[2]
    return one_line(last)[:200].strip() or "image"
