"""The command completions: what a shell needs to complete commands, options and their values."""

from __future__ import annotations

import argparse
from typing import Final

SHELLS: Final = ("bash", "zsh", "fish")


def completions(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `completions`."""
    command.add_argument("shell", choices=SHELLS, help="the shell that is to complete")
    command.set_defaults(run=_completions)


def _completions(parsed: argparse.Namespace) -> int:
    from argcomplete.shell_integration import shellcode

    # The parser itself answers at each Tab, so that nothing can be out of date.
    print(shellcode(["tonada"], shell=parsed.shell))
    return 0
