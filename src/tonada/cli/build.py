"""The command that goes the whole way: from a logo, colours or a mood to a take that is checked."""

from __future__ import annotations

import argparse
import json
from pathlib import Path
from typing import TYPE_CHECKING, Any, Final

from tonada.cli.streams import add_start, add_strict, tell

if TYPE_CHECKING:
    from tonada.core.roles.brand import Candidate
    from tonada.core.roles.candidates import SourceColor
    from tonada.core.source.kept import SourceKind
    from tonada.core.source.notes import Note
    from tonada.core.take.take import Take


# The kinds aren't checked before the file is read: what makes them starts threads, and reading forks.
TO_HELP: Final = "as `tonada export` writes (default: tonada, the whole take)"


def build(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `build`."""
    command.add_argument("inputs", nargs="*", metavar="FILE|COLOR", help="a picture, a list, or CSS colours")
    command.add_argument(
        "--mood", nargs="+", default=(), metavar="WORD", help="a mood for the free colours, such as calm"
    )
    add_start(command)
    command.add_argument("--to", default="tonada", metavar="FORMAT", help=TO_HELP)
    command.add_argument("--out", type=Path, metavar="FILE", help="the file to write (default: none)")
    command.add_argument("--json", action="store_true", help="print JSON")
    add_strict(command)
    command.set_defaults(run=_build)


def _build(parsed: argparse.Namespace) -> int:
    # Before anything that starts threads: the command forks itself to read a file.
    found = _read_file(parsed.inputs)

    from tonada.core.mends.shortfalls import shortfalls
    from tonada.core.roles.build import build_take
    from tonada.core.roles.candidates import WHOLES, candidates_of
    from tonada.core.roles.proposal import propose_roles
    from tonada.core.roles.starts import start_named
    from tonada.files.kinds import file_format

    file_format(parsed.to)  # an unknown one is refused before anything is made
    if found:
        kind, candidates, name = found["kind"], _of_file(found), Path(parsed.inputs[0]).name
    else:
        kind, colors, name = _of_words(parsed.inputs, tuple(parsed.mood))
        candidates = candidates_of(kind, colors).candidates
    start = start_named(parsed.start) if parsed.start else None
    proposal = propose_roles(candidates, WHOLES[kind], start=start)
    take = build_take(candidates, proposal, source=None, source_name=name)
    notes = list(proposal.impossible)
    if parsed.inputs and parsed.mood:
        take, note = _in_mood(take, tuple(parsed.mood))
        notes.append(note)
    short = shortfalls(take)
    if parsed.out:
        parsed.out.write_bytes(take_file(take, name, parsed.to))
    roles = [
        {
            "role": assigned.role,
            "hex": take.value_at(assigned.swatch, assigned.step),
            "reason": assigned.reason,
        }
        for assigned in take.roles
    ]
    if parsed.json:
        answer = {"roles": roles, "notes": notes, "short": short}
        answer |= {"impossible": list(proposal.impossible), "failing": len(short)}
        print(json.dumps(answer, ensure_ascii=False))
    else:
        lines = [f"{role['role']:<10}{role['hex']}  {role['reason']}" for role in roles]
        checked = len(take.pairs) + len(take.turned().pairs)
        verdict = f"{checked} pairs checked by day and night: " + (
            f"{len(short)} fail AA." if short else "all pass AA."
        )
        print("\n".join([*lines, *notes, verdict, *short]))
    code = tell(_notes_of(found), strict=parsed.strict) if found else 0
    return 1 if short else code


def _notes_of(found: dict[str, Any]) -> list[Note]:
    from tonada.core.source.notes import Note
    from tonada.document.readings import notes_of, read_kept

    kept = read_kept(found["kind"], found["extraction"])
    return [Note(note.kind, note.where, note.text) for note in notes_of(kept)]


def _read_file(inputs: list[str]) -> dict[str, Any] | None:
    """Return what a file was read as, or None where no file is given."""
    from tonada.core.errors import InputError
    from tonada.core.formats.endings import STYLE_ENDINGS
    from tonada.core.formats.registry import LIST_ENDINGS
    from tonada.intake.bounded import LONG, run_bounded

    files = [Path(entry) for entry in inputs if Path(entry).is_file()]
    if not files:
        return None
    if len(inputs) > 1:
        raise InputError("Give one file, or colours.", field="inputs")
    data = files[0].read_bytes()
    # Lists and stylesheets need no process of their own.
    if files[0].name.lower().endswith(STYLE_ENDINGS + LIST_ENDINGS):
        from tonada.intake.taking_in import Upload, take_in

        intake = take_in((Upload(files[0].name, data),))
        return {"kind": intake.kind, "extraction": intake.extraction}
    asked = {"kind": None, "region": None}
    return {"kind": "image", "extraction": run_bounded("colors", asked, [data], budget=LONG).result}


def _of_words(inputs: list[str], mood: tuple[str, ...]) -> tuple[SourceKind, tuple[SourceColor, ...], str]:
    """Return the colours that were typed, or those of a mood; what they are; a name."""
    from tonada.core.errors import InputError
    from tonada.core.roles.candidates import SourceColor
    from tonada.document.readings import colors_of, read_kept
    from tonada.intake.results import mood_to_json

    if inputs:
        return "list", tuple(SourceColor(_opaque(text)) for text in inputs), "a list"
    if not mood:
        raise InputError("Give a file, colours, or words for a mood.", field="inputs")
    return "mood", colors_of(read_kept("mood", mood_to_json(mood, None))), ", ".join(mood)


def _opaque(text: str) -> str:
    from tonada.core.color.notation import parse_color
    from tonada.core.errors import ColorError

    value, alpha = parse_color(text, field="COLOR")
    if alpha < 1:
        raise ColorError("Swatches can’t be transparent. Enter the colour without alpha.", field="COLOR")
    return value


def _of_file(found: dict[str, Any]) -> tuple[Candidate, ...]:
    from tonada.core.errors import InputError
    from tonada.core.roles.candidates import candidates_of, leaves_out
    from tonada.document.readings import colors_of, read_kept

    kept = read_kept(found["kind"], found["extraction"])
    ground = leaves_out(getattr(kept, "ground", None))
    candidates = candidates_of(found["kind"], colors_of(kept), leave_out_ground=ground).candidates
    if not candidates:
        raise InputError("The picture has a background, but no colours on it.", field="inputs")
    return candidates


def _in_mood(take: Take, words: tuple[str, ...]) -> tuple[Take, str]:
    """Return the take with what is free in the mood's character, where every pair still passes."""
    from dataclasses import replace

    from tonada.core.harmony.chord import shape
    from tonada.core.mends.shortfalls import shortfalls
    from tonada.core.roles.suggest import suggest_roles
    from tonada.core.source.mood import read_mood

    character = read_mood(words).characters[0]
    shaped = shape(replace(take, harmony=replace(take.harmony, character=character)))
    for made in (shaped, suggest_roles(shaped)[0]):
        if not shortfalls(made):
            return made, f"The free colours are {character}."
    return take, f"With “{character}” a pair would fail, so the free colours stay as suggested."


def take_file(take: Take, name: str, kind: str) -> bytes:
    """Return a take as a file of a kind."""
    from tonada.document.own_file import OwnFile, write_own
    from tonada.files.client_sheet import ExportHeader
    from tonada.files.file_format import Handoff
    from tonada.files.kinds import make_file
    from tonada.files.press_profile import usual_press

    if kind == "tonada":
        return write_own(OwnFile(take, name)).encode()
    return make_file(Handoff(take, ExportHeader(name, "", ""), usual_press()), kind)
