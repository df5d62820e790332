"""From the bytes of an image to its colours and their shares.

decode    bytes → Picture, within the limits     svg       what an SVG may hold, and what it declares
lossless  flat artwork, exact values             lossy     flat artwork behind JPEG noise
photo     the few colours a person would name    layers    which pixel belongs to which colour
ground    what the artwork stands on             steps     fewer and more: nested results
canvas    what nothing is drawn on               margin    the canvas around artwork, cut off
unmix     chroma from the means of JPEG blocks
reading   the whole way, and which reader fits   pick      single pixels, looked at closely
preview   a picture that is safe to show
"""

from tonada.core.source.pictures.pick import Loupe, look_at
from tonada.core.source.pictures.picture import Picture, Region
from tonada.core.source.pictures.preview import draw_preview, render_preview
from tonada.core.source.pictures.reading import (
    Extraction,
    FoundColor,
    Kind,
    decode_image,
    extract_colors,
    measure_image,
    read_picture,
)

__all__ = [
    "Extraction",
    "FoundColor",
    "Kind",
    "Loupe",
    "Picture",
    "Region",
    "decode_image",
    "draw_preview",
    "extract_colors",
    "look_at",
    "measure_image",
    "read_picture",
    "render_preview",
]
