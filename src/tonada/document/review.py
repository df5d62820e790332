"""What a review shows and keeps: written once, when it is made, and read as it was from then on."""

from __future__ import annotations

import hashlib
from collections.abc import Mapping
from typing import Annotated, Any, Literal, TypeAlias

import orjson
from pydantic import Field, StringConstraints

from tonada.core import limits
from tonada.core.color.wcag import Level
from tonada.document.parts import HexText, Line, Model, Name

Width: TypeAlias = Literal["wide", "phone"]
WIDTHS: tuple[Width, ...] = ("wide", "phone")
FileDigest = Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{64}$")]
Place = Annotated[int, Field(ge=0, lt=limits.MAX_REVIEW_TAKES)]
ShortText = Annotated[str, StringConstraints(max_length=120), Line]
# What a person writes over several lines.
RemarkText = Annotated[
    str, StringConstraints(min_length=1, max_length=limits.MAX_REMARK_LENGTH, strip_whitespace=True)
]


class ShownValue(Model):
    """A colour in one notation, as it is copied."""

    notation: str
    text: str


class ShownColor(Model):
    """A colour in plain words. label: what is written on it; share: of the page, 0 to 1."""

    name: str
    roles: str
    used_for: str
    hex: HexText
    label: HexText
    share: float
    values: tuple[ShownValue, ...]


class ShownPage(Model):
    id: str
    name: str


class ShownLetters(Model):
    """Letters that own words need beyond those of the typefaces. file: a digest of a font."""

    family: str
    weight: int
    file: FileDigest


class ShownFont(Model):
    """A font of the brand's own that the pages are set in, with its weights. file: a digest."""

    family: str
    lightest: int
    heaviest: int
    file: FileDigest


class ShownTake(Model):
    """A version of a take. digest: SHA-256 of its document, see `document_digest`.

    drawn: what its pages are drawn with, by scheme; only the set of pages of its time reads it.
    colors: by scheme. logo, picture, sheet, icons: digests of files of the review.
    letters, fonts: of other scripts, and the brand's own. pictures: those in places of pages, by source.
    """

    name: str
    version: int
    digest: FileDigest
    level: Level
    failing: int
    drawn: dict[str, dict[str, Any]]
    colors: dict[str, tuple[ShownColor, ...]]
    logo: FileDigest | None
    picture: FileDigest | None
    sheet: FileDigest
    icons: FileDigest | None = None
    letters: tuple[ShownLetters, ...] = ()
    fonts: tuple[ShownFont, ...] = ()
    pictures: dict[str, FileDigest] = Field(default_factory=dict)


class ReviewContent(Model):
    """Everything that a client sees. format grows when what is kept from then on is shaped otherwise."""

    format: Literal[1] = 1
    brand: str
    studio: str
    greeting: str
    pages: tuple[ShownPage, ...]
    widths: tuple[Width, ...]
    takes: Annotated[tuple[ShownTake, ...], Field(min_length=1, max_length=limits.MAX_REVIEW_TAKES)]


class About(Model):
    """What a remark hangs on: a part of a page or a colour of one of the takes, or the whole.

    place: of the take, from 0; none for the whole review. part: its name on the page. name: what a reader
    is told that it is about.
    """

    kind: Literal["part", "color", "whole"] = "whole"
    place: Place | None = None
    page: ShortText = ""
    scheme: Literal["day", "night"] = "day"
    width: Width = "wide"
    part: ShortText = ""
    hex: HexText | None = None
    name: ShortText = ""


class OutsideRemark(Model):
    """A remark that was written without a server. key: made there, so that it is taken in once."""

    key: Annotated[str, StringConstraints(pattern=r"^[A-Za-z0-9-]{8,60}$")]
    about: About
    text: RemarkText


# When something was done, by the clock of whoever did it: it tells one act from the next.
Moment = Annotated[str, StringConstraints(pattern=r"^[0-9TZ:.-]{10,30}$")]


class OutsideChoice(Model):
    """place: none where none of the takes was chosen; then with a reason."""

    at: Moment
    place: Place | None
    reason: Annotated[str, StringConstraints(max_length=limits.MAX_REMARK_LENGTH)] = ""


class OutsideApproval(Model):
    place: Place
    at: Moment


class OutsideAnswers(Model):
    """What comes back from a review that was sent as a file: by whom, said, chosen, approved."""

    format: Literal["tonada-review-answers"]
    version: Literal[1]
    review: Annotated[str, StringConstraints(pattern=r"^[0-9a-f-]{36}$")]
    key: Annotated[str, StringConstraints(pattern=r"^[A-Za-z0-9-]{8,60}$")]
    name: Name
    remarks: Annotated[tuple[OutsideRemark, ...], Field(max_length=200)] = ()
    choice: OutsideChoice | None = None
    approved: OutsideApproval | None = None


def document_digest(document: dict[str, Any]) -> str:
    """Return what a version's document is known by: SHA-256, in hex, of its JSON with sorted keys."""
    return hashlib.sha256(orjson.dumps(document, option=orjson.OPT_SORT_KEYS)).hexdigest()


def digests_shown(content: Mapping[str, Any]) -> frozenset[str]:
    """Return the digests of the files that the takes of a review show, of its content as it is kept."""
    shown = (take.get(kind) for take in content["takes"] for kind in ("logo", "picture", "sheet", "icons"))
    fonts = (
        one["file"]
        for take in content["takes"]
        for kind in ("letters", "fonts")
        for one in take.get(kind, ())
    )
    placed = (digest for take in content["takes"] for digest in take.get("pictures", {}).values())
    return frozenset(digest for digest in (*shown, *fonts, *placed) if digest)
