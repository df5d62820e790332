"""Connections: a pool for the server, a single one for commands."""

from __future__ import annotations

import logging
import time
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any, Final, TypeAlias, TypeVar

import psycopg
from psycopg.abc import PQGen
from psycopg.rows import TupleRow
from psycopg_pool import ConnectionPool, PoolTimeout

from tonada.store.errors import NotStorable, StoreUnavailable

Connection: TypeAlias = psycopg.Connection[TupleRow]
_Result = TypeVar("_Result")

# A statement of ours takes milliseconds; one that takes so long is stuck behind something.
STATEMENT_TIMEOUT_MS: Final = 4_000
# A network that has gone away is noticed in so long, instead of in a quarter of an hour.
_TCP_TIMEOUT_MS: Final = 4_000
CONNECT_SECONDS: Final = 3
_OPTIONS: Final = (
    f"-c statement_timeout={STATEMENT_TIMEOUT_MS} -c idle_in_transaction_session_timeout=30000 "
    "-c client_encoding=UTF8"
)
_CONNECTION: Final[dict[str, Any]] = {
    "options": _OPTIONS,
    "connect_timeout": CONNECT_SECONDS,
    "tcp_user_timeout": _TCP_TIMEOUT_MS,
    "application_name": "tonada",
}
log = logging.getLogger("tonada.store")

# What a person is told, by what PostgreSQL says; everything else is “can't be reached”.
_SAID: Final[dict[type[psycopg.Error], str]] = {
    psycopg.errors.DiskFull: "The disk of the database is full. Nothing was changed.",
    psycopg.errors.ReadOnlySqlTransaction: "The database can only be read now. Nothing was changed.",
    psycopg.errors.QueryCanceled: "The database took too long. Nothing was changed; try again.",
    psycopg.errors.LockNotAvailable: "The database took too long. Nothing was changed; try again.",
}
_GONE: Final = "The database can’t be reached. Nothing was changed."


class _Impatient(psycopg.Connection[TupleRow]):
    """A connection that is given up when the server says nothing for some seconds.

    A server that is paused keeps its connections open and answers nothing; no timeout of its own
    helps then.
    """

    patience: float = STATEMENT_TIMEOUT_MS / 1000 + 0.4

    def wait(self, gen: PQGen[_Result], interval: float = 0.1, timeout: float | None = None) -> _Result:
        """Wait for the server, but not for ever. Raises OperationalError."""
        return super().wait(self._until(gen, time.monotonic() + self.patience), interval, timeout)

    def _until(self, gen: PQGen[_Result], end: float) -> PQGen[_Result]:
        try:
            wanted = next(gen)
            while True:
                ready = yield wanted
                if not ready and time.monotonic() > end:
                    self.close()
                    raise psycopg.OperationalError("the server does not answer")
                wanted = gen.send(ready)
        except StopIteration as done:
            result: _Result = done.value
            return result


def _check(connection: _Impatient) -> None:
    """Raise OperationalError where the connection is no good any more."""
    connection.patience = 1.2
    ConnectionPool.check_connection(connection)
    connection.patience = _Impatient.patience


class Database:
    """A pool of connections to one database. Opened on first use, so that a fork comes before."""

    def __init__(self, url: str, *, most: int = 8, wait_seconds: float = 4.0) -> None:
        self._pool: ConnectionPool[_Impatient] = ConnectionPool(
            url,
            connection_class=_Impatient,
            min_size=1,
            max_size=most,
            open=False,
            timeout=wait_seconds,
            kwargs=_CONNECTION,
            # A connection that died while nobody used it is replaced before anybody is given it.
            check=_check,
            # The wait between attempts doubles; given up early, the next person's question starts again,
            # and a database that is back is used within seconds.
            reconnect_timeout=3,
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
            log.error("the database failed: %s: %s", type(reason).__name__, _first_line(reason))
            raise StoreUnavailable(_SAID.get(type(reason), _GONE)) from reason

    def close(self) -> None:
        """Close all connections."""
        self._pool.close()


def connect(url: str) -> Connection:
    """Return one connection. Raises StoreUnavailable with the reason in one line."""
    try:
        return psycopg.connect(url, **{**_CONNECTION, "options": "-c client_encoding=UTF8"})
    except psycopg.Error as reason:
        raise StoreUnavailable(f"The database can't be reached: {_first_line(reason)}") from reason


def _first_line(reason: Exception) -> str:
    lines: list[Any] = [line.strip() for line in str(reason).splitlines() if line.strip()]
    return lines[0] if lines else type(reason).__name__
