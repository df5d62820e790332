"""Takes: documents with a revision, so that nobody overwrites what they haven't seen."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.errors import ForeignKeyViolation
from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.store.database import Connection
from tonada.store.errors import NotFound, StaleRevision

LIST = """
    select id, brand_id, name, document, revision, saved_at from take
     where workspace_id = %(workspace)s and brand_id = %(brand)s
     order by position, id
"""
FIND = """
    select id, brand_id, name, document, revision, saved_at from take
     where workspace_id = %(workspace)s and id = %(take)s
"""
LOCK_BRAND = "select 1 from brand where workspace_id = %(workspace)s and id = %(brand)s for update"
CREATE = """
    insert into take (workspace_id, brand_id, name, position, document)
    select %(workspace)s, %(brand)s, coalesce(%(name)s, 'Take ' || count(*) + 1), count(*), %(document)s
      from take where workspace_id = %(workspace)s and brand_id = %(brand)s
    returning id, brand_id, name, document, revision, saved_at
"""
SAVE = """
    update take set document = %(document)s, revision = revision + 1, saved_at = now()
     where workspace_id = %(workspace)s and id = %(take)s and revision = %(made_from)s
    returning id, brand_id, name, document, revision, saved_at
"""  # no row back means someone saved in between: StaleRevision


@dataclass(frozen=True, slots=True)
class TakeRow:
    """A take as it is saved; document is what `web.documents` reads and writes."""

    id: UUID
    brand_id: UUID
    name: str
    document: dict[str, Any]
    revision: int
    saved_at: datetime


def list_of_brand(connection: Connection, workspace: UUID, brand: UUID) -> list[TakeRow]:
    """Return the takes of a brand in their order."""
    with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace, "brand": brand}).fetchall()


def find(connection: Connection, workspace: UUID, take: UUID) -> TakeRow:
    """Return a take. Raises NotFound."""
    with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
        row = cursor.execute(FIND, {"workspace": workspace, "take": take}).fetchone()
    if row is None:
        raise NotFound("take")
    return row


def create(
    connection: Connection, workspace: UUID, brand: UUID, document: dict[str, Any], name: str | None = None
) -> TakeRow:
    """Return a new take at the end of the brand's, called “Take N” unless named. Raises NotFound."""
    row = {"workspace": workspace, "brand": brand, "name": name, "document": Jsonb(document)}
    # Two takes made at once must not get the same place.
    if connection.execute(LOCK_BRAND, row).fetchone() is None:
        raise NotFound("brand")
    try:
        with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
            return cursor.execute(CREATE, row).fetchall()[0]
    except ForeignKeyViolation as reason:
        raise NotFound("brand") from reason


def save(
    connection: Connection, workspace: UUID, take: UUID, document: dict[str, Any], *, made_from: int
) -> TakeRow:
    """Return the take with its new document and revision. Raises StaleRevision or NotFound."""
    row = {"workspace": workspace, "take": take, "document": Jsonb(document), "made_from": made_from}
    with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
        saved = cursor.execute(SAVE, row).fetchone()
    if saved is None:
        raise StaleRevision(find(connection, workspace, take), made_from)
    return saved
