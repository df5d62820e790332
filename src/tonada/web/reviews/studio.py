"""Who the studio is, and the outbox: the mails that went out, or would have."""

from __future__ import annotations

from typing import Final

import werkzeug.datastructures
from flask import Response, current_app
from flask_openapi3.models.file import FileStorage
from pydantic import ConfigDict, Field

from tonada.core.errors import InputError
from tonada.document.parts import Described
from tonada.files.shown_logo import logo_for
from tonada.intake.bounded import run_bounded
from tonada.mail.messages import MAIL_INK, MAIL_PAPER
from tonada.store.reviews import mails
from tonada.store.reviews.mails import Studio
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.reviews.courier import Courier
from tonada.web.reviews.models import MailAnswer, MailPath, OutboxAnswer, StudioAnswer, StudioBody
from tonada.web.security import UPLOADS_PER_MINUTE, limiter

api = blueprint("studio")

SHOWN_MAILS: Final = 100
# A mail is shown as it looks, inert: no script, nothing fetched, in a frame of ours alone.
_INERT: Final = (
    "default-src 'none'; style-src 'unsafe-inline'; sandbox; frame-ancestors 'self'; base-uri 'none'; "
    "form-action 'none'"
)


class MarkForm(Described):
    model_config = ConfigDict(arbitrary_types_allowed=True)

    file: FileStorage = Field(description="A picture or a drawing: PNG, JPEG, WebP, GIF or SVG")


@api.get(
    "/studio", responses={200: StudioAnswer}, summary="The studio's name and the address for its notices"
)
def read_studio() -> Response:
    with workspace_connection() as (connection, workspace):
        found = mails.studio(connection, workspace)
    return answer(StudioAnswer.of(found, _courier().sends_by))


@api.put(
    "/studio", responses={200: StudioAnswer}, summary="Set the studio's name and the address for its notices"
)
def set_studio(body: StudioBody) -> Response:
    with workspace_connection() as (connection, workspace):
        mails.set_studio(connection, workspace, Studio(body.studio, body.notified))
        found = mails.studio(connection, workspace)
    return answer(StudioAnswer.of(found, _courier().sends_by))


@api.put("/studio/mark", responses={200: StudioAnswer}, summary="Set the mark that emails show")
@limiter.limit(UPLOADS_PER_MINUTE)
def set_mark(form: MarkForm) -> Response:
    if not isinstance(form.file, werkzeug.datastructures.FileStorage):
        raise InputError("The form’s field “file” holds no file.", field="file")
    mark = run_bounded("mark", {}, [form.file.stream.read()]).parts[0]
    # A light mark would be lost on the paper of a mail.
    shown = logo_for(mark, MAIL_PAPER, MAIL_INK)
    with workspace_connection() as (connection, workspace):
        mails.set_mark(connection, workspace, shown)
        found = mails.studio(connection, workspace)
    return answer(StudioAnswer.of(found, _courier().sends_by))


@api.delete("/studio/mark", summary="Take the mark away")
def remove_mark() -> Response:
    with workspace_connection() as (connection, workspace):
        mails.set_mark(connection, workspace, None)
    return Response(status=204)


@api.get("/mails", responses={200: OutboxAnswer}, summary="The newest mails")
def list_mails() -> Response:
    with workspace_connection() as (connection, workspace):
        rows = mails.newest(connection, workspace, SHOWN_MAILS)
    return answer(OutboxAnswer(mails=tuple(map(MailAnswer.of, rows)), sends=_courier().sends_by))


@api.get("/mails/<uuid:mail_id>/page", summary="A mail as it looks")
def read_mail(path: MailPath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = mails.find(connection, workspace, path.mail_id)
    made = Response(row.html, mimetype="text/html")
    made.headers["Content-Security-Policy"] = _INERT
    return made


def _courier() -> Courier:
    found: Courier = current_app.extensions["tonada.courier"]
    return found
