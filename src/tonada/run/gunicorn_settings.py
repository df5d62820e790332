"""Settings of the web server: python -m gunicorn -c python:tonada.run.gunicorn_settings.

Worker class `gthread`: a connection that is idle waits in a poller and costs no thread; one whose
request is on its way holds a thread. There are enough of them that a few hundred slow clients keep
nobody off, and a client that sends or takes nothing for a while is let go. See
docs/decisions/0015-threads-for-slow-clients.md.
"""

from __future__ import annotations

import ctypes
import gc
import importlib
import os
import signal
import socket
import struct
import threading
from typing import Any

from tonada.core.mends.srgb_boxes import boxes
from tonada.document.parts import build_models
from tonada.intake import bounded

worker_class = "gthread"
# Loaded once, and shared by the workers.
preload_app = True
threads = 256
worker_connections = 1000
# Of an idle connection that is kept for its next request, in seconds.
keepalive = 20
# A worker that doesn't answer its master for so long is replaced.
timeout = 60
graceful_timeout = 5
worker_tmp_dir = "/dev/shm"  # noqa: S108  # a file each that is touched every second
loglevel = "warning"
control_socket_disable = True
# What a proxy says is weighed by web/proxies.py alone.
forwarded_allow_ips = ""
limit_request_line = 4094
limit_request_fields = 60

# Source: prctl(2).
_PR_SET_PDEATHSIG = 1
# So long may a client send nothing in the middle of a request, or take nothing of its answer.
SILENT_SECONDS = 15
# A request of the hot path makes a few thousand short-lived values; looking through them ten times
# each request takes a fifth of its time.
_COLLECT_AFTER = (25_000, 20, 20)


def when_ready(server: Any) -> None:
    """Load and make, once for all workers, what the first change of hues and the first mend would wait for.

    What is there before the workers are forked is shared by them, and left out of every collection.
    Silent clients are let go of: what is accepted has the time limits of the listening socket.
    """
    importlib.import_module("scipy.optimize")
    boxes()
    build_models()
    # What making them took for a moment goes back to the system.
    ctypes.CDLL(None).malloc_trim(0)
    gc.collect()
    gc.freeze()
    limit = struct.pack("ll", SILENT_SECONDS, 0)
    for listener in server.LISTENERS:
        listener.sock.setsockopt(socket.SOL_SOCKET, socket.SO_RCVTIMEO, limit)
        listener.sock.setsockopt(socket.SOL_SOCKET, socket.SO_SNDTIMEO, limit)


def post_fork(server: Any, worker: Any) -> None:
    """End with the master, however that ends: a worker left behind would hold the port."""
    del worker
    ctypes.CDLL(None).prctl(_PR_SET_PDEATHSIG, signal.SIGKILL)
    if os.getppid() != server.pid:
        os._exit(1)


def post_worker_init(worker: Any) -> None:
    """Look for readings and mails that a worker or a server left behind; get ready for the first file."""
    gc.set_threshold(*_COLLECT_AFTER)
    for errand in ("tonada.readings", "tonada.courier"):
        worker.wsgi.extensions[errand].wake()
    threading.Thread(target=bounded.get_ready, daemon=True).start()
