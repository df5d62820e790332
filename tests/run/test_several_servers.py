"""Several servers on one database: limits counted together, and a reading that outlives its server."""

from __future__ import annotations

import io
import shutil
import subprocess
import tempfile
from collections.abc import Iterator
from pathlib import Path

import numpy as np
import pytest
from PIL import Image

from tests.hostile.test_corpus import upload
from tests.served import Person, Served, free_port
from tests.waiting import until
from tonada.run.cluster import Cluster


@pytest.fixture(scope="module")
def place() -> Iterator[Path]:
    made = Path(tempfile.mkdtemp(prefix="tonada-several-"))
    made.chmod(0o755)
    yield made
    shutil.rmtree(made, ignore_errors=True)


@pytest.fixture(scope="module")
def counter(place: Path) -> Iterator[str]:
    """A Redis that keeps nothing."""
    port = free_port()
    command = ["redis-server", "--port", str(port), "--bind", "127.0.0.1", "--save", "", "--dir", str(place)]
    with subprocess.Popen(command, stdout=subprocess.DEVNULL) as process:
        yield f"redis://127.0.0.1:{port}"
        process.terminate()


@pytest.fixture(scope="module")
def pair(place: Path, counter: str) -> Iterator[tuple[Served, Served]]:
    cluster = Cluster(place / "cluster", durable=False)
    settings = {
        "DATABASE_URL": cluster.start(),
        "SECRET_KEY": "the same on both of the servers here",
        "TONADA_LIMITS": counter,
    }
    made = Served(place / "one", environment=settings), Served(place / "two", environment=settings)
    for one in made:
        one.start()
    yield made
    for one in made:
        one.stop()
    cluster.remove()


def large_picture() -> bytes:
    noise = np.random.default_rng(7).integers(0, 256, (3600, 4000, 3), dtype=np.uint8)
    file = io.BytesIO()
    Image.fromarray(noise // 64 * 64).save(file, "PNG", compress_level=1)
    return file.getvalue()


@pytest.mark.long
def test_a_reading_goes_on_where_another_server_is_alive(pair: tuple[Served, Served]) -> None:
    first, second = pair
    person = Person(first)
    brand = person.ask("POST", "/api/brands", {"name": "Left behind"})[1]["id"]
    status, source = upload(person, brand, "large.png", large_picture())
    assert status == 202
    path = f"/api/sources/{source['id']}"
    until(lambda: person.ask("GET", path)[1]["progress"] >= 0.05, "the reading did not begin")
    mine = [first.web_master(), *first.workers()]
    first.kill()
    until(lambda: not any(Path(f"/proc/{pid}").exists() for pid in mine), "they live on")
    person.served = second
    until(lambda: person.ask("GET", path)[1]["state"] != "reading", "the reading did not end", pause=0.1)
    found = person.ask("GET", path)[1]
    assert found["state"] == "ready", found["problem"]
    assert found["colors"]
    first.start()


@pytest.mark.detail
@pytest.mark.long
def test_requests_are_counted_over_all_workers_and_servers(pair: tuple[Served, Served]) -> None:
    person = Person(pair[0])
    brand = person.ask("POST", "/api/brands", {"name": "Counted"})[1]["id"]
    statuses = []
    for number in range(70):
        person.served = pair[number % 2]
        statuses.append(upload(person, brand, "a.csv", b"name,hex\nsea,#123456\n")[0])
    # Sixty of a person in a minute, whichever of four processes they come to; a minute may just begin.
    assert 60 <= statuses.count(201) <= 66
    assert statuses[-1] == 429
    refused = pair[0].ask("GET", "/api/session", headers=person.headers)
    assert refused[0] == 200
