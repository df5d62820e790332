"""What is said where a rule or a character can move nothing, since all that it is over is held."""

from __future__ import annotations

from typing import Final

from tonada.core.harmony.chord import shaped_members
from tonada.core.take.take import Take

_NUMBERS: Final = (
    "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve",
)  # fmt: skip


def why_nothing_moved(before: Take, after: Take) -> tuple[str, ...]:
    """Return a sentence where no colour moved and every one that could is held; nothing otherwise."""
    members = shaped_members(after)
    if not members or not all(member.held for member in members):
        return ()
    if [swatch.hex for swatch in before.swatches] != [swatch.hex for swatch in after.swatches]:
        return ()
    count = len(members)
    number = _NUMBERS[count].capitalize() if count < len(_NUMBERS) else str(count)
    return (f"{number} colour{' is' if count == 1 else 's are'} held; nothing moved.",)
