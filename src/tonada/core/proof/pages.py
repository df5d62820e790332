"""The sample pages: which sections they have, and what each stands on until the designer says otherwise."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.proof.grounds import TINT
from tonada.core.take.take import Role, Take


@dataclass(frozen=True, slots=True)
class Section:
    """A part of a page with a ground of its own."""

    id: str
    name: str
    ground: str


@dataclass(frozen=True, slots=True)
class Page:
    """A kind of page, from top to bottom."""

    id: str
    name: str
    sections: tuple[Section, ...]


PAGES: Final = (
    Page(
        "home",
        "Home page",
        (
            Section("head", "Head", Role.PAPER),
            Section("opening", "Opening", Role.PRIMARY),
            Section("offers", "Three offers", Role.MIST),
            Section("story", "Story", Role.PAPER),
            Section("voice", "Voice of a guest", TINT),
            Section("foot", "Foot", Role.DEEP),
        ),
    ),
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
            Section("promise", "Promise", Role.PRIMARY),
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
        "Mail",
        (
            Section("frame", "Around the mail", Role.MIST),
            Section("letter", "Letter", Role.PAPER),
            Section("call", "Call", Role.PRIMARY),
            Section("foot", "Foot", Role.MIST),
        ),
    ),
)


def section_grounds(take: Take, there: Sequence[str]) -> tuple[tuple[str, str, str], ...]:
    """Return each page and section with the ground it stands on, of those that are there.

    A section whose own ground isn't there stands on the page's usual one, or else on the first.
    """
    if not there:
        return ()
    given = {(one, part): ground for one, part, ground in take.proof.sections}
    return tuple(
        (page.id, part.id, next((one for one in wanted if one and one in there), there[0]))
        for page in PAGES
        for part in page.sections
        if (wanted := (given.get((page.id, part.id)), part.ground))
    )
