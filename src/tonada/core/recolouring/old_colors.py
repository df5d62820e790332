"""The colours of an existing stylesheet, and what of a take is to have their place.

A value has one target wherever it is written, opaque or not. A colour that says success or error by the
names around it goes to that signal, and no other colour does. Of the others the one that is used most on
grounds and texts leads, and becomes Primary with the shades of its hue; greys go to greys.
"""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import lru_cache
from typing import Final

import numpy as np

from tonada.core.color.hue_rules import is_neutral
from tonada.core.color.spaces import (
    Hex,
    delta_e_ok,
    hex_to_oklch,
    hex_to_srgb8,
    hexes_to_srgb8,
    hue_distance,
    srgb8_to_oklab,
)
from tonada.core.errors import InputError
from tonada.core.gate.written import triples_in, written_in
from tonada.core.source.stylesheets.groups import USUAL_DIFFERENCE, group_uses
from tonada.core.source.stylesheets.scan import Declaration, is_variable
from tonada.core.source.stylesheets.usage import ColorUse, StyleFile, read_stylesheets
from tonada.core.take.key import step_key
from tonada.core.take.take import SIGNALS, Role, Take

# The objective: how far the new colour is (deltaEOK), what speaks against it added.
UNSUITED_COSTS: Final = 0.08  # a role that does another job than the old colour did
STEP_COSTS: Final = 0.02  # a step where a role would do
SAME: Final = 0.01  # closer than this a role is the colour itself, whatever it was used for
# Hues this close, in degrees, to the one that leads are its shades.
SHADES_WITHIN: Final = 18.0
# How much a use on a ground says of who leads, beside one as a text.
GROUND_LEADS: Final = 2.0

_SUITED: Final[Mapping[str, tuple[Role, ...]]] = {
    "text": (Role.INK, Role.MUTED, Role.LINK, Role.PRIMARY, Role.PAPER),
    "ground": (Role.PAPER, Role.MIST, Role.DEEP, Role.PRIMARY, Role.SECONDARY, Role.ACCENT),
    "border": (Role.LINE, Role.MIST, Role.MUTED, Role.PRIMARY),
    "other": (),
}
# Words in selectors and names of properties that say what a colour means.
_MEANINGS: Final[Mapping[Role, re.Pattern[str]]] = {
    Role.SUCCESS: re.compile(r"(?<![a-z])(success|valid|positive|confirm\w*)(?![a-z])"),
    Role.WARNING: re.compile(r"(?<![a-z])(warn(ing)?|caution)(?![a-z])"),
    Role.ERROR: re.compile(r"(?<![a-z])(error|danger|invalid|negative|destructive)(?![a-z])"),
    Role.INFO: re.compile(r"(?<![a-z])(info)(?![a-z])"),
}


@dataclass(frozen=True, slots=True)
class OldColor:
    """A colour of the old stylesheet, with its near-twins, and what takes its place.

    members: the values that become the same; count: uses of all. key: of the take, as Take.color_of
    reads it. difference: deltaEOK from the old value to the new one.
    """

    hex: Hex
    members: tuple[Hex, ...]
    count: int
    text: int
    ground: int
    border: int
    key: str
    name: str
    new_hex: Hex
    difference: float


@dataclass
class _Written:
    """How often a value is written, and how often the names around it mean a signal."""

    count: int = 0
    meanings: Counter[Role] = field(default_factory=Counter)

    @property
    def signal(self) -> Role | None:
        """The signal that most of the places mean, if any does."""
        role, count = next(iter(self.meanings.most_common(1)), (None, 0))
        return role if 2 * count > self.count else None


def propose_mapping(
    take: Take, files: Sequence[StyleFile], difference: float = USUAL_DIFFERENCE
) -> tuple[OldColor, ...]:
    """Return every old colour, near-twins together, with the role or step that is to have its place.

    Raises InputError where the take has no colour or the files use none.
    """
    if not take.swatches and not take.neutrals:
        raise InputError("This take has no colours to map to.", field="document.swatches")
    written, seen = _read(tuple(files))
    if not written:
        raise InputError("The stylesheet uses no colour.", field="files")
    uses = [_use(value, one, seen.get(value)) for value, one in written.items()]
    lead = _lead(uses, written)
    found: list[OldColor] = []
    for role in (None, *SIGNALS):
        # What means a signal is grouped apart: a brand's green may be its near-twin.
        own = tuple(use for use in uses if _signal_of(use.hex, written) == role)
        for group in group_uses(own, difference):
            members = [own[row] for row in group.members]
            found.append(_mapped(take, members, written, _Asked(role, lead)))
    return tuple(sorted(found, key=lambda entry: -entry.count))


# The same files are asked for with every choice that is made for them.
@lru_cache(maxsize=4)
def _read(files: tuple[StyleFile, ...]) -> tuple[Mapping[Hex, _Written], Mapping[Hex, ColorUse]]:
    """Return the colours that are written, and those that are seen with what they are used for."""
    return _written(files), {use.hex: use for use in read_stylesheets(list(files)).uses}


def _written(files: Sequence[StyleFile]) -> dict[Hex, _Written]:
    found: dict[Hex, _Written] = {}
    triples = triples_in(files)
    for file in files:
        for each in written_in(file, triples):
            one = found.setdefault(each.color.hex, _Written())
            one.count += 1
            meaning = _meaning(each.declaration)
            if meaning is not None:
                one.meanings[meaning] += 1
    return found


def _meaning(declaration: Declaration) -> Role | None:
    name = declaration.property if is_variable(declaration.property) else ""
    words = f"{name} {declaration.selector}".lower().replace("_", "-")
    said = [role for role, pattern in _MEANINGS.items() if pattern.search(words)]
    return said[0] if len(said) == 1 else None


def _signal_of(value: Hex, written: Mapping[Hex, _Written]) -> Role | None:
    """Return the signal that a colour means; a grey says nothing by itself, whatever rule it is in."""
    return None if is_neutral(value) else written[value].signal


def _use(value: Hex, written: _Written, seen: ColorUse | None) -> ColorUse:
    """Return a use that counts where the value is written, by what it is used for where it is seen."""
    if seen is None:
        return ColorUse(value, 0, 0, 0, written.count)
    return replace(seen, translucent=())


def _lead(uses: Sequence[ColorUse], written: Mapping[Hex, _Written]) -> Hex | None:
    """Return the coloured value, no signal, that is used most on grounds and as text."""
    asking = [use for use in uses if written[use.hex].signal is None and not is_neutral(use.hex)]
    score = {use.hex: GROUND_LEADS * use.ground + use.text for use in asking}
    best = max(score, key=lambda value: score[value], default=None)
    return best if best is not None and score[best] > 0 else None


@dataclass(frozen=True, slots=True)
class _Asked:
    """What a colour means, and the colour that leads the old stylesheet."""

    signal: Role | None
    lead: Hex | None


def _mapped(
    take: Take, members: Sequence[ColorUse], written: Mapping[Hex, _Written], asked: _Asked
) -> OldColor:
    sums = {
        purpose: sum(getattr(use, purpose) for use in members) for purpose in ("text", "ground", "border")
    }
    value = members[0].hex
    key, away = _target(take, value, _purpose(sums), asked)
    return OldColor(
        hex=value,
        members=tuple(use.hex for use in members),
        count=sum(written[use.hex].count for use in members),
        key=key,
        name=take.display_name(key),
        new_hex=take.color_of(key),
        difference=away,
        **sums,
    )


def _purpose(sums: Mapping[str, int]) -> str:
    purpose = max(sums, key=lambda one: sums[one])
    return purpose if sums[purpose] else "other"


def _target(take: Take, value: Hex, purpose: str, asked: _Asked) -> tuple[str, float]:
    """Return the key that is to have a colour's place, and how far it is from it."""
    if asked.signal is not None and take.has_role(asked.signal):
        owner = take.assignment(asked.signal).swatch
        return _nearest(take, value, "other", [asked.signal, *_steps(take, owner)])
    roles = [assigned.role for assigned in take.roles if assigned.role not in SIGNALS]
    exact = _nearest(take, value, purpose, roles) if roles else None
    if exact is not None and exact[1] <= SAME:
        return exact
    if is_neutral(value):
        greys = [role for role in roles if _is_grey(take, role)]
        steps = [key for neutral in take.neutrals for key in _steps(take, neutral.id)]
        if greys or steps:
            return _nearest(take, value, purpose, [*greys, *steps])
    shade = _shade_of_lead(take, value, asked.lead)
    if shade is not None:
        return shade
    said = [swatch.id for swatch in take.swatches if not take.is_signal_only(swatch.id)]
    steps = [
        key for owner in (*said, *(neutral.id for neutral in take.neutrals)) for key in _steps(take, owner)
    ]
    return _nearest(take, value, purpose, [*roles, *steps])


def _is_grey(take: Take, role: str) -> bool:
    return take.neutral(take.assignment(role).swatch) is not None or is_neutral(take.hex_of(role))


def _shade_of_lead(take: Take, value: Hex, lead: Hex | None) -> tuple[str, float] | None:
    """Return Primary for the colour that leads, for its shades the step that is as much lighter or darker."""
    if lead is None or not take.has_role(Role.PRIMARY) or is_neutral(value):
        return None
    own, leading, primary = (hex_to_oklch(entry) for entry in (value, lead, take.hex_of(Role.PRIMARY)))
    if value == lead:
        return Role.PRIMARY, _apart(value, take.hex_of(Role.PRIMARY))
    if float(hue_distance(own[2], leading[2])) > SHADES_WITHIN:
        return None
    wanted = primary[0] + own[0] - leading[0]
    owner = take.assignment(Role.PRIMARY).swatch
    keys = [Role.PRIMARY, *_steps(take, owner)]
    key = min(keys, key=lambda key: abs(hex_to_oklch(take.color_of(key))[0] - wanted))
    return key, _apart(value, take.color_of(key))


def _steps(take: Take, owner: str) -> list[str]:
    return [step_key(owner, row + 1) for row in range(len(take.ramp(owner).hexes))]


def _apart(one: Hex, other: Hex) -> float:
    return float(delta_e_ok(*srgb8_to_oklab(hexes_to_srgb8((one, other)))))


def _nearest(take: Take, value: Hex, purpose: str, candidates: Sequence[str]) -> tuple[str, float]:
    labs = srgb8_to_oklab(hexes_to_srgb8(tuple(take.color_of(key) for key in candidates)))
    away = delta_e_ok(labs, srgb8_to_oklab(hex_to_srgb8(value)))
    suited = {str(role) for role in _SUITED[purpose]}
    costs = np.array(
        [
            distance + _cost_of(key, float(distance), suited)
            for key, distance in zip(candidates, away, strict=True)
        ]
    )
    best = int(np.argmin(costs))
    return candidates[best], float(away[best])


def _cost_of(key: str, distance: float, suited: set[str]) -> float:
    if "/" in key:
        return STEP_COSTS
    return UNSUITED_COSTS if suited and key not in suited and distance > SAME else 0.0
