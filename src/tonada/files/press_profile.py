"""The press profile that CMYK values go through: from a Debian package, named with every value."""

from __future__ import annotations

import os
from functools import lru_cache
from pathlib import Path
from typing import Final

from tonada.core.color.press import Press

# From Debian's libgs-common (and its older name); TONADA_PRESS names another one.
USUAL_PROFILES: Final = (
    Path("/usr/share/color/icc/ghostscript/default_cmyk.icc"),
    Path("/usr/share/color/icc/ghostscript/ps_cmyk.icc"),
)


@lru_cache(maxsize=1)
def usual_press() -> Press | None:
    """Return the press of this machine, or None where no profile is installed.

    Raises InputError where the operator's own profile is none for CMYK, OSError where it isn't there.
    """
    own = os.environ.get("TONADA_PRESS")
    candidates = (Path(own),) if own else tuple(path for path in USUAL_PROFILES if path.is_file())
    return Press(candidates[0].read_bytes()) if candidates else None
