"""Reads one large picture in a process of its own: python -m tonada.web.reader < FILE.

Standard output carries one line of JSON for each step; after the last one, the bytes of the
preview. A process can be ended at any moment, and its memory and time are limited.
"""

from __future__ import annotations

import json
import resource
import sys

from tonada.core.errors import TonadaError
from tonada.core.extract import extract_colors, render_preview
from tonada.web.source_json import image_to_json

MOST_MEMORY_BYTES = 3 * 2**30
MOST_SECONDS = 60


def main() -> None:
    resource.setrlimit(resource.RLIMIT_AS, (MOST_MEMORY_BYTES, MOST_MEMORY_BYTES))
    resource.setrlimit(resource.RLIMIT_CPU, (MOST_SECONDS, MOST_SECONDS))
    content = sys.stdin.buffer.read()
    try:
        _say(progress=0.15)
        extraction = extract_colors(content)
        _say(progress=0.6)
        preview = render_preview(content)
    except TonadaError as reason:
        _say(problem=str(reason))
        return
    _say(extraction=image_to_json(extraction), preview_bytes=len(preview))
    sys.stdout.buffer.write(preview)


def _say(**message: object) -> None:
    sys.stdout.buffer.write(json.dumps(message).encode() + b"\n")
    sys.stdout.buffer.flush()


if __name__ == "__main__":
    main()
