"""What a recolouring does to the contrast of a stylesheet's rules, and what would mend it."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex, difference_between
from tonada.core.color.wcag import Level
from tonada.core.gate.rule_pairs import RulePair, rule_pairs
from tonada.core.recolouring.restyle import recolored
from tonada.core.source.stylesheets.usage import StyleFile
from tonada.core.take.color_choices import TakeColor, color_choices
from tonada.core.take.take import Take


@dataclass(frozen=True, slots=True)
class RuleMend:
    """A colour of the take that an old one could become instead, of the text or of the ground: then the two
    pass together."""

    old: Hex
    key: str
    name: str
    hex: Hex


@dataclass(frozen=True, slots=True)
class WorseRule:
    """A pair of a rule that passed, or had more, and falls short now. Ratios are exact. mend: None if
    neither colour is mapped by itself, or none of the take would do."""

    file: str
    line: int
    selector: str
    scope: str
    before: float
    after: float
    needed: float
    text_hex: Hex
    ground_hex: Hex
    mend: RuleMend | None


@dataclass(frozen=True, slots=True)
class RuleChanges:
    """How many pairs of rules could be judged, how many fell short before and do so after; what is worse."""

    judged: int
    failing_before: int
    failing_after: int
    worse: tuple[WorseRule, ...]


def rule_changes(take: Take, files: Sequence[StyleFile], mapping: Mapping[Hex, str]) -> RuleChanges:
    """Return what a mapping, from old values to keys of a take, does to the pairs of rules, by the cascade.

    Held to the take's level. Raises InputError for a key that isn't there.
    """
    after, _ = recolored(take, files, mapping)
    old = _by_place(_pairs_before(tuple(files), take.level))
    new = _by_place(rule_pairs(after, take.level))
    worse: list[WorseRule] = []
    uses = Counter(value for entry in old.values() for value in (entry.text_hex, entry.ground_hex) if value)
    for place, now in new.items():
        was = old.get(place)
        if was is not None and now.outcome == "fails":
            mend = _mend(take, was, now, mapping, uses)
            worse += _worse(was, now, mend)
    return RuleChanges(
        judged=sum(pair.ratio is not None for pair in new.values()),
        failing_before=sum(entry.outcome == "fails" for entry in old.values()),
        failing_after=sum(entry.outcome == "fails" for entry in new.values()),
        worse=tuple(sorted(worse, key=lambda pair: pair.after / pair.needed)),
    )


# The same files are asked for with every choice that is made for them.
@lru_cache(maxsize=4)
def _pairs_before(files: tuple[StyleFile, ...], level: Level) -> tuple[RulePair, ...]:
    return rule_pairs(files, level)


def _by_place(pairs: Sequence[RulePair]) -> dict[tuple[str, int, str, str], RulePair]:
    """Return pairs by what a recolouring leaves alone; of several with one place the least ratio."""
    found: dict[tuple[str, int, str, str], RulePair] = {}
    for one in sorted(pairs, key=lambda pair: pair.ratio or 0, reverse=True):
        found[one.file, one.text.line, one.selector, one.scope] = one
    return found


def _worse(was: RulePair, now: RulePair, mend: RuleMend | None) -> Iterator[WorseRule]:
    """Yield what is to be said of a failing pair, where it wasn't as bad before; nothing of an untold one."""
    if was.ratio is None or now.ratio is None or now.text_hex is None or now.ground_hex is None:
        return
    if was.outcome == "fails" and now.ratio >= was.ratio:
        return
    yield WorseRule(
        file=now.file,
        line=now.text.line,
        selector=now.selector,
        scope=now.scope,
        before=was.ratio,
        after=now.ratio,
        needed=now.needed,
        text_hex=now.text_hex,
        ground_hex=now.ground_hex,
        mend=mend,
    )


def _mend(
    take: Take, was: RulePair, now: RulePair, mapping: Mapping[Hex, str], uses: Mapping[Hex, int]
) -> RuleMend | None:
    """Return another target for one of the two old colours, the one that fewer rules use: the colour of the
    take that is nearest to what it became, and passes with the other."""
    ends = [(was.text_hex, now.text_hex, now.ground_hex), (was.ground_hex, now.ground_hex, now.text_hex)]
    for old, new, other in sorted(ends, key=lambda end: uses.get(end[0] or "", 0)):
        if old is None or new is None or other is None or old not in mapping:
            continue
        if take.color_of(mapping[old]) != new:  # translucent, or put together from several
            continue
        best = _nearest_passing(take, mapping[old], other, now.needed)
        if best is not None:
            return RuleMend(old, best.key, best.name, best.hex)
    return None


def _nearest_passing(take: Take, key: str, other: Hex, needed: float) -> TakeColor | None:
    """Return the passing colour nearest to a key's: of its own ramp if one passes, never one of a signal
    where it is none itself."""
    value, owner = take.color_of(key), take.owner_of(key)[0]
    passing = [choice for choice in color_choices(take) if ratio_between(choice.hex, other) >= needed]
    own = [entry for entry in passing if take.owner_of(entry.key)[0] == owner]
    others = [entry for entry in passing if not take.is_signal_only(take.owner_of(entry.key)[0])]
    return min(own or others, key=lambda color: difference_between(color.hex, value), default=None)
