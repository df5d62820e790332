"""What earlier releases kept is read as it was: own files, takes, readings of sources."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from tonada.core.formats import read_list
from tonada.core.pairs.evaluation import evaluate
from tonada.core.source.kept import VERSION, current_reading
from tonada.core.source.pictures import extract_colors
from tonada.core.source.stylesheets import StyleFile, read_stylesheets
from tonada.core.take.earlier import ROLES_OF_FORMAT_1, current_document
from tonada.core.take.proof_settings import Element, PictureTone, PictureView
from tonada.core.take.take import Role, Take
from tonada.document.own_file import OwnFile, read_own, write_own
from tonada.document.readings import read_kept
from tonada.document.take import TakeDocument
from tonada.intake.results import image_to_json, list_to_json, mood_to_json, stylesheet_to_json

KEPT = Path(__file__).parent / "kept"
OWN_FILE = (KEPT / "take-1.json").read_bytes()
READINGS: dict[str, dict[str, Any]] = json.loads((KEPT / "readings-1.json").read_text(encoding="utf-8"))
DOCUMENT: dict[str, Any] = json.loads(OWN_FILE)["take"]


def colors_by_role(take: Take) -> dict[str, str]:
    return {one.role: take.hex_of(one.role) for one in take.roles}


@pytest.fixture(scope="module")
def take() -> Take:
    return read_own(OWN_FILE).take


def test_a_file_of_version_1_has_the_same_colors_under_the_new_names(take: Take) -> None:
    ramps = {one["id"]: one for one in DOCUMENT["swatches"]}
    assert len(take.roles) == len(DOCUMENT["roles"])
    for old, one in zip(DOCUMENT["roles"], take.roles, strict=True):
        assert one.role == ROLES_OF_FORMAT_1.get(old["role"], old["role"])
        assert (one.step, one.reason) == (old["step"], old["reason"])
        if one.step is None and old["swatch"] in ramps:
            assert take.hex_of(one.role) == ramps[old["swatch"]]["hex"]
    assert Role.DEEP in colors_by_role(take)
    assert take.other
    assert {one.role for one in take.other.roles} >= {Role.DEEP, Role.SUCCESS, Role.INFO}


def test_a_swatch_with_the_name_of_a_new_role_is_followed_everywhere(take: Take) -> None:
    owner = next(one.id for one in take.swatches if one.name == "Teal")
    assert owner == "info-1"
    assert take.overlays[0].swatch == owner
    assert next(one for one in take.neutrals if one.id == "n9").tint == owner
    assert take.harmony.anchor == owner
    assert take.harmony.varied_from == ((owner, "#117a7b"),)
    own = {pair.id: pair for pair in take.pairs}
    assert (own["added-1"].text, own["added-1"].ground, own["added-1"].layers) == (
        f"{owner}/9",
        "deep",
        ("o1",),
    )
    assert own["added-2"].text == "info"  # the role, not the swatch


def test_grounds_and_slots_keep_what_they_use(take: Take) -> None:
    deep = next(one for one in take.grounds if one.id == "deep")
    assert deep.ground == "info-1/10"
    assert deep.uses == ((Element.BUTTON, "error"), (Element.WARNING, "info-1/2"))
    assert take.proof.sections == (("home", "opening", "deep"), ("home", "story", "ground-1"))
    assert take.slots[0].key == "success"
    assert {"success-on-paper", "label-on-deep"} <= {pair.id for pair in take.pairs}
    assert evaluate(take).pairs


def test_a_file_of_version_3_has_the_logo_as_it_was_drawn() -> None:
    data = (KEPT / "take-3.json").read_bytes()
    found = read_own(data)
    assert json.loads(data)["version"] == 3
    assert found.take.proof.logo_in_one is None
    assert any(one.text_step for one in found.take.roles)
    assert evaluate(found.take).failing == 0
    # Its ramps are as they were made: nothing turns them calm.
    kept = {one["id"]: one["ramp"]["kind"] for one in json.loads(data)["take"]["swatches"]}
    assert {one.id: one.ramp.kind for one in found.take.swatches} == kept
    assert "even" in kept.values()


def test_a_file_of_version_4_gets_the_automatic_layer_over_its_picture() -> None:
    data = (KEPT / "take-4.json").read_bytes()
    found = read_own(data)
    assert json.loads(data)["version"] == 4
    assert found.take.proof.logo_in_one is True
    assert found.take.proof.bare_picture is False
    assert evaluate(found.take).failing == 0


def test_a_file_of_version_5_keeps_the_typefaces_that_it_names() -> None:
    data = (KEPT / "take-5.json").read_bytes()
    found = read_own(data)
    assert json.loads(data)["version"] == 5
    assert (found.take.proof.heading_face, found.take.proof.text_face) == (
        "Bricolage Grotesque",
        "Source Sans 3",
    )


def test_a_file_of_version_6_has_its_duotone_as_the_tone_of_the_picture() -> None:
    data = (KEPT / "take-6.json").read_bytes()
    found = read_own(data).take.proof
    assert json.loads(data)["version"] == 6
    assert json.loads(data)["take"]["proof"]["duotone"] == {"dark": "deep", "light": "paper"}
    assert found.picture_tone == PictureTone("duotone", "deep", "paper")
    assert [text.text for text in found.texts] == ["Die Nacht gehört allen"]


def test_a_file_of_version_7_has_its_pictures_where_they_were_put() -> None:
    data = (KEPT / "take-7.json").read_bytes()
    assert json.loads(data)["version"] == 7
    (placed,) = read_own(data).take.proof.pictures
    assert (placed.part, placed.view) == ("Offer 1, picture", PictureView(0.2, 0.6, 1.5))
    assert placed.tone == PictureTone("tinted", tint="accent", amount=0.3)


def test_what_is_written_now_is_of_version_8_and_reads_back(take: Take) -> None:
    written = write_own(OwnFile(take, "Now"))
    assert (json.loads(written)["version"], json.loads(written)["take"]["format"]) == (8, 2)
    assert read_own(written.encode()) == OwnFile(take, "Now")


def test_a_document_of_this_format_stays_as_it_is(take: Take) -> None:
    document = TakeDocument.of(take).model_dump(mode="json")
    assert current_document(document) == document


JSON = st.recursive(
    st.none() | st.booleans() | st.integers() | st.text(max_size=5),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=4), inner, max_size=3),
    max_leaves=6,
)


@given(st.dictionaries(st.sampled_from([*DOCUMENT, "wears", "figure"]), JSON))
def test_what_is_no_document_is_left_for_the_check_to_refuse(hostile: dict[str, Any]) -> None:
    assert current_document({**hostile, "format": 1})["format"] == 2


@pytest.mark.parametrize("kind", READINGS)
def test_a_reading_of_before_is_read(kind: str) -> None:
    found = read_kept(kind, READINGS[kind])
    assert found
    assert found.version == VERSION


def test_the_renamed_parts_of_a_reading_are_there() -> None:
    listed = current_reading(READINGS["list"])
    assert [color["role"] for color in listed["colors"]] == ["success", "deep", "ink"]
    assert listed["warnings"] == READINGS["list"]["notes"]
    assert current_reading(READINGS["mood"])["starting_colors"] == READINGS["mood"]["anchors"]
    # The first releases kept the verdict on a pair; it is rebuilt.
    pairs = [{**pair, "is_enough": False} for pair in READINGS["stylesheet"]["pairs"]]
    found = read_kept("stylesheet", {**READINGS["stylesheet"], "pairs": pairs})
    assert found
    assert found.model_dump()["pairs"][0]["is_enough"] is True


def test_a_source_that_is_being_read_has_nothing_yet() -> None:
    assert read_kept("image", {}) is None


SVG = (
    b'<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path fill="#2b3a8c" d="M0 0h9v9z"/></svg>'
)
NOW = {
    "image": image_to_json(extract_colors(SVG)),
    "list": list_to_json(read_list(b":root{--good:#0a0;--x:nonsense;--ink: #222}")),
    "stylesheet": stylesheet_to_json(
        read_stylesheets((StyleFile("a.css", "body{color:#333;background:#fff}"),)), ("a.css",), None
    ),
    "mood": mood_to_json(("calm", "fresh"), None),
}


@pytest.mark.parametrize("kind", NOW)
def test_what_is_kept_now_is_known_whole(kind: str) -> None:
    found = read_kept(kind, NOW[kind])
    assert found
    kept = json.loads(found.model_dump_json())
    for pair in kept.get("pairs", ()):
        del pair["is_enough"]
    assert kept == NOW[kind]
