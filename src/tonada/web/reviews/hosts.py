"""Where reviews are reached: hosts under which nothing else is answered, and the address of a link."""

from __future__ import annotations

from typing import Final

from flask import Flask, abort, request

from tonada.web.settings import LOOPBACK_HOSTS, Settings

# What a review's page asks for. Files of the build hold nobody's data.
_ANSWERED: Final = ("/review/", "/api/review/", "/assets/")
_FILES: Final = frozenset(("/favicon.svg", "/third-party-notices.txt"))


def register(app: Flask, settings: Settings) -> None:
    """Answer nothing but reviews under the hosts that are for them."""
    names = frozenset(map(name_of, settings.review_hosts))

    def only_reviews() -> None:
        if name_of(request.host) in names and not _is_of_a_review(request.path):
            abort(404, "There is nothing at this address.")

    if names:
        app.before_request(only_reviews)
    app.extensions["tonada.settings"] = settings


def _is_of_a_review(path: str) -> bool:
    return path.startswith(_ANSWERED) or path in _FILES


def name_of(host: str) -> str:
    """Return a host's name without its port, in small letters."""
    name, colon, port = host.lower().rpartition(":")
    return name if colon and port.isdigit() else host.lower()


def review_origin(settings: Settings, host: str) -> str | None:
    """Return where a client would reach a review, such as “https://reviews.example.org”.

    host: that the designer asks by. None where that is this machine alone, and no other was named.
    """
    scheme = "https" if settings.https else "http"
    if settings.review_hosts:
        return f"{scheme}://{settings.review_hosts[0]}"
    return outside_address(settings, host)


def outside_address(settings: Settings, host: str) -> str | None:
    """Return where the studio is reached from outside; None where it is asked by this machine alone."""
    scheme = "https" if settings.https else "http"
    return None if name_of(host) in LOOPBACK_HOSTS else f"{scheme}://{host}"
