"""The paints of an SVG, as a browser computes them: the cascade is carried out before anything is drawn.

Every element gets its declarations in its own style attribute, its paints as plain colours. So what draws
the picture needs to know neither custom properties nor the newer notations, and what is read as declared
is what is drawn. Source: SVG 2, section 6 (styling); CSS Cascading and Inheritance 5, section 6.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import Final, NamedTuple
from xml.etree.ElementTree import Element

import cssselect2

from tonada.core.color.css_values import SYSTEM_COLORS, Surroundings, color_of
from tonada.core.color.notation import ReadColor, as_screen_shows
from tonada.core.color.unknown import CannotTell, NotCss
from tonada.core.source.notes import Note, NoteKind
from tonada.core.source.pictures.svg_limits import local_name
from tonada.core.source.stylesheets.computed import MISSING, filled_in, nodes_of, with_own
from tonada.core.source.stylesheets.nesting import split_selectors
from tonada.core.source.stylesheets.scan import (
    Declaration,
    registered_in,
    scan_style_attribute,
    scan_stylesheet,
)

# Paints that go to the elements within, and those that don't.
INHERITED: Final = ("color", "fill", "stroke")
PAINTS: Final = (*INHERITED, "stop-color", "flood-color", "lighting-color")
# What a paint may be that is no colour.
_WORDS: Final = frozenset(
    ("none", "inherit", "initial", "unset", "revert", "revert-layer", "context-fill", "context-stroke")
)
_INITIAL: Final = {
    "color": "#000000",
    "fill": "#000000",
    "stroke": "none",
    "stop-color": "#000000",
    "flood-color": "#000000",
    "lighting-color": "#ffffff",
}
_NEVER: Final = re.compile(
    r"print|prefers-color-scheme\s*:\s*dark|speech|\bnot\s+(?:all|screen)\b", re.IGNORECASE
)
_ALWAYS: Final = re.compile(
    r"@media\s+(?:only\s+)?(?:all|screen)$|@media\s*\(prefers-color-scheme\s*:\s*light\)$|@layer|@supports(?!.*\bnot\b)",
    re.IGNORECASE,
)
_LINKS: Final = ("href", "{http://www.w3.org/1999/xlink}href")


class _Ranked(NamedTuple):
    """A declaration with what decides whether it counts."""

    rank: tuple[bool, int, tuple[int, int, int], int, int]
    name: str
    value: str
    is_attribute: bool


@dataclass(slots=True)
class _Inherited:
    """What an element has from those around it."""

    variables: Mapping[str, str] = field(default_factory=dict)
    current: str = "#000000"


def normalise_paints(root: Element) -> tuple[Note, ...]:
    """Write every paint of a drawing as a plain colour, into its element; return what has to be said.

    The drawing is changed: style elements and classes go, styles and paints are in the elements.
    """
    notes = _drop_foreign_objects(root)
    painter = _Painter(root)
    painter.paint(root, _Inherited(painter.registered))
    for parent in list(root.iter()):
        for child in [child for child in parent if local_name(child) == "style"]:
            parent.remove(child)
    return tuple(dict.fromkeys((*notes, *painter.notes)))


def _drop_foreign_objects(root: Element) -> list[Note]:
    """Drop what isn't SVG; return what is missing by that. What has an alternative is missed by nobody."""
    notes = []
    for parent in list(root.iter()):
        for child in [child for child in parent if local_name(child) == "foreignObject"]:
            parent.remove(child)
            if child.get("requiredExtensions") is None:
                notes.append(
                    Note("not understood", _called(child), "a web page within the drawing isn’t drawn")
                )
    return notes


class _Painter:
    """Carries out the cascade over one drawing."""

    def __init__(self, root: Element) -> None:
        self.notes: list[Note] = []
        self.registered: dict[str, str] = {}
        self._matcher = cssselect2.Matcher()
        self._order = 0
        for element in root.iter():
            if local_name(element) == "style":
                self._read_rules("".join(element.itertext()))
        wrapped = cssselect2.ElementWrapper.from_xml_root(root)
        self._wrapped = {entry.etree_element: entry for entry in wrapped.iter_subtree()}
        # Properties that a `use` may hand on to what it shows.
        self._handed: set[str] = set()
        for element in root.iter():
            if local_name(element) == "use":
                self._handed |= {
                    found.property for found in scan_style_attribute(element.get("style", ""), 0)
                }
        self._used = {
            element.get(name, "").strip().removeprefix("#")
            for element in root.iter()
            if local_name(element) == "use"
            for name in _LINKS
        }

    def _read_rules(self, text: str) -> None:
        blocks: dict[int, list[Declaration]] = {}
        for found in scan_stylesheet(text):
            blocks.setdefault(found.rule, []).append(found)
        for declarations in blocks.values():
            first = declarations[0]
            if first.selector.lower().startswith("@property"):
                registered = registered_in(declarations)
                self.registered |= {name: entry.value for name, entry in registered.items()}
                continue
            if first.selector.startswith("@") or not self._holds(first.context, first.selector):
                continue
            self._order += 1
            for part in split_selectors(first.selector):
                try:
                    (compiled,) = cssselect2.compile_selector_list(part)
                except (cssselect2.SelectorError, ValueError, RecursionError):
                    if any(found.property in PAINTS for found in declarations):
                        self._say("not understood", part, "the selector")
                    continue
                if compiled.pseudo_element is None:
                    self._matcher.add_selector(compiled, (self._order, tuple(declarations)))

    def _holds(self, contexts: tuple[str, ...], selector: str) -> bool:
        """Return whether what stands in at-rules counts; a condition that isn't known is taken to hold."""
        for context in contexts:
            words = " ".join(context.split())
            if _NEVER.search(words):
                return False
            if not _ALWAYS.match(words):
                self._say("assumed", selector, f"that “{words[:60]}” holds")
        return True

    def _say(self, kind: NoteKind, where: str, text: str) -> None:
        self.notes.append(Note(kind, where, text))

    def paint(self, element: Element, inherited: _Inherited) -> None:
        """Give an element, and all within it, plain paints; selectors are matched before anything changes."""
        waiting = [(element, inherited)]
        styles: list[tuple[Element, list[str]]] = []
        while waiting:
            one, around = waiting.pop()
            within = around
            if isinstance(one.tag, str):
                within, style = self._style_of(one, around)
                styles.append((one, style))
            waiting += [(child, within) for child in one]
        for one, style in styles:
            for name in (*PAINTS, "style"):
                one.attrib.pop(name, None)
            if style:
                one.set("style", ";".join(style))

    def _style_of(self, element: Element, inherited: _Inherited) -> tuple[_Inherited, list[str]]:
        """Return what goes to the elements within, and the declarations that are left, paints plain."""
        ranked = sorted(self._declarations(element), key=lambda found: found.rank)
        own = {found.name: found.value for found in ranked if found.name.startswith("--")}
        variables = with_own(inherited.variables, own) if own else inherited.variables
        current = self._value_of("color", ranked, variables, inherited.current, element)
        is_color = current is not None and current.startswith(("#", "rgba("))
        within = _Inherited(variables, current if current is not None and is_color else inherited.current)
        style = [
            f"{found.name}:{found.value}{'!important' if found.rank[0] else ''}"
            for found in ranked
            if not found.is_attribute and not found.name.startswith("--") and found.name not in PAINTS
        ]
        for name in PAINTS:
            value = current
            if name != "color":
                value = self._value_of(name, ranked, variables, within.current, element)
            if value is not None:
                style.append(f"{name}:{value}")
        return within, style

    def _declarations(self, element: Element) -> Iterator[_Ranked]:
        for place, name in enumerate(PAINTS):
            if name in element.attrib:
                yield _Ranked((False, 0, (0, 0, 0), 0, place), name, element.attrib[name].strip(), True)
        for specificity, _, _, (order, declarations) in self._matcher.match(self._wrapped[element]):
            for place, found in enumerate(declarations):
                rank = (found.important, 1, specificity, order, place)
                yield _Ranked(rank, found.property, found.value, False)
        for place, found in enumerate(scan_style_attribute(element.get("style", ""), 0)):
            yield _Ranked((found.important, 2, (0, 0, 0), 0, place), found.property, found.value, False)

    def _value_of(
        self, name: str, ranked: list[_Ranked], variables: Mapping[str, str], current: str, element: Element
    ) -> str | None:
        """Return what a paint comes to: the strongest declaration that is one; None where none is."""
        for found in reversed(ranked):
            if found.name != name:
                continue
            refers = "var(" in found.value.lower()
            try:
                value = filled_in(found.value, variables)
            except CannotTell as reason:
                return self._invalid(name, found.value, str(reason), element)
            try:
                return self._written(value, current, element, name)
            except NotCss:
                if refers:
                    # Valid when it is read, and no colour when it is computed: as if it were unset.
                    return "inherit" if name in INHERITED else _INITIAL[name]
            except CannotTell as reason:
                self._say("not understood", _called(element), f"{name}: {found.value[:80]} ({reason})")
                return "inherit" if name in INHERITED else _INITIAL[name]
        return None

    def _invalid(self, name: str, value: str, reason: str, element: Element) -> str:
        names = set(re.findall(r"--[-\w]+", value))
        if names & self._handed or not reason.endswith(MISSING):
            self._say("not understood", _called(element), f"{name}: {value[:80]} ({reason})")
        return "inherit" if name in INHERITED else _INITIAL[name]

    def _written(self, value: str, current: str, element: Element, name: str) -> str:
        """Return a paint as what draws takes it. Raises NotCss for none, CannotTell for an unknown one."""
        nodes = [node for node in nodes_of(value) if node.type != "whitespace"]
        if not nodes:
            raise NotCss("it is empty")
        if nodes[0].type == "url" or (nodes[0].type == "function" and nodes[0].lower_name == "url"):
            fallback = "".join(node.serialize() for node in nodes[1:])
            link = nodes[0].serialize()
            return f"{link} {self._written(fallback, current, element, name)}" if fallback else link
        if len(nodes) != 1:
            raise NotCss("this is no single colour")
        word = nodes[0].lower_value if nodes[0].type == "ident" else ""
        if word in ("initial", "revert", "revert-layer"):
            return _INITIAL[name]
        if word == "unset":
            return "inherit" if name in INHERITED else _INITIAL[name]
        if word in _WORDS:
            return word
        if word == "currentcolor":
            return "inherit" if name == "color" else current
        if word in SYSTEM_COLORS:
            self._say("assumed", _called(element), f"{word} is {SYSTEM_COLORS[word]}, as with a light theme")
            return SYSTEM_COLORS[word]
        around = Surroundings(current=color_of(nodes_of(current)[0]))
        return _plain(self._told(as_screen_shows(color_of(nodes[0], around)), value, element))

    def _told(self, color: ReadColor, value: str, element: Element) -> ReadColor:
        if color.mapped:
            said = f"{value[:60]} lies outside sRGB; taken as an sRGB screen shows it, {color.hex}"
            self._say("mapped", _called(element), said)
        return color


def _plain(color: ReadColor) -> str:
    if color.alpha >= 1:
        return color.hex
    red, green, blue = bytes.fromhex(color.hex[1:])
    return f"rgba({red},{green},{blue},{color.alpha:.4f})"


def _called(element: Element) -> str:
    """Return which element it is, as a person finds it in the file."""
    return f"<{local_name(element)}{' id=' + repr(element.get('id')) if element.get('id') else ''}>"
