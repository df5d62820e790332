"""Fonts of a brand's own."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from psycopg.rows import class_row

from tonada.core.errors import InputError
from tonada.core.proof.typefaces import OwnKind
from tonada.store import brands
from tonada.store.database import Connection
from tonada.store.errors import NotFound, Removed
from tonada.store.sources import KEEP_FILE

LOCK_BRAND = "select 1 from brand where workspace_id = %(workspace)s and id = %(brand)s for update"
COUNT = """
    select count(*) from font
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null
"""
SAME = """
    select id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, created_at from font
     where workspace_id = %(workspace)s and brand_id = %(brand)s and digest = %(digest)s
       and removed_at is null
"""
CREATE = """
    insert into font (workspace_id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, digest)
    values (%(workspace)s, %(brand)s, %(name)s, %(family)s, %(kind)s, %(lightest)s, %(heaviest)s,
            %(scripts)s, %(lacks)s, %(digest)s)
    returning id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, created_at
"""
LIST = """
    select id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, created_at from font
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null
     order by family, lightest, created_at, id
"""
FIND = """
    select id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, created_at from font
     where workspace_id = %(workspace)s and id = %(font)s and removed_at is null
"""
IS_REMOVED = (
    "select 1 from font where workspace_id = %(workspace)s and id = %(font)s and removed_at is not null"
)
REMOVE = """
    update font set removed_at = now()
     where workspace_id = %(workspace)s and id = %(font)s and removed_at is null
    returning id
"""
# Where the same font was added meanwhile, that one stays.
RESTORE = """
    update font set removed_at = null
     where workspace_id = %(workspace)s and id = %(font)s and removed_at is not null
       and not exists (select 1 from font other
                        where other.workspace_id = font.workspace_id and other.brand_id = font.brand_id
                          and other.digest = font.digest and other.removed_at is null)
"""
CONTENT = """
    select file.content from font join file using (workspace_id, digest)
     where font.workspace_id = %(workspace)s and font.id = %(font)s and font.removed_at is null
"""
CONTENTS = """
    select font.family, font.kind, font.lightest, font.heaviest, font.scripts, font.lacks, file.content
      from font join file using (workspace_id, digest)
     where font.workspace_id = %(workspace)s and font.brand_id = %(brand)s and font.removed_at is null
       and font.family = any(%(families)s)
     order by font.family, font.lightest, font.created_at, font.id
"""


@dataclass(frozen=True, slots=True)
class FontRow:
    """A font; see core.proof.typefaces.OwnFace. name: of the file that was added."""

    id: UUID
    brand_id: UUID
    name: str
    family: str
    kind: OwnKind
    lightest: int
    heaviest: int
    scripts: list[str]
    lacks: str
    created_at: datetime


@dataclass(frozen=True, slots=True)
class FontContent:
    """What was read of a font, and the font itself, a WOFF2."""

    family: str
    kind: OwnKind
    lightest: int
    heaviest: int
    scripts: list[str]
    lacks: str
    content: bytes


def create(
    connection: Connection, workspace: UUID, brand: UUID, name: str, font: FontContent, most: int
) -> FontRow:
    """Return a new font of a brand, or the same one where it is there. most: that a brand has.

    Raises NotFound, Removed or InputError.
    """
    brands.find(connection, workspace, brand)
    digest = hashlib.sha256(font.content).digest()
    key: dict[str, Any] = {"workspace": workspace, "brand": brand, "digest": digest}
    # Two windows that add at once are counted one after the other.
    connection.execute(LOCK_BRAND, key)
    with connection.cursor(row_factory=class_row(FontRow)) as cursor:
        same = cursor.execute(SAME, key).fetchone()
        if same is not None:
            return same
        ((there,),) = connection.execute(COUNT, key).fetchall()
        if there >= most:
            raise InputError(f"A brand has at most {most} fonts. Remove one first.", field="file")
        connection.execute(KEEP_FILE, {**key, "content": font.content, "preview": None})
        row = {
            "name": name,
            "family": font.family,
            "kind": font.kind,
            "lightest": font.lightest,
            "heaviest": font.heaviest,
            "scripts": font.scripts,
            "lacks": font.lacks,
        }
        return cursor.execute(CREATE, {**key, **row}).fetchall()[0]


def list_of_brand(connection: Connection, workspace: UUID, brand: UUID) -> list[FontRow]:
    """Return the fonts of a brand by family and weight."""
    with connection.cursor(row_factory=class_row(FontRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace, "brand": brand}).fetchall()


def find(connection: Connection, workspace: UUID, font: UUID) -> FontRow:
    """Return a font. Raises NotFound or Removed."""
    key = {"workspace": workspace, "font": font}
    with connection.cursor(row_factory=class_row(FontRow)) as cursor:
        row = cursor.execute(FIND, key).fetchone()
    if row is None:
        raise _missing(connection, key)
    return row


def remove(connection: Connection, workspace: UUID, font: UUID) -> None:
    """Take a font away; it can be restored. Raises NotFound or Removed."""
    key = {"workspace": workspace, "font": font}
    if connection.execute(REMOVE, key).fetchone() is None:
        raise _missing(connection, key)


def restore(connection: Connection, workspace: UUID, font: UUID) -> None:
    """Bring a font back; nothing happens where it is there. Raises NotFound."""
    key = {"workspace": workspace, "font": font}
    connection.execute(RESTORE, key)
    if (
        connection.execute(FIND, key).fetchone() is None
        and not connection.execute(IS_REMOVED, key).fetchone()
    ):
        raise NotFound("font")


def content(connection: Connection, workspace: UUID, font: UUID) -> bytes:
    """Return a font as WOFF2. Raises NotFound or Removed."""
    key = {"workspace": workspace, "font": font}
    found = connection.execute(CONTENT, key).fetchone()
    if found is None:
        raise _missing(connection, key)
    return bytes(found[0])


def contents_of(
    connection: Connection, workspace: UUID, brand: UUID, families: list[str]
) -> list[FontContent]:
    """Return the fonts of some families of a brand with their bytes."""
    if not families:
        return []
    key = {"workspace": workspace, "brand": brand, "families": families}
    with connection.cursor(row_factory=class_row(FontContent)) as cursor:
        return cursor.execute(CONTENTS, key).fetchall()


def _missing(connection: Connection, key: dict[str, UUID]) -> NotFound | Removed:
    removed = connection.execute(IS_REMOVED, key).fetchone()
    return Removed("font", key["font"]) if removed else NotFound("font")
