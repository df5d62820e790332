"""The cluster of the project's own: made, stopped, started again, and what it says when it can't."""

from __future__ import annotations

import tempfile
from collections.abc import Iterator
from pathlib import Path

import psycopg
import pytest

from tonada.run import cluster as module
from tonada.run.cluster import Cluster, ClusterError


@pytest.fixture
def folder() -> Iterator[Path]:
    made = Path(tempfile.mkdtemp(prefix="tonada-cluster-"))
    made.chmod(0o755)
    yield made / "cluster"
    Cluster(made / "cluster").remove()
    made.rmdir()


def test_what_was_written_is_there_after_a_restart(folder: Path) -> None:
    cluster = Cluster(folder, durable=False)
    with psycopg.connect(cluster.start()) as connection:
        connection.execute("create table kept as select 7 as number")
    cluster.stop()
    cluster.stop()
    with psycopg.connect(cluster.start()) as connection:
        assert connection.execute("select number from kept").fetchone() == (7,)
    assert cluster.start() == cluster.start()


def test_it_listens_on_loopback_and_asks_for_its_password(folder: Path) -> None:
    url = Cluster(folder, durable=False).start()
    with psycopg.connect(url) as connection:
        assert connection.execute("show listen_addresses").fetchone() == ("127.0.0.1",)
    with pytest.raises(psycopg.OperationalError, match="password"):
        psycopg.connect(url.replace(url.split(":")[2].split("@")[0], "guess"))


def test_below_a_folder_that_others_can_t_enter_it_finds_another_place(folder: Path) -> None:
    folder.parent.chmod(0o700)
    cluster = Cluster(folder, durable=False)
    with psycopg.connect(cluster.start()) as connection:
        assert connection.execute("select 1").fetchone() == (1,)
    cluster.remove()
    assert not folder.exists()


def test_a_missing_server_is_one_line(folder: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(module, "SERVER_FOLDERS", "/nowhere")
    with pytest.raises(ClusterError, match="postgresql") as refused:
        Cluster(folder).start()
    assert "\n" not in str(refused.value)
