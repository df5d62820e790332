"""Brands."""

from __future__ import annotations

from typing import Final
from uuid import UUID

from flask import Response
from pydantic import BaseModel

from tonada.core.pairs.evaluation import evaluate
from tonada.document.take import TakeDocument
from tonada.store import brands, sources, takes
from tonada.store.brands import ListedBrand
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.sources.models import BrandDetail, SourceAnswer
from tonada.web.takes.models import (
    BrandAnswer,
    BrandBody,
    BrandsAnswer,
    BrandsQuery,
    BrandSummary,
    SwatchOnScale,
    TakeSummary,
)

api = blueprint("brands")


BRANDS_A_PAGE: Final = 24


class BrandPath(BaseModel):
    brand_id: UUID


@api.get("/brands", responses={200: BrandsAnswer}, summary="A page of brands, with their colours")
def list_brands(query: BrandsQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        # One more than is shown says whether there is a next page.
        rows = brands.page(connection, workspace, query.after, BRANDS_A_PAGE + 1)
    shown = rows[:BRANDS_A_PAGE]
    following = shown[-1].id if len(rows) > len(shown) else None
    return answer(BrandsAnswer(brands=tuple(map(_summary, shown)), next=following))


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
    return answer(
        BrandDetail(
            brand=BrandAnswer.of(brand),
            takes=tuple(TakeSummary(id=take.id, name=take.name, revision=take.revision) for take in own),
            sources=tuple(SourceAnswer.of(row) for row in found),
        )
    )


@api.put("/brands/<uuid:brand_id>", responses={200: BrandAnswer}, summary="Rename a brand")
def rename_brand(path: BrandPath, body: BrandBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = brands.rename(connection, workspace, path.brand_id, body.name)
    return answer(BrandAnswer.of(row))


def _summary(row: ListedBrand) -> BrandSummary:
    take = TakeDocument.model_validate(row.document or {}).to_take()
    evaluation = evaluate(take)
    swatches = tuple(
        SwatchOnScale(hex=swatch.hex, position=figures.position)
        for swatch, figures in zip(take.swatches, evaluation.swatches, strict=True)
    )
    brand = BrandAnswer(id=row.id, name=row.name, first_take=row.first_take)
    return BrandSummary(brand=brand, swatches=swatches, failing=evaluation.failing, sources=row.sources)
