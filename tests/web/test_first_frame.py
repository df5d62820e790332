"""The page itself: its first frame has its style in it, allowed by its hash, and it says its build."""

from __future__ import annotations

import base64
import hashlib
from pathlib import Path

from flask import Flask

from tests.web.conftest import Client

STYLE = "body{margin:0}"


def policy_of(client: Client) -> dict[str, str]:
    policy = client.get("/").headers["Content-Security-Policy"]
    return dict(part.split(" ", 1) for part in policy.split("; "))


def test_only_the_style_that_stands_in_the_page_is_allowed(client: Client, front_end: Path) -> None:
    assert policy_of(client)["style-src"] == "'self'"
    (front_end / "index.html").write_text(f"<!doctype html><title>Tonada</title><style>{STYLE}</style>")
    digest = base64.b64encode(hashlib.sha256(STYLE.encode()).digest()).decode()
    assert policy_of(client)["style-src"] == f"'self' 'sha256-{digest}'"
    assert policy_of(client)["script-src"] == "'self'"
    # The answers of the API have no page, and no style.
    assert "sha256" not in client.get("/api/session").headers["Content-Security-Policy"]


def test_every_answer_says_of_which_build_it_is(app: Flask, client: Client) -> None:
    builds = {client.get(path).headers["X-Tonada-Build"] for path in ("/", "/api/session", "/api/nothing")}
    assert len(builds) == 1
    assert len(builds.pop()) == 12


def test_large_answers_are_compressed_and_the_token_s_never_is(client: Client) -> None:
    asked = {"Accept-Encoding": "gzip"}
    assert client.get("/api/harmony", headers=asked).headers["Content-Encoding"] == "gzip"
    assert "Content-Encoding" not in client.get("/api/harmony").headers
    assert "Content-Encoding" not in client.get("/api/session", headers=asked).headers
