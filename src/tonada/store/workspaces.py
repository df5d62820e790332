"""The workspace that a server's users share. Accounts, and more workspaces, come on top of it."""

from __future__ import annotations

from typing import Final
from uuid import UUID

from tonada.store.database import Connection

# One installation is one studio; see docs/decisions/0004-one-workspace.md.
NAME: Final = "Studio"
# Two servers that start at once must not make two.
WORKSPACE_LOCK: Final = 7_013_026_002

FIND = "select id from workspace where name = %(name)s order by created_at limit 1"
CREATE = "insert into workspace (name) values (%(name)s) returning id"
# See migration 0006: rows of no other workspace are seen or written in this transaction.
ENTER = "select set_config('tonada.workspace', %(workspace)s, true)"
CALL = "select set_config('tonada.workspace_name', %(name)s, true)"
LOCK = "select pg_advisory_xact_lock(%(lock)s)"


def find_or_create(connection: Connection, name: str) -> UUID:
    """Return the id of the workspace of that name, which is made where there is none, and enter it."""
    connection.execute(LOCK, {"lock": WORKSPACE_LOCK})
    connection.execute(CALL, {"name": name})
    found = connection.execute(FIND, {"name": name}).fetchone()
    created = found or connection.execute(CREATE, {"name": name}).fetchone()
    if created is None:
        raise RuntimeError("insert… returning gave no row")
    workspace: UUID = created[0]
    enter(connection, workspace)
    return workspace


def enter(connection: Connection, workspace: UUID) -> None:
    """From here to the end of the transaction, only this workspace is there."""
    connection.execute(ENTER, {"workspace": str(workspace)})
