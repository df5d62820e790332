"""For whoever watches the server: whether it lives, and whether it can work."""

from __future__ import annotations

from flask import Blueprint, Response, current_app

from tonada.web.access import Access
from tonada.web.security import limiter

health = Blueprint("health", __name__)
limiter.exempt(health)


@health.get("/healthz")
def read_health() -> Response:
    """Answer 200 where the process answers at all; a supervisor restarts it where it doesn't."""
    return Response("ok\n", mimetype="text/plain")


@health.get("/readyz")
def read_readiness() -> Response:
    """Answer 200 where the database can be used, else 503."""
    access: Access = current_app.extensions["tonada"]
    access.check()
    return Response("ready\n", mimetype="text/plain")
