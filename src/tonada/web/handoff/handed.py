"""What every download has in common: the version that it is of, and how a file is answered."""

from __future__ import annotations

from dataclasses import dataclass
from uuid import UUID

from flask import Response

from tonada.core.take.take import Take
from tonada.document.take import TakeDocument
from tonada.store import brands, takes, versions
from tonada.store.database import Connection


@dataclass(frozen=True, slots=True)
class Handed:
    """A version. brand and name: of the brand and the take; dated: such as “version 4, 26 November 2026”."""

    take: Take
    brand: str
    brand_id: UUID
    name: str
    dated: str


def handed_version(connection: Connection, workspace: UUID, take_id: UUID, number: int) -> Handed:
    """Return a version with the names that are on files. Raises NotFound."""
    version = versions.find(connection, workspace, take_id, number)
    name, brand_id = takes.name_of(connection, workspace, take_id)
    brand = brands.find(connection, workspace, brand_id)
    return Handed(
        take=TakeDocument.model_validate(version.document).to_take(),
        brand=brand.name,
        brand_id=brand.id,
        name=name,
        dated=f"version {number}, {version.created_at:%-d %B %Y}",
    )


def attached(content: bytes, name: str, mimetype: str) -> Response:
    """Return a file to be saved under a name, in letters of any script (RFC 6266)."""
    made = Response(content, mimetype=mimetype)
    made.headers.set("Content-Disposition", "attachment", filename=name)
    return made
