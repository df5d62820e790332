"""What is only computed: nothing here reads or writes the database."""

from __future__ import annotations

from dataclasses import replace

from flask import Response

from tonada.core.build import build_take
from tonada.core.color import parse_color
from tonada.core.errors import ColorError
from tonada.core.evaluation import evaluate
from tonada.core.mend import mends_for_pair
from tonada.core.naming import color_name
from tonada.core.roles import propose_roles
from tonada.web.models import (
    ColorAnswer,
    ColorBody,
    EvaluateBody,
    EvaluationAnswer,
    MendAnswer,
    MendsAnswer,
    MendsBody,
    ProposalAnswer,
    ProposalBody,
    ProposedRoleAnswer,
    TakeDocument,
)
from tonada.web.security import csrf, limiter
from tonada.web.views.answers import answer, blueprint

api = blueprint("computation")
# Nothing is changed, so nothing can be forged; and a drag asks many times a second.
csrf.exempt(api)


@api.post("/evaluate", responses={200: EvaluationAnswer}, summary="Every figure of a take")
@limiter.exempt
def evaluate_take(body: EvaluateBody) -> Response:
    return answer(EvaluationAnswer.model_validate(evaluate(body.document.to_take())))


@api.post("/colors", responses={200: ColorAnswer}, summary="A colour in any CSS notation as hex, with a name")
def read_color(body: ColorBody) -> Response:
    value, alpha = parse_color(body.text, field="text")
    if alpha < 1:
        raise ColorError("A swatch is opaque; leave the alpha out.", field="text")
    return answer(ColorAnswer(hex=value, name=color_name(value)))


@api.post("/mends", responses={200: MendsAnswer}, summary="The ways to mend one pair")
def list_mends(body: MendsBody) -> Response:
    mends = mends_for_pair(body.document.to_take(), body.pair)
    return answer(MendsAnswer(mends=tuple(MendAnswer.of(mend) for mend in mends)))


@api.post("/proposals", responses={200: ProposalAnswer}, summary="Roles for a set of colours, with reasons")
def propose(body: ProposalBody) -> Response:
    candidates = tuple(color.to_candidate() for color in body.colors)
    proposal = propose_roles(candidates)
    source = str(body.source) if body.source else None
    take = build_take(candidates, proposal, source=source, source_name=body.source_name)
    return answer(
        ProposalAnswer(
            roles=tuple(ProposedRoleAnswer.of(proposed) for proposed in proposal.roles),
            choices=proposal.choices,
            document=TakeDocument.of(replace(take, level=body.level)),
        )
    )
