"""The same words on the pages of every take of a brand."""

from __future__ import annotations

from typing import Final
from uuid import UUID

from flask import Response

from tonada.core.proof.own_texts import say_in_other
from tonada.core.take.proof_settings import OwnText
from tonada.document.parts import Model
from tonada.document.proof import OwnTextModel, Words
from tonada.document.take import TakeDocument
from tonada.store import brands, takes
from tonada.store.database import Connection
from tonada.store.takes import StaleRevision
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.brands.views import BrandPath

api = blueprint("brand_texts")
# A take may be saved by somebody else between the reading and the writing of it.
TRIES: Final = 5


class TextBody(OwnTextModel):
    """Words for a part. take: the one that has them, by the window that says so. before: what the part said
    in all takes until now, empty where it had no words of its own."""

    take: UUID
    before: Words = ""


class TextsAnswer(Model):
    """How many other takes say it now."""

    takes: int


@api.post(
    "/brands/<uuid:brand_id>/texts",
    responses={200: TextsAnswer},
    summary="Words of a page in every other take, where they have none of their own",
)
def say_everywhere(path: BrandPath, body: TextBody) -> Response:
    said = OwnText(body.page, body.part, body.text)
    with workspace_connection() as (connection, workspace):
        brands.find(connection, workspace, path.brand_id)
        # In one order, so that two windows can't wait for each other.
        others = sorted(
            row.id for row in takes.list_of_brand(connection, workspace, path.brand_id) if row.id != body.take
        )
        changed = [_said(connection, workspace, take, said, body.before) for take in others]
    return answer(TextsAnswer(takes=sum(changed)))


def _said(connection: Connection, workspace: UUID, take_id: UUID, said: OwnText, before: str) -> bool:
    """Return whether the take was changed. Raises StaleRevision where others never stop saving it."""
    for attempt in range(TRIES):
        row = takes.find(connection, workspace, take_id)
        take = TakeDocument.model_validate(row.document).to_take()
        changed = say_in_other(take, said, before)
        if changed == take:
            return False
        document = TakeDocument.of(changed).model_dump(mode="json")
        try:
            takes.save(connection, workspace, take_id, document, made_from=row.revision)
        except StaleRevision:
            if attempt == TRIES - 1:
                raise
            continue
        return True
    return False
