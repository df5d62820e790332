"""What custom properties come to in the rule that uses them: its own, the page's, and those of its variants.

A component sets its colours by properties, and each of its variants sets them again: `.btn` uses what
`.btn-primary` sets. So a rule is looked at once for itself and once for each variant of its selector.
"""

from __future__ import annotations

import re
from collections import ChainMap
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from itertools import chain
from typing import Final

from tonada.core.source.stylesheets.nesting import split_selectors
from tonada.core.source.stylesheets.scan import Declaration

Rule = Sequence[Declaration]
# The page itself, also where it says what it is not.
_ROOT: Final = re.compile(r"(?::root|html|body|:host)(?::not\([^()]*\))*|<body>|<html>", re.IGNORECASE)
# Of one rule; more are no variants of a component any more.
MOST_VARIANTS: Final = 64


def is_root(declaration: Declaration) -> bool:
    """Return whether a declaration stands at the root of the page, in any context."""
    return any(_ROOT.fullmatch(part.strip()) for part in split_selectors(declaration.selector))


@dataclass(frozen=True, slots=True)
class _Scope:
    """A rule that sets properties."""

    selector: str
    properties: dict[str, str]


@dataclass(frozen=True, slots=True)
class Variant:
    """What properties are worth, and the selector for which."""

    selector: str
    variables: Mapping[str, str]


class Scopes:
    """The custom properties of files that are read together. registered: those with an initial value."""

    def __init__(self, rules: Sequence[Rule], registered: Mapping[str, str]) -> None:
        setting = [rule for rule in rules if any(entry.property.startswith("--") for entry in rule)]
        self.root = {**registered, **_of_root(setting)}
        # What is set nowhere at the root: by any rule, since it has to be set somewhere.
        self.page = {**registered, **_of_all(setting), **_of_root(setting)}
        self._by_base: dict[str, list[_Scope]] = {}
        for rule in setting:
            if not is_root(rule[0]) and not rule[0].context:
                scope = _Scope(rule[0].selector, _own(rule))
                for base in dict.fromkeys(chain.from_iterable(map(_bases, split_selectors(scope.selector)))):
                    known = self._by_base.setdefault(base, [])
                    if len(known) < MOST_VARIANTS:
                        known.append(scope)

    def variants(self, rule: Rule) -> list[Variant]:
        """Return what properties are worth in a rule, and in each variant of it that sets them otherwise."""
        if not any("var(" in entry.value for entry in rule):
            return [Variant(rule[0].selector, self.page)]
        own = _own(rule)
        scopes = self._scopes_of(rule)
        # With variants, what only they set is not set in the rule itself.
        itself = Variant(rule[0].selector, ChainMap(own, self.root if scopes else self.page))
        return [
            itself,
            *(Variant(scope.selector, ChainMap(scope.properties, own, self.root)) for scope in scopes),
        ]

    def _scopes_of(self, rule: Rule) -> list[_Scope]:
        """Return the rules of variants that set properties."""
        found = {
            id(scope): scope
            for part in split_selectors(rule[0].selector)
            for scope in self._by_base.get(part, ())
        }
        return list(found.values())[:MOST_VARIANTS]


def _of_all(rules: Sequence[Rule]) -> dict[str, str]:
    return {
        entry.property: entry.value for rule in rules for entry in rule if entry.property.startswith("--")
    }


def _of_root(rules: Sequence[Rule]) -> dict[str, str]:
    """Return the properties of the page, those in an at-rule where there is no other."""
    found: dict[str, str] = {}
    for in_at_rule in (True, False):
        for one in (entry for rule in rules for entry in rule if entry.property.startswith("--")):
            if is_root(one) and bool(one.context) == in_at_rule:
                found[one.property] = one.value
    return found


def _own(rule: Rule) -> dict[str, str]:
    return {entry.property: entry.value for entry in rule if entry.property.startswith("--")}


def _bases(selector: str) -> Iterator[str]:
    """Yield the selectors of which one is a variant: `.btn-primary` and `.btn.is-dark` of `.btn`."""
    start = selector.rfind(" ") + 1
    for place in range(start + 1, len(selector)):
        if selector[place] in ".-_:[":
            yield selector[:place]
