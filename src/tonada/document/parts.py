"""What the models of a take's document are made of: texts with a pattern, and the base of them all."""

from __future__ import annotations

from typing import Annotated, Any, Final, Generic, TypeVar

import orjson
from pydantic import BaseModel, BeforeValidator, ConfigDict, Field, RootModel, StringConstraints

from tonada.core import limits
from tonada.core.color.ramp import MOST_MIXED
from tonada.core.take.texts import one_line

HEX: Final = r"^#[0-9a-f]{6}$"
HexText = Annotated[str, StringConstraints(pattern=HEX)]
# What a person writes in one line. Characters that can't be seen are taken out rather than refused:
# they come along with what is pasted, and what was kept before must open.
Line = BeforeValidator(lambda value: one_line(value) if isinstance(value, str) else value)
Name = Annotated[str, StringConstraints(min_length=1, max_length=limits.MAX_NAME_LENGTH), Line]
Identifier = Annotated[str, StringConstraints(pattern=r"^[A-Za-z0-9-]{1,40}$")]
# The id of a pair: one of the document, or that of a pair which a ground makes.
PairId = Annotated[
    str, StringConstraints(pattern=r"^([A-Za-z0-9-]{1,40}|ground:[A-Za-z0-9-]{1,40}:[a-z-]{1,20})$")
]
# Of a text, in CSS pixels and as a font's weight.
PixelSize = Annotated[float, Field(gt=0, le=1000)]
Weight = Annotated[int, Field(ge=1, le=1000)]
Share = Annotated[float, Field(ge=0, le=1)]
# One of Role, or one of the designer's own: “own-…”.
RoleText = Annotated[str, StringConstraints(pattern=r"^[a-z0-9-]{1,40}$")]
# An end of a pair: a role, `role/text`, `#rrggbb`, a swatch's or overlay's id, or `id/step`.
ColorKey = Annotated[
    str, StringConstraints(pattern=r"^(#[0-9a-f]{6}|[A-Za-z0-9-]{1,40}(/([0-9]{1,2}|text))?)$")
]
StepNumber = Annotated[int, Field(ge=1, le=2 * MOST_MIXED + 1)]


class Described(BaseModel):
    """A model whose schema is made once: the document of the API asks for it at every route.

    What checks it is built when it is first asked for, or for all by build_models.
    """

    model_config = ConfigDict(defer_build=True)

    @classmethod
    def model_json_schema(cls, *args: Any, **kwargs: Any) -> dict[str, Any]:
        key = (cls, args, tuple(sorted(kwargs.items(), key=lambda kwarg: kwarg[0])))
        if key not in _schemas:
            _schemas[key] = orjson.dumps(super().model_json_schema(*args, **kwargs))
        # Parsed each time, since what comes back may be changed; quicker than a deep copy.
        made: dict[str, Any] = orjson.loads(_schemas[key])
        return made


Value = TypeVar("Value")


class Whole(RootModel[Value], Generic[Value]):
    """An answer that has the fields of a value of the core."""

    model_config = ConfigDict(defer_build=True)


_schemas: dict[Any, bytes] = {}


def build_models() -> None:
    """Build what checks each model: before a server parts into workers, so that they share it."""
    waiting: list[type[BaseModel]] = [Described, Whole]
    while waiting:
        model = waiting.pop()
        waiting += model.__subclasses__()
        model.model_rebuild()


class Model(Described):
    """What is sent must be known: a field that isn't here is refused."""

    model_config = ConfigDict(extra="forbid", frozen=True)
