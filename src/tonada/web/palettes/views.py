"""Ready-made palettes: found, tried, starred; the studio's own kept, changed, exported and imported."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict, replace
from functools import lru_cache
from typing import Final

import werkzeug.datastructures
from flask import Response

from tonada.core.color.contrast import position_of
from tonada.core.color.naming import color_name
from tonada.core.errors import InputError
from tonada.core.formats.palette_list import read_palettes, write_palette_tokens, write_palettes
from tonada.core.limits import MAX_LIST_BYTES
from tonada.core.pairs.evaluation import counts_of_schemes
from tonada.core.ready.finding import Question, Use, find
from tonada.core.ready.palette import ReadyPalette, traits_of
from tonada.core.ready.shipped import shipped_palettes
from tonada.core.ready.taking import palette_from, proof_of, ready_take
from tonada.document.take import TakeDocument
from tonada.store import palettes
from tonada.store.palettes import UseRow
from tonada.web.access import workspace_connection
from tonada.web.answers import answer, blueprint
from tonada.web.handoff.handed import attached
from tonada.web.palettes.models import (
    FileForm,
    FileQuery,
    FindBody,
    FoundAnswer,
    ImportedAnswer,
    KeepBody,
    LevelQuery,
    OwnPalettePath,
    PaletteAnswer,
    PaletteBody,
    PalettePath,
    PaletteVocabulary,
    PlacedNote,
    ProvenAnswer,
    StarBody,
    TriedAnswer,
    across_of,
)
from tonada.web.palettes.shelf import find_palette, new_palette, palette_of, shelf
from tonada.web.security import UPLOADS_PER_MINUTE, csrf, limiter

api = blueprint("palettes")
computed = blueprint("palettes_computed")
# Nothing is changed, so nothing can be forged; and a note that is moved asks many times a second.
csrf.exempt(computed)

# How many pages are proven in one request: a tenth of a second each.
PROVEN_AT_ONCE: Final = 8
# A file at its limit takes some seconds.
IMPORTS_PER_MINUTE: Final = "12 per minute"
_NAMES: Final = {"tonada": "palettes.tonada-palettes.json", "tokens": "palettes.tokens.json"}


@api.get("/palettes", responses={200: PaletteVocabulary}, summary="What ready-made palettes are found by")
def read_palette_vocabulary() -> Response:
    return answer(PaletteVocabulary.whole())


@computed.post(
    "/palettes/search", responses={200: FoundAnswer}, summary="Ready-made palettes, the best first"
)
@limiter.exempt
def find_palettes(body: FindBody) -> Response:
    notes = tuple(note.to_hex() for note in body.notes)
    with workspace_connection() as (connection, workspace):
        index = shelf.index(connection, workspace)
        uses = _uses(palettes.uses(connection, workspace))
    own = index.palettes[: len(index.palettes) - len(shipped_palettes())]
    question = Question(
        notes=notes,
        words=body.words,
        moods=body.moods,
        trades=body.trades,
        hues=body.hues,
        ground=body.ground,
        character=body.character,
        aaa=body.aaa,
        like=body.like,
        held=body.held,
        only=_only(body, own, uses),
        sort=body.sort,
    )
    rows = find(index, question, uses)
    shown = rows[body.start : body.start + body.count]
    return answer(
        FoundAnswer(
            found=len(rows),
            all=len(index.palettes),
            start=body.start,
            palettes=tuple(
                PaletteAnswer.of(index.palettes[row], uses.get(index.palettes[row].id), is_own=row < len(own))
                for row in shown
            ),
            notes=tuple(
                PlacedNote(
                    hex=value, name=color_name(value), across=across_of(value), position=position_of(value)
                )
                for value in notes
            ),
            unproven=sum(entry.proof is None for entry in own),
        )
    )


@api.get(
    "/palettes/<palette_id>/take",
    responses={200: TriedAnswer},
    summary="A palette’s whole take, with every pair checked: nothing is kept",
)
def try_palette(path: PalettePath, query: LevelQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        index = shelf.index(connection, workspace)
        palette = find_palette(index, path.palette_id)
        use = _uses(palettes.uses(connection, workspace)).get(palette.id)
    take = ready_take(palette.colors, palette.name, query.level)
    counts = counts_of_schemes(take)
    return answer(
        TriedAnswer(
            palette=PaletteAnswer.of(palette, use, is_own=_is_own(palette)),
            document=TakeDocument.of(take),
            level=query.level,
            pairs=counts.judged,
            failing=counts.fails,
        )
    )


@api.post("/palettes/<palette_id>/takings", summary="Count that a palette was taken, for the sorting")
def count_taking(path: PalettePath) -> Response:
    with workspace_connection() as (connection, workspace):
        find_palette(shelf.index(connection, workspace), path.palette_id)
        palettes.count_taking(connection, workspace, path.palette_id)
    return Response(status=204)


@api.put("/palettes/<palette_id>/star", summary="Star a palette for the studio, or take the star away")
def star_palette(path: PalettePath, body: StarBody) -> Response:
    with workspace_connection() as (connection, workspace):
        find_palette(shelf.index(connection, workspace), path.palette_id)
        palettes.star(connection, workspace, path.palette_id, is_starred=body.starred)
    return Response(status=204)


@api.post("/palettes", responses={201: PaletteAnswer}, summary="Keep a take as a palette of the studio")
@limiter.limit(UPLOADS_PER_MINUTE)
def keep_palette(body: KeepBody) -> Response:
    colors = palette_from(body.document.to_take())
    palette = ReadyPalette("", body.name, colors, traits_of(colors), tags=body.tags, proof=proof_of(colors))
    with workspace_connection() as (connection, workspace):
        (row,) = palettes.create(connection, workspace, [new_palette(palette)])
    return answer(PaletteAnswer.of(palette_of(row), is_own=True), 201)


@api.put(
    "/palettes/<uuid:palette_id>",
    responses={200: PaletteAnswer},
    summary="Rename a palette of the studio, and set its tags",
)
def change_palette(path: OwnPalettePath, body: PaletteBody) -> Response:
    with workspace_connection() as (connection, workspace):
        row = palettes.change(connection, workspace, path.palette_id, body.name, body.tags)
        use = _uses(palettes.uses(connection, workspace)).get(str(row.id))
    return answer(PaletteAnswer.of(palette_of(row), use, is_own=True))


@api.delete("/palettes/<uuid:palette_id>", summary="Delete a palette of the studio; it can be restored")
def remove_palette(path: OwnPalettePath) -> Response:
    with workspace_connection() as (connection, workspace):
        palettes.remove(connection, workspace, path.palette_id)
    return Response(status=204)


@api.post(
    "/palettes/<uuid:palette_id>/restoration",
    responses={200: PaletteAnswer},
    summary="Bring a palette of the studio back",
)
def restore_palette(path: OwnPalettePath) -> Response:
    with workspace_connection() as (connection, workspace):
        row = palettes.restore(connection, workspace, path.palette_id)
    return answer(PaletteAnswer.of(palette_of(row), is_own=True))


@api.get("/palettes/files", summary="The studio’s own palettes as a file")
def download_palettes(query: FileQuery) -> Response:
    with workspace_connection() as (connection, workspace):
        index = shelf.index(connection, workspace)
    own = [palette for palette in index.palettes if _is_own(palette)]
    write = write_palettes if query.format == "tonada" else write_palette_tokens
    return attached(write(own), _NAMES[query.format], "application/json")


@api.post("/palettes/files", responses={201: ImportedAnswer}, summary="Keep the palettes of a file")
@limiter.limit(IMPORTS_PER_MINUTE)
def import_palettes(form: FileForm) -> Response:
    if not isinstance(form.file, werkzeug.datastructures.FileStorage):
        raise InputError("The form’s field “file” holds no file.", field="file")
    read = read_palettes(form.file.stream.read(MAX_LIST_BYTES + 1))
    named = [replace(palette, name=palette.name or _name_of(palette)) for palette in read.palettes]
    with workspace_connection() as (connection, workspace):
        rows = palettes.create(connection, workspace, [new_palette(entry) for entry in named])
    return answer(ImportedAnswer(added=len(rows), skipped=read.skipped), 201)


@api.post(
    "/palettes/proofs",
    responses={200: ProvenAnswer},
    summary="Prove the pages of some of the studio’s palettes that nobody has proven",
)
def prove_palettes() -> Response:
    with workspace_connection() as (connection, workspace):
        rows = palettes.unproven(connection, workspace, PROVEN_AT_ONCE)
    proofs = [(row.id, asdict(proof_of(palette_of(row).colors))) for row in rows]
    with workspace_connection() as (connection, workspace):
        left = palettes.prove(connection, workspace, proofs)
    return answer(ProvenAnswer(left=left))


def _only(body: FindBody, own: Sequence[ReadyPalette], uses: Mapping[str, Use]) -> frozenset[str] | None:
    if body.shelf == "own":
        return frozenset(entry.id for entry in own)
    if body.shelf == "starred":
        return frozenset(key for key, use in uses.items() if use.is_starred)
    return None


def _uses(rows: Sequence[UseRow]) -> dict[str, Use]:
    return {row.palette: Use(row.is_starred, row.taken) for row in rows}


def _is_own(palette: ReadyPalette) -> bool:
    return palette.id not in _shipped_ids()


@lru_cache(maxsize=1)
def _shipped_ids() -> frozenset[str]:
    return frozenset(palette.id for palette in shipped_palettes())


def _name_of(palette: ReadyPalette) -> str:
    """Return what a palette without a name is called: by its first colours."""
    names = [color_name(color.hex) for color in palette.colors[:2]]
    return " and ".join([names[0], *(name.lower() for name in names[1:])])
