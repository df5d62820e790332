"""Brands."""

from __future__ import annotations

from uuid import UUID

from flask import Response
from pydantic import BaseModel

from tonada.core.pairs.evaluation import evaluate
from tonada.document.take import TakeDocument
from tonada.store import brands, sources, takes
from tonada.store.brands import BrandRow
from tonada.store.database import Connection
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.sources.models import BrandDetail, SourceAnswer
from tonada.web.takes.models import (
    BrandAnswer,
    BrandBody,
    BrandsAnswer,
    BrandSummary,
    SwatchOnScale,
    TakeSummary,
)

api = blueprint("brands")


class BrandPath(BaseModel):
    brand_id: UUID


@api.get("/brands", responses={200: BrandsAnswer}, summary="All brands, with their first take's colours")
def list_brands() -> Response:
    with workspace_connection() as (connection, workspace):
        rows = brands.list_all(connection, workspace)
        summaries = tuple(_summary(connection, workspace, row) for row in rows)
    return answer(BrandsAnswer(brands=summaries))


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


def _summary(connection: Connection, workspace: UUID, row: BrandRow) -> BrandSummary:
    swatches: tuple[SwatchOnScale, ...] = ()
    failing = 0
    if row.first_take:
        document = takes.find(connection, workspace, row.first_take).document
        take = TakeDocument.model_validate(document).to_take()
        evaluation = evaluate(take)
        failing = evaluation.failing
        swatches = tuple(
            SwatchOnScale(hex=swatch.hex, position=figures.position)
            for swatch, figures in zip(take.swatches, evaluation.swatches, strict=True)
        )
    count = len(sources.list_of_brand(connection, workspace, row.id))
    return BrandSummary(brand=BrandAnswer.of(row), swatches=swatches, failing=failing, sources=count)
