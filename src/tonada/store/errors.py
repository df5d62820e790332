"""What can go wrong in the store.

StoreError
├── NotFound          there is no such thing in this workspace
├── Removed           it was deleted, and can be brought back
├── LastTake          a brand keeps at least one take
├── StaleRevision     someone saved in between; carries what is saved now (in takes.py)
├── StaleDestination  the same for a destination
├── NotYours          a remark is somebody else's, or too old to be changed (in reviews/remarks.py)
├── Closed            the review is approved (in reviews/verdicts.py)
├── NotStorable       a text has a character that no column holds
└── StoreUnavailable  the database can't be reached or can't be used
"""

from __future__ import annotations

from uuid import UUID


class StoreError(Exception):
    """Base class of the store's errors."""


class NotFound(StoreError):
    """There is no such thing in this workspace; whether it is in another one is not said."""

    def __init__(self, what: str) -> None:
        super().__init__(f"There is no such {what} here.")
        self.what = what


class Removed(StoreError):
    """It was deleted by someone, and can be brought back: `what` names the kind, `id` which one."""

    def __init__(self, what: str, removed: UUID) -> None:
        super().__init__(f"This {what} was deleted. Nothing was changed; it can be brought back.")
        self.what, self.id = what, removed


class LastTake(StoreError):
    """A brand keeps at least one take, so that there is something to open."""

    def __init__(self) -> None:
        super().__init__("A brand needs at least one take. Add another, then delete this one.")


class StaleDestination(StoreError):
    """A destination was changed by someone else since."""

    def __init__(self) -> None:
        super().__init__("This destination was changed in the meantime. Nothing was overwritten.")


class NotStorable(StoreError):
    """A text has a character that the database holds in no column: U+0000."""

    def __init__(self) -> None:
        super().__init__(
            "A text contains an invisible character (U+0000). Nothing was changed. Remove it and try again."
        )


class StoreUnavailable(StoreError):
    """The database can't be reached or can't be used; the message says why in one line."""
