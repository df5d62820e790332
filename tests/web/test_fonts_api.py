"""Fonts of a brand's own: added, shown, taken away, and travelling with the brand, its files and reviews."""

from __future__ import annotations

import io
import json
from string import ascii_letters
from typing import Any
from uuid import uuid4

import pytest
from flask import Flask
from fontTools.ttLib import TTFont
from werkzeug.test import TestResponse

from tests.fonts import ADVANCE, FAMILY, font_file
from tests.reviews import Reader, built_take
from tests.web.conftest import Client
from tests.web.test_api import new_brand
from tests.web.test_brand_files import own_file, send
from tonada.core.limits import MAX_FONTS

FACE = f"own: {FAMILY}"


def add(client: Client, brand: str, content: bytes, name: str = "halden.woff2") -> TestResponse:
    return client.post(f"/api/brands/{brand}/fonts", data={"file": (io.BytesIO(content), name)})


def fonts_of(client: Client, brand: str) -> list[dict[str, Any]]:
    found: list[dict[str, Any]] = client.get(f"/api/brands/{brand}").get_json()["fonts"]
    return found


def set_in(client: Client, take: str, **faces: str) -> None:
    kept = client.get(f"/api/takes/{take}").get_json()
    document = {**kept["document"], "proof": {**kept["document"]["proof"], **faces}}
    answer = client.put(f"/api/takes/{take}", json={"document": document, "revision": kept["revision"]})
    assert answer.status_code == 200, answer.get_json()


@pytest.fixture
def brand(client: Client) -> dict[str, Any]:
    made = new_brand(client)
    assert add(client, made["id"], font_file()).status_code == 201
    return made


@pytest.fixture
def take(client: Client, brand: dict[str, Any]) -> str:
    made = built_take(client, brand)
    set_in(client, made, heading_face=FACE)
    return made


def test_a_font_is_listed_with_what_it_draws_and_served_inert(client: Client, brand: dict[str, Any]) -> None:
    (font,) = fonts_of(client, brand["id"])
    assert (font["face"], font["lightest"], font["heaviest"]) == (FACE, 400, 400)
    assert "a" not in font["lacks"]
    assert "ő" in font["lacks"]
    served = client.get(f"/api/fonts/{font['id']}/file")
    assert served.mimetype == "font/woff2"
    assert served.headers["X-Content-Type-Options"] == "nosniff"
    kept = TTFont(io.BytesIO(served.data))
    assert kept["hmtx"][kept.getBestCmap()[ord("A")]][0] == ADVANCE
    for method, rest in (("GET", "/file"), ("DELETE", ""), ("POST", "/restoration")):
        assert client.open(f"/api/fonts/{uuid4()}{rest}", method=method).status_code == 404
    assert add(client, str(uuid4()), font_file()).status_code == 404


def test_the_same_font_is_there_once_and_a_bold_one_beside_it(client: Client, brand: dict[str, Any]) -> None:
    again = add(client, brand["id"], font_file(flavor=None), "the same.ttf").get_json()
    assert again["name"] == "halden.woff2"
    add(client, brand["id"], font_file(weight=700))
    assert [font["lightest"] for font in fonts_of(client, brand["id"])] == [400, 700]


def test_what_is_no_font_is_refused_and_nothing_is_kept(client: Client, brand: dict[str, Any]) -> None:
    refused = add(client, brand["id"], b"<svg/>", "logo.svg")
    assert refused.status_code == 422
    assert refused.get_json()["field"] == "file"
    assert "“logo.svg” isn’t a font" in refused.get_json()["detail"]
    empty = client.post(f"/api/brands/{brand['id']}/fonts", data={})
    assert empty.status_code == 422
    assert len(fonts_of(client, brand["id"])) == 1


def test_a_brand_has_so_many_fonts_and_no_more(client: Client, brand: dict[str, Any]) -> None:
    for weight in range(1, MAX_FONTS):
        assert add(client, brand["id"], font_file(ascii_letters, weight=weight)).status_code == 201
    refused = add(client, brand["id"], font_file(weight=900))
    assert refused.status_code == 422
    assert f"at most {MAX_FONTS} fonts" in refused.get_json()["detail"]
    # The one that is there is no new one.
    assert add(client, brand["id"], font_file()).status_code == 201


def test_a_removed_font_comes_back_and_one_added_meanwhile_stays(
    client: Client, brand: dict[str, Any]
) -> None:
    (font,) = fonts_of(client, brand["id"])
    assert client.delete(f"/api/fonts/{font['id']}").status_code == 204
    assert fonts_of(client, brand["id"]) == []
    gone = client.get(f"/api/fonts/{font['id']}/file")
    assert gone.status_code == 410
    assert gone.get_json()["restoration"] == f"/api/fonts/{font['id']}/restoration"
    assert client.post(gone.get_json()["restoration"]).status_code == 204
    assert fonts_of(client, brand["id"]) == [font]
    client.delete(f"/api/fonts/{font['id']}")
    other = add(client, brand["id"], font_file()).get_json()
    assert other["id"] != font["id"]
    assert client.post(f"/api/fonts/{font['id']}/restoration").status_code == 204
    assert [one["id"] for one in fonts_of(client, brand["id"])] == [other["id"]]


def test_pages_are_set_in_it_while_it_is_there(client: Client, brand: dict[str, Any], take: str) -> None:
    document = client.get(f"/api/takes/{take}").get_json()["document"]
    faces = [
        {name: font[name] for name in ("family", "kind", "lightest", "heaviest", "scripts", "lacks")}
        for font in fonts_of(client, brand["id"])
    ]
    with_it = client.post("/api/proof", json={"document": document, "fonts": faces}).get_json()["faces"]
    assert with_it["heading"] == FACE
    assert with_it["heading_helper"] != ""
    assert with_it["text_helper"] == ""
    without = client.post("/api/proof", json={"document": document}).get_json()["faces"]
    assert without["heading"] == with_it["heading_helper"]
    page = {"scheme": "day", "fonts": faces}
    swatch = document["swatches"][0]["id"]
    change = {"kind": "place", "swatch": swatch, "chroma": 0.1, "hue": 30, "position": 0.4}
    changed = client.post("/api/changes", json={"document": document, "change": change, "page": page})
    assert changed.get_json()["page"]["faces"] == with_it


@pytest.mark.parametrize("face", ["own: ", "own: a'b", "own: x}</style>", "Halden", "own: " + "x" * 41])
def test_a_face_that_no_font_can_have_is_refused(client: Client, take: str, face: str) -> None:
    kept = client.get(f"/api/takes/{take}").get_json()
    document = {**kept["document"], "proof": {**kept["document"]["proof"], "heading_face": face}}
    answer = client.put(f"/api/takes/{take}", json={"document": document, "revision": kept["revision"]})
    assert answer.status_code == 422
    assert "heading_face" in answer.get_json()["field"]


def test_copies_and_archives_have_the_fonts(client: Client, brand: dict[str, Any], take: str) -> None:
    archive = client.get(f"/api/brands/{brand['id']}/file").data
    copies = [
        send(client, "/api/brands/files", archive, "a.tonada.zip").get_json()["brand"],
        client.post(f"/api/brands/{brand['id']}/copies").get_json(),
    ]
    (own,) = fonts_of(client, brand["id"])
    content = client.get(f"/api/fonts/{own['id']}/file").data
    for copy in copies:
        (font,) = fonts_of(client, copy["id"])
        assert font["id"] != own["id"]
        assert font["face"] == FACE
        assert client.get(f"/api/fonts/{font['id']}/file").data == content


def test_a_takes_file_says_which_font_is_missing_elsewhere(
    client: Client, brand: dict[str, Any], take: str
) -> None:
    file = own_file(client, take)
    assert json.loads(file)["version"] == 8
    here = send(client, f"/api/brands/{brand['id']}/takes/files", file).get_json()
    assert here["missing"] == []
    elsewhere = send(client, "/api/brands/files", file).get_json()
    assert elsewhere["missing"] == [f"the font {FAMILY}"]


def test_a_client_gets_the_font_with_the_review_and_files_are_set_in_it(
    app: Flask, client: Client, brand: dict[str, Any], take: str
) -> None:
    made = client.post(f"/api/brands/{brand['id']}/reviews", json={"takes": [{"take": take}]}).get_json()
    reader = Reader(app, made["link"]["path"])
    shown = reader.content()["takes"][0]
    (kept,) = shown["fonts"]
    assert (kept["family"], kept["lightest"]) == (FAMILY, 400)
    assert shown["drawn"]["day"]["figures"]["faces"]["heading"] == FACE
    (own,) = fonts_of(client, brand["id"])
    content = client.get(f"/api/fonts/{own['id']}/file").data
    assert reader.ask("GET", f"/files/{kept['file']}").data == content
    # What was frozen stays, whatever becomes of the font.
    client.delete(f"/api/fonts/{own['id']}")
    assert reader.ask("GET", f"/files/{kept['file']}").data == content


def test_a_sheet_and_its_preview_are_set_in_it(client: Client, brand: dict[str, Any], take: str) -> None:
    client.post(f"/api/takes/{take}/versions", json={"description": "x", "is_automatic": False})
    version = f"/api/takes/{take}/versions/1/files"
    whole = client.get(f"{version}/pdf").data
    page = client.get(f"{version}/html").get_data(as_text=True)
    assert f'font-family: "Letters {FACE}"; font-weight: 400 400;' in page
    assert f">{FAMILY}</strong>" in page
    document = client.get(f"/api/takes/{take}").get_json()["document"]
    body = {"document": document, "kind": "pdf", "brand": brand["name"], "take": "Take 1"}
    own = client.post("/api/handoff/sheet", json={**body, "brand_id": brand["id"]}).get_json()
    plain = client.post("/api/handoff/sheet", json=body).get_json()
    assert own["pages"] != plain["pages"]
    (font,) = fonts_of(client, brand["id"])
    client.delete(f"/api/fonts/{font['id']}")
    assert client.get(f"{version}/pdf").data != whole
