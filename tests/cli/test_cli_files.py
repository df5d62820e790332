"""The commands on files, and what outside readers make of the files: poppler, Tailwind's compiler, resvg."""

from __future__ import annotations

import io
import json
import re
import subprocess
import zipfile
from dataclasses import replace
from pathlib import Path

import pytest
from PIL import Image

from tests.cli.test_cli import as_json, run
from tests.takes import FAILING, TAKE
from tonada.core.color.spaces import hex_to_srgb8
from tonada.core.errors import ImageError, InputError
from tonada.core.source.pictures import extract_colors
from tonada.core.take.take import Role
from tonada.document.own_file import OwnFile, read_own, write_own
from tonada.files.client_sheet import ALL_PAGES, ExportHeader, Paper, html_sheet, pdf_sheet
from tonada.files.file_format import Handoff
from tonada.files.kinds import FILE_FORMATS, make_file
from tonada.files.press_profile import usual_press

ROOT = Path(__file__).parents[2]
HEAD = ExportHeader("Orrin Peak Observatory", "Take 1", "version 3, made for a test", version="version 3")


@pytest.fixture
def own(tmp_path: Path) -> Path:
    file = tmp_path / "orrin.tonada.json"
    file.write_text(write_own(OwnFile(FAILING, "Orrin Peak Observatory", "Take 1")), encoding="utf-8")
    return file


def test_tonadas_own_file_keeps_the_whole_take_to_the_byte(own: Path) -> None:
    read = read_own(own.read_bytes())
    assert read.take == FAILING
    assert read.title == "Orrin Peak Observatory, Take 1"
    assert write_own(read).encode() == own.read_bytes()


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"version": 9}, "version"),
        ({"format": "other"}, "format"),
        ({"take": {"format": 2, "level": "B"}}, "take.level"),
        ({"take": {"format": 2, "hats": []}}, "take.hats"),
    ],
)
def test_a_broken_own_file_is_refused_by_name(own: Path, change: dict[str, object], field: str) -> None:
    broken = json.dumps({**json.loads(own.read_text(encoding="utf-8")), **change})
    with pytest.raises(InputError) as refusal:
        read_own(broken.encode())
    assert refusal.value.field == field


def test_check_reads_tonadas_own_file(own: Path, capsys: pytest.CaptureFixture[str]) -> None:
    code, out, _ = run(capsys, "check", str(own), "--json")
    pairs = json.loads(out)["pairs"]
    assert code == 1, "Paper on Accent falls short"
    assert sum(not pair["pass"] for pair in pairs) == 1
    assert len(pairs) == len(TAKE.pairs) + len(TAKE.turned().pairs)
    code, out, _ = run(capsys, "check", str(own), "--junit")
    assert 'failures="1"' in out
    assert run(capsys, "check", str(own), "--level", "A")[0] == 0


def test_convert_takes_any_list_to_any_format(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    file = tmp_path / "list.txt"
    file.write_text("Dusk: #2b3a8c\nLoam: 182 101 58\n")
    code, gpl, _ = run(capsys, "convert", str(file), "--to", "gpl")
    assert code == 0
    # Read as the format is described: a mark, comments, then three decimals and a name in each line.
    entries = [line for line in gpl.splitlines()[1:] if line and line[0] != "#"]
    assert [tuple(map(int, line.split()[:3])) for line in entries] == [(43, 58, 140), (182, 101, 58)]
    assert gpl.startswith("GIMP Palette\n")
    assert run(capsys, "convert", str(file), "--to", "morse")[0] == 2
    (tmp_path / "empty.txt").write_text("nothing")
    code, _, err = run(capsys, "convert", str(tmp_path / "empty.txt"), "--to", "css")
    assert (code, err.count("\n")) == (2, 1)


@pytest.mark.detail
def test_export_writes_every_format(own: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    for kind in ("css", "scss", "tailwind", "tokens", "tonada", "json", "csv", "gpl", "svg", "html"):
        code, out, err = run(capsys, "export", str(own), "--to", kind, "--steps", "--prefix", "op")
        assert (code, err) == (0, ""), kind
        assert "2b3a8c" in out or "43" in out
    target = tmp_path / "all.zip"
    assert run(capsys, "export", str(own), "--to", "zip", "--out", str(target))[0] == 0
    names = zipfile.ZipFile(target).namelist()
    endings = [one.ending for kind, one in FILE_FORMATS.items() if kind != "zip"]
    assert len(names) == len(endings)
    assert all(any(name.endswith(ending) for name in names) for ending in endings)
    assert run(capsys, "export", str(own), "--to", "css", "--prefix", "2 x")[0] == 2


def test_recolour_rewrites_a_stylesheet(
    own: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    sheet = tmp_path / "site.css"
    sheet.write_text("/* kept */ a { color: #2a398b } b { background: #fdfdfd }")
    code, out, _ = run(capsys, "recolour", str(sheet), "--take", str(own))
    assert (code, out) == (0, "/* kept */ a { color: #2b3a8c } b { background: #f9fafd }")
    assert "+++ site.css" in run(capsys, "recolour", str(sheet), "--take", str(own), "--diff")[1]
    assert "var(--primary)" in run(capsys, "recolour", str(sheet), "--take", str(own), "--properties")[1]


@pytest.mark.detail
def test_the_pdf_is_tagged_embeds_its_fonts_and_says_everything(tmp_path: Path) -> None:
    sizes: dict[Paper, str] = {"A4": "595.276 x 841.89", "Letter": "612 x 792"}
    for paper, size in sizes.items():
        file = tmp_path / f"{paper}.pdf"
        file.write_bytes(pdf_sheet(FAILING, HEAD, usual_press(), paper, ALL_PAGES))
        info = subprocess.run(["pdfinfo", file], capture_output=True, text=True, check=True).stdout
        assert re.search(r"Tagged:\s+yes", info)
        assert size in info
        fonts = subprocess.run(["pdffonts", file], capture_output=True, text=True, check=True).stdout
        rows = fonts.splitlines()[2:]
        assert rows
        assert all(" yes yes yes " in row for row in rows), "embedded, subset, with Unicode"
        text = subprocess.run(
            ["pdftotext", "-layout", file, "-"], capture_output=True, text=True, check=True
        ).stdout
        for said in ("Orrin Peak Observatory", "version 3", "#2b3a8c", "43, 58, 140", "98 93 9 2", "1.96"):
            assert said in text, said
        assert "fails" in text


def test_the_logo_stands_on_the_sheet_and_nothing_else_is_read(tmp_path: Path) -> None:
    made = io.BytesIO()
    Image.new("RGB", (40, 20), (200, 30, 30)).save(made, "PNG")
    file = tmp_path / "logo.pdf"
    file.write_bytes(pdf_sheet(TAKE, replace(HEAD, logo=made.getvalue()), None))
    listed = subprocess.run(["pdfimages", "-list", file], capture_output=True, text=True, check=True).stdout
    assert "40" in listed.splitlines()[2]


def test_a_sheet_leaves_the_reading_of_uploads_as_strict_as_it_was() -> None:
    pdf_sheet(TAKE, HEAD, None)
    made = io.BytesIO()
    Image.effect_noise((64, 64), 90).save(made, "PNG")
    with pytest.raises(ImageError):
        extract_colors(made.getvalue()[:-200])


def test_the_html_sheet_fetches_nothing_and_shows_names_as_text() -> None:
    swatch = replace(TAKE.swatches[0], name="<img src=x onerror=alert(1)>")
    take = replace(TAKE, swatches=(swatch, *TAKE.swatches[1:]))
    page = html_sheet(take, replace(HEAD, brand="<b>Brand</b>"), None)
    assert r'content: "\3c b\3e Brand\3c \2f b\3e "' in page
    assert "<img src=x" not in page
    assert "&lt;b&gt;Brand&lt;/b&gt;" in page
    assert not re.findall(r"(?:src|href)=\"(?!data:)", page)
    assert not re.findall(r"url\((?!data:)", page)


@pytest.mark.detail
def test_the_png_shows_the_values_and_a_zip_is_the_same_each_time() -> None:
    handoff = Handoff(TAKE, HEAD)
    picture = Image.open(io.BytesIO(make_file(handoff, "png"))).convert("RGB")
    found = {color for _, color in picture.getcolors(1 << 24) or []}
    for role in (Role.PRIMARY, Role.PAPER, Role.DEEP):
        assert tuple(int(part) for part in hex_to_srgb8(TAKE.hex_of(role))) in found
    assert make_file(handoff, "zip") == make_file(handoff, "zip")


def test_tailwinds_own_compiler_makes_utilities_of_the_theme() -> None:
    theme = make_file(Handoff(TAKE, HEAD), "tailwind").decode()
    script = (
        "import { compile } from 'tailwindcss';"
        "const made = await compile(process.argv[1] + '\\n@tailwind utilities;');"
        "console.log(made.build(['bg-primary', 'text-ink', 'border-line']))"
    )
    command = ["node", "--input-type=module", "-e", script, theme]
    made = subprocess.run(command, cwd=ROOT / "frontend", capture_output=True, text=True, check=True).stdout
    assert ".bg-primary" in made
    assert "background-color: var(--color-primary)" in made
    assert "--color-primary: #2b3a8c" in made
    assert "prefers-color-scheme: dark" in made


def test_contrast_and_export_agree(own: Path, capsys: pytest.CaptureFixture[str]) -> None:
    listed = json.loads(run(capsys, "export", str(own), "--to", "json")[1])["colors"]
    values = {one["role"]: one["hex"] for one in listed if one.get("role") and one["scheme"] == "day"}
    ratio = as_json(capsys, "contrast", values["ink"], values["paper"])["ratio"]
    checked = json.loads(run(capsys, "check", str(own), "--json")[1])["pairs"]
    assert ratio == next(p["ratio"] for p in checked if (p["text"], p["ground"]) == ("Ink", "Paper"))


def test_slots_of_a_destination_are_printed(own: Path, capsys: pytest.CaptureFixture[str]) -> None:
    code, out, _ = run(capsys, "slots", str(own), "--destination", "slides")
    assert code == 0
    assert out.splitlines()[1].startswith("Light 1,ground,")
    assert run(capsys, "slots", str(own), "--destination", "nothing")[0] == 2


def test_what_is_not_understood_is_said_by_every_command_and_strict_makes_it_fail(
    tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    colors = tmp_path / "colours.css"
    colors.write_text(":root { --a: #2b3a8c; --b: contrast-color(red); --c: color(display-p3 0 1 0) }")
    code, out, err = run(capsys, "convert", str(colors), "--to", "gpl")
    assert (code, out.splitlines()[0]) == (0, "GIMP Palette")
    assert [line.partition(": ")[2].partition(": ")[0] for line in err.splitlines()] == [
        "not understood",
        "mapped",
    ]
    assert run(capsys, "convert", str(colors), "--to", "gpl", "--strict")[0] == 1
    out_file = tmp_path / "made.gpl"
    assert run(capsys, "convert", str(colors), "--to", "gpl", "--out", str(out_file))[:2] == (0, "")
    assert out_file.read_text() == out

    logo = tmp_path / "logo.svg"
    logo.write_text(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path fill="#2b3a8c" d="M0 0h5v9H0z"/>'
        '<path style="fill:contrast-color(red)" d="M5 0h4v9H5z"/></svg>'
    )
    code, out, err = run(capsys, "extract", str(logo), "--json")
    assert (code, [note["kind"] for note in json.loads(out)["notes"]]) == (0, ["not understood"])
    assert err.startswith("tonada: not understood: <path>: fill: contrast-color(red)")
    assert run(capsys, "extract", str(logo), "--strict")[0] == 1
    code, _, err = run(capsys, "build", str(logo), "--strict")
    assert (code, "not understood" in err) == (1, True)


def test_a_file_may_come_from_standard_input(
    own: Path, capsys: pytest.CaptureFixture[str], monkeypatch: pytest.MonkeyPatch
) -> None:
    class Input:
        buffer = io.BytesIO()

    monkeypatch.setattr("sys.stdin", Input)
    for command in (("export", "--to", "css"), ("slots",)):
        Input.buffer = io.BytesIO(own.read_bytes())
        assert run(capsys, command[0], "-", *command[1:])[0] == 0
    Input.buffer = io.BytesIO(b"#2b3a8c\n#ffd700")
    code, out, _ = run(capsys, "convert", "-", "--to", "css")
    assert (code, "#ffd700" in out) == (0, True)


def test_a_decimal_comma_is_refused_with_a_sentence(capsys: pytest.CaptureFixture[str]) -> None:
    code, _, err = run(capsys, "mend", "#777", "#fff", "--ratio", "4,5")
    assert code == 2
    assert "write decimals with a point" in err
