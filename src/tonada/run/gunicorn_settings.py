"""Settings of the web server's workers: python -m gunicorn -c python:tonada.run.gunicorn_settings."""

from __future__ import annotations

import gc
import threading

from gunicorn.workers.base import Worker

from tonada.core.lattice import boxes

# A request of the hot path makes a few thousand short-lived values; looking through them ten times
# each request takes a fifth of its time.
_COLLECT_AFTER = (25_000, 20, 20)


def post_worker_init(worker: Worker) -> None:
    """Leave what was loaded at the start out of every later collection, and make the tables of mends.

    The first mend would wait half a second for them. Long readings that a worker or a server left
    behind are looked for from here on.
    """
    worker.wsgi.extensions["tonada.readings"].wake()
    gc.collect()
    gc.freeze()
    gc.set_threshold(*_COLLECT_AFTER)
    threading.Thread(target=boxes, daemon=True).start()
