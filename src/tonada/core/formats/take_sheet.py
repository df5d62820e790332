"""The sheet of a take: its roles, swatches, steps, overlays and grounds with their names, in both schemes."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from tonada.core.color.writing import written
from tonada.core.formats.ground_texts import GroundTexts
from tonada.core.formats.naming import Names, Words, words_of
from tonada.core.formats.sheet import USUAL_OPTIONS, End, NamedPair, Options, Sheet, Value
from tonada.core.proof.grounds import grounds_of
from tonada.core.take.key import read_key, text_key
from tonada.core.take.parts import Assignment
from tonada.core.take.proof_settings import Element
from tonada.core.take.take import Take, role_name, role_rank


def sheet_of(take: Take, options: Options = USUAL_OPTIONS, *, title: str, origin: str = "") -> Sheet:
    """Return the sheet of a take, by day and where wanted by night.

    A name is there in both schemes or in none: what one of them lacks has there the other's value.
    """
    day = take if take.scheme == "day" else take.turned()
    names = Names(day)
    texts = GroundTexts(day, names) if options.texts and options.roles else None
    values = _values(day, names, options, texts)
    at_night: tuple[Value, ...] = ()
    night_pairs: tuple[NamedPair, ...] = ()
    if options.night and day.other is not None:
        at_night = _values(day.turned(), names, options, texts)
        night_pairs = _pairs(day.turned(), names, at_night)
        values, at_night = _completed(values, at_night, "night"), _completed(at_night, values, "day")
    pairs = _pairs(day, names, values)
    if texts:
        pairs += texts.pairs()
        night_pairs += texts.pairs() if at_night else ()
    return Sheet(title, values, at_night, origin, pairs, night_pairs, day.level)


def _completed(values: tuple[Value, ...], others: tuple[Value, ...], other: str) -> tuple[Value, ...]:
    there = {value.words for value in values}
    missing = [value for value in others if value.words not in there]
    return (*values, *(replace(entry, refers=None, note=f"as by {other}") for entry in missing))


def _values(take: Take, names: Names, options: Options, texts: GroundTexts | None) -> tuple[Value, ...]:
    values: list[Value] = []
    if options.swatches or options.steps:
        values += [
            Value("swatch", names.of(swatch.id), swatch.name, swatch.hex, swatch.origin.note, key=swatch.id)
            for swatch in take.swatches
        ]
        # A swatch that a role has needs no second name where steps aren't asked for.
        if not options.steps:
            values = [
                value for value, one in zip(values, take.swatches, strict=True) if not _is_used(take, one.id)
            ]
    if options.steps:
        values += _steps(take, names)
    if options.roles:
        # A role refers only to what has a name of its own on the sheet.
        values = [*_role_values(take, names, {value.words for value in values}), *values]
    if texts:
        values += texts.values(take, {value.words for value in values})
    if options.overlays:
        values += [
            Value(
                "overlay",
                names.of(overlay.id),
                overlay.name,
                take.value_at(overlay.swatch, overlay.step),
                f"{take.name_of(overlay.swatch, overlay.step)} at {overlay.alpha:.4g}",
                alpha=overlay.alpha,
                key=overlay.id,
            )
            for overlay in take.overlays
        ]
    if options.grounds:
        values += _ground_values(take, names)
    return tuple(values)


def _role_values(take: Take, names: Names, known: set[Words]) -> Iterator[Value]:
    for assigned in sorted(take.roles, key=lambda assigned: role_rank(assigned.role)):
        target = names.of_step(assigned.swatch, assigned.step)
        yield Value(
            "role",
            names.of(assigned.role),
            role_name(assigned.role, assigned.name),
            take.hex_of(assigned.role),
            take.name_of(assigned.swatch, assigned.step),
            target if target in known else None,
            assigned.reason,
            key=assigned.role,
        )
        if assigned.role in names.as_text:
            yield _as_text(take, names, assigned, known)


def _as_text(take: Take, names: Names, assigned: Assignment, known: set[Words]) -> Value:
    """Return a role as text or line; where that is the colour itself, it refers to the role."""
    key, name = text_key(assigned.role), role_name(assigned.role, assigned.name)
    target = names.of(assigned.role)
    if assigned.text_step is not None:
        step = names.of_step(assigned.swatch, assigned.text_step)
        return Value(
            "role", names.of(key), f"{name} as text", take.color_of(key),
            take.name_of(assigned.swatch, assigned.text_step), step if step in known else None,
            key=key,
        )  # fmt: skip
    return Value("role", names.of(key), f"{name} as text", take.color_of(key), refers=target, key=key)


def _is_used(take: Take, owner: str) -> bool:
    """Return whether a role has a swatch, by day or by night: names are there in both or in none."""
    schemes = (take,) if take.other is None else (take, take.turned())
    return any(scheme.roles_of(owner) for scheme in schemes)


def _steps(take: Take, names: Names) -> list[Value]:
    return [
        Value("step", names.of_step(owner, row), take.name_of(owner, row), value)
        for owner in (*(swatch.id for swatch in take.swatches), *(neutral.id for neutral in take.neutrals))
        for row, value in enumerate(take.ramp(owner).hexes, 1)
    ]


def _ground_values(take: Take, names: Names) -> list[Value]:
    """Return what every element uses on every ground: “on mist heading”."""
    values = []
    for ground in grounds_of(take):
        base = names.of_ground(ground.id, ground.name, Element)
        values.append(
            Value("ground", (*base, "ground"), ground.name, ground.hex, take.display_name(ground.key))
        )
        values += [
            Value(
                "ground",
                (*base, *words_of(element.element)),
                f"{ground.name}, {element.element}",
                element.hex,
                element.name,
            )
            for element in ground.elements
            if element.element in Element
        ]
    return values


def _pairs(take: Take, names: Names, values: tuple[Value, ...]) -> tuple[NamedPair, ...]:
    """Return the pairs of a scheme, each end by its name on the sheet, or as a colour where it has none."""
    there = {value.words for value in values}

    def end(key: str) -> End:
        if read_key(key).value is None and names.of(key) in there:
            return names.of(key)
        overlay = take.overlay(key)
        if overlay is None:
            return take.color_of(key)
        return written(take.value_at(overlay.swatch, overlay.step), "rgb", overlay.alpha)

    return tuple(
        NamedPair(pair, end(pair.text), end(pair.ground), tuple(end(layer) for layer in pair.layers))
        for pair in take.pairs
    )
