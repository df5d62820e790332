"""The table of conventions: hue families, words a brand may want to say, fields of work.

Every sentence describes a habit, mostly of European and North American design of the last decades,
and the second one where habits differ. Weights run from 0 to 1 within a line.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final


@dataclass(frozen=True, slots=True)
class Family:
    """A hue family: its hue in OKLCH degrees, the lightness it is at home in, the most chroma it has."""

    hue: float
    lightness: float
    chroma: float


FAMILIES: Final = {
    "red": Family(26, 0.56, 0.20),
    "orange": Family(52, 0.68, 0.17),
    "earth": Family(62, 0.48, 0.09),
    "amber": Family(80, 0.77, 0.15),
    "yellow": Family(100, 0.86, 0.16),
    "green": Family(146, 0.56, 0.15),
    "jade": Family(168, 0.62, 0.12),
    "teal": Family(198, 0.58, 0.11),
    "azure": Family(236, 0.64, 0.14),
    "blue": Family(262, 0.50, 0.18),
    "indigo": Family(280, 0.42, 0.17),
    "violet": Family(302, 0.50, 0.18),
    "magenta": Family(338, 0.58, 0.19),
    "rose": Family(6, 0.68, 0.15),
}


@dataclass(frozen=True, slots=True)
class MoodWord:
    """A word or a field of work, with what convention attaches to it."""

    name: str
    families: tuple[tuple[str, float], ...]
    character: str
    convention: str
    differs: str = ""


_WORDS: Final = (
    MoodWord(
        "calm",
        (("azure", 1.0), ("teal", 0.8), ("green", 0.6), ("violet", 0.35)),
        "gentle",
        "Calm is mostly set in blues and blue greens of little chroma, as water and distance look.",
        "Pale blue on its own reads as cold to some; in Iran and Korea it can stand for mourning.",
    ),
    MoodWord(
        "bold",
        (("red", 1.0), ("orange", 0.7), ("indigo", 0.5), ("yellow", 0.5)),
        "vivid",
        "Bold brands tend to saturated reds and oranges, or to one strong colour beside black.",
        "Red means luck in China, mourning in parts of South Africa, and a warning on most websites.",
    ),
    MoodWord(
        "trustworthy",
        (("blue", 1.0), ("indigo", 0.7), ("teal", 0.5), ("green", 0.3)),
        "sober",
        "Blue is the usual choice for reliability, so usual that a brand may drown among others.",
        "The link is habit rather than nature: studies find it where people already know blue banks.",
    ),
    MoodWord(
        "natural",
        (("green", 1.0), ("earth", 0.8), ("amber", 0.5), ("jade", 0.4)),
        "earthy",
        "Greens, clays and ochres stand for what grows; the less chroma, the less it looks like packaging.",
        "Green is also the colour of Islam, and in Ireland and Indonesia it carries politics.",
    ),
    MoodWord(
        "playful",
        (("yellow", 1.0), ("magenta", 0.8), ("azure", 0.7), ("orange", 0.6)),
        "luminous",
        "Several light, full colours at once say play; it is the number that does it more than the hue.",
        "Whether pink or blue says girl or boy changed within a century and differs by country.",
    ),
    MoodWord(
        "precious",
        (("indigo", 0.9), ("amber", 0.8), ("violet", 0.8), ("red", 0.4)),
        "deep",
        "Deep violets and golds recall costly dyes and metals; black grounds help more than any hue.",
        "Violet stands for mourning in Thailand and Brazil, gold for the sacred in much of Asia.",
    ),
    MoodWord(
        "technical",
        (("blue", 0.9), ("teal", 0.9), ("indigo", 0.5), ("green", 0.4)),
        "crisp",
        "Technical brands gather in blues and blue greens with much contrast in lightness.",
        "It is a habit of screens since the 1990s; earlier, grey, beige and orange said machine.",
    ),
    MoodWord(
        "warm",
        (("orange", 1.0), ("amber", 0.8), ("red", 0.6), ("rose", 0.4)),
        "earthy",
        "From red to yellow, hues are called warm in most European languages.",
        "Warmth is a metaphor of fire: hotter flames and stars are in fact bluer.",
    ),
    MoodWord(
        "fresh",
        (("green", 0.9), ("jade", 0.8), ("yellow", 0.6), ("azure", 0.5)),
        "luminous",
        "Light greens, mints and lemon yellows say fresh, by way of fruit and spring.",
        "The same greens read as unripe or artificial where chroma is very high.",
    ),
    MoodWord(
        "serious",
        (("indigo", 0.9), ("blue", 0.8), ("earth", 0.4), ("teal", 0.3)),
        "sober",
        "Dark colours of little chroma are read as serious, whatever their hue.",
        "White rather than black is the colour of grief in much of East Asia.",
    ),
    MoodWord(
        "friendly",
        (("orange", 0.9), ("yellow", 0.7), ("azure", 0.6), ("rose", 0.5)),
        "gentle",
        "Rounder, lighter, medium chroma: oranges and sky blues are the usual friendly pair.",
    ),
    MoodWord(
        "energetic",
        (("red", 0.9), ("orange", 0.9), ("magenta", 0.5), ("yellow", 0.5)),
        "vivid",
        "Full chroma says energy more surely than any single hue; warm hues are the convention.",
        "What is lively in one market is a discount sign in another.",
    ),
    MoodWord(
        "gentle",
        (("rose", 0.9), ("violet", 0.7), ("jade", 0.5), ("amber", 0.4)),
        "pale",
        "Pale pinks, lilacs and mints are used for care and softness.",
        "In much of the West pale pink is still read as feminine, in Japan far less.",
    ),
    MoodWord(
        "traditional",
        (("red", 0.8), ("green", 0.7), ("earth", 0.7), ("indigo", 0.5)),
        "deep",
        "Wine, bottle green and navy, the colours of old dyes, stand for long standing.",
        "Which colours are old depends on the place: indigo in West Africa, vermilion in East Asia.",
    ),
    MoodWord(
        "inventive",
        (("violet", 0.9), ("magenta", 0.7), ("teal", 0.6), ("orange", 0.4)),
        "vivid",
        "Violets and hues rarely met in nature stand for invention and the unusual.",
    ),
    MoodWord(
        "adventurous",
        (("orange", 0.9), ("green", 0.7), ("azure", 0.6), ("earth", 0.5)),
        "crisp",
        "Outdoor brands set signal oranges against forest and sky.",
        "Orange is holy for Hindus and Buddhists, and the national colour of the Netherlands.",
    ),
    MoodWord(
        "caring",
        (("teal", 0.8), ("rose", 0.8), ("azure", 0.6), ("green", 0.6)),
        "gentle",
        "Care is set in soft blue greens, and in rose where people come first.",
    ),
    MoodWord(
        "festive",
        (("red", 1.0), ("amber", 0.8), ("magenta", 0.7), ("green", 0.4)),
        "vivid",
        "Red with gold is festive from Lunar New Year to Christmas.",
        "Bright magenta and orange belong to weddings in India, white to those of Europe.",
    ),
    MoodWord(
        "mysterious",
        (("indigo", 1.0), ("violet", 0.9), ("teal", 0.5), ("magenta", 0.3)),
        "deep",
        "Night blues and violets near black are the convention for mystery.",
    ),
    MoodWord(
        "honest",
        (("blue", 0.7), ("green", 0.6), ("earth", 0.6), ("amber", 0.4)),
        "muted",
        "Plain, greyed colours as of paper and unbleached cloth are used to say honest.",
    ),
)
WORDS: Final = {word.name: word for word in _WORDS}

_FIELDS: Final = (
    MoodWord(
        "education",
        (("blue", 0.7), ("amber", 0.6), ("green", 0.5)),
        "crisp",
        "Schools and courses gather in blue with a yellow or amber beside it.",
    ),
    MoodWord(
        "health",
        (("teal", 0.8), ("azure", 0.7), ("green", 0.6)),
        "gentle",
        "Health is expected in blue greens; red is kept for emergencies.",
        "A green cross means a pharmacy in much of Europe, and nothing in the Americas.",
    ),
    MoodWord(
        "food and drink",
        (("red", 0.7), ("orange", 0.7), ("green", 0.6)),
        "earthy",
        "Food is sold in reds and oranges, and in green where it is to seem fresh.",
        "Blue is rare for food in Europe, and common for dairy and fish.",
    ),
    MoodWord(
        "craft",
        (("earth", 0.8), ("indigo", 0.5), ("amber", 0.5)),
        "earthy",
        "Crafts use the colours of their material: clay, wood, dyed cloth.",
    ),
    MoodWord(
        "money and law",
        (("indigo", 0.8), ("blue", 0.7), ("green", 0.5)),
        "sober",
        "Money and law dress in dark blue, or in green after banknotes.",
        "Red means a falling price in Europe and a rising one in China and Japan.",
    ),
    MoodWord(
        "travel and outdoors",
        (("azure", 0.8), ("orange", 0.6), ("green", 0.6)),
        "crisp",
        "Travel shows sky and sea, with a warm colour for the sun or the button.",
    ),
    MoodWord(
        "culture",
        (("magenta", 0.6), ("indigo", 0.6), ("yellow", 0.5)),
        "crisp",
        "Museums and stages may do as they like, and most take one strong colour beside black.",
    ),
    MoodWord(
        "technology",
        (("blue", 0.7), ("violet", 0.6), ("teal", 0.6)),
        "crisp",
        "Software gathers between blue and violet; to be told apart, leave that corner.",
    ),
    MoodWord(
        "sport",
        (("red", 0.7), ("blue", 0.6), ("yellow", 0.5)),
        "vivid",
        "Clubs wear primary colours that can be told apart from the stands.",
    ),
    MoodWord(
        "charity",
        (("orange", 0.6), ("azure", 0.6), ("magenta", 0.5)),
        "gentle",
        "Causes are known by one clear colour, often that of a ribbon.",
    ),
)
FIELDS: Final = {field.name: field for field in _FIELDS}
