"""Ready-made palettes by HTTP: found, tried, taken, starred; the studio's own kept, changed and carried."""

from __future__ import annotations

import io
import json
from typing import Any
from uuid import uuid4

import pytest

from tests.takes import FAILING, TAKE
from tests.web.conftest import Client
from tests.web.test_refusals import problem_of
from tonada.core.ready.palette import PALETTE_ROLES
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.take.take import Take
from tonada.document.take import TakeDocument
from tonada.web.palettes.views import PROVEN_AT_ONCE

DOCUMENT = TakeDocument.of(TAKE).model_dump(mode="json")
FIRST = shipped_palettes()[0]


def search(client: Client, **asked: Any) -> dict[str, Any]:
    answer = client.post("/api/palettes/search", json=asked)
    assert answer.status_code == 200, answer.text
    return answer.get_json()


def keep(client: Client, name: str = "Our own", **more: Any) -> dict[str, Any]:
    answer = client.post("/api/palettes", json={"name": name, "document": DOCUMENT, **more})
    assert answer.status_code == 201, answer.text
    return answer.get_json()


def upload(client: Client, data: bytes) -> Any:
    return client.post("/api/palettes/files", data={"file": (io.BytesIO(data), "list.json")})


def test_pages_of_what_is_found_follow_each_other(client: Client) -> None:
    first = search(client, count=10)
    assert (first["found"], first["all"], len(first["palettes"])) == (480, 480, 10)
    assert first["palettes"][0]["id"] == FIRST.id
    rest = search(client, count=10, start=475)
    assert len(rest["palettes"]) == 5
    assert search(client, start=9000)["palettes"] == []


def test_a_palette_says_where_its_colours_stand_and_what_was_proven(client: Client) -> None:
    (one,) = search(client, count=1)["palettes"]
    assert sum(color["share"] for color in one["colors"]) == pytest.approx(1)
    for color in one["colors"]:
        assert 0 <= color["position"] <= 1
        assert color["across"] is None or 0 <= color["across"] < 1
    assert one["pairs"] == one["passing"] >= 38
    assert (one["is_own"], one["is_starred"], one["taken"]) == (False, False, 0)
    assert len(one["lines"]) == 3


def test_notes_on_the_stave_and_values_are_answered_with_their_places(client: Client) -> None:
    found = search(client, notes=[{"hue": 40, "position": 0.4}, {"hex": "#2b3a8c"}], count=1)
    stave, value = found["notes"]
    assert stave["position"] == pytest.approx(0.4, abs=0.02)
    assert stave["across"] == pytest.approx((40 - 210) % 360 / 360, abs=0.03)
    assert value["hex"] == "#2b3a8c"
    problem_of(client.post("/api/palettes/search", json={"notes": [{"hex": "#000000"}] * 4}), 422)


@pytest.mark.parametrize(
    ("asked", "field"),
    [
        ({"moods": ["nice"]}, "moods"),
        ({"sort": "best"}, "sort"),
        ({"hues": [9]}, "hues.0"),
        ({"count": 1000}, "count"),
        ({"like": "nobody"}, "like"),
        ({"words": "x" * 121}, "words"),
        ({"held": ["red"]}, "held.0"),
    ],
)
def test_a_question_that_cant_be_asked_names_its_field(
    client: Client, asked: dict[str, Any], field: str
) -> None:
    assert problem_of(client.post("/api/palettes/search", json=asked), 422)["field"] == field


def test_a_palette_is_tried_as_a_whole_take_and_changes_nothing(client: Client) -> None:
    tried = client.get(f"/api/palettes/{FIRST.id}/take").get_json()
    assert tried["failing"] == 0
    assert tried["pairs"] == tried["palette"]["pairs"]
    values = {one["hex"] for one in tried["document"]["swatches"]}
    assert {one.hex for one in FIRST.colors} <= values
    strict = next(one for one in shipped_palettes() if one.proof and one.proof.reaches_aaa)
    at_aaa = client.get(f"/api/palettes/{strict.id}/take?level=AAA").get_json()
    assert (at_aaa["document"]["level"], at_aaa["failing"]) == ("AAA", 0)
    problem_of(client.get("/api/palettes/nobody/take"), 404)
    problem_of(client.get(f"/api/palettes/{FIRST.id}/take?level=A"), 422)


def test_what_is_free_takes_the_palette_and_the_held_stays(client: Client) -> None:
    colors = [{"role": str(one.role), "hex": one.hex} for one in FIRST.colors]
    change = {"kind": "ready-made", "name": FIRST.name, "colors": colors}
    answer = client.post("/api/changes", json={"document": DOCUMENT, "change": change})
    made = answer.get_json()
    held = {one["hex"] for one in DOCUMENT["swatches"] if one["held"]}
    assert held <= {one["hex"] for one in made["document"]["swatches"]}
    paper = next(one for one in made["document"]["roles"] if one["role"] == "paper")
    swatch = next(one for one in made["document"]["swatches"] if one["id"] == paper["swatch"])
    assert swatch["hex"] == {one.role: one.hex for one in FIRST.colors}["paper"]
    muted = {**change, "colors": [{"role": "muted", "hex": "#777777"}]}
    problem_of(client.post("/api/changes", json={"document": DOCUMENT, "change": muted}), 422)


def test_stars_and_takings_are_the_studios_and_sort(client: Client) -> None:
    other = shipped_palettes()[100].id
    assert client.put(f"/api/palettes/{other}/star", json={"starred": True}).status_code == 204
    for _ in range(2):
        assert client.post(f"/api/palettes/{FIRST.id}/takings").status_code == 204
    first, second = search(client, sort="favourite", count=2)["palettes"]
    assert (first["id"], first["is_starred"]) == (other, True)
    assert (second["id"], second["taken"]) == (FIRST.id, 2)
    assert [one["id"] for one in search(client, shelf="starred")["palettes"]] == [other]
    client.put(f"/api/palettes/{other}/star", json={"starred": False})
    assert search(client, shelf="starred")["found"] == 0
    problem_of(client.put("/api/palettes/nobody/star", json={"starred": True}), 404)
    problem_of(client.post(f"/api/palettes/{uuid4()}/takings"), 404)


def test_a_take_is_kept_found_renamed_deleted_and_brought_back(client: Client) -> None:
    kept = keep(client, "Großmutters Garten 庭", tags=["client", "日本"])
    assert kept["is_own"]
    assert kept["passing"] == kept["pairs"]
    assert next(one["id"] for one in search(client, words="garten")["palettes"]) == kept["id"]
    assert [one["id"] for one in search(client, words="日本")["palettes"]] == [kept["id"]]
    (found,) = search(client, shelf="own")["palettes"]
    order = [color["role"] for color in found["colors"]]
    assert order == [role for role in PALETTE_ROLES if role in order], "as the measure has them"
    assert found["colors"] == kept["colors"]
    path = f"/api/palettes/{kept['id']}"
    assert client.put(path, json={"name": "Garden", "tags": []}).get_json()["name"] == "Garden"
    assert search(client, words="日本")["found"] == 0
    assert client.delete(path).status_code == 204
    assert search(client, shelf="own")["found"] == 0
    gone = problem_of(client.put(path, json={"name": "x"}), 410)
    assert gone["restoration"] == f"{path}/restoration"
    assert client.post(gone["restoration"]).get_json()["name"] == "Garden"
    assert search(client, shelf="own")["palettes"][0]["name"] == "Garden"
    problem_of(client.post(gone["restoration"]), 404)
    problem_of(client.delete(f"/api/palettes/{uuid4()}"), 404)


def test_what_cant_be_kept_is_said(client: Client) -> None:
    empty = TakeDocument.of(Take()).model_dump(mode="json")
    body = problem_of(client.post("/api/palettes", json={"name": "x", "document": empty}), 422)
    assert "Primary" in body["detail"]
    problem_of(client.post("/api/palettes", json={"name": " ", "document": DOCUMENT}), 422)
    problem_of(
        client.post("/api/palettes", json={"name": "x", "tags": ["y"] * 13, "document": DOCUMENT}), 422
    )
    assert search(client, shelf="own")["found"] == 0


def test_a_take_with_failing_pairs_is_kept_as_its_colours_are(client: Client) -> None:
    document = TakeDocument.of(FAILING).model_dump(mode="json")
    kept = client.post("/api/palettes", json={"name": "x", "document": document}).get_json()
    # Its pairs are suggested again wherever it is taken; what was proven is that.
    assert kept["passing"] == kept["pairs"]


def test_files_go_out_and_come_in_and_are_proven_a_few_at_a_time(client: Client) -> None:
    keep(client, "One", tags=["first"])
    files = [client.get(f"/api/palettes/files?format={kind}") for kind in ("tonada", "tokens")]
    for file in files:
        assert file.headers["Content-Disposition"].startswith("attachment")
        answer = upload(client, file.data).get_json()
        assert (answer["added"], answer["skipped"]) == (1, [])
    found = search(client, shelf="own")
    assert (found["found"], found["unproven"]) == (3, 2)
    assert {tuple(one["tags"]) for one in found["palettes"]} == {("first",)}
    assert [one["pairs"] for one in found["palettes"]].count(None) == 2
    assert client.post("/api/palettes/proofs").get_json()["left"] == 0
    assert search(client, shelf="own")["unproven"] == 0
    many = [{"colors": {"primary": f"#{number:06x}"}} for number in range(PROVEN_AT_ONCE + 3)]
    listed = {"format": "tonada palettes", "version": 1, "palettes": many}
    assert upload(client, json.dumps(listed).encode()).get_json()["added"] == len(many)
    assert client.post("/api/palettes/proofs").get_json()["left"] == 3
    assert search(client, words="black", shelf="own")["found"] > 0


def test_a_file_that_is_no_list_changes_nothing(client: Client) -> None:
    for data in (b"", b"\x89PNG", b"{}", b'{"format": "tonada palettes", "version": 2}'):
        assert problem_of(upload(client, data), 422)["field"] == "file"
    assert problem_of(client.post("/api/palettes/files", data={"file": "x"}), 422)["field"] == "file"
    assert search(client, shelf="own")["found"] == 0


def test_a_studio_keeps_only_so_many(client: Client, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("tonada.store.palettes.MAX_OWN_PALETTES", 1)
    keep(client)
    refused = client.post("/api/palettes", json={"name": "Two", "document": DOCUMENT})
    assert "at most 1" in problem_of(refused, 422)["detail"]
    assert search(client, shelf="own")["found"] == 1


def test_the_vocabulary_names_everything_that_can_be_asked(client: Client) -> None:
    words = client.get("/api/palettes").get_json()
    for mood in words["moods"]:
        assert search(client, moods=[mood], count=1)["found"] >= 20
    for trade in words["trades"]:
        assert search(client, trades=[trade], count=1)["found"] >= 20
    for sort in words["sorts"]:
        search(client, sort=sort["id"], count=1)
    for character in words["characters"]:
        search(client, character=character, count=1)
