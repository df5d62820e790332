"""Server-sent events of reviews: several workers, two servers, and no thread for each reader."""

from __future__ import annotations

import contextlib
import http.client
import json
import shutil
import socket
import tempfile
import time
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from tests.reviews import built_with
from tests.served import Person, Served, kill
from tests.waiting import PATIENCE_SECONDS, until
from tonada.run.cluster import Cluster

READERS = 150


@pytest.fixture(scope="module")
def pair() -> Iterator[tuple[Served, Served]]:
    place = Path(tempfile.mkdtemp(prefix="tonada-streams-"))
    place.chmod(0o755)
    cluster = Cluster(place / "cluster", durable=False)
    settings = {"DATABASE_URL": cluster.start(), "SECRET_KEY": "the same on both of the servers here"}
    made = Served(place / "one", environment=settings), Served(place / "two", environment=settings)
    for one in made:
        one.start()
    yield made
    for one in made:
        one.stop()
    cluster.remove()
    shutil.rmtree(place, ignore_errors=True)


@pytest.fixture(scope="module")
def link(pair: tuple[Served, Served]) -> str:
    """The path of a link to a review."""
    person = Person(pair[0])
    person.sign_in()
    brand = person.ask("POST", "/api/brands", {"name": "Streamed"})[1]
    built_with(person.ask, brand["first_take"])
    body = {"takes": [{"take": brand["first_take"]}], "pages": []}
    status, made = person.ask("POST", f"/api/brands/{brand['id']}/reviews", body)
    assert status == 201, made
    return str(made["link"]["path"])


class Listener:
    """A reader of a stream: a bare socket, and what has come over it."""

    def __init__(self, served: Served, path: str) -> None:
        self.socket = socket.create_connection(("127.0.0.1", served.port), timeout=PATIENCE_SECONDS)
        request = f"GET /api{path}/events HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\n\r\n"
        self.socket.sendall(request.encode())
        self.came = b""

    def wait_for(self, count: int) -> None:
        """Wait until so many events have come. Each says only that something is new."""
        end = time.monotonic() + PATIENCE_SECONDS
        while self.came.count(b"event: new\n") < count:
            # Beats keep coming on a stream that hears nothing.
            assert time.monotonic() < end, f"not heard: {self.came!r}"
            more = self.socket.recv(4096)
            assert more, f"the stream ended: {self.came!r}"
            self.came += more

    def events_so_far(self) -> int:
        """Read what has arrived, without waiting for more, and count the events."""
        self.socket.setblocking(False)
        with contextlib.suppress(BlockingIOError):
            while more := self.socket.recv(4096):
                self.came += more
        self.socket.settimeout(PATIENCE_SECONDS)
        return self.came.count(b"event: new\n")

    def close(self) -> None:
        self.socket.close()


def say(served: Served, path: str, text: str) -> None:
    person = Person(served)
    status, body, cookie = opened(served, path)
    assert status == 200
    person.headers = {"X-CSRF-Token": body["csrf_token"], "Cookie": cookie}
    status, said = person.ask("POST", f"/api{path}/remarks", {"name": "Ana", "text": text})
    assert status == 201, said


def opened(served: Served, path: str) -> tuple[int, Any, str]:
    asked = http.client.HTTPConnection("127.0.0.1", served.port, timeout=PATIENCE_SECONDS)
    asked.request("GET", f"/api{path}")
    answer = asked.getresponse()
    body = json.loads(answer.read())
    asked.close()
    return answer.status, body, (answer.headers["Set-Cookie"] or "").partition(";")[0]


def threads(served: Served) -> int:
    return sum(len(list(Path(f"/proc/{pid}/task").iterdir())) for pid in served.workers())


@pytest.mark.detail(24)
def test_many_readers_hold_no_threads_and_all_hear(pair: tuple[Served, Served], link: str) -> None:
    first, second = pair
    one = Listener(first, link)
    one.wait_for(1)
    opened(first, link)
    before = threads(first)
    listeners = []
    for served in [first] * READERS + [second] * 3:
        listeners.append(Listener(served, link))
        # One after the other: threads that answer at once stay in their pool, and are no readers'.
        listeners[-1].wait_for(1)
    head = listeners[0].came.partition(b"\r\n\r\n")[0].decode()
    assert head.startswith("HTTP/1.1 200 OK")
    for expected in ("Content-Type: text/event-stream", "Cache-Control: no-store", "X-Accel-Buffering: no"):
        assert expected in head
    assert "Content-Security-Policy" in head
    assert threads(first) - before < READERS / 10
    # Said on one server, heard on both, by the readers of every worker.
    say(second, link, "Heard by all")
    for listener in (one, *listeners):
        listener.wait_for(2)
    # Everything else is answered meanwhile.
    assert first.ask("GET", "/readyz")[0] == 200
    for listener in (one, *listeners):
        listener.close()


@pytest.mark.detail(24)
def test_a_reader_of_another_review_hears_nothing(pair: tuple[Served, Served], link: str) -> None:
    first, _ = pair
    person = Person(first)
    person.sign_in()
    brand = person.ask("POST", "/api/brands", {"name": "Other"})[1]
    built_with(person.ask, brand["first_take"])
    body = {"takes": [{"take": brand["first_take"]}], "pages": []}
    other = person.ask("POST", f"/api/brands/{brand['id']}/reviews", body)[1]["link"]["path"]
    stranger, reader = Listener(first, other), Listener(first, link)
    for listener in (stranger, reader):
        listener.wait_for(1)
    say(first, link, "Not for strangers")
    reader.wait_for(2)
    # Whoever is to hear has heard; a worker writes to all of its readers in one go.
    say(first, link, "Nor this")
    reader.wait_for(3)
    assert stranger.events_so_far() == 1
    stranger.close()
    reader.close()


@pytest.mark.detail(24)
def test_a_worker_that_dies_lets_its_readers_come_again(pair: tuple[Served, Served], link: str) -> None:
    first, _ = pair
    listeners = [Listener(first, link) for _ in range(8)]
    for listener in listeners:
        listener.wait_for(1)
    for worker in first.workers():
        kill(worker)
    for listener in listeners:
        while listener.socket.recv(4096):
            pass
        listener.close()
    until(lambda: first.ask("GET", "/readyz")[0] == 200)
    again = Listener(first, link)
    again.wait_for(1)
    say(first, link, "Back again")
    again.wait_for(2)
    again.close()
