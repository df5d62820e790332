"""The resolver document of design tokens: sets and modifiers, and the order in which they count.

Read as its defaults say; what another context changes stands beside it, with the context's name. Source:
Design Tokens Community Group, Resolver Module 2025.10.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import Final

from tonada.core.color.notation import read_color
from tonada.core.errors import InputError
from tonada.core.formats.format import Format, Json, JsonReading, Writing
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.tokens import DEEPEST_GROUP, read_token_object
from tonada.core.formats.tokens_writing import write_resolver

NAME: Final = "Design tokens, resolver document"
MOST_CONTEXTS: Final = 40


def is_resolver(root: Json) -> bool:
    """Return whether JSON is a resolver document."""
    return isinstance(root, dict) and isinstance(root.get("resolutionOrder"), list)


def read_resolver(root: dict[str, Json]) -> ColorList:
    """Return the colours by default, then those that each other context changes.

    Tokens in other files are named, not fetched. Raises InputError without any colour.
    """
    document = _Document(root)
    usual = _read(document, {})
    if usual is None:
        files = ", ".join(dict.fromkeys(document.elsewhere))[:200]
        where = f" Its tokens are in other files: {files}. Choose one of those." if files else ""
        raise InputError(f"No colour was found.{where}", field="file")
    found = ListBuilder(NAME)
    name = root.get("name")
    found.title = name if isinstance(name, str) else usual.title
    for color in usual.colors:
        found.add(read_color(color.hex), color.name, role=color.role)
    known = {(color.name, color.hex) for color in usual.colors}
    said = {warning.text for warning in usual.warnings}
    for warning in usual.warnings:
        found.warn(warning.line, warning.text, warning.kind)
    for name, context in list(document.contexts())[:MOST_CONTEXTS]:
        other = _read(document, {name: context})
        for color in other.colors if other else ():
            if (color.name, color.hex) not in known:
                found.add(read_color(color.hex), f"{color.name} ({context})")
        for warning in other.warnings if other else ():
            if warning.text not in said:
                said.add(warning.text)
                found.warn(warning.line, f"{context}: {warning.text}", warning.kind)
    for file in dict.fromkeys(document.elsewhere):
        found.warn(None, f"The tokens in “{file[:120]}” are in another file, and aren’t read.")
    return found.build()


def resolved(root: dict[str, Json], chosen: Mapping[str, str]) -> dict[str, Json]:
    """Return the tokens of a resolver document in the contexts chosen, by the names of its modifiers."""
    return _Document(root).merged(chosen)


def _read(document: _Document, chosen: Mapping[str, str]) -> ColorList | None:
    try:
        return read_token_object(document.merged(chosen))
    except InputError:
        return None


@dataclass
class _Document:
    """A resolver document. elsewhere: the files that it names."""

    root: dict[str, Json]
    elsewhere: list[str] = field(default_factory=list)

    def contexts(self) -> Iterator[tuple[str, str]]:
        """Yield each modifier with each of its contexts that isn't the usual one."""
        for name, entry in self._ordered():
            contexts = entry.get("contexts")
            if isinstance(contexts, dict):
                usual = _usual(entry)
                yield from ((name, str(context)) for context in contexts if context != usual)

    def merged(self, chosen: Mapping[str, str]) -> dict[str, Json]:
        """Return the tokens in the order of resolution, later ones over earlier ones."""
        made: dict[str, Json] = {}
        for name, entry in self._ordered():
            contexts = entry.get("contexts")
            if isinstance(contexts, dict):
                sources = contexts.get(chosen.get(name) or _usual(entry))
            else:
                sources = entry.get("sources")
            for group in self._groups(sources, 0):
                _merge(made, group, 0)
        return made

    def _ordered(self) -> Iterator[tuple[str, dict[str, Json]]]:
        for entry in self.root["resolutionOrder"]:
            if not isinstance(entry, dict):
                continue
            reference = entry.get("$ref")
            if isinstance(reference, str):
                pointed = self._pointed(reference)
                if isinstance(pointed, dict):
                    yield reference.rsplit("/", 1)[-1], pointed
            else:
                yield str(entry.get("name", "")), entry

    def _groups(self, sources: Json, depth: int) -> Iterator[dict[str, Json]]:
        """Yield the groups of tokens that sources come to: they stand here, or are a set of their own."""
        for source in sources if isinstance(sources, list) and depth <= DEEPEST_GROUP else ():
            if not isinstance(source, dict):
                continue
            reference = source.get("$ref")
            if not isinstance(reference, str):
                yield source
            elif reference.startswith("#/"):
                pointed = self._pointed(reference)
                if isinstance(pointed, dict):
                    yield from self._groups(pointed.get("sources"), depth + 1)
            else:
                self.elsewhere.append(reference)

    def _pointed(self, reference: str) -> Json:
        place: Json = self.root
        for step in reference.removeprefix("#/").split("/"):
            place = place.get(step.replace("~1", "/").replace("~0", "~")) if isinstance(place, dict) else None
        return place


def _usual(entry: dict[str, Json]) -> str:
    usual = entry.get("default")
    return usual if isinstance(usual, str) else str(next(iter(entry["contexts"]), ""))


def _merge(under: dict[str, Json], over: dict[str, Json], depth: int) -> None:
    """Put a group over another: a token replaces one, groups are merged."""
    for name, entry in over.items():
        below = under.get(name)
        is_group = isinstance(entry, dict) and "$value" not in entry and not name.startswith("$")
        if is_group and isinstance(below, dict) and "$value" not in below and depth < DEEPEST_GROUP:
            under[name] = dict(below)
            _merge(under[name], entry, depth + 1)
        else:
            under[name] = entry


FORMAT: Final = Format(
    kind="resolver",
    name="Design tokens, resolver",
    note="both schemes, one set of names",
    json_reading=JsonReading(read=read_resolver, recognise=is_resolver),
    writing=Writing(write=write_resolver, ending=".resolver.json", mimetype="application/json"),
)
