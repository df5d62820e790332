"""What a review shows: frozen when it is made, with all the files that draw it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.store.database import Connection
from tonada.store.errors import NotFound

PUT_FILE = """
    insert into review_file (workspace_id, digest, mimetype, content)
    values (%(workspace)s, %(digest)s, %(mimetype)s, %(content)s)
    on conflict (workspace_id, digest) do nothing
"""
ALLOW_DRAWING = "set local idle_in_transaction_session_timeout = '180s'"
KNOWN_FILES = """
    select digest from review_file where workspace_id = %(workspace)s and digest = any(%(digests)s)
"""
READ_FILE = """
    select mimetype, content from review_file where workspace_id = %(workspace)s and digest = %(digest)s
"""
PUT_SET = """
    insert into page_set (workspace_id, digest, files) values (%(workspace)s, %(digest)s, %(files)s)
    on conflict (workspace_id, digest) do nothing
"""
READ_SET = "select files from page_set where workspace_id = %(workspace)s and digest = %(digest)s"
CREATE = """
    insert into review (workspace_id, brand_id, greeting, may_comment, may_choose, may_approve, content,
                        page_set)
    values (%(workspace)s, %(brand)s, %(greeting)s, %(may_comment)s, %(may_choose)s, %(may_approve)s,
            %(content)s, %(page_set)s)
    returning id, brand_id, greeting, may_comment, may_choose, may_approve, content, page_set, created_at,
              withdrawn_at
"""
SHOW_TAKE = """
    insert into review_take (workspace_id, review_id, place, take_id, version_number, digest)
    values (%(workspace)s, %(review)s, %(place)s, %(take)s, %(number)s, %(digest)s)
"""
FIND = """
    select id, brand_id, greeting, may_comment, may_choose, may_approve, content, page_set, created_at,
           withdrawn_at
      from review where workspace_id = %(workspace)s and id = %(review)s
"""
VERSIONS_OF = """
    select take_id, version_number, digest from review_take
     where workspace_id = %(workspace)s and review_id = %(review)s order by place
"""
WITHDRAW = """
    update review set withdrawn_at = coalesce(withdrawn_at, clock_timestamp())
     where workspace_id = %(workspace)s and id = %(review)s
"""


@dataclass(frozen=True, slots=True)
class FrozenFile:
    """A file that a review shows, or that draws its pages. digest: SHA-256 of the content."""

    digest: bytes
    mimetype: str
    content: bytes


@dataclass(frozen=True, slots=True)
class ShownVersion:
    """A version of a take that is shown. digest: SHA-256 of its document."""

    take: UUID
    number: int
    digest: bytes


@dataclass(frozen=True, slots=True)
class NewReview:
    """A review that is to be made. page_set: digest of what draws the pages, kept by `keep_set`."""

    brand: UUID
    greeting: str
    may_comment: bool
    may_choose: bool
    may_approve: bool
    content: dict[str, Any]
    page_set: bytes
    versions: Sequence[ShownVersion]


@dataclass(frozen=True, slots=True)
class ReviewRow:
    """A review as it is kept. content: see document/review.py."""

    id: UUID
    brand_id: UUID
    greeting: str
    may_comment: bool
    may_choose: bool
    may_approve: bool
    content: dict[str, Any]
    page_set: bytes
    created_at: datetime
    withdrawn_at: datetime | None


def allow_drawing(connection: Connection) -> None:
    """Let this transaction wait while a review is drawn, which takes a slow machine a minute."""
    connection.execute(ALLOW_DRAWING)


def keep_files(connection: Connection, workspace: UUID, files: Sequence[FrozenFile]) -> None:
    """Keep files, those that are there already only once."""
    by_digest = {file.digest: file for file in files}
    row: dict[str, Any] = {"workspace": workspace, "digests": list(by_digest)}
    known = {found for (found,) in connection.execute(KNOWN_FILES, row)}
    for digest, one in by_digest.items():
        if digest not in known:
            put = {"workspace": workspace, "digest": digest, "mimetype": one.mimetype, "content": one.content}
            connection.execute(PUT_FILE, put)


def keep_set(connection: Connection, workspace: UUID, digest: bytes, names: Mapping[str, str]) -> None:
    """Keep what draws the pages: the digest of each file, in hex, by its name."""
    row = {"workspace": workspace, "digest": digest, "files": Jsonb(dict(names))}
    connection.execute(PUT_SET, row)


def read_file(connection: Connection, workspace: UUID, digest: bytes) -> FrozenFile:
    """Return a file. Raises NotFound."""
    found = connection.execute(READ_FILE, {"workspace": workspace, "digest": digest}).fetchone()
    if found is None:
        raise NotFound("file")
    return FrozenFile(digest, found[0], bytes(found[1]))


def read_set(connection: Connection, workspace: UUID, digest: bytes) -> dict[str, str]:
    """Return the digest of each file that draws the pages, in hex, by its name. Raises NotFound."""
    found = connection.execute(READ_SET, {"workspace": workspace, "digest": digest}).fetchone()
    if found is None:
        raise NotFound("set of pages")
    names: dict[str, str] = found[0]
    return names


def create(connection: Connection, workspace: UUID, new: NewReview) -> ReviewRow:
    """Return a new review of versions that are there."""
    row = {
        "workspace": workspace,
        "brand": new.brand,
        "greeting": new.greeting,
        "may_comment": new.may_comment,
        "may_choose": new.may_choose,
        "may_approve": new.may_approve,
        "content": Jsonb(new.content),
        "page_set": new.page_set,
    }
    with connection.cursor(row_factory=class_row(ReviewRow)) as cursor:
        made = cursor.execute(CREATE, row).fetchall()[0]
    for place, one in enumerate(new.versions):
        shown = {
            "workspace": workspace,
            "review": made.id,
            "place": place,
            "take": one.take,
            "number": one.number,
            "digest": one.digest,
        }
        connection.execute(SHOW_TAKE, shown)
    return made


def find(connection: Connection, workspace: UUID, review: UUID) -> ReviewRow:
    """Return a review. Raises NotFound."""
    with connection.cursor(row_factory=class_row(ReviewRow)) as cursor:
        found = cursor.execute(FIND, {"workspace": workspace, "review": review}).fetchone()
    if found is None:
        raise NotFound("review")
    return found


def withdraw(connection: Connection, workspace: UUID, review: UUID) -> None:
    """Let no link of a review lead anywhere any more. It stays, with all that was said. Raises NotFound."""
    find(connection, workspace, review)
    connection.execute(WITHDRAW, {"workspace": workspace, "review": review})


def versions_of(connection: Connection, workspace: UUID, review: UUID) -> list[ShownVersion]:
    """Return the versions that a review shows, in their order."""
    rows = connection.execute(VERSIONS_OF, {"workspace": workspace, "review": review}).fetchall()
    return [ShownVersion(row[0], row[1], bytes(row[2])) for row in rows]
