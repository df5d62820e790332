"""`tonada serve`: the database, the migrations, the demo data and the web server, and their end.

Database and web server are children that end with this process, however it ends. Where one of them
ends by itself it is started again; where it keeps ending, this process ends with a line that says so,
and whatever supervises it restarts it.
"""

from __future__ import annotations

import fcntl
import http.client
import os
import secrets
import signal
import socket
import subprocess
import sys
import time
from collections import deque
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from types import FrameType
from typing import Final
from urllib.parse import urlsplit

from tonada.run.cluster import APPLICATION, Cluster, ClusterError
from tonada.store.errors import StoreUnavailable
from tonada.store.migrate import migrate
from tonada.web.settings import Settings, SettingsError

HOST: Final = "127.0.0.1"
DEFAULT_PORT: Final = 8600
MOST_WORKERS: Final = 32
PROJECT: Final = Path(__file__).resolve().parents[3]

_WATCH_SECONDS: Final = 0.2
# So many ends of a child within a minute are no accident any more.
_MOST_RESTARTS: Final = 5
_RESTART_SECONDS: Final = 60.0


class CannotServe(Exception):
    """The server can't be started, or not kept up; the message says why in one line."""


@dataclass(frozen=True, slots=True)
class _Plan:
    port: int
    workers: int
    database_url: str | None  # None: a cluster of our own
    owner_url: str | None
    data: Path
    demo: bool
    reset: bool


def serve(*, demo: bool, reset: bool) -> int:
    """Run until Ctrl-C or SIGTERM, then stop everything that was started. Return the exit code."""
    # From here on a signal is an exception, so that whatever was started is stopped on the way out.
    for number in (signal.SIGINT, signal.SIGTERM):
        signal.signal(number, _interrupt)
    cluster: Cluster | None = None
    try:
        plan = _plan(demo=demo, reset=reset)
        with alone(plan.data, f"http://{HOST}:{plan.port}"):
            _check_port(plan.port)
            if plan.database_url is None:
                cluster = Cluster(plan.data / "cluster", say=_say)
                if plan.reset:
                    cluster.remove()
            try:
                return _run(plan, cluster)
            finally:
                for number in (signal.SIGINT, signal.SIGTERM):
                    signal.signal(number, signal.SIG_IGN)
                if cluster is not None:
                    _stop(cluster)
    except KeyboardInterrupt:
        return 0
    except (CannotServe, ClusterError, StoreUnavailable, SettingsError) as reason:
        print(f"Tonada can't run: {reason}", file=sys.stderr)
        return 1
    except OSError as reason:
        print(f"Tonada can't run: {reason.strerror}: {reason.filename}", file=sys.stderr)
        return 1


def _interrupt(_number: int, _frame: FrameType | None) -> None:
    raise KeyboardInterrupt


def _say(line: str) -> None:
    print(line, flush=True)


def _plan(*, demo: bool, reset: bool) -> _Plan:
    database_url = os.environ.get("DATABASE_URL") or None
    if reset and database_url:
        raise CannotServe(
            "the data in a database of yours is not reset; empty it yourself, or unset DATABASE_URL."
        )
    return _Plan(
        port=_number("PORT", DEFAULT_PORT, 65535, "such as 8600"),
        workers=_number("TONADA_WORKERS", min(max(2, os.cpu_count() or 2), 8), MOST_WORKERS, "such as 4"),
        database_url=database_url,
        owner_url=os.environ.get("TONADA_OWNER_URL") or database_url,
        data=data_folder(),
        demo=demo,
        reset=reset,
    )


def _number(name: str, default: int, most: int, example: str) -> int:
    said = os.environ.get(name) or str(default)
    if not (said.isascii() and said.isdigit() and 1 <= int(said) <= most):
        raise CannotServe(f"{name} is “{said}”; give a number from 1 to {most}, {example}.")
    return int(said)


def data_folder() -> Path:
    """Return where the own cluster and the session key are kept."""
    return Path(os.environ.get("TONADA_DATA") or PROJECT / ".data")


@contextmanager
def alone(data: Path, doing: str) -> Iterator[None]:
    """Hold the data for this process: two servers on the same files would stop each other's database.

    Raises CannotServe where another process has it, with what that one is `doing`.
    """
    data.mkdir(parents=True, exist_ok=True)
    with open(data / "serve.lock", "a+") as file:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            file.seek(0)
            raise CannotServe(
                f"it already runs on the data in {data} ({file.read().strip()}). "
                "Stop that one, or choose other data: TONADA_DATA=/another/folder"
            ) from None
        file.truncate(0)
        file.write(f"process {os.getpid()}, {doing}")
        file.flush()
        yield


def _check_port(port: int) -> None:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((HOST, port))
        except OSError as reason:
            raise CannotServe(
                f"port {port} is in use by another program. Stop it, or choose one: PORT=8601 make demo"
            ) from reason


def _run(plan: _Plan, cluster: Cluster | None) -> int:
    database_url = _prepare_database(plan, cluster)
    environment = {
        **os.environ,
        "DATABASE_URL": database_url,
        "SECRET_KEY": os.environ.get("SECRET_KEY") or kept_secret(plan.data),
        # Many threads would each take memory of their own.
        "MALLOC_ARENA_MAX": "2",
        "TONADA_LOG": os.environ.get("TONADA_LOG") or ("warnings" if plan.demo else "requests"),
    }
    # Only what the application needs goes on to it.
    environment.pop("TONADA_OWNER_URL", None)
    settings = Settings.from_environment(environment)
    server = _start_server(plan, environment)
    try:
        _wait_until_up(server, plan.port, settings.hosts[0])
        _say(f"Tonada is at http://{HOST}:{plan.port}  (Ctrl-C stops it)")
        restarts: deque[float] = deque(maxlen=_MOST_RESTARTS)
        while True:
            time.sleep(_WATCH_SECONDS)
            if cluster is not None and not cluster.is_running():
                _note(restarts, "the database")
                cluster.start()
            if server.poll() is not None:
                # Not waited for: meanwhile the database may need to be started again too.
                _note(restarts, "the web server")
                server = _start_server(plan, environment)
    finally:
        if server.poll() is None:
            server.terminate()
            server.wait()


def _prepare_database(plan: _Plan, cluster: Cluster | None) -> str:
    """Bring the database up to date and return the address for the application."""
    if cluster is not None:
        migrate(cluster.start(), APPLICATION)
        database_url = cluster.application_url
    else:
        database_url = plan.database_url or ""
        migrate(plan.owner_url or "", _application_role(plan))
    if plan.demo:
        _seed(database_url)
    return database_url


def _seed(database_url: str) -> None:
    """Make the demo brands, in a process of its own: it loads libraries that nothing here needs later."""
    command = [sys.executable, "-m", "tonada.demo.seed"]
    done = subprocess.run(
        command, env={**os.environ, "DATABASE_URL": database_url}, stderr=subprocess.PIPE, check=False
    )
    if done.returncode != 0:
        said = done.stderr.decode(errors="replace").strip().splitlines() or ["it gave no reason"]
        raise CannotServe(f"the demo brands could not be made: {said[-1]}")


def _application_role(plan: _Plan) -> str | None:
    """Return the role of the application where the operator has one beside the owner."""
    if plan.database_url == plan.owner_url or plan.database_url is None:
        return None
    return urlsplit(plan.database_url).username


def _note(restarts: deque[float], what: str) -> None:
    now = time.monotonic()
    if len(restarts) == _MOST_RESTARTS and now - restarts[0] < _RESTART_SECONDS:
        raise CannotServe(f"{what} keeps ending; see its messages above.")
    restarts.append(now)
    print(f"Tonada: {what} ended and is started again.", file=sys.stderr, flush=True)


# A worker gives back what an upload took: few arenas for its many threads, and large blocks of their own.
# Source: mallopt(3).
MEMORY: Final = {
    "MALLOC_ARENA_MAX": "2",
    "MALLOC_MMAP_THRESHOLD_": "131072",
    "MALLOC_TRIM_THRESHOLD_": "131072",
}


def _start_server(plan: _Plan, environment: dict[str, str]) -> subprocess.Popen[bytes]:
    # Where this process is killed, nothing of the web server may hold the port any longer.
    command = ["setpriv", "--pdeathsig", "KILL", "--", sys.executable, "-m", "gunicorn"]
    command += ["tonada.web.app:create_app()", "--config", "python:tonada.run.gunicorn_settings"]
    command += ["--bind", f"{HOST}:{plan.port}", "--workers", str(plan.workers)]
    return subprocess.Popen(command, env={**MEMORY, **environment}, start_new_session=True)


def _wait_until_up(server: subprocess.Popen[bytes], port: int, host: str) -> None:
    """Wait as long as the web server is there: a busy machine takes its time."""
    said, started = 0.0, time.monotonic()
    while not _answers(port, host):
        if server.poll() is not None:
            raise CannotServe("the web server stopped at once; see its messages above.")
        waited = time.monotonic() - started
        if waited - said > 10:
            said = waited
            _say(f"Waiting for the web server to load the application, {waited:.0f} seconds so far…")
        time.sleep(0.05)


def _answers(port: int, host: str) -> bool:
    """Return whether a worker answers: the port alone is open before the application is there."""
    asked = http.client.HTTPConnection(HOST, port, timeout=10)
    try:
        asked.request("GET", "/readyz", headers={"Host": host})
        return asked.getresponse().status == 200
    except (OSError, http.client.HTTPException):
        return False
    finally:
        asked.close()


def kept_secret(data: Path) -> str:
    """Return the key that signs sessions; it stays the same over a restart."""
    path = data / "secret-key"
    if not path.exists():
        data.mkdir(parents=True, exist_ok=True)
        descriptor = os.open(path, os.O_WRONLY | os.O_CREAT, 0o600)
        with os.fdopen(descriptor, "w") as file:
            file.write(secrets.token_hex(32))
    return path.read_text().strip()


def _stop(cluster: Cluster) -> None:
    try:
        cluster.stop()
    except ClusterError as reason:
        print(reason, file=sys.stderr)
