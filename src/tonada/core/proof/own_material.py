"""A brand's own material on its pages, as far as figures depend on it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

from tonada.core.proof.behind import PictureColors
from tonada.core.proof.typefaces import OwnFace
from tonada.core.source.pictures.logo_outline import Logo, read_logo


@dataclass(frozen=True, slots=True)
class OwnMaterial:
    """The logo and the picture that a take shows, where it has them, and the fonts of the brand."""

    logo: Logo | None = None
    picture: PictureColors | None = None
    fonts: tuple[OwnFace, ...] = ()

    @classmethod
    def read(cls, logo: bytes | None, picture: bytes | None, fonts: tuple[OwnFace, ...] = ()) -> OwnMaterial:
        """Return what is in two previews, as preview.py writes them, with the brand's fonts."""
        return cls(read_logo(logo) if logo else None, PictureColors.read(picture) if picture else None, fonts)


NO_MATERIAL: Final = OwnMaterial()
