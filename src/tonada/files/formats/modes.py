"""Design tokens with a file for each scheme, with the same names in both."""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.formats.tokens_writing import write_tokens
from tonada.files.file_format import FileFormat, Handoff, zipped


def make_modes(handoff: Handoff) -> bytes:
    """Return an archive of the token files of the schemes that have any value."""
    sheet = handoff.sheet()
    schemes = {
        "day": replace(sheet, night=(), night_pairs=()),
        "night": replace(sheet, day=sheet.night, night=(), pairs=sheet.night_pairs, night_pairs=()),
    }
    return zipped(
        {
            f"{name}.tokens.json": write_tokens(scheme, handoff.options).encode()
            for name, scheme in schemes.items()
            if scheme.day
        }
    )


FORMAT: Final = FileFormat(
    kind="modes",
    name="Design tokens by mode",
    note="a file for each scheme",
    ending=".modes.zip",
    mimetype="application/zip",
    make=make_modes,
    options=True,
    texts=True,
)
