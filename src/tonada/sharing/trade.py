"""The trade of a brand as its pages take it: guessed from its name and the fields of its moods."""

from __future__ import annotations

from uuid import UUID

from tonada.core.proof.trade_guess import guessed_voice
from tonada.core.take.proof_settings import VoiceId
from tonada.store import sources
from tonada.store.database import Connection


def trade_of(connection: Connection, workspace: UUID, brand: UUID, name: str) -> VoiceId:
    """Return the voice of a brand's pages where a take has none of its own."""
    fields = [
        str(row.extraction["field"])
        for row in sources.list_of_brand(connection, workspace, brand)
        if row.kind == "mood" and row.extraction and row.extraction.get("field")
    ]
    return guessed_voice(name, fields)
