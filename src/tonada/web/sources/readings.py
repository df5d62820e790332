"""Long readings: the database knows which there are, a thread of each worker does them one by one.

A reading is claimed for some seconds at a time. A worker or a server that dies lets its claim run out,
and another one starts the reading again. It is cancelled by removing its source.
"""

from __future__ import annotations

import logging
from typing import Any, Final

from flask import current_app

from tonada.core.errors import TonadaError
from tonada.intake.bounded import LONG, ReadingBusy, ReadingCancelled, ReadingInterrupted, run_bounded
from tonada.store import sources
from tonada.store.errors import StoreUnavailable
from tonada.store.sources import Lease
from tonada.web.access import Access
from tonada.web.errands import Errands

log = logging.getLogger("tonada.readings")

LEASE_SECONDS: Final = 8.0
# How often each worker looks for readings that somebody left behind.
LOOK_SECONDS: Final = 2.0
MOST_ATTEMPTS: Final = 4
_PICTURE: Final[tuple[str, dict[str, Any]]] = ("picture", {})
GIVEN_UP: Final = "The reading was interrupted several times. Save the picture smaller, or add it again."


class Readings:
    """The thread of one worker that does the long readings; started when it is first needed."""

    def __init__(self, access: Access) -> None:
        self._access = access
        self._errands = Errands("readings", self._read_next, LOOK_SECONDS)

    def wake(self) -> None:
        """Look for something to read now, and from now on regularly."""
        self._errands.wake()

    def stop(self) -> None:
        """End the thread; a reading under way is left to the others."""
        self._errands.stop()

    def _read_next(self) -> bool:
        """Do the oldest reading that nobody is at; return whether there was one."""
        with self._access.transaction() as (connection, workspace):
            lease = sources.claim(connection, workspace, LEASE_SECONDS)
        if lease is None or self._errands.is_stopped:
            return False
        try:
            self._read(lease)
        except ReadingCancelled:
            log.info("a reading was cancelled")
        except (ReadingBusy, ReadingInterrupted):
            return False  # the lease runs out, and it is tried again
        except TonadaError as reason:
            self._fail(lease, str(reason))
        return True

    def _read(self, lease: Lease) -> None:
        if lease.attempt > MOST_ATTEMPTS:
            self._fail(lease, GIVEN_UP)
            return
        with self._access.transaction() as (connection, workspace):
            kind = sources.find(connection, workspace, lease.source).kind
            files = sources.contents(connection, workspace, lease.source)
        names, contents = zip(*files, strict=True)
        work, asked = ("styles", {"names": names, "difference": None}) if kind == "stylesheet" else _PICTURE
        answer = run_bounded(
            work, asked, contents, budget=LONG, watch=lambda progress: self._renew(lease, progress)
        )
        picture = (contents[0], answer.parts[0]) if answer.parts else None
        with self._access.transaction() as (connection, workspace):
            sources.finish(connection, workspace, lease, extraction=answer.result, picture=picture)

    def _renew(self, lease: Lease, progress: float) -> bool:
        """Hold the reading longer; a database that is away for a moment doesn't end it."""
        if self._errands.is_stopped:
            return False
        try:
            with self._access.transaction() as (connection, workspace):
                return sources.renew(connection, workspace, lease, progress, LEASE_SECONDS)
        except StoreUnavailable:
            return True

    def _fail(self, lease: Lease, problem: str) -> None:
        with self._access.transaction() as (connection, workspace):
            sources.fail(connection, workspace, lease, problem)


def readings() -> Readings:
    """Return what does the long readings of this application."""
    found: Readings = current_app.extensions["tonada.readings"]
    return found
