"""One module per format: bytes or text of the format to a palette and back.

read_list finds out which format a file of colours is in and reads it:

css · scss     custom properties, SCSS variables         tokens     design tokens JSON (DTCG 2025.10)
gpl            GPL palette                               table      CSV
svg_swatches   the filled shapes of a swatch sheet       plain      any text with colours in it
"""

from tonada.core.formats.detect import FORMATS, read_list
from tonada.core.formats.listed import ColorList, ListedColor, ListWarning

__all__ = ["FORMATS", "ColorList", "ListWarning", "ListedColor", "read_list"]
