"""The pairs that a page needs, from the roles that a take has."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Final, Literal

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import LARGE_RATIO, TEXT_RATIO, Usage
from tonada.core.take.take import Pair, Role

# Text, ground, usage, sample. A label is whichever of Paper and Ink reads better, a headline the
# accent where it can be read.
PAGE_PAIRS: Final[tuple[tuple[Role | Literal["label", "headline"], Role, Usage, str], ...]] = (
    (Role.INK, Role.PAPER, Usage.BODY_TEXT, "The story starts here"),
    (Role.INK, Role.MIST, Usage.BODY_TEXT, "Open every day but Monday"),
    (Role.PRIMARY, Role.PAPER, Usage.LARGE_TEXT, "Glad you came"),
    (Role.PRIMARY, Role.MIST, Usage.LARGE_TEXT, "What we do"),
    ("label", Role.PRIMARY, Usage.BUTTON_LABEL, "Plan a visit"),
    ("label", Role.SECONDARY, Usage.BUTTON_LABEL, "Find a date"),
    ("label", Role.ACCENT, Usage.BUTTON_LABEL, "Book now"),
    ("headline", Role.PRIMARY, Usage.LARGE_TEXT, "Tonight at nine"),
    (Role.MUTED, Role.PAPER, Usage.BODY_TEXT, "Updated this morning"),
    (Role.MUTED, Role.MIST, Usage.BODY_TEXT, "Cancel free of charge"),
    (Role.LINK, Role.PAPER, Usage.LINK, "read the whole report"),
    (Role.LINK, Role.MIST, Usage.LINK, "see all the dates"),
    (Role.LINE, Role.PAPER, Usage.PART, "Your name"),
    (Role.LINE, Role.MIST, Usage.PART, "Your place"),
    ("label", Role.DEEP, Usage.BODY_TEXT, "Write to us"),
    ("label", Role.ACCENT_2, Usage.BUTTON_LABEL, "More of this"),
    ("label", Role.ACCENT_3, Usage.BUTTON_LABEL, "And of that"),
    (Role.SUCCESS, Role.PAPER, Usage.PART, "Saved"),
    (Role.WARNING, Role.PAPER, Usage.PART, "Two places left"),
    (Role.ERROR, Role.PAPER, Usage.PART, "Not a date"),
    (Role.INFO, Role.PAPER, Usage.PART, "New this week"),
)


def page_pairs(hex_of: Mapping[str, Hex]) -> tuple[Pair, ...]:
    """Return the pairs of a page for the roles given, with ids such as `ink-on-paper`."""
    pairs = []
    for text, ground, usage, sample in PAGE_PAIRS:
        role = text if isinstance(text, Role) else _role_for(text, ground, hex_of)
        if role in hex_of and ground in hex_of:
            # The id names the place, so that it stays when the text gets another role.
            pair_id = f"{text}-on-{ground}"
            pairs.append(Pair(pair_id, role, ground, usage, sample))
    return tuple(pairs)


def _role_for(text: str, ground: Role, hex_of: Mapping[str, Hex]) -> Role:
    """Return the role that a label or a headline uses on a ground."""
    if not {ground, Role.PAPER, Role.INK} <= hex_of.keys():
        return Role.PAPER
    if text == "headline" and Role.ACCENT in hex_of and _ratio(hex_of, Role.ACCENT, ground) >= LARGE_RATIO:
        return Role.ACCENT
    on_paper = _ratio(hex_of, Role.PAPER, ground)
    return Role.PAPER if on_paper >= min(TEXT_RATIO, _ratio(hex_of, Role.INK, ground)) else Role.INK


def _ratio(hex_of: Mapping[str, Hex], text: Role, ground: Role) -> float:
    return ratio_between(hex_of[text], hex_of[ground])
