"""What every answer and every request is held to: headers, CSRF, rate limits, hosts, sizes."""

from __future__ import annotations

from datetime import timedelta
from typing import Final

from flask import Flask, Response, request
from flask_limiter import Limiter
from flask_limiter.util import get_remote_address
from flask_wtf.csrf import CSRFProtect

from tonada.core.limits import MAX_FILE_BYTES, MAX_JSON_BYTES
from tonada.web.settings import Settings

CONTENT_SECURITY_POLICY: Final = "; ".join(
    [
        "default-src 'none'",
        "script-src 'self'",
        "style-src 'self'",
        # data: for a picture that the page draws of itself, an SVG; nothing in it can be fetched.
        "img-src 'self' blob: data:",
        "font-src 'self'",
        "connect-src 'self'",
        "manifest-src 'self'",
        "base-uri 'self'",
        "form-action 'none'",
        "frame-ancestors 'none'",
    ]
)
HEADERS: Final = {
    "Content-Security-Policy": CONTENT_SECURITY_POLICY,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Cross-Origin-Resource-Policy": "same-origin",
    "Permissions-Policy": "camera=(), microphone=(), geolocation=(), payment=(), usb=()",
}
# The form around an uploaded file takes a little room too.
_FORM_BYTES: Final = 64 * 1024

UPLOADS_PER_MINUTE: Final = "60 per minute"
REQUESTS_PER_MINUTE: Final = "1200 per minute"

csrf = CSRFProtect()
limiter = Limiter(get_remote_address, default_limits=[REQUESTS_PER_MINUTE], storage_uri="memory://")


# Asked many times a second by a drag, changing nothing: exempt before the limiter looks anything up.
HOT_PATHS: Final = frozenset(("/api/evaluate", "/api/changes"))


@limiter.request_filter
def _is_hot() -> bool:
    return request.path in HOT_PATHS


def register(app: Flask, settings: Settings) -> None:
    """Wire it into the application."""
    app.config.update(
        SECRET_KEY=settings.secret_key,
        TRUSTED_HOSTS=list(settings.hosts),
        # Stylesheets come as several files.
        MAX_FORM_PARTS=64,
        MAX_CONTENT_LENGTH=MAX_FILE_BYTES + _FORM_BYTES,
        SESSION_COOKIE_NAME="tonada",
        SESSION_COOKIE_HTTPONLY=True,
        SESSION_COOKIE_SAMESITE="Strict",
        SESSION_COOKIE_SECURE=settings.https,
        PERMANENT_SESSION_LIFETIME=timedelta(days=30),
        WTF_CSRF_HEADERS=["X-CSRF-Token"],
        WTF_CSRF_TIME_LIMIT=None,
        RATELIMIT_ENABLED=settings.rate_limits,
    )
    csrf.init_app(app)
    limiter.init_app(app)
    app.before_request(_limit_json)
    app.after_request(lambda answer: _add_headers(answer, https=settings.https))


def _limit_json() -> None:
    if request.mimetype == "application/json":
        request.max_content_length = MAX_JSON_BYTES


def _add_headers(answer: Response, *, https: bool) -> Response:
    for name, value in HEADERS.items():
        answer.headers.setdefault(name, value)
    if https:
        answer.headers.setdefault("Strict-Transport-Security", "max-age=31536000")
    if request.path.startswith("/api/"):
        answer.headers.setdefault("Cache-Control", "no-store")
    return answer
