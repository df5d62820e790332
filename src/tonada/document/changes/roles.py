"""Changes of roles: who has them, those of one's own, the night scheme, planned shares."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from tonada.core.limits import MAX_ROLES
from tonada.core.mends.shortfalls import shortfalls, shortfalls_in
from tonada.core.roles import giving, own_roles
from tonada.core.roles.plan import forget_shares, plan_shares
from tonada.core.roles.suggest import derive_night, suggest_roles
from tonada.core.take.take import Take
from tonada.document.changes.made import Changed
from tonada.document.parts import Identifier, Model, Name, RoleText, Share, StepNumber


class GiveChange(Model):
    """A role given to another colour in the scheme at hand; texts that the rule chose follow it.

    swatch: None for the first one that has nothing to do.
    """

    kind: Literal["give"]
    role: RoleText
    swatch: Identifier | None = None
    step: StepNumber | None = None

    def apply(self, take: Take) -> Changed:
        target = own_roles.idle_target(take) if self.swatch is None else (self.swatch, self.step)
        return giving.give_role(take, self.role, target), ()


class TextColorChange(Model):
    """What a role is as text or line, in the scheme at hand.

    step: of its own ramp; None for the colour itself.
    """

    kind: Literal["text color"]
    role: RoleText
    step: StepNumber | None = None

    def apply(self, take: Take) -> Changed:
        return giving.set_text_color(take, self.role, self.step), ()


class OwnRoleChange(Model):
    """A new role of the designer's own, on a colour, by day and by night.

    swatch: None for the first one that has nothing to do.
    """

    kind: Literal["own role"]
    name: Name
    swatch: Identifier | None = None
    step: StepNumber | None = None

    def apply(self, take: Take) -> Changed:
        target = own_roles.idle_target(take) if self.swatch is None else (self.swatch, self.step)
        return own_roles.add_own_role(take, self.name, target), ()


class RemoveRoleChange(Model):
    """A custom or further role is removed, with all that refers to it."""

    kind: Literal["remove role"]
    role: RoleText

    def apply(self, take: Take) -> Changed:
        return own_roles.remove_role(take, self.role), ()


class SwapChange(Model):
    """Two roles change places, by day and by night."""

    kind: Literal["swap"]
    role: RoleText
    other: RoleText

    def apply(self, take: Take) -> Changed:
        return giving.swap_roles(take, self.role, self.other), ()


class SuggestChange(Model):
    """All roles proposed again from the swatches, by day and by night; no value changes."""

    kind: Literal["suggest"]

    def apply(self, take: Take) -> Changed:
        made, impossible = suggest_roles(take)
        return (made if take.scheme == "day" else made.turned()), (*impossible, *shortfalls(made))


class NightChange(Model):
    """The night scheme derived again from the roles by day."""

    kind: Literal["night"]

    def apply(self, take: Take) -> Changed:
        made, impossible = derive_night(take)
        said = (*impossible, *shortfalls_in(made.turned()))
        return (made if take.scheme == "day" else made.turned()), said


class PlannedShare(Model):
    """The share of the page that a colour is to take; it is split evenly among its roles."""

    roles: Annotated[tuple[RoleText, ...], Field(min_length=1, max_length=MAX_ROLES)]
    share: Share


class SharesChange(Model):
    """Planned shares of the page; without any, all roles have their usual ones again."""

    kind: Literal["shares"]
    shares: Annotated[tuple[PlannedShare, ...], Field(max_length=MAX_ROLES)] = ()

    def apply(self, take: Take) -> Changed:
        if not self.shares:
            return forget_shares(take), ()
        return plan_shares(take, {share.roles: share.share for share in self.shares}), ()
