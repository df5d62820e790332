"""Full dichromats after Brettel, Viénot and Mollon, beside Machado's matrices: a second opinion.

Protan and deutan sight: Viénot, Brettel and Mollon 1999, one plane. Tritan sight: Brettel, Viénot
and Mollon 1997, two half planes that meet on the greys, with anchors at 485 and 660 nm. Both in
linear light, through cone responses after Smith and Pokorny.
"""

from __future__ import annotations

from typing import Final

import numpy as np

from tonada.core.color.spaces import SRGB8_TO_LINEAR, Floats, Srgb8, linear_to_oklab
from tonada.core.sight.machado import Sight

# Cone responses to linear RGB, Viénot et al. 1999, equation 4; and their planes, equations 5 and 6.
TO_CONES: Final = np.array(
    [[17.8824, 43.5161, 4.11935], [3.45565, 27.1554, 3.86714], [0.0299566, 0.184309, 1.46709]]
)
FROM_CONES: Final = np.linalg.inv(TO_CONES)
_PLANES: Final[dict[Sight, Floats]] = {
    "protan": np.array([[0, 2.02344, -2.52581], [0, 1, 0], [0, 0, 1]]),
    "deutan": np.array([[1, 0, 0], [0.494207, 0, 1.24827], [0, 0, 1]]),
}
# Brettel et al. 1997: responses to display primaries, and to the anchors of tritan sight.
_BRETTEL_CONES: Final = np.array(
    [
        [0.05059983, 0.08585369, 0.00952420],
        [0.01893033, 0.08925308, 0.01370054],
        [0.00292202, 0.00975732, 0.07145979],
    ]
)
_BRETTEL_BACK: Final = np.linalg.inv(_BRETTEL_CONES)
_AT_485: Final = np.array([0.1284, 0.2237, 0.3636])
_AT_660: Final = np.array([0.0914, 0.007009, 0.0])


def dichromat_oklab(srgb8: Srgb8, sight: Sight) -> Floats:
    """Return OKLab of 8-bit colours as a full dichromat sees them, clipped to what a screen shows."""
    linear = SRGB8_TO_LINEAR[np.asarray(srgb8)]
    seen = _tritan(linear) if sight == "tritan" else linear @ dichromat_matrix(sight).T
    return linear_to_oklab(np.clip(seen, 0, 1))


def dichromat_matrix(sight: Sight) -> Floats:
    """Return the matrix, shape (3, 3), of protan or deutan sight in linear light."""
    return np.asarray(FROM_CONES @ _PLANES[sight] @ TO_CONES)


def _tritan(linear: Floats) -> Floats:
    """Give the short cones what the plane says that the other two span with the greys."""
    cones = linear @ _BRETTEL_CONES.T
    white = _BRETTEL_CONES.sum(axis=1)
    long, medium = cones[..., 0], cones[..., 1]
    # Redder than grey lies on the half plane of 660 nm, the rest on that of 485 nm.
    is_red = medium * white[0] < long * white[1]
    planes = [np.cross(white, anchor) for anchor in (_AT_660, _AT_485)]
    short = [-(plane[0] * long + plane[1] * medium) / plane[2] for plane in planes]
    seen = np.stack([long, medium, np.where(is_red, short[0], short[1])], axis=-1)
    return np.asarray(seen @ _BRETTEL_BACK.T)
