"""Kept stylesheets in the colours of a take: what is chosen stays with it, what is served is inert."""

from __future__ import annotations

import io
import zipfile
from typing import Any

import pytest

from tests.web.conftest import Client
from tests.web.test_api import LOGO, new_brand, upload
from tests.web.test_handoff_api import DOCUMENT
from tests.web.test_refusals import problem_of

SHEET = b".a { color: #333333; background: #ffffff }\n.b { color: #fff; background: #c33 }\n"


@pytest.fixture
def brand(client: Client) -> dict[str, Any]:
    return new_brand(client)


def keep(client: Client, brand: dict[str, Any], *names: str) -> str:
    form = {"file": [(io.BytesIO(SHEET), name) for name in names], "wanted": "stylesheet"}
    source: str = client.post(f"/api/brands/{brand['id']}/sources", data=form).get_json()["id"]
    return source


def ask(client: Client, source: str, what: str, document: dict[str, Any], **more: str) -> dict[str, Any]:
    answer = client.post(f"/api/sources/{source}/{what}", json={"document": document, **more})
    assert answer.status_code == 200, answer.text
    return answer.get_json()


def choosing(source: str, **keys: str) -> dict[str, Any]:
    slots = [{"destination": source, "slot": f"#{old[1:]}", "key": key} for old, key in keys.items()]
    return {**DOCUMENT, "slots": slots}


def test_old_colors_have_a_proposal_and_what_is_chosen_holds(client: Client, brand: dict[str, Any]) -> None:
    source = keep(client, brand, "site.css")
    found = ask(client, source, "old-colors", DOCUMENT)
    assert {"#333333", "#ffffff", "#cc3333"} == {old for one in found["colors"] for old in one["members"]}
    assert found["chosen"] == {}
    key = DOCUMENT["swatches"][0]["id"]
    document = choosing(source, x333333=key, xffffff="gone", xcc3333=f"{key}/3")
    chosen = ask(client, source, "old-colors", document)["chosen"]
    assert chosen == {"#333333": key, "#cc3333": f"{key}/3"}
    assert chosen.items() <= {(old, one["key"]) for old in chosen for one in found["choices"]}
    made = ask(client, source, "recoloured", document)
    assert f"+.a {{ color: {DOCUMENT['swatches'][0]['hex']};" in made["diff"]
    assert "var(--" in ask(client, source, "recoloured", document, write="properties")["diff"]
    assert ask(client, source, "rules", document)["judged"] == 2


def test_the_file_of_a_version_has_what_was_chosen(client: Client, brand: dict[str, Any]) -> None:
    source, take = keep(client, brand, "a.css"), brand["first_take"]
    body = {"document": choosing(source, x333333="#123456"), "revision": 1}
    assert client.put(f"/api/takes/{take}", json=body).status_code == 200
    client.post(f"/api/takes/{take}/versions", json={"description": "x"})
    answer = client.get(f"/api/takes/{take}/versions/1/recoloured/{source}")
    assert answer.headers["Content-Disposition"] == "attachment; filename=a.css"
    assert ".a { color: #123456;" in answer.text


def test_the_sample_page_is_inert_and_has_both_sides(client: Client, brand: dict[str, Any]) -> None:
    source, take = keep(client, brand, "a.css"), brand["first_take"]
    body = {"document": choosing(source, x333333="#123456"), "revision": 1}
    client.put(f"/api/takes/{take}", json=body)
    address = f"/api/takes/{take}/recoloured/{source}/page"
    after, before = client.get(f"{address}?revision=2"), client.get(f"{address}?side=before")
    assert "#123456" in after.text
    assert "#333333" in before.text
    policy = after.headers["Content-Security-Policy"].split("; ")
    assert {"default-src 'none'", "sandbox", "frame-ancestors 'self'"} <= set(policy)
    assert not any(one.startswith("script-src") for one in policy)
    assert after.headers["X-Content-Type-Options"] == "nosniff"


def test_several_files_come_as_an_archive(client: Client, brand: dict[str, Any]) -> None:
    source, take = keep(client, brand, "a.css", "b.css"), brand["first_take"]
    client.put(f"/api/takes/{take}", json={"document": DOCUMENT, "revision": 1})
    client.post(f"/api/takes/{take}/versions", json={"description": "x"})
    answer = client.get(f"/api/takes/{take}/versions/1/recoloured/{source}")
    assert zipfile.ZipFile(io.BytesIO(answer.data)).namelist() == ["a.css", "b.css"]
    twice = keep(client, brand, "a.css", "../sub/a.css")
    answer = client.get(f"/api/takes/{take}/versions/1/recoloured/{twice}")
    assert zipfile.ZipFile(io.BytesIO(answer.data)).namelist() == ["a.css", "2-a.css"]


def test_only_stylesheets_of_this_workspace_are_recoloured(client: Client, brand: dict[str, Any]) -> None:
    logo = upload(client, brand["id"], LOGO).get_json()["id"]
    refused = client.post(f"/api/sources/{logo}/old-colors", json={"document": DOCUMENT})
    assert problem_of(refused, 422)["field"] == "source"
    missing = "00000000-0000-4000-8000-000000000000"
    problem_of(client.post(f"/api/sources/{missing}/rules", json={"document": DOCUMENT}), 404)
    problem_of(client.get(f"/api/takes/{brand['first_take']}/recoloured/{missing}/page"), 404)


def test_what_is_not_understood_is_listed(client: Client, brand: dict[str, Any]) -> None:
    sheet = b".a { color: hsl(from var(--x) h s l); background: #fff }"
    form = {"file": [(io.BytesIO(sheet), "a.css")], "wanted": "stylesheet"}
    (note,) = client.post(f"/api/brands/{brand['id']}/sources", data=form).get_json()["notes"]
    assert (note["kind"], note["where"]) == ("not understood", "line 1")
    assert "--x is set nowhere" in note["text"]


def test_the_rules_of_a_very_large_sheet_are_not_compared(client: Client, brand: dict[str, Any]) -> None:
    sheet = SHEET + b"/*" + b"x" * 1_000_000 + b"*/"
    form = {"file": [(io.BytesIO(sheet), "a.css")], "wanted": "stylesheet"}
    source = client.post(f"/api/brands/{brand['id']}/sources", data=form).get_json()["id"]
    refused = client.post(f"/api/sources/{source}/rules", json={"document": DOCUMENT})
    assert problem_of(refused, 422)["field"] == "source"
    assert ask(client, source, "recoloured", DOCUMENT)["replaced"] == 4
