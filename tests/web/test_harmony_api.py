"""Harmony, takes and versions through the API."""

from __future__ import annotations

from typing import Any
from uuid import uuid4

import psycopg
import pytest

from tests.web.conftest import Client
from tests.web.test_api import built, new_brand
from tests.web.test_refusals import problem_of
from tonada.store.database import connect
from tonada.web.takes.models import EvaluationAnswer


@pytest.fixture
def document(client: Client) -> dict[str, Any]:
    made = built(client)["document"]
    for swatch in made["swatches"]:
        swatch["held"] = False
    return made


def changed(client: Client, document: dict[str, Any], **change: Any) -> dict[str, Any]:
    answer = client.post("/api/changes", json={"document": document, "change": change})
    assert answer.status_code == 200, answer.text
    return answer.get_json()


def test_a_note_is_placed_and_the_figures_come_with_it(client: Client, document: dict[str, Any]) -> None:
    swatch = document["swatches"][0]["id"]
    answer = changed(client, document, kind="place", swatch=swatch, chroma=0.1, hue=30, position=0.4)
    value = answer["document"]["swatches"][0]["hex"]
    assert value != document["swatches"][0]["hex"]
    again = client.post("/api/evaluate", json={"document": answer["document"]}).get_json()
    assert answer["evaluation"] == again


@pytest.mark.parametrize("scheme", ["day", "night"])
def test_the_page_beside_comes_with_the_change_as_it_would_be_asked_for(
    client: Client, document: dict[str, Any], scheme: str
) -> None:
    swatch = document["swatches"][0]["id"]
    change = {"kind": "place", "swatch": swatch, "chroma": 0.1, "hue": 30, "position": 0.4}
    asked = {"document": document, "change": change, "page": {"scheme": scheme, "voice": "mill"}}
    made = client.post("/api/changes", json=asked).get_json()
    shown = made["document"]
    if scheme == "night":
        other = {"roles": shown["roles"], "pairs": shown["pairs"], "grounds": shown["grounds"]}
        shown = {**shown, **shown["other"], "scheme": "night", "other": other}
    by_itself = client.post("/api/proof", json={"document": shown, "voice": "mill"}).get_json()
    assert made["page"] == by_itself
    assert changed(client, document, **change)["page"] is None


def test_the_hot_path_answers_what_the_document_describes(client: Client, document: dict[str, Any]) -> None:
    """It goes without its model, which must not drift away from it."""
    answer = client.post("/api/evaluate", json={"document": document})
    described = EvaluationAnswer.model_validate(answer.get_json()).model_dump(mode="json")
    assert described == answer.get_json()


def test_a_chord_a_character_and_a_partner(client: Client, document: dict[str, Any]) -> None:
    settings = {**document["harmony"], "rule": "tetradic", "spread": 90, "character": "deep"}
    played = changed(client, document, kind="chord", harmony=settings)
    flags = played["evaluation"]["stave"]["flags"]
    assert [flag["angle"] for flag in flags] == [90, 180, 270]
    shaped = changed(client, played["document"], kind="character", harmony=settings)
    assert shaped["document"]["harmony"]["character"] == "deep"
    vacant = next(flag for flag in shaped["evaluation"]["stave"]["flags"] if flag["swatch"] is None)
    joined = changed(client, shaped["document"], kind="partner", angle=vacant["angle"])
    assert len(joined["document"]["swatches"]) == len(document["swatches"]) + 1


def test_the_vocabulary_names_every_rule_and_character(client: Client) -> None:
    known = client.get("/api/harmony").get_json()
    assert len(known["rules"]) == 8
    assert len(known["characters"]) >= 8


def test_variations_come_in_rows(client: Client, document: dict[str, Any]) -> None:
    body = {"document": document, "first": 4, "count": 3}
    row = client.post("/api/variations", json=body).get_json()["variations"]
    assert [one["seed"] for one in row] == [4, 5, 6]
    body = {"document": row[0]["document"], "first": 5, "count": 1}
    assert client.post("/api/variations", json=body).get_json()["variations"] == [row[1]]


def test_advice_and_comparison(client: Client, document: dict[str, Any]) -> None:
    assert client.post("/api/advice", json={"document": document}).status_code == 200
    swatch = document["swatches"][0]["id"]
    after = changed(client, document, kind="place", swatch=swatch, chroma=0.1, hue=30)["document"]
    found = client.post("/api/comparisons", json={"before": document, "after": after}).get_json()
    assert [one["change"] for one in found["swatches"]] == ["changed"]


def test_the_field_is_a_picture_that_may_be_kept(client: Client) -> None:
    picture = client.get("/api/stave/field?chroma=0.13")
    assert picture.mimetype == "image/png"
    assert "immutable" in picture.headers["Cache-Control"]
    problem_of(client.get("/api/stave/field?chroma=2"), 422)


@pytest.mark.parametrize(
    "change",
    [
        {"kind": "place", "swatch": "nobody", "chroma": 0.1, "hue": 0},
        {"kind": "place", "swatch": "s1", "chroma": 9, "hue": 0},
        {"kind": "chord", "harmony": {"rule": "blurple"}},
        {"kind": "flag", "index": 7, "angle": 20},
        {"kind": "flag", "index": 0, "angle": 7200},
        {"kind": "chord", "harmony": {"rule": "analogous", "spread": 200}},
        {"kind": "character", "harmony": {"character": "blurple"}},
        {"kind": "dance"},
    ],
)
def test_a_wrong_change_names_its_field(
    client: Client, document: dict[str, Any], change: dict[str, Any]
) -> None:
    answer = client.post("/api/changes", json={"document": document, "change": change})
    assert problem_of(answer, 422)["field"]


def takes_of(client: Client, brand: str) -> list[dict[str, Any]]:
    return client.get(f"/api/brands/{brand}").get_json()["takes"]


def test_takes_are_renamed_ordered_deleted_and_brought_back(client: Client) -> None:
    brand = new_brand(client)
    first = brand["first_take"]
    problem_of(client.delete(f"/api/takes/{first}"), 409)
    second = client.post(f"/api/brands/{brand['id']}/takes", json={"document": {}}).get_json()["id"]
    assert client.patch(f"/api/takes/{second}", json={"name": "Dusk"}).get_json()["name"] == "Dusk"
    assert client.put(f"/api/brands/{brand['id']}/takes", json={"takes": [second, first]}).status_code == 204
    assert [take["id"] for take in takes_of(client, brand["id"])] == [second, first]
    assert client.delete(f"/api/takes/{second}").status_code == 204
    document = client.get(f"/api/takes/{first}").get_json()["document"]
    for refused in (
        client.get(f"/api/takes/{second}"),
        client.put(f"/api/takes/{second}", json={"document": document, "revision": 1}),
        client.patch(f"/api/takes/{second}", json={"name": "Late"}),
        client.post(f"/api/takes/{second}/versions", json={"description": "late"}),
    ):
        assert problem_of(refused, 410)["restoration"] == f"/api/takes/{second}/restoration"
    assert [take["id"] for take in takes_of(client, brand["id"])] == [first]
    assert client.post(f"/api/takes/{second}/restoration").status_code == 200
    assert len(takes_of(client, brand["id"])) == 2
    problem_of(client.delete(f"/api/takes/{uuid4()}"), 404)


def test_versions_are_numbered_kept_and_never_changed(client: Client, owner_url: str) -> None:
    take = new_brand(client)["first_take"]
    document = built(client)["document"]
    path = f"/api/takes/{take}/versions"
    assert client.post(path, json={"description": "empty"}).get_json()["number"] == 1
    client.put(f"/api/takes/{take}", json={"document": document, "revision": 1})
    cut = client.post(path, json={"description": "built", "is_automatic": True}).get_json()
    assert (cut["number"], cut["document"]) == (2, document)
    listed = client.get(path).get_json()["versions"]
    assert [(one["number"], one["description"], one["is_automatic"]) for one in listed] == [
        (2, "built", True),
        (1, "empty", False),
    ]
    client.put(f"/api/takes/{take}", json={"document": {}, "revision": 2})
    assert client.get(f"{path}/2").get_json() == cut
    problem_of(client.get(f"{path}/3"), 404)
    # Not even the owner of the table changes one.
    with connect(owner_url) as connection, pytest.raises(psycopg.errors.RaiseException):
        connection.execute("update version set description = 'x'")
