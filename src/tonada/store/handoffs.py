"""Handoffs: which version of a take left the house, as what, and when."""

from __future__ import annotations

from uuid import UUID

from tonada.store.database import Connection
from tonada.store.versions import find

RECORD = """
    insert into handoff (workspace_id, take_id, version_number, what)
    values (%(workspace)s, %(take)s, %(number)s, %(what)s)
"""
VERSIONS = """
    select distinct version_number from handoff
     where workspace_id = %(workspace)s and take_id = %(take)s order by version_number desc
"""


def record(connection: Connection, workspace: UUID, take: UUID, number: int, what: str) -> None:
    """Note that a version was handed off. Raises NotFound for an unknown one."""
    find(connection, workspace, take, number)
    connection.execute(RECORD, {"workspace": workspace, "take": take, "number": number, "what": what})


def versions_of(connection: Connection, workspace: UUID, take: UUID) -> list[int]:
    """Return the numbers of the versions of a take that were handed off, the last one first."""
    found = connection.execute(VERSIONS, {"workspace": workspace, "take": take}).fetchall()
    return [number for (number,) in found]
