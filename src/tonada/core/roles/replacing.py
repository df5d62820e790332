"""A source's file replaced: its colours move where the designer says so, and keep what was done with them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from tonada.core.color.spaces import Hex
from tonada.core.roles.page_pairs import with_texts_by_rule
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import Origin, Take


@dataclass(frozen=True, slots=True)
class Move:
    """A colour that has become another one. share: what the new one covers, where that means something."""

    before: Hex
    after: Hex
    share: float | None = None


def replace_source(take: Take, before: str, after: str, name: str, moves: Sequence[Move]) -> Take:
    """Return the take with the swatches of a source moved to the colours that its new file has.

    before, after: ids of the source as it was and as it is; name: of the new one. Swatches keep their ids,
    roles, ramps and whether they are held; so do those whose colour stays. Labels and headings that are as
    the rule gives them stay so. What was moved by hand since is of no source any more, and stays.
    """
    to = {move.before: move for move in moves}
    own = [
        swatch
        for swatch in take.swatches
        if swatch.origin.source == before and swatch.origin.kind == "source"
    ]
    values = {color.id: to[color.hex].after for color in own if color.hex in to}
    moved = recolor_many(take, values, f"from {name}", "source")
    ids = {entry.id for entry in own}
    swatches = tuple(
        replace(one, origin=_origin(one.origin, after, name, to.get(old.hex))) if one.id in ids else one
        for one, old in zip(moved.swatches, take.swatches, strict=True)
    )
    # Roles keep the reasons that they had: nothing about them was chosen again.
    made = replace(moved, swatches=swatches, roles=take.roles)
    return with_texts_by_rule(take, made)


def _origin(before: Origin, after: str, name: str, move: Move | None) -> Origin:
    share = before.share if move is None else move.share
    return Origin("source", f"from {name}", source=after, share=share)
