"""The words that names of ready-made palettes are made of: things by their colour, places by their mood.

Plain words for plain things. No brands, people or products, and nothing that another palette is known by.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Final, NamedTuple


class Things(NamedTuple):
    """Things of one colour term: light, of middle lightness, dark."""

    light: tuple[str, ...]
    middle: tuple[str, ...]
    dark: tuple[str, ...]


def _things(light: str, middle: str, dark: str) -> Things:
    return Things(tuple(light.split()), tuple(middle.split()), tuple(dark.split()))


# By the terms of `naming.py`. Where a term is at home in one lightness only, the others repeat it.
THINGS: Final[Mapping[str, Things]] = {
    "red": _things(
        "Poppy Radish Cherry Geranium Rosehip Lantern",
        "Brick Rowan Tomato Poppy Lacquer Paprika Currant",
        "Garnet Beetroot Barn Cherry Sorrel Madder",
    ),
    "maroon": _things(
        "Claret Mulberry Garnet",
        "Claret Mulberry Garnet",
        "Claret Mulberry Garnet Wine Beet",
    ),
    "brown": _things(
        "Hazel Cork Walnut Biscuit",
        "Clay Kiln Leather Chestnut Cedar Rust Acorn",
        "Bark Peat Walnut Cocoa Loam Oak",
    ),
    "orange": _things(
        "Apricot Melon Marigold Persimmon",
        "Pumpkin Ember Carrot Saffron Copper Fox",
        "Rust Ember Copper Fox Kiln",
    ),
    "peach": _things(
        "Peach Apricot Scallop Quince",
        "Peach Apricot Scallop",
        "Peach Apricot Scallop",
    ),
    "tan": _things(
        "Sand Straw Reed Rope",
        "Sand Straw Reed Rope Oats Linen",
        "Sand Rope Reed",
    ),
    "beige": _things(
        "Linen Oats Parchment Flax Plaster Wool",
        "Linen Oats Flax Wool",
        "Linen Flax",
    ),
    "gold": _things(
        "Honey Barley Mimosa Brass",
        "Honey Brass Barley Wheat Amber",
        "Brass Amber",
    ),
    "mustard": _things(
        "Mustard Brass Mead",
        "Mustard Brass Ochre Turmeric Mead",
        "Ochre Turmeric",
    ),
    "yellow": _things(
        "Lemon Primrose Buttercup Canary Mimosa",
        "Lemon Gorse Mimosa",
        "Gorse",
    ),
    "olive": _things(
        "Pear Willow Artichoke",
        "Olive Caper Lichen Hops Thyme",
        "Olive Thyme Laurel",
    ),
    "lime": _things(
        "Sprout Pea Lettuce Gooseberry",
        "Sprout Pea Gooseberry",
        "Sprout Pea",
    ),
    "green": _things(
        "Mint Celery Leek Sage Cucumber Willow",
        "Fern Clover Basil Meadow Moss Parsley Nettle",
        "Pine Ivy Moss Holly Juniper Yew Spruce",
    ),
    "teal": _things(
        "Lagoon Heron Eucalyptus",
        "Heron Lagoon Eucalyptus Harbour Weir Tarn",
        "Tarn Fjord Weir Mallard Cove",
    ),
    "turquoise": _things(
        "Lagoon Glacier Reef Shallows",
        "Lagoon Reef Kingfisher Shallows",
        "Reef Lagoon Cove",
    ),
    "cyan": _things(
        "Glacier Ice Brook Frost",
        "Glacier Brook Ice",
        "Brook Cove",
    ),
    "navy": _things(
        "Anchor Midnight Mussel",
        "Anchor Midnight Mussel",
        "Anchor Midnight Harbour Mussel Slate Lighthouse Ferry",
    ),
    "indigo": _things(
        "Iris Bluebell Damson",
        "Iris Damson Indigo Bluebell",
        "Damson Indigo Dusk Sloe Inkwell Iris",
    ),
    "lavender": _things(
        "Lavender Lilac Wisteria Heather",
        "Lavender Heather Lilac",
        "Heather Lavender",
    ),
    "blue": _things(
        "Sky Rain Cornflower Sail Breeze Flax",
        "Cornflower River Jay Bluebell Denim Delphinium Gentian Hydrangea",
        "River Ink Denim Slate Gentian",
    ),
    "violet": _things(
        "Crocus Wisteria Thistle",
        "Violet Thistle Crocus Iris",
        "Violet Elderberry Iris Fig",
    ),
    "purple": _things(
        "Thistle Orchid Clematis Lilac",
        "Thistle Aster Clematis Heather",
        "Fig Aubergine Elderberry Bramble Sloe",
    ),
    "plum": _things(
        "Plum Fig Bramble",
        "Plum Fig Bramble Damson",
        "Plum Fig Bramble Elderberry Beet",
    ),
    "magenta": _things(
        "Fuchsia Peony Orchid",
        "Fuchsia Peony Dahlia",
        "Fuchsia Dahlia",
    ),
    "pink": _things(
        "Peony Blossom Petal Rose Clover Sorbet",
        "Peony Rose Dahlia Raspberry Foxglove",
        "Raspberry Foxglove Dahlia",
    ),
    "coral": _things(
        "Coral Trout Quince",
        "Coral Rosehip Guava",
        "Coral Rosehip",
    ),
    "salmon": _things(
        "Trout Guava Melon",
        "Trout Guava",
        "Trout Guava",
    ),
    "grey": _things(
        "Fog Chalk Pebble Ash Cloud",
        "Pewter Slate Pebble Flint Zinc",
        "Flint Slate Graphite Coal Iron",
    ),
}

# By the words of a mood: where or when one would see it. After a thing, in small letters.
PLACES: Final[Mapping[str, tuple[str, ...]]] = {
    "calm": ("shore", "morning", "window", "pond", "after rain", "at ebb"),
    "bold": ("parade", "poster", "square", "fair", "in sunlight", "signal"),
    "trustworthy": ("office", "archive", "pier", "register", "ledger", "station"),
    "natural": ("field", "hill", "hedge", "path", "after rain", "wood"),
    "playful": ("playground", "kite", "marbles", "crayon", "swing", "balloon"),
    "precious": ("crown", "velvet", "theatre", "by candlelight", "treasury", "brocade"),
    "technical": ("workshop", "drawing", "circuit", "survey", "grid", "gauge"),
    "warm": ("kitchen", "hearth", "oven", "evening", "in August", "terrace"),
    "fresh": ("market", "salad", "spring", "morning", "in April", "breeze"),
    "serious": ("court", "library", "study", "chapter", "hall", "desk"),
    "friendly": ("picnic", "porch", "neighbour", "greeting", "bakery", "bench"),
    "energetic": ("race", "sprint", "drum", "match", "relay", "pulse"),
    "gentle": ("cradle", "letter", "blanket", "pillow", "ribbon", "whisper"),
    "traditional": ("guild", "manor", "tapestry", "cellar", "stable", "parlour"),
    "inventive": ("studio", "experiment", "sketch", "puzzle", "laboratory", "riddle"),
    "adventurous": ("trail", "summit", "tent", "crossing", "compass", "ridge"),
    "caring": ("garden", "tea", "clinic", "nursery", "soap", "lamp"),
    "festive": ("lanterns", "banquet", "carnival", "dance", "ball", "wedding"),
    "mysterious": ("at midnight", "cavern", "shadow", "alley", "curtain", "under stars"),
    "honest": ("paper", "bread", "timber", "apron", "table", "canvas"),
}
# What is left to say where every place of every mood is taken.
HOURS: Final = (
    "at dawn",
    "at noon",
    "at dusk",
    "in winter",
    "in autumn",
    "in June",
    "in spring",
    "house",
    "island",
)
