"""The archive as a file: a ZIP with `brand.json`, and `files/<SHA-256>` for the bytes of the sources.

A file from outside is refused whole, with the reason, before anything of it is used. Sizes are those that
the archive's list says; no more than that is ever unpacked (Python's zipfile stops there).
"""

from __future__ import annotations

import hashlib
import io
import json
import re
import zipfile
import zlib
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final

from pydantic import ValidationError

from tonada.brand_archive.contents import MARK, READABLE, VERSION, BrandArchive, check_record
from tonada.core.errors import InputError
from tonada.core.limits import (
    MAX_ARCHIVE_BYTES,
    MAX_ARCHIVE_FILES,
    MAX_ARCHIVE_PARTS,
    MAX_ARCHIVE_RECORD_BYTES,
    MAX_ARCHIVE_UNPACKED_BYTES,
    MAX_FILE_BYTES,
)
from tonada.document.wrong_fields import first_wrong
from tonada.files.file_format import zipped

RECORD: Final = "brand.json"
FOLDER: Final = "files/"
ENDING: Final = ".tonada.zip"
_NAME: Final = re.compile(rf"{FOLDER}[0-9a-f]{{64}}")
_ZIP: Final = b"PK\x03\x04"
_MEGABYTE: Final = 1024 * 1024
_ENCRYPTED: Final = 0x1
# What zipfile and zlib raise for files that are none.
_BROKEN: Final = (
    zipfile.BadZipFile, zlib.error, EOFError, NotImplementedError, RuntimeError, ValueError, OSError,
)  # fmt: skip
# What zlib makes of a megabyte of nothing is a thousandth of it; no picture or text is like that.
MOST_TIMES: Final = 200


@dataclass(frozen=True, slots=True)
class Packed:
    """An archive, and the bytes of its files by their digests in hex."""

    archive: BrandArchive
    files: Mapping[str, bytes]


def is_archive(data: bytes) -> bool:
    """Return whether bytes begin as a ZIP does."""
    return data.startswith(_ZIP)


def pack(packed: Packed) -> bytes:
    """Return the file: the same brand gives the same bytes. Raises InputError where it would be too large."""
    record = packed.archive.model_dump(mode="json")
    text = json.dumps(record, ensure_ascii=False, indent=1).encode()
    files = {f"{FOLDER}{digest}": content for digest, content in sorted(packed.files.items())}
    whole = len(text) + sum(map(len, files.values()))
    if len(text) > MAX_ARCHIVE_RECORD_BYTES or text.count(b"{") + text.count(b"[") > MAX_ARCHIVE_PARTS:
        raise InputError(
            "This brand has more takes, versions and reviews than an archive holds "
            f"({MAX_ARCHIVE_RECORD_BYTES // _MEGABYTE} MB of them).",
            field="brand",
        )
    if whole > MAX_ARCHIVE_UNPACKED_BYTES:
        _refuse_size(whole)
    made = zipped({RECORD: text, **files})
    if len(made) > MAX_ARCHIVE_BYTES:
        _refuse_size(len(made))
    return made


def _refuse_size(size: int) -> None:
    raise InputError(
        f"This brand would be {-(-size // _MEGABYTE)} MB, and an archive holds "
        f"{MAX_ARCHIVE_BYTES // _MEGABYTE}. Remove its largest sources first; they can be brought back.",
        field="brand",
    )


def unpack(data: bytes) -> Packed:
    """Return what an archive holds. Raises InputError, naming what is wrong with a broken or hostile one."""
    if len(data) > MAX_ARCHIVE_BYTES:
        _wrong(f"It has more than {MAX_ARCHIVE_BYTES // _MEGABYTE} MB")
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as archive:
            entries = archive.infolist()
            _check(entries)
            contents = {entry.filename: archive.read(entry) for entry in entries}
    except _BROKEN as reason:
        said = "The archive is broken: it can’t be unpacked. Nothing was taken in."
        raise InputError(said, field="file") from reason
    record = contents.pop(RECORD)
    files = {name.removeprefix(FOLDER): content for name, content in contents.items()}
    for digest, content in files.items():
        if hashlib.sha256(content).hexdigest() != digest:
            _wrong(f"The file {digest[:12]}… isn’t what its digest says")
    read = _read_record(record)
    _check_files(read, files)
    check_record(read)
    return Packed(read, files)


def _check(entries: list[zipfile.ZipInfo]) -> None:
    names = [entry.filename for entry in entries]
    if len(entries) > MAX_ARCHIVE_FILES + 1:
        _wrong(f"It has more than {MAX_ARCHIVE_FILES} files")
    if len(set(names)) != len(names):
        _wrong("It has a file twice")
    if RECORD not in names:
        _wrong(f"It has no {RECORD}, so it is no archive of a brand")
    stranger = next((name for name in names if name != RECORD and not _NAME.fullmatch(name)), None)
    if stranger is not None:
        _wrong(f"It has a file that doesn’t belong there, “{stranger[:60]}”")
    for entry in entries:
        most = MAX_ARCHIVE_RECORD_BYTES if entry.filename == RECORD else MAX_FILE_BYTES
        if entry.flag_bits & _ENCRYPTED:
            _wrong("It is encrypted")
        if entry.compress_type not in (zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED):
            _wrong("It is packed in a way that isn’t read here")
        if entry.file_size > most:
            _wrong(f"{entry.filename[:20]}… would have more than {most // _MEGABYTE} MB")
        if entry.filename != RECORD and entry.file_size > MOST_TIMES * max(entry.compress_size, 1024):
            _wrong(f"{entry.filename[:20]}… would grow to {MOST_TIMES} times its size")
    if sum(entry.file_size for entry in entries) > MAX_ARCHIVE_UNPACKED_BYTES:
        _wrong(f"Unpacked it would have more than {MAX_ARCHIVE_UNPACKED_BYTES // _MEGABYTE} MB")


def _read_record(text: bytes) -> BrandArchive:
    # Counted before it is read: each object and list takes some hundred bytes, however short it is written.
    if text.count(b"{") + text.count(b"[") > MAX_ARCHIVE_PARTS:
        _wrong(f"Its {RECORD} has more than {MAX_ARCHIVE_PARTS:,} parts")
    try:
        root = json.loads(text)
    except (ValueError, RecursionError) as reason:
        raise InputError(
            f"The archive’s {RECORD} isn’t JSON. Nothing was taken in.", field="file"
        ) from reason
    if not isinstance(root, dict) or root.get("format") != MARK:
        _wrong(f"Its {RECORD} is no record of a brand")
    if root.get("version") not in READABLE:
        _wrong(f"It is of version {str(root.get('version'))[:20]}; this Tonada reads 1 to {VERSION}")
    try:
        return BrandArchive.model_validate_json(text)
    except ValidationError as reason:
        path, said = first_wrong(reason, "archive")
        raise InputError(f"In the archive, {said} Nothing was taken in.", field=path or "file") from reason


def _check_files(archive: BrandArchive, files: Mapping[str, bytes]) -> None:
    wanted = {file.digest: file.name for source in archive.sources for file in source.files}
    wanted |= {font.digest: font.name for font in archive.fonts}
    missing = next((name for digest, name in wanted.items() if digest not in files), None)
    if missing is not None:
        _wrong(f"The file of “{missing[:60]}” isn’t in it")
    if set(files) - set(wanted):
        _wrong("It has a file that nothing in it names")


def _wrong(what: str) -> None:
    raise InputError(f"The archive can’t be taken in. {what}. Nothing was changed.", field="file")
