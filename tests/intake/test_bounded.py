"""A reading in a process of its own: its answers, its errors, its limits, and its end."""

from __future__ import annotations

import base64
import io
import os
import resource
import threading
import time
from pathlib import Path

import numpy as np
import pytest
from PIL import Image

from tonada.core.errors import ImageError, ImageTooLarge, InputError
from tonada.core.source.pictures import extract_colors
from tonada.intake import bounded
from tonada.intake.bounded import SHORT, Budget, ReadingBusy, ReadingCancelled, run_bounded
from tonada.intake.results import image_to_json

SVG = b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">%s</svg>'
COLORS = {"kind": None, "region": None}


def png_of(pixels: np.ndarray) -> bytes:
    file = io.BytesIO()
    Image.fromarray(pixels).save(file, "PNG")
    return file.getvalue()


def group_leaders() -> set[str]:
    """Processes of readings that are still there: each leads a group of its own."""
    found = set()
    for entry in filter(str.isdigit, os.listdir("/proc")):
        try:
            fields = Path(f"/proc/{entry}/stat").read_text().rpartition(")")[2].split()
            command = Path(f"/proc/{entry}/cmdline").read_bytes()
        except OSError:
            continue
        if b"multiprocessing.forkserver" in command and fields[2] == entry and ours(fields[1]):
            found.add(entry)
    return found


def ours(parent: str) -> bool:
    """Return whether the parent of a reading was started by this process."""
    try:
        return Path(f"/proc/{parent}/stat").read_text().rpartition(")")[2].split()[1] == str(os.getpid())
    except OSError:
        return False


def test_what_comes_back_is_what_the_core_says() -> None:
    drawing = SVG % b'<path fill="#2b3a8c" d="M0 0h60v100H0z"/><path fill="#d7b13c" d="M60 0h40v100H60z"/>'
    answer = run_bounded("colors", COLORS, [drawing])
    assert answer.result == image_to_json(extract_colors(drawing))
    pixels = np.arange(4 * 5 * 3, dtype=np.uint8).reshape(4, 5, 3)
    read = run_bounded("pixels", {}, [png_of(pixels)])
    assert (read.result["width"], read.result["height"]) == (5, 4)
    assert np.array_equal(np.frombuffer(read.parts[0], np.uint8).reshape(4, 5, 3), pixels)


def test_errors_come_back_as_what_they_are() -> None:
    with pytest.raises(ImageTooLarge, match="limit"):
        run_bounded("colors", COLORS, [SVG % (b"<g>" * 300 + b"</g>" * 300)])
    with pytest.raises(ImageError, match="script"):
        run_bounded("colors", COLORS, [SVG % b"<script/>"])
    with pytest.raises(InputError) as refused:
        run_bounded("styles", {"names": ["a.css"], "difference": None}, [b"a{top:0}"])
    assert refused.value.field == "file"


# Nothing in these is against a stated limit; they only take long, or much memory.
SLOW = {
    "blurs in blurs": SVG
    % (
        b'<filter id="f"><feGaussianBlur stdDeviation="9"/></filter>'
        + b'<g opacity=".9">' * 150
        + b'<rect width="100" height="100" fill="url(#g)"/>' * 60
        + b"</g>" * 150
    ),
    "thousands of circles": SVG % (b'<circle cx="50" cy="50" r="49" fill="#123" opacity=".9"/>' * 15_000),
}


@pytest.mark.parametrize("name", SLOW)
def test_a_reading_that_takes_too_much_is_ended_and_says_so(name: str) -> None:
    tight = Budget("short", 0.2, 5, 64 * 2**20)
    before = resource.getrusage(resource.RUSAGE_SELF).ru_utime
    with pytest.raises(ImageError, match=r"limit|memory|drawn"):
        run_bounded("colors", COLORS, [SLOW[name]], budget=tight)
    # Nothing of the work was done here.
    assert resource.getrusage(resource.RUSAGE_SELF).ru_utime - before < 0.2
    assert group_leaders() == set()


def test_memory_is_limited() -> None:
    file = png_of(np.zeros((6000, 6000, 3), np.uint8))
    tight = Budget("short", 20, 30, 60 * 2**20)
    with pytest.raises(ImageError, match=r"60 MB of memory|cut off"):
        run_bounded("pixels", {}, [file], budget=tight)


def test_one_reads_at_a_time_and_who_waits_too_long_is_sent_away(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("tonada.core.limits.READING_WAIT_SECONDS", 0.1)
    impatient = Budget("short", 1, 0.1, 2**28)
    drawing = SVG % b'<path fill="#2b3a8c" d="M0 0h100v100H0z"/>'
    with bounded._turn(SHORT), pytest.raises(ReadingBusy):
        run_bounded("colors", COLORS, [drawing], budget=impatient)
    assert run_bounded("colors", COLORS, [drawing]).result["steps"]


def test_a_reading_that_nobody_wants_any_more_is_ended() -> None:
    seen: list[float] = []

    def watch(progress: float) -> bool:
        seen.append(progress)
        return len(seen) < 2

    noise = np.random.default_rng(7).integers(0, 256, (2500, 2500, 3), dtype=np.uint8)
    with pytest.raises(ReadingCancelled):
        run_bounded("picture", {}, [png_of(noise)], budget=Budget("long", 20, 60, 2**30), watch=watch)
    assert group_leaders() == set()


def test_many_at_once_all_get_their_answer() -> None:
    drawing = SVG % b'<path fill="#2b3a8c" d="M0 0h100v100H0z"/>'
    found: list[object] = []
    threads = [
        threading.Thread(target=lambda: found.append(run_bounded("colors", COLORS, [drawing]).result["kind"]))
        for _ in range(8)
    ]
    started = time.monotonic()
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert found == ["flat"] * 8
    assert time.monotonic() - started < 60


def test_pictures_inside_an_svg_are_measured_before_anything_is_decoded() -> None:
    inner = base64.b64encode(png_of(np.zeros((2000, 2000), np.uint8)))
    one = b'<image width="9" height="9" href="data:image/png;base64,%s"/>' % inner
    assert run_bounded("colors", COLORS, [SVG % one]).result["steps"]
    with pytest.raises(ImageTooLarge, match="12,000,000 pixels"):
        run_bounded("colors", COLORS, [SVG % (one * 4)])
