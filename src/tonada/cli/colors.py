"""Commands on single colours and pictures: extract, contrast, roles, harmony, ramp, mend."""

from __future__ import annotations

import argparse
import json
from collections.abc import Sequence
from typing import Any

from tonada.cli.parser import number
from tonada.cli.streams import (
    add_file,
    add_out,
    add_printed_out,
    add_start,
    add_strict,
    content_of,
    give,
    tell,
)


def extract(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `extract`."""
    add_file(command, "a picture")
    command.add_argument("--max", type=_count, default=12, metavar="N", help="at most N colours (1 to 12)")
    add_strict(command)
    add_out(command)
    command.set_defaults(run=_extract)
    command.add_argument("--json", action="store_true", help="print JSON")


def contrast(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `contrast`."""
    command.add_argument("text", metavar="TEXT", help="any CSS colour; may be translucent")
    command.add_argument("ground", metavar="GROUND", help="any opaque CSS colour")
    add_printed_out(command)
    command.set_defaults(run=_contrast)
    command.add_argument("--json", action="store_true", help="print JSON")


def roles(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `roles`."""
    command.add_argument("colors", nargs="+", metavar="COLOR", help="any CSS colour")
    add_start(command)
    add_printed_out(command)
    command.set_defaults(run=_roles)
    command.add_argument("--json", action="store_true", help="print JSON")


def harmony(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `harmony`."""
    command.add_argument("color", metavar="COLOR", help="any CSS colour with a hue")
    command.add_argument("--rule", required=True, metavar="NAME", help="such as complementary or triadic")
    command.add_argument(
        "--spread", type=number, metavar="DEG", help="degrees between the hues (default: the rule's own)"
    )
    command.add_argument(
        "--circle",
        choices=("perceptual", "painter", "light"),
        default="perceptual",
        help="the colour circle of the rule (default: perceptual)",
    )
    add_printed_out(command)
    command.set_defaults(run=_harmony)
    command.add_argument("--json", action="store_true", help="print JSON")


def ramp(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `ramp`."""
    command.add_argument("color", metavar="COLOR", help="any opaque CSS colour")
    command.add_argument("--kind", choices=("even", "steady", "mix"), default="even", help="default: even")
    command.add_argument(
        "--steps", type=int, metavar="N", help="even: in all (default: 11); mix: on each side (default: 10)"
    )
    add_printed_out(command)
    command.set_defaults(run=_ramp)
    command.add_argument("--json", action="store_true", help="print JSON")


def mend(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `mend`."""
    command.add_argument("text", metavar="TEXT", help="any opaque CSS colour")
    command.add_argument("ground", metavar="GROUND", help="any opaque CSS colour")
    command.add_argument("--ratio", type=_ratio, required=True, metavar="R", help="1 to 21, such as 4.5")
    command.add_argument(
        "--move", choices=("text", "ground"), default="text", help="which colour to change (default: text)"
    )
    command.add_argument(
        "--mode", choices=("hue", "free"), default="hue", help="keep the hue, or let it change (default: hue)"
    )
    add_printed_out(command)
    command.set_defaults(run=_mend)
    command.add_argument("--json", action="store_true", help="print JSON")


def _count(text: str) -> int:
    if not text.isdigit() or not 1 <= int(text) <= 12:
        raise argparse.ArgumentTypeError(f"“{text}” is not a number from 1 to 12")
    return int(text)


def _ratio(text: str) -> float:
    value = number(text)
    if not 1 <= value <= 21:
        raise argparse.ArgumentTypeError(f"“{text}” is not a ratio from 1 to 21")
    return value


def _opaque(text: str, field: str) -> str:
    from tonada.core.color.notation import parse_color
    from tonada.core.errors import ColorError

    value, alpha = parse_color(text, field=field)
    if alpha < 1:
        raise ColorError(f"{field} can’t be transparent. Enter the colour without alpha.", field=field)
    return value


def _print(answer: dict[str, Any], lines: Sequence[str], *, as_json: bool) -> int:
    print(json.dumps(answer, ensure_ascii=False) if as_json else "\n".join(lines))
    return 0


def _extract(parsed: argparse.Namespace) -> int:
    from tonada.core.source.notes import Note
    from tonada.intake.bounded import LONG, run_bounded

    asked = {"kind": None, "region": None, "most": parsed.max}
    found = run_bounded("colors", asked, [content_of(parsed.file)], budget=LONG).result
    code = tell((Note(**note) for note in found["notes"]), strict=parsed.strict)
    colors = found["steps"][found["count"] - 1]
    answer = {
        "colors": [{"hex": color["hex"], "share": color["share"]} for color in colors],
        "kind": found["kind"],
        "ground": found["ground"],
        "notes": found["notes"],
    }
    lines = [
        f"{color['hex']}  {color['share'] * 100:5.1f}%" + "  ground" * (color["hex"] == found["ground"])
        for color in colors
    ]
    text = json.dumps(answer, ensure_ascii=False) if parsed.json else "\n".join(lines)
    give(f"{text}\n".encode(), parsed.out)
    return code


def _contrast(parsed: argparse.Namespace) -> int:
    from tonada.core.color.contrast import composite, contrast_ratio, rounded_down
    from tonada.core.color.notation import parse_color
    from tonada.core.color.spaces import hex_to_srgb8
    from tonada.core.color.wcag import levels_of_ratio
    from tonada.core.errors import ColorError

    text, alpha = parse_color(parsed.text, field="TEXT")
    ground, ground_alpha = parse_color(parsed.ground, field="GROUND")
    if ground_alpha < 1:
        raise ColorError("GROUND must be opaque: what is behind it isn't known.", field="GROUND")
    seen = composite(hex_to_srgb8(text), alpha, hex_to_srgb8(ground))
    ratio = float(contrast_ratio(seen, hex_to_srgb8(ground)))
    levels = levels_of_ratio(ratio)
    lines = [f"{rounded_down(ratio)}:1", *(f"{usage:<6}{level}" for usage, level in levels.items())]
    return _print({"ratio": ratio, "levels": levels}, lines, as_json=parsed.json)


def _roles(parsed: argparse.Namespace) -> int:
    from tonada.core.color.notation import parse_color
    from tonada.core.roles.candidates import SourceColor, candidates_of
    from tonada.core.roles.proposal import propose_roles
    from tonada.core.roles.starts import start_named

    colors = [SourceColor(parse_color(text, field="COLOR")[0]) for text in parsed.colors]
    start = start_named(parsed.start) if parsed.start else None
    roles = propose_roles(candidates_of("list", colors).candidates, "list", start=start).roles
    answer = {"roles": [{"role": r.role, "hex": r.hex, "reason": r.reason} for r in roles]}
    return _print(answer, [f"{r.role:<10}{r.hex}  {r.reason}" for r in roles], as_json=parsed.json)


def _harmony(parsed: argparse.Namespace) -> int:
    from tonada.core.color.hue_rules import partners
    from tonada.core.color.notation import parse_color

    anchor, _ = parse_color(parsed.color, field="COLOR")
    found = partners(anchor, parsed.rule, parsed.spread, circle=parsed.circle)
    answer = {"colors": [{"hex": value, "angle": angle} for value, angle in found]}
    return _print(answer, [f"{value}  {angle:5.1f}°" for value, angle in found], as_json=parsed.json)


def _ramp(parsed: argparse.Namespace) -> int:
    from tonada.core.color.contrast import relative_luminance, scale_position
    from tonada.core.color.ramp import RampSettings, ramp_of
    from tonada.core.color.spaces import hexes_to_srgb8

    value = _opaque(parsed.color, "COLOR")
    count = parsed.steps if parsed.steps is not None else 10 if parsed.kind == "mix" else 11
    ramp = ramp_of(value, RampSettings(parsed.kind, count, count, count))
    places = scale_position(relative_luminance(hexes_to_srgb8(ramp.hexes)))
    steps = [{"hex": one, "position": float(place)} for one, place in zip(ramp.hexes, places, strict=True)]
    lines = [
        f"{number:3}  {one['hex']}  {one['position']:.3f}{'  itself' if number == ramp.own + 1 else ''}"
        for number, one in enumerate(steps, start=1)
    ]
    return _print({"steps": steps}, lines, as_json=parsed.json)


def _mend(parsed: argparse.Namespace) -> int:
    from tonada.core.color.contrast import rounded_down
    from tonada.core.errors import NotReachable
    from tonada.core.mends.nearest import best_ratio, nearest_passing

    text, ground = _opaque(parsed.text, "TEXT"), _opaque(parsed.ground, "GROUND")
    moving, fixed = (text, ground) if parsed.move == "text" else (ground, text)
    best = best_ratio(fixed)
    answer: dict[str, Any] = {"hex": None, "ratio": None, "difference": None, "best_ratio": best}
    try:
        found = nearest_passing(moving, fixed, parsed.ratio, parsed.mode)
    except NotReachable as refusal:
        line = f"{refusal}. Changing the other colour reaches {rounded_down(best_ratio(moving))}:1 at best."
        return _print(answer, [line[:1].upper() + line[1:]], as_json=parsed.json)
    answer |= {"hex": found.hex, "ratio": found.ratio, "difference": found.difference}
    line = f"{found.hex}  {rounded_down(found.ratio)}:1  difference {found.difference:.4f}"
    return _print(answer, [line], as_json=parsed.json)
