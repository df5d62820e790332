"""From the bytes of an image to its colours and their shares.

decode    bytes → Picture, within the limits     svg       what an SVG may hold, and what it declares
lossless  flat artwork, exact values             lossy     flat artwork behind JPEG noise
photo     the few colours a person would name    shares    which pixel belongs to which colour
ground    what the artwork stands on             reading   the whole way, and which reader fits
"""

from tonada.core.extract.preview import render_preview
from tonada.core.extract.reading import Extraction, FoundColor, extract_colors

__all__ = ["Extraction", "FoundColor", "extract_colors", "render_preview"]
