"""Why something can't be told from a stylesheet."""

from __future__ import annotations


class CannotTell(Exception):
    """Why a value can't be told from the file; the text is for people."""
