"""What a drag feels like: the hot paths over HTTP, the first load, frames and latency in the browser."""

from __future__ import annotations

import http.client
import json
import os
import shutil
import socket
import statistics
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager
from dataclasses import replace
from itertools import cycle
from pathlib import Path
from typing import TypeAlias

import numpy as np
from playwright.sync_api import Page, sync_playwright

from bench.dragging import CHANGE
from bench.evaluation import full_take
from bench.timing import Row, table
from tonada.core.color.spaces import hex_to_oklch, oklch_to_srgb8, srgb8_to_hex
from tonada.core.take.take import Take
from tonada.document.take import TakeDocument

Ask: TypeAlias = Callable[[], bytes]

ROOT = Path(__file__).resolve().parents[1]
CHROMIUM_FLAGS = ["--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking"]
# Counts frames and the longest wait between two, and when the measure follows, while the pointer moves.
WATCH = """() => {
  window.frames_ = []
  let last = performance.now()
  const tick = now => {
    window.frames_.push(now - last)
    last = now
    window.ticking_ = requestAnimationFrame(tick)
  }
  window.ticking_ = requestAnimationFrame(tick)
}"""


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


@contextmanager
def gunicorn(application: str, **environment: str) -> Iterator[int]:
    """Run an application as it is run for real, and give its port."""
    port = free_port()
    command = [sys.executable, "-m", "gunicorn", application, "--bind", f"127.0.0.1:{port}"]
    command += ["--config", "python:tonada.run.gunicorn_settings"]
    command += ["--workers", "1", "--threads", "4", "--worker-class", "gthread", "--log-level", "error"]
    server = subprocess.Popen(command, env={**os.environ, **environment}, cwd=ROOT)
    try:
        until_open(port)
        yield port
    finally:
        server.terminate()
        server.wait()


@contextmanager
def demo() -> Iterator[int]:
    """Run the whole application with its demo brands, and give its port."""
    port = free_port()
    with tempfile.TemporaryDirectory(prefix="tonada-bench-") as data:
        Path(data).chmod(0o755)
        environment = {**os.environ, "PORT": str(port), "TONADA_DATA": data}
        command = [sys.executable, "-m", "tonada.cli", "serve", "--demo"]
        server = subprocess.Popen(command, env=environment, stdout=subprocess.PIPE)
        try:
            assert server.stdout
            server.stdout.readline()
            yield port
        finally:
            server.terminate()
            server.wait()


def until_open(port: int) -> None:
    end = time.monotonic() + 20
    while time.monotonic() < end:
        with socket.socket() as probe:
            if probe.connect_ex(("127.0.0.1", port)) == 0:
                return
        time.sleep(0.05)


def asker(port: int, path: str, bodies: Sequence[bytes]) -> tuple[Ask, bytes]:
    """Return a call that asks for the next one over a connection that stays open, and the first answer."""
    connection = http.client.HTTPConnection("127.0.0.1", port, timeout=10)
    following = cycle(bodies)

    def ask() -> bytes:
        try:
            connection.request("POST", path, next(following), {"Content-Type": "application/json"})
            return connection.getresponse().read()
        except OSError:
            connection.close()  # the next call opens it again
            raise

    end = time.monotonic() + 20
    while True:
        try:
            return ask, ask()
        except OSError:  # the port is open, but nobody works yet
            if time.monotonic() > end:
                raise
            time.sleep(0.1)


def drag_of(take: Take) -> list[bytes]:
    """Return what a drag sends: the first colour goes through all hues, none of them twice."""
    first, *others = take.swatches
    lightness, chroma, _ = hex_to_oklch(first.hex)
    places = np.array([(lightness + hue % 8 / 50, chroma, hue / 2) for hue in range(720)])
    hexes = dict.fromkeys(srgb8_to_hex(color) for color in oklch_to_srgb8(places))
    return [evaluating(replace(take, swatches=(replace(first, hex=value), *others))) for value in hexes]


def evaluating(take: Take) -> bytes:
    return json.dumps({"document": TakeDocument.of(take).model_dump(mode="json")}).encode()


def changing(take: Take, hue: float) -> bytes:
    """Return what a drag of the first note on the stave sends."""
    document = TakeDocument.of(take).model_dump(mode="json")
    change = {**CHANGE, "swatch": take.swatches[0].id, "chroma": 0.11, "hue": hue}
    return json.dumps({"document": document, "change": change}).encode()


def over_http() -> str:
    take = full_take()
    rows = [
        over_http_with("/api/evaluate", "the same take again", [evaluating(take)]),
        over_http_with("/api/evaluate", "a drag", drag_of(take)),
        over_http_with("/api/changes", "the same change again", [changing(take, 100)]),
        over_http_with("/api/changes", "a drag", [changing(take, hue / 2) for hue in range(720)]),
        over_http_with("/api/changes", "nothing computed", [changing(take, 100)], "bench.uncomputed:app"),
    ]
    return table("Over HTTP on loopback, gunicorn", rows)


def over_http_with(path: str, what: str, bodies: list[bytes], application: str = "bench.whole:app") -> Row:
    database = "postgresql://nobody@127.0.0.1:1/none"  # evaluating needs none
    with (
        tempfile.NamedTemporaryFile() as file,
        gunicorn(application, DATABASE_URL=database, SECRET_KEY="b" * 32) as port,
    ):
        ask, answer = asker(port, path, bodies)
        file.write(answer)
        file.flush()
        with gunicorn("bench.bare:app", BENCH_ANSWER=file.name) as peer_port:
            ask_peer, _ = asker(peer_port, path, bodies)
            own, peer = taking_turns(ask, ask_peer)
    name = f"{path}, {what}, {len(answer) // 1024} KB back"
    return Row(name, own, "bare Flask, same bytes", peer)


def taking_turns(one: Ask, other: Ask, *, rounds: int = 12, times: int = 40) -> tuple[float, float]:
    """Return the median milliseconds of both, asked in turns, so that the machine's moods fall on both."""
    taken: tuple[list[float], list[float]] = ([], [])
    for _ in range(rounds):
        for ask, own in zip((one, other), taken, strict=True):
            for _ in range(times):
                started = time.perf_counter()
                ask()
                own.append((time.perf_counter() - started) * 1000)
    return statistics.median(taken[0]), statistics.median(taken[1])


def first_load() -> str:
    """Return what the page loads first, compressed, without fonts."""
    page = (ROOT / "frontend/dist/index.html").read_text()
    assets = ROOT / "frontend/dist/assets"
    entry = sum(file.stat().st_size for file in assets.glob("*.br") if f"assets/{file.stem}" in page)
    everything = sum(file.stat().st_size for file in assets.glob("*.br"))
    head = "### First load, compressed, without fonts\n\n| what | KB |\n|---|---:|\n"
    return head + f"| list of brands | {entry / 1024:.0f} |\n| every view | {everything / 1024:.0f} |\n"


def dragging() -> str:
    """Return frames and latency of a drag in the real browser, beside the same page at rest."""
    with demo() as port, sync_playwright() as playwright:
        executable = shutil.which("chromium-headless-shell")
        browser = playwright.chromium.launch(executable_path=executable, args=CHROMIUM_FLAGS)
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.goto(f"http://127.0.0.1:{port}/")
        page.get_by_role("link", name="Orrin Peak Observatory").click()
        page.get_by_role("link", name="Harmony").click()
        note = page.get_by_role("slider", name="Success", exact=True)
        note.wait_for()
        at_rest = frames(page, lambda: page.wait_for_timeout(1500))
        box = note.bounding_box()
        assert box
        x, y = box["x"] + 14, box["y"] + 14
        page.mouse.move(x, y)
        page.mouse.down()
        page.mouse.move(x + 20, y)
        moving = frames(page, lambda: wander(page, x, y))
        waits = [follows(page, x, y, step) for step in range(15)]
        page.mouse.up()
        browser.close()
    rest, drag = (1000 / statistics.mean(one) for one in (at_rest, moving))
    slowest = sorted(moving)[int(0.95 * len(moving))]
    head = "### A drag on the stave, in the browser\n\n| what | |\n|---|---:|\n"
    return head + (
        f"| frames a second at rest | {rest:.0f} |\n| frames a second while dragging | {drag:.0f} |\n"
        f"| 95 of 100 frames within | {slowest:.0f} ms |\n"
        f"| the measure follows a move within (median) | {statistics.median(waits):.0f} ms |\n"
    )


def frames(page: Page, work: Callable[[], None]) -> list[float]:
    page.evaluate(WATCH)
    work()
    measured: list[float] = page.evaluate(
        "() => { cancelAnimationFrame(window.ticking_); return window.frames_.slice(1) }"
    )
    return measured


def wander(page: Page, x: float, y: float) -> None:
    for step in range(150):
        page.mouse.move(x + 20 + step, y + 20 * ((step // 15) % 2))


def follows(page: Page, x: float, y: float, step: int) -> float:
    """Return the milliseconds from a move of the pointer until the measure has another colour."""
    page.wait_for_timeout(120)
    page.evaluate(
        """() => {
          const cells = document.querySelector('[data-testid=measure]')
          window.waited_ = new Promise(resolve => {
            let from
            const begin = () => { from = performance.now() }
            window.addEventListener('pointermove', begin, { once: true, capture: true })
            new MutationObserver((_, own) => {
              if (from === undefined) return
              own.disconnect()
              requestAnimationFrame(() => resolve(performance.now() - from))
            }).observe(cells, { subtree: true, attributes: true, attributeFilter: ['style'] })
          })
        }"""
    )
    page.mouse.move(x - 200 - 11 * step, y + 40 + 6 * step)
    return float(page.evaluate("window.waited_"))


def run() -> str:
    """Return the tables."""
    return "\n".join([over_http(), first_load(), dragging()])
