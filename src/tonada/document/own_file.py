"""Tonada's own file: a whole take as JSON, with the version of the format. See docs/own-file.md."""

from __future__ import annotations

import json
from typing import Final

from pydantic import ValidationError

from tonada.core.errors import InputError
from tonada.core.formats.detect import decode_text
from tonada.core.formats.own_list import MARK, is_own
from tonada.core.formats.tokens import parse_json
from tonada.core.limits import MAX_JSON_BYTES
from tonada.core.take.take import Take
from tonada.document.take import TakeDocument
from tonada.document.wrong_fields import first_wrong

# Of version 3: a role has a second colour, as text or line.
VERSION: Final = 3
# A file of version 1 has a take of format 1, which is read as it was.
READABLE: Final = (1, 2, 3)


def write_own(take: Take, name: str, origin: str = "") -> str:
    """Return the file: the same take gives the same bytes."""
    whole = {
        "format": MARK,
        "version": VERSION,
        "name": name,
        **({"from": origin} if origin else {}),
        "take": TakeDocument.of(take).model_dump(mode="json"),
    }
    return json.dumps(whole, ensure_ascii=False, indent=1) + "\n"


def read_own(data: bytes) -> tuple[Take, str]:
    """Return the take of a file and its name. Raises InputError naming what is wrong, and where."""
    if len(data) > MAX_JSON_BYTES:
        raise InputError(f"A file of a take has at most {MAX_JSON_BYTES // 1024} KB.", field="file")
    root = parse_json(decode_text(data))
    if not is_own(root):
        raise InputError(
            f"This isn’t a Tonada file: its “format” is not “{MARK}”. Choose one that ends in .tonada.json.",
            field="format",
        )
    if root.get("version") not in READABLE:
        raise InputError(
            f"The file is of version {root.get('version')}; this Tonada reads 1 to {VERSION}.",
            field="version",
        )
    try:
        document = TakeDocument.model_validate_json(json.dumps(root.get("take")))
    except ValidationError as reason:
        path, said = first_wrong(reason, "take")
        raise InputError(f"In the file, {said}", field=f"take.{path}" if path else "take") from reason
    name = root.get("name")
    return document.to_take(), name if isinstance(name, str) else ""
