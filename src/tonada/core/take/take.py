"""The take: one alternative palette for a brand, as a frozen value."""

from __future__ import annotations

from dataclasses import dataclass, field, replace

from tonada.core.color.contrast import EXTREMES, composite
from tonada.core.color.neutrals import neutral_ramp
from tonada.core.color.ramp import Ramp, StepNames, ramp_of, step_name
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.color.wcag import Level
from tonada.core.errors import TakeError
from tonada.core.take.consistency import check_parts
from tonada.core.take.key import read_key, role_as_text, text_key
from tonada.core.take.parts import (
    ACCENTS,
    OWN_ROLE,
    OWN_ROLE_SHARE,
    PARTS_OF_A_SCHEME,
    PLANNED_SHARES,
    ROLE_NAMES,
    ROLE_ORDER,
    SIGNALS,
    USUAL_HARMONY,
    Assignment,
    HarmonySettings,
    Neutral,
    Origin,
    OriginKind,
    Overlay,
    Pair,
    Role,
    RoleKey,
    Scheme,
    SchemeRoles,
    Swatch,
    role_name,
    role_rank,
)
from tonada.core.take.proof_settings import USUAL_PROOF, ChosenSlot, GroundSettings, ProofSettings

__all__ = [
    "ACCENTS",
    "OWN_ROLE",
    "OWN_ROLE_SHARE",
    "PLANNED_SHARES",
    "ROLE_NAMES",
    "ROLE_ORDER",
    "SIGNALS",
    "Assignment",
    "HarmonySettings",
    "Neutral",
    "Origin",
    "OriginKind",
    "Overlay",
    "Pair",
    "Role",
    "RoleKey",
    "Scheme",
    "SchemeRoles",
    "Swatch",
    "Take",
    "role_name",
    "role_rank",
]


@dataclass(frozen=True, slots=True)
class Take:
    """One alternative palette. Raises TakeError where it contradicts itself.

    roles, pairs and grounds are those of `scheme`; `other` has those of the other one, once there is one.
    """

    swatches: tuple[Swatch, ...] = ()
    roles: tuple[Assignment, ...] = ()
    pairs: tuple[Pair, ...] = ()
    level: Level = "AA"
    harmony: HarmonySettings = USUAL_HARMONY
    neutrals: tuple[Neutral, ...] = ()
    overlays: tuple[Overlay, ...] = ()
    step_names: StepNames = "words"
    scheme: Scheme = "day"
    other: SchemeRoles | None = None
    grounds: tuple[GroundSettings, ...] = ()
    proof: ProofSettings = USUAL_PROOF
    slots: tuple[ChosenSlot, ...] = ()
    _by_id: dict[str, Swatch] = field(init=False, repr=False, compare=False)
    _by_role: dict[RoleKey, Assignment] = field(init=False, repr=False, compare=False)
    _roles: dict[tuple[str, int | None], tuple[RoleKey, ...]] = field(init=False, repr=False, compare=False)
    # Every ramp and every colour is asked for many times in an evaluation.
    _ramps: dict[str, Ramp] = field(init=False, repr=False, compare=False)
    _colors: dict[str, Hex] = field(init=False, repr=False, compare=False)
    _names: dict[str, str] = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "_by_id", {swatch.id: swatch for swatch in self.swatches})
        object.__setattr__(self, "_by_role", {assigned.role: assigned for assigned in self.roles})
        schemes = [(entry.roles, entry.pairs) for entry in (self, self.other) if entry is not None]
        check_parts(self.swatches, self.neutrals, self.overlays, schemes)
        roles: dict[tuple[str, int | None], tuple[RoleKey, ...]] = {}
        for role in sorted(self._by_role, key=role_rank):
            one = self._by_role[role]
            roles[one.swatch, one.step] = (*roles.get((one.swatch, one.step), ()), role)
        object.__setattr__(self, "_roles", roles)
        for remembered in ("_ramps", "_colors", "_names"):
            object.__setattr__(self, remembered, {})

    def swatch_of(self, role: RoleKey) -> Swatch | None:
        """Return the swatch that has the role: changing it changes the role.

        None where a neutral has the role. Raises KeyError where nothing has the role.
        """
        return self._by_id.get(self._by_role[role].swatch)

    def roles_of(self, swatch_id: str, step: int | None = None) -> tuple[RoleKey, ...]:
        """Return the roles of a swatch, or of one of its steps, in the order in which roles are shown."""
        return self._roles.get((swatch_id, step), ())

    def is_signal_only(self, swatch_id: str) -> bool:
        """Return whether a swatch is used only for signals."""
        roles = self.roles_of(swatch_id)
        return bool(roles) and set(roles) <= set(SIGNALS)

    def swatch(self, swatch_id: str) -> Swatch:
        """Return a swatch by its id. Raises TakeError for an unknown one."""
        if swatch_id not in self._by_id:
            raise TakeError(f"There is no swatch “{swatch_id[:40]}” in this take.", field="swatch")
        return self._by_id[swatch_id]

    def neutral(self, neutral_id: str) -> Neutral | None:
        """Return a neutral by its id, or None."""
        return next((neutral for neutral in self.neutrals if neutral.id == neutral_id), None)

    def overlay(self, overlay_id: str) -> Overlay | None:
        """Return an overlay by its id, or None."""
        if not self.overlays:
            return None
        return next((overlay for overlay in self.overlays if overlay.id == overlay_id), None)

    def has_role(self, role: RoleKey) -> bool:
        """Return whether a colour has the role."""
        return role in self._by_role

    def assignment(self, role: RoleKey) -> Assignment:
        """Return the assignment of a role. Raises KeyError where the role has no colour."""
        return self._by_role[role]

    def hex_of(self, role: RoleKey) -> Hex:
        """Return the value that a role has now. Raises KeyError where nothing has it."""
        one = self._by_role[role]
        return self.value_at(one.swatch, one.step)

    def text_key_of(self, role: RoleKey) -> str:
        """Return the key of what a role is as text or line; of the role itself where that is the same."""
        return role if self._by_role[role].text_step is None else text_key(role)

    def ramp(self, owner: str) -> Ramp:
        """Return the ramp of a swatch or a neutral. Raises TakeError for an unknown one."""
        known = self._ramps.get(owner)
        if known is None:
            known = self._ramps[owner] = self._ramp(owner)
        return known

    def _ramp(self, owner: str) -> Ramp:
        neutral = self.neutral(owner) if owner not in self._by_id else None
        if neutral is None:
            swatch = self.swatch(owner)
            return ramp_of(swatch.hex, swatch.ramp)
        tint = self._by_id[neutral.tint].hex if neutral.tint is not None else None
        return neutral_ramp(tint, neutral.strength, neutral.steps, neutral.spacing)

    def value_at(self, owner: str, step: int | None) -> Hex:
        """Return the value of a swatch, or of a step from 1. Raises TakeError for one that isn't there."""
        if step is None and owner in self._by_id:
            return self._by_id[owner].hex
        hexes = self.ramp(owner).hexes
        if step is None or not 1 <= step <= len(hexes):
            raise TakeError(f"“{owner[:40]}” has the steps 1 to {len(hexes)}.", field="step")
        return hexes[step - 1]

    def color_of(self, key: str) -> Hex:
        """Return the opaque value of a key. Raises TakeError for one that isn't there."""
        known = self._colors.get(key)
        if known is None:
            known = self._colors[key] = self._color_of(key)
        return known

    def _color_of(self, key: str) -> Hex:
        if key in self._by_role:
            return self.hex_of(key)
        as_text = self._as_text(key)
        if as_text is not None:
            return self.value_at(*as_text)
        read = read_key(key)
        return read.value or self.value_at(read.name, read.step)

    def _as_text(self, key: str) -> tuple[str, int | None] | None:
        """Return the owner and the step of a role as text or line; None for any other key."""
        role = role_as_text(key)
        one = self._by_role.get(role) if role is not None else None
        if one is None:
            return None
        return one.swatch, one.step if one.text_step is None else one.text_step

    def owner_of(self, key: str) -> tuple[str, int | None]:
        """Return the id and the step that a key names; a hex value is its own id."""
        if key in self._by_role:
            one = self._by_role[key]
            return one.swatch, one.step
        as_text = self._as_text(key)
        if as_text is not None:
            return as_text
        read = read_key(key)
        return read.value or read.name, read.step

    def display_name(self, key: str) -> str:
        """Return the name of a key: of the role, the overlay, the swatch and step, or the value itself.

        Raises TakeError for a key that isn't there.
        """
        known = self._names.get(key)
        if known is None:
            known = self._names[key] = self._display_name(key)
        return known

    def _display_name(self, key: str) -> str:
        if key in self._by_role:
            return role_name(key, self._by_role[key].name)
        role = role_as_text(key)
        if role in self._by_role:
            return f"{role_name(role, self._by_role[role].name)} as text"
        overlay = self.overlay(key)
        if overlay is not None:
            return overlay.name
        read = read_key(key)
        if read.value is not None:
            return EXTREMES.get(read.value, read.value)
        return self.name_of(read.name, read.step)

    def over(self, ground: Hex, overlay_id: str) -> Hex:
        """Return an overlay composited on an opaque value. Raises TakeError for an unknown overlay."""
        overlay = self.overlay(overlay_id)
        if overlay is None:
            raise TakeError(f"There is no overlay “{overlay_id[:40]}” in this take.", field="overlay")
        top = hex_to_srgb8(self.value_at(overlay.swatch, overlay.step))
        return srgb8_to_hex(composite(top, overlay.alpha, hex_to_srgb8(ground)))

    def pair_colors(self, pair: Pair) -> tuple[Hex, Hex]:
        """Return text and ground as they are seen, layers and translucent text composited."""
        ground = self.color_of(pair.ground)
        for layer in pair.layers:
            ground = self.over(ground, layer)
        text = self.over(ground, pair.text) if self.overlay(pair.text) else self.color_of(pair.text)
        return text, ground

    def name_of(self, owner: str, step: int | None) -> str:
        """Return the name of a swatch, a neutral or one of their steps. Raises TakeError if unknown."""
        neutral = self.neutral(owner)
        name = neutral.name if neutral else self.swatch(owner).name
        if step is None:
            return name
        roles = () if neutral else self.roles_of(owner)
        if roles:
            # “Primary light”: a step is called by what its swatch is for.
            name = role_name(roles[0], self._by_role[roles[0]].name)
        scheme: StepNames = "numbers" if neutral else self.step_names
        return f"{name} {step_name(step - 1, self.ramp(owner), scheme)}".strip()

    def turned(self) -> Take:
        """Return the take with the other scheme's roles and pairs in front; itself where there is none."""
        if self.other is None:
            return self
        return replace(
            self,
            **{part: getattr(self.other, part) for part in PARTS_OF_A_SCHEME},
            scheme="night" if self.scheme == "day" else "day",
            other=SchemeRoles(**{part: getattr(self, part) for part in PARTS_OF_A_SCHEME}),
        )
