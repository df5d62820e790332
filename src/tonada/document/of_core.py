"""Models of values of the core: both have the same fields, and an optional one is written once."""

from __future__ import annotations

from dataclasses import MISSING, fields, is_dataclass
from functools import cache, cached_property
from inspect import get_annotations
from typing import Annotated, Any, ClassVar, Final, Self, get_type_hints

from pydantic import StringConstraints

from tonada.core.limits import MAX_NAME_LENGTH
from tonada.document.parts import Line, Model

_TEXT: Final = (StringConstraints(max_length=MAX_NAME_LENGTH), Line)


class OfCore(Model):
    """A model of a dataclass of the core, `core`.

    A field says what is allowed. An optional one of the core that isn't said here is taken over with its
    type: a text in one line, as long as a name; a number or a truth as it is.
    """

    core: ClassVar[Any]

    def __init_subclass__(cls, **kwargs: Any) -> None:
        super().__init_subclass__(**kwargs)
        if "core" in cls.__dict__:
            _take_over(cls)
            _MODELS[cls.core] = cls

    def to_core(self) -> Any:
        """Return the value of the core. Raises TakeError where it contradicts itself."""
        return self._value

    def __copy__(self) -> Self:
        """Return a copy that makes a value of its own: it may be given other fields."""
        copied = super().__copy__()
        copied.__dict__.pop("_value", None)
        return copied

    @cached_property
    def _value(self) -> Any:
        # A drag sends the same parts again and again, and `remembered` gives them the same models.
        names = _names(type(self).core)
        return type(self).core(**{name: _to_core(getattr(self, name)) for name in names})

    @classmethod
    def of(cls, value: Any) -> Self:
        return cls(**{name: of_core(getattr(value, name)) for name in _names(cls.core)})


_MODELS: Final[dict[type[Any], type[OfCore]]] = {}


def of_core(value: Any) -> Any:
    """Return the model of a core value, or of each in a tuple; other values are returned unchanged."""
    if isinstance(value, tuple):
        return tuple(of_core(entry) for entry in value)
    model = _MODELS.get(type(value))
    return model.of(value) if model else value


def _to_core(value: Any) -> Any:
    if isinstance(value, tuple):
        return tuple(_to_core(entry) for entry in value)
    return value.to_core() if isinstance(value, OfCore) else value


@cache
def _names(core: Any) -> tuple[str, ...]:
    return tuple(field.name for field in fields(core) if field.init)


def _take_over(model: type[OfCore]) -> None:
    """Add to a model what its dataclass has beyond it."""
    known = {name for base in model.__mro__ for name in get_annotations(base)}
    hints = get_type_hints(model.core)
    for field in fields(model.core):
        if field.name in known or not field.init:
            continue
        if field.default is MISSING or is_dataclass(field.default):
            raise TypeError(f"{model.__name__} has to say what is allowed as {field.name}.")
        model.__annotations__[field.name] = _allowed(hints[field.name])
        setattr(model, field.name, field.default)


def _allowed(hint: Any) -> Any:
    if hint is str:
        return Annotated[str, *_TEXT]
    if hint == str | None:
        return Annotated[str, *_TEXT] | None
    return hint
