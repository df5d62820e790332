"""A copy of a brand: its takes as they are now, its fonts, and its sources with their files."""

from __future__ import annotations

import json
from typing import Final
from uuid import UUID

from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.store.brands import BrandRow, find
from tonada.store.database import Connection

LONGEST_NAME: Final = 80
COPY_BRAND = """
    insert into brand (workspace_id, name)
    select workspace_id, %(name)s from brand where workspace_id = %(workspace)s and id = %(brand)s
    returning id, name, null::uuid as first_take
"""
SOURCES = """
    select id from source
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null and state = 'ready'
     order by created_at, id
"""
COPY_SOURCE = """
    insert into source (workspace_id, brand_id, name, kind, settings, extraction, picked)
    select workspace_id, %(copy)s, name, kind, settings, extraction, picked from source
     where workspace_id = %(workspace)s and id = %(source)s
    returning id
"""
COPY_FILES = """
    insert into source_file (workspace_id, source_id, position, name, digest)
    select workspace_id, %(made)s, position, name, digest from source_file
     where workspace_id = %(workspace)s and source_id = %(source)s
"""
COPY_FONTS = """
    insert into font (workspace_id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, digest)
    select workspace_id, %(copy)s, name, family, kind, lightest, heaviest, scripts, lacks, digest from font
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null
     order by created_at, id
"""
TAKES = """
    select name, document from take
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null
     order by position, id
"""
COPY_TAKE = """
    insert into take (workspace_id, brand_id, name, position, document)
    values (%(workspace)s, %(copy)s, %(name)s, %(position)s, %(document)s)
"""


def copy(connection: Connection, workspace: UUID, brand: UUID) -> BrandRow:
    """Return a copy of a brand, called “… (copy)”. Raises NotFound or Removed.

    Takes name the sources that their colours came from; those of the copy name its own.
    """
    name = find(connection, workspace, brand).name
    ending = " (copy)"
    row = {"workspace": workspace, "brand": brand, "name": name[: LONGEST_NAME - len(ending)] + ending}
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        made = cursor.execute(COPY_BRAND, row).fetchall()[0]
    moved: dict[str, str] = {}
    for (source,) in connection.execute(SOURCES, row).fetchall():
        to = {"workspace": workspace, "copy": made.id, "source": source}
        (new,) = connection.execute(COPY_SOURCE, to).fetchall()[0]
        connection.execute(COPY_FILES, {**to, "made": new})
        moved[str(source)] = str(new)
    connection.execute(COPY_FONTS, {**row, "copy": made.id})
    for position, (take, document) in enumerate(connection.execute(TAKES, row).fetchall()):
        written = json.dumps(document)
        for before, after in moved.items():
            written = written.replace(before, after)
        of_take = {"name": take, "position": position, "document": Jsonb(json.loads(written))}
        connection.execute(COPY_TAKE, {"workspace": workspace, "copy": made.id, **of_take})
    return find(connection, workspace, made.id)
