"""Handoffs: which version of a take left the house, as what, and when."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from psycopg.rows import class_row

from tonada.store.database import Connection
from tonada.store.versions import find

RECORD = """
    insert into handoff (workspace_id, take_id, version_number, what)
    values (%(workspace)s, %(take)s, %(number)s, %(what)s)
"""
LAST_BEFORE = """
    select version_number, what, created_at from handoff
     where workspace_id = %(workspace)s and take_id = %(take)s and version_number < %(number)s
     order by version_number desc, created_at desc limit 1
"""


@dataclass(frozen=True, slots=True)
class HandoffRow:
    """A version that was handed off, as what."""

    version_number: int
    what: str
    created_at: datetime


def record(connection: Connection, workspace: UUID, take: UUID, number: int, what: str) -> None:
    """Note that a version was handed off. Raises NotFound for an unknown one."""
    find(connection, workspace, take, number)
    connection.execute(RECORD, {"workspace": workspace, "take": take, "number": number, "what": what})


def last_before(connection: Connection, workspace: UUID, take: UUID, number: int) -> HandoffRow | None:
    """Return the newest handoff of a version before `number`, or None."""
    row = {"workspace": workspace, "take": take, "number": number}
    with connection.cursor(row_factory=class_row(HandoffRow)) as cursor:
        return cursor.execute(LAST_BEFORE, row).fetchone()
