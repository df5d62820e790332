"""The hot path: what a drag asks for, many times a second."""

from __future__ import annotations

import json
from dataclasses import replace

from coloraide import Color

from bench.timing import Row, milliseconds, table
from tonada.core.color import contrast
from tonada.core.color import spaces as color
from tonada.core.mends.nearest import mend_color
from tonada.core.pairs import evaluation
from tonada.core.pairs.evaluation import evaluate
from tonada.core.roles.brand import Candidate
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.take.take import Origin, Pair, Role, Swatch, Take
from tonada.document.take import TakeDocument
from tonada.web.takes.models import EvaluationAnswer

TYPED = Origin("typed", "typed by hand")


def full_take() -> Take:
    """Return a take of 12 swatches and 60 pairs."""
    candidates = (Candidate("#2b3a8c", 0.7), Candidate("#b6653a", 0.2), Candidate("#d7b13c", 0.1))
    take = build_take(candidates, propose_roles(candidates), source=None, source_name="a list")
    more = tuple(
        Swatch(f"x{n}", f"Extra {n}", f"#{40 * n + 20:02x}6080", False, TYPED)
        for n in range(12 - len(take.swatches))
    )
    roles = [role for role in Role if take.has_role(role)]
    pairs = tuple(
        Pair(f"p{n}", roles[n % 9], roles[(n // 9 + n + 1) % 9], take.pairs[n % 14].usage, "Sample")
        for n in range(60)
    )
    return replace(take, swatches=take.swatches + more, pairs=pairs)


def by_coloraide(take: Take) -> None:
    """The same ratios, one by one, with a general library."""
    for pair in take.pairs:
        Color(take.hex_of(pair.text)).contrast(take.hex_of(pair.ground))


def whole_request(body: bytes) -> bytes:
    document = TakeDocument.model_validate(json.loads(body)["document"])
    return EvaluationAnswer.model_validate(evaluate(document.to_take())).model_dump_json().encode()


def from_nothing(take: Take) -> None:
    """Evaluate with nothing remembered of the colours before."""
    for remembered in (
        color.hex_to_oklab,
        color.hex_to_oklch,
        contrast.luminance_of,
        contrast.position_of,
        evaluation._figures_of_pair,
        evaluation._figures_of_swatch,
    ):
        remembered.cache_clear()
    evaluate(take)


def run() -> str:
    """Return the table."""
    take = full_take()
    body = json.dumps({"document": TakeDocument.of(take).model_dump(mode="json")}).encode()
    peer = ("coloraide, its 60 ratios one by one", milliseconds(lambda: by_coloraide(take), times=21))
    size = f"{len(take.swatches)} swatches, {len(take.pairs)} pairs"
    return table(
        "Evaluation",
        [
            Row(f"evaluate, {size}", milliseconds(lambda: evaluate(take), times=101), *peer),
            Row(
                f"evaluate, {size}, nothing remembered",
                milliseconds(lambda: from_nothing(take), times=51),
                *peer,
            ),
            Row(f"JSON in to JSON out, {size}", milliseconds(lambda: whole_request(body), times=51), *peer),
            Row(
                "mend of one pair",
                milliseconds(lambda: mend_color("#747892", "#e4e5ef", 4.5), times=21),
                *peer,
            ),
        ],
    )
