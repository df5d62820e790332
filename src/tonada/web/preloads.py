"""What a view is made of, named with its page: a browser asks for it at once, and not when it gets to it."""

from __future__ import annotations

import json
import re
from dataclasses import dataclass
from pathlib import Path
from typing import Any, Final

_UUID: Final = r"[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}"
_IN_TAKE: Final = re.compile(rf"brands/({_UUID})/takes/({_UUID})/([a-z-]+)(?:/|$)")
_FRAME: Final = "src/frame/TakeFrame.vue"
_VIEW: Final = "View.vue"
# What a view asks for beside the take before it shows anything.
_ALSO: Final = {"harmony": "/api/harmony"}


@dataclass(frozen=True)
class Preloads:
    """The files of each view, as the build's manifest has them."""

    views: dict[str, tuple[str, ...]]
    frame: tuple[str, ...]

    def of(self, path: str) -> str | None:
        """Return a Link header for an address, relative to the root; None where nothing is known of it.

        Source: RFC 8288; HTML, 4.6.7.16 (modulepreload) and 4.6.7.18 (preload).
        """
        found = _IN_TAKE.match(path)
        if found:
            brand, take, step = found.groups()
            data: tuple[str, ...] = (
                f"/api/brands/{brand}",
                f"/api/takes/{take}",
                f"/api/takes/{take}/evaluation",
                "/api/session",
            )
            if step in _ALSO:
                data += (_ALSO[step],)
            files = (*self.frame, *self.views.get(step, ()))
        elif path == "":
            data = ("/api/session",)
            files = self.views.get("brands", ())
        else:
            return None
        links = [f"<{file}>; rel=modulepreload" for file in dict.fromkeys(files)]
        return ", ".join([*links, *(f"<{entry}>; rel=preload; as=fetch; crossorigin" for entry in data)])


def read_preloads(manifest: Path) -> Preloads:
    """Read the manifest that the front end's build wrote; nothing is preloaded where there is none."""
    if not manifest.is_file():
        return Preloads({}, ())
    entries: dict[str, dict[str, Any]] = json.loads(manifest.read_text(encoding="utf-8"))
    views = {
        name.rpartition("/")[2].removesuffix(_VIEW).lower(): _files(entries, name)
        for name in entries
        if name.endswith(_VIEW)
    }
    return Preloads(views, _files(entries, _FRAME))


def _files(entries: dict[str, dict[str, Any]], name: str) -> tuple[str, ...]:
    """Return a chunk's file and those of all that it imports, each once."""
    files: dict[str, None] = {}
    open_ones = [name]
    while open_ones:
        one = open_ones.pop()
        entry = entries.get(one)
        if entry is None or f"/{entry['file']}" in files:
            continue
        files[f"/{entry['file']}"] = None
        open_ones += entry.get("imports", [])
    return tuple(files)
