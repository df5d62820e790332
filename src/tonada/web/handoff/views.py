"""Handoff: files of a version, previews, values in every notation, what changed since the last time."""

from __future__ import annotations

from uuid import UUID

from flask import Response, current_app, request

from tonada.core.take.take import Take
from tonada.document.own_file import NamedPicture, sources_of
from tonada.files.client_sheet import ExportHeader, pdf_sheet
from tonada.files.file_format import Handoff
from tonada.files.kinds import FILE_FORMATS, made_file, make_file
from tonada.files.press_profile import press_of, usual_press
from tonada.files.sheet_preview import preview_of
from tonada.sharing.making import own_fonts
from tonada.sharing.trade import trade_of
from tonada.store import archives, handoffs, sources
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.handoff.handed import Handed, attached, handed_version
from tonada.web.handoff.models import (
    FilePath,
    HandedBody,
    HandoffVocabulary,
    OptionsModel,
    PreviewAnswer,
    PreviewBody,
    SheetAnswer,
    ValueAnswer,
    ValuesAnswer,
    ValuesBody,
)
from tonada.web.reviews.hosts import outside_address
from tonada.web.security import SHEETS_PER_MINUTE, UPLOADS_PER_MINUTE, csrf, limiter
from tonada.web.takes.views import VersionPath

api = blueprint("handoff")
computed = blueprint("handoff_computed")
# Nothing is changed, so nothing can be forged.
csrf.exempt(computed)

# Of a preview; nobody reads further.
PREVIEW_CHARACTERS = 60_000


@computed.get("/handoff", responses={200: HandoffVocabulary}, summary="The formats, notations and namings")
def read_vocabulary() -> Response:
    return answer(HandoffVocabulary.whole(usual_press()))


@computed.post("/values", responses={200: ValuesAnswer}, summary="Colours in every notation, and in print")
def write_values(body: ValuesBody) -> Response:
    press = press_of(body.press)
    return answer(ValuesAnswer(values=tuple(ValueAnswer.of(value, press) for value in body.hexes)))


@computed.post("/handoff/preview", responses={200: PreviewAnswer}, summary="A file of text as it would be")
def preview(body: PreviewBody) -> Response:
    unsaved = "not a version yet"
    head = ExportHeader(body.brand, body.take, unsaved, version=unsaved, voice=body.voice)
    handoff = Handoff(
        body.document.to_take(),
        head,
        press_of(body.options.press),
        body.options.to_options(),
        pages=body.options.to_pages(),
    )
    text = make_file(handoff, body.kind).decode() if FILE_FORMATS[body.kind].is_text else ""
    return answer(
        PreviewAnswer(
            text=text[:PREVIEW_CHARACTERS],
            size=len(text.encode()),
            cut=len(text) > PREVIEW_CHARACTERS,
        )
    )


@api.post(
    "/handoff/sheet", responses={200: SheetAnswer}, summary="The client's sheet as it would be, as pictures"
)
@limiter.limit(SHEETS_PER_MINUTE)
def preview_sheet(body: PreviewBody) -> Response:
    take = body.document.to_take()
    with workspace_connection() as (connection, workspace):
        logo = _logo(connection, workspace, take)
        fonts = own_fonts(connection, workspace, body.brand_id, take.proof) if body.brand_id else ()
    head = ExportHeader(body.brand, body.take, "", logo, "not a version yet", body.voice, fonts)
    made = pdf_sheet(take, head, press_of(body.options.press), body.options.paper, body.options.to_pages())
    return answer(SheetAnswer.model_validate(preview_of(made)))


@api.get(
    "/takes/<uuid:take_id>/versions/<int:number>/files/<string:kind>",
    summary="A file of a version, to be downloaded",
)
@limiter.limit(UPLOADS_PER_MINUTE)
def download(path: FilePath, query: OptionsModel) -> Response:
    with workspace_connection() as (connection, workspace):
        version = handed_version(connection, workspace, path.take_id, path.number)
        logo = _logo(connection, workspace, version.take)
        pictures = _pictures(connection, workspace, version)
        voice = trade_of(connection, workspace, version.brand_id, version.brand)
        fonts = own_fonts(connection, workspace, version.brand_id, version.take.proof)
    place = f"brands/{version.brand_id}/takes/{path.take_id}/versions/{path.number}"
    outside = outside_address(current_app.extensions["tonada.settings"], request.host)
    origin = f"version {path.number}, {outside}/{place}" if outside else f"version {path.number}"
    head = ExportHeader(version.brand, version.name, origin, logo, version.dated, voice, fonts)
    options, pages = query.to_options(), query.to_pages()
    handoff = Handoff(version.take, head, press_of(query.press), options, query.paper, pages, pictures)
    made = made_file(handoff, path.kind)
    return attached(made.content, made.name, made.mimetype)


@api.post(
    "/takes/<uuid:take_id>/versions/<int:number>/handoffs", summary="Note that a version was handed off"
)
def record(path: VersionPath, body: HandedBody) -> Response:
    with workspace_connection() as (connection, workspace):
        handoffs.record(connection, workspace, path.take_id, path.number, body.what)
    return Response(status=204)


def _pictures(connection: Connection, workspace: UUID, version: Handed) -> tuple[NamedPicture, ...]:
    """Return the sources that a take names, each with the digest of its file."""
    named = set(sources_of(version.take))
    return tuple(
        NamedPicture(source=str(source.id), name=source.name, digest=source.digest)
        for source in archives.digests_of(connection, workspace, version.brand_id)
        if str(source.id) in named
    )


def _logo(connection: Connection, workspace: UUID, take: Take) -> bytes | None:
    """Return the picture of the logo that is on the proof's pages, where it is still there."""
    try:
        return sources.preview(connection, workspace, UUID(take.proof.logo or ""))[0]
    except (ValueError, NotFound):
        return None
