"""What changed between two takes, over everything that a document holds, by day and by night.

A thing is said once: first as the values that files have under their names, and for the rest as it is set.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Final

from tonada.core.color.contrast import rounded_down
from tonada.core.color.requirements import Outcome
from tonada.core.color.spaces import Hex
from tonada.core.formats.sheet import Options, Value, joined
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.handoff.facts import SECTIONS, Fact, Section, Subject, facts_of
from tonada.core.pairs.evaluation import PairFigures, evaluate
from tonada.core.take.take import Take

_OPTIONS: Final = Options()
GONE: Final = "gone"
NEW: Final = "new"


@dataclass(frozen=True, slots=True)
class ChangeLine:
    """One change. token: the name in files. scheme: where it is so, empty for everywhere.

    before, after: in words; "new" and "gone" where there is nothing else to say; with their colours, where
    the change is one of colours.
    """

    section: Section
    label: str
    scheme: str
    before: str
    after: str
    token: str = ""
    hex_before: Hex | None = None
    hex_after: Hex | None = None


def changes_between(before: Take, after: Take) -> tuple[ChangeLine, ...]:
    """Return what changed, by section; nothing for takes that are the same."""
    if before == after:
        return ()
    told: set[Subject] = set()
    lines = [*_values(before, after, told), *_facts(before, after, told), *_verdicts(before, after, told)]
    if not lines:
        # Two documents that differ say so, whatever it is that no fact names.
        lines = [ChangeLine("Settings", "Something that is not shown", "", "before", "after")]
    return tuple(sorted(_merged(lines), key=lambda line: SECTIONS.index(line.section)))


def _values(before: Take, after: Take, told: set[Subject]) -> Iterator[ChangeLine]:
    """Yield the names in files whose colour is another one now."""
    old, new = (sheet_of(take, _OPTIONS, title="") for take in (before, after))
    for scheme, was, now in (("day", old.day, new.day), ("night", old.night, new.night)):
        if scheme == "night" and not (old.night and new.night):
            continue
        values, others = ({value.words: value for value in values} for values in (now, was))
        changed = {
            words for words in {*values, *others} if _color(values.get(words)) != _color(others.get(words))
        }
        for words in (*values, *(words for words in others if words not in values)):
            if words not in changed:
                continue
            now_, was_ = values.get(words), others.get(words)
            if now_ and was_ and now_.part == "use" and now_.refers == was_.refers and now_.refers in changed:
                continue
            told |= _subjects(now_ or was_, scheme)
            yield _value_line(was_, now_, scheme)


def _color(value: Value | None) -> tuple[Hex, float] | None:
    return (value.hex, value.alpha) if value else None


def _subjects(value: Value | None, scheme: str) -> set[Subject]:
    """Return what a line of a value tells of: its key, and that some colour changed."""
    return {("value", value.key, scheme), ("value", value.key), ("value", "any")} if value else set()


def _value_line(was: Value | None, now: Value | None, scheme: str) -> ChangeLine:
    named = now or was
    assert named is not None  # noqa: S101  # one of the two is there
    return ChangeLine(
        "Values in the files",
        named.name,
        scheme,
        _value_said(was) if was else NEW,
        _value_said(now) if now else GONE,
        f"--{joined(named.words, _OPTIONS)}",
        was.hex if was else None,
        now.hex if now else None,
    )


def _value_said(value: Value) -> str:
    alpha = "" if value.alpha == 1 else f" at {value.alpha:.4g}"
    refers = " ".join(value.refers).capitalize() if value.refers else ""
    called = refers or (value.note if value.part in ("role", "use") else "")
    return f"{called} {value.hex}{alpha}".strip()


def _facts(before: Take, after: Take, told: set[Subject]) -> Iterator[ChangeLine]:
    old, new = facts_of(before), facts_of(after)
    subjects = [*new, *(subject for subject in old if subject not in new)]
    changed = [subject for subject in subjects if _compared(old.get(subject)) != _compared(new.get(subject))]
    told |= {subject for subject in changed if subject[0] != "order"}
    told |= {("any", subject[0]) for subject in changed if subject[0] != "order"}
    for subject in changed:
        fact = new.get(subject) or old[subject]
        if told & set(fact.behind) or _is_part_of_another(subject, old, new):
            continue
        yield _fact_line(subject, old.get(subject), new.get(subject))


def _compared(fact: Fact | None) -> str | None:
    return fact.compared if fact else None


def _is_part_of_another(subject: Subject, old: dict[Subject, Fact], new: dict[Subject, Fact]) -> bool:
    """Return whether a thing is new or gone with the whole that it belongs to, which says so itself."""
    if subject in old and subject in new:
        return False
    parents = (subject[:length] for length in range(2, len(subject)))
    return any((parent in old) != (parent in new) for parent in parents)


def _fact_line(subject: Subject, was: Fact | None, now: Fact | None) -> ChangeLine:
    fact = now or was
    assert fact is not None  # noqa: S101  # one of the two is there
    scheme = next((part for part in subject if part in ("day", "night")), "")
    return ChangeLine(
        fact.section,
        fact.label,
        scheme if subject[0] != "scheme" else "",
        *_both_said(was, now, fact.absent),
        hex_before=was.hex if was else None,
        hex_after=now.hex if now else None,
    )


def _both_said(was: Fact | None, now: Fact | None, absent: str) -> tuple[str, str]:
    """Return how it was and is; where the words are alike, with what differs behind them."""
    before, after = was.said if was else absent or NEW, now.said if now else absent or GONE
    if before != after or was is None or now is None:
        return before, after
    return f"{before} ({was.compared})", f"{after} ({now.compared})"


def _verdicts(before: Take, after: Take, told: set[Subject]) -> Iterator[ChangeLine]:
    """Yield the pairs whose outcome is another one now, where nothing else was said of them."""
    for scheme in ("day", "night"):
        takes = [_in(take, scheme) for take in (before, after)]
        old, new = ({pair.id: pair for pair in evaluate(take).pairs} if take else {} for take in takes)
        for key, now in new.items():
            was = old.get(key)
            if was and was.outcome != now.outcome and ("pairs", key, scheme) not in told:
                label = f"{now.text_name} on {now.ground_name}"
                yield ChangeLine("Pairs", label, scheme, _outcome(was), _outcome(now))


def _in(take: Take, scheme: str) -> Take | None:
    if take.scheme == scheme:
        return take
    return take.turned() if take.other is not None else None


_WORDS: Final[dict[Outcome, str]] = {
    "passes": "passes", "fails": "fails", "exempt": "is exempt", "unknown": "isn’t known",
}  # fmt: skip


def _outcome(pair: PairFigures) -> str:
    return f"{_WORDS[pair.outcome]}, {rounded_down(pair.ratio)} of {pair.needed:g}"


def _merged(lines: list[ChangeLine]) -> list[ChangeLine]:
    """Say once what is so by day and by night."""
    found: dict[ChangeLine, list[str]] = {}
    for line in lines:
        found.setdefault(replace(line, scheme=""), []).append(line.scheme)
    merged = [
        replace(line, scheme="day and night" if {"day", "night"} <= set(schemes) else schemes[0])
        for line, schemes in found.items()
    ]
    # What is of one name stands together.
    first: dict[str, int] = {}
    for row, line in enumerate(merged):
        first.setdefault(line.token or str(row), row)
    return sorted(merged, key=lambda line: first[line.token] if line.token else merged.index(line))
