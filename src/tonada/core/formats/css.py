"""CSS custom properties, as CSS Custom Properties for Cascading Variables Level 1 has them."""

from __future__ import annotations

import re

from tonada.core.palette import Role, Take


def write_css(take: Take, *, title: str) -> str:
    """Return a stylesheet with one custom property for each role, then for each swatch without one."""
    lines = [f"/* {_comment(title)} */", ":root {"]
    for assignment in sorted(take.roles, key=lambda assignment: list(Role).index(assignment.role)):
        swatch = take.swatch_of(assignment.role)
        lines.append(f"  --{assignment.role}: {swatch.hex}; /* {_comment(swatch.name)} */")
    taken = {str(role) for role in Role}
    for swatch in take.swatches:
        if not take.roles_of(swatch.id):
            name = _identifier(swatch.name, swatch.id)
            name = name if name not in taken else f"{name}-{swatch.id}"
            taken.add(name)
            lines.append(f"  --{name}: {swatch.hex}; /* {_comment(swatch.name)} */")
    return "\n".join([*lines, "}", ""])


def _comment(text: str) -> str:
    """Return text that can't end the comment it stands in."""
    return " ".join(text.split()).replace("*/", "* /")


def _identifier(name: str, fallback: str) -> str:
    return re.sub(r"[^a-z0-9]+", "-", name.lower()).strip("-") or fallback
