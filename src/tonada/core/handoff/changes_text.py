"""What changed between two versions, as a text for a message or a changelog."""

from __future__ import annotations

from tonada.core.color.contrast import rounded_down
from tonada.core.handoff.compare import Comparison, compare
from tonada.core.take.take import Take


def changes_text(before: Take, after: Take) -> str:
    """Return one line for each change, colours first; a sentence where there is none."""
    found = compare(before, after)
    lines = [*_swatches(found), *_roles(found), *_pairs(found)]
    return "\n".join(lines) + "\n" if lines else "Nothing changed.\n"


def _swatches(found: Comparison) -> list[str]:
    lines = []
    for one in found.swatches:
        if one.change == "added":
            lines.append(f"- New colour {one.name}: {one.after}")
        elif one.change == "removed":
            lines.append(f"- {one.name} ({one.before}) is gone")
        elif one.before != one.after:
            lines.append(f"- {one.name}: {one.before} is now {one.after}")
        if one.renamed_from:
            lines.append(f"- {one.renamed_from} is now called {one.name}")
    return lines


def _roles(found: Comparison) -> list[str]:
    lines = []
    for one in found.roles:
        if one.before is None:
            lines.append(f"- New role {one.name}: {one.after}")
        elif one.after is None:
            lines.append(f"- The role {one.name} is gone")
        else:
            lines.append(f"- {one.name}: {one.before} is now {one.after}")
    return lines


def _pairs(found: Comparison) -> list[str]:
    """Tell only of pairs whose verdict changed: a ratio that moved a little is no news."""
    lines = []
    for one in found.pairs:
        if one.after is None or one.outcome_after is None or one.outcome_before == one.outcome_after:
            continue
        verdict = "is exempt" if one.outcome_after == "exempt" else one.outcome_after
        lines.append(f"- {one.name} {verdict} now, at {rounded_down(one.after)}:1")
    return lines
