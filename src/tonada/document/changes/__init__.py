"""What may be done to a take: each change as it is asked for, and the take that it makes."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from tonada.core.take.counts import check_counts
from tonada.core.take.take import Take
from tonada.document.changes.colors import (
    AddNeutralChange,
    AdoptChange,
    NeutralChange,
    RampChange,
    ReadyMadeChange,
    RemoveChange,
    ReplaceChange,
)
from tonada.document.changes.harmony import (
    AddAngleChange,
    CharacterChange,
    ChordChange,
    FlagChange,
    PartnerChange,
    PlaceChange,
    RemoveAngleChange,
    VariationChange,
)
from tonada.document.changes.made import Changed
from tonada.document.changes.pairs import (
    AddOverlayChange,
    AddPairChange,
    OverlayPairChange,
    RemoveOverlayChange,
    RemovePairChange,
    StatesChange,
)
from tonada.document.changes.proof import (
    AddGroundChange,
    ForgetGroundChange,
    NarrowSizeChange,
    RemoveGroundChange,
    ScaleChange,
    SectionsChange,
    SizeChange,
    SlotChange,
    UseChange,
)
from tonada.document.changes.roles import (
    GiveChange,
    NightChange,
    OwnRoleChange,
    RemoveRoleChange,
    SharesChange,
    SuggestChange,
    SwapChange,
    TextColorChange,
)
from tonada.document.changes.typed import NumberChange, TypedChange

TakeChange = Annotated[
    PlaceChange
    | TypedChange
    | NumberChange
    | ChordChange
    | FlagChange
    | AddAngleChange
    | RemoveAngleChange
    | VariationChange
    | CharacterChange
    | PartnerChange
    | RampChange
    | AddNeutralChange
    | NeutralChange
    | RemoveChange
    | AdoptChange
    | ReplaceChange
    | ReadyMadeChange
    | GiveChange
    | TextColorChange
    | OwnRoleChange
    | RemoveRoleChange
    | SwapChange
    | SuggestChange
    | NightChange
    | SharesChange
    | StatesChange
    | AddPairChange
    | OverlayPairChange
    | RemovePairChange
    | AddOverlayChange
    | RemoveOverlayChange
    | ScaleChange
    | SizeChange
    | NarrowSizeChange
    | UseChange
    | AddGroundChange
    | ForgetGroundChange
    | RemoveGroundChange
    | SectionsChange
    | SlotChange,
    Field(discriminator="kind"),
]


def made_by(change: TakeChange, take: Take) -> Changed:
    """Return the take after a change. Raises InputError where it can't be made."""
    after, said = change.apply(take)
    check_counts(after)
    return after, said
