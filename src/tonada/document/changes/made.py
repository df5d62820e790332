"""What a change makes of a take."""

from __future__ import annotations

from typing import TypeAlias

from tonada.core.take.take import Take

# The take after a change, and what there is to say about it.
Changed: TypeAlias = tuple[Take, tuple[str, ...]]
