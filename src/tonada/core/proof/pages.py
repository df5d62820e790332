"""The sample pages: which sections they have, and what each is on until the designer says otherwise."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final

from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.proof.grounds import TINT
from tonada.core.proof.logo_grounds import ground_for_logo
from tonada.core.proof.voices import Section, voice_of
from tonada.core.source.pictures.logo_outline import OutlineColor
from tonada.core.take.proof_settings import VoiceId
from tonada.core.take.take import Role, Take


@dataclass(frozen=True, slots=True)
class Page:
    """A kind of page, from top to bottom. The home page's sections are its voice's, as are some grounds."""

    id: str
    name: str
    sections: tuple[Section, ...]


HOME: Final = "home"
OPENING: Final = "opening"
STYLE: Final = "style"
# The grounds that are a brand's fills. By night a fill as light as this (OKLCH) is a slab that glares: it
# stays on buttons and in pictures, and its sections stand on Mist, with the fill as their heading.
_FILLS: Final = frozenset((Role.PRIMARY, Role.SECONDARY, Role.ACCENT))
GLARES_ABOVE: Final = 0.6
# The brand board shows the logo on a light and on a dark ground, whatever it looks like there.
BOARD_HALVES: Final = ("light", "dark")
# The sections that have the logo on them.
LOGO_SECTIONS: Final = frozenset({"head", "letter", "tile", *BOARD_HALVES})
PAGES: Final = (
    Page(
        "board",
        "Board",
        (
            Section("light", "Logo on light", Role.PAPER),
            Section("dark", "Logo on dark", Role.DEEP),
            Section("colors", "Colours", Role.PAPER),
            Section("type", "Type", Role.MIST),
            Section("tiles", "Tiles", Role.PAPER),
            Section("tile", "Social tile", Role.PRIMARY),
        ),
    ),
    Page(HOME, "Home", ()),
    Page(
        "article",
        "Article",
        (
            Section("head", "Head", Role.PAPER),
            Section("title", "Title", TINT),
            Section("body", "Text", Role.PAPER),
            Section("further", "Read on", Role.MIST),
            Section("foot", "Foot", Role.DEEP),
        ),
    ),
    Page(
        "shop",
        "Shop",
        (
            Section("head", "Head", Role.PAPER),
            Section("product", "Product", Role.PAPER),
            Section("basket", "Basket", Role.MIST),
            Section("promise", "Promise", Role.SECONDARY),
            Section("foot", "Foot", Role.DEEP),
        ),
    ),
    Page(
        "dashboard",
        "Dashboard",
        (
            Section("head", "Head", Role.DEEP),
            Section("figures", "Figures", Role.MIST),
            Section("charts", "Charts", Role.MIST),
            Section("table", "Table", Role.PAPER),
        ),
    ),
    Page(
        "form",
        "Form",
        (
            Section("head", "Head", Role.PAPER),
            Section("intro", "Introduction", TINT),
            Section("fields", "Fields", Role.PAPER),
            Section("messages", "Messages", Role.MIST),
            Section("foot", "Foot", Role.DEEP),
        ),
    ),
    Page(
        "mail",
        "Email",
        (
            Section("frame", "Around the email", Role.MIST),
            Section("letter", "Letter", Role.PAPER),
            Section("call", "Call", Role.PRIMARY),
            Section("foot", "Foot", Role.MIST),
        ),
    ),
    Page(
        STYLE,
        "Style",
        (
            Section("head", "Head", Role.PAPER),
            Section("colors", "Colours", Role.PAPER),
            Section("type", "Type", Role.MIST),
            Section("on-paper", "Elements on Paper", Role.PAPER),
            Section("on-mist", "Elements on Mist", Role.MIST),
            Section("on-tint", "Elements on Tint", TINT),
            Section("on-primary", "Elements on Primary", Role.PRIMARY),
            Section("on-secondary", "Elements on Secondary", Role.SECONDARY),
            Section("on-accent", "Elements on the accent", Role.ACCENT),
            Section("on-deep", "Elements on Deep", Role.DEEP),
        ),
    ),
)


def sections_of(page: Page, voice: VoiceId) -> tuple[Section, ...]:
    """Return the sections of a page in a voice, from top to bottom."""
    spoken = voice_of(voice)
    if page.id == HOME:
        return spoken.home
    return tuple(
        replace(part, ground=spoken.grounds.get((page.id, part.id), part.ground)) for part in page.sections
    )


def section_grounds(
    take: Take, grounds: Mapping[str, Hex], voice: VoiceId, logo: Sequence[OutlineColor] = ()
) -> tuple[tuple[str, str, str], ...]:
    """Return page, section and ground of every section; only the grounds that are given are used.

    grounds: their colours by id. A section whose own ground isn't there stands on the page's usual one, or
    else on the first. The style page shows every ground as it is. logo: its outline; a section with it has
    a ground on which it is seen, unless the designer chose one. The board's halves keep theirs where the
    logo may be in one colour.
    """
    there = list(grounds)
    if not there:
        return ()
    chosen = {(one, part): ground for one, part, ground in take.proof.sections}
    glaring = _glaring(take) if Role.MIST in there else frozenset()

    def usual(page: Page, part: Section) -> str:
        ground = Role.MIST if page.id != STYLE and part.ground in glaring else part.ground
        is_marked = bool(logo) and part.id in LOGO_SECTIONS
        is_kept = part.id in BOARD_HALVES and take.proof.logo_in_one is not False
        return ground_for_logo(logo, grounds, ground) if is_marked and not is_kept else ground

    return tuple(
        (
            page.id,
            part.id,
            next(
                (one for one in (chosen.get((page.id, part.id)), usual(page, part)) if one in there), there[0]
            ),
        )
        for page in PAGES
        for part in sections_of(page, voice)
    )


def _glaring(take: Take) -> frozenset[str]:
    """Return the fills that are too light for a whole section by night; those of the day alone.

    A fill that was lifted for the night, as earlier releases did, has the ground that it was lifted for.
    """
    if take.scheme != "night" or take.other is None:
        return frozenset()
    day = take.turned()
    return frozenset(
        role
        for role in _FILLS
        if take.has_role(role)
        and day.has_role(role)
        and take.hex_of(role) == day.hex_of(role)
        and hex_to_oklch(take.hex_of(role))[0] > GLARES_ABOVE
    )
