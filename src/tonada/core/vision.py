"""How colours look to other eyes: simulation of protan, deutan and tritan sight, and of none.

Source: Machado, Oliveira and Fernandes 2009, "A Physiologically-based Model for Simulation of Color
Vision Deficiency", matrices of severity 1.0, applied in linear light.
"""

from __future__ import annotations

from typing import Final, Literal, TypeAlias

import numpy as np

from tonada.core.color import SRGB8_TO_LINEAR, Floats, Srgb8, linear_to_oklab

Sight: TypeAlias = Literal["protan", "deutan", "tritan"]

MATRICES: Final[dict[Sight, Floats]] = {
    "protan": np.array(
        [
            [0.152286, 1.052583, -0.204868],
            [0.114503, 0.786281, 0.099216],
            [-0.003882, -0.048116, 1.051998],
        ]
    ),
    "deutan": np.array(
        [
            [0.367322, 0.860646, -0.227968],
            [0.280085, 0.672501, 0.047413],
            [-0.011820, 0.042940, 0.968881],
        ]
    ),
    "tritan": np.array(
        [
            [1.255528, -0.076749, -0.178779],
            [-0.078411, 0.930809, 0.147602],
            [0.004733, 0.691367, 0.303900],
        ]
    ),
}


def simulate(srgb8: Srgb8, sight: Sight) -> Floats:
    """Return linear light, clipped to 0 to 1, of 8-bit colours as seen with this sight at its fullest."""
    linear = SRGB8_TO_LINEAR[np.asarray(srgb8)]
    red, green, blue = linear[..., 0], linear[..., 1], linear[..., 2]
    seen = [row[0] * red + row[1] * green + row[2] * blue for row in MATRICES[sight]]
    return np.asarray(np.clip(np.stack(seen, axis=-1), 0, 1))


def simulated_oklab(srgb8: Srgb8, sight: Sight) -> Floats:
    """Return OKLab of colours as seen with this sight."""
    return linear_to_oklab(simulate(srgb8, sight))
