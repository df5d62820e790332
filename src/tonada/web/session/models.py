"""The session across the boundary: the token for changes, and the limits that a page may ask within."""

from __future__ import annotations

from tonada.core import limits
from tonada.core.color.ramp import LEAST_STEPS, MOST_MIXED, MOST_STEPS
from tonada.core.source.stylesheets.groups import LARGEST_DIFFERENCE
from tonada.document.parts import Model


class LimitsAnswer(Model):
    """What the page may ask for, so that it need not know."""

    neutrals: int = limits.MAX_NEUTRALS
    overlays: int = limits.MAX_OVERLAYS
    least_steps: int = LEAST_STEPS
    most_steps: int = MOST_STEPS
    most_mixed: int = MOST_MIXED
    difference: float = LARGEST_DIFFERENCE


class SessionAnswer(Model):
    csrf_token: str
    limits: LimitsAnswer = LimitsAnswer()
    version: str
    max_file_bytes: int
    max_pixels: int
    scale_greys: tuple[str, ...]
