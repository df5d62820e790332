"""The page behind a review's link, and the files that draw its sample pages."""

from __future__ import annotations

import re
from typing import Final

from flask import Blueprint, Response, current_app, send_from_directory
from werkzeug.exceptions import NotFound as NoSuchAddress

from tonada.store.reviews import frozen
from tonada.web.access import workspace_connection
from tonada.web.problems import NOTHING_HERE
from tonada.web.reviews.compressed import compressed

pages = Blueprint("review_page", __name__)

_DIGEST: Final = re.compile(r"[0-9a-f]{64}")
# What draws the pages is the same under its digest for ever, and nobody's secret.
_FOR_EVER: Final = "public, max-age=31536000, immutable"


@pages.get("/review/<string:token>")
def page(token: str) -> Response:
    """Give the page; whether its token leads anywhere, it asks by itself."""
    del token
    folder = current_app.extensions["tonada.settings"].frontend
    if not (folder / "review.html").is_file():
        raise NoSuchAddress("The front end is not built yet. Run: make setup")
    made = send_from_directory(folder, "review.html", max_age=0)
    # The address is a secret: nothing on the way keeps it, and no search engine learns of it.
    made.headers["Cache-Control"] = "no-store"
    made.headers["X-Robots-Tag"] = "noindex, nofollow, noarchive"
    return made


@pages.get("/review/pages/<string:digest>/<string:name>")
def file(digest: str, name: str) -> Response:
    """Give a script, a stylesheet or a font of a set of pages."""
    if not _DIGEST.fullmatch(digest):
        raise NoSuchAddress(NOTHING_HERE)
    with workspace_connection() as (connection, workspace):
        names = frozen.read_set(connection, workspace, bytes.fromhex(digest))
        if name not in names:
            raise NoSuchAddress(NOTHING_HERE)
        found = frozen.read_file(connection, workspace, bytes.fromhex(names[name]))
    # Fonts and pictures are compressed already.
    answered = compressed if found.mimetype.startswith("text/") else _as_it_is
    made = answered(found.content, found.mimetype)
    made.headers["Cache-Control"] = _FOR_EVER
    return made


def _as_it_is(content: bytes, mimetype: str) -> Response:
    return Response(content, mimetype=mimetype)
