"""Migrations: numbered plain SQL files, run once each, in order, under an advisory lock."""

from __future__ import annotations

from importlib.resources import files
from typing import Final, LiteralString

import psycopg

from tonada.store.data_migrations import DATA_MIGRATIONS
from tonada.store.database import Connection, connect
from tonada.store.errors import StoreUnavailable
from tonada.store.permissions import grant_application

# Any number will do, as long as nothing else in the database takes it.
MIGRATION_LOCK: Final = 7_013_026_001

CREATE_LEDGER = """
    create table if not exists migration (
        name text primary key,
        applied_at timestamptz not null default now()
    )
"""
LIST_APPLIED = "select name from migration"
RECORD = "insert into migration (name) values (%(name)s)"
# What is kept of every workspace is carried over.
EVERYTHING = "select set_config('tonada.workspace', '*', true)"
LOCK = "select pg_advisory_xact_lock(%(lock)s)"


def migrate(url: str, application: str | None = None) -> list[str]:
    """Bring the database to the newest state and return the names of what was run.

    url is that of the owner; application names the role that the application connects as, where it
    is another one. It is given what it needs.

    One transaction: either all of it happens or nothing. Two that start at once wait for each
    other, and the second finds nothing to do. Raises StoreUnavailable.
    """
    try:
        with connect(url) as connection:
            connection.execute(EVERYTHING)
            fresh = _run_missing(connection)
            if application is not None:
                grant_application(connection, application)
            return fresh
    except psycopg.Error as reason:
        raise StoreUnavailable(
            f"The database could not be migrated: {str(reason).splitlines()[0]}"
        ) from reason


def _run_missing(connection: Connection) -> list[str]:
    connection.execute(LOCK, {"lock": MIGRATION_LOCK})
    connection.execute(CREATE_LEDGER)
    applied = {row[0] for row in connection.execute(LIST_APPLIED)}
    fresh = []
    for name, statements in _scripts():
        if name not in applied:
            # The files ship with the application; nothing of them comes from outside.
            connection.execute(statements)
            DATA_MIGRATIONS.get(name, _nothing)(connection)
            connection.execute(RECORD, {"name": name})
            fresh.append(name)
    return fresh


def _nothing(connection: Connection) -> None: ...


def _scripts() -> list[tuple[str, LiteralString]]:
    folder = files("tonada.store") / "migrations"
    names = sorted(entry.name for entry in folder.iterdir() if entry.name.endswith(".sql"))
    return [(name, (folder / name).read_text(encoding="utf-8")) for name in names]
