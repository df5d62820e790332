"""Finding ready-made palettes, of 480 and of 20,000: in the core, and by HTTP: python -m bench.palettes.

In the core beside coloraide's distance from one note to as many colours, one by one. By HTTP beside a
request of the same server that reads one take.
"""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable
from dataclasses import asdict, replace

import numpy as np
import psycopg
from coloraide import Color
from psycopg.types.json import Jsonb
from tests.served import Person

from bench.served import a_server, database_of
from bench.timing import Row, milliseconds, table
from tonada.core.limits import MAX_OWN_PALETTES
from tonada.core.ready.finding import Question, find, index_of
from tonada.core.ready.palette import ReadyPalette
from tonada.core.ready.shipped import shipped_palettes
from tonada.store import workspaces

NOTES = ("#8a3f24", "#2f6273", "#e0a84a")
QUESTIONS = {
    "three notes": Question(notes=NOTES),
    "two words": Question(words="teal warm"),
    "like one, three filters": Question(
        like=shipped_palettes()[3].id, moods=("warm",), hues=(2, 3), ground="light"
    ),
    "to go with three colours": Question(held=("#2b3a8c", "#b6653a", "#d7b13c")),
}
FILL = """
    insert into palette (workspace_id, name, colors, figures, proof)
    values (%(workspace)s, %(name)s, %(colors)s, %(figures)s, %(proof)s)
"""


def many(count: int) -> list[ReadyPalette]:
    """Return so many palettes: those that ship, over and over, with other ids."""
    shipped = shipped_palettes()
    made = [replace(shipped[row % len(shipped)], id=f"p{row}") for row in range(count - len(shipped))]
    return [*shipped, *made]


def by_coloraide(count: int) -> None:
    note = Color(NOTES[0])
    for palette in shipped_palettes()[: count // 4]:
        for color in palette.colors[:4]:
            note.delta_e(color.hex, method="ok")


def run() -> str:
    """Return the table."""
    peer = ("coloraide, one note to 480 colours", milliseconds(lambda: by_coloraide(480), times=5))
    rows = []
    for count in (len(shipped_palettes()), MAX_OWN_PALETTES):
        index = index_of(many(count))
        for name, question in QUESTIONS.items():
            took = milliseconds(lambda index=index, asked=question: find(index, asked))  # type: ignore[misc]
            rows.append(Row(f"{name}, of {count:,}", took, *peer))
    return table("Ready-made palettes", rows)


def fill(address: str) -> None:
    """Put as many palettes of its own into the studio as it may keep."""
    with psycopg.connect(address) as connection:
        workspace = workspaces.find_or_create(connection, workspaces.NAME)
        workspaces.enter(connection, workspace)
        rows = [
            {
                "workspace": workspace,
                "name": one.name,
                "colors": Jsonb({str(color.role): color.hex for color in one.colors}),
                "figures": Jsonb({"traits": asdict(one.traits), "moods": one.moods, "trades": one.trades}),
                "proof": Jsonb(asdict(one.proof)) if one.proof else None,
            }
            for one in many(MAX_OWN_PALETTES)
        ]
        with connection.cursor() as cursor:
            cursor.executemany(FILL, rows)
        connection.execute("analyze")


def main() -> None:
    print(run())
    with a_server() as served:
        person = Person(served)
        brand = person.ask("POST", "/api/brands", {"name": "First"})[1]
        take = f"/api/takes/{brand['first_take']}"
        peer = median_of(lambda: person.ask("GET", take))
        print(f"one take: {peer:.1f} ms")
        for count in (len(shipped_palettes()), len(shipped_palettes()) + MAX_OWN_PALETTES):
            for asked in ({"notes": [{"hex": value} for value in NOTES]}, {"words": "teal warm"}):

                def ask(body: dict[str, object] = asked) -> object:  # type: ignore[assignment]
                    return person.ask("POST", "/api/palettes/search", body)

                started = time.perf_counter()
                ask()
                first = (time.perf_counter() - started) * 1000
                took = median_of(ask)
                name = f"{count:,} palettes, {next(iter(asked))}"
                print(f"{name}: {took:.1f} ms, {took / peer:.1f} of it; the first time {first:.0f} ms")
            if count == len(shipped_palettes()):
                fill(database_of(served))


def median_of(ask: Callable[[], object], times: int = 21) -> float:
    taken = []
    for _ in range(times):
        started = time.perf_counter()
        ask()
        taken.append((time.perf_counter() - started) * 1000)
    return statistics.median(taken)


if __name__ == "__main__":
    np.seterr(all="raise", under="ignore")
    main()
