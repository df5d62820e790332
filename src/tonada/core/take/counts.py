"""How many of each thing a take may have, checked after a change that adds some."""

from __future__ import annotations

from collections.abc import Iterator, Sized

from tonada.core import limits
from tonada.core.errors import TakeError
from tonada.core.take.take import Take


def check_counts(take: Take) -> None:
    """Raise TakeError, naming the field and the limit, where a take has more of something than it may."""
    for field, things, name, most in _counted(take):
        if len(things) > most:
            raise TakeError(f"A take has at most {most} {name}.", field=field)


def _counted(take: Take) -> Iterator[tuple[str, Sized, str, int]]:
    yield "swatches", take.swatches, "swatches", limits.MAX_SWATCHES
    yield "neutrals", take.neutrals, "neutrals", limits.MAX_NEUTRALS
    yield "overlays", take.overlays, "overlays", limits.MAX_OVERLAYS
    yield "slots", take.slots, "slots filled by hand", limits.MAX_CHOSEN_SLOTS
    yield "proof.texts", take.proof.texts, "texts of the pages", limits.MAX_OWN_TEXTS
    yield "proof.pictures", take.proof.pictures, "pictures in places of pages", limits.MAX_PLACED_PICTURES
    yield "proof.sections", take.proof.sections, "sections on other grounds", limits.MAX_SECTIONS
    for scheme, where in ((take, ""), (take.other, "other.")):
        if scheme is not None:
            yield f"{where}roles", scheme.roles, "roles", limits.MAX_ROLES
            yield f"{where}pairs", scheme.pairs, "pairs", limits.MAX_PAIRS
            yield f"{where}grounds", scheme.grounds, "grounds that depart from the rule", limits.MAX_GROUNDS
