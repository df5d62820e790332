"""How much a run takes: `make test` samples of what is large, `make test-long` everything."""

from __future__ import annotations

import os
from typing import Final

IS_LONG: Final = os.environ.get("TONADA_TESTS") == "long"
