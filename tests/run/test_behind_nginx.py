"""The example configuration with the real nginx: outside addresses, slow clients, and whose word is taken."""

from __future__ import annotations

import http.client
import json
import shutil
import socket
import subprocess
import tempfile
import time
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from tests.reviews import built_with
from tests.served import Served, free_port
from tests.waiting import PATIENCE_SECONDS, until

ROOT = Path(__file__).parents[2]
OUTSIDE = "tonada.example.org"
REVIEWS = "reviews.example.org"


@pytest.fixture(scope="module")
def served() -> Iterator[Served]:
    place = Path(tempfile.mkdtemp(prefix="tonada-nginx-"))
    place.chmod(0o755)
    settings = {"TONADA_HOSTS": OUTSIDE, "TONADA_HTTPS": "1", "TONADA_PROXIES": "127.0.0.1"}
    settings["TONADA_REVIEW_HOSTS"] = REVIEWS
    made = Served(place / "data", environment=settings)
    # It is asked by its outside name, as the proxy does.
    made.host = OUTSIDE
    made.start()
    yield made
    made.stop()
    shutil.rmtree(place, ignore_errors=True)


@pytest.fixture(scope="module")
def proxy(served: Served) -> Iterator[int]:
    """The port of nginx with the example, without its TLS: the certificate is the operator's."""
    port, folder = free_port(), Path(tempfile.mkdtemp(prefix="nginx-"))
    # Its workers are nobody, and put large bodies there.
    folder.chmod(0o755)
    example = (ROOT / "docs/examples/nginx.conf").read_text()
    kept = [line for line in example.splitlines() if "ssl_certificate" not in line]
    server = "\n".join(kept).replace("127.0.0.1:8600", f"127.0.0.1:{served.port}")
    server = server.replace("listen 443 ssl", f"listen 127.0.0.1:{port}").replace("$scheme", "https")
    places = "".join(
        f"{name}_temp_path {folder}/{name};" for name in ("client_body", "proxy", "fastcgi", "uwsgi", "scgi")
    )
    (folder / "nginx.conf").write_text(
        f"daemon off; pid {folder}/pid; error_log {folder}/error.log; events {{ worker_connections 900; }}"
        f"http {{ access_log off; {places}\n{server}\n}}"
    )
    program = shutil.which("nginx") or "/usr/sbin/nginx"
    with subprocess.Popen([program, "-e", f"{folder}/start.log", "-c", f"{folder}/nginx.conf"]) as process:
        until(lambda: process.poll() is not None or not socket.socket().connect_ex(("127.0.0.1", port)))
        assert process.poll() is None
        yield port
        process.terminate()
    shutil.rmtree(folder, ignore_errors=True)


def ask(
    port: int, method: str, path: str, body: Any = None, headers: dict[str, str] | None = None
) -> tuple[int, Any, dict[str, str]]:
    asked = http.client.HTTPConnection("127.0.0.1", port, timeout=30)
    given = json.dumps(body).encode() if body is not None else None
    asked.request(
        method, path, given, {"Host": OUTSIDE, "Content-Type": "application/json", **(headers or {})}
    )
    answer = asked.getresponse()
    content = answer.read()
    asked.close()
    read = json.loads(content) if content.startswith((b"{", b"[")) else content
    return answer.status, read, dict(answer.headers)


def session(port: int) -> dict[str, str]:
    _, found, headers = ask(port, "GET", "/api/session")
    assert "Secure" in headers["Set-Cookie"]
    return {"X-CSRF-Token": found["csrf_token"], "Cookie": headers["Set-Cookie"].partition(";")[0]}


@pytest.mark.detail(4)
def test_changes_are_made_by_the_outside_origin_and_by_no_other(proxy: int) -> None:
    own = session(proxy)
    made = ask(proxy, "POST", "/api/brands", {"name": "x"}, {**own, "Origin": f"https://{OUTSIDE}"})
    assert made[0] == 201
    for origin in ("https://evil.example", f"https://{OUTSIDE}.evil.example", "null"):
        assert ask(proxy, "POST", "/api/brands", {"name": "x"}, {**own, "Origin": origin})[0] == 403
    assert ask(proxy, "POST", "/api/brands", {"name": "x"}, {"Cookie": own["Cookie"]})[0] == 403
    # No referrer is ever sent, and none is asked for.
    assert ask(proxy, "POST", "/api/brands", {"name": "x"}, own)[0] == 201


@pytest.mark.detail
def test_links_in_files_have_the_outside_address(proxy: int) -> None:
    own = session(proxy)
    brand = ask(proxy, "POST", "/api/brands", {"name": "Linked"}, own)[1]
    take = brand["first_take"]
    document = ask(proxy, "POST", "/api/proposals", PROPOSAL)[1]["document"]
    ask(proxy, "PUT", f"/api/takes/{take}", {"document": document, "revision": 1}, own)
    assert ask(proxy, "POST", f"/api/takes/{take}/versions", {"description": ""}, own)[0] == 201
    status, file, _ = ask(proxy, "GET", f"/api/takes/{take}/versions/1/files/css")
    assert status == 200
    assert f"https://{OUTSIDE}/brands/{brand['id']}/takes/{take}/versions/1" in file.decode()


PROPOSAL = {
    "colors": [{"hex": "#2b3a8c", "name": None, "share": 0.7, "choice": None}],
    "source": None,
    "source_name": "x",
    "kind": "list",
    "level": "AA",
}


def addresses(served: Served) -> set[str]:
    lines = [json.loads(line) for line in served.log.read_text().splitlines() if line.startswith("{")]
    return {line["address"] for line in lines if line["about"] == "tonada.requests"}


@pytest.mark.detail(4)
def test_an_address_is_the_one_that_the_named_proxy_saw(served: Served, proxy: int) -> None:
    ask(proxy, "GET", "/api/brands", headers={"X-Forwarded-For": "203.0.113.7"})
    # nginx adds whom it saw, which is a named proxy itself: the one before it counts.
    assert "203.0.113.7" in addresses(served)


@pytest.mark.long
def test_nobody_else_is_believed(served: Served) -> None:
    other = Served(
        served.data.with_name("other"),
        environment={"TONADA_HOSTS": OUTSIDE, "TONADA_PROXIES": "192.0.2.1"},
    )
    other.host = OUTSIDE
    other.start()
    ask(other.port, "GET", "/api/brands", headers={"X-Forwarded-For": "203.0.113.9"})
    assert ask(other.port, "GET", "/api/brands", headers={"X-Forwarded-Host": "evil.example"})[0] == 200
    assert addresses(other) == {"127.0.0.1"}
    other.stop()


@pytest.mark.detail
def test_three_hundred_slow_uploads_never_reach_the_server(served: Served, proxy: int) -> None:
    head = f"POST /api/brands HTTP/1.1\r\nHost: {OUTSIDE}\r\nContent-Length: 9999\r\n\r\n{{".encode()
    slow = [socket.create_connection(("127.0.0.1", proxy)) for _ in range(300)]
    for client in slow:
        client.sendall(head)
    took = []
    for _ in range(15):
        started = time.monotonic()
        assert ask(proxy, "GET", "/api/brands")[0] == 200
        took.append(time.monotonic() - started)
    assert sorted(took)[7] < 1
    for client in slow:
        client.close()


@pytest.mark.detail
def test_reviews_have_a_host_of_their_own_and_nothing_else_is_there(proxy: int, served: Served) -> None:
    own = session(proxy)
    brand = ask(proxy, "POST", "/api/brands", {"name": "Shown"}, own)[1]
    built_with(lambda method, path, body: ask(proxy, method, path, body, own)[:2], brand["first_take"])
    body = {"takes": [{"take": brand["first_take"]}], "pages": ["home"]}
    status, made, _ = ask(proxy, "POST", f"/api/brands/{brand['id']}/reviews", body, own)
    assert status == 201
    path = made["link"]["path"]
    assert made["link"]["address"] == f"https://{REVIEWS}{path}"

    there = {"Host": REVIEWS}
    assert ask(proxy, "GET", path, headers=there)[0] == 200
    status, shown, headers = ask(proxy, "GET", f"/api{path}", headers=there)
    assert status == 200
    assert ask(proxy, "GET", f"/api{path}/content", headers=there)[1]["brand"] == "Shown"
    assert "Secure" in headers["Set-Cookie"]
    assert ask(proxy, "GET", f"{shown['pages_address']}pages.js", headers=there)[0] == 200
    cookie = headers["Set-Cookie"].partition(";")[0]
    writes = {**there, "X-CSRF-Token": shown["csrf_token"], "Cookie": cookie, "Origin": f"https://{REVIEWS}"}
    assert ask(proxy, "POST", f"/api{path}/remarks", {"name": "Ana", "text": "Hm"}, writes)[0] == 201
    evil = {**writes, "Origin": f"https://{OUTSIDE}"}
    assert ask(proxy, "POST", f"/api{path}/remarks", {"name": "Ana", "text": "Hm"}, evil)[0] == 403

    # Nothing else, whatever a client says of its host, at the proxy or behind it.
    elsewhere = (
        "/",
        "/api/brands",
        "/api/session",
        f"/brands/{brand['id']}",
        "/api/reviews/events",
        "/readyz",
    )
    for other in elsewhere:
        for claimed in ({}, {"X-Forwarded-Host": OUTSIDE}, {"X-Forwarded-Host": "127.0.0.1"}):
            assert ask(proxy, "GET", other, headers={**there, **claimed})[0] == 404, other
        # Behind the proxy, too: Tonada itself answers nothing else by that name.
        assert served.ask("GET", other, headers=there)[0] == 404, other
    assert ask(proxy, "GET", "/review/../api/brands", headers=there)[0] in (400, 404)
    assert ask(proxy, "GET", "/review/%2e%2e/api/brands", headers=there)[0] in (400, 404)
    # What the studio sees is where it was.
    listed = ask(proxy, "GET", f"/api/brands/{brand['id']}/reviews", headers=own)[1]
    assert listed["reviews"][0]["unresolved"] == 1


@pytest.mark.detail
def test_a_stream_comes_through_line_by_line(proxy: int) -> None:
    own = session(proxy)
    brand = ask(proxy, "POST", "/api/brands", {"name": "Streamed"}, own)[1]
    built_with(lambda method, path, body: ask(proxy, method, path, body, own)[:2], brand["first_take"])
    body = {"takes": [{"take": brand["first_take"]}], "pages": []}
    made = ask(proxy, "POST", f"/api/brands/{brand['id']}/reviews", body, own)[1]
    path, review = made["link"]["path"], made["review"]["id"]
    with socket.create_connection(("127.0.0.1", proxy), timeout=60) as reader:
        reader.sendall(f"GET /api{path}/events HTTP/1.1\r\nHost: {REVIEWS}\r\n\r\n".encode())
        came = _read_events(reader, 1)
        ask(proxy, "POST", f"/api/reviews/{review}/remarks", {"text": "For you"}, own)
        _read_events(reader, 2, came)


def _read_events(reader: socket.socket, count: int, came: bytes = b"") -> bytes:
    """Read until so many events have come. Beats keep coming on a stream that hears nothing."""
    end = time.monotonic() + PATIENCE_SECONDS
    while came.count(b"event: new") < count:
        assert time.monotonic() < end, f"not heard: {came!r}"
        more = reader.recv(4096)
        assert more, f"the stream ended: {came!r}"
        came += more
    return came
