"""Mails that are to be sent, kept in the transaction that has a reason for them; and the studio's address."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from psycopg.rows import class_row

from tonada.store.database import Connection
from tonada.store.errors import NotFound

STUDIO = "select studio, notified, mark from workspace where id = %(workspace)s"
SET_STUDIO = "update workspace set studio = %(studio)s, notified = %(notified)s where id = %(workspace)s"
SET_MARK = "update workspace set mark = %(mark)s where id = %(workspace)s"
QUEUE = """
    insert into mail (workspace_id, review_id, recipient, subject, text, html, sent_at)
    values (%(workspace)s, %(review)s, %(recipient)s, %(subject)s, %(text)s, %(html)s,
            case when %(is_sent)s then clock_timestamp() end)
"""
# Several workers and servers send; each takes one that no other has.
NEXT = """
    select id, recipient, subject, text, html, created_at, sent_at, problem from mail
     where workspace_id = %(workspace)s and sent_at is null and attempts < %(most)s
       and try_after <= clock_timestamp()
     order by created_at limit 1 for update skip locked
"""
SENT = """
    update mail set sent_at = clock_timestamp(), attempts = attempts + 1, problem = null
     where workspace_id = %(workspace)s and id = %(mail)s
"""
FAILED = """
    update mail set attempts = attempts + 1, problem = %(problem)s,
                    try_after = clock_timestamp() + interval '1 minute' * power(2, attempts)
     where workspace_id = %(workspace)s and id = %(mail)s
"""
LIST = """
    select id, recipient, subject, text, html, created_at, sent_at, problem from mail
     where workspace_id = %(workspace)s order by created_at desc, id limit %(count)s
"""
FIND = """
    select id, recipient, subject, text, html, created_at, sent_at, problem from mail
     where workspace_id = %(workspace)s and id = %(mail)s
"""
# After so many hours of trying, a mail stays unsent, and says so.
MOST_ATTEMPTS = 9


@dataclass(frozen=True, slots=True)
class Studio:
    """Who the studio is, and where it is told what came back; empty where nobody has said so.

    mark: a PNG as emails show it.
    """

    studio: str
    notified: str
    mark: bytes | None = None


@dataclass(frozen=True, slots=True)
class NewMail:
    """A mail that is to be sent, as text and as HTML."""

    recipient: str
    subject: str
    text: str
    html: str


@dataclass(frozen=True, slots=True)
class MailRow:
    """A mail. sent_at: None while it waits; problem: why it was not taken, when it was tried last."""

    id: UUID
    recipient: str
    subject: str
    text: str
    html: str
    created_at: datetime
    sent_at: datetime | None
    problem: str | None


def studio(connection: Connection, workspace: UUID) -> Studio:
    """Return the studio's name, the address that is notified, and its mark."""
    with connection.cursor(row_factory=class_row(Studio)) as cursor:
        return cursor.execute(STUDIO, {"workspace": workspace}).fetchall()[0]


def set_studio(connection: Connection, workspace: UUID, studio: Studio) -> None:
    """Set the studio's name and the address that is notified."""
    row = {"workspace": workspace, "studio": studio.studio, "notified": studio.notified}
    connection.execute(SET_STUDIO, row)


def set_mark(connection: Connection, workspace: UUID, mark: bytes | None) -> None:
    """Set the studio's mark, a PNG, or take it away."""
    connection.execute(SET_MARK, {"workspace": workspace, "mark": mark})


def queue(
    connection: Connection,
    workspace: UUID,
    review: UUID | None,
    mails: Sequence[NewMail],
    *,
    is_sent: bool = False,
) -> None:
    """Keep mails to be sent, or that were sent."""
    for mail in mails:
        row = {
            "workspace": workspace,
            "review": review,
            "recipient": mail.recipient,
            "subject": mail.subject,
            "text": mail.text,
            "html": mail.html,
            "is_sent": is_sent,
        }
        connection.execute(QUEUE, row)


def next_to_send(connection: Connection, workspace: UUID) -> MailRow | None:
    """Return a mail that waits, held for this transaction; None where there is none."""
    with connection.cursor(row_factory=class_row(MailRow)) as cursor:
        return cursor.execute(NEXT, {"workspace": workspace, "most": MOST_ATTEMPTS}).fetchone()


def note_sent(connection: Connection, workspace: UUID, mail: UUID) -> None:
    """Note that a mail was taken."""
    connection.execute(SENT, {"workspace": workspace, "mail": mail})


def note_failed(connection: Connection, workspace: UUID, mail: UUID, problem: str) -> None:
    """Note why a mail was not taken; it is tried again later, each time after twice as long."""
    connection.execute(FAILED, {"workspace": workspace, "mail": mail, "problem": problem[:300]})


def newest(connection: Connection, workspace: UUID, count: int) -> list[MailRow]:
    """Return so many mails, the newest first."""
    with connection.cursor(row_factory=class_row(MailRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace, "count": count}).fetchall()


def find(connection: Connection, workspace: UUID, mail: UUID) -> MailRow:
    """Return a mail. Raises NotFound."""
    with connection.cursor(row_factory=class_row(MailRow)) as cursor:
        found = cursor.execute(FIND, {"workspace": workspace, "mail": mail}).fetchone()
    if found is None:
        raise NotFound("mail")
    return found
