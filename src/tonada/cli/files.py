"""Commands on files: convert, export, recolour. They need no server and no database."""

from __future__ import annotations

import argparse
import sys
from pathlib import Path

KINDS = (
    "css", "scss", "less", "tailwind", "tokens", "modes", "office", "tonada", "json", "csv", "gpl", "svg",
    "png", "html", "pdf", "zip",
)  # fmt: skip
DESTINATIONS = ("five-slots", "eight-slots", "slides", "newsletter")
PAGES = ("values", "steps", "grounds", "pairs")
LISTS = ("css", "scss", "less", "tailwind", "tokens", "json", "csv", "gpl", "svg", "office")


def add_commands(commands: argparse._SubParsersAction[argparse.ArgumentParser]) -> None:
    """Add the commands to those of `tonada`."""
    convert = commands.add_parser("convert", help="convert a list of colours to another format")
    convert.add_argument(
        "file", type=Path, metavar="FILE", help="a list of colours in any format that Tonada reads"
    )
    convert.add_argument("--to", required=True, choices=LISTS, metavar="FORMAT", help=", ".join(LISTS))
    convert.set_defaults(run=_convert)

    export = commands.add_parser("export", help="export a take from Tonada's own file")
    export.add_argument("file", type=Path, metavar="FILE", help="Tonada's own file (.tonada.json)")
    export.add_argument("--to", required=True, choices=KINDS, metavar="FORMAT", help=", ".join(KINDS))
    export.add_argument(
        "--out", type=Path, metavar="FILE", help="the file to write (default: standard output)"
    )
    export.add_argument("--steps", action="store_true", help="include tints and shades")
    export.add_argument("--grounds", action="store_true", help="include the element colours on every ground")
    export.add_argument("--no-night", action="store_true", help="leave the night scheme out")
    export.add_argument(
        "--dark", choices=("media", "attribute", "class"), default="media",
        help="how a stylesheet switches to night: the visitor's setting, data-theme=dark, or the class dark",
    )  # fmt: skip
    export.add_argument("--naming", choices=("kebab", "camel", "snake"), default="kebab")
    export.add_argument(
        "--notation", choices=("hex", "hex upper", "rgb", "hsl", "hwb", "oklch", "lab"), default="hex"
    )
    export.add_argument("--prefix", default="", help="prefix of every name")
    export.add_argument("--paper", choices=("A4", "Letter"), default="A4", help="page size of the PDF")
    export.add_argument(
        "--pages", nargs="*", choices=PAGES, default=[], metavar="PAGE",
        help=f"pages after the first one of the PDF: {', '.join(PAGES)}",
    )  # fmt: skip
    export.set_defaults(run=_export)

    slots = commands.add_parser("slots", help="fill the slots of a destination from Tonada's own file")
    slots.add_argument("file", type=Path, metavar="FILE", help="Tonada's own file (.tonada.json)")
    slots.add_argument(
        "--destination",
        default="five-slots",
        choices=DESTINATIONS,
        metavar="NAME",
        help=", ".join(DESTINATIONS),
    )
    slots.add_argument("--to", choices=("csv", "json", "html", "pdf"), default="csv", metavar="FORMAT")
    slots.add_argument(
        "--out", type=Path, metavar="FILE", help="the file to write (default: standard output)"
    )
    slots.set_defaults(run=_slots)

    recolour = commands.add_parser("recolour", help="put the colours of a take into a stylesheet")
    recolour.add_argument("file", type=Path, metavar="FILE", help="a stylesheet")
    recolour.add_argument("--take", required=True, type=Path, metavar="FILE", help="Tonada's own file")
    recolour.add_argument("--properties", action="store_true", help="write references to custom properties")
    recolour.add_argument("--pictures", action="store_true", help="recolour SVG pictures in data: URLs, too")
    recolour.add_argument(
        "--diff", action="store_true", help="print the changes as a diff, and write nothing"
    )
    recolour.set_defaults(run=_recolour)


def _convert(parsed: argparse.Namespace) -> int:
    from tonada.core.formats.convert import convert

    sys.stdout.write(convert(parsed.file.read_bytes(), parsed.file.name, parsed.to))
    return 0


def _export(parsed: argparse.Namespace) -> int:
    from tonada.core.formats.sheet import Options
    from tonada.document.own_file import read_own
    from tonada.handoff.client_sheet import ExportHeader, SheetPages
    from tonada.handoff.files import Handoff, make_file
    from tonada.handoff.press_profile import usual_press

    take, name = read_own(parsed.file.read_bytes())
    brand, _, take_name = name.partition(", ")
    options = Options(
        steps=parsed.steps,
        grounds=parsed.grounds,
        night=not parsed.no_night,
        naming=parsed.naming,
        notation=parsed.notation,
        prefix=parsed.prefix,
        dark=parsed.dark,
    )
    pages = SheetPages(**dict.fromkeys(parsed.pages, True))
    head = ExportHeader(brand or "Colours", take_name or "take", "")
    return _give(
        make_file(Handoff(take, head, usual_press(), options, parsed.paper, pages), parsed.to), parsed
    )


def _slots(parsed: argparse.Namespace) -> int:
    from tonada.core.handoff.slots import SHIPPED, chosen_slots, fill_slots
    from tonada.document.own_file import read_own
    from tonada.handoff.client_sheet import ExportHeader
    from tonada.handoff.slot_files import slot_file

    take, name = read_own(parsed.file.read_bytes())
    brand, _, take_name = name.partition(", ")
    destination = next(one for one in SHIPPED if one.id == parsed.destination)
    filled = fill_slots(take, destination, chosen_slots(take, destination.id))
    head = ExportHeader(brand or "Colours", take_name or "take", "")
    return _give(slot_file(destination, filled, head, parsed.to), parsed)


def _give(content: bytes, parsed: argparse.Namespace) -> int:
    if parsed.out:
        parsed.out.write_bytes(content)
    else:
        sys.stdout.buffer.write(content)
    return 0


def _recolour(parsed: argparse.Namespace) -> int:
    from tonada.core.formats.detect import decode_text
    from tonada.core.handoff.old_colors import propose_mapping
    from tonada.core.handoff.restyle import restyle
    from tonada.core.source.stylesheets import StyleFile
    from tonada.document.own_file import read_own

    take, _ = read_own(parsed.take.read_bytes())
    files = [StyleFile(parsed.file.name, decode_text(parsed.file.read_bytes()), parsed.pictures)]
    mapping = {old: one.key for one in propose_mapping(take, files) for old in one.members}
    made = restyle(take, files, mapping, "properties" if parsed.properties else "values")
    sys.stdout.write(made.diff if parsed.diff else made.files[0].text)
    for one in made.undecided:
        often = f", {one.count} times" if one.count > 1 else ""
        place = f"{one.file}:{one.line}:{one.column}"
        print(f"{place}: stays: {one.text} ({one.reason}{often})", file=sys.stderr)
    return 0
