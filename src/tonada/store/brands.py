"""Brands: a client or a site, with its takes in order."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any
from uuid import UUID

from psycopg.rows import class_row

from tonada.store.database import Connection
from tonada.store.errors import NotFound

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
     where brand.workspace_id = %(workspace)s and brand.id = %(brand)s
"""
# A page of the list: each brand with its first take and how many of its sources were read.
PAGE = """
    select brand.id, brand.name, opened.id as first_take, opened.document,
           (select count(*) from source
             where source.workspace_id = brand.workspace_id and source.brand_id = brand.id
               and source.removed_at is null and source.state = 'ready') as sources
      from brand
      left join lateral (
           select take.id, take.document from take
            where take.workspace_id = brand.workspace_id and take.brand_id = brand.id
              and take.removed_at is null
            order by take.position, take.id limit 1) as opened on true
     where brand.workspace_id = %(workspace)s
       and (%(after)s::uuid is null or (brand.created_at, brand.id) > (
           select last.created_at, last.id from brand as last
            where last.workspace_id = %(workspace)s and last.id = %(after)s))
     order by brand.created_at, brand.id
     limit %(count)s
"""
RENAME = """
    update brand set name = %(name)s
     where workspace_id = %(workspace)s and id = %(brand)s
    returning id
"""


@dataclass(frozen=True, slots=True)
class BrandRow:
    """A brand; first_take is where its work opens."""

    id: UUID
    name: str
    first_take: UUID | None


@dataclass(frozen=True, slots=True)
class ListedBrand:
    """A brand in the list. document: of its first take; sources: how many were read."""

    id: UUID
    name: str
    first_take: UUID | None
    document: dict[str, Any] | None
    sources: int


def create(connection: Connection, workspace: UUID, name: str) -> BrandRow:
    """Return a new brand without takes."""
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        return cursor.execute(CREATE, {"workspace": workspace, "name": name}).fetchall()[0]


def list_all(connection: Connection, workspace: UUID) -> list[BrandRow]:
    """Return all brands of the workspace, the oldest first."""
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace}).fetchall()


def page(connection: Connection, workspace: UUID, after: UUID | None, count: int) -> list[ListedBrand]:
    """Return so many brands, the oldest first, from the one after `after` on; none after an unknown one."""
    row = {"workspace": workspace, "after": after, "count": count}
    with connection.cursor(row_factory=class_row(ListedBrand)) as cursor:
        return cursor.execute(PAGE, row).fetchall()


def find(connection: Connection, workspace: UUID, brand: UUID) -> BrandRow:
    """Return a brand. Raises NotFound."""
    with connection.cursor(row_factory=class_row(BrandRow)) as cursor:
        row = cursor.execute(FIND, {"workspace": workspace, "brand": brand}).fetchone()
    if row is None:
        raise NotFound("brand")
    return row


def rename(connection: Connection, workspace: UUID, brand: UUID, name: str) -> BrandRow:
    """Return the brand with its new name. Raises NotFound."""
    connection.execute(RENAME, {"workspace": workspace, "brand": brand, "name": name})
    return find(connection, workspace, brand)
