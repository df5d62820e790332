"""Server-sent events: that something of a review is new. No reader holds a thread.

Gunicorn gives a thread to each request. A stream would hold it for hours, so its socket is taken over: one
thread of each worker holds all of them, hears of what is new from PostgreSQL (LISTEN), and writes a line.
Only *that* something is new is told; the page then asks for it, through every check there is.
Source: WHATWG HTML, 9.2, server-sent events. See docs/decisions/0029-streams-hold-no-thread.md.
"""

from __future__ import annotations

import asyncio
import contextlib
import logging
import os
import socket
import threading
from collections import defaultdict
from collections.abc import Iterable
from typing import TYPE_CHECKING, Any, Final
from uuid import UUID

from flask import Response

from tonada.store.errors import StoreUnavailable
from tonada.store.reviews.notices import listen

if TYPE_CHECKING:
    from _typeshed.wsgi import StartResponse, WSGIEnvironment

log = logging.getLogger("tonada.streams")

# A reader that is gone is noticed when it is written to.
BEAT_SECONDS: Final = 15.0
# Of one worker; whoever comes after asks again and again instead.
MOST_STREAMS: Final = 2_000
# Asked again after so long where a stream ends.
RETRY_MILLISECONDS: Final = 3_000
_BACKLOG_BYTES: Final = 4_096
NEW: Final = b"event: new\ndata: 1\n\n"
BEAT: Final = b": here\n\n"
# Readers of everything: the designers.
ALL: Final = UUID(int=0)


class Streams:
    """The streams of one worker; their thread starts with the first."""

    def __init__(self, database_url: str) -> None:
        self._url = database_url
        self._lock = threading.Lock()
        self._loop: asyncio.AbstractEventLoop | None = None
        self._readers: defaultdict[UUID, set[asyncio.StreamWriter]] = defaultdict(set)
        # Whether nothing of what is told is missed. A reader's first event comes only then.
        self._listens = False

    @property
    def count(self) -> int:
        """How many streams there are."""
        return sum(map(len, self._readers.values()))

    def take_over(self, review: UUID, connection: socket.socket, head: bytes) -> bool:
        """Keep a connection as a stream; False where there are too many, and it is left as it is."""
        if self.count >= MOST_STREAMS:
            return False
        own = connection.dup()
        # What the web server still writes to it, and its end, go into a pair that nobody reads.
        left, right = socket.socketpair()
        os.dup2(left.fileno(), connection.fileno())
        left.close()
        right.close()
        asyncio.run_coroutine_threadsafe(self._keep(review, own, head), self._started())
        return True

    def _started(self) -> asyncio.AbstractEventLoop:
        with self._lock:
            if self._loop is None:
                self._loop = asyncio.new_event_loop()
                threading.Thread(target=self._run, args=(self._loop,), name="streams", daemon=True).start()
            return self._loop

    def _run(self, loop: asyncio.AbstractEventLoop) -> None:
        asyncio.set_event_loop(loop)
        loop.create_task(self._hear())
        loop.create_task(self._beat())
        loop.run_forever()

    async def _keep(self, review: UUID, connection: socket.socket, head: bytes) -> None:
        connection.setblocking(False)
        try:
            reader, writer = await asyncio.open_connection(sock=connection)
        except OSError:
            # Gone before it was kept.
            connection.close()
            return
        self._readers[review].add(writer)
        writer.write(head + NEW if self._listens else head)
        with contextlib.suppress(OSError):
            # A reader of a stream says nothing more; when it goes, this ends.
            while await reader.read(_BACKLOG_BYTES):
                pass
        self._drop(review, writer)

    async def _hear(self) -> None:
        while True:
            try:
                async for review in listen(self._url):
                    if not self._listens:
                        # What came until now is not known: everybody asks.
                        self._listens = True
                        self._write(tuple(self._readers), NEW)
                    if review is not None:
                        self._write((review, ALL), NEW)
            except StoreUnavailable as reason:
                log.warning("streams wait for the database: %s", reason)
            except Exception:
                log.exception("streams heard nothing more")
            self._listens = False
            await asyncio.sleep(1)

    async def _beat(self) -> None:
        while True:
            await asyncio.sleep(BEAT_SECONDS)
            self._write(tuple(self._readers), BEAT)

    def _write(self, reviews: Iterable[UUID], line: bytes) -> None:
        for review in reviews:
            for writer in tuple(self._readers.get(review, ())):
                transport = writer.transport
                # Who takes nothing for so long is let go; the page asks again.
                if transport.is_closing() or transport.get_write_buffer_size() > _BACKLOG_BYTES:
                    self._drop(review, writer)
                else:
                    writer.write(line)

    def _drop(self, review: UUID, writer: asyncio.StreamWriter) -> None:
        self._readers[review].discard(writer)
        if not self._readers[review]:
            del self._readers[review]
        writer.transport.abort()


class StreamResponse(Response):
    """An answer that goes on: its socket is given to the streams, or it ends at once and is asked again."""

    def __init__(self, streams: Streams, review: UUID) -> None:
        retry = f"retry: {RETRY_MILLISECONDS}\n\n".encode()
        # Whoever is not kept is told at once, and asks again.
        super().__init__(retry + NEW, mimetype="text/event-stream")
        self._first = retry
        self.headers["Cache-Control"] = "no-store"
        # A proxy in front passes each line on as it comes (nginx).
        self.headers["X-Accel-Buffering"] = "no"
        self._streams, self._review = streams, review

    def __call__(self, environ: WSGIEnvironment, start_response: StartResponse) -> Iterable[bytes]:
        """Hand the connection over where the web server lets it be taken."""
        connection: Any = environ.get("gunicorn.socket")
        # Over TLS of its own, the web server holds a state that can't be taken along.
        if type(connection) is not socket.socket or environ.get("REQUEST_METHOD") != "GET":
            return super().__call__(environ, start_response)
        headers = [
            (name, value) for name, value in self.get_wsgi_headers(environ) if name != "Content-Length"
        ]
        lines = [f"HTTP/1.1 {self.status}", *(f"{name}: {value}" for name, value in headers)]
        head = "\r\n".join([*lines, "Connection: close", "", ""]).encode("latin-1") + self._first
        if not self._streams.take_over(self._review, connection, head):
            return super().__call__(environ, start_response)
        start_response("204 No Content", [])
        return ()
