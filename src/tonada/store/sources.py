"""Sources: what colours came from, kept with what was found."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass
from datetime import datetime
from typing import Any, Literal, TypeAlias
from uuid import UUID

from psycopg.errors import ForeignKeyViolation
from psycopg.rows import class_row
from psycopg.types.json import Jsonb

from tonada.core.source.kept import SourceKind
from tonada.store.database import Connection
from tonada.store.errors import NotFound, Removed

SourceState: TypeAlias = Literal["reading", "ready", "failed"]

KEEP_FILE = """
    insert into file (workspace_id, digest, content, preview)
    values (%(workspace)s, %(digest)s, %(content)s, %(preview)s)
    on conflict (workspace_id, digest) do update set preview = coalesce(file.preview, excluded.preview)
"""
CREATE = """
    insert into source (workspace_id, brand_id, name, kind, settings, extraction, state, progress)
    values (%(workspace)s, %(brand)s, %(name)s, %(kind)s, %(settings)s, %(extraction)s, %(state)s,
            %(progress)s)
    returning id, brand_id, name, kind, settings, extraction, picked, state, progress, problem, created_at
"""
ADD_FILE = """
    insert into source_file (workspace_id, source_id, position, name, digest)
    values (%(workspace)s, %(source)s, %(position)s, %(name)s, %(digest)s)
"""
LIST = """
    select id, brand_id, name, kind, settings, extraction, picked, state, progress, problem, created_at
      from source
     where workspace_id = %(workspace)s and brand_id = %(brand)s and removed_at is null
       and state = 'ready'
     order by created_at, id
"""
FIND = """
    select id, brand_id, name, kind, settings, extraction, picked, state, progress, problem, created_at
      from source
     where workspace_id = %(workspace)s and id = %(source)s and removed_at is null
"""
IS_REMOVED = """
    select 1 from source
     where workspace_id = %(workspace)s and id = %(source)s and removed_at is not null
"""
RENAME = """
    update source set name = %(name)s
     where workspace_id = %(workspace)s and id = %(source)s and removed_at is null
"""
READ_AGAIN = """
    update source set settings = %(settings)s, extraction = %(extraction)s
     where workspace_id = %(workspace)s and id = %(source)s and removed_at is null
"""
PICK = """
    update source set picked = %(picked)s
     where workspace_id = %(workspace)s and id = %(source)s and removed_at is null
"""
CLAIM = """
    update source set leased_until = now() + %(lease)s * interval '1 second', attempts = attempts + 1
     where workspace_id = %(workspace)s and id = (
        select id from source
         where workspace_id = %(workspace)s and state = 'reading' and removed_at is null
           and (leased_until is null or leased_until < now())
         order by created_at, id limit 1 for update skip locked)
    returning id, attempts
"""
# The attempt is named as well: whoever lost the lease to somebody else changes nothing any more.
PROGRESS = """
    update source set progress = %(progress)s, leased_until = now() + %(lease)s * interval '1 second'
     where workspace_id = %(workspace)s and id = %(source)s and state = 'reading' and removed_at is null
       and attempts = %(attempt)s
    returning id
"""
FINISH = """
    update source set extraction = %(extraction)s, state = 'ready', progress = 1, leased_until = null
     where workspace_id = %(workspace)s and id = %(source)s and state = 'reading' and removed_at is null
       and attempts = %(attempt)s
"""
SET_PREVIEW = """
    update file set preview = %(preview)s
     where workspace_id = %(workspace)s and digest = %(digest)s and preview is null
"""
FAIL = """
    update source set state = 'failed', problem = %(problem)s, leased_until = null
     where workspace_id = %(workspace)s and id = %(source)s and state = 'reading'
       and attempts = %(attempt)s
"""
REMOVE = """
    update source set removed_at = now()
     where workspace_id = %(workspace)s and id = %(source)s and removed_at is null
    returning id
"""
RESTORE = """
    update source set removed_at = null
     where workspace_id = %(workspace)s and id = %(source)s
    returning id
"""
CONTENTS = """
    select source_file.name, file.content
      from source_file join file using (workspace_id, digest)
     where source_file.workspace_id = %(workspace)s and source_file.source_id = %(source)s
     order by source_file.position
"""
DIGEST = """
    select encode(digest, 'hex') from source_file
     where workspace_id = %(workspace)s and source_id = %(source)s and position = 0
"""
PREVIEW = """
    select file.preview, encode(file.digest, 'hex')
      from source_file join file using (workspace_id, digest)
     where source_file.workspace_id = %(workspace)s and source_file.source_id = %(source)s
       and source_file.position = 0 and file.preview is not null
"""


@dataclass(frozen=True, slots=True)
class SourceRow:
    """What colours came from. settings, extraction and picked are what `intake.results` writes."""

    id: UUID
    brand_id: UUID
    name: str
    kind: SourceKind
    settings: dict[str, Any]
    extraction: dict[str, Any]
    picked: list[dict[str, Any]]
    state: SourceState
    progress: float
    problem: str | None
    created_at: datetime


@dataclass(frozen=True, slots=True)
class FileContent:
    """A file of a source. preview: a picture to show, or None where there is none (yet)."""

    name: str
    content: bytes
    preview: bytes | None = None


def create(
    connection: Connection,
    workspace: UUID,
    brand: UUID,
    *,
    name: str,
    kind: SourceKind,
    extraction: dict[str, Any],
    settings: dict[str, Any] | None = None,
    files: tuple[FileContent, ...] = (),
    is_reading: bool = False,
) -> SourceRow:
    """Return a new source. The same bytes are kept once. Raises NotFound for an unknown brand."""
    row = {
        "workspace": workspace,
        "brand": brand,
        "name": name,
        "kind": kind,
        "settings": Jsonb(settings or {}),
        "extraction": Jsonb(extraction),
        "state": "reading" if is_reading else "ready",
        "progress": 0.0 if is_reading else 1.0,
    }
    try:
        with connection.cursor(row_factory=class_row(SourceRow)) as cursor:
            made = cursor.execute(CREATE, row).fetchall()[0]
    except ForeignKeyViolation as reason:
        raise NotFound("brand") from reason
    for position, file in enumerate(files):
        digest = hashlib.sha256(file.content).digest()
        kept = {"workspace": workspace, "digest": digest, "content": file.content, "preview": file.preview}
        connection.execute(KEEP_FILE, kept)
        place = {"source": made.id, "position": position, "name": file.name}
        connection.execute(ADD_FILE, {"workspace": workspace, "digest": digest, **place})
    return made


def list_of_brand(connection: Connection, workspace: UUID, brand: UUID) -> list[SourceRow]:
    """Return the sources of a brand that have been read, the oldest first."""
    with connection.cursor(row_factory=class_row(SourceRow)) as cursor:
        return cursor.execute(LIST, {"workspace": workspace, "brand": brand}).fetchall()


def find(connection: Connection, workspace: UUID, source: UUID) -> SourceRow:
    """Return a source in whatever state. Raises NotFound or Removed."""
    key = {"workspace": workspace, "source": source}
    with connection.cursor(row_factory=class_row(SourceRow)) as cursor:
        row = cursor.execute(FIND, key).fetchone()
    if row is None:
        raise _missing(connection, key)
    return row


def _missing(connection: Connection, key: dict[str, UUID]) -> NotFound | Removed:
    removed = connection.execute(IS_REMOVED, key).fetchone()
    return Removed("source", key["source"]) if removed else NotFound("source")


def rename(connection: Connection, workspace: UUID, source: UUID, name: str) -> SourceRow:
    """Return the source with its new name. Raises NotFound or Removed."""
    connection.execute(RENAME, {"workspace": workspace, "source": source, "name": name})
    return find(connection, workspace, source)


def read_again(
    connection: Connection,
    workspace: UUID,
    source: UUID,
    *,
    settings: dict[str, Any],
    extraction: dict[str, Any],
) -> SourceRow:
    """Return the source with other settings and what they led to. Raises NotFound or Removed."""
    changed = {"settings": Jsonb(settings), "extraction": Jsonb(extraction)}
    connection.execute(READ_AGAIN, {"workspace": workspace, "source": source, **changed})
    return find(connection, workspace, source)


def set_picked(
    connection: Connection, workspace: UUID, source: UUID, picked: list[dict[str, Any]]
) -> SourceRow:
    """Return the source with these colours picked by hand. Raises NotFound or Removed."""
    connection.execute(PICK, {"workspace": workspace, "source": source, "picked": Jsonb(picked)})
    return find(connection, workspace, source)


@dataclass(frozen=True, slots=True)
class Lease:
    """A long reading that is ours for some seconds: the source, and which attempt at it this is."""

    source: UUID
    attempt: int


def claim(connection: Connection, workspace: UUID, seconds: float) -> Lease | None:
    """Take the oldest long reading that nobody is at, for so many seconds; None where there is none."""
    found = connection.execute(CLAIM, {"workspace": workspace, "lease": seconds}).fetchone()
    return Lease(found[0], found[1]) if found else None


def renew(connection: Connection, workspace: UUID, lease: Lease, progress: float, seconds: float) -> bool:
    """Note how far a reading is and hold it longer; False where it was cancelled or is somebody else's."""
    row = {
        "workspace": workspace,
        "source": lease.source,
        "attempt": lease.attempt,
        "progress": progress,
        "lease": seconds,
    }
    return connection.execute(PROGRESS, row).fetchone() is not None


def finish(
    connection: Connection,
    workspace: UUID,
    lease: Lease,
    *,
    extraction: dict[str, Any],
    picture: tuple[bytes, bytes] | None = None,
) -> None:
    """Keep what a long reading found; nothing happens where it was cancelled or is somebody else's.

    picture: the bytes of an image and those of the picture to show of it.
    """
    if picture is not None:
        digest = hashlib.sha256(picture[0]).digest()
        connection.execute(SET_PREVIEW, {"workspace": workspace, "digest": digest, "preview": picture[1]})
    row = {"workspace": workspace, "source": lease.source, "attempt": lease.attempt}
    connection.execute(FINISH, {**row, "extraction": Jsonb(extraction)})


def fail(connection: Connection, workspace: UUID, lease: Lease, problem: str) -> None:
    """Note why a long reading came to nothing."""
    row = {"workspace": workspace, "source": lease.source, "attempt": lease.attempt}
    connection.execute(FAIL, {**row, "problem": problem})


def remove(connection: Connection, workspace: UUID, source: UUID) -> None:
    """Take a source away; it can be restored. Raises NotFound or Removed."""
    key = {"workspace": workspace, "source": source}
    if connection.execute(REMOVE, key).fetchone() is None:
        raise _missing(connection, key)


def restore(connection: Connection, workspace: UUID, source: UUID) -> SourceRow:
    """Return a source that was removed. Raises NotFound."""
    if connection.execute(RESTORE, {"workspace": workspace, "source": source}).fetchone() is None:
        raise NotFound("source")
    return find(connection, workspace, source)


def contents(connection: Connection, workspace: UUID, source: UUID) -> list[tuple[str, bytes]]:
    """Return name and bytes of each file of a source."""
    rows = connection.execute(CONTENTS, {"workspace": workspace, "source": source}).fetchall()
    return [(str(name), bytes(content)) for name, content in rows]


def digest(connection: Connection, workspace: UUID, source: UUID) -> str:
    """Return the digest of the first file of a source in hex. Raises NotFound."""
    found = connection.execute(DIGEST, {"workspace": workspace, "source": source}).fetchone()
    if found is None:
        raise NotFound("picture")
    return str(found[0])


def preview(connection: Connection, workspace: UUID, source: UUID) -> tuple[bytes, str]:
    """Return the picture to show, a PNG, and the digest of the file in hex. Raises NotFound."""
    found = connection.execute(PREVIEW, {"workspace": workspace, "source": source}).fetchone()
    if found is None:
        raise NotFound("picture")
    return bytes(found[0]), str(found[1])
