"""Words that a designer typed over a sample page's own: which language they are in, which way they run."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import chain
from typing import Final, Literal, TypeAlias

from tonada.core.take.proof_settings import OwnText, ProofSettings
from tonada.core.take.take import Take

Direction: TypeAlias = Literal["ltr", "rtl"]

# The language that a script is taken for where nobody says: the one most people write in it (ISO 15924 to
# BCP 47). Latin letters are of many languages, and aren't guessed.
_LANGUAGES: Final = {
    "Arab": "ar",
    "Armn": "hy",
    "Beng": "bn",
    "Cyrl": "ru",
    "Deva": "hi",
    "Ethi": "am",
    "Geor": "ka",
    "Grek": "el",
    "Gujr": "gu",
    "Guru": "pa",
    "Hang": "ko",
    "Hani": "zh",
    "Hebr": "he",
    "Hira": "ja",
    "Kana": "ja",
    "Khmr": "km",
    "Knda": "kn",
    "Laoo": "lo",
    "Mlym": "ml",
    "Mymr": "my",
    "Sinh": "si",
    "Taml": "ta",
    "Telu": "te",
    "Thai": "th",
}
# Letters that one language of a script has and the usual one hasn't.
_TELLING: Final = (
    ("Cyrl", "uk", frozenset("іїєґІЇЄҐ")),
    ("Arab", "ur", frozenset("ٹڈڑںےھہ")),
    ("Arab", "fa", frozenset("پچژگ")),
)
# Written without letters of its own, such as figures and marks.
_NO_SCRIPT: Final = frozenset(("Zyyy", "Zinh", "Zzzz"))
LATIN: Final = "Latn"
# What the sample pages say by themselves.
PAGE_LANGUAGE: Final = "en"
# The languages that a page can be said to be in, by the names that their speakers have for them.
OFFERED_LANGUAGES: Final[tuple[tuple[str, str], ...]] = (
    ("ar", "العربية"),
    ("cs", "Čeština"),
    ("da", "Dansk"),
    ("de", "Deutsch"),
    ("el", "Ελληνικά"),
    ("en", "English"),
    ("es", "Español"),
    ("fa", "فارسی"),
    ("fi", "Suomi"),
    ("fr", "Français"),
    ("he", "עברית"),
    ("hi", "हिन्दी"),
    ("hu", "Magyar"),
    ("it", "Italiano"),
    ("ja", "日本語"),
    ("ko", "한국어"),
    ("nb", "Norsk bokmål"),
    ("nl", "Nederlands"),
    ("pl", "Polski"),
    ("pt", "Português"),
    ("ro", "Română"),
    ("ru", "Русский"),
    ("sv", "Svenska"),
    ("th", "ไทย"),
    ("tr", "Türkçe"),
    ("uk", "Українська"),
    ("ur", "اردو"),
    ("vi", "Tiếng Việt"),
    ("zh", "中文"),
)
LANGUAGE_CODES: Final = tuple(code for code, _ in OFFERED_LANGUAGES)
_FROM_THE_RIGHT: Final = frozenset(("ar", "fa", "he", "ur"))


@dataclass(frozen=True, slots=True)
class Spoken:
    """The language of a text, as BCP 47 has it, and the direction of its lines."""

    language: str
    direction: Direction


@dataclass(frozen=True, slots=True)
class SpokenText:
    """A text of one's own with how it is to be set."""

    text: OwnText
    spoken: Spoken


def say(take: Take, said: OwnText) -> Take:
    """Return the take with words in place of a part's own; empty ones give it back its own."""
    others = tuple(text for text in take.proof.texts if (text.page, text.part) != (said.page, said.part))
    texts = (*others, said) if said.text else others
    return replace(take, proof=replace(take.proof, texts=texts))


def say_in_other(take: Take, said: OwnText, before: str) -> Take:
    """Return another take of the brand with the same words, where nobody gave the part words there.

    before: what all takes had said until now: these are replaced too, and taken back with empty ones.
    """
    own = next((one.text for one in take.proof.texts if (one.page, one.part) == (said.page, said.part)), "")
    return say(take, said) if own in ("", before) else take


def spoken_texts(texts: Sequence[OwnText], chosen: str | None) -> tuple[SpokenText, ...]:
    """Return how each text is to be set. chosen: the language of the page, where somebody said it."""
    return tuple(SpokenText(text, spoken_in(text.text, chosen)) for text in texts)


def said_in_all(proofs: Sequence[ProofSettings]) -> tuple[OwnText, ...]:
    """Return the own texts that every one of these has alike, in the order of the first; none of none."""
    others = [frozenset(proof.texts) for proof in proofs[1:]]
    return tuple(text for text in proofs[0].texts if all(text in other for other in others)) if proofs else ()


def page_spoken(texts: Sequence[OwnText], chosen: str | None) -> Spoken:
    """Return the language of a page: the chosen one, or else the one that most of its own letters are in.

    A page whose own words run from the right is mirrored. Latin letters alone leave it as it is.
    """
    if chosen is not None:
        return _spoken(chosen)
    letters: Counter[str] = Counter()
    for text in texts:
        letters[spoken_in(text.text, None).language] += len(text.text)
    return _spoken(letters.most_common(1)[0][0]) if letters else _spoken(PAGE_LANGUAGE)


@lru_cache(maxsize=1024)
def spoken_in(text: str, chosen: str | None) -> Spoken:
    """Return the language of a text by its letters; that of the page where these don't speak against it."""
    scripts = Counter(script for script in map(_script, text) if script not in _NO_SCRIPT)
    if not scripts:
        return _spoken(chosen or PAGE_LANGUAGE)
    # Japanese mixes in letters that Chinese has too.
    if {"Hira", "Kana"} & scripts.keys():
        guessed = "ja"
    else:
        script = scripts.most_common(1)[0][0]
        told = (language for of, language, letters in _TELLING if of == script and letters & set(text))
        guessed = next(told, _LANGUAGES.get(script, ""))
    if chosen is not None and _is_written(chosen, guessed, scripts):
        return _spoken(chosen)
    return _spoken(guessed or PAGE_LANGUAGE)


def _script(character: str) -> str:
    # Most takes have no words of their own: what nobody needs isn't loaded at the start.
    from fontTools import unicodedata

    script: str = unicodedata.script(character)
    return script


def script_of_language(language: str) -> str:
    """Return the script that a language is written in here (ISO 15924)."""
    if language == "ja":
        return "Jpan"
    told = (script for script, one, _ in _TELLING if one == language)
    scripts = (script for script, one in _LANGUAGES.items() if one == language)
    return next(chain(told, scripts), LATIN)


def characters_of(texts: Iterable[str]) -> str:
    """Return each character once, sorted."""
    return "".join(sorted({character for text in texts for character in text}))


def _is_written(chosen: str, guessed: str, scripts: Counter[str]) -> bool:
    """Return whether a text may be in the chosen language, by the script that most of its letters are of."""
    if guessed == chosen:
        return True
    most = scripts.most_common(1)[0][0]
    others = [script for script, language in _LANGUAGES.items() if language == chosen]
    told = [script for script, language, _ in _TELLING if language == chosen]
    # Japanese and Korean use letters of Chinese.
    shared = ["Hani"] if chosen in ("ja", "ko") else []
    written = set(others + told + shared) or {LATIN}
    return most in written


def _spoken(language: str) -> Spoken:
    return Spoken(language, "rtl" if language in _FROM_THE_RIGHT else "ltr")
