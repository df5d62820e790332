"""The first page of the client's sheet: the colours at their sizes and at their work."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final

from tonada.core.color.contrast import ratio_between, rounded_down
from tonada.core.color.press import Press
from tonada.core.color.spaces import Hex
from tonada.core.color.wcag import ENHANCED_RATIO, LARGE_RATIO, TEXT_RATIO, TEXTS, Level
from tonada.core.color.writing import written
from tonada.core.pairs.evaluation import Cell, Evaluation, PairFigures
from tonada.core.proof.grounds import Ground, grounds_of
from tonada.core.proof.typefaces import family_of
from tonada.core.take.proof_settings import Element, ProofSettings, TextStyle
from tonada.core.take.take import Role, Take
from tonada.files.page_faces import SHIPPED_WEIGHTS, OwnFont, face_data, own_font

# What the page is made of; the rest of the palette stands in a row below.
LEFT: Final = (Role.PAPER, Role.MIST)
RIGHT: Final = (Role.PRIMARY, Role.SECONDARY, Role.ACCENT)
# An area is never so small that its values have no room, nor so large that the others have none.
WIDTHS: Final = (0.42, 0.63)
HEIGHTS_LEFT: Final = (0.6, 0.8)
HEIGHTS_RIGHT: Final = (0.48, 0.6)
WIDTHS_RIGHT: Final = (0.48, 0.52)
MOST_OTHERS: Final = 14
ONE_ROW: Final = 7
MOST_PAIRS: Final = 8
# A longer name would run over what stands on a small field; the table of values has it.
LONGEST_SEEN: Final = 24
_HEADINGS: Final[tuple[TextStyle, ...]] = ("h1", "h2", "h3")
_TEXTS: Final[Mapping[TextStyle, str]] = {"text": "text", "small": "small", "label": "buttons"}
# What text of any size, and what large text needs; level A asks nothing, and is told what AA asks.
ALL_TEXT: Final[Mapping[Level, float]] = {"A": TEXT_RATIO, "AA": TEXT_RATIO, "AAA": ENHANCED_RATIO}
LARGE_TEXT: Final[Mapping[Level, float]] = {"A": LARGE_RATIO, "AA": LARGE_RATIO, "AAA": TEXT_RATIO}


@dataclass(frozen=True, slots=True)
class Values:
    """A colour with its values, and the colour that they are written in on it.

    name: its role. seen: what a client was told that it is called, where that is another.
    """

    name: str
    hex: Hex
    rgb: str
    cmyk: str | None
    in_gamut: bool
    label: Hex
    seen: str = ""


@dataclass(frozen=True, slots=True)
class Area:
    """A field of the composition. left, top, width, height: in per cents of it. uses: what is on it,
    by element; empty where nothing is set on the colour."""

    values: Values
    left: float
    top: float
    width: float
    height: float
    uses: Mapping[str, Hex]


@dataclass(frozen=True, slots=True)
class Shown:
    """A pair as a tile. good_for: what text may be set so. ratio: cut to two decimals.

    small_hex: what the small words beneath are written in, the text's colour where it carries them.
    """

    text: str
    ground: str
    text_hex: Hex
    ground_hex: Hex
    good_for: str
    ratio: str
    small_hex: Hex


@dataclass(frozen=True, slots=True)
class Letters:
    """A face with the sizes in pixels that it is set in, as text, and the weight of the largest.

    data: its Latin letters as WOFF2 in base64, to set its name in; None where they aren't there. weights:
    that this file has.
    """

    face: str
    sizes: str
    weight: int
    data: str | None
    weights: str = SHIPPED_WEIGHTS

    @property
    def name(self) -> str:
        """What people call the face."""
        return family_of(self.face)


@dataclass(frozen=True, slots=True)
class Front:
    """shares: a sentence. letters: the faces of headings and of text.

    columns: of the other colours, so that no row has a single one.
    """

    areas: tuple[Area, ...]
    others: tuple[Values, ...]
    pairs: tuple[Shown, ...]
    letters: tuple[Letters, ...]
    shares: str

    @property
    def columns(self) -> int:
        return len(self.others) if len(self.others) <= ONE_ROW else -(-len(self.others) // 2)

    @property
    def beyond_print(self) -> bool:
        """Whether a press can't show one of the colours."""
        return not all(area.in_gamut for area in (*(area.values for area in self.areas), *self.others))


def front_of(
    take: Take,
    evaluation: Evaluation,
    press: Press | None,
    proof: ProofSettings,
    fonts: Sequence[OwnFont] = (),
) -> Front:
    """Return the first page of a take, the scheme in front. proof: what its pages are set in. fonts: of the
    brand."""
    areas = tuple(_areas(take, evaluation, press))
    composed = {area.values.hex for area in areas}
    others = [cell for cell in evaluation.measure if cell.hex not in composed][:MOST_OTHERS]
    return Front(
        areas=areas,
        others=tuple(_values(take, cell.role_names or cell.name, cell.hex, press) for cell in others),
        pairs=tuple(_pairs(take, evaluation.pairs)),
        letters=_letters(proof, fonts),
        shares=_shares(evaluation.measure),
    )


def _values(take: Take, name: str, value: Hex, press: Press | None) -> Values:
    printed = press.printed(value) if press else None
    return Values(
        name,
        value,
        written(value, "decimals"),
        printed.text if printed else None,
        printed.in_gamut if printed else True,
        label_on(take, value),
    )


def label_on(take: Take, value: Hex) -> Hex:
    """Return what can be read on a colour: Ink or Paper, else black or white."""
    own = [take.hex_of(role) for role in (Role.INK, Role.PAPER) if take.has_role(role)]
    readable = [entry for entry in own if ratio_between(entry, value) >= TEXT_RATIO]
    return max(readable or ("#000000", "#ffffff"), key=lambda entry: ratio_between(entry, value))


def _areas(take: Take, evaluation: Evaluation, press: Press | None) -> Iterator[Area]:
    """Yield the fields: the grounds of the page on the left, what leads and calls on the right."""
    shares = {role: cell.share for cell in evaluation.measure for role in cell.roles}
    there = [role for role in (*LEFT, *RIGHT) if take.has_role(role)]
    grounds = {ground.key: ground for ground in grounds_of(take)}
    names = {cell.hex: cell.name for cell in evaluation.measure}

    def area(role: Role, left: float, top: float, width: float, height: float) -> Area:
        name, value = take.display_name(role), take.hex_of(role)
        seen = names.get(value, name)
        values = replace(
            _values(take, name, value, press), seen=seen if seen != name and len(seen) <= LONGEST_SEEN else ""
        )
        uses = _uses(grounds[role]) if role in grounds else {}
        return Area(values, 100 * left, 100 * top, 100 * width, 100 * height, uses)

    left = [role for role in LEFT if role in there]
    right = [role for role in RIGHT if role in there]
    width = _part(left, right, shares, WIDTHS)
    if left:
        tall = _part(left[:1], left[1:], shares, HEIGHTS_LEFT)
        yield area(left[0], 0, 0, width, tall)
        if left[1:]:
            yield area(left[1], 0, tall, width, 1 - tall)
    if right:
        tall = _part(right[:1], right[1:], shares, HEIGHTS_RIGHT)
        yield area(right[0], width, 0, 1 - width, tall)
        first = _part(right[1:2], right[2:], shares, WIDTHS_RIGHT) * (1 - width)
        if right[1:]:
            yield area(right[1], width, tall, first, 1 - tall)
        if right[2:]:
            yield area(right[2], width + first, tall, 1 - width - first, 1 - tall)


def _part(
    one: Sequence[Role], other: Sequence[Role], shares: Mapping[str, float], limits: tuple[float, float]
) -> float:
    """Return how much of two groups the first takes, by their shares of the page, within limits."""
    if not one or not other:
        return 1.0 if one else 0.0
    own, rest = (sum(shares.get(role, 0.0) for role in group) for group in (one, other))
    return min(limits[1], max(limits[0], own / (own + rest) if own + rest else 0.5))


def _uses(ground: Ground) -> dict[str, Hex]:
    """Return the colour of each element that is shown, and of the button's face."""
    found = {element.element.value: element.hex for element in ground.elements}
    face = next((element.over for element in ground.elements if element.element == Element.LABEL), ground.hex)
    return {name.replace(" ", "_"): value for name, value in found.items()} | {"face": face}


def _pairs(take: Take, pairs: Sequence[PairFigures]) -> Iterator[Shown]:
    """Yield pairs of text that pass, those that carry all text first, no two alike."""
    texts = [pair for pair in pairs if pair.usage in TEXTS and not pair.is_exempt]
    wanted = [text for text in texts if text.ratio >= LARGE_TEXT[take.level]]
    wanted.sort(key=lambda pair: pair.ratio < ALL_TEXT[take.level])
    seen: set[tuple[Hex, Hex]] = set()
    for one in wanted:
        if (one.text_hex, one.ground_hex) in seen or len(seen) >= MOST_PAIRS:
            continue
        seen.add((one.text_hex, one.ground_hex))
        good_for = "all text" if one.ratio >= ALL_TEXT[take.level] else "large text only"
        small = one.text_hex if one.ratio >= TEXT_RATIO else label_on(take, one.ground_hex)
        yield Shown(
            text=one.text_name,
            ground=one.ground_name,
            text_hex=one.text_hex,
            ground_hex=one.ground_hex,
            good_for=good_for,
            ratio=rounded_down(one.ratio),
            small_hex=small,
        )


def _letters(proof: ProofSettings, fonts: Sequence[OwnFont]) -> tuple[Letters, ...]:
    heading, running = proof.heading_face or "", proof.text_face or ""
    headings = " · ".join(f"{proof.size_of(style).size:g}" for style in _HEADINGS)
    texts = ", ".join(f"{name} {proof.size_of(style).size:g}" for style, name in _TEXTS.items())
    first, text = (proof.size_of(style).weight for style in (_HEADINGS[0], "text"))
    return (
        _letters_of(heading, f"headings {headings}", first, fonts),
        _letters_of(running, texts, text, fonts),
    )


def _letters_of(face: str, sizes: str, weight: int, fonts: Sequence[OwnFont]) -> Letters:
    own = own_font(face, weight, fonts)
    if own is None:
        return Letters(face, sizes, weight, face_data(face))
    return Letters(face, sizes, weight, own.data, own.weights)


def _shares(measure: Sequence[Cell]) -> str:
    """Return the shares of the page in a sentence, those under one in a hundred left out."""
    named = [(cell.role_names or cell.name, round(100 * cell.share)) for cell in measure]
    named.sort(key=lambda entry: -entry[1])
    told = [f"{name.split(',')[0]} {share}%" for name, share in named if share >= 1]
    return f"Of the page: {', '.join(told)}." if told else ""
