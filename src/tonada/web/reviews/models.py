"""Reviews across the boundary: what is asked for, what a client gets, and what the designer gets."""

from __future__ import annotations

import base64
from datetime import date, datetime
from typing import Annotated
from uuid import UUID

from pydantic import Field, StringConstraints

from tonada.core import limits
from tonada.document.parts import Described, Line, Model, Name
from tonada.document.proof import VoiceText
from tonada.document.review import About, Place, RemarkText, ShortText, Width
from tonada.store.reviews.lists import ListedReview
from tonada.store.reviews.mails import MailRow, Studio
from tonada.store.reviews.verdicts import ApprovedVersion

Greeting = Annotated[str, StringConstraints(max_length=limits.MAX_GREETING_LENGTH, strip_whitespace=True)]
# Simple on purpose: whether a mail arrives is known only where it is sent.
MailAddress = Annotated[
    str, StringConstraints(pattern=r"^[^\s@<>\",;:]{1,64}@[^\s@<>\",;:]{1,120}$", max_length=190)
]
Reason = Annotated[str, StringConstraints(max_length=limits.MAX_REMARK_LENGTH, strip_whitespace=True)]


class ReviewPath(Described):
    review_id: UUID


class LinkPath(ReviewPath):
    link_id: UUID


class RemarkPath(ReviewPath):
    remark_id: UUID


class TokenPath(Described):
    token: str


class TokenFilePath(TokenPath):
    digest: str


class TokenRemarkPath(TokenPath):
    remark_id: UUID


class LinkBody(Model):
    """Make another link. until: its last day, none for no end. mail: the address that it is sent to."""

    name: Annotated[str, StringConstraints(max_length=limits.MAX_NAME_LENGTH), Line] = ""
    until: date | None = None
    passphrase: Annotated[str, StringConstraints(min_length=4, max_length=200)] | None = None
    mail: MailAddress | None = None


class NewReviewTake(Model):
    """A take, and what a client is to know it by; its own name where there is none."""

    take: UUID
    name: Name | None = None


class NewReviewBody(Model):
    """Takes that are shown, saved as versions now. pages: none shows the palettes alone.

    voice: the trade as the designer confirmed it, for takes that have none of their own.
    """

    takes: Annotated[tuple[NewReviewTake, ...], Field(min_length=1, max_length=limits.MAX_REVIEW_TAKES)]
    pages: Annotated[tuple[ShortText, ...], Field(max_length=12)] = ()
    widths: Annotated[tuple[Width, ...], Field(min_length=1, max_length=2)] = ("wide", "phone")
    greeting: Greeting = ""
    may_comment: bool = True
    may_choose: bool = True
    may_approve: bool = True
    voice: VoiceText | None = None
    link: LinkBody = LinkBody()


class LinkAnswer(Model):
    """A link as the designer sees it; its token is shown only where it is made."""

    id: UUID
    name: str
    has_passphrase: bool
    expires_at: datetime | None
    withdrawn_at: datetime | None
    created_at: datetime
    first_opened_at: datetime | None
    last_opened_at: datetime | None
    opened: int


class NewLinkAnswer(Model):
    """path: where the link leads, to be put behind an origin. address: the whole, where clients reach it.

    mailed: whether a mail with it was taken; problem: why not.
    """

    link: LinkAnswer
    path: str
    address: str | None
    mailed: bool
    problem: str | None


class RemarkAnswer(Model):
    """A remark. is_own: it may still be changed by who asks. text: empty where it was taken back."""

    id: UUID
    answers: UUID | None
    about: About
    author: str
    is_designer: bool
    is_own: bool
    text: str
    created_at: datetime
    edited_at: datetime | None
    is_taken_back: bool
    is_resolved: bool


class ChoiceAnswer(Model):
    """place: none where none of the takes was chosen. is_own: chosen by the link that asks."""

    who: str
    place: Place | None
    reason: str
    at: datetime
    is_own: bool


class ApprovalAnswer(Model):
    who: str
    place: Place
    name: str
    version: int
    digest: str
    take: UUID
    at: datetime


class SaidAnswer(Model):
    """Remarks, choices and approval so far."""

    remarks: tuple[RemarkAnswer, ...]
    choices: tuple[ChoiceAnswer, ...]
    approval: ApprovalAnswer | None


class ClientReviewAnswer(Model):
    """What a client may do, and what was said; what they see is its content.

    pages_address: of what draws the pages; files_address: of pictures and sheets.
    """

    id: UUID
    may_comment: bool
    may_choose: bool
    may_approve: bool
    reader: str
    ends_at: datetime | None
    pages_address: str
    files_address: str
    most_characters: int = limits.MAX_REMARK_LENGTH
    csrf_token: str
    said: SaidAnswer


class PassphraseBody(Model):
    passphrase: Annotated[str, StringConstraints(min_length=1, max_length=200)]


class ClientRemarkBody(Model):
    """A remark by a client. answers: the remark that it answers."""

    about: About = About()
    name: Name
    text: RemarkText
    answers: UUID | None = None


class DesignerRemarkBody(Model):
    about: About = About()
    text: RemarkText
    answers: UUID | None = None


class TextOfRemarkBody(Model):
    text: RemarkText


class ResolvedBody(Model):
    resolved: bool


class ChoiceBody(Model):
    """place: none for none of the takes, which needs a reason."""

    name: Name
    place: Place | None
    reason: Reason = ""


class ApprovalBody(Model):
    """agreed: the tick beside “I approve”."""

    name: Name
    place: Place
    agreed: bool


class ReopeningBody(Model):
    reason: Reason = ""


class UntilBody(Model):
    until: date | None


class HappeningAnswer(Model):
    at: datetime
    text: str


class ReviewAnswer(Model):
    """A review as the designer sees it. address: where clients reach reviews, none on a laptop."""

    id: UUID
    brand_id: UUID
    created_at: datetime
    withdrawn_at: datetime | None
    greeting: str
    may_comment: bool
    may_choose: bool
    may_approve: bool
    takes: tuple[ShownTakeSummary, ...]
    pages: tuple[str, ...]
    links: tuple[LinkAnswer, ...]
    said: SaidAnswer
    history: tuple[HappeningAnswer, ...]
    origin: str | None


class ShownTakeSummary(Model):
    name: str
    version: int
    take: UUID
    digest: str
    failing: int
    colors: tuple[str, ...]


class MadeReviewAnswer(Model):
    review: ReviewAnswer
    link: NewLinkAnswer


class ReviewsAnswer(Model):
    """Reviews of a brand, the newest first. origin: where clients reach them, none on a laptop."""

    reviews: tuple[ListedReview, ...]
    origin: str | None


class TakeRemark(Model):
    """Something a client said of a take, and in which review."""

    review: UUID
    remark: RemarkAnswer


class CameBackAnswer(Model):
    """What clients say of a take: remarks that are not resolved, and approvals, newest first."""

    remarks: tuple[TakeRemark, ...]
    approvals: tuple[ApprovedVersion, ...]


class AnswersBody(Model):
    """What came back from a review that was sent as a file: the file's text, or the text to paste."""

    text: Annotated[str, StringConstraints(min_length=1, max_length=limits.MAX_ANSWERS_CHARACTERS)]


class TakenInAnswer(Model):
    """name: whose answers they are. added: remarks that are new; the others were there already.

    is_late: a choice or an approval came after the review was approved, and does not count.
    """

    name: str
    added: int
    is_late: bool
    review: ReviewAnswer


class StudioBody(Model):
    """studio: who signs. notified: where it is told what came back; empty for nowhere."""

    studio: Annotated[str, StringConstraints(max_length=limits.MAX_NAME_LENGTH), Line] = ""
    notified: MailAddress | Annotated[str, StringConstraints(max_length=0)] = ""


class StudioAnswer(Model):
    """sends: by what mail goes out, “smtp” or “outbox”. mark: for emails, a PNG as data, or empty."""

    studio: str
    notified: str
    sends: str
    mark: str

    @classmethod
    def of(cls, studio: Studio, sends: str) -> StudioAnswer:
        data = base64.b64encode(studio.mark).decode() if studio.mark else ""
        mark = f"data:image/png;base64,{data}" if data else ""
        return cls(studio=studio.studio, notified=studio.notified, sends=sends, mark=mark)


class MailAnswer(Model):
    id: UUID
    recipient: str
    subject: str
    text: str
    created_at: datetime
    sent_at: datetime | None
    problem: str | None

    @classmethod
    def of(cls, row: MailRow) -> MailAnswer:
        return cls(**{name: getattr(row, name) for name in cls.model_fields})


class OutboxAnswer(Model):
    mails: tuple[MailAnswer, ...]
    sends: str


class MailPath(Described):
    mail_id: UUID
