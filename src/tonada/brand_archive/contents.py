"""What an archive of a brand says, as JSON; the files of its sources stand beside, under their digests.

Links and passphrases aren't in it: of a link there is only who it was for. Nothing in it is ever run, or
shown as it is: what a client saw is drawn anew from the versions, whose documents the record names.

Lists end at their first error: of a million wrong entries each would be told, in gigabytes.
"""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Any, Final, Literal

from pydantic import AfterValidator, AwareDatetime, FailFast, Field, StringConstraints, model_validator

from tonada.core import limits
from tonada.core.errors import InputError, TonadaError
from tonada.core.source.kept import SourceKind
from tonada.core.wording.happenings import KINDS
from tonada.document.parts import Line, Model, Name
from tonada.document.proof import VoiceText
from tonada.document.review import About, FileDigest, RemarkText, Width, document_digest
from tonada.document.take import TakeDocument

MARK: Final = "tonada brand"
# Of version 2: a review names the trade of its pages. Of version 3: fonts.
VERSION: Final = 3
READABLE: Final = (1, 2, 3)
Id = Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$")]
FileName = Annotated[str, StringConstraints(min_length=1, max_length=200), Line]
Short = Annotated[str, StringConstraints(max_length=200), Line]
Moment = AwareDatetime
Number = Annotated[int, Field(ge=1, le=1_000_000)]


def _is_take(document: dict[str, Any]) -> dict[str, Any]:
    """Let a document through as it is: its digest is that of what was kept, not of how it is read today."""
    try:
        TakeDocument.model_validate(document).to_take()
    except TonadaError as reason:
        raise ValueError(str(reason)) from reason
    return document


Document = Annotated[dict[str, Any], AfterValidator(_is_take)]
Place = Annotated[int, Field(ge=0, lt=limits.MAX_REVIEW_TAKES)]


class ArchivedFile(Model):
    """A file of a source; its bytes are in the archive as `files/<digest>`."""

    name: FileName
    digest: FileDigest


class ArchivedSource(Model):
    """A source as it was read. settings, extraction, picked: as `intake.results` writes them."""

    id: Id
    name: FileName
    kind: SourceKind
    settings: dict[str, Any]
    extraction: dict[str, Any]
    picked: Annotated[list[dict[str, Any]], Field(max_length=limits.MAX_PICKED_COLORS), FailFast()]
    created_at: Moment
    files: Annotated[tuple[ArchivedFile, ...], Field(max_length=limits.MAX_STYLESHEET_FILES), FailFast()]


class ArchivedFont(Model):
    """A font of the brand's own. name: of the file that was added; its bytes are `files/<digest>`."""

    name: FileName
    digest: FileDigest


class ArchivedVersion(Model):
    number: Number
    description: Short
    is_automatic: bool
    document: Document
    created_at: Moment


class ArchivedHandoff(Model):
    version: Number
    what: Annotated[str, StringConstraints(min_length=1, max_length=40), Line]
    created_at: Moment


class ArchivedTake(Model):
    """A take with all its versions. removed_at: of one that was deleted, and can be brought back."""

    id: Id
    name: Name
    document: Document
    saved_at: Moment
    removed_at: Moment | None
    versions: Annotated[
        tuple[ArchivedVersion, ...], Field(max_length=limits.MAX_ARCHIVED_VERSIONS), FailFast()
    ]
    handoffs: Annotated[
        tuple[ArchivedHandoff, ...], Field(max_length=limits.MAX_ARCHIVED_VERSIONS), FailFast()
    ]


class ArchivedReader(Model):
    """Whom a link was for, and whether it was opened. The link itself doesn't travel."""

    name: Annotated[str, StringConstraints(max_length=80), Line]
    created_at: Moment
    first_opened_at: Moment | None
    last_opened_at: Moment | None
    opened: Annotated[int, Field(ge=0)]


class ShownTake(Model):
    """A version that a review shows. name: as the client knows it. digest: of the version's document."""

    name: Name
    take: Id
    version: Number
    digest: FileDigest


Reader = Annotated[int, Field(ge=0, lt=limits.MAX_ARCHIVED_READERS)]


class ArchivedRemark(Model):
    """reader: the place of whoever wrote it among the readers, None for the designer. answers: likewise."""

    reader: Reader | None
    answers: Annotated[int, Field(ge=0, lt=limits.MAX_REMARKS)] | None
    about: About
    author: Annotated[str, StringConstraints(min_length=1, max_length=80), Line]
    text: RemarkText
    outside_key: Annotated[str, StringConstraints(max_length=80)] | None
    created_at: Moment
    edited_at: Moment | None
    taken_back_at: Moment | None
    resolved_at: Moment | None


class ArchivedEvent(Model):
    reader: Reader | None
    kind: Annotated[str, StringConstraints(max_length=30)]
    who: Annotated[str, StringConstraints(max_length=80), Line]
    detail: dict[str, Any]
    outside_key: Annotated[str, StringConstraints(max_length=80)] | None
    at: Moment


class ArchivedApproval(Model):
    reader: Reader | None
    place: Place
    name: Annotated[str, StringConstraints(min_length=1, max_length=80), Line]
    at: Moment
    reopened_at: Moment | None


class ArchivedReview(Model):
    """A review with its record. brand, studio: as the client saw them.

    voice: of the takes that have none of their own.
    """

    brand: Name
    studio: Annotated[str, StringConstraints(max_length=80), Line]
    voice: VoiceText | None = None
    greeting: Annotated[str, StringConstraints(max_length=limits.MAX_GREETING_LENGTH)]
    may_comment: bool
    may_choose: bool
    may_approve: bool
    pages: Annotated[
        tuple[Annotated[str, StringConstraints(max_length=40)], ...], Field(max_length=40), FailFast()
    ]
    widths: Annotated[tuple[Width, ...], Field(max_length=2), FailFast()]
    takes: Annotated[
        tuple[ShownTake, ...], Field(min_length=1, max_length=limits.MAX_REVIEW_TAKES), FailFast()
    ]
    created_at: Moment
    withdrawn_at: Moment | None
    readers: Annotated[tuple[ArchivedReader, ...], Field(max_length=limits.MAX_ARCHIVED_READERS), FailFast()]
    remarks: Annotated[tuple[ArchivedRemark, ...], Field(max_length=limits.MAX_REMARKS), FailFast()]
    events: Annotated[tuple[ArchivedEvent, ...], Field(max_length=limits.MAX_ARCHIVED_EVENTS), FailFast()]
    approvals: Annotated[tuple[ArchivedApproval, ...], Field(max_length=100), FailFast()]


class BrandArchive(Model):
    """A brand. format, version: of the archive; it grows when something in it is shaped otherwise."""

    format: Literal["tonada brand"] = MARK
    version: Literal[1, 2, 3] = VERSION
    name: Name
    sources: Annotated[tuple[ArchivedSource, ...], Field(max_length=limits.MAX_ARCHIVED_SOURCES), FailFast()]
    fonts: Annotated[tuple[ArchivedFont, ...], Field(max_length=limits.MAX_FONTS), FailFast()] = ()
    takes: Annotated[
        tuple[ArchivedTake, ...], Field(min_length=1, max_length=limits.MAX_ARCHIVED_TAKES), FailFast()
    ]
    reviews: Annotated[tuple[ArchivedReview, ...], Field(max_length=limits.MAX_ARCHIVED_REVIEWS), FailFast()]

    @model_validator(mode="after")
    def _once(self) -> BrandArchive:
        for place, ids in (("sources", self.sources), ("takes", self.takes)):
            if len({one.id for one in ids}) != len(ids):
                raise ValueError(f"two of its {place} have the same id")
        if all(take.removed_at for take in self.takes):
            raise ValueError("every take of it is deleted")
        return self


def check_record(archive: BrandArchive) -> None:
    """Raise InputError, naming the place, where a review names what isn't there or didn't happen so."""
    for row, source in enumerate(archive.sources):
        is_whole = source.files or source.kind in ("list", "mood")
        _need(bool(is_whole), "is a picture or stylesheet without a file", f"sources.{row}")
    for take_row, take in enumerate(archive.takes):
        numbers = [version.number for version in take.versions]
        where = f"takes.{take_row}"
        _need(sorted(set(numbers)) == sorted(numbers), "has a version twice", f"{where}.versions")
        known = set(numbers)
        _need(
            all(handoff.version in known for handoff in take.handoffs),
            "hands off a version that isn’t there",
            f"{where}.handoffs",
        )
    digests = {
        (take.id, version.number): document_digest(version.document)
        for take in archive.takes
        for version in take.versions
    }
    for row, review in enumerate(archive.reviews):
        _check_review(review, digests, f"reviews.{row}")


def _check_review(review: ArchivedReview, digests: dict[tuple[str, int], str], where: str) -> None:
    for row, shown in enumerate(review.takes):
        found = digests.get((shown.take, shown.version))
        _need(found is not None, "shows a version that isn’t there", f"{where}.takes.{row}")
        _need(found == shown.digest, "shows a version that was changed since", f"{where}.takes.{row}.digest")
    readers, places = len(review.readers), len(review.takes)
    written_by = [one.reader for one in review.remarks]
    written_by += [one.reader for one in review.events]
    written_by += [one.reader for one in review.approvals]
    _need(
        all(reader is None or reader < readers for reader in written_by),
        "names a reader who isn’t there",
        where,
    )
    for row, remark in enumerate(review.remarks):
        place = remark.about.place
        answers = remark.answers
        _need(place is None or place < places, "is about a take that isn’t shown", f"{where}.remarks.{row}")
        _need(
            answers is None or (answers < row and review.remarks[answers].answers is None),
            "answers a remark that isn’t there",
            f"{where}.remarks.{row}",
        )
    _check_events(review, where)


def _check_events(review: ArchivedReview, where: str) -> None:
    for row, event in enumerate(review.events):
        _need(event.kind in KINDS, f"is of no known kind: “{event.kind}”", f"{where}.events.{row}")
    moments: list[datetime] = [event.at for event in review.events]
    _need(moments == sorted(moments), "has events out of their order", f"{where}.events")
    open_ones = [approval for approval in review.approvals if approval.reopened_at is None]
    _need(len(open_ones) < 2, "is approved twice", f"{where}.approvals")
    approved = [
        (event.at, event.who, str(event.detail.get("digest")))
        for event in review.events
        if event.kind == "approved"
    ]
    for row, approval in enumerate(review.approvals):
        place = f"{where}.approvals.{row}"
        _need(approval.place < len(review.takes), "approves a take that isn’t shown", place)
        digest = review.takes[approval.place].digest
        _need(
            any(who == approval.name and event_digest == digest for _, who, event_digest in approved),
            "has an approval that its history doesn’t tell of",
            place,
        )


def _need(is_so: bool, wrong: str, field: str) -> None:
    if not is_so:
        raise InputError(
            f"The archive’s record is broken: {field} {wrong}. Nothing was taken in.", field=field
        )
