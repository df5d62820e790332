"""The presentation: its theme is the take's, and every text on it reads on what is behind it."""

from __future__ import annotations

import io
import random
import subprocess
import zipfile
from collections.abc import Iterator
from dataclasses import replace
from pathlib import Path
from typing import Any
from xml.etree import ElementTree

import pypdfium2
import pytest
from coloraide import Color
from pptx import Presentation
from pptx.enum.dml import MSO_COLOR_TYPE

from tests.sampling import examples
from tests.takes import TAKE, take_of
from tonada.core.take.take import Role, Take
from tonada.files.client_sheet import ExportHeader
from tonada.files.file_format import Handoff
from tonada.files.kinds import make_file

DRAWING = "{http://schemas.openxmlformats.org/drawingml/2006/main}"
# What the names of a theme's colours are on a slide: text and background are dark and light.
ALIASES = {"tx1": "dk1", "bg1": "lt1", "tx2": "dk2", "bg2": "lt2"}


def slides_of(take: Take) -> bytes:
    return make_file(Handoff(take, ExportHeader("Orrin Peak", "Take 1", "")), "pptx")


def theme_of(content: bytes) -> dict[str, str]:
    with zipfile.ZipFile(io.BytesIO(content)) as archive:
        theme = ElementTree.fromstring(archive.read("ppt/theme/theme1.xml"))
    scheme = next(theme.iter(f"{DRAWING}clrScheme"))
    return {slot.tag.removeprefix(DRAWING): f"#{slot[0].get('val')}".lower() for slot in scheme}


def hex_of(color: Any, theme: dict[str, str]) -> str:
    if color.type == MSO_COLOR_TYPE.SCHEME:
        name = color.theme_color.xml_value if hasattr(color.theme_color, "xml_value") else ""
        name = name or str(color.theme_color.name).lower()
        return theme[ALIASES.get(name, name)]
    return f"#{color.rgb}".lower()


def texts_on(content: bytes) -> Iterator[tuple[str, str, str]]:
    """Yield each text with its colour and that of the cell or slide that it stands on."""
    theme = theme_of(content)
    for slide in Presentation(io.BytesIO(content)).slides:
        behind = hex_of(slide.background.fill.fore_color, theme)
        for shape in slide.shapes:
            if shape.has_text_frame:
                frames = [(shape.text_frame, behind)]
            elif shape.has_table:
                cells = [cell for row in shape.table.rows for cell in row.cells]
                frames = [(cell.text_frame, hex_of(cell.fill.fore_color, theme)) for cell in cells]
            else:
                frames = []
            for frame, ground in frames:
                for paragraph in frame.paragraphs:
                    for run in paragraph.runs:
                        yield run.text, hex_of(run.font.color, theme), ground
            if shape.has_chart:
                yield "the chart", hex_of(shape.chart.font.color, theme), behind


def drawn_takes(count: int) -> Iterator[Take]:
    draw = random.Random(77)  # noqa: S311  (a seed, no secret)
    for row in range(count):
        yield take_of(*(f"#{draw.randrange(1 << 24):06x}" for _ in range(1 + row % 4)))


def test_every_text_on_a_slide_reads() -> None:
    for take in (TAKE, *drawn_takes(examples(30))):
        found = list(texts_on(slides_of(take)))
        assert len(found) > 18
        for text, color, ground in found:
            assert Color(color).contrast(Color(ground), method="wcag21") >= 4.5, (text, color, ground)


def test_a_chart_shows_its_parts() -> None:
    for take in drawn_takes(examples(12)):
        content = slides_of(take)
        theme = theme_of(content)
        slide = Presentation(io.BytesIO(content)).slides[1]
        chart = next(shape.chart for shape in slide.shapes if shape.has_chart)
        for series in chart.plots[0].series:
            color = Color(hex_of(series.format.fill.fore_color, theme))
            assert color.contrast(Color(take.hex_of(Role.PAPER)), method="wcag21") >= 3


def test_the_theme_is_the_takes() -> None:
    content = slides_of(TAKE)
    theme = theme_of(content)
    assert theme["dk1"] == TAKE.hex_of(Role.INK)
    assert theme["lt1"] == TAKE.hex_of(Role.PAPER)
    assert theme["accent1"] == TAKE.hex_of(Role.PRIMARY)
    with zipfile.ZipFile(io.BytesIO(content)) as archive:
        text = archive.read("ppt/theme/theme1.xml").decode()
    assert 'typeface="Bricolage Grotesque"' in text, "of a brand without a trade"
    assert 'typeface="Source Sans 3"' in text
    theirs = replace(TAKE, proof=replace(TAKE.proof, voice="mill"))
    with zipfile.ZipFile(io.BytesIO(slides_of(theirs))) as archive:
        assert 'typeface="Fraunces"' in archive.read("ppt/theme/theme1.xml").decode(), "the trade's own"
    assert slides_of(TAKE) == content, "the same take gives the same bytes"


@pytest.mark.long
def test_an_office_program_draws_both_slides(tmp_path: Path) -> None:
    (tmp_path / "a.pptx").write_bytes(slides_of(TAKE))
    subprocess.run(["soffice", "--headless", "--convert-to", "pdf", "a.pptx"], cwd=tmp_path, check=True)
    drawn = pypdfium2.PdfDocument(tmp_path / "a.pdf")
    assert len(drawn) == 2
    first = drawn[0].render(scale=0.5).to_pil().convert("RGB")
    assert "#{:02x}{:02x}{:02x}".format(*first.getpixel((20, 20))) == TAKE.hex_of(Role.PRIMARY)
    assert "What reads on each ground" in drawn[1].get_textpage().get_text_range()
