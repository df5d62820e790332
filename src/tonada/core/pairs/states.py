"""Pairs for the states of links and buttons, derived by rule from the roles.

A state is a step of the ramp of what it is a state of, further from the page's ground: one step for
hover, two for pressed and visited. So it follows its swatch, and any of it can be changed by hand.
"""

from __future__ import annotations

from dataclasses import replace
from typing import Final

from tonada.core.color.contrast import ratio_between
from tonada.core.color.wcag import Usage
from tonada.core.take.key import step_key
from tonada.core.take.take import Pair, Role, RoleKey, Take

STATE_IDS: Final = "state-"
# Whose face a button has, and how far each state goes along the ramp.
BUTTONS: Final = (Role.PRIMARY, Role.ACCENT)
HOVER: Final = 1
PRESSED: Final = 2
VISITED: Final = 2


def with_states(take: Take) -> Take:
    """Return the take with a pair for each state, in place of those that were there before.

    Hover and pressed of buttons, hover and visited of links, the focus ring on the page and on
    buttons, and what is disabled, which WCAG 2.2 exempts (1.4.3, inactive components).
    """
    kept = tuple(pair for pair in take.pairs if not pair.id.startswith(STATE_IDS))
    return replace(take, pairs=(*kept, *_states(take)))


def _states(take: Take) -> list[Pair]:
    pairs: list[Pair] = []

    def add(name: str, text: str, ground: str, usage: Usage, sample: str) -> None:
        pairs.append(Pair(f"{STATE_IDS}{name}", text, ground, usage, sample))

    for role in BUTTONS:
        if take.has_role(role):
            for state, steps in (("hover", HOVER), ("pressed", PRESSED)):
                face = _moved(take, role, steps)
                add(f"{role}-{state}", _label_on(take, face), face, Usage.BUTTON_LABEL, f"Button, {state}")
    if take.has_role(Role.LINK) and take.has_role(Role.PAPER):
        for state, steps in (("hover", HOVER), ("visited", VISITED)):
            add(f"link-{state}", _moved(take, Role.LINK, steps), Role.PAPER, Usage.LINK, f"Link, {state}")
    ring = next((role for role in (Role.INK, Role.PRIMARY) if take.has_role(role)), None)
    for ground in (Role.PAPER, Role.MIST, Role.PRIMARY):
        if ring and ground != ring and take.has_role(ground):
            on = Role.PAPER if ground is Role.PRIMARY else ring
            if take.has_role(on):
                add(f"focus-on-{ground}", on, ground, Usage.FOCUS, "Focus ring")
    if take.has_role(Role.MUTED) and take.has_role(Role.MIST):
        add("disabled", Role.MUTED, Role.MIST, Usage.DISABLED, "Not available")
    return pairs


def _moved(take: Take, role: RoleKey, steps: int) -> str:
    """Return the key of the step that lies `steps` further from Paper, or as far as the ramp goes."""
    assigned = take.assignment(role)
    ramp = take.ramp(assigned.swatch)
    now = ramp.own if assigned.step is None else assigned.step - 1
    toward = -1 if take.scheme == "night" else 1
    there = min(len(ramp.hexes) - 1, max(0, now + toward * steps))
    return step_key(assigned.swatch, there + 1)


def _label_on(take: Take, face: str) -> RoleKey:
    labels = [role for role in (Role.PAPER, Role.INK) if take.has_role(role)]
    value = take.color_of(face)
    return max(labels, key=lambda role: ratio_between(take.hex_of(role), value), default=Role.PAPER)
