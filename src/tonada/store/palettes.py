"""Ready-made palettes of the studio: its own, and which of all it has starred and taken."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.core.errors import InputError
from tonada.core.limits import MAX_OWN_PALETTES
from tonada.store.database import Connection
from tonada.store.errors import NotFound, Removed

# Two people may keep or import at once; together they stay within the limit.
LOCK = "select 1 from workspace where id = %(workspace)s for update"
COUNT = "select count(*) from palette where workspace_id = %(workspace)s and removed_at is null"
STATE = """
    select id, revision from palette where workspace_id = %(workspace)s and removed_at is null
     order by created_at desc, id
"""
READ = """
    select id, name, tags, colors, figures, proof, revision from palette
     where workspace_id = %(workspace)s and id = any(%(ids)s) and removed_at is null
"""
CREATE = """
    insert into palette (workspace_id, name, tags, colors, figures, proof)
    values (%(workspace)s, %(name)s, %(tags)s, %(colors)s, %(figures)s, %(proof)s)
    returning id, name, tags, colors, figures, proof, revision
"""
CHANGE = """
    update palette set name = %(name)s, tags = %(tags)s, revision = revision + 1
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is null
    returning id, name, tags, colors, figures, proof, revision
"""
REMOVE = """
    update palette set removed_at = clock_timestamp(), revision = revision + 1
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is null returning id
"""
RESTORE = """
    update palette set removed_at = null, revision = revision + 1
     where workspace_id = %(workspace)s and id = %(id)s and removed_at is not null
    returning id, name, tags, colors, figures, proof, revision
"""
IS_REMOVED = (
    "select 1 from palette where workspace_id = %(workspace)s and id = %(id)s and removed_at is not null"
)
UNPROVEN = """
    select id, name, tags, colors, figures, proof, revision from palette
     where workspace_id = %(workspace)s and removed_at is null and proof is null
     order by created_at, id limit %(count)s
"""
LEFT = """
    select count(*) from palette
     where workspace_id = %(workspace)s and removed_at is null and proof is null
"""
# Its colours never change, so that a proof stays true whoever made it first.
PROVE = """
    update palette set proof = %(proof)s, revision = revision + 1
     where workspace_id = %(workspace)s and id = %(id)s and proof is null
"""
USES = "select palette, is_starred, taken from palette_use where workspace_id = %(workspace)s"
STAR = """
    insert into palette_use (workspace_id, palette, is_starred)
    values (%(workspace)s, %(palette)s, %(is_starred)s)
    on conflict (workspace_id, palette) do update set is_starred = excluded.is_starred
"""
TAKE = """
    insert into palette_use (workspace_id, palette, taken) values (%(workspace)s, %(palette)s, 1)
    on conflict (workspace_id, palette) do update set taken = palette_use.taken + 1
"""


@dataclass(frozen=True, slots=True)
class PaletteRow:
    """A palette of the studio. colors: hex by role; figures, proof: as web/palettes has them."""

    id: UUID
    name: str
    tags: list[str]
    colors: dict[str, str]
    figures: dict[str, Any]
    proof: dict[str, Any] | None
    revision: int


@dataclass(frozen=True, slots=True)
class NewPalette:
    """A palette that is to be kept."""

    name: str
    tags: Sequence[str]
    colors: dict[str, str]
    figures: dict[str, Any]
    proof: dict[str, Any] | None


@dataclass(frozen=True, slots=True)
class UseRow:
    """How the studio has used a palette, its own or one that ships."""

    palette: str
    is_starred: bool
    taken: int


def state(connection: Connection, workspace: UUID) -> list[tuple[UUID, int]]:
    """Return id and revision of all palettes, the newest first: what says whether one is still as it was."""
    rows = connection.execute(STATE, {"workspace": workspace}).fetchall()
    return [(row[0], row[1]) for row in rows]


def read(connection: Connection, workspace: UUID, ids: Sequence[UUID]) -> list[PaletteRow]:
    """Return palettes by their ids, in no order; what isn't there is left out."""
    with connection.cursor(row_factory=class_row(PaletteRow)) as cursor:
        return cursor.execute(READ, {"workspace": workspace, "ids": list(ids)}).fetchall()


def create(connection: Connection, workspace: UUID, palettes: Sequence[NewPalette]) -> list[PaletteRow]:
    """Keep palettes, in one go. Raises InputError where there would be more than MAX_OWN_PALETTES."""
    connection.execute(LOCK, {"workspace": workspace})
    (count,) = connection.execute(COUNT, {"workspace": workspace}).fetchall()[0]
    if count + len(palettes) > MAX_OWN_PALETTES:
        raise InputError(
            f"A studio keeps at most {MAX_OWN_PALETTES:,} palettes; there are {count:,}.", field="file"
        )
    rows = [
        {
            "workspace": workspace,
            "name": palette.name,
            "tags": list(palette.tags),
            "colors": Jsonb(palette.colors),
            "figures": Jsonb(palette.figures),
            "proof": Jsonb(palette.proof) if palette.proof else None,
        }
        for palette in palettes
    ]
    with connection.cursor(row_factory=class_row(PaletteRow)) as cursor:
        cursor.executemany(CREATE, rows, returning=True)
        return [result.fetchall()[0] for result in cursor.results()]


def change(
    connection: Connection, workspace: UUID, palette: UUID, name: str, tags: Sequence[str]
) -> PaletteRow:
    """Rename a palette and set its tags. Raises NotFound or Removed."""
    row = {"workspace": workspace, "id": palette, "name": name, "tags": list(tags)}
    return _one(connection, CHANGE, row)


def remove(connection: Connection, workspace: UUID, palette: UUID) -> None:
    """Take a palette away; it can be restored. Raises NotFound or Removed."""
    row = {"workspace": workspace, "id": palette}
    if connection.execute(REMOVE, row).fetchone() is None:
        raise _missing(connection, row)


def restore(connection: Connection, workspace: UUID, palette: UUID) -> PaletteRow:
    """Bring a palette back. Raises NotFound."""
    row = {"workspace": workspace, "id": palette}
    with connection.cursor(row_factory=class_row(PaletteRow)) as cursor:
        found = cursor.execute(RESTORE, row).fetchone()
    if found is None:
        raise NotFound("palette")
    return found


def unproven(connection: Connection, workspace: UUID, count: int) -> list[PaletteRow]:
    """Return palettes whose page nobody has proven yet, the oldest first."""
    with connection.cursor(row_factory=class_row(PaletteRow)) as cursor:
        return cursor.execute(UNPROVEN, {"workspace": workspace, "count": count}).fetchall()


def prove(connection: Connection, workspace: UUID, proofs: Sequence[tuple[UUID, dict[str, Any]]]) -> int:
    """Save proofs of palettes, and return how many palettes still need one."""
    for palette, proof in proofs:
        connection.execute(PROVE, {"workspace": workspace, "id": palette, "proof": Jsonb(proof)})
    (left,) = connection.execute(LEFT, {"workspace": workspace}).fetchall()[0]
    return int(left)


def uses(connection: Connection, workspace: UUID) -> list[UseRow]:
    """Return what the studio has starred or taken."""
    with connection.cursor(row_factory=class_row(UseRow)) as cursor:
        return cursor.execute(USES, {"workspace": workspace}).fetchall()


def star(connection: Connection, workspace: UUID, palette: str, *, is_starred: bool) -> None:
    """Star a palette for the studio, or take the star away."""
    row = {"workspace": workspace, "palette": palette, "is_starred": is_starred}
    connection.execute(STAR, row)


def count_taking(connection: Connection, workspace: UUID, palette: str) -> None:
    """Count that a palette was taken once more."""
    connection.execute(TAKE, {"workspace": workspace, "palette": palette})


def _one(connection: Connection, statement: str, row: dict[str, Any]) -> PaletteRow:
    with connection.cursor(row_factory=class_row(PaletteRow)) as cursor:
        found = cursor.execute(statement, row).fetchone()
    if found is None:
        raise _missing(connection, row)
    return found


def _missing(connection: Connection, row: dict[str, Any]) -> NotFound | Removed:
    removed = connection.execute(IS_REMOVED, row).fetchone()
    return Removed("palette", row["id"]) if removed else NotFound("palette")
