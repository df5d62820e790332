"""That something came: told to every worker of every server by PostgreSQL (NOTIFY, LISTEN)."""

from __future__ import annotations

from collections.abc import AsyncIterator
from typing import Final
from uuid import UUID

import psycopg

from tonada.store.database import Connection
from tonada.store.errors import StoreUnavailable

CHANNEL: Final = "tonada_review"
TELL: Final = "select pg_notify(%(channel)s, %(what)s)"
LISTEN: Final = f"listen {CHANNEL}"
# A connection that has died in silence is noticed in so long.
QUIET_SECONDS: Final = 20.0


def tell(connection: Connection, review: UUID) -> None:
    """Notify all listeners that a review has changed, when this transaction commits."""
    connection.execute(TELL, {"channel": CHANNEL, "what": str(review)})


async def listen(url: str) -> AsyncIterator[UUID | None]:
    """Yield the review of each notice; None at the beginning and in quiet times.

    Ends with StoreUnavailable where the database goes away: what came meanwhile is not known then.
    """
    try:
        connection = await psycopg.AsyncConnection.connect(
            url, autocommit=True, connect_timeout=5, application_name="tonada-notices"
        )
        async with connection:
            await connection.execute(LISTEN)
            yield None
            while True:
                async for notice in connection.notifies(timeout=QUIET_SECONDS):
                    yield UUID(notice.payload)
                await connection.execute("select 1")
                yield None
    except psycopg.Error as reason:
        raise StoreUnavailable(f"No notices: {type(reason).__name__}") from reason
