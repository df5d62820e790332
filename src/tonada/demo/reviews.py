"""The demo's reviews: one that ended in a yes, and one that is out."""

from __future__ import annotations

import os
from collections.abc import Sequence
from functools import lru_cache
from typing import Final
from uuid import UUID

from tonada.core.source.pictures import render_preview
from tonada.files.page_faces import built_front_end
from tonada.files.sheet_preview import front_of
from tonada.frozen.page_set import NotBuilt, page_set_in
from tonada.mail.messages import (
    LINK_LEFT_OUT,
    CameBack,
    Sent,
    approval_made,
    as_kept,
    remark_made,
    review_sent,
)
from tonada.mail.server import Letter
from tonada.sharing.making import WantedLink, WantedReview, WantedTake, make_link, make_review
from tonada.store.database import Connection
from tonada.store.reviews import frozen, links, mails, remarks, verdicts
from tonada.store.reviews.frozen import ReviewRow
from tonada.store.reviews.mails import NewMail, Studio
from tonada.store.reviews.remarks import NewRemark, Writer

# A lantern and its light, made up like all of the demo.
MARK: Final = b"""<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 80">
<path d="M28 8h24v8H28zM20 20h40l6 44H14zM24 68h32v6H24z" fill="#161616"/>
<path d="M40 28q12 14 0 30q-12 -16 0 -30z" fill="#f4c542"/>
<path d="M90 24h10v32h24v10H90zM136 24h10v32h24v10h-34z" fill="#161616"/></svg>"""
STUDIO: Final = Studio("Lantern Lane Studio", "studio@lantern-lane.example")
CLIENT: Final = "Ana"
_HEADING: Final = {"kind": "part", "place": 0, "page": "home", "part": "Opening’s heading"}
_BUTTON: Final = {"kind": "part", "place": 0, "page": "home", "part": "Opening’s button"}


def seed_observatory(connection: Connection, workspace: UUID, brand: UUID, takes: Sequence[UUID]) -> None:
    """Show two takes to the observatory, which says something, chooses and approves."""
    mails.set_studio(connection, workspace, STUDIO)
    mails.set_mark(connection, workspace, _mark())
    shown = [WantedTake(takes[0], "Midnight"), WantedTake(takes[1], "Dusk")]
    review = _made(connection, workspace, brand, shown, "Two suggestions. Look at both, and choose one.")
    if review is None:
        return
    link, _ = make_link(connection, workspace, review, WantedLink(CLIENT))
    links.note_opened(connection, workspace, link.id)
    verdicts.record(connection, workspace, review.id, "opened", link=link.id, detail={"link": CLIENT})
    writer, designer = Writer(link.id, None), Writer(None, None)

    def say(who: Writer, about: dict[str, object], text: str, answers: UUID | None = None) -> UUID | None:
        new = NewRemark({**about, "name": about.get("part", "")}, CLIENT, text, answers)
        made = remarks.create(connection, workspace, review.id, who, new)
        return made.id if made else None

    first = say(writer, _HEADING, "Lovely on the dark blue, but can it be read from the back row?")
    say(designer, _HEADING, "Yes: it is well above what a heading of that size needs.", first)
    say(writer, _BUTTON, "Could this be the copper instead?")
    say(writer, {"kind": "whole", "place": 1}, "Warmer, but it is less the night sky.")
    midnight = review.content["takes"][0]
    detail = {"place": 0, "name": "Midnight", "reason": ""}
    verdicts.record(connection, workspace, review.id, "chosen", link=link.id, who=CLIENT, detail=detail)
    approved = {name: midnight[name] for name in ("name", "version", "digest")}
    verdicts.record(connection, workspace, review.id, "approved", link=link.id, who=CLIENT, detail=approved)
    verdicts.approve(connection, workspace, review.id, 0, CLIENT, link.id)
    words = "Could this be the copper instead?"
    sheet = frozen.read_file(connection, workspace, bytes.fromhex(midnight["sheet"])).content
    sent = review_sent("ana@orrin-peak.example", _sent(review, front_of(sheet)))
    _mail(connection, workspace, review, as_kept(sent))
    said = "Ana remarked on Opening’s button:"
    _mail(connection, workspace, review, remark_made(STUDIO.notified, _back(review, said, words)))
    yes = f"Ana approved Midnight, version {midnight['version']}."
    _mail(connection, workspace, review, approval_made(STUDIO.notified, _back(review, yes, "")))


def seed_saltmarsh(connection: Connection, workspace: UUID, brand: UUID, take: UUID) -> None:
    """Show one take to the kayak school, which has not looked yet."""
    shown = [WantedTake(take, "Marsh green")]
    review = _made(connection, workspace, brand, shown, "Here is a first idea. Say what you think.")
    if review is not None:
        make_link(connection, workspace, review, WantedLink("The board"))


def _made(
    connection: Connection, workspace: UUID, brand: UUID, takes: Sequence[WantedTake], greeting: str
) -> ReviewRow | None:
    """Return a new review; None where the front end isn't built, so that there is nothing to show."""
    try:
        page_set = page_set_in(built_front_end())
    except NotBuilt:
        return None
    wanted = WantedReview(
        takes=takes,
        pages=("board", "home", "article", "shop"),
        widths=("wide", "phone"),
        greeting=greeting,
        may_comment=True,
        may_choose=True,
        may_approve=True,
    )
    return make_review(connection, workspace, brand, wanted, page_set)


def _sent(review: ReviewRow, picture: bytes) -> Sent:
    names = [str(take["name"]) for take in review.content["takes"]]
    brand = str(review.content["brand"])
    return Sent(
        brand=brand,
        studio=STUDIO.studio,
        greeting=review.greeting,
        takes=names,
        link=LINK_LEFT_OUT,
        until="",
        colors=_colors(review),
        picture=picture,
        mark=_mark(),
        address=STUDIO.notified,
    )


@lru_cache(maxsize=1)
def _mark() -> bytes:
    return render_preview(MARK)


def _back(review: ReviewRow, what: str, words: str) -> CameBack:
    # Where the demo is served: see run/serve.py.
    port = os.environ.get("PORT") or "8600"
    address = f"http://127.0.0.1:{port}/brands/{review.brand_id}/reviews/{review.id}"
    return CameBack(str(review.content["brand"]), what, words, address, _colors(review))


def _colors(review: ReviewRow) -> list[str]:
    return [str(entry["hex"]) for entry in review.content["takes"][0]["colors"]["day"][:6]]


def _mail(connection: Connection, workspace: UUID, review: ReviewRow, letter: Letter) -> None:
    new = NewMail(letter.recipient, letter.subject, letter.text, letter.html)
    mails.queue(connection, workspace, review.id, [new], is_sent=True)
