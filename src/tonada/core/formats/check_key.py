"""Where a token file says its pairs: the extension that `tonada check` reads and tokens are written with."""

from typing import Final

PAIRS_KEY: Final = "org.tonada.pairs"
