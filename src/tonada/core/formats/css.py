"""CSS custom properties, as CSS Custom Properties for Cascading Variables Level 1 has them."""

from __future__ import annotations

import re

from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.palette import ROLE_NAMES, Take, role_rank
from tonada.core.stylesheet.scan import line_finder, scan_stylesheet
from tonada.core.stylesheet.values import colors_in_value, is_single_value


def read_css(text: str) -> ColorList:
    """Return the custom properties that are one colour; those that are none are noted.

    Raises InputError without any.
    """
    found, lines = ListBuilder("CSS custom properties"), line_finder(text)
    declared = [one for one in scan_stylesheet(text) if one.property.startswith("--")]
    variables = {one.property: one.value for one in reversed(declared)}
    for one in declared:
        colors = colors_in_value(one.value, variables)
        line = lines.line_of(one.start)
        name = one.property.lstrip("-")
        if len(colors) == 1 and is_single_value(one.value):
            dark = any("dark" in condition for condition in one.context)
            found.add(colors[0], f"{name} (dark)" if dark else name, line=line)
        else:
            found.note(line, f"{one.property}: “{one.value[:60]}” is not a single colour.")
    return found.build()


def write_css(take: Take, *, title: str) -> str:
    """Return a stylesheet with one custom property for each role, then for each swatch without one."""
    lines = [f"/* {_comment(title)} */", ":root {"]
    for one in sorted(take.roles, key=lambda one: role_rank(one.role)):
        name = _comment(one.name or take.name_of(one.swatch, one.step))
        lines.append(f"  --{one.role}: {take.hex_of(one.role)}; /* {name} */")
    taken = {*ROLE_NAMES, *(one.role for one in take.roles)}
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
