"""What the role of the application may do: read, add and change rows, where that is part of its work.

It owns nothing, makes no tables, removes no rows, and can't change a version or a handoff at all.
"""

from __future__ import annotations

from typing import Final, LiteralString

from psycopg import sql

from tonada.store.database import Connection

# Rows of these are added and then never changed.
_ADDED: Final = ("version", "handoff", "review_file", "page_set", "review_take", "review_event")
_CHANGED: Final = (
    "workspace",
    "brand",
    "file",
    "source",
    "source_file",
    "font",
    "take",
    "destination",
    "palette",
    "palette_use",
    "review",
    "review_link",
    "remark",
    "approval",
    "mail",
)

ADD: LiteralString = "grant select, insert on {} to {}"
CHANGE: LiteralString = "grant select, insert, update on {} to {}"
READ: LiteralString = "grant select on migration to {}"
USE: LiteralString = "grant usage on schema public to {}"


def grant_application(connection: Connection, role: str) -> None:
    """Give the application's role what it needs, and nothing else. May be called at every start."""
    name = sql.Identifier(role)
    connection.execute(sql.SQL(USE).format(name))
    connection.execute(sql.SQL(READ).format(name))
    for statement, tables in ((ADD, _ADDED), (CHANGE, _CHANGED)):
        for table in tables:
            connection.execute(sql.SQL(statement).format(sql.Identifier(table), name))
