"""Overlays that are added to a take, and removed with all that lies on them."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.errors import TakeError
from tonada.core.take.parts import free_id
from tonada.core.take.repoint import Target
from tonada.core.take.take import Overlay, Pair, Role, Take

USUAL_OPACITY: Final = 0.6


def add_overlay(
    take: Take,
    target: Target | None = None,
    *,
    name: str | None = None,
    opacity: float | None = None,
    on_picture: bool = False,
) -> Take:
    """Return the take with one more overlay; on_picture: laid over the proof's picture at once.

    opacity: 0 to 1, None for the usual one.
    target: of Ink, or else of Primary, where none is given. Raises TakeError where there is neither.
    """
    target = target or _usual_target(take)
    key = free_id("o", {overlay.id for overlay in take.overlays})
    usual = 1.0 if on_picture else USUAL_OPACITY
    alpha = usual if opacity is None else opacity
    made = Overlay(key, name or f"Overlay {key[1:]}", target[0], alpha, target[1])
    proof = replace(take.proof, overlay=key, bare_picture=False) if on_picture else take.proof
    return replace(take, overlays=(*take.overlays, made), proof=proof)


def _usual_target(take: Take) -> Target:
    for role in (Role.INK, Role.PRIMARY):
        if take.has_role(role):
            one = take.assignment(role)
            return one.swatch, one.step
    raise TakeError("Give a colour the role Ink or Primary first; the overlay is made of it.", field="roles")


def remove_overlay(take: Take, overlay_id: str) -> Take:
    """Return the take without an overlay, and without what refers to it: pairs of both schemes, the picture.

    Raises TakeError for an overlay that isn't there.
    """
    if take.overlay(overlay_id) is None:
        raise TakeError(f"There is no overlay “{overlay_id[:40]}” in this take.", field="overlay")
    other = take.other and replace(take.other, pairs=_without(take.other.pairs, overlay_id))
    proof = replace(take.proof, overlay=None) if take.proof.overlay == overlay_id else take.proof
    return replace(
        take,
        pairs=_without(take.pairs, overlay_id),
        other=other,
        overlays=tuple(overlay for overlay in take.overlays if overlay.id != overlay_id),
        proof=proof,
    )


def _without(pairs: tuple[Pair, ...], overlay: str) -> tuple[Pair, ...]:
    return tuple(pair for pair in pairs if pair.text != overlay and overlay not in pair.layers)
