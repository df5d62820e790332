"""An application on a database of its own, and a client that has its token."""

from __future__ import annotations

import json
import re
import shutil
from collections.abc import Iterator
from functools import cache
from pathlib import Path
from typing import Any

import pytest
from flask import Flask
from flask.testing import FlaskClient
from werkzeug.exceptions import HTTPException
from werkzeug.test import TestResponse

from tests.conftest import AsApplication, a_copy_of
from tests.reviews import Reader, made_review
from tests.sheets import make_sheets_once
from tests.stored_rows import StoredRows
from tonada.store.database import connect
from tonada.store.workspaces import NAME, find_or_create
from tonada.web.app import create_app
from tonada.web.frontend import DESCRIPTION
from tonada.web.security import limiter
from tonada.web.settings import Settings


@pytest.fixture(autouse=True)
def quick_sheets(monkeypatch: pytest.MonkeyPatch) -> None:
    make_sheets_once(monkeypatch)


@pytest.fixture(scope="session")
def web_rows(template_url: str) -> Iterator[tuple[str, StoredRows]]:
    """A database that has nothing but the workspace, which an application remembers."""
    with a_copy_of("tonada", template_url) as url:
        with connect(url) as connection:
            find_or_create(connection, NAME)
        rows = StoredRows(url)
        yield url, rows
        rows.close()


@pytest.fixture
def owner_url(web_rows: tuple[str, StoredRows]) -> str:
    url, rows = web_rows
    rows.put_back()
    return url


@pytest.fixture(scope="session")
def shared_app(
    web_rows: tuple[str, StoredRows], as_application: AsApplication, tmp_path_factory: pytest.TempPathFactory
) -> Iterator[Flask]:
    """An application for all tests: making one for each is a third of their time."""
    folder = tmp_path_factory.mktemp("front end")
    built_front_end(folder)
    url = as_application(web_rows[0])
    made = create_app(Settings(url, "a secret for the tests, long enough", folder, rate_limits=False))
    yield made
    made.extensions["tonada.readings"].stop()
    made.extensions["tonada.courier"].stop()
    made.extensions["tonada"].close()


@pytest.fixture
def app(shared_app: Flask, front_end: Path, database_url: str) -> Iterator[Flask]:
    """That application, on data and a front end that are as at first."""
    # There is one limiter for all applications of a process; another test may have set it to work.
    limiter.enabled = False
    yield shared_app
    shared_app.test_client_class = None


@pytest.fixture
def front_end(shared_app: Flask) -> Path:
    folder: Path = shared_app.extensions["tonada.settings"].frontend
    shutil.rmtree(folder)
    folder.mkdir()
    built_front_end(folder)
    return folder


def built_front_end(folder: Path) -> None:
    """Write the least that a build of the front end has: pages, and what draws a review."""
    (folder / "index.html").write_text("<!doctype html><title>Tonada</title>")
    (folder / "review.html").write_text("<!doctype html><title>A review</title>")
    for name in ("pages", "client"):
        (folder / name).mkdir()
        (folder / name / f"{name}.js").write_text(f"// </script> draws the {name}")
        (folder / name / "karla.woff2").write_bytes(b"letters")
        style = (
            '@font-face{font-family:Karla Variable;src:url(./karla.woff2) format("woff2")}'
            '@font-face{font-family:"Lora Variable";src:url("karla.woff2")}body{margin:0}'
        )
        (folder / name / f"{name}.css").write_text(style)


class Client(FlaskClient):
    """Sends the token with every change, as the page does."""

    token: str = ""

    def open(self, *args: Any, **kwargs: Any) -> TestResponse:
        if self.token:
            headers = dict(kwargs.pop("headers", None) or {})
            kwargs["headers"] = {"X-CSRF-Token": self.token, **headers}
        answer = super().open(*args, **kwargs)
        check_described(self.application, answer)
        return answer


@cache
def described() -> dict[str, Any]:
    """Return the document that is served."""
    document: dict[str, Any] = json.loads(DESCRIPTION.read_text(encoding="utf-8"))
    return document


def check_described(app: Flask, answer: TestResponse) -> None:
    """Hold an answer of the API to the document: its status, its media type, its headers."""
    path, method = answer.request.path, answer.request.method
    if not path.startswith("/api/") or path == "/api/openapi.json":
        return
    try:
        rule, _ = app.url_map.bind("localhost").match(path, method, return_rule=True)
    except HTTPException:
        return
    documented = described()["paths"].get(re.sub(r"<(?:\w+:)?(\w+)>", r"{\1}", rule.rule), {})
    known = documented.get("get" if method == "HEAD" else method.lower())
    if known is None:
        return  # a page of the front end: nothing of the API is there
    assert str(answer.status_code) in known["responses"], (method, path, answer.status_code)
    said = known["responses"][str(answer.status_code)]
    if answer.data:
        assert answer.mimetype in said["content"], (method, path, answer.status_code, answer.mimetype)
    for name in said.get("headers", {}):
        assert name in answer.headers, (method, path, answer.status_code, name)


@pytest.fixture
def client(app: Flask) -> Client:
    app.test_client_class = Client
    made = app.test_client()
    assert isinstance(made, Client)
    made.token = made.get("/api/session").get_json()["csrf_token"]
    return made


@pytest.fixture
def made(client: Client) -> dict[str, Any]:
    """A review of two takes with a link, as the API answers it."""
    brand = client.post("/api/brands", json={"name": "Orrin Peak"}).get_json()
    return made_review(client, brand, greeting="Two suggestions.")


@pytest.fixture
def reader(app: Flask, made: dict[str, Any]) -> Reader:
    """Whoever has that link."""
    return Reader(app, made["link"]["path"])
