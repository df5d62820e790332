"""Settings of which only those that change are sent; the others stay as they are when the change is made."""

from __future__ import annotations

from dataclasses import replace
from typing import TYPE_CHECKING, Any, TypeVar

from pydantic import ConfigDict

from tonada.core.take.neutrals import NAME
from tonada.document.parts import Model, Name
from tonada.document.take import HarmonyModel, NeutralModel, RampModel

if TYPE_CHECKING:
    from _typeshed import DataclassInstance

Settings = TypeVar("Settings", bound="DataclassInstance")


def _none_is_usual(schema: dict[str, Any]) -> None:
    """A field that isn't sent has no usual value: it stays as it is."""
    for property_ in schema["properties"].values():
        property_.pop("default", None)


_PART = ConfigDict(json_schema_extra=_none_is_usual)


class RampPart(RampModel):
    """Settings of a ramp; those that are left out stay."""

    model_config = _PART


class NeutralPart(NeutralModel):
    """Settings of a neutral; those that are left out stay."""

    model_config = _PART

    name: Name = NAME


class HarmonyPart(HarmonyModel):
    """Settings of the harmony; those that are left out stay."""

    model_config = _PART


def laid_on(before: Settings, part: Model, settings: Settings) -> Settings:
    """Return the settings of before, with those that were sent in the part. settings: the part's own."""
    return replace(before, **{name: getattr(settings, name) for name in part.model_fields_set})
