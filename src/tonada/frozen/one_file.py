"""A review as one file of HTML: pages, palette, remarks, choice and approval, without a server.

Everything is in it: the page's own script and style, what draws the sample pages, fonts, pictures, the
sheet. Its policy lets it run those scripts and nothing else, and fetch nothing at all.
"""

from __future__ import annotations

import base64
import hashlib
import html
from collections.abc import Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import Any, Final

import orjson

from tonada.frozen.page_set import SCRIPT, STYLE, NotBuilt, style_with

_CLIENT_SCRIPT: Final = "client.js"
_CLIENT_STYLE: Final = "client.css"
# What the page around the sample pages is set in.
_OWN_FAMILIES: Final = frozenset(("Bricolage Grotesque Variable", "Spline Sans Mono Variable"))


@dataclass(frozen=True, slots=True)
class OneFile:
    """A review that is to be one file. content: as it is kept. files: type and content by digest.

    drawing: what draws the sample pages, by name.
    """

    review: str
    content: Mapping[str, Any]
    may_comment: bool
    may_choose: bool
    may_approve: bool
    files: Mapping[str, tuple[str, bytes]]
    drawing: Mapping[str, bytes]


@dataclass(frozen=True, slots=True)
class ClientFiles:
    """The page around the sample pages: its script, its style, and its fonts by name."""

    script: str
    style: str
    fonts: Mapping[str, bytes]


def offline_files(folder: Path) -> ClientFiles:
    """Return the page as the front end was built with it. Raises NotBuilt."""
    own = folder / "client"
    if not (own / _CLIENT_SCRIPT).is_file():
        raise NotBuilt
    return ClientFiles(
        (own / _CLIENT_SCRIPT).read_text(encoding="utf-8"),
        (own / _CLIENT_STYLE).read_text(encoding="utf-8"),
        {path.name: path.read_bytes() for path in own.glob("*.woff2")},
    )


def review_file(one: OneFile, client: ClientFiles) -> bytes:
    """Return the file."""
    drawing = {name: content for name, content in one.drawing.items() if name.endswith(".woff2")}
    script = _closed(one.drawing[SCRIPT].decode())
    material = {
        "review": one.review,
        "content": one.content,
        "may_comment": one.may_comment,
        "may_choose": one.may_choose,
        "may_approve": one.may_approve,
        "files": {digest: _data(*file) for digest, file in one.files.items()},
        "pages": {
            "script": script,
            "style": style_with(one.drawing[STYLE].decode(), _faces_of(one.content), _fonts(drawing)),
        },
    }
    own = _closed(client.script)
    # “<” can't end the element that the data stands in.
    data = orjson.dumps(material).decode().replace("<", "\\u003c")
    style = style_with(client.style, _OWN_FAMILIES, _fonts(client.fonts)).replace("</style", "<\\/style")
    policy = "; ".join(
        [
            "default-src 'none'",
            f"script-src {_hash(own)} {_hash(script)}",
            "style-src 'unsafe-inline'",
            "img-src data: blob:",
            "font-src data:",
            "frame-src 'self'",
            "base-uri 'none'",
            "form-action 'none'",
        ]
    )
    brand = html.escape(str(one.content["brand"]))
    page = (
        '<!doctype html>\n<html lang="en">\n<head>\n<meta charset="utf-8">\n'
        f'<meta http-equiv="Content-Security-Policy" content="{policy}">\n'
        '<meta name="viewport" content="width=device-width, initial-scale=1">\n'
        '<meta name="robots" content="noindex">\n'
        f"<title>Colours for {brand}</title>\n<style>{style}</style>\n</head>\n<body>\n"
        '<div id="app"></div>\n<noscript>This page needs JavaScript.</noscript>\n'
        f'<script type="application/json" id="review">{data}</script>\n'
        f"<script>{own}</script>\n</body>\n</html>\n"
    )
    return page.encode()


def _faces_of(content: Mapping[str, Any]) -> frozenset[str]:
    """Return the families that the pages of a review are set in."""
    shown = [drawn for take in content["takes"] for drawn in take["drawn"].values()]
    faces = {str(face) for drawn in shown for face in _set_in(drawn) if face}
    return frozenset(f"{face} Variable" for face in faces)


def _set_in(drawn: Mapping[str, Any]) -> tuple[Any, ...]:
    """Return the typefaces that texts are set in; a review of an earlier Tonada has them in its settings."""
    settings, faces = drawn["settings"], drawn["figures"].get("faces")
    if faces is None:
        return settings["heading_face"], settings["text_face"]
    return tuple(faces.values())


def _fonts(files: Mapping[str, bytes]) -> dict[str, str]:
    return {name: _data("font/woff2", content) for name, content in files.items()}


def _data(mimetype: str, content: bytes) -> str:
    return f"data:{mimetype};base64,{base64.b64encode(content).decode()}"


def _closed(script: str) -> str:
    """Return a script that can't end the element that it is in. Source: WHATWG HTML, 4.12.1.3."""
    return script.replace("</script", "<\\/script").replace("<!--", "<\\!--")


def _hash(script: str) -> str:
    """Return a script's source expression. Source: Content Security Policy 3, 2.3.1."""
    return f"'sha256-{base64.b64encode(hashlib.sha256(script.encode()).digest()).decode()}'"
