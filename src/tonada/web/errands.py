"""What a worker does beside answering: a thread looks for something to do, when told and regularly."""

from __future__ import annotations

import logging
import threading
from collections.abc import Callable

from tonada.store.errors import StoreUnavailable

log = logging.getLogger("tonada.errands")


class Errands:
    """One thread, started when it is first needed.

    do_next: does one thing, and says whether there was one. look_seconds: how often it is asked by itself,
    for what another worker or server has left behind.
    """

    def __init__(self, name: str, do_next: Callable[[], bool], look_seconds: float) -> None:
        self._name, self._do_next, self._look_seconds = name, do_next, look_seconds
        self._wanted, self._stopped = threading.Event(), threading.Event()
        self._thread: threading.Thread | None = None
        self._lock = threading.Lock()

    @property
    def is_stopped(self) -> bool:
        """Whether nothing more is to be begun."""
        return self._stopped.is_set()

    def wake(self) -> None:
        """Look for something to do now, and from now on regularly."""
        with self._lock:
            if self._thread is None:
                self._thread = threading.Thread(target=self._run, name=self._name, daemon=True)
                self._thread.start()
        self._wanted.set()

    def stop(self) -> None:
        """End the thread; what is under way is left to the others."""
        self._stopped.set()
        self._wanted.set()
        if self._thread is not None:
            self._thread.join(5)

    def _run(self) -> None:
        while not self.is_stopped:
            try:
                while not self.is_stopped and self._do_next():
                    pass
            except StoreUnavailable as reason:
                log.warning("%s: the database is waited for: %s", self._name, reason)
            except Exception:
                log.exception("%s: something failed", self._name)
            self._wanted.wait(self._look_seconds)
            self._wanted.clear()
