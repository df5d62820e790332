"""What mails about a review say, as text and as HTML in the look of Tonada."""

from __future__ import annotations

import base64
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final

from jinja2 import Environment, PackageLoader, StrictUndefined, select_autoescape

from tonada.mail.server import MARK, PICTURE, Letter

# In place of a link in what is kept: the link itself is kept nowhere.
LINK_LEFT_OUT: Final = "[the link isn’t stored]"
# Of frame.html.
MAIL_PAPER: Final = "#f6f6f6"
MAIL_INK: Final = "#161616"
_LONGEST_SUBJECT: Final = 150


@dataclass(frozen=True, slots=True)
class Sent:
    """A review that goes out. studio: who sends it, or empty. link: where it is, with its token.

    may_comment, may_choose: what the mail may ask for. picture: of the colours, a PNG, or None. mark: the
    studio's, likewise. address: the studio's, where answers go; empty for nowhere. host: where the review is.
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
    mark: bytes | None = None
    address: str = ""
    host: str = ""

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
    picture = f"cid:{PICTURE}" if about.picture else ""
    mark = f"cid:{MARK}" if about.mark else ""
    letter = _letter("sent", to, subject, review=about, picture=picture, mark=mark)
    return replace(letter, picture=about.picture, mark=about.mark, answers_to=about.address)


def as_kept(letter: Letter) -> Letter:
    """Return a mail as it is kept to be read here: its pictures are in the HTML."""
    html = letter.html
    for name, picture in letter.pictures.items():
        html = html.replace(f"cid:{name}", f"data:image/png;base64,{base64.b64encode(picture).decode()}")
    return replace(letter, html=html, picture=None, mark=None)


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
