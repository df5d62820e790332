"""Versions: numbered states of a take that are never changed afterwards."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.rows import class_row

from tonada.store import takes
from tonada.store.database import Connection
from tonada.store.errors import NotFound

LOCK_TAKE = """
    select 1 from take
     where workspace_id = %(workspace)s and id = %(take)s and removed_at is null for update
"""
# The saved document is copied in the database: what is cut is what was saved.
CUT = """
    insert into version (workspace_id, take_id, number, description, is_automatic, document)
    select take.workspace_id, take.id,
           1 + coalesce((select max(number) from version
                          where workspace_id = %(workspace)s and take_id = %(take)s), 0),
           %(description)s, %(is_automatic)s, take.document
      from take where take.workspace_id = %(workspace)s and take.id = %(take)s
    returning id, take_id, number, description, is_automatic, document, created_at
"""
# A page of the list, without the documents: of each only its colours.
LIST = """
    select number, description, is_automatic, created_at,
           jsonb_path_query_array(document, '$.swatches[*].hex') as hexes
      from version
     where workspace_id = %(workspace)s and take_id = %(take)s
       and (%(before)s::integer is null or number < %(before)s)
     order by number desc
     limit %(count)s
"""
FIND = """
    select id, take_id, number, description, is_automatic, document, created_at from version
     where workspace_id = %(workspace)s and take_id = %(take)s and number = %(number)s
"""


@dataclass(frozen=True, slots=True)
class VersionRow:
    """A state of a take, numbered from 1."""

    id: UUID
    take_id: UUID
    number: int
    description: str
    is_automatic: bool
    document: dict[str, Any]
    created_at: datetime


@dataclass(frozen=True, slots=True)
class ListedVersion:
    """A version in the list. hexes: of its swatches, in their order."""

    number: int
    description: str
    is_automatic: bool
    created_at: datetime
    hexes: list[str]


def cut(
    connection: Connection, workspace: UUID, take: UUID, *, description: str, is_automatic: bool = False
) -> VersionRow:
    """Return a new version of the take as it is saved. Raises NotFound or Removed."""
    row = {"workspace": workspace, "take": take, "description": description, "is_automatic": is_automatic}
    # Two versions cut at once must not get the same number.
    if connection.execute(LOCK_TAKE, row).fetchone() is None:
        takes.find(connection, workspace, take)
        raise NotFound("take")
    with connection.cursor(row_factory=class_row(VersionRow)) as cursor:
        return cursor.execute(CUT, row).fetchall()[0]


def page(
    connection: Connection, workspace: UUID, take: UUID, before: int | None, count: int
) -> list[ListedVersion]:
    """Return so many versions of a take, the newest first, of those numbered lower than `before`."""
    row = {"workspace": workspace, "take": take, "before": before, "count": count}
    with connection.cursor(row_factory=class_row(ListedVersion)) as cursor:
        return cursor.execute(LIST, row).fetchall()


def find(connection: Connection, workspace: UUID, take: UUID, number: int) -> VersionRow:
    """Return a version by its number. Raises NotFound."""
    row = {"workspace": workspace, "take": take, "number": number}
    with connection.cursor(row_factory=class_row(VersionRow)) as cursor:
        found = cursor.execute(FIND, row).fetchone()
    if found is None:
        raise NotFound("version")
    return found
