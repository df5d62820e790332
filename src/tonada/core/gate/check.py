"""The pairs of a file, held to a level: for a build that is to fail when a pair does.

A design token file says its pairs in `$extensions`, under PAIRS_KEY: a list of
{"text": "{color.ink}", "ground": "{color.paper}", "layers": ["{color.veil}"], "usage": "body text",
"size": 16, "weight": 400}; only text and ground have to be there, and a colour in CSS notation may stand
for a token. Layers are translucent, the lowest first. LEVEL_KEY beside it says the level. In
stylesheets and pages the pairs are those that are in one rule, see rule_pairs; and those that one of our
files lists, see listed_pairs.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from tonada.core.color.contrast import composite, ratio_between
from tonada.core.color.requirements import Outcome, outcome_of, passes_of, requirement
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.color.wcag import LEVELS, USUAL_LEVEL, Level, Usage
from tonada.core.errors import InputError
from tonada.core.formats.check_key import LEVEL_KEY, PAIRS_KEY
from tonada.core.formats.detect import decode_text
from tonada.core.formats.format import Json
from tonada.core.formats.plain_json import is_plain
from tonada.core.formats.token_resolver import is_resolver, resolved
from tonada.core.formats.tokens import TokenColors, parse_json
from tonada.core.formats.tokens_writing import SCHEME
from tonada.core.gate.listed_pairs import ListedPair, pairs_listed_in, pairs_of_plain
from tonada.core.gate.rule_pairs import Place, RulePair, rule_pairs
from tonada.core.limits import MAX_FILE_PAIRS, MAX_OVERLAYS
from tonada.core.pairs.evaluation import evaluate
from tonada.core.source.stylesheets import StyleFile
from tonada.core.take.take import Take


@dataclass(frozen=True, slots=True)
class CheckedPair:
    """A pair of a file. ratio: exact; None, like the values, where they aren't known.

    reason: why it is exempt or unknown. file, place and ground_place: where text and ground are set,
    scope: in which block's properties, for the rules of stylesheets and pages.
    """

    text: str
    ground: str
    text_hex: Hex | None
    ground_hex: Hex | None
    usage: Usage
    ratio: float | None
    needed: float
    outcome: Outcome
    reason: str = ""
    file: str = ""
    place: Place | None = None
    ground_place: Place | None = None
    scope: str = ""

    @property
    def passes(self) -> bool | None:
        return passes_of(self.outcome)

    @property
    def fails(self) -> bool:
        return self.outcome == "fails"

    @property
    def is_open(self) -> bool:
        """Whether it fails or isn't known: what a person has to look at."""
        return self.outcome in ("fails", "unknown")

    @property
    def where(self) -> str:
        """The file with line and column, as editors open it."""
        return f"{self.file}:{self.place.line}:{self.place.column}" if self.place else self.file


def check_file(data: bytes, name: str, level: Level | None = None) -> tuple[CheckedPair, ...]:
    """Return the pairs of a design token file, a stylesheet or a page, in the order of the file.

    Raises InputError, naming the field, for a file without pairs or with broken ones.
    """
    return check_files([(name, data)], level)


def check_files(files: Sequence[tuple[str, bytes]], level: Level | None = None) -> tuple[CheckedPair, ...]:
    """Return the pairs of files, by name and content; custom properties of one hold in the others.

    level: where it is None, the one that a token file says, else AA.

    Raises InputError, naming the field, where none has a pair, or one is broken.
    """
    found: list[CheckedPair] = []
    sheets: list[StyleFile] = []
    for name, data in files:
        text = decode_text(data)
        if text.lstrip().startswith("{"):
            found += [replace(token, file=name) for token in _of_json(parse_json(text), level)]
        else:
            found += [replace(_of_listed(pair), file=name) for pair in pairs_listed_in(text, level)]
            sheets.append(StyleFile(name, text))
    found += [pair_of_rule(pair) for pair in rule_pairs(sheets, level or USUAL_LEVEL)]
    if not found:
        raise InputError("No rule of the file sets both a text colour and a ground.", field="file")
    return tuple(found)


def pair_of_rule(pair: RulePair) -> CheckedPair:
    """Return a pair of a rule as every checked pair is."""
    return CheckedPair(
        text=pair.selector,
        ground=pair.ground_hex or "its ground",
        text_hex=pair.text_hex,
        ground_hex=pair.ground_hex,
        usage=pair.usage,
        ratio=pair.ratio,
        needed=pair.needed,
        outcome=pair.outcome,
        reason=pair.reason,
        file=pair.file,
        place=pair.text,
        ground_place=pair.ground,
        scope=pair.scope,
    )


def check_take(take: Take) -> tuple[CheckedPair, ...]:
    """Return the pairs of a take, by day and then by night, held to the take's level.

    Those that a ground makes are among them where they fall short or were changed by hand.
    """
    schemes = (take, replace(take.turned(), level=take.level)) if take.other is not None else (take,)
    return tuple(
        CheckedPair(
            text=f"{pair.text_name}{_by(scheme)}",
            ground=f"{pair.ground_name}{_by(scheme)}",
            text_hex=pair.text_hex,
            ground_hex=pair.ground_hex,
            usage=pair.usage,
            ratio=pair.ratio,
            needed=pair.needed,
            outcome=pair.outcome,
        )
        for scheme in schemes
        for pair in evaluate(scheme).pairs
    )


def _by(take: Take) -> str:
    return " (night)" if take.scheme == "night" else ""


def _of_json(root: Json, level: Level | None) -> tuple[CheckedPair, ...]:
    if is_plain(root):
        return tuple(_of_listed(pair) for pair in pairs_of_plain(root, level))
    return _of_tokens(root, level)


def _of_listed(pair: ListedPair) -> CheckedPair:
    return _checked(
        (pair.text, pair.text_hex),
        (pair.ground, pair.ground_hex),
        pair.usage,
        pair.level,
        pair.size,
        pair.weight,
    )


def _of_tokens(root: dict[str, Json], level: Level | None) -> tuple[CheckedPair, ...]:
    extensions = root.get("$extensions")
    listed = extensions.get(PAIRS_KEY) if isinstance(extensions, dict) else None
    if not isinstance(listed, list) or not listed:
        raise InputError(
            f"The tokens say no pairs: $extensions needs a list “{PAIRS_KEY}”.", field="$extensions"
        )
    if len(listed) > MAX_FILE_PAIRS:
        raise InputError(f"At most {MAX_FILE_PAIRS} pairs in one file.", field=PAIRS_KEY)
    held, by_scheme = level or _level_of(extensions), _TokenSchemes(root)
    return tuple(
        _of_entry(entry, f"{PAIRS_KEY}.{row}", by_scheme.colors(entry), held)
        for row, entry in enumerate(listed)
    )


class _TokenSchemes:
    """The tokens that the pairs of a file name: those of its scheme where it is a resolver document."""

    def __init__(self, root: dict[str, Json]) -> None:
        self._root, self._is_resolver = root, is_resolver(root)
        self._known: dict[str, TokenColors] = {}

    def colors(self, entry: Json) -> TokenColors:
        scheme = str(entry.get(SCHEME, "")) if self._is_resolver and isinstance(entry, dict) else ""
        if scheme not in self._known:
            tokens = resolved(self._root, {SCHEME: scheme}) if self._is_resolver else self._root
            self._known[scheme] = TokenColors(tokens)
        return self._known[scheme]


def _level_of(extensions: Json) -> Level:
    said = extensions.get(LEVEL_KEY, USUAL_LEVEL) if isinstance(extensions, dict) else USUAL_LEVEL
    for level in LEVELS:
        if said == level:
            return level
    raise InputError(f"The level is one of: {', '.join(LEVELS)}.", field=LEVEL_KEY)


def _of_entry(entry: Json, field: str, colors: TokenColors, level: Level) -> CheckedPair:
    if not isinstance(entry, dict):
        raise InputError("A pair is an object with text and ground.", field=field)
    ground, ground_alpha = colors.read(entry.get("ground"), field=f"{field}.ground")
    if ground_alpha < 1:
        raise InputError("A ground must be opaque.", field=f"{field}.ground")
    ground = _under_layers(ground, entry.get("layers"), colors, f"{field}.layers")
    text, alpha = colors.read(entry.get("text"), field=f"{field}.text")
    seen = srgb8_to_hex(composite(hex_to_srgb8(text), alpha, hex_to_srgb8(ground)))
    usage = entry.get("usage", Usage.BODY_TEXT)
    if not isinstance(usage, str) or usage not in set(Usage):
        raise InputError(f"The usage is one of: {', '.join(Usage)}.", field=f"{field}.usage")
    size, weight = (_number(entry, part, f"{field}.{part}") for part in ("size", "weight"))
    named = [str(entry[end]).strip("{}") for end in ("text", "ground")]
    weight_ = None if weight is None else int(weight)
    return _checked((named[0], seen), (named[1], ground), Usage(usage), level, size, weight_)


def _under_layers(ground: Hex, layers: Json, colors: TokenColors, field: str) -> Hex:
    """Return a ground as it is seen through translucent layers, the lowest first."""
    if layers is None:
        return ground
    if not isinstance(layers, list) or len(layers) > MAX_OVERLAYS:
        raise InputError(f"Layers are a list of at most {MAX_OVERLAYS} colours.", field=field)
    for row, layer in enumerate(layers):
        value, alpha = colors.read(layer, field=f"{field}.{row}")
        ground = srgb8_to_hex(composite(hex_to_srgb8(value), alpha, hex_to_srgb8(ground)))
    return ground


def _number(entry: dict[str, Json], part: str, field: str) -> float | None:
    value = entry.get(part)
    if value is None:
        return None
    if isinstance(value, bool) or not isinstance(value, int | float) or not 0 < value <= 1000:
        raise InputError(f"The {part} is a number over 0, up to 1000.", field=field)
    return float(value)


def _checked(
    text: tuple[str, Hex],
    ground: tuple[str, Hex],
    usage: Usage,
    level: Level,
    size: float | None = None,
    weight: int | None = None,
) -> CheckedPair:
    asked = requirement(usage, level, size, weight)
    ratio = ratio_between(text[1], ground[1])
    return CheckedPair(
        text=text[0] or text[1],
        ground=ground[0] or ground[1],
        text_hex=text[1],
        ground_hex=ground[1],
        usage=usage,
        ratio=ratio,
        needed=asked.ratio,
        outcome=outcome_of(ratio, asked),
    )
