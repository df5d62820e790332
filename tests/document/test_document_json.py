"""The document as it is written in every drag is what the model would write."""

from __future__ import annotations

import json
from dataclasses import replace
from pathlib import Path

import orjson
import pytest

from tests.takes import FAILING, TAKE
from tonada.core.pairs.ground_pairs import with_ground_pairs, without_ground_pairs
from tonada.core.pairs.states import with_states
from tonada.core.take.proof_settings import ProofSettings, TextSize
from tonada.core.take.take import Take
from tonada.document.own_file import read_own
from tonada.document.take import TakeDocument, document_json

EARLIER = read_own((Path(__file__).parent / "kept" / "take-1.json").read_bytes()).take
SET = ProofSettings(sizes=(("h1", TextSize(40.0, 650)),), sections=(("home", "story", "mist"),))


@pytest.mark.parametrize(
    "take",
    [
        pytest.param(Take(), id="empty"),
        pytest.param(TAKE, id="proposed"),
        pytest.param(TAKE.turned(), id="by night"),
        pytest.param(with_states(FAILING), id="with states"),
        pytest.param(EARLIER, id="everything"),
        pytest.param(replace(TAKE, proof=SET), id="proof"),
        pytest.param(without_ground_pairs(with_ground_pairs(EARLIER)), id="after its grounds made pairs"),
    ],
)
def test_it_is_byte_for_byte_that_of_the_model(take: Take) -> None:
    written = orjson.dumps(document_json(take))
    assert json.loads(written) == TakeDocument.of(take).model_dump(mode="json")
    assert TakeDocument.model_validate_json(written).to_take() == take
