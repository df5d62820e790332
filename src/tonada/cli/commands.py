"""The command `tonada`. Scripts depend on it: what it prints with --json and its exit codes stay.

Exit codes: 0 fine, 1 a check failed or the server can't start, 2 the input can't be used.
"""

from __future__ import annotations

import argparse
import os
import sys
from collections.abc import Sequence
from importlib import import_module
from typing import Final, NamedTuple

from tonada import __version__
from tonada.cli.examples import add_examples
from tonada.cli.parser import Parser
from tonada.cli.streams import run_printing


class Command(NamedTuple):
    """A command. module: of this folder; its function of the command's name adds the arguments."""

    name: str
    module: str
    help: str


# A new command is a function, and a line here. Its module is imported when it is asked for.
COMMANDS: Final = (
    Command("extract", "colors", "list the colours of an image and their shares"),
    Command("contrast", "colors", "print the contrast ratio of a text on a ground"),
    Command("roles", "colors", "suggest roles for colours, largest first"),
    Command("harmony", "colors", "print the partners of a colour by a hue rule"),
    Command("ramp", "colors", "print the tints and shades of a colour, light to dark"),
    Command("mend", "colors", "find the nearest of all 16.7 million colours that reaches a ratio"),
    Command("convert", "files", "convert a list of colours to another format"),
    Command("export", "files", "export a take from Tonada's own file"),
    Command("slots", "files", "fill the slots of a destination from Tonada's own file"),
    Command("recolour", "files", "put the colours of a take into a stylesheet"),
    Command("build", "build", "build a whole take from a logo, colours or a mood; exit 1 if a pair fails"),
    Command("check", "check", "check the pairs of takes, tokens, stylesheets and pages; exit 1 if one fails"),
    Command("palettes", "palettes", "find ready-made palettes by colours and words"),
    Command("serve", "server", "start the web application on 127.0.0.1"),
    Command("backup", "server", "write all brands, takes and versions to one file"),
    Command("restore", "server", "restore a backup into an empty database"),
    Command("completions", "completions", "print what makes a shell complete commands and options"),
)

_NAMES: Final = frozenset(command.name for command in COMMANDS)


def main(arguments: Sequence[str] | None = None) -> int:
    """Run one command and return its exit code."""
    from tonada.core.errors import TonadaError

    if "_ARGCOMPLETE" in os.environ:
        complete()
    typed = sys.argv[1:] if arguments is None else list(arguments)
    parsed = parser_for(next((word for word in typed if not word.startswith("-")), "")).parse_args(typed)
    try:
        code = run_printing(lambda: parsed.run(parsed), getattr(parsed, "printed_out", None))
        sys.stdout.flush()
    except BrokenPipeError:
        # Whoever read has what they wanted; nothing more is written, at the end of the process either.
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0
    except TonadaError as reason:
        print(f"tonada: {reason}", file=sys.stderr)
        return 2
    except OSError as reason:
        print(f"tonada: {reason.filename or 'output'}: {reason.strerror}", file=sys.stderr)
        return 2
    return code


def complete() -> None:
    """Answer a shell that asks how a line goes on, and end. The line stands in the environment."""
    import argcomplete

    words = os.environ.get("COMP_LINE", "").split()[1:]
    argcomplete.autocomplete(parser_for(next((word for word in words if word in _NAMES), "")))


def parser_for(name: str | None = None) -> argparse.ArgumentParser:
    """Return the parser, with the arguments of one command; of all where no name is given."""
    parser = Parser(prog="tonada", description="Brand colour palettes with checked contrast.")
    parser.add_argument("--version", action="version", version=f"tonada {__version__}")
    commands: argparse._SubParsersAction[argparse.ArgumentParser] = parser.add_subparsers(
        required=True, metavar="COMMAND", parser_class=Parser
    )
    for command in COMMANDS:
        added = commands.add_parser(command.name, help=command.help)
        if name in (None, command.name):
            getattr(import_module(f"tonada.cli.{command.module}"), command.name)(added)
    add_examples(commands)
    return parser
