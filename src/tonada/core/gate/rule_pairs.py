"""The pairs that are in the rules of stylesheets and pages, each judged, or why it can't be decided.

For every selector of a rule that sets text and ground the smallest element is made that it describes,
and the whole stylesheet is asked how that element looks: with what it inherits from the root, and again
in each scope that sets custom properties otherwise. A pair is judged where both come to opaque values.
Nothing is guessed: what depends on the page, or isn't computed here, says so.
"""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from typing import Final, NamedTuple

from tonada.core.color.contrast import composite, ratio_between
from tonada.core.color.notation import ReadColor
from tonada.core.color.requirements import Outcome, requirement
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.color.unknown import CannotTell
from tonada.core.color.wcag import Level, Usage
from tonada.core.source.stylesheets.cascade import Block, Cascade, Style, Variables, Winning
from tonada.core.source.stylesheets.computed import MISSING, filled_in, paint
from tonada.core.source.stylesheets.elements import Compound, Described, build, described, scoped
from tonada.core.source.stylesheets.markup import looks_like_html, scan_page
from tonada.core.source.stylesheets.scan import Declaration, LineFinder, line_finder, scan_stylesheet
from tonada.core.source.stylesheets.text_sizes import TextSize, size_of
from tonada.core.source.stylesheets.usage import StyleFile, takes_color

# Of one rule: selectors that are looked at, and scopes; a stylesheet made to harm has more.
MOST_SELECTORS: Final = 40
MOST_SCOPES: Final = 160
MOST_CHARACTERS: Final = 2_000
STYLE_ATTRIBUTE: Final = "style attribute"
_DISABLED: Final = re.compile(
    r":disabled|\[disabled|\[aria-disabled|\.(?:is-|uk-)?disabled(?![-\w])", re.IGNORECASE
)
_REFERENCE: Final = re.compile(r"var\(\s*(--[-\w]+)", re.IGNORECASE)
_IGNORED: Final = re.compile(r"tonada-ignore(?:\s*:\s*(?P<reason>[^*\n]*[^*\s]))?")
_DARK: Final = "prefers-color-scheme"
# What changes how colours are seen, and the values of it that don't.
_CHANGES_WHAT_IS_SEEN: Final = frozenset(("opacity", "filter", "mix-blend-mode", "background-blend-mode"))
_CLIPS: Final = frozenset(("background-clip", "-webkit-background-clip"))
_ALSO: Final = (
    _CHANGES_WHAT_IS_SEEN | _CLIPS | frozenset(("font", "font-size", "font-weight", "initial-value"))
)
_CHANGES_NOTHING: Final = frozenset(("none", "normal", "inherit", "initial", "unset", "1", "1.0", "100%"))


class Place(NamedTuple):
    """Where a value is: line and column from 1."""

    line: int
    column: int


@dataclass(frozen=True, slots=True)
class RulePair:
    """A pair of one rule. scope: the block whose properties count too, or empty.

    ratio: exact, the least of what the ground shows; None, like the values, where it can't be decided.
    reason: why it can't be decided, or why it is exempt.
    """

    file: str
    selector: str
    scope: str
    outcome: Outcome
    text: Place
    ground: Place
    text_hex: Hex | None
    ground_hex: Hex | None
    usage: Usage
    ratio: float | None
    needed: float
    reason: str


class _Seen(NamedTuple):
    """A text on its ground, and the size of the text."""

    text: Hex
    ground: Hex
    size: TextSize


def rule_pairs(files: Iterable[StyleFile], level: Level) -> tuple[RulePair, ...]:
    """Return the pairs of all rules that set text and ground, in the order of the files.

    Properties of one file hold in the others. Rules that are only printed, and the steps of
    animations, are left out.
    """
    sheets = list(files)
    blocks = list(_blocks(sheets))
    cascade = Cascade(
        [block for block in blocks if block.selector != STYLE_ATTRIBUTE and not _is_left_out(block)]
    )
    texts = {file.name: file.text for file in sheets}
    finders = {file.name: line_finder(file.text) for file in sheets}
    found: list[RulePair] = []
    for block in blocks:
        if not _is_left_out(block):
            found += _of_block(block, cascade, texts[block.file], finders[block.file], level)
    return tuple(found)


def _blocks(files: Sequence[StyleFile]) -> Iterator[Block]:
    order = 0
    for file in files:
        scan = scan_page if looks_like_html(file.text) else scan_stylesheet
        found: dict[int, list[Declaration]] = {}
        for entry in scan(file.text, _is_wanted):
            found.setdefault(entry.rule, []).append(entry)
        for declarations in found.values():
            order += 1
            yield Block(file.name, order, tuple(declarations))


def _is_wanted(name: str) -> bool:
    return name in _ALSO or takes_color(name)


def _is_left_out(block: Block) -> bool:
    contexts = [entry.lower() for entry in block.declarations[0].context]
    if any("keyframes" in context or context.startswith("@font-face") for context in contexts):
        return True
    return any(re.match(r"@media\s+(only\s+)?print\b(?!.*,)", context) for context in contexts)


def _of_block(
    block: Block, cascade: Cascade, text: str, finder: LineFinder, level: Level
) -> Iterator[RulePair]:
    own = [Winning(declaration, block) for declaration in block.declarations]
    said = _what_is_set(own)
    if said is None:
        return
    places = [
        finder.place_of(entry.declaration.start)
        for entry in (said.text, said.color or said.image or said.text)
    ]
    for scope, outcome, seen, reason in _judged(block, said, cascade, text, level):
        asked = requirement(Usage.BODY_TEXT, level, seen.size.pixels, seen.size.weight) if seen else None
        yield RulePair(
            file=block.file,
            selector=block.selector[:MOST_CHARACTERS],
            scope=scope[:MOST_CHARACTERS],
            outcome=outcome,
            text=Place(*places[0]),
            ground=Place(*places[1]),
            text_hex=seen.text if seen else None,
            ground_hex=seen.ground if seen else None,
            usage=Usage.DISABLED if reason == "disabled" else asked.usage if asked else Usage.BODY_TEXT,
            ratio=ratio_between(seen.text, seen.ground) if seen else None,
            needed=asked.ratio if asked else requirement(Usage.BODY_TEXT, level).ratio,
            reason=reason,
        )


def _judged(
    block: Block, said: _Set, cascade: Cascade, text: str, level: Level
) -> Iterator[tuple[str, Outcome, _Seen | None, str]]:
    ignored = _ignored(text, block)
    if ignored is not None:
        why = f"ignored: {ignored}" if ignored else "an ignore comment needs a reason"
        yield "", "exempt" if ignored else "unknown", None, why
        return
    if all(_DISABLED.search(part) for part in block.selectors):
        yield "", "exempt", None, "disabled"
        return
    reasons: dict[str, str] = {}
    already: set[_Seen] = set()
    for scope, style in _styles(block, said, cascade):
        if isinstance(style, str):
            reasons.setdefault(style, scope)
            continue
        for scheme in _schemes(said, style.variables):
            name = scope if scheme == "light" else f"{scope} (dark)".strip()
            try:
                seen = _seen(block, style, scheme, cascade.root_pixels)
            except CannotTell as untold:
                reasons.setdefault(str(untold), name)
                continue
            if seen is not None and seen not in already:
                already.add(seen)
                outcome, reason = _compared(seen, level)
                yield name, outcome, seen, reason
    # A property that one scope lacks says nothing where it was found in another.
    telling = {why: name for why, name in reasons.items() if MISSING not in why}
    for why, name in (telling or ({} if already else dict([*reasons.items()][:1]))).items():
        yield name, "unknown", None, why


def _ignored(text: str, block: Block) -> str | None:
    """Return the reason of an ignore comment inside the rule, or right before it, or None."""
    start = text.rfind("}", 0, block.declarations[0].start) + 1
    end = text.find("}", block.declarations[-1].start)
    said = _IGNORED.search(text, start, end if end >= 0 else len(text))
    return None if said is None else (said["reason"] or "")


class _Set(NamedTuple):
    """The declarations that win for the text, the colour of the ground, and its image."""

    text: Winning
    color: Winning | None
    image: Winning | None

    @property
    def all(self) -> list[Winning]:
        return [entry for entry in self if entry is not None]


def _what_is_set(ranked: Sequence[Winning]) -> _Set | None:
    """Return the text and ground that declarations set, the last most, or None where not both."""
    won: dict[str, Winning] = {}
    for entry in ranked:
        name = entry.declaration.property
        if name == "background":
            won["background-color"] = won["background-image"] = entry
        else:
            won[name] = entry
    text = won.get("-webkit-text-fill-color") or won.get("color")
    color, image = won.get("background-color"), won.get("background-image")
    return None if text is None or (color is None and image is None) else _Set(text, color, image)


def _styles(block: Block, said: _Set, cascade: Cascade) -> Iterator[tuple[str, Style | str]]:
    """Yield how the elements of a rule look: by themselves, and in each scope that changes it.

    Where that can't be found out, the reason stands in place of the style.
    """
    conditions = block.conditions
    values = [entry.declaration.value for entry in said.all]
    if block.selector == STYLE_ATTRIBUTE or block.selector.startswith("<"):
        root = cascade.style(build((Compound(),)), "", conditions)
        inline = [Winning(declaration, block) for declaration in block.declarations]
        yield "", Style((*root.ranked, *inline), root.variables)
        return
    needed = cascade.needed(values, _REFERENCE.findall)
    others = {entry.order: entry for name in sorted(needed) for entry in cascade.setting.get(name, ())}
    for selector in block.selectors[:MOST_SELECTORS]:
        own = described(selector)
        if _DISABLED.search(selector):
            continue
        if own is None:
            yield "", f"the selector “{selector[:60]}” isn't understood here"
            continue
        style = cascade.style(build(own.compounds), own.pseudo, conditions)
        is_matched = any(entry.block is block for entry in style.ranked)
        yield "", style if is_matched else f"no element was found that “{selector[:60]}” means"
        if is_matched:
            yield from _scoped_styles(block, own, list(others.values()), cascade)
    if len(block.selectors) > MOST_SELECTORS:
        yield "", f"only {MOST_SELECTORS} selectors of a rule are looked at"


def _scoped_styles(
    block: Block, own: Described, others: Sequence[Block], cascade: Cascade
) -> Iterator[tuple[str, Style | str]]:
    conditions = block.conditions
    count = 0
    for other in others:
        more = other.conditions - conditions
        if other is block or any(_DARK not in entry for entry in more):
            continue
        name = " ".join((other.selector, *sorted(more)))
        for compounds in _in_scope(own, other):
            count += 1
            if count > MOST_SCOPES:
                yield name, f"only {MOST_SCOPES} scopes of a rule are looked at"
                return
            yield name, cascade.style(build(compounds), own.pseudo, conditions | more)


def _in_scope(own: Described, other: Block) -> Iterator[tuple[Compound, ...]]:
    for selector in other.selectors[:MOST_SELECTORS]:
        scope = described(selector)
        if scope is not None:
            yield from scoped(own, scope)


def _schemes(said: _Set, variables: Variables) -> tuple[str, ...]:
    for entry in said.all:
        try:
            if "light-dark(" in filled_in(entry.declaration.value, variables).lower():
                return ("light", "dark")
        except CannotTell:
            continue
    return ("light",)


def _seen(block: Block, style: Style, scheme: str, root: float | None) -> _Seen | None:
    """Return text and ground as an element shows them, at the worst place of a gradient.

    None where the block doesn't set both, or another block's declarations win. Raises CannotTell
    where they depend on more than the stylesheet.
    """
    said = _what_is_set(style.ranked)
    if said is None or said.text.block is not block:
        return None
    if block not in {entry.block for entry in (said.color, said.image) if entry is not None}:
        return None
    grounds = _grounds(said, style.variables, scheme)
    if grounds is None:
        return None
    painted = paint(filled_in(said.text.declaration.value, style.variables), scheme)
    if painted.inherits or not painted.colors or painted.colors[0].alpha == 0:
        return None
    _refuse_changes(style)
    ends = [(_over(painted.colors[0], ground), ground) for ground in grounds]
    text, ground = min(ends, key=lambda pair: ratio_between(*pair))
    declarations = [entry.declaration for entry in style.ranked]
    return _Seen(text, ground, size_of(declarations, style.variables, root))


def _grounds(said: _Set, variables: Variables, scheme: str) -> list[Hex] | None:
    """Return the opaque grounds of an element: one, or the stops of a gradient; None where it has none."""
    image, plain = (
        paint(filled_in(entry.declaration.value, variables), scheme) if entry is not None else None
        for entry in (said.image, said.color)
    )
    color = plain.colors[-1] if plain is not None and plain.colors else None
    if image is not None and image.has_picture:
        raise CannotTell("a picture lies behind the text")
    stops = image.stops if image is not None else ()
    if not stops and (color is None or color.alpha == 0):
        return None
    if color is None or color.alpha < 1:
        if not stops:
            raise CannotTell("the ground lets through what is behind it")
        if any(stop.alpha < 1 for stop in stops):
            raise CannotTell("the gradient lets through what is behind it")
        return [stop.hex for stop in stops]
    return [_over(stop, color.hex) for stop in stops] or [color.hex]


def _refuse_changes(style: Style) -> None:
    """Raise CannotTell where a declaration of the element, or around it, changes how the colours are seen."""
    for winning in style.around:
        _refuse_changes_around(winning, style.variables)
    won = {entry.declaration.property: entry.declaration.value for entry in style.ranked}
    for name, value in won.items():
        if name not in _CHANGES_WHAT_IS_SEEN | _CLIPS:
            continue
        word = filled_in(value, style.variables).strip().lower()
        if name in _CLIPS and "text" in word.split():
            raise CannotTell("the ground is clipped to the text")
        if name in _CHANGES_WHAT_IS_SEEN and word not in _CHANGES_NOTHING:
            raise CannotTell(f"{name} changes what is seen")


def _refuse_changes_around(winning: Sequence[Winning], variables: Variables) -> None:
    won = {entry.declaration.property: entry.declaration.value for entry in winning}
    for name in _CHANGES_WHAT_IS_SEEN & won.keys() - {"background-blend-mode"}:
        if filled_in(won[name], variables).strip().lower() not in _CHANGES_NOTHING:
            raise CannotTell(f"{name} around it changes what is seen")


def _over(color: ReadColor, ground: Hex) -> Hex:
    if color.alpha >= 1:
        return color.hex
    return srgb8_to_hex(composite(hex_to_srgb8(color.hex), color.alpha, hex_to_srgb8(ground)))


def _compared(seen: _Seen, level: Level) -> tuple[Outcome, str]:
    ratio = ratio_between(seen.text, seen.ground)
    asked = requirement(Usage.BODY_TEXT, level, seen.size.pixels, seen.size.weight)
    if ratio >= asked.ratio:
        return "passes", ""
    if not seen.size.is_known and ratio >= requirement(Usage.LARGE_TEXT, level).ratio:
        return "unknown", "its size isn't known, and large text may have less"
    return "fails", ""
