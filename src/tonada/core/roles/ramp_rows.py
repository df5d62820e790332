"""The ramps of a take as rows: every step with its place on the contrast scale and its roles."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, Literal

from tonada.core.color.contrast import contrast_ratio, relative_luminance, scale_position
from tonada.core.color.spaces import Hex, hex_to_srgb8, hexes_to_srgb8
from tonada.core.harmony.chord import ground_of
from tonada.core.take.take import Role, RoleKey, Take, role_name


@dataclass(frozen=True, slots=True)
class Step:
    """One step. step: from 1, the lightest. is_own: the swatch itself, which has no step in a role.

    on_ground: contrast ratio to the stave's ground, exact.
    """

    step: int
    name: str
    hex: Hex
    position: float
    on_ground: float
    is_own: bool
    roles: tuple[RoleKey, ...]


@dataclass(frozen=True, slots=True)
class Row:
    """The steps of one swatch or neutral, light to dark."""

    owner: str
    name: str
    kind: Literal["swatch", "neutral"]
    steps: tuple[Step, ...]


@dataclass(frozen=True, slots=True)
class Over:
    """An overlay on one ground: what is seen."""

    role: RoleKey
    ground: str
    ground_hex: Hex
    hex: Hex


@dataclass(frozen=True, slots=True)
class OverlayRow:
    """An overlay with its own opaque value, over each ground of the take."""

    id: str
    hex: Hex
    over: tuple[Over, ...]


OVERLAID_ROLES: Final = (Role.PAPER, Role.MIST, Role.DEEP, Role.PRIMARY)


def overlay_rows(take: Take) -> tuple[OverlayRow, ...]:
    """Return every overlay over the grounds and Primary, composited as browsers do."""
    grounds = [(role, take.hex_of(role)) for role in OVERLAID_ROLES if take.has_role(role)]
    return tuple(
        OverlayRow(
            overlay.id,
            take.value_at(overlay.swatch, overlay.step),
            tuple(
                Over(role, role_name(role), value, take.over(value, overlay.id)) for role, value in grounds
            ),
        )
        for overlay in take.overlays
    )


def rows_of(take: Take) -> tuple[Row, ...]:
    """Return a row for each swatch, those with roles first as roles are ordered, then the neutrals."""
    ground = ground_of(take)
    face = hex_to_srgb8(ground.hex if ground else "#ffffff")
    owners = [*(swatch.id for swatch in take.swatches), *(neutral.id for neutral in take.neutrals)]
    rows = []
    for owner in owners:
        ramp, is_neutral = take.ramp(owner), take.neutral(owner) is not None
        colors = hexes_to_srgb8(ramp.hexes)
        places, ratios = scale_position(relative_luminance(colors)), contrast_ratio(colors, face)
        steps = []
        for number, value in enumerate(ramp.hexes):
            is_own = number == ramp.own and not is_neutral
            # A role may name the swatch itself by its step too; both stand at one place.
            roles = take.roles_of(owner, number + 1)
            steps.append(
                Step(
                    step=number + 1,
                    name=take.name_of(owner, number + 1),
                    hex=value,
                    position=float(places[number]),
                    on_ground=float(ratios[number]),
                    is_own=is_own,
                    roles=(*take.roles_of(owner), *roles) if is_own else roles,
                )
            )
        name = take.name_of(owner, None)
        rows.append(Row(owner, name, "neutral" if is_neutral else "swatch", tuple(steps)))
    return tuple(rows)
