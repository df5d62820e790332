"""What a drag sends again and again is validated once: the parts of a document that stay as they were."""

from __future__ import annotations

from collections import OrderedDict
from threading import Lock
from typing import Any, Final

import orjson
from pydantic import ValidatorFunctionWrapHandler, WrapValidator

# In bytes of JSON; what is longer is validated each time.
_LONGEST: Final = 20_000


def remembered(kept: int = 32) -> WrapValidator:
    """Return a validator that remembers its answers by their JSON; for frozen models only.

    kept: how many are remembered, the last ones: those of the people who drag at the same time.

    What is refused is validated each time, so that its errors name their place.
    """
    known: OrderedDict[bytes, Any] = OrderedDict()
    lock = Lock()

    def validate(value: Any, handler: ValidatorFunctionWrapHandler) -> Any:
        if not isinstance(value, list | dict):
            return handler(value)
        try:
            key = orjson.dumps(value)
        except TypeError:  # models, and what JSON can't say
            return handler(value)
        if len(key) > _LONGEST:
            return handler(value)
        with lock:
            if key in known:
                known.move_to_end(key)
                return known[key]
        found = handler(value)
        with lock:
            known[key] = found
            if len(known) > kept:
                known.popitem(last=False)
        return found

    return WrapValidator(validate)
