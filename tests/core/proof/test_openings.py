"""What the opening of each trade shows of a palette, so that a change of its colours is seen at once."""

from __future__ import annotations

import io
import json
import re
from pathlib import Path
from typing import Final

import numpy as np
import pytest
import resvg_py
from PIL import Image

from tonada.core.proof import voices
from tonada.core.proof.voices import VOICES, Voice
from tonada.core.take.take import Role

DRAWINGS: Final = Path(__file__).parents[3] / "frontend" / "src" / "proof" / "drawings"
TRADES: Final = Path(voices.__file__).parent / "trades"
# Of a drawing: what is less is a detail that nobody sees change.
SEEN: Final = 0.01
MARKED: Final = (255, 0, 0)


def share_of(scene: str, paint: str) -> float:
    """Return how much of a drawing a paint and its lighter and darker steps cover, 0 to 1."""
    drawing = (DRAWINGS / f"{scene}.svg").read_text(encoding="utf-8")
    marked = re.sub(
        r"var\(--paint-([\w-]+), #\w+\)",
        lambda found: "#ff0000" if found[1].split("-")[0] == paint else "#000000",
        drawing,
    )
    drawn = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=marked, width=320))))
    pixels = np.asarray(drawn.convert("RGB"))
    return float((pixels == np.array(MARKED)).all(axis=-1).mean())


@pytest.mark.parametrize("voice", VOICES, ids=lambda one: one.id)
def test_the_opening_of_each_trade_shows_the_secondary_and_an_accent(voice: Voice) -> None:
    copy = json.loads((TRADES / f"{voice.id}.json").read_text(encoding="utf-8"))["copy"]
    opening = copy["home"]["opening"]
    ground = next(part.ground for part in voice.home if part.id == "opening")
    assert ground == Role.SECONDARY or share_of(opening["scene"], "secondary") >= 2 * SEEN
    # A call to action is a button in the accent, or else the drawing has it.
    assert opening["button"]
    assert share_of(opening["scene"], "accent") >= SEEN / 10
