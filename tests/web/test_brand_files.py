"""Tonada's own files: a take comes back whole; so does a brand with its reviews, or nothing of it does."""

from __future__ import annotations

import io
import json
import zipfile
from collections.abc import Callable
from typing import Any

import pytest
from flask import Flask
from werkzeug.test import TestResponse

from tests.reviews import Reader, built_take, made_review
from tests.stored_rows import StoredRows
from tests.web.conftest import Client
from tests.web.test_api import new_brand, upload
from tests.web.test_refusals import problem_of

LOGO = (
    b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path fill="#2b3a8c" d="M0 0h9v5H0z"/></svg>'
)
Record = dict[str, Any]


def send(client: Client, to: str, data: bytes, name: str = "a.tonada.json") -> TestResponse:
    form = {"file": (io.BytesIO(data), name)}
    return client.post(to, data=form, content_type="multipart/form-data")


def brand_with_logo(client: Client) -> tuple[dict[str, Any], str, dict[str, Any]]:
    """Return a brand, its take with a logo on the pages, and the take's document."""
    brand = new_brand(client)
    source = upload(client, brand["id"], LOGO).get_json()["id"]
    take = built_take(client, brand)
    kept = client.get(f"/api/takes/{take}").get_json()
    document = kept["document"]
    document["proof"] = {**document["proof"], "logo": source}
    saved = client.put(f"/api/takes/{take}", json={"document": document, "revision": kept["revision"]})
    return brand, take, saved.get_json()["document"]


def own_file(client: Client, take: str) -> bytes:
    client.post(f"/api/takes/{take}/versions", json={"description": "for a test", "is_automatic": False})
    return client.get(f"/api/takes/{take}/versions/1/files/tonada").data


def test_a_takes_file_opens_as_the_same_take(client: Client) -> None:
    brand, take, document = brand_with_logo(client)
    file = own_file(client, take)
    assert [picture["name"] for picture in json.loads(file)["pictures"]] == ["logo.svg"]
    opened = send(client, f"/api/brands/{brand['id']}/takes/files", file)
    assert opened.status_code == 201
    made = opened.get_json()
    assert made["missing"] == []
    assert made["take"]["name"] == "Take 1 (2)"
    assert client.get(f"/api/takes/{made['take']['id']}").get_json()["document"] == document


def test_in_a_new_brand_it_says_which_pictures_are_missing(client: Client) -> None:
    _, take, document = brand_with_logo(client)
    made = send(client, "/api/brands/files", own_file(client, take)).get_json()
    assert (made["brand"]["name"], made["take"]["name"]) == ("Orrin Peak", "Take 1")
    assert made["missing"] == ["logo.svg"]
    kept = client.get(f"/api/takes/{made['take']['id']}").get_json()["document"]
    assert kept["proof"]["logo"] is None
    assert {**kept, "proof": {**kept["proof"], "logo": document["proof"]["logo"]}} == document


def test_a_file_that_lists_no_pictures_keeps_the_sources_of_its_own_brand(client: Client) -> None:
    # Files of earlier releases list none, and what a mood gave has no file that could be listed.
    brand, take, document = brand_with_logo(client)
    kept = client.get(f"/api/takes/{take}").get_json()
    of_logo = {**document["swatches"][0]["origin"], "source": document["proof"]["logo"]}
    swatches = [{**document["swatches"][0], "origin": of_logo}, *document["swatches"][1:]]
    changed = {**kept["document"], "swatches": swatches}
    saved = client.put(f"/api/takes/{take}", json={"document": changed, "revision": kept["revision"]})
    before = saved.get_json()["document"]
    file = {key: value for key, value in json.loads(own_file(client, take)).items() if key != "pictures"}
    made = send(client, f"/api/brands/{brand['id']}/takes/files", json.dumps(file).encode()).get_json()
    assert made["missing"] == []
    assert client.get(f"/api/takes/{made['take']['id']}").get_json()["document"] == before
    elsewhere = send(client, "/api/brands/files", json.dumps(file).encode()).get_json()
    assert elsewhere["missing"] == ["the logo"]
    assert client.get(f"/api/takes/{elsewhere['take']['id']}").get_json()["document"]["proof"]["logo"] is None


def test_what_a_colour_was_read_from_is_named_where_it_is_missing(client: Client) -> None:
    _, take, document = brand_with_logo(client)
    kept = client.get(f"/api/takes/{take}").get_json()
    swatch = document["swatches"][0]
    of_logo = {**swatch["origin"], "source": document["proof"]["logo"]}
    without = {
        **kept["document"],
        "proof": {**document["proof"], "logo": None},
        "swatches": [{**swatch, "origin": of_logo}, *document["swatches"][1:]],
    }
    client.put(f"/api/takes/{take}", json={"document": without, "revision": kept["revision"]})
    file = {key: value for key, value in json.loads(own_file(client, take)).items() if key != "pictures"}
    made = send(client, "/api/brands/files", json.dumps(file).encode()).get_json()
    assert made["missing"] == [f"what “{swatch['name']}” was read from"]


def test_what_is_no_file_of_ours_is_refused_by_name(client: Client) -> None:
    brand = new_brand(client)
    for to in (f"/api/brands/{brand['id']}/takes/files", "/api/brands/files"):
        assert problem_of(send(client, to, b'{"format": "other"}'), 422)["field"] == "format"
        assert problem_of(send(client, to, b"\x00\xff\x00"), 422)["field"]
    assert len(client.get("/api/brands").get_json()["brands"]) == 1
    archive = client.get(f"/api/brands/{brand['id']}/file").data
    said = problem_of(send(client, f"/api/brands/{brand['id']}/takes/files", archive), 422)
    assert "whole brand" in said["detail"]


@pytest.fixture
def worked_on(app: Flask, client: Client) -> tuple[dict[str, Any], bytes]:
    """A brand with all there is, and its archive: a deleted take, a handoff, a review that was approved."""
    brand, take, _ = brand_with_logo(client)
    mood = client.post(f"/api/brands/{brand['id']}/moods", json={"words": ["calm"], "field": "craft"})
    assert mood.status_code == 201, mood.text
    made = made_review(client, {**brand, "first_take": take}, greeting="Two suggestions.")
    review = made["review"]["id"]
    reader = Reader(app, made["link"]["path"])
    first = reader.say("Lovely.")["remarks"][0]
    client.post(f"/api/reviews/{review}/remarks", json={"text": "Thank you.", "answers": first["id"]})
    reader.ask("POST", "/choice", json={"name": "Ana", "place": 1})
    reader.ask("POST", "/approval", json={"name": "Ana", "place": 1, "agreed": True})
    client.post(f"/api/takes/{take}/versions/1/handoffs", json={"what": "CSS"})
    gone = client.post(
        f"/api/brands/{brand['id']}/takes", json={"name": "Dropped", "document": {}}
    ).get_json()
    client.delete(f"/api/takes/{gone['id']}")
    answer = client.get(f"/api/brands/{brand['id']}/file")
    assert answer.status_code == 200, answer.text
    return brand, answer.data


def record_of(archive: bytes) -> Record:
    with zipfile.ZipFile(io.BytesIO(archive)) as opened:
        found: Record = json.loads(opened.read("brand.json"))
    return found


def test_a_brand_goes_out_and_comes_in_to_the_byte(
    client: Client, worked_on: tuple[dict[str, Any], bytes], web_rows: tuple[str, StoredRows]
) -> None:
    _, archive = worked_on
    web_rows[1].put_back()
    assert client.get("/api/brands").get_json()["brands"] == []
    opened = send(client, "/api/brands/files", archive, "a.tonada.zip")
    assert opened.status_code == 201, opened.text
    brand = opened.get_json()["brand"]["id"]
    again = client.get(f"/api/brands/{brand}/file").data
    assert record_of(again) == record_of(archive)
    assert again == archive
    detail = client.get(f"/api/brands/{brand}").get_json()
    assert [source["name"] for source in detail["sources"]] == ["logo.svg", "Calm"]
    assert [take["name"] for take in detail["removed_takes"]] == ["Dropped"]
    picture = client.get(f"/api/sources/{detail['sources'][0]['id']}/preview")
    assert picture.data.startswith(b"\x89PNG")
    review = client.get(f"/api/brands/{brand}/reviews").get_json()["reviews"][0]
    assert review["approved_by"] == "Ana"


def test_beside_the_one_it_came_from_it_is_a_copy_with_the_same_record(
    client: Client, worked_on: tuple[dict[str, Any], bytes]
) -> None:
    before, archive = worked_on
    brand = send(client, "/api/brands/files", archive).get_json()["brand"]["id"]
    assert brand != before["id"]
    first, again = record_of(archive), record_of(client.get(f"/api/brands/{brand}/file").data)
    ids = {
        old["id"]: new["id"]
        for part in ("sources", "takes")
        for old, new in zip(first[part], again[part], strict=True)
    }
    assert not set(ids) & set(ids.values())
    text = json.dumps({**first, "reviews": []})
    for old, new in ids.items():
        text = text.replace(old, new)
    assert json.loads(text) == {**again, "reviews": []}
    for old, new in zip(first["reviews"], again["reviews"], strict=True):
        assert [remark["text"] for remark in new["remarks"]] == [remark["text"] for remark in old["remarks"]]
        assert [event["kind"] for event in new["events"]] == [event["kind"] for event in old["events"]]
        # What was approved has other ids in it, so another digest, in the record too.
        approved = next(event for event in new["events"] if event["kind"] == "approved")
        assert approved["detail"]["digest"] == new["takes"][1]["digest"]


def test_no_link_and_no_passphrase_travels(
    app: Flask, client: Client, web_rows: tuple[str, StoredRows]
) -> None:
    brand = new_brand(client)
    made = made_review(client, brand, link={"name": "Ana", "passphrase": "a long passphrase"})
    review = made["review"]["id"]
    links = client.get(f"/api/reviews/{review}").get_json()["links"]
    path = made["link"]["path"]
    archive = client.get(f"/api/brands/{brand['id']}/file").data
    with zipfile.ZipFile(io.BytesIO(archive)) as opened:
        text = b"".join(opened.read(name) for name in opened.namelist()).decode(errors="replace")
    token = path.rsplit("/", 1)[-1]
    for secret in (token, token[:12], "passphrase", "verifier", "selector", "scrypt"):
        assert secret not in text, secret
    assert [reader["name"] for reader in record_of(archive)["reviews"][0]["readers"]] == [
        link["name"] for link in links
    ]
    web_rows[1].put_back()
    assert send(client, "/api/brands/files", archive).status_code == 201
    assert app.test_client().get(f"/api{path}").status_code in (404, 410)


def broken(archive: bytes, change: Callable[[Record], Any]) -> bytes:
    """Return an archive whose record was changed, its files as they were."""
    record = record_of(archive)
    change(record)
    return packed(archive, {"brand.json": json.dumps(record).encode()})


def packed(archive: bytes, changes: dict[str, bytes | None]) -> bytes:
    made = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(archive)) as old, zipfile.ZipFile(made, "w", zipfile.ZIP_DEFLATED) as new:
        files: dict[str, bytes | None] = {name: old.read(name) for name in old.namelist()} | changes
        for name, content in files.items():
            if content is not None:
                new.writestr(name, content)
    return made.getvalue()


def _approved_by_somebody_else(record: Record) -> None:
    record["reviews"][0]["approvals"][0]["name"] = "Bo"


def _another_document(record: Record) -> None:
    version = next(take["versions"][0] for take in record["takes"] if take["name"] == "Dusk")
    version["document"]["swatches"][0]["hex"] = "#112233"


BREAKS: dict[str, Callable[[Record], Any]] = {
    "a newer version": lambda record: record.update(version=4),
    "no take": lambda record: record.update(takes=[]),
    "an unknown field": lambda record: record.update(extra=1),
    "a broken take": lambda record: record["takes"][0]["document"].update(level="B"),
    "a broken source": lambda record: record["sources"][0].update(extraction={"version": 2, "steps": "none"}),
    "a picture without a file": lambda record: record["sources"][0].update(files=[]),
    "an approval that nobody gave": _approved_by_somebody_else,
    "a document that was changed since": _another_document,
    "a version that isn't there": lambda record: record["reviews"][0]["takes"][0].update(version=9),
    "a reader who isn't there": lambda record: record["reviews"][0]["remarks"][0].update(reader=7),
    "an answer to nothing": lambda record: record["reviews"][0]["remarks"][1].update(answers=1),
    "events out of order": lambda record: record["reviews"][0]["events"].reverse(),
    "an unknown event": lambda record: record["reviews"][0]["events"][0].update(kind="hacked"),
    "an unknown page": lambda record: record["reviews"][0].update(pages=["../../etc"]),
    "two of one id": lambda record: record["takes"][0].update(id=record["takes"][1]["id"]),
}


def test_a_bad_archive_is_refused_whole_with_the_reason(
    client: Client, worked_on: tuple[dict[str, Any], bytes]
) -> None:
    _, archive = worked_on
    bad = {name: broken(archive, change) for name, change in BREAKS.items()}
    file = next(name for name in zipfile.ZipFile(io.BytesIO(archive)).namelist() if name.startswith("files/"))
    bad |= {
        "a wrong digest": packed(archive, {file: b"something else"}),
        "a missing file": packed(archive, {file: None}),
        "a stranger": packed(archive, {"files/../../etc/passwd": b"x"}),
        "an absolute path": packed(archive, {"/etc/passwd": b"x"}),
        "no record": packed(archive, {"brand.json": None}),
        "a bomb": packed(archive, {f"files/{'0' * 64}": bytes(15_000_000)}),
        "no JSON": packed(archive, {"brand.json": b"["}),
        "deep JSON": packed(archive, {"brand.json": b"[" * 200_000}),
        "a million takes that are none": broken(archive, lambda record: record.update(takes=[{}] * 400_000)),
        "more parts than it may have": packed(archive, {"brand.json": b'{"format": [' + b"{}," * 600_000}),
        "cut short": archive[: len(archive) // 2],
        "a ZIP in name only": b"PK\x03\x04" + bytes(400),
        "a picture that is none": _other_picture(archive, file),
    }
    before = client.get("/api/brands").get_json()
    for name, content in bad.items():
        answer = send(client, "/api/brands/files", content)
        assert answer.status_code == 422, (name, answer.status_code, answer.text[:300])
        assert problem_of(answer, 422)["detail"], name
    assert client.get("/api/brands").get_json() == before


def test_an_archive_of_version_1_names_no_trade_and_is_read(
    client: Client, worked_on: tuple[dict[str, Any], bytes]
) -> None:
    _, archive = worked_on
    record = record_of(archive)
    assert record["version"] == 3
    assert record["reviews"][0]["voice"]

    def of_version_1(record: Record) -> None:
        record.update(version=1)
        del record["fonts"]
        for review in record["reviews"]:
            del review["voice"]

    answer = send(client, "/api/brands/files", broken(archive, of_version_1))
    assert answer.status_code == 201, answer.text[:300]


def _other_picture(archive: bytes, file: str) -> bytes:
    """An archive whose picture has the right digest and is no picture."""
    import hashlib

    content = b"\x89PNG broken"
    digest = hashlib.sha256(content).hexdigest()
    record = record_of(archive)
    for source in record["sources"]:
        for kept in source["files"]:
            kept["digest"] = digest
    return packed(
        archive, {file: None, f"files/{digest}": content, "brand.json": json.dumps(record).encode()}
    )
