"""Brands."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Final
from uuid import UUID

from flask import Response

from tonada.core import limits
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.trade_guess import guessed_voice
from tonada.core.take.take import SIGNALS, Role
from tonada.document.parts import Described
from tonada.document.take import TakeDocument
from tonada.store import brand_copies, brands, fonts, sources, takes
from tonada.store.brands import ListedBrand
from tonada.store.reviews import lists
from tonada.store.reviews.lists import ListedReview
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.proof.font_models import FontAnswer
from tonada.web.sources.models import BrandDetail, SourceAnswer
from tonada.web.takes.models import (
    ArchiveBody,
    BrandAnswer,
    BrandBody,
    BrandReviews,
    BrandsAnswer,
    BrandsQuery,
    BrandSummary,
    ShareOfMeasure,
    SwatchOnScale,
    TakeSummary,
)

api = blueprint("brands")


BRANDS_A_PAGE: Final = 24
# Roles whose colours say little about a brand in the list.
_BESIDE: Final = frozenset((*SIGNALS, Role.LINE, Role.MUTED))


class BrandPath(Described):
    brand_id: UUID


@api.get("/brands", responses={200: BrandsAnswer}, summary="A page of brands, with their colours")
def list_brands(query: BrandsQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        # One more than is shown says whether there is a next page.
        rows = brands.page(
            connection,
            workspace,
            BRANDS_A_PAGE + 1,
            after=query.after,
            shelf=query.shelf,
            find=query.find or None,
        )
        came_back = lists.of_brands(connection, workspace, [row.id for row in rows])
    shown = rows[:BRANDS_A_PAGE]
    following = shown[-1].id if len(rows) > len(shown) else None
    return answer(
        BrandsAnswer(
            brands=tuple(_summary(row, _reviews_of(row.id, came_back)) for row in shown), next=following
        )
    )


@api.post("/brands", responses={201: BrandAnswer}, summary="A new brand with one empty take")
def create_brand(body: BrandBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = brands.create(connection, workspace, body.name)
        takes.create(connection, workspace, row.id, TakeDocument().model_dump(mode="json"))
        row = brands.find(connection, workspace, row.id)
    return answer(BrandAnswer.of(row), 201)


@api.get("/brands/<uuid:brand_id>", responses={200: BrandDetail}, summary="A brand, its takes and sources")
def read_brand(path: BrandPath) -> Response:
    with workspace_connection() as (connection, workspace):
        brand = brands.find(connection, workspace, path.brand_id)
        found = sources.list_of_brand(connection, workspace, path.brand_id)
        own = takes.list_of_brand(connection, workspace, path.brand_id)
        faces = fonts.list_of_brand(connection, workspace, path.brand_id)
        gone = takes.removed_of_brand(connection, workspace, path.brand_id, limits.MAX_SHOWN_REMOVED)
    shown = tuple(SourceAnswer.of(row) for row in found)
    fields = [entry.mood.field for entry in shown if entry.mood and entry.mood.field]
    return answer(
        BrandDetail(
            brand=BrandAnswer.of(brand),
            voice=guessed_voice(brand.name, fields),
            takes=tuple(TakeSummary(id=take.id, name=take.name, revision=take.revision) for take in own),
            sources=shown,
            fonts=tuple(FontAnswer.of_row(row) for row in faces),
            removed_takes=tuple(gone),
        )
    )


@api.put("/brands/<uuid:brand_id>", responses={200: BrandAnswer}, summary="Rename a brand")
def rename_brand(path: BrandPath, body: BrandBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = brands.rename(connection, workspace, path.brand_id, body.name)
    return answer(BrandAnswer.of(row))


@api.post("/brands/<uuid:brand_id>/copies", responses={201: BrandAnswer}, summary="A copy of a brand")
def copy_brand(path: BrandPath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = brand_copies.copy(connection, workspace, path.brand_id)
    return answer(BrandAnswer.of(row), 201)


@api.put("/brands/<uuid:brand_id>/archive", responses={200: BrandAnswer}, summary="Put a brand away, or back")
def archive_brand(path: BrandPath, body: ArchiveBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = brands.archive(connection, workspace, path.brand_id, away=body.archived)
    return answer(BrandAnswer.of(row))


@api.delete("/brands/<uuid:brand_id>", summary="Delete a brand; it can be restored")
def remove_brand(path: BrandPath) -> Response:
    with workspace_connection() as (connection, workspace):
        brands.remove(connection, workspace, path.brand_id)
    return Response(status=204)


@api.post("/brands/<uuid:brand_id>/restoration", responses={200: BrandAnswer}, summary="Bring a brand back")
def restore_brand(path: BrandPath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = brands.restore(connection, workspace, path.brand_id)
    return answer(BrandAnswer.of(row))


def _reviews_of(brand: UUID, came_back: Sequence[ListedReview]) -> BrandReviews | None:
    own = [entry for entry in came_back if entry.brand_id == brand]
    if not own:
        return None
    # The newest review comes first.
    approved = next((entry for entry in own if entry.approved_at), None)
    return BrandReviews(
        out=sum(1 for entry in own if entry.open_links and not entry.withdrawn_at and not entry.approved_at),
        unresolved=sum(entry.unresolved for entry in own),
        approved=f"{approved.takes[approved.approved_place or 0]} approved by {approved.approved_by}"
        if approved
        else None,
    )


def _summary(row: ListedBrand, reviews: BrandReviews | None) -> BrandSummary:
    take = TakeDocument.model_validate(row.document or {}).to_take()
    evaluation = evaluate(take)
    swatches = tuple(
        SwatchOnScale(hex=cell.hex, position=cell.position)
        for cell in evaluation.measure
        if not cell.roles or set(cell.roles) - _BESIDE
    )
    brand = BrandAnswer(id=row.id, name=row.name, first_take=row.first_take)
    measure = tuple(ShareOfMeasure(hex=cell.hex, share=cell.share) for cell in evaluation.measure)
    return BrandSummary(
        brand=brand,
        swatches=swatches,
        measure=measure,
        failing=evaluation.failing,
        level=take.level,
        logo=row.logo,
        takes=row.takes,
        sources=row.sources,
        changed_at=row.changed_at,
        reviews=reviews,
    )
