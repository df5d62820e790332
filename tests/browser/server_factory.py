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
import types
from pathlib import Path

import gunicorn.app.base

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
        return create_app()


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
            # A group of its own, which is ended as a whole.
            os.setsid()
            os.dup2(os.open(os.devnull, os.O_RDWR), 0)
            os.environ.update(order["environment"])
            Served(order["port"]).run()
            os._exit(0)
        print(process, flush=True)


if __name__ == "__main__":
    main()
