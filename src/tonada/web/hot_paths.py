"""What a drag asks for many times a second, changing nothing: neither counted nor logged each time."""

from __future__ import annotations

from typing import Final

HOT_PATHS: Final = frozenset(("/api/evaluate", "/api/changes", "/api/palettes/search"))
