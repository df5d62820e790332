"""The typefaces that ship with Tonada, open and variable in weight, pairs that go together, and own fonts."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

Kind: TypeAlias = Literal["grotesque", "geometric", "humanist", "serif"]


FaceName: TypeAlias = Literal[
    "Archivo",
    "Bricolage Grotesque",
    "Fraunces",
    "Instrument Sans",
    "Karla",
    "Literata",
    "Lora",
    "Manrope",
    "Newsreader",
    "Rubik",
    "Source Sans 3",
    "Source Serif 4",
    "Space Grotesk",
    "Work Sans",
]


@dataclass(frozen=True, slots=True)
class Typeface:
    """lightest, heaviest: the weights that its file has. scripts: besides Latin (ISO 15924)."""

    name: FaceName
    kind: Kind
    lightest: int
    heaviest: int
    scripts: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Pairing:
    """A face for headings with one for text, and why, in a sentence."""

    heading: FaceName
    text: FaceName
    reason: str


TYPEFACES: Final = (
    Typeface("Archivo", "grotesque", 100, 900),
    Typeface("Bricolage Grotesque", "grotesque", 200, 800),
    Typeface("Fraunces", "serif", 100, 900),
    Typeface("Instrument Sans", "grotesque", 400, 700),
    Typeface("Karla", "grotesque", 200, 800),
    Typeface("Literata", "serif", 200, 900, ("Cyrl", "Grek")),
    Typeface("Lora", "serif", 400, 700, ("Cyrl",)),
    Typeface("Manrope", "geometric", 200, 800, ("Cyrl", "Grek")),
    Typeface("Newsreader", "serif", 200, 800),
    Typeface("Rubik", "geometric", 300, 900, ("Arab", "Cyrl", "Hebr")),
    Typeface("Source Sans 3", "humanist", 200, 900, ("Cyrl", "Grek")),
    Typeface("Source Serif 4", "serif", 200, 900, ("Cyrl", "Grek")),
    Typeface("Space Grotesk", "geometric", 300, 700),
    Typeface("Work Sans", "grotesque", 100, 900),
)
TYPEFACE_NAMES: Final = frozenset(face.name for face in TYPEFACES)

PAIRINGS: Final = (
    Pairing("Bricolage Grotesque", "Source Sans 3", "A lively grotesque over a plain, open text face."),
    Pairing("Fraunces", "Work Sans", "A soft, warm serif leads; the text stays neutral under it."),
    Pairing("Archivo", "Source Serif 4", "A firm grotesque over a serif made for long reading."),
    Pairing("Literata", "Karla", "A bookish serif with a compact grotesque, for long headlines."),
    Pairing("Space Grotesk", "Literata", "Technical headings against a calm book face."),
    Pairing("Newsreader", "Instrument Sans", "A news serif with a crisp grotesque for interfaces."),
    Pairing("Manrope", "Lora", "Even geometry over brushed curves: modern, but not cold."),
    Pairing("Rubik", "Karla", "Round corners in the headings, quiet letters in the text."),
    Pairing("Work Sans", "Work Sans", "One family for everything; weight alone makes the order."),
)

OwnKind: TypeAlias = Literal["sans", "serif"]
# Before the family of a font that the brand brought along, where a typeface is named.
OWN: Final = "own: "
LONGEST_FAMILY: Final = 40


@dataclass(frozen=True, slots=True)
class OwnFace:
    """A font of the brand's own, one file; those of one family are one typeface.

    lightest, heaviest: the weights that the file has, 1 to 1000. scripts: that it draws besides Latin (ISO
    15924). lacks: those of core.proof.font_letters.LATIN_LETTERS that it can't draw.
    """

    family: str
    kind: OwnKind
    lightest: int
    heaviest: int
    scripts: tuple[str, ...] = ()
    lacks: str = ""

    @property
    def name(self) -> str:
        """What a take calls the typeface."""
        return f"{OWN}{self.family}"


def family_of(name: str) -> str:
    """Return what people call a typeface: one that ships by its name, an own one by its family."""
    return name.removeprefix(OWN)


def kind_and_scripts(name: str, own: Sequence[OwnFace]) -> tuple[OwnKind, frozenset[str]]:
    """Return what letters of other scripts must go with, and which of them a typeface draws itself.

    name: of TYPEFACES, or of own fonts; a script is drawn by a family whose every file draws it. Raises
    KeyError for any other name.
    """
    files = [face for face in own if face.name == name]
    if files:
        return files[0].kind, frozenset.intersection(*(frozenset(face.scripts) for face in files))
    shipped = _SHIPPED[name]
    return ("serif" if shipped.kind == "serif" else "sans"), frozenset(shipped.scripts)


_SHIPPED: Final = {str(face.name): face for face in TYPEFACES}
