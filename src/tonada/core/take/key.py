"""The key of a colour of a take, as pairs, grounds and slots name it.

It is a role, a value such as `#2b3a8c`, the id of a swatch or an overlay, or a step: `s1/7`, from 1.
A role has a second colour, as text or line: `primary/text`.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Final

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


_AS_TEXT: Final = "/text"


def text_key(role: str) -> str:
    """Return the key of a role's colour as text or line."""
    return f"{role}{_AS_TEXT}"


def role_as_text(key: str) -> str | None:
    """Return the role whose colour as text or line a key names, or None."""
    return key.removesuffix(_AS_TEXT) if key.endswith(_AS_TEXT) else None


def step_key(owner: str, step: int | None) -> str:
    """Return the key of a swatch, or of a step of a ramp, from 1."""
    return owner if step is None else f"{owner}/{step}"
