"""`tonada serve` itself, for tests: started on data of its own, killed, and looked at from outside."""

from __future__ import annotations

import http.client
import json
import os
import signal
import socket
import subprocess
import sys
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from tests.waiting import PATIENCE_SECONDS, until


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


@dataclass
class Served:
    """A server on its own data. Its output goes into a file beside the data."""

    data: Path
    port: int = field(default_factory=free_port)
    environment: dict[str, str] = field(default_factory=dict)
    process: subprocess.Popen[bytes] | None = None
    host: str = "127.0.0.1"

    def start(self) -> None:
        settings = {"TONADA_DATA": str(self.data), "PORT": str(self.port), "TONADA_WORKERS": "2"}
        environment = {**os.environ, **settings, **self.environment}
        self.data.parent.mkdir(parents=True, exist_ok=True)
        with open(self.log, "ab") as log:
            self.process = subprocess.Popen(
                [sys.executable, "-m", "tonada.cli", "serve"], env=environment, stdout=log, stderr=log
            )
        self.wait_until_up()

    @property
    def log(self) -> Path:
        return self.data.with_suffix(".log")

    def wait_until_up(self) -> None:
        def is_up() -> bool:
            assert self.process
            assert self.process.poll() is None, self.log.read_text()
            try:
                return self.ask("GET", "/readyz")[0] == 200
            except (OSError, http.client.HTTPException):
                return False

        until(is_up, f"it did not come up: see {self.log}", pause=0.05)

    def stop(self) -> None:
        if self.process and self.process.poll() is None:
            self.process.terminate()
            self.process.wait(PATIENCE_SECONDS)

    def kill(self) -> None:
        """The worst moment: no clean-up, no goodbye."""
        assert self.process
        self.process.kill()
        self.process.wait()

    def ask(
        self, method: str, path: str, body: object = None, headers: dict[str, str] | None = None
    ) -> tuple[int, bytes]:
        asked = http.client.HTTPConnection("127.0.0.1", self.port, timeout=20)
        try:
            given = json.dumps(body).encode() if body is not None else None
            own = {"Content-Type": "application/json"} if given else {}
            asked.request(method, path, given, {"Host": self.host, **own, **(headers or {})})
            answer = asked.getresponse()
            return answer.status, answer.read()
        finally:
            asked.close()

    def web_master(self) -> int:
        return next(pid for pid in self.children() if "gunicorn" in command_of(pid))

    def children(self, of: int | None = None) -> list[int]:
        assert self.process
        pid = of or self.process.pid
        return [int(one) for one in Path(f"/proc/{pid}/task/{pid}/children").read_text().split()]

    def workers(self) -> list[int]:
        return self.children(self.web_master())

    def database_left(self) -> bool:
        """Whether a server still runs on these files, whoever started it."""
        try:
            pid = int((self.data / "cluster" / "data" / "postmaster.pid").read_text().split()[0])
        except (OSError, ValueError, IndexError):
            return False
        return "postgres" in command_of(pid)

    def database(self) -> int:
        return next(pid for pid in self.children() if "postgres" in command_of(pid))


def command_of(pid: int) -> str:
    try:
        return Path(f"/proc/{pid}/cmdline").read_bytes().replace(b"\0", b" ").decode(errors="replace")
    except OSError:
        return ""


def kill(pid: int, number: int = signal.SIGKILL) -> None:
    os.kill(pid, number)


class Person:
    """A client with a session and its token, which loses neither the answer nor its patience."""

    def __init__(self, served: Served) -> None:
        self.served = served
        self.headers: dict[str, str] = {}

    def sign_in(self) -> None:
        asked = http.client.HTTPConnection("127.0.0.1", self.served.port, timeout=20)
        asked.request("GET", "/api/session")
        answer = asked.getresponse()
        token = json.loads(answer.read())["csrf_token"]
        cookie = (answer.headers["Set-Cookie"] or "").partition(";")[0]
        self.headers = {"X-CSRF-Token": token, "Cookie": cookie}
        asked.close()

    def ask(self, method: str, path: str, body: object = None) -> tuple[int, Any]:
        """Ask until there is an answer: a page tries again too, and the server takes that for what it is."""

        def answer() -> tuple[int, bytes] | None:
            try:
                if not self.headers:
                    self.sign_in()
                status, content = self.served.ask(method, path, body, self.headers)
            except (OSError, http.client.HTTPException):
                return None
            return (status, content) if status != 503 else None

        found = until(answer, lambda: self.served.log.read_text(), pause=0.1)
        assert found
        status, content = found
        return status, json.loads(content) if content.startswith((b"{", b"[")) else content
