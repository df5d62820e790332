"""Who the studio is, and the outbox: the mails that went out, or would have."""

from __future__ import annotations

from typing import Final

from flask import Response, current_app

from tonada.store.reviews import mails
from tonada.store.reviews.mails import Studio
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.reviews.courier import Courier
from tonada.web.reviews.models import MailAnswer, MailPath, OutboxAnswer, StudioAnswer, StudioBody

api = blueprint("studio")

SHOWN_MAILS: Final = 100
# A mail is shown as it looks, inert: no script, nothing fetched, in a frame of ours alone.
_INERT: Final = (
    "default-src 'none'; style-src 'unsafe-inline'; sandbox; frame-ancestors 'self'; base-uri 'none'; "
    "form-action 'none'"
)


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
    studio = Studio(body.studio, body.notified)
    with workspace_connection() as (connection, workspace):
        mails.set_studio(connection, workspace, studio)
    return answer(StudioAnswer.of(studio, _courier().sends_by))


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
