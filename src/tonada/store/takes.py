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
from tonada.store.errors import LastTake, NotFound, Removed, StoreError

LIST = """
    select id, brand_id, name, document, revision, saved_at from take
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null
     order by position, id
"""
FIND = """
    select id, brand_id, name, document, revision, saved_at from take
     where workspace_id = %(workspace)s and id = %(take)s and removed_at is null
"""
REMOVED = """
    select id, name, removed_at from take
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is not null
     order by removed_at desc, id
     limit %(count)s
"""
IS_REMOVED = """
    select 1 from take
     where workspace_id = %(workspace)s and id = %(take)s and removed_at is not null
"""
# A name that is still shown for what was made of a take, such as a file of an old version.
NAME = "select name, brand_id from take where workspace_id = %(workspace)s and id = %(take)s"
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
       and removed_at is null
    returning id, brand_id, name, document, revision, saved_at
"""  # no row back means someone saved in between: StaleRevision
RENAME = """
    update take set name = %(name)s
     where workspace_id = %(workspace)s and id = %(take)s and removed_at is null
"""
REMOVE = """
    update take set removed_at = now()
     where workspace_id = %(workspace)s and id = %(take)s and removed_at is null
    returning id
"""
RESTORE = """
    update take set removed_at = null where workspace_id = %(workspace)s and id = %(take)s
    returning id
"""
ORDER = """
    update take set position = place.number - 1
      from unnest(%(takes)s::uuid[]) with ordinality as place (id, number)
     where take.workspace_id = %(workspace)s and take.brand_id = %(brand)s and take.id = place.id
"""


@dataclass(frozen=True, slots=True)
class TakeRow:
    """A take as it is saved; document is what `document.take` reads and writes."""

    id: UUID
    brand_id: UUID
    name: str
    document: dict[str, Any]
    revision: int
    saved_at: datetime


@dataclass(frozen=True, slots=True)
class RemovedTake:
    """A take that was deleted and can be brought back."""

    id: UUID
    name: str
    removed_at: datetime


class StaleRevision(StoreError):
    """A take was saved by someone else since the revision that this change was made from."""

    def __init__(self, saved: TakeRow, made_from: int) -> None:
        super().__init__(
            f"Someone saved this take while you were editing (revision {saved.revision}); "
            f"this change was made from revision {made_from}. Nothing was overwritten."
        )
        self.saved, self.made_from = saved, made_from


def list_of_brand(connection: Connection, workspace: UUID, brand: UUID) -> list[TakeRow]:
    """Return the takes of a brand in their order."""
    with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace, "brand": brand}).fetchall()


def removed_of_brand(connection: Connection, workspace: UUID, brand: UUID, count: int) -> list[RemovedTake]:
    """Return so many of the takes that were deleted, the last one first."""
    row = {"workspace": workspace, "brand": brand, "count": count}
    with connection.cursor(row_factory=class_row(RemovedTake)) as cursor:
        return cursor.execute(REMOVED, row).fetchall()


def find(connection: Connection, workspace: UUID, take: UUID) -> TakeRow:
    """Return a take. Raises NotFound or Removed."""
    key = {"workspace": workspace, "take": take}
    with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
        row = cursor.execute(FIND, key).fetchone()
        if row is None:
            removed = cursor.connection.execute(IS_REMOVED, key).fetchone()
            raise Removed("take", take) if removed else NotFound("take")
    return row


def name_of(connection: Connection, workspace: UUID, take: UUID) -> tuple[str, UUID]:
    """Return the name of a take, deleted or not, and its brand. Raises NotFound."""
    row = connection.execute(NAME, {"workspace": workspace, "take": take}).fetchone()
    if row is None:
        raise NotFound("take")
    return str(row[0]), row[1]


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
    """Return the take with its new document and revision. Raises StaleRevision, NotFound or Removed.

    The same document as is saved is not refused, whatever it was made from: a save whose answer
    was lost comes again.
    """
    row = {"workspace": workspace, "take": take, "document": Jsonb(document), "made_from": made_from}
    with connection.cursor(row_factory=class_row(TakeRow)) as cursor:
        saved = cursor.execute(SAVE, row).fetchone()
    if saved is None:
        there = find(connection, workspace, take)
        if there.document != document:
            raise StaleRevision(there, made_from)
        return there
    return saved


def rename(connection: Connection, workspace: UUID, take: UUID, name: str) -> TakeRow:
    """Return the take with its new name. Raises NotFound or Removed."""
    connection.execute(RENAME, {"workspace": workspace, "take": take, "name": name})
    return find(connection, workspace, take)


def remove(connection: Connection, workspace: UUID, take: UUID) -> None:
    """Take a take away; it can be restored. Raises NotFound, Removed, and LastTake for the only one."""
    row = find(connection, workspace, take)
    connection.execute(LOCK_BRAND, {"workspace": workspace, "brand": row.brand_id})
    if len(list_of_brand(connection, workspace, row.brand_id)) < 2:
        raise LastTake
    if connection.execute(REMOVE, {"workspace": workspace, "take": take}).fetchone() is None:
        raise Removed("take", take)


def restore(connection: Connection, workspace: UUID, take: UUID) -> TakeRow:
    """Return a take that was removed. Raises NotFound."""
    if connection.execute(RESTORE, {"workspace": workspace, "take": take}).fetchone() is None:
        raise NotFound("take")
    return find(connection, workspace, take)


def order(connection: Connection, workspace: UUID, brand: UUID, takes: list[UUID]) -> None:
    """Reorder the takes of a brand; ids of other brands are ignored."""
    connection.execute(ORDER, {"workspace": workspace, "brand": brand, "takes": takes})
