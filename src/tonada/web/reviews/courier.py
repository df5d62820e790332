"""Who carries mails: a thread of each worker, that gives them to the mail server one by one.

A mail is kept in the transaction that has a reason for it, so that none is sent of what was rolled back,
and none is lost when a worker dies. Without a mail server they stay in the outbox.
"""

from __future__ import annotations

import logging
import threading
from typing import Final

from tonada.mail.server import Letter, MailRefused, MailServer, send
from tonada.store.errors import StoreUnavailable
from tonada.store.reviews import mails
from tonada.store.reviews.mails import NewMail
from tonada.web.access import Access

log = logging.getLogger("tonada.mail")

# How often each worker looks for mails that wait, or that somebody left behind.
LOOK_SECONDS: Final = 20.0


class Courier:
    """Sends what is kept to be sent; its thread starts when there is something for the first time."""

    def __init__(self, access: Access, server: MailServer | None) -> None:
        self._access, self._server = access, server
        self._wanted, self._stopped = threading.Event(), threading.Event()
        self._thread: threading.Thread | None = None
        self._lock = threading.Lock()

    @property
    def sends_by(self) -> str:
        """“smtp”, or “outbox” where mails stay here to be read."""
        return "smtp" if self._server else "outbox"

    def wake(self) -> None:
        """Look for mails now, and from now on regularly."""
        if self._server is None:
            return
        with self._lock:
            if self._thread is None:
                self._thread = threading.Thread(target=self._run, name="courier", daemon=True)
                self._thread.start()
        self._wanted.set()

    def stop(self) -> None:
        """End the thread."""
        self._stopped.set()
        self._wanted.set()
        if self._thread is not None:
            self._thread.join(5)

    def send_now(self, letter: Letter) -> None:
        """Give one mail to the server while somebody waits. Raises MailRefused."""
        if self._server is not None:
            send(self._server, letter)

    def _run(self) -> None:
        while not self._stopped.is_set():
            try:
                while not self._stopped.is_set() and self._send_next():
                    pass
            except StoreUnavailable as reason:
                log.warning("mails wait for the database: %s", reason)
            except Exception:
                log.exception("a mail failed")
            self._wanted.wait(LOOK_SECONDS)
            self._wanted.clear()

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
                log.warning("a mail was not taken: %s", reason)
                mails.note_failed(connection, workspace, mail.id, str(reason))
        return True


def new_mail(letter: Letter) -> NewMail:
    """Return a letter as it is kept."""
    return NewMail(letter.recipient, letter.subject, letter.text, letter.html)
