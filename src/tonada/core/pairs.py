"""The pairs that a page needs, from the roles that a take has."""

from __future__ import annotations

from typing import Final

from tonada.core.color import Hex, hex_to_srgb8
from tonada.core.contrast import Usage, contrast_ratio
from tonada.core.palette import Pair, Role

# Text, ground, usage, sample. None as text stands for whichever of Paper and Ink reads better.
PAGE_PAIRS: Final[tuple[tuple[Role | None, Role, Usage, str], ...]] = (
    (Role.INK, Role.PAPER, Usage.BODY_TEXT, "The story starts here"),
    (Role.INK, Role.MIST, Usage.BODY_TEXT, "Open every day but Monday"),
    (Role.PRIMARY, Role.PAPER, Usage.LARGE_TEXT, "Glad you came"),
    (Role.PRIMARY, Role.MIST, Usage.LARGE_TEXT, "What we do"),
    (None, Role.PRIMARY, Usage.BUTTON_LABEL, "Plan a visit"),
    (None, Role.SECONDARY, Usage.BUTTON_LABEL, "Find a date"),
    (None, Role.ACCENT, Usage.BUTTON_LABEL, "Book now"),
    (Role.ACCENT, Role.PRIMARY, Usage.LARGE_TEXT, "Tonight at nine"),
    (Role.MUTED, Role.PAPER, Usage.BODY_TEXT, "Updated this morning"),
    (Role.MUTED, Role.MIST, Usage.BODY_TEXT, "Cancel free of charge"),
    (Role.LINK, Role.PAPER, Usage.LINK, "read the whole report"),
    (Role.LINK, Role.MIST, Usage.LINK, "see all the dates"),
    (Role.LINE, Role.PAPER, Usage.PART, "Your name"),
    (Role.LINE, Role.MIST, Usage.PART, "Your place"),
)


def page_pairs(hex_of: dict[Role, Hex]) -> tuple[Pair, ...]:
    """Return the pairs of a page for the roles given, with ids such as `ink-on-paper`."""
    pairs = []
    for text, ground, usage, sample in PAGE_PAIRS:
        wearer = text or _label_for(ground, hex_of)
        if wearer in hex_of and ground in hex_of:
            # The id names the place, so that it stays when the text gets another role.
            pair_id = f"{text or 'label'}-on-{ground}"
            pairs.append(Pair(pair_id, wearer, ground, usage, sample))
    return tuple(pairs)


def _label_for(ground: Role, hex_of: dict[Role, Hex]) -> Role:
    if not {ground, Role.PAPER, Role.INK} <= hex_of.keys():
        return Role.PAPER
    face = hex_to_srgb8(hex_of[ground])
    on_paper = contrast_ratio(hex_to_srgb8(hex_of[Role.PAPER]), face)
    on_ink = contrast_ratio(hex_to_srgb8(hex_of[Role.INK]), face)
    return Role.PAPER if on_paper >= min(4.5, float(on_ink)) else Role.INK
