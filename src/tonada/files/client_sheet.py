"""The sheet for the client: HTML that prints well, and a tagged PDF made from it.

One page, composed of the colours; more for those who ask.
"""

from __future__ import annotations

import atexit
import base64
import io
import os
import re
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from importlib.resources import files
from threading import Lock
from typing import TYPE_CHECKING, Any, Final, Literal, TypeAlias

import numpy as np
import pypdfium2
from jinja2 import Environment, PackageLoader, StrictUndefined, select_autoescape
from PIL import Image, ImageFile

from tonada.core.color.contrast import rounded_down
from tonada.core.color.press import Press
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import TEXTS
from tonada.core.color.writing import written
from tonada.core.pairs.evaluation import Evaluation, evaluate
from tonada.core.proof.grounds import grounds_of
from tonada.core.proof.trade_guess import guessed_voice
from tonada.core.proof.typefaces import TYPEFACE_NAMES
from tonada.core.proof.typesetting import typeset
from tonada.core.roles.ramp_rows import rows_of
from tonada.core.take.proof_settings import Element, ProofSettings, VoiceId
from tonada.core.take.take import Role, Take
from tonada.files.page_faces import SHIPPED_WEIGHTS, OwnFont, face_data
from tonada.files.sheet_front import front_of, label_on
from tonada.files.shown_logo import logo_for, whole_logo_for

if TYPE_CHECKING:
    from weasyprint import CSS
    from weasyprint.text.fonts import FontConfiguration

Paper: TypeAlias = Literal["A4", "Letter"]
PAPERS: Final[tuple[Paper, ...]] = ("A4", "Letter")
# In millimetres, as the page of the template has them.
_PAPER_WIDTHS: Final[dict[Paper, float]] = {"A4": 210.0, "Letter": 215.9}
_MARGIN: Final = 12.0
# How wide a letter of the monospaced face is, in its size.
_ADVANCE: Final = 0.6
_FEW_STEPS: Final = 14
# A page that is filled to less than this has two thirds of it empty; then what is on the pages gets more
# room, or less, so that the last one is filled or isn't needed.
LEAST_FILLED: Final = 1 / 3
# In pixels: four times as large as on paper.
_MARK_SIZE: Final = (400, 200)
ROOMS: Final = (1.0, 0.7, 1.5, 0.4, 2.0, 2.6)
_LOOK_SCALE: Final = 0.25
_NEARLY_WHITE: Final = 245
# As the template has them, where the take has no Ink.
_SHEET: Final = "#ffffff"
_TEXT: Final = "#161616"
FONTS: Final = files("tonada.files") / "fonts"
_FACES: Final = (
    ("Bricolage Grotesque", 400, "BricolageGrotesque-Regular.ttf"),
    ("Bricolage Grotesque", 700, "BricolageGrotesque-Bold.ttf"),
    ("Spline Sans Mono", 400, "SplineSansMono-Regular.ttf"),
)
# Pango's caches are shared by the threads of a process and not made for it: two sheets at once corrupt its
# memory, and sooner or later end the worker.
_ONE_AT_A_TIME: Final = Lock()
# What is said of each ground, and in which order.
_TOLD: Final = (Element.HEADING, Element.TEXT, Element.QUIET, Element.LINK, Element.LABEL)


@dataclass(frozen=True, slots=True)
class ExportHeader:
    """brand and take: names. origin: of the files that developers read, the version and its address.

    version: for the client, without an address, such as “version 4, 26 November 2026”. logo: a PNG, or None.
    voice: the trade of the sample pages, for a take that has none of its own; None for the name's.
    fonts: of the brand.
    """

    brand: str
    take: str
    origin: str
    logo: bytes | None = None
    version: str = ""
    voice: VoiceId | None = None
    fonts: tuple[OwnFont, ...] = ()

    def set_in(self, take: Take) -> ProofSettings:
        """Return what the sample pages of a take are set in."""
        own = [font.face for font in self.fonts]
        return typeset(take.proof, take.proof.voice or self.voice or guessed_voice(self.brand), own)


@dataclass(frozen=True, slots=True)
class SheetPages:
    """What is behind the first page: values in every notation, tints and shades, what every ground
    uses, and all pairs; with the night wherever there is one."""

    values: bool = False
    steps: bool = False
    grounds: bool = False
    pairs: bool = False


FIRST_PAGE: Final = SheetPages()
ALL_PAGES: Final = SheetPages(values=True, steps=True, grounds=True, pairs=True)


def html_sheet(take: Take, head: ExportHeader, press: Press | None, pages: SheetPages = FIRST_PAGE) -> str:
    """Return one file of HTML with everything in it: fonts, logo, style. It works without a network."""
    return _page(take, head, press, pages, paper="A4")


def pdf_sheet(
    take: Take,
    head: ExportHeader,
    press: Press | None,
    paper: Paper = "A4",
    pages: SheetPages = FIRST_PAGE,
) -> bytes:
    """Return the same as a PDF: fonts embedded, tagged (PDF/UA-1), on A4 or Letter."""
    proof = head.set_in(take)
    faces = proof.heading_face or "", proof.text_face or ""
    best: tuple[float, bytes] = (-1.0, b"")
    for room in ROOMS:
        page = _page(take, head, press, pages, paper=paper, embeds=False, room=room)
        made = pdf_of(page, faces, head.fonts)
        filled = least_filled(made)
        if filled >= LEAST_FILLED:
            return made
        best = max(best, (filled, made), key=lambda tried: tried[0])
    return best[1]


def least_filled(pdf: bytes) -> float:
    """Return how far down the emptiest page has anything, 0 to 1 of what is between its margins."""
    document = pypdfium2.PdfDocument(pdf)
    return min(_filled(document[number]) for number in range(len(document)))


def _filled(page: pypdfium2.PdfPage) -> float:
    drawn = np.asarray(page.render(scale=_LOOK_SCALE).to_pil().convert("L"))
    top, bottom = (round(_LOOK_SCALE * millimetres * 72 / 25.4) for millimetres in (14.0, 14.5))
    between = drawn[top : len(drawn) - bottom]
    marked = np.flatnonzero((between < _NEARLY_WHITE).any(axis=1))
    return float((marked[-1] + 1) / len(between)) if len(marked) else 0.0


def page_of(template: str, *, embeds: bool, **values: Any) -> str:
    """Return a page made from a template. embeds: whether the fonts are in it."""
    faces = _font_faces() if embeds else ()
    return _environment().get_template(template).render(faces=faces, **values)


def pdf_of(page: str, letters: tuple[str, ...] = (), own: Sequence[OwnFont] = ()) -> bytes:
    """Return a page as a PDF: fonts embedded, tagged (PDF/UA-1).

    letters: typefaces of the sample pages that it sets something in, as “Letters” and their names. own: fonts
    of the brand, which they may be of.
    """
    with _ONE_AT_A_TIME:
        weasyprint = _weasyprint()
        # Nothing is fetched but what is in the page itself.
        fetcher = weasyprint.urls.URLFetcher(allowed_protocols={"data"})
        html = weasyprint.HTML(string=page, url_fetcher=fetcher)
        names = dict.fromkeys(letters)
        fonts = [font for font in own if font.face.name in names]
        if fonts:
            # What a brand brought along isn't kept by this process, as the others are.
            faces, configuration = _read_fonts("".join((*map(_own_rule, fonts), *map(_letter_rule, names))))
            styles = [faces]
        else:
            faces, configuration = _fonts()
            styles = [faces, *(style for name in names if (style := _letter_face(name)))]
        made = html.write_pdf(pdf_variant="pdf/ua-1", font_config=configuration, stylesheets=styles)
    return bytes(made or b"")


@lru_cache(maxsize=1)
def _weasyprint() -> Any:
    """Import WeasyPrint when it is first needed: it takes half a second, and only the PDF needs it.

    It lets Pillow take images that are cut off, for the whole process; uploads must not profit from it.
    """
    before = ImageFile.LOAD_TRUNCATED_IMAGES
    # fontTools writes the hour into every variable font that it cuts down, unless it is told one: the same
    # sheet is to be the same file. (reproducible-builds.org, SOURCE_DATE_EPOCH: 1 January 1980)
    os.environ.setdefault("SOURCE_DATE_EPOCH", "315532800")
    import weasyprint
    import weasyprint.text.fonts
    import weasyprint.urls

    ImageFile.LOAD_TRUNCATED_IMAGES = before
    return weasyprint


@lru_cache(maxsize=1)
def _fonts() -> tuple[CSS, FontConfiguration]:
    """Return the fonts, read once: reading them for every page would take a quarter of the time."""
    return _read_fonts("")


def _read_fonts(more: str) -> tuple[CSS, FontConfiguration]:
    """Return the sheet's own fonts and those of the rules in `more`."""
    weasyprint = _weasyprint()
    configuration = weasyprint.text.fonts.FontConfiguration()
    style = "".join(
        f'@font-face {{ font-family: "{family}"; font-weight: {weight}; '
        f"src: url(data:font/ttf;base64,{data}); }}"
        for family, weight, data in _font_faces()
    )
    return weasyprint.CSS(string=style + more, font_config=configuration), configuration


@lru_cache(maxsize=len(TYPEFACE_NAMES))
def _letter_face(name: str) -> CSS | None:
    """Return a typeface of the sample pages, read once: the configuration keeps every font it was given."""
    rule = _letter_rule(name)
    return _weasyprint().CSS(string=rule, font_config=_fonts()[1]) if rule else None


def _letter_rule(name: str) -> str:
    data = face_data(name)
    return _rule(name, SHIPPED_WEIGHTS, data) if data else ""


def _own_rule(font: OwnFont) -> str:
    return _rule(font.face.name, font.weights, font.data)


def _rule(name: str, weights: str, data: str) -> str:
    return (
        f'@font-face {{ font-family: "Letters {name}"; font-weight: {weights}; '
        f"src: url(data:font/woff2;base64,{data}); }}"
    )


# Let go of before the interpreter is: the library's own clean-up needs it.
atexit.register(_fonts.cache_clear)
atexit.register(_letter_face.cache_clear)


@lru_cache(maxsize=1)
def _environment() -> Environment:
    made = Environment(
        loader=PackageLoader("tonada.files"),
        autoescape=select_autoescape(),
        trim_blocks=True,
        undefined=StrictUndefined,
    )
    made.filters["css_text"] = _css_text
    return made


def _css_text(text: str) -> str:
    """Return a text as it may stand between quotes in a stylesheet. Source: CSS Syntax 3, escaping."""
    return re.sub(r"[^\w ]", lambda one: f"\\{ord(one[0]):x} ", text)


@lru_cache(maxsize=1)
def _font_faces() -> tuple[tuple[str, int, str], ...]:
    return tuple(
        (family, weight, base64.b64encode((FONTS / name).read_bytes()).decode())
        for family, weight, name in _FACES
    )


def _page(
    take: Take,
    head: ExportHeader,
    press: Press | None,
    pages: SheetPages,
    *,
    paper: Paper,
    embeds: bool = True,
    room: float = 1.0,
) -> str:
    take = take if take.scheme == "day" else take.turned()
    evaluation = evaluate(take)
    night = evaluate(take.turned()) if take.other is not None else None
    ink = take.hex_of(Role.INK) if take.has_role(Role.INK) else _TEXT
    logo = base64.b64encode(logo_for(head.logo, _SHEET, ink)).decode() if head.logo else None
    return page_of(
        "sheet.html",
        embeds=embeds,
        head=head,
        logo=logo,
        marks=_marks(take, head.logo),
        paper=paper,
        room=room,
        press=press.name if press else None,
        front=front_of(take, evaluation, press, head.set_in(take), head.fonts),
        pages=pages,
        cells=_cells(evaluation, press) if pages.values else [],
        night_cells=_cells(night, press) if pages.values and night else [],
        rows=_rows(take, paper) if pages.steps else [],
        pairs=evaluation.pairs if pages.pairs else (),
        night_pairs=night.pairs if pages.pairs and night else (),
        level=take.level,
        grounds=_grounds(take) if pages.grounds else [],
        night_grounds=_grounds(take.turned()) if pages.grounds and night else [],
        cut=rounded_down,
        texts=TEXTS,
    )


def _marks(take: Take, logo: bytes | None) -> list[dict[str, str]]:
    """Return the logo on the light and the dark ground and on a tile of Primary, as far as they are there."""
    if logo is None:
        return []
    made = []
    for role in (Role.PAPER, Role.DEEP, Role.PRIMARY):
        if take.has_role(role):
            ground = take.hex_of(role)
            data = _mark(logo, ground, label_on(take, ground), take.proof.logo_in_one is False)
            made.append({"ground": ground, "logo": data, "says": f"The logo on {take.display_name(role)}"})
    return made


# A sheet is set several times until no page of it is nearly empty, and a review has one for each take.
@lru_cache(maxsize=32)
def _mark(logo: bytes, ground: Hex, text: Hex, keeps_colors: bool) -> str:
    with Image.open(io.BytesIO(logo)) as drawn:
        drawn.thumbnail(_MARK_SIZE)
        small = io.BytesIO()
        drawn.save(small, "PNG")
    fits = logo_for if keeps_colors else whole_logo_for
    return base64.b64encode(fits(small.getvalue(), ground, text)).decode()


def _cells(evaluation: Evaluation, press: Press | None) -> list[dict[str, Any]]:
    """Return each colour in use with its values in the notations of the trade."""
    cells: list[dict[str, Any]] = []
    for cell in evaluation.measure:
        printed = press.printed(cell.hex) if press else None
        cells.append(
            {
                "name": cell.name,
                "roles": cell.role_names if cell.role_names != cell.name else "",
                "share": cell.share,
                "hex": cell.hex,
                "rgb": written(cell.hex, "decimals"),
                "hsl": written(cell.hex, "hsl"),
                "cmyk": printed.text if printed else None,
                "in_gamut": printed.in_gamut if printed else True,
            }
        )
    return cells


def _rows(take: Take, paper: Paper) -> list[dict[str, Any]]:
    rows = [(row.name, [step.hex for step in row.steps]) for row in rows_of(take)]
    return [{"name": name, "steps": steps, "labels": _labels_of(steps, paper)} for name, steps in rows]


def _labels_of(steps: list[Hex], paper: Paper) -> dict[str, Any]:
    """Return the values of a ramp as one line of a monospaced face, each beginning under its step.

    Its size in points on paper and as a share of the line's width on a screen, in per cent. One line
    instead of a text for each step: setting those took a fifth of the PDF's time.
    """
    pitch = 12 if len(steps) <= _FEW_STEPS else 9
    size = 1 / (len(steps) * pitch * _ADVANCE)
    return {
        "text": "".join(step.ljust(pitch) for step in steps).rstrip(),
        "points": size * (_PAPER_WIDTHS[paper] - 2 * _MARGIN) * 72 / 25.4,
        "share": size * 100,
    }


def _grounds(take: Take) -> list[dict[str, Any]]:
    """Return what may be set on each ground, as sentences can be made of it."""
    return [
        {
            "name": ground.name,
            "hex": ground.hex,
            "elements": [element for element in ground.elements if element.element in _TOLD],
        }
        for ground in grounds_of(take)
    ]
