"""Tonada's own files: a take opened from one, and a whole brand as an archive, out and in again."""

from __future__ import annotations

from threading import Lock
from uuid import UUID

import werkzeug.datastructures
from flask import Response, current_app
from flask_openapi3.models.file import FileStorage
from pydantic import ConfigDict, Field, ValidationError

from tonada.brand_archive.packing import ENDING, is_archive, pack, unpack
from tonada.brand_archive.receiving import take_in
from tonada.brand_archive.sending import archive_of
from tonada.core.errors import InputError
from tonada.core.formats.naming import words_of
from tonada.core.limits import MAX_NAME_LENGTH
from tonada.core.proof.typefaces import OWN, family_of
from tonada.core.take.take import Take
from tonada.document.own_file import OwnFile, named_sources, read_own, with_sources
from tonada.document.parts import Described, Model
from tonada.document.take import TakeDocument
from tonada.frozen.page_set import page_set_in
from tonada.intake.bounded import FONT, run_bounded
from tonada.store import archives, brands, fonts, sources, takes
from tonada.store.database import Connection
from tonada.store.fonts import FontContent
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.handoff.handed import attached
from tonada.web.security import ARCHIVES_PER_MINUTE, UPLOADS_PER_MINUTE, limiter
from tonada.web.sources.models import SourceAnswer
from tonada.web.takes.models import BrandAnswer, TakeSummary

api = blueprint("brand_files")

# A brand that a file doesn't name.
NAMELESS = "Opened brand"
_ONE_AT_A_TIME = Lock()


class FileForm(Described):
    model_config = ConfigDict(arbitrary_types_allowed=True)

    file: FileStorage = Field(description="A take’s file, .tonada.json, or a brand’s archive, .tonada.zip")


class OpenedAnswer(Model):
    """What a file became. missing: what the take was read from or shows, and isn't here, by name."""

    brand: BrandAnswer
    take: TakeSummary
    missing: tuple[str, ...]


@api.post(
    "/brands/<uuid:brand_id>/takes/files",
    responses={201: OpenedAnswer},
    summary="A new take of a brand, from Tonada’s own file",
)
@limiter.limit(UPLOADS_PER_MINUTE)
def open_take(path: BrandPath, form: FileForm) -> Response:
    data = _content(form)
    if is_archive(data):
        raise InputError("This is a whole brand. Open it on the page of brands.", field="file")
    own = read_own(data)
    with workspace_connection() as (connection, workspace):
        found = _opened(connection, workspace, path.brand_id, own)
    return answer(found, 201)


@api.post(
    "/brands/files",
    responses={201: OpenedAnswer},
    summary="A new brand from Tonada’s own file of a take, or from an archive of a brand",
)
@limiter.limit(ARCHIVES_PER_MINUTE)
def open_brand(form: FileForm) -> Response:
    data = _content(form)
    if is_archive(data):
        return answer(_unpacked(data), 201)
    own = read_own(data)
    with workspace_connection() as (connection, workspace):
        brand = brands.create(connection, workspace, own.brand or NAMELESS)
        found = _opened(connection, workspace, brand.id, own)
    return answer(found, 201)


@api.get("/brands/<uuid:brand_id>/file", summary="A whole brand as one file, to be kept or opened elsewhere")
@limiter.limit(ARCHIVES_PER_MINUTE)
def download_brand(path: BrandPath) -> Response:
    with workspace_connection() as (connection, workspace):
        packed = archive_of(connection, workspace, path.brand_id)
    name = "-".join(words_of(packed.archive.name))
    return attached(pack(packed), f"{name}{ENDING}", "application/zip")


def _content(form: FileForm) -> bytes:
    if not isinstance(form.file, werkzeug.datastructures.FileStorage):
        raise InputError("The form’s field “file” holds no file.", field="file")
    return form.file.stream.read()


def _opened(connection: Connection, workspace: UUID, brand_id: UUID, own: OwnFile) -> OpenedAnswer:
    """Make the take of a file; what it was read from is found among the brand's sources."""
    brand = brands.find(connection, workspace, brand_id)
    here, missing = _sources_here(connection, workspace, brand_id, own)
    missing += _fonts_missing(connection, workspace, brand_id, own.take)
    document = TakeDocument.of(with_sources(own.take, here)).model_dump(mode="json")
    taken = {take.name for take in takes.list_of_brand(connection, workspace, brand_id)}
    row = takes.create(connection, workspace, brand_id, document, _own_name(own.name, taken) or None)
    return OpenedAnswer(
        brand=BrandAnswer(id=brand.id, name=brand.name, first_take=brand.first_take or row.id),
        take=TakeSummary(id=row.id, name=row.name, revision=row.revision),
        missing=missing,
    )


def _sources_here(
    connection: Connection, workspace: UUID, brand: UUID, own: OwnFile
) -> tuple[dict[str, str], tuple[str, ...]]:
    """Return the brand's sources by the ids that the file has for them, and the names of those it hasn't.

    A source of the brand keeps its id, which is all that a mood or a file of an earlier release has to go
    by; a picture may be here under another id, with the same bytes.
    """
    listed = {picture.source: picture for picture in own.pictures}
    ids = {str(source.id) for source in sources.list_of_brand(connection, workspace, brand)}
    digests = {source.digest: str(source.id) for source in archives.digests_of(connection, workspace, brand)}
    found, missing = {}, []
    for source, what in named_sources(own.take).items():
        picture = listed.get(source)
        if source in ids:
            found[source] = source
        elif picture and picture.digest in digests:
            found[source] = digests[picture.digest]
        else:
            missing.append(picture.name if picture else what)
    # What a file lists and its take doesn't name is said, too: it was written by somebody else's hand.
    for picture in own.pictures:
        if picture.source not in found and picture.digest not in digests:
            missing.append(picture.name)
    return found, tuple(dict.fromkeys(missing))


def _fonts_missing(connection: Connection, workspace: UUID, brand: UUID, take: Take) -> tuple[str, ...]:
    """Return the fonts that a take is set in and the brand hasn't; the trade's stand in for them."""
    wanted = dict.fromkeys(name for name in (take.proof.heading_face, take.proof.text_face) if name)
    there = {font.family for font in fonts.list_of_brand(connection, workspace, brand)}
    own = [family_of(name) for name in wanted if name.startswith(OWN)]
    return tuple(f"the font {family}" for family in own if family not in there)


def _own_name(name: str, taken: set[str]) -> str:
    """Return a name that no other take has: “Take 1 (2)” beside a “Take 1”."""
    found, number = name, 2
    while found in taken:
        ending = f" ({number})"
        found, number = name[: MAX_NAME_LENGTH - len(ending)] + ending, number + 1
    return found


def _unpacked(data: bytes) -> OpenedAnswer:
    # It may take some hundred megabytes while it is unpacked: one at a time in each process.
    with _ONE_AT_A_TIME:
        return _taken_in(data)


def _taken_in(data: bytes) -> OpenedAnswer:
    packed = unpack(data)
    page_set = page_set_in(current_app.extensions["tonada.settings"].frontend)
    # Before there is a transaction that would have to wait for it.
    read = {font.digest: _font(font.name, packed.files[font.digest]) for font in packed.archive.fonts}
    with workspace_connection() as (connection, workspace):
        brand = take_in(connection, workspace, packed, page_set, _drawn, read)
        _check_sources(connection, workspace, brand.id)
        first = takes.list_of_brand(connection, workspace, brand.id)[0]
    return OpenedAnswer(
        brand=BrandAnswer.of(brand),
        take=TakeSummary(id=first.id, name=first.name, revision=first.revision),
        missing=(),
    )


def _drawn(content: bytes) -> bytes:
    return run_bounded("preview", {}, [content]).parts[0]


def _font(name: str, content: bytes) -> FontContent:
    read = run_bounded("font", {"name": name}, [content], budget=FONT)
    return FontContent(**read.result, content=read.parts[0])


def _check_sources(connection: Connection, workspace: UUID, brand: UUID) -> None:
    """Raise InputError where what a source was read as can't be shown; nothing is kept then."""
    for row in sources.list_of_brand(connection, workspace, brand):
        try:
            SourceAnswer.of(row)
        except (ValidationError, KeyError, TypeError, ValueError, AttributeError) as reason:
            raise InputError(
                f"The archive’s source “{row.name[:60]}” is broken. Nothing was taken in.", field="sources"
            ) from reason
