"""The API as the page uses it: brands, sources, takes, computation."""

from __future__ import annotations

import io
from pathlib import Path
from typing import Any
from uuid import uuid4

import pytest
from PIL import Image
from werkzeug.test import TestResponse

from tests.web.conftest import Client
from tonada.demo.seed import seed_demo
from tonada.store.database import connect

LOGO = (
    b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 20 20">'
    b'<rect width="20" height="12" fill="#2b3a8c"/><rect y="12" width="20" height="8" fill="#d7b13c"/></svg>'
)


def new_brand(client: Client, name: str = " Orrin Peak ") -> dict[str, Any]:
    answer = client.post("/api/brands", json={"name": name})
    assert answer.status_code == 201
    return answer.get_json()


def upload(client: Client, brand: str, data: bytes, name: str = "logo.svg") -> TestResponse:
    form = {"file": (io.BytesIO(data), name)}
    return client.post(f"/api/brands/{brand}/sources", data=form, content_type="multipart/form-data")


def built(client: Client, **extra: Any) -> dict[str, Any]:
    colors = [{"hex": "#2b3a8c", "share": 0.6}, {"hex": "#d7b13c", "share": 0.4}]
    return client.post("/api/proposals", json={"colors": colors, **extra}).get_json()


def test_a_new_brand_opens_with_one_empty_take(client: Client) -> None:
    brand = new_brand(client)
    assert brand["name"] == "Orrin Peak"
    detail = client.get(f"/api/brands/{brand['id']}").get_json()
    assert [take["name"] for take in detail["takes"]] == ["Take 1"]
    take = client.get(f"/api/takes/{brand['first_take']}").get_json()
    assert (take["revision"], take["document"]["swatches"]) == (1, [])


def test_a_brand_is_renamed(client: Client) -> None:
    brand = new_brand(client)
    assert client.put(f"/api/brands/{brand['id']}", json={"name": "Peak"}).get_json()["name"] == "Peak"


def test_a_logo_becomes_a_source_with_exact_colors_and_a_picture(client: Client) -> None:
    brand = new_brand(client)["id"]
    answer = upload(client, brand, LOGO, "../../etc/peak-logo.svg")
    source = answer.get_json()
    assert answer.status_code == 201
    assert source["name"] == "peak-logo.svg"
    assert [(c["hex"], round(c["share"], 2)) for c in source["colors"]] == [
        ("#2b3a8c", 0.6),
        ("#d7b13c", 0.4),
    ]
    picture = client.get(f"/api/sources/{source['id']}/preview")
    assert picture.mimetype == "image/png"
    assert Image.open(io.BytesIO(picture.data)).size == (1200, 1200)
    again = client.get(
        f"/api/sources/{source['id']}/preview", headers={"If-None-Match": picture.headers["ETag"]}
    )
    assert again.status_code == 304
    assert client.get(f"/api/brands/{brand}").get_json()["sources"] == [source]


def test_a_proposal_gives_roles_reasons_and_the_take_that_follows(client: Client) -> None:
    source = str(uuid4())
    proposal = built(client, source=source, source_name="peak-logo.svg", level="AAA")
    assert proposal["choices"] == ["primary", "accent"]
    assert all(role["reason"] for role in proposal["roles"])
    document = proposal["document"]
    assert document["level"] == "AAA"
    held = [swatch for swatch in document["swatches"] if swatch["held"]]
    assert {swatch["origin"]["source"] for swatch in held} == {source}


def test_a_take_is_saved_and_evaluated(client: Client) -> None:
    take = new_brand(client)["first_take"]
    document = built(client)["document"]
    saved = client.put(f"/api/takes/{take}", json={"document": document, "revision": 1}).get_json()
    assert (saved["revision"], saved["document"]) == (2, document)
    figures = client.post("/api/evaluate", json={"document": document}).get_json()
    assert len(figures["pairs"]) == 19
    assert figures["counts"]["fails"] == sum(pair["outcome"] == "fails" for pair in figures["pairs"])
    kept = client.get(f"/api/takes/{take}/evaluation").get_json()
    assert kept == {"revision": 2, "evaluation": figures}


def test_a_stale_save_is_refused_with_what_is_saved(client: Client) -> None:
    take = new_brand(client)["first_take"]
    document = built(client)["document"]
    client.put(f"/api/takes/{take}", json={"document": document, "revision": 1})
    refused = client.put(f"/api/takes/{take}", json={"document": {}, "revision": 1})
    assert refused.status_code == 409
    assert refused.get_json()["take"]["document"] == document


def test_a_copy_of_a_take_stands_behind_it(client: Client) -> None:
    brand = new_brand(client)["id"]
    made = client.post(f"/api/brands/{brand}/takes", json={"document": {}})
    assert (made.status_code, made.get_json()["name"]) == (201, "Take 2")


def test_mends_come_with_the_take_they_make(client: Client) -> None:
    document = built(client)["document"]
    for pair in document["pairs"]:
        if pair["id"] == "label-on-accent":
            pair["text"] = "paper"
    mends = client.post("/api/mends", json={"document": document, "pair": "label-on-accent"}).get_json()[
        "mends"
    ]
    after = client.post("/api/evaluate", json={"document": mends[0]["document"]}).get_json()
    assert next(pair for pair in after["pairs"] if pair["id"] == "label-on-accent")["outcome"] == "passes"


def test_a_typed_color_comes_back_as_hex_with_a_name(client: Client) -> None:
    answer = client.post("/api/colors", json={"text": "rgb(43 58 140)"})
    expected = {"hex": "#2b3a8c", "name": "Indigo", "notation": "function", "mapped": False}
    assert answer.get_json() == expected


@pytest.mark.detail
def test_the_demo_brands_are_seeded_once(client: Client, database_url: str) -> None:
    for expected in (True, False):
        with connect(database_url) as connection:
            assert seed_demo(connection) is expected
    brands = client.get("/api/brands").get_json()["brands"]
    assert [one["brand"]["name"] for one in brands] == [
        "Orrin Peak Observatory",
        "Saltmarsh Kayak School",
        "Juniper & Loom",
    ]
    detail = client.get(f"/api/brands/{brands[0]['brand']['id']}").get_json()
    assert {color["hex"] for color in detail["sources"][0]["colors"]} == {
        "#2b3a8c",
        "#b6653a",
        "#d7b13c",
        "#ffffff",
    }
    by_eye = client.get(f"/api/takes/{detail['takes'][1]['id']}").get_json()["document"]
    assert client.post("/api/evaluate", json={"document": by_eye}).get_json()["counts"]["fails"] >= 3


@pytest.mark.parametrize("path", ["/", "/brands/x/takes/y/pairs", "/anything"])
def test_every_view_s_address_gives_the_page(client: Client, path: str) -> None:
    page = client.get(path)
    assert page.status_code == 200
    assert "<title>Tonada" in page.text


def test_a_brand_is_put_away_deleted_brought_back_and_copied(client: Client) -> None:
    brand = new_brand(client, "Wool & Co")
    path = f"/api/brands/{brand['id']}"

    def listed(shelf: str, find: str = "") -> list[str]:
        page = client.get("/api/brands", query_string={"shelf": shelf, "find": find}).get_json()
        return [one["brand"]["name"] for one in page["brands"]]

    assert listed("open", "wOOL") == ["Wool & Co"]
    assert client.put(f"{path}/archive", json={"archived": True}).status_code == 200
    assert (listed("open"), listed("archived")) == ([], ["Wool & Co"])
    assert client.delete(path).status_code == 204
    gone = client.get(path)
    assert (gone.status_code, gone.get_json()["restoration"]) == (410, f"{path}/restoration")
    assert client.put(path, json={"name": "Other"}).status_code == 410
    assert client.post(gone.get_json()["restoration"]).get_json()["name"] == "Wool & Co"
    copy = client.post(f"{path}/copies")
    assert (copy.status_code, copy.get_json()["name"]) == (201, "Wool & Co (copy)")
    assert client.get("/api/brands", query_string={"shelf": "attic"}).status_code == 422
    take = client.post(f"{path}/takes", json={"document": {"format": 2}}).get_json()
    client.delete(f"/api/takes/{take['id']}")
    removed = client.get(path).get_json()["removed_takes"]
    assert [(one["id"], one["name"]) for one in removed] == [(take["id"], take["name"])]


def test_brands_and_versions_come_in_pages(client: Client, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("tonada.web.brands.views.BRANDS_A_PAGE", 2)
    monkeypatch.setattr("tonada.web.takes.views.VERSIONS_A_PAGE", 2)
    made = [new_brand(client, f"Brand {number}") for number in range(5)]
    names, after, asked = [], None, 0
    while asked == 0 or after:
        page = client.get("/api/brands", query_string={"after": after} if after else {}).get_json()
        assert len(page["brands"]) <= 2
        names += [one["brand"]["name"] for one in page["brands"]]
        after, asked = page["next"], asked + 1
    assert (names, asked) == ([f"Brand {number}" for number in (4, 3, 2, 1, 0)], 3)
    path = f"/api/takes/{made[0]['first_take']}/versions"
    for number in range(3):
        client.post(path, json={"description": f"state {number + 1}"})
    first = client.get(path).get_json()
    second = client.get(path, query_string={"before": first["next"]}).get_json()
    assert [one["number"] for one in first["versions"]] == [3, 2]
    assert [(one["number"], one["description"]) for one in second["versions"]] == [(1, "state 1")]
    assert (second["next"], second["versions"][0]["hexes"]) == (None, [])
    assert "document" not in first["versions"][0]


def test_the_notices_of_third_parties_are_served_as_text(client: Client, front_end: Path) -> None:
    (front_end / "third-party-notices.txt").write_text("Thank you.")
    answer = client.get("/third-party-notices.txt")
    assert (answer.mimetype, answer.text) == ("text/plain", "Thank you.")
