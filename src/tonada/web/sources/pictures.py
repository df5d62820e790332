"""Decoded pictures for the magnifier, the last ones used kept at hand."""

from __future__ import annotations

import threading
from collections import OrderedDict
from typing import Final
from uuid import UUID

import numpy as np

from tonada.core.errors import InputError
from tonada.core.source.pictures import Picture
from tonada.intake.bounded import AGAIN, Answer, run_bounded
from tonada.store import sources
from tonada.web.access import workspace_connection

# A picture takes up to 50 MB; a person looks at one or two.
KEPT_PICTURES: Final = 2

_kept: OrderedDict[tuple[UUID, str], Picture] = OrderedDict()
_lock = threading.Lock()


def picture_of(source: UUID) -> Picture:
    """Return the decoded picture of a source. Raises NotFound, or InputError where it is no image."""
    with workspace_connection() as (connection, workspace):
        key = (workspace, sources.digest(connection, workspace, source))
        with _lock:
            picture = _kept.get(key)
            if picture is not None:
                _kept.move_to_end(key)
                return picture
        if sources.find(connection, workspace, source).kind != "image":
            raise InputError("This source is not a picture.", field="source")
        content = sources.contents(connection, workspace, source)[0][1]
    picture = _picture(run_bounded("pixels", {}, [content], budget=AGAIN))
    with _lock:
        _kept[key] = picture
        while len(_kept) > KEPT_PICTURES:
            _kept.popitem(last=False)
    return picture


def _picture(read: Answer) -> Picture:
    found = read.result
    shape = (found["height"], found["width"])
    rgb = np.frombuffer(read.parts[0], dtype=np.uint8).reshape(*shape, 3)
    alpha = np.frombuffer(read.parts[1], dtype=np.uint8).reshape(shape) if read.parts[1:] else None
    own = (found["own_width"], found["own_height"])
    return Picture(found["format"], rgb, alpha, None, None, False, (), *own)
