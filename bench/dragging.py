"""Thirty people drag at once: python -m bench.dragging [PEOPLE] [SECONDS].

Each sends the next change when the last is answered, at most 15 a second, and goes through colours that
nobody has had before; the load comes from the same machine. Answers are compressed as a browser asks for,
and then not, to see what that costs. Beside it, in the same run, the peer: the same people asking for
/healthz, which computes nothing.
"""

from __future__ import annotations

import http.client
import json
import sys
import threading
import time
from collections.abc import Callable
from typing import Any, TypeAlias

from tests.served import Person, Served

from bench.served import a_document, a_server

# What the person of this number sends as their change of this number.
Body: TypeAlias = Callable[[int, int], bytes | None]

MOST_A_SECOND = 15


# What Chromium sends over a connection that isn't TLS.
AS_A_BROWSER = "gzip, deflate, br, zstd"
PLAIN = "identity"


def drag(
    served: Served,
    people: int,
    seconds: float,
    method: str,
    path: str,
    body: Body,
    encoding: str = PLAIN,
) -> list[float]:
    """Return how long each answer took."""
    headers = {"Content-Type": "application/json", "Accept-Encoding": encoding}
    took: list[float] = []
    end = time.monotonic() + seconds

    def one(person: int) -> None:
        line = http.client.HTTPConnection("127.0.0.1", served.port, timeout=30)
        number = 0
        while time.monotonic() < end:
            started = time.monotonic()
            line.request(method, path, body(person, number), headers)
            answer = line.getresponse()
            answer.read()
            if answer.status != 200:
                raise SystemExit(f"{path} answered {answer.status}")
            took.append(time.monotonic() - started)
            number += 1
            time.sleep(max(0.0, started + 1 / MOST_A_SECOND - time.monotonic()))
        line.close()

    threads = [threading.Thread(target=one, args=(person,)) for person in range(people)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    return sorted(took)


def through_hues(document: dict[str, Any], first: float = 0.0) -> Body:
    """Return the drags of a take's first colour: each person through all hues, in a chroma of their own.

    first: the hue to begin with, in degrees, so that another run has colours of its own.
    """
    change = {**CHANGE, "swatch": document["swatches"][0]["id"], "hue": "HUE", "chroma": "CHROMA"}
    text = json.dumps({"document": document, "change": change})

    def body(person: int, number: int) -> bytes:
        chroma, hue = 0.06 + person / 500, (first + person * 97 + number * 1.7) % 360
        return text.replace('"HUE"', str(hue)).replace('"CHROMA"', str(chroma)).encode()

    return body


def main() -> None:
    people = int(sys.argv[1]) if len(sys.argv) > 1 else 30
    seconds = float(sys.argv[2]) if len(sys.argv) > 2 else 12
    with a_server() as served:
        document = a_document(Person(served))
        drag(served, 4, 3, "POST", "/api/changes", through_hues(document))
        peer = drag(served, people, seconds / 2, "GET", "/healthz", lambda _, __: None)
        asked = {
            name: drag(
                served, people, seconds, "POST", "/api/changes", through_hues(document, first), encoding
            )
            for first, name, encoding in ((0.5, "compressed", AS_A_BROWSER), (1.0, "plain", PLAIN))
        }
    peer_rate = len(peer) / (seconds / 2)
    for name, took in asked.items():
        rate = len(took) / seconds
        told = f"{rate:.0f} changes a second, {rate / peer_rate:.2f} of /healthz ({peer_rate:.0f})"
        print(f"{people} people, {name}: {told}")
        for share in (0.5, 0.9, 0.99):
            print(f"  {share:.0%} within {took[int(len(took) * share)] * 1000:.0f} ms")


# What a drag on the stave sends.
CHANGE = {"kind": "place", "lightness": None, "position": 0.4, "settle": True}

if __name__ == "__main__":
    main()
