"""The colours written in stylesheets, each at its own place, and what can't be decided from the file."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Final
from urllib.parse import unquote

from tonada.core.color.notation import COLOR_FUNCTIONS, ReadColor, is_color_name, read_color
from tonada.core.errors import ColorError
from tonada.core.source.stylesheets.markup import looks_like_html, scan_page
from tonada.core.source.stylesheets.scan import Declaration, line_finder, scan_stylesheet
from tonada.core.source.stylesheets.usage import StyleFile, takes_color

_FUNCTIONS: Final = "|".join(COLOR_FUNCTIONS)
# A colour inside of a value; strings, addresses and names that only contain one are passed over.
_COLOR: Final = re.compile(
    rf"""(?P<picture>url\(\s*(?:"data:image/svg(?:\\.|[^"\\])*"|'data:image/svg(?:\\.|[^'\\])*'|data:image/svg[^)]*)\s*\))
      | (?P<skip>"(?:\\.|[^"\\])*"|'(?:\\.|[^'\\])*'|url\([^)]*\)|var\(\s*--[-\w]+|--[-\w]+|[$@][-\w]+)
      | (?P<color>\#[0-9a-f]{{3,8}}(?![-\w]) | (?<![-\w])(?:{_FUNCTIONS})\([^()]*\)
          | (?<![-\w.#])[a-z]{{3,20}}(?![-\w(]))
      | (?P<made>(?<![-\w])(?:{_FUNCTIONS})\((?:[^()]|\((?:[^()]|\([^()]*\))*\))*\))""",
    re.VERBOSE | re.IGNORECASE,
)
# Three channels that are made a colour elsewhere: --brand-rgb: 13, 110, 253.
_TRIPLE: Final = re.compile(r"(\d{1,3})(\s*,\s*|\s+)(\d{1,3})(\s*,\s*|\s+)(\d{1,3})")
_OF_TRIPLE: Final = re.compile(r"rgba?\(\s*var\(\s*(--[-\w]+)\s*\)", re.IGNORECASE)
_REFERENCE: Final = re.compile(r"var\(\s*(--[-\w]+)\s*\)", re.IGNORECASE)
_SCSS: Final = re.compile(r"\$[-\w]+|@include", re.ASCII)
_IN_PICTURE: Final = re.compile(r"#[0-9a-f]{3,8}\b|%23[0-9a-f]{3,8}\b|fill=|stroke=", re.IGNORECASE)
_BASE64: Final = re.compile(r"data:image/svg[^,]*;base64,", re.IGNORECASE)
# A colour in a picture that is written into an address: a hex value whose # may be escaped and which is no
# reference, or a name or a function as the value of a property of paint.
_PAINTED: Final = re.compile(
    rf"""(?P<hex>(?<!url\()(?<!href=)(?<!href=['"])(?<!href=%2[27])(?:%23|\#)[0-9a-f]{{3,8}}(?![-\w]))
      | (?:fill|stroke|stop-color|flood-color|lighting-color|color)\s*(?:=|%3d|:)\s*\\?(?:['"]|%2[27])?
        (?P<word>[a-z]{{3,20}}(?![-\w(])|(?:{_FUNCTIONS})\([^()'"<>]*\))""",
    re.VERBOSE | re.IGNORECASE,
)


@dataclass(frozen=True, slots=True)
class Written:
    """A colour as it stands in a file. is_triple: it is written as three bare channels, such as 122, 31, 31.

    in_picture: within an SVG picture, where no custom property reaches.
    """

    start: int
    end: int
    color: ReadColor
    declaration: Declaration
    is_triple: bool = False
    in_picture: bool = False


@dataclass(frozen=True, slots=True)
class Undecided:
    """A colour that stays, since it can’t be mapped: its first place, its text, why, and how often.

    line and column from 1.
    """

    file: str
    line: int
    column: int
    text: str
    reason: str
    count: int = 1


def written_in(file: StyleFile, triples: frozenset[str] = frozenset()) -> Iterator[Written]:
    """Yield each colour of a file that can be seen, in its order. triples: names of properties."""
    for declaration in _declarations(file):
        if _is_attribute(declaration):
            continue
        triple = _TRIPLE.fullmatch(declaration.value)
        if triple and declaration.property in triples:
            color = _read(f"rgb({triple[1]} {triple[3]} {triple[5]})")
            if color is not None and max(int(triple[part]) for part in (1, 3, 5)) <= 255:
                end = declaration.start + triple.end()
                yield Written(declaration.start, end, color, declaration, is_triple=True)
            continue
        for match in _COLOR.finditer(declaration.value):
            if match["picture"] and file.pictures:
                yield from _painted(match, declaration)
            color = _color_of(match)
            if color is not None and color.alpha > 0:
                start, end = (declaration.start + place for place in match.span())
                yield Written(start, end, color, declaration)


def _painted(picture: re.Match[str], declaration: Declaration) -> Iterator[Written]:
    """Yield each colour of a picture that is written into an address; base64 hides what is in it."""
    if _BASE64.search(picture[0]):
        return
    for match in _PAINTED.finditer(picture[0]):
        group = "hex" if match["hex"] else "word"
        text = unquote(match[group])
        color = _read(text) if text[0] == "#" or "(" in text or is_color_name(text) else None
        if color is not None and color.alpha > 0:
            start, end = (declaration.start + picture.start() + place for place in match.span(group))
            yield Written(start, end, color, declaration, in_picture=True)


def triples_in(files: Iterable[StyleFile]) -> frozenset[str]:
    """Return the properties that hold the three channels of a colour: rgb(var(--name), …) asks for them."""
    sheets = list(files)
    values: dict[str, list[str]] = {}
    for file in sheets:
        for declaration in _declarations(file):
            if declaration.property.startswith("--"):
                values.setdefault(declaration.property, []).append(declaration.value)
    waiting = [name for file in sheets for name in _OF_TRIPLE.findall(file.text)]
    found: set[str] = set()
    while waiting:
        name = waiting.pop()
        if name in values and name not in found:
            found.add(name)
            waiting += [match[1] for value in values[name] if (match := _REFERENCE.fullmatch(value))]
    return frozenset(found)


def as_triple(written: str, red: int, green: int, blue: int) -> str:
    """Return three channels with the separators of those that were written."""
    found = _TRIPLE.fullmatch(written)
    first, second = (found[2], found[4]) if found else (", ", ", ")
    return f"{red}{first}{green}{second}{blue}"


def undecided_in(files: Sequence[StyleFile]) -> tuple[Undecided, ...]:
    """Return what has to do with colour and can't be replaced, in the order of the files."""
    triples = triples_in(files)
    said: dict[tuple[str, str, str], Undecided] = {}
    for file in files:
        finder = line_finder(file.text)
        for declaration in _declarations(file):
            for place, text, reason in _undecided(declaration, triples, pictures=file.pictures):
                key = (file.name, text, reason)
                there = said.get(key)
                if there is not None:
                    said[key] = replace(there, count=there.count + 1)
                    continue
                line, column = finder.place_of(declaration.start + place)
                said[key] = Undecided(file.name, line, column, text[:120], reason)
    return tuple(said.values())


def _undecided(
    declaration: Declaration, triples: frozenset[str], *, pictures: bool
) -> Iterator[tuple[int, str, str]]:
    for match in _COLOR.finditer(declaration.value):
        text = match[0]
        if match["picture"]:
            hidden = _BASE64.search(text) is not None
            if hidden or (not pictures and _IN_PICTURE.search(text)):
                yield match.start(), text, "a picture within the file" + (", in base64" if hidden else "")
        elif match["made"]:
            of = _OF_TRIPLE.match(text)
            if of is None or of[1] not in triples:
                yield match.start(), text, _why_made(text)
        elif match["color"] and "(" in text and _read(text) is None:
            yield match.start(), text, _why_made(text)
        elif match["color"] and _is_attribute(declaration) and _color_of(match) is not None:
            yield 0, text, "an attribute of the page"


def _why_made(text: str) -> str:
    inside = text.partition("(")[2].lstrip().lower()
    if inside.startswith("from "):
        return "a colour relative to another one"
    if "(" in inside or _SCSS.search(text):
        return "a colour that is put together from parts"
    return "no colour that is understood"


def _declarations(file: StyleFile) -> Iterator[Declaration]:
    scan = scan_page if looks_like_html(file.text) else scan_stylesheet
    yield from scan(file.text, lambda name: name == "initial-value" or takes_color(name))


def _is_attribute(declaration: Declaration) -> bool:
    return declaration.selector == "style attribute" or declaration.selector.startswith("<")


def _color_of(match: re.Match[str]) -> ReadColor | None:
    word = match["color"]
    if word is None or (word[0] != "#" and "(" not in word and not is_color_name(word)):
        return None
    return _read(word)


def _read(text: str) -> ReadColor | None:
    try:
        return read_color(text)
    except ColorError:
        return None
