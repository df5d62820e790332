"""An existing stylesheet in the colours of a take: old values replaced, everything else to the letter."""

from __future__ import annotations

import difflib
import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final, Literal, TypeAlias

from tonada.core.color.spaces import Hex, hex_to_srgb8
from tonada.core.formats.naming import Names
from tonada.core.formats.sheet import USUAL_OPTIONS, joined
from tonada.core.gate.written import Undecided, as_triple, triples_in, undecided_in, written_in
from tonada.core.source.stylesheets.markup import looks_like_html
from tonada.core.source.stylesheets.usage import StyleFile, read_stylesheets
from tonada.core.take.take import Take

WriteAs: TypeAlias = Literal["values", "properties"]

_STYLE_BLOCK: Final = re.compile(r"<style\b[^>]*>", re.IGNORECASE)
_LEADING: Final = re.compile(r"(?:\s*(?:/\*.*?\*/|@charset[^;]*;|@import[^;]*;))*", re.DOTALL | re.IGNORECASE)


@dataclass(frozen=True, slots=True)
class PairBeside:
    """A pair that is in one rule, before and after. Ratios are exact."""

    selector: str
    before: float
    after: float


@dataclass(frozen=True, slots=True)
class Restyled:
    """files: the new texts. diff: unified. replaced: how many values. pairs: those whose ratio changed.

    undecided: what has to do with colour and stays as it was.
    """

    files: tuple[StyleFile, ...]
    diff: str
    replaced: int
    pairs: tuple[PairBeside, ...]
    undecided: tuple[Undecided, ...] = ()


def restyle(
    take: Take, files: Sequence[StyleFile], mapping: Mapping[Hex, str], write: WriteAs = "values"
) -> Restyled:
    """Return the files in new colours with what is to be said of it; see recolored."""
    made, replaced = recolored(take, files, mapping, write)
    return Restyled(made, difference_of(files, made), replaced, _pairs(files, made), undecided_in(files))


def recolored(
    take: Take, files: Sequence[StyleFile], mapping: Mapping[Hex, str], write: WriteAs = "values"
) -> tuple[tuple[StyleFile, ...], int]:
    """Return the files with each mapped value replaced, and how many were; all else stays to the letter.

    mapping: keys of colours by old value; opacity is kept, and what can't be seen at all stays.
    write: new values, or references to custom properties, which are then declared at the head of the
    first file. Raises InputError for a key that isn't there.
    """
    names = Names(take)
    new = {old: (key, take.color_of(key)) for old, key in mapping.items()}
    triples = triples_in(files)
    made, replaced = [], 0
    for file in files:
        text, count = _replaced(names, file, new, write, triples)
        made.append(replace(file, text=text))
        replaced += count
    if write == "properties" and made and replaced:
        made[0] = replace(made[0], text=_with_declared(made[0].text, _declared(names, new)))
    return tuple(made), replaced


def _replaced(
    names: Names, file: StyleFile, new: Mapping[Hex, tuple[str, Hex]], write: WriteAs, triples: frozenset[str]
) -> tuple[str, int]:
    parts: list[str] = []
    at = count = 0
    for entry in written_in(file, triples):
        target = new.get(entry.color.hex)
        if target is None:
            continue
        if entry.is_triple:  # never a reference: what reads it expects three numbers
            channels = (int(channel) for channel in hex_to_srgb8(target[1]))
            instead = as_triple(file.text[entry.start : entry.end], *channels)
        elif entry.in_picture:
            instead = _in_picture(file.text[entry.start : entry.end], target[1], entry.color.alpha)
        else:
            instead = _replacement(names, target, entry.color.alpha, write)
        parts += [file.text[at : entry.start], instead]
        at = entry.end
        count += 1
    return "".join([*parts, file.text[at:]]), count


def _replacement(names: Names, target: tuple[str, Hex], alpha: float, write: WriteAs) -> str:
    key, value = target
    percent = f"{alpha * 100:.4g}%"
    if write == "properties":
        reference = f"var({_property(names, key)})"
        return reference if alpha == 1 else f"color-mix(in srgb, {reference} {percent}, transparent)"
    if alpha == 1:
        return value
    red, green, blue = (int(channel) for channel in hex_to_srgb8(value))
    return f"rgb({red} {green} {blue} / {percent})"


def _in_picture(written: str, value: Hex, alpha: float) -> str:
    """Return a value for a picture within an address, where a # that stands plain ends the address."""
    opacity = "" if alpha == 1 else f"{round(alpha * 255):02x}"
    return f"{'#' if written.startswith('#') else '%23'}{value[1:]}{opacity}"


def _property(names: Names, key: str) -> str:
    return f"--{joined(names.of(key), USUAL_OPTIONS)}"


def _declared(names: Names, new: Mapping[Hex, tuple[str, Hex]]) -> str:
    declared = {_property(names, key): value for key, value in new.values()}
    lines = [f"  {name}: {value};" for name, value in sorted(declared.items())]
    return "\n".join([":root {", *lines, "}", "", ""])


def _with_declared(text: str, declared: str) -> str:
    """Put the declarations first, but behind @charset and @import, which must stand before all rules.

    In a page that is the beginning of its first style block.
    """
    block = _STYLE_BLOCK.search(text) if looks_like_html(text) else None
    if block is not None:
        return text[: block.end()] + _with_declared(text[block.end() :], declared)
    head = _LEADING.match(text)
    at = head.end() if head and "@" in head[0] else 0
    return f"{text[:at]}{chr(10) * 2 if at else ''}{declared}{text[at:]}"


def difference_of(before: Sequence[StyleFile], after: Sequence[StyleFile]) -> str:
    """Return what changes from files to files, as a unified diff with a line around each change."""
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
