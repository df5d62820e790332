"""What can go wrong in the core.

TonadaError
├── InputError                what came in can't be used; names the field
│   ├── ColorError            not a colour, or not one that is allowed here
│   ├── TakeError             the take contradicts itself
│   └── ImageError            not an image that can be read
│       └── ImageTooLarge     over a limit; refused before it is decoded
└── NotReachable              no 8-bit sRGB colour reaches the ratio
"""

from __future__ import annotations


class TonadaError(Exception):
    """The base of everything that a caller of the core can react to."""


class InputError(TonadaError):
    """What came in can't be used. `field` names where it stood, the message what is allowed."""

    def __init__(self, message: str, *, field: str) -> None:
        super().__init__(message)
        self.field = field


class ColorError(InputError):
    """A text is not a colour, or not of the kind that is allowed in its place."""


class TakeError(InputError):
    """A take's document contradicts itself, such as a role that points at no swatch."""


class ImageError(InputError):
    """A file isn't a readable image, or contains something that isn't allowed."""

    def __init__(self, message: str) -> None:
        super().__init__(message, field="file")


class ImageTooLarge(ImageError):
    """A file is over a limit of `limits.py`; it was refused before it was decoded."""


class NotReachable(TonadaError):
    """No 8-bit sRGB colour reaches the ratio on this ground."""

    def __init__(self, ratio: float, best: float) -> None:
        super().__init__(f"no colour reaches {ratio:g} here; the best is {int(best * 100) / 100:g}")
        self.ratio, self.best = ratio, best
