"""The press profiles that CMYK values go through: those that are installed, each by its own name."""

from __future__ import annotations

import os
from collections.abc import Mapping
from functools import lru_cache
from pathlib import Path
from typing import Final

from tonada.core.color.press import Press, is_for_press
from tonada.core.errors import InputError

# Where Debian's packages put profiles; the usual one is from libgs-common (and its older name).
FOLDERS: Final = (Path("/usr/share/color/icc"), Path("/usr/local/share/color/icc"))
USUAL_PROFILES: Final = (
    Path("/usr/share/color/icc/ghostscript/default_cmyk.icc"),
    Path("/usr/share/color/icc/ghostscript/ps_cmyk.icc"),
)
MOST_PROFILES: Final = 60
LARGEST_BYTES: Final = 8 * 1024 * 1024


@lru_cache(maxsize=1)
def usual_press() -> Press | None:
    """Return the press of this machine, None where no profile is installed. TONADA_PRESS names another one.

    Raises InputError where the operator's own profile is none for CMYK, OSError where it isn't there.
    """
    own = os.environ.get("TONADA_PRESS")
    candidates = (Path(own),) if own else tuple(path for path in USUAL_PROFILES if path.is_file())
    return Press(candidates[0].read_bytes()) if candidates else None


@lru_cache(maxsize=1)
def presses() -> Mapping[str, Press]:
    """Return the presses that are installed by their names, the usual one first; a name once."""
    usual = usual_press()
    found = {usual.name: usual} if usual else {}
    for path in _profiles()[:MOST_PROFILES]:
        try:
            press = Press(path.read_bytes())
        except (InputError, OSError):
            continue
        found.setdefault(press.name, press)
    return found


def press_of(name: str) -> Press | None:
    """Return the press of a name; the usual one for none. Raises InputError for one that isn't installed."""
    if not name:
        return usual_press()
    if name not in presses():
        raise InputError(f"The presses installed here are: {', '.join(presses()) or 'none'}.", field="press")
    return presses()[name]


def _profiles() -> list[Path]:
    found: list[Path] = []
    for folder in FOLDERS:
        for path in sorted((*folder.rglob("*.icc"), *folder.rglob("*.icm"))):
            if path.is_file() and path.stat().st_size <= LARGEST_BYTES:
                with path.open("rb") as opened:
                    if is_for_press(opened.read(20)):
                        found.append(path)
    return found
