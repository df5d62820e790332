"""Sources without a file: what was typed or pasted, and moods."""

from __future__ import annotations

from flask import Response

from tonada.core.color.naming import color_name
from tonada.core.color.notation import read_color
from tonada.core.errors import ColorError, InputError
from tonada.core.formats import ColorList, read_list
from tonada.core.limits import MAX_PICKED_COLORS
from tonada.core.source.kept import current_reading
from tonada.intake.results import list_to_json, mood_to_json
from tonada.store import sources
from tonada.store.sources import FileContent, SourceRow
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.sources.models import MoodBody, MoodVocabulary, SourceAnswer, TextBody

api = blueprint("lists")

# Single colours that are typed gather in one source of a brand.
TYPED_NAME = "Typed colours"


@api.post(
    "/brands/<uuid:brand_id>/lists",
    responses={201: SourceAnswer},
    summary="Keep typed or pasted colours as a source; a single one joins those typed before",
)
def create_list(path: BrandPath, body: TextBody) -> Response:
    found = read_list(body.text.encode())
    is_single = _is_one_color(body.text)
    with workspace_connection() as (connection, workspace):
        typed = _typed_before(sources.list_of_brand(connection, workspace, path.brand_id))
        if is_single and typed:
            row = sources.set_picked(connection, workspace, typed.id, _joined(typed, found))
        else:
            name = TYPED_NAME if is_single else found.title or f"Pasted {found.format}"
            file = FileContent(name, body.text.encode())
            row = sources.create(
                connection,
                workspace,
                path.brand_id,
                name=name,
                kind="list",
                extraction=list_to_json(found),
                files=(file,),
            )
    return answer(SourceAnswer.of(row), 201)


@api.get(
    "/moods", responses={200: MoodVocabulary}, summary="The words and fields of work that moods are made of"
)
def read_vocabulary() -> Response:
    return answer(MoodVocabulary.whole())


@api.post("/brands/<uuid:brand_id>/moods", responses={201: SourceAnswer}, summary="Start from a mood")
def create_mood(path: BrandPath, body: MoodBody) -> Response:
    found = mood_to_json(body.words, body.field)
    with workspace_connection() as (connection, workspace):
        row = sources.create(
            connection,
            workspace,
            path.brand_id,
            name=", ".join(body.words).capitalize(),
            kind="mood",
            settings=body.model_dump(mode="json", exclude_none=True),
            extraction=found,
        )
    return answer(SourceAnswer.of(row), 201)


def _is_one_color(text: str) -> bool:
    try:
        read_color(text.strip())
    except ColorError:
        return False
    return True


def _typed_before(rows: list[SourceRow]) -> SourceRow | None:
    return next((row for row in rows if row.kind == "list" and row.name == TYPED_NAME), None)


def _joined(typed: SourceRow, found: ColorList) -> list[dict[str, str]]:
    """Return the typed colours with the new one, unless it is there already."""
    value = found.colors[0].hex
    known = {color["hex"] for color in [*current_reading(typed.extraction)["colors"], *typed.picked]}
    if value in known:
        return typed.picked
    if len(typed.picked) >= MAX_PICKED_COLORS:
        raise InputError(f"At most {MAX_PICKED_COLORS} colours are kept beside each other.", field="text")
    return [*typed.picked, {"hex": value, "name": color_name(value)}]
