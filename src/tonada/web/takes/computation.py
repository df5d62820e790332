"""What is only computed: nothing here reads or writes the database."""

from __future__ import annotations

from dataclasses import replace

from flask import Response

from tonada.core.color.naming import color_name
from tonada.core.color.notation import read_swatch_color
from tonada.core.formats import read_list
from tonada.core.harmony.advice import advise
from tonada.core.mends.all_pairs import mend_all
from tonada.core.mends.one_pair import mends_for_pair, reach_of
from tonada.core.mends.shortfalls import shortfalls
from tonada.core.pairs.evaluation import evaluate
from tonada.core.roles.build import build_take
from tonada.core.roles.candidates import WHOLES, SourceColor, candidates_of
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.ramp_rows import overlay_rows, rows_of
from tonada.core.take.dependents import dependents_of
from tonada.document.readings import ListWarning
from tonada.document.take import TakeDocument, document_json
from tonada.intake.results import list_to_json
from tonada.web.answers import answer, answer_value, blueprint
from tonada.web.roles.models import RampsAnswer
from tonada.web.security import csrf, limiter
from tonada.web.sources.models import FoundColorAnswer, ListAnswer, TextBody
from tonada.web.takes.models import (
    ColorAnswer,
    ColorBody,
    DependentsAnswer,
    DependentsBody,
    EvaluateBody,
    EvaluationAnswer,
    MendAnswer,
    MendedTakeAnswer,
    MendsAnswer,
    MendsBody,
    ProposalAnswer,
    ProposalBody,
    ProposedRoleAnswer,
    StartAnswer,
)

api = blueprint("computation")
# Nothing is changed, so nothing can be forged; and a drag asks many times a second.
csrf.exempt(api)


@api.post("/documents", responses={200: EvaluateBody}, summary="A document of an earlier format in this one")
def bring_up_to_date(body: EvaluateBody) -> Response:
    return answer(body)


@api.post("/dependents", responses={200: DependentsAnswer}, summary="What uses a swatch or a neutral")
def find_dependents(body: DependentsBody) -> Response:
    return answer_value(dependents_of(body.document.to_take(), body.owner))


@api.post("/evaluate", responses={200: EvaluationAnswer}, summary="Every figure of a take")
@limiter.exempt
def evaluate_take(body: EvaluateBody) -> Response:
    return answer_value(evaluate(body.document.to_take()))


@api.post("/ramps", responses={200: RampsAnswer}, summary="Every swatch and neutral in steps")
@limiter.exempt
def list_ramps(body: EvaluateBody) -> Response:
    take = body.document.to_take()
    return answer_value({"rows": rows_of(take), "overlays": overlay_rows(take)})


@api.post("/colors", responses={200: ColorAnswer}, summary="A colour in any CSS notation as hex, with a name")
def read_color(body: ColorBody) -> Response:
    found = read_swatch_color(body.text, field="text")
    name = color_name(found.hex)
    return answer(ColorAnswer(hex=found.hex, name=name, notation=found.notation, mapped=found.mapped))


@api.post("/mends", responses={200: MendsAnswer}, summary="The ways to mend one pair")
def list_mends(body: MendsBody) -> Response:
    take = body.document.to_take()
    reach = reach_of(take, body.pair)
    mends = tuple(MendAnswer.of(mend) for mend in mends_for_pair(take, body.pair, body.mode))
    return answer(MendsAnswer(mends=mends, best_text=reach.text, best_ground=reach.ground))


@api.post("/mend-all", responses={200: MendedTakeAnswer}, summary="The least change that mends every pair")
def mend_every_pair(body: EvaluateBody) -> Response:
    mended = mend_all(body.document.to_take())
    return answer_value(
        {
            "document": document_json(mended.take),
            "moved": mended.moved,
            "texts": mended.texts,
            "size": mended.size,
            "impossible": mended.impossible,
        }
    )


@api.post("/proposals", responses={200: ProposalAnswer}, summary="Roles for a set of colours, with reasons")
def propose(body: ProposalBody) -> Response:
    colors = [color.to_color() for color in body.colors]
    candidates, of_color = candidates_of(body.kind, colors, leave_out_ground=body.leave_out_ground)
    proposal = propose_roles(candidates, WHOLES[body.kind], start=body.start)
    source = str(body.source) if body.source else None
    take = build_take(candidates, proposal, source=source, source_name=body.source_name)
    return answer(
        ProposalAnswer(
            roles=tuple(ProposedRoleAnswer.of(proposed) for proposed in proposal.roles),
            choices=tuple("leave out" if place is None else proposal.choices[place] for place in of_color),
            impossible=proposal.impossible,
            checked=len(take.pairs) + len(take.turned().pairs),
            short=shortfalls(take),
            alike=tuple(one.text for one in advise(take) if one.kind == "close"),
            start=proposal.start,
            starts=tuple(StartAnswer.of(start) for start in proposal.starts),
            document=TakeDocument.of(replace(take, level=body.level)),
        )
    )


@api.post("/lists", responses={200: ListAnswer}, summary="What a text is understood as; nothing is kept")
def understand(body: TextBody) -> Response:
    found = list_to_json(read_list(body.text.encode()))
    colors = FoundColorAnswer.list_of([SourceColor(**color) for color in found["colors"]])
    warnings = tuple(ListWarning(**warning) for warning in found["warnings"])
    return answer(ListAnswer(format=found["format"], colors=colors, warnings=warnings))
