"""The proof across the boundary: grounds with what every element uses on them, the pages, the typefaces."""

from __future__ import annotations

from tonada.core import limits
from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.proof.chart_series import NEEDED, series_of
from tonada.core.proof.choices import needed_for
from tonada.core.proof.grounds import Ground, Use, grounds_of
from tonada.core.proof.pages import PAGES, Page, section_grounds
from tonada.core.proof.typefaces import PAIRINGS, TYPEFACES, Pairing, Typeface
from tonada.core.roles.plan import CALL_ROLES, GROUND_ROLES
from tonada.core.take.proof_settings import TEXT_STYLES, USUAL_SIZES, TextStyle
from tonada.core.take.take import Take
from tonada.document.parts import Model
from tonada.document.proof import TextSizeModel


class SeriesColor(Model):
    """A colour for the series of a chart, with its ratio to the ground and the ratio it needs."""

    key: str
    name: str
    hex: str
    ratio: float
    needed: float
    criterion: str = "1.4.11"
    passes: bool

    @classmethod
    def of(cls, take: Take, key: str, ground: Hex) -> SeriesColor:
        value = take.color_of(key)
        ratio = ratio_between(value, ground)
        return cls(
            key=key,
            name=take.display_name(key),
            hex=value,
            ratio=ratio,
            needed=NEEDED,
            passes=ratio >= NEEDED,
        )


class GroundAnswer(Model):
    """series: for charts on this ground, told apart by all eyes."""

    id: str
    name: str
    key: str
    hex: str
    is_own: bool
    elements: tuple[Use, ...]
    series: tuple[SeriesColor, ...]

    @classmethod
    def of(cls, one: Ground, take: Take) -> GroundAnswer:
        return cls(
            id=one.id,
            name=one.name,
            key=one.key,
            hex=one.hex,
            is_own=one.is_own,
            elements=one.elements,
            series=tuple(SeriesColor.of(take, key, one.hex) for key in series_of(take, one.hex)),
        )


class TextStyleAnswer(Model):
    """A text of the pages: its size in CSS pixels, its weight, the ratio it needs, and by which criterion."""

    style: TextStyle
    size: float
    weight: int
    needed: float
    criterion: str


class StandsOn(Model):
    page: str
    section: str
    ground: str


class LayerAnswer(Model):
    """A translucent colour over a picture."""

    hex: str
    alpha: float


class ProofAnswer(Model):
    """What the sample pages are drawn with. layer: over the picture, where one was chosen."""

    grounds: tuple[GroundAnswer, ...]
    sections: tuple[StandsOn, ...]
    styles: tuple[TextStyleAnswer, ...]
    layer: LayerAnswer | None

    @classmethod
    def of(cls, take: Take) -> ProofAnswer:
        grounds = grounds_of(take)
        overlay = take.overlay(take.proof.overlay) if take.proof.overlay else None
        return cls(
            grounds=tuple(GroundAnswer.of(one, take) for one in grounds),
            sections=tuple(
                StandsOn(page=page, section=section, ground=ground)
                for page, section, ground in section_grounds(take, [one.id for one in grounds])
            ),
            styles=tuple(_style(take, style) for style in TEXT_STYLES),
            layer=LayerAnswer(hex=take.value_at(overlay.swatch, overlay.step), alpha=overlay.alpha)
            if overlay
            else None,
        )


def _style(take: Take, style: TextStyle) -> TextStyleAnswer:
    size, asked = take.proof.size_of(style), needed_for(take, style)
    return TextStyleAnswer(
        style=style, size=size.size, weight=size.weight, needed=asked.ratio, criterion=asked.criterion
    )


class ProofVocabulary(Model):
    """The pages, the typefaces that ship, and which roles count as grounds and as calls."""

    pages: tuple[Page, ...]
    typefaces: tuple[Typeface, ...]
    pairings: tuple[Pairing, ...]
    usual_sizes: tuple[TextSizeModel, ...]
    ground_roles: tuple[str, ...] = tuple(sorted(GROUND_ROLES))
    call_roles: tuple[str, ...] = tuple(sorted(CALL_ROLES))
    most_grounds: int = limits.MAX_GROUNDS

    @classmethod
    def whole(cls) -> ProofVocabulary:
        return cls(
            pages=PAGES,
            typefaces=TYPEFACES,
            pairings=PAIRINGS,
            usual_sizes=tuple(
                TextSizeModel(style=style, size=one.size, weight=one.weight)
                for style, one in USUAL_SIZES.items()
            ),
        )
