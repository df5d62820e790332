"""The built front end: files with a digest in their name from WhiteNoise, one page for every view."""

from __future__ import annotations

import base64
import hashlib
import re
from functools import lru_cache
from pathlib import Path
from wsgiref.headers import Headers

from flask import Flask, Response, send_from_directory
from werkzeug.exceptions import NotFound
from werkzeug.routing import PathConverter
from whitenoise import WhiteNoise

from tonada.web.preloads import Preloads, read_preloads
from tonada.web.security import policy_with

# Files of the build that are served as they are, beside the assets.
PLAIN_FILES = ("favicon.svg", "third-party-notices.txt")
DESCRIPTION = Path(__file__).with_name("openapi.json")


class ViewConverter(PathConverter):
    """An address of a view: any but those of the API and of files, which are there or are not."""

    regex = r"(?!(?:api|assets)(?:/|$))[^/].*?"


def register(app: Flask, folder: Path) -> None:
    """Serve the front end that was built into `folder`."""
    if (folder / "assets").is_dir():
        _serve_assets(app, folder)
    if (folder / "index.html").is_file():
        build = hashlib.sha256((folder / "index.html").read_bytes()).hexdigest()[:12]
        app.after_request(lambda answer: _tell_build(answer, build))
    app.add_url_rule("/api/openapi.json", "description", _description)
    app.add_url_rule("/api/docs", "docs", lambda: _page(folder, "docs.html"))
    preloads = read_preloads(folder / ".vite" / "manifest.json")
    app.add_url_rule("/", "page", lambda: _view(folder, "", preloads))
    app.url_map.converters["view"] = ViewConverter
    app.add_url_rule("/<view:view>", "view", lambda view: _view(folder, view, preloads))


def _description() -> Response:
    """Give the document of the API, which is made from the application by `make types`."""
    return send_from_directory(DESCRIPTION.parent, DESCRIPTION.name)


def _serve_assets(app: Flask, folder: Path) -> None:
    app.wsgi_app = WhiteNoise(  # type: ignore[method-assign]  # the documented way to add middleware
        app.wsgi_app,
        root=str(folder / "assets"),
        prefix="assets/",
        immutable_file_test=r"-[\w-]{8}\.\w+$",
        add_headers_function=_add_headers,
        allow_all_origins=False,
    )


def _tell_build(answer: Response, build: str) -> Response:
    """Say which build this server has: a page that was opened with another one offers to be reloaded."""
    answer.headers["X-Tonada-Build"] = build
    return answer


def _add_headers(headers: Headers, _path: str, _url: str) -> None:
    headers["X-Content-Type-Options"] = "nosniff"
    headers["Cross-Origin-Resource-Policy"] = "same-origin"


def _view(folder: Path, view: str, preloads: Preloads) -> Response:
    """Give the page for an address of a view; its router does the rest. It is told what it will need."""
    if view in PLAIN_FILES and (folder / view).is_file():
        return send_from_directory(folder, view)
    page = _page(folder)
    links = preloads.of(view)
    if links:
        page.headers["Link"] = links
    return page


def _page(folder: Path, name: str = "index.html") -> Response:
    if not (folder / name).is_file():
        raise NotFound("The front end is not built yet. Run: make setup")
    page = send_from_directory(folder, name)
    page.headers["Cache-Control"] = "no-cache"
    policy = _policy_of(folder / name, (folder / name).stat().st_mtime_ns)
    if policy:
        page.headers["Content-Security-Policy"] = policy
    return page


@lru_cache(maxsize=8)
def _policy_of(path: Path, _changed: int) -> str | None:
    """Return the policy of a page whose first frame has its style in itself; None where it has none."""
    found = re.search(rb"<style>(.*?)</style>", path.read_bytes(), re.DOTALL)
    return policy_with(base64.b64encode(hashlib.sha256(found[1]).digest()).decode()) if found else None
