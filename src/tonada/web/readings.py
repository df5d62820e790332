"""Long readings: a process does the work, a thread waits for it, the database says how far it is.

A reading is cancelled by removing its source: the thread sees that and ends the process.
"""

from __future__ import annotations

import json
import logging
import selectors
import subprocess
import sys
import threading
import time
from typing import IO, Any, Final
from uuid import UUID

from tonada.store import sources
from tonada.store.errors import StoreUnavailable
from tonada.web.access import Access

log = logging.getLogger("tonada")

# More pixels than this take longer than a request should; a JPEG is decoded at a fraction of its size.
LONG_PIXELS: Final = 4_000_000
LONG_JPEG_PIXELS: Final = 16_000_000
LONGEST_SECONDS: Final = 90.0
# How often the thread looks whether somebody has cancelled.
_WATCH_SECONDS: Final = 0.25
INTERRUPTED: Final = "The reading was interrupted. Add the file again."
_TOO_LONG: Final = "The picture takes too long to read. Save it smaller, or as PNG or JPEG."
# Two large pictures at once are enough for one machine; more wait.
_slots = threading.BoundedSemaphore(2)


def is_long(format_name: str, width: int, height: int) -> bool:
    """Say whether a picture is read in the background."""
    return width * height > (LONG_JPEG_PIXELS if format_name == "JPEG" else LONG_PIXELS)


def start_reading(access: Access, source: UUID, content: bytes) -> None:
    """Begin to read a source's picture and return at once."""
    thread = threading.Thread(target=_run, args=(access, source, content), daemon=True, name=f"read {source}")
    thread.start()


def _run(access: Access, source: UUID, content: bytes) -> None:
    try:
        with _slots:
            _Reading(access, source, content).run()
    except StoreUnavailable as reason:
        log.warning("a reading was given up: %s", reason)
    except Exception:
        log.exception("a reading failed")
        with access.transaction() as (connection, workspace):
            sources.fail(connection, workspace, source, INTERRUPTED)


class _Reading:
    def __init__(self, access: Access, source: UUID, content: bytes) -> None:
        self._access, self._source, self._content = access, source, content
        self._progress = 0.05

    def run(self) -> None:
        command = [sys.executable, "-m", "tonada.web.reader"]
        with subprocess.Popen(command, stdin=subprocess.PIPE, stdout=subprocess.PIPE) as process:
            try:
                if process.stdin is None or process.stdout is None:
                    raise RuntimeError("a pipe was asked for")
                threading.Thread(target=_feed, args=(process.stdin, self._content), daemon=True).start()
                self._follow(process.stdout)
            finally:
                process.kill()

    def _follow(self, output: IO[bytes]) -> None:
        end = time.monotonic() + LONGEST_SECONDS
        with selectors.DefaultSelector() as waiting:
            waiting.register(output, selectors.EVENT_READ)
            while time.monotonic() < end:
                if waiting.select(_WATCH_SECONDS):
                    line = output.readline()
                    if self._take(json.loads(line) if line.strip() else None, output):
                        return
                if not self._is_wanted():
                    return
        self._fail(_TOO_LONG)

    def _take(self, message: dict[str, Any] | None, output: IO[bytes]) -> bool:
        """Act on what the process says; return whether that was the last of it."""
        if message is None:
            self._fail(INTERRUPTED)
        elif "problem" in message:
            self._fail(message["problem"])
        elif "extraction" in message:
            preview = output.read(message["preview_bytes"])
            with self._access.transaction() as (connection, workspace):
                found = {"content": self._content, "preview": preview, "extraction": message["extraction"]}
                sources.finish(connection, workspace, self._source, **found)
        else:
            self._progress = message["progress"]
            return False
        return True

    def _is_wanted(self) -> bool:
        with self._access.transaction() as (connection, workspace):
            return sources.set_progress(connection, workspace, self._source, self._progress)

    def _fail(self, problem: str) -> None:
        with self._access.transaction() as (connection, workspace):
            sources.fail(connection, workspace, self._source, problem)


def _feed(target: IO[bytes], content: bytes) -> None:
    try:
        target.write(content)
        target.close()
    except BrokenPipeError:
        log.info("a reading ended before it had its whole file")
