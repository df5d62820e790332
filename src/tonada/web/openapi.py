"""Prints the OpenAPI document: `python -m tonada.web.openapi`. The front end's types are made from it.

What the views say of themselves is completed here: everything that may answer instead (problems,
RFC 9457), files, and what a change has to send. A test holds every answer of the tests to it.
"""

from __future__ import annotations

import json
import os
import re
from pathlib import Path
from typing import Any, Final, TypeAlias

Node: TypeAlias = dict[str, Any]

PROBLEM_TYPE: Final = "application/problem+json"
_CHANGES: Final = ("post", "put", "patch", "delete")
# Source: RFC 9110, 15.5.14 and 15.5.21; Python 3.13 calls them otherwise than 3.11.
_NAMES: Final = {
    "400": "Bad Request", "401": "Unauthorized", "403": "Forbidden", "404": "Not Found",
    "405": "Method Not Allowed",
    "409": "Conflict", "410": "Gone", "413": "Content Too Large", "415": "Unsupported Media Type",
    "422": "Unprocessable Content", "429": "Too Many Requests", "500": "Internal Server Error",
    "503": "Service Unavailable",
}  # fmt: skip
_RETRY: Final[Node] = {
    "Retry-After": {"description": "Seconds to wait", "schema": {"type": "integer", "minimum": 1}}
}
_ATTACHMENT: Final[Node] = {
    "Content-Disposition": {"description": "The file's name", "schema": {"type": "string"}}
}
_VALIDATOR: Final[Node] = {"ETag": {"description": "Its state", "schema": {"type": "string"}}}
_BINARY: Final[Node] = {"schema": {"type": "string", "format": "binary"}}
_SESSION: Final[Node] = {"type": "apiKey", "in": "cookie", "name": "tonada"}
_TOKEN: Final[Node] = {
    "type": "apiKey",
    "in": "header",
    "name": "X-CSRF-Token",
    "description": "csrf_token of GET /api/session, with the cookie that came with it",
}
EVENTS: Final = "text/event-stream"
# Of a stream: only that something is new, and no word of what.
_EVENT: Final[Node] = {"schema": {"type": "object", "properties": {"event": {"const": "new"}}}}
# What answers are that have no model: by the end of their path.
_BY_PATH: Final[tuple[tuple[str, tuple[str, ...], Node], ...]] = (
    ("/events", (EVENTS,), {}),
    ("/reviews/{review_id}/file", ("text/html",), {"headers": _ATTACHMENT}),
    ("/reviews/{review_id}/history", ("application/pdf",), {"headers": _ATTACHMENT}),
    ("/files/{digest}", ("image/png", "application/pdf", "application/zip", "font/woff2"), {}),
    ("/fonts/{font_id}/file", ("font/woff2",), {}),
    ("/letters/{script}/{kind}/{weight}", ("font/woff2",), {}),
    ("/mails/{mail_id}/page", ("text/html",), {}),
    ("/changes/pdf", ("application/pdf",), {"headers": _ATTACHMENT}),
    ("/brands/{brand_id}/file", ("application/zip",), {"headers": _ATTACHMENT}),
)
_ABOUT: Final = (
    "Everything that the pages do. A script asks GET /api/session once and sends its cookie and its token "
    "with every change: docs/examples/from_logo_to_palette.py. Errors are problem documents (RFC 9457)."
)


def openapi_document() -> Node:
    """Return the OpenAPI document of the application; no database is needed.

    To be called in a process that has not imported the application yet: it describes itself only then.
    """
    os.environ["TONADA_DESCRIBE"] = "1"
    from tonada.web.app import create_app
    from tonada.web.settings import Settings

    app = create_app(Settings("postgresql://nowhere", "only for the document, no session", Path()))
    document: Node = app.api_doc
    document = _without_other_names(document)
    document["info"]["description"] = _ABOUT
    document["components"]["securitySchemes"] = {"session": _SESSION, "token": _TOKEN}
    blueprints = _blueprints(app)
    for path, methods in document["paths"].items():
        for method, operation in methods.items():
            name = blueprints[path, method]
            operation["tags"] = [name.removesuffix("_computed").removesuffix("_door")]
            _complete(path, method, operation, needs_token=method in _CHANGES and not _is_exempt(name))
    operations = [method for methods in document["paths"].values() for method in methods.values()]
    document["tags"] = [{"name": tag} for tag in sorted({operation["tags"][0] for operation in operations})]
    return document


def _without_other_names(document: Node) -> Node:
    """Return the document with what its schemas are, where one is only another name for another.

    Generators of clients make a class of each name, and give up an answer whose class is there already.
    """
    schemas = document["components"]["schemas"]
    named = {
        name: schema["$ref"]
        for name, schema in schemas.items()
        if "$ref" in schema and set(schema) <= {"$ref", "title", "description"}
    }
    text = json.dumps(
        {
            **document,
            "components": {
                **document["components"],
                "schemas": {name: schema for name, schema in schemas.items() if name not in named},
            },
        }
    )
    for name, target in named.items():
        text = text.replace(f'"#/components/schemas/{name}"', json.dumps(target))
    whole: Node = json.loads(text)
    return whole


def _blueprints(app: Any) -> dict[tuple[str, str], str]:
    """Return the blueprint of each path and method."""
    found = {}
    for rule in app.url_map.iter_rules():
        path = re.sub(r"<(?:\w+:)?(\w+)>", r"{\1}", rule.rule)
        for method in rule.methods or ():
            found[path, method.lower()] = rule.endpoint.partition(".")[0]
    return found


def _is_exempt(blueprint: str) -> bool:
    from tonada.web.security import csrf

    return any(getattr(one, "name", one) == blueprint for one in csrf._exempt_blueprints)


def _complete(path: str, method: str, operation: Node, *, needs_token: bool) -> None:
    answers: Node = {
        status: answer for status, answer in operation["responses"].items() if status.startswith("2")
    }
    answers |= _without_a_model(path, method) if not answers else {}
    for status in _problems(path, operation, is_change=method in _CHANGES):
        answers[status] = _problem(status)
    operation["responses"] = answers
    operation["security"] = [{"session": [], "token": []}] if needs_token else [{}]


def _without_a_model(path: str, method: str) -> Node:
    """Return the answer of a view that has no model: nothing, a picture or a file."""
    from tonada.files.kinds import FILE_FORMATS
    from tonada.files.slot_files import SLOT_TYPES

    if method != "get":
        return {"204": {"description": "No Content"}}
    if path.endswith("/files/{kind}"):
        content = {one.mimetype: _BINARY for one in FILE_FORMATS.values()}
        return {"200": {"description": "The file", "content": content, "headers": _ATTACHMENT}}
    if path.endswith("/slots/{destination}/{kind}"):
        content = dict.fromkeys(SLOT_TYPES.values(), _BINARY)
        return {"200": {"description": "The file", "content": content, "headers": _ATTACHMENT}}
    if "/recoloured/" in path:
        kinds = ("text/html",) if path.endswith("/page") else ("text/css", "application/zip")
        content = dict.fromkeys(kinds, _BINARY)
        headers = {} if path.endswith("/page") else {"headers": _ATTACHMENT}
        return {"200": {"description": "The page or file", "content": content, **headers}}
    if path.endswith("/palettes/files"):
        json_file: Node = {"application/json": {"schema": {"type": "object"}}}
        return {"200": {"description": "The file", "content": json_file, "headers": _ATTACHMENT}}
    for ending, mimetypes, headers in _BY_PATH:
        if path.endswith(ending):
            kind = _EVENT if mimetypes == (EVENTS,) else _BINARY
            content = dict.fromkeys(mimetypes, kind)
            return {"200": {"description": "The file or stream", "content": content, **headers}}
    picture = {"description": "The picture", "content": {"image/png": _BINARY}, "headers": _VALIDATOR}
    return {"200": picture, "304": {"description": "Not Modified, where If-None-Match has its ETag"}}


def _problems(path: str, operation: Node, *, is_change: bool) -> list[str]:
    """Return the statuses that may be answered instead."""
    found = ["400", "429", "500", "503"]
    if is_change:
        found.append("403")
    # A link to a review may have a passphrase.
    if path.startswith("/api/review/"):
        found.append("401")
    if "{" in path:
        found += ["404", "410", "409"] if is_change else ["404", "410"]
    if "requestBody" in operation:
        found += ["413", "415", "422"]
    elif "parameters" in operation:
        found.append("422")
    return sorted(found)


def _problem(status: str) -> Node:
    content = {PROBLEM_TYPE: {"schema": {"$ref": "#/components/schemas/Problem"}}}
    answer: Node = {"description": _NAMES[status], "content": content}
    return answer | ({"headers": _RETRY} if status in ("429", "503") else {})


if __name__ == "__main__":
    print(json.dumps(openapi_document(), indent=1))
