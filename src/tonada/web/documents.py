"""The take's document: what the browser holds and the database keeps, and its way to the core and back."""

from __future__ import annotations

from functools import lru_cache
from typing import Annotated, Any, Literal

import orjson
from pydantic import BaseModel, ConfigDict, Field, StringConstraints

from tonada.core import limits, palette
from tonada.core.contrast import Level, Usage
from tonada.core.palette import OriginKind, Role

HexText = Annotated[str, StringConstraints(pattern=r"^#[0-9a-f]{6}$")]
Name = Annotated[
    str, StringConstraints(strip_whitespace=True, min_length=1, max_length=limits.MAX_NAME_LENGTH)
]
Identifier = Annotated[str, StringConstraints(pattern=r"^[A-Za-z0-9-]{1,40}$")]
Share = Annotated[float, Field(ge=0, le=1)]


class Described(BaseModel):
    """A model whose schema is made once: the document of the API asks for it at every route."""

    @classmethod
    def model_json_schema(cls, *args: Any, **kwargs: Any) -> dict[str, Any]:
        key = (cls, args, tuple(sorted(kwargs.items(), key=lambda one: one[0])))
        if key not in _schemas:
            _schemas[key] = orjson.dumps(super().model_json_schema(*args, **kwargs))
        # Read anew each time, since what comes back may be changed; quicker than a deep copy.
        made: dict[str, Any] = orjson.loads(_schemas[key])
        return made


_schemas: dict[Any, bytes] = {}


class Model(Described):
    """What is sent must be known: a field that isn't here is refused."""

    model_config = ConfigDict(extra="forbid", frozen=True)


class OriginModel(Model):
    kind: OriginKind
    note: Annotated[str, StringConstraints(max_length=300)]
    source: str | None = Field(None, max_length=40)
    share: Share | None = None


class SwatchModel(Model):
    id: Identifier
    name: Name
    hex: HexText
    held: bool
    origin: OriginModel


class AssignmentModel(Model):
    role: Role
    swatch: Identifier
    reason: Annotated[str, StringConstraints(max_length=limits.MAX_REASON_LENGTH)]


class PairModel(Model):
    id: Identifier
    text: Role
    ground: Role
    usage: Usage
    sample: Annotated[str, StringConstraints(max_length=limits.MAX_NAME_LENGTH)]


class VariedFrom(Model):
    swatch: Identifier
    hex: HexText


class HarmonyModel(Model):
    """How the hues belong together; see the core's HarmonySettings."""

    anchor: Identifier | None = None
    ground: Identifier | None = None
    rule: Annotated[str, StringConstraints(max_length=40)] = "analogous with accent"
    spread: Annotated[float, Field(ge=0, le=360)] | None = None
    angles: Annotated[tuple[Annotated[float, Field(ge=0, le=360)], ...], Field(max_length=8)] = ()
    character: Annotated[str, StringConstraints(max_length=40)] | None = None
    lightness: Share | None = None
    chroma: Share | None = None
    span: Share | None = None
    web_safe: bool = False
    seed: Annotated[int, Field(ge=1)] | None = None
    varied_from: Annotated[tuple[VariedFrom, ...], Field(max_length=limits.MAX_SWATCHES)] = ()

    def to_settings(self) -> palette.HarmonySettings:
        fields = {name: getattr(self, name) for name in type(self).model_fields if name != "varied_from"}
        return palette.HarmonySettings(
            **fields, varied_from=tuple((one.swatch, one.hex) for one in self.varied_from)
        )

    @classmethod
    def of(cls, settings: palette.HarmonySettings) -> HarmonyModel:
        fields = {name: getattr(settings, name) for name in cls.model_fields if name != "varied_from"}
        began = tuple(VariedFrom(swatch=key, hex=value) for key, value in settings.varied_from)
        return cls(**fields, varied_from=began)


# A drag sends the same pairs again and again.
_pair = lru_cache(maxsize=4096)(palette.Pair)


class TakeDocument(Model):
    """One alternative palette, whole."""

    format: Literal[1] = 1
    level: Level = "AA"
    swatches: Annotated[tuple[SwatchModel, ...], Field(max_length=limits.MAX_SWATCHES)] = ()
    roles: tuple[AssignmentModel, ...] = ()
    pairs: Annotated[tuple[PairModel, ...], Field(max_length=limits.MAX_PAIRS)] = ()
    harmony: HarmonyModel = HarmonyModel()

    def to_take(self) -> palette.Take:
        """Return the core's value. Raises TakeError where the document contradicts itself."""
        return palette.Take(
            swatches=tuple(
                palette.Swatch(
                    s.id,
                    s.name,
                    s.hex,
                    s.held,
                    palette.Origin(s.origin.kind, s.origin.note, s.origin.source, s.origin.share),
                )
                for s in self.swatches
            ),
            roles=tuple(palette.Assignment(a.role, a.swatch, a.reason) for a in self.roles),
            pairs=tuple(_pair(p.id, p.text, p.ground, p.usage, p.sample) for p in self.pairs),
            level=self.level,
            harmony=self.harmony.to_settings(),
        )

    @classmethod
    def of(cls, take: palette.Take) -> TakeDocument:
        """Return the document of a take."""
        return cls(
            level=take.level,
            harmony=HarmonyModel.of(take.harmony),
            swatches=tuple(
                SwatchModel(
                    id=s.id,
                    name=s.name,
                    hex=s.hex,
                    held=s.held,
                    origin=OriginModel(
                        kind=s.origin.kind, note=s.origin.note, source=s.origin.source, share=s.origin.share
                    ),
                )
                for s in take.swatches
            ),
            roles=tuple(AssignmentModel(role=a.role, swatch=a.swatch, reason=a.reason) for a in take.roles),
            pairs=tuple(
                PairModel(id=p.id, text=p.text, ground=p.ground, usage=p.usage, sample=p.sample)
                for p in take.pairs
            ),
        )
