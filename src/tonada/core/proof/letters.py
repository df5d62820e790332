"""Letters that the chosen typefaces can't draw: which are needed, and which typefaces draw them instead."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal, TypeAlias

from tonada.core.proof.own_texts import LATIN, SpokenText, characters_of, script_of_language
from tonada.core.proof.typefaces import OwnFace, kind_and_scripts

LetterKind: TypeAlias = Literal["sans", "serif"]
# Of one language on the pages of a take: more are drawn by what a device has.
MOST_LETTERS: Final = 1200
_LAST_OF_ASCII: Final = "\x7f"
# What the Noto typefaces call a script, upright and with serifs where they have such (ISO 15924).
NOTO: Final = {
    "Arab": ("Sans Arabic", "Naskh Arabic"),
    "Armn": ("Sans Armenian", "Serif Armenian"),
    "Beng": ("Sans Bengali", "Serif Bengali"),
    "Cyrl": ("Sans", "Serif"),
    "Deva": ("Sans Devanagari", "Serif Devanagari"),
    "Ethi": ("Sans Ethiopic", "Serif Ethiopic"),
    "Geor": ("Sans Georgian", "Serif Georgian"),
    "Grek": ("Sans", "Serif"),
    "Gujr": ("Sans Gujarati", "Serif Gujarati"),
    "Guru": ("Sans Gurmukhi", "Serif Gurmukhi"),
    "Hang": ("Sans CJK KR", "Serif CJK KR"),
    "Hani": ("Sans CJK SC", "Serif CJK SC"),
    "Hebr": ("Sans Hebrew", "Serif Hebrew"),
    "Jpan": ("Sans CJK JP", "Serif CJK JP"),
    "Khmr": ("Sans Khmer", "Serif Khmer"),
    "Knda": ("Sans Kannada", "Serif Kannada"),
    "Laoo": ("Sans Lao", "Serif Lao"),
    "Mlym": ("Sans Malayalam", "Serif Malayalam"),
    "Mymr": ("Sans Myanmar", "Serif Myanmar"),
    "Sinh": ("Sans Sinhala", "Serif Sinhala"),
    "Taml": ("Sans Tamil", "Serif Tamil"),
    "Telu": ("Sans Telugu", "Serif Telugu"),
    "Thai": ("Sans Thai", "Serif Thai"),
}


@dataclass(frozen=True, slots=True)
class Letters:
    """Letters of one script in place of those that a typeface hasn't.

    script: ISO 15924. family: what pages call them. name: of the typeface that draws them. instead_of: the
    chosen ones that can't. characters: those that are needed, each once, sorted. left_out: how many more are
    needed than MOST_LETTERS, which a device draws with what it has.
    """

    script: str
    kind: LetterKind
    family: str
    name: str
    instead_of: tuple[str, ...]
    characters: str
    left_out: int = 0


def letters_for(
    texts: Sequence[SpokenText], heading: str, text: str, own: Sequence[OwnFace] = ()
) -> tuple[Letters, ...]:
    """Return the letters that texts need beyond what the typefaces of headings and texts draw.

    own: the fonts of the brand, which a typeface may be of. Raises KeyError for an unknown typeface.
    """
    faces = {name: kind_and_scripts(name, own) for name in dict.fromkeys((heading, text))}
    needed: dict[str, list[str]] = {}
    for one in texts:
        script = script_of_language(one.spoken.language)
        if script != LATIN:
            needed.setdefault(script, []).append(one.text.text)
    made: list[Letters] = []
    for script, said in needed.items():
        lacking = [name for name, (_, scripts) in faces.items() if script not in scripts]
        every = "".join(one for one in characters_of(said) if one > _LAST_OF_ASCII)
        characters = every[:MOST_LETTERS]
        kinds: dict[LetterKind, list[str]] = {}
        for name in lacking:
            kinds.setdefault(faces[name][0], []).append(name)
        for kind, names in kinds.items():
            made.append(
                Letters(
                    script,
                    kind,
                    f"Letters {script} {kind}",
                    noto_name(script, kind),
                    tuple(names),
                    characters,
                    len(every) - len(characters),
                )
            )
    return tuple(made)


def noto_name(script: str, kind: LetterKind) -> str:
    """Return what the typeface is called that draws a script."""
    upright, serif = NOTO[script]
    return f"Noto {serif if kind == 'serif' else upright}"
