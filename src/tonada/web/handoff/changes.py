"""What changed between any two versions or takes of a brand: in place, as Markdown, and as a PDF."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated
from uuid import UUID

from flask import Response
from pydantic import Field, StringConstraints

from tonada.core.handoff.changes import ChangeLine, changes_between
from tonada.core.handoff.changes_text import changes_markdown, changes_text
from tonada.core.handoff.facts import Section
from tonada.core.take.take import Take
from tonada.document.parts import Described, Model
from tonada.document.take import TakeDocument
from tonada.files.change_sheet import change_sheet
from tonada.store import brands, handoffs, takes, versions
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.handoff.handed import attached
from tonada.web.security import SHEETS_PER_MINUTE, limiter
from tonada.web.takes.views import TakePath

api = blueprint("changes")

# A take as it is saved, or a version of one: its id, with a colon and the number.
StateText = Annotated[
    str, StringConstraints(pattern=r"^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}(:[1-9][0-9]{0,8})?$")
]


class ChangesQuery(Described):
    before: StateText = Field(description="A take’s id, or with a colon and a number one of its versions")
    after: StateText = Field(description="Likewise")


class ToldChange(Model):
    """One change; see the core's ChangeLine."""

    section: Section
    label: str
    scheme: str
    before: str
    after: str
    token: str
    hex_before: str | None
    hex_after: str | None

    @classmethod
    def of(cls, line: ChangeLine) -> ToldChange:
        return cls(**{name: getattr(line, name) for name in cls.model_fields})


class ChangesAnswer(Model):
    """before, after: what the two are called. text, markdown: the same, to be sent."""

    before: str
    after: str
    lines: tuple[ToldChange, ...]
    text: str
    markdown: str


class HandedAnswer(Model):
    """The versions of a take that were handed off, the last one first."""

    versions: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class _State:
    name: str
    take: Take


@api.get(
    "/brands/<uuid:brand_id>/changes",
    responses={200: ChangesAnswer},
    summary="What changed between two takes or versions",
)
def read_changes(path: BrandPath, query: ChangesQuery) -> Response:
    before, after = _states(path.brand_id, query)
    lines = changes_between(before.take, after.take)
    return answer(
        ChangesAnswer(
            before=before.name,
            after=after.name,
            lines=tuple(map(ToldChange.of, lines)),
            text=f"{_title(before, after)}\n\n{changes_text(lines)}",
            markdown=changes_markdown(lines, _title(before, after)),
        )
    )


@api.get("/brands/<uuid:brand_id>/changes/pdf", summary="What changed between two states, as a PDF")
@limiter.limit(SHEETS_PER_MINUTE)
def download_changes(path: BrandPath, query: ChangesQuery) -> Response:
    before, after = _states(path.brand_id, query)
    with workspace_connection() as (connection, workspace):
        brand = brands.find(connection, workspace, path.brand_id)
    made = change_sheet(brand.name, before.name, after.name, changes_between(before.take, after.take))
    return attached(made, f"{brand.name} changes.pdf", "application/pdf")


@api.get(
    "/takes/<uuid:take_id>/handed",
    responses={200: HandedAnswer},
    summary="The versions that were handed off",
)
def read_handed(path: TakePath) -> Response:
    with workspace_connection() as (connection, workspace):
        takes.find(connection, workspace, path.take_id)
        found = handoffs.versions_of(connection, workspace, path.take_id)
    return answer(HandedAnswer(versions=tuple(found)))


def _title(before: _State, after: _State) -> str:
    return f"{after.name}, since {before.name}"


def _states(brand: UUID, query: ChangesQuery) -> tuple[_State, _State]:
    with workspace_connection() as (connection, workspace):
        before, after = (_state(connection, workspace, brand, text) for text in (query.before, query.after))
    return before, after


def _state(connection: Connection, workspace: UUID, brand: UUID, text: str) -> _State:
    take_id, _, number = text.partition(":")
    name, brand_id = takes.name_of(connection, workspace, UUID(take_id))
    if brand_id != brand:
        raise NotFound("take")
    if number:
        document = versions.find(connection, workspace, UUID(take_id), int(number)).document
        name = f"{name}, version {number}"
    else:
        document = takes.find(connection, workspace, UUID(take_id)).document
        name = f"{name} as it is now"
    return _State(name, TakeDocument.model_validate(document).to_take())
