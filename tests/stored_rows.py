"""What a database holds, to be put back: quicker than another database, and than another server on it."""

from __future__ import annotations

import psycopg
from psycopg import sql

# What belongs to a test: every table but the list of migrations.
_TABLES = """
select relname from pg_class
where relkind = 'r' and relnamespace = 'public'::regnamespace and relname <> 'migration'
order by oid
"""
# Keys are not looked at while rows come and go: what comes back is what was there.
_UNWATCHED = "set session_replication_role = replica"
# A test that leaves a transaction open is to fail the next one, and not to hold it for ever.
_PATIENCE = "set lock_timeout = '20s'"
_IDENTITIES = """
select table_name, column_name from information_schema.columns
where table_schema = 'public' and is_identity = 'YES'
"""
_AFTER_THE_LAST = "select setval(pg_get_serial_sequence({0}, {1}), coalesce(max({2}), 0) + 1, false) from {3}"
# A row that was changed has been written by another transaction than the one that put it back.
_IS_CHANGED = "select {name}, count(*) <> {count} or not bool_and(xmin = {written}::xid) from {table}"


class StoredRows:
    """The rows of a database as they are when this is made. The owner of the database must be a superuser."""

    def __init__(self, owner_url: str) -> None:
        self._connection = psycopg.connect(owner_url, autocommit=True)
        self._connection.execute(_UNWATCHED)
        self._connection.execute(_PATIENCE)
        names = [name for (name,) in self._connection.execute(_TABLES)]
        self._rows = {name: self._read(name) for name in names}
        self._counts = {name: self._count(name) for name in names}
        self._identities = self._connection.execute(_IDENTITIES).fetchall()
        self._written: dict[str, str] = {}
        self._put_back(names)

    def put_back(self) -> None:
        """Put back what was changed since the last time."""
        self._put_back(self._changed())

    def close(self) -> None:
        self._connection.close()

    def _put_back(self, names: list[str]) -> None:
        with self._connection.transaction():
            found = self._connection.execute("select pg_current_xact_id()::xid::text").fetchone()
            assert found
            for name in names:
                table = sql.Identifier(name)
                self._connection.execute(sql.SQL("delete from {}").format(table))
                with self._connection.cursor().copy(sql.SQL("copy {} from stdin").format(table)) as copying:
                    copying.write(self._rows[name])
                self._written[name] = found[0]
            for name, column in self._identities:
                parts = sql.Literal(name), sql.Literal(column), sql.Identifier(column), sql.Identifier(name)
                self._connection.execute(sql.SQL(_AFTER_THE_LAST).format(*parts))

    def _changed(self) -> list[str]:
        asked = sql.SQL(" union all ").join(
            sql.SQL(_IS_CHANGED).format(
                name=sql.Literal(name),
                count=sql.Literal(self._counts[name]),
                written=sql.Literal(written),
                table=sql.Identifier(name),
            )
            for name, written in self._written.items()
        )
        return [name for name, is_changed in self._connection.execute(asked) if is_changed]

    def _read(self, name: str) -> bytes:
        with self._connection.cursor().copy(sql.SQL("copy {} to stdout").format(sql.Identifier(name))) as out:
            return b"".join(bytes(part) for part in out)

    def _count(self, name: str) -> int:
        found = self._connection.execute(sql.SQL("select count(*) from {}").format(sql.Identifier(name)))
        return int(next(iter(found))[0])
