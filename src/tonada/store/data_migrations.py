"""What a migration does to rows that SQL alone can't: by the name of its script, run after it."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Final, LiteralString

from psycopg.types.json import Jsonb

from tonada.core.take.earlier import FORMAT, current_document
from tonada.store.database import Connection

# A page of rows at a time: there may be more documents than fit into memory.
PAGE: Final = 500
OUTDATED_TAKES: LiteralString = """
    select id, document from take where (document ->> 'format')::int is distinct from %(format)s
     limit %(page)s
"""
REPLACE_TAKE: LiteralString = "update take set document = %(document)s where id = %(id)s"
OUTDATED_VERSIONS: LiteralString = """
    select id, document from version where (document ->> 'format')::int is distinct from %(format)s
     limit %(page)s
"""
REPLACE_VERSION: LiteralString = "update version set document = %(document)s where id = %(id)s"
PROTECT_VERSIONS: LiteralString = "alter table version enable trigger version_is_never_changed"


def documents_in_format_2(connection: Connection) -> None:
    """Bring the documents of takes and versions, of all workspaces, into format 2."""
    for outdated, replace in ((OUTDATED_TAKES, REPLACE_TAKE), (OUTDATED_VERSIONS, REPLACE_VERSION)):
        while found := connection.execute(outdated, {"format": FORMAT, "page": PAGE}).fetchall():
            rows = [{"id": key, "document": Jsonb(_renamed(kept))} for key, kept in found]
            with connection.cursor() as cursor:
                cursor.executemany(replace, rows)
    connection.execute(PROTECT_VERSIONS)


def _renamed(document: dict[str, object]) -> dict[str, object]:
    # The first documents said nothing of their format.
    return current_document({"format": 1, **document})


DATA_MIGRATIONS: Final[Mapping[str, Callable[[Connection], None]]] = {"0007_words.sql": documents_in_format_2}
