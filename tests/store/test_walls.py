"""What protects the data below the statements: row-level security, the role's rights, and patience."""

from __future__ import annotations

import os
import signal
import time
from collections.abc import Iterator
from pathlib import Path
from uuid import UUID, uuid4

import psycopg
import pytest
from psycopg import sql

from tests.sampling import IS_LONG
from tests.store.reviews import a_review
from tests.waiting import PATIENCE_SECONDS
from tonada.run.cluster import APPLICATION, Cluster
from tonada.store import brands, destinations, fonts, handoffs, palettes, sources, takes, versions, workspaces
from tonada.store.database import Connection, Database, connect
from tonada.store.errors import StoreUnavailable
from tonada.store.migrate import migrate
from tonada.store.palettes import NewPalette

TABLES = "select relname, relrowsecurity, relforcerowsecurity, relowner::regrole::text from pg_class"
OURS = TABLES + " where relkind = 'r' and relnamespace = 'public'::regnamespace and relname <> 'migration'"


@pytest.fixture
def filled(database_url: str) -> dict[str, UUID]:
    """Two workspaces with a row in every table."""
    made = {}
    for name in ("Ours", "Theirs"):
        with connect(database_url) as connection:
            workspace = made[name] = workspaces.find_or_create(connection, name)
            brand = brands.create(connection, workspace, name).id
            take = takes.create(connection, workspace, brand, {}).id
            versions.cut(connection, workspace, take, description="first")
            handoffs.record(connection, workspace, take, 1, "css")
            a_review(connection, workspace, brand, take)
            palettes.create(connection, workspace, [NewPalette("a", (), {}, {}, None)])
            palettes.star(connection, workspace, "a", is_starred=True)
            destinations.create(connection, workspace, name, [])
            font = fonts.FontContent("Halden", "sans", 400, 400, [], "", name.encode())
            fonts.create(connection, workspace, brand, "a.woff2", font, 1)
            file = sources.FileContent("a.png", name.encode(), b"png")
            sources.create(connection, workspace, brand, name="a", kind="image", extraction={}, files=(file,))
    return made


@pytest.fixture
def tables(owner_url: str) -> list[tuple[str, bool, bool, str]]:
    with connect(owner_url) as connection:
        return connection.execute(OURS).fetchall()


def count(connection: Connection, table: str) -> int:
    found = connection.execute(sql.SQL("select count(*) from {}").format(sql.Identifier(table))).fetchone()
    assert found
    return int(found[0])


def test_every_table_has_the_second_wall_for_its_owner_too(tables: list[tuple[str, bool, bool, str]]) -> None:
    assert len(tables) == 21
    for name, is_on, is_forced, owner in tables:
        assert (is_on, is_forced) == (True, True), name
        assert owner != APPLICATION


@pytest.mark.parametrize("role", ["application", "owner without superuser"])
def test_without_a_where_only_the_own_workspace_is_there(
    database_url: str,
    owner_url: str,
    filled: dict[str, UUID],
    tables: list[tuple[str, bool, bool, str]],
    role: str,
) -> None:
    with connect(database_url if role == "application" else owner_url) as connection:
        if role != "application":
            connection.execute(
                "create role plain_owner; grant all on all tables in schema public to plain_owner"
            )
            connection.execute("alter table take owner to plain_owner; set role plain_owner")
        for name, *_ in tables:
            assert count(connection, name) == 0, name
        workspaces.enter(connection, filled["Ours"])
        for name, *_ in tables:
            assert count(connection, name) == 1, name
        changed = connection.execute("update take set name = 'x' returning workspace_id").fetchall()
        assert changed == [(filled["Ours"],)]
        with pytest.raises(psycopg.errors.InsufficientPrivilege, match="row-level security"):
            connection.execute(
                "insert into brand (workspace_id, name) values (%s, 'slipped in')", [filled["Theirs"]]
            )
        connection.rollback()


def test_a_row_can_t_be_moved_into_another_workspace(database_url: str, filled: dict[str, UUID]) -> None:
    with connect(database_url) as connection:
        workspaces.enter(connection, filled["Ours"])
        with pytest.raises(psycopg.Error, match="row-level security"):
            connection.execute("update destination set workspace_id = %s", [filled["Theirs"]])


def test_the_workspace_ends_with_the_transaction(database_url: str, filled: dict[str, UUID]) -> None:
    database = Database(database_url, most=1)
    with database.transaction() as connection:
        workspaces.enter(connection, filled["Ours"])
        assert count(connection, "take") == 1
    with database.transaction() as connection:
        assert count(connection, "take") == 0
    database.close()


@pytest.mark.parametrize(
    "statement",
    [
        "delete from take",
        "truncate file",
        "update version set description = 'x'",
        "delete from version",
        "update handoff set what = 'x'",
        "drop table brand",
        "create table mine ()",
        "alter table take disable row level security",
        "update migration set name = 'x'",
        "set role tonada",
    ],
)
def test_the_application_may_not(database_url: str, filled: dict[str, UUID], statement: str) -> None:
    with connect(database_url) as connection:
        workspaces.enter(connection, filled["Ours"])
        with pytest.raises(psycopg.errors.InsufficientPrivilege):
            connection.execute(statement)
        connection.rollback()


def test_a_migration_sees_what_is_kept_of_every_workspace(owner_url: str, filled: dict[str, UUID]) -> None:
    with connect(owner_url) as connection:
        connection.execute("create role second_owner login; grant all on schema public to second_owner")
        connection.execute("grant all on all tables in schema public to second_owner")
    assert migrate(owner_url, "second_owner") == []
    with connect(owner_url) as connection:
        connection.execute("set role second_owner")
        connection.execute("select set_config('tonada.workspace', '*', true)")
        assert count(connection, "take") == len(filled)
        connection.rollback()


@pytest.fixture
def own_cluster(tmp_path_factory: pytest.TempPathFactory) -> Iterator[Cluster]:
    folder = Path("/tmp") / f"tonada-walls-{uuid4().hex}"
    cluster = Cluster(folder, durable=False)
    yield cluster
    cluster.remove()


def postgres_processes(cluster: Cluster) -> list[int]:
    leader = int((cluster.folder / "data" / "postmaster.pid").read_text().split()[0])
    children = Path(f"/proc/{leader}/task/{leader}/children").read_text().split()
    return [leader, *map(int, children)]


def test_a_paused_a_stopped_and_a_restarted_database_are_said_and_not_waited_for(
    own_cluster: Cluster, caplog: pytest.LogCaptureFixture, monkeypatch: pytest.MonkeyPatch
) -> None:
    migrate(own_cluster.start(), APPLICATION)
    wait = 4.0 if IS_LONG else 0.8
    if not IS_LONG:
        monkeypatch.setattr("tonada.store.database._Impatient.patience", 1.0)
    database = Database(own_cluster.application_url, wait_seconds=wait)

    def ask() -> None:
        with database.transaction() as connection:
            connection.execute("select 1")

    def is_refused() -> None:
        caplog.clear()
        started = time.monotonic()
        with pytest.raises(StoreUnavailable, match="Nothing was changed"):
            ask()
        # Without our patience this waits for ever; how long a busy machine takes is no matter here.
        assert time.monotonic() - started < PATIENCE_SECONDS
        assert "the database failed" in caplog.text

    def is_answered_again() -> None:
        end = time.monotonic() + PATIENCE_SECONDS
        while True:
            try:
                return ask()
            except StoreUnavailable:
                assert time.monotonic() < end, "the database is back, and nobody is let in"

    ask()
    paused = postgres_processes(own_cluster)
    for process in paused:
        os.kill(process, signal.SIGSTOP)
    is_refused()
    for process in reversed(paused):
        os.kill(process, signal.SIGCONT)
    is_answered_again()
    own_cluster.stop()
    is_refused()
    own_cluster.start()
    is_answered_again()
    database.close()


def test_a_full_disk_is_named(database_url: str, monkeypatch: pytest.MonkeyPatch) -> None:
    database = Database(database_url)
    with pytest.raises(StoreUnavailable, match="disk of the database is full"), database.transaction():
        raise psycopg.errors.DiskFull("could not extend file: No space left on device")
    database.close()
