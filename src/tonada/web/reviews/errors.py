"""Why a link to a review shows nothing."""

from __future__ import annotations


class ReviewEnded(Exception):
    """A link that led to a review and doesn't any more; the message says so to a client."""


class PassphraseNeeded(Exception):
    """A review shows nothing before its passphrase was given."""

    def __init__(self) -> None:
        super().__init__("This review needs a passphrase. Your designer knows it.")
