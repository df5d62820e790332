"""Changes of pairs, and of the overlays that lie between the two."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import StringConstraints

from tonada.core.color.wcag import Usage
from tonada.core.limits import MAX_NAME_LENGTH
from tonada.core.pairs import own_pairs
from tonada.core.pairs.states import with_states
from tonada.core.take import overlays
from tonada.core.take.take import Take
from tonada.document.changes.colors import Instead
from tonada.document.changes.made import Changed
from tonada.document.parts import ColorKey, Identifier, Line, Model, Name, Share


class StatesChange(Model):
    """A pair for each state of links and buttons, by rule, in place of those that were there."""

    kind: Literal["states"]

    def apply(self, take: Take) -> Changed:
        return with_states(take), ()


class AddPairChange(Model):
    """One more pair, in the scheme at hand."""

    kind: Literal["add pair"]
    text: ColorKey
    ground: ColorKey
    usage: Usage
    sample: Annotated[str, StringConstraints(min_length=1, max_length=MAX_NAME_LENGTH), Line]

    def apply(self, take: Take) -> Changed:
        return own_pairs.add_pair(take, self.text, self.ground, self.usage, self.sample), ()


class OverlayPairChange(Model):
    """One more pair: a running text on an overlay that lies on a ground."""

    kind: Literal["pair on overlay"]
    overlay: Identifier
    ground: ColorKey

    def apply(self, take: Take) -> Changed:
        return own_pairs.add_pair_on_overlay(take, self.overlay, self.ground), ()


class RemovePairChange(Model):
    """A pair is removed from the scheme at hand."""

    kind: Literal["remove pair"]
    pair: Identifier

    def apply(self, take: Take) -> Changed:
        return own_pairs.remove_pair(take, self.pair), ()


class AddOverlayChange(Model):
    """One more overlay: of a colour, or of Ink where none is named.

    on_picture: laid over the picture of the proof at once, opaque where no opacity is named.
    """

    kind: Literal["add overlay"]
    name: Name | None = None
    color: Instead | None = None
    on_picture: bool = False
    opacity: Share | None = None

    def apply(self, take: Take) -> Changed:
        target = (self.color.swatch, self.color.step) if self.color else None
        return overlays.add_overlay(
            take, target, name=self.name, opacity=self.opacity, on_picture=self.on_picture
        ), ()


class RemoveOverlayChange(Model):
    """An overlay is removed, with the pairs that lie on it or are set in it."""

    kind: Literal["remove overlay"]
    overlay: Identifier

    def apply(self, take: Take) -> Changed:
        return overlays.remove_overlay(take, self.overlay), ()
