"""The whole way from a file to its colours: which reader fits, the ground, the shares."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

import numpy as np
from numpy.typing import NDArray

from tonada.core.color.spaces import Floats, Hex, srgb8_to_hex, srgb8_to_oklab
from tonada.core.errors import ImageError
from tonada.core.limits import MAX_FOUND_COLORS
from tonada.core.source.notes import Note
from tonada.core.source.pictures.canvas import artwork_size
from tonada.core.source.pictures.decode import check_file_size, decode_bitmap, measure_bitmap
from tonada.core.source.pictures.ground import find_ground
from tonada.core.source.pictures.layers import NO_COLOR, SMALLEST_SHARE, Labels, Layers, Mask, drop_small
from tonada.core.source.pictures.lossless import read_lossless, visibility
from tonada.core.source.pictures.lossy import looks_photographic, read_lossy
from tonada.core.source.pictures.margin import trimmed
from tonada.core.source.pictures.photo import read_photo
from tonada.core.source.pictures.picture import ImageFormat, Picture, Region, pack, unpack
from tonada.core.source.pictures.steps import MOST_STEPS, SEEN, Part, joined_steps, nested_steps
from tonada.core.source.pictures.svg import decode_svg, looks_like_svg

Kind: TypeAlias = Literal["flat", "photographic"]
Steps: TypeAlias = tuple[tuple[Part, ...], ...]

# Flat artwork is a file of which a few colours hold this much.
LEAST_COVERAGE_LOSSLESS: Final = 0.55
LEAST_COVERAGE_LOSSY: Final = 0.78

# A JPEG this large is looked at small first.
LEAST_FOR_GLIMPSE: Final = 3_000_000
GLIMPSE_PIXELS: Final = 150_000


@dataclass(frozen=True, slots=True)
class FoundColor:
    """share: of everything visible, 0 to 1. ground_share: the part of it that is the ground.

    is_stop: the file names it only as the stop of a gradient, so that hardly a pixel has just it.
    """

    hex: Hex
    share: float
    ground_share: float
    is_stop: bool = False


@dataclass(frozen=True, slots=True)
class Extraction:
    """What was found in a file.

    exact: the values are those of the file: not read through compression noise, every paint understood.
    ground: what the artwork stands on, or None where it fills its frame or stands on nothing.
    steps: nested results, from one colour up to twelve, each with the largest share first.
    count: how many colours the reading itself has; `colors` is that step.
    """

    format: ImageFormat
    kind: Kind
    exact: bool
    width: int
    height: int
    ground: Hex | None
    steps: tuple[tuple[FoundColor, ...], ...]
    count: int
    notes: tuple[Note, ...] = ()

    @property
    def colors(self) -> tuple[FoundColor, ...]:
        """The colours of the reading, together 1."""
        return self.steps[self.count - 1]


def extract_colors(
    data: bytes,
    *,
    most: int = MAX_FOUND_COLORS,
    kind: Kind | None = None,
    region: Region | None = None,
) -> Extraction:
    """Return the colours of an image file, at most `most` (1 to 12). The same bytes give the same answer.

    kind overrules what the file looks like; region reads only a part of it.
    Raises ImageError or ImageTooLarge.
    """
    check_file_size(data)
    if kind != "flat" and region is None:
        glimpse = _glimpse(data)
        if glimpse and (kind == "photographic" or looks_photographic(glimpse)):
            return read_picture(glimpse, most=most, kind="photographic")
    return read_picture(decode_image(data), most=most, kind=kind, region=region)


def _glimpse(data: bytes) -> Picture | None:
    """Return a large JPEG at an eighth of its size, which a photograph's few colours can be read from.

    None for other files: they have no smaller size to decode.
    """
    if looks_like_svg(data):
        return None
    format_name, width, height = measure_bitmap(data)
    if format_name != "JPEG" or width * height < LEAST_FOR_GLIMPSE:
        return None
    return decode_bitmap(data, working_pixels=GLIMPSE_PIXELS)


def measure_image(data: bytes) -> tuple[ImageFormat, int, int]:
    """Return format, width and height from the header; an SVG, which has no pixels yet, counts as 0 by 0.

    Raises ImageError or ImageTooLarge.
    """
    check_file_size(data)
    return ("SVG", 0, 0) if looks_like_svg(data) else measure_bitmap(data)


def decode_image(data: bytes) -> Picture:
    """Return the picture of any format that is read. Raises ImageError or ImageTooLarge."""
    return decode_svg(data) if looks_like_svg(data) else decode_bitmap(data)


def read_picture(
    picture: Picture,
    *,
    most: int = MAX_FOUND_COLORS,
    kind: Kind | None = None,
    region: Region | None = None,
) -> Extraction:
    """Return the colours of a decoded picture; see extract_colors."""
    part = picture.cropped(region) if region else picture
    if not visibility(part)[0].any():
        raise ImageError("The image is fully transparent, so there are no colours to read.")
    drawing = None if kind == "photographic" else _drawing(part, is_sure=kind == "flat")
    count, steps = drawing.steps() if drawing else _photo_steps(part)
    if not count:
        raise ImageError("No colour can be told apart here. Choose a larger part of the picture.")
    return Extraction(
        format=picture.format,
        kind="flat" if drawing else "photographic",
        exact=drawing is not None and not picture.lossy and _is_understood(picture.notes),
        notes=picture.notes,
        width=picture.width,
        height=picture.height,
        ground=drawing.ground_hex if drawing else None,
        steps=tuple(_found(step, drawing, picture.stops) for step in steps),
        count=min(count, most, len(steps)),
    )


@dataclass(frozen=True, slots=True)
class _Drawing:
    """Flat artwork without its margin. ground: which colour that is and how much of it is. cut: the share
    of the margin, which is ground too."""

    artwork: Picture
    layers: Layers
    ground: tuple[int, float] | None
    cut: float

    @property
    def ground_hex(self) -> Hex | None:
        return srgb8_to_hex(self.layers.colors[self.ground[0]]) if self.ground else None

    def steps(self) -> tuple[int, Steps]:
        """Return how many colours there are, and the steps around that."""
        return len(self.layers.colors), nested_steps(self.layers, self.artwork.rgb)


def _drawing(picture: Picture, *, is_sure: bool) -> _Drawing | None:
    """Return what flat artwork has; None where it isn't flat. is_sure: the user said so."""
    artwork, cut = trimmed(picture)
    layers = _flat(artwork, is_sure=is_sure)
    ground = find_ground(layers.labels) if layers else None
    if cut and ground is None:
        # What was cut off has to be counted to something.
        artwork, cut = picture, 0.0
        layers = _flat(picture, is_sure=is_sure)
        ground = find_ground(layers.labels) if layers else None
    return _Drawing(artwork, layers, ground, cut) if layers else None


def _photo_steps(picture: Picture) -> tuple[int, Steps]:
    """Return how many colours a person would name in a photograph, and the steps around that."""
    reading = read_photo(picture, most=MOST_STEPS)
    steps = [
        sorted(
            (
                Part(int(color), float(share), (row,))
                for row, (color, share) in enumerate(zip(pack(colors), shares, strict=True))
            ),
            key=lambda part: -part.share,
        )
        for colors, shares in reading.steps
    ]
    steps[:1] = joined_steps(steps[0], SEEN) if steps else []
    return reading.count, tuple(tuple(step) for step in steps)


def _found(
    step: tuple[Part, ...], drawing: _Drawing | None, stops: tuple[int, ...]
) -> tuple[FoundColor, ...]:
    """Return the colours of a step, largest first."""
    cut = drawing.cut if drawing else 0.0
    found = []
    for part in step:
        of_ground = margin = 0.0
        if drawing and drawing.ground and drawing.ground[0] in part.origins:
            of_ground = float(drawing.layers.shares[drawing.ground[0]]) * drawing.ground[1]
            margin = cut
        found.append(
            FoundColor(
                hex=srgb8_to_hex(unpack([part.color])[0]),
                share=part.share * (1 - cut) + margin,
                ground_share=of_ground * (1 - cut) + margin,
                is_stop=part.color in stops,
            )
        )
    return tuple(sorted(found, key=lambda color: -color.share))


def _flat(picture: Picture, *, is_sure: bool) -> Layers | None:
    """Return the colours of flat artwork; None where it isn't flat."""
    if picture.format == "SVG":
        return _of_svg(picture)
    if not picture.lossy:
        layers = read_lossless(picture)
        if len(layers.colors) and (is_sure or layers.coverage >= LEAST_COVERAGE_LOSSLESS):
            return layers
    layers = read_lossy(picture)
    if len(layers.colors) and (is_sure or layers.coverage >= LEAST_COVERAGE_LOSSY):
        return layers
    return None


def _declared_labels(picture: Picture, visible: Mask) -> Labels:
    """Label the visible pixels that have just a declared colour, those of gradients' stops exempt."""
    plain = np.setdiff1d(picture.declared, picture.stops)
    labels = np.full(visible.shape, NO_COLOR, dtype=np.int16)
    if not plain.size:
        return labels
    packed = pack(picture.rgb)
    places = np.minimum(np.searchsorted(plain, packed), plain.size - 1)
    is_plain = visible & (plain[places] == packed)
    order = np.argsort(picture.declared)
    rows = order[np.searchsorted(np.asarray(picture.declared)[order], plain)].astype(np.int16)
    labels[is_plain] = rows[places[is_plain]]
    return labels


def _nearest(pixels: Floats, places: Floats) -> NDArray[np.intp]:
    """Return for each pixel the row of the nearest place; one place after the other, to save memory."""
    nearest = np.zeros(len(pixels), dtype=np.intp)
    least = np.full(len(pixels), np.inf)
    for row, place in enumerate(places):
        distance = np.sum((pixels - place) ** 2, axis=-1)
        closer = distance < least
        nearest[closer], least[closer] = row, distance[closer]
    return nearest


def _of_svg(picture: Picture) -> Layers:
    """Read an SVG: a pixel of no declared colour lies in a gradient, and belongs to the nearest stop."""
    if not picture.stops:
        return read_lossless(picture)
    visible, _ = visibility(picture)
    declared = unpack(picture.declared)
    stops = np.flatnonzero(np.isin(picture.declared, picture.stops)).astype(np.int16)
    labels = _declared_labels(picture, visible)
    rest = visible & (labels == NO_COLOR)
    labels[rest] = stops[_nearest(srgb8_to_oklab(picture.rgb[rest]), srgb8_to_oklab(declared[stops]))]
    used, own = np.unique(labels[visible], return_inverse=True)
    labels[visible] = own
    values = declared[used].astype(np.float32)
    layers = Layers(declared[used], labels, 1.0)
    return drop_small(layers, picture.rgb, values, SMALLEST_SHARE * artwork_size(picture.rgb, visible))


def _is_understood(notes: tuple[Note, ...]) -> bool:
    return all(note.kind != "not understood" for note in notes)
