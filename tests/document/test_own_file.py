"""Tonada's own file: what goes out comes in, and goes out again as the same bytes."""

from __future__ import annotations

import json
import random
from collections.abc import Iterator
from dataclasses import replace

import pytest

from tests.sampling import examples
from tests.takes import TAKE, take_of
from tonada.core.errors import InputError
from tonada.core.harmony.character import CHARACTERS
from tonada.core.take.overlays import add_overlay
from tonada.core.take.parts import Origin
from tonada.core.take.proof_settings import GroundSettings
from tonada.document.own_file import (
    NamedPicture,
    OwnFile,
    read_own,
    sources_of,
    with_sources,
    write_own,
)

NAMES = ("a list", "Orrin Peak, Observatory", "", "Ōtaka 高", "x" * 80, "  ")


def generated(count: int) -> Iterator[OwnFile]:
    """Yield takes with what a document may hold, and the names that a file may have."""
    draw = random.Random(3)  # noqa: S311  (a seed, no secret)
    for row in range(count):
        take = take_of(*(f"#{draw.randrange(1 << 24):06x}" for _ in range(1 + row % 5)))
        if row % 2:
            take = add_overlay(take)
        if row % 3 == 0:
            take = take.turned()
        if row % 4 == 0:
            grounds = (GroundSettings("own-1", "Band", f"{take.swatches[0].id}/2"),)
            take = replace(take, grounds=grounds, level=("A", "AA", "AAA")[row % 3])
        if row % 5 == 0:
            origin = Origin("source", "from logo.svg", f"source-{row}", draw.random())
            first = replace(take.swatches[0], origin=origin, name=f"№ {row} “quoted” שלום")
            take = replace(take, swatches=(first, *take.swatches[1:]))
        if row % 7 == 0:
            proof = replace(take.proof, logo=f"source-{row}", language="de", heading_face="Lora")
            take = replace(take, proof=proof)
        if row % 6 == 0:
            harmony = replace(take.harmony, character=next(iter(CHARACTERS)), angles=(draw.random() * 360,))
            take = replace(take, harmony=harmony)
        picture = NamedPicture(source=f"source-{row}", name="logo.svg", digest=f"{row:064x}")
        named = (picture,) if sources_of(take) else ()
        yield OwnFile(
            take, NAMES[row % len(NAMES)].strip(), NAMES[row % 4], "version 3" if row % 2 else "", named
        )


def test_what_goes_out_comes_in_and_goes_out_the_same() -> None:
    for own in generated(examples(300)):
        written = write_own(own)
        read = read_own(written.encode())
        assert read == own
        assert write_own(read) == written


def test_a_file_from_before_has_both_names_in_one() -> None:
    root = json.loads(write_own(OwnFile(TAKE, "Orrin Peak", "Take 1")))
    del root["brand"], root["take_name"]
    read = read_own(json.dumps(root).encode())
    assert (read.brand, read.name) == ("Orrin Peak", "Take 1")
    assert read_own(json.dumps({**root, "name": "a list"}).encode()).title == "a list"


def test_sources_are_renamed_and_what_is_unknown_is_named_no_more() -> None:
    proof = replace(TAKE.proof, logo="there", picture="gone")
    take = with_sources(replace(TAKE, proof=proof), {"there": "here"})
    assert (take.proof.logo, take.proof.picture) == ("here", None)
    assert sources_of(take) == ("here",)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"brand": 7}, "brand"),
        ({"pictures": "all"}, "pictures"),
        ({"pictures": [{"source": "a", "name": "b", "digest": "short"}]}, "pictures.0.digest"),
        ({"pictures": [{}] * 100}, "pictures"),
    ],
)
def test_wrong_names_and_pictures_are_refused_by_name(change: dict[str, object], field: str) -> None:
    root = {**json.loads(write_own(OwnFile(TAKE, "a", "b"))), **change}
    with pytest.raises(InputError) as refused:
        read_own(json.dumps(root).encode())
    assert refused.value.field == field
