"""What the sample pages are drawn with: grounds, what every element uses on them, sizes, pictures' paints.

Computed of a take; asked for by every view that shows a page, and kept with every review.
"""

from __future__ import annotations

import base64
from collections.abc import Sequence
from dataclasses import replace

from tonada.core.color.contrast import ratio_between
from tonada.core.color.spaces import Hex
from tonada.core.proof.behind import Behind, PictureColors, behind_of
from tonada.core.proof.chart_series import NEEDED, series_of
from tonada.core.proof.choices import needed_for, strictest_size
from tonada.core.proof.grounds import Ground, Use, clashing_with, grounds_of
from tonada.core.proof.letters import Letters, letters_for
from tonada.core.proof.logo_grounds import LogoOn, logo_on, shows_somewhere
from tonada.core.proof.own_material import NO_MATERIAL, OwnMaterial
from tonada.core.proof.own_texts import (
    Direction,
    Spoken,
    SpokenText,
    page_spoken,
    spoken_texts,
)
from tonada.core.proof.pages import BOARD_HALVES, HOME, LOGO_SECTIONS, OPENING, section_grounds
from tonada.core.proof.paints import Paint, paints_of
from tonada.core.proof.toning import Toning, toning_of
from tonada.core.proof.typefaces import OWN
from tonada.core.proof.typesetting import typeset
from tonada.core.proof.voices import NEUTRAL, voice_of
from tonada.core.roles.plan import planned_share
from tonada.core.source.pictures.logo_outline import Logo
from tonada.core.take.proof_settings import TEXT_STYLES, PictureTone, ProofSettings, TextStyle, VoiceId
from tonada.core.take.take import Take
from tonada.document.parts import Model
from tonada.document.proof import VoiceText


class SeriesColor(Model):
    """A colour for the series of a chart, with its ratio to the ground and the ratio it needs."""

    key: str
    name: str
    hex: str
    ratio: float
    needed: float
    criterion: str = "1.4.11"
    passes: bool
    short_by: float

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
            short_by=max(0.0, NEEDED - ratio),
        )


class GroundAnswer(Model):
    """series: for charts on this ground, told apart in any colour vision. clashes: the grounds that a card on
    this one had better not have. share: of a page, as it is planned, in parts of all.
    """

    id: str
    name: str
    key: str
    hex: str
    is_own: bool
    elements: tuple[Use, ...]
    series: tuple[SeriesColor, ...]
    clashes: tuple[str, ...] = ()
    share: float = 0

    @classmethod
    def of(cls, ground: Ground, take: Take, grounds: Sequence[Ground]) -> GroundAnswer:
        return cls(
            id=ground.id,
            name=ground.name,
            key=ground.key,
            hex=ground.hex,
            is_own=ground.is_own,
            elements=ground.elements,
            series=tuple(SeriesColor.of(take, key, ground.hex) for key in series_of(take, ground.hex)),
            clashes=clashing_with(ground, grounds),
            share=planned_share(take.assignment(ground.id)) if take.has_role(ground.id) else 0,
        )


class TextStyleAnswer(Model):
    """A text of the pages: its size in CSS pixels by width, its weight, what it needs and by which criterion.

    needed: in the width that asks most; deciding: the size that a text has there.
    """

    style: TextStyle
    size: float
    tablet: float
    phone: float
    deciding: float
    weight: int
    needed: float
    criterion: str


class StandsOn(Model):
    page: str
    section: str
    ground: str
    has_logo: bool = False


class LayerAnswer(Model):
    """A translucent colour over a picture."""

    hex: str
    alpha: float


class ToneAnswer(Model):
    """What dark and light parts of a picture are painted with: each channel's ends, 0 to 1, as the
    table of a transfer function in SVG. by_luma: along the luma, else along the channel itself."""

    by_luma: bool
    red: str
    green: str
    blue: str

    @classmethod
    def of(cls, toning: Toning) -> ToneAnswer:
        ends = zip(toning.dark, toning.light, strict=True)
        red, green, blue = (f"{one:.6f} {other:.6f}" for one, other in ends)
        return cls(by_luma=toning.by_luma, red=red, green=green, blue=blue)


class PictureAnswer(Model):
    """What a picture in a place of a page is painted with; None as it is."""

    page: str
    part: str
    tone: ToneAnswer | None


class LogoAnswer(Model):
    """A transparent logo on each ground. mask: its shape, a PNG as a data address, where it is to be in one
    colour on grounds that hide it, or on the brand board; else empty. is_in_one: whether elsewhere, too."""

    on: tuple[LogoOn, ...]
    mask: str
    is_in_one: bool

    @classmethod
    def of(
        cls, logo: Logo, grounds: Sequence[Ground], halves: Sequence[str], in_one: bool | None
    ) -> LogoAnswer:
        """halves: the grounds that the board shows the logo on."""
        on = tuple(logo_on(logo.outline, ground.id, ground.hex) for ground in grounds if logo.outline)
        is_on_board = in_one is not False and any(not one.all_pass for one in on if one.ground in halves)
        if in_one is None:
            # By night a dark logo has no other ground to go to.
            plain = {ground.id: ground.hex for ground in grounds}
            in_one = bool(on) and not shows_somewhere(logo.outline, plain)
        is_asked = in_one or is_on_board
        mask = f"data:image/png;base64,{base64.b64encode(logo.mask).decode()}" if is_asked else ""
        return cls(on=on, mask=mask, is_in_one=in_one)


class OverPictureAnswer(Model):
    """The texts of the opening over the brand's picture, each on the worst pixel under the layer.

    is_automatic: the layer is as much of the ground as they need.
    """

    is_automatic: bool
    elements: tuple[Use, ...]


class FacesAnswer(Model):
    """The typefaces of headings and of texts: the take's, or else the trade's.

    heading_helper, text_helper: of a font of the brand's own, the one that ships for letters that it lacks.
    """

    heading: str
    text: str
    heading_helper: str = ""
    text_helper: str = ""

    @classmethod
    def of(cls, proof: ProofSettings, voice: VoiceId) -> FacesAnswer:
        heading, text = proof.heading_face or "", proof.text_face or ""
        trade = voice_of(voice).type
        return cls(
            heading=heading,
            text=text,
            heading_helper=trade.heading if heading.startswith(OWN) else "",
            text_helper=trade.text if text.startswith(OWN) else "",
        )


class TextAnswer(Model):
    """Words in place of a page's own, and how they are to be set."""

    page: str
    part: str
    text: str
    language: str
    direction: Direction

    @classmethod
    def of(cls, own: SpokenText) -> TextAnswer:
        return cls(
            page=own.text.page,
            part=own.text.part,
            text=own.text.text,
            language=own.spoken.language,
            direction=own.spoken.direction,
        )


class PageFigures(Model):
    """What the sample pages are drawn with. layer: over the picture, where one was chosen. logo: where the
    take has one that is still there. over_picture: where its picture lies behind words.
    tone: of that picture. pictures: others, in their places.

    voice: whose words, pictures and sections. spoken: the language of the pages. letters: that
    own words need beyond those of the typefaces.
    paints: what drawn pictures are painted with, by name.
    """

    grounds: tuple[GroundAnswer, ...]
    sections: tuple[StandsOn, ...]
    styles: tuple[TextStyleAnswer, ...]
    layer: LayerAnswer | None
    voice: VoiceText
    faces: FacesAnswer
    spoken: Spoken
    texts: tuple[TextAnswer, ...]
    letters: tuple[Letters, ...]
    paints: tuple[Paint, ...]
    tone: ToneAnswer | None
    pictures: tuple[PictureAnswer, ...] = ()
    logo: LogoAnswer | None = None
    over_picture: OverPictureAnswer | None = None

    @classmethod
    def of(cls, take: Take, guessed: VoiceId | None = None, own: OwnMaterial = NO_MATERIAL) -> PageFigures:
        voice = take.proof.voice or guessed or NEUTRAL
        take = replace(take, proof=typeset(take.proof, voice, own.fonts))
        faces = FacesAnswer.of(take.proof, voice)
        texts = take.proof.texts
        spoken = spoken_texts(texts, take.proof.language)
        grounds = grounds_of(take)
        logo = own.logo
        stands = section_grounds(
            take, {ground.id: ground.hex for ground in grounds}, voice, logo.outline if logo else ()
        )
        behind = _behind(take, grounds, stands, own.picture)
        halves = [ground for _, section, ground in stands if section in BOARD_HALVES]
        return cls(
            grounds=tuple(GroundAnswer.of(ground, take, grounds) for ground in grounds),
            sections=tuple(
                StandsOn(page=page, section=section, ground=ground, has_logo=section in LOGO_SECTIONS)
                for page, section, ground in stands
            ),
            styles=tuple(_style(take, style) for style in TEXT_STYLES),
            layer=LayerAnswer(hex=behind.layer.hex, alpha=behind.layer.alpha)
            if behind and behind.layer
            else None,
            voice=voice,
            faces=faces,
            spoken=page_spoken(texts, take.proof.language),
            texts=tuple(map(TextAnswer.of, spoken)),
            letters=letters_for(spoken, faces.heading, faces.text, own.fonts),
            paints=paints_of(take),
            tone=_tone(take, take.proof.picture_tone),
            pictures=tuple(
                PictureAnswer(page=one.page, part=one.part, tone=_tone(take, one.tone))
                for one in take.proof.pictures
            ),
            logo=LogoAnswer.of(logo, grounds, halves, take.proof.logo_in_one) if logo else None,
            over_picture=OverPictureAnswer(is_automatic=behind.is_automatic, elements=behind.uses)
            if behind
            else None,
        )


def _behind(
    take: Take,
    grounds: Sequence[Ground],
    stands: Sequence[tuple[str, str, str]],
    picture: PictureColors | None,
) -> Behind | None:
    """Return how the opening's texts stand over the picture behind them; None where there is none."""
    if picture is None or take.proof.picture_place != "behind":
        return None
    wanted = next((ground for page, section, ground in stands if (page, section) == (HOME, OPENING)), None)
    ground = next((one for one in grounds if one.id == wanted), None)
    toning = toning_of(take, take.proof.picture_tone)
    return behind_of(take, ground, picture.seen_on(ground.hex, toning)) if ground else None


def _tone(take: Take, tone: PictureTone) -> ToneAnswer | None:
    toning = toning_of(take, tone)
    return ToneAnswer.of(toning) if toning else None


def _style(take: Take, style: TextStyle) -> TextStyleAnswer:
    size, asked = take.proof.size_of(style), needed_for(take, style)
    return TextStyleAnswer(
        style=style,
        size=size.size,
        tablet=take.proof.size_of(style, "tablet").size,
        phone=take.proof.size_of(style, "phone").size,
        deciding=strictest_size(take, (style,)).size,
        weight=size.weight,
        needed=asked.ratio,
        criterion=asked.criterion,
    )
