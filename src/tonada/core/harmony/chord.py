"""A take's hues as a chord: an anchor, partners by a rule, and one character over the whole.

Held swatches are never moved; they take their place in the chord where they stand.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Final

from tonada.core.color import circles
from tonada.core.color.circles import Circle
from tonada.core.color.hue_rules import FREE, NEUTRAL_BELOW, color_at, rule_angles, spread_at
from tonada.core.color.naming import color_name, unused_name
from tonada.core.color.placing import color_at_position, same_luminance, settled, web_safe
from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.errors import InputError
from tonada.core.harmony.character import CHARACTERS, Character, Measured, measured
from tonada.core.take.parts import free_swatch_id, new_swatch
from tonada.core.take.recolor import recolor_many
from tonada.core.take.take import SIGNALS, Origin, Role, Swatch, Take

# A swatch this close to an angle, in degrees, stands there; a held one farther away has no seat.
SEATED_WITHIN: Final = 12.0
# What the origin of a swatch says of the character that it has, or had.
IN_CHARACTER: Final = "in the character “"
OWN_CHARACTER: Final = "own"
BEFORE_CHARACTER: Final = "as it was before a character"
# A place this close to 180 degrees is opposite; there turning costs the accent so much of what it costs else.
OPPOSITE_WITHIN: Final = 40.0
ACCENT_TURNS: Final = 0.05
# What stands under and in text is made to be read, not to harmonise.
READING_ROLES: Final = frozenset(
    (Role.PAPER, Role.MIST, Role.DEEP, Role.INK, Role.MUTED, Role.LINE, *SIGNALS)
)


@dataclass(frozen=True, slots=True)
class Place:
    """Where a note is moved to. position: on the contrast scale, in place of lightness.

    settle: whether it settles on a line of the stave that is close.
    """

    swatch: str
    chroma: float
    hue: float
    lightness: float | None = None
    position: float | None = None
    settle: bool = False


def anchor_of(take: Take) -> Swatch | None:
    """Return the swatch that the hues are counted from: the one chosen, Primary, or the first with a hue."""
    chosen = next((swatch for swatch in take.swatches if swatch.id == take.harmony.anchor), None)
    if chosen is None and take.has_role(Role.PRIMARY):
        chosen = take.swatch_of(Role.PRIMARY)
    return chosen or next((swatch for swatch in take.swatches if _chroma(swatch) >= NEUTRAL_BELOW), None)


@dataclass(frozen=True, slots=True)
class Ground:
    """What the stave is looked at from. swatch: None where it is a step."""

    hex: Hex
    name: str
    swatch: str | None


def ground_of(take: Take) -> Ground | None:
    """Return what the stave is looked at from: the swatch chosen, Paper, or the lightest swatch."""
    chosen = next((swatch for swatch in take.swatches if swatch.id == take.harmony.ground), None)
    if chosen is None and take.has_role(Role.PAPER):
        paper = take.assignment(Role.PAPER)
        is_swatch = paper.step is None
        return Ground(take.hex_of(Role.PAPER), "Paper", paper.swatch if is_swatch else None)
    found = chosen or max(take.swatches, key=lambda swatch: hex_to_oklch(swatch.hex)[0], default=None)
    return Ground(found.hex, found.name, found.id) if found else None


def is_for_reading(take: Take, swatch_id: str) -> bool:
    """Return whether a swatch has roles, and only such that are under and in text, or warn."""
    roles = set(take.roles_of(swatch_id))
    return bool(roles) and roles <= READING_ROLES


def place_of(swatch: Swatch) -> tuple[float, float, float]:
    """Return lightness, chroma and hue of a swatch in OKLCH."""
    return hex_to_oklch(swatch.hex)


def chord_members(take: Take) -> tuple[Swatch, ...]:
    """Return the swatches of the chord but for its anchor: coloured, and not made for reading."""
    anchor = anchor_of(take)
    return tuple(
        swatch
        for swatch in take.swatches
        if swatch is not anchor and _chroma(swatch) >= NEUTRAL_BELOW and not is_for_reading(take, swatch.id)
    )


def play(take: Take, *, turn: float = 0.0) -> Take:
    """Return the take with its free members at the angles of its rule, turned by `turn` degrees.

    Lightness and chroma stay. What was made from the anchor turns with it, at the same luminance,
    so that it reads as it did. Raises InputError for an unknown rule or a spread out of range.
    """
    angles = rule_angles(take.harmony.rule, take.harmony.spread, take.harmony.angles)
    anchor = anchor_of(take)
    if anchor is None or _chroma(anchor) < NEUTRAL_BELOW:
        return take
    circle = take.harmony.circle
    hue = hex_to_oklch(anchor.hex)[2]
    turned = (hue + turn) % 360 if not anchor.held else hue
    turns = _turns(angles, hue, circle)
    on_circle = {0.0: 0.0, **dict(zip(turns, angles, strict=True))}
    values: dict[str, Hex] = {}
    if turned != hue:
        values[anchor.id] = _at_hue(anchor.hex, turned)
        for swatch in take.swatches:
            is_signal = bool(set(take.roles_of(swatch.id)) & set(SIGNALS))
            made = swatch.origin.kind == "made" and not is_signal
            if made and not swatch.held and _chroma(swatch) > 1e-6:
                _, chroma, own = hex_to_oklch(swatch.hex)
                values[swatch.id] = same_luminance(swatch.hex, own + turned - hue, chroma)
    for swatch, seat in _seats(take, turns, hue):
        if not swatch.held:
            values[swatch.id] = _at_hue(swatch.hex, circles.turned(turned, on_circle[seat], circle))
    return recolor_many(take, _limited(take, values), f"by the rule “{take.harmony.rule}”", "harmony")


def _turns(angles: tuple[float, ...], hue: float, circle: Circle) -> tuple[float, ...]:
    """Return how far, in degrees of OKLCH, the places of a rule are from the anchor's hue."""
    return tuple((circles.turned(hue, angle, circle) - hue) % 360 for angle in angles)


def move_flag(take: Take, index: int, angle: float, *, on_stave: bool = False) -> Take:
    """Return the take with a partner's flag at an angle from the anchor, as near as its rule allows.

    on_stave: whether the angle is one of OKLCH, as the stave has it, and not of the take's circle.

    The spread follows, and the other partners with it; of the rule “free” only this angle. Raises
    InputError for a partner that isn't there.
    """
    harmony = take.harmony
    anchor = anchor_of(take)
    if on_stave and anchor is not None:
        hue = hex_to_oklch(anchor.hex)[2]
        angle = circles.angle_between(hue, hue + angle, harmony.circle)
    if harmony.rule == FREE.name:
        if not 0 <= index < len(harmony.angles):
            raise InputError(f"There are {len(harmony.angles)} angles of your own.", field="index")
        angles = (*harmony.angles[:index], angle % 360, *harmony.angles[index + 1 :])
        return play(replace(take, harmony=replace(harmony, angles=angles)))
    spread = spread_at(harmony.rule, index, angle)
    return take if spread is None else play(replace(take, harmony=replace(harmony, spread=spread)))


def shape(take: Take) -> Take:
    """Return the take with its free members, and a free anchor, in the take's character.

    Ranked by lightness they stand evenly over the span; chroma is a share of the most that sRGB
    has there. Hues stay. It starts from what was there before the character that is on, so that no
    number of characters wears a colour down; without one, that is what comes back.
    """
    began = {swatch.id: swatch.hex for swatch in take.swatches} | dict(shaped_from(take))
    take = recolor_many(take, dict(shaped_from(take)), BEFORE_CHARACTER, "harmony")
    take = replace(take, harmony=replace(take.harmony, shaped_from=()))
    values = _in_character(take)
    name = take.harmony.character or OWN_CHARACTER
    shaped = recolor_many(take, _limited(take, values), f"{IN_CHARACTER}{name}”", "harmony")
    kept = tuple((key, began[key]) for key in values)
    return replace(shaped, harmony=replace(shaped.harmony, shaped_from=kept))


def _in_character(take: Take) -> dict[str, Hex]:
    """Return the values of what is free: by its rank in the character, or as the sliders move the whole."""
    character = character_of(take)
    members = sorted(shaped_members(take), key=lambda member: hex_to_oklch(member.hex)[0])
    if character is None or not members:
        return {}
    if take.harmony.character is None:
        now = measured([member.hex for member in members])
        wanted = Measured(character.lightness, character.chroma, character.span)
        return {member.id: now.moved(member.hex, wanted) for member in members if not member.held}
    last = max(1, len(members) - 1)
    ranks = [rank / last - 0.5 if len(members) > 1 else 0.0 for rank in range(len(members))]
    return {
        one.id: character.place(one.hex, rank)
        for one, rank in zip(members, ranks, strict=True)
        if not one.held
    }


def shaped_members(take: Take) -> tuple[Swatch, ...]:
    """Return what a character is over: the anchor, where it has a hue, and the chord."""
    anchor = anchor_of(take)
    if anchor is None:
        return ()
    return tuple(entry for entry in (anchor, *chord_members(take)) if _chroma(entry) >= NEUTRAL_BELOW)


def shaped_from(take: Take) -> tuple[tuple[str, Hex], ...]:
    """Return what swatches were before their character, of those that nothing else has changed since.

    One that is held by now stays as it is.
    """
    there = {
        swatch.id
        for swatch in take.swatches
        if not swatch.held and swatch.origin.note.startswith(IN_CHARACTER)
    }
    return tuple(entry for entry in take.harmony.shaped_from if entry[0] in there)


def character_of(take: Take) -> Character | None:
    """Return the take's character with what was changed about it; None where it has none.

    What was changed without one is changed about what its colours have.

    Raises InputError for an unknown name.
    """
    settings = take.harmony
    if settings.character is not None and settings.character not in CHARACTERS:
        raise InputError(f"“{settings.character[:40]}” isn’t a character.", field="character")
    own = (settings.lightness, settings.chroma, settings.span)
    if settings.character is None and all(value is None for value in own):
        return None
    base = CHARACTERS[settings.character] if settings.character is not None else _as_it_is(take)
    return replace(
        base,
        lightness=base.lightness if settings.lightness is None else settings.lightness,
        chroma=base.chroma if settings.chroma is None else settings.chroma,
        span=base.span if settings.span is None else settings.span,
    )


def _as_it_is(take: Take) -> Character:
    members = shaped_members(take)
    if not members:
        return CHARACTERS["crisp"]
    now = measured([member.hex for member in members])
    return Character(OWN_CHARACTER, now.lightness, now.chroma, now.span, "as it is")


def place(take: Take, where: Place) -> Take:
    """Return the take with one note moved by the designer's own hand; a held one moves too.

    Raises TakeError for an unknown swatch.
    """
    swatch = take.swatch(where.swatch)
    if where.position is None:
        lightness = hex_to_oklch(swatch.hex)[0] if where.lightness is None else where.lightness
        value = color_at(lightness, where.chroma, where.hue)
    else:
        ground = ground_of(take)
        near = ground.hex if where.settle and ground and ground.swatch != swatch.id else None
        value = _at_position(where.position, where.chroma, where.hue, near)
    value = web_safe(value) if take.harmony.web_safe else value
    return recolor_many(take, {swatch.id: value}, "moved by hand", "moved")


def add_partner(take: Take, angle: float) -> Take:
    """Return the take with a new free swatch at an angle from the anchor, in the take's character."""
    anchor = anchor_of(take)
    if anchor is None or _chroma(anchor) < NEUTRAL_BELOW:
        raise InputError(
            "The anchor is grey, so it has no hue to count angles from. Choose a coloured anchor.",
            field="anchor",
        )
    hue = circles.turned(hex_to_oklch(anchor.hex)[2], angle, take.harmony.circle)
    character = character_of(take)
    value = _at_hue(anchor.hex, hue)
    value = character.place(value, 0.25) if character else value
    value = web_safe(value) if take.harmony.web_safe else value
    name = unused_name(color_name(value), {swatch.name for swatch in take.swatches})
    taken = {swatch.id for swatch in take.swatches}
    made = new_swatch(
        free_swatch_id(taken), name, value, Origin("harmony", f"{angle:.0f}° from {anchor.name}")
    )
    return replace(take, swatches=(*take.swatches, made))


def open_angles(take: Take) -> tuple[tuple[float, str | None], ...]:
    """Return each angle of the take's rule with the swatch that is at it, or None."""
    angles = rule_angles(take.harmony.rule, take.harmony.spread, take.harmony.angles)
    anchor = anchor_of(take)
    if anchor is None:
        return tuple((angle, None) for angle in angles)
    hue = hex_to_oklch(anchor.hex)[2]
    turns = _turns(angles, hue, take.harmony.circle)
    seats = {turn: swatch for swatch, turn in _best_seats(take, chord_members(take), turns, hue)}
    result: list[tuple[float, str | None]] = []
    for angle, turn in zip(angles, turns, strict=True):
        swatch = seats.get(turn)
        near = swatch is not None and _apart(hex_to_oklch(swatch.hex)[2], hue + turn) <= SEATED_WITHIN
        result.append((angle, swatch.id if swatch is not None and near else None))
    return tuple(result)


def _seats(take: Take, angles: tuple[float, ...], hue: float) -> list[tuple[Swatch, float]]:
    """Return every member with its angle: one for each angle first, the others beside the nearest."""
    members = chord_members(take)
    seated = _best_seats(take, members, angles, hue)
    left = [member for member in members if all(member is not other for other, _ in seated)]
    for swatch in left:
        own = hex_to_oklch(swatch.hex)[2]
        seated.append((swatch, min((0.0, *angles), key=lambda angle: _apart(own, hue + angle))))
    return seated


def _best_seats(
    take: Take, members: tuple[Swatch, ...], angles: tuple[float, ...], hue: float
) -> list[tuple[Swatch, float]]:
    """Return the pairing of swatches with angles that turns least; held ones go before free ones.

    A place opposite the anchor is the accent's, unless that is held.
    """
    seatable = [
        member for member in members if not member.held or _nearest(member, angles, hue) <= SEATED_WITHIN
    ]
    if not seatable or not angles:
        return []
    # A held swatch can't turn, so its seat is worth more than any turning.
    costs = [
        [
            _apart(hex_to_oklch(color.hex)[2], hue + angle)
            * (10.0 if color.held else ACCENT_TURNS if _calls(take, color, angle) else 1.0)
            for angle in angles
        ]
        for color in seatable
    ]
    # Only where partners take their seats; it takes half a second to load.
    from scipy.optimize import linear_sum_assignment

    rows, columns = linear_sum_assignment(costs) if len(seatable) > 1 else ((0,), (_least(costs[0]),))
    return [(seatable[row], angles[column]) for row, column in zip(rows, columns, strict=True)]


def _calls(take: Take, swatch: Swatch, angle: float) -> bool:
    return Role.ACCENT in take.roles_of(swatch.id) and _apart(angle, 180) <= OPPOSITE_WITHIN


def _least(values: list[float]) -> int:
    return values.index(min(values))


def _apart(one: float, other: float) -> float:
    return abs((one - other + 180) % 360 - 180)


def _nearest(swatch: Swatch, angles: tuple[float, ...], hue: float) -> float:
    own = hex_to_oklch(swatch.hex)[2]
    return min((_apart(own, hue + angle) for angle in angles), default=360.0)


def _limited(take: Take, values: dict[str, Hex]) -> dict[str, Hex]:
    return {key: web_safe(value) for key, value in values.items()} if take.harmony.web_safe else values


def _at_hue(value: Hex, hue: float) -> Hex:
    lightness, chroma, _ = hex_to_oklch(value)
    return color_at(lightness, chroma, hue)


def _at_position(position: float, chroma: float, hue: float, ground: Hex | None) -> Hex:
    position = min(1.0, max(0.0, position))
    return settled(position, chroma, hue, ground) if ground else color_at_position(position, chroma, hue)


def _chroma(swatch: Swatch) -> float:
    return hex_to_oklch(swatch.hex)[1]
