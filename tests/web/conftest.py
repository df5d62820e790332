"""An application on a database of its own, and a client that has its token."""

from __future__ import annotations

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from flask import Flask
from flask.testing import FlaskClient
from werkzeug.test import TestResponse

from tonada.web.app import create_app
from tonada.web.settings import Settings


@pytest.fixture
def app(database_url: str, tmp_path: Path) -> Iterator[Flask]:
    (tmp_path / "index.html").write_text("<!doctype html><title>Tonada</title>")
    settings = Settings(database_url, "a secret for the tests, long enough", tmp_path, rate_limits=False)
    made = create_app(settings)
    yield made
    made.extensions["tonada.readings"].stop()
    made.extensions["tonada"].close()


class Client(FlaskClient):
    """Sends the token with every change, as the page does."""

    token: str = ""

    def open(self, *args: Any, **kwargs: Any) -> TestResponse:
        if self.token:
            headers = dict(kwargs.pop("headers", None) or {})
            kwargs["headers"] = {"X-CSRF-Token": self.token, **headers}
        return super().open(*args, **kwargs)


@pytest.fixture
def client(app: Flask) -> Client:
    app.test_client_class = Client
    made = app.test_client()
    assert isinstance(made, Client)
    made.token = made.get("/api/session").get_json()["csrf_token"]
    return made
