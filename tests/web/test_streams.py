"""Streams of one worker: the first event comes only once nothing can be missed any more."""

from __future__ import annotations

import asyncio
import socket
import threading
from collections.abc import AsyncIterator
from uuid import UUID, uuid4

import pytest

from tonada.store.errors import StoreUnavailable
from tonada.web.reviews import streams
from tonada.web.reviews.streams import NEW, Streams

REVIEW = uuid4()


class Database:
    """What listens in the place of PostgreSQL: the test says when, and what it hears."""

    def __init__(self) -> None:
        self.may_listen = threading.Semaphore(0)
        self.heard: asyncio.Queue[UUID | None] = asyncio.Queue()

    async def listen(self, _: str) -> AsyncIterator[UUID | None]:
        await asyncio.to_thread(self.may_listen.acquire)
        yield None
        while True:
            notice = await self.heard.get()
            if notice is None:
                raise StoreUnavailable("gone")
            yield notice


@pytest.fixture
def database(monkeypatch: pytest.MonkeyPatch) -> Database:
    made = Database()
    monkeypatch.setattr(streams, "listen", made.listen)
    return made


class Reader:
    def __init__(self, kept: Streams) -> None:
        self._end, given = socket.socketpair()
        self._end.settimeout(20)
        assert kept.take_over(REVIEW, given, b"head\n")
        given.close()

    def read(self, size: int) -> bytes:
        came = b""
        while len(came) < size:
            came += self._end.recv(size - len(came))
        return came

    def hears_nothing(self) -> bool:
        self._end.settimeout(0.2)
        try:
            return not self._end.recv(1)
        except TimeoutError:
            return True
        finally:
            self._end.settimeout(20)

    def close(self) -> None:
        self._end.close()


def tell(kept: Streams, database: Database, notice: UUID | None) -> None:
    kept._started().call_soon_threadsafe(database.heard.put_nowait, notice)


def test_the_first_event_waits_until_the_worker_listens(database: Database) -> None:
    kept = Streams("a database")
    early = Reader(kept)
    assert early.read(5) == b"head\n"
    assert early.hears_nothing()
    database.may_listen.release()
    assert early.read(len(NEW)) == NEW
    late = Reader(kept)
    assert late.read(5 + len(NEW)) == b"head\n" + NEW
    tell(kept, database, REVIEW)
    assert (early.read(len(NEW)), late.read(len(NEW))) == (NEW, NEW)
    early.close()
    late.close()


def test_after_the_database_was_away_everybody_asks_once_it_is_heard_again(database: Database) -> None:
    kept = Streams("a database")
    database.may_listen.release()
    reader = Reader(kept)
    assert reader.read(5 + len(NEW)) == b"head\n" + NEW
    tell(kept, database, None)
    assert reader.hears_nothing()
    database.may_listen.release()
    assert reader.read(len(NEW)) == NEW
    tell(kept, database, uuid4())
    assert reader.hears_nothing()
    reader.close()
