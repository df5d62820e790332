"""Pictures in places of pages travel with a take: into its file, its brand's archive, and a review."""

from __future__ import annotations

import hashlib
import io
import json
from typing import Any

import pytest
from flask import Flask
from PIL import Image

from tests.reviews import Reader, built_take
from tests.web.conftest import Client
from tests.web.test_api import new_brand, upload
from tests.web.test_brand_files import own_file, send


def picture(color: str) -> bytes:
    written = io.BytesIO()
    Image.new("RGB", (40, 30), color).save(written, "PNG")
    return written.getvalue()


@pytest.fixture
def placed(client: Client) -> tuple[dict[str, Any], str, list[str]]:
    """A brand, its take with two pictures on the pages, and their ids; a third place names none that is."""
    brand = new_brand(client)
    sources = [
        upload(client, brand["id"], picture(color), f"{color}.png").get_json()["id"]
        for color in ("teal", "plum")
    ]
    take = built_take(client, brand)
    kept = client.get(f"/api/takes/{take}").get_json()
    tone = {"kind": "tinted", "tint": "primary", "amount": 0.5}
    places = [
        {"page": "home", "part": f"Offer {row}, picture", "source": source, "tone": tone}
        for row, source in enumerate([*sources, "gone"], start=1)
    ]
    proof = {**kept["document"]["proof"], "pictures": places}
    body = {"document": {**kept["document"], "proof": proof}, "revision": kept["revision"]}
    assert client.put(f"/api/takes/{take}", json=body).status_code == 200
    return brand, take, sources


def pictures_of(client: Client, take: str) -> list[dict[str, Any]]:
    found: list[dict[str, Any]] = client.get(f"/api/takes/{take}").get_json()["document"]["proof"]["pictures"]
    return found


def test_a_takes_file_names_its_pictures_and_finds_them_again(
    client: Client, placed: tuple[dict[str, Any], str, list[str]]
) -> None:
    brand, take, sources = placed
    file = own_file(client, take)
    assert [one["source"] for one in json.loads(file)["pictures"]] == sources
    made = send(client, f"/api/brands/{brand['id']}/takes/files", file).get_json()
    assert made["missing"] == ["Offer 3, picture"]
    assert [one["source"] for one in pictures_of(client, made["take"]["id"])] == sources
    elsewhere = send(client, "/api/brands/files", file).get_json()
    assert elsewhere["missing"] == ["teal.png", "plum.png", "Offer 3, picture"]
    assert pictures_of(client, elsewhere["take"]["id"]) == []


def test_a_copy_of_a_brand_shows_pictures_of_its_own(
    client: Client, placed: tuple[dict[str, Any], str, list[str]]
) -> None:
    brand, _, sources = placed
    archive = client.get(f"/api/brands/{brand['id']}/file").data
    copies = [
        send(client, "/api/brands/files", archive, "a.tonada.zip").get_json()["brand"],
        client.post(f"/api/brands/{brand['id']}/copies").get_json(),
    ]
    for copy in copies:
        detail = client.get(f"/api/brands/{copy['id']}").get_json()
        own = [source["id"] for source in detail["sources"]]
        assert not set(own) & set(sources)
        assert [one["source"] for one in pictures_of(client, detail["takes"][0]["id"])][:2] == own


def test_a_client_sees_what_was_there_when_it_was_shown(
    app: Flask, client: Client, placed: tuple[dict[str, Any], str, list[str]]
) -> None:
    brand, take, sources = placed
    body = {"takes": [{"take": take}], "pages": ["home"]}
    made = client.post(f"/api/brands/{brand['id']}/reviews", json=body).get_json()
    client.delete(f"/api/sources/{sources[0]}")
    reader = Reader(app, made["link"]["path"])
    content = reader.content()["takes"][0]
    assert list(content["pictures"]) == sorted(sources)
    for digest in content["pictures"].values():
        got = reader.ask("GET", f"/files/{digest}")
        assert (got.mimetype, hashlib.sha256(got.data).hexdigest()) == ("image/png", digest)
    tones = content["drawn"]["day"]["figures"]["pictures"]
    assert [one["tone"]["by_luma"] for one in tones] == [False] * 3
