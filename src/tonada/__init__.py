"""Tonada derives a brand colour palette, gives its colours roles, and proves that text can be read."""

__version__ = "0.2.0"
