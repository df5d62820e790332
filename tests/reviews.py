"""Reviews for tests: made by the designer, read and answered by who has the link."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from flask import Flask
from flask.testing import FlaskClient
from werkzeug.test import TestResponse


def built_take(client: Any, brand: dict[str, Any], colors: tuple[str, str] = ("#2b3a8c", "#d7b13c")) -> str:
    """Save a palette of two colours into the first take of a brand; return the take's id."""
    asked = [{"hex": one, "share": share} for one, share in zip(colors, (0.6, 0.4), strict=True)]
    document = client.post("/api/proposals", json={"colors": asked}).get_json()["document"]
    take = client.get(f"/api/takes/{brand['first_take']}").get_json()
    client.put(f"/api/takes/{take['id']}", json={"document": document, "revision": take["revision"]})
    return str(take["id"])


def made_review(client: Any, brand: dict[str, Any], **asked: Any) -> dict[str, Any]:
    """Make a review of a brand's first take, and of another one of it; return the answer."""
    take = built_take(client, brand)
    document = client.get(f"/api/takes/{take}").get_json()["document"]
    other = client.post(f"/api/brands/{brand['id']}/takes", json={"document": document, "name": "Dusk"})
    body = {
        "takes": [{"take": take}, {"take": other.get_json()["id"]}],
        "pages": ["home", "article"],
        **asked,
    }
    answer = client.post(f"/api/brands/{brand['id']}/reviews", json=body)
    assert answer.status_code == 201, answer.text
    made: dict[str, Any] = answer.get_json()
    return made


def built_with(ask: Callable[..., tuple[int, Any]], take: str) -> None:
    """Save a palette of two colours into a take, by whatever asks a server."""
    colors = [{"hex": "#2b3a8c", "share": 0.6}, {"hex": "#d7b13c", "share": 0.4}]
    document = ask("POST", "/api/proposals", {"colors": colors})[1]["document"]
    saved = ask("PUT", f"/api/takes/{take}", {"document": document, "revision": 1})
    assert saved[0] == 200, saved


class Reader:
    """A client with a browser of their own, who has a link and nothing else."""

    def __init__(self, app: Flask, path: str) -> None:
        self.browser: FlaskClient = app.test_client()
        self.api = f"/api{path}"
        opened = self.browser.get(self.api)
        self.token = opened.get_json().get("csrf_token", "")

    def ask(self, method: str, rest: str = "", **given: Any) -> TestResponse:
        """Ask for something of the review."""
        headers = {"X-CSRF-Token": self.token}
        return self.browser.open(f"{self.api}{rest}", method=method, headers=headers, **given)

    def content(self) -> dict[str, Any]:
        """Return what is shown."""
        shown: dict[str, Any] = self.ask("GET", "/content").get_json()
        return shown

    def say(self, text: str, **more: Any) -> dict[str, Any]:
        """Say something; return what was said so far."""
        answer = self.ask("POST", "/remarks", json={"name": "Ana", "text": text, **more})
        assert answer.status_code == 201, answer.text
        said: dict[str, Any] = answer.get_json()
        return said
