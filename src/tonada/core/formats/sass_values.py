"""What a value of Sass or Less comes to: variables filled in, maps and colour functions computed.

Only what stands in the file counts: a function that it declares or imports is named, not run.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import TYPE_CHECKING, Any, Final

import tinycss2

from tonada.core.color.css_math import Quantity, quantity_of, split
from tonada.core.color.css_values import FUNCTION_NAMES, color_of_text
from tonada.core.color.unknown import CannotTell, NotCss
from tonada.core.formats.listed import MAY_BE_COLOR
from tonada.core.formats.sass_functions import FUNCTIONS, OF_MODULE, Value, with_alpha

if TYPE_CHECKING:
    from coloraide import Color

DEEPEST_VALUE: Final = 40
# Variables that stand in each other could make a value that never ends.
LONGEST_WRITTEN: Final = 2_000
_MAP_FUNCTIONS: Final = frozenset(("map-get", "map-merge", "nth", "list-nth", "extract"))


class Scope:
    """What a file says so far. variables: by name without its mark; modules: names of sass:color.

    declared: functions that the file has of its own, which therefore aren't the usual ones.
    """

    def __init__(self, mark: str, modules: frozenset[str], declared: frozenset[str]) -> None:
        self.mark = mark
        self.modules = modules
        self.declared = declared
        self.variables: dict[str, Value] = {}

    def value_of(self, nodes: Sequence[Any], depth: int = 0) -> Value:
        """Return what a value comes to. Raises CannotTell, NotCss for what is no colour or map."""
        if depth > DEEPEST_VALUE:
            raise CannotTell("it is nested very deeply")
        parts = [node for node in nodes if node.type not in ("whitespace", "comment")]
        if any(node == "," for node in parts):
            return self._list(nodes, depth)
        name = self.reference(parts)
        if name is not None:
            return self._named(name)
        if len(parts) == 3 and parts[1] == "." and parts[2].type == "function":
            return self._of_module(parts[0].value, parts[2], depth)
        if len(parts) != 1:
            raise NotCss("this is no single colour")
        node = parts[0]
        if node.type == "() block":
            return self._map(node.content, depth)
        if node.type == "function":
            return self._function(node, depth)
        if node.type == "string":
            return str(node.value)
        if node.type in ("number", "percentage", "dimension"):
            return quantity_of(node, {})
        return color_of_text(node.serialize())

    def knows(self, function: str) -> bool:
        """Return whether a function is computed here."""
        return function not in self.declared and function in {*FUNCTIONS[self.mark], *_MAP_FUNCTIONS}

    def reference(self, parts: Sequence[Any]) -> str | None:
        """Return the name of the variable that parts refer to, in a module or not; None for anything else."""
        if self.mark == "@":
            return parts[0].value if len(parts) == 1 and parts[0].type == "at-keyword" else None
        if len(parts) == 4 and parts[0].type == "ident" and parts[1] == ".":
            parts = parts[2:]
        if len(parts) == 2 and parts[0] == "$" and parts[1].type == "ident":
            return str(parts[1].value)
        return None

    def _named(self, name: str) -> Value:
        # Sass takes a hyphen and an underscore for the same.
        for known in (name, name.replace("_", "-"), name.replace("-", "_")):
            if known in self.variables:
                return self.variables[known]
        raise CannotTell(f"{self.mark}{name} is set nowhere in this file")

    def _map(self, nodes: Sequence[Any], depth: int) -> Value:
        made: dict[str, Value] = {}
        for part in split(nodes):
            key, value = divided(part)
            if key is None:
                if any(node.type not in ("whitespace", "comment") for node in part):
                    return self.value_of(nodes, depth + 1)
                continue
            try:
                made[key] = self.value_of(value, depth + 1)
            except NotCss:
                continue
            except CannotTell as reason:
                made[key] = Unknown(f"“{tinycss2.serialize(value).strip()[:60]}” ({reason})")
        return made

    def _list(self, nodes: Sequence[Any], depth: int) -> Value:
        """Return a list as a map with the keys 1, 2 and so on."""
        entries = [part for part in split(nodes) if any(node.type != "whitespace" for node in part)]
        values = [self.value_of(part, depth + 1) for part in entries]
        if not any(isinstance(value, dict) or not isinstance(value, (str, Quantity)) for value in values):
            raise NotCss("this is no colour")
        return {str(number): value for number, value in enumerate(values, 1)}

    def _function(self, node: Any, depth: int) -> Value:
        name = node.lower_name
        if name in self.declared:
            raise CannotTell(f"{name}() is a function of the file, and isn’t run")
        if name in _MAP_FUNCTIONS:
            return self._of_map(name, node, depth)
        functions = FUNCTIONS[self.mark]
        if name in functions:
            return self._call(functions[name], node, depth)
        if name in FUNCTION_NAMES:
            return self._css_color(node, depth)
        if not MAY_BE_COLOR.search(f"{name}("):
            raise NotCss("this is no colour")
        raise CannotTell(f"{name}() isn’t computed here")

    def _of_module(self, module: str, node: Any, depth: int) -> Value:
        name = node.lower_name
        if module in self.modules and name in OF_MODULE:
            return self._call(OF_MODULE[name], node, depth)
        if f"{module}-{name}" in _MAP_FUNCTIONS:
            return self._of_map(f"{module}-{name}", node, depth)
        raise CannotTell(f"{module}.{name}() isn’t computed here")

    def _call(self, function: Any, node: Any, depth: int) -> Value:
        values, names = self._arguments(node, depth)
        try:
            made: Value = function(values, names)
        except (ValueError, IndexError) as reason:
            raise CannotTell(f"{node.lower_name}() takes other arguments") from reason
        return made

    def _arguments(self, node: Any, depth: int) -> tuple[list[Value], dict[str, Value]]:
        values: list[Value] = []
        names: dict[str, Value] = {}
        for part in split(node.arguments):
            key, value = divided(part)
            if key is not None and key.startswith("$"):
                names[key[1:]] = self.value_of(value, depth + 1)
            else:
                values.append(self.value_of(part, depth + 1))
        return values, names

    def _key(self, part: Sequence[Any], depth: int) -> str:
        """Return a key of a map. A word is one, also where it would be a colour."""
        parts = [node for node in part if node.type != "whitespace"]
        if len(parts) == 1 and parts[0].type == "ident":
            return str(parts[0].value)
        value = self.value_of(part, depth + 1)
        if isinstance(value, Quantity):
            return f"{value.value:g}"
        if isinstance(value, str):
            return value
        raise CannotTell("this is no key of a map")

    def _of_map(self, name: str, node: Any, depth: int) -> Value:
        first, *others = split(node.arguments)
        found = self.value_of(first, depth + 1)
        if name == "map-merge":
            second = self.value_of(others[0], depth + 1) if len(others) == 1 else None
            if not isinstance(found, dict) or not isinstance(second, dict):
                raise CannotTell("it takes two maps")
            return {**found, **second}
        for key in (self._key(part, depth) for part in others):
            if not isinstance(found, dict) or key not in found:
                raise CannotTell("the map has no such key")
            found = found[key]
        return found

    def _css_color(self, node: Any, depth: int) -> Value:
        if node.lower_name in ("rgb", "rgba", "hsl", "hsla") and len(split(node.arguments)) == 2:
            return self._call(with_alpha, node, depth)
        return color_of_text(self._written(node, depth))

    def _written(self, node: Any, depth: int) -> str:
        """Return a function with its variables filled in."""
        made, arguments, place = "", list(node.arguments), 0
        while place < len(arguments):
            for width in (4, 2, 1):
                name = self.reference(arguments[place : place + width])
                if name is not None:
                    made += in_css(self._named(name))
                    place += width
                    break
            else:
                inner = arguments[place]
                made += self._written(inner, depth + 1) if inner.type == "function" else inner.serialize()
                place += 1
            if depth > DEEPEST_VALUE or len(made) > LONGEST_WRITTEN:
                raise CannotTell("its variables make it too long")
        return f"{node.name}({made})"


class Unknown(str):
    """The reason why an entry of a map can't be told."""

    __slots__ = ()


def divided(part: Sequence[Any]) -> tuple[str | None, Sequence[Any]]:
    """Return the key and the value of an entry of a map, or of a named argument; the key may be None."""
    place = next((place for place, node in enumerate(part) if node == ":"), None)
    if place is None:
        return None, part
    key = [node for node in part[:place] if node.type not in ("whitespace", "comment")]
    if not key:
        return None, part
    written = "".join(str(node.value) if node.type == "string" else node.serialize() for node in key)
    return written, part[place + 1 :]


def in_css(value: Value) -> str:
    """Return a value as CSS writes it."""
    if isinstance(value, Quantity):
        unit = {"number": "", "percentage": "%", "angle": "deg"}[value.kind]
        return f"{value.value:.12g}{unit}"
    if isinstance(value, str):
        return value
    if isinstance(value, dict):
        raise CannotTell("a map is no colour")
    color: Color = value
    return str(color.to_string(fit=False, precision=12))
