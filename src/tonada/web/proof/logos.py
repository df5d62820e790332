"""The logos of takes as pages have to know them; the last ones kept at hand, as pages follow a drag."""

from __future__ import annotations

from functools import lru_cache
from typing import Final
from uuid import UUID

from tonada.core.source.pictures.logo_outline import Logo, read_logo
from tonada.core.take.take import Take
from tonada.store import sources
from tonada.store.errors import NotFound
from tonada.web.access import own_workspace, workspace_connection

KEPT_LOGOS: Final = 64


def logo_of(take: Take) -> Logo | None:
    """Return the logo on a take's pages, of the caller's workspace; None where there is none."""
    try:
        return _logo(own_workspace(), UUID(take.proof.logo or ""))
    except (ValueError, NotFound):
        return None


@lru_cache(maxsize=KEPT_LOGOS)
def _logo(workspace: UUID, source: UUID) -> Logo:
    """Read a logo once: what a source shows never changes. One that isn't there is asked for again."""
    with workspace_connection() as (connection, _):
        preview = sources.preview(connection, workspace, source)[0]
    return read_logo(preview)
