"""What was said, chosen and approved, as each side gets it, and how it is told as a history."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

from tonada.core.limits import EDITABLE_MINUTES
from tonada.core.wording.happenings import Happening, sentence_of
from tonada.document.review import About
from tonada.store.database import Connection
from tonada.store.reviews import links, remarks, verdicts
from tonada.store.reviews.frozen import ReviewRow
from tonada.store.reviews.remarks import RemarkRow, Writer
from tonada.store.reviews.verdicts import EventRow
from tonada.web.reviews.models import (
    ApprovalAnswer,
    CameBackAnswer,
    ChoiceAnswer,
    HappeningAnswer,
    RemarkAnswer,
    SaidAnswer,
    TakeRemark,
)

DESIGNER = "The studio"


@dataclass(frozen=True, slots=True)
class Asked:
    """Who asks: a writer, and the name that the designer's remarks have."""

    writer: Writer
    designer: str


def said_of(connection: Connection, workspace: UUID, review: ReviewRow, asked: Asked) -> SaidAnswer:
    """Return what was said of a review so far, for who asks."""
    now = links.now(connection)
    found = remarks.of_review(connection, workspace, review.id)
    approval = verdicts.approval(connection, workspace, review.id)
    names = [str(take["name"]) for take in review.content["takes"]]
    return SaidAnswer(
        remarks=tuple(_remark(row, asked, now) for row in _worth_showing(found)),
        choices=tuple(
            ChoiceAnswer(
                who=row.who,
                place=row.detail.get("place"),
                reason=str(row.detail.get("reason") or ""),
                at=row.at,
                is_own=row.link_id == asked.writer.link,
            )
            for row in verdicts.choices(connection, workspace, review.id)
        ),
        approval=ApprovalAnswer(
            who=approval.name,
            place=approval.place,
            name=names[approval.place],
            version=approval.version_number,
            digest=approval.digest.hex(),
            take=approval.take_id,
            at=approval.at,
        )
        if approval
        else None,
    )


def came_back(connection: Connection, workspace: UUID, take: UUID, asked: Asked) -> CameBackAnswer:
    """Return what clients said of a take and is not dealt with, and what of it is approved."""
    now = links.now(connection)
    rows = remarks.of_take(connection, workspace, take)
    return CameBackAnswer(
        remarks=tuple(TakeRemark(review=row.review_id, remark=_remark(row, asked, now)) for row in rows),
        approvals=tuple(verdicts.approvals_of_take(connection, workspace, take)),
    )


def _worth_showing(rows: Sequence[RemarkRow]) -> Iterator[RemarkRow]:
    """Leave out what was taken back, but where somebody has answered it."""
    answered = {row.answers for row in rows if row.taken_back_at is None}
    for row in rows:
        if row.taken_back_at is None or row.id in answered:
            yield row


def _remark(row: RemarkRow, asked: Asked, now: datetime) -> RemarkAnswer:
    is_new = now - row.created_at < timedelta(minutes=EDITABLE_MINUTES)
    is_own = (row.link_id, row.person) == (asked.writer.link, asked.writer.person)
    gone = row.taken_back_at is not None
    return RemarkAnswer(
        id=row.id,
        answers=row.answers,
        about=About.model_validate(row.about),
        author=asked.designer if row.link_id is None else row.author,
        is_designer=row.link_id is None,
        is_own=is_own and is_new and not gone,
        text="" if gone else row.text,
        created_at=row.created_at,
        edited_at=row.edited_at,
        is_taken_back=gone,
        is_resolved=row.resolved_at is not None,
    )


def history_of(
    events: Sequence[EventRow], said: Sequence[RemarkRow], designer: str
) -> tuple[HappeningAnswer, ...]:
    """Return all that happened as sentences, the first first."""
    told = [(event.at, Happening(event.kind, event.who, event.detail)) for event in events]
    told += [(row.created_at, _told(row, designer)) for row in said]
    told.sort(key=lambda entry: entry[0])
    return tuple(HappeningAnswer(at=at, text=sentence_of(one)) for at, one in told)


def _told(row: RemarkRow, designer: str) -> Happening:
    who = designer if row.link_id is None else row.author
    about = str(row.about.get("name") or "the whole")
    if row.taken_back_at is not None:
        return Happening("taken back", who, {"about": about})
    kind = "answered" if row.answers else "remarked"
    return Happening(kind, who, {"about": about, "text": row.text})
