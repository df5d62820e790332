"""Bytes of a bitmap to a Picture: limits before decoding, orientation and profiles honoured."""

from __future__ import annotations

import io
from typing import Any, Final, cast

import numpy as np
from PIL import ExifTags, Image, ImageCms, UnidentifiedImageError

from tonada.core.errors import ImageError, ImageTooLarge
from tonada.core.limits import MAX_FILE_BYTES, MAX_JPEG_SCANS, MAX_PIXELS, MAX_PNG_CHUNKS
from tonada.core.source.pictures.picture import Bytes8, ImageFormat, Picture

FORMATS: Final = ("PNG", "JPEG", "WEBP", "GIF", "AVIF", "BMP", "TIFF")
READABLE: Final = "SVG, PNG, JPEG, WebP, GIF, AVIF, BMP or TIFF"
# More pixels than this don't tell more about which colours there are.
WORKING_PIXELS: Final = 1_200_000
LOSSY_PIXELS: Final = 640_000
_LOSSY: Final = ("JPEG", "WEBP", "AVIF")
# What Pillow raises for files that are broken or not what their first bytes say.
_BROKEN: Final = (OSError, SyntaxError, ValueError, IndexError, KeyError, TypeError, OverflowError, EOFError)

# What undoes each orientation. Source: Exif 2.32, tag 0x0112.
_TURNS: Final = {
    2: Image.Transpose.FLIP_LEFT_RIGHT,
    3: Image.Transpose.ROTATE_180,
    4: Image.Transpose.FLIP_TOP_BOTTOM,
    5: Image.Transpose.TRANSPOSE,
    6: Image.Transpose.ROTATE_270,
    7: Image.Transpose.TRANSVERSE,
    8: Image.Transpose.ROTATE_90,
}
_TURNS_THAT_SWAP: Final = tuple(_TURNS[orientation] for orientation in (5, 6, 7, 8))

# Our own limit is checked as soon as the header is read, which is before anything is decoded.
Image.MAX_IMAGE_PIXELS = None


def decode_bitmap(data: bytes, *, working_pixels: int | None = None) -> Picture:
    """Return the picture, reduced to about `working_pixels`, by default as many as reading takes.

    Reduced by leaving pixels out (lossless formats, so that no new colours appear) or by the
    JPEG decoder itself. Raises ImageError, or ImageTooLarge before decoding.
    """
    image = _open(data)
    try:
        return _decode(image, working_pixels)
    except _BROKEN as reason:
        raise ImageError(_broken_message()) from reason


def _open(data: bytes) -> Image.Image:
    _check_parts(data)
    try:
        image: Image.Image = Image.open(io.BytesIO(data), formats=FORMATS)
    except UnidentifiedImageError as reason:
        raise ImageError(f"This is not an image that can be read. Use {READABLE}.") from reason
    except _BROKEN as reason:
        raise ImageError(_broken_message()) from reason
    width, height = image.size
    if width * height > MAX_PIXELS:
        raise ImageTooLarge(
            f"The image has {width} × {height} = {width * height / 1e6:.0f} million pixels; "
            f"at most {MAX_PIXELS // 1_000_000} million are allowed. Save it smaller."
        )
    return image


def _check_parts(data: bytes) -> None:
    """Refuse a file cut into senselessly many parts; each costs time before a pixel is there."""
    if data.startswith(b"\x89PNG\r\n\x1a\n"):
        place, chunks = 8, 0
        while place + 8 <= len(data) and chunks <= MAX_PNG_CHUNKS:
            place += 12 + int.from_bytes(data[place : place + 4], "big")
            chunks += 1
        if chunks > MAX_PNG_CHUNKS:
            raise ImageTooLarge(f"The PNG has more than {MAX_PNG_CHUNKS:,} chunks, which is the limit.")
    elif data.startswith(b"\xff\xd8") and data.count(b"\xff\xda") > MAX_JPEG_SCANS:
        raise ImageTooLarge(f"The JPEG has more than {MAX_JPEG_SCANS} scans, which is the limit.")


def measure_bitmap(data: bytes) -> tuple[ImageFormat, int, int]:
    """Return format, width and height from the header alone. Raises as decode_bitmap."""
    image = _open(data)
    return cast(ImageFormat, image.format), image.width, image.height


def check_file_size(data: bytes) -> None:
    """Raise ImageError for an empty file and ImageTooLarge for one over the limit."""
    if not data:
        raise ImageError("The file is empty (0 bytes).")
    if len(data) > MAX_FILE_BYTES:
        raise ImageTooLarge(
            f"The file is {len(data) / 2**20:.1f} MB; the limit is {MAX_FILE_BYTES // 2**20} MB."
        )


def _broken_message() -> str:
    return f"The image is broken or cut off and can't be read. Save it again as {READABLE}."


def _decode(image: Image.Image, wanted_pixels: int | None) -> Picture:
    format_name = cast(ImageFormat, image.format)
    width, height = image.size
    profile = image.info.get("icc_profile")
    # Behind noise a colour is read from areas, so that fewer pixels tell as much.
    working_pixels = wanted_pixels or (LOSSY_PIXELS if format_name in _LOSSY else WORKING_PIXELS)
    if format_name == "JPEG":
        _reduce_jpeg(image, working_pixels)
    image.load()
    # Thinned before it is turned: turning copies, and fifty megapixels would be held twice.
    small = _thinned(image, working_pixels)
    turn = _TURNS.get(image.getexif().get(ExifTags.Base.Orientation, 1))
    if turn is not None:
        small = small.transpose(turn)
    if turn in _TURNS_THAT_SWAP:
        width, height = height, width
    ycc = np.asarray(small) if small.mode == "YCbCr" else None
    small = _to_eight_bits(small)
    alpha = _alpha(small)
    rgb = _to_srgb(small, profile)
    return Picture(
        format=format_name,
        rgb=rgb,
        alpha=alpha,
        ycc=ycc,
        profile=profile if _needs_profile(profile, "RGB") else None,
        lossy=format_name in _LOSSY,
        declared=(),
        width=width,
        height=height,
    )


def _reduce_jpeg(image: Image.Image, working_pixels: int) -> None:
    """Let the decoder leave out what isn't needed, and keep the YCbCr that the file stores."""
    scale = max(1.0, (image.width * image.height / working_pixels) ** 0.5)
    # The decoder takes the next larger of its sizes (1/1, 1/2, 1/4, 1/8), so ask for a little less.
    size = (int(image.width / scale / 1.2), int(image.height / scale / 1.2))
    image.draft("YCbCr" if image.mode == "RGB" else None, size if scale > 1.5 else None)


def _thinned(image: Image.Image, working_pixels: int) -> Image.Image:
    """Leave out rows and columns evenly; a resampling filter would make new colours."""
    pixels = image.width * image.height
    if pixels <= working_pixels * 1.5:
        return image
    scale = (working_pixels / pixels) ** 0.5
    size = (max(1, round(image.width * scale)), max(1, round(image.height * scale)))
    return image.resize(size, Image.Resampling.NEAREST)


def _to_eight_bits(image: Image.Image) -> Image.Image:
    """Bring palettes, greys and 16-bit samples to one of L, LA, RGB, RGBA, CMYK, LAB or YCbCr."""
    if image.mode.startswith("I;16") or image.mode in ("I", "F"):
        samples = np.asarray(image, dtype=np.float64)
        largest = 65535.0 if image.mode != "F" else max(float(np.nanmax(samples)), 1e-9)
        grey = np.nan_to_num(np.clip(samples / largest, 0, 1)) * 255
        return Image.fromarray(np.floor(grey + 0.5).astype(np.uint8))
    if image.mode in ("L", "RGB", "CMYK", "LAB", "YCbCr"):
        return image.convert("RGBA") if "transparency" in image.info else image
    return image.convert("RGBA")


def _alpha(image: Image.Image) -> Bytes8 | None:
    if image.mode not in ("LA", "RGBA"):
        return None
    alpha = np.asarray(image.getchannel("A"))
    return None if alpha.size and alpha.min() == 255 else alpha


def _needs_profile(profile: Any, mode: str) -> bool:
    """Return whether the profile changes anything: one that is sRGB would only add rounding."""
    if not isinstance(profile, bytes):
        return False
    try:
        opened = ImageCms.ImageCmsProfile(io.BytesIO(profile))
        description = ImageCms.getProfileDescription(opened)
    except (ImageCms.PyCMSError, OSError):
        return False
    return mode == "CMYK" or "srgb" not in description.lower()


def _to_srgb(image: Image.Image, profile: Any) -> Bytes8:
    target = image if image.mode in ("RGB", "CMYK", "LAB") else image.convert("RGB")
    if _needs_profile(profile, target.mode):
        return through_profile(target, profile)
    return np.asarray(target if target.mode == "RGB" else target.convert("RGB"))


def through_profile(image: Image.Image, profile: bytes) -> Bytes8:
    """Return sRGB, shape (height, width, 3), of an image whose numbers mean what `profile` says.

    Relative colorimetric with black point compensation, as browsers do. A profile that doesn't
    fit the image is passed over.
    """
    try:
        converted = ImageCms.profileToProfile(
            image,
            ImageCms.ImageCmsProfile(io.BytesIO(profile)),
            ImageCms.createProfile("sRGB"),
            renderingIntent=ImageCms.Intent.RELATIVE_COLORIMETRIC,
            outputMode="RGB",
            flags=ImageCms.Flags.BLACKPOINTCOMPENSATION,
        )
    except (ImageCms.PyCMSError, OSError, ValueError):
        converted = None
    return np.asarray(converted if converted is not None else image.convert("RGB"))
