"""Brands: a client or a site, with its takes in order."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from typing import Any, Literal, TypeAlias
from uuid import UUID

from psycopg.rows import class_row

from tonada.store.database import Connection
from tonada.store.errors import NotFound, Removed

# Where a brand stands in the list: at work, put away, or deleted with a way back.
Shelf: TypeAlias = Literal["open", "archived", "deleted"]

CREATE = """
    insert into brand (workspace_id, name) values (%(workspace)s, %(name)s)
    returning id, name, null::uuid as first_take
"""
LIST = """
    select brand.id, brand.name,
           (select take.id from take
             where take.workspace_id = brand.workspace_id and take.brand_id = brand.id
               and take.removed_at is null
             order by take.position, take.id limit 1) as first_take
      from brand
     where brand.workspace_id = %(workspace)s
     order by brand.created_at, brand.id
"""
FIND = """
    select brand.id, brand.name,
           (select take.id from take
             where take.workspace_id = brand.workspace_id and take.brand_id = brand.id
               and take.removed_at is null
             order by take.position, take.id limit 1) as first_take
      from brand
     where brand.workspace_id = %(workspace)s and brand.id = %(brand)s and brand.removed_at is null
"""
# A page of the list, what was changed last first: each brand with its first take, the picture that stands
# for it, and how many takes and read sources it has.
PAGE = """
    with listed as (
        select brand.id, brand.name, brand.archived_at, brand.removed_at,
               greatest(brand.created_at, (select max(take.saved_at) from take
                 where take.workspace_id = brand.workspace_id and take.brand_id = brand.id)) as changed_at
          from brand
         where brand.workspace_id = %(workspace)s),
    shown as (
        select id, name, changed_at from listed
         where case %(shelf)s when 'open' then removed_at is null and archived_at is null
                              when 'archived' then removed_at is null and archived_at is not null
                              else removed_at is not null end
           and (%(find)s::text is null or position(lower(%(find)s) in lower(name)) > 0)
           and (%(after)s::uuid is null or (changed_at, id) < (
               select last.changed_at, last.id from listed as last where last.id = %(after)s))
         order by changed_at desc, id desc
         limit %(count)s)
    select shown.id, shown.name, shown.changed_at, opened.id as first_take, opened.document,
           (select source.id from source
             where source.workspace_id = %(workspace)s and source.brand_id = shown.id
               and source.removed_at is null and source.state = 'ready' and source.kind = 'image'
             order by source.id::text is distinct from (opened.document -> 'proof' ->> 'logo'),
                      source.created_at, source.id limit 1) as logo,
           (select count(*) from take
             where take.workspace_id = %(workspace)s and take.brand_id = shown.id
               and take.removed_at is null) as takes,
           (select count(*) from source
             where source.workspace_id = %(workspace)s and source.brand_id = shown.id
               and source.removed_at is null and source.state = 'ready') as sources
      from shown
      left join lateral (
           select take.id, take.document from take
            where take.workspace_id = %(workspace)s and take.brand_id = shown.id
              and take.removed_at is null
            order by take.position, take.id limit 1) as opened on true
     order by shown.changed_at desc, shown.id desc
"""
RENAME = """
    update brand set name = %(name)s
     where workspace_id = %(workspace)s and id = %(brand)s and removed_at is null
"""
IS_REMOVED = """
    select 1 from brand
     where workspace_id = %(workspace)s and id = %(brand)s and removed_at is not null
"""
ARCHIVE = """
    update brand set archived_at = case when %(away)s then coalesce(archived_at, now()) end
     where workspace_id = %(workspace)s and id = %(brand)s and removed_at is null
"""
REMOVE = """
    update brand set removed_at = now()
     where workspace_id = %(workspace)s and id = %(brand)s and removed_at is null
"""
RESTORE = "update brand set removed_at = null where workspace_id = %(workspace)s and id = %(brand)s"


@dataclass(frozen=True, slots=True)
class BrandRow:
    """A brand; first_take is where its work opens."""

    id: UUID
    name: str
    first_take: UUID | None


@dataclass(frozen=True, slots=True)
class ListedBrand:
    """A brand in the list. document: of its first take; sources: how many were read.

    logo: the picture on its first take's pages, or else its first one. changed_at: when a take was saved.
    """

    id: UUID
    name: str
    changed_at: datetime
    first_take: UUID | None
    document: dict[str, Any] | None
    logo: UUID | None
    takes: int
    sources: int


def create(connection: Connection, workspace: UUID, name: str) -> BrandRow:
    """Return a new brand without takes."""
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        return cursor.execute(CREATE, {"workspace": workspace, "name": name}).fetchall()[0]


def list_all(connection: Connection, workspace: UUID) -> list[BrandRow]:
    """Return all brands of the workspace, the oldest first; archived and deleted ones, too."""
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace}).fetchall()


def page(
    connection: Connection,
    workspace: UUID,
    count: int,
    *,
    after: UUID | None = None,
    shelf: Shelf = "open",
    find: str | None = None,
) -> list[ListedBrand]:
    """Return the next brands of a shelf after `after`, the last changed first.

    find: part of a name, in any case. There is none after an unknown brand.
    """
    row = {"workspace": workspace, "after": after, "count": count, "shelf": shelf, "find": find}
    with connection.cursor(row_factory=class_row(ListedBrand)) as cursor:
        return cursor.execute(PAGE, row).fetchall()


def find(connection: Connection, workspace: UUID, brand: UUID) -> BrandRow:
    """Return a brand. Raises NotFound or Removed."""
    key = {"workspace": workspace, "brand": brand}
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        row = cursor.execute(FIND, key).fetchone()
    if row is None:
        removed = connection.execute(IS_REMOVED, key).fetchone()
        raise Removed("brand", brand) if removed else NotFound("brand")
    return row


def is_removed(connection: Connection, workspace: UUID, brand: UUID) -> bool:
    """Return whether a brand was deleted; it may be restored."""
    return connection.execute(IS_REMOVED, {"workspace": workspace, "brand": brand}).fetchone() is not None


def rename(connection: Connection, workspace: UUID, brand: UUID, name: str) -> BrandRow:
    """Return the brand with its new name. Raises NotFound or Removed."""
    connection.execute(RENAME, {"workspace": workspace, "brand": brand, "name": name})
    return find(connection, workspace, brand)


def archive(connection: Connection, workspace: UUID, brand: UUID, *, away: bool) -> BrandRow:
    """Return the brand, put away or back among those at work. Raises NotFound or Removed."""
    connection.execute(ARCHIVE, {"workspace": workspace, "brand": brand, "away": away})
    return find(connection, workspace, brand)


def remove(connection: Connection, workspace: UUID, brand: UUID) -> None:
    """Delete a brand; it can be restored with all that is in it. Raises NotFound or Removed."""
    find(connection, workspace, brand)
    connection.execute(REMOVE, {"workspace": workspace, "brand": brand})


def restore(connection: Connection, workspace: UUID, brand: UUID) -> BrandRow:
    """Return a brand that was deleted, archived if it was so before. Raises NotFound."""
    connection.execute(RESTORE, {"workspace": workspace, "brand": brand})
    return find(connection, workspace, brand)
