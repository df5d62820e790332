"""The cluster of the project's own: made, stopped, started again, killed, and what it says when it can't."""

from __future__ import annotations

import os
import shutil
import signal
import subprocess
import sys
import tempfile
import threading
from collections.abc import Iterator
from pathlib import Path

import psycopg
import pytest

from tests.waiting import until
from tonada.run import cluster as module
from tonada.run.cluster import Cluster, ClusterError


@pytest.fixture
def folder() -> Iterator[Path]:
    made = Path(tempfile.mkdtemp(prefix="tonada-cluster-"))
    made.chmod(0o755)
    yield made / "cluster"
    shutil.rmtree(made, ignore_errors=True)


@pytest.fixture
def cluster(folder: Path) -> Iterator[Cluster]:
    made = Cluster(folder, durable=False)
    yield made
    made.remove()


def keep_seven(url: str) -> None:
    with psycopg.connect(url) as connection:
        connection.execute("create table kept as select 7 as number")


def is_kept(url: str) -> bool:
    with psycopg.connect(url) as connection:
        return connection.execute("select number from kept").fetchone() == (7,)


def test_what_was_written_is_there_after_a_restart(cluster: Cluster) -> None:
    keep_seven(cluster.start())
    cluster.stop()
    cluster.stop()
    assert is_kept(cluster.start())
    assert cluster.start() == cluster.start()


def test_it_listens_on_loopback_and_asks_for_its_password(cluster: Cluster) -> None:
    url = cluster.start()
    with psycopg.connect(url) as connection:
        assert connection.execute("show listen_addresses").fetchone() == ("127.0.0.1",)
    with pytest.raises(psycopg.OperationalError, match="password"):
        psycopg.connect(url.replace(url.split(":")[2].split("@")[0], "guess"))


def test_the_application_is_no_superuser_and_owns_nothing(cluster: Cluster) -> None:
    keep_seven(cluster.start())
    with psycopg.connect(cluster.application_url) as connection:
        role = connection.execute(
            "select rolsuper, rolcreatedb, rolcreaterole, rolbypassrls from pg_roles"
            " where rolname = current_user"
        ).fetchone()
        assert role == (False, False, False, False)
        with pytest.raises(psycopg.errors.InsufficientPrivilege):
            connection.execute("select * from kept")


@pytest.mark.detail
def test_a_missing_password_is_renewed_and_the_data_stays(cluster: Cluster, folder: Path) -> None:
    said: list[str] = []
    keep_seven(cluster.start())
    cluster.stop()
    (folder / "password").unlink()
    (folder / "app-password").unlink()
    again = Cluster(folder, durable=False, say=said.append)
    try:
        assert is_kept(again.start())
        assert "nothing of the data changes" in said[0]
    finally:
        again.stop()


@pytest.mark.detail
def test_a_folder_that_is_no_database_is_set_aside_not_removed(cluster: Cluster, folder: Path) -> None:
    (folder / "data").mkdir(parents=True)
    (folder / "data" / "notes.txt").write_text("somebody's")
    cluster.start()
    aside = next(folder.glob("set-aside-*"))
    assert (aside / "notes.txt").read_text() == "somebody's"


def test_a_killed_server_comes_back_with_what_it_had_acknowledged(folder: Path) -> None:
    cluster = Cluster(folder)
    try:
        keep_seven(cluster.start())
        process = int((folder / "data" / "postmaster.pid").read_text().split()[0])
        os.kill(process, signal.SIGKILL)
        until(lambda: not cluster.is_running(), "it runs on after a kill", pause=0.01)
        assert is_kept(cluster.start())
    finally:
        cluster.remove()


@pytest.mark.detail
def test_after_a_kill_it_waits_for_what_is_left_of_the_server(folder: Path) -> None:
    cluster = Cluster(folder)
    try:
        keep_seven(cluster.start())
        process = int((folder / "data" / "postmaster.pid").read_text().split()[0])
        children = Path(f"/proc/{process}/task/{process}/children").read_text().split()
        slow = int(children[0])
        # One of its processes takes a second to notice that it is alone.
        os.kill(slow, signal.SIGSTOP)
        os.kill(process, signal.SIGKILL)
        until(lambda: not cluster.is_running(), "it runs on after a kill", pause=0.01)
        later = threading.Timer(1, os.kill, (slow, signal.SIGCONT))
        later.start()
        assert is_kept(cluster.start())
        later.join()
    finally:
        cluster.remove()


@pytest.mark.detail
def test_it_ends_with_the_process_that_started_it_however_that_ends(folder: Path) -> None:
    program = (
        "import signal, sys; from pathlib import Path; from tonada.run.cluster import Cluster;"
        "made = Cluster(Path(sys.argv[1]), durable=False); print(made.start(), flush=True); signal.pause()"
    )
    with subprocess.Popen([sys.executable, "-c", program, folder], stdout=subprocess.PIPE, text=True) as one:
        assert one.stdout
        keep_seven(one.stdout.readline().strip())
        process = Path("/proc", (folder / "data" / "postmaster.pid").read_text().split()[0])
        one.kill()
    until(lambda: not process.exists(), "the database goes on without its owner")


@pytest.mark.detail
def test_a_server_that_an_earlier_run_left_is_taken_over(cluster: Cluster, folder: Path) -> None:
    keep_seven(cluster.start())
    second = Cluster(folder, durable=False)
    try:
        assert is_kept(second.start())
        assert not cluster.is_running()
    finally:
        second.stop()


@pytest.mark.detail
def test_below_a_folder_that_others_can_t_enter_it_finds_another_place(
    cluster: Cluster, folder: Path
) -> None:
    folder.parent.chmod(0o700)
    with psycopg.connect(cluster.start()) as connection:
        assert connection.execute("select 1").fetchone() == (1,)
    cluster.remove()
    assert not folder.exists()


def test_a_missing_server_is_one_line(folder: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(module, "SERVER_FOLDERS", "/nowhere")
    with pytest.raises(ClusterError, match="postgresql") as refused:
        Cluster(folder).start()
    assert "\n" not in str(refused.value)
