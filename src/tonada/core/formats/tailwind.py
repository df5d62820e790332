"""A theme for Tailwind CSS 4: `--color-…` in `@theme`, and the night's values where the page is dark."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.formats.css import header, night_rule, properties
from tonada.core.formats.format import Format, Writing
from tonada.core.formats.sheet import Options, Sheet, Value


def write_tailwind(sheet: Sheet, options: Options) -> str:
    """Return the theme. Its names are kebab, as utilities such as bg-primary are made of them."""
    kebab = replace(options, naming="kebab", prefix="")
    lead = ("color", options.prefix) if options.prefix else ("color",)
    lines = [*header(sheet, "/* {} */"), "@theme {"]
    lines += [f"  {line}" for line in properties(_led(sheet.day, lead), kebab, "--")]
    lines.append("}")
    if sheet.night:
        night = properties(_led(sheet.night, lead), kebab, "--")
        lines += ["", "@layer base {", *(f"  {line}" for line in night_rule(night, options)), "}"]
    return "\n".join([*lines, ""])


def _led(values: tuple[Value, ...], lead: tuple[str, ...]) -> tuple[Value, ...]:
    return tuple(
        replace(
            value,
            words=_after(lead, value.words),
            refers=_after(lead, value.refers) if value.refers else None,
        )
        for value in values
    )


def _after(lead: tuple[str, ...], words: tuple[str, ...]) -> tuple[str, ...]:
    """Put the lead before words; what was read from a theme has it already."""
    return words if words[: len(lead)] == lead and len(words) > len(lead) else (*lead, *words)


FORMAT: Final = Format(
    kind="tailwind",
    name="Tailwind theme",
    note="for Tailwind CSS 4",
    writing=Writing(write=write_tailwind, ending=".theme.css", mimetype="text/css"),
)
