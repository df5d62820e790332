"""The store on a real PostgreSQL: migrations, workspaces kept apart, stale writes refused."""

from __future__ import annotations

from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from uuid import UUID, uuid4

import psycopg
import pytest

from tonada.store import brands, sources, takes, workspaces
from tonada.store.database import Connection, Database, connect
from tonada.store.errors import NotFound, StaleRevision, StoreUnavailable
from tonada.store.migrate import migrate

DOCUMENT = {"format": 1, "swatches": []}


@pytest.fixture
def connection(database_url: str) -> Iterator[Connection]:
    with connect(database_url) as opened:
        yield opened


@pytest.fixture
def workspace(connection: Connection) -> UUID:
    return workspaces.find_or_create(connection, "Studio")


@pytest.fixture
def brand(connection: Connection, workspace: UUID) -> UUID:
    return brands.create(connection, workspace, "Orrin Peak").id


def empty_database(server: str) -> str:
    name = f"empty_{uuid4().hex}"
    with psycopg.connect(f"{server}/postgres", autocommit=True) as admin:
        admin.execute(psycopg.sql.SQL("create database {}").format(psycopg.sql.Identifier(name)))
    return f"{server}/{name}"


def test_migrations_run_once_and_two_at_once_do_not_collide(cluster_url: str) -> None:
    url = empty_database(cluster_url.rpartition("/")[0])
    with ThreadPoolExecutor(4) as pool:
        ran = list(pool.map(migrate, [url] * 4))
    assert sorted(map(len, ran))[:3] == [0, 0, 0]
    assert "0001_first_slice.sql" in max(ran, key=len)


def test_an_unreachable_database_is_said_in_one_line() -> None:
    with pytest.raises(StoreUnavailable) as refused:
        migrate("postgresql://nobody:x@127.0.0.1:1/none")
    assert "\n" not in str(refused.value)


def test_the_pool_says_so_too_when_the_database_is_gone() -> None:
    database = Database("postgresql://nobody:x@127.0.0.1:1/none", wait_seconds=0.2)
    with pytest.raises(StoreUnavailable), database.transaction():
        pass
    database.close()


def test_a_workspace_is_made_once(connection: Connection, workspace: UUID) -> None:
    assert workspaces.find_or_create(connection, "Studio") == workspace


def test_brands_keep_the_order_in_which_they_were_made(connection: Connection, workspace: UUID) -> None:
    for name in ("B", "A", "C"):
        brands.create(connection, workspace, name)
    assert [row.name for row in brands.list_all(connection, workspace)] == ["B", "A", "C"]


def test_takes_are_numbered_and_the_first_one_opens(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    made = [takes.create(connection, workspace, brand, DOCUMENT) for _ in range(3)]
    assert [row.name for row in made] == ["Take 1", "Take 2", "Take 3"]
    assert brands.find(connection, workspace, brand).first_take == made[0].id
    assert [row.id for row in takes.list_of_brand(connection, workspace, brand)] == [row.id for row in made]


def test_saving_counts_revisions(connection: Connection, workspace: UUID, brand: UUID) -> None:
    take = takes.create(connection, workspace, brand, DOCUMENT)
    saved = takes.save(connection, workspace, take.id, {"format": 1, "level": "AAA"}, made_from=take.revision)
    assert (saved.revision, saved.document["level"]) == (2, "AAA")


def test_a_stale_save_changes_nothing_and_says_what_is_saved(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    take = takes.create(connection, workspace, brand, DOCUMENT)
    takes.save(connection, workspace, take.id, {"by": "the first"}, made_from=1)
    with pytest.raises(StaleRevision) as refused:
        takes.save(connection, workspace, take.id, {"by": "the second"}, made_from=1)
    assert refused.value.saved.document == {"by": "the first"}
    assert takes.find(connection, workspace, take.id).document == {"by": "the first"}


def test_of_two_saves_at_once_one_is_refused(database_url: str) -> None:
    with connect(database_url) as setup:
        workspace = workspaces.find_or_create(setup, "Studio")
        brand = brands.create(setup, workspace, "Both").id
        take = takes.create(setup, workspace, brand, DOCUMENT)

    def save(number: int) -> bool:
        with connect(database_url) as own:
            try:
                takes.save(own, workspace, take.id, {"number": number}, made_from=1)
            except StaleRevision:
                return False
            return True

    with ThreadPoolExecutor(6) as pool:
        assert sum(pool.map(save, range(6))) == 1


def test_the_same_bytes_are_kept_once(connection: Connection, workspace: UUID, brand: UUID) -> None:
    for name in ("a.png", "b.png"):
        sources.create(
            connection,
            workspace,
            brand,
            name=name,
            content=b"bytes",
            preview=b"png",
            extraction={"colors": []},
        )
    assert [row.name for row in sources.list_of_brand(connection, workspace, brand)] == ["a.png", "b.png"]
    assert connection.execute("select count(*) from file").fetchone() == (1,)


def test_what_belongs_to_another_workspace_is_not_there(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    take = takes.create(connection, workspace, brand, DOCUMENT)
    source = sources.create(
        connection, workspace, brand, name="a", content=b"x", preview=b"y", extraction={"colors": []}
    )
    stranger = workspaces.find_or_create(connection, "Strangers")
    assert brands.list_all(connection, stranger) == []
    assert takes.list_of_brand(connection, stranger, brand) == []
    assert sources.list_of_brand(connection, stranger, brand) == []
    for reach in (
        lambda: brands.find(connection, stranger, brand),
        lambda: brands.rename(connection, stranger, brand, "mine"),
        lambda: takes.find(connection, stranger, take.id),
        lambda: takes.save(connection, stranger, take.id, {}, made_from=1),
        lambda: takes.create(connection, stranger, brand, DOCUMENT),
        lambda: sources.preview(connection, stranger, source.id),
    ):
        with pytest.raises(NotFound):
            reach()
    assert brands.find(connection, workspace, brand).name == "Orrin Peak"


def test_a_source_of_no_brand_is_refused(connection: Connection, workspace: UUID) -> None:
    with pytest.raises(NotFound):
        sources.create(
            connection, workspace, uuid4(), name="a", content=b"x", preview=b"y", extraction={"colors": []}
        )
