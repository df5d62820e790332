"""Colours that a script has in its objects, as a configuration or a theme: read, never executed.

JavaScript and TypeScript are parsed by tree-sitter. Names that the file itself declares are followed;
what would have to be run or fetched is named.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache
from typing import TYPE_CHECKING, Final

from tonada.core.color.notation import read_color
from tonada.core.errors import InputError
from tonada.core.formats.format import Format, Reading
from tonada.core.formats.listed import MAY_BE_COLOR, ColorList, ListBuilder, is_css_color

if TYPE_CHECKING:
    from tree_sitter import Node, Parser

NAME: Final = "Script with colours"
_BEGINS: Final = re.compile(
    r"^[ \t]*(?:(?:module\.)?exports\b.*=|export\s+(?:default|const|let|var)\b|import\s.*\bfrom\s*[\"']"
    r"|import\s*[\"']|(?:const|let|var)\s+[\w${\[])|\A\s*[\"']?[\w-]+[\"']?\s*:\s*\{",
    re.MULTILINE,
)
_HEAD: Final = 4_000
# An object without its braces, as it is cut out of a configuration.
_BARE: Final = re.compile(r"\A\s*[\"']?[\w-]+[\"']?\s*:\s*[{\"']")
_NUMBER: Final = re.compile(r"0x([0-9a-f]{6})", re.IGNORECASE)
# What an entry is called that stands for its whole group, and where colours stand in a configuration.
_ITSELF: Final = frozenset(("default", "value", "$value", "hex"))
_AROUND: Final = re.compile(r"colou?rs?|palette", re.IGNORECASE)
_UNWRAPPED: Final = frozenset(
    ("as_expression", "satisfies_expression", "parenthesized_expression", "non_null_expression")
)
_FUNCTIONS: Final = frozenset(
    ("arrow_function", "function_expression", "function_declaration", "method_definition")
)
DEEPEST_CODE: Final = 200
MOST_LEAVES: Final = 20_000
DEEPEST_REFERENCE: Final = 24


def is_script(text: str) -> bool:
    """Return whether a text looks like JavaScript or TypeScript, or an object cut out of it."""
    return _BEGINS.search(text[:_HEAD]) is not None


def read_script(text: str) -> ColorList:
    """Return the colours of a script's objects, with their paths as names. Raises InputError without any."""
    source = f"({{{text}}})" if _BARE.match(text) else text
    return _Reader(source.encode()).read()


@cache
def _parser() -> Parser:
    import tree_sitter
    import tree_sitter_typescript

    # The grammar of TypeScript with markup reads JavaScript as well.
    return tree_sitter.Parser(tree_sitter.Language(tree_sitter_typescript.language_tsx()))


@dataclass(frozen=True, slots=True)
class _Leaf:
    """An entry of an object. text: what it comes to, None where that isn't known; written: as it stands."""

    path: tuple[str, ...]
    group: int
    line: int
    text: str | None
    written: str


class _Reader:
    def __init__(self, source: bytes) -> None:
        self._root = _parser().parse(source).root_node
        self._declared: dict[str, Node] = {}
        self._found = ListBuilder(NAME)

    def read(self) -> ColorList:
        self._declare()
        leaves: list[_Leaf] = []
        for leaf in self._leaves(self._root, (), 0, 0):
            leaves.append(leaf)
            if len(leaves) > MOST_LEAVES:
                raise InputError(f"The script has more than {MOST_LEAVES:,} entries.", field="file")
        # Beside colours, or below such a name, what isn't known is probably a colour, too.
        groups = {leaf.group for leaf in leaves if is_css_color(leaf.text)}
        for leaf in leaves:
            self._take(leaf, leaf.group in groups or not groups or any(map(_AROUND.search, leaf.path)))
        return self._found.build()

    def _declare(self) -> None:
        waiting = [self._root]
        while waiting:
            node = waiting.pop()
            if node.type == "variable_declarator":
                name, value = node.child_by_field_name("name"), node.child_by_field_name("value")
                if name is not None and value is not None and name.type == "identifier":
                    self._declared.setdefault(_text(name), value)
            waiting += node.named_children

    def _take(self, leaf: _Leaf, is_expected: bool) -> None:
        name = _name(leaf.path)
        if is_css_color(leaf.text):
            self._found.add(read_color(leaf.text or ""), name, line=leaf.line)
        elif is_expected and (leaf.text is None or MAY_BE_COLOR.search(leaf.text)):
            written = " ".join((leaf.text or leaf.written).split())[:60]
            self._found.warn(leaf.line, f"{name or 'A value'}: “{written}” isn’t run, and not understood.")

    def _leaves(self, node: Node, path: tuple[str, ...], group: int, depth: int) -> Iterator[_Leaf]:
        """Yield what stands in objects and lists; `group` is the object around it."""
        if depth > DEEPEST_CODE:
            raise InputError(f"The script is nested deeper than {DEEPEST_CODE} levels.", field="file")
        node = _unwrapped(node)
        if node.type == "pair":
            key, value = node.child_by_field_name("key"), node.child_by_field_name("value")
            if key is not None and value is not None:
                yield from self._leaves(value, (*path, _key(key)), group, depth + 1)
        elif node.type == "variable_declarator":
            name, value = node.child_by_field_name("name"), node.child_by_field_name("value")
            if name is not None and value is not None and name.type == "identifier":
                yield from self._leaves(value, (_text(name),), node.start_byte, depth + 1)
        elif node.type in ("object", "array"):
            for number, entry in enumerate(_entries(node), 1):
                inner = (*path, str(number)) if node.type == "array" else path
                yield from self._leaves(entry, inner, node.start_byte + 1, depth + 1)
        elif node.type == "spread_element":
            spread = self._followed(node.named_children[0]) if node.named_children else None
            if spread is None:
                yield _Leaf(path, group, node.start_point[0] + 1, None, _text(node))
        elif node.type == "shorthand_property_identifier":
            yield from self._values(node, (*path, _text(node)), group, depth)
        elif node.type == "formal_parameters":
            return
        elif node.type in _FUNCTIONS or not path:
            for child in node.named_children:
                yield from self._leaves(child, path, group, depth + 1)
        else:
            yield from self._values(node, path, group, depth)

    def _values(self, node: Node, path: tuple[str, ...], group: int, depth: int) -> Iterator[_Leaf]:
        if node.type in ("call_expression", "new_expression"):
            arguments = node.child_by_field_name("arguments")
            objects = [
                child
                for child in map(_unwrapped, arguments.named_children if arguments is not None else [])
                if child.type in ("object", "array", *_FUNCTIONS)
            ]
            for child in objects:
                yield from self._leaves(child, path, group, depth + 1)
            if objects:
                return
        if node.type in ("statement_block", "return_statement"):
            for child in node.named_children:
                yield from self._leaves(child, path, group, depth + 1)
            return
        declared = self._followed(node)
        if declared is not None and _unwrapped(declared).type in ("object", "array"):
            return  # It is read where it is declared.
        yield _Leaf(path, group, node.start_point[0] + 1, self._value(node), _text(node))

    def _value(self, node: Node, depth: int = 0) -> str | None:
        """Return the text that a node comes to, or None."""
        node = _unwrapped(node)
        if depth > DEEPEST_REFERENCE:
            return None
        if node.type == "string":
            return _string(node)
        if node.type == "number":
            digits = _NUMBER.fullmatch(_text(node))
            return f"#{digits[1]}" if digits else _text(node)
        if node.type in ("true", "false", "null", "undefined", "regex"):
            return ""
        if node.type == "template_string":
            parts = [self._part(part, depth) for part in node.named_children]
            return None if None in parts else "".join(part or "" for part in parts)
        found = self._followed(node)
        return None if found is None else self._value(found, depth + 1)

    def _part(self, part: Node, depth: int) -> str | None:
        if part.type == "template_substitution":
            return self._value(part.named_children[0], depth + 1) if part.named_children else None
        return _text(part)

    def _followed(self, node: Node, depth: int = 0) -> Node | None:
        """Return what a name, or an entry of a named object, was declared as in the file, or None."""
        node = _unwrapped(node)
        if depth > DEEPEST_REFERENCE:
            return None
        if node.type in ("identifier", "shorthand_property_identifier"):
            return self._declared.get(_text(node))
        if node.type not in ("member_expression", "subscript_expression"):
            return None
        of = node.child_by_field_name("object")
        key = node.child_by_field_name("property" if node.type == "member_expression" else "index")
        holder = self._followed(of, depth + 1) if of is not None else None
        if holder is None or key is None:
            return None
        wanted = _key(key)
        for entry in _entries(_unwrapped(holder)):
            found_key = entry.child_by_field_name("key") if entry.type == "pair" else None
            if found_key is not None and _key(found_key) == wanted:
                return entry.child_by_field_name("value")
        return None


def _unwrapped(node: Node) -> Node:
    """Return what is meant, without the types and brackets around it, and without a call that freezes it."""
    while True:
        if node.type in _UNWRAPPED and node.named_children:
            node = node.named_children[0]
        elif node.type == "call_expression" and _text(node).startswith("Object.freeze("):
            arguments = node.child_by_field_name("arguments")
            if arguments is None or not arguments.named_children:
                return node
            node = arguments.named_children[0]
        else:
            return node


def _entries(node: Node) -> list[Node]:
    return [child for child in node.named_children if child.type != "comment"]


def _text(node: Node) -> str:
    return (node.text or b"").decode(errors="replace")


def _key(node: Node) -> str:
    if node.type == "computed_property_name":
        return _text(node)[1:-1].strip()
    return _string(node) if node.type == "string" else _text(node)


def _string(node: Node) -> str:
    return "".join(_text(part) for part in node.named_children)


def _name(path: tuple[str, ...]) -> str | None:
    """Return the name of a colour: its path without what is around all colours of a configuration."""
    around = [place for place, step in enumerate(path[:-1]) if _AROUND.fullmatch(step)]
    steps = list(path[around[-1] + 1 if around else 0 :])
    while len(steps) > 1 and steps[-1].lower() in _ITSELF:
        steps.pop()
    # Of a plain list the numbers are no names.
    return None if len(steps) == 1 and steps[0].isdigit() and around else " ".join(steps) or None


FORMAT: Final = Format(
    kind="script",
    name=NAME,
    reading=Reading(
        read=read_script,
        endings=(".js", ".mjs", ".cjs", ".ts", ".mts", ".cts", ".jsx", ".tsx"),
        resembles=is_script,
    ),
)
