"""Extensions of a token file: its pairs, their level, and what came of them; `tonada check` reads them."""

from typing import Final

PAIRS_KEY: Final = "org.tonada.pairs"
# The level that the pairs are held to, A, AA or AAA; AA where it isn't said.
LEVEL_KEY: Final = "org.tonada.level"
# How many pairs there are, and which of them fail: a sentence.
CHECKED_KEY: Final = "org.tonada.checked"
