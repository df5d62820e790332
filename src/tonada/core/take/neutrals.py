"""Neutrals: added in grey, changed with the roles on their steps."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.color.naming import unused_name
from tonada.core.errors import TakeError
from tonada.core.take.parts import free_id
from tonada.core.take.repoint import moved_to_nearest
from tonada.core.take.take import Neutral, Take

NAME: Final = "Neutral"


def add_neutral(take: Take) -> Take:
    """Return the take with one more neutral: pure greys, for the designer to tint."""
    taken = {entry.id for kind in (take.swatches, take.neutrals, take.overlays) for entry in kind}
    name = unused_name(NAME, {neutral.name for neutral in take.neutrals})
    return replace(take, neutrals=(*take.neutrals, Neutral(free_id("n", taken), name)))


def neutral_of(take: Take, neutral_id: str) -> Neutral:
    """Return a neutral. Raises TakeError for an unknown one."""
    found = take.neutral(neutral_id)
    if found is None:
        raise TakeError(f"There is no neutral “{neutral_id[:40]}” in this take.", field="neutral.id")
    return found


def set_neutral(take: Take, neutral: Neutral) -> Take:
    """Return the take with a neutral rebuilt; roles on its steps go to the nearest new ones.

    Raises TakeError for an unknown one, or settings that are not allowed.
    """
    before = neutral_of(take, neutral.id)
    changed = tuple(neutral if one is before else one for one in take.neutrals)
    after = replace(take, neutrals=changed, roles=(), pairs=(), other=None, overlays=(), grounds=())
    return moved_to_nearest(take, neutral.id, after)
