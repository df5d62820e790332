"""Any document: every route that computes answers it, or says which field is wrong. None breaks."""

from __future__ import annotations

import copy
import random
from collections.abc import Iterator
from typing import Any

import pytest

from tests.takes import TAKE
from tests.web.conftest import Client
from tonada.core.color.hue_rules import RULES
from tonada.document.take import TakeDocument

DOCUMENT = TakeDocument.of(TAKE).model_dump(mode="json")
SWATCHES = [one["id"] for one in DOCUMENT["swatches"]]
EXTREMES = ("#000000", "#ffffff", "#808080", "#0000ff", "#ff0000")
ODD: tuple[Any, ...] = (
    None, True, 0, -1, 0.1, 1e308, 10**30, "", "x", "s1/3", "s1/99", "paper", "own-x", "#FFF", "\x00",
    "a" * 5000, [], {}, [1], "night",
)  # fmt: skip

DICE = [random.Random(seed) for seed in range(16)]  # noqa: S311  # the same throws every time


def any_take(dice: random.Random) -> dict[str, Any]:
    """A document as it may come from the page: any values, holds, ramps, rules and levels."""
    document = copy.deepcopy(DOCUMENT)
    for swatch in document["swatches"]:
        swatch["held"] = dice.random() < 0.3
        if dice.random() < 0.5:
            swatch["hex"] = dice.choice([*EXTREMES, f"#{dice.randrange(1 << 24):06x}"])
        # Long enough for the steps that roles have.
        kind, steps = dice.choice(["even", "mix"]), dice.randint(11, 21)
        swatch["ramp"] = {"kind": kind, "steps": steps, "tints": steps - 1, "shades": steps % 7}
    document["level"] = dice.choice(["A", "AA", "AAA"])
    angles = [dice.uniform(0, 360) for _ in range(dice.randint(0, 5))]
    document["harmony"] |= {
        "rule": dice.choice(list(RULES)),
        "angles": angles,
        "web_safe": dice.random() < 0.3,
    }
    document["overlays"] = [
        {"id": "o1", "name": "Veil", "swatch": dice.choice(SWATCHES), "alpha": dice.random()}
    ]
    return document


def bodies(document: dict[str, Any], dice: random.Random) -> Iterator[tuple[str, dict[str, Any]]]:
    one, other = dice.choice(SWATCHES), dice.choice(SWATCHES)
    for path in ("evaluate", "proof", "ramps", "mend-all", "advice"):
        yield path, {"document": document}
    yield "grid", {"document": document, "order": dice.choice(["roles", "light to dark"]), "tried": True}
    yield (
        "sight",
        {"document": document, "sight": dice.choice(["protan", "deutan", "tritan"]), "severity": 0.7},
    )
    yield "mends", {"document": document, "pair": dice.choice(document["pairs"])["id"], "mode": "free"}
    yield "gradient", {"document": document, "text": "primary", "layers": ["o1"], "stops": ["paper", one]}
    yield "variations", {"document": document, "first": dice.randint(1, 99), "count": 1}
    yield "comparisons", {"before": DOCUMENT, "after": document}
    yield "handoff/preview", {"document": document, "kind": dice.choice(["css", "tokens", "svg", "tonada"])}
    files = [{"name": "a.css", "text": "a { color: #123; background: rgb(1 2 3 / 0.5) }"}]
    yield "mapping", {"document": document, "files": files}
    yield "restyle", {"document": document, "files": files, "mapping": [{"old": "#112233", "key": other}]}
    changes: tuple[dict[str, Any], ...] = (
        {"kind": "place", "swatch": one, "chroma": dice.random() / 2, "hue": dice.uniform(-9, 400)},
        {"kind": "chord", "harmony": document["harmony"], "turn": dice.uniform(-360, 360)},
        {"kind": "flag", "index": dice.randint(0, 4), "angle": dice.uniform(-360, 360)},
        {"kind": "character", "harmony": document["harmony"]},
        {"kind": "typed", "swatch": one, "text": "oklch(0.6 0.1 200)"},
        {"kind": "number", "swatch": one, "number": "red", "value": dice.randint(0, 255)},
        {"kind": "partner", "angle": dice.uniform(0, 360)},
        {"kind": "remove", "owner": one, "instead": {"swatch": other, "step": dice.choice([None, 2])}},
        {"kind": "suggest"}, {"kind": "night"}, {"kind": "states"},
    )  # fmt: skip
    yield "changes", {"document": document, "change": dice.choice(changes)}


def leaves(value: Any, path: tuple[Any, ...] = ()) -> Iterator[tuple[Any, ...]]:
    inner = value.items() if isinstance(value, dict) else enumerate(value) if isinstance(value, list) else ()
    for key, part in inner:
        yield (*path, key)
        yield from leaves(part, (*path, key))


def spoilt(body: dict[str, Any], dice: random.Random) -> dict[str, Any]:
    """The body with something in it taken out, or replaced by what doesn't belong there."""
    body = copy.deepcopy(body)
    *above, last = dice.choice(list(leaves(body)))
    part: Any = body
    for key in above:
        part = part[key]
    if dice.random() < 0.2:
        del part[last]
    else:
        part[last] = copy.deepcopy(dice.choice(ODD))
    return body


@pytest.mark.detail
def test_every_route_answers_any_document(client: Client) -> None:
    for dice in DICE[:6]:
        for path, body in bodies(any_take(dice), dice):
            answer = client.post(f"/api/{path}", json=body)
            # What a change can't do is said; what only looks at a document always can.
            allowed = (200, 422) if path in ("changes", "variations") else (200,)
            assert answer.status_code in allowed, (path, answer.text)


def test_what_does_not_belong_is_refused_and_breaks_nothing(client: Client) -> None:
    bodies_of_all = [(dice, *one) for dice in DICE[6:16] for one in bodies(any_take(dice), dice)]
    for dice, path, body in bodies_of_all:
        answer = client.post(f"/api/{path}", json=spoilt(body, dice))
        assert answer.status_code in (200, 422), (path, answer.text)
        if answer.status_code == 422:
            assert answer.get_json()["detail"], path
