"""The same colours begin the same palette, whoever asks: the page, a script or the command."""

from __future__ import annotations

import json
import random
from typing import Any

import pytest

from tests.sampling import IS_LONG
from tests.web.conftest import Client
from tonada.cli import main

# Lists of which the page once made another palette than the command.
KNOWN = (("#33951d", "#a38c70", "#113f00", "#5ec4d2"), ("#d7b13c", "#2b3a8c", "#d7b13c"))


def lists() -> list[tuple[str, ...]]:
    draw = random.Random(37)  # noqa: S311
    drawn = [
        tuple(f"#{draw.randrange(1 << 24):06x}" for _ in range(draw.randint(1, 16)))
        for _ in range(200 if IS_LONG else 24)
    ]
    return [*KNOWN, *drawn]


def by_command(capsys: pytest.CaptureFixture[str], colors: tuple[str, ...]) -> dict[str, str]:
    assert main(("roles", *colors, "--json")) == 0
    return {role["role"]: role["hex"] for role in json.loads(capsys.readouterr().out)["roles"]}


def proposed(client: Client, body: dict[str, Any]) -> dict[str, str]:
    answer = client.post("/api/proposals", json=body).get_json()
    assert "artwork" not in " ".join(role["reason"] for role in answer["roles"])
    return {role["role"]: role["hex"] for role in answer["roles"]}


def as_the_page_asks(client: Client, brand: str, colors: tuple[str, ...]) -> dict[str, Any]:
    """What useProposal.ts sends of a list that was pasted; its own tests hold it to that."""
    pasted = {"text": "\n".join(colors)}
    source = client.post(f"/api/brands/{brand}/lists", json=pasted).get_json()
    sent = ("hex", "name", "share", "ground_share", "role", "picked")
    found = [{key: color[key] for key in sent} | {"choice": None} for color in source["colors"]]
    client.delete(f"/api/sources/{source['id']}")
    return {"colors": found, "kind": source["kind"], "source_name": source["name"], "leave_out_ground": True}


def test_page_script_and_command_begin_alike(client: Client, capsys: pytest.CaptureFixture[str]) -> None:
    brand = client.post("/api/brands", json={"name": "Lists"}).get_json()["id"]
    for colors in lists():
        command = by_command(capsys, colors)
        assert proposed(client, {"colors": [{"hex": value} for value in colors], "kind": "list"}) == command
        assert proposed(client, as_the_page_asks(client, brand, colors)) == command, colors
