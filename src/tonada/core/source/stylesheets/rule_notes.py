"""What has to be said of the colours of rules: those that weren't understood, or lie outside sRGB."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from typing import Final

from tonada.core.source.notes import Note
from tonada.core.source.stylesheets.scan import Declaration, is_variable, line_finder
from tonada.core.source.stylesheets.scopes import Scopes
from tonada.core.source.stylesheets.values import found_in_value

# The colour of the text is a colour of its own rule, and counted there.
_CURRENT: Final = "currentcolor"
# Of properties whose names begin like those that take a colour.
_NO_COLOR: Final = (
    "-width", "-style", "-radius", "-spacing", "-collapse", "-offset", "-opacity", "-image", "-size",
    "-position", "-repeat", "-dasharray", "-dashoffset", "-linecap", "-linejoin", "-miterlimit", "-rule",
)  # fmt: skip
# A stylesheet repeats itself; more different notes than this nobody reads.
MOST_NOTES: Final = 500


@dataclass(frozen=True, slots=True)
class Block:
    """The declarations of one rule, and the file that it is in."""

    file: str
    text: str
    declarations: list[Declaration]
    is_one_of_several: bool


def notes_of(blocks: Iterable[Block], scopes: Scopes) -> tuple[Note, ...]:
    """Return what has to be said, each value once, at its first place."""
    made: dict[tuple[str, str], Note] = {}
    for block in blocks:
        variables = None
        for declaration in block.declarations:
            key = (declaration.property, declaration.value)
            name = declaration.property
            if is_variable(name) or name.endswith(_NO_COLOR) or key in made:
                continue
            if "var(" in declaration.value and variables is None:
                variables = scopes.variants(block.declarations)[-1].variables
            for note in _notes(declaration, variables or {}, block):
                made[key] = note
        if len(made) >= MOST_NOTES:
            break
    return tuple(made.values())


def _notes(declaration: Declaration, variables: Mapping[str, str], block: Block) -> Iterator[Note]:
    found = found_in_value(declaration.value, variables)
    written = f"{declaration.property}: {' '.join(declaration.value.split())[:80]}"
    reasons = [reason for reason in found.reasons if _CURRENT not in reason]
    mapped = [color.hex for color in found.colors if color.mapped]
    if not reasons and not mapped:
        return
    line = line_finder(block.text).line_of(declaration.start)
    where = f"{block.file}, line {line}" if block.is_one_of_several else f"line {line}"
    if reasons:
        yield Note("not understood", where, f"{written} ({reasons[0]})")
    else:
        said = f"{written} lies outside sRGB; taken as an sRGB screen shows it, {', '.join(mapped)}"
        yield Note("mapped", where, said)
