"""Fonts of a brand's own, as they cross the boundary."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field, StringConstraints

from tonada.core import limits
from tonada.core.proof.letters import NOTO
from tonada.core.proof.typefaces import LONGEST_FAMILY, OwnFace, OwnKind
from tonada.document.of_core import OfCore
from tonada.document.parts import Weight

# Of letters and what joins them, so that it may stand in a stylesheet as it is.
FAMILY: str = rf"\w[\w \-.]{{0,{LONGEST_FAMILY - 1}}}"
FamilyText = Annotated[str, StringConstraints(pattern=f"^{FAMILY}$")]


class OwnFaceModel(OfCore):
    """A font of the brand's own: its weights, the scripts besides Latin, the Latin letters that it lacks."""

    core = OwnFace

    family: FamilyText
    kind: OwnKind
    lightest: Weight
    heaviest: Weight
    scripts: Annotated[
        tuple[Annotated[str, StringConstraints(max_length=4)], ...], Field(max_length=len(NOTO))
    ] = ()
    lacks: Annotated[str, StringConstraints(max_length=400)] = ""


OwnFaces = Annotated[tuple[OwnFaceModel, ...], Field(max_length=limits.MAX_FONTS)]
