"""What a proof is set with: elements, grounds, type, the designer's own material, as frozen values."""

from __future__ import annotations

from dataclasses import dataclass, replace
from enum import StrEnum
from typing import Final, Literal, TypeAlias

from tonada.core.color.wcag import Usage


class Element(StrEnum):
    """What is on a ground, in the order in which elements are shown."""

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

# A trade in whose words and pictures the sample pages are made.
# The id of a trade: the name of its file in core/proof/trades.
VoiceId: TypeAlias = str
# Where the brand's own picture goes: behind the text of the opening, or in place of the drawn one.
PicturePlace: TypeAlias = Literal["behind", "beside"]
# A picture as it is, in two colours, or with one laid over it.
ToneKind: TypeAlias = Literal["plain", "duotone", "tinted"]
# What a page is looked at on.
Width: TypeAlias = Literal["wide", "tablet", "phone"]
WIDTHS: Final[tuple[Width, ...]] = ("wide", "tablet", "phone")

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
# Narrower windows leave large type less room: this much of what it has above that of a running text.
NARROWED: Final[dict[Width, float]] = {"wide": 1.0, "tablet": 0.8, "phone": 0.6}
NARROWED_ABOVE: Final = 16.0


@dataclass(frozen=True, slots=True)
class OwnText:
    """Words in place of a sample page's own. page: its id, or EVERY_PAGE. part: its name on the page."""

    page: str
    part: str
    text: str


@dataclass(frozen=True, slots=True)
class PictureTone:
    """What a picture is painted in.

    dark, light: the roles of its dark and light parts as a duotone. tint: the role that is laid over it where
    it is tinted; amount: how much of that, 0 to 1.
    """

    kind: ToneKind = "plain"
    dark: str = "deep"
    light: str = "paper"
    tint: str = "primary"
    amount: float = 0.4


@dataclass(frozen=True, slots=True)
class PictureView:
    """What is seen of a picture that is cropped to its place.

    x, y: the point that stays in view however a place is shaped, 0 to 1 from the left and from the top. zoom:
    1 shows as much as fits.
    """

    x: float = 0.5
    y: float = 0.5
    zoom: float = 1.0


PLAIN: Final = PictureTone()
CENTERED: Final = PictureView()
LEAST_AMOUNT: Final = 0.05
MOST_AMOUNT: Final = 0.95
MOST_ZOOM: Final = 4.0


@dataclass(frozen=True, slots=True)
class PlacedPicture:
    """A picture of the brand in one place of a sample page, where a drawing or the main picture would be.

    part: its name on the page. source: the id of an image.
    """

    page: str
    part: str
    source: str
    view: PictureView = CENTERED
    tone: PictureTone = PLAIN


# Of a text that all pages show, such as in their foot.
EVERY_PAGE: Final = "every"


@dataclass(frozen=True, slots=True)
class ProofSettings:
    """How the sample pages are set; the same by day and by night.

    heading_face, text_face: names of TYPEFACES, or None for the trade's own. sizes: only those that were
    changed, for wide windows; narrow_sizes: those of narrower ones that don't follow from them.
    logo, picture: ids of sources. logo_in_one: whether the logo is in one colour where it
    can't be seen; None where no ground of the scheme would show it.
    overlay: of the take, over the picture; None for as much of the ground as its texts need, or for nothing
    where bare_picture says so.
    picture_view, picture_tone: what is seen of that picture, and in which colours. pictures: others, each in
    one place of a page.
    sections: a page, a section and the ground that it was given, where it departs from the page's.
    voice: None for the one guessed. texts: in place of the voice's own. language: of the pages, BCP 47;
    None for the one that these texts are in.
    """

    heading_face: str | None = None
    text_face: str | None = None
    sizes: tuple[tuple[TextStyle, TextSize], ...] = ()
    logo: str | None = None
    picture: str | None = None
    overlay: str | None = None
    sections: tuple[tuple[str, str, str], ...] = ()
    narrow_sizes: tuple[tuple[Width, TextStyle, float], ...] = ()
    picture_place: PicturePlace = "behind"
    picture_view: PictureView = CENTERED
    picture_tone: PictureTone = PLAIN
    pictures: tuple[PlacedPicture, ...] = ()
    voice: VoiceId | None = None
    texts: tuple[OwnText, ...] = ()
    language: str | None = None
    logo_in_one: bool | None = None
    bare_picture: bool = False

    def size_of(self, style: TextStyle, width: Width = "wide") -> TextSize:
        """Return the size and weight that a text is set in, in a window of this width."""
        wide = dict(self.sizes).get(style, USUAL_SIZES[style])
        if width == "wide":
            return wide
        own = next((size for on, one, size in self.narrow_sizes if (on, one) == (width, style)), None)
        if own is not None:
            return replace(wide, size=own)
        above = max(0.0, wide.size - NARROWED_ABOVE)
        return replace(wide, size=wide.size - float(round((1 - NARROWED[width]) * above)))


@dataclass(frozen=True, slots=True)
class ChosenSlot:
    """A slot of a destination that the designer filled by hand. slot: its name; key: of a colour."""

    destination: str
    slot: str
    key: str


USUAL_PROOF: Final = ProofSettings()
