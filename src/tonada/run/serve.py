"""`tonada serve`: the database, the migrations, the demo data and the web server, and their end."""

from __future__ import annotations

import http.client
import os
import secrets
import signal
import socket
import subprocess
import sys
import time
from dataclasses import dataclass
from pathlib import Path
from types import FrameType
from typing import Final

from tonada.demo.seed import seed_demo
from tonada.run.cluster import Cluster, ClusterError
from tonada.store.database import connect
from tonada.store.errors import StoreUnavailable
from tonada.store.migrate import migrate
from tonada.web.settings import Settings, SettingsError

HOST: Final = "127.0.0.1"
DEFAULT_PORT: Final = 8600
WORKERS: Final = 2
THREADS: Final = 4
PROJECT: Final = Path(__file__).resolve().parents[3]


class CannotServe(Exception):
    """The server can't be started; the message says why in one line."""


@dataclass(frozen=True, slots=True)
class _Plan:
    port: int
    database_url: str | None  # None: a cluster of our own
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
        _check_port(plan.port)
        if plan.database_url is None:
            cluster = Cluster(plan.data / "cluster")
            if plan.reset:
                cluster.remove()
        database_url = plan.database_url or (cluster.start() if cluster else "")
        migrate(database_url)
        if plan.demo:
            with connect(database_url) as connection:
                seed_demo(connection)
        return _run_server(plan, database_url)
    except KeyboardInterrupt:
        return 0
    except (CannotServe, ClusterError, StoreUnavailable, SettingsError) as reason:
        print(f"Tonada can't start: {reason}", file=sys.stderr)
        return 1
    except OSError as reason:
        print(f"Tonada can't start: {reason.strerror}: {reason.filename}", file=sys.stderr)
        return 1
    finally:
        for number in (signal.SIGINT, signal.SIGTERM):
            signal.signal(number, signal.SIG_IGN)
        if cluster is not None:
            _stop(cluster)


def _interrupt(_number: int, _frame: FrameType | None) -> None:
    raise KeyboardInterrupt


def _plan(*, demo: bool, reset: bool) -> _Plan:
    given = os.environ.get("PORT") or str(DEFAULT_PORT)
    if not given.isdigit() or not 1 <= int(given) <= 65535:
        raise CannotServe(f"PORT is “{given}”; give a number from 1 to 65535, such as 8600.")
    database_url = os.environ.get("DATABASE_URL") or None
    if reset and database_url:
        raise CannotServe(
            "the data in a database of yours is not reset; empty it yourself, or unset DATABASE_URL."
        )
    data = Path(os.environ.get("TONADA_DATA") or PROJECT / ".data")
    return _Plan(int(given), database_url, data, demo, reset)


def _check_port(port: int) -> None:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((HOST, port))
        except OSError as reason:
            raise CannotServe(
                f"port {port} is taken by another program. Stop it, or choose one: PORT=8601 make demo"
            ) from reason


def _run_server(plan: _Plan, database_url: str) -> int:
    environment = {
        **os.environ,
        "DATABASE_URL": database_url,
        "SECRET_KEY": os.environ.get("SECRET_KEY") or _kept_secret(plan.data),
    }
    Settings.from_environment(environment)
    command = [sys.executable, "-m", "gunicorn", "tonada.web.app:create_app()"]
    command += ["--config", "python:tonada.run.gunicorn_settings"]
    command += ["--bind", f"{HOST}:{plan.port}", "--workers", str(WORKERS), "--threads", str(THREADS)]
    command += ["--worker-class", "gthread", "--worker-tmp-dir", "/dev/shm", "--log-level", "warning"]  # noqa: S108
    command += ["--timeout", "60", "--graceful-timeout", "5", "--no-control-socket"]
    server = subprocess.Popen(command, env=environment, start_new_session=True)
    try:
        _wait_until_up(server, plan.port)
        print(f"Tonada is at http://{HOST}:{plan.port}  (Ctrl-C stops it)", flush=True)
        return server.wait()
    finally:
        if server.poll() is None:
            server.terminate()
            server.wait()


def _wait_until_up(server: subprocess.Popen[bytes], port: int) -> None:
    end = time.monotonic() + 30
    while time.monotonic() < end:
        if server.poll() is not None:
            raise CannotServe("the web server stopped at once; its messages stand above.")
        if _answers(port):
            return
        time.sleep(0.05)
    raise CannotServe("the web server did not answer within 30 seconds.")


def _answers(port: int) -> bool:
    """Say whether a worker answers: the port alone is open before the application is there."""
    asked = http.client.HTTPConnection(HOST, port, timeout=10)
    try:
        asked.request("GET", "/api/session")
        return asked.getresponse().status == 200
    except (OSError, http.client.HTTPException):
        return False
    finally:
        asked.close()


def _kept_secret(data: Path) -> str:
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
