"""Links to a review: found by one half of their token, proven by the hash of the other."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.rows import class_row

from tonada.core.limits import WRONG_PASSPHRASES
from tonada.store.database import Connection
from tonada.store.errors import NotFound

CREATE = """
    insert into review_link (workspace_id, review_id, name, selector, verifier, passphrase, expires_at)
    values (%(workspace)s, %(review)s, %(name)s, %(selector)s, %(verifier)s, %(passphrase)s, %(expires_at)s)
    returning id, review_id, name, verifier, passphrase, locked_until, expires_at, withdrawn_at, created_at,
              first_opened_at, last_opened_at, opened, starts_with(selector, 'file ') as by_file
"""
BY_SELECTOR = """
    select id, review_id, name, verifier, passphrase, locked_until, expires_at, withdrawn_at, created_at,
           first_opened_at, last_opened_at, opened, starts_with(selector, 'file ') as by_file
      from review_link where workspace_id = %(workspace)s and selector = %(selector)s
"""
OF_REVIEW = """
    select id, review_id, name, verifier, passphrase, locked_until, expires_at, withdrawn_at, created_at,
           first_opened_at, last_opened_at, opened, starts_with(selector, 'file ') as by_file
      from review_link where workspace_id = %(workspace)s and review_id = %(review)s
     order by created_at, id
"""
PROLONG = """
    update review_link set expires_at = %(expires_at)s
     where workspace_id = %(workspace)s and review_id = %(review)s and id = %(link)s and withdrawn_at is null
    returning id
"""
WITHDRAW = """
    update review_link set withdrawn_at = coalesce(withdrawn_at, clock_timestamp())
     where workspace_id = %(workspace)s and review_id = %(review)s and id = %(link)s
    returning id
"""
OPENED = """
    update review_link
       set opened = opened + 1, last_opened_at = clock_timestamp(),
           first_opened_at = coalesce(first_opened_at, clock_timestamp())
     where workspace_id = %(workspace)s and id = %(link)s
"""
# Counted in the database, so that several workers and servers count together.
WRONG = """
    update review_link
       set wrong_passphrases = case when wrong_passphrases + 1 >= %(most)s then 0
                                    else wrong_passphrases + 1 end,
           locked_until = case when wrong_passphrases + 1 >= %(most)s
                               then clock_timestamp() + interval '15 minutes' else locked_until end
     where workspace_id = %(workspace)s and id = %(link)s
"""
RIGHT = """
    update review_link set wrong_passphrases = 0, locked_until = null
     where workspace_id = %(workspace)s and id = %(link)s
"""
NOW = "select clock_timestamp()"


@dataclass(frozen=True, slots=True)
class LinkRow:
    """A link. verifier: SHA-256 of the half of its token that isn't kept. passphrase: its hash, or None.

    by_file: it leads nowhere, and stands for who sent answers as a file.
    """

    id: UUID
    review_id: UUID
    name: str
    verifier: bytes
    passphrase: str | None
    locked_until: datetime | None
    expires_at: datetime | None
    withdrawn_at: datetime | None
    created_at: datetime
    first_opened_at: datetime | None
    last_opened_at: datetime | None
    opened: int
    by_file: bool


@dataclass(frozen=True, slots=True)
class NewLink:
    """A link that is to be made."""

    name: str
    selector: str
    verifier: bytes
    passphrase: str | None
    expires_at: datetime | None


def create(connection: Connection, workspace: UUID, review: UUID, new: NewLink) -> LinkRow:
    """Return a new link to a review that is there."""
    row = {
        "workspace": workspace,
        "review": review,
        **{name: getattr(new, name) for name in NewLink.__slots__},
    }
    with connection.cursor(row_factory=class_row(LinkRow)) as cursor:
        return cursor.execute(CREATE, row).fetchall()[0]


def by_selector(connection: Connection, workspace: UUID, selector: str) -> LinkRow | None:
    """Return the link that a token's first half names; None where there is none."""
    row = {"workspace": workspace, "selector": selector}
    with connection.cursor(row_factory=class_row(LinkRow)) as cursor:
        return cursor.execute(BY_SELECTOR, row).fetchone()


def of_review(connection: Connection, workspace: UUID, review: UUID) -> list[LinkRow]:
    """Return all links of a review, the oldest first."""
    with connection.cursor(row_factory=class_row(LinkRow)) as cursor:
        return cursor.execute(OF_REVIEW, {"workspace": workspace, "review": review}).fetchall()


def prolong(
    connection: Connection, workspace: UUID, review: UUID, link: UUID, expires_at: datetime | None
) -> None:
    """Let a link end at another time, or at none. Raises NotFound, also for one that was withdrawn."""
    row = {"workspace": workspace, "review": review, "link": link, "expires_at": expires_at}
    if connection.execute(PROLONG, row).fetchone() is None:
        raise NotFound("link")


def withdraw(connection: Connection, workspace: UUID, review: UUID, link: UUID) -> None:
    """Let a link lead nowhere from now on. Raises NotFound."""
    row = {"workspace": workspace, "review": review, "link": link}
    if connection.execute(WITHDRAW, row).fetchone() is None:
        raise NotFound("link")


def note_opened(connection: Connection, workspace: UUID, link: UUID) -> None:
    """Count that a link was opened."""
    connection.execute(OPENED, {"workspace": workspace, "link": link})


def note_passphrase(connection: Connection, workspace: UUID, link: UUID, *, is_right: bool) -> None:
    """Count a wrong passphrase; after WRONG_PASSPHRASES of them none is taken for a quarter of an hour."""
    row: dict[str, Any] = {"workspace": workspace, "link": link}
    if is_right:
        connection.execute(RIGHT, row)
    else:
        connection.execute(WRONG, row | {"most": WRONG_PASSPHRASES})


def now(connection: Connection) -> datetime:
    """Return the database's time, which all servers share."""
    found: datetime = connection.execute(NOW).fetchall()[0][0]
    return found
