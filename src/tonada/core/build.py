"""From a proposal of roles to a take."""

from __future__ import annotations

from tonada.core.color import Hex
from tonada.core.naming import color_name, unlike
from tonada.core.pairs import page_pairs
from tonada.core.palette import Assignment, Origin, Role, Swatch, Take
from tonada.core.roles import Candidate, Proposal

_MADE_NOTES = {
    "harmony": "by a hue rule from Primary",
    "made": "made from Primary",
}


def build_take(
    candidates: tuple[Candidate, ...], proposal: Proposal, *, source: str | None, source_name: str
) -> Take:
    """Return a take with a swatch for each colour in use. Colours of the artwork are held.

    A role whose colour another role has already points at the same swatch.
    """
    swatches: list[Swatch] = []
    by_hex: dict[Hex, str] = {}
    roles: list[Assignment] = []

    def swatch_for(value: Hex, origin: Origin, *, held: bool) -> str:
        if value not in by_hex:
            name = unlike(color_name(value), {swatch.name for swatch in swatches})
            swatches.append(Swatch(f"s{len(swatches) + 1}", name, value, held, origin))
            by_hex[value] = swatches[-1].id
        return by_hex[value]

    for proposed in proposal.roles:
        if proposed.candidate is None:
            origin = Origin(proposed.origin, _MADE_NOTES[proposed.origin])
        else:
            origin = _from_source(candidates[proposed.candidate], source, source_name)
        swatch = swatch_for(proposed.hex, origin, held=proposed.candidate is not None)
        roles.append(Assignment(proposed.role, swatch, proposed.reason))
    for candidate, choice in zip(candidates, proposal.choices, strict=True):
        if choice == "keep":
            swatch_for(candidate.hex, _from_source(candidate, source, source_name), held=True)
    hex_of: dict[Role, Hex] = {proposed.role: proposed.hex for proposed in proposal.roles}
    return Take(tuple(swatches), tuple(roles), page_pairs(hex_of))


def _from_source(candidate: Candidate, source: str | None, source_name: str) -> Origin:
    return Origin("source", f"from {source_name}", source=source, share=candidate.share)
