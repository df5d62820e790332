"""Mails of reviews: kept with what they tell, sent once, tried again; and the outbox where none are sent."""

from __future__ import annotations

import base64
import io
from collections.abc import Iterator
from typing import Any

import pytest
from flask import Flask
from PIL import Image

from tests.post_office import PostOffice
from tests.reviews import Reader, made_review
from tests.waiting import until
from tests.web.conftest import Client
from tests.web.test_api import new_brand
from tests.web.test_refusals import problem_of
from tonada.mail.messages import LINK_LEFT_OUT, MAIL_INK
from tonada.mail.server import mail_server
from tonada.store.database import connect
from tonada.web.app import create_app
from tonada.web.settings import Settings, SettingsError

STUDIO = {"studio": "Lantern Lane", "notified": "studio@example.org"}


def posted(app: Flask, database_url: str, port: int, **more: Any) -> Flask:
    """Return an application that sends by a mail server, and is reached from outside."""
    folder = app.extensions["tonada.settings"].frontend
    server = mail_server(f"smtp://127.0.0.1:{port}", "tonada@example.org")
    settings = Settings(
        database_url,
        "a secret for the tests, long enough",
        folder,
        review_hosts=("reviews.example.org",),
        mail=server,
        rate_limits=False,
    )
    return create_app(settings)


@pytest.fixture
def office() -> Iterator[PostOffice]:
    made = PostOffice()
    yield made
    made.close()


def client_of(app: Flask) -> Client:
    app.test_client_class = Client
    made = app.test_client()
    assert isinstance(made, Client)
    made.token = made.get("/api/session").get_json()["csrf_token"]
    return made


def test_without_a_server_mails_stay_where_they_can_be_read(client: Client, app: Flask) -> None:
    set_up = client.put("/api/studio", json=STUDIO).get_json()
    assert set_up == {**STUDIO, "sends": "outbox", "mark": ""}
    made = made_review(client, new_brand(client, "Orrin Peak"))
    reader = Reader(app, made["link"]["path"])
    reader.say("<script>alert(1)</script>")
    reader.ask("PUT", "/choice", json={"name": "Ana", "place": 1})
    reader.ask("POST", "/approval", json={"name": "Ana", "place": 1, "agreed": True})
    outbox = client.get("/api/mails").get_json()
    assert [one["subject"] for one in outbox["mails"]] == [
        "Orrin Peak: approved",
        "Orrin Peak: a choice",
        "Orrin Peak: a remark",
    ]
    page = client.get(f"/api/mails/{outbox['mails'][2]['id']}/page")
    assert page.mimetype == "text/html"
    assert "<script>" not in page.text
    assert "sandbox" in page.headers["Content-Security-Policy"]
    assert "script-src" not in page.headers["Content-Security-Policy"]
    review = made["review"]
    assert f"/brands/{review['brand_id']}/reviews/{review['id']}" in outbox["mails"][0]["text"]


def test_nobody_is_told_who_has_not_asked_for_it(client: Client, app: Flask) -> None:
    made = made_review(client, new_brand(client))
    Reader(app, made["link"]["path"]).say("Hm")
    assert client.get("/api/mails").get_json()["mails"] == []
    refused = client.put("/api/studio", json={"studio": "x", "notified": "nobody"})
    assert problem_of(refused, 422)["field"].startswith("notified")


def test_a_link_is_sent_and_kept_nowhere(
    app: Flask, database_url: str, office: PostOffice, owner_url: str
) -> None:
    sending = posted(app, database_url, office.port)
    client = client_of(sending)
    client.put("/api/studio", json=STUDIO)
    made = made_review(
        client, new_brand(client, "Orrin Peak"), link={"name": "Ana", "mail": "ana@example.org"}
    )
    link = made["link"]
    assert (link["mailed"], link["problem"]) == (True, None)
    assert link["address"] == f"http://reviews.example.org{link['path']}"
    (mail,) = office.mails
    body = mail.get_body(("plain",))
    assert body is not None
    assert link["address"] in body.get_content().replace("=\n", "")
    (kept,) = client.get("/api/mails").get_json()["mails"]
    assert LINK_LEFT_OUT in kept["text"]
    with connect(owner_url) as connection:
        connection.execute("select set_config('tonada.workspace', '*', true)")
        assert link["path"][-20:] not in str(connection.execute("select * from mail").fetchall())
    sending.extensions["tonada.courier"].stop()
    sending.extensions["tonada"].close()


def test_a_link_that_cannot_be_sent_is_there_all_the_same(app: Flask, database_url: str) -> None:
    office = PostOffice(refuses="550 nobody of that name")
    sending = posted(app, database_url, office.port)
    client = client_of(sending)
    made = made_review(client, new_brand(client), link={"mail": "ana@example.org"})
    assert not made["link"]["mailed"]
    assert "nobody of that name" in made["link"]["problem"]
    assert sending.test_client().get(f"/api{made['link']['path']}").status_code == 200
    office.close()
    sending.extensions["tonada"].close()


def test_a_laptop_sends_no_link_that_leads_nowhere(client: Client) -> None:
    made = made_review(client, new_brand(client), link={"mail": "ana@example.org"})
    assert (made["link"]["address"], made["link"]["mailed"]) == (None, False)
    assert "can’t reach this machine" in made["link"]["problem"]
    assert client.get("/api/mails").get_json()["mails"] == []


def test_what_came_back_is_sent_once_and_tried_again(app: Flask, database_url: str, owner_url: str) -> None:
    closed = PostOffice(refuses="451 later")
    sending = posted(app, database_url, closed.port)
    client = client_of(sending)
    client.put("/api/studio", json=STUDIO)
    made = made_review(client, new_brand(client, "Orrin Peak"))
    Reader(sending, made["link"]["path"]).say("Lovely")
    until(lambda: client.get("/api/mails").get_json()["mails"][0]["problem"])
    mail = client.get("/api/mails").get_json()["mails"][0]
    assert "later" in mail["problem"]
    assert mail["sent_at"] is None
    sending.extensions["tonada.courier"].stop()
    sending.extensions["tonada"].close()
    closed.close()
    with connect(owner_url) as connection:
        connection.execute("select set_config('tonada.workspace', '*', true)")
        connection.execute("update mail set try_after = now()")
    # Two servers look for what was left behind; one of them sends it.
    office = PostOffice()
    both = [posted(app, database_url, office.port) for _ in range(2)]
    for one in both:
        one.extensions["tonada.courier"].wake()
    until(lambda: client_of(both[0]).get("/api/mails").get_json()["mails"][0]["sent_at"])
    for one in both:
        one.extensions["tonada.courier"].stop()
        one.extensions["tonada"].close()
    assert len(office.mails) == 1
    assert office.envelopes == [("tonada@example.org", "studio@example.org")]
    office.close()


def test_settings_of_the_mail_are_checked() -> None:
    usual = {"DATABASE_URL": "postgresql://x", "SECRET_KEY": "x" * 40}
    assert Settings.from_environment(usual).mail is None
    given = {**usual, "TONADA_MAIL": "smtp://mail.example.org:587", "TONADA_MAIL_FROM": "a@example.org"}
    assert Settings.from_environment(given).mail is not None
    for wrong in ({"TONADA_MAIL": "mail.example.org"}, {"TONADA_MAIL_FROM": ""}):
        with pytest.raises(SettingsError, match="TONADA_MAIL"):
            Settings.from_environment({**given, **wrong})
    hosts = Settings.from_environment({**usual, "TONADA_REVIEW_HOSTS": "Reviews.example.org, r2.example.org"})
    assert hosts.review_hosts == ("reviews.example.org", "r2.example.org")
    both = {"TONADA_HOSTS": "a.example.org", "TONADA_REVIEW_HOSTS": "A.example.org"}
    with pytest.raises(SettingsError, match="TONADA_REVIEW_HOSTS"):
        Settings.from_environment({**usual, **both})


def mark_of(color: str) -> bytes:
    written = io.BytesIO()
    picture = Image.new("RGBA", (1200, 400))
    picture.paste(color, (300, 100, 900, 300))
    picture.save(written, "PNG")
    return written.getvalue()


def shown_mark(client: Client) -> Image.Image:
    address = client.get("/api/studio").get_json()["mark"]
    assert address.startswith("data:image/png;base64,")
    return Image.open(io.BytesIO(base64.b64decode(address.partition(",")[2]))).convert("RGBA")


def test_a_studios_mark_is_shown_in_emails_and_can_be_taken_away(client: Client) -> None:
    client.put("/api/studio", json=STUDIO)
    client.put("/api/studio/mark", data={"file": (io.BytesIO(mark_of("#2b3a8c")), "mark.png")})
    assert shown_mark(client).size == (480, 160)
    # The name is set without it, and it stays.
    assert client.put("/api/studio", json=STUDIO).get_json()["mark"] != ""
    refused = client.put("/api/studio/mark", data={"file": (io.BytesIO(b"no picture"), "mark.png")})
    assert refused.status_code == 415
    assert refused.get_json()["field"] == "file"
    assert shown_mark(client).getpixel((240, 80)) == (0x2B, 0x3A, 0x8C, 255)
    assert client.delete("/api/studio/mark").status_code == 204
    assert client.get("/api/studio").get_json()["mark"] == ""


def test_a_mark_too_light_for_a_mail_is_shown_in_ink(client: Client) -> None:
    client.put("/api/studio/mark", data={"file": (io.BytesIO(mark_of("#fdfdfd")), "mark.png")})
    ink = (*bytes.fromhex(MAIL_INK.removeprefix("#")), 255)
    assert shown_mark(client).getpixel((240, 80)) == ink
