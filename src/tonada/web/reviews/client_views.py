"""The client's side: what a link shows, and what may be said, chosen and approved by it."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any, Final
from uuid import UUID

import orjson
from flask import Response, current_app, request
from flask_wtf.csrf import generate_csrf

from tonada.core.errors import InputError
from tonada.document.review import ReviewContent, digests_shown
from tonada.mail.messages import CameBack, approval_made, choice_made, remark_made
from tonada.mail.server import Letter
from tonada.store.errors import NotFound
from tonada.store.reviews import frozen, links, mails, notices, remarks, verdicts
from tonada.store.reviews.remarks import NewRemark
from tonada.web.answers import answer, blueprint
from tonada.web.handoff.handed import attached
from tonada.web.reviews.compressed import compressed
from tonada.web.reviews.courier import Courier, new_mail
from tonada.web.reviews.guests import Guest, guest, unlock
from tonada.web.reviews.models import (
    ApprovalBody,
    ChoiceBody,
    ClientRemarkBody,
    ClientReviewAnswer,
    PassphraseBody,
    SaidAnswer,
    TextOfRemarkBody,
    TokenFilePath,
    TokenPath,
    TokenRemarkPath,
)
from tonada.web.reviews.said import DESIGNER, Asked, said_of
from tonada.web.reviews.streams import StreamResponse, Streams
from tonada.web.security import csrf, limiter, the_address

api = blueprint("review")
door = blueprint("review_door")
# Whoever asks here has no token yet; what protects is the passphrase, and nothing but the session changes.
csrf.exempt(door)

# Of an address: links that lead nowhere, and passphrases. Whoever has a link needs none of them.
GUESSES: Final = "20 per minute"
WRITINGS: Final = "40 per minute"
# Of an address: where a studio's clients share one, everybody keeps a stream.
STREAMS: Final = "240 per minute"


def _is_guess(response: Response) -> bool:
    return response.status_code == 404


guesses = limiter.shared_limit(GUESSES, scope="review tokens", key_func=the_address, deduct_when=_is_guess)
writings = limiter.shared_limit(WRITINGS, scope="review writings", key_func=the_address)


@api.get("/review/<string:token>", responses={200: ClientReviewAnswer}, summary="What a link shows")
@guesses
def read_review(path: TokenPath) -> Response:
    with guest(path.token) as found:
        review, link = found.review, found.link
        if link.first_opened_at is None:
            verdicts.record(
                found.connection,
                found.workspace,
                review.id,
                "opened",
                link=link.id,
                detail={"link": link.name},
            )
        links.note_opened(found.connection, found.workspace, link.id)
        if link.first_opened_at is None:
            notices.tell(found.connection, review.id)
        said = _said(found)
    return answer(
        ClientReviewAnswer(
            id=review.id,
            may_comment=review.may_comment,
            may_choose=review.may_choose,
            may_approve=review.may_approve,
            reader=link.name,
            ends_at=link.expires_at,
            pages_address=f"/review/pages/{review.page_set.hex()}/",
            files_address=f"/api/review/{path.token}/files/",
            csrf_token=generate_csrf(),
            said=said,
        )
    )


@api.get(
    "/review/<string:token>/content",
    responses={200: ReviewContent},
    summary="What the review shows; it never changes",
)
@guesses
def read_content(path: TokenPath) -> Response:
    with guest(path.token) as found:
        content = found.review.content
    return compressed(orjson.dumps(content), "application/json")


@api.get(
    "/review/<string:token>/said", responses={200: SaidAnswer}, summary="Remarks, choices and approval so far"
)
@guesses
def read_said(path: TokenPath) -> Response:
    with guest(path.token) as found:
        said = _said(found)
    return answer(said)


@door.post("/review/<string:token>/passphrase", summary="Give the passphrase of a review")
@limiter.limit(GUESSES, key_func=the_address)
def give_passphrase(path: TokenPath, body: PassphraseBody) -> Response:
    unlock(path.token, body.passphrase)
    return Response(status=204)


@api.get("/review/<string:token>/events", summary="A line whenever something is new (text/event-stream)")
@limiter.limit(STREAMS, key_func=the_address)
@guesses
def stream(path: TokenPath) -> Response:
    with guest(path.token) as found:
        review = found.review.id
    streams: Streams = current_app.extensions["tonada.streams"]
    return StreamResponse(streams, review)


@api.get("/review/<string:token>/files/<string:digest>", summary="A picture or a sheet of a review")
@guesses
def read_file(path: TokenFilePath) -> Response:
    with guest(path.token) as found:
        content = found.review.content
        if path.digest not in digests_shown(content):
            raise NotFound("file")
        file = frozen.read_file(found.connection, found.workspace, bytes.fromhex(path.digest))
        brand = str(content["brand"])
    if file.mimetype == "application/pdf":
        return attached(file.content, f"{brand} colours.pdf", file.mimetype)
    if file.mimetype == "application/zip":
        return attached(file.content, f"{brand} icons.zip", file.mimetype)
    return Response(file.content, mimetype=file.mimetype)


@api.post("/review/<string:token>/remarks", responses={201: SaidAnswer}, summary="Add a remark")
@writings
@guesses
def say(path: TokenPath, body: ClientRemarkBody) -> Response:
    with guest(path.token) as found:
        _may(found.review.may_comment, "said")
        about = checked_about(found, body)
        new = NewRemark(about, body.name, body.text, body.answers)
        remarks.create(found.connection, found.workspace, found.review.id, found.writer, new)
        what = f"{body.name} remarked on {about['name']}:" if about["name"] else f"{body.name} made a remark:"
        _tell(found, what, body.text, remark_made)
        said = _said(found)
    _wake()
    return answer(said, 201)


@api.put(
    "/review/<string:token>/remarks/<uuid:remark_id>",
    responses={200: SaidAnswer},
    summary="Change one's own remark while it is new",
)
@writings
@guesses
def edit(path: TokenRemarkPath, body: TextOfRemarkBody) -> Response:
    with guest(path.token) as found:
        _may(found.review.may_comment, "said")
        review = found.review.id
        remarks.edit(found.connection, found.workspace, review, path.remark_id, found.writer, body.text)
        notices.tell(found.connection, review)
        said = _said(found)
    return answer(said)


@api.delete(
    "/review/<string:token>/remarks/<uuid:remark_id>",
    responses={200: SaidAnswer},
    summary="Delete one's own remark while it is new",
)
@writings
@guesses
def take_back(path: TokenRemarkPath) -> Response:
    with guest(path.token) as found:
        review = found.review.id
        remarks.take_back(found.connection, found.workspace, review, path.remark_id, found.writer)
        notices.tell(found.connection, review)
        said = _said(found)
    return answer(said)


@api.put(
    "/review/<string:token>/choice", responses={200: SaidAnswer}, summary="Choose one of the takes, or none"
)
@writings
@guesses
def choose(path: TokenPath, body: ChoiceBody) -> Response:
    with guest(path.token) as found:
        _may(found.review.may_choose, "chosen")
        choose_for(found, body)
        said = _said(found)
    _wake()
    return answer(said)


@api.post("/review/<string:token>/approval", responses={201: SaidAnswer}, summary="Approve one of the takes")
@writings
@guesses
def approve(path: TokenPath, body: ApprovalBody) -> Response:
    with guest(path.token) as found:
        _may(found.review.may_approve, "approved")
        if not body.agreed:
            raise InputError("Tick that you approve it.", field="agreed")
        approve_for(found, body)
        said = _said(found)
    _wake()
    return answer(said, 201)


def checked_about(found: Guest, body: ClientRemarkBody) -> dict[str, object]:
    """Return what a remark hangs on, as it is kept. Raises InputError for a take that isn't shown."""
    about = body.about
    if about.place is not None:
        _take_at(found, about.place, "about.place")
    return about.model_dump(mode="json")


def choose_for(found: Guest, body: ChoiceBody, outside_key: str | None = None) -> None:
    """Note what a reader holds now. Raises Closed or InputError."""
    name = None
    if body.place is not None:
        name = str(_take_at(found, body.place, "place")["name"])
    elif not body.reason:
        raise InputError(
            "Say why none of them works, so that the next suggestions come closer.", field="reason"
        )
    _open(found)
    detail = {"place": body.place, "name": name, "reason": body.reason}
    if _record(found, "chosen", body.name, detail, outside_key):
        what = f"{body.name} chose {name}." if name else f"{body.name} chose none of them:"
        _tell(found, what, body.reason, choice_made)


def approve_for(found: Guest, body: ApprovalBody, outside_key: str | None = None) -> None:
    """Record an approval, which closes the review. Raises Closed or InputError."""
    take = _take_at(found, body.place, "place")
    _open(found)
    detail = {"name": take["name"], "version": take["version"], "digest": take["digest"]}
    if _record(found, "approved", body.name, detail, outside_key):
        verdicts.approve(
            found.connection, found.workspace, found.review.id, body.place, body.name, found.link.id
        )
        what = f"{body.name} approved {take['name']}, version {take['version']}."
        _tell(found, what, "", approval_made)


def _record(found: Guest, kind: str, who: str, detail: dict[str, Any], outside_key: str | None) -> bool:
    """Note what a reader did; False for what came from outside and is there already."""
    return verdicts.record(
        found.connection,
        found.workspace,
        found.review.id,
        kind,
        link=found.link.id,
        who=who,
        detail=detail,
        outside_key=outside_key,
    )


def _open(found: Guest) -> None:
    """Hold the review for this transaction. Raises Closed or, where it is full, InputError."""
    verdicts.lock(found.connection, found.workspace, found.review.id)
    if verdicts.approval(found.connection, found.workspace, found.review.id) is not None:
        raise verdicts.Closed
    if verdicts.is_full(found.connection, found.workspace, found.review.id):
        raise InputError(
            "This review is full: nothing more can be recorded. Ask your designer for a new one.",
            field="place",
        )


def _take_at(found: Guest, place: int, field: str) -> dict[str, object]:
    takes: list[dict[str, object]] = found.review.content["takes"]
    if place >= len(takes):
        raise InputError(f"This review shows {len(takes)} takes.", field=field)
    return takes[place]


def _may(is_allowed: bool, what: str) -> None:
    if not is_allowed:
        raise InputError(f"This review is to be looked at; nothing can be {what} here.", field="review")


def _said(found: Guest) -> SaidAnswer:
    designer = str(found.review.content.get("studio") or DESIGNER)
    return said_of(found.connection, found.workspace, found.review, Asked(found.writer, designer))


def _tell(found: Guest, what: str, words: str, letter: Callable[[str, CameBack], Letter]) -> None:
    """Tell who looks at the review, and the studio by mail where it has said so."""
    notices.tell(found.connection, found.review.id)
    to = mails.studio(found.connection, found.workspace).notified
    if to:
        content = found.review.content
        back = CameBack(
            brand=str(content["brand"]),
            what=what,
            words=words,
            address=designer_address(found.review.brand_id, found.review.id),
            colors=colors_of(content),
        )
        made = letter(to, back)
        courier: Courier = current_app.extensions["tonada.courier"]
        is_sent = courier.sends_by == "outbox"
        mails.queue(found.connection, found.workspace, found.review.id, [new_mail(made)], is_sent=is_sent)


def _wake() -> None:
    courier: Courier = current_app.extensions["tonada.courier"]
    courier.wake()


def designer_address(brand: UUID, review: UUID) -> str:
    """Return where the designer looks at a review: under the application's own host, whoever asks."""
    settings = current_app.extensions["tonada.settings"]
    scheme = "https" if settings.https else "http"
    own = request.host if not settings.review_hosts else settings.hosts[0]
    return f"{scheme}://{own}/brands/{brand}/reviews/{review}"


def colors_of(content: Mapping[str, Any]) -> list[str]:
    """Return a few colours of what is shown first, for the head of a mail."""
    return [entry["hex"] for entry in content["takes"][0]["colors"]["day"][:6]]
