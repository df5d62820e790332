"""Errors as problem documents (RFC 9457). One place turns every error tree into answers."""

from __future__ import annotations

import logging
import math
import time
from http import HTTPStatus
from typing import Final

from flask import Flask, Response
from flask_limiter import RateLimitExceeded
from flask_wtf.csrf import CSRFError
from pydantic import ValidationError
from werkzeug.exceptions import HTTPException, RequestEntityTooLarge, SecurityError
from werkzeug.exceptions import NotFound as NoSuchAddress

from tonada.core.errors import ImageError, ImageTooLarge, InputError, NotReachable
from tonada.core.limits import MAX_ARCHIVE_BYTES, MAX_FILE_BYTES, MAX_JSON_BYTES
from tonada.document.wrong_fields import first_wrong
from tonada.frozen.page_set import NotBuilt
from tonada.intake.bounded import ReadingBusy, ReadingInterrupted
from tonada.store.errors import (
    LastTake,
    NotFound,
    NotStorable,
    Removed,
    StaleDestination,
    StoreUnavailable,
)
from tonada.store.reviews.remarks import NotYours
from tonada.store.reviews.verdicts import Closed
from tonada.store.takes import StaleRevision
from tonada.web.logs import security_event
from tonada.web.reviews.errors import PassphraseNeeded, ReviewEnded
from tonada.web.security import limiter
from tonada.web.takes.models import Problem, TakeAnswer

log = logging.getLogger("tonada")


# A page whose token ran out reads it again by itself; for a person that is no error.
CSRF_REFUSED: Final = "urn:tonada:csrf-refused"
# A review's page asks for the passphrase then.
LOCKED: Final = "urn:tonada:passphrase-needed"
NOTHING_HERE: Final = "There is nothing at this address."


def problem(
    status: int,
    detail: str,
    *,
    kind: str = "about:blank",
    field: str | None = None,
    take: TakeAnswer | None = None,
    restoration: str | None = None,
) -> Response:
    """Return a problem document."""
    title = HTTPStatus(status).phrase
    body = Problem(
        type=kind, title=title, status=status, detail=detail, field=field, take=take, restoration=restoration
    )
    unknown = {name for name in ("field", "take", "restoration") if getattr(body, name) is None}
    return Response(body.model_dump_json(exclude=unknown), status=status, mimetype="application/problem+json")


def validation_problem(error: ValidationError) -> Response:
    """Return 422 with the first field that is wrong and what is allowed there."""
    path, said = first_wrong(error)
    return problem(422, said, field=path or "body")


def register(app: Flask) -> None:
    """Answer every error with a problem document, and the unexpected ones without any detail."""
    app.register_error_handler(InputError, lambda e: problem(422, str(e), field=e.field))
    app.register_error_handler(ImageError, lambda e: problem(415, str(e), field=e.field))
    app.register_error_handler(ImageTooLarge, lambda e: problem(413, str(e), field=e.field))
    app.register_error_handler(ReadingBusy, _busy)
    app.register_error_handler(ReadingInterrupted, _busy)
    app.register_error_handler(NotReachable, lambda e: problem(422, str(e)))
    app.register_error_handler(NotFound, lambda e: problem(404, str(e)))
    app.register_error_handler(Removed, _removed)
    app.register_error_handler(LastTake, lambda e: problem(409, str(e)))
    app.register_error_handler(NotYours, lambda e: problem(409, str(e)))
    app.register_error_handler(Closed, lambda e: problem(409, str(e)))
    app.register_error_handler(ReviewEnded, lambda e: problem(410, str(e)))
    app.register_error_handler(PassphraseNeeded, lambda e: problem(401, str(e), kind=LOCKED))
    app.register_error_handler(NotBuilt, lambda e: problem(503, str(e)))
    app.register_error_handler(StaleDestination, lambda e: problem(409, str(e)))
    app.register_error_handler(StaleRevision, _stale)
    app.register_error_handler(NotStorable, lambda e: problem(422, str(e)))
    app.register_error_handler(StoreUnavailable, lambda e: problem(503, str(e)))
    app.register_error_handler(CSRFError, _csrf)
    app.register_error_handler(RequestEntityTooLarge, _too_large)
    app.register_error_handler(RecursionError, lambda _: problem(400, "The JSON is nested too deeply."))
    app.register_error_handler(RateLimitExceeded, _too_many)
    app.register_error_handler(SecurityError, _host)
    app.register_error_handler(NoSuchAddress, lambda _: problem(404, NOTHING_HERE))
    app.register_error_handler(HTTPException, _http)
    app.register_error_handler(Exception, _unexpected)


def _stale(error: StaleRevision) -> Response:
    return problem(409, str(error), take=TakeAnswer.of(error.saved))


def _busy(error: ReadingBusy | ReadingInterrupted) -> Response:
    answer = problem(503, str(error))
    answer.headers["Retry-After"] = "5"
    return answer


def _removed(error: Removed) -> Response:
    return problem(410, str(error), restoration=f"/api/{error.what}s/{error.id}/restoration")


def _csrf(error: CSRFError) -> Response:
    security_event("no token")
    said = f"{error.description} Reload the page and try again; nothing was changed."
    return problem(403, said, kind=CSRF_REFUSED)


def _too_large(_: RequestEntityTooLarge) -> Response:
    return problem(
        413,
        f"That is too large: a file may have {MAX_FILE_BYTES // 2**20} MB, a brand’s archive "
        f"{MAX_ARCHIVE_BYTES // 2**20}, other requests {MAX_JSON_BYTES // 1024} KB.",
        field="file",
    )


def _too_many(_: RateLimitExceeded) -> Response:
    security_event("too many requests")
    answer = problem(429, "Too many requests. Nothing was changed; try again in a moment.")
    limit = limiter.current_limit
    wait = limit.reset_at - time.time() if limit else 60
    answer.headers["Retry-After"] = str(max(1, math.ceil(wait)))
    return answer


def _host(_: SecurityError) -> Response:
    security_event("another host")
    return problem(400, "This host name is not answered here.")


def _http(error: HTTPException) -> Response:
    answer = problem(error.code or 500, error.description or "The request can't be answered.")
    # What a status brings along, such as the methods that are allowed (RFC 9110, 15.5.6).
    for name, value in error.get_headers():
        if name.title() in ("Allow", "Retry-After"):
            answer.headers[name] = value
    return answer


def _unexpected(error: Exception) -> Response:
    log.error("unexpected error", exc_info=error)
    return problem(500, "Something went wrong on the server. Nothing was changed.")
