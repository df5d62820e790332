"""Reading colours, beside Pillow's quantize, scikit-learn's KMeans and a plain decode."""

from __future__ import annotations

import io
import subprocess
import sys
from functools import partial

import numpy as np
from PIL import Image
from sklearn.cluster import KMeans

from bench.pictures import logo_png, photograph_jpeg
from bench.timing import Row, milliseconds, table
from tonada.core.source.pictures import extract_colors

# KMeans gets what a careful user would give it: a sample, not twelve million pixels.
KMEANS_PIXELS = 50_000
COLORS = 6


def decode(data: bytes) -> Image.Image:
    return Image.open(io.BytesIO(data)).convert("RGB")


def quantize(data: bytes) -> None:
    decode(data).quantize(COLORS)


def kmeans(data: bytes) -> None:
    pixels = np.asarray(decode(data)).reshape(-1, 3)
    sample = pixels[:: max(1, len(pixels) // KMEANS_PIXELS)].astype(np.float32)
    KMeans(COLORS, n_init=1, random_state=0).fit(sample)


def compare(what: str, data: bytes, *, times: int) -> list[Row]:
    own = milliseconds(lambda: extract_colors(data), times=times)
    peers = (
        ("Pillow, full decode alone", decode),
        ("Pillow quantize", quantize),
        (f"scikit-learn KMeans of {KMEANS_PIXELS:,} pixels", kmeans),
    )
    return [Row(what, own, name, milliseconds(partial(work, data), times=times)) for name, work in peers]


def peak_megabytes(code: str, data: bytes) -> float:
    """Return the most memory that a process of its own held while it ran `code` over the file `data`."""
    # Not getrusage: its maximum outlives exec, and would be that of the process that measures.
    measured = f"import io, re, sys; data = sys.stdin.buffer.read(); {code}; "
    measured += "print(re.search(r'VmHWM:\\s+(\\d+)', open('/proc/self/status').read())[1])"
    ran = subprocess.run([sys.executable, "-c", measured], input=data, capture_output=True, check=True)
    return int(ran.stdout) / 1024


def memory() -> str:
    """Return the memory of a 50-megapixel JPEG beside a plain decode of it."""
    data = photograph_jpeg(8600, 5800)
    own = peak_megabytes("from tonada.core.source.pictures import extract_colors; extract_colors(data)", data)
    peer = peak_megabytes("from PIL import Image; Image.open(io.BytesIO(data)).convert('RGB')", data)
    line = f"| photograph, JPEG, 50 megapixels | {own:.0f} | Pillow, full decode alone | {peer:.0f} "
    head = "| what | MB at most | beside | MB | ratio |\n|---|---:|---|---:|---:|\n"
    return f"{head}{line}| {own / peer:.2f} |\n"


def run() -> str:
    """Return the tables."""
    rows = compare("logo, PNG, 640 px", logo_png(), times=9)
    rows += compare("photograph, JPEG, 12 megapixels", photograph_jpeg(), times=3)
    return f"{table('Extraction, to the colours', rows)}\n{memory()}"
