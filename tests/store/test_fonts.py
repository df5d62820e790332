"""Fonts in the store: no workspace reaches those of another, and those who add at once are counted."""

from __future__ import annotations

from collections.abc import Iterator
from threading import Barrier, Thread
from uuid import UUID

import pytest

from tonada.core.errors import InputError
from tonada.store import brands, fonts, workspaces
from tonada.store.database import Connection, connect
from tonada.store.errors import NotFound
from tonada.store.fonts import FontContent


def font(content: bytes) -> FontContent:
    return FontContent("Halden", "sans", 400, 400, ["Grek"], "ő", content)


@pytest.fixture
def connection(database_url: str) -> Iterator[Connection]:
    with connect(database_url) as opened:
        yield opened


@pytest.fixture
def workspace(connection: Connection) -> UUID:
    return workspaces.find_or_create(connection, "Ours")


def test_another_workspace_reaches_no_font(connection: Connection, workspace: UUID) -> None:
    brand = brands.create(connection, workspace, "Alder").id
    row = fonts.create(connection, workspace, brand, "a.woff2", font(b"a"), 2)
    other = workspaces.find_or_create(connection, "Theirs")
    workspaces.enter(connection, other)
    assert fonts.list_of_brand(connection, other, brand) == []
    assert fonts.contents_of(connection, other, brand, ["Halden"]) == []
    for reach in (fonts.find, fonts.content, fonts.remove, fonts.restore):
        with pytest.raises(NotFound):
            reach(connection, other, row.id)
    with pytest.raises(NotFound):
        fonts.create(connection, other, brand, "b.woff2", font(b"b"), 2)
    workspaces.enter(connection, workspace)
    assert fonts.find(connection, workspace, row.id) == row
    (kept,) = fonts.contents_of(connection, workspace, brand, ["Halden", "Gone"])
    assert kept == font(b"a")


def test_those_who_add_at_once_are_counted_one_after_the_other(database_url: str) -> None:
    with connect(database_url) as connection:
        workspace = workspaces.find_or_create(connection, "Ours")
        brand = brands.create(connection, workspace, "Alder").id
    refused: list[str] = []
    together = Barrier(4)

    def add(content: bytes) -> None:
        with connect(database_url) as own:
            workspaces.enter(own, workspace)
            together.wait()
            try:
                fonts.create(own, workspace, brand, "a.woff2", font(content), 2)
            except InputError as reason:
                refused.append(str(reason))

    people = [Thread(target=add, args=(bytes([number]),)) for number in (1, 2, 3, 3)]
    for person in people:
        person.start()
    for person in people:
        person.join()
    with connect(database_url) as connection:
        workspaces.enter(connection, workspace)
        assert len(fonts.list_of_brand(connection, workspace, brand)) == 2
    assert len(refused) in (1, 2)
