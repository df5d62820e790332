"""The proof: the pages there are, and what every element uses on a take's grounds."""

from __future__ import annotations

from flask import Response

from tonada.document.page_figures import PageFigures
from tonada.web.answers import answer, blueprint
from tonada.web.proof.material import material_of
from tonada.web.proof.models import ProofBody, ProofVocabulary
from tonada.web.security import csrf, limiter

api = blueprint("proof")
# Nothing is changed, so nothing can be forged; and the pages follow every drag.
csrf.exempt(api)


@api.get("/proof", responses={200: ProofVocabulary}, summary="The sample pages and the typefaces")
def read_pages() -> Response:
    return answer(ProofVocabulary.whole())


@api.post("/proof", responses={200: PageFigures}, summary="Grounds, and what every element uses on them")
@limiter.exempt
def draw(body: ProofBody) -> Response:
    take = body.document.to_take()
    return answer(PageFigures.of(take, body.voice, material_of(take, body.fonts)))
