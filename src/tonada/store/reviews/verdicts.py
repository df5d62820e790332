"""What happened to a review, what was chosen, and its approval."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.errors import UniqueViolation
from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.core.limits import MAX_REVIEW_EVENTS
from tonada.store.database import Connection
from tonada.store.errors import StoreError

COUNT = "select count(*) from review_event where workspace_id = %(workspace)s and review_id = %(review)s"
RECORD = """
    insert into review_event (workspace_id, review_id, link_id, kind, who, detail, outside_key)
    values (%(workspace)s, %(review)s, %(link)s, %(kind)s, %(who)s, %(detail)s, %(outside_key)s)
    on conflict (workspace_id, review_id, outside_key) do nothing
    returning id
"""
EVENTS = """
    select id, link_id, kind, who, detail, at from review_event
     where workspace_id = %(workspace)s and review_id = %(review)s order by id
"""
# What each person holds now: the newest choice of a link.
CHOICES = """
    select distinct on (link_id) link_id, who, detail, at from review_event
     where workspace_id = %(workspace)s and review_id = %(review)s and kind = 'chosen'
     order by link_id, id desc
"""
LOCK = "select 1 from review where workspace_id = %(workspace)s and id = %(review)s for update"
APPROVE = """
    insert into approval (workspace_id, review_id, link_id, place, name)
    values (%(workspace)s, %(review)s, %(link)s, %(place)s, %(name)s)
"""
APPROVAL = """
    select approval.place, approval.name, approval.link_id, approval.at, review_take.take_id,
           review_take.version_number, review_take.digest
      from approval
      join review_take on review_take.workspace_id = approval.workspace_id
           and review_take.review_id = approval.review_id and review_take.place = approval.place
     where approval.workspace_id = %(workspace)s and approval.review_id = %(review)s
       and approval.reopened_at is null
"""
REOPEN = """
    update approval set reopened_at = clock_timestamp()
     where workspace_id = %(workspace)s and review_id = %(review)s and reopened_at is null
    returning id
"""
# Of a take: what of it was approved last.
OF_TAKE = """
    select approval.review_id, approval.name as who, approval.at, review_take.version_number as version,
           encode(review_take.digest, 'hex') as digest
      from approval
      join review_take on review_take.workspace_id = approval.workspace_id
           and review_take.review_id = approval.review_id and review_take.place = approval.place
     where approval.workspace_id = %(workspace)s and review_take.take_id = %(take)s
       and approval.reopened_at is null
     order by approval.at desc
"""


@dataclass(frozen=True, slots=True)
class EventRow:
    """Something that happened. kind and detail: see core/review/happenings.py."""

    id: int
    link_id: UUID | None
    kind: str
    who: str
    detail: dict[str, Any]
    at: datetime


@dataclass(frozen=True, slots=True)
class ChoiceRow:
    """What the reader of a link holds now. detail: place, None for none of them; reason."""

    link_id: UUID | None
    who: str
    detail: dict[str, Any]
    at: datetime


@dataclass(frozen=True, slots=True)
class ApprovalRow:
    """An approval that stands: of which of the takes, by whom. digest: of the version's document."""

    place: int
    name: str
    link_id: UUID | None
    at: datetime
    take_id: UUID
    version_number: int
    digest: bytes


@dataclass(frozen=True, slots=True)
class ApprovedVersion:
    """A version of a take that a client approved, and in which review. digest: in hex."""

    review_id: UUID
    who: str
    at: datetime
    version: int
    digest: str


class Closed(StoreError):
    """The review was approved: nothing is chosen any more until the designer opens it again."""

    def __init__(self) -> None:
        super().__init__("This review is approved and closed. Your designer can open it again.")


def record(
    connection: Connection,
    workspace: UUID,
    review: UUID,
    kind: str,
    *,
    link: UUID | None = None,
    who: str = "",
    detail: dict[str, Any] | None = None,
    outside_key: str | None = None,
) -> bool:
    """Note that something happened; False for what came from outside and is there already."""
    row = {
        "workspace": workspace,
        "review": review,
        "link": link,
        "kind": kind,
        "who": who,
        "detail": Jsonb(detail or {}),
        "outside_key": outside_key,
    }
    return connection.execute(RECORD, row).fetchone() is not None


def is_full(connection: Connection, workspace: UUID, review: UUID) -> bool:
    """Return whether so much has happened that a client may add nothing more."""
    (count,) = connection.execute(COUNT, {"workspace": workspace, "review": review}).fetchall()[0]
    return bool(count >= MAX_REVIEW_EVENTS)


def events(connection: Connection, workspace: UUID, review: UUID) -> list[EventRow]:
    """Return all that happened, the first first."""
    with connection.cursor(row_factory=class_row(EventRow)) as cursor:
        return cursor.execute(EVENTS, {"workspace": workspace, "review": review}).fetchall()


def choices(connection: Connection, workspace: UUID, review: UUID) -> list[ChoiceRow]:
    """Return what each reader holds now."""
    with connection.cursor(row_factory=class_row(ChoiceRow)) as cursor:
        return cursor.execute(CHOICES, {"workspace": workspace, "review": review}).fetchall()


def approval(connection: Connection, workspace: UUID, review: UUID) -> ApprovalRow | None:
    """Return the approval that stands, or None."""
    with connection.cursor(row_factory=class_row(ApprovalRow)) as cursor:
        return cursor.execute(APPROVAL, {"workspace": workspace, "review": review}).fetchone()


def lock(connection: Connection, workspace: UUID, review: UUID) -> None:
    """Let nobody else choose or approve until the transaction ends."""
    connection.execute(LOCK, {"workspace": workspace, "review": review})


def approve(
    connection: Connection, workspace: UUID, review: UUID, place: int, name: str, link: UUID | None
) -> ApprovalRow:
    """Record that one of the takes is approved. Raises Closed where one is already."""
    row = {"workspace": workspace, "review": review, "place": place, "name": name, "link": link}
    try:
        with connection.transaction():
            connection.execute(APPROVE, row)
    except UniqueViolation:
        raise Closed from None
    found = approval(connection, workspace, review)
    if found is None:
        raise RuntimeError("what was approved is not there")
    return found


def reopen(connection: Connection, workspace: UUID, review: UUID) -> bool:
    """Take an approval back into the open; return whether there was one. It stays in the history."""
    return connection.execute(REOPEN, {"workspace": workspace, "review": review}).fetchone() is not None


def approvals_of_take(connection: Connection, workspace: UUID, take: UUID) -> list[ApprovedVersion]:
    """Return the approvals of a take that stand, the newest first."""
    with connection.cursor(row_factory=class_row(ApprovedVersion)) as cursor:
        return cursor.execute(OF_TAKE, {"workspace": workspace, "take": take}).fetchall()
