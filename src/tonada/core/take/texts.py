"""Texts that people and files bring: names and remarks, as one line."""

from __future__ import annotations


def one_line(text: str) -> str:
    """Return the text in one line, without what can't be seen: control and direction characters.

    Everything that isn't printable counts as a space, spaces are taken together, none stands at an end.
    """
    if text.isprintable() and "  " not in text and text == text.strip():
        return text  # as nearly all are; many come with every drag
    return " ".join("".join(character if character.isprintable() else " " for character in text).split())
