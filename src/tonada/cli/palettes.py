"""The command that finds ready-made palettes, and takes one."""

from __future__ import annotations

import argparse
import json
from pathlib import Path
from typing import TYPE_CHECKING, Any, Final

from tonada.cli.build import TO_HELP, take_file

if TYPE_CHECKING:
    from tonada.core.ready.palette import ReadyPalette

SORTS: Final = ("nearness", "quiet", "loud", "hue")


def palettes(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `palettes`."""
    add = command.add_argument
    add(
        "--near",
        nargs="+",
        default=(),
        metavar="COLOR",
        help="up to three colours that the palette should be near",
    )
    add(
        "--with",
        nargs="+",
        default=(),
        dest="held",
        metavar="COLOR",
        help="colours that the palette should go with",
    )
    add("--words", default="", metavar="TEXT", help="words in names, colour names, moods and trades")
    add("--mood", nargs="+", default=(), metavar="WORD", help="such as warm; any of them")
    add("--trade", nargs="+", default=(), metavar="TRADE", help="such as craft; any of them")
    add("--hues", nargs="+", type=_hue_count, default=(), metavar="N", help="1 to 4; any of them")
    add("--ground", choices=("light", "dark"), help="the page's ground by day")
    add("--character", metavar="NAME", help="such as muted or vivid")
    add("--aaa", action="store_true", help="only palettes that pass AAA")
    add("--sort", choices=SORTS, default="nearness", help="default: nearness")
    add("--max", type=_count, default=12, metavar="N", help="print at most N (default: 12)")
    add("--file", type=Path, metavar="FILE", help="search this list of palettes instead of Tonada's own")
    add("--take", metavar="NAME", help="make a take from the palette of this name")
    add("--to", default="tonada", metavar="FORMAT", help=TO_HELP)
    add("--out", type=Path, metavar="FILE", help="the file to write the take to")
    add("--json", action="store_true", help="print JSON")
    command.set_defaults(run=_palettes)


def _palettes(parsed: argparse.Namespace) -> int:
    palettes = _all(parsed.file)
    if parsed.take is not None:
        return _take(palettes, parsed)
    found = _find(palettes, parsed)
    shown = found[: parsed.max]
    if parsed.json:
        print(
            json.dumps(
                {"found": len(found), "palettes": [_said(entry) for entry in shown]}, ensure_ascii=False
            )
        )
        return 0
    for palette in shown:
        colors = " ".join(color.hex for color in palette.colors)
        print(f"{palette.name:<26}{colors}  {palette.traits.hues} hues, {palette.traits.ground}")
    print(f"{len(found)} of {len(palettes)} found.")
    return 0


def _all(file: Path | None) -> tuple[ReadyPalette, ...]:
    if file is None:
        from tonada.core.ready.shipped import shipped_palettes

        return shipped_palettes()
    from dataclasses import replace

    from tonada.core.formats.palette_list import read_palettes
    from tonada.core.limits import MAX_LIST_BYTES

    with file.open("rb") as opened:
        read = read_palettes(opened.read(MAX_LIST_BYTES + 1))
    return tuple(replace(one, id=str(number)) for number, one in enumerate(read.palettes))


def _find(palettes: tuple[ReadyPalette, ...], parsed: argparse.Namespace) -> list[ReadyPalette]:
    from tonada.core.color.notation import read_color
    from tonada.core.ready.finding import Question, find, index_of

    question = Question(
        notes=tuple(read_color(entry, field="near").hex for entry in parsed.near),
        held=tuple(read_color(entry, field="with").hex for entry in parsed.held),
        words=parsed.words,
        moods=tuple(parsed.mood),
        trades=tuple(parsed.trade),
        hues=tuple(parsed.hues),
        ground=parsed.ground,
        character=parsed.character,
        aaa=parsed.aaa,
        sort=parsed.sort,
    )
    return [palettes[row] for row in find(index_of(palettes), question)]


def _take(palettes: tuple[ReadyPalette, ...], parsed: argparse.Namespace) -> int:
    from tonada.core.errors import InputError
    from tonada.core.mends.shortfalls import shortfalls
    from tonada.core.ready.taking import ready_take

    wanted = parsed.take.casefold()
    palette = next((palette for palette in palettes if palette.name.casefold() == wanted), None)
    if palette is None:
        raise InputError(f"There is no palette called “{parsed.take[:40]}”.", field="take")
    take = ready_take(palette.colors, palette.name, "AAA" if parsed.aaa else "AA")
    short = shortfalls(take)
    if parsed.out:
        parsed.out.write_bytes(take_file(take, palette.name, parsed.to))
    if parsed.json:
        print(json.dumps({**_said(palette), "short": short}, ensure_ascii=False))
    else:
        roles = (
            f"{assigned.role:<10}{take.value_at(assigned.swatch, assigned.step)}" for assigned in take.roles
        )
        verdict = f"{len(short)} fail." if short else f"Every pair passes {take.level}, by day and by night."
        print("\n".join([*roles, verdict, *short]))
    return 1 if short else 0


def _said(palette: ReadyPalette) -> dict[str, Any]:
    return {
        "name": palette.name,
        "colors": {str(color.role): color.hex for color in palette.colors},
        "hues": palette.traits.hues,
        "ground": palette.traits.ground,
        "character": palette.traits.character,
        "loudness": round(palette.traits.loudness, 3),
        "moods": list(palette.moods),
        "trades": list(palette.trades),
        "tags": list(palette.tags),
        "aaa": bool(palette.proof and palette.proof.reaches_aaa),
    }


def _count(text: str) -> int:
    if not text.isdigit() or not 1 <= int(text) <= 1_000:
        raise argparse.ArgumentTypeError(f"“{text}” is not a number from 1 to 1000")
    return int(text)


def _hue_count(text: str) -> int:
    if text not in ("1", "2", "3", "4"):
        raise argparse.ArgumentTypeError(f"“{text}” is not a number from 1 to 4")
    return int(text)
