"""Every colour that stylesheets use, how often and for what, and the pairs that are in one rule."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field
from functools import lru_cache
from typing import Final, Literal, TypeAlias

from tonada.core.color.contrast import composite, ratio_between
from tonada.core.color.notation import ReadColor
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.limits import MAX_STYLESHEET_COLORS
from tonada.core.source.notes import Note
from tonada.core.source.stylesheets.markup import looks_like_html, scan_page
from tonada.core.source.stylesheets.rule_notes import Block, notes_of
from tonada.core.source.stylesheets.scan import Declaration, is_variable, registered_in, scan_stylesheet
from tonada.core.source.stylesheets.scopes import Scopes, is_root
from tonada.core.source.stylesheets.values import colors_in_value

Purpose: TypeAlias = Literal["text", "ground", "border", "other"]
# What is seen, by which property, and the colour itself.
Uses: TypeAlias = tuple[tuple[Hex, str, ReadColor], ...]
PURPOSES: Final[tuple[Purpose, ...]] = ("text", "ground", "border", "other")

_TEXT: Final = frozenset(
    ("color", "-webkit-text-fill-color", "text-decoration", "text-decoration-color", "caret-color",
     "text-emphasis", "text-emphasis-color")
)  # fmt: skip
_GROUND: Final = frozenset(("background", "background-color", "background-image"))
# Everything else that takes a colour; the words of other properties may read like one and never are.
_OTHER: Final = (
    "border", "outline", "column-rule", "fill", "stroke", "box-shadow", "text-shadow", "accent-color",
    "scrollbar-color", "stop-color", "flood-color", "lighting-color", "filter", "backdrop-filter", "mask",
    "-webkit-tap-highlight-color", "-webkit-text-stroke", "-webkit-box-shadow", "-moz-box-shadow",
    "--", "$", "@",
)  # fmt: skip
WHITE: Final = "#ffffff"


@dataclass(frozen=True, slots=True)
class StyleFile:
    """One file: its name and its text, CSS or HTML. pictures: whether SVG pictures in it count too."""

    name: str
    text: str
    pictures: bool = False


@dataclass(frozen=True, slots=True)
class ColorUse:
    """A colour and how often it is used as what. translucent: value and opacity, where it had one."""

    hex: Hex
    text: int
    ground: int
    border: int
    other: int
    translucent: tuple[tuple[Hex, float], ...] = ()

    @property
    def count(self) -> int:
        return self.text + self.ground + self.border + self.other


@dataclass(frozen=True, slots=True)
class RulePair:
    """Text and ground set in one rule. ratio: exact, WCAG 2.2. count: in how many rules."""

    text: Hex
    ground: Hex
    selector: str
    count: int
    ratio: float


@dataclass(frozen=True, slots=True)
class StylesheetReading:
    """uses: most used first. pairs: lowest ratio first. variables: how many custom properties there are.

    notes: values that weren't understood or were brought into sRGB, each once, and what a limit cut.
    """

    uses: tuple[ColorUse, ...]
    pairs: tuple[RulePair, ...]
    rules: int
    variables: int
    page_ground: Hex
    notes: tuple[Note, ...] = ()


@dataclass
class _Tally:
    """What is counted while the files are walked."""

    purposes: Counter[tuple[Hex, Purpose]] = field(default_factory=Counter)
    translucent: dict[Hex, set[tuple[Hex, float]]] = field(default_factory=dict)
    pairs: Counter[tuple[Hex, Hex]] = field(default_factory=Counter)
    selectors: dict[tuple[Hex, Hex], str] = field(default_factory=dict)


def read_stylesheets(files: Iterable[StyleFile]) -> StylesheetReading:
    """Return what the files say about colour, read together: properties of one file hold in the others.

    A translucent colour counts as what it looks like over the ground of its rule, else over the
    page's. Custom properties count where they are used, not where they are set.
    """
    blocks = _blocks(files)
    registered = registered_in(entry for block in blocks for entry in block.declarations)
    values = {name: entry.value for name, entry in registered.items()}
    blocks = [block for block in blocks if block.declarations[0].selector[:9].lower() != "@property"]
    rules = [block.declarations for block in blocks]
    scopes = Scopes(rules, values)
    ground = _page_ground(rules, scopes.page)
    tally = _Tally()
    for rule in rules:
        variants = scopes.variants(rule)
        if len(variants) == 1:
            _count(_uses(rule, variants[0].variables, ground), variants[0].selector, tally)
            continue
        # Each look of a rule counts once, however many variants have it.
        looks: dict[Uses, str] = {}
        for variant in variants:
            looks.setdefault(_uses(rule, variant.variables, ground), variant.selector)
        for uses, selector in looks.items():
            _count(uses, selector, tally)
    totals: Counter[Hex] = Counter()
    for (value, _), count in tally.purposes.items():
        totals[value] += count
    # Among equals the order of the file stays, so that the same files give the same answer.
    most_used = sorted(totals, key=lambda value: -totals[value])[:MAX_STYLESHEET_COLORS]
    return StylesheetReading(
        uses=tuple(_use(value, tally) for value in most_used),
        pairs=_pairs(tally),
        rules=len(rules),
        variables=len(scopes.page),
        page_ground=ground,
        notes=(*_beyond(len(totals)), *notes_of(blocks, scopes)),
    )


def _beyond(count: int) -> Iterator[Note]:
    if count > MAX_STYLESHEET_COLORS:
        said = f"the {MAX_STYLESHEET_COLORS} colours used most, of {count:,}, were taken, which is the limit"
        yield Note("left out", "", said)


def is_more_than_a_list(text: str) -> bool:
    """Return whether a stylesheet uses a colour in a rule, and doesn't only set custom properties."""
    return any(
        not is_variable(entry.property) and ("var(" in entry.value or colors_in_value(entry.value, {}))
        for entry in scan_stylesheet(text, takes_color)
    )


def purpose_of(name: str) -> Purpose:
    """Return what a property's colour is used for."""
    if name in _TEXT:
        return "text"
    if name in _GROUND:
        return "ground"
    return "border" if name.startswith(("border", "outline", "column-rule")) else "other"


def takes_color(name: str) -> bool:
    """Return whether a property can hold a colour: those of CSS that do, custom properties, variables."""
    return name in _TEXT or name in _GROUND or name.startswith(_OTHER)


def _blocks(files: Iterable[StyleFile]) -> list[Block]:
    """Return the declarations that can hold a colour, block by block in their order."""
    blocks: list[Block] = []
    sheets = list(files)
    for file in sheets:
        scan = scan_page if looks_like_html(file.text) else scan_stylesheet
        of_rule: dict[int, list[Declaration]] = {}
        for declaration in scan(file.text, lambda name: name == "initial-value" or takes_color(name)):
            of_rule.setdefault(declaration.rule, []).append(declaration)
        is_one = len(sheets) > 1
        blocks += [Block(file.name, file.text, declared, is_one) for declared in of_rule.values()]
    return blocks


def _page_ground(rules: list[list[Declaration]], variables: dict[str, str]) -> Hex:
    """Return the ground that the page itself has, white where none is set."""
    ground = WHITE
    for declaration in (entry for rule in rules for entry in rule):
        if declaration.property in _GROUND and is_root(declaration) and not declaration.context:
            for color in colors_in_value(declaration.value, variables):
                if color.alpha > 0:
                    ground = _over(color, WHITE)
    return ground


def _uses(rule: list[Declaration], variables: Mapping[str, str], page: Hex) -> Uses:
    """Return what a rule paints: each colour as it looks, its purpose and property, and what it is itself."""
    colors = [
        (entry.property, color)
        for entry in rule
        if not is_variable(entry.property)
        for color in colors_in_value(entry.value, variables)
        if color.alpha > 0
    ]
    grounds = [color for name, color in colors if name in _GROUND]
    own_ground = _over(grounds[-1], page) if grounds else None
    return tuple(
        (_over(color, page if name in _GROUND else own_ground or page), name, color) for name, color in colors
    )


def _count(uses: Uses, selector: str, tally: _Tally) -> None:
    text = ground = None
    for seen, name, color in uses:
        tally.purposes[seen, purpose_of(name)] += 1
        if color.alpha < 1:
            tally.translucent.setdefault(seen, set()).add((color.hex, color.alpha))
        text = seen if name == "color" else text
        ground = seen if name in _GROUND else ground
    if text and ground:
        tally.pairs[text, ground] += 1
        tally.selectors.setdefault((text, ground), selector[:120])


@lru_cache(maxsize=4096)
def _over(color: ReadColor, ground: Hex) -> Hex:
    if color.alpha >= 1:
        return color.hex
    return srgb8_to_hex(composite(hex_to_srgb8(color.hex), color.alpha, hex_to_srgb8(ground)))


def _use(value: Hex, tally: _Tally) -> ColorUse:
    counts = {purpose: tally.purposes[value, purpose] for purpose in PURPOSES}
    return ColorUse(value, **counts, translucent=tuple(sorted(tally.translucent.get(value, ()))))


def _pairs(tally: _Tally) -> tuple[RulePair, ...]:
    pairs = [
        RulePair(
            text,
            ground,
            tally.selectors[text, ground],
            count,
            ratio_between(text, ground),
        )
        for (text, ground), count in tally.pairs.items()
    ]
    return tuple(sorted(pairs, key=lambda pair: pair.ratio)[:MAX_STYLESHEET_COLORS])
