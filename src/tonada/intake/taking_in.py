"""What an uploaded file, or several, becomes: an image, a list of colours, or a stylesheet."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any, Final, Literal, TypeAlias

from tonada.core.errors import InputError
from tonada.core.formats import read_list
from tonada.core.formats.detect import decode_text
from tonada.core.formats.endings import STYLE_ENDINGS
from tonada.core.formats.registry import LIST_ENDINGS
from tonada.core.limits import MAX_STYLESHEET_BYTES, MAX_STYLESHEET_FILES
from tonada.core.source.pictures import extract_colors, measure_image, render_preview
from tonada.core.source.stylesheets import StyleFile, is_more_than_a_list, read_stylesheets
from tonada.core.source.stylesheets.markup import looks_like_html
from tonada.intake.results import image_to_json, list_to_json, stylesheet_to_json

Wanted: TypeAlias = Literal["image", "list", "stylesheet"]
# More pixels than this take longer than a request should; a JPEG is decoded at a fraction of its size.
LONG_PIXELS: Final = 2_500_000
LONG_JPEG_PIXELS: Final = 16_000_000
LONG_STYLESHEET_BYTES: Final = 1_000_000


@dataclass(frozen=True, slots=True)
class Upload:
    """A file as it came: its plain name and its bytes."""

    name: str
    content: bytes


@dataclass(frozen=True, slots=True)
class Intake:
    """What is to be kept. preview: of an image, the picture to show.

    is_reading: it is long to read, and extraction is empty for now.
    """

    kind: Wanted
    name: str
    extraction: dict[str, Any]
    preview: bytes | None = None
    is_reading: bool = False


def take_in(uploads: tuple[Upload, ...], wanted: Wanted | None = None) -> Intake:
    """Return what the files become; `wanted` overrules what they look like.

    Raises InputError or ImageError, naming what was wrong.
    """
    if not uploads:
        raise InputError("The form’s field “file” holds no file.", field="file")
    kind = wanted or _kind_of(uploads[0])
    if kind == "stylesheet":
        return _stylesheet(uploads)
    if len(uploads) > 1:
        raise InputError("Add images and lists one at a time; only stylesheets go together.", field="file")
    return _image(uploads[0]) if kind == "image" else _list(uploads[0])


def is_bitmap(uploads: tuple[Upload, ...], wanted: Wanted | None) -> bool:
    """Return whether this is one picture of pixels, by its head: drawings, lists and stylesheets aren't."""
    kind = wanted or _kind_of(uploads[0])
    return kind == "image" and len(uploads) == 1 and measure_image(uploads[0].content)[0] != "SVG"


def is_long(format_name: str, width: int, height: int) -> bool:
    """Return whether a picture is read in the background."""
    return width * height > (LONG_JPEG_PIXELS if format_name == "JPEG" else LONG_PIXELS)


def _kind_of(upload: Upload) -> Wanted:
    """Tell what a file is by its name's ending, and of CSS whether it is more than a list of properties."""
    name = upload.name.lower()
    if name.endswith(STYLE_ENDINGS) and len(upload.content) > LONG_STYLESHEET_BYTES:
        return "stylesheet"
    if name.endswith(STYLE_ENDINGS):
        return "stylesheet" if _has_rules(upload) else "list"
    if name.endswith(LIST_ENDINGS):
        return "list"
    return "image"


def _has_rules(upload: Upload) -> bool:
    _check_style_size((upload,))
    text = decode_text(upload.content)
    return looks_like_html(text) or is_more_than_a_list(text)


def _image(upload: Upload) -> Intake:
    if is_long(*measure_image(upload.content)):
        return Intake("image", upload.name, {}, is_reading=True)
    extraction = extract_colors(upload.content)
    return Intake("image", upload.name, image_to_json(extraction), render_preview(upload.content))


def _list(upload: Upload) -> Intake:
    found = read_list(upload.content, upload.name)
    return Intake("list", upload.name, list_to_json(found))


def _stylesheet(uploads: tuple[Upload, ...]) -> Intake:
    if len(uploads) > MAX_STYLESHEET_FILES:
        raise InputError(f"At most {MAX_STYLESHEET_FILES} files go together.", field="file")
    _check_style_size(uploads)
    names = tuple(upload.name for upload in uploads)
    name = names[0] if len(names) == 1 else f"{names[0]} and {len(names) - 1} more"
    if sum(len(upload.content) for upload in uploads) > LONG_STYLESHEET_BYTES:
        return Intake("stylesheet", name, {}, is_reading=True)
    return Intake(
        "stylesheet",
        name,
        read_styles([(upload.name, upload.content) for upload in uploads]),
    )


def _check_style_size(uploads: tuple[Upload, ...]) -> None:
    if sum(len(upload.content) for upload in uploads) > MAX_STYLESHEET_BYTES:
        raise InputError(
            f"Stylesheets and pages may have {MAX_STYLESHEET_BYTES // 2**20} MB together.", field="file"
        )


def read_styles(files: list[tuple[str, bytes]], difference: float | None = None) -> dict[str, Any]:
    """Return what a source keeps of stylesheets. Raises InputError where no colour is used."""
    reading = read_stylesheets(StyleFile(name, decode_text(content)) for name, content in files)
    if not reading.uses:
        raise InputError("No rule in it uses a colour.", field="file")
    return stylesheet_to_json(reading, tuple(name for name, _ in files), difference)
