"""A process that has the application loaded and forks real gunicorn servers from itself.

Importing the application takes seconds, and every browser test has a server of its own. Orders come
as lines of JSON on standard input; the process id of each server goes back on standard output.
"""

from __future__ import annotations

import ctypes
import json
import os
import signal
import sys
import threading
import types
from collections.abc import Callable, Iterable
from dataclasses import replace
from pathlib import Path
from typing import Any

import gunicorn.app.base
import pytest
from werkzeug.wsgi import ClosingIterator

from tests.sheets import make_sheets_once
from tonada.core.harmony.stave import possible_colors
from tonada.core.mends.all_pairs import mend_all
from tonada.core.mends.srgb_boxes import boxes
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.grounds import grounds_of
from tonada.core.roles.brand import Candidate
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.roles.ramp_rows import rows_of
from tonada.run import gunicorn_settings
from tonada.web.app import create_app
from tonada.web.settings import Settings

# As the demo brand's logo has them.
LOGO = tuple(map(Candidate, ("#2b3a8c", "#b6653a", "#d7b13c"), (0.6, 0.25, 0.15)))
# From linux/prctl.h.
PR_SET_CHILD_SUBREAPER = 36
PR_SET_PDEATHSIG = 1
# Answered by the server's tests alone: whether it works on nothing but this.
QUIET = "/tests/quiet"


class Served(gunicorn.app.base.BaseApplication):
    """gunicorn with the settings that `tonada serve` gives it, but for the number of workers."""

    def __init__(self, port: int) -> None:
        self._port = port
        super().__init__()

    def load_config(self) -> None:
        settings = {
            "bind": f"127.0.0.1:{self._port}",
            "worker_class": gunicorn_settings.worker_class,
            "threads": gunicorn_settings.threads,
            "loglevel": gunicorn_settings.loglevel,
            "control_socket_disable": True,
        }
        for name, value in settings.items():
            self.cfg.set(name, value)

    def load(self) -> object:
        # Hundreds of tests ask one server for more than a person does.
        app = create_app(replace(Settings.from_environment(os.environ), rate_limits=False))
        app.wsgi_app = Counted(app.wsgi_app)  # type: ignore[method-assign]  # as Flask's manual has it
        return app


class Counted:
    """An application of which one can ask whether it still works on something."""

    def __init__(self, app: Callable[..., Iterable[bytes]]) -> None:
        self._app = app
        self._open = 0
        self._lock = threading.Lock()

    def __call__(self, environ: dict[str, Any], start_response: Callable[..., Any]) -> Iterable[bytes]:
        if environ["PATH_INFO"] == QUIET:
            start_response("503 Service Unavailable" if self._open else "204 No Content", [])
            return []
        self._count(1)
        try:
            answer = self._app(environ, start_response)
        except BaseException:
            self._count(-1)
            raise
        return ClosingIterator(answer, lambda: self._count(-1))

    def _count(self, change: int) -> None:
        with self._lock:
            self._open += change


def warm_up() -> None:
    """Make once here what every server would make for its first request."""
    boxes()  # the tables of mends
    take = build_take(LOGO, propose_roles(LOGO), source=None, source_name="a list")
    for scheme in (take, take.turned()):
        evaluate(scheme)
        grounds_of(scheme)
        rows_of(scheme)
        mend_all(scheme)
    possible_colors(0.1)
    make_sheets_once(pytest.MonkeyPatch())
    create_app(Settings("postgresql://nowhere", "only to load what an application needs", Path()))


def main() -> None:
    # Servers that have ended are not kept as zombies, nor are their workers, which become children of
    # this process: a process 1 that takes its time to reap them would make every test wait for it.
    signal.signal(signal.SIGCHLD, signal.SIG_IGN)
    ctypes.CDLL(None, use_errno=True).prctl(PR_SET_CHILD_SUBREAPER, 1, 0, 0, 0)
    # What readings are forked from loads the main module again; this one would load everything.
    sys.modules["__main__"] = types.ModuleType("__main__")
    warm_up()
    for line in sys.stdin:
        order = json.loads(line)
        process = os.fork()
        if process == 0:
            signal.signal(signal.SIGCHLD, signal.SIG_DFL)
            # A group of its own, which is ended as a whole; with the tests where those are killed.
            os.setsid()
            ctypes.CDLL(None).prctl(PR_SET_PDEATHSIG, signal.SIGKILL, 0, 0, 0)
            os.dup2(os.open(os.devnull, os.O_RDWR), 0)
            os.environ.update(order["environment"])
            Served(order["port"]).run()
            os._exit(0)
        print(process, flush=True)


if __name__ == "__main__":
    main()
