"""Handoff and proof: a whole archive, the PDF, the grounds of a take, a stylesheet in new colours."""

from __future__ import annotations

import io
import zipfile
from functools import partial

from weasyprint import HTML

from bench.timing import Row, milliseconds, table
from tonada.core.proof.grounds import grounds_of
from tonada.core.recolouring.old_colors import propose_mapping
from tonada.core.recolouring.restyle import restyle
from tonada.core.roles.brand import Candidate
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.source.stylesheets import StyleFile, read_stylesheets
from tonada.demo.seed import demo_file
from tonada.document.page_figures import PageFigures
from tonada.files.client_sheet import ExportHeader
from tonada.files.file_format import Handoff
from tonada.files.kinds import make_file
from tonada.files.press_profile import usual_press

COLORS = ("#2b3a8c", "#b6653a", "#d7b13c")


def run() -> str:
    """Return the table."""
    candidates = tuple(Candidate(value, 0.5**row) for row, value in enumerate(COLORS))
    take = build_take(candidates, propose_roles(candidates), source=None, source_name="a list")
    handoff = Handoff(take, ExportHeader("Orrin Peak", "Take 1", "version 1"), usual_press())
    everything = make_file(handoff, "zip")
    sheet = [StyleFile("old-site.css", demo_file("old-site.css").decode())]
    mapping = {old: one.key for one in propose_mapping(take, sheet) for old in one.members}

    def packed() -> None:
        # The same files, only packed again: what an archive costs without making anything.
        files = zipfile.ZipFile(io.BytesIO(everything))
        with zipfile.ZipFile(io.BytesIO(), "w", zipfile.ZIP_DEFLATED) as archive:
            for name in files.namelist():
                archive.writestr(name, files.read(name))

    empty = milliseconds(partial(HTML(string="<p>one line</p>").write_pdf), times=5)
    reading = milliseconds(lambda: read_stylesheets(sheet))
    return table(
        "Handoff and proof",
        [
            Row("all files in a zip", milliseconds(partial(make_file, handoff, "zip"), times=3),
                "packing them again", milliseconds(packed, times=3)),
            Row("PDF sheet, 4 pages", milliseconds(partial(make_file, handoff, "pdf"), times=5),
                "WeasyPrint, one line", empty),
            Row("grounds, 72 figures", milliseconds(lambda: grounds_of(take), times=51),
                "reading an old stylesheet", reading),
            Row("the proof's whole answer", milliseconds(lambda: PageFigures.of(take), times=51),
                "reading an old stylesheet", reading),
            Row("a stylesheet in new colours", milliseconds(lambda: restyle(take, sheet, mapping)),
                "reading it", reading),
        ],
    )  # fmt: skip
