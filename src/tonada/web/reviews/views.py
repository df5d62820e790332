"""The designer's side of reviews: made, looked after, answered; what came back."""

from __future__ import annotations

from uuid import UUID

from flask import Response, current_app, request

from tonada.core.errors import InputError
from tonada.frozen.page_set import page_set_in
from tonada.sharing.making import WantedLink, WantedReview, WantedTake, end_of, make_link, make_review
from tonada.store import brands, takes
from tonada.store.database import Connection
from tonada.store.reviews import frozen, links, lists, mails, notices, remarks, verdicts
from tonada.store.reviews.frozen import ReviewRow
from tonada.store.reviews.remarks import NewRemark, Writer
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.reviews.hosts import review_origin
from tonada.web.reviews.links import link_answer, new_link_answer
from tonada.web.reviews.models import (
    CameBackAnswer,
    DesignerRemarkBody,
    LinkBody,
    LinkPath,
    MadeReviewAnswer,
    NewLinkAnswer,
    NewReviewBody,
    RemarkPath,
    ReopeningBody,
    ResolvedBody,
    ReviewAnswer,
    ReviewPath,
    ReviewsAnswer,
    ShownTakeSummary,
    TextOfRemarkBody,
    UntilBody,
)
from tonada.web.reviews.said import Asked, came_back, history_of, said_of
from tonada.web.reviews.streams import ALL, StreamResponse, Streams
from tonada.web.security import SHEETS_PER_MINUTE, limiter
from tonada.web.takes.views import TakePath

api = blueprint("reviews")

YOU = "You"


@api.get("/brands/<uuid:brand_id>/reviews", responses={200: ReviewsAnswer}, summary="A brand's reviews")
def list_reviews(path: BrandPath) -> Response:
    with workspace_connection() as (connection, workspace):
        brands.find(connection, workspace, path.brand_id)
        found = lists.of_brands(connection, workspace, [path.brand_id])
    return answer(ReviewsAnswer(reviews=tuple(found), origin=_origin()))


@api.post(
    "/brands/<uuid:brand_id>/reviews",
    responses={201: MadeReviewAnswer},
    summary="Show takes to a client: saves versions and makes a link",
)
@limiter.limit(SHEETS_PER_MINUTE)
def create_review(path: BrandPath, body: NewReviewBody) -> Response:
    page_set = page_set_in(current_app.extensions["tonada.settings"].frontend)
    with workspace_connection() as (connection, workspace):
        review = make_review(connection, workspace, path.brand_id, _wanted(body), page_set)
        link = make_link(connection, workspace, review, _wanted_link(body.link))
        notices.tell(connection, review.id)
        whole = review_answer(connection, workspace, review)
    made = new_link_answer(review, link, body.link.mail)
    return answer(MadeReviewAnswer(review=whole, link=made), 201)


@api.get(
    "/reviews/<uuid:review_id>",
    responses={200: ReviewAnswer},
    summary="A review, with remarks, choices and approval",
)
def read_review(path: ReviewPath) -> Response:
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        whole = review_answer(connection, workspace, review)
    return answer(whole)


@api.post("/reviews/<uuid:review_id>/links", responses={201: NewLinkAnswer}, summary="Make another link")
def create_link(path: ReviewPath, body: LinkBody) -> Response:
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        if review.withdrawn_at is not None:
            raise InputError("This review was withdrawn. Make a new one.", field="review")
        made = make_link(connection, workspace, review, _wanted_link(body))
        notices.tell(connection, review.id)
    return answer(new_link_answer(review, made, body.mail), 201)


@api.put(
    "/reviews/<uuid:review_id>/links/<uuid:link_id>",
    responses={200: ReviewAnswer},
    summary="Change the day on which a link ends",
)
def prolong_link(path: LinkPath, body: UntilBody) -> Response:
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        ends = end_of(body.until, links.now(connection))
        links.prolong(connection, workspace, review.id, path.link_id, ends)
        until = f"on {body.until:%-d %B %Y}" if body.until else None
        detail = {"until": until, "link": _name_of(connection, workspace, path)}
        verdicts.record(connection, workspace, review.id, "prolonged", link=path.link_id, detail=detail)
        whole = _changed(connection, workspace, review.id)
    return answer(whole)


@api.post(
    "/reviews/<uuid:review_id>/links/<uuid:link_id>/withdrawal",
    responses={200: ReviewAnswer},
    summary="Withdraw a link",
)
def withdraw_link(path: LinkPath) -> Response:
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        links.withdraw(connection, workspace, review.id, path.link_id)
        detail = {"link": _name_of(connection, workspace, path)}
        verdicts.record(connection, workspace, review.id, "link withdrawn", link=path.link_id, detail=detail)
        whole = _changed(connection, workspace, review.id)
    return answer(whole)


@api.post(
    "/reviews/<uuid:review_id>/withdrawal", responses={200: ReviewAnswer}, summary="Withdraw a whole review"
)
def withdraw_review(path: ReviewPath) -> Response:
    with workspace_connection() as (connection, workspace):
        frozen.withdraw(connection, workspace, path.review_id)
        verdicts.record(connection, workspace, path.review_id, "withdrawn")
        whole = _changed(connection, workspace, path.review_id)
    return answer(whole)


@api.post(
    "/reviews/<uuid:review_id>/remarks", responses={201: ReviewAnswer}, summary="Answer a remark, or add one"
)
def say(path: ReviewPath, body: DesignerRemarkBody) -> Response:
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        if body.about.place is not None and body.about.place >= len(review.content["takes"]):
            raise InputError(f"This review shows {len(review.content['takes'])} takes.", field="about.place")
        new = NewRemark(body.about.model_dump(mode="json"), YOU, body.text, body.answers)
        remarks.create(connection, workspace, review.id, _writer(), new)
        whole = _changed(connection, workspace, review.id)
    return answer(whole, 201)


@api.put(
    "/reviews/<uuid:review_id>/remarks/<uuid:remark_id>",
    responses={200: ReviewAnswer},
    summary="Change one's own remark while it is new",
)
def edit(path: RemarkPath, body: TextOfRemarkBody) -> Response:
    with workspace_connection() as (connection, workspace):
        remarks.edit(connection, workspace, path.review_id, path.remark_id, _writer(), body.text)
        whole = _changed(connection, workspace, path.review_id)
    return answer(whole)


@api.delete(
    "/reviews/<uuid:review_id>/remarks/<uuid:remark_id>",
    responses={200: ReviewAnswer},
    summary="Delete one's own remark while it is new",
)
def take_back(path: RemarkPath) -> Response:
    with workspace_connection() as (connection, workspace):
        remarks.take_back(connection, workspace, path.review_id, path.remark_id, _writer())
        whole = _changed(connection, workspace, path.review_id)
    return answer(whole)


@api.put(
    "/reviews/<uuid:review_id>/remarks/<uuid:remark_id>/resolution",
    responses={200: ReviewAnswer},
    summary="Mark a remark as resolved, or not",
)
def resolve(path: RemarkPath, body: ResolvedBody) -> Response:
    with workspace_connection() as (connection, workspace):
        remarks.resolve(connection, workspace, path.review_id, path.remark_id, resolved=body.resolved)
        whole = _changed(connection, workspace, path.review_id)
    return answer(whole)


@api.post(
    "/reviews/<uuid:review_id>/reopening",
    responses={200: ReviewAnswer},
    summary="Open an approved review again",
)
def reopen(path: ReviewPath, body: ReopeningBody) -> Response:
    with workspace_connection() as (connection, workspace):
        verdicts.lock(connection, workspace, path.review_id)
        if not verdicts.reopen(connection, workspace, path.review_id):
            raise InputError("This review isn't approved, so it is open already.", field="review")
        verdicts.record(connection, workspace, path.review_id, "reopened", detail={"reason": body.reason})
        whole = _changed(connection, workspace, path.review_id)
    return answer(whole)


@api.get("/reviews/events", summary="A line whenever something of a review is new (text/event-stream)")
def stream() -> Response:
    streams: Streams = current_app.extensions["tonada.streams"]
    return StreamResponse(streams, ALL)


@api.get(
    "/takes/<uuid:take_id>/came-back", responses={200: CameBackAnswer}, summary="Clients' remarks on a take"
)
def read_came_back(path: TakePath) -> Response:
    with workspace_connection() as (connection, workspace):
        takes.find(connection, workspace, path.take_id)
        found = came_back(connection, workspace, path.take_id, Asked(_writer(), YOU))
    return answer(found)


def review_answer(connection: Connection, workspace: UUID, review: ReviewRow) -> ReviewAnswer:
    """Return a review as the designer sees it."""
    content = review.content
    rows = links.of_review(connection, workspace, review.id)
    shown = frozen.versions_of(connection, workspace, review.id)
    return ReviewAnswer(
        id=review.id,
        brand_id=review.brand_id,
        created_at=review.created_at,
        withdrawn_at=review.withdrawn_at,
        greeting=review.greeting,
        may_comment=review.may_comment,
        may_choose=review.may_choose,
        may_approve=review.may_approve,
        takes=tuple(
            ShownTakeSummary(
                name=one["name"],
                version=one["version"],
                take=version.take,
                digest=one["digest"],
                failing=one["failing"],
                colors=tuple(color["hex"] for color in one["colors"]["day"]),
            )
            for one, version in zip(content["takes"], shown, strict=True)
        ),
        pages=tuple(page["name"] for page in content["pages"]),
        links=tuple(link_answer(row) for row in rows if not row.by_file),
        said=said_of(connection, workspace, review, Asked(_writer(), YOU)),
        history=history_of(
            verdicts.events(connection, workspace, review.id),
            remarks.of_review(connection, workspace, review.id),
            designer_name(connection, workspace),
        ),
        origin=_origin(),
    )


def designer_name(connection: Connection, workspace: UUID) -> str:
    """Return how the designer is called in a history."""
    return mails.studio(connection, workspace).studio or "The designer"


def _changed(connection: Connection, workspace: UUID, review_id: UUID) -> ReviewAnswer:
    notices.tell(connection, review_id)
    return review_answer(connection, workspace, frozen.find(connection, workspace, review_id))


def _name_of(connection: Connection, workspace: UUID, path: LinkPath) -> str:
    rows = links.of_review(connection, workspace, path.review_id)
    return next((row.name for row in rows if row.id == path.link_id), "")


def _writer() -> Writer:
    """The designer: whoever is let into the studio may change what the studio said."""
    return Writer(None, None)


def _origin() -> str | None:
    return review_origin(current_app.extensions["tonada.settings"], request.host)


def _wanted(body: NewReviewBody) -> WantedReview:
    wanted = {name: getattr(body, name) for name in WantedReview.__slots__}
    return WantedReview(**wanted | {"takes": [WantedTake(take.take, take.name) for take in body.takes]})


def _wanted_link(body: LinkBody) -> WantedLink:
    return WantedLink(body.name, body.until, body.passphrase)
