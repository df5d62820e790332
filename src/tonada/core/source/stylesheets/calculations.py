"""calc() within colours: numbers and percentages with + - * / and brackets.

Source: CSS Values and Units 4, section 10.1.
"""

from __future__ import annotations

from typing import Any

import tinycss2

from tonada.core.source.stylesheets.untold import CannotTell

_REFUSED = "this calc() isn't computed here"
# A number and whether it is a percentage.
Quantity = tuple[float, bool]


def with_calculations(text: str) -> str:
    """Return a value with every calc() in it computed. Raises CannotTell for one that isn't this simple."""
    return "".join(_written(node) for node in tinycss2.parse_component_value_list(text, skip_comments=True))


def _written(node: Any) -> str:
    if node.type == "function" and node.lower_name == "calc":
        number, is_percentage = _sum(_Tokens(node.arguments))
        return f"{number:.6g}{'%' if is_percentage else ''}"
    if node.type == "function":
        return f"{node.name}({''.join(_written(argument) for argument in node.arguments)})"
    return str(node.serialize())


class _Tokens:
    """The parts of a calculation, one after the other."""

    def __init__(self, nodes: list[Any]) -> None:
        self._nodes = [node for node in nodes if node.type != "whitespace"]

    def next_is(self, *marks: str) -> str | None:
        """Take one of the operators if it stands next, and return it."""
        if self._nodes and self._nodes[0].type == "literal" and self._nodes[0].value in marks:
            return str(self._nodes.pop(0).value)
        return None

    def take(self) -> Any:
        if not self._nodes:
            raise CannotTell(_REFUSED)
        return self._nodes.pop(0)

    @property
    def is_done(self) -> bool:
        return not self._nodes


def _sum(tokens: _Tokens) -> Quantity:
    total = _product(tokens)
    while not tokens.is_done:
        sign = tokens.next_is("+", "-")
        if sign is None:
            raise CannotTell(_REFUSED)
        other = _product(tokens)
        if other[1] != total[1]:
            raise CannotTell(_REFUSED)
        total = (total[0] + other[0] if sign == "+" else total[0] - other[0], total[1])
    return total


def _product(tokens: _Tokens) -> Quantity:
    made = _value(tokens)
    while mark := tokens.next_is("*", "/"):
        other = _value(tokens)
        if (made[1] and other[1]) or (mark == "/" and (other[1] or other[0] == 0)):
            raise CannotTell(_REFUSED)
        made = (made[0] * other[0] if mark == "*" else made[0] / other[0], made[1] or other[1])
    return made


def _value(tokens: _Tokens) -> Quantity:
    node = tokens.take()
    if node.type == "number":
        return float(node.value), False
    if node.type == "percentage":
        return float(node.value), True
    if node.type == "dimension" and node.lower_unit == "deg":
        return float(node.value), False
    if node.type == "() block":
        return _sum(_Tokens(node.content))
    if node.type == "function" and node.lower_name == "calc":
        return _sum(_Tokens(node.arguments))
    raise CannotTell(_REFUSED)
