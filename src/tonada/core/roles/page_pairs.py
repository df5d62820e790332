"""The pairs that a page needs, from the roles that a take has, and the colours in which its texts read."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping
from dataclasses import replace
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import EXTREMES, ratio_between
from tonada.core.color.requirements import requirement
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.color.vibration import is_neon, vibrates
from tonada.core.color.wcag import LARGE_RATIO, TEXT_RATIO, Usage
from tonada.core.take.key import step_key
from tonada.core.take.take import Pair, Role, Take

# A text whose colour depends on its ground: see the functions of these names below.
Chosen: TypeAlias = Literal["label", "heading", "headline"]

# Text, ground, usage, sample. A heading stands on the page, a headline on Primary.
PAGE_PAIRS: Final[tuple[tuple[Role | Chosen, Role, Usage, str], ...]] = (
    (Role.INK, Role.PAPER, Usage.BODY_TEXT, "The story starts here"),
    (Role.INK, Role.MIST, Usage.BODY_TEXT, "Open every day but Monday"),
    ("heading", Role.PAPER, Usage.LARGE_TEXT, "Glad you came"),
    ("heading", Role.MIST, Usage.LARGE_TEXT, "What we do"),
    ("label", Role.PRIMARY, Usage.BUTTON_LABEL, "Plan a visit"),
    ("label", Role.SECONDARY, Usage.BUTTON_LABEL, "Find a date"),
    ("label", Role.ACCENT, Usage.BUTTON_LABEL, "Book now"),
    ("headline", Role.PRIMARY, Usage.LARGE_TEXT, "Tonight at nine"),
    (Role.MUTED, Role.PAPER, Usage.BODY_TEXT, "Updated this morning"),
    (Role.MUTED, Role.MIST, Usage.BODY_TEXT, "Cancel free of charge"),
    (Role.LINK, Role.PAPER, Usage.LINK, "read the whole report"),
    (Role.LINK, Role.MIST, Usage.LINK, "see all the dates"),
    (Role.LINE, Role.PAPER, Usage.PART, "Your name"),
    (Role.LINE, Role.MIST, Usage.PART, "Your place"),
    ("label", Role.DEEP, Usage.BODY_TEXT, "Write to us"),
    ("label", Role.ACCENT_2, Usage.BUTTON_LABEL, "More of this"),
    ("label", Role.ACCENT_3, Usage.BUTTON_LABEL, "And of that"),
    (Role.SUCCESS, Role.PAPER, Usage.PART, "Saved"),
    (Role.WARNING, Role.PAPER, Usage.PART, "Two places left"),
    (Role.ERROR, Role.PAPER, Usage.PART, "Not a date"),
    (Role.INFO, Role.PAPER, Usage.PART, "New this week"),
)
# What stands where nothing of the palette reads: one of the two reaches 4.58 on any ground.
# The id names the place, so that it stays when the text gets another colour.
_PLACES: Final[Mapping[Chosen, str]] = {"label": "label", "heading": "primary", "headline": "headline"}


def page_pairs(take: Take) -> tuple[Pair, ...]:
    """Return the pairs of a page for the roles that the take has, with ids such as `ink-on-paper`."""
    pairs = []
    for text, ground, usage, sample in PAGE_PAIRS:
        if not take.has_role(ground):
            continue
        key: str | None
        if isinstance(text, Role):
            key, place = (text if take.has_role(text) else None), text.value
        else:
            needed = requirement(usage, "AAA" if take.level == "AAA" else "AA").ratio
            key, place = _CHOICES[text](take, take.hex_of(ground), needed), _PLACES[text]
        if key is not None:
            pairs.append(Pair(f"{place}-on-{ground}", key, ground, usage, sample))
    return tuple(pairs)


def by_rule(take: Take) -> frozenset[str]:
    """Return the ids of the pairs whose text depends on the ground, and is what the rule gives."""
    texts = {pair.id: pair.text for pair in page_pairs(take) if pair.id.startswith(tuple(_PLACES.values()))}
    return frozenset(pair.id for pair in take.pairs if texts.get(pair.id) == pair.text)


def with_texts_by_rule(before: Take, after: Take) -> Take:
    """Return the changed take with its texts chosen by rule again, where they were by rule before.

    By day and by night; a text that the designer chose stays.
    """
    after = _texts_by_rule(before, after)
    if before.other is None or after.other is None:
        return after
    return _texts_by_rule(before.turned(), after.turned()).turned()


def _texts_by_rule(before: Take, after: Take) -> Take:
    following = by_rule(before)
    texts = {pair.id: pair.text for pair in page_pairs(after) if pair.id in following}
    pairs = tuple(replace(pair, text=texts.get(pair.id, pair.text)) for pair in after.pairs)
    return replace(after, pairs=pairs)


def label_on(take: Take, ground: Hex, needed: float = TEXT_RATIO) -> str | None:
    """Return the key of what a short text uses on a ground: of all that the palette has, the first to read.

    Paper and Ink, then the other grounds, then the ends of the ramps, then white or black. None
    where the take has neither Paper nor Ink.
    """
    pair = [role for role in (Role.PAPER, Role.INK) if take.has_role(role)]
    if not pair:
        return None
    near = [role for role in (Role.DEEP, Role.MIST) if take.has_role(role)]
    for key in (*pair, *near, *_ends(take)):
        if ratio_between(take.color_of(key), ground) >= needed:
            return key
    return max((*EXTREMES, *pair), key=lambda key: ratio_between(take.color_of(key), ground))


def heading_on(take: Take, ground: Hex, needed: float = LARGE_RATIO) -> str | None:
    """Return what a heading uses on the page: Primary, else as text, else the nearest step that reads."""
    if not take.has_role(Role.PRIMARY):
        return None
    for key in (Role.PRIMARY, take.text_key_of(Role.PRIMARY)):
        if ratio_between(take.color_of(key), ground) >= needed:
            return key
    return nearest_step(take, Role.PRIMARY, ground, needed) or label_on(take, ground, needed)


def headline_on(take: Take, ground: Hex, needed: float = LARGE_RATIO) -> str | None:
    """Return what a headline uses on a brand colour: the accent where it reads and is calm, else a label."""
    if take.has_role(Role.ACCENT):
        accent = take.hex_of(Role.ACCENT)
        if ratio_between(accent, ground) >= needed and not vibrates(accent, ground) and not is_neon(accent):
            return Role.ACCENT
    return label_on(take, ground, needed)


def nearest_step(take: Take, role: Role, ground: Hex, needed: float) -> str | None:
    """Return the step of a role's ramp that reads on a ground and is nearest to the role's colour."""
    owner, value = take.assignment(role).swatch, take.hex_of(role)
    steps = [
        (difference_between(value, one), row + 1)
        for row, one in enumerate(take.ramp(owner).hexes)
        if ratio_between(one, ground) >= needed
    ]
    return step_key(owner, min(steps)[1]) if steps else None


def _ends(take: Take) -> Iterator[str]:
    """Return the lightest and the darkest step of each neutral, and of Primary."""
    owners = [neutral.id for neutral in take.neutrals]
    if take.has_role(Role.PRIMARY):
        owners.append(take.assignment(Role.PRIMARY).swatch)
    for owner in owners:
        yield step_key(owner, 1)
        yield step_key(owner, len(take.ramp(owner).hexes))


_CHOICES: Final[Mapping[Chosen, Callable[[Take, Hex, float], str | None]]] = {
    "label": label_on,
    "heading": heading_on,
    "headline": headline_on,
}
