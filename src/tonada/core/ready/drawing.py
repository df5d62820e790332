"""Palettes drawn for a mood and a trade: hues by rule, the character's lightness and chroma, a ground.

What is drawn is only a proposal; `choosing.py` keeps what passes. The same seed draws the same.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Final

import numpy as np

from tonada.core.color.circles import Circle, turned
from tonada.core.color.hue_rules import color_at, rule_angles
from tonada.core.color.spaces import Hex, hex_to_oklch
from tonada.core.harmony.character import CHARACTERS, Character
from tonada.core.ready.palette import Ground, RoleColor, checked_colors
from tonada.core.source.mood import FIELD_WEIGHT
from tonada.core.source.mood_words import FAMILIES, MoodWord
from tonada.core.take.parts import Role

# How many hues, and by which rules their angles come: partner angles for Secondary, Accent, and more.
RULES_BY_HUES: Final[dict[int, tuple[str, ...]]] = {
    1: ("monochromatic",),
    2: ("complementary", "analogous", "split complementary"),
    3: ("split complementary", "triadic", "analogous with accent", "analogous"),
    4: ("tetradic",),
}
_HUE_STRAYS: Final = 9.0
# Where Secondary has the hue of Primary it is so much lighter or darker.
_TONE_APART: Final = 0.17
# An accent that may speak louder than the palette does.
_CALLS: Final = 0.55
# In these nothing calls unless something from outside does.
_QUIET: Final = ("sober", "smoky", "pale", "muted", "deep")
# Where a character leaves less between dark and light, its colours couldn't be told apart.
_LEAST_SPAN: Final = 0.3
# Lightness of Paper, Mist and Ink, and of Deep where the ground is dark: from, to.
_LIGHT: Final = {Role.PAPER: (0.962, 0.995), Role.MIST: (0.885, 0.945), Role.INK: (0.17, 0.28)}
_DARK: Final = {
    Role.PAPER: (0.17, 0.255),
    Role.MIST: (0.045, 0.075),  # above Paper
    Role.DEEP: (0.1, 0.135),
    Role.INK: (0.93, 0.965),
}
# Chroma of a light Paper and of a dark one: white or black, a breath of hue, a colour.
_PAPER_CHROMAS: Final = ((0.0, 0.0), (0.004, 0.012), (0.014, 0.04))
_DARK_CHROMAS: Final = ((0.0, 0.004), (0.012, 0.03), (0.03, 0.07))
_LIFT: Final = 0.1  # lightness that brand colours gain on a dark ground
_CIRCLES: Final[tuple[Circle, ...]] = ("perceptual", "painter")


# Light greens, mints and cyans glare on screens long before they leave sRGB: hues, lightness from, chroma.
_GLARES: Final = (
    ((108.0, 175.0), 0.76, 0.15),
    ((108.0, 175.0), 0.86, 0.115),
    ((170.0, 225.0), 0.84, 0.1),
    ((295.0, 350.0), 0.45, 0.225),
)


def most_calm_chroma(lightness: float, hue: float) -> float:
    """Return the most chroma (OKLCH) that doesn't glare at a lightness and hue."""
    return min(
        (
            chroma
            for (first, last), from_lightness, chroma in _GLARES
            if first <= hue % 360 <= last and lightness >= from_lightness
        ),
        default=0.5,
    )


@dataclass(frozen=True, slots=True)
class Wish:
    """What a palette is drawn for."""

    mood: MoodWord
    trade: MoodWord | None
    hues: int
    ground: Ground
    character: Character


def draw(wish: Wish, seed: int) -> tuple[RoleColor, ...]:
    """Return a palette for a wish. The same seed draws the same."""
    random = np.random.default_rng(seed)
    hue = _leading_hue(wish, random)
    brand = _placed(wish, _hues(wish.hues, hue, random), random)
    grounds = _grounds(wish.ground, [hex_to_oklch(value)[2] for value in brand.values()], random)
    return checked_colors({**brand, **grounds})


def _leading_hue(wish: Wish, random: np.random.Generator) -> float:
    weights: dict[str, float] = {}
    spoken = [(wish.mood, 1.0), *([(wish.trade, FIELD_WEIGHT)] if wish.trade else [])]
    for word, strength in spoken:
        for family, weight in word.families:
            weights[family] = weights.get(family, 0.0) + strength * weight
    names = list(weights)
    shares = np.array([weights[name] for name in names])
    family = names[int(random.choice(len(names), p=shares / shares.sum()))]
    return float(FAMILIES[family].hue + random.normal(0.0, _HUE_STRAYS))


def _hues(count: int, hue: float, random: np.random.Generator) -> dict[Role, float]:
    """Return the hues of the brand roles by one of the rules that make so many of them."""
    rule = str(random.choice(RULES_BY_HUES[count]))
    circle = _CIRCLES[int(random.integers(len(_CIRCLES)))]
    angles = list(rule_angles(rule, _spread(rule, random)))
    random.shuffle(angles)
    if count == 2:
        # One of the three has the hue of another: usually Secondary that of Primary.
        partner = angles[0]
        angles = [0.0, partner] if random.random() < 0.6 else [partner, partner]
    if rule == "analogous with accent":
        near = [angle for angle in angles if angle != 180.0]
        angles = [near[0], 180.0]
    if count == 1:
        angles = [0.0, 0.0]
    roles = (Role.SECONDARY, Role.ACCENT, Role.ACCENT_2)
    partners = {role: turned(hue % 360, angle, circle) for role, angle in zip(roles, angles, strict=False)}
    return {Role.PRIMARY: hue % 360, **partners}


def _spread(rule: str, random: np.random.Generator) -> float | None:
    ranges = {"analogous": (28, 55), "split complementary": (135, 172), "tetradic": (35, 80)}
    ranges["analogous with accent"] = (28, 48)
    return float(random.uniform(*ranges[rule])) if rule in ranges else None


def _placed(wish: Wish, hues: dict[Role, float], random: np.random.Generator) -> dict[Role, Hex]:
    """Return the brand's colours in the character, dark to light in an order that is drawn."""
    ranks = np.linspace(-0.5, 0.5, len(hues))
    if random.random() < 0.35:
        random.shuffle(ranks)
    lift = _LIFT if wish.ground == "dark" else 0.0
    placed: dict[Role, Hex] = {}
    for rank, (role, hue) in zip(ranks, hues.items(), strict=True):
        character = wish.character
        if role is Role.ACCENT and (random.random() < _CALLS or character.name in _QUIET):
            louder = ["vivid", "crisp", "luminous"]
            louder += [] if character.name in _QUIET else [character.name]
            character = CHARACTERS[str(random.choice(louder))]
        wider = max(1.0, _LEAST_SPAN / character.span)
        lightness, chroma, _ = hex_to_oklch(character.place(color_at(0.6, 0.1, hue), float(rank) * wider))
        lightness += lift + random.uniform(-0.045, 0.045)
        for other in placed.values():
            other_lightness, _, other_hue = hex_to_oklch(other)
            is_same_hue = abs((other_hue - hue + 180) % 360 - 180) < 20
            if is_same_hue and abs(other_lightness - lightness) < _TONE_APART:
                lightness = other_lightness + _TONE_APART * (1 if other_lightness < 0.62 else -1)
        chroma *= random.uniform(0.8, 1.08)
        lightness = min(0.93, max(0.22, lightness))
        placed[role] = color_at(lightness, min(chroma, most_calm_chroma(lightness, hue)), hue)
    return placed


def _grounds(ground: Ground, hues: list[float], random: np.random.Generator) -> dict[Role, Hex]:
    """Return Paper, Mist and Ink, and Deep on a dark ground, tinted by one of the palette's hues."""
    # Warm white is at home under any palette; a dark ground has a hue of its own palette.
    warm = 85.0 if ground == "light" else hues[0]
    hue = float(random.choice([hues[0], hues[0], hues[-1], hues[1], warm]))
    ranges = _LIGHT if ground == "light" else _DARK
    chromas = _PAPER_CHROMAS if ground == "light" else _DARK_CHROMAS
    chroma = float(random.uniform(*chromas[int(random.choice(3, p=(0.25, 0.4, 0.35)))]))
    paper = float(random.uniform(*ranges[Role.PAPER]))
    mist = float(random.uniform(*ranges[Role.MIST]))
    ink = float(random.uniform(*ranges[Role.INK]))
    if ground == "light":
        # A ground that is coloured is a little darker: near white there is no chroma.
        paper -= chroma * 0.35
        return {
            Role.PAPER: color_at(paper, chroma, hue),
            Role.MIST: color_at(min(mist, paper - 0.04), chroma * 1.5 + 0.004, hue),
            Role.INK: color_at(ink, float(random.uniform(0.01, 0.06)), hues[0]),
        }
    return {
        Role.PAPER: color_at(paper, chroma, hue),
        Role.MIST: color_at(paper + mist, chroma * 1.1, hue),
        Role.DEEP: color_at(float(random.uniform(*ranges[Role.DEEP])), chroma * 0.6, hue),
        Role.INK: color_at(ink, float(random.uniform(0.005, 0.025)), hue),
    }
