"""From a proposal of roles to a take that says where its colours came from."""

from __future__ import annotations

from dataclasses import replace

from tonada.core.roles.brand import Candidate
from tonada.core.roles.proposal import Proposal
from tonada.core.take.take import Origin, Swatch, Take


def build_take(
    candidates: tuple[Candidate, ...], proposal: Proposal, *, source: str | None, source_name: str
) -> Take:
    """Return the proposal's take. Colours of the artwork are held, and name their source."""
    by_hex = {candidate.hex: candidate for candidate in candidates}

    def sourced(swatch: Swatch) -> Swatch:
        if swatch.origin.kind != "source":
            return swatch
        share = by_hex[swatch.hex].share
        origin = Origin("source", f"from {source_name}", source=source, share=share)
        return replace(swatch, origin=origin)

    return replace(proposal.take, swatches=tuple(sourced(swatch) for swatch in proposal.take.swatches))
