"""What an existing site's stylesheet says about colour.

scan      text → rules and declarations, with their places in the text
markup    HTML → the stylesheets and style attributes in it
values    a declaration's value → the colours in it, through custom properties
usage     files → every colour with how often and for what, and the pairs that are in one rule
groups    near-twins together, by visible difference
"""

from tonada.core.source.stylesheets.groups import ColorGroup, group_uses
from tonada.core.source.stylesheets.usage import (
    ColorUse,
    RulePair,
    StyleFile,
    StylesheetReading,
    is_more_than_a_list,
    read_stylesheets,
)

__all__ = [
    "ColorGroup",
    "ColorUse",
    "RulePair",
    "StyleFile",
    "StylesheetReading",
    "group_uses",
    "is_more_than_a_list",
    "read_stylesheets",
]
