"""Words typed over a page's own, through the API: in every take of a brand, with fonts for their letters."""

from __future__ import annotations

import io
from typing import Any

import pytest
from fontTools.ttLib import TTFont

from tests.takes import TAKE
from tests.web.conftest import Client
from tonada.core.proof.letters import MOST_LETTERS
from tonada.document.take import TakeDocument

DOCUMENT = TakeDocument.of(TAKE).model_dump(mode="json")
HEADING = {"page": "home", "part": "Opening’s heading"}
ARABIC = "استيقظ والبحيرة"


def document_with(*texts: dict[str, str]) -> dict[str, Any]:
    return {**DOCUMENT, "proof": {**DOCUMENT["proof"], "texts": list(texts)}}


def brand_with_takes(client: Client, count: int) -> tuple[str, list[str]]:
    brand = client.post("/api/brands", json={"name": "Own words"}).get_json()["id"]
    for _ in range(count - 1):
        assert client.post(f"/api/brands/{brand}/takes", json={"document": DOCUMENT}).status_code == 201
    takes = client.get(f"/api/brands/{brand}").get_json()["takes"]
    return brand, [take["id"] for take in takes]


def texts_of(client: Client, take: str) -> list[str]:
    proof = client.get(f"/api/takes/{take}").get_json()["document"]["proof"]
    return [one["text"] for one in proof["texts"]]


def test_the_figures_of_a_page_say_how_its_own_words_are_set(client: Client) -> None:
    document = document_with({**HEADING, "text": ARABIC})
    said = client.post("/api/proof", json={"document": document, "voice": "hotel"}).get_json()
    assert said["texts"] == [{**HEADING, "text": ARABIC, "language": "ar", "direction": "rtl"}]
    assert said["spoken"] == {"language": "ar", "direction": "rtl"}
    serif, sans = said["letters"]
    assert (serif["name"], serif["instead_of"]) == ("Noto Naskh Arabic", ["Newsreader"])
    assert (sans["name"], sans["instead_of"]) == ("Noto Sans Arabic", ["Instrument Sans"])
    path = f"/api/letters/{serif['script']}/{serif['kind']}/400"
    font = client.get(path, query_string={"of": serif["characters"]})
    assert font.mimetype == "font/woff2"
    assert set(map(ord, ARABIC.replace(" ", ""))) <= set(TTFont(io.BytesIO(font.data)).getBestCmap())


@pytest.mark.parametrize(
    ("path", "of"),
    [
        ("Xxxx/sans/400", "a"),
        ("../sans/400", "a"),
        ("Arab/italic/400", "ب"),
        ("Arab/sans/900", "ب"),
        ("Arab/sans/400", ""),
        ("Arab/sans/400", "ب" * (MOST_LETTERS + 1)),
    ],
)
def test_letters_that_nobody_has_are_refused(client: Client, path: str, of: str) -> None:
    refused = client.get(f"/api/letters/{path}", query_string={"of": of})
    assert refused.status_code in (404, 422)


def test_other_takes_say_it_too_but_for_those_with_words_of_their_own(client: Client) -> None:
    brand, (first, second, third) = brand_with_takes(client, 3)
    own = {"document": document_with({**HEADING, "text": "Mine"}), "revision": 1}
    assert client.put(f"/api/takes/{third}", json=own).status_code == 200
    said = {**HEADING, "take": first, "text": "Open on Mondays"}
    assert client.post(f"/api/brands/{brand}/texts", json=said).get_json() == {"takes": 1}
    assert texts_of(client, first) == [], "the open take is the window's own to save"
    assert texts_of(client, second) == ["Open on Mondays"]
    assert texts_of(client, third) == ["Mine"]
    assert client.post(f"/api/brands/{brand}/texts", json=said).get_json() == {"takes": 0}
    back = {**said, "text": "", "before": "Open on Mondays"}
    assert client.post(f"/api/brands/{brand}/texts", json=back).get_json() == {"takes": 1}
    assert texts_of(client, second) == []
    assert texts_of(client, third) == ["Mine"]


def test_a_window_that_was_open_is_told_that_its_take_was_changed(client: Client) -> None:
    brand, (first, second) = brand_with_takes(client, 2)
    stale = client.get(f"/api/takes/{second}").get_json()
    client.post(f"/api/brands/{brand}/texts", json={**HEADING, "take": first, "text": "Now"})
    refused = client.put(f"/api/takes/{second}", json={"document": DOCUMENT, "revision": stale["revision"]})
    assert refused.status_code == 409
    assert texts_of(client, second) == ["Now"], "nothing was overwritten"


def test_words_that_are_too_long_or_of_no_part_change_nothing(client: Client) -> None:
    brand, (first, second) = brand_with_takes(client, 2)
    for wrong in ({"text": "x" * 601}, {"text": "x", "part": ""}, {"text": "x", "take": "none"}):
        body = {**HEADING, "take": first, **wrong}
        assert client.post(f"/api/brands/{brand}/texts", json=body).status_code == 422
    assert texts_of(client, second) == []
    nowhere = client.post(f"/api/brands/{first}/texts", json={**HEADING, "take": first, "text": "x"})
    assert nowhere.status_code == 404


def test_a_new_take_says_what_all_takes_of_the_brand_say(client: Client) -> None:
    brand, (first, second) = brand_with_takes(client, 2)
    for take, others in (
        (first, ()),
        (second, ({"page": "home", "part": "Call’s heading", "text": "Come"},)),
    ):
        kept = client.get(f"/api/takes/{take}").get_json()
        document = document_with({**HEADING, "text": "Wake with the lake"}, *others)
        body = {"document": document, "revision": kept["revision"]}
        assert client.put(f"/api/takes/{take}", json=body).status_code == 200
    made = client.post(f"/api/brands/{brand}/takes", json={"document": DOCUMENT}).get_json()
    assert texts_of(client, made["id"]) == ["Wake with the lake"]
    assert made["document"]["swatches"] == DOCUMENT["swatches"]
    own = document_with({**HEADING, "text": "Own"})
    made = client.post(f"/api/brands/{brand}/takes", json={"document": own}).get_json()
    assert texts_of(client, made["id"]) == ["Own"]
    # Now no text is in all of them.
    made = client.post(f"/api/brands/{brand}/takes", json={"document": DOCUMENT}).get_json()
    assert texts_of(client, made["id"]) == []
