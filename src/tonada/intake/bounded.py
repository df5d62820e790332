"""One reading in a process of its own, with limits of CPU time, memory and output, ended as a whole.

A server keeps a small process that has the libraries loaded and forks for each reading (Python's
`forkserver`); the command line, which has one thread, forks itself. What comes back is JSON and bytes,
never pickled: the process has handled a hostile file.
"""

from __future__ import annotations

import ctypes
import faulthandler
import fcntl
import importlib
import json
import multiprocessing
import os
import resource
import signal
import tempfile
import threading
import time
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager
from dataclasses import dataclass
from multiprocessing import forkserver
from multiprocessing.connection import Connection
from multiprocessing.context import BaseContext
from multiprocessing.process import BaseProcess
from pathlib import Path
from typing import Any, Final, Literal, TypeAlias

from tonada.core import errors, limits
from tonada.core.errors import ImageError, InputError, TonadaError

Json: TypeAlias = dict[str, Any]
# Called a few times a second with the progress, 0 to 1; False ends the reading.
Watch: TypeAlias = Callable[[float], bool]

_WATCH_SECONDS: Final = 0.25
# What a reading would otherwise load itself, in half a second of its time.
_PRELOADED: Final = ["tonada.intake.work", "scipy.ndimage", "scipy.cluster.hierarchy"]
# So many may wait for their turn; a server has other things to do with its threads.
_MOST_WAITING: Final = 12
# Source: prctl(2). The kernel ends the process when the one that forked it is gone.
_PR_SET_PDEATHSIG: Final = 1


@dataclass(frozen=True, slots=True)
class Budget:
    """What one reading may take. `line` says whose turn it waits for: one of a line is at work."""

    line: Literal["short", "long", "font"]
    cpu_seconds: float
    seconds: float
    memory_bytes: int


SHORT: Final = Budget(
    "short", limits.READING_CPU_SECONDS, limits.READING_SECONDS, limits.READING_MEMORY_BYTES
)
AGAIN: Final = Budget(
    "short",
    limits.READING_AGAIN_CPU_SECONDS,
    limits.READING_AGAIN_SECONDS,
    limits.LONG_READING_MEMORY_BYTES,
)
FONT: Final = Budget("font", limits.FONT_CPU_SECONDS, limits.FONT_SECONDS, limits.LONG_READING_MEMORY_BYTES)
LONG: Final = Budget(
    "long",
    limits.LONG_READING_CPU_SECONDS,
    limits.LONG_READING_SECONDS,
    limits.LONG_READING_MEMORY_BYTES,
)


@dataclass(frozen=True, slots=True)
class Answer:
    """result: what the work returned; parts: the bytes that go with it."""

    result: Any
    parts: tuple[bytes, ...]


class ReadingBusy(TonadaError):
    """Too many readings wait already, or this one waited too long for its turn."""

    def __init__(self) -> None:
        super().__init__("Other files are being read. Nothing was changed; try again in a moment.")


class ReadingInterrupted(TonadaError):
    """The process was ended from outside, such as by a server that stops; the file is not to blame."""

    def __init__(self) -> None:
        super().__init__("Reading the file was interrupted. Nothing was changed; try again.")


class TakesTooLong(ImageError):
    """Reading the file took all the time of its budget."""


class ReadingCancelled(TonadaError):
    """Nobody wants the reading any more."""


_waiting = threading.BoundedSemaphore(_MOST_WAITING)
_preloaded = threading.Lock()


def run_bounded(
    work: str,
    asked: Json,
    files: Sequence[bytes] = (),
    *,
    budget: Budget = SHORT,
    watch: Watch | None = None,
) -> Answer:
    """Return what one of the works of `tonada.intake.work` answers.

    Raises what the work raises, ImageError where it takes too much time or memory, ReadingBusy
    where its turn doesn't come, ReadingInterrupted where the process was ended from outside,
    ReadingCancelled where `watch` says so.
    """
    if not _waiting.acquire(blocking=False):
        raise ReadingBusy
    try:
        with _turn(budget):
            return _run(work, asked, files, budget, watch)
    finally:
        _waiting.release()


@contextmanager
def _turn(budget: Budget) -> Iterator[None]:
    """Wait until no other process of this user on this machine reads in the same line."""
    path = Path(tempfile.gettempdir()) / f"tonada-{os.geteuid()}-{budget.line}.lock"
    descriptor = os.open(path, os.O_RDWR | os.O_CREAT | os.O_CLOEXEC | os.O_NOFOLLOW, 0o600)
    try:
        end = time.monotonic() + limits.READING_WAIT_SECONDS + budget.seconds
        while not _is_locked(descriptor):
            if time.monotonic() > end:
                raise ReadingBusy
            time.sleep(0.02)
        yield
    finally:
        os.close(descriptor)


def _is_locked(descriptor: int) -> bool:
    try:
        fcntl.flock(descriptor, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except BlockingIOError:
        return False
    return True


def _context() -> BaseContext:
    """Fork where this is the only thread, as on the command line, else through a process that has one."""
    # Threads of libraries count as well: what they hold at the moment of a fork is held for ever.
    if len(os.listdir("/proc/self/task")) == 1:
        return multiprocessing.get_context("fork")
    context = multiprocessing.get_context("forkserver")
    with _preloaded:
        context.set_forkserver_preload(_PRELOADED)
    return context


def get_ready() -> None:
    """Start the process that readings are forked from: the first one would wait a second for it."""
    _context()
    forkserver.ensure_running()


def _run(work: str, asked: Json, files: Sequence[bytes], budget: Budget, watch: Watch | None) -> Answer:
    context = _context()
    ours, theirs = context.Pipe()
    process: BaseProcess = context.Process(  # type: ignore[attr-defined]  # of every context but the base
        target=_serve, args=(theirs, budget, work), daemon=True
    )
    process.start()
    theirs.close()
    try:
        feeding = threading.Thread(target=_feed, args=(ours, asked, tuple(files)), daemon=True)
        feeding.start()
        return _follow(ours, process, budget, watch)
    finally:
        _end(process)
        ours.close()


def _feed(connection: Connection, asked: Json, files: tuple[bytes, ...]) -> None:
    try:
        connection.send_bytes(json.dumps({**asked, "files": len(files)}).encode())
        for content in files:
            connection.send_bytes(content)
    except OSError:
        return  # it has ended; the one who follows it says why


def _follow(connection: Connection, process: BaseProcess, budget: Budget, watch: Watch | None) -> Answer:
    end, progress = time.monotonic() + budget.seconds, 0.05
    while time.monotonic() < end:
        if watch is not None and not watch(progress):
            raise ReadingCancelled
        if not connection.poll(_WATCH_SECONDS):
            continue
        try:
            message = json.loads(connection.recv_bytes(limits.READING_OUTPUT_BYTES))
            if "progress" in message:
                progress = message["progress"]
                continue
            if "error" in message:
                raise _error(message)
            parts = tuple(connection.recv_bytes(limits.READING_OUTPUT_BYTES) for _ in range(message["parts"]))
        except (EOFError, OSError) as reason:
            raise _why(process, budget) from reason
        return Answer(message["result"], parts)
    raise _too_long(budget)


def _why(process: BaseProcess, budget: Budget) -> TonadaError:
    """Return why a process ended without an answer."""
    process.join(2)
    if process.exitcode in (-signal.SIGPROF, -signal.SIGXCPU):
        return _too_long(budget)
    # Signals that somebody sent; what a library does to itself when it breaks off is another.
    if process.exitcode in (-signal.SIGTERM, -signal.SIGINT, -signal.SIGKILL, None):
        return ReadingInterrupted()
    return _too_large(budget)


def _too_long(budget: Budget) -> ImageError:
    return TakesTooLong(
        f"The file takes more than {budget.cpu_seconds:g} seconds to read, which is the limit. "
        "Save it smaller or simpler."
    )


def _too_large(budget: Budget) -> ImageError:
    return ImageError(
        f"Reading the file needs more than {budget.memory_bytes // 2**20} MB of memory, or breaks off. "
        "Save it smaller or simpler."
    )


def _error(message: Json) -> TonadaError:
    """Return the error that the work raised, of the same class."""
    kind: type[TonadaError] = getattr(errors, message["error"])
    if issubclass(kind, ImageError):
        return kind(message["message"])
    known = kind if issubclass(kind, InputError) else InputError
    return known(message["message"], field=message["field"])


def _end(process: BaseProcess) -> None:
    """End the process and whatever it started."""
    if process.pid is not None:
        try:
            os.killpg(process.pid, signal.SIGKILL)
        except (ProcessLookupError, PermissionError):
            process.kill()
    process.join(5)
    process.close()


def _serve(connection: Connection, budget: Budget, work: str) -> None:
    """Do the work: this is the process of its own."""
    # Libraries first: on the command line nothing has loaded them, and under the limits they would be
    # the half of what a file may take.
    for name in _PRELOADED:
        importlib.import_module(name)
    _limit(budget)
    from tonada.intake.work import WORKS

    asked = json.loads(connection.recv_bytes())
    files = [connection.recv_bytes() for _ in range(asked.pop("files"))]

    def say_progress(share: float) -> None:
        connection.send_bytes(json.dumps({"progress": share}).encode())

    try:
        result, parts = WORKS[work](asked, files, say_progress)
    except TonadaError as reason:
        said = {"error": type(reason).__name__, "message": str(reason)}
        connection.send_bytes(json.dumps({**said, "field": getattr(reason, "field", "file")}).encode())
    except (MemoryError, RecursionError):
        said = {"error": "ImageError", "message": str(_too_large(budget)), "field": "file"}
        connection.send_bytes(json.dumps(said).encode())
    else:
        connection.send_bytes(json.dumps({"result": result, "parts": len(parts)}).encode())
        for part in parts:
            connection.send_bytes(part)
    connection.close()
    # Nothing of the parent's is to be tidied up here.
    os._exit(0)


def _limit(budget: Budget) -> None:
    faulthandler.disable()
    os.setpgid(0, 0)
    ctypes.CDLL(None).prctl(_PR_SET_PDEATHSIG, signal.SIGKILL)
    # What a library says when it breaks off is for nobody.
    silence = os.open(os.devnull, os.O_WRONLY)
    os.dup2(silence, 2)
    os.environ.clear()
    for number in (signal.SIGPROF, signal.SIGTERM, signal.SIGINT):
        signal.signal(number, signal.SIG_DFL)
    pages = int(Path("/proc/self/statm").read_text().split()[0])
    memory = pages * os.sysconf("SC_PAGE_SIZE") + budget.memory_bytes
    # The limit counts from the start of the process, which may have loaded something already.
    whole_seconds = int(time.process_time() + budget.cpu_seconds) + 2
    resource.setrlimit(resource.RLIMIT_AS, (memory, memory))
    resource.setrlimit(resource.RLIMIT_CPU, (whole_seconds, whole_seconds))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
    resource.setrlimit(resource.RLIMIT_FSIZE, (0, 0))
    # To the millisecond, where the limit above knows whole seconds; the signal ends the process.
    signal.setitimer(signal.ITIMER_PROF, budget.cpu_seconds)
