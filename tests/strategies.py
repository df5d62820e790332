"""What property tests are fed with."""

from __future__ import annotations

import numpy as np
from hypothesis import strategies as st

channels = st.integers(0, 255)
srgb8_colors = st.tuples(channels, channels, channels).map(lambda rgb: np.array(rgb, dtype=np.uint8))
hexes = st.tuples(channels, channels, channels).map(lambda rgb: "#{:02x}{:02x}{:02x}".format(*rgb))
