"""What every answer and every request is held to: headers, CSRF, rate limits, hosts, sizes."""

from __future__ import annotations

from datetime import timedelta
from typing import Final
from urllib.parse import urlsplit

from flask import Flask, Response, abort, request, session
from flask_compress import Compress
from flask_limiter import Limit, Limiter
from flask_limiter.util import get_remote_address
from flask_wtf.csrf import CSRFProtect

from tonada.core.limits import MAX_ARCHIVE_BYTES, MAX_FILE_BYTES, MAX_JSON_BYTES
from tonada.web.hot_paths import HOT_PATHS
from tonada.web.logs import security_event
from tonada.web.reviews.hosts import name_of
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
        # Samples of stylesheets, which are served inert.
        "frame-src 'self'",
        "manifest-src 'self'",
        "base-uri 'self'",
        "form-action 'none'",
        "frame-ancestors 'none'",
    ]
)


def policy_with(style_hash: str) -> str:
    """Return the policy of a page with one style in itself, by that style's hash. Source: CSP 3, 2.3.1."""
    return CONTENT_SECURITY_POLICY.replace("style-src 'self'", f"style-src 'self' 'sha256-{style_hash}'")


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
UPLOAD_ENDPOINTS: Final = frozenset(("sources.create_source", "palettes.import_palettes"))

# Those that take a whole brand.
ARCHIVE_ENDPOINTS: Final = frozenset(("brand_files.open_brand", "brand_files.open_take"))

UPLOADS_PER_MINUTE: Final = "60 per minute"
# A whole brand is read, drawn anew and packed in a second or several.
ARCHIVES_PER_MINUTE: Final = "12 per minute"
# A sheet is set in half a second of the processor, and again whenever a tick is set.
SHEETS_PER_MINUTE: Final = "120 per minute"
# A studio's people share an address; one person alone gets a fifth of it.
REQUESTS_OF_A_PERSON: Final = "1200 per minute"
REQUESTS_OF_AN_ADDRESS: Final = "6000 per minute"
_SAFE: Final = frozenset(("GET", "HEAD", "OPTIONS"))


def the_person() -> str:
    """Return by what a person's requests are counted: the session, or the address where there is none."""
    return f"person {session['person']}" if "person" in session else the_address()


def the_address() -> str:
    """Return by what an address's requests are counted."""
    return f"address {get_remote_address()}"


csrf = CSRFProtect()
compress = Compress()
limiter = Limiter(
    the_person,
    default_limits=[
        Limit(REQUESTS_OF_A_PERSON, key_function=the_person),
        Limit(REQUESTS_OF_AN_ADDRESS, key_function=the_address),
    ],
    # Where the shared counter is away, each process counts for itself until it is back.
    in_memory_fallback_enabled=True,
)


@limiter.request_filter
def _is_hot() -> bool:
    """Exempt a drag before the limiter looks anything up."""
    return request.path in HOT_PATHS


def register(app: Flask, settings: Settings) -> None:
    """Wire it into the application."""
    app.config.update(
        SECRET_KEY=settings.secret_key,
        TRUSTED_HOSTS=[*settings.hosts, *map(name_of, settings.review_hosts)],
        # Stylesheets come as several files.
        MAX_FORM_PARTS=64,
        # By what arrives, whatever it is called; routes that take files allow more.
        MAX_CONTENT_LENGTH=MAX_JSON_BYTES,
        SESSION_COOKIE_NAME="tonada",
        SESSION_COOKIE_HTTPONLY=True,
        SESSION_COOKIE_SAMESITE="Strict",
        SESSION_COOKIE_SECURE=settings.https,
        PERMANENT_SESSION_LIFETIME=timedelta(days=30),
        WTF_CSRF_HEADERS=["X-CSRF-Token"],
        WTF_CSRF_TIME_LIMIT=None,
        # No referrer is ever sent (see HEADERS); the origin is checked below, and the token always.
        WTF_CSRF_SSL_STRICT=False,
        # Fast rather than small: a take's figures are a fifth of their bytes after 0.1 ms.
        COMPRESS_MIMETYPES=["application/json"],
        COMPRESS_ALGORITHM=["zstd", "gzip"],
        COMPRESS_ZSTD_LEVEL=1,
        COMPRESS_LEVEL=1,
        # The session's answer, with the token for changes, is smaller: its length must tell nothing of it.
        COMPRESS_MIN_SIZE=1400,
        COMPRESS_STREAMS=False,
        RATELIMIT_STORAGE_URI=settings.limits,
        RATELIMIT_ENABLED=settings.rate_limits,
    )
    app.before_request(_allow_files)
    app.before_request(_check_origin)
    app.before_request(_check_parts)
    csrf.init_app(app)
    limiter.init_app(app)
    compress.init_app(app)
    app.after_request(lambda answer: _add_headers(answer, https=settings.https))


def _allow_files() -> None:
    if request.endpoint in UPLOAD_ENDPOINTS:
        request.max_content_length = MAX_FILE_BYTES + _FORM_BYTES
    elif request.endpoint in ARCHIVE_ENDPOINTS:
        request.max_content_length = MAX_ARCHIVE_BYTES + _FORM_BYTES


def _check_origin() -> None:
    """Refuse a change that another site's page asks for. Source: Fetch standard, Origin header."""
    origin = request.headers.get("Origin")
    if request.method in _SAFE or origin is None:
        return
    if urlsplit(origin).netloc.lower() != request.host.lower():
        security_event("another origin")
        abort(403, "This was asked for by a page of another site. Nothing was changed.")


def _check_parts() -> None:
    """Refuse a form with a part that has no name. Source: RFC 7578, section 4.2: each part has one."""
    if request.mimetype != "multipart/form-data":
        return
    names: set[str | None] = {*request.form, *request.files}
    if None in names:
        abort(422, "A part of the form has no name. Each needs one, such as “file”. Nothing was changed.")


def _add_headers(answer: Response, *, https: bool) -> Response:
    for name, value in HEADERS.items():
        answer.headers.setdefault(name, value)
    if https:
        answer.headers.setdefault("Strict-Transport-Security", "max-age=31536000")
    if request.path.startswith("/api/"):
        answer.headers.setdefault("Cache-Control", "no-store")
    return answer
