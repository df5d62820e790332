"""Harmony: changes of a chord, variations, advice, and the field of possible colours."""

from __future__ import annotations

import orjson
from flask import Response, request

from tonada.core.handoff.compare import compare
from tonada.core.harmony.advice import advise
from tonada.core.harmony.stave import possible_colors
from tonada.core.pairs.evaluation import evaluate
from tonada.core.pairs.variations import vary_row
from tonada.core.take.take import Take
from tonada.document.changes import made_by
from tonada.document.page_figures import PageFigures
from tonada.document.take import document_json
from tonada.web.answers import answer, answer_value, blueprint
from tonada.web.harmony.models import (
    AdvicesAnswer,
    ChangeAnswer,
    ChangeBody,
    ComparisonAnswer,
    ComparisonBody,
    FieldQuery,
    HarmonyVocabulary,
    PageWanted,
    VariationAnswer,
    VariationsAnswer,
    VariationsBody,
)
from tonada.web.proof.material import material_of
from tonada.web.security import csrf, limiter
from tonada.web.takes.models import EvaluateBody

api = blueprint("harmony")
# Nothing is changed, so nothing can be forged; and a drag asks many times a second.
csrf.exempt(api)


@api.get("/harmony", responses={200: HarmonyVocabulary}, summary="The rules and the characters")
def read_vocabulary() -> Response:
    return answer(HarmonyVocabulary.whole())


@api.post("/changes", responses={200: ChangeAnswer}, summary="A take after a change of its harmony")
@limiter.exempt
def change_take(body: ChangeBody) -> Response:
    take, said = made_by(body.change, body.document.to_take())
    page = _page_of(take, body.page) if body.page else None
    return answer_value(
        {"document": document_json(take), "evaluation": evaluate(take), "said": said, "page": page}
    )


def _page_of(take: Take, wanted: PageWanted) -> orjson.Fragment:
    shown = take if take.scheme == wanted.scheme else take.turned()
    return orjson.Fragment(
        PageFigures.of(shown, wanted.voice, material_of(shown, wanted.fonts)).model_dump_json()
    )


@api.post("/variations", responses={200: VariationsAnswer}, summary="Variations of what is free")
def list_variations(body: VariationsBody) -> Response:
    row = vary_row(body.document.to_take(), body.first, body.count)
    return answer(VariationsAnswer(variations=tuple(VariationAnswer.of(entry) for entry in row)))


@api.post("/advice", responses={200: AdvicesAnswer}, summary="Advice on a take's colours")
def list_advice(body: EvaluateBody) -> Response:
    return answer_value({"advice": advise(body.document.to_take())})


@api.post("/comparisons", responses={200: ComparisonAnswer}, summary="What changed between two takes")
def compare_takes(body: ComparisonBody) -> Response:
    return answer_value(compare(body.before.to_take(), body.after.to_take()))


@api.get("/stave/field", summary="What sRGB has at a chroma: hue across, contrast scale up, as PNG")
def read_field(query: FieldQuery) -> Response:
    picture = Response(possible_colors(round(query.chroma, 2)), mimetype="image/png")
    picture.set_etag(f"field-smooth-{query.chroma:.2f}")
    picture.headers["Cache-Control"] = "public, max-age=31536000, immutable"
    picture.make_conditional(request)
    return picture
