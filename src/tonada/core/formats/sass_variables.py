"""What SCSS and Less share: variables and maps that hold colours, references to them, colour functions."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import replace
from itertools import islice
from typing import Any, Final, NamedTuple

import tinycss2

from tonada.core.color.css_math import Quantity, split
from tonada.core.color.notation import as_screen_shows
from tonada.core.color.unknown import CannotTell, NotCss
from tonada.core.formats.css import title_of
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.sass_functions import Value as SassValue
from tonada.core.formats.sass_values import DEEPEST_VALUE, Scope, Unknown, divided
from tonada.core.formats.sheet import End, NamedPair, Options, Sheet, Value
from tonada.core.formats.stylesheet_writing import header, pair_list, properties

_COMMENTS: Final = re.compile(r"/\*.*?(?:\*/|\Z)|(?<![:\w])//[^\n]*", re.DOTALL)
_DECLARED: Final = re.compile(r"@function\s+([-\w]+)")
_MODULE: Final = re.compile(r"""@use\s+["']sass:color["'](?:\s+as\s+([-\w]+|\*))?""")

# Maps that stand in each other could have billions.
MOST_ENTRIES: Final = 5_000


class _Declared(NamedTuple):
    """A variable that is set. nodes: its value; default: only where it isn't set yet."""

    name: str
    nodes: list[Any]
    line: int
    default: bool


def read_variables(text: str, mark: str, name: str) -> ColorList:
    """Return the variables and entries of maps that are one colour, in their order.

    mark: what a variable begins with. name: the format's, for people. Functions of Sass and Less are
    computed; what the file has of its own, or imports, is named. Raises InputError without any colour.
    """
    found = ListBuilder(name)
    found.title = title_of(text)
    plain = _COMMENTS.sub(lambda match: re.sub(r"[^\n]", " ", match.group()), text)
    modules = frozenset(match[1] or "color" for match in _MODULE.finditer(plain))
    scope = Scope(mark, modules, frozenset(_DECLARED.findall(plain)))
    declared = list(_declared(tinycss2.parse_component_value_list(plain, skip_comments=True), mark, 0))
    if mark == "@":
        _settle(declared, scope)
    for variable in declared:
        _take(variable, scope, found)
    return found.build()


def _settle(declared: Sequence[_Declared], scope: Scope) -> None:
    """Give the variables of Less their last value, whatever the order: they are lazy."""
    last = {variable.name: variable for variable in declared}
    waiting = list(last.values())
    while waiting:
        left = []
        for variable in waiting:
            try:
                scope.variables[variable.name] = scope.value_of(variable.nodes)
            except NotCss:
                continue
            except CannotTell:
                left.append(variable)
        if len(left) == len(waiting):
            return
        waiting = left


def _take(variable: _Declared, scope: Scope, found: ListBuilder) -> None:
    if variable.default and variable.name in scope.variables:
        return
    written = tinycss2.serialize(variable.nodes).strip()
    try:
        value = scope.value_of(variable.nodes)
    except CannotTell as reason:
        if isinstance(reason, NotCss):
            # Of a function that is no colour, such as a gradient, its arguments say nothing.
            is_function = len(variable.nodes) == 1 and variable.nodes[0].type == "function"
            found.warn_no_color(written, variable.name, line=variable.line, is_sure=is_function)
        else:
            text = f"{variable.name}: “{' '.join(written.split())[:60]}” is not understood: {reason}."
            found.warn(variable.line, text)
            # What a function is given that isn't known stands there all the same.
            is_known = any(
                node.type == "function" and scope.knows(node.lower_name) for node in variable.nodes
            )
            for entries in () if is_known else _maps_within(variable.nodes, 0):
                _add(scope.value_of([entries]), variable, found)
        return
    scope.variables[variable.name] = value
    _add(value, variable, found)


def _add(value: SassValue, variable: _Declared, found: ListBuilder) -> None:
    leaves = list(islice(_leaves(value, (variable.name,)), MOST_ENTRIES + 1))
    if len(leaves) > MOST_ENTRIES:
        found.warn(variable.line, f"{variable.name} has more than {MOST_ENTRIES:,} entries, and is left out.")
        return
    for path, leaf in leaves:
        if isinstance(leaf, Unknown):
            found.warn(variable.line, f"{' '.join(path)}: {leaf} is not understood.")
        elif not isinstance(leaf, (str, Quantity, dict)):
            found.add(as_screen_shows(leaf), " ".join(path), line=variable.line)
        elif leaf is value:
            written = tinycss2.serialize(variable.nodes).strip()
            found.warn_no_color(written, path[0], line=variable.line)


def _leaves(value: SassValue, path: tuple[str, ...]) -> Iterator[tuple[tuple[str, ...], SassValue]]:
    if not isinstance(value, dict):
        yield path, value
        return
    for key, inner in value.items():
        # The name of a map says nothing beside words, and much beside numbers.
        around = path if len(path) > 1 or key[:1].isdigit() else ()
        yield from _leaves(inner, (*around, key))


def _maps_within(nodes: Sequence[Any], depth: int) -> Iterator[Any]:
    """Yield the maps that stand in the arguments of functions, the outermost only."""
    for node in nodes if depth < DEEPEST_VALUE else ():
        if node.type == "() block" and any(divided(part)[0] for part in split(node.content)):
            yield node
        elif node.type == "function":
            yield from _maps_within(node.arguments, depth + 1)


def _declared(nodes: Sequence[Any], mark: str, depth: int) -> Iterator[_Declared]:
    """Yield the variables that are set in a part of a file, those within its rules too."""
    if depth > DEEPEST_VALUE:
        return
    place = 0
    while place < len(nodes):
        head = _head(nodes, place, mark)
        if head is None:
            node = nodes[place]
            if node.type == "{} block" or (node.type == "() block" and _follows_with(nodes, place)):
                yield from _declared(node.content, mark, depth + 1)
            place += 1
            continue
        name, start = head
        end = _end(nodes, start, is_list=depth > 0)
        value, default = _without_flags(nodes[start:end])
        if not any(node.type == "{} block" for node in value):
            yield _Declared(name, value, nodes[place].source_line, default)
        else:
            end = start
        place = max(end, place + 1)


def _head(nodes: Sequence[Any], place: int, mark: str) -> tuple[str, int] | None:
    """Return the name of a variable that is set here, and where its value begins."""
    node = nodes[place]
    if mark == "@" and node.type == "at-keyword":
        name, after = str(node.value), place + 1
    elif mark == "$" and node == "$" and place + 1 < len(nodes) and nodes[place + 1].type == "ident":
        name, after = str(nodes[place + 1].value), place + 2
    else:
        return None
    while after < len(nodes) and nodes[after].type == "whitespace":
        after += 1
    return (name, after + 1) if after < len(nodes) and nodes[after] == ":" else None


def _end(nodes: Sequence[Any], start: int, *, is_list: bool) -> int:
    """Return where a value ends: at a semicolon, at the end of its line, or, of a list, at a comma."""
    has_begun = False
    for place in range(start, len(nodes)):
        node = nodes[place]
        if node == ";" or (is_list and node == ","):
            return place
        if node.type == "whitespace":
            if has_begun and "\n" in node.value:
                return place
        else:
            has_begun = True
    return len(nodes)


def _without_flags(nodes: Sequence[Any]) -> tuple[list[Any], bool]:
    """Return a value without `!default` and `!global`, and whether it had the first."""
    kept: list[Any] = []
    default = False
    for place, node in enumerate(nodes):
        before = next((one for one in reversed(nodes[:place]) if one.type != "whitespace"), None)
        if node == "!" or (before == "!" and node.type == "ident"):
            default = default or getattr(node, "value", "") == "default"
        else:
            kept.append(node)
    return kept, default


def _follows_with(nodes: Sequence[Any], place: int) -> bool:
    before = next((node for node in reversed(nodes[:place]) if node.type != "whitespace"), None)
    return before is not None and before.type == "ident" and before.lower_value == "with"


def write_variables(sheet: Sheet, options: Options, mark: str) -> str:
    """Return a variable for each value; those of the night end in “night”, and stand last."""
    night = tuple(_at_night(value) for value in sheet.night)
    pairs = (*sheet.pairs, *(_pair_at_night(pair) for pair in sheet.night_pairs))
    # With names of their own, both schemes are one.
    flat = replace(sheet, day=(*sheet.day, *night), night=(), pairs=pairs, night_pairs=())
    lines = [*header(flat, options, mark), *_variables(sheet.day, options, mark)]
    if night:
        lines += ["", *_variables(night, options, mark)]
    return "\n".join([*lines, *pair_list(flat, options, mark), ""])


def _variables(values: tuple[Value, ...], options: Options, mark: str) -> list[str]:
    # What is referred to stands before what refers to it.
    ordered = sorted(values, key=lambda value: (bool(value.over), bool(value.refers) and not value.over))
    return properties(tuple(ordered), options, mark, "{}")


def _at_night(value: Value) -> Value:
    refers = (*value.refers, "night") if value.refers else None
    return replace(value, words=(*value.words, "night"), refers=refers)


def _pair_at_night(pair: NamedPair) -> NamedPair:
    def end(named: End) -> End:
        return named if isinstance(named, str) else (*named, "night")

    return replace(
        pair, text=end(pair.text), ground=end(pair.ground), layers=tuple(end(layer) for layer in pair.layers)
    )
