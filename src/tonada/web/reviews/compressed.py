"""Answers that are large and hold no secret of the session: sent in fewer bytes (RFC 9110, 8.4)."""

from __future__ import annotations

import gzip
from functools import lru_cache

from flask import Response, request

_LEVEL = 6


def compressed(content: bytes, mimetype: str) -> Response:
    """Return an answer, compressed where the reader can take it.

    Not for what holds a token and what a stranger wrote together: its length would tell of the token.
    """
    takes_it = request.accept_encodings.quality("gzip") > 0
    made = Response(_compressed(content) if takes_it else content, mimetype=mimetype)
    made.headers["Vary"] = "Accept-Encoding"
    if takes_it:
        made.headers["Content-Encoding"] = "gzip"
    return made


@lru_cache(maxsize=16)
def _compressed(content: bytes) -> bytes:
    return gzip.compress(content, _LEVEL, mtime=0)
