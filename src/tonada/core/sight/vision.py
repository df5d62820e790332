"""How colours look to other eyes: protan, deutan and tritan sight at any severity, and no colour.

Machado et al. 2009 for severities, linear between the published tenths, in linear light (machado.py).
"""

from __future__ import annotations

from typing import Final, Literal, TypeAlias

import numpy as np

from tonada.core.color.contrast import LUMINANCE_WEIGHTS
from tonada.core.color.spaces import (
    SRGB8_TO_LINEAR,
    Floats,
    Srgb8,
    delta_e_ok,
    linear_to_oklab,
    srgb8_to_oklab,
)
from tonada.core.errors import InputError
from tonada.core.sight.machado import MACHADO, Sight

AnySight: TypeAlias = Literal["protan", "deutan", "tritan", "no colour"]

SIGHTS: Final[tuple[Sight, ...]] = ("protan", "deutan", "tritan")
# Full dichromats, by kind.
MATRICES: Final[dict[Sight, Floats]] = {sight: table[-1] for sight, table in MACHADO.items()}


def sight_matrix(sight: AnySight, severity: float = 1.0) -> Floats:
    """Return the matrix, shape (3, 3), for linear light; severity 0 changes nothing, 1 is the fullest.

    No colour: every channel becomes the relative luminance of WCAG, in the measure of the severity.
    Raises InputError for a severity outside 0 to 1.
    """
    if not 0 <= severity <= 1:
        raise InputError("A severity is 0 to 1.", field="severity")
    if sight == "no colour":
        grey = np.repeat(LUMINANCE_WEIGHTS[None], 3, axis=0)
        return np.asarray(severity * grey + (1 - severity) * np.eye(3))
    table = MACHADO[sight]
    place = severity * (len(table) - 1)
    below = min(int(place), len(table) - 2)
    part = place - below
    return np.asarray((1 - part) * table[below] + part * table[below + 1])


def simulate(srgb8: Srgb8, sight: AnySight, severity: float = 1.0) -> Floats:
    """Return linear light, clipped to 0 to 1, of 8-bit colours as seen with this sight."""
    linear = SRGB8_TO_LINEAR[np.asarray(srgb8)]
    red, green, blue = linear[..., 0], linear[..., 1], linear[..., 2]
    seen = [row[0] * red + row[1] * green + row[2] * blue for row in sight_matrix(sight, severity)]
    return np.asarray(np.clip(np.stack(seen, axis=-1), 0, 1))


def simulated_oklab(srgb8: Srgb8, sight: AnySight, severity: float = 1.0) -> Floats:
    """Return OKLab of colours as seen with this sight."""
    return linear_to_oklab(simulate(srgb8, sight, severity))


def apart_to_all(colors: Srgb8, others: Srgb8) -> Floats:
    """Return deltaEOK of each with each, shape (N, M), the least over all kinds of sight."""
    typical = delta_e_ok(srgb8_to_oklab(colors)[:, None], srgb8_to_oklab(others)[None])
    seen = [
        delta_e_ok(simulated_oklab(colors, sight)[:, None], simulated_oklab(others, sight)[None])
        for sight in SIGHTS
    ]
    return np.asarray(np.minimum.reduce([typical, *seen]))
