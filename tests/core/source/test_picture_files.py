"""Files as they come: orientation, profiles, palettes, and everything that must be refused."""

from __future__ import annotations

import io
import struct
import time
import zlib

import numpy as np
import pytest
import resvg_py
from PIL import Image, ImageCms, ImageFile

from tests.artwork import encoded
from tonada.core.errors import ImageError, ImageTooLarge
from tonada.core.source.pictures import extract_colors, render_preview
from tonada.core.source.pictures.svg_limits import parse_svg

INDIGO, COPPER = (43, 58, 140), (182, 101, 58)
NAMESPACES = 'xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"'
SVG = f'<svg {NAMESPACES} viewBox="0 0 9 9">{{}}</svg>'
SQUARE = '<rect width="9" height="9" fill="#2b3a8c"/>'


def two_colors(mode: str = "RGB") -> Image.Image:
    image = Image.new("RGB", (60, 40), INDIGO)
    image.paste(COPPER, (0, 0, 20, 40))
    return image.convert(mode)


def found_in(data: bytes) -> list[str]:
    return [color.hex for color in extract_colors(data).colors]


@pytest.mark.parametrize("format_name", ["PNG", "BMP", "TIFF", "GIF"])
def test_lossless_formats_give_exact_values(format_name: str) -> None:
    assert found_in(encoded(two_colors(), format_name)) == ["#2b3a8c", "#b6653a"]


@pytest.mark.parametrize("format_name", ["JPEG", "WEBP", "AVIF"])
def test_lossy_formats_give_both_colors(format_name: str) -> None:
    result = extract_colors(encoded(two_colors().resize((300, 200), 0), format_name, quality=85))
    assert len(result.colors) == 2
    assert not result.exact


def test_a_palette_with_transparency_leaves_the_transparent_out() -> None:
    image = two_colors().quantize(4)
    image.info["transparency"] = image.getpixel((5, 5))
    data = encoded(image, "PNG", transparency=image.getpixel((5, 5)))
    assert found_in(data) == ["#2b3a8c"]


def test_16_bit_grey_is_scaled() -> None:
    image = Image.fromarray(np.full((20, 20), 0x8080, dtype=np.uint16))
    assert found_in(encoded(image, "PNG")) == ["#808080"]


def test_one_pixel_is_enough() -> None:
    assert found_in(encoded(Image.new("RGB", (1, 1), INDIGO), "PNG")) == ["#2b3a8c"]


def test_only_the_first_frame_of_an_animation_counts() -> None:
    second = Image.new("RGB", (60, 40), "#00ff00")
    data = encoded(two_colors(), "GIF", save_all=True, append_images=[second])
    assert "#00ff00" not in found_in(data)


def test_exif_orientation_is_honoured() -> None:
    exif = Image.Exif()
    exif[0x0112] = 6  # turned by 90 degrees
    result = extract_colors(encoded(two_colors(), "JPEG", exif=exif, quality=95))
    assert (result.width, result.height) == (40, 60)


def test_an_embedded_profile_is_honoured() -> None:
    linear_profile = ImageCms.ImageCmsProfile(ImageCms.createProfile("LAB"))
    lab = ImageCms.profileToProfile(
        two_colors(), ImageCms.createProfile("sRGB"), linear_profile, outputMode="LAB"
    )
    assert lab is not None
    data = encoded(lab, "TIFF", icc_profile=linear_profile.tobytes())
    channels = np.array([list(bytes.fromhex(value[1:])) for value in found_in(data)])
    assert np.abs(channels - np.array([INDIGO, COPPER])).max() <= 3  # 8-bit Lab is coarse


def test_cmyk_without_a_profile_is_read() -> None:
    assert len(found_in(encoded(two_colors("CMYK").resize((300, 200), 0), "JPEG", quality=90))) == 2


def test_a_translucent_mark_is_read() -> None:
    image = Image.new("RGBA", (40, 40), (43, 58, 140, 120))
    assert found_in(encoded(image, "PNG")) == ["#2b3a8c"]


def test_gradient_stops_are_given_as_declared() -> None:
    gradient = (
        '<defs><linearGradient id="g"><stop stop-color="#2b3a8c"/><stop offset="1" stop-color="#d7b13c"/>'
        '</linearGradient></defs><rect width="9" height="9" fill="url(#g)"/>'
    )
    assert set(found_in(SVG.format(gradient).encode())) == {"#2b3a8c", "#d7b13c"}


def test_a_preview_is_a_png_written_anew() -> None:
    preview = Image.open(io.BytesIO(render_preview(SVG.format(SQUARE).encode())))
    assert preview.format == "PNG"
    assert max(preview.size) == 1200


def chunk(name: bytes, body: bytes) -> bytes:
    return struct.pack(">I", len(body)) + name + body + struct.pack(">I", zlib.crc32(name + body))


def png_that_claims(width: int, height: int) -> bytes:
    header = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)
    return (
        b"\x89PNG\r\n\x1a\n"
        + chunk(b"IHDR", header)
        + chunk(b"IDAT", zlib.compress(b""))
        + chunk(b"IEND", b"")
    )


def nested_use(depth: int) -> str:
    levels = [f'<g id="a0">{SQUARE}</g>']
    levels += [f'<g id="a{n}">' + f'<use xlink:href="#a{n - 1}"/>' * 10 + "</g>" for n in range(1, depth)]
    return f"<defs>{''.join(levels)}</defs>" + f'<use xlink:href="#a{depth - 1}"/>'


def decode(*_: object, **__: object) -> None:
    raise AssertionError("decoded, before it was known to be fit for that")


# What only the pixels show.
SEEN_IN_PIXELS = ("broken", "broken|not an image", "transparent")
PNG = encoded(two_colors(), "PNG")
ENTITY = '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>' + SVG.format("<text>&x;</text>")
LAUGHS = '<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;">]>' + SVG.format("<text>&b;</text>")


@pytest.mark.parametrize(
    ("data", "error", "says"),
    [
        pytest.param(b"", ImageError, "0 bytes", id="empty"),
        pytest.param(b"hello, world", ImageError, "not an image", id="plain text"),
        pytest.param(b"%PDF-1.7 and so on", ImageError, "not an image", id="another kind of file"),
        pytest.param(PNG[: len(PNG) // 2], ImageError, "broken", id="cut off PNG"),
        pytest.param(encoded(two_colors(), "JPEG")[:300], ImageError, "broken", id="cut off JPEG"),
        pytest.param(PNG[:40] + b"\x00" * 60, ImageError, "broken|not an image", id="zeros in a PNG"),
        pytest.param(b"\0" * (20 * 2**20 + 1), ImageTooLarge, "20 MB", id="over 20 MB"),
        pytest.param(png_that_claims(60000, 60000), ImageTooLarge, "50 million", id="decompression bomb"),
        pytest.param(png_that_claims(8000, 6251), ImageTooLarge, "50 million", id="just over the pixels"),
        pytest.param(png_that_claims(7000, 7000), ImageError, "broken", id="many pixels, no data"),
        pytest.param(
            encoded(Image.new("RGBA", (9, 9)), "PNG"), ImageError, "transparent", id="all transparent"
        ),
        pytest.param(b"<svg", ImageError, "well-formed", id="broken SVG"),
        pytest.param(b'<?xml version="1.0"?><html/>', ImageError, "not an SVG", id="XML that is no SVG"),
        pytest.param(b"\xef\xbb\xbf<svg>\xff\xfe</svg>", ImageError, "well-formed", id="not UTF-8"),
        pytest.param(ENTITY.encode(), ImageError, "entity", id="external entity"),
        pytest.param(LAUGHS.encode(), ImageError, "entity", id="nested entities"),
        pytest.param(SVG.format("<script>1</script>").encode(), ImageError, "script", id="script"),
        pytest.param(SVG.format('<rect onload="x()"/>').encode(), ImageError, "onload", id="event handler"),
        pytest.param(
            SVG.format('<image href="http://h/x.png"/>').encode(), ImageError, "outside", id="remote image"
        ),
        pytest.param(
            SVG.format('<image xlink:href="/etc/passwd"/>').encode(), ImageError, "outside", id="local file"
        ),
        pytest.param(
            SVG.format('<use href="o.svg#a"/>').encode(), ImageError, "outside", id="use of another file"
        ),
        pytest.param(
            SVG.format("<style>rect{fill:url(http://h/p)}</style>").encode(),
            ImageError,
            "outside",
            id="CSS url",
        ),
        pytest.param(
            SVG.format("<style>@import 'x.css';</style>").encode(), ImageError, "import", id="CSS import"
        ),
        pytest.param(SVG.format("<iframe/>").encode(), ImageError, "iframe", id="a frame"),
        pytest.param(SVG.format(nested_use(9)).encode(), ImageTooLarge, "100,000", id="nested use"),
        pytest.param(
            SVG.format("<g>" * 300 + "</g>" * 300).encode(), ImageTooLarge, "200", id="deep nesting"
        ),
        pytest.param(SVG.format(SQUARE * 20001).encode(), ImageTooLarge, "20,000", id="too many elements"),
        pytest.param(SVG.format("").encode(), ImageError, "transparent", id="empty drawing"),
    ],
)
def test_bad_files_are_refused_with_the_reason_and_mostly_before_anything_is_decoded(
    data: bytes, error: type[ImageError], says: str, monkeypatch: pytest.MonkeyPatch
) -> None:
    if says not in SEEN_IN_PIXELS:
        monkeypatch.setattr(ImageFile.ImageFile, "load", decode)
        monkeypatch.setattr(resvg_py, "svg_to_bytes", decode)
    with pytest.raises(error, match=says) as refused:
        extract_colors(data)
    assert refused.value.field == "file"


def test_a_drawing_that_uses_itself_ends() -> None:
    endless = SVG.format(f'<g id="a">{SQUARE}<use xlink:href="#a"/></g>')
    assert found_in(endless.encode()) == ["#2b3a8c"]


def test_a_value_of_megabytes_costs_no_more_than_as_many_short_comments() -> None:
    """Expat 2.5 took 50 times as long for it, and the square of that for one of five times the size."""
    long = SVG.format(f'<rect width="9" height="9" data-x="{"x" * 4_000_000}"/>').encode()
    short = SVG.format(f"<!--{'x' * 993}-->" * 4_000 + '<rect width="9" height="9"/>').encode()

    def seconds(content: bytes) -> float:
        started = time.process_time()
        parse_svg(content)
        return time.process_time() - started

    assert min(seconds(long) for _ in range(3)) < 15 * min(seconds(short) for _ in range(3))
