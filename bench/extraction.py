"""Reading colours, beside Pillow's quantize, scikit-learn's KMeans and a plain decode."""

from __future__ import annotations

import io

import numpy as np
from PIL import Image
from sklearn.cluster import KMeans

from bench.pictures import logo_png, photograph_jpeg
from bench.timing import Row, milliseconds, table
from tonada.core.extract import extract_colors

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
    return [
        Row(what, own, name, milliseconds(lambda work=work: work(data), times=times)) for name, work in peers
    ]


def run() -> str:
    """Return the table."""
    rows = compare("logo, PNG, 640 px", logo_png(), times=9)
    rows += compare("photograph, JPEG, 12 megapixels", photograph_jpeg(), times=3)
    return table("Extraction, to the colours", rows)
