"""Design tokens JSON: the Design Tokens Community Group's format and colour modules, 2025.10.

Colours are taken with their path as name; references ({group.token} and $ref) are followed, a type
holds for all of its group, and groups may extend others. Composite tokens are skipped with a warning.
"""

from __future__ import annotations

import json
import re
from typing import Final

import pyjson5

from tonada.core.color.notation import ReadColor, as_screen_shows, css_color, read_color
from tonada.core.color.spaces import Hex
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.format import Json
from tonada.core.formats.listed import ColorList, ListBuilder, role_of_name
from tonada.core.formats.token_references import References, is_older, looks_like_color, reference_of

# The format's names of colour spaces, and the library's.
SPACES: Final = {
    "srgb": "srgb",
    "srgb-linear": "srgb-linear",
    "hsl": "hsl",
    "hwb": "hwb",
    "lab": "lab",
    "lch": "lch",
    "oklab": "oklab",
    "oklch": "oklch",
    "display-p3": "display-p3",
    "a98-rgb": "a98-rgb",
    "prophoto-rgb": "prophoto-rgb",
    "rec2020": "rec2020-oetf",
    "xyz-d65": "xyz-d65",
    "xyz-d50": "xyz-d50",
}
# The format counts these in percent, the library from 0 to 1.
_IN_PERCENT: Final = {"hsl": (1, 2), "hwb": (1, 2)}
COMPOSITE_TYPES: Final = frozenset(
    ("border", "gradient", "shadow", "strokeStyle", "transition", "typography")
)
DEEPEST_GROUP: Final = 40
DEEPEST_JSON5: Final = 60
_EXPORTED: Final = re.compile(r"\s*(?:module\.exports\s*=|export\s+default)\s*(.*?)\s*;?\s*", re.DOTALL)
MOST_TOKENS: Final = 20_000


def _json5(text: str) -> Json:
    """Return what a text in JSON5 holds, or None for what is none. Source: JSON5 Data Interchange Format."""
    whole = _EXPORTED.fullmatch(text)
    try:
        # Deeper than any file of colours: what is nested further is refused as broken.
        return pyjson5.decode(whole[1] if whole else text, maxdepth=DEEPEST_JSON5)
    except (pyjson5.Json5Exception, ValueError, RecursionError):
        return None


def read_tokens(text: str) -> ColorList:
    """Return the colour tokens. Raises InputError if it isn't a JSON object or has no colour."""
    return read_token_object(parse_json(text))


def read_token_object(root: dict[str, Json], group: str | None = None) -> ColorList:
    """Return the colour tokens of a file that was parsed, or of one of its groups.

    References lead through the whole file. Raises InputError without any colour.
    """
    return _Reader(root).read(group)


def parse_json(text: str) -> dict[str, Json]:
    """Return the object of a JSON text. Raises InputError naming the line."""
    root = parse_any_json(text)
    if not isinstance(root, dict):
        raise InputError("The JSON is not an object with tokens in it.", field="file")
    return root


def parse_any_json(text: str) -> Json:
    """Parse JSON or JSON5 (comments, bare names, a trailing comma).

    An object that a script exports is read as well, if there is no code in it. Raises InputError naming
    the line.
    """
    try:
        root = json.loads(text)
    except json.JSONDecodeError as reason:
        looser = _json5(text)
        if looser is not None:
            return looser
        raise InputError(
            f"The JSON is broken at line {reason.lineno}, column {reason.colno}: {reason.msg}.", field="file"
        ) from reason
    except (RecursionError, ValueError) as reason:
        raise InputError(
            "The JSON is nested too deeply, or holds a number too long.", field="file"
        ) from reason
    return root


class TokenColors:
    """The colours of a token file, by reference."""

    def __init__(self, root: dict[str, Json]) -> None:
        self._reader = _Reader(root)

    def read(self, value: Json, *, field: str) -> tuple[Hex, float]:
        """Return hex and alpha of `{group.token}`, or of a colour in CSS notation. Raises ColorError."""
        found = self._reader.value_of(value)
        if found is None or reference_of(found):
            raise ColorError(f"“{str(value)[:60]}” isn’t a colour token of the file.", field=field)
        try:
            read = _color(found)
        except ColorError as reason:
            raise ColorError(str(reason), field=field) from reason
        return read.hex, read.alpha


class _Reader:
    def __init__(self, root: dict[str, Json]) -> None:
        self._root = root
        self._found = ListBuilder("design tokens")
        self._seen = 0
        self.references = References(root, self._assume)

    def _assume(self, reference: str) -> None:
        said = f"{reference} stands in several sets; the last one is taken."
        self._found.warn(None, said, "assumed")

    def read(self, group: str | None = None) -> ColorList:
        start = self._root if group is None else self._root[group]
        said, kind = self._root.get("$description"), self._root.get("$type")
        self._found.title = said if isinstance(said, str) else None
        if isinstance(start, dict):
            self._walk(start, (), kind if isinstance(kind, str) else None, frozenset())
        return self._found.build()

    def _walk(
        self, group: dict[str, Json], path: tuple[str, ...], kind: str | None, extended: frozenset[str]
    ) -> None:
        if len(path) > DEEPEST_GROUP:
            raise InputError(f"The tokens are nested deeper than {DEEPEST_GROUP} groups.", field="file")
        own = group.get("$type")
        kind = own if isinstance(own, str) else kind
        if "$extends" in group and isinstance(group["$extends"], str) and group["$extends"] not in extended:
            target = self.references.target(group["$extends"], path[0] if path else "")
            base = target.node if target else None
            if isinstance(base, dict):
                # What the group sets itself goes before what it extends.
                group = {**base, **group}
                extended = extended | {group["$extends"]}
        if "$value" in group or "$ref" in group:
            self._token(group, path, kind)
            return
        if is_older(group):
            # What the format looked like before its names began with a dollar sign.
            older = group.get("type")
            token = {"$value": group["value"]}
            self._token(token, path, older if isinstance(older, str) else kind)
            return
        for name, entry in group.items():
            if isinstance(entry, dict) and (not name.startswith("$") or name == "$root"):
                self._seen += 1
                if self._seen > MOST_TOKENS:
                    raise InputError(f"The file has more than {MOST_TOKENS:,} tokens.", field="file")
                self._walk(entry, path if name == "$root" else (*path, name), kind, extended)

    def _token(self, token: dict[str, Json], path: tuple[str, ...], kind: str | None) -> None:
        name = " ".join(path)
        value, kind = self.references.resolve(token, kind, path[0] if path else "")
        is_color = kind == "color" or (kind is None and looks_like_color(value))
        if not is_color:
            if kind in COMPOSITE_TYPES:
                self._found.warn(None, f"{name}: a composite token ({kind}) was skipped.")
            return
        if reference_of(value):
            self._found.warn(None, f"{name}: {reference_of(value)} isn’t in the file, or isn’t a colour.")
            return
        try:
            self._found.add(_color(value), name, role=role_of_name(path[-1] if path else None))
        except ColorError as reason:
            self._found.warn(None, f"{name}: {reason}")

    def value_of(self, value: Json) -> Json:
        """Return the value that a reference points to, or the value itself."""
        return self.references.resolve({"$value": value}, None)[0] if reference_of(value) else value


def _color(value: Json) -> ReadColor:
    """Return the colour of a value. Raises ColorError."""
    if isinstance(value, str):
        return read_color(value, field="file")
    if not isinstance(value, dict) or value.get("colorSpace") not in SPACES:
        raise ColorError("its value is not a colour in a known colour space.", field="file")
    space, components, alpha = value["colorSpace"], value.get("components"), value.get("alpha", 1)
    if not isinstance(components, list) or len(components) != 3 or not all(map(_is_component, components)):
        raise ColorError("its components are not three numbers or “none”.", field="file")
    if isinstance(alpha, bool) or not isinstance(alpha, int | float) or not 0 <= alpha <= 1:
        raise ColorError("its alpha is not a number from 0 to 1.", field="file")
    numbers = [0.0 if part == "none" else float(part) for part in components]
    for place in _IN_PERCENT.get(space, ()):
        numbers[place] /= 100
    return as_screen_shows(css_color(SPACES[space], numbers, alpha))


def _is_component(part: Json) -> bool:
    is_number = isinstance(part, int | float) and not isinstance(part, bool)
    return part == "none" or (is_number and abs(part) < 1e6)
