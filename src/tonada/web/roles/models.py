"""Roles across the boundary: the ramps of a take."""

from __future__ import annotations

from tonada.core.roles.ramp_rows import OverlayRow, Row
from tonada.document.parts import Model


class RampsAnswer(Model):
    """A row for each swatch, then the neutrals; and the overlays."""

    rows: tuple[Row, ...]
    overlays: tuple[OverlayRow, ...]
