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
    for swatch in found.swatches:
        if swatch.change == "added":
            lines.append(f"- New colour {swatch.name}: {swatch.after}")
        elif swatch.change == "removed":
            lines.append(f"- {swatch.name} ({swatch.before}) is gone")
        elif swatch.before != swatch.after:
            lines.append(f"- {swatch.name}: {swatch.before} is now {swatch.after}")
        if swatch.renamed_from:
            lines.append(f"- {swatch.renamed_from} is now called {swatch.name}")
    return lines


def _roles(found: Comparison) -> list[str]:
    lines = []
    for role in found.roles:
        if role.before is None:
            lines.append(f"- New role {role.name}: {role.after}")
        elif role.after is None:
            lines.append(f"- The role {role.name} is gone")
        else:
            lines.append(f"- {role.name}: {role.before} is now {role.after}")
    return lines


def _pairs(found: Comparison) -> list[str]:
    """Tell only of pairs whose verdict changed: a ratio that moved a little is no news."""
    lines = []
    for pair in found.pairs:
        if pair.after is None or pair.outcome_after is None or pair.outcome_before == pair.outcome_after:
            continue
        verdict = "is exempt" if pair.outcome_after == "exempt" else pair.outcome_after
        lines.append(f"- {pair.name} {verdict} now, at {rounded_down(pair.after)}:1")
    return lines
