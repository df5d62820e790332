"""One module for each format of colours: its text to a list and back. `registry.py` has them all.

read_list finds out which format a file is in and reads it.
"""

from tonada.core.formats.detect import read_list
from tonada.core.formats.listed import ColorList, ListedColor, ListWarning

__all__ = ["ColorList", "ListWarning", "ListedColor", "read_list"]
