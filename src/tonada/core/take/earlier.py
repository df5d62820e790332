"""Documents of takes as earlier releases wrote them, in the words of this one.

Format 1, before release 0.2: the roles night, good, caution, bad and note; what a ground's elements use
was what its figures "wear"; a button's background was its face.

Before own files of version 6 an opening's own words had a field each; they are texts as any now. Before
those of version 7 a duotone was all that the picture could be painted in.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any, Final, TypeAlias

from tonada.core.take.parts import ROLE_NAMES

FORMAT: Final = 2

ROLES_OF_FORMAT_1: Final = {
    "night": "deep",
    "good": "success",
    "caution": "warning",
    "bad": "error",
    "note": "info",
}
_ELEMENTS: Final = {**ROLES_OF_FORMAT_1, "button face": "button background"}
# The words of an opening that had fields of their own, and the parts that show them.
_OPENING_WORDS: Final = {
    "kicker": "Opening’s kicker",
    "headline": "Opening’s heading",
    "button": "Opening’s button, label",
}
# The lists of a document whose entries have an id of their own.
_OWNERS: Final = ("swatches", "neutrals", "overlays")

# What becomes of a value. One that has another type than expected is left alone: it is refused when read.
Rename: TypeAlias = Callable[[Any], Any]


def current_document(document: Mapping[str, Any]) -> dict[str, Any]:
    """Return a document in this format; one that is in it already comes back as it is."""
    found = dict(document)
    found = _from_format_1(found) if found.get("format") == 1 else found
    return _fields(proof=_current_proof)(found) if isinstance(found.get("proof"), Mapping) else found


def current_role(role: str) -> str:
    """Return the name that a role of format 1 has now."""
    return ROLES_OF_FORMAT_1.get(role, role)


def _current_proof(proof: Any) -> Any:
    return _with_tone(_with_texts(proof)) if isinstance(proof, Mapping) else proof


def _with_tone(proof: Mapping[str, Any]) -> dict[str, Any]:
    """Return the settings of a proof with the duotone as a tone of the picture."""
    kept = {name: value for name, value in proof.items() if name != "duotone"}
    duotone = proof.get("duotone")
    if duotone is None:
        return kept
    ends = duotone if isinstance(duotone, Mapping) else {"dark": duotone}
    return {"picture_tone": {"kind": "duotone", **ends}, **kept}


def _with_texts(proof: Mapping[str, Any]) -> dict[str, Any]:
    """Return the settings of a proof with the opening's own words among its texts."""
    kept = {name: value for name, value in proof.items() if name not in _OPENING_WORDS}
    moved = [
        {"page": "home", "part": part, "text": proof[name]}
        for name, part in _OPENING_WORDS.items()
        if proof.get(name)
    ]
    return {**kept, "texts": [*moved, *kept.get("texts", [])]} if moved else kept


def _from_format_1(document: dict[str, Any]) -> dict[str, Any]:
    owner = _owner(document)
    key = _key(owner)
    role = _among(ROLES_OF_FORMAT_1)
    scheme = _fields(
        roles=_each(_fields(role=role, swatch=owner)),
        pairs=_each(_fields(id=_pair_id, text=key, ground=key, layers=_each(owner))),
        grounds=_each(_ground(key)),
    )
    whole = _fields(
        swatches=_each(_fields(id=owner)),
        neutrals=_each(_fields(id=owner, tint=owner)),
        overlays=_each(_fields(id=owner, swatch=owner)),
        harmony=_fields(anchor=owner, ground=owner, varied_from=_each(_fields(swatch=owner))),
        slots=_each(_fields(key=key)),
        proof=_fields(overlay=owner, sections=_each(_fields(ground=role))),
        other=scheme,
    )
    changed: dict[str, Any] = whole(scheme(document))
    return {**changed, "format": FORMAT}


def _fields(**renames: Rename) -> Rename:
    """Rename the values of some fields of an object."""

    def renamed(entry: Any) -> Any:
        if not isinstance(entry, Mapping):
            return entry
        return {**entry, **{name: change(entry[name]) for name, change in renames.items() if name in entry}}

    return renamed


def _each(change: Rename) -> Rename:
    """Rename every entry of a list."""
    return lambda found: [change(entry) for entry in found] if isinstance(found, (list, tuple)) else found


def _among(names: Mapping[str, str]) -> Rename:
    return lambda value: names.get(value, value) if isinstance(value, str) else value


def _owner(document: Mapping[str, Any]) -> Rename:
    """An id that is the name of a role now, such as that of a swatch `info`, becomes another one."""
    entries = [
        entry for field in _OWNERS if isinstance(document.get(field), list) for entry in document[field]
    ]
    ids = {
        entry["id"] for entry in entries if isinstance(entry, Mapping) and isinstance(entry.get("id"), str)
    }
    return _among({taken: _free_id(taken, ids) for taken in ids & ROLE_NAMES})


def _free_id(taken: str, ids: set[str]) -> str:
    return next(new for number in range(1, len(ids) + 2) if (new := f"{taken}-{number}") not in ids)


def _key(owner: Rename) -> Rename:
    def renamed(key: Any) -> Any:
        if not isinstance(key, str):
            return key
        name, slash, step = key.partition("/")
        return ROLES_OF_FORMAT_1[key] if key in ROLES_OF_FORMAT_1 else f"{owner(name)}{slash}{step}"

    return renamed


def _ground(key: Rename) -> Rename:
    use = _fields(element=_among(_ELEMENTS), key=key)
    uses = _each(lambda one: use(_moved(one, "figure", "element")))
    ground = _fields(id=_among(ROLES_OF_FORMAT_1), ground=key, uses=uses)
    return lambda one: ground(_moved(one, "wears", "uses"))


def _moved(entry: Any, old: str, new: str) -> Any:
    if not isinstance(entry, Mapping) or old not in entry:
        return entry
    return {new if name == old else name: value for name, value in entry.items()}


def _pair_id(pair: Any) -> Any:
    """Pairs of a page are named after their place: `caution-on-paper`."""
    if not isinstance(pair, str):
        return pair
    text, on, ground = pair.partition("-on-")
    return f"{ROLES_OF_FORMAT_1.get(text, text)}{on}{ROLES_OF_FORMAT_1.get(ground, ground)}"
