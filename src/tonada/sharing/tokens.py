"""The token of a review's link: made here, shown once, kept nowhere. Source: OWASP ASVS 5.0, 7.2 and 11.5."""

from __future__ import annotations

import hashlib
import hmac
import re
import secrets
from dataclasses import dataclass
from typing import Final

# 72 bits that find the link, and 192 that prove it.
_SELECTOR_BYTES: Final = 9
_SECRET_BYTES: Final = 24
_SELECTOR_LENGTH: Final = 12
_TOKEN: Final = re.compile(r"[A-Za-z0-9_-]{44}")


@dataclass(frozen=True, slots=True)
class Token:
    """text: what is in the link. selector: what it is found by. verifier: SHA-256 of the rest."""

    text: str
    selector: str
    verifier: bytes


def new_token() -> Token:
    """Return a token that nobody can guess."""
    found = read_token(secrets.token_urlsafe(_SELECTOR_BYTES) + secrets.token_urlsafe(_SECRET_BYTES))
    if found is None:
        raise RuntimeError("a new token can't be read")
    return found


def read_token(text: str) -> Token | None:
    """Return the token that a link holds; None where that is none."""
    if not _TOKEN.fullmatch(text):
        return None
    selector, secret = text[:_SELECTOR_LENGTH], text[_SELECTOR_LENGTH:]
    return Token(text, selector, hashlib.sha256(secret.encode()).digest())


def is_proven(token: Token, verifier: bytes) -> bool:
    """Return whether a token is that of a link, in a time that says nothing of how near it came."""
    return hmac.compare_digest(token.verifier, verifier)
