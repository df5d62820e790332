"""All palettes at hand, in an index: those that ship and the studio's own, kept until one changes."""

from __future__ import annotations

import threading
from dataclasses import asdict
from typing import Any, Final
from uuid import UUID

from tonada.core.ready.finding import Index, index_of
from tonada.core.ready.palette import (
    Proof,
    ReadyPalette,
    Traits,
    checked_colors,
    traits_of,
)
from tonada.core.ready.serving import moods_of, trades_of
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.take.parts import Role
from tonada.store import palettes
from tonada.store.database import Connection
from tonada.store.errors import NotFound
from tonada.store.palettes import NewPalette, PaletteRow

# A server has one workspace today; a test has another one for each.
_KEPT: Final = 4

_State = list[tuple[UUID, int]]


class Shelf:
    """The palettes of each workspace. A palette that has changed since is read again, and no other."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._kept: dict[UUID, tuple[_State, Index]] = {}

    def index(self, connection: Connection, workspace: UUID) -> Index:
        """Return the index of all palettes as they are now: the studio's own first."""
        state = palettes.state(connection, workspace)
        with self._lock:
            before = self._kept.get(workspace)
        if before is not None and before[0] == state:
            return before[1]
        made = self._made(connection, workspace, state, before)
        with self._lock:
            self._kept.pop(workspace, None)
            self._kept[workspace] = (state, made)
            while len(self._kept) > _KEPT:
                self._kept.pop(next(iter(self._kept)))
        return made

    def _made(
        self, connection: Connection, workspace: UUID, state: _State, before: tuple[_State, Index] | None
    ) -> Index:
        old_state, old = before or ([], None)
        same = set(old_state) & set(state)
        texts = dict(zip(old.rows, old.texts, strict=True)) if old else {}
        there: dict[UUID, ReadyPalette] = {}
        if old is not None:
            there = {key: old.palettes[old.rows[str(key)]] for key, _ in same}
        new = [key for key, _ in state if key not in there]
        if new:
            there |= {row.id: palette_of(row) for row in palettes.read(connection, workspace, new)}
        for key in new:
            texts.pop(str(key), None)
        # One that was removed in between is not there any more.
        own = [there[key] for key, _ in state if key in there]
        return index_of([*own, *shipped_palettes()], texts)


shelf: Final = Shelf()


def palette_of(row: PaletteRow) -> ReadyPalette:
    """Return a row as the core has it."""
    figures = row.figures
    return ReadyPalette(
        id=str(row.id),
        name=row.name,
        # PostgreSQL keeps the keys of a jsonb in an order of its own.
        colors=checked_colors({Role(role): value for role, value in row.colors.items()}),
        traits=Traits(**figures["traits"]),
        moods=tuple(figures["moods"]),
        trades=tuple(figures["trades"]),
        tags=tuple(row.tags),
        proof=Proof(**row.proof) if row.proof else None,
    )


def new_palette(palette: ReadyPalette) -> NewPalette:
    """Return a palette as it is kept; its figures are computed, whatever came with it."""
    figures: dict[str, Any] = {
        "traits": asdict(traits_of(palette.colors)),
        "moods": moods_of(palette.colors),
        "trades": trades_of(palette.colors),
    }
    colors = {str(color.role): color.hex for color in palette.colors}
    proof = asdict(palette.proof) if palette.proof else None
    return NewPalette(palette.name, palette.tags, colors, figures, proof)


def find_palette(index: Index, palette: str) -> ReadyPalette:
    """Return a palette by its id. Raises NotFound."""
    if palette not in index.rows:
        raise NotFound("palette")
    return index.palettes[index.rows[palette]]
