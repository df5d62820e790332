"""Destinations that the designer made: a name and an ordered list of slots, for all brands."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any
from uuid import UUID

from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.store.database import Connection
from tonada.store.errors import NotFound, Removed, StaleDestination

LIST = """
    select id, name, revision, slots from destination
     where workspace_id = %(workspace)s and removed_at is null order by created_at
"""
CREATE = """
    insert into destination (workspace_id, name, slots) values (%(workspace)s, %(name)s, %(slots)s)
    returning id, name, revision, slots
"""
SAVE = """
    update destination set name = %(name)s, slots = %(slots)s, revision = revision + 1
     where workspace_id = %(workspace)s and id = %(id)s and revision = %(revision)s and removed_at is null
    returning id, name, revision, slots
"""
FIND = """
    select id, name, revision, slots from destination
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is null
"""
IS_REMOVED = """
    select 1 from destination
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is not null
"""
REMOVE = """
    update destination set removed_at = clock_timestamp()
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is null returning id
"""
RESTORE = """
    update destination set removed_at = null
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is not null
    returning id, name, revision, slots
"""


@dataclass(frozen=True, slots=True)
class DestinationRow:
    """A destination; slots as JSON, see the web's SlotModel."""

    id: UUID
    name: str
    revision: int
    slots: list[dict[str, Any]]


def list_all(connection: Connection, workspace: UUID) -> list[DestinationRow]:
    """Return the destinations of a workspace, the oldest first."""
    with connection.cursor(row_factory=class_row(DestinationRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace}).fetchall()


def create(connection: Connection, workspace: UUID, name: str, slots: list[dict[str, Any]]) -> DestinationRow:
    """Return a new destination."""
    row = {"workspace": workspace, "name": name, "slots": Jsonb(slots)}
    with connection.cursor(row_factory=class_row(DestinationRow)) as cursor:
        return cursor.execute(CREATE, row).fetchall()[0]


def save(
    connection: Connection,
    workspace: UUID,
    destination: UUID,
    name: str,
    slots: list[dict[str, Any]],
    *,
    made_from: int,
) -> DestinationRow:
    """Return the changed destination. Raises NotFound, Removed, or StaleDestination."""
    key = {"workspace": workspace, "id": destination}
    row = {**key, "name": name, "slots": Jsonb(slots), "revision": made_from}
    with connection.cursor(row_factory=class_row(DestinationRow)) as cursor:
        saved = cursor.execute(SAVE, row).fetchone()
        if saved is None:
            found = cursor.execute(FIND, key).fetchone()
            raise _missing(connection, key) if found is None else StaleDestination
    return saved


def _missing(connection: Connection, key: dict[str, UUID]) -> NotFound | Removed:
    removed = connection.execute(IS_REMOVED, key).fetchone()
    return Removed("destination", key["id"]) if removed else NotFound("destination")


def remove(connection: Connection, workspace: UUID, destination: UUID) -> None:
    """Take a destination away; it can be restored. Raises NotFound or Removed."""
    key = {"workspace": workspace, "id": destination}
    if connection.execute(REMOVE, key).fetchone() is None:
        raise _missing(connection, key)


def restore(connection: Connection, workspace: UUID, destination: UUID) -> DestinationRow:
    """Bring a destination back. Raises NotFound."""
    row = {"workspace": workspace, "id": destination}
    with connection.cursor(row_factory=class_row(DestinationRow)) as cursor:
        found = cursor.execute(RESTORE, row).fetchone()
    if found is None:
        raise NotFound("destination")
    return found
