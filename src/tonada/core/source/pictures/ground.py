"""What the artwork stands on: white, or the colour of the corners, where it surrounds the rest."""

from __future__ import annotations

from typing import Final

import numpy as np

from tonada.core.source.pictures.layers import NO_COLOR, Labels

# So much of the border belongs to a ground; less is a stripe or a shape that is cut off.
LEAST_OF_BORDER: Final = 0.75
_LONGEST_SIDE: Final = 400


def find_ground(labels: Labels) -> tuple[int, float] | None:
    """Return which colour is the ground and how much of its area is ground, or None.

    The ground is what can be reached from the border without crossing another colour; the same
    colour inside the artwork, such as a white window, is not part of it. All four corners must be
    of that colour, and something must be left that is not.
    """
    if labels.shape[0] < 3 or labels.shape[1] < 3:
        return None
    border = np.concatenate([labels[0], labels[-1], labels[1:-1, 0], labels[1:-1, -1]])
    corners = labels[[0, 0, -1, -1], [0, -1, 0, -1]]
    label = int(corners[0])
    if label == NO_COLOR or np.any(corners != label) or np.mean(border == label) < LEAST_OF_BORDER:
        return None
    step = max(1, -(-max(labels.shape) // _LONGEST_SIDE))
    small = labels[::step, ::step]
    same = small == label
    if same.sum() == np.count_nonzero(small != NO_COLOR):
        return None
    from scipy import ndimage  # only where a picture is read; it takes half a second to load

    pieces, _ = ndimage.label(same)
    edge = np.concatenate([pieces[0], pieces[-1], pieces[:, 0], pieces[:, -1]])
    outside = np.isin(pieces, np.unique(edge[edge > 0]))
    return label, float(outside.sum() / max(1, same.sum()))
