"""The logo of a file: as it was drawn where it can be seen, else in one colour."""

from __future__ import annotations

from collections.abc import Sequence

from tonada.core.color.spaces import Hex
from tonada.core.proof.logo_grounds import logo_on
from tonada.core.source.pictures.logo_outline import in_one_color, outline_of


def logo_for(logo: bytes, ground: Hex, text: Hex) -> bytes:
    """Return a logo, a PNG, for a ground: where it can't be seen there, in the colour of a text that is."""
    outline = outline_of(logo)
    is_lost = bool(outline) and logo_on(outline, "", ground).has_vanished
    return in_one_color(logo, text) if is_lost else logo


def whole_logo_for(logo: bytes, ground: Hex, text: Hex) -> bytes:
    """Return a logo for a ground as the brand board has it: in one colour where a part of it is lost."""
    outline = outline_of(logo)
    is_whole = not outline or logo_on(outline, "", ground).all_pass
    return logo if is_whole else in_one_color(logo, text)


def first_that_shows(logo: bytes | None, grounds: Sequence[Hex]) -> Hex:
    """Return the first ground on which a logo can be seen; the first of all where none does."""
    outline = outline_of(logo) if logo else ()
    if not outline:
        return grounds[0]
    return next((one for one in grounds if not logo_on(outline, "", one).has_vanished), grounds[0])
