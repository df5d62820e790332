"""Connections: a pool for the server, a single one for commands."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any, TypeAlias

import psycopg
from psycopg.rows import TupleRow
from psycopg_pool import ConnectionPool, PoolTimeout

from tonada.store.errors import NotStorable, StoreUnavailable

Connection: TypeAlias = psycopg.Connection[TupleRow]

# A statement of ours takes milliseconds; one that takes so long is stuck behind something.
STATEMENT_TIMEOUT_MS = 15_000
_OPTIONS = f"-c statement_timeout={STATEMENT_TIMEOUT_MS} -c client_encoding=UTF8"


class Database:
    """A pool of connections to one database. Opened on first use, so that a fork comes before."""

    def __init__(self, url: str, *, most: int = 8, wait_seconds: float = 5.0) -> None:
        self._pool: ConnectionPool[Connection] = ConnectionPool(
            url, min_size=1, max_size=most, open=False, timeout=wait_seconds, kwargs={"options": _OPTIONS}
        )

    @contextmanager
    def transaction(self) -> Iterator[Connection]:
        """Give a connection whose statements are one transaction. Raises StoreUnavailable, NotStorable."""
        try:
            self._pool.open()
            with self._pool.connection() as connection:
                yield connection
        except psycopg.DataError as reason:
            if "0x00" not in str(reason) and "u0000" not in str(reason):
                raise
            raise NotStorable from reason
        except (PoolTimeout, psycopg.OperationalError) as reason:
            raise StoreUnavailable("The database can't be reached. Nothing was changed.") from reason

    def close(self) -> None:
        """Close all connections."""
        self._pool.close()


def connect(url: str) -> Connection:
    """Return one connection. Raises StoreUnavailable with the reason in one line."""
    try:
        return psycopg.connect(url, connect_timeout=5, options=_OPTIONS)
    except psycopg.Error as reason:
        raise StoreUnavailable(f"The database can't be reached: {_first_line(reason)}") from reason


def _first_line(reason: Exception) -> str:
    lines: list[Any] = [line.strip() for line in str(reason).splitlines() if line.strip()]
    return lines[0] if lines else type(reason).__name__
