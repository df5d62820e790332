"""Remarks on a review, by clients and by the designer, each in its thread."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.core.errors import InputError
from tonada.core.limits import EDITABLE_MINUTES, MAX_REMARKS
from tonada.store.database import Connection
from tonada.store.errors import NotFound, StoreError

# Remarks made at once keep within the limit, and an answer finds what it answers.
LOCK = "select 1 from review where workspace_id = %(workspace)s and id = %(review)s for update"
COUNT = "select count(*) from remark where workspace_id = %(workspace)s and review_id = %(review)s"
CREATE = """
    insert into remark (workspace_id, review_id, link_id, answers, about, author, person, text, outside_key)
    values (%(workspace)s, %(review)s, %(link)s, %(answers)s, %(about)s, %(author)s, %(person)s, %(text)s,
            %(outside_key)s)
    on conflict (workspace_id, review_id, outside_key) do nothing
    returning id, review_id, link_id, answers, about, author, person, text, created_at, edited_at,
              taken_back_at, resolved_at
"""
OF_REVIEW = """
    select id, review_id, link_id, answers, about, author, person, text, created_at, edited_at,
           taken_back_at, resolved_at
      from remark where workspace_id = %(workspace)s and review_id = %(review)s
     order by created_at, id
"""
FIND = """
    select id, review_id, link_id, answers, about, author, person, text, created_at, edited_at,
           taken_back_at, resolved_at
      from remark where workspace_id = %(workspace)s and review_id = %(review)s and id = %(remark)s
"""
# Whose it is and how old, in the statement itself: two windows can't pass each other by.
EDIT = """
    update remark set text = %(text)s, edited_at = clock_timestamp()
     where workspace_id = %(workspace)s and review_id = %(review)s and id = %(remark)s
       and link_id is not distinct from %(link)s and person is not distinct from %(person)s
       and taken_back_at is null
       and created_at > clock_timestamp() - make_interval(mins => %(minutes)s)
    returning id
"""
TAKE_BACK = """
    update remark set taken_back_at = clock_timestamp()
     where workspace_id = %(workspace)s and review_id = %(review)s and id = %(remark)s
       and link_id is not distinct from %(link)s and person is not distinct from %(person)s
       and taken_back_at is null
       and created_at > clock_timestamp() - make_interval(mins => %(minutes)s)
    returning id
"""
# Threads of clients about a take that are not dealt with, whatever review they came in.
OF_TAKE = """
    select remark.id, remark.review_id, remark.link_id, remark.answers, remark.about, remark.author,
           remark.person, remark.text, remark.created_at, remark.edited_at, remark.taken_back_at,
           remark.resolved_at
      from remark
      join review_take on review_take.workspace_id = remark.workspace_id
           and review_take.review_id = remark.review_id
           and review_take.place::text = remark.about ->> 'place'
     where remark.workspace_id = %(workspace)s and review_take.take_id = %(take)s
       and remark.answers is null and remark.resolved_at is null and remark.taken_back_at is null
     order by remark.created_at, remark.id
"""
RESOLVE = """
    update remark set resolved_at = case when %(resolved)s then coalesce(resolved_at, clock_timestamp()) end
     where workspace_id = %(workspace)s and review_id = %(review)s and id = %(remark)s and answers is null
    returning id
"""


@dataclass(frozen=True, slots=True)
class RemarkRow:
    """A remark. link_id: None for the designer's. about: what it hangs on, see document/review.py."""

    id: UUID
    review_id: UUID
    link_id: UUID | None
    answers: UUID | None
    about: dict[str, Any]
    author: str
    person: bytes | None
    text: str
    created_at: datetime
    edited_at: datetime | None
    taken_back_at: datetime | None
    resolved_at: datetime | None


@dataclass(frozen=True, slots=True)
class Writer:
    """Who writes: by which link, None for the designer, and the digest of the session."""

    link: UUID | None
    person: bytes | None


@dataclass(frozen=True, slots=True)
class NewRemark:
    """A remark that is to be made. outside_key: of one that was written without a server."""

    about: dict[str, Any]
    author: str
    text: str
    answers: UUID | None = None
    outside_key: str | None = None


class NotYours(StoreError):
    """A remark is somebody else's, or too old to be changed."""

    def __init__(self) -> None:
        super().__init__(
            f"A remark can be changed for {EDITABLE_MINUTES} minutes, from where it was written. "
            "Write another one instead."
        )


def create(
    connection: Connection, workspace: UUID, review: UUID, writer: Writer, new: NewRemark
) -> RemarkRow | None:
    """Return a new remark; None for one from outside that is there already.

    Raises NotFound where there is nothing to answer, InputError beyond MAX_REMARKS.
    """
    key = {"workspace": workspace, "review": review}
    connection.execute(LOCK, key)
    (count,) = connection.execute(COUNT, key).fetchall()[0]
    if count >= MAX_REMARKS:
        raise InputError(f"A review holds at most {MAX_REMARKS:,} remarks.", field="text")
    answers = new.answers
    if answers is not None:
        # A thread is two deep: what answers an answer stands beside it.
        found = find(connection, workspace, review, answers)
        answers = found.answers or found.id
    row = {
        **key,
        "link": writer.link,
        "answers": answers,
        "about": Jsonb(new.about),
        "author": new.author,
        "person": writer.person,
        "text": new.text,
        "outside_key": new.outside_key,
    }
    with connection.cursor(row_factory=class_row(RemarkRow)) as cursor:
        return cursor.execute(CREATE, row).fetchone()


def of_review(connection: Connection, workspace: UUID, review: UUID) -> list[RemarkRow]:
    """Return all remarks of a review, the oldest first, those that were taken back among them."""
    with connection.cursor(row_factory=class_row(RemarkRow)) as cursor:
        return cursor.execute(OF_REVIEW, {"workspace": workspace, "review": review}).fetchall()


def of_take(connection: Connection, workspace: UUID, take: UUID) -> list[RemarkRow]:
    """Return what was said of a take and is not dealt with, the oldest first."""
    with connection.cursor(row_factory=class_row(RemarkRow)) as cursor:
        return cursor.execute(OF_TAKE, {"workspace": workspace, "take": take}).fetchall()


def find(connection: Connection, workspace: UUID, review: UUID, remark: UUID) -> RemarkRow:
    """Return a remark of a review. Raises NotFound."""
    row = {"workspace": workspace, "review": review, "remark": remark}
    with connection.cursor(row_factory=class_row(RemarkRow)) as cursor:
        found = cursor.execute(FIND, row).fetchone()
    if found is None:
        raise NotFound("remark")
    return found


def edit(
    connection: Connection, workspace: UUID, review: UUID, remark: UUID, writer: Writer, text: str
) -> None:
    """Change one's own remark while it is new. Raises NotFound or NotYours."""
    _own(connection, EDIT, workspace, review, remark, writer, text=text)


def take_back(connection: Connection, workspace: UUID, review: UUID, remark: UUID, writer: Writer) -> None:
    """Delete one's own remark while it is new. Raises NotFound or NotYours."""
    _own(connection, TAKE_BACK, workspace, review, remark, writer)


def _own(
    connection: Connection,
    statement: Any,
    workspace: UUID,
    review: UUID,
    remark: UUID,
    writer: Writer,
    **more: str,
) -> None:
    find(connection, workspace, review, remark)
    row = {
        "workspace": workspace,
        "review": review,
        "remark": remark,
        "link": writer.link,
        "person": writer.person,
        "minutes": EDITABLE_MINUTES,
        **more,
    }
    if connection.execute(statement, row).fetchone() is None:
        raise NotYours


def resolve(connection: Connection, workspace: UUID, review: UUID, remark: UUID, *, resolved: bool) -> None:
    """Mark a thread as dealt with, or not. Raises NotFound, also for an answer."""
    row = {"workspace": workspace, "review": review, "remark": remark, "resolved": resolved}
    if connection.execute(RESOLVE, row).fetchone() is None:
        raise NotFound("remark")
