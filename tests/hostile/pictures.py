"""Hostile bitmaps: what a header promises, what a decoder is made to do, and what was cut off or bent."""

from __future__ import annotations

import io
import struct
import zlib
from collections.abc import Iterator

import numpy as np
from PIL import Image

PNG_MARK = b"\x89PNG\r\n\x1a\n"


def chunk(kind: bytes, content: bytes) -> bytes:
    return struct.pack(">I", len(content)) + kind + content + struct.pack(">I", zlib.crc32(kind + content))


def png(
    width: int,
    height: int,
    rows: bytes,
    *,
    depth: int = 8,
    kind: int = 2,
    before: bytes = b"",
    interlaced: int = 0,
) -> bytes:
    head = struct.pack(">IIBBBBB", width, height, depth, kind, 0, 0, interlaced)
    return (
        PNG_MARK
        + chunk(b"IHDR", head)
        + before
        + chunk(b"IDAT", zlib.compress(rows, 1))
        + chunk(b"IEND", b"")
    )


def saved(image: Image.Image, format_name: str, **options: object) -> bytes:
    file = io.BytesIO()
    image.save(file, format_name, **options)
    return file.getvalue()


def noise(random: np.random.Generator, width: int, height: int) -> Image.Image:
    return Image.fromarray(random.integers(0, 256, (height, width, 3), dtype=np.uint8))


def bitmaps(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    """Name each file by what is wrong, or only unusual, with it; the ending says what it claims to be."""
    yield from _pngs(random)
    yield from _jpegs(random)
    yield from _others(random)
    yield from _bent(random)


def _pngs(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    rows = b"\0" + b"\x2b\x3a\x8c" * 64
    for count in (100, 19_000, 200_000):
        yield f"{count} chunks.png", png(64, 64, rows * 64, before=chunk(b"teXt", b"") * count)
        parts = chunk(b"IDAT", b"") * count
        yield f"{count} empty data.png", png(64, 64, rows * 64, before=parts)
    for width, height in ((50_000, 50_000), (2**31 - 1, 1), (0, 5), (1, 40_000_000), (7000, 7100)):
        yield f"{width} x {height}.png", png(width, height, b"\0" * 100)
    solid = b"".join(b"\0" + b"\x2b\x3a\x8c" * 7000 for _ in range(7000))
    yield "49 megapixels of one colour.png", png(7000, 7000, solid)
    yield "interlaced.png", png(1900, 1900, b"\0" * (1900 * 1900 * 4), interlaced=1)
    for depth, kind in ((16, 0), (16, 2), (16, 6), (1, 0), (2, 3), (8, 3), (7, 2), (8, 9)):
        yield f"depth {depth}, kind {kind}.png", png(40, 40, b"\0" * 40_000, depth=depth, kind=kind)
    inflating = zlib.compress(b"\0" * 60_000_000, 9)
    yield "a text that inflates.png", png(64, 64, rows * 64, before=chunk(b"zTXt", b"x\0\0" + inflating))
    yield "a profile that inflates.png", png(64, 64, rows * 64, before=chunk(b"iCCP", b"x\0\0" + inflating))
    yield "data that inflates.png", png(64, 64, b"\0" * 60_000_000)
    gradient = np.linspace(0, 255, 900 * 900 * 3).reshape(900, 900, 3).astype(np.uint8)
    yield "a gradient.png", saved(Image.fromarray(gradient), "PNG")
    yield "noise.png", saved(noise(random, 1500, 1500), "PNG")
    yield (
        "grey noise of 16 bits.png",
        saved(Image.fromarray(random.integers(0, 65536, (700, 700), dtype=np.uint16)), "PNG"),
    )
    yield "all transparent.png", saved(Image.new("RGBA", (300, 300)), "PNG")
    yield "one pixel.png", saved(Image.new("RGB", (1, 1)), "PNG")
    yield "a line.png", saved(Image.new("RGB", (60_000, 1), "#123456"), "PNG")
    frames = [noise(random, 200, 200) for _ in range(30)]
    yield "thirty frames.png", saved(frames[0], "PNG", save_all=True, append_images=frames[1:])
    exif = Image.Exif()
    for orientation in (0, 5, 99, 65535):
        exif[274] = orientation
        yield f"orientation {orientation}.png", saved(noise(random, 60, 40), "PNG", exif=exif)


def _jpegs(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    whole = saved(noise(random, 1200, 1200), "JPEG", quality=95, progressive=True)
    start = whole.index(b"\xff\xda")
    scan = whole[start : whole.index(b"\xff\xda", start + 2)]
    for count in (20, 90, 3000):
        yield f"{count} scans more.jpg", whole[:-2] + scan * count + whole[-2:]
    tiny_scan = b"\xff\xda\x00\x08\x01\x01\x00\x00\x00\x00"
    yield "empty scans.jpg", whole[:-2] + tiny_scan * 60_000 + whole[-2:]
    for width, height in ((65_535, 65_535), (65_535, 1), (0, 0), (9000, 5000)):
        bent = bytearray(saved(Image.new("RGB", (64, 64)), "JPEG"))
        at = bent.index(b"\xff\xc0") + 5
        bent[at : at + 4] = struct.pack(">HH", height, width)
        yield f"{width} x {height}.jpg", bytes(bent)
    yield "CMYK.jpg", saved(noise(random, 300, 300).convert("CMYK"), "JPEG")
    yield "grey.jpg", saved(noise(random, 300, 300).convert("L"), "JPEG")
    yield "segments of megabytes.jpg", whole[:2] + (b"\xff\xe1\xff\xff" + b"x" * 65_533) * 60 + whole[2:]
    yield "a profile of nonsense.jpg", saved(noise(random, 300, 300), "JPEG", icc_profile=b"x" * 60_000)
    yield "14 megapixels.jpg", saved(noise(random, 4600, 3000), "JPEG", quality=20)
    yield "only a head.jpg", whole[:600]


def _others(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    frames = [noise(random, 300, 300) for _ in range(40)]
    yield "forty frames.gif", saved(frames[0], "GIF", save_all=True, append_images=frames[1:])
    yield "a large frame.gif", b"GIF89a" + struct.pack("<HH", 65_535, 65_535) + b"\x80\0\0" + b"\0" * 6 + b";"
    for method in ("tiff_deflate", "tiff_lzw", "packbits", None):
        yield f"{method}.tif", saved(noise(random, 500, 500), "TIFF", compression=method)
    loop = (
        b"II*\0\x08\0\0\0" + struct.pack("<H", 1) + struct.pack("<HHII", 256, 3, 1, 9) + struct.pack("<I", 8)
    )
    yield "a circle of directories.tif", loop
    entries = b"".join(struct.pack("<HHII", n % 65_000, 4, 0xFFFFFF, 8) for n in range(60_000))
    yield "thousands of entries.tif", b"II*\0\x08\0\0\0" + struct.pack("<H", 60_000) + entries
    yield "floats.tif", saved(Image.fromarray(random.normal(0, 1e30, (200, 200)).astype(np.float32)), "TIFF")
    yield "lossless.webp", saved(noise(random, 700, 700), "WEBP", lossless=True)
    yield "animated.webp", saved(frames[0], "WEBP", save_all=True, append_images=frames[1:8])
    yield "small.avif", saved(noise(random, 200, 200), "AVIF")
    yield "indexed.bmp", saved(noise(random, 400, 400).quantize(16), "BMP")
    large = bytearray(saved(Image.new("RGB", (8, 8)), "BMP"))
    large[18:26] = struct.pack("<ii", 7000, 7000)
    yield "a size that is not there.bmp", bytes(large)
    marks = {
        "empty.png": b"",
        "a mark.png": PNG_MARK,
        "a mark.jpg": b"\xff\xd8\xff",
        "a mark.gif": b"GIF89a",
        "a mark.webp": b"RIFF\0\0\0\0WEBP",
        "zeros.png": b"\0" * 100_000,
        "a program.png": b"\x7fELF" + b"\1" * 5000,
        "an archive.png": b"PK\3\4" + b"\0" * 5000,
        "a PDF.png": b"%PDF-1.7\n",
        "text.png": b"hello",
    }
    yield from marks.items()


def _bent(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    """Files that were whole, with some bytes changed or the end missing."""
    image = noise(random, 160, 120)
    for format_name in ("PNG", "JPEG", "GIF", "WEBP", "TIFF", "BMP", "AVIF"):
        whole = saved(image, format_name)
        for number in range(10):
            bent = bytearray(whole)
            for place in random.integers(0, len(bent), 1 + number * 3):
                bent[place] = random.integers(0, 256)
            cut = len(bent) if number % 2 else int(random.integers(10, len(bent)))
            yield f"bent {number}.{format_name.lower()}", bytes(bent[:cut])
