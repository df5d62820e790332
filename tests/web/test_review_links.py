"""Links to a review: what opens one, what ends it, and that it opens nothing else."""

from __future__ import annotations

import base64
import re
from datetime import UTC, datetime, timedelta
from typing import Any
from uuid import uuid4

import pytest
from flask import Flask

from tests.reviews import Reader, made_review
from tests.web.conftest import Client
from tests.web.test_api import new_brand
from tests.web.test_refusals import problem_of
from tonada.core.limits import WRONG_PASSPHRASES
from tonada.sharing.tokens import is_proven, new_token, read_token
from tonada.store.database import connect
from tonada.web.app import create_app
from tonada.web.settings import Settings


def test_the_page_behind_a_link_is_for_nobody_to_keep(reader: Reader, made: dict[str, Any]) -> None:
    page = reader.browser.get(made["link"]["path"])
    assert page.headers["Cache-Control"] == "no-store"
    assert "noindex" in page.headers["X-Robots-Tag"]
    assert page.headers["Referrer-Policy"] == "no-referrer"
    assert reader.ask("GET").headers["Cache-Control"] == "no-store"


def test_a_link_ends_is_prolonged_and_withdrawn(
    client: Client, app: Flask, made: dict[str, Any], owner_url: str
) -> None:
    review = f"/api/reviews/{made['review']['id']}"
    tomorrow = (datetime.now(UTC) + timedelta(days=1)).date()
    body = {"name": "Bo", "until": str(tomorrow)}
    link = client.post(f"{review}/links", json=body).get_json()
    bo = Reader(app, link["path"])
    assert bo.ask("GET").get_json()["reader"] == "Bo"
    with connect(owner_url) as connection:
        connection.execute("select set_config('tonada.workspace', '*', true)")
        connection.execute("update review_link set expires_at = now() where name = 'Bo'")
    assert "This review ended on" in problem_of(bo.ask("GET"), 410)["detail"]
    problem_of(bo.ask("POST", "/remarks", json={"name": "Bo", "text": "Still here?"}), 410)
    one = f"{review}/links/{link['link']['id']}"
    yesterday = str((datetime.now(UTC) - timedelta(days=2)).date())
    assert problem_of(client.put(one, json={"until": yesterday}), 422)["field"] == "until"
    client.put(one, json={"until": None})
    assert bo.ask("GET").status_code == 200
    whole = client.post(f"{one}/withdrawal").get_json()
    assert [bool(each["withdrawn_at"]) for each in whole["links"]] == [False, True]
    assert "withdrawn" in problem_of(bo.ask("GET"), 410)["detail"]
    problem_of(client.put(one, json={"until": None}), 404)
    # The first link still leads there, until the whole is withdrawn.
    first = Reader(app, made["link"]["path"])
    assert first.ask("GET").status_code == 200
    client.post(f"{review}/withdrawal")
    for rest in ("", "/content", "/said", "/events"):
        problem_of(first.ask("GET", rest), 410)
    problem_of(client.post(f"{review}/links", json={}), 422)


def test_who_opened_a_link_is_seen(client: Client, reader: Reader, made: dict[str, Any]) -> None:
    reader.ask("GET")
    link = client.get(f"/api/reviews/{made['review']['id']}").get_json()["links"][0]
    assert link["opened"] == 2
    assert link["first_opened_at"] < link["last_opened_at"]


def test_a_passphrase_is_asked_for_and_cannot_be_guessed(client: Client, app: Flask) -> None:
    made = made_review(client, new_brand(client), link={"passphrase": "under the dome"})
    reader = Reader(app, made["link"]["path"])
    for rest in ("", "/content", "/said", "/events", f"/files/{'0' * 64}"):
        assert problem_of(reader.ask("GET", rest), 401)["type"] == "urn:tonada:passphrase-needed"
    reader.token = app.test_client().get("/api/session").get_json()["csrf_token"]
    reader.browser.get("/api/session")
    reader.token = reader.browser.get("/api/session").get_json()["csrf_token"]
    problem_of(reader.ask("PUT", "/choice", json={"name": "Ana", "place": 0}), 401)
    for _ in range(WRONG_PASSPHRASES - 1):
        said = reader.ask("POST", "/passphrase", json={"passphrase": "guess"})
        assert problem_of(said, 422)["field"] == "passphrase"
    assert reader.ask("POST", "/passphrase", json={"passphrase": "under the dome"}).status_code == 204
    assert reader.ask("GET").status_code == 200
    # Another browser has to give it, too; and after ten wrong ones even the right one waits.
    other = Reader(app, made["link"]["path"])
    other.token = other.browser.get("/api/session").get_json()["csrf_token"]
    for _ in range(WRONG_PASSPHRASES):
        other.ask("POST", "/passphrase", json={"passphrase": "guess"})
    waits = other.ask("POST", "/passphrase", json={"passphrase": "under the dome"})
    assert "15 minutes" in problem_of(waits, 422)["detail"]
    # Who was let in before goes on.
    assert reader.ask("GET").status_code == 200


def test_tokens_are_long_kept_as_hashes_and_compared_whole(made: dict[str, Any], owner_url: str) -> None:
    token = made["link"]["path"].removeprefix("/review/")
    read = read_token(token)
    assert read is not None
    with connect(owner_url) as connection:
        connection.execute("select set_config('tonada.workspace', '*', true)")
        (row,) = connection.execute("select * from review_link").fetchall()
        everything = " ".join(
            str(connection.execute(everything_of).fetchall())
            for everything_of in (
                "select * from review_link",
                "select * from review",
                "select * from review_event",
                "select * from mail",
            )
        )
    assert read.verifier in row
    assert token[12:] not in everything
    # 192 bits that nobody can guess, and no two alike.
    assert len(base64.urlsafe_b64decode(token[12:])) * 8 == 192
    assert len({new_token().text for _ in range(500)}) == 500
    assert is_proven(read, read.verifier)
    assert not is_proven(read, b"\0" * 32)
    assert read_token(token[:-1]) is None
    assert read_token(f"{token[:-1]}/") is None


@pytest.mark.parametrize("change", ["unknown", "its other half", "none", "too long"])
def test_a_wrong_token_finds_nothing(app: Flask, made: dict[str, Any], change: str) -> None:
    token = made["link"]["path"].removeprefix("/review/")
    wrong = {
        "unknown": new_token().text,
        "its other half": token[:12] + new_token().text[12:],
        "none": "x",
        "too long": token + "A",
    }[change]
    browser = app.test_client()
    for rest in ("", "/content", "/said", "/events", f"/files/{'0' * 64}"):
        problem_of(browser.get(f"/api/review/{wrong}{rest}"), 404)


@pytest.mark.detail
def test_guesses_are_limited_and_readers_are_not(
    client: Client, app: Flask, database_url: str, made: dict[str, Any]
) -> None:
    folder = app.extensions["tonada.settings"].frontend
    limited = create_app(Settings(database_url, "a secret for the tests, long enough", folder))
    browser = limited.test_client()
    for _ in range(40):
        assert browser.get(f"/api{made['link']['path']}/said").status_code == 200
    found = [browser.get(f"/api/review/{new_token().text}").status_code for _ in range(25)]
    assert found[:20] == [404] * 20
    assert found[20:] == [429] * 5
    limited.extensions["tonada"].close()


REVIEW_ROUTES = re.compile(r"/(api/)?review/")


def routes(app: Flask, **values: str) -> list[tuple[str, str]]:
    """Every route that the application has, with made-up values in it."""
    found = []
    for rule in app.url_map.iter_rules():
        path = re.sub(r"<(?:\w+:)?(\w+)>", lambda one: values.get(one[1], str(uuid4())), rule.rule)
        found += [(method, path) for method in sorted((rule.methods or set()) - {"HEAD", "OPTIONS"})]
    return found


def test_under_a_host_for_reviews_nothing_else_is_answered(
    app: Flask, client: Client, database_url: str, made: dict[str, Any]
) -> None:
    folder = app.extensions["tonada.settings"].frontend
    settings = Settings(
        database_url,
        "a secret for the tests, long enough",
        folder,
        review_hosts=("reviews.example.org:8443",),
        https=True,
        rate_limits=False,
    )
    both = create_app(settings)
    outside = {"base_url": "https://reviews.example.org"}
    browser = both.test_client()
    opened = browser.get(f"/api{made['link']['path']}", **outside)
    assert opened.status_code == 200
    headers = {"X-CSRF-Token": opened.get_json()["csrf_token"], "Referer": "https://reviews.example.org/"}
    shown = made["review"]["takes"][0]
    known = {
        "brand_id": made["review"]["brand_id"],
        "take_id": shown["take"],
        "number": "1",
        "review_id": made["review"]["id"],
        "view": "brands",
    }
    tried = 0
    for method, path in routes(both, **known):
        if REVIEW_ROUTES.match(path):
            continue
        said = browser.open(path, method=method, headers=headers, json={}, **outside)
        assert said.status_code == 404, (method, path, said.status_code)
        assert made["review"]["id"] not in said.text
        tried += 1
    assert tried > 100
    # The rest is where it was, and knows where a client would reach a review.
    inside = both.test_client()
    listed = inside.get(f"/api/brands/{made['review']['brand_id']}/reviews").get_json()
    assert listed["origin"] == "https://reviews.example.org:8443"
    assert browser.get(made["link"]["path"], **outside).status_code == 200
    both.extensions["tonada"].close()


def test_one_link_reaches_nothing_of_another_review(client: Client, app: Flask, reader: Reader) -> None:
    other = made_review(client, new_brand(client, "Saltmarsh"))
    theirs = Reader(app, other["link"]["path"])
    remark = theirs.say("Secret")["remarks"][0]["id"]
    sheet = theirs.content()["takes"][0]["sheet"]
    problem_of(reader.ask("PUT", f"/remarks/{remark}", json={"text": "x"}), 404)
    problem_of(reader.ask("DELETE", f"/remarks/{remark}"), 404)
    problem_of(reader.ask("POST", "/remarks", json={"name": "A", "text": "x", "answers": remark}), 404)
    problem_of(reader.ask("GET", f"/files/{sheet}"), 404)
    assert "Secret" not in reader.ask("GET").text
    review = other["review"]["id"]
    problem_of(client.delete(f"/api/reviews/{uuid4()}/remarks/{remark}"), 404)
    assert client.get(f"/api/reviews/{review}").get_json()["said"]["remarks"][0]["text"] == "Secret"


def test_a_deleted_brand_shows_nothing_until_it_is_back(
    client: Client, reader: Reader, made: dict[str, Any]
) -> None:
    brand = made["review"]["brand_id"]
    client.delete(f"/api/brands/{brand}")
    said = problem_of(reader.ask("GET"), 410)
    assert brand not in str(said)
    client.post(f"/api/brands/{brand}/restoration")
    assert reader.ask("GET").status_code == 200
