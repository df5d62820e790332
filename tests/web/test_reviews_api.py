"""The client's review: what a link shows and lets do, and that it lets do nothing else."""

from __future__ import annotations

import gzip
import hashlib
import json
from concurrent.futures import ThreadPoolExecutor
from typing import Any
from uuid import uuid4

import pytest
from flask import Flask

from tests.reviews import Reader, built_take, made_review
from tests.web.conftest import Client
from tests.web.test_api import new_brand
from tests.web.test_refusals import problem_of
from tonada.core.limits import EDITABLE_MINUTES
from tonada.store.database import connect


def test_a_client_sees_versions_that_never_change(
    client: Client, reader: Reader, made: dict[str, Any]
) -> None:
    content = reader.content()
    assert (content["brand"], content["greeting"]) == ("Orrin Peak", "Two suggestions.")
    assert [page["name"] for page in content["pages"]] == ["Home", "Article"]
    assert [take["name"] for take in content["takes"]] == ["Take 1", "Dusk"]
    shown = content["takes"][0]
    assert set(shown["drawn"]) == {"day", "night"}
    assert shown["colors"]["day"][0]["hex"] == "#2b3a8c"
    assert shown["colors"]["day"][0]["used_for"].startswith("The leading colour")
    assert {"notation": "hex", "text": "#2b3a8c"} in shown["colors"]["day"][0]["values"]
    # The take goes on; its name, too.
    take = made["review"]["takes"][0]["take"]
    document = client.get(f"/api/takes/{take}").get_json()["document"]
    document["swatches"][0]["hex"] = "#123456"
    client.put(f"/api/takes/{take}", json={"document": document, "revision": 2})
    client.patch(f"/api/takes/{take}", json={"name": "Another name"})
    assert reader.content() == content


def test_what_is_shown_is_what_its_digest_says(client: Client, made: dict[str, Any]) -> None:
    shown = made["review"]["takes"][0]
    version = client.get(f"/api/takes/{shown['take']}/versions/{shown['version']}").get_json()
    written = json.dumps(version["document"], sort_keys=True, separators=(",", ":"), ensure_ascii=False)
    assert hashlib.sha256(written.encode()).hexdigest() == shown["digest"]


def test_pictures_and_the_sheet_come_by_the_link(reader: Reader) -> None:
    answer = reader.ask("GET").get_json()
    sheet = reader.content()["takes"][0]["sheet"]
    got = reader.ask("GET", f"/files/{sheet}")
    assert got.data.startswith(b"%PDF")
    assert hashlib.sha256(got.data).hexdigest() == sheet
    problem_of(reader.ask("GET", f"/files/{'0' * 64}"), 404)
    script = reader.browser.get(f"{answer['pages_address']}pages.js")
    assert (script.status_code, script.mimetype) == (200, "text/javascript")
    assert "immutable" in script.headers["Cache-Control"]
    assert reader.browser.get(f"{answer['pages_address']}other.js").status_code == 404
    assert reader.browser.get("/review/pages/nonsense/pages.js").status_code == 404


def test_remarks_are_said_answered_changed_and_taken_back(
    client: Client, reader: Reader, made: dict[str, Any], app: Flask
) -> None:
    about = {"kind": "part", "place": 0, "page": "home", "part": "Headline", "name": "Heading on the opening"}
    said = reader.say("Is it readable\nfrom the back row?", about=about)
    remark = said["remarks"][0]
    assert (remark["author"], remark["is_own"], remark["about"]["part"]) == ("Ana", True, "Headline")
    review = f"/api/reviews/{made['review']['id']}"
    whole = client.post(f"{review}/remarks", json={"text": "It has 4.9.", "answers": remark["id"]}).get_json()
    assert [one["author"] for one in whole["said"]["remarks"]] == ["Ana", "You"]
    answered = reader.ask("GET", "/said").get_json()["remarks"][1]
    assert (answered["author"], answered["is_designer"], answered["is_own"]) == ("The studio", True, False)
    # Somebody else with the same link is somebody else.
    other = Reader(app, made["link"]["path"])
    problem_of(other.ask("PUT", f"/remarks/{remark['id']}", json={"text": "Mine now"}), 409)
    problem_of(other.ask("DELETE", f"/remarks/{remark['id']}"), 409)
    changed = reader.ask("PUT", f"/remarks/{remark['id']}", json={"text": "Readable?"}).get_json()
    assert changed["remarks"][0]["text"] == "Readable?"
    assert changed["remarks"][0]["edited_at"]
    gone = reader.ask("DELETE", f"/remarks/{remark['id']}").get_json()["remarks"]
    assert (gone[0]["is_taken_back"], gone[0]["text"]) == (True, "")
    assert "Readable?" not in client.get(review).text
    # What nobody answered goes without a trace for the client.
    second = reader.say("And this?")["remarks"][-1]
    left = reader.ask("DELETE", f"/remarks/{second['id']}").get_json()["remarks"]
    assert second["id"] not in [one["id"] for one in left]


def test_ones_own_words_may_be_changed_for_ten_minutes(reader: Reader, owner_url: str) -> None:
    remark = reader.say("Too late soon")["remarks"][0]
    with connect(owner_url) as connection:
        connection.execute("select set_config('tonada.workspace', '*', true)")
        age = "update remark set created_at = now() - make_interval(mins => %(minutes)s)"
        connection.execute(age, {"minutes": EDITABLE_MINUTES})
    problem_of(reader.ask("PUT", f"/remarks/{remark['id']}", json={"text": "Changed"}), 409)
    problem_of(reader.ask("DELETE", f"/remarks/{remark['id']}"), 409)
    assert not reader.ask("GET", "/said").get_json()["remarks"][0]["is_own"]


def test_a_client_chooses_changes_their_mind_and_approves(
    client: Client, reader: Reader, made: dict[str, Any]
) -> None:
    review = f"/api/reviews/{made['review']['id']}"
    assert reader.ask("PUT", "/choice", json={"name": "Ana", "place": 0}).status_code == 200
    refused = reader.ask("PUT", "/choice", json={"name": "Ana", "place": None})
    assert problem_of(refused, 422)["field"] == "reason"
    reader.ask("PUT", "/choice", json={"name": "Ana", "place": None, "reason": "Too cold."})
    said = reader.ask("PUT", "/choice", json={"name": "Ana", "place": 1}).get_json()
    assert [(one["place"], one["who"], one["is_own"]) for one in said["choices"]] == [(1, "Ana", True)]
    unticked = reader.ask("POST", "/approval", json={"name": "Ana", "place": 1, "agreed": False})
    assert problem_of(unticked, 422)["field"] == "agreed"
    approval = reader.ask("POST", "/approval", json={"name": "Ana", "place": 1, "agreed": True}).get_json()[
        "approval"
    ]
    shown = made["review"]["takes"][1]
    assert (approval["who"], approval["version"], approval["digest"]) == ("Ana", 1, shown["digest"])
    # It closes the choice, for everybody.
    problem_of(reader.ask("PUT", "/choice", json={"name": "Ana", "place": 0}), 409)
    problem_of(reader.ask("POST", "/approval", json={"name": "Bo", "place": 0, "agreed": True}), 409)
    assert reader.say("Lovely.")["approval"] == approval
    reopened = client.post(f"{review}/reopening", json={"reason": "A new logo."}).get_json()
    assert reopened["said"]["approval"] is None
    told = [one["text"] for one in reopened["history"]]
    assert f"Ana approved Dusk, version 1 (digest {shown['digest'][:12]})." in told
    assert told[-1] == "The designer reopened the review: “A new logo.”."
    problem_of(client.post(f"{review}/reopening", json={}), 422)
    assert reader.ask("PUT", "/choice", json={"name": "Ana", "place": 0}).status_code == 200


def test_what_a_review_does_not_ask_for_is_refused(client: Client, app: Flask) -> None:
    made = made_review(client, new_brand(client), may_comment=False, may_choose=False, may_approve=False)
    reader = Reader(app, made["link"]["path"])
    problem_of(reader.ask("POST", "/remarks", json={"name": "Ana", "text": "Hm"}), 422)
    problem_of(reader.ask("PUT", "/choice", json={"name": "Ana", "place": 0}), 422)
    problem_of(reader.ask("POST", "/approval", json={"name": "Ana", "place": 0, "agreed": True}), 422)
    assert reader.ask("GET", "/said").get_json() == {"remarks": [], "choices": [], "approval": None}


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"takes": []}, "takes"),
        ({"takes": ["same", "same"]}, "takes"),
        ({"pages": ["cellar"]}, "pages"),
        ({"pages": ["home", "home"]}, "pages"),
        ({"widths": []}, "widths"),
        ({"greeting": "x" * 601}, "greeting"),
        ({"link": {"until": "2020-01-01"}}, "until"),
        ({"link": {"passphrase": "abc"}}, "link.passphrase"),
        ({"link": {"mail": "nobody"}}, "link.mail"),
    ],
)
def test_a_review_that_cannot_be_made_names_its_field(
    client: Client, body: dict[str, Any], field: str
) -> None:
    brand = new_brand(client)
    take = built_take(client, brand)
    asked = {"takes": ["same"], **body}
    asked["takes"] = [{"take": take} for _ in asked["takes"]]
    said = problem_of(client.post(f"/api/brands/{brand['id']}/reviews", json=asked), 422)
    assert said["field"] == field
    assert client.get(f"/api/brands/{brand['id']}/reviews").get_json()["reviews"] == []
    assert client.get(f"/api/takes/{take}/versions").get_json()["versions"] == []


def test_only_takes_of_the_brand_that_have_colors_are_shown(client: Client) -> None:
    brand, other = new_brand(client), new_brand(client)
    path = f"/api/brands/{brand['id']}/reviews"
    assert (
        "no colours"
        in problem_of(client.post(path, json={"takes": [{"take": brand["first_take"]}]}), 422)["detail"]
    )
    problem_of(client.post(path, json={"takes": [{"take": built_take(client, other)}]}), 404)
    problem_of(client.post(path, json={"takes": [{"take": str(uuid4())}]}), 404)


def test_what_is_out_and_what_came_back_is_listed(
    client: Client, reader: Reader, made: dict[str, Any]
) -> None:
    reader.say("One")
    reader.say("Two")
    remark = reader.ask("GET", "/said").get_json()["remarks"][0]["id"]
    review = f"/api/reviews/{made['review']['id']}"
    client.put(f"{review}/remarks/{remark}/resolution", json={"resolved": True})
    path = f"/api/brands/{made['review']['brand_id']}/reviews"
    (listed,) = client.get(path).get_json()["reviews"]
    assert (listed["remarks"], listed["unresolved"], listed["open_links"]) == (2, 1, 1)
    assert (listed["takes"], listed["pages"]) == (["Take 1", "Dusk"], ["home", "article"])
    assert listed["approved_by"] is None
    client.put(f"{review}/remarks/{remark}/resolution", json={"resolved": False})
    reader.ask("PUT", "/choice", json={"name": "Ana", "place": 1})
    reader.ask("POST", "/approval", json={"name": "Ana", "place": 0, "agreed": True})
    (listed,) = client.get(path).get_json()["reviews"]
    assert (listed["unresolved"], listed["approved_by"], listed["approved_place"]) == (2, "Ana", 0)
    assert listed["last_choice"] == "Ana chose Dusk"
    problem_of(client.put(f"{review}/remarks/{uuid4()}/resolution", json={"resolved": True}), 404)


def test_the_history_is_a_pdf_too(client: Client, reader: Reader, made: dict[str, Any]) -> None:
    reader.say("<script>alert(1)</script>")
    got = client.get(f"/api/reviews/{made['review']['id']}/history")
    assert got.data.startswith(b"%PDF")
    assert "attachment" in got.headers["Content-Disposition"]


def test_what_a_database_error_would_say_stays_here(reader: Reader) -> None:
    said = reader.ask("POST", "/remarks", json={"name": "Ana", "text": "a\x00b"})
    assert "U+0000" in problem_of(said, 422)["detail"]
    said = reader.ask("POST", "/remarks", json={"name": "Ana", "text": "x", "about": {"place": 3}})
    assert problem_of(said, 422)["field"] == "about.place"
    said = reader.ask("POST", "/remarks", json={"name": "\u202e", "text": "x"})
    assert problem_of(said, 422)["field"] == "name"


def test_large_answers_are_compressed_and_no_token_among_them(reader: Reader) -> None:
    plain = reader.ask("GET", "/content")
    headers = {"Accept-Encoding": "gzip, br"}
    small = reader.browser.get(f"{reader.api}/content", headers=headers)
    assert small.headers["Content-Encoding"] == "gzip"
    assert "Content-Encoding" not in plain.headers
    assert gzip.decompress(small.data) == plain.data
    assert len(small.data) < len(plain.data) / 5
    assert reader.token not in plain.text
    assert "Content-Encoding" not in reader.browser.get(reader.api, headers=headers).headers


def test_of_two_who_approve_at_once_one_does(app: Flask, client: Client, made: dict[str, Any]) -> None:
    review = f"/api/reviews/{made['review']['id']}"
    paths = [client.post(f"{review}/links", json={"name": str(row)}).get_json()["path"] for row in range(6)]
    readers = [Reader(app, path) for path in paths]

    def approve(row: int) -> int:
        body = {"name": f"Reader {row}", "place": row % 2, "agreed": True}
        return readers[row].ask("POST", "/approval", json=body).status_code

    with ThreadPoolExecutor(len(readers)) as pool:
        statuses = sorted(pool.map(approve, range(len(readers))))
    assert statuses == [201, *[409] * 5]
    told = [one["text"] for one in client.get(review).get_json()["history"]]
    assert sum(" approved " in one for one in told) == 1


def test_a_review_holds_so_many_remarks_and_no_more(reader: Reader, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("tonada.store.reviews.remarks.MAX_REMARKS", 2)
    reader.say("One")
    reader.say("Two")
    refused = reader.ask("POST", "/remarks", json={"name": "Ana", "text": "Three"})
    assert "at most 2 remarks" in problem_of(refused, 422)["detail"]
    monkeypatch.setattr("tonada.store.reviews.verdicts.MAX_REVIEW_EVENTS", 1)
    refused = reader.ask("PUT", "/choice", json={"name": "Ana", "place": 0})
    assert "This review is full" in problem_of(refused, 422)["detail"]
