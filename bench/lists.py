"""Lists of a studio with 1,000 brands, 10,000 takes and 100,000 versions: python -m bench.lists.

Each list beside its peer in the same run: a request that reads one take.
"""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable

import psycopg
from psycopg.types.json import Jsonb
from tests.served import Person

from bench.evaluation import full_take
from bench.served import a_server, database_of
from tonada.document.take import TakeDocument
from tonada.store import workspaces

BRANDS = 1_000
TAKES_OF_EACH = 10
VERSIONS_OF_EACH = 10
# One take has so many of its own.
MOST_VERSIONS = 1_000
FILL = """
    with made as (
        insert into brand (workspace_id, name)
        select %(workspace)s, 'Brand ' || number from generate_series(1, %(brands)s::integer) as number
        returning id
    ), given as (
        insert into take (workspace_id, brand_id, name, position, document)
        select %(workspace)s, made.id, 'Take ' || number, number - 1, %(document)s
          from made, generate_series(1, %(takes)s::integer) as number
        returning id
    )
    insert into version (workspace_id, take_id, number, document)
    select %(workspace)s, given.id, number, %(document)s
      from given, generate_series(1, %(versions)s::integer) as number
"""
MORE_VERSIONS = """
    insert into version (workspace_id, take_id, number, document)
    select workspace_id, id, number, document
      from take, generate_series(%(from)s::integer, %(to)s::integer) as number
     where workspace_id = %(workspace)s and id = %(take)s
"""


def main() -> None:
    with a_server() as served:
        person = Person(served)
        brand = person.ask("POST", "/api/brands", {"name": "First"})[1]
        with psycopg.connect(database_of(served)) as connection:
            workspace = workspaces.find_or_create(connection, workspaces.NAME)
            workspaces.enter(connection, workspace)
            document = Jsonb(TakeDocument.of(full_take()).model_dump(mode="json"))
            sizes = {"brands": BRANDS, "takes": TAKES_OF_EACH, "versions": VERSIONS_OF_EACH}
            connection.execute(FILL, {"workspace": workspace, "document": document, **sizes})
            own = {"workspace": workspace, "take": brand["first_take"], "from": 1, "to": MOST_VERSIONS}
            connection.execute(MORE_VERSIONS, own)
            connection.execute("analyze")
        take = f"/api/takes/{brand['first_take']}"
        peer = median_of(lambda: person.ask("GET", take))
        print(f"one take: {peer:.1f} ms")
        for name, ask in (
            ("a page of brands", lambda: person.ask("GET", "/api/brands")),
            ("all brands, page by page", lambda: pages(person, "/api/brands", "after")),
            ("a page of versions", lambda: person.ask("GET", f"{take}/versions")),
            ("all versions, page by page", lambda: pages(person, f"{take}/versions", "before")),
        ):
            took = median_of(ask, times=5 if "all" in name else 15)
            print(f"{name}: {took:.1f} ms, {took / peer:.1f} of it")


def pages(person: Person, path: str, place: str) -> None:
    following = None
    while True:
        page = person.ask("GET", f"{path}?{place}={following}" if following else path)[1]
        following = page["next"]
        if following is None:
            return


def median_of(work: Callable[[], object], times: int = 15) -> float:
    taken = []
    for _ in range(times):
        started = time.perf_counter()
        work()
        taken.append((time.perf_counter() - started) * 1000)
    return statistics.median(taken)


if __name__ == "__main__":
    main()
