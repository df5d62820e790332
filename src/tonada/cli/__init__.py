"""The command `tonada`: commands.py has the commands, files.py those on files."""

from tonada.cli.commands import main

__all__ = ["main"]
