"""An existing stylesheet in the colours of a take: old values replaced, everything else to the letter."""

from __future__ import annotations

import difflib
import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

import numpy as np

from tonada.core.color.notation import COLOR_FUNCTIONS, ReadColor, is_color_name, read_color
from tonada.core.color.spaces import Hex, delta_e_ok, hex_to_srgb8, hexes_to_srgb8, srgb8_to_oklab
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.sheet import USUAL_OPTIONS, joined, words_of
from tonada.core.source.stylesheets.groups import USUAL_DIFFERENCE, group_uses
from tonada.core.source.stylesheets.scan import scan_stylesheet
from tonada.core.source.stylesheets.usage import (
    ColorUse,
    StyleFile,
    StylesheetReading,
    read_stylesheets,
    takes_color,
)
from tonada.core.take.key import step_key
from tonada.core.take.take import Role, Take

WriteAs: TypeAlias = Literal["values", "properties"]

# The objective: how far the new colour is (deltaEOK), what speaks against it added.
UNSUITED_COSTS: Final = 0.08  # a role that does another job than the old colour did
STEP_COSTS: Final = 0.02  # a step where a role would do
SAME: Final = 0.01  # closer than this a role is the colour itself, whatever it was used for

_SUITED: Final[Mapping[str, tuple[Role, ...]]] = {
    "text": (Role.INK, Role.MUTED, Role.LINK, Role.PRIMARY, Role.PAPER, Role.ERROR, Role.SUCCESS),
    "ground": (Role.PAPER, Role.MIST, Role.DEEP, Role.PRIMARY, Role.SECONDARY, Role.ACCENT),
    "border": (Role.LINE, Role.MIST, Role.MUTED, Role.PRIMARY),
    "other": (),
}
# A colour inside of a value; strings, addresses and names that only contain one are passed over.
_COLOR: Final = re.compile(
    rf"""(?P<skip>"(?:\\.|[^"\\])*"|'(?:\\.|[^'\\])*'|url\([^)]*\)|var\(\s*--[-\w]+|--[-\w]+|[$@][-\w]+)
      | (?P<color>\#[0-9a-f]{{3,8}}(?![-\w]) | (?:{"|".join(COLOR_FUNCTIONS)})\([^()]*\)
          | (?<![-\w.#])[a-z]{{3,20}}(?![-\w(]))""",
    re.VERBOSE | re.IGNORECASE,
)

_LEADING: Final = re.compile(r"(?:\s*(?:/\*.*?\*/|@charset[^;]*;|@import[^;]*;))*", re.DOTALL | re.IGNORECASE)


@dataclass(frozen=True, slots=True)
class OldColor:
    """A colour of the old stylesheet, with its near-twins, and what takes its place.

    members: the values that become the same; count: uses of all. key: of the take, as Take.color_of
    reads it. difference: deltaEOK from the old value to the new one.
    """

    hex: Hex
    members: tuple[Hex, ...]
    count: int
    text: int
    ground: int
    border: int
    key: str
    name: str
    new_hex: Hex
    difference: float


@dataclass(frozen=True, slots=True)
class PairBeside:
    """A pair that stands in one rule, before and after. Ratios are exact."""

    selector: str
    before: float
    after: float


@dataclass(frozen=True, slots=True)
class Restyled:
    """files: the new texts. diff: unified. replaced: how many values. pairs: those whose ratio changed."""

    files: tuple[StyleFile, ...]
    diff: str
    replaced: int
    pairs: tuple[PairBeside, ...]


def propose_mapping(
    take: Take, files: Sequence[StyleFile], difference: float = USUAL_DIFFERENCE
) -> tuple[OldColor, ...]:
    """Return every old colour, near-twins together, with the role or step that is nearest and suits its use.

    Raises InputError where the take has no colour or the files use none.
    """
    reading = read_stylesheets(list(files))
    candidates = _candidates(take)
    if not candidates:
        raise InputError("This take has no colours to map to.", field="document.swatches")
    if not reading.uses:
        raise InputError("The stylesheet uses no colour.", field="files")
    return tuple(
        _mapped(take, reading, group.members, candidates) for group in group_uses(reading.uses, difference)
    )


def restyle(
    take: Take, files: Sequence[StyleFile], mapping: Mapping[Hex, str], write: WriteAs = "values"
) -> Restyled:
    """Return the files with each mapped value replaced; formatting and comments stay as they are.

    mapping: keys of colours by old value. write: new values, or references to custom properties,
    which are then declared at the head of the first file. Raises InputError for a key that isn't there.
    """
    new = {old: (key, take.color_of(key)) for old, key in mapping.items()}
    made, replaced = [], 0
    for file in files:
        text, count = _replaced(take, file.text, new, write)
        made.append(StyleFile(file.name, text))
        replaced += count
    if write == "properties" and made and replaced:
        made[0] = StyleFile(made[0].name, _with_declared(made[0].text, _declared(take, new)))
    return Restyled(tuple(made), _diff(files, made), replaced, _pairs(files, made))


def _candidates(take: Take) -> list[str]:
    owners = [one.id for one in take.swatches] + [one.id for one in take.neutrals]
    steps = [step_key(owner, row + 1) for owner in owners for row in range(len(take.ramp(owner).hexes))]
    return [*dict.fromkeys(one.role for one in take.roles), *steps]


def _mapped(
    take: Take, reading: StylesheetReading, members: tuple[int, ...], candidates: list[str]
) -> OldColor:
    uses = [reading.uses[row] for row in members]
    sums = {purpose: sum(getattr(use, purpose) for use in uses) for purpose in ("text", "ground", "border")}
    value = uses[0].hex
    key, away = _nearest(take, value, _purpose(sums), candidates)
    return OldColor(
        hex=value,
        members=tuple(dict.fromkeys(value for use in uses for value in _values_of(use))),
        count=sum(use.count for use in uses),
        key=key,
        name=take.display_name(key),
        new_hex=take.color_of(key),
        difference=away,
        **sums,
    )


def _values_of(use: ColorUse) -> list[Hex]:
    """Return the values that a use was written as: a translucent one is replaced with its own opacity."""
    return [use.hex, *(value for value, _ in use.translucent)]


def _purpose(sums: Mapping[str, int]) -> str:
    purpose = max(sums, key=lambda one: sums[one])
    return purpose if sums[purpose] else "other"


def _nearest(take: Take, value: Hex, purpose: str, candidates: list[str]) -> tuple[str, float]:
    labs = srgb8_to_oklab(hexes_to_srgb8([take.color_of(key) for key in candidates]))
    away = delta_e_ok(labs, srgb8_to_oklab(hex_to_srgb8(value)))
    suited = {str(role) for role in _SUITED[purpose]}
    costs = np.array(
        [
            distance + _cost_of(key, float(distance), suited)
            for key, distance in zip(candidates, away, strict=True)
        ]
    )
    best = int(np.argmin(costs))
    return candidates[best], float(away[best])


def _cost_of(key: str, distance: float, suited: set[str]) -> float:
    if "/" in key:
        return STEP_COSTS
    return UNSUITED_COSTS if suited and key not in suited and distance > SAME else 0.0


def _replaced(take: Take, text: str, new: Mapping[Hex, tuple[str, Hex]], write: WriteAs) -> tuple[str, int]:
    parts: list[str] = []
    at = count = 0
    for declaration in scan_stylesheet(text, takes_color):
        for start, end, color in _colors_of(declaration.value):
            target = new.get(color.hex)
            if target is None:
                continue
            begin = declaration.start + start
            parts += [text[at:begin], _replacement(take, target, color.alpha, write)]
            at = declaration.start + end
            count += 1
    return "".join([*parts, text[at:]]), count


def _colors_of(value: str) -> Iterator[tuple[int, int, ReadColor]]:
    for match in _COLOR.finditer(value):
        word = match["color"]
        if word is None or (word[0] != "#" and "(" not in word and not is_color_name(word)):
            continue
        try:
            yield match.start(), match.end(), read_color(word)
        except ColorError:
            continue


def _replacement(take: Take, target: tuple[str, Hex], alpha: float, write: WriteAs) -> str:
    key, value = target
    percent = f"{alpha * 100:.4g}%"
    if write == "properties":
        reference = f"var({_property(take, key)})"
        return reference if alpha == 1 else f"color-mix(in srgb, {reference} {percent}, transparent)"
    if alpha == 1:
        return value
    red, green, blue = (int(channel) for channel in hex_to_srgb8(value))
    return f"rgb({red} {green} {blue} / {percent})"


def _property(take: Take, key: str) -> str:
    is_ours = take.has_role(key) and not key.startswith("own-")
    words = words_of(key if is_ours else take.display_name(key))
    return f"--{joined(words or ('color',), USUAL_OPTIONS)}"


def _declared(take: Take, new: Mapping[Hex, tuple[str, Hex]]) -> str:
    declared = {_property(take, key): value for key, value in new.values()}
    lines = [f"  {name}: {value};" for name, value in sorted(declared.items())]
    return "\n".join([":root {", *lines, "}", "", ""])


def _with_declared(text: str, declared: str) -> str:
    """Put the declarations first, but behind @charset and @import, which must stand before all rules."""
    head = _LEADING.match(text)
    at = head.end() if head and "@" in head[0] else 0
    return f"{text[:at]}{chr(10) * 2 if at else ''}{declared}{text[at:]}"


def _diff(before: Sequence[StyleFile], after: Sequence[StyleFile]) -> str:
    lines: list[str] = []
    for old, new in zip(before, after, strict=True):
        lines += difflib.unified_diff(
            old.text.splitlines(keepends=True), new.text.splitlines(keepends=True), old.name, new.name, n=1
        )
    return "".join(line if line.endswith("\n") else line + "\n" for line in lines)


def _pairs(before: Sequence[StyleFile], after: Sequence[StyleFile]) -> tuple[PairBeside, ...]:
    """Return pairs by selector; rules keep their order, so the first with a selector is the same one."""
    found = []
    new = {pair.selector: pair for pair in reversed(read_stylesheets(list(after)).pairs)}
    for old in read_stylesheets(list(before)).pairs:
        now = new.get(old.selector)
        if now is not None and now.ratio != old.ratio:
            found.append(PairBeside(old.selector, old.ratio, now.ratio))
    return tuple(found)
