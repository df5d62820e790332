"""What has to be said of a file that was read: what wasn't understood, was mapped, assumed, or no colour."""

from __future__ import annotations

from typing import Literal, NamedTuple, TypeAlias

NoteKind: TypeAlias = Literal["not understood", "mapped", "assumed", "left out"]


class Note(NamedTuple):
    """where: in the file, such as “line 4” or an element. text: what, and what was done about it.

    times: how many such things it stands for.
    """

    kind: NoteKind
    where: str
    text: str
    times: int = 1

    @property
    def sentence(self) -> str:
        """The note in one line, as commands print it."""
        place = f"{self.where}: " if self.where else ""
        return f"{self.kind}: {place}{self.text}"
