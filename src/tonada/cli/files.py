"""Commands on files: convert, export, recolour. They need no server and no database."""

from __future__ import annotations

import argparse
import sys
from pathlib import Path

from tonada.cli.streams import add_file, add_out, add_strict, content_of, give, name_of, tell

PAGES = ("values", "steps", "grounds", "pairs")


def convert(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `convert`."""
    from tonada.core.formats.registry import WRITINGS

    add_file(command, "a list of colours in any format that Tonada reads")
    command.add_argument("--to", required=True, choices=WRITINGS, metavar="FORMAT", help=", ".join(WRITINGS))
    add_strict(command)
    add_out(command)
    command.set_defaults(run=_convert)


def export(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `export`."""
    from tonada.core.color.writing import CSS_NOTATIONS
    from tonada.core.formats.sheet import DARKS, NAMINGS
    from tonada.files.client_sheet import PAPERS
    from tonada.files.kinds import FILE_FORMATS

    add_file(command, "Tonada's own file (.tonada.json)")
    command.add_argument(
        "--to", required=True, choices=FILE_FORMATS, metavar="FORMAT", help=", ".join(FILE_FORMATS)
    )
    add_out(command)
    command.add_argument("--steps", action="store_true", help="include tints and shades")
    command.add_argument("--grounds", action="store_true", help="include the element colours on every ground")
    command.add_argument(
        "--no-texts", action="store_true", help="leave out the texts, buttons and lines of each ground"
    )
    command.add_argument("--no-night", action="store_true", help="leave the night scheme out")
    command.add_argument(
        "--dark", choices=DARKS, default="media",
        help="how a stylesheet switches to night: the visitor's setting, data-theme=dark, the class dark, or "
        "both values in one, light-dark()",
    )  # fmt: skip
    command.add_argument("--naming", choices=NAMINGS, default="kebab")
    command.add_argument("--notation", choices=CSS_NOTATIONS, default="hex")
    command.add_argument(
        "--fallback", action="store_true", help="write hex first in stylesheets, for older browsers"
    )
    command.add_argument(
        "--hex-tokens", action="store_true", help="write the colours of tokens as hex strings"
    )
    command.add_argument("--prefix", default="", help="prefix of every name")
    command.add_argument("--paper", choices=PAPERS, default="A4", help="page size of the PDF")
    command.add_argument(
        "--press", default="", metavar="NAME", help="an installed press profile for CMYK, by its own name"
    )
    command.add_argument(
        "--pages", nargs="*", choices=PAGES, default=[], metavar="PAGE",
        help=f"pages after the first one of the PDF: {', '.join(PAGES)}",
    )  # fmt: skip
    command.set_defaults(run=_export)


def slots(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `slots`."""
    from tonada.core.handoff.slots import SHIPPED
    from tonada.files.slot_files import SLOT_KINDS

    destinations = [destination.id for destination in SHIPPED]
    add_file(command, "Tonada's own file (.tonada.json)")
    command.add_argument(
        "--destination",
        default="five-slots",
        choices=destinations,
        metavar="NAME",
        help=", ".join(destinations),
    )
    command.add_argument("--to", choices=SLOT_KINDS, default="csv", metavar="FORMAT")
    add_out(command)
    command.set_defaults(run=_slots)


def recolour(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `recolour`."""
    add_file(command, "a stylesheet")
    command.add_argument("--take", required=True, type=Path, metavar="FILE", help="Tonada's own file")
    command.add_argument("--properties", action="store_true", help="write references to custom properties")
    command.add_argument("--pictures", action="store_true", help="recolour SVG pictures in data: URLs, too")
    command.add_argument("--diff", action="store_true", help="print the changes as a diff, and write nothing")
    add_strict(command)
    add_out(command)
    command.set_defaults(run=_recolour)


def _convert(parsed: argparse.Namespace) -> int:
    from tonada.core.formats.convert import write_list
    from tonada.core.formats.detect import read_list

    found = read_list(content_of(parsed.file), name_of(parsed.file))
    made = write_list(found, parsed.to)
    code = tell((warning.note for warning in found.warnings), strict=parsed.strict)
    give(made.encode(), parsed.out)
    return code


def _export(parsed: argparse.Namespace) -> int:
    from tonada.core.errors import InputError
    from tonada.core.formats.sheet import Options
    from tonada.document.own_file import read_own
    from tonada.files.client_sheet import ExportHeader, SheetPages
    from tonada.files.file_format import Handoff
    from tonada.files.kinds import made_file
    from tonada.files.press_profile import press_of

    own = read_own(content_of(parsed.file))
    options = Options(
        steps=parsed.steps,
        grounds=parsed.grounds,
        texts=not parsed.no_texts,
        night=not parsed.no_night,
        naming=parsed.naming,
        notation=parsed.notation,
        prefix=parsed.prefix,
        dark=parsed.dark,
        fallback=parsed.fallback,
        hex_tokens=parsed.hex_tokens,
    )
    pages = SheetPages(**dict.fromkeys(parsed.pages, True))
    head = ExportHeader(own.brand, own.name, own.origin)
    handoff = Handoff(own.take, head, press_of(parsed.press), options, parsed.paper, pages, own.pictures)
    made = made_file(handoff, parsed.to)
    if parsed.out and made.name.endswith(".png.zip") and parsed.out.suffix != ".zip":
        raise InputError(
            "So many swatches are several pictures, in an archive: end the name in .zip.", field="out"
        )
    give(made.content, parsed.out)
    return 0


def _slots(parsed: argparse.Namespace) -> int:
    from tonada.core.handoff.slots import SHIPPED, chosen_slots, fill_slots
    from tonada.document.own_file import read_own
    from tonada.files.client_sheet import ExportHeader
    from tonada.files.slot_files import slot_file

    own = read_own(content_of(parsed.file))
    destination = next(destination for destination in SHIPPED if destination.id == parsed.destination)
    filled = fill_slots(own.take, destination, chosen_slots(own.take, destination.id))
    head = ExportHeader(own.brand, own.name, own.origin)
    give(slot_file(destination, filled, head, parsed.to), parsed.out)
    return 0


def _recolour(parsed: argparse.Namespace) -> int:
    from tonada.core.formats.detect import decode_text
    from tonada.core.recolouring.old_colors import propose_mapping
    from tonada.core.recolouring.restyle import restyle
    from tonada.core.source.stylesheets import StyleFile
    from tonada.document.own_file import read_own

    take = read_own(parsed.take.read_bytes()).take
    files = [
        StyleFile(
            name_of(parsed.file) or "standard-input", decode_text(content_of(parsed.file)), parsed.pictures
        )
    ]
    mapping = {old: entry.key for entry in propose_mapping(take, files) for old in entry.members}
    made = restyle(take, files, mapping, "properties" if parsed.properties else "values")
    give((made.diff if parsed.diff else made.files[0].text).encode(), parsed.out)
    for entry in made.undecided:
        often = f", {entry.count} times" if entry.count > 1 else ""
        place = f"{entry.file}:{entry.line}:{entry.column}"
        print(f"{place}: stays: {entry.text} ({entry.reason}{often})", file=sys.stderr)
    return 1 if parsed.strict and made.undecided else 0
