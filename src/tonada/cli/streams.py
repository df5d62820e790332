"""What commands read and write: a file or a stream, and on standard error what has to be said of it."""

from __future__ import annotations

import argparse
import contextlib
import io
import sys
from collections.abc import Callable, Iterable
from pathlib import Path
from typing import TYPE_CHECKING, Final

from tonada.core.roles.starts import STARTS

if TYPE_CHECKING:
    from tonada.core.source.notes import Note

STANDARD_INPUT: Final = "-"


def add_file(command: argparse.ArgumentParser, help_text: str) -> None:
    """Add the file that a command reads."""
    command.add_argument("file", metavar="FILE", help=f"{help_text}; - for standard input")


def add_out(command: argparse.ArgumentParser) -> None:
    """Add the file that a command writes."""
    command.add_argument(
        "--out", type=Path, metavar="FILE", help="the file to write (default: standard output)"
    )


def add_printed_out(command: argparse.ArgumentParser) -> None:
    """Add the file that takes what a command would print."""
    help_text = "the file to write what is printed to (default: standard output)"
    command.add_argument("--out", dest="printed_out", type=Path, metavar="FILE", help=help_text)


def run_printing(run: Callable[[], int], out: Path | None) -> int:
    """Run what prints; with a file, all that it prints goes there once it has ended well."""
    if out is None:
        return run()
    with io.StringIO() as printed, contextlib.redirect_stdout(printed):
        code = run()
        out.write_text(printed.getvalue(), encoding="utf-8")
    return code


def add_strict(command: argparse.ArgumentParser) -> None:
    """Add whether what isn't understood makes the command fail."""
    command.add_argument("--strict", action="store_true", help="exit with 1 if something wasn't understood")


def add_start(command: argparse.ArgumentParser) -> None:
    """Add how an accent is made that no given colour can be."""
    command.add_argument("--start", metavar="NAME", help=f"how a missing accent is made: {', '.join(STARTS)}")


def content_of(file: str) -> bytes:
    """Return the bytes of a file or of standard input. Raises OSError."""
    return sys.stdin.buffer.read() if file == STANDARD_INPUT else Path(file).read_bytes()


def name_of(file: str) -> str:
    """Return the name that tells what a file is; of standard input there is none."""
    return "" if file == STANDARD_INPUT else Path(file).name


def give(content: bytes, out: Path | None) -> None:
    """Write what a command made."""
    if out:
        out.write_bytes(content)
    else:
        sys.stdout.buffer.write(content)


def tell(notes: Iterable[Note], *, strict: bool) -> int:
    """Say what wasn't understood, was mapped or assumed; return the exit code."""
    listed = list(notes)
    for note in listed:
        print(f"tonada: {note.sentence}", file=sys.stderr)
    return 1 if strict and any(note.kind == "not understood" for note in listed) else 0
