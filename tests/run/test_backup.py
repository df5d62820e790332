"""A backup brings everything back on an empty machine; what is no backup, or not empty, is refused."""

from __future__ import annotations

import os
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator
from pathlib import Path

import psycopg
import pytest

from tests.served import Person, Served
from tonada.run.cluster import Cluster


@pytest.fixture
def place() -> Iterator[Path]:
    made = Path(tempfile.mkdtemp(prefix="tonada-backup-"))
    made.chmod(0o755)
    yield made
    shutil.rmtree(made, ignore_errors=True)


def tonada(data: Path, *words: str, **environment: str) -> subprocess.CompletedProcess[str]:
    settings = {**os.environ, "TONADA_DATA": str(data), **environment}
    return subprocess.run(
        [sys.executable, "-m", "tonada.cli", *words],
        env=settings,
        capture_output=True,
        text=True,
        check=False,
    )


@pytest.mark.long
def test_a_round_trip_into_an_empty_machine(place: Path) -> None:
    first = Served(place / "first")
    first.start()
    person = Person(first)
    brand = person.ask("POST", "/api/brands", {"name": "Orrin Peak Ω 漢字"})[1]
    take = person.ask("GET", f"/api/takes/{brand['first_take']}")[1]
    body = {"document": {**take["document"], "level": "AAA"}, "revision": 1}
    person.ask("PUT", f"/api/takes/{take['id']}", body)
    person.ask("POST", f"/api/takes/{take['id']}/versions", {"description": "first"})
    person.ask("POST", f"/api/brands/{brand['id']}/lists", {"text": "#123456 sea"})
    # While the server runs, and without stopping it.
    done = tonada(first.data, "backup", str(place / "kept.tonada-backup"))
    assert done.returncode == 0, done.stderr
    assert (place / "kept.tonada-backup").stat().st_mode & 0o077 == 0
    again = tonada(first.data, "backup", str(place / "kept.tonada-backup"))
    assert (again.returncode, "not overwritten" in again.stderr) == (1, True)
    seen = [person.ask("GET", path)[1] for path in paths(brand, take)]
    first.stop()

    done = tonada(place / "second", "restore", str(place / "kept.tonada-backup"))
    assert done.returncode == 0, done.stderr
    second = Served(place / "second")
    second.start()
    # The key of the sessions came along: the same session goes on.
    person.served = second
    assert [person.ask("GET", path)[1] for path in paths(brand, take)] == seen
    changed = person.ask("PUT", f"/api/takes/{take['id']}", {**body, "revision": 2})
    assert (changed[0], changed[1]["revision"]) == (200, 3)
    second.stop()
    refused = tonada(place / "second", "restore", str(place / "kept.tonada-backup"))
    assert (refused.returncode, "isn't empty" in refused.stderr) == (1, True)


def paths(brand: dict[str, str], take: dict[str, str]) -> list[str]:
    own = f"/api/takes/{take['id']}"
    return ["/api/brands", f"/api/brands/{brand['id']}", own, f"{own}/versions", f"{own}/versions/1"]


@pytest.mark.long
def test_an_operator_s_role_that_is_no_superuser_is_enough(place: Path) -> None:
    cluster = Cluster(place / "theirs", durable=False)
    try:
        owner = cluster.start()
        server = owner.rpartition("/")[0]
        with psycopg.connect(owner, autocommit=True) as admin:
            admin.execute("create role studio login password 'x' nosuperuser")
            for name in ("one", "two"):
                admin.execute(f"create database {name} owner studio")
        address = server.replace(server.split("//")[1].split("@")[0], "studio:x")
        served = Served(place / "one", environment={"DATABASE_URL": f"{address}/one"})
        served.start()
        Person(served).ask("POST", "/api/brands", {"name": "Kept"})
        served.stop()
        file = str(place / "kept")
        done = tonada(place / "one", "backup", file, DATABASE_URL=f"{address}/one")
        assert done.returncode == 0, done.stderr
        done = tonada(place / "two", "restore", file, DATABASE_URL=f"{address}/two")
        assert done.returncode == 0, done.stderr
        served = Served(place / "two", environment={"DATABASE_URL": f"{address}/two"})
        served.start()
        assert b"Kept" in served.ask("GET", "/api/brands")[1]
        served.stop()
    finally:
        cluster.remove()


@pytest.mark.parametrize("content", [b"", b"not a backup", b"\0" * 2048])
def test_what_is_no_backup_is_refused_before_a_database_is_made(place: Path, content: bytes) -> None:
    (place / "file").write_bytes(content)
    done = tonada(place / "new", "restore", str(place / "file"))
    assert (done.returncode, "isn’t a backup of Tonada" in done.stderr) == (1, True)
    assert not (place / "new").exists()
