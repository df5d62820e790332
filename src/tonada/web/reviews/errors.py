"""Why a link to a review shows nothing."""

from __future__ import annotations


class ReviewEnded(Exception):
    """A link that led to a review and doesn't any more; the message says so to a client."""


class PassphraseNeeded(Exception):
    """A review shows nothing before its passphrase was given."""

    def __init__(self) -> None:
        super().__init__("This review has a passphrase. Your designer has told you, or will.")
