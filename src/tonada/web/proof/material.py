"""The logos and pictures of takes as pages have to know them; the last ones kept, as pages follow a drag."""

from __future__ import annotations

from collections.abc import Iterable
from functools import lru_cache
from typing import Final
from uuid import UUID

from tonada.core.proof.behind import PictureColors
from tonada.core.proof.own_material import OwnMaterial
from tonada.core.source.pictures.logo_outline import Logo, read_logo
from tonada.core.take.take import Take
from tonada.document.fonts import OwnFaceModel
from tonada.store import sources
from tonada.store.errors import NotFound
from tonada.web.access import own_workspace, workspace_connection

KEPT_LOGOS: Final = 64
# The colours of a photograph are a few MB.
KEPT_PICTURES: Final = 16


def material_of(take: Take, fonts: Iterable[OwnFaceModel] = ()) -> OwnMaterial:
    """Return what a take's pages show of the caller's workspace: None for what isn't there.

    fonts: of the brand.
    """
    picture = take.proof.picture if take.proof.picture_place == "behind" else None
    faces = tuple(font.to_core() for font in fonts)
    return OwnMaterial(_logo_of(take.proof.logo), _picture_of(picture), faces)


def _logo_of(source: str | None) -> Logo | None:
    try:
        return _logo(own_workspace(), UUID(source or ""))
    except (ValueError, NotFound):
        return None


def _picture_of(source: str | None) -> PictureColors | None:
    try:
        return _picture(own_workspace(), UUID(source or ""))
    except (ValueError, NotFound):
        return None


# What a source shows never changes: it is read once. One that isn't there is asked for again.
@lru_cache(maxsize=KEPT_LOGOS)
def _logo(workspace: UUID, source: UUID) -> Logo:
    return read_logo(_preview(workspace, source))


@lru_cache(maxsize=KEPT_PICTURES)
def _picture(workspace: UUID, source: UUID) -> PictureColors:
    return PictureColors.read(_preview(workspace, source))


def _preview(workspace: UUID, source: UUID) -> bytes:
    with workspace_connection() as (connection, _):
        preview: bytes = sources.preview(connection, workspace, source)[0]
    return preview
