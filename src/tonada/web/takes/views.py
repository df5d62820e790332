"""Takes: made, read, saved and downloaded."""

from __future__ import annotations

from dataclasses import replace
from typing import Final
from uuid import UUID

from flask import Response

from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.own_texts import said_in_all
from tonada.core.take.proof_settings import OwnText
from tonada.document.parts import Described
from tonada.document.take import TakeDocument
from tonada.store import brands, takes, versions
from tonada.store.database import Connection
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, answer_value, blueprint
from tonada.web.brands.views import BrandPath
from tonada.web.takes.models import (
    KeptEvaluationAnswer,
    NewTakeBody,
    SaveTakeBody,
    TakeAnswer,
    TakeNameBody,
    TakeOrderBody,
    VersionAnswer,
    VersionBody,
    VersionsAnswer,
    VersionsQuery,
)

api = blueprint("takes")


VERSIONS_A_PAGE: Final = 100


class TakePath(Described):
    take_id: UUID


class VersionPath(TakePath):
    number: int


@api.post("/brands/<uuid:brand_id>/takes", responses={201: TakeAnswer}, summary="A new take of a brand")
def create_take(path: BrandPath, body: NewTakeBody) -> Response:
    made = body.document.to_take()
    document = body.document
    with workspace_connection() as (connection, workspace):
        # What the brand says in all of its takes, it says in a new one.
        shared = _said_by_all(connection, workspace, path.brand_id)
        if shared and not made.proof.texts:
            document = TakeDocument.of(replace(made, proof=replace(made.proof, texts=shared)))
        row = takes.create(connection, workspace, path.brand_id, document.model_dump(mode="json"), body.name)
    return answer(TakeAnswer.of(row), 201)


def _said_by_all(connection: Connection, workspace: UUID, brand: UUID) -> tuple[OwnText, ...]:
    there = takes.list_of_brand(connection, workspace, brand)
    return said_in_all([TakeDocument.model_validate(take.document).to_take().proof for take in there])


@api.get("/takes/<uuid:take_id>", responses={200: TakeAnswer}, summary="A take with its document")
def read_take(path: TakePath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = takes.find(connection, workspace, path.take_id)
    return answer(TakeAnswer.of(row))


@api.get(
    "/takes/<uuid:take_id>/evaluation",
    responses={200: KeptEvaluationAnswer},
    summary="Every figure of a take as it is kept",
)
def evaluate_kept(path: TakePath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = takes.find(connection, workspace, path.take_id)
    take = TakeDocument.model_validate(row.document).to_take()
    return answer_value({"revision": row.revision, "evaluation": evaluate(take)})


@api.put(
    "/takes/<uuid:take_id>",
    responses={200: TakeAnswer},
    summary="Save a take; refused with what is saved where someone else saved since",
)
def save_take(path: TakePath, body: SaveTakeBody) -> Response:
    body.document.to_take()
    with workspace_connection() as (connection, workspace):
        document = body.document.model_dump(mode="json")
        row = takes.save(connection, workspace, path.take_id, document, made_from=body.revision)
    return answer(TakeAnswer.of(row))


@api.patch("/takes/<uuid:take_id>", responses={200: TakeAnswer}, summary="Rename a take")
def rename_take(path: TakePath, body: TakeNameBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = takes.rename(connection, workspace, path.take_id, body.name)
    return answer(TakeAnswer.of(row))


@api.delete("/takes/<uuid:take_id>", summary="Delete a take; it can be restored")
def remove_take(path: TakePath) -> Response:
    with workspace_connection() as (connection, workspace):
        takes.remove(connection, workspace, path.take_id)
    return Response(status=204)


@api.post("/takes/<uuid:take_id>/restoration", responses={200: TakeAnswer}, summary="Bring a take back")
def restore_take(path: TakePath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = takes.restore(connection, workspace, path.take_id)
    return answer(TakeAnswer.of(row))


@api.put("/brands/<uuid:brand_id>/takes", summary="Put the takes of a brand in another order")
def order_takes(path: BrandPath, body: TakeOrderBody) -> Response:
    with workspace_connection() as (connection, workspace):
        brands.find(connection, workspace, path.brand_id)
        takes.order(connection, workspace, path.brand_id, list(body.takes))
    return Response(status=204)


@api.post("/takes/<uuid:take_id>/versions", responses={201: VersionAnswer}, summary="Save a version")
def cut_version(path: TakePath, body: VersionBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = versions.cut(
            connection, workspace, path.take_id, description=body.description, is_automatic=body.is_automatic
        )
    return answer(VersionAnswer.of(row), 201)


@api.get("/takes/<uuid:take_id>/versions", responses={200: VersionsAnswer}, summary="A page of versions")
def list_versions(path: TakePath, query: VersionsQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        takes.find(connection, workspace, path.take_id)
        rows = versions.page(connection, workspace, path.take_id, query.before, VERSIONS_A_PAGE + 1)
    shown = rows[:VERSIONS_A_PAGE]
    following = shown[-1].number if len(rows) > len(shown) else None
    return answer(VersionsAnswer(versions=tuple(shown), next=following))


@api.get("/takes/<uuid:take_id>/versions/<int:number>", responses={200: VersionAnswer}, summary="One version")
def read_version(path: VersionPath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = versions.find(connection, workspace, path.take_id, path.number)
    return answer(VersionAnswer.of(row))
