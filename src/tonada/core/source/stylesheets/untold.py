"""Why something can't be decided from a stylesheet."""

from __future__ import annotations


class CannotTell(Exception):
    """Why a value can't be decided from the file; the text is for people."""
