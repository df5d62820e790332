"""What the ending of a file's name says of it; everything else is read as a picture."""

from __future__ import annotations

from typing import Final

from tonada.core.formats.registry import LIST_ENDINGS

# Stylesheets and pages. A stylesheet that is only a list of properties is a list of colours, too.
STYLE_ENDINGS: Final = (".css", ".html", ".htm", ".xhtml")
PICTURES: Final = ("image/*", ".svg")
# For each place where a file is chosen, what the browser offers there.
ACCEPTED: Final = {
    "anything": (
        *PICTURES,
        *STYLE_ENDINGS,
        *(ending for ending in LIST_ENDINGS if ending not in STYLE_ENDINGS),
        ".zip",
    ),
    "pictures": PICTURES,
    "lists": (*LIST_ENDINGS, ".svg"),
    "styles": STYLE_ENDINGS,
    "own": (".json", ".zip"),
}
