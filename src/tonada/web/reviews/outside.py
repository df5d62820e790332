"""A review without a server: sent as one file, its answers taken in as if they had come by link."""

from __future__ import annotations

from uuid import UUID

from flask import Response, current_app

from tonada.core.errors import InputError
from tonada.document.review import OutsideAnswers, ReviewContent, digests_shown
from tonada.files.client_sheet import page_of, pdf_of
from tonada.frozen.answers import read_answers
from tonada.frozen.one_file import OneFile, offline_files, review_file
from tonada.sharing.tokens import new_token
from tonada.store import brands
from tonada.store.database import Connection
from tonada.store.reviews import frozen, links, notices, remarks, verdicts
from tonada.store.reviews.frozen import ReviewRow
from tonada.store.reviews.links import NewLink
from tonada.store.reviews.remarks import NewRemark, Writer
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.handoff.handed import attached
from tonada.web.reviews.client_views import approve_for, checked_about, choose_for
from tonada.web.reviews.guests import Guest
from tonada.web.reviews.models import (
    AnswersBody,
    ApprovalBody,
    ChoiceBody,
    ClientRemarkBody,
    ReviewPath,
    TakenInAnswer,
)
from tonada.web.reviews.said import history_of
from tonada.web.reviews.views import designer_name, review_answer
from tonada.web.security import SHEETS_PER_MINUTE, limiter

api = blueprint("review_files")


@api.get("/reviews/<uuid:review_id>/file", summary="A review as one file of HTML that needs no server")
@limiter.limit(SHEETS_PER_MINUTE)
def download_review(path: ReviewPath) -> Response:
    folder = current_app.extensions["tonada.settings"].frontend
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        content = review.content
        pictures = {
            digest: (file.mimetype, file.content)
            for digest in digests_shown(content)
            for file in (frozen.read_file(connection, workspace, bytes.fromhex(digest)),)
        }
        names = frozen.read_set(connection, workspace, review.page_set)
        drawing = {
            name: frozen.read_file(connection, workspace, bytes.fromhex(digest)).content
            for name, digest in names.items()
        }
    made = review_file(
        OneFile(
            review=str(review.id),
            content=ReviewContent.model_validate(content).model_dump(mode="json"),
            may_comment=review.may_comment,
            may_choose=review.may_choose,
            may_approve=review.may_approve,
            files=pictures,
            drawing=drawing,
        ),
        offline_files(folder),
    )
    return attached(made, f"{content['brand']} colours.html", "text/html")


@api.post(
    "/reviews/<uuid:review_id>/answers",
    responses={200: TakenInAnswer},
    summary="Import the answers to a review that was sent as a file",
)
def take_in(path: ReviewPath, body: AnswersBody) -> Response:
    answers = read_answers(body.text)
    if answers.review != str(path.review_id):
        raise InputError("These are answers to another review.", field="text")
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        guest = _as_guest(connection, workspace, review, answers)
        added, is_late = _take_in(guest, answers)
        notices.tell(connection, review.id)
        whole = review_answer(connection, workspace, review)
    return answer(TakenInAnswer(name=answers.name, added=added, is_late=is_late, review=whole))


def _as_guest(connection: Connection, workspace: UUID, review: ReviewRow, answers: OutsideAnswers) -> Guest:
    """Return the one who wrote a file: the same file, or a later one of theirs, is the same person."""
    key = f"file {answers.key}"
    known = links.by_selector(connection, workspace, key)
    if known is None:
        # A link that leads nowhere: nobody has its token.
        token = new_token()
        new = NewLink(f"{answers.name}, by file"[:80], key, token.verifier, None, links.now(connection))
        known = links.create(connection, workspace, review.id, new)
        verdicts.record(
            connection,
            workspace,
            review.id,
            "answers taken in",
            link=known.id,
            detail={"link": answers.name},
        )
    elif known.review_id != review.id:
        raise InputError("These are answers to another review.", field="text")
    return Guest(connection, workspace, known, review, b"")


def _take_in(guest: Guest, answers: OutsideAnswers) -> tuple[int, bool]:
    """Take in what isn't there already. Raises InputError.

    Return how many remarks are new, and whether a choice or an approval came too late: after the review
    was approved by somebody else, which keeps nobody's remarks out.
    """
    review = guest.review
    allowed = (
        (bool(answers.remarks), review.may_comment),
        (answers.choice is not None, review.may_choose),
        (answers.approved is not None, review.may_approve),
    )
    if any(there and not may for there, may in allowed):
        raise InputError("These answers contain something that this review doesn't ask for.", field="text")
    added = 0
    for remark in answers.remarks:
        about = checked_about(
            guest, ClientRemarkBody(about=remark.about, name=answers.name, text=remark.text)
        )
        new = NewRemark(about, answers.name, remark.text, outside_key=remark.key)
        writer = Writer(guest.link.id, None)
        added += remarks.create(guest.connection, guest.workspace, review.id, writer, new) is not None
    standing = verdicts.approval(guest.connection, guest.workspace, review.id)
    if standing is not None:
        decides = answers.choice is not None or answers.approved is not None
        return added, decides and standing.link_id != guest.link.id
    if answers.choice is not None:
        chosen = ChoiceBody(name=answers.name, place=answers.choice.place, reason=answers.choice.reason)
        choose_for(guest, chosen, f"{answers.key} chose {answers.choice.at}")
    if answers.approved is not None:
        approved = ApprovalBody(name=answers.name, place=answers.approved.place, agreed=True)
        approve_for(guest, approved, f"{answers.key} approved {answers.approved.at}")
    return added, False


@api.get("/reviews/<uuid:review_id>/history", summary="The history of a review as a PDF")
@limiter.limit(SHEETS_PER_MINUTE)
def download_history(path: ReviewPath) -> Response:
    with workspace_connection() as (connection, workspace):
        review = frozen.find(connection, workspace, path.review_id)
        brand = brands.find(connection, workspace, review.brand_id)
        told = history_of(
            verdicts.events(connection, workspace, review.id),
            remarks.of_review(connection, workspace, review.id),
            designer_name(connection, workspace),
        )
        approval = verdicts.approval(connection, workspace, review.id)
    takes = review.content["takes"]
    page = page_of(
        "history.html",
        embeds=False,
        brand=brand.name,
        takes=[
            {
                "name": take["name"],
                "version": take["version"],
                "digest": take["digest"],
                "colors": [color["hex"] for color in take["colors"]["day"]],
            }
            for take in takes
        ],
        approval=f"{approval.name} approved {takes[approval.place]['name']}, version "
        f"{approval.version_number}, on {approval.at:%-d %B %Y}"
        if approval
        else None,
        told=[(f"{entry.at:%-d %B %Y, %H:%M} UTC", entry.text) for entry in told],
    )
    return attached(pdf_of(page), f"{brand.name} review.pdf", "application/pdf")
