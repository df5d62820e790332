"""What a client sees of some versions, put together once: figures, words, pictures, the sheet."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from contextlib import suppress
from dataclasses import dataclass, field
from typing import Any, Final

from tonada.core.color.press import Press
from tonada.core.color.writing import WrittenAs, written
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.letters import Letters
from tonada.core.proof.own_material import OwnMaterial
from tonada.core.proof.pages import PAGES
from tonada.core.take.proof_settings import VoiceId
from tonada.core.take.take import Take
from tonada.core.wording.plain_words import plain_colors
from tonada.document.page_figures import PageFigures
from tonada.document.review import (
    ReviewContent,
    ShownColor,
    ShownFont,
    ShownLetters,
    ShownPage,
    ShownTake,
    ShownValue,
    Width,
    document_digest,
)
from tonada.document.take import TakeDocument
from tonada.files.client_sheet import ExportHeader, SheetPages, pdf_sheet
from tonada.files.file_format import Handoff
from tonada.files.kinds import made_file
from tonada.files.letters import LETTER_WEIGHTS, LetterWeight, NoLetters, letters_font
from tonada.files.page_faces import OwnFont
from tonada.frozen.page_set import ReviewFile, review_file_of

# What a colleague may want to copy, and how each is called.
NOTATIONS: Final[tuple[WrittenAs, ...]] = ("hex", "rgb", "hsl", "oklch")
# The client's sheet has every value, since a link may be all that somebody gets.
SHEET: Final = SheetPages(values=True)


@dataclass(frozen=True, slots=True)
class Material:
    """A version that is to be shown. document: as it is kept. logo, picture: PNG, or None.

    pictures: those in places of pages, by source. fonts: of the brand, that it is set in.
    dated: for the sheet, such as “version 4, 26 November 2026”.
    """

    name: str
    version: int
    document: dict[str, Any]
    dated: str
    logo: bytes | None = None
    picture: bytes | None = None
    pictures: Mapping[str, bytes] = field(default_factory=dict)
    fonts: tuple[OwnFont, ...] = ()


@dataclass(frozen=True, slots=True)
class Frame:
    """What all versions of a review are shown in. voice: guessed for the brand."""

    brand: str
    studio: str
    greeting: str
    voice: VoiceId
    pages: Sequence[str]
    widths: Sequence[Width]


@dataclass(frozen=True, slots=True)
class Frozen:
    """What a review shows, and its files."""

    content: ReviewContent
    files: tuple[ReviewFile, ...]


@dataclass(frozen=True, slots=True)
class _Kept:
    """Digests of the files of a take. pictures: by source."""

    logo: str | None
    picture: str | None
    pictures: dict[str, str]
    sheet: str
    icons: str
    letters: tuple[ShownLetters, ...]
    fonts: tuple[ShownFont, ...]


def freeze(frame: Frame, materials: Sequence[Material], press: Press | None) -> Frozen:
    """Return what a client sees of some versions, from now on."""
    files: dict[str, ReviewFile] = {}

    def keep(content: bytes, mimetype: str) -> str:
        file = review_file_of(content, mimetype)
        return files.setdefault(file.digest, file).digest

    shown = []
    for material in materials:
        take = TakeDocument.model_validate(material.document).to_take()
        head = ExportHeader(
            frame.brand, material.name, "", material.logo, material.dated, frame.voice, material.fonts
        )
        kept = _Kept(
            logo=keep(material.logo, "image/png") if material.logo else None,
            picture=keep(material.picture, "image/png") if material.picture else None,
            pictures={
                source: keep(content, "image/png") for source, content in sorted(material.pictures.items())
            },
            sheet=keep(pdf_sheet(take, head, press, pages=SHEET), "application/pdf"),
            icons=keep(made_file(Handoff(take, head, press), "icons").content, "application/zip"),
            letters=tuple(
                ShownLetters(family=letters.family, weight=weight, file=keep(font, "font/woff2"))
                for letters in PageFigures.of(take, frame.voice, _own(material)).letters
                for weight, font in _fonts(letters)
            ),
            fonts=tuple(
                ShownFont(
                    family=font.face.family,
                    lightest=font.face.lightest,
                    heaviest=font.face.heaviest,
                    file=keep(font.woff2, "font/woff2"),
                )
                for font in material.fonts
            ),
        )
        shown.append(_shown(frame, material, take, kept))
    names = {page.id: page.name for page in PAGES}
    content = ReviewContent(
        brand=frame.brand,
        studio=frame.studio,
        greeting=frame.greeting,
        pages=tuple(ShownPage(id=page, name=names[page]) for page in frame.pages),
        widths=tuple(frame.widths),
        takes=tuple(shown),
    )
    return Frozen(content, tuple(files.values()))


def _fonts(letters: Letters) -> Iterator[tuple[LetterWeight, bytes]]:
    """Yield a font for each weight; none where the typeface isn't on this machine."""
    for weight in LETTER_WEIGHTS:
        with suppress(NoLetters):
            yield weight, letters_font(letters.script, letters.kind, weight, letters.characters)


def _own(material: Material) -> OwnMaterial:
    return OwnMaterial.read(material.logo, material.picture, tuple(font.face for font in material.fonts))


def _shown(frame: Frame, material: Material, take: Take, kept: _Kept) -> ShownTake:
    schemes = [take, *([take.turned()] if take.other else [])]
    settings = TakeDocument.of(take).proof.model_dump(mode="json")
    evaluations = [(scheme, evaluate(scheme)) for scheme in schemes]
    own = _own(material)
    return ShownTake(
        name=material.name,
        version=material.version,
        digest=document_digest(material.document),
        level=take.level,
        failing=sum(evaluation.failing for _, evaluation in evaluations),
        drawn={
            scheme.scheme: {
                "brand": frame.brand,
                "settings": settings,
                "figures": PageFigures.of(scheme, frame.voice, own).model_dump(mode="json"),
            }
            for scheme in schemes
        },
        colors={
            one.scheme: tuple(
                ShownColor(
                    name=color.name,
                    roles=color.roles,
                    used_for=color.used_for,
                    hex=color.hex,
                    label=color.label,
                    share=color.share,
                    values=tuple(
                        ShownValue(notation=kind, text=written(color.hex, kind)) for kind in NOTATIONS
                    ),
                )
                for color in plain_colors(evaluation)
            )
            for one, evaluation in evaluations
        },
        logo=kept.logo,
        picture=kept.picture,
        pictures=kept.pictures,
        sheet=kept.sheet,
        icons=kept.icons,
        letters=kept.letters,
        fonts=kept.fonts,
    )
