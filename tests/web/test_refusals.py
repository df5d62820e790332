"""What is refused: always a problem document with the right status, never a trace, nothing changed."""

from __future__ import annotations

import io
import re
from pathlib import Path
from typing import Any
from uuid import uuid4

import pytest
from flask import Flask

from tests.web.conftest import Client
from tests.web.test_api import LOGO, built, new_brand, upload
from tonada.core.limits import MAX_FILE_BYTES
from tonada.web.app import create_app
from tonada.web.settings import Settings, SettingsError


def problem_of(answer: Any, status: int) -> dict[str, Any]:
    assert answer.status_code == status, answer.text
    assert answer.mimetype == "application/problem+json"
    body = answer.get_json()
    assert body["status"] == status
    assert body["detail"]
    assert "Traceback" not in answer.text
    return body


@pytest.mark.parametrize(
    ("data", "status", "says"),
    [
        pytest.param(b"", 415, "0 bytes", id="empty"),
        pytest.param(b"not an image", 415, "not an image", id="text"),
        pytest.param(LOGO[:60], 415, "well-formed", id="cut off"),
        pytest.param(b"<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>", 415, "script", id="script"),
        pytest.param(b"\0" * (MAX_FILE_BYTES + 1), 413, "20 MB", id="one byte over the limit"),
        pytest.param(b"\0" * (MAX_FILE_BYTES + 100_000), 413, "20 MB", id="well over the limit"),
    ],
)
def test_bad_files_name_the_limit_and_change_nothing(
    client: Client, data: bytes, status: int, says: str
) -> None:
    brand = new_brand(client)["id"]
    body = problem_of(upload(client, brand, data), status)
    assert says in body["detail"]
    assert body["field"] == "file"
    assert client.get(f"/api/brands/{brand}").get_json()["sources"] == []


def test_a_form_without_a_file_names_the_field(client: Client) -> None:
    answer = client.post(f"/api/brands/{new_brand(client)['id']}/sources", data={"other": "x"})
    assert problem_of(answer, 422)["field"] == "file"
    answer = client.post(f"/api/brands/{new_brand(client)['id']}/sources", data={"file": "text"})
    assert problem_of(answer, 422)["field"] == "file"


@pytest.mark.parametrize(
    ("path", "body", "field"),
    [
        pytest.param("/api/brands", {"name": "  "}, "name", id="empty name"),
        pytest.param("/api/brands", {"name": "x" * 81}, "name", id="long name"),
        pytest.param("/api/brands", {"name": "x", "owner": "me"}, "owner", id="unknown field"),
        pytest.param("/api/colors", {"text": "blurple"}, "text", id="no colour"),
        pytest.param("/api/colors", {"text": "#00000080"}, "text", id="translucent swatch"),
        pytest.param("/api/proposals", {"colors": []}, "colors", id="no colours"),
        pytest.param(
            "/api/proposals", {"colors": [{"hex": "red", "share": 1}]}, "colors.0.hex", id="wrong hex"
        ),
        pytest.param(
            "/api/evaluate",
            {"document": {"roles": [{"role": "ink", "swatch": "s1", "reason": ""}]}},
            "roles.0.swatch",
            id="a role of no swatch",
        ),
        pytest.param("/api/evaluate", {"document": {"format": 3}}, "document.format", id="unknown format"),
    ],
)
def test_bad_input_names_its_field(client: Client, path: str, body: dict[str, Any], field: str) -> None:
    assert problem_of(client.post(path, json=body), 422)["field"] == field


def test_a_broken_document_is_not_saved(client: Client) -> None:
    take = new_brand(client)["first_take"]
    document = built(client)["document"]
    document["swatches"][0]["hex"] = "#XYZ"
    body = problem_of(client.put(f"/api/takes/{take}", json={"document": document, "revision": 1}), 422)
    assert body["field"] == "document.swatches.0.hex"
    assert client.get(f"/api/takes/{take}").get_json()["revision"] == 1


def test_names_are_kept_in_one_line_without_what_can_t_be_seen(client: Client) -> None:
    name = "\ttwo\nlines\x00 and \u202e turned\uffff "
    brand = client.post("/api/brands", json={"name": name}).get_json()
    assert brand["name"] == "two lines and turned"
    problem_of(client.post("/api/brands", json={"name": "\x00\t"}), 422)
    take = client.get(f"/api/takes/{brand['first_take']}").get_json()
    origin = {"kind": "typed", "note": name}
    swatch = {"id": "s1", "name": name, "hex": "#123456", "held": False, "origin": origin}
    document = take["document"] | {"swatches": [swatch]}
    saved = client.put(f"/api/takes/{take['id']}", json={"document": document, "revision": 1}).get_json()
    swatch = saved["document"]["swatches"][0]
    assert (swatch["name"], swatch["origin"]["note"]) == ("two lines and turned",) * 2
    cut = client.post(f"/api/takes/{take['id']}/versions", json={"description": name}).get_json()
    assert cut["description"] == "two lines and turned"


def test_a_character_that_no_column_holds_is_refused_and_nothing_saved(client: Client) -> None:
    brand = new_brand(client)
    take = client.get(f"/api/takes/{brand['first_take']}").get_json()
    document = take["document"] | {"proof": take["document"]["proof"] | {"logo": "a\x00b"}}
    path = f"/api/takes/{take['id']}"
    said = problem_of(client.put(path, json={"document": document, "revision": 1}), 422)
    assert "U+0000" in said["detail"]
    assert client.get(path).get_json() == take


@pytest.mark.parametrize(
    ("data", "name"),
    [
        (b"a\0b { color: #123456; background: #fff }", "site\x00.css"),
        (b"GIMP Palette\nName: a\0b\n#\n18 52 86 sea\0blue\n", "colors.gpl"),
        (b'{"sea\\u0000blue": {"$type": "color", "$value": "#123456", "$description": "\\u0000"}}', "a.json"),
        (b"name,hex\nsea\0blue,#123456\n", "colors.csv"),
        (b":root { --sea\0blue: #123456 }", "colors.css"),
    ],
)
def test_files_with_characters_that_no_column_holds_are_read_or_refused(
    client: Client, data: bytes, name: str
) -> None:
    answer = upload(client, new_brand(client)["id"], data, name)
    if answer.status_code != 201:
        problem_of(answer, 415 if answer.status_code == 415 else 422)
    else:
        assert "\\u0000" not in answer.text


@pytest.mark.parametrize(
    ("body", "status"),
    [
        pytest.param(b"{", 422, id="no end"),
        pytest.param(b"[]", 422, id="a list"),
        pytest.param(b"\xff\xfe", 422, id="no UTF-8"),
        pytest.param(b"[" * 100_000, 422, id="nested"),
        pytest.param(b'"' + b"x" * 524_289 + b'"', 413, id="over the limit"),
    ],
)
def test_what_is_no_json_object_is_refused(client: Client, body: bytes, status: int) -> None:
    problem_of(client.post("/api/evaluate", data=body, content_type="application/json"), status)


@pytest.mark.parametrize(
    "kind",
    ["application/json", "application/vnd.api+json", "text/plain", "application/octet-stream", ""],
)
def test_the_limit_holds_by_what_arrives_whatever_it_is_called(client: Client, kind: str) -> None:
    fits = b'{"name": "%s"}' % (b"x" * 524_000)
    over = b'{"name": "%s"}' % (b"x" * 524_400)
    form = "multipart/form-data; boundary=x"
    problem_of(client.post("/api/brands", data=over, content_type=form), 413)
    assert client.post("/api/brands", data=fits, content_type=kind).status_code != 413
    assert "512 KB" in problem_of(client.post("/api/brands", data=over, content_type=kind), 413)["detail"]


@pytest.mark.parametrize(
    ("method", "path"),
    [
        ("get", "/api/brands/{}"),
        ("get", "/api/takes/{}"),
        ("get", "/api/takes/{}/versions/1/files/css"),
        ("get", "/api/sources/{}/preview"),
    ],
)
def test_what_isn_t_there_is_404(client: Client, method: str, path: str) -> None:
    problem_of(getattr(client, method)(path.format(uuid4())), 404)
    problem_of(getattr(client, method)(path.format("not-a-uuid")), 404)


def test_an_upload_to_no_brand_is_404(client: Client) -> None:
    problem_of(upload(client, str(uuid4()), LOGO), 404)


def test_an_unknown_path_of_the_api_is_a_problem(client: Client) -> None:
    problem_of(client.get("/api/nothing"), 404)
    problem_of(client.delete("/api/brands"), 405)


@pytest.mark.parametrize("token", [True, False])
@pytest.mark.parametrize("disposition", ["form-data", 'form-data; filename="a.csv"', "attachment"])
def test_a_part_of_a_form_without_a_name_is_refused(client: Client, disposition: str, *, token: bool) -> None:
    brand = new_brand(client)
    client.token = client.token if token else ""
    body = f"--x\r\nContent-Disposition: {disposition}\r\n\r\n#123456\r\n--x--\r\n"
    answer = client.post(
        f"/api/brands/{brand['id']}/sources", data=body, content_type="multipart/form-data; boundary=x"
    )
    assert "has no name" in problem_of(answer, 422)["detail"]
    assert client.get(f"/api/brands/{brand['id']}").get_json()["sources"] == []


def test_every_change_needs_the_token(app: Flask) -> None:
    bare = app.test_client()
    said = problem_of(bare.post("/api/brands", json={"name": "x"}), 403)
    # By this the page knows that it has to read the token again.
    assert said["type"] == "urn:tonada:csrf-refused"
    problem_of(bare.put(f"/api/takes/{uuid4()}", json={}), 403)
    form = {"file": (io.BytesIO(LOGO), "a.svg")}
    problem_of(bare.post(f"/api/brands/{uuid4()}/sources", data=form), 403)


def test_every_changing_route_is_under_the_token_but_for_pure_computation(app: Flask) -> None:
    exempt = {"/api/evaluate", "/api/mends", "/api/proposals", "/api/colors", "/api/lists"}
    exempt |= {
        "/api/sight",
        "/api/gradient",
        "/api/sources/<uuid:source_id>/backdrop",
        "/api/grid",
        "/api/ramps",
        "/api/mend-all",
        "/api/changes",
        "/api/proof",
        "/api/handoff/preview",
        "/api/values",
        "/api/slots",
        "/api/mapping",
        "/api/restyle",
        "/api/dependents",
        "/api/variations",
        "/api/advice",
        "/api/comparisons",
    }
    exempt |= {"/api/sources/<uuid:source_id>/loupe", "/api/documents", "/api/palettes/search"}
    exempt |= {"/api/review/<string:token>/passphrase"}
    exempt |= {f"/api/sources/<uuid:source_id>/{what}" for what in ("old-colors", "recoloured", "rules")}
    bare = app.test_client()
    for rule in app.url_map.iter_rules():
        if rule.methods & {"POST", "PUT", "PATCH", "DELETE"} and rule.rule not in exempt:
            path = re.sub("<int:[a-z_]+>", "1", re.sub("<uuid:[a-z_]+>", str(uuid4()), rule.rule))
            method = (rule.methods & {"POST", "PUT", "PATCH", "DELETE"}).pop()
            problem_of(bare.open(path, method=method, json={}), 403)


def test_another_host_name_is_not_answered(client: Client) -> None:
    assert client.get("/api/brands", headers={"Host": "evil.example"}).status_code == 400


def test_every_answer_carries_the_strict_headers(client: Client) -> None:
    for path in ("/", "/api/brands", "/api/nothing", "/healthz"):
        headers = client.get(path).headers
        policy = dict(part.split(" ", 1) for part in headers["Content-Security-Policy"].split("; "))
        assert policy == {
            "default-src": "'none'",
            "script-src": "'self'",
            "style-src": "'self'",
            "img-src": "'self' blob: data:",
            "font-src": "'self'",
            "connect-src": "'self'",
            "frame-src": "'self'",
            "manifest-src": "'self'",
            "base-uri": "'self'",
            "form-action": "'none'",
            "frame-ancestors": "'none'",
        }
        assert headers["X-Content-Type-Options"] == "nosniff"
        assert headers["Referrer-Policy"] == "no-referrer"
        assert headers["Cross-Origin-Opener-Policy"] == "same-origin"
    cookie = app_cookie(client)
    assert "HttpOnly" in cookie
    assert "SameSite=Strict" in cookie


def app_cookie(client: Client) -> str:
    fresh = client.application.test_client().get("/api/session")
    return fresh.headers["Set-Cookie"]


def test_the_unexpected_says_nothing_about_itself(
    app: Flask, client: Client, monkeypatch: pytest.MonkeyPatch
) -> None:
    def fail(*_: object) -> None:
        raise RuntimeError("the secret inside")

    monkeypatch.setattr("tonada.web.brands.views.brands.page", fail)
    body = problem_of(client.get("/api/brands"), 500)
    assert "secret" not in str(body)


@pytest.mark.detail(4)
def test_too_many_requests_are_refused(database_url: str) -> None:
    settings = Settings(database_url, "a secret for the tests, long enough", Path("/nowhere"))
    limited = create_app(settings)
    bare = limited.test_client()
    statuses = {bare.get("/api/brands").status_code for _ in range(1210)}
    refused = bare.get("/api/brands")
    limited.extensions["tonada"].close()
    assert statuses == {200, 429}
    problem_of(refused, 429)
    assert 1 <= int(refused.headers["Retry-After"]) <= 60


@pytest.mark.parametrize(
    ("environment", "names"),
    [
        ({}, "DATABASE_URL"),
        ({"DATABASE_URL": "mysql://x"}, "DATABASE_URL"),
        ({"DATABASE_URL": "postgresql://x/y", "SECRET_KEY": "short"}, "SECRET_KEY"),
    ],
)
def test_a_bad_setting_is_named_with_an_example(environment: dict[str, str], names: str) -> None:
    with pytest.raises(SettingsError, match=names):
        Settings.from_environment(environment)
