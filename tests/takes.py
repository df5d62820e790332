"""Takes for tests: a proposal from three colours, and the same with a pair that fails."""

from __future__ import annotations

from typing import Final

from tonada.core.roles.brand import Candidate
from tonada.core.roles.build import build_take
from tonada.core.roles.proposal import propose_roles
from tonada.core.take.recolor import change_pair_text
from tonada.core.take.take import Origin, Role, Take

TYPED: Final = Origin("typed", "typed by hand")


def take_of(*values: str) -> Take:
    """Return the take that is proposed for colours, the first of which covers most."""
    candidates = tuple(Candidate(value, 0.5**row) for row, value in enumerate(values))
    return build_take(candidates, propose_roles(candidates), source=None, source_name="a list")


TAKE: Final = take_of("#2b3a8c", "#b6653a", "#d7b13c")
FAILING: Final = change_pair_text(TAKE, "label-on-accent", Role.PAPER)
