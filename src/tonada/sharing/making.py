"""A review is made: versions saved, what they show frozen, and links to it with their tokens."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime, time, timedelta
from uuid import UUID

from werkzeug.security import generate_password_hash

from tonada.core.errors import InputError
from tonada.core.limits import MAX_REVIEW_LINKS
from tonada.core.proof.pages import PAGES
from tonada.core.proof.typefaces import OWN, OwnFace, family_of
from tonada.core.take.proof_settings import ProofSettings, VoiceId
from tonada.core.take.take import Take
from tonada.document.review import Width
from tonada.document.take import TakeDocument
from tonada.files.page_faces import OwnFont
from tonada.files.press_profile import usual_press
from tonada.frozen.freezing import Frame, Frozen, Material, freeze
from tonada.frozen.page_set import PageSet, ReviewFile
from tonada.sharing.tokens import Token, new_token
from tonada.sharing.trade import trade_of
from tonada.store import brands, fonts, sources, takes, versions
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.store.reviews import frozen, links, mails, verdicts
from tonada.store.reviews.frozen import FrozenFile, NewReview, ReviewRow, ShownVersion
from tonada.store.reviews.links import LinkRow, NewLink

SHOWN_TO_A_CLIENT = "Shown to the client"
HANDED_AS_A_LINK = "Sent as a link"


@dataclass(frozen=True, slots=True)
class WantedTake:
    """A take that is to be shown, and what a client is to know it by; its own name where that is None."""

    take: UUID
    name: str | None = None


@dataclass(frozen=True, slots=True)
class WantedReview:
    """What is to be shown, and what may be done with it. pages: none shows the palettes alone.

    voice: the trade as it was confirmed, for takes that have none of their own; None for the one guessed.
    """

    takes: Sequence[WantedTake]
    pages: Sequence[str]
    widths: Sequence[Width]
    greeting: str
    may_comment: bool
    may_choose: bool
    may_approve: bool
    voice: VoiceId | None = None


@dataclass(frozen=True, slots=True)
class WantedLink:
    """Make another link. until: its last day, none for no end."""

    name: str = ""
    until: date | None = None
    passphrase: str | None = None


def make_review(
    connection: Connection, workspace: UUID, brand_id: UUID, wanted: WantedReview, page_set: PageSet
) -> ReviewRow:
    """Return a new review of takes as they are saved now; nobody has a link to it yet.

    Raises NotFound, Removed or InputError.
    """
    brand = brands.find(connection, workspace, brand_id)
    _check(wanted)
    asks = wanted.may_comment or wanted.may_choose or wanted.may_approve
    description = SHOWN_TO_A_CLIENT if asks else HANDED_AS_A_LINK
    materials = []
    for one in wanted.takes:
        row = takes.find(connection, workspace, one.take)
        if row.brand_id != brand.id:
            raise NotFound("take")
        take = TakeDocument.model_validate(row.document).to_take()
        if not take.swatches:
            raise InputError(f"{row.name} has no colours yet, so there is nothing to show.", field="takes")
        version = versions.cut(connection, workspace, row.id, description=description, is_automatic=True)
        materials.append(_material(connection, workspace, brand.id, one.name or row.name, version, take))
    frozen.allow_drawing(connection)
    found = freeze(_frame(connection, workspace, brand.id, brand.name, wanted), materials, usual_press())
    shown = [
        ShownVersion(one.take, kept.version, bytes.fromhex(kept.digest))
        for one, kept in zip(wanted.takes, found.content.takes, strict=True)
    ]
    keep_page_set(connection, workspace, page_set)
    keep_files_of(connection, workspace, found)
    new = NewReview(
        brand=brand.id,
        greeting=wanted.greeting,
        may_comment=wanted.may_comment,
        may_choose=wanted.may_choose,
        may_approve=wanted.may_approve,
        content=found.content.model_dump(mode="json"),
        page_set=bytes.fromhex(page_set.digest),
        versions=shown,
    )
    review = frozen.create(connection, workspace, new)
    names = ", ".join(f"{take.name}, version {take.version}" for take in found.content.takes)
    verdicts.record(connection, workspace, review.id, "made", detail={"takes": names})
    return review


def _check(wanted: WantedReview) -> None:
    if len({take.take for take in wanted.takes}) != len(wanted.takes):
        raise InputError("A take is shown once.", field="takes")
    known = {page.id for page in PAGES}
    wrong = next((page for page in wanted.pages if page not in known), None)
    if wrong is not None or len(set(wanted.pages)) != len(wanted.pages):
        raise InputError(f"Pages are: {', '.join(sorted(known))}; each once.", field="pages")


def _frame(connection: Connection, workspace: UUID, brand: UUID, name: str, wanted: WantedReview) -> Frame:
    return Frame(
        brand=name,
        studio=mails.studio(connection, workspace).studio,
        greeting=wanted.greeting,
        voice=wanted.voice or trade_of(connection, workspace, brand, name),
        pages=wanted.pages,
        widths=wanted.widths,
    )


def _material(
    connection: Connection, workspace: UUID, brand: UUID, name: str, version: versions.VersionRow, take: Take
) -> Material:
    return Material(
        name=name,
        version=version.number,
        document=version.document,
        dated=f"version {version.number}, {version.created_at:%-d %B %Y}",
        logo=shown_picture(connection, workspace, take.proof.logo),
        picture=shown_picture(connection, workspace, take.proof.picture),
        pictures=placed_pictures(connection, workspace, take.proof),
        fonts=own_fonts(connection, workspace, brand, take.proof),
    )


def shown_picture(connection: Connection, workspace: UUID, source: str | None) -> bytes | None:
    """Return the picture of a source as PNG; None where there is none."""
    try:
        return sources.preview(connection, workspace, UUID(source or ""))[0]
    except (ValueError, NotFound):
        return None


def placed_pictures(connection: Connection, workspace: UUID, proof: ProofSettings) -> dict[str, bytes]:
    """Return the pictures in places of pages as PNG, by source: those that are there."""
    wanted = sorted({one.source for one in proof.pictures})
    shown = ((source, shown_picture(connection, workspace, source)) for source in wanted)
    return {source: content for source, content in shown if content is not None}


def own_fonts(
    connection: Connection, workspace: UUID, brand: UUID, proof: ProofSettings
) -> tuple[OwnFont, ...]:
    """Return the fonts of the brand that a take is set in: those that are there."""
    named = {name for name in (proof.heading_face, proof.text_face) if name and name.startswith(OWN)}
    kept = fonts.contents_of(connection, workspace, brand, sorted(map(family_of, named)))
    return tuple(
        OwnFont(
            OwnFace(font.family, font.kind, font.lightest, font.heaviest, tuple(font.scripts), font.lacks),
            font.content,
        )
        for font in kept
    )


def keep_page_set(connection: Connection, workspace: UUID, page_set: PageSet) -> None:
    """Keep what draws the pages, with its files."""
    frozen.keep_files(connection, workspace, _rows(page_set.files.values()))
    frozen.keep_set(connection, workspace, bytes.fromhex(page_set.digest), page_set.names)


def keep_files_of(connection: Connection, workspace: UUID, found: Frozen) -> None:
    """Keep the pictures and sheets that a review shows."""
    frozen.keep_files(connection, workspace, _rows(found.files))


def _rows(files: Iterable[ReviewFile]) -> list[FrozenFile]:
    return [FrozenFile(bytes.fromhex(file.digest), file.mimetype, file.content) for file in files]


def make_link(
    connection: Connection, workspace: UUID, review: ReviewRow, wanted: WantedLink
) -> tuple[LinkRow, Token]:
    """Return a new link to a review, and its token, which is kept nowhere. Raises InputError."""
    if len(links.of_review(connection, workspace, review.id)) >= MAX_REVIEW_LINKS:
        raise InputError(f"A review has at most {MAX_REVIEW_LINKS} links.", field="link")
    token = new_token()
    new = NewLink(
        name=wanted.name,
        selector=token.selector,
        verifier=token.verifier,
        passphrase=generate_password_hash(wanted.passphrase) if wanted.passphrase else None,
        expires_at=end_of(wanted.until, links.now(connection)),
    )
    link = links.create(connection, workspace, review.id, new)
    verdicts.record(connection, workspace, review.id, "link made", link=link.id, detail={"link": wanted.name})
    return link, token


def end_of(until: date | None, now: datetime) -> datetime | None:
    """Return when a link ends that leads somewhere until the end of a day. Raises InputError for the past."""
    if until is None:
        return None
    # Until midnight in the last of the world's zones: a day is over nowhere before.
    ends = datetime.combine(until + timedelta(days=1), time(12), tzinfo=UTC)
    if ends <= now:
        raise InputError("The last day has passed already.", field="until")
    return ends
