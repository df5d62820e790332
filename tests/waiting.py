"""Waiting for what comes about, and never for ever."""

from __future__ import annotations

import time
from collections.abc import Callable
from typing import Final, TypeVar

Answer = TypeVar("Answer")

# A busy machine has been seen twenty times as slow as a quiet one.
PATIENCE_SECONDS: Final = 90


def until(
    what: Callable[[], Answer],
    otherwise: str | Callable[[], str] = "it did not come about",
    *,
    pause: float = 0.02,
    patience: float = PATIENCE_SECONDS,
) -> Answer:
    """Return what is asked for as soon as it is true. Raises AssertionError, saying why, where it never is.

    pause, patience: in seconds.
    """
    end = time.monotonic() + patience
    while not (found := what()):
        assert time.monotonic() < end, otherwise if isinstance(otherwise, str) else otherwise()
        time.sleep(pause)
    return found
