"""How long something takes, and a table of it."""

from __future__ import annotations

import time
from collections.abc import Callable
from dataclasses import dataclass
from statistics import median


@dataclass(frozen=True)
class Row:
    """One line: what was measured, how long, beside which peer."""

    what: str
    milliseconds: float
    peer: str
    peer_milliseconds: float


def milliseconds(work: Callable[[], object], *, times: int = 7) -> float:
    """Return the median over `times` runs, after one that warms up."""
    work()
    taken = []
    for _ in range(times):
        started = time.perf_counter()
        work()
        taken.append((time.perf_counter() - started) * 1000)
    return median(taken)


def table(title: str, rows: list[Row]) -> str:
    """Return the rows as a Markdown table."""
    lines = [f"### {title}", "", "| what | ms | beside | ms | ratio |", "|---|---:|---|---:|---:|"]
    for row in rows:
        own, peer = row.milliseconds, row.peer_milliseconds
        lines.append(f"| {row.what} | {own:.2f} | {row.peer} | {peer:.2f} | {own / peer:.2f} |")
    return "\n".join([*lines, ""])
