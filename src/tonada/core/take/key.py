"""The key of a colour of a take, as pairs, grounds and slots name it.

It is a role, a value such as `#2b3a8c`, the id of a swatch or an overlay, or a step: `s1/7`, from 1.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from tonada.core.color.spaces import HEX_PATTERN, Hex


@dataclass(frozen=True, slots=True)
class Key:
    """value: where it is a value itself. Otherwise name: a role or an id; step: from 1, or None."""

    name: str
    step: int | None = None
    value: Hex | None = None

    def __str__(self) -> str:
        return self.value or step_key(self.name, self.step)


# A drag sends the same keys again and again.
@lru_cache(maxsize=8192)
def read_key(text: str) -> Key:
    """Return what a key names. Whether that is there is for the take to say."""
    if HEX_PATTERN.match(text):
        return Key("", value=text)
    name, slash, step = text.partition("/")
    if not slash:
        return Key(name)
    return Key(name, int(step)) if step.isdecimal() and step.isascii() else Key(text)


def step_key(owner: str, step: int | None) -> str:
    """Return the key of a swatch, or of a step of a ramp, from 1."""
    return owner if step is None else f"{owner}/{step}"
