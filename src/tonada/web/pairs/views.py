"""How a take looks to other eyes, all its colours against all, and its texts over pictures."""

from __future__ import annotations

from flask import Response

from tonada.core.color.apart import TOLD_APART
from tonada.core.pairs.confusions import confusions
from tonada.core.pairs.grid import grid_csv, grid_of
from tonada.core.proof.backdrop import WHOLE, over_gradient, over_picture
from tonada.core.proof.toning import toned, toning_of
from tonada.core.sight.vision import sight_matrix
from tonada.web.answers import answer, answer_value, blueprint
from tonada.web.pairs.sight_models import (
    BackdropAnswer,
    GradientBody,
    GridAnswer,
    GridBody,
    PictureBody,
    SightAnswer,
    SightBody,
)
from tonada.web.security import csrf
from tonada.web.sources.pictures import picture_of
from tonada.web.sources.views import SourcePath

api = blueprint("sight")
# Nothing is changed, so nothing can be forged.
csrf.exempt(api)


@api.post("/sight", responses={200: SightAnswer}, summary="What other eyes see, and what they confuse")
def look(body: SightBody) -> Response:
    found = confusions(body.document.to_take(), body.sight, body.severity)
    matrix = sight_matrix(body.sight, body.severity).reshape(-1).tolist()
    return answer_value({"matrix": matrix, "told_apart": TOLD_APART, "confusions": found})


@api.post("/grid", responses={200: GridAnswer}, summary="Every colour in use on every other")
def read_grid(body: GridBody) -> Response:
    grid = grid_of(body.document.to_take(), body.order, tried=body.tried)
    return answer_value(
        {
            "texts": grid.texts,
            "grounds": grid.grounds,
            "ratios": grid.ratios,
            "reaches": grid.reaches,
            "csv": grid_csv(grid),
        }
    )


@api.post(
    "/sources/<uuid:source_id>/backdrop",
    responses={200: BackdropAnswer},
    summary="A text over a picture: the worst pixel, and the layer that is enough",
)
def read_backdrop(path: SourcePath, body: PictureBody) -> Response:
    take, picture = body.document.to_take(), picture_of(path.source_id)
    needed = body.asked().ratio
    region = body.region.to_region() if body.region else WHOLE
    seen = picture.on_white()
    toning = toning_of(take, take.proof.picture_tone) if body.as_proved else None
    if toning:
        seen = toned(seen, toning)
    found = over_picture(take.color_of(body.text), seen, body.laid(take), needed, region)
    return answer(BackdropAnswer.of(found, needed))


@api.post("/gradient", responses={200: BackdropAnswer}, summary="A text over a gradient: the worst place")
def read_gradient(body: GradientBody) -> Response:
    take = body.document.to_take()
    needed = body.asked().ratio
    stops = [take.color_of(key) for key in body.stops]
    found = over_gradient(take.color_of(body.text), stops, body.laid(take), needed)
    return answer(BackdropAnswer.of(found, needed))
