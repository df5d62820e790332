"""Who comes by a review's link: found and proven, and let into that review alone."""

from __future__ import annotations

import hashlib
import secrets
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import timedelta
from typing import Final
from uuid import UUID

from flask import session
from werkzeug.security import check_password_hash

from tonada.core.errors import InputError
from tonada.core.limits import WRONG_PASSPHRASES
from tonada.sharing.tokens import is_proven, read_token
from tonada.store import brands
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.store.reviews import frozen, links
from tonada.store.reviews.frozen import ReviewRow
from tonada.store.reviews.links import LinkRow
from tonada.store.reviews.remarks import Writer
from tonada.web.access import workspace_connection
from tonada.web.reviews.errors import PassphraseNeeded, ReviewEnded

# So many links may be open in one browser without a passphrase being asked for again.
_MOST_UNLOCKED: Final = 20


@dataclass(frozen=True, slots=True)
class Guest:
    """A reader of a review. person: digest of the session, by which they know their own remarks."""

    connection: Connection
    workspace: UUID
    link: LinkRow
    review: ReviewRow
    person: bytes

    @property
    def writer(self) -> Writer:
        return Writer(self.link.id, self.person)


@contextmanager
def guest(token: str) -> Iterator[Guest]:
    """Let in who has a link. Raises NotFound, ReviewEnded or PassphraseNeeded."""
    with at_the_door(token) as found:
        if found.link.passphrase and str(found.link.id) not in session.get("unlocked", []):
            raise PassphraseNeeded
        yield found


@contextmanager
def at_the_door(token: str) -> Iterator[Guest]:
    """Find the review of a link, before its passphrase was given. Raises NotFound or ReviewEnded."""
    read = read_token(token)
    with workspace_connection() as (connection, workspace):
        link = links.by_selector(connection, workspace, read.selector) if read else None
        if read is None or link is None or not is_proven(read, link.verifier):
            raise NotFound("review")
        review = frozen.find(connection, workspace, link.review_id)
        if brands.is_removed(connection, workspace, review.brand_id):
            raise ReviewEnded("This review isn’t available now. Ask your designer.")
        if link.withdrawn_at is not None or review.withdrawn_at is not None:
            raise ReviewEnded("This review was withdrawn. Ask your designer for a new link.")
        if link.expires_at is not None and link.expires_at <= links.now(connection):
            last = link.expires_at - timedelta(days=1)
            raise ReviewEnded(f"This review ended on {last:%-d %B %Y}. Ask your designer to extend it.")
        yield Guest(connection, workspace, link, review, person_digest())


def unlock(token: str, passphrase: str) -> None:
    """Take a passphrase for the rest of the session. Raises InputError for a wrong one, or one too many."""
    with at_the_door(token) as found:
        link, now = found.link, links.now(found.connection)
        if link.locked_until is not None and link.locked_until > now:
            raise InputError(
                f"{WRONG_PASSPHRASES} passphrases were wrong. Try again in 15 minutes.",
                field="passphrase",
            )
        is_right = link.passphrase is None or check_password_hash(link.passphrase, passphrase)
        links.note_passphrase(found.connection, found.workspace, link.id, is_right=is_right)
    # Outside of the transaction, so that a wrong one stays counted.
    if not is_right:
        raise InputError("That passphrase is wrong.", field="passphrase")
    known = [entry for entry in session.get("unlocked", []) if entry != str(link.id)]
    session["unlocked"] = [*known, str(link.id)][-_MOST_UNLOCKED:]
    session.permanent = True


def person_digest() -> bytes:
    """Return what this session's remarks are known by; nobody can find the session from it."""
    session.setdefault("person", secrets.token_urlsafe(16))
    session.permanent = True
    return hashlib.sha256(f"review {session['person']}".encode()).digest()
