"""Destinations: ordered lists of named colour slots, filled from roles by rule, their pairings checked."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import ratio_between, rounded_down
from tonada.core.color.requirements import Outcome
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import LARGE_RATIO, TEXT_RATIO
from tonada.core.color.writing import WrittenAs, written
from tonada.core.errors import TakeError
from tonada.core.take.proof_settings import ChosenSlot
from tonada.core.take.take import Role, Take

Purpose: TypeAlias = Literal[
    "ground",
    "second ground",
    "dark ground",
    "text",
    "quiet text",
    "heading",
    "link",
    "brand",
    "second brand",
    "call",
    "call text",
    "line",
    "extra",
]
# The roles that fill a slot, the preferred first.
_BY_PURPOSE: Final[Mapping[Purpose, tuple[Role, ...]]] = {
    "ground": (Role.PAPER,),
    "second ground": (Role.MIST, Role.PAPER),
    "dark ground": (Role.DEEP, Role.INK),
    "text": (Role.INK, Role.DEEP),
    "quiet text": (Role.MUTED, Role.INK),
    "heading": (Role.PRIMARY, Role.INK),
    "link": (Role.LINK, Role.PRIMARY),
    "brand": (Role.PRIMARY,),
    "second brand": (Role.SECONDARY, Role.PRIMARY),
    "call": (Role.ACCENT, Role.PRIMARY),
    "line": (Role.LINE, Role.MUTED),
    "extra": (Role.ACCENT_2, Role.ACCENT_3, Role.SECONDARY, Role.INFO, Role.SUCCESS),
}
PURPOSES: Final[tuple[Purpose, ...]] = (*_BY_PURPOSE, "call text")


@dataclass(frozen=True, slots=True)
class Slot:
    """name: as the destination has it. on: the name of the slot it always stands on there, if any.

    needed: the ratio that this pairing needs.
    """

    name: str
    purpose: Purpose
    notation: WrittenAs = "hex"
    on: str | None = None
    needed: float = TEXT_RATIO


@dataclass(frozen=True, slots=True)
class Destination:
    """Where values go, with its slots in their order."""

    id: str
    name: str
    slots: tuple[Slot, ...]


@dataclass(frozen=True, slots=True)
class FilledSlot:
    """A slot with its colour. text: in the slot's notation. ratio: to the slot it is on, exact.

    by_rule: whether the rule filled it. outcome: of its pairing, None where it stands on no other slot.
    warning: a sentence where the pairing fails.
    """

    slot: Slot
    key: str
    name: str
    hex: Hex
    text: str
    by_rule: bool
    ratio: float | None
    outcome: Outcome | None
    warning: str | None


SHIPPED: Final = (
    Destination(
        "five-slots",
        "Site builder with five slots",
        (
            Slot("Background", "ground"),
            Slot("Section background", "second ground"),
            Slot("Main colour", "brand"),
            Slot("Button", "call", on="Background", needed=LARGE_RATIO),
            Slot("Text", "text", on="Background"),
        ),
    ),
    Destination(
        "eight-slots",
        "Theme with eight slots",
        (
            Slot("Page", "ground"),
            Slot("Panel", "second ground"),
            Slot("Footer", "dark ground"),
            Slot("Heading", "heading", on="Page", needed=LARGE_RATIO),
            Slot("Body", "text", on="Page"),
            Slot("Link", "link", on="Page"),
            Slot("Button face", "call"),
            Slot("Button label", "call text", on="Button face"),
        ),
    ),
    Destination(
        "slides",
        "Slides",
        (
            Slot("Light 1", "ground", "decimals"),
            Slot("Dark 1", "text", "decimals", on="Light 1"),
            Slot("Light 2", "second ground", "decimals"),
            Slot("Dark 2", "dark ground", "decimals", on="Light 2"),
            Slot("Shape 1", "brand", "decimals"),
            Slot("Shape 2", "second brand", "decimals"),
            Slot("Shape 3", "call", "decimals"),
            Slot("Shape 4", "extra", "decimals"),
            Slot("Link", "link", "decimals", on="Light 1"),
        ),
    ),
    Destination(
        "newsletter",
        "Newsletter",
        (
            Slot("Around the letter", "second ground", "hex upper"),
            Slot("Letter", "ground", "hex upper"),
            Slot("Text", "text", "hex upper", on="Letter"),
            Slot("Small print", "quiet text", "hex upper", on="Around the letter"),
            Slot("Button", "call", "hex upper"),
            Slot("Label of the button", "call text", "hex upper", on="Button"),
        ),
    ),
)


def chosen_slots(take: Take, destination: str) -> dict[str, str]:
    """Return the keys chosen by hand for a destination, by slot; those that are gone are left out."""
    return {
        slot.slot: slot.key
        for slot in take.slots
        if slot.destination == destination and is_there(take, slot.key)
    }


def choose_slot(take: Take, destination: str, slot: str, key: str | None) -> Take:
    """Return the take with a slot filled by hand; None gives it back to the rule.

    Raises TakeError for a colour that isn't there.
    """
    if key is not None:
        take.color_of(key)
    others = tuple(one for one in take.slots if (one.destination, one.slot) != (destination, slot))
    made = () if key is None else (ChosenSlot(destination, slot, key),)
    return replace(take, slots=(*others, *made))


def fill_slots(take: Take, destination: Destination, chosen: Mapping[str, str]) -> tuple[FilledSlot, ...]:
    """Return every slot with its colour, in the order of the destination.

    chosen: keys of colours by the name of the slot, where the designer changed them; one whose
    colour is gone is filled by the rule. Raises TakeError where the take has no colour at all.
    """
    keys: dict[str, tuple[str, bool]] = {}
    for slot in destination.slots:
        hand = chosen.get(slot.name)
        by_hand = hand is not None and is_there(take, hand)
        keys[slot.name] = (hand if by_hand and hand else _by_rule(take, slot, keys), not by_hand)
    return tuple(_filled(take, slot, keys) for slot in destination.slots)


def _by_rule(take: Take, slot: Slot, before: Mapping[str, tuple[str, bool]]) -> str:
    """Take the first role of the purpose that is there, reads where it stands, and isn't used yet."""
    if slot.purpose == "call text":
        return _label(take, before.get(slot.on or "", (None, True))[0])
    there = [role for role in _BY_PURPOSE[slot.purpose] if take.has_role(role)]
    ground = before.get(slot.on or "", (None, True))[0]
    reads = [role for role in there if ground is None or _ratio(take, role, ground) >= slot.needed]
    used = {key for key, _ in before.values()}
    for candidates in ([role for role in reads if role not in used], reads, there):
        if candidates:
            return candidates[0]
    return _any_color(take)


def _label(take: Take, face: str | None) -> str:
    labels = [role for role in (Role.PAPER, Role.INK) if take.has_role(role)]
    if face is None or not labels:
        return labels[0] if labels else _any_color(take)
    return max(labels, key=lambda role: _ratio(take, role, face))


def _any_color(take: Take) -> str:
    if take.roles:
        return take.roles[0].role
    if not take.swatches:
        raise TakeError("Slots need at least one colour.", field="document.swatches")
    return take.swatches[0].id


def _filled(take: Take, slot: Slot, keys: Mapping[str, tuple[str, bool]]) -> FilledSlot:
    key, by_rule = keys[slot.name]
    value = take.color_of(key)
    ratio, warning = None, None
    outcome: Outcome | None = None
    if slot.on is not None and slot.on in keys:
        ratio = _ratio(take, key, keys[slot.on][0])
        outcome = "passes" if ratio >= slot.needed else "fails"
        if outcome == "fails":
            has = rounded_down(ratio)
            asked = f"{has}:1, where {slot.needed:g}:1 is needed"
            warning = f"{slot.name} always stands on {slot.on} there: {asked}."
    text = written(value, slot.notation)
    return FilledSlot(slot, key, take.display_name(key), value, text, by_rule, ratio, outcome, warning)


def is_there(take: Take, key: str) -> bool:
    """Return whether a key names a colour of the take."""
    try:
        take.color_of(key)
    except TakeError:
        return False
    return True


def _ratio(take: Take, one: str, other: str) -> float:
    return ratio_between(take.color_of(one), take.color_of(other))
