"""A theme for Tailwind CSS 4: `--color-…` in `@theme`, and the night's values where the page is dark."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Final

from tonada.core.formats.format import Format, Writing
from tonada.core.formats.naming import Words
from tonada.core.formats.sheet import End, NamedPair, Options, Sheet, Value
from tonada.core.formats.stylesheet_writing import (
    has_fallback,
    header,
    in_one_value,
    modern,
    night_rule,
    pair_list,
    plain_first,
    properties,
    within,
)

# Names that make no utility of a colour, or one that means something else as well: those of version 4.3
# that were tried with bg, text, border, fill, stroke, outline, ring and decoration.
_TAKEN: Final = """
inherit current transparent base xs sm lg xl center top right bottom left cover contain auto inset hidden
nowrap none collapse fixed separate top-right bottom-right bottom-left top-left left-bottom left-top
right-bottom right-top x y s t r b l start end wrap clip scroll ellipsis balance pretty solid dashed dotted
double local repeat no-repeat repeat-x repeat-y slice clone justify wavy from-font shadow-initial
gradient-to-t gradient-to-tr gradient-to-r gradient-to-br gradient-to-b gradient-to-bl gradient-to-l
gradient-to-tl shadow-2xs shadow-xs shadow-sm shadow-md shadow-lg
"""
TAKEN: Final = frozenset(_TAKEN.split())
AFTER_TAKEN: Final = "tone"


def write_tailwind(sheet: Sheet, options: Options) -> str:
    """Return the theme. Its names are kebab, as utilities such as bg-primary are made of them."""
    kebab = replace(options, naming="kebab", prefix="")
    lead = ("color", options.prefix) if options.prefix else ("color",)
    renamed = {words: _renamed(lead, words) for words in _all_words(sheet)}
    led = _with_names(sheet, renamed)
    first = plain_first(kebab)
    night = led.night if in_one_value(led, options) else ()
    lines = [*header(led, kebab, "--"), *_said_of_names(renamed)]
    lines += within("@theme", properties(led.day, first, "--", night=night))
    base = _base(led, first)
    if has_fallback(kebab):
        day = within(":root", properties(led.day, kebab, "--", night=night, notes=False))
        base += modern([*day, *_base(led, kebab, notes=False)])
    if base:
        lines += ["", *within("@layer base", base)]
    return "\n".join([*lines, *pair_list(led, kebab, "--"), ""])


def _base(sheet: Sheet, options: Options, *, notes: bool = True) -> list[str]:
    """Return the rules of the night, or what lets light-dark() follow the person's wish."""
    if not sheet.night:
        return []
    if in_one_value(sheet, options):
        return within(":root", ["color-scheme: light dark;"]) if notes else []
    return night_rule(properties(sheet.night, options, "--", notes=notes), options)


def _all_words(sheet: Sheet) -> set[Words]:
    return {value.words for value in (*sheet.day, *sheet.night)}


def _renamed(lead: Words, words: Words) -> Words:
    """Put the lead before words; what was read from a theme has it already."""
    if words[: len(lead)] == lead and len(words) > len(lead):
        return words
    if len(lead) == 1 and "-".join(words) in TAKEN:
        return (*lead, *words, AFTER_TAKEN)
    return (*lead, *words)


def _said_of_names(renamed: Mapping[Words, Words]) -> list[str]:
    changed = sorted("-".join(words) for words, after in renamed.items() if after[-1:] != words[-1:])
    if not changed:
        return []
    names = ", ".join(f"{name} is {name}-{AFTER_TAKEN}" for name in changed)
    return [f"/* Tailwind has these words for itself: {names}. */"]


def _with_names(sheet: Sheet, renamed: Mapping[Words, Words]) -> Sheet:
    """Return the sheet with other words for its values."""

    def value(old: Value) -> Value:
        return replace(old, words=renamed[old.words], refers=renamed[old.refers] if old.refers else None)

    def end(old: End) -> End:
        return old if isinstance(old, str) else renamed[old]

    def pair(old: NamedPair) -> NamedPair:
        layers = tuple(end(layer) for layer in old.layers)
        return replace(old, text=end(old.text), ground=end(old.ground), layers=layers)

    return replace(
        sheet,
        day=tuple(map(value, sheet.day)),
        night=tuple(map(value, sheet.night)),
        pairs=tuple(map(pair, sheet.pairs)),
        night_pairs=tuple(map(pair, sheet.night_pairs)),
    )


FORMAT: Final = Format(
    kind="tailwind",
    name="Tailwind theme",
    note="for Tailwind CSS 4",
    writing=Writing(write=write_tailwind, ending=".theme.css", mimetype="text/css"),
)
