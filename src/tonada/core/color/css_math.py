"""Calculations within colours: calc(), min(), max(), clamp() and abs() of numbers, percentages and angles.

Source: CSS Values and Units 4, section 10.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from typing import Any, Final, Literal, NamedTuple, TypeAlias

from tonada.core.color.unknown import CannotTell, NotCss

Kind: TypeAlias = Literal["number", "percentage", "angle"]
FUNCTIONS: Final = frozenset(("calc", "min", "max", "clamp", "abs"))
# Of an angle in degrees.
_UNITS: Final = {"deg": 1.0, "grad": 0.9, "rad": 180 / math.pi, "turn": 360.0}
_CONSTANTS: Final = {"pi": math.pi, "e": math.e, "infinity": math.inf, "-infinity": -math.inf}
_MIXED: Final = "numbers and percentages don’t add up"
# Deeper brackets than this were made to harm.
DEEPEST: Final = 24


class Quantity(NamedTuple):
    """A number with what it counts; angles in degrees."""

    value: float
    kind: Kind


def quantity_of(node: Any, names: Mapping[str, float], depth: int = 0) -> Quantity:
    """Return what a part of a value comes to. names: the numbers that words stand for.

    Raises NotCss for what is no quantity, CannotTell for a calculation that isn't done here.
    """
    if depth > DEEPEST:
        raise CannotTell("its brackets are nested very deeply")
    if node.type == "number":
        return Quantity(float(node.value), "number")
    if node.type == "percentage":
        return Quantity(float(node.value), "percentage")
    if node.type == "dimension" and node.lower_unit in _UNITS:
        return Quantity(float(node.value) * _UNITS[node.lower_unit], "angle")
    if node.type == "ident" and node.lower_value in names:
        return Quantity(names[node.lower_value], "number")
    if node.type == "function" and node.lower_name in FUNCTIONS:
        return _function(node.lower_name, node.arguments, names, depth + 1)
    if node.type == "function":
        raise CannotTell(f"{node.lower_name}() isn’t computed here")
    raise NotCss(f"“{node.serialize()[:40]}” is no number")


def _function(name: str, nodes: Sequence[Any], names: Mapping[str, float], depth: int) -> Quantity:
    found = [_sum(_Tokens(part), names, depth) for part in split(nodes)]
    kinds = {one.kind for one in found}
    if len(kinds) != 1:
        raise NotCss(_MIXED)
    values, kind = [one.value for one in found], kinds.pop()
    if name in ("calc", "abs") and len(values) == 1:
        return Quantity(abs(values[0]) if name == "abs" else values[0], kind)
    if name == "clamp" and len(values) == 3:
        return Quantity(max(values[0], min(values[1], values[2])), kind)
    if name in ("min", "max"):
        return Quantity(min(values) if name == "min" else max(values), kind)
    raise NotCss(f"{name}() takes another number of values")


class _Tokens:
    """The parts of a calculation, one after the other; white space counts around + and -."""

    def __init__(self, nodes: Sequence[Any]) -> None:
        self._nodes = [node for node in nodes if node.type not in ("whitespace", "comment")]

    def next_is(self, *marks: str) -> str | None:
        """Take an operator if it stands next, and return it."""
        if self._nodes and self._nodes[0].type == "literal" and self._nodes[0].value in marks:
            return str(self._nodes.pop(0).value)
        return None

    def take(self) -> Any:
        if not self._nodes:
            raise NotCss("the calculation breaks off")
        return self._nodes.pop(0)

    @property
    def is_done(self) -> bool:
        return not self._nodes


def _sum(tokens: _Tokens, names: Mapping[str, float], depth: int) -> Quantity:
    total = _product(tokens, names, depth)
    while not tokens.is_done:
        sign = tokens.next_is("+", "-")
        if sign is None:
            raise NotCss("an operator is missing")
        other = _product(tokens, names, depth)
        if other.kind != total.kind:
            raise NotCss(_MIXED)
        total = Quantity(total.value + (other.value if sign == "+" else -other.value), total.kind)
    return total


def _product(tokens: _Tokens, names: Mapping[str, float], depth: int) -> Quantity:
    made = _term(tokens, names, depth)
    while mark := tokens.next_is("*", "/"):
        other = _term(tokens, names, depth)
        if "number" not in ((other.kind,) if mark == "/" else (made.kind, other.kind)):
            raise NotCss("one of two that are multiplied is a plain number")
        if mark == "/" and other.value == 0:
            raise CannotTell("it divides by nothing")
        kind = other.kind if made.kind == "number" else made.kind
        made = Quantity(made.value * other.value if mark == "*" else made.value / other.value, kind)
    return made


def _term(tokens: _Tokens, names: Mapping[str, float], depth: int) -> Quantity:
    node = tokens.take()
    if node.type == "() block":
        return _sum(_Tokens(node.content), names, depth + 1)
    if node.type == "ident" and node.lower_value in _CONSTANTS and node.lower_value not in names:
        return Quantity(_CONSTANTS[node.lower_value], "number")
    return quantity_of(node, names, depth)


def split(nodes: Sequence[Any]) -> list[list[Any]]:
    """Return the parts of a function's arguments, as its commas divide them."""
    parts: list[list[Any]] = [[]]
    for node in nodes:
        if node == ",":
            parts.append([])
        else:
            parts[-1].append(node)
    return parts
