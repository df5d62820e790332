"""What mails about a review say, as text and as HTML in the look of Tonada."""

from __future__ import annotations

import base64
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final

from jinja2 import Environment, PackageLoader, StrictUndefined, select_autoescape

from tonada.mail.server import PICTURE, Letter

# In place of a link in what is kept: the link itself is kept nowhere.
LINK_LEFT_OUT: Final = "[the link isn’t stored]"
_LONGEST_SUBJECT: Final = 150


@dataclass(frozen=True, slots=True)
class Sent:
    """A review that goes out. studio: who sends it, or empty. link: where it is, with its token.

    may_comment, may_choose: what the mail may ask for. picture: of the colours, a PNG, or None.
    """

    brand: str
    studio: str
    greeting: str
    takes: Sequence[str]
    link: str
    until: str
    colors: Sequence[str]
    may_comment: bool = True
    may_choose: bool = True
    picture: bytes | None = None

    @property
    def invitation(self) -> str:
        """What a client is asked for, in a sentence."""
        wanted = ["say what you think"] if self.may_comment else []
        if self.may_choose and len(self.takes) > 1:
            wanted.append("choose one")
        looked = f"Look at {', '.join(self.takes)}" if len(self.takes) > 1 else "Have a look"
        if len(wanted) > 1:
            return f"{looked}, {wanted[0]}, and {wanted[1]}."
        return f"{looked}, and {wanted[0]}." if wanted else f"{looked}."


@dataclass(frozen=True, slots=True)
class CameBack:
    """Something a client did. what: a sentence; words: their own, or empty; address: of the review."""

    brand: str
    what: str
    words: str
    address: str
    colors: Sequence[str]


def review_sent(to: str, about: Sent) -> Letter:
    """Return the mail that brings a client the link."""
    who = f"{about.studio}: " if about.studio else ""
    subject = f"{who}colours for {about.brand}"
    shown = f"cid:{PICTURE}" if about.picture else ""
    return replace(_letter("sent", to, subject, review=about, picture=shown), picture=about.picture)


def as_kept(letter: Letter) -> Letter:
    """Return a mail as it is kept to be read here: its picture is in the HTML."""
    if letter.picture is None:
        return letter
    data = f"data:image/png;base64,{base64.b64encode(letter.picture).decode()}"
    return replace(letter, html=letter.html.replace(f"cid:{PICTURE}", data), picture=None)


def remark_made(to: str, about: CameBack) -> Letter:
    """Return the mail that tells the studio of a remark."""
    return _letter("came_back", to, f"{about.brand}: a remark", back=about)


def choice_made(to: str, about: CameBack) -> Letter:
    """Return the mail that tells the studio of a choice."""
    return _letter("came_back", to, f"{about.brand}: a choice", back=about)


def approval_made(to: str, about: CameBack) -> Letter:
    """Return the mail that tells the studio of an approval."""
    return _letter("came_back", to, f"{about.brand}: approved", back=about)


def _letter(name: str, to: str, subject: str, **values: object) -> Letter:
    environment = _environment()
    return Letter(
        recipient=to,
        # A header is one line.
        subject=" ".join(subject.split())[:_LONGEST_SUBJECT],
        text=environment.get_template(f"{name}.txt").render(**values),
        html=environment.get_template(f"{name}.html").render(**values),
    )


@lru_cache(maxsize=1)
def _environment() -> Environment:
    return Environment(
        loader=PackageLoader("tonada.mail"),
        autoescape=select_autoescape(("html",)),
        trim_blocks=True,
        lstrip_blocks=True,
        undefined=StrictUndefined,
        keep_trailing_newline=True,
    )
