"""The proof through the API: the pages, grounds for a document, settings that come back as they went in."""

from __future__ import annotations

import io
import re
from pathlib import Path
from typing import Any, get_args

import pytest
from PIL import Image

from tests.takes import TAKE
from tests.web.conftest import Client
from tonada.core.proof.typefaces import PAIRINGS, TYPEFACES, FaceName
from tonada.core.proof.voices import VOICES
from tonada.document.take import TakeDocument

DOCUMENT = TakeDocument.of(TAKE).model_dump(mode="json")


def test_the_vocabulary_names_pages_faces_and_pairings(client: Client) -> None:
    said = client.get("/api/proof").get_json()
    assert [page["id"] for page in said["pages"]] == [
        "board",
        "home",
        "article",
        "shop",
        "dashboard",
        "form",
        "mail",
        "style",
    ]
    assert {one["id"] for one in said["voices"]} == {voice.id for voice in VOICES}
    assert len(said["typefaces"]) == len(TYPEFACES) >= 12
    names = {face.name for face in TYPEFACES}
    assert set(get_args(FaceName)) == names
    shipped = (Path(__file__).parents[2] / "frontend/src/proof/faces.css").read_text(encoding="utf-8")
    assert set(re.findall(r"fontsource-variable/([a-z0-9-]+)/", shipped)) == {
        name.lower().replace(" ", "-") for name in names
    }
    names = {face["name"] for face in said["typefaces"]}
    assert all({one.heading, one.text} <= names for one in PAIRINGS)


def test_the_proof_of_a_document(client: Client) -> None:
    said = client.post("/api/proof", json={"document": DOCUMENT}).get_json()
    assert [one["id"] for one in said["grounds"]][:2] == ["paper", "mist"]
    assert {one["style"] for one in said["styles"]} == {"h1", "h2", "h3", "text", "small", "label"}
    series = said["grounds"][0]["series"]
    assert len(series) == 5
    assert all(one["passes"] and one["ratio"] >= one["needed"] == 3 for one in series)
    assert said["layer"] is None
    empty = client.post("/api/proof", json={"document": {"format": 2}}).get_json()
    assert empty["grounds"] == []
    assert empty["sections"] == []


def test_a_picture_behind_words_is_judged_by_its_pixels(client: Client) -> None:
    written = io.BytesIO()
    Image.effect_noise((64, 48), 90).convert("RGB").save(written, "PNG")
    brand = client.post("/api/brands", json={"name": "Overlook"}).get_json()["id"]
    form = {"file": (io.BytesIO(written.getvalue()), "photo.png")}
    sent = client.post(f"/api/brands/{brand}/sources", data=form, content_type="multipart/form-data")
    picture = client.get(f"/api/brands/{brand}").get_json()["sources"][0]["id"]
    assert sent.status_code < 300

    def judged(**proof: object) -> dict[str, Any]:
        document = {**DOCUMENT, "proof": {"picture": picture, **proof}}
        said: dict[str, Any] = client.post("/api/proof", json={"document": document}).get_json()
        return said

    automatic = judged()
    assert automatic["over_picture"]["is_automatic"]
    assert all(one["passes"] for one in automatic["over_picture"]["elements"])
    bare = judged(bare_picture=True)
    assert bare["layer"] is None
    assert not all(one["passes"] for one in bare["over_picture"]["elements"])
    assert judged(picture_place="beside")["over_picture"] is None
    assert judged(picture="gone")["over_picture"] is None


def test_settings_go_through_the_core_and_come_back(client: Client) -> None:
    proof = {
        "heading_face": "Fraunces",
        "text_face": "Work Sans",
        "sizes": [{"style": "h1", "size": 64.0, "weight": 300}],
        "logo": None,
        "picture": "a-source",
        "overlay": "o1",
        "sections": [{"page": "home", "section": "opening", "ground": "deep"}],
        "narrow_sizes": [{"width": "phone", "style": "h1", "size": 40.0}],
        "picture_place": "beside",
        "duotone": {"dark": "deep", "light": "paper"},
        "voice": "hall",
        "kicker": "An evening",
        "headline": "Sit — close",
        "button": "Tickets",
    }
    grounds = [{"id": "mist", "name": None, "ground": None, "uses": [{"element": "text", "key": "primary"}]}]
    sent = {**DOCUMENT, "proof": proof, "grounds": grounds}
    sent["overlays"] = [{"id": "o1", "name": "Veil", "swatch": "s1", "alpha": 0.5, "step": 3}]
    document = TakeDocument.model_validate(sent)
    assert TakeDocument.of(document.to_take()) == document
    said = client.post("/api/proof", json={"document": sent}).get_json()
    assert said["layer"] is None, "there is no picture that it could lie on"
    opening = {"page": "home", "section": "opening", "ground": "deep", "has_logo": False}
    assert opening in said["sections"]
    assert said["voice"] == "hall"
    own = {one["part"]: one["text"] for one in said["texts"]}
    assert own == {
        "Opening’s kicker": "An evening",
        "Opening’s heading": "Sit — close",
        "Opening’s button, label": "Tickets",
    }, "fields of an earlier Tonada are texts as any"
    assert next(one for one in said["styles"] if one["style"] == "h1")["phone"] == 40
    sizes = [{"style": "h3", "size": 26, "weight": 400}]
    small = client.post("/api/proof", json={"document": {**DOCUMENT, "proof": {"sizes": sizes}}}).get_json()
    h3 = next(one for one in small["styles"] if one["style"] == "h3")
    assert (h3["size"], h3["deciding"], h3["needed"]) == (26, 22, 4.5), "large when wide, not on a phone"
    assert said["tone"]["by_luma"]
    ends = [float(one) for one in said["tone"]["red"].split()]
    assert ends == pytest.approx(
        [int(TAKE.color_of(key)[1:3], 16) / 255 for key in ("deep", "paper")], abs=1e-5
    )


def test_a_brand_s_voice_is_guessed_and_a_take_s_own_goes_before_it(client: Client) -> None:
    made = client.post("/api/brands", json={"name": "Harbour Clinic"}).get_json()
    assert client.get(f"/api/brands/{made['id']}").get_json()["voice"] == "practice"
    guessed = client.post("/api/proof", json={"document": DOCUMENT, "voice": "mill"}).get_json()
    assert guessed["voice"] == "mill"
    own = {**DOCUMENT, "proof": {"voice": "choirs"}}
    said = client.post("/api/proof", json={"document": own, "voice": "mill"}).get_json()
    assert said["voice"] == "choirs"
    home = [one["section"] for one in said["sections"] if one["page"] == "home"]
    assert "numbers" in home
    assert "menu" not in home


def test_all_sizes_by_a_ratio_are_one_change(client: Client) -> None:
    change = {"kind": "type scale", "base": 18, "ratio": 1.25}
    said = client.post("/api/changes", json={"document": DOCUMENT, "change": change}).get_json()
    sizes = {one["style"]: one["size"] for one in said["document"]["proof"]["sizes"]}
    assert sizes == {"h1": 44, "h2": 28, "h3": 22, "text": 18, "small": 16, "label": 18}
    refused = client.post("/api/changes", json={"document": DOCUMENT, "change": change | {"base": 120}})
    assert refused.status_code == 422
    assert "it can be 8 to 200" in refused.get_json()["detail"]


def test_unknown_faces_sizes_and_figures_are_refused(client: Client) -> None:
    for proof in (
        {"heading_face": "Some other face"},
        {"sizes": [{"style": "h1", "size": 4, "weight": 400}]},
        {"sections": [{"page": "home", "section": "opening", "ground": "<script>"}]},
        {"voice": "a bank"},
        {"texts": [{"page": "home", "part": "Opening’s heading", "text": "x" * 601}]},
        {"texts": [{"page": "home", "part": "x" * 200, "text": "x"}]},
        {"language": "klingon"},
        {"duotone": {"dark": 3}},
        {"picture_tone": {"kind": "sepia"}},
        {"picture_tone": {"kind": "tinted", "amount": 1}},
        {"picture_view": {"x": 1.2}},
        {"picture_view": {"zoom": 0.5}},
        {"pictures": [{"page": "home", "part": "Picture"}]},
        {"pictures": [{"page": "home", "part": "Picture", "source": "a"}] * 41},
        {"picture_place": "under"},
        {"narrow_sizes": [{"width": "wide", "style": "h1", "size": 40}]},
    ):
        answer = client.post("/api/proof", json={"document": {**DOCUMENT, "proof": proof}})
        assert answer.status_code == 422
        assert "proof" in answer.get_json()["field"]
    grounds = [{"id": "mist", "uses": [{"element": "hat", "key": "ink"}]}]
    assert client.post("/api/proof", json={"document": {**DOCUMENT, "grounds": grounds}}).status_code == 422
