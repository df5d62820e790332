"""Palettes of a studio in the store: walls between workspaces, the limit under two hands, revisions."""

from __future__ import annotations

import itertools
from collections.abc import Iterator
from threading import Barrier, Thread
from uuid import UUID, uuid4

import psycopg
import pytest

from tonada.core.errors import InputError
from tonada.store import palettes, workspaces
from tonada.store.database import Connection, connect
from tonada.store.errors import NotFound, Removed
from tonada.store.palettes import NewPalette

ONE = NewPalette("One", ("a",), {"primary": "#123456"}, {"traits": {}}, None)


@pytest.fixture
def connection(database_url: str) -> Iterator[Connection]:
    with connect(database_url) as made:
        yield made


@pytest.fixture
def workspace(connection: Connection) -> UUID:
    return workspaces.find_or_create(connection, "Ours")


def test_the_state_changes_with_everything_that_is_done(connection: Connection, workspace: UUID) -> None:
    (row,) = palettes.create(connection, workspace, [ONE])
    seen = [palettes.state(connection, workspace)]
    for act in (
        lambda: palettes.change(connection, workspace, row.id, "Two", []),
        lambda: palettes.prove(connection, workspace, [(row.id, {"pairs": 1})]),
        lambda: palettes.remove(connection, workspace, row.id),
        lambda: palettes.restore(connection, workspace, row.id),
    ):
        act()
        seen.append(palettes.state(connection, workspace))
    assert all(before != after for before, after in itertools.pairwise(seen))
    (now,) = palettes.read(connection, workspace, [row.id, uuid4()])
    assert (now.name, now.tags, now.colors, now.proof) == ("Two", [], {"primary": "#123456"}, {"pairs": 1})


def test_a_proof_is_written_once_and_counts_what_is_left(connection: Connection, workspace: UUID) -> None:
    first, second = palettes.create(connection, workspace, [ONE, ONE])
    assert [one.id for one in palettes.unproven(connection, workspace, 5)] == [first.id, second.id]
    assert palettes.prove(connection, workspace, [(first.id, {"pairs": 1})]) == 1
    assert palettes.prove(connection, workspace, [(first.id, {"pairs": 2}), (second.id, {"pairs": 3})]) == 0
    proofs = {one.id: one.proof for one in palettes.read(connection, workspace, [first.id, second.id])}
    assert proofs == {first.id: {"pairs": 1}, second.id: {"pairs": 3}}


def test_what_is_away_or_elsewhere_is_refused(connection: Connection, workspace: UUID) -> None:
    (row,) = palettes.create(connection, workspace, [ONE])
    palettes.remove(connection, workspace, row.id)
    with pytest.raises(Removed):
        palettes.remove(connection, workspace, row.id)
    with pytest.raises(Removed):
        palettes.change(connection, workspace, row.id, "x", [])
    with pytest.raises(NotFound):
        palettes.change(connection, workspace, uuid4(), "x", [])
    theirs = workspaces.find_or_create(connection, "Theirs")
    with pytest.raises(NotFound):
        palettes.restore(connection, theirs, row.id)
    assert palettes.state(connection, theirs) == []


def test_stars_and_counts_are_of_one_workspace(connection: Connection, workspace: UUID) -> None:
    palettes.star(connection, workspace, "plum-market", is_starred=True)
    palettes.count_taking(connection, workspace, "plum-market")
    palettes.count_taking(connection, workspace, "plum-market")
    (use,) = palettes.uses(connection, workspace)
    assert (use.palette, use.is_starred, use.taken) == ("plum-market", True, 2)
    theirs = workspaces.find_or_create(connection, "Theirs")
    assert palettes.uses(connection, theirs) == []


def test_the_database_itself_refuses_what_no_palette_is(connection: Connection, workspace: UUID) -> None:
    for wrong in (
        NewPalette("", (), {}, {}, None),
        NewPalette("x" * 81, (), {}, {}, None),
        NewPalette("x", tuple("abcdefghijklm"), {}, {}, None),
    ):
        with pytest.raises(psycopg.errors.CheckViolation), connection.transaction():
            palettes.create(connection, workspace, [wrong])


def test_two_who_keep_at_once_stay_within_the_limit(
    database_url: str, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("tonada.store.palettes.MAX_OWN_PALETTES", 3)
    with connect(database_url) as connection:
        workspace = workspaces.find_or_create(connection, "Ours")
    refused: list[str] = []
    together = Barrier(2)

    def keep() -> None:
        with connect(database_url) as connection:
            workspaces.enter(connection, workspace)
            together.wait()
            try:
                palettes.create(connection, workspace, [ONE, ONE])
            except InputError as reason:
                refused.append(str(reason))

    people = [Thread(target=keep) for _ in range(2)]
    for person in people:
        person.start()
    for person in people:
        person.join()
    assert len(refused) == 1
    with connect(database_url) as connection:
        workspaces.enter(connection, workspace)
        assert len(palettes.state(connection, workspace)) == 2
