"""`tonada serve`: hosts, a second one on the same data, kills of every process, slow clients, its logs."""

from __future__ import annotations

import json
import os
import shutil
import signal
import socket
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from pathlib import Path

import pytest

from tests.served import Person, Served, command_of, free_port, kill
from tests.waiting import until


@pytest.fixture(scope="module")
def place() -> Iterator[Path]:
    made = Path(tempfile.mkdtemp(prefix="tonada-serve-"))
    made.chmod(0o755)
    yield made
    shutil.rmtree(made, ignore_errors=True)


@pytest.fixture(scope="module")
def served(place: Path) -> Iterator[Served]:
    made = Served(
        place / "data", environment={"TONADA_HOSTS": "Tonada.Example.org, 127.0.0.1", "TONADA_PROXIES": ""}
    )
    made.start()
    yield made
    made.stop()


@pytest.mark.detail
def test_the_hosts_that_are_named_are_answered_in_any_case_and_no_others(served: Served) -> None:
    for host, status in {
        "tonada.example.org": 200,
        "TONADA.example.ORG": 200,
        "127.0.0.1": 200,
        "localhost": 400,
        "evil.example": 400,
    }.items():
        assert served.ask("GET", "/api/brands", headers={"Host": host})[0] == status, host


@pytest.mark.detail
def test_a_second_one_on_the_same_data_says_so(served: Served) -> None:
    environment = {**os.environ, "TONADA_DATA": str(served.data), "PORT": str(free_port())}
    second = subprocess.run(
        [sys.executable, "-m", "tonada.cli", "serve"],
        env=environment,
        capture_output=True,
        text=True,
        check=False,
    )
    assert second.returncode == 1
    assert f"already runs on the data in {served.data}" in second.stderr
    assert second.stderr.count("\n") == 1
    assert served.ask("GET", "/readyz")[0] == 200


@pytest.mark.parametrize(
    ("name", "value"), [("TONADA_WORKERS", "0"), ("TONADA_WORKERS", "many"), ("PORT", "99999")]
)
def test_a_wrong_number_is_named_with_an_example(name: str, value: str, place: Path) -> None:
    environment = {**os.environ, "TONADA_DATA": str(place / "other"), name: value}
    done = subprocess.run(
        [sys.executable, "-m", "tonada.cli", "serve"],
        env=environment,
        capture_output=True,
        text=True,
        check=False,
    )
    assert (done.returncode, done.stderr.count("\n")) == (1, 1)
    assert f"{name} is “{value}”" in done.stderr


def make_brand(person: Person, name: str) -> str:
    status, brand = person.ask("POST", "/api/brands", {"name": name})
    assert status == 201
    return str(brand["first_take"])


@pytest.mark.detail(4)
def test_whatever_is_killed_comes_back_with_everything_that_was_acknowledged(served: Served) -> None:
    person = Person(served)
    take = make_brand(person, "Killed")
    document = person.ask("GET", f"/api/takes/{take}")[1]["document"]
    revision = 1
    victims = {
        "worker": lambda: served.workers()[0],
        "master": served.web_master,
        "database": served.database,
    }
    for name, find in victims.items():
        status, saved = person.ask(
            "PUT", f"/api/takes/{take}", {"document": {**document, "level": "AAA"}, "revision": revision}
        )
        assert status == 200, name
        revision = saved["revision"]
        document = {**saved["document"], "level": "AA"}
        victim = find()
        kill(victim)
        until(lambda victim=victim: not command_of(victim))
        served.wait_until_up()
        status, found = person.ask("GET", f"/api/takes/{take}")
        assert (status, found["revision"]) == (200, revision), name
    assert "is started again" in served.log.read_text()


@pytest.mark.long
def test_after_a_kill_nothing_is_left_that_holds_the_port(place: Path) -> None:
    first = Served(place / "killed")
    first.start()
    person = Person(first)
    make_brand(person, "Kept")
    mine = [first.web_master(), *first.workers(), first.database()]
    first.kill()
    until(lambda: not any(command_of(pid) for pid in mine))
    again = Served(place / "killed", port=first.port)
    again.start()
    assert b"Kept" in again.ask("GET", "/api/brands")[1]
    again.stop()


@pytest.mark.detail
def test_two_hundred_slow_and_idle_clients_keep_nobody_off(served: Served) -> None:
    beginnings = (
        b"",
        b"GET /api/brands HTT",
        b"GET /api/brands HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Slow: ",
        b"POST /api/brands HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 500\r\n\r\n{",
    )
    slow = []
    for number in range(200):
        client = socket.create_connection(("127.0.0.1", served.port), timeout=10)
        client.sendall(beginnings[number % len(beginnings)])
        slow.append(client)
    took = []
    for _ in range(20):
        started = time.monotonic()
        assert served.ask("GET", "/api/brands")[0] == 200
        took.append(time.monotonic() - started)
    # The middle one of them: a busy machine may hold up any single one.
    assert sorted(took)[10] < 1
    for client in slow:
        client.close()


@pytest.mark.detail
def test_each_request_has_a_line_without_anything_of_the_user_s(served: Served) -> None:
    person = Person(served)
    take = make_brand(person, "A secret brand")
    person.ask("GET", f"/api/takes/{take}?name=secret")
    served.ask("POST", "/api/brands", {"name": "x"})
    served.ask("POST", "/api/brands", {"name": "x"}, {**person.headers, "Origin": "https://evil.example"})
    until(lambda: "another origin" in served.log.read_text())
    text = served.log.read_text()
    lines = [json.loads(line) for line in text.splitlines() if line.startswith("{")]
    requests = [line for line in lines if line["about"] == "tonada.requests"]
    one = next(line for line in requests if line["route"] == "/api/takes/<uuid:take_id>")
    assert (one["method"], one["status"], one["address"]) == ("GET", 200, "127.0.0.1")
    assert one["milliseconds"] > 0
    assert one["person"]
    assert "secret" not in text
    assert take not in text
    events = {line["message"] for line in lines if line["about"] == "tonada.security"}
    assert {"no token", "another origin"} <= events


@pytest.mark.detail
def test_health_says_whether_it_lives_and_whether_it_can_work(served: Served) -> None:
    assert served.ask("GET", "/healthz") == (200, b"ok\n")
    assert served.ask("GET", "/readyz") == (200, b"ready\n")
    paused = [served.database(), *served.children(served.database())]
    for process in paused:
        kill(process, signal.SIGSTOP)
    try:
        # The client's own time limit ends this where the server waits for ever.
        assert served.ask("GET", "/readyz")[0] == 503
        assert served.ask("GET", "/healthz")[0] == 200
    finally:
        for process in reversed(paused):
            kill(process, signal.SIGCONT)
    served.wait_until_up()
    assert "the database failed" in served.log.read_text()
