"""What a proof is set with: elements, grounds, type, the designer's own material, as frozen values."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from typing import Final, Literal, TypeAlias

from tonada.core.color.wcag import Usage


class Element(StrEnum):
    """What stands on a ground, in the order in which elements are shown."""

    HEADING = "heading"
    TEXT = "text"
    QUIET = "quiet text"
    LINK = "link"
    BUTTON = "button background"
    LABEL = "button label"
    LINE = "line"
    FOCUS = "focus ring"
    SUCCESS = "success"
    WARNING = "warning"
    ERROR = "error"
    INFO = "info"

    __hash__ = str.__hash__


ELEMENT_USAGES: Final[dict[Element, Usage]] = {
    Element.HEADING: Usage.BODY_TEXT,  # its size and weight make it large
    Element.TEXT: Usage.BODY_TEXT,
    Element.QUIET: Usage.BODY_TEXT,
    Element.LINK: Usage.LINK,
    Element.BUTTON: Usage.PART,
    Element.LABEL: Usage.BUTTON_LABEL,
    Element.LINE: Usage.PART,
    Element.FOCUS: Usage.FOCUS,
    Element.SUCCESS: Usage.PART,
    Element.WARNING: Usage.PART,
    Element.ERROR: Usage.PART,
    Element.INFO: Usage.PART,
}

# A text of a page by its place; each has a size and a weight of its own.
TextStyle: TypeAlias = Literal["h1", "h2", "h3", "text", "small", "label"]
TEXT_STYLES: Final[tuple[TextStyle, ...]] = ("h1", "h2", "h3", "text", "small", "label")


@dataclass(frozen=True, slots=True)
class GroundSettings:
    """A background that sections stand on, where it departs from the rule, or was added.

    id: one of STANDARD_GROUNDS, or of the designer's own. ground: a colour as Take.color_of reads
    it, None for the rule's. uses: elements with the colours given to them by hand.
    """

    id: str
    name: str | None = None
    ground: str | None = None
    uses: tuple[tuple[Element, str], ...] = ()


@dataclass(frozen=True, slots=True)
class TextSize:
    """Of a text: pixels of CSS, and weight, 1 to 1000."""

    size: float
    weight: int


USUAL_SIZES: Final[dict[TextStyle, TextSize]] = {
    "h1": TextSize(48, 700),
    "h2": TextSize(30, 700),
    "h3": TextSize(20, 650),
    "text": TextSize(16, 400),
    "small": TextSize(14, 400),
    "label": TextSize(15, 600),
}


@dataclass(frozen=True, slots=True)
class ProofSettings:
    """How the sample pages are set; the same by day and by night.

    heading_face, text_face: names of TYPEFACES. sizes: only those that were changed.
    logo, picture: ids of sources. overlay: of the take, over the picture; None for the rule's.
    sections: a page, a section and the ground that it was given, where it departs from the page's.
    """

    heading_face: str = "Bricolage Grotesque"
    text_face: str = "Source Sans 3"
    sizes: tuple[tuple[TextStyle, TextSize], ...] = ()
    logo: str | None = None
    picture: str | None = None
    overlay: str | None = None
    sections: tuple[tuple[str, str, str], ...] = ()

    def size_of(self, style: TextStyle) -> TextSize:
        """Return the size and weight that a text is set in."""
        return dict(self.sizes).get(style, USUAL_SIZES[style])


@dataclass(frozen=True, slots=True)
class ChosenSlot:
    """A slot of a destination that the designer filled by hand. slot: its name; key: of a colour."""

    destination: str
    slot: str
    key: str


USUAL_PROOF: Final = ProofSettings()
