"""A logo in files: as it was drawn where it is seen, in one colour where its ground would hide it."""

from __future__ import annotations

import base64
import io
import re

import numpy as np
from PIL import Image
from pptx import Presentation

from tests.takes import TAKE
from tonada.core.source.pictures.preview import render_preview
from tonada.core.take.take import Role
from tonada.document.take import TakeDocument
from tonada.files.client_sheet import ExportHeader, html_sheet
from tonada.files.file_format import Handoff
from tonada.files.kinds import make_file
from tonada.frozen.freezing import Frame, Material, freeze


def logo_in(color: str) -> bytes:
    path = f'<path fill="{color}" d="M5 5h80v20H5z"/>'
    svg = f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 30">{path}</svg>'
    return render_preview(svg.encode())


def colors_of(picture: bytes) -> set[str]:
    pixels = np.asarray(Image.open(io.BytesIO(picture)).convert("RGBA"))
    solid = pixels[pixels[..., 3] == 255][:, :3]
    return {f"#{bytes(color).hex()}" for color in np.unique(solid, axis=0)}


def sheet_logo(logo: bytes) -> bytes:
    html = html_sheet(TAKE, ExportHeader("Orrin Peak", "Take 1", "", logo), None)
    found = re.search(r'<img src="data:image/png;base64,([^"]+)" alt="Logo of', html)
    assert found
    return base64.b64decode(found[1])


def test_on_the_white_sheet_a_white_logo_is_in_ink() -> None:
    assert colors_of(sheet_logo(logo_in("#ffffff"))) == {TAKE.hex_of(Role.INK)}
    assert colors_of(sheet_logo(logo_in("#2b3a8c"))) == {"#2b3a8c"}


def title_of(logo: bytes) -> tuple[str, set[str], str]:
    """Return the ground of the title slide, the colours of its logo, and what describes it."""
    content = make_file(Handoff(TAKE, ExportHeader("Orrin Peak", "Take 1", "", logo)), "pptx")
    slide = Presentation(io.BytesIO(content)).slides[0]
    shape = next(one for one in slide.shapes if one.name == "Logo")
    color = slide.background.fill.fore_color
    return str(color.theme_color), colors_of(shape.image.blob), shape._element.nvPicPr.cNvPr.get("descr")


def test_the_title_slide_has_a_ground_on_which_the_logo_is_seen() -> None:
    light, dark = title_of(logo_in("#ffffff")), title_of(logo_in(TAKE.hex_of(Role.PRIMARY)))
    assert light[1] == {"#ffffff"}
    assert dark[1] == {TAKE.hex_of(Role.PRIMARY)}
    assert light[0] != dark[0]
    assert dark[2] == "Logo of Orrin Peak"


def test_a_review_keeps_the_shape_of_a_logo_that_its_night_would_hide() -> None:
    document = TakeDocument.of(TAKE).model_dump(mode="json")
    material = Material("Take 1", 1, document, "version 1", logo_in("#131c4c"))
    frame = Frame("Orrin Peak", "Studio", "", "observatory", ["home"], ["wide"])
    drawn = freeze(frame, [material], None).content.takes[0].drawn
    logos = {scheme: drawn[scheme]["figures"]["logo"] for scheme in ("day", "night")}
    assert [logos[scheme]["is_in_one"] for scheme in ("day", "night")] == [False, True]
    for logo in logos.values():  # By day the dark half of the board needs the shape.
        assert logo["mask"].startswith("data:image/png;base64,")
