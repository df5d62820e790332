"""What can't be decided of a value in CSS, and what is no value at all."""

from __future__ import annotations


class CannotTell(Exception):
    """A browser would know what this comes to; its message says why Tonada doesn't."""


class NotCss(CannotTell):
    """No browser would take this: it is as if it weren't there."""
