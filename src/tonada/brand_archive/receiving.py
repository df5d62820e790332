"""An archive becomes a brand of the store: all of it, in the caller's transaction, or nothing.

Ids are kept where they are free, so that documents stay what they were and an approval names the same digest.
Where they are taken, as in the workspace that the archive came from, the brand is a copy with ids of its own.
"""

from __future__ import annotations

import json
from collections.abc import Callable, Mapping, Sequence
from typing import Any
from uuid import UUID, uuid4

from tonada.brand_archive.contents import (
    ArchivedApproval,
    ArchivedEvent,
    ArchivedRemark,
    ArchivedReview,
    ArchivedSource,
    ArchivedTake,
    BrandArchive,
)
from tonada.brand_archive.packing import Packed
from tonada.core.errors import InputError
from tonada.core.limits import MAX_FONTS
from tonada.core.proof.trade_guess import guessed_voice
from tonada.document.take import TakeDocument
from tonada.files.press_profile import usual_press
from tonada.frozen.freezing import Frame, Frozen, Material, freeze
from tonada.frozen.page_set import PageSet
from tonada.sharing.making import keep_files_of, keep_page_set, own_fonts, placed_pictures, shown_picture
from tonada.sharing.tokens import new_token
from tonada.store import archives, brands, fonts
from tonada.store.archives import IdInUse
from tonada.store.brands import BrandRow
from tonada.store.database import Connection
from tonada.store.fonts import FontContent
from tonada.store.reviews import frozen

# Draws the picture to show of a source's bytes; raises InputError where that is no picture.
Draw = Callable[[bytes], bytes]


def take_in(
    connection: Connection,
    workspace: UUID,
    packed: Packed,
    page_set: PageSet,
    draw: Draw,
    read: Mapping[str, FontContent],
) -> BrandRow:
    """Return the brand that an archive becomes. read: its fonts by their digests, as they were read here.

    Raises InputError where a picture of it can't be drawn.
    """
    archive = packed.archive
    frozen.allow_drawing(connection)
    known = sorted({*(source.id for source in archive.sources), *(take.id for take in archive.takes)})
    try:
        with connection.transaction():
            return _with_ids(connection, workspace, packed, {one: one for one in known}, page_set, draw, read)
    except IdInUse:
        others = {one: str(uuid4()) for one in known}
        return _with_ids(connection, workspace, packed, others, page_set, draw, read)


def _with_ids(
    connection: Connection,
    workspace: UUID,
    packed: Packed,
    ids: Mapping[str, str],
    page_set: PageSet,
    draw: Draw,
    read: Mapping[str, FontContent],
) -> BrandRow:
    archive = packed.archive
    brand = archives.put(connection, "brand", workspace, name=archive.name)
    receiver = _Receiver(connection, workspace, brand, ids, archive)
    for source in archive.sources:
        receiver.put_source(source, packed.files, draw)
    for font in archive.fonts:
        fonts.create(connection, workspace, brand, font.name, read[font.digest], MAX_FONTS)
    for position, take in enumerate(archive.takes):
        receiver.put_take(take, position)
    for review in archive.reviews:
        receiver.put_review(review, page_set)
    return brands.find(connection, workspace, brand)


class _Receiver:
    """Puts the parts of an archive into a new brand. ids: what each id of the archive is here."""

    def __init__(
        self,
        connection: Connection,
        workspace: UUID,
        brand: UUID,
        ids: Mapping[str, str],
        archive: BrandArchive,
    ) -> None:
        self._connection, self._workspace, self._brand, self._ids = connection, workspace, brand, ids
        self._is_copy = any(before != after for before, after in ids.items())
        self._fields = [
            str(source.extraction["field"])
            for source in archive.sources
            if source.kind == "mood" and source.extraction.get("field")
        ]
        self._versions = {
            (take.id, version.number): (take, version) for take in archive.takes for version in take.versions
        }

    def _put(self, table: str, **columns: Any) -> UUID:
        return archives.put(self._connection, table, self._workspace, **columns)

    def put_source(self, source: ArchivedSource, files: Mapping[str, bytes], draw: Draw) -> None:
        plain = source.model_dump(exclude={"files", "id"})
        made = self._put("source", **plain, id=UUID(self._ids[source.id]), brand=self._brand)
        for position, file in enumerate(source.files):
            content = files[file.digest]
            preview = _drawn(source, content, draw) if source.kind == "image" and position == 0 else None
            digest = bytes.fromhex(file.digest)
            self._put("file", digest=digest, content=content, preview=preview)
            self._put("source_file", source=made, position=position, name=file.name, digest=digest)

    def put_take(self, take: ArchivedTake, position: int) -> None:
        made = self._put(
            "take",
            id=UUID(self._ids[take.id]),
            brand=self._brand,
            name=take.name,
            position=position,
            document=self._moved(take.document),
            saved_at=take.saved_at,
            removed_at=take.removed_at,
        )
        for version in take.versions:
            document = self._moved(version.document)
            plain = version.model_dump(exclude={"document"})
            self._put("version", **plain, take=made, document=document)
        for handoff in take.handoffs:
            self._put("handoff", **handoff.model_dump(), take=made)

    def put_review(self, review: ArchivedReview, page_set: PageSet) -> None:
        found = self._drawn(review)
        keep_page_set(self._connection, self._workspace, page_set)
        keep_files_of(self._connection, self._workspace, found)
        plain = review.model_dump(
            include={
                "greeting", "may_comment", "may_choose", "may_approve", "created_at", "withdrawn_at",
            }
        )  # fmt: skip
        content = found.content.model_dump(mode="json")
        made = self._put(
            "review",
            **plain,
            brand=self._brand,
            content=content,
            page_set=bytes.fromhex(page_set.digest),
        )
        digests: dict[str, str] = {}
        for place, (shown, drawn) in enumerate(zip(review.takes, found.content.takes, strict=True)):
            digests[shown.digest] = drawn.digest
            self._put(
                "review_take",
                review=made,
                place=place,
                take=UUID(self._ids[shown.take]),
                version=shown.version,
                digest=bytes.fromhex(drawn.digest),
            )
        readers = [self._put_reader(made, reader.model_dump()) for reader in review.readers]
        self._put_remarks(made, review.remarks, readers)
        for event in review.events:
            self._put_event(made, event, readers, digests)
        for approval in review.approvals:
            self._put_approval(made, approval, readers)

    def _put_reader(self, review: UUID, plain: dict[str, Any]) -> UUID:
        token = new_token()
        return self._put(
            "review_link", **plain, review=review, selector=token.selector, verifier=token.verifier
        )

    def _put_remarks(self, review: UUID, remarks: Sequence[ArchivedRemark], readers: list[UUID]) -> None:
        made: list[UUID] = []
        for remark in remarks:
            plain = remark.model_dump(exclude={"reader", "answers", "about"})
            answers = None if remark.answers is None else made[remark.answers]
            about = remark.about.model_dump(mode="json")
            link = _reader(remark, readers)
            made.append(self._put("remark", **plain, review=review, link=link, answers=answers, about=about))

    def _put_event(
        self, review: UUID, event: ArchivedEvent, readers: list[UUID], digests: Mapping[str, str]
    ) -> None:
        plain = event.model_dump(exclude={"reader", "detail"})
        digest = event.detail.get("digest")
        moved = digests.get(digest, digest) if isinstance(digest, str) else None
        detail = {**event.detail, **({"digest": moved} if moved else {})}
        self._put("review_event", **plain, review=review, link=_reader(event, readers), detail=detail)

    def _put_approval(self, review: UUID, approval: ArchivedApproval, readers: list[UUID]) -> None:
        plain = approval.model_dump(exclude={"reader"})
        self._put("approval", **plain, review=review, link=_reader(approval, readers))

    def _drawn(self, review: ArchivedReview) -> Frozen:
        """Draw what a client saw anew, from the documents that the record names."""
        frame = Frame(
            brand=review.brand,
            studio=review.studio,
            greeting=review.greeting,
            voice=review.voice or guessed_voice(review.brand, self._fields),
            pages=review.pages,
            widths=review.widths,
        )
        materials = []
        for shown in review.takes:
            _, version = self._versions[shown.take, shown.version]
            document = self._moved(version.document)
            proof = TakeDocument.model_validate(document).to_take().proof
            materials.append(
                Material(
                    name=shown.name,
                    version=shown.version,
                    document=document,
                    dated=f"version {shown.version}, {version.created_at:%-d %B %Y}",
                    logo=shown_picture(self._connection, self._workspace, proof.logo),
                    picture=shown_picture(self._connection, self._workspace, proof.picture),
                    pictures=placed_pictures(self._connection, self._workspace, proof),
                    fonts=own_fonts(self._connection, self._workspace, self._brand, proof),
                )
            )
        try:
            return freeze(frame, materials, usual_press())
        except KeyError as reason:
            raise InputError(
                f"A review of the archive shows a page that isn’t known here, {reason}.", field="reviews"
            ) from reason

    def _moved(self, document: dict[str, Any]) -> dict[str, Any]:
        """Return a document with the ids of its sources as they are here; as it was where none is another."""
        if not self._is_copy:
            return document
        text = json.dumps(document)
        for before, after in self._ids.items():
            text = text.replace(before, after)
        moved: dict[str, Any] = json.loads(text)
        return moved


def _drawn(source: ArchivedSource, content: bytes, draw: Draw) -> bytes:
    try:
        return draw(content)
    except InputError as reason:
        said = f"The archive’s picture “{source.name[:60]}” can’t be shown: {reason} Nothing was taken in."
        raise InputError(said, field="sources") from reason


def _reader(row: ArchivedRemark | ArchivedEvent | ArchivedApproval, readers: Sequence[UUID]) -> UUID | None:
    return None if row.reader is None else readers[row.reader]
