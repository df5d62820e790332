"""The smallest element that a selector describes, and what else may be said of it.

Selectors are read by cssselect2. States such as :hover can't be had by a still element: they are
made classes of the same specificity, so that an element can be in them.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass, field, replace
from functools import lru_cache
from typing import Any, Final
from xml.etree.ElementTree import Element, SubElement

from cssselect2 import parser

STATES: Final = (
    "focus-visible", "focus-within", "hover", "focus", "active", "visited", "any-link", "link", "checked",
    "disabled", "enabled", "indeterminate", "invalid", "valid", "required", "optional", "read-only",
    "read-write", "placeholder-shown", "target", "autofill", "-webkit-autofill", "user-invalid", "open",
    "default", "in-range", "out-of-range", "popover-open", "fullscreen", "empty",
)  # fmt: skip
_STATE: Final = re.compile(rf"(?<!:)(?<!\\):({'|'.join(STATES)})(?![-\w(])", re.IGNORECASE)
_STATE_CLASS: Final = "state--"
_PSEUDO: Final = re.compile(r"::?(-?[a-z][-a-z]*)(\([^()]*\))?$", re.IGNORECASE)
_OLD_PSEUDO: Final = frozenset(("before", "after", "first-line", "first-letter"))
# Elements that hold no other element, or hardly any: nothing inherits from them.
_LEAVES: Final = frozenset(("input", "img", "br", "hr", "select", "textarea", "button", "progress", "meter"))


@dataclass(frozen=True)
class Compound:
    """What one element must have. is_beside: it is before the next one, and not around it."""

    tag: str | None = None
    identifier: str | None = None
    classes: frozenset[str] = frozenset()
    attributes: tuple[tuple[str, str], ...] = ()
    is_root: bool = False
    is_beside: bool = False

    @property
    def states(self) -> frozenset[str]:
        return frozenset(class_ for class_ in self.classes if class_.startswith(_STATE_CLASS))

    @property
    def holds_others(self) -> bool:
        """Return whether an element may stand in it."""
        return self.tag not in _LEAVES

    def with_both(self, other: Compound) -> Compound | None:
        """Return what has all of both, or None where no element can."""
        attributes = dict(self.attributes)
        if any(attributes.get(name, value) != value for name, value in other.attributes):
            return None
        if (self.tag and other.tag and self.tag != other.tag) or self.is_root != other.is_root:
            return None
        if self.identifier and other.identifier and self.identifier != other.identifier:
            return None
        return replace(
            self,
            tag=self.tag or other.tag,
            identifier=self.identifier or other.identifier,
            classes=self.classes | other.classes,
            attributes=tuple(sorted((attributes | dict(other.attributes)).items())),
        )


@dataclass(frozen=True)
class Described:
    """A selector's compounds from the outside in. pseudo: the part of the last that it means, or empty."""

    compounds: tuple[Compound, ...]
    pseudo: str = ""


def as_matched(selector: str) -> tuple[str, str]:
    """Return a selector that a still element can match, and its pseudo-element or empty."""
    pseudo = ""
    found = _PSEUDO.search(selector)
    if found and (found[0].startswith("::") or found[1].lower() in _OLD_PSEUDO):
        pseudo, selector = found[1].lower(), selector[: found.start()] or "*"
        if selector[-1:] in " >+~":
            selector += "*"
    return _STATE.sub(lambda state: f".{_STATE_CLASS}{state[1].lower()}", selector), pseudo


@lru_cache(maxsize=8192)
def described(selector: str) -> Described | None:
    """Return the smallest element that one selector, no list, describes; None for what isn't understood."""
    text, pseudo = as_matched(selector)
    try:
        (parsed,) = parser.parse(text)
    except (parser.SelectorError, ValueError, RecursionError):
        return None
    tree: Any = parsed.parsed_tree
    made: list[Compound] = []
    combinator = " "
    while True:
        is_combined = isinstance(tree, parser.CombinedSelector)
        compound = _compound(tree.right if is_combined else tree)
        if compound is None:
            return None
        made.append(replace(compound, is_beside=combinator in "+~" and combinator != " "))
        if not is_combined:
            return Described(tuple(reversed(made)), pseudo)
        combinator, tree = tree.combinator, tree.left


def _compound(tree: Any) -> Compound | None:
    made = Compound()
    for entry in getattr(tree, "simple_selectors", [tree]):
        addition = _simple(entry)
        if addition is None:
            return None
        is_root = made.is_root or addition.is_root
        both = replace(made, is_root=is_root).with_both(replace(addition, is_root=is_root))
        if both is None:
            return None
        made = both
    types = dict(made.attributes).get("type")
    if types is not None and made.tag is None:
        made = replace(made, tag="button" if types in ("submit", "button", "reset") else "input")
    if made.tag in ("html", "body"):
        made = replace(made, is_root=made.tag == "html")
    return made


def _simple(one: Any) -> Compound | None:
    if isinstance(one, parser.LocalNameSelector):
        return Compound(tag=one.lower_local_name)
    if isinstance(one, parser.ClassSelector):
        return Compound(classes=frozenset((one.class_name,)))
    if isinstance(one, parser.IDSelector):
        return Compound(identifier=one.ident)
    if isinstance(one, parser.AttributeSelector):
        value = one.value if one.operator != "!=" else None
        return (
            Compound(attributes=((one.lower_name, value or ""),))
            if one.lower_name != "class"
            else (Compound(classes=frozenset((f"{value}",))) if value else Compound())
        )
    if isinstance(one, parser.PseudoClassSelector):
        if one.name == "root":
            return Compound(is_root=True)
        return Compound() if one.name in _STRUCTURAL else None
    if isinstance(one, parser.NegationSelector):
        return Compound()
    if isinstance(one, parser.MatchesAnySelector | parser.SpecificityAdjustmentSelector):
        return _compound(one.selector_list[0].parsed_tree) if _is_flat(one) else None
    if isinstance(one, parser.FunctionalPseudoClassSelector):
        return (
            Compound()
            if one.name in ("nth-child", "nth-last-child", "nth-of-type", "nth-last-of-type", "lang")
            else None
        )
    return None


_STRUCTURAL: Final = frozenset(
    ("first-child", "last-child", "only-child", "first-of-type", "last-of-type", "only-of-type")
)


def _is_flat(value: Any) -> bool:
    return bool(value.selector_list) and not isinstance(
        value.selector_list[0].parsed_tree, parser.CombinedSelector
    )


@dataclass
class Built:
    """The elements that a selector describes, as a page of only those. subject: the last of them."""

    root: Element
    chain: list[Element] = field(default_factory=list)

    @property
    def subject(self) -> Element:
        return self.chain[-1]


def build(compounds: tuple[Compound, ...]) -> Built:
    """Return a page that holds elements with these compounds; `chain` is from the root to the subject."""
    root = Element("html")
    body = SubElement(root, "body")
    chain, at = [root, body], body
    for compound in compounds:
        if compound.is_root or compound.tag == "html":
            _dress(root, compound)
            chain = [root]
            continue
        if compound.tag == "body":
            _dress(body, compound)
            chain = [root, body]
            continue
        made = SubElement(at, compound.tag or "div")
        _dress(made, compound)
        if compound.is_beside:
            continue
        if len(chain) == 1:
            chain.append(body)
        chain.append(made)
        at = made
    return Built(root, chain)


def _dress(element: Element, compound: Compound) -> None:
    classes = set(element.get("class", "").split()) | compound.classes
    if classes:
        element.set("class", " ".join(sorted(classes)))
    if compound.identifier:
        element.set("id", compound.identifier)
    for name, value in compound.attributes:
        element.set(name, value)


def scoped(own: Described, scope: Described) -> Iterator[tuple[Compound, ...]]:
    """Yield how an element may also be in the scope of another selector: it itself, or inside of it."""
    if scope.pseudo and scope.pseudo != own.pseudo:
        return
    *around, subject = own.compounds
    *outer, last = scope.compounds
    if last.states - subject.states:
        return
    both = subject.with_both(last)
    if (both is not None and scope.pseudo == own.pseudo) or (both is not None and own.pseudo):
        yield (*outer, *around, both)
    if not scope.pseudo and last.holds_others and not last.states:
        yield (*outer, last, *around, subject)
