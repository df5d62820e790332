"""Logs as lines of JSON: requests, what touches security, and failures with their cause.

Nothing of what a user sent is in them: the route and not the path, no query, no names, no values.
"""

from __future__ import annotations

import hashlib
import logging
import sys
import time
from typing import Any, Final, Literal

from flask import Flask, Response, g, request, session
from pythonjsonlogger.json import JsonFormatter

from tonada.web.hot_paths import HOT_PATHS

requests = logging.getLogger("tonada.requests")
events = logging.getLogger("tonada.security")
_FIELDS: Final = "{asctime}{levelname}{name}{message}"
# What is asked for many times a second, or by machines that watch: told only where it fails.
_QUIET: Final = frozenset((*HOT_PATHS, "/healthz", "/readyz"))


def set_up(level: Literal["requests", "warnings"]) -> None:
    """Write lines of JSON to standard error: everything, or only warnings and what is worse."""
    handler = logging.StreamHandler(sys.stderr)
    formatter = JsonFormatter(
        _FIELDS, style="{", rename_fields={"asctime": "time", "levelname": "level", "name": "about"}
    )
    formatter.converter = time.gmtime
    handler.setFormatter(formatter)
    root = logging.getLogger("tonada")
    root.handlers[:] = [handler]
    root.propagate = False
    root.setLevel(logging.INFO if level == "requests" else logging.WARNING)


def register(app: Flask) -> None:
    """Write a line for every request, but for the steps of a drag that succeed."""
    app.before_request(_start)
    app.after_request(_finish)


def security_event(event: str, **facts: Any) -> None:
    """Note what touches security: a refused token, host, origin or rate. `event` says which."""
    events.warning(event, extra={**_who(), **facts})


def _start() -> None:
    g.started = time.perf_counter()


def _finish(answer: Response) -> Response:
    route = request.url_rule.rule if request.url_rule else ""
    is_quiet = route in _QUIET and answer.status_code < 400
    if not is_quiet and requests.isEnabledFor(logging.INFO):
        took = time.perf_counter() - getattr(g, "started", time.perf_counter())
        facts = {
            "method": request.method,
            "route": route,
            "status": answer.status_code,
            "milliseconds": round(took * 1000, 1),
        }
        requests.info("request", extra={**facts, **_who()})
    return answer


def _who() -> dict[str, str | None]:
    """Return the address and a short digest of the session: enough to tell people apart."""
    person = session.get("person")
    return {
        "address": request.remote_addr,
        "person": hashlib.sha256(person.encode()).hexdigest()[:12] if person else None,
    }
