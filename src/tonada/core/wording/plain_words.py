"""What a palette's colours are for, in words of people who don't make websites."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import TEXT_RATIO
from tonada.core.pairs.evaluation import Evaluation
from tonada.core.take.parts import Role

# A role's work in a few words, in the order in which a client is told of them.
USED_FOR: Final[dict[Role, str]] = {
    Role.PRIMARY: "The leading colour: large areas, main buttons",
    Role.SECONDARY: "Beside the leading colour: sections, pictures",
    Role.ACCENT: "Calls for a click, sparingly",
    Role.ACCENT_2: "A second accent, for pictures and charts",
    Role.ACCENT_3: "A third accent, for pictures and charts",
    Role.PAPER: "The page itself",
    Role.MIST: "Quiet sections and cards",
    Role.DEEP: "Dark sections, such as the foot of a page",
    Role.INK: "Headings and text",
    Role.MUTED: "Quiet text: captions, dates",
    Role.LINK: "Links in a text",
    Role.LINE: "Lines and edges of fields",
    Role.SUCCESS: "Good news: sent, booked, saved",
    Role.WARNING: "A warning",
    Role.ERROR: "Something went wrong",
    Role.INFO: "A hint",
}
_UNUSED: Final = "In the palette, without a fixed use"
_ORDER: Final = tuple(role.value for role in USED_FOR)


@dataclass(frozen=True, slots=True)
class PlainColor:
    """A colour in words for a client. roles: names, joined; used_for: what for, in plain words.

    label: what can be written on it, in hex. share: of the page, 0 to 1.
    """

    name: str
    roles: str
    used_for: str
    hex: Hex
    label: Hex
    share: float


def plain_colors(evaluation: Evaluation) -> tuple[PlainColor, ...]:
    """Return the colours of an evaluated take, each once, those with the most to do first."""
    cells = sorted(evaluation.measure, key=lambda cell: min(map(_rank, cell.roles), default=len(_ORDER) + 1))
    return tuple(
        PlainColor(
            name=cell.name,
            roles=cell.role_names,
            used_for=_used_for(cell.roles),
            hex=cell.hex,
            label=_label_on(cell.hex),
            share=cell.share,
        )
        for cell in cells
    )


def _rank(role: str) -> int:
    return _ORDER.index(role) if role in _ORDER else len(_ORDER)


def _used_for(roles: Sequence[str]) -> str:
    known = [USED_FOR[Role(role)] for role in sorted(roles, key=_rank) if role in _ORDER]
    return "; ".join([known[0], *(entry[0].lower() + entry[1:] for entry in known[1:])]) if known else _UNUSED


def _label_on(value: Hex) -> Hex:
    """Return white where it can be read on the colour, else black: one of them always can."""
    return "#ffffff" if ratio_between("#ffffff", value) >= TEXT_RATIO else "#000000"
