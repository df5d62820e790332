"""A throw-away PostgreSQL cluster for the session, and a database of its own for each test that asks."""

from __future__ import annotations

import tempfile
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import TypeAlias
from uuid import uuid4

import psycopg
import pytest
from hypothesis import settings
from psycopg import sql

from tests import sheets
from tests.sampling import IS_LONG, detail_seed, examples, is_left
from tests.sheets import make_sheets_once
from tests.stored_rows import StoredRows
from tonada.demo.seed import seed_demo
from tonada.run.cluster import APPLICATION, Cluster
from tonada.store.database import connect
from tonada.store.migrate import migrate

AsApplication: TypeAlias = Callable[[str], str]

# How long an example takes is the machine's affair; what is to be fast is measured by `make bench`.
settings.register_profile("tonada", deadline=None, max_examples=examples(100))
settings.load_profile("tonada")


def pytest_configure(config: pytest.Config) -> None:
    if not hasattr(config, "workerinput"):
        sheets.begin()


def pytest_unconfigure(config: pytest.Config) -> None:
    if not hasattr(config, "workerinput"):
        sheets.end()


def pytest_collection_modifyitems(config: pytest.Config, items: list[pytest.Item]) -> None:
    """Leave what takes long, and most of the details, to `make test-long`."""
    left = [item for item in items if is_left(item)]
    items[:] = [item for item in items if item not in left]
    config.hook.pytest_deselected(items=left)


def pytest_terminal_summary(terminalreporter: pytest.TerminalReporter) -> None:
    """Say how to run the same details again."""
    if not IS_LONG:
        terminalreporter.write_line(f"Details as TONADA_DETAILS={detail_seed()} takes them.")


@pytest.fixture(scope="session")
def cluster() -> Iterator[Cluster]:
    folder = Path(tempfile.mkdtemp(prefix="tonada-tests-"))
    folder.chmod(0o755)  # the server runs as another user where the tests run as root
    cluster = Cluster(folder / "cluster", durable=False)
    try:
        yield cluster
    finally:
        cluster.remove()
        folder.rmdir()


@pytest.fixture(scope="session")
def cluster_url(cluster: Cluster) -> str:
    """The owner's address of a database without tables."""
    return cluster.start()


@pytest.fixture(scope="session")
def template_url(cluster_url: str) -> str:
    migrate(cluster_url, APPLICATION)
    return cluster_url


@pytest.fixture(scope="session")
def as_application(cluster: Cluster) -> AsApplication:
    """Turns the owner's address of a database into that of the application."""
    return lambda url: f"{cluster.application_url.rpartition('/')[0]}/{url.rpartition('/')[2]}"


@pytest.fixture(scope="session")
def demo_template(template_url: str) -> str:
    """The name of a database with the demo brands, to be copied: seeding takes two seconds."""
    with a_copy_of("tonada", template_url, name="demo") as url:
        with connect(url) as connection, pytest.MonkeyPatch.context() as patch:
            make_sheets_once(patch)
            seed_demo(connection)
        return "demo"


@pytest.fixture(scope="session")
def shared_rows(template_url: str) -> Iterator[tuple[str, StoredRows]]:
    with a_copy_of("tonada", template_url) as url:
        rows = StoredRows(url)
        yield url, rows
        rows.close()


@pytest.fixture
def owner_url(shared_rows: tuple[str, StoredRows]) -> str:
    """A migrated, empty database, as its owner sees it; the same for all tests, and emptied for each."""
    url, rows = shared_rows
    rows.put_back()
    return url


@pytest.fixture
def database_url(owner_url: str, as_application: AsApplication) -> str:
    """The same database as the application sees it."""
    return as_application(owner_url)


@pytest.fixture
def demo_database_url(template_url: str, demo_template: str, as_application: AsApplication) -> Iterator[str]:
    """A database with the demo brands, as the application sees it."""
    with a_copy_of(demo_template, template_url) as url:
        yield as_application(url)
        drop(url)


@contextmanager
def a_copy_of(template: str, template_url: str, name: str | None = None) -> Iterator[str]:
    name = name or f"test_{uuid4().hex}"
    server = template_url.rpartition("/")[0]
    with psycopg.connect(f"{server}/postgres", autocommit=True) as admin:
        names = (sql.Identifier(name), sql.Identifier(template))
        admin.execute(sql.SQL("create database {} template {}").format(*names))
    yield f"{server}/{name}"


def drop(url: str) -> None:
    server, _, name = url.rpartition("/")
    with psycopg.connect(f"{server}/postgres", autocommit=True) as admin:
        admin.execute(sql.SQL("drop database {} with (force)").format(sql.Identifier(name)))
