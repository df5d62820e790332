"""Real servers for the real browser: forked from a process that has the application loaded."""

from __future__ import annotations

import http.client
import json
import os
import signal
import socket
import subprocess
import sys
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from functools import partial
from pathlib import Path

from tests.browser.server_factory import QUIET
from tests.waiting import until

ROOT = Path(__file__).parents[2]


@dataclass
class Server:
    """A server process on a port that stays the same over a restart."""

    url: str
    environment: dict[str, str]
    factory: subprocess.Popen[str]
    process: int | None = None

    def start(self) -> None:
        assert self.factory.stdin
        assert self.factory.stdout
        print(
            json.dumps({"port": self.port, "environment": self.environment}),
            file=self.factory.stdin,
            flush=True,
        )
        self.process = int(self.factory.stdout.readline())
        self.until("/api/session", 200)

    def stop(self) -> None:
        if self.process is None:
            return
        # Master and worker at once: waiting for them to say goodbye is half the time of a test.
        os.killpg(self.process, signal.SIGKILL)
        until(partial(_is_gone, self.process), pause=0.01)
        self.process = None

    def until_quiet(self) -> None:
        """Wait until it works on nothing: what a page has asked for goes on when the page is gone."""
        self.until(QUIET, 204)

    @property
    def port(self) -> int:
        return int(self.url.rpartition(":")[2])

    def until(self, path: str, status: int) -> None:
        def answers() -> bool:
            try:
                asked = http.client.HTTPConnection("127.0.0.1", self.port, timeout=5)
                asked.request("GET", path)
                return asked.getresponse().status == status
            except OSError:
                return False

        until(answers, f"the server did not answer {path} with {status}")


def _is_gone(group: int) -> bool:
    try:
        os.killpg(group, 0)
    except ProcessLookupError:
        return True
    return False


@contextmanager
def running_factory() -> Iterator[subprocess.Popen[str]]:
    command = [sys.executable, "-m", "tests.browser.server_factory"]
    with subprocess.Popen(
        command, cwd=ROOT, stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
    ) as factory:
        yield factory
        factory.terminate()


@contextmanager
def running_server(database_url: str, factory: subprocess.Popen[str]) -> Iterator[Server]:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    secret = "a secret for the browser tests, long enough"
    environment = {"DATABASE_URL": database_url, "SECRET_KEY": secret, "TONADA_LOG": "warnings"}
    server = Server(f"http://127.0.0.1:{port}", environment, factory)
    server.start()
    yield server
    server.stop()
