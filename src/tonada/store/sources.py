"""Sources: files that colours were read from, kept with what was read."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.errors import ForeignKeyViolation
from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.store.database import Connection
from tonada.store.errors import NotFound

KEEP_FILE = """
    insert into file (workspace_id, digest, content, preview)
    values (%(workspace)s, %(digest)s, %(content)s, %(preview)s)
    on conflict (workspace_id, digest) do nothing
"""
CREATE = """
    insert into source (workspace_id, brand_id, name, digest, extraction)
    values (%(workspace)s, %(brand)s, %(name)s, %(digest)s, %(extraction)s)
    returning id, brand_id, name, extraction, created_at
"""
LIST = """
    select id, brand_id, name, extraction, created_at from source
     where workspace_id = %(workspace)s and brand_id = %(brand)s
     order by created_at, id
"""
PREVIEW = """
    select file.preview, encode(file.digest, 'hex')
      from source join file using (workspace_id, digest)
     where source.workspace_id = %(workspace)s and source.id = %(source)s
"""


@dataclass(frozen=True, slots=True)
class SourceRow:
    """A file that colours were read from; extraction is what was found, as stored."""

    id: UUID
    brand_id: UUID
    name: str
    extraction: dict[str, Any]
    created_at: datetime


def create(
    connection: Connection,
    workspace: UUID,
    brand: UUID,
    *,
    name: str,
    content: bytes,
    preview: bytes,
    extraction: dict[str, Any],
) -> SourceRow:
    """Return a new source. The same bytes are kept once. Raises NotFound for an unknown brand."""
    digest = hashlib.sha256(content).digest()
    file = {"workspace": workspace, "digest": digest, "content": content, "preview": preview}
    row = {
        "workspace": workspace,
        "brand": brand,
        "name": name,
        "digest": digest,
        "extraction": Jsonb(extraction),
    }
    try:
        connection.execute(KEEP_FILE, file)
        with connection.cursor(row_factory=class_row(SourceRow)) as cursor:
            return cursor.execute(CREATE, row).fetchall()[0]
    except ForeignKeyViolation as reason:
        raise NotFound("brand") from reason


def list_of_brand(connection: Connection, workspace: UUID, brand: UUID) -> list[SourceRow]:
    """Return the sources of a brand, the oldest first."""
    with connection.cursor(row_factory=class_row(SourceRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace, "brand": brand}).fetchall()


def preview(connection: Connection, workspace: UUID, source: UUID) -> tuple[bytes, str]:
    """Return the picture to show, a PNG, and the digest of the file in hex. Raises NotFound."""
    found = connection.execute(PREVIEW, {"workspace": workspace, "source": source}).fetchone()
    if found is None:
        raise NotFound("source")
    return bytes(found[0]), str(found[1])
