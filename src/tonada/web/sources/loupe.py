"""The magnifier: pixels of a picture, asked for many times a second, changing nothing."""

from __future__ import annotations

from flask import Response

from tonada.core.source.pictures import look_at
from tonada.web.answers import answer, blueprint
from tonada.web.security import csrf, limiter
from tonada.web.sources.models import LoupeAnswer, LoupeBody
from tonada.web.sources.pictures import picture_of
from tonada.web.sources.views import SourcePath

api = blueprint("loupe")
csrf.exempt(api)


@api.post(
    "/sources/<uuid:source_id>/loupe",
    responses={200: LoupeAnswer},
    summary="The pixels around a place in a picture",
)
@limiter.exempt
def read_loupe(path: SourcePath, body: LoupeBody) -> Response:
    picture = picture_of(path.source_id)
    height, width = picture.rgb.shape[:2]
    return answer(LoupeAnswer.of(look_at(picture, body.x, body.y, body.square), width, height))
