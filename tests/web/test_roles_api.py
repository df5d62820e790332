"""Roles, pairs and sight through the API: documents that go and come back whole, and what is refused."""

from __future__ import annotations

import io
from copy import deepcopy
from typing import Any

import pytest
from PIL import Image

from tests.web.conftest import Client
from tests.web.test_api import built, new_brand, upload
from tests.web.test_harmony_api import changed
from tests.web.test_refusals import problem_of
from tonada.web.pairs.sight_models import GridAnswer
from tonada.web.roles.models import RampsAnswer
from tonada.web.takes.models import EvaluationAnswer


@pytest.fixture
def document(client: Client) -> dict[str, Any]:
    return built(client)["document"]


def test_a_take_with_everything_is_saved_and_comes_back_the_same(
    client: Client, document: dict[str, Any]
) -> None:
    document["overlays"] = [{"id": "o1", "name": "Veil", "swatch": "n1", "alpha": 0.5, "step": 3}]
    own = {"role": "own-badge", "swatch": "s1", "step": 4, "share": 0.1, "name": "Badge", "reason": "x"}
    own["text_step"] = None
    document["roles"].append(own)
    pair = {"id": "added-1", "text": "own-badge", "ground": "#ffffff", "usage": "link beside text"}
    document["pairs"].append(pair | {"sample": "x", "layers": ["o1"], "size": 20.5, "weight": 700})
    take = new_brand(client)["first_take"]
    saved = client.put(f"/api/takes/{take}", json={"document": document, "revision": 1})
    assert saved.status_code == 200, saved.text
    assert client.get(f"/api/takes/{take}").get_json()["document"] == document


def test_a_take_from_before_there_were_steps_still_opens(client: Client, document: dict[str, Any]) -> None:
    old = deepcopy(document)
    for key in ("neutrals", "overlays", "step_names", "scheme", "other"):
        del old[key]
    old["roles"] = [{"role": one["role"], "swatch": "s1", "reason": one["reason"]} for one in old["roles"]]
    for swatch in old["swatches"]:
        del swatch["ramp"]
    for pair in old["pairs"]:
        for key in ("layers", "size", "weight"):
            del pair[key]
    answer = client.post("/api/evaluate", json={"document": old})
    assert answer.status_code == 200, answer.text
    night = changed(client, old | {"neutrals": document["neutrals"]}, kind="night")
    assert night["document"]["other"]["roles"]


def test_answers_without_a_model_keep_to_the_document(client: Client, document: dict[str, Any]) -> None:
    body = {"document": document}
    for path, model in (
        ("/api/evaluate", EvaluationAnswer),
        ("/api/ramps", RampsAnswer),
        ("/api/grid", GridAnswer),
    ):
        raw = client.post(path, json=body).get_json()
        assert model.model_validate(raw).model_dump(mode="json") == raw


@pytest.mark.parametrize(
    ("change", "field"),
    [
        pytest.param({"kind": "ramp", "swatch": "s9x", "ramp": {}}, "swatch", id="a ramp of nothing"),
        pytest.param({"kind": "remove", "owner": "s1"}, "instead", id="removed without another"),
        pytest.param(
            {"kind": "remove", "owner": "s1", "instead": {"swatch": "s99"}},
            "neutrals.0.tint",
            id="nothing in its place",
        ),
        pytest.param(
            {"kind": "neutral", "neutral": {"id": "n1", "name": "N", "tint": "s99"}},
            "neutrals.0.tint",
            id="tinted by nothing",
        ),
        pytest.param(
            {"kind": "neutral", "neutral": {"id": "n1", "name": "N", "steps": 99}},
            "change.neutral.neutral.steps",
            id="too many steps",
        ),
    ],
)
def test_a_change_that_can_t_be_names_its_field(
    client: Client, document: dict[str, Any], change: dict[str, Any], field: str
) -> None:
    answer = client.post("/api/changes", json={"document": document, "change": change})
    problem = problem_of(answer, 422)
    assert problem["field"] in (field, "roles.0.swatch")


def test_roles_are_suggested_and_states_added(client: Client, document: dict[str, Any]) -> None:
    suggested = changed(client, document, kind="suggest")
    assert suggested["said"] == []
    assert suggested["document"]["swatches"] == document["swatches"]
    stated = changed(client, document, kind="states")
    assert any(one["id"] == "state-primary-hover" for one in stated["document"]["pairs"])


def test_all_pairs_are_mended_with_a_preview(client: Client, document: dict[str, Any]) -> None:
    for swatch in document["swatches"]:
        swatch["held"] = False
    document["level"] = "AAA"
    answer = client.post("/api/mend-all", json={"document": document}).get_json()
    assert answer["moved"]
    after = client.post("/api/evaluate", json={"document": answer["document"]}).get_json()
    assert after["counts"]["fails"] == len(answer["impossible"])


def test_a_mend_says_the_best_that_any_color_reaches(client: Client, document: dict[str, Any]) -> None:
    document["pairs"] = [
        {"id": "p", "text": "#808080", "ground": "#777777", "usage": "body text", "sample": "x"}
    ]
    body = {"document": document | {"level": "AAA"}, "pair": "p", "mode": "free"}
    answer = client.post("/api/mends", json=body).get_json()
    assert answer["best_text"] < 7
    assert [one["kind"] for one in answer["mends"] if one["kind"].startswith("move")] == []


def test_other_eyes_get_a_matrix_and_what_they_confuse(client: Client, document: dict[str, Any]) -> None:
    body = {"document": document, "sight": "deutan", "severity": 0.0}
    answer = client.post("/api/sight", json=body).get_json()
    assert answer["matrix"] == [1, 0, 0, 0, 1, 0, 0, 0, 1]
    problem_of(client.post("/api/sight", json=body | {"severity": 2}), 422)
    problem_of(client.post("/api/sight", json=body | {"sight": "cat"}), 422)


def test_a_text_over_a_picture_of_the_brand(client: Client, document: dict[str, Any]) -> None:
    picture = Image.new("RGBA", (40, 20), (10, 20, 60, 255))
    picture.paste((250, 240, 200, 0), (20, 0, 40, 20))  # transparent: on a page it is white
    written = io.BytesIO()
    picture.save(written, "PNG")
    source = upload(client, new_brand(client)["id"], written.getvalue(), "half.png").get_json()["id"]
    document["overlays"] = [{"id": "o1", "name": "Veil", "swatch": "s1", "alpha": 0.2}]
    body: dict[str, Any] = {"document": document, "text": "#ffffff"}
    path = f"/api/sources/{source}/backdrop"
    whole = client.post(path, json=body).get_json()
    assert (whole["worst"], whole["worst_hex"], whole["passes"]) == (1.0, "#ffffff", False)
    assert whole["x"] > 0.5
    left = {"left": 0, "top": 0, "width": 0.5, "height": 1}
    assert client.post(path, json=body | {"region": left}).get_json()["passes"]
    for level, needed in (("AA", 3.0), ("AAA", 4.5)):
        large = body | {"document": document | {"level": level}, "size": 24}
        assert client.post(path, json=large).get_json()["needed"] == needed
    veiled = client.post(path, json=body | {"layers": ["o1"]}).get_json()
    assert 0 < veiled["least_opacity"] <= 100
    assert problem_of(client.post(path, json=body | {"layers": ["o9"]}), 422)["field"] == "layers"
    problem_of(client.post(path, json=body | {"region": left | {"width": 3}}), 422)
    toned = document | {"proof": {"picture_tone": {"kind": "duotone", "dark": "deep", "light": "deep"}}}
    body_toned = body | {"document": toned}
    assert client.post(path, json=body_toned).get_json()["worst"] == 1.0, "the picture as it is"
    proved = client.post(path, json=body_toned | {"as_proved": True}).get_json()
    assert proved["passes"]
    assert proved["worst"] > 7
    stops = {"stops": ["primary", "#ffffff"]}
    assert client.post("/api/gradient", json=body | stops).get_json()["worst"] == 1.0
    problem_of(client.post("/api/gradient", json=body | {"stops": ["primary"]}), 422)
