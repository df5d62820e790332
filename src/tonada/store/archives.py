"""A whole brand, read row by row for an archive, and put back with its own ids and times."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, LiteralString
from uuid import UUID

from psycopg.errors import UniqueViolation
from psycopg.rows import class_row, dict_row
from psycopg.types.json import Jsonb

from tonada.store.database import Connection
from tonada.store.errors import StoreError

TAKES = """
    select id, name, document, saved_at, removed_at from take
     where workspace_id = %(workspace)s and brand_id = %(brand)s order by position, id
"""
VERSIONS = """
    select number, description, is_automatic, document, created_at from version
     where workspace_id = %(workspace)s and take_id = %(take)s order by number
"""
HANDOFFS = """
    select version_number as version, what, created_at from handoff
     where workspace_id = %(workspace)s and take_id = %(take)s order by created_at, id
"""
SOURCES = """
    select id, name, kind, settings, extraction, picked, created_at from source
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null and state = 'ready'
     order by created_at, id
"""
FILES = """
    select source_file.name, encode(file.digest, 'hex') as digest, file.content
      from source_file join file using (workspace_id, digest)
     where source_file.workspace_id = %(workspace)s and source_file.source_id = %(source)s
     order by source_file.position
"""
FONTS = """
    select font.name, encode(file.digest, 'hex') as digest, file.content
      from font join file using (workspace_id, digest)
     where font.workspace_id = %(workspace)s and font.brand_id = %(brand)s and font.removed_at is null
     order by font.created_at, font.id
"""
REVIEWS = """
    select id, greeting, may_comment, may_choose, may_approve, content, created_at, withdrawn_at from review
     where workspace_id = %(workspace)s and brand_id = %(brand)s order by created_at, id
"""
EVENTS = """
    select link_id, kind, who, detail, outside_key, at from review_event
     where workspace_id = %(workspace)s and review_id = %(review)s order by id
"""
REMARKS = """
    select id, link_id, answers, about, author, text, outside_key, created_at, edited_at, taken_back_at,
           resolved_at
      from remark where workspace_id = %(workspace)s and review_id = %(review)s order by created_at, id
"""
APPROVALS = """
    select link_id, place, name, at, reopened_at from approval
     where workspace_id = %(workspace)s and review_id = %(review)s order by at, id
"""
PUT: Mapping[str, LiteralString] = {
    "brand": """
        insert into brand (workspace_id, name) values (%(workspace)s, %(name)s) returning id
    """,
    "source": """
        insert into source (id, workspace_id, brand_id, name, kind, settings, extraction, picked, created_at)
        values (%(id)s, %(workspace)s, %(brand)s, %(name)s, %(kind)s, %(settings)s, %(extraction)s,
                %(picked)s, %(created_at)s) returning id
    """,
    "file": """
        insert into file (workspace_id, digest, content, preview)
        values (%(workspace)s, %(digest)s, %(content)s, %(preview)s)
        on conflict (workspace_id, digest) do update set preview = coalesce(file.preview, excluded.preview)
        returning digest
    """,
    "source_file": """
        insert into source_file (workspace_id, source_id, position, name, digest)
        values (%(workspace)s, %(source)s, %(position)s, %(name)s, %(digest)s) returning source_id
    """,
    "take": """
        insert into take (id, workspace_id, brand_id, name, position, document, saved_at, removed_at)
        values (%(id)s, %(workspace)s, %(brand)s, %(name)s, %(position)s, %(document)s, %(saved_at)s,
                %(removed_at)s) returning id
    """,
    "version": """
        insert into version (workspace_id, take_id, number, description, is_automatic, document, created_at)
        values (%(workspace)s, %(take)s, %(number)s, %(description)s, %(is_automatic)s, %(document)s,
                %(created_at)s) returning id
    """,
    "handoff": """
        insert into handoff (workspace_id, take_id, version_number, what, created_at)
        values (%(workspace)s, %(take)s, %(version)s, %(what)s, %(created_at)s) returning id
    """,
    "review": """
        insert into review (workspace_id, brand_id, greeting, may_comment, may_choose, may_approve, content,
                            page_set, created_at, withdrawn_at)
        values (%(workspace)s, %(brand)s, %(greeting)s, %(may_comment)s, %(may_choose)s, %(may_approve)s,
                %(content)s, %(page_set)s, %(created_at)s, %(withdrawn_at)s) returning id
    """,
    "review_take": """
        insert into review_take (workspace_id, review_id, place, take_id, version_number, digest)
        values (%(workspace)s, %(review)s, %(place)s, %(take)s, %(version)s, %(digest)s) returning review_id
    """,
    # Withdrawn, and with a token that nobody has: it stands for who read and wrote.
    "review_link": """
        insert into review_link (workspace_id, review_id, name, selector, verifier, withdrawn_at, created_at,
                                 first_opened_at, last_opened_at, opened)
        values (%(workspace)s, %(review)s, %(name)s, %(selector)s, %(verifier)s, clock_timestamp(),
                %(created_at)s, %(first_opened_at)s, %(last_opened_at)s, %(opened)s) returning id
    """,
    "remark": """
        insert into remark (workspace_id, review_id, link_id, answers, about, author, text, outside_key,
                            created_at, edited_at, taken_back_at, resolved_at)
        values (%(workspace)s, %(review)s, %(link)s, %(answers)s, %(about)s, %(author)s, %(text)s,
                %(outside_key)s, %(created_at)s, %(edited_at)s, %(taken_back_at)s, %(resolved_at)s)
        returning id
    """,
    "review_event": """
        insert into review_event (workspace_id, review_id, link_id, kind, who, detail, outside_key, at)
        values (%(workspace)s, %(review)s, %(link)s, %(kind)s, %(who)s, %(detail)s, %(outside_key)s, %(at)s)
        returning id
    """,
    "approval": """
        insert into approval (workspace_id, review_id, link_id, place, name, at, reopened_at)
        values (%(workspace)s, %(review)s, %(link)s, %(place)s, %(name)s, %(at)s, %(reopened_at)s)
        returning id
    """,
}
PICTURES = """
    select source.id, source.name, encode(source_file.digest, 'hex') as digest
      from source join source_file on source_file.workspace_id = source.workspace_id
           and source_file.source_id = source.id and source_file.position = 0
     where source.workspace_id = %(workspace)s and source.brand_id = %(brand)s and source.removed_at is null
       and source.state = 'ready'
     order by source.created_at, source.id
"""


@dataclass(frozen=True, slots=True)
class KeptFile:
    """A file of a source, or a font. digest: SHA-256 in hex."""

    name: str
    digest: str
    content: bytes


@dataclass(frozen=True, slots=True)
class SourceDigest:
    """A source with what its first file is known by: SHA-256 in hex."""

    id: UUID
    name: str
    digest: str


class IdInUse(StoreError):
    """A source or a take has this id already."""

    def __init__(self) -> None:
        super().__init__("What is in the archive is here already.")


def rows(connection: Connection, statement: LiteralString, **key: UUID) -> list[dict[str, Any]]:
    """Return the rows of one of the statements above, each by the names of its columns."""
    with connection.cursor(row_factory=dict_row) as cursor:
        return cursor.execute(statement, key).fetchall()


def files_of(connection: Connection, workspace: UUID, source: UUID) -> list[KeptFile]:
    """Return the files of a source, in their order."""
    found = connection.execute(FILES, {"workspace": workspace, "source": source}).fetchall()
    return [KeptFile(name, digest, bytes(content)) for name, digest, content in found]


def font_files_of(connection: Connection, workspace: UUID, brand: UUID) -> list[KeptFile]:
    """Return the fonts of a brand, the oldest first."""
    found = connection.execute(FONTS, {"workspace": workspace, "brand": brand}).fetchall()
    return [KeptFile(name, digest, bytes(content)) for name, digest, content in found]


def digests_of(connection: Connection, workspace: UUID, brand: UUID) -> list[SourceDigest]:
    """Return what the sources of a brand are known by."""
    with connection.cursor(row_factory=class_row(SourceDigest)) as cursor:
        return cursor.execute(PICTURES, {"workspace": workspace, "brand": brand}).fetchall()


def put(connection: Connection, table: str, workspace: UUID, **columns: Any) -> UUID:
    """Put a row into one of the tables of an archive and return its id. A dict or list is kept as JSON.

    Raises IdInUse where a row has the id already, be it of another workspace, which isn't seen.
    """
    row = {name: Jsonb(value) if isinstance(value, dict | list) else value for name, value in columns.items()}
    try:
        found = connection.execute(PUT[table], {"workspace": workspace, **row}).fetchall()[0]
    except UniqueViolation as reason:
        raise IdInUse from reason
    made: UUID = found[0]
    return made
