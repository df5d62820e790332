"""A presentation in the take's colours and typefaces: its theme, a title slide, one of text, table and chart.

Source: ISO/IEC 29500 (Office Open XML). Whoever writes new slides in it gets the theme's colours by name.
"""

from __future__ import annotations

import io
import re
import zipfile
from collections.abc import Iterator, Mapping
from datetime import datetime
from typing import Any, Final
from xml.etree.ElementTree import Element as XmlElement
from xml.etree.ElementTree import tostring

from defusedxml.ElementTree import fromstring
from pptx import Presentation
from pptx.chart.data import CategoryChartData
from pptx.dml.color import RGBColor
from pptx.enum.chart import XL_CHART_TYPE, XL_LEGEND_POSITION
from pptx.enum.dml import MSO_THEME_COLOR
from pptx.enum.shapes import MSO_SHAPE
from pptx.enum.text import MSO_ANCHOR
from pptx.opc.constants import RELATIONSHIP_TYPE
from pptx.util import Emu, Inches, Pt

from tonada.core.color.contrast import rounded_down
from tonada.core.color.spaces import Hex
from tonada.core.formats.office_theme import NAMESPACE, color_scheme, filled_slots
from tonada.core.pairs.evaluation import evaluate
from tonada.core.proof.chart_series import series_of
from tonada.core.proof.grounds import Ground, Use, grounds_of
from tonada.core.proof.typefaces import family_of
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Role, Take
from tonada.files.file_format import FileFormat, Handoff, zipped
from tonada.files.shown_logo import first_that_shows, logo_for

WIDTH: Final = Inches(13.333)
HEIGHT: Final = Inches(7.5)
MARGIN: Final = Inches(0.8)
LOGO_HEIGHT: Final = Inches(0.9)
# The slots of a theme as a presentation names them, the first of equal colours before the others.
_SLOTS: Final = {
    "dk1": MSO_THEME_COLOR.TEXT_1,
    "lt1": MSO_THEME_COLOR.BACKGROUND_1,
    "accent1": MSO_THEME_COLOR.ACCENT_1,
    "accent2": MSO_THEME_COLOR.ACCENT_2,
    "accent3": MSO_THEME_COLOR.ACCENT_3,
    "dk2": MSO_THEME_COLOR.TEXT_2,
    "lt2": MSO_THEME_COLOR.BACKGROUND_2,
    "accent4": MSO_THEME_COLOR.ACCENT_4,
    "accent5": MSO_THEME_COLOR.ACCENT_5,
    "accent6": MSO_THEME_COLOR.ACCENT_6,
}
# Of the table and of the chart, in the order of the take.
MOST_GROUNDS: Final = 5
_SERIES: Final = (Element.HEADING, Element.TEXT, Element.QUIET)
_BLANK: Final = 6
_TIME: Final = re.compile(rb"\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ")
# The same take gives the same bytes.
_NO_DATE: Final = datetime(2026, 1, 1)  # a file says it without a zone


class _Deck:
    """A presentation that paints with the colours of its theme."""

    def __init__(self, handoff: Handoff) -> None:
        self.take = handoff.take if handoff.take.scheme == "day" else handoff.take.turned()
        self.handoff = handoff
        self.made = Presentation()
        self.made.slide_width, self.made.slide_height = WIDTH, HEIGHT
        slots = dict(filled_slots(handoff.sheet()))
        self._theme_colors = {slots[slot]: color for slot, color in reversed(_SLOTS.items())}
        self.grounds: Mapping[str, Ground] = {ground.id: ground for ground in grounds_of(self.take)}
        faces = handoff.head.set_in(self.take)
        self.heading_face = family_of(faces.heading_face or "")
        self.text_face = family_of(faces.text_face or "")

    def fill(self, target: Any, value: Hex) -> None:
        """Fill a shape, a cell or a background."""
        target.solid()
        self.paint(target.fore_color, value)

    def paint(self, color: Any, value: Hex) -> None:
        """Set a colour, by its name in the theme where it has one."""
        if value in self._theme_colors:
            color.theme_color = self._theme_colors[value]
        else:
            color.rgb = RGBColor.from_string(value.removeprefix("#").upper())

    def slide(self, ground: Hex) -> Any:
        """Return a new slide on a ground."""
        slide = self.made.slides.add_slide(self.made.slide_layouts[_BLANK])
        self.fill(slide.background.fill, ground)
        return slide

    def text(self, frame: Any, text: str, value: Hex, size: float, *, heading: bool = False) -> None:
        """Write a paragraph; the first of a frame is the one that is there."""
        paragraph = frame.paragraphs[0] if not frame.paragraphs[0].runs else frame.add_paragraph()
        run = paragraph.add_run()
        run.text = text
        paragraph.space_after = Pt(size / 3)
        run.font.size, run.font.bold = Pt(size), heading
        run.font.name = "+mj-lt" if heading else "+mn-lt"
        self.paint(run.font.color, value)

    def box(self, slide: Any, left: int, top: int, width: int, height: int) -> Any:
        """Return the frame of a new text box without margins."""
        frame = slide.shapes.add_textbox(Emu(left), Emu(top), Emu(width), Emu(height)).text_frame
        frame.word_wrap = True
        frame.margin_left = frame.margin_right = frame.margin_top = frame.margin_bottom = 0
        return frame


def make_slides(handoff: Handoff) -> bytes:
    """Return the presentation: the same take gives the same bytes."""
    deck = _Deck(handoff)
    _set_theme(deck)
    _title(deck)
    _content(deck)
    properties = deck.made.core_properties
    properties.title, properties.author = handoff.title, handoff.head.brand
    properties.created = properties.modified = _NO_DATE
    made = io.BytesIO()
    deck.made.save(made)
    return _undated(made.getvalue())


def _undated(content: bytes) -> bytes:
    """Return an archive, and those in it, without the time at which they were made."""
    with zipfile.ZipFile(io.BytesIO(content)) as archive:
        files = {name: archive.read(name) for name in archive.namelist()}
    for name, file in files.items():
        if name.endswith(".xlsx"):
            files[name] = _undated(file)
        elif name.endswith("docProps/core.xml"):
            files[name] = _TIME.sub(_NO_DATE.isoformat().encode() + b"Z", file)
    return zipped(files)


def _set_theme(deck: _Deck) -> None:
    """Put the take's colours and typefaces into the theme of the slides."""
    part = deck.made.slide_masters[0].part.part_related_by(RELATIONSHIP_TYPE.THEME)
    theme: XmlElement = fromstring(part.blob)
    theme.set("name", deck.handoff.title)
    elements = theme[0]
    elements[:] = [
        fromstring(color_scheme(deck.handoff.sheet())) if child.tag == f"{{{NAMESPACE}}}clrScheme" else child
        for child in elements
    ]
    for kind, face in (("majorFont", deck.heading_face), ("minorFont", deck.text_face)):
        for latin in theme.iterfind(f".//{{{NAMESPACE}}}{kind}/{{{NAMESPACE}}}latin"):
            latin.set("typeface", face)
    part._blob = tostring(theme, encoding="UTF-8", xml_declaration=True)


def _title(deck: _Deck) -> None:
    offered = [deck.grounds[name] for name in (Role.PRIMARY, Role.DEEP, Role.PAPER) if name in deck.grounds]
    logo = deck.handoff.head.logo
    shows = first_that_shows(logo, [ground.hex for ground in offered])
    ground = next(ground for ground in offered if ground.hex == shows)
    slide = deck.slide(ground.hex)
    if logo:
        picture = io.BytesIO(logo_for(logo, ground.hex, _used(ground, Element.HEADING)))
        _place_logo(slide, picture, deck.handoff.head.brand)
    frame = deck.box(slide, MARGIN, Inches(2.2), WIDTH - 2 * MARGIN, Inches(2.6))
    frame.vertical_anchor = MSO_ANCHOR.BOTTOM
    deck.text(frame, deck.handoff.head.brand, _used(ground, Element.HEADING), 60, heading=True)
    deck.text(frame, deck.handoff.head.take, _used(ground, Element.TEXT), 24)
    left = 0
    for cell, width in _strip(deck.take):
        shape = slide.shapes.add_shape(
            MSO_SHAPE.RECTANGLE, Emu(left), Emu(HEIGHT - Inches(0.6)), Emu(width), Inches(0.6)
        )
        deck.fill(shape.fill, cell)
        shape.line.fill.background()
        shape.shadow.inherit = False
        left += width


def _place_logo(slide: Any, picture: io.BytesIO, brand: str) -> None:
    """Put a logo at the top left of a slide, as high as LOGO_HEIGHT or as wide as there is room."""
    shape = slide.shapes.add_picture(picture, MARGIN, MARGIN, height=LOGO_HEIGHT)
    room = WIDTH - 2 * MARGIN
    if shape.width > room:
        shape.height, shape.width = round(shape.height * room / shape.width), room
    shape.name = "Logo"
    shape._element.nvPicPr.cNvPr.set("descr", f"Logo of {brand}")


def _strip(take: Take) -> Iterator[tuple[Hex, int]]:
    """Yield the colours of the measure with their widths, in shares of the slide's."""
    cells = [cell for cell in evaluate(take).measure if cell.roles]
    whole, done = sum(cell.share for cell in cells), 0
    for row, cell in enumerate(cells):
        width = WIDTH - done if row == len(cells) - 1 else round(WIDTH * cell.share / whole)
        done += width
        yield cell.hex, width


def _content(deck: _Deck) -> None:
    paper = next(iter(deck.grounds.values()))
    slide = deck.slide(paper.hex)
    heading, text = _used(paper, Element.HEADING), _used(paper, Element.TEXT)
    frame = deck.box(slide, MARGIN, Inches(0.6), WIDTH - 2 * MARGIN, Inches(0.8))
    deck.text(frame, "What reads on each ground", heading, 34, heading=True)
    frame = deck.box(slide, MARGIN, Inches(1.6), Inches(4.9), Inches(1.5))
    deck.text(frame, _sentence(paper), text, 18)
    deck.text(
        frame, "The theme of these slides has every colour of the brand.", _used(paper, Element.QUIET), 14
    )
    shown = tuple(deck.grounds.values())[:MOST_GROUNDS]
    _table(deck, slide, shown)
    _chart(deck, slide, paper, shown)


def _sentence(paper: Ground) -> str:
    use = _use(paper, Element.TEXT)
    if use is None:
        return paper.name
    return f"{use.name} on {paper.name} has a contrast of {rounded_down(use.ratio)} to 1."


def _table(deck: _Deck, slide: Any, grounds: tuple[Ground, ...]) -> None:
    left, top, width = MARGIN, Inches(3.1), Inches(4.9)
    row_height = Inches(0.6)
    height = row_height * (len(grounds) + 1)
    table = slide.shapes.add_table(len(grounds) + 1, 3, Emu(left), Emu(top), Emu(width), Emu(height)).table
    head = deck.grounds.get(Role.PRIMARY, grounds[0])
    for column, word in enumerate(("Ground", "Text", "Contrast")):
        _cell(deck, table.cell(0, column), word, head, bold=True)
    for row, ground in enumerate(grounds, 1):
        use = _use(ground, Element.TEXT)
        words = (ground.name, use.name if use else "", rounded_down(use.ratio) if use else "")
        for column, word in enumerate(words):
            _cell(deck, table.cell(row, column), word, ground)


def _cell(deck: _Deck, cell: Any, text: str, ground: Ground, *, bold: bool = False) -> None:
    deck.fill(cell.fill, ground.hex)
    cell.vertical_anchor = MSO_ANCHOR.MIDDLE
    deck.text(cell.text_frame, text, _used(ground, Element.TEXT), 14, heading=bold)


def _chart(deck: _Deck, slide: Any, paper: Ground, grounds: tuple[Ground, ...]) -> None:
    """Draw the ratios that the table has, and those of headings and quiet texts, in colours told apart."""
    keys = series_of(deck.take, paper.hex)[: len(_SERIES)]
    data = CategoryChartData()
    data.categories = [ground.name for ground in grounds]
    for element in _SERIES[: max(1, len(keys))]:
        uses = [_use(ground, element) for ground in grounds]
        data.add_series(element.capitalize(), [float(rounded_down(use.ratio)) if use else 0 for use in uses])
    place = Inches(6.3), Inches(1.6), WIDTH - Inches(6.3) - MARGIN, Inches(5.2)
    chart = slide.shapes.add_chart(XL_CHART_TYPE.COLUMN_CLUSTERED, *place, data).chart
    text, line = _used(paper, Element.TEXT), _used(paper, Element.LINE)
    chart.font.size, chart.font.name = Pt(14), deck.text_face
    deck.paint(chart.font.color, text)
    chart.has_legend, chart.has_title = True, False
    chart.legend.position, chart.legend.include_in_layout = XL_LEGEND_POSITION.BOTTOM, False
    for key, series in zip(keys or (paper.key,), chart.plots[0].series, strict=False):
        deck.fill(series.format.fill, deck.take.color_of(key) if keys else text)
    chart.plots[0].gap_width = 80
    for axis in (chart.value_axis, chart.category_axis):
        deck.paint(axis.format.line.color, line)
    chart.value_axis.has_major_gridlines = False


def _use(ground: Ground, element: Element) -> Use | None:
    return next((use for use in ground.elements if use.element is element), None)


def _used(ground: Ground, element: Element) -> Hex:
    """Return the colour of an element on a ground; the ground's own where nothing can be told from it."""
    use = _use(ground, element)
    return use.hex if use else ground.hex


FORMAT: Final = FileFormat(
    kind="pptx",
    name="Slides",
    note="theme, title, text, table, chart",
    ending=".pptx",
    mimetype="application/vnd.openxmlformats-officedocument.presentationml.presentation",
    make=make_slides,
)
