"""A brand's own fonts as the interface lists them."""

from __future__ import annotations

from uuid import UUID

from tonada.core.proof.typefaces import OWN, OwnKind
from tonada.document.parts import Model
from tonada.store.fonts import FontRow


class FontAnswer(Model):
    """A font, one file of a family. face: what a take calls the typeface. name: of the file.

    lightest, heaviest: its weights. scripts: besides Latin. lacks: Latin letters that it can't draw.
    """

    id: UUID
    brand_id: UUID
    name: str
    face: str
    family: str
    kind: OwnKind
    lightest: int
    heaviest: int
    scripts: tuple[str, ...]
    lacks: str

    @classmethod
    def of_row(cls, row: FontRow) -> FontAnswer:
        return cls(
            id=row.id,
            brand_id=row.brand_id,
            name=row.name,
            face=f"{OWN}{row.family}",
            family=row.family,
            kind=row.kind,
            lightest=row.lightest,
            heaviest=row.heaviest,
            scripts=tuple(row.scripts),
            lacks=row.lacks,
        )
