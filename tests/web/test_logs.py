"""What of a drag is logged: a step that fails."""

from __future__ import annotations

import logging

import pytest

from tests.web.conftest import Client
from tonada.document.take import TakeDocument

EMPTY = TakeDocument().model_dump(mode="json")


def logged(caplog: pytest.LogCaptureFixture) -> list[tuple[str, int]]:
    return [
        (one.__dict__["route"], one.__dict__["status"])
        for one in caplog.records
        if one.name == "tonada.requests"
    ]


def test_a_step_of_a_drag_is_logged_only_where_it_fails(
    client: Client, caplog: pytest.LogCaptureFixture
) -> None:
    caplog.set_level(logging.INFO, "tonada")
    assert client.post("/api/evaluate", json={"document": EMPTY}).status_code == 200
    assert client.post("/api/evaluate", json={"document": 4}).status_code == 422
    assert client.post("/api/ramps", json={"document": EMPTY}).status_code == 200
    assert client.get("/healthz").status_code == 200
    assert logged(caplog) == [("/api/evaluate", 422), ("/api/ramps", 200)]
