"""How far apart two colours have to be, so that nobody takes them for one: deltaEOK."""

from __future__ import annotations

from typing import Final

# Closer than this two colours of a brand, or two marks beside words, look like one.
TOLD_APART: Final = 0.06
# Two large areas side by side are told apart sooner.
GROUNDS_APART: Final = 0.025
