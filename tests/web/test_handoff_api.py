"""Handoff through the API: files of versions, values, slots of destinations, stylesheets in new colours."""

from __future__ import annotations

import io
import zipfile

import pytest

from tests.takes import TAKE
from tests.web.conftest import Client
from tests.web.test_api import new_brand
from tonada.demo.seed import demo_file
from tonada.document.own_file import read_own
from tonada.document.take import TakeDocument
from tonada.files.kinds import FILE_FORMATS

DOCUMENT = TakeDocument.of(TAKE).model_dump(mode="json")
SLOT = {"name": "Page", "purpose": "ground"}


def take_with_version(client: Client) -> str:
    take: str = new_brand(client)["first_take"]
    client.put(f"/api/takes/{take}", json={"document": DOCUMENT, "revision": 1})
    client.post(f"/api/takes/{take}/versions", json={"description": "for the client"})
    return take


def test_the_vocabulary_names_formats_and_the_press(client: Client) -> None:
    said = client.get("/api/handoff").get_json()
    assert {one["kind"] for one in said["formats"]} >= {"css", "tokens", "pdf", "zip", "tonada"}
    assert said["press"] == "Artifex CMYK SWOP Profile"


@pytest.mark.parametrize(
    ("kind", "mimetype", "start"),
    [
        ("css", "text/css", b"/* Orrin Peak, Take 1 */\n/* version 1 */\n"),
        ("tokens", "application/json", b"{"),
        ("png", "image/png", b"\x89PNG"),
        ("pdf", "application/pdf", b"%PDF-"),
        ("html", "text/html", b"<!doctype html>"),
    ],
)
def test_a_version_is_downloaded_with_its_address(
    client: Client, kind: str, mimetype: str, start: bytes
) -> None:
    take = take_with_version(client)
    answer = client.get(f"/api/takes/{take}/versions/1/files/{kind}")
    assert answer.mimetype == mimetype
    assert answer.data.startswith(start)
    assert answer.headers["Content-Disposition"].startswith("attachment; filename=orrin-peak-take-1.")
    if kind == "css":
        # An address of this machine means nothing to anybody else; one that is reached from outside does.
        assert b"127.0.0.1" not in answer.data
        assert b"localhost" not in answer.data
        client.application.config["TRUSTED_HOSTS"].append("colours.example.org")
        outside = client.get(
            f"/api/takes/{take}/versions/1/files/{kind}", base_url="http://colours.example.org"
        )
        client.application.config["TRUSTED_HOSTS"].pop()
        assert b"version 1, http://colours.example.org/brands/" in outside.data


def test_an_archive_has_everything_and_the_own_file_is_the_version(client: Client) -> None:
    take = take_with_version(client)
    client.put(f"/api/takes/{take}", json={"document": {"format": 2}, "revision": 2})
    archive = zipfile.ZipFile(io.BytesIO(client.get(f"/api/takes/{take}/versions/1/files/zip").data))
    assert len(archive.namelist()) == len(FILE_FORMATS) - 1
    own = read_own(archive.read("orrin-peak-take-1.tonada.json"))
    kept, name = own.take, own.title
    assert kept == TAKE
    assert name == "Orrin Peak, Take 1"


@pytest.mark.parametrize("kind", ["csv", "json", "html", "pdf"])
def test_slots_of_a_version_come_as_files(client: Client, kind: str) -> None:
    take = take_with_version(client)
    slots = f"/api/takes/{take}/versions/1/slots"
    answer = client.get(f"{slots}/slides/{kind}")
    assert answer.status_code == 200
    assert answer.headers["Content-Disposition"] == f"attachment; filename=orrin-peak-take-1-slides.{kind}"
    own = client.post("/api/destinations", json={"name": "Own", "slots": [SLOT]}).get_json()
    assert client.get(f"{slots}/{own['id']}/{kind}").status_code == 200
    assert client.get(f"{slots}/nothing/{kind}").status_code == 404
    assert client.get(f"{slots}/slides/exe").status_code == 422


def test_wrong_options_kinds_and_versions_are_refused(client: Client) -> None:
    take = take_with_version(client)
    files = f"/api/takes/{take}/versions/1/files"
    assert client.get(f"{files}/css?naming=shouted").status_code == 422
    assert client.get(f"{files}/css?prefix=2%20x").get_json()["field"] == "prefix"
    assert client.get(f"{files}/exe").status_code == 422
    assert client.get(f"/api/takes/{take}/versions/9/files/css").status_code == 404
    assert "--opPrimary: #2b3a8c" in client.get(f"{files}/css?naming=camel&prefix=op").text


def test_a_preview_is_what_would_be_downloaded(client: Client) -> None:
    body = {"document": DOCUMENT, "kind": "scss", "options": {"steps": True}, "brand": "Orrin Peak"}
    said = client.post("/api/handoff/preview", json=body).get_json()
    assert "$primary: $indigo;" in said["text"]
    assert said["size"] == len(said["text"].encode())
    long = client.post("/api/handoff/preview", json={**body, "kind": "tokens"}).get_json()
    assert long["cut"]
    assert long["size"] > len(long["text"])


def test_values_in_every_notation_and_in_print(client: Client) -> None:
    (said,) = client.post("/api/values", json={"hexes": ["#00ff00"]}).get_json()["values"]
    texts = {one["notation"]: one["text"] for one in said["written"]}
    assert texts["digits upper"] == "00FF00"
    assert texts["decimals"] == "0, 255, 0"
    assert said["printed"]["in_gamut"] is False
    assert client.post("/api/values", json={"hexes": ["green"]}).status_code == 422


def test_what_changed_is_told_between_any_two_states(client: Client) -> None:
    take = take_with_version(client)
    path = f"/api/takes/{take}/versions"
    assert client.get(f"/api/takes/{take}/handed").get_json() == {"versions": []}
    assert client.post(f"{path}/1/handoffs", json={"what": "CSS"}).status_code == 204
    assert client.get(f"/api/takes/{take}/handed").get_json() == {"versions": [1]}
    changed = {
        **DOCUMENT,
        "swatches": [{**DOCUMENT["swatches"][0], "hex": "#224488"}, *DOCUMENT["swatches"][1:]],
    }
    client.put(f"/api/takes/{take}", json={"document": changed, "revision": 2})
    brand = client.get(f"/api/takes/{take}").get_json()["brand_id"]
    query = f"before={take}:1&after={take}"
    told = client.get(f"/api/brands/{brand}/changes?{query}").get_json()
    assert (told["before"], told["after"]) == ("Take 1, version 1", "Take 1 as it is now")
    line = next(line for line in told["lines"] if line["token"] == "--primary")
    assert (line["hex_before"], line["hex_after"]) == ("#2b3a8c", "#224488")
    assert "#2b3a8c → " in told["text"]
    assert "| Before | After |" in told["markdown"]
    assert client.get(f"/api/brands/{brand}/changes/pdf?{query}").data.startswith(b"%PDF")
    same = client.get(f"/api/brands/{brand}/changes?before={take}:1&after={take}:1").get_json()
    assert (same["lines"], same["text"].splitlines()[-1]) == ([], "Nothing changed.")
    assert client.post(f"{path}/7/handoffs", json={"what": "CSS"}).status_code == 404


def test_states_of_another_brand_or_none_are_refused(client: Client) -> None:
    take = take_with_version(client)
    brand = client.get(f"/api/takes/{take}").get_json()["brand_id"]
    other = client.post("/api/brands", json={"name": "Other"}).get_json()
    for before, status in ((other["first_take"], 404), (f"{take}:9", 404), ("one", 422), (f"{take}:0", 422)):
        address = f"/api/brands/{brand}/changes?before={before}&after={take}"
        assert client.get(address).status_code == status, before


def test_destinations_are_made_changed_deleted_and_brought_back(client: Client) -> None:
    shipped = client.get("/api/destinations").get_json()["destinations"]
    assert len(shipped) == 4
    assert not any(one["is_own"] for one in shipped)
    body = {"name": "Our own theme", "slots": [SLOT, {"name": "Text", "purpose": "text", "on": "Page"}]}
    made = client.post("/api/destinations", json=body).get_json()
    path = f"/api/destinations/{made['id']}"
    saved = client.put(path, json={**body, "name": "Theme 2", "revision": 1}).get_json()
    assert (saved["name"], saved["revision"]) == ("Theme 2", 2)
    assert client.put(path, json={**body, "revision": 1}).status_code == 409
    assert client.put(path, json=body).get_json()["field"] == "revision"
    assert client.delete(path).status_code == 204
    refused = client.delete(path)
    assert (refused.status_code, refused.get_json()["restoration"]) == (410, f"{path}/restoration")
    assert len(client.get("/api/destinations").get_json()["destinations"]) == 4
    assert client.post(f"{path}/restoration").get_json()["name"] == "Theme 2"


@pytest.mark.parametrize(
    "slots",
    [
        [],
        [SLOT, SLOT],
        [{**SLOT, "on": "Page"}],
        [{**SLOT, "on": "Nowhere"}],
        [{**SLOT, "purpose": "hat"}],
        [{**SLOT, "name": "x" * 81}],
    ],
)
def test_slots_that_make_no_sense_are_refused(client: Client, slots: list[dict[str, str]]) -> None:
    answer = client.post("/api/destinations", json={"name": "A theme", "slots": slots})
    assert answer.status_code == 422
    assert answer.get_json()["field"].startswith("slots")


def test_slots_are_filled_and_what_was_chosen_stands_in_the_take(client: Client) -> None:
    chosen = [{"destination": "five-slots", "slot": "Page", "key": "mist"}]
    body = {"document": {**DOCUMENT, "slots": chosen}, "destination": "five-slots", "slots": [SLOT]}
    (slot,) = client.post("/api/slots", json=body).get_json()["slots"]
    assert (slot["key"], slot["by_rule"], slot["text"]) == ("mist", False, TAKE.hex_of("mist"))
    document = TakeDocument.model_validate(body["document"])
    assert TakeDocument.of(document.to_take()) == document


def test_a_stylesheet_is_mapped_and_rewritten(client: Client) -> None:
    files = [{"name": "old-site.css", "text": demo_file("old-site.css").decode()}]
    colors = client.post("/api/mapping", json={"document": DOCUMENT, "files": files}).get_json()["colors"]
    mapping = [{"old": old, "key": one["key"]} for one in colors for old in one["members"]]
    body = {"document": DOCUMENT, "files": files, "mapping": mapping}
    made = client.post("/api/restyle", json=body).get_json()
    assert made["replaced"] > 40
    assert made["diff"].startswith("--- old-site.css\n+++ old-site.css\n")
    wrong = {**body, "mapping": [{"old": "#2b3a8c", "key": "nobody"}]}
    assert client.post("/api/restyle", json=wrong).status_code == 422
    empty = [{"name": "a.css", "text": "a { margin: 0 }"}]
    assert client.post("/api/mapping", json={"document": DOCUMENT, "files": empty}).status_code == 422


def test_the_sheet_is_shown_as_it_would_be_printed(client: Client) -> None:
    body = {"document": DOCUMENT, "kind": "pdf", "options": {"page_values": True, "paper": "Letter"}}
    found = client.post("/api/handoff/sheet", json=body).get_json()
    assert found["count"] == len(found["pages"]) == 2
    assert all(page.startswith("data:image/png;base64,") for page in found["pages"])
    assert client.post("/api/handoff/sheet", json={**body, "kind": "poem"}).status_code == 422
