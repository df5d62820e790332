"""Fonts with the letters that own words need beyond those of the chosen typefaces."""

from __future__ import annotations

from typing import Annotated

from flask import Response
from pydantic import StringConstraints, WithJsonSchema

from tonada.core.proof.letters import MOST_LETTERS, NOTO, LetterKind
from tonada.document.parts import Described, Model
from tonada.files.letters import LetterWeight, NoLetters, letters_font
from tonada.store.errors import NotFound
from tonada.web.answers import blueprint
from tonada.web.security import SHEETS_PER_MINUTE, limiter

api = blueprint("letters")
# The letters of a script never change while a Tonada runs; an hour is enough for a page that is typed on.
KEPT_SECONDS = 3600


class LettersPath(Described):
    """script: ISO 15924, as the figures of a page have it."""

    script: Annotated[
        str,
        StringConstraints(pattern=f"^({'|'.join(NOTO)})$"),
        WithJsonSchema({"type": "string", "enum": list(NOTO)}),
    ]
    kind: LetterKind
    weight: LetterWeight


class LettersQuery(Model):
    """of: the characters."""

    of: Annotated[str, StringConstraints(min_length=1, max_length=MOST_LETTERS)]


@api.get("/letters/<string:script>/<string:kind>/<int:weight>", summary="The letters of a script, as WOFF2")
@limiter.limit(SHEETS_PER_MINUTE)
def read_letters(path: LettersPath, query: LettersQuery) -> Response:
    try:
        made = letters_font(path.script, path.kind, path.weight, query.of)
    except NoLetters as reason:
        raise NotFound("font") from reason
    answer = Response(made, mimetype="font/woff2")
    answer.headers["Cache-Control"] = f"private, max-age={KEPT_SECONDS}"
    return answer
