"""A throw-away PostgreSQL cluster for the session, and a database of its own for each test that asks."""

from __future__ import annotations

import tempfile
from collections.abc import Iterator
from pathlib import Path
from uuid import uuid4

import psycopg
import pytest
from psycopg import sql

from tonada.run.cluster import Cluster
from tonada.store.migrate import migrate


@pytest.fixture(scope="session")
def cluster_url() -> Iterator[str]:
    folder = Path(tempfile.mkdtemp(prefix="tonada-tests-"))
    folder.chmod(0o755)  # the server runs as another user where the tests run as root
    cluster = Cluster(folder / "cluster", durable=False)
    try:
        yield cluster.start()
    finally:
        cluster.remove()
        folder.rmdir()


@pytest.fixture(scope="session")
def template_url(cluster_url: str) -> str:
    migrate(cluster_url)
    return cluster_url


@pytest.fixture
def database_url(template_url: str) -> Iterator[str]:
    """A migrated, empty database."""
    name = f"test_{uuid4().hex}"
    server = template_url.rpartition("/")[0]
    with psycopg.connect(f"{server}/postgres", autocommit=True) as admin:
        made = sql.SQL("create database {} template tonada").format(sql.Identifier(name))
        admin.execute(made)
        yield f"{server}/{name}"
        admin.execute(sql.SQL("drop database {} with (force)").format(sql.Identifier(name)))
