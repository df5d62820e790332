"""What stylesheets say of an element: which declarations win, and what its custom properties come to.

Source: CSS Cascading and Inheritance 5, section 6 (importance, layers, specificity, order); CSS Custom
Properties 1, section 2 (they are computed where they are declared, and inherited).
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import Any, TypeAlias

import cssselect2

from tonada.core.source.stylesheets.computed import with_own
from tonada.core.source.stylesheets.elements import Built, Compound, as_matched, build
from tonada.core.source.stylesheets.nesting import split_selectors
from tonada.core.source.stylesheets.scan import Declaration, registered_in
from tonada.core.source.stylesheets.scopes import is_root
from tonada.core.source.stylesheets.text_sizes import root_pixels

Variables: TypeAlias = Mapping[str, str]


@dataclass(frozen=True, eq=False)
class Block:
    """The declarations of one block. order: its place among all blocks of all files."""

    file: str
    order: int
    declarations: tuple[Declaration, ...]

    @property
    def selector(self) -> str:
        return self.declarations[0].selector

    @cached_property
    def selectors(self) -> tuple[str, ...]:
        return tuple(split_selectors(self.selector))

    @cached_property
    def conditions(self) -> frozenset[str]:
        """The at-rules around it that don't always hold."""
        return frozenset(entry for entry in self.declarations[0].context if not _always_holds(entry))

    @cached_property
    def is_layered(self) -> bool:
        return any(entry.lower().startswith("@layer") for entry in self.declarations[0].context)

    @cached_property
    def custom(self) -> dict[str, str]:
        """The custom properties that it sets, the last of each name."""
        ranked = sorted(self.declarations, key=lambda declaration: declaration.important)
        return {entry.property: entry.value for entry in ranked if entry.property.startswith("--")}


@dataclass(frozen=True, eq=False)
class Winning:
    """A declaration that counts, and the block that it is in."""

    declaration: Declaration
    block: Block


@dataclass(frozen=True, eq=False)
class Style:
    """Of one element: the declarations in the order in which they count, the last most; its properties.

    around: those of the elements around it, the outermost first.
    """

    ranked: tuple[Winning, ...]
    variables: Variables
    around: tuple[tuple[Winning, ...], ...] = ()


class Cascade:
    """All blocks of some stylesheets, ready to be asked about elements."""

    def __init__(self, blocks: Sequence[Block]) -> None:
        self._matcher = cssselect2.Matcher()
        self._inherited: dict[Any, tuple[dict[str, str], tuple[Winning, ...]]] = {}
        self.setting: dict[str, list[Block]] = {}
        self._registered: dict[str, str] = {}
        self._sizing_root: list[Block] = []
        for block in blocks:
            if block.selector.lower().startswith("@property"):
                registered = registered_in(block.declarations)
                self._registered |= {name: entry.value for name, entry in registered.items()}
                continue
            if is_root(block.declarations[0]) and any(
                declaration.property in ("font", "font-size") for declaration in block.declarations
            ):
                self._sizing_root.append(block)
            for name in block.custom:
                self.setting.setdefault(name, []).append(block)
            for selector in block.selectors:
                text, pseudo = as_matched(selector)
                try:
                    (compiled,) = cssselect2.compile_selector_list(text)
                except (cssselect2.SelectorError, ValueError, RecursionError):
                    continue
                self._matcher.add_selector(compiled, (block, pseudo))

    def style(self, built: Built, pseudo: str, conditions: frozenset[str]) -> Style:
        """Return the style of the subject, or of a pseudo-element of it, while some conditions hold."""
        page = cssselect2.ElementWrapper.from_html_root(built.root)
        wrapped = {entry.etree_element: entry for entry in page.iter_subtree()}
        variables: dict[str, str] = dict(self._registered)
        path: tuple[Any, ...] = (conditions,)
        around: list[tuple[Winning, ...]] = []
        for element in built.chain:
            path = (*path, element.tag, tuple(sorted(element.items())))
            if element is built.subject:
                break
            known = self._inherited.get(path)
            if known is None:
                winning = self._ranked(wrapped[element], "", conditions)
                known = self._inherited[path] = with_own(variables, _custom(winning)), tuple(winning)
            variables = known[0]
            around.append(known[1])
        ranked = self._ranked(wrapped[built.subject], "", conditions)
        variables = with_own(variables, _custom(ranked))
        if pseudo:
            ranked = self._ranked(wrapped[built.subject], pseudo, conditions)
            variables = with_own(variables, _custom(ranked))
        return Style(tuple(ranked), variables, tuple(around))

    def _ranked(self, element: Any, pseudo: str, conditions: frozenset[str]) -> list[Winning]:
        found = []
        for specificity, _, _, (block, of) in self._matcher.match(element):
            if of == pseudo and block.conditions <= conditions:
                for place, one in enumerate(block.declarations):
                    rank = (one.important, block.is_layered == one.important, specificity, block.order, place)
                    found.append((rank, Winning(one, block)))
        found.sort(key=lambda entry: entry[0])
        return [one for _, one in found]

    @cached_property
    def root_pixels(self) -> float | None:
        """The pixels of 1rem, or None where a condition such as the window's width changes them."""
        for block in self._sizing_root:
            if block.conditions:
                return None
        style = self.style(build((Compound(is_root=True),)), "", frozenset())
        return root_pixels([entry.declaration for entry in style.ranked])

    def needed(self, values: Iterable[str], references: Any) -> set[str]:
        """Return the properties that values refer to, through all that any block sets them to."""
        needed: set[str] = set()
        waiting = [name for value in values for name in references(value)]
        while waiting:
            name = waiting.pop()
            if name not in needed:
                needed.add(name)
                for block in self.setting.get(name, ()):
                    waiting += references(block.custom[name])
        return needed


def _custom(ranked: Sequence[Winning]) -> dict[str, str]:
    declared = [entry.declaration for entry in ranked]
    return {entry.property: entry.value for entry in declared if entry.property.startswith("--")}


def _always_holds(context: str) -> bool:
    words = " ".join(context.lower().split())
    if words.startswith("@supports"):
        # A browser of today has what is asked for; what asks for its lack is for others.
        return "not " not in words and "not(" not in words
    return words.startswith("@layer") or words in ("@media screen", "@media all")
