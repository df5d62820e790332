"""Stylesheets that are kept as sources, in the colours of a take. What the designer chose stays with the
take: the source is a destination, and its old colours are the slots."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal
from uuid import UUID

from flask import Response

from tonada.core.errors import InputError
from tonada.core.formats.detect import decode_text
from tonada.core.gate.written import Undecided, undecided_in
from tonada.core.handoff.slots import chosen_slots
from tonada.core.limits import MAX_COMPARED_CHARACTERS
from tonada.core.recolouring.old_colors import OldColor, propose_mapping
from tonada.core.recolouring.restyle import WriteAs, difference_of, recolored
from tonada.core.recolouring.rule_changes import RuleChanges, rule_changes
from tonada.core.recolouring.sample_page import sample_page
from tonada.core.source.stylesheets import StyleFile
from tonada.core.take.color_choices import TakeColor, color_choices
from tonada.core.take.take import Take
from tonada.document.parts import Described, Model, Whole
from tonada.document.take import TakeDocument
from tonada.files.file_format import zipped
from tonada.store import sources, takes
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.web.access import workspace_connection
from tonada.web.answers import answer_value, blueprint
from tonada.web.handoff.handed import attached, handed_version
from tonada.web.security import SHEETS_PER_MINUTE, UPLOADS_PER_MINUTE, csrf, limiter

api = blueprint("recolour")
computed = blueprint("recolour_computed")
# Nothing is changed, so nothing can be forged.
csrf.exempt(computed)

# A page made of somebody's stylesheet: nothing in it runs, and it asks for nothing.
SAMPLE_POLICY = (
    "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox; "
    "base-uri 'none'; form-action 'none'; frame-ancestors 'self'"
)


class SourcePath(Described):
    source_id: UUID


class RecolouredPath(Described):
    take_id: UUID
    number: int
    source_id: UUID


class SamplePath(Described):
    take_id: UUID
    source_id: UUID


class SampleQuery(Model):
    """revision: of the take, so that what changed is asked for again."""

    side: Literal["before", "after"] = "after"
    revision: int = 0
    pictures: bool = False


class WriteQuery(Model):
    """pictures: whether colours in SVG pictures within the stylesheet are replaced as well."""

    write: WriteAs = "values"
    pictures: bool = False


class RecolourBody(Model):
    """pictures: as in WriteQuery."""

    document: TakeDocument
    write: WriteAs = "values"
    pictures: bool = False


class OldColorsAnswer(Model):
    """choices: what may take the place of a colour: roles, swatches, and every step. chosen: the keys that
    the designer chose, by old value."""

    colors: tuple[OldColor, ...]
    chosen: dict[str, str]
    choices: tuple[TakeColor, ...]


class RecolouredAnswer(Model):
    """The difference as text, without the files themselves."""

    diff: str
    replaced: int
    undecided: tuple[Undecided, ...]


class RulesAnswer(Whole[RuleChanges]):
    """As the core has it."""


@computed.post(
    "/sources/<uuid:source_id>/old-colors",
    responses={200: OldColorsAnswer},
    summary="The colours of a kept stylesheet, with what takes their place",
)
@limiter.limit(SHEETS_PER_MINUTE)
def list_old_colors(path: SourcePath, body: RecolourBody) -> Response:
    take = body.document.to_take()
    files = _files_of(path.source_id, pictures=body.pictures)
    return answer_value(
        {
            "colors": propose_mapping(take, files),
            "chosen": chosen_slots(take, str(path.source_id)),
            "choices": color_choices(take),
        }
    )


@computed.post(
    "/sources/<uuid:source_id>/recoloured",
    responses={200: RecolouredAnswer},
    summary="What changes in a kept stylesheet",
)
@limiter.limit(SHEETS_PER_MINUTE)
def show_changes(path: SourcePath, body: RecolourBody) -> Response:
    take = body.document.to_take()
    files = _files_of(path.source_id, pictures=body.pictures)
    made, replaced = _recolored(take, files, path.source_id, body.write)
    return answer_value(
        {"diff": difference_of(files, made), "replaced": replaced, "undecided": undecided_in(files)}
    )


@computed.post(
    "/sources/<uuid:source_id>/rules",
    responses={200: RulesAnswer},
    summary="What a recolouring does to the contrast of a stylesheet's rules",
)
@limiter.limit(SHEETS_PER_MINUTE)
def compare_rules(path: SourcePath, body: RecolourBody) -> Response:
    take = body.document.to_take()
    files = _files_of(path.source_id, pictures=body.pictures)
    if sum(len(file.text) for file in files) > MAX_COMPARED_CHARACTERS:
        raise InputError(
            f"The rules of a stylesheet are compared up to {MAX_COMPARED_CHARACTERS // 1000} KB; "
            "what becomes what is shown all the same.",
            field="source",
        )
    return answer_value(rule_changes(take, files, _mapping(take, files, path.source_id)))


@api.get(
    "/takes/<uuid:take_id>/versions/<int:number>/recoloured/<uuid:source_id>",
    summary="A kept stylesheet in the colours of a version, to be downloaded",
)
@limiter.limit(UPLOADS_PER_MINUTE)
def download(path: RecolouredPath, query: WriteQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        version = handed_version(connection, workspace, path.take_id, path.number)
        files = _read(connection, workspace, path.source_id, pictures=query.pictures)
    made, _ = _recolored(version.take, files, path.source_id, query.write)
    if len(made) == 1:
        return attached(made[0].text.encode(), made[0].name, "text/css")
    archive = zipped({entry.name: entry.text.encode() for entry in made})
    return attached(archive, "recoloured.zip", "application/zip")


@api.get(
    "/takes/<uuid:take_id>/recoloured/<uuid:source_id>/page",
    summary="A sample of a kept stylesheet's own rules, before or after, as a page that is inert",
)
def show_sample(path: SamplePath, query: SampleQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        kept = takes.find(connection, workspace, path.take_id)
        files = _read(connection, workspace, path.source_id, pictures=query.pictures)
    take = TakeDocument.model_validate(kept.document).to_take()
    shown = files if query.side == "before" else _recolored(take, files, path.source_id, "values")[0]
    return Response(
        sample_page(shown), mimetype="text/html", headers={"Content-Security-Policy": SAMPLE_POLICY}
    )


def _files_of(source: UUID, *, pictures: bool) -> list[StyleFile]:
    with workspace_connection() as (connection, workspace):
        return _read(connection, workspace, source, pictures=pictures)


def _read(connection: Connection, workspace: UUID, source: UUID, *, pictures: bool) -> list[StyleFile]:
    """Return the files of a stylesheet that is kept as a source. Raises InputError for another kind."""
    if sources.find(connection, workspace, source).kind != "stylesheet":
        raise InputError("Only a stylesheet can be recoloured.", field="source")
    found = sources.contents(connection, workspace, source)
    if not found:
        raise NotFound("The files of this source aren't there.")
    names = _unlike([name for name, _ in found])
    return [
        StyleFile(name, decode_text(content), pictures)
        for name, (_, content) in zip(names, found, strict=True)
    ]


def _unlike(names: list[str]) -> list[str]:
    """Return names that tell files apart: two may have come from different folders."""
    return [name if names.index(name) == row else f"{row + 1}-{name}" for row, name in enumerate(names)]


def _mapping(take: Take, files: list[StyleFile], source: UUID) -> dict[str, str]:
    chosen = chosen_slots(take, str(source))
    return {
        old: chosen.get(color.hex, color.key)
        for color in propose_mapping(take, files)
        for old in color.members
    }


def _recolored(
    take: Take, files: list[StyleFile], source: UUID, write: WriteAs
) -> tuple[Sequence[StyleFile], int]:
    return recolored(take, files, _mapping(take, files, source), write)
