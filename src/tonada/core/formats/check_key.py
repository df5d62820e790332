"""Where a token file says its pairs and their level: extensions that `tonada check` reads."""

from typing import Final

PAIRS_KEY: Final = "org.tonada.pairs"
# The level that the pairs are held to, A, AA or AAA; AA where it isn't said.
LEVEL_KEY: Final = "org.tonada.level"
