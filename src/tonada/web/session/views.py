"""The session: what a page needs before its first change."""

from __future__ import annotations

import secrets

from flask import Response, session
from flask_wtf.csrf import generate_csrf

from tonada import __version__
from tonada.core.color.contrast import scale_greys
from tonada.core.limits import MAX_FILE_BYTES, MAX_PIXELS
from tonada.web.answers import answer, blueprint
from tonada.web.session.models import SessionAnswer

api = blueprint("session")

# How many greys the ruler of the contrast scale is drawn with.
SCALE_STEPS = 21


@api.get("/session", responses={200: SessionAnswer}, summary="The token for changes, and the limits")
def read_session() -> Response:
    session.permanent = True
    # By this, requests of one person are counted; it says nothing of who that is.
    session.setdefault("person", secrets.token_urlsafe(16))
    return answer(
        SessionAnswer(
            csrf_token=generate_csrf(),
            version=__version__,
            max_file_bytes=MAX_FILE_BYTES,
            max_pixels=MAX_PIXELS,
            scale_greys=scale_greys(SCALE_STEPS),
        )
    )
