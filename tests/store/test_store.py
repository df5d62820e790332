"""The store on a real PostgreSQL: migrations, workspaces kept apart, stale writes refused."""

from __future__ import annotations

from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from importlib import resources
from uuid import UUID, uuid4

import psycopg
import pytest

from tests.waiting import until
from tonada.store import brands, destinations, handoffs, sources, takes, versions, workspaces
from tonada.store.database import Connection, Database, connect
from tonada.store.errors import LastTake, NotFound, Removed, StaleDestination, StoreUnavailable
from tonada.store.migrate import EVERYTHING, migrate
from tonada.store.takes import StaleRevision

DOCUMENT = {"format": 2, "swatches": []}


@pytest.fixture
def connection(database_url: str) -> Iterator[Connection]:
    with connect(database_url) as opened:
        yield opened


@pytest.fixture
def workspace(connection: Connection) -> UUID:
    return workspaces.find_or_create(connection, "Studio")


def see_everything(connection: Connection) -> None:
    """Take the second wall away: what a statement leaves out is then left out by the statement."""
    connection.execute(EVERYTHING)


@pytest.fixture
def brand(connection: Connection, workspace: UUID) -> UUID:
    return brands.create(connection, workspace, "Orrin Peak").id


def kept_image(
    connection: Connection, workspace: UUID, brand: UUID, name: str, *, is_reading: bool = False
) -> sources.SourceRow:
    file = sources.FileContent(name, b"bytes", None if is_reading else b"png")
    found: dict[str, object] = {} if is_reading else {"steps": [[]], "count": 1}
    return sources.create(
        connection,
        workspace,
        brand,
        name=name,
        kind="image",
        extraction=found,
        files=(file,),
        is_reading=is_reading,
    )


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
    saved = takes.save(connection, workspace, take.id, {"format": 2, "level": "AAA"}, made_from=take.revision)
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


def test_a_save_that_comes_again_is_no_stale_one(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    take = takes.create(connection, workspace, brand, DOCUMENT)
    first = takes.save(connection, workspace, take.id, {"by": "me", "at": [1.5]}, made_from=1)
    again = takes.save(connection, workspace, take.id, {"at": [1.5], "by": "me"}, made_from=1)
    assert again == first
    assert takes.find(connection, workspace, take.id).revision == 2


def test_nothing_is_saved_into_a_deleted_take(connection: Connection, workspace: UUID, brand: UUID) -> None:
    kept, gone = (takes.create(connection, workspace, brand, DOCUMENT) for _ in range(2))
    takes.remove(connection, workspace, gone.id)
    for use in (
        lambda: takes.find(connection, workspace, gone.id),
        lambda: takes.save(connection, workspace, gone.id, {"by": "me"}, made_from=1),
        lambda: takes.rename(connection, workspace, gone.id, "Gone"),
        lambda: takes.remove(connection, workspace, gone.id),
        lambda: versions.cut(connection, workspace, gone.id, description="late"),
    ):
        with pytest.raises(Removed):
            use()
    assert takes.restore(connection, workspace, gone.id) == gone
    assert versions.page(connection, workspace, gone.id, None, 10) == []
    with pytest.raises(NotFound):
        takes.save(connection, uuid4(), kept.id, {}, made_from=1)


def test_of_two_saves_at_once_one_is_refused(database_url: str) -> None:
    with connect(database_url) as setup:
        workspace = workspaces.find_or_create(setup, "Studio")
        brand = brands.create(setup, workspace, "Both").id
        take = takes.create(setup, workspace, brand, DOCUMENT)

    def save(number: int) -> bool:
        with connect(database_url) as own:
            workspaces.enter(own, workspace)
            try:
                takes.save(own, workspace, take.id, {"number": number}, made_from=1)
            except StaleRevision:
                return False
            return True

    with ThreadPoolExecutor(6) as pool:
        assert sum(pool.map(save, range(6))) == 1


def test_the_same_bytes_are_kept_once(connection: Connection, workspace: UUID, brand: UUID) -> None:
    for name in ("a.png", "b.png"):
        kept_image(connection, workspace, brand, name)
    assert [row.name for row in sources.list_of_brand(connection, workspace, brand)] == ["a.png", "b.png"]
    assert connection.execute("select count(*) from file").fetchone() == (1,)


def test_what_belongs_to_another_workspace_is_not_there(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    take = takes.create(connection, workspace, brand, DOCUMENT)
    source = kept_image(connection, workspace, brand, "a")
    stranger = workspaces.find_or_create(connection, "Strangers")
    see_everything(connection)
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
        lambda: sources.find(connection, stranger, source.id),
        lambda: sources.rename(connection, stranger, source.id, "mine"),
        lambda: sources.read_again(connection, stranger, source.id, settings={}, extraction={}),
        lambda: sources.set_picked(connection, stranger, source.id, []),
        lambda: sources.remove(connection, stranger, source.id),
        lambda: sources.restore(connection, stranger, source.id),
        lambda: sources.digest(connection, stranger, source.id),
    ):
        with pytest.raises(NotFound):
            reach()
    assert sources.contents(connection, stranger, source.id) == []
    assert sources.claim(connection, stranger, 5) is None
    assert not sources.renew(connection, stranger, sources.Lease(source.id, 0), 0.5, 5)
    assert brands.find(connection, workspace, brand).name == "Orrin Peak"
    assert sources.find(connection, workspace, source.id).name == "a"


def test_a_source_of_no_brand_is_refused(connection: Connection, workspace: UUID) -> None:
    with pytest.raises(NotFound):
        kept_image(connection, workspace, uuid4(), "a")


def test_a_removed_source_is_gone_until_it_is_restored(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    source = kept_image(connection, workspace, brand, "a.png")
    sources.remove(connection, workspace, source.id)
    assert sources.list_of_brand(connection, workspace, brand) == []
    for use in (
        lambda: sources.find(connection, workspace, source.id),
        lambda: sources.rename(connection, workspace, source.id, "b.png"),
        lambda: sources.set_picked(connection, workspace, source.id, []),
        lambda: sources.remove(connection, workspace, source.id),
    ):
        with pytest.raises(Removed):
            use()
    assert sources.restore(connection, workspace, source.id) == source
    assert sources.list_of_brand(connection, workspace, brand) == [source]


def test_a_long_reading_shows_when_it_is_done_and_not_when_it_was_cancelled(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    found = {"picture": (b"bytes", b"png"), "extraction": {"steps": [[]], "count": 1}}
    done, cancelled = (kept_image(connection, workspace, brand, n, is_reading=True) for n in ("a", "b"))
    assert sources.list_of_brand(connection, workspace, brand) == []
    first, second = (sources.claim(connection, workspace, 5) for _ in range(2))
    assert first == sources.Lease(done.id, 1)
    assert second == sources.Lease(cancelled.id, 1)
    assert sources.claim(connection, workspace, 5) is None
    assert sources.renew(connection, workspace, first, 0.5, 5)
    sources.remove(connection, workspace, cancelled.id)
    assert not sources.renew(connection, workspace, second, 0.5, 5)
    for lease in (first, second):
        sources.finish(connection, workspace, lease, **found)
    assert [row.id for row in sources.list_of_brand(connection, workspace, brand)] == [done.id]
    assert sources.preview(connection, workspace, done.id)[0] == b"png"


def test_a_reading_that_was_left_behind_is_somebody_else_s_and_no_longer_the_first_one_s(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    source = kept_image(connection, workspace, brand, "a", is_reading=True)
    lost = sources.claim(connection, workspace, -1)
    again = sources.claim(connection, workspace, 5)
    assert lost == sources.Lease(source.id, 1)
    assert again == sources.Lease(source.id, 2)
    found = {"picture": (b"bytes", b"png"), "extraction": {"steps": [], "by": "the first"}}
    assert not sources.renew(connection, workspace, lost, 0.9, 5)
    sources.finish(connection, workspace, lost, **found)
    sources.fail(connection, workspace, lost, "late")
    assert sources.find(connection, workspace, source.id).state == "reading"
    sources.finish(connection, workspace, again, **{**found, "extraction": {"by": "the second"}})
    kept = sources.find(connection, workspace, source.id)
    assert (kept.state, kept.extraction) == ("ready", {"by": "the second"})


def test_sources_of_the_first_slice_are_carried_over(cluster_url: str) -> None:
    """The second migration moves files to their own table and readings to steps."""
    url = empty_database(cluster_url.rpartition("/")[0])
    folder = resources.files("tonada.store") / "migrations"
    with psycopg.connect(url) as connection:
        connection.execute((folder / "0001_first_slice.sql").read_text())
        connection.execute(
            """create table migration (name text primary key, applied_at timestamptz default now());
               insert into migration (name) values ('0001_first_slice.sql');
               insert into workspace (id, name) values ('00000000-0000-0000-0000-000000000001', 'Studio');
               insert into brand (id, workspace_id, name) values
                 ('00000000-0000-0000-0000-000000000002', '00000000-0000-0000-0000-000000000001', 'Peak');
               insert into file (workspace_id, digest, content, preview) values
                 ('00000000-0000-0000-0000-000000000001', sha256('x'), 'x', 'png');
               insert into source (workspace_id, brand_id, name, digest, extraction) values
                 ('00000000-0000-0000-0000-000000000001', '00000000-0000-0000-0000-000000000002', 'a.svg',
                  sha256('x'), '{"format": "SVG", "colors": [{"hex": "#2b3a8c"}]}')"""
        )
    migrate(url)
    with connect(url) as connection:
        workspace = workspaces.find_or_create(connection, "Studio")
        source = sources.list_of_brand(connection, workspace, UUID(int=2))[0]
        assert source.extraction == {"format": "SVG", "steps": [[{"hex": "#2b3a8c"}]], "count": 1}
        assert sources.preview(connection, workspace, source.id)[0] == b"png"


def test_a_destination_belongs_to_its_workspace_and_a_stale_change_is_refused(
    connection: Connection, workspace: UUID
) -> None:
    made = destinations.create(connection, workspace, "Slides", [{"name": "Page"}])
    stranger = workspaces.find_or_create(connection, "Strangers")
    see_everything(connection)
    assert destinations.list_all(connection, stranger) == []
    for act in (
        lambda: destinations.remove(connection, stranger, made.id),
        lambda: destinations.restore(connection, stranger, made.id),
        lambda: destinations.save(connection, stranger, made.id, "Theirs", [], made_from=1),
    ):
        with pytest.raises(NotFound):
            act()
    saved = destinations.save(connection, workspace, made.id, "Slides 2", [{"name": "A"}], made_from=1)
    with pytest.raises(StaleDestination):
        destinations.save(connection, workspace, made.id, "Slides 3", [], made_from=1)
    assert destinations.list_all(connection, workspace) == [saved]
    destinations.remove(connection, workspace, made.id)
    assert destinations.list_all(connection, workspace) == []
    assert destinations.restore(connection, workspace, made.id) == saved


def test_versions_that_were_handed_off_are_found(
    connection: Connection, workspace: UUID, brand: UUID
) -> None:
    take = takes.create(connection, workspace, brand, DOCUMENT).id
    for _ in range(4):
        versions.cut(connection, workspace, take, description="")
    assert handoffs.versions_of(connection, workspace, take) == []
    for number, what in ((1, "CSS"), (3, "PDF"), (3, "CSS")):
        handoffs.record(connection, workspace, take, number, what)
    assert handoffs.versions_of(connection, workspace, take) == [3, 1]
    with pytest.raises(NotFound):
        handoffs.record(connection, workspace, take, 9, "CSS")
    stranger = workspaces.find_or_create(connection, "Strangers")
    see_everything(connection)
    with pytest.raises(NotFound):
        handoffs.record(connection, stranger, take, 1, "CSS")
    assert handoffs.versions_of(connection, stranger, take) == []


def test_of_two_takes_removed_at_once_one_stays(database_url: str) -> None:
    database = Database(database_url)
    with database.transaction() as connection:
        workspace = workspaces.find_or_create(connection, "Studio")
        workspaces.enter(connection, workspace)
        brand = brands.create(connection, workspace, "Two").id
        one, other = (takes.create(connection, workspace, brand, DOCUMENT).id for _ in range(2))

    def remove_other() -> None:
        with database.transaction() as connection:
            workspaces.enter(connection, workspace)
            takes.remove(connection, workspace, other)

    with ThreadPoolExecutor(1) as pool:
        with database.transaction() as connection:
            workspaces.enter(connection, workspace)
            takes.remove(connection, workspace, one)
            # It begins before this one has ended, and has to wait for it.
            waiting = pool.submit(remove_other)
            until_someone_waits(database_url)
        with pytest.raises(LastTake):
            waiting.result(20)
    with database.transaction() as connection:
        workspaces.enter(connection, workspace)
        assert [row.id for row in takes.list_of_brand(connection, workspace, brand)] == [other]
    database.close()


def until_someone_waits(database_url: str) -> None:
    """Wait until a transaction of this database waits for another one."""
    with connect(database_url) as connection:
        connection.autocommit = True
        until(lambda: connection.execute(WAITING).fetchone(), "nothing waits", pause=0.01)


WAITING = "select 1 from pg_locks where not granted"
