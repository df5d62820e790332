"""Who carries mails: a thread of each worker, that gives them to the mail server one by one.

A mail is kept in the transaction that has a reason for it, so that none is sent of what was rolled back,
and none is lost when a worker dies. Without a mail server they stay in the outbox.
"""

from __future__ import annotations

import logging
from typing import Final

from tonada.mail.server import Letter, MailRefused, MailServer, send
from tonada.store.reviews import mails
from tonada.store.reviews.mails import NewMail
from tonada.web.access import Access
from tonada.web.errands import Errands

log = logging.getLogger("tonada.mail")

# How often each worker looks for mails that wait, or that somebody left behind.
LOOK_SECONDS: Final = 20.0


class Courier:
    """Sends what is kept to be sent; its thread starts when there is something for the first time."""

    def __init__(self, access: Access, server: MailServer | None) -> None:
        self._access, self._server = access, server
        self._errands = Errands("courier", self._send_next, LOOK_SECONDS)

    @property
    def sends_by(self) -> str:
        """“smtp”, or “outbox” where mails stay here to be read."""
        return "smtp" if self._server else "outbox"

    def wake(self) -> None:
        """Look for mails now, and from now on regularly."""
        if self._server is not None:
            self._errands.wake()

    def stop(self) -> None:
        """Send nothing more."""
        self._errands.stop()

    def send_now(self, letter: Letter) -> None:
        """Give one mail to the server while somebody waits. Raises MailRefused."""
        if self._server is not None:
            send(self._server, letter)

    def _send_next(self) -> bool:
        """Send the oldest mail that nobody is at; return whether there was one."""
        if self._server is None:
            return False
        with self._access.transaction() as (connection, workspace):
            mail = mails.next_to_send(connection, workspace)
            if mail is None:
                return False
            try:
                send(self._server, Letter(mail.recipient, mail.subject, mail.text, mail.html))
                mails.note_sent(connection, workspace, mail.id)
            except MailRefused as reason:
                log.warning("a mail was refused: %s", reason)
                mails.note_failed(connection, workspace, mail.id, str(reason))
        return True


def new_mail(letter: Letter) -> NewMail:
    """Return a letter as it is kept."""
    return NewMail(letter.recipient, letter.subject, letter.text, letter.html)
