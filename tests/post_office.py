"""A mail server for tests: as much of SMTP as a mail needs (RFC 5321), and it keeps what it is given."""

from __future__ import annotations

import email
import email.policy
import socketserver
import threading
from email.message import EmailMessage
from typing import Final

_END: Final = b".\r\n"


class PostOffice:
    """A server on loopback. refuses: what it says to every recipient, such as “550 nobody here”."""

    def __init__(self, refuses: str = "") -> None:
        self.refuses = refuses
        self.mails: list[EmailMessage] = []
        self.envelopes: list[tuple[str, str]] = []
        office = self

        class Clerk(socketserver.StreamRequestHandler):
            def handle(self) -> None:
                office.serve(self)

        self._server = socketserver.ThreadingTCPServer(("127.0.0.1", 0), Clerk)
        self._server.daemon_threads = True
        threading.Thread(target=self._server.serve_forever, daemon=True).start()
        self.port = int(self._server.server_address[1])

    def close(self) -> None:
        self._server.shutdown()
        self._server.server_close()

    def serve(self, line: socketserver.StreamRequestHandler) -> None:
        def say(text: str) -> None:
            line.wfile.write(f"{text}\r\n".encode())

        sender = recipient = ""
        say("220 here")
        while given := line.rfile.readline():
            word = given[:4].upper()
            if word == b"EHLO":
                say("250 here")
            elif word == b"MAIL":
                sender = given.decode().partition("<")[2].partition(">")[0]
                say("250 ok")
            elif word == b"RCPT":
                recipient = given.decode().partition("<")[2].partition(">")[0]
                say(self.refuses or "250 ok")
            elif word == b"DATA":
                say("354 go on")
                lines = []
                while (one := line.rfile.readline()) != _END:
                    lines.append(one[1:] if one.startswith(b"..") else one)
                read = email.message_from_bytes(b"".join(lines), policy=email.policy.default)
                self.mails.append(read)
                self.envelopes.append((sender, recipient))
                say("250 taken")
            elif word == b"QUIT":
                say("221 bye")
                return
            else:
                say("250 ok")
