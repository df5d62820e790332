"""Commands on the server and its data: serve, backup, restore."""

from __future__ import annotations

import argparse
import sys
from collections.abc import Callable
from pathlib import Path


def serve(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `serve`."""
    command.add_argument("--demo", action="store_true", help="with demo brands, if there are no brands yet")
    command.add_argument("--reset", action="store_true", help="delete Tonada’s own database first")
    command.set_defaults(run=_serve)


def backup(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `backup`."""
    command.add_argument("file", type=Path, metavar="FILE", help="the file to write; it must not exist yet")
    command.set_defaults(run=_backup)


def restore(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `restore`."""
    command.add_argument("file", type=Path, metavar="FILE")
    command.set_defaults(run=_restore)


def _serve(parsed: argparse.Namespace) -> int:
    from tonada.run.serve import serve

    return serve(demo=parsed.demo, reset=parsed.reset)


def _backup(parsed: argparse.Namespace) -> int:
    from tonada.run.backup import backup

    return _kept(lambda: backup(parsed.file))


def _restore(parsed: argparse.Namespace) -> int:
    from tonada.run.backup import restore

    return _kept(lambda: restore(parsed.file))


def _kept(work: Callable[[], str]) -> int:
    """Print what was done, or why it could not be."""
    from tonada.run.cluster import ClusterError
    from tonada.run.serve import CannotServe
    from tonada.store.errors import StoreUnavailable

    try:
        print(work())
    except (CannotServe, ClusterError, StoreUnavailable) as reason:
        print(f"tonada: {reason}", file=sys.stderr)
        return 1
    return 0
