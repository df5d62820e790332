"""Brands put away, deleted, brought back and copied: nothing is lost, and nothing leaves its workspace."""

from __future__ import annotations

from collections.abc import Iterator
from uuid import UUID, uuid4

import pytest

from tonada.store import brand_copies, brands, sources, takes, workspaces
from tonada.store.database import Connection, connect
from tonada.store.errors import NotFound, Removed


@pytest.fixture
def connection(database_url: str) -> Iterator[Connection]:
    with connect(database_url) as opened:
        yield opened


@pytest.fixture
def workspace(connection: Connection) -> UUID:
    return workspaces.find_or_create(connection, "Studio")


def names(
    connection: Connection, workspace: UUID, shelf: brands.Shelf = "open", find: str | None = None
) -> list[str]:
    return [row.name for row in brands.page(connection, workspace, 50, shelf=shelf, find=find)]


def test_a_brand_moves_between_the_shelves_and_keeps_its_takes(
    connection: Connection, workspace: UUID
) -> None:
    first, second = (brands.create(connection, workspace, name).id for name in ("Alder", "Birch"))
    take = takes.create(connection, workspace, first, {"format": 2})
    brands.archive(connection, workspace, first, away=True)
    assert names(connection, workspace) == ["Birch"]
    assert names(connection, workspace, shelf="archived") == ["Alder"]
    brands.remove(connection, workspace, first)
    assert names(connection, workspace, shelf="archived") == []
    assert names(connection, workspace, shelf="deleted") == ["Alder"]
    with pytest.raises(Removed):
        brands.find(connection, workspace, first)
    with pytest.raises(Removed):
        brands.rename(connection, workspace, first, "Ash")
    assert brands.restore(connection, workspace, first).name == "Alder"
    assert names(connection, workspace, shelf="archived") == ["Alder"], "where it was before"
    assert brands.archive(connection, workspace, first, away=False).first_take == take.id
    assert names(connection, workspace) == ["Alder", "Birch"], "what was changed last comes first"
    assert second != first


def test_a_name_is_found_by_any_part_of_it_and_signs_are_only_signs(
    connection: Connection, workspace: UUID
) -> None:
    for name in ("Orrin Peak", "100 % Wool", "a_b", "Ωmega Øst"):
        brands.create(connection, workspace, name)
    assert names(connection, workspace, find="PEAK") == ["Orrin Peak"]
    assert names(connection, workspace, find="%") == ["100 % Wool"]
    assert names(connection, workspace, find="_") == ["a_b"]
    assert names(connection, workspace, find="ωMEGA ø") == ["Ωmega Øst"]
    assert names(connection, workspace, find="nothing") == []


def test_pages_follow_each_other_without_a_gap(connection: Connection, workspace: UUID) -> None:
    made = [brands.create(connection, workspace, f"Brand {row}").id for row in range(5)]
    takes.create(connection, workspace, made[1], {"format": 2})
    whole = [row.id for row in brands.page(connection, workspace, 50)]
    assert whole[0] == made[1]
    seen: list[UUID] = []
    while rows := brands.page(connection, workspace, 2, after=seen[-1] if seen else None):
        seen += [row.id for row in rows]
    assert seen == whole
    assert brands.page(connection, workspace, 2, after=uuid4()) == []


def test_a_copy_names_its_own_sources_and_shares_nothing(connection: Connection, workspace: UUID) -> None:
    brand = brands.create(connection, workspace, "B" * 80).id
    source = sources.create(
        connection,
        workspace,
        brand,
        name="logo.png",
        kind="image",
        extraction={"steps": [[]], "count": 1},
        files=(sources.FileContent("logo.png", b"bytes", b"png"),),
    )
    document = {"format": 2, "proof": {"logo": str(source.id)}, "swatches": [{"source": str(source.id)}]}
    take = takes.create(connection, workspace, brand, document, "By day")
    gone = takes.create(connection, workspace, brand, {"format": 2})
    takes.remove(connection, workspace, gone.id)
    copy = brand_copies.copy(connection, workspace, brand)
    assert copy.name == "B" * 73 + " (copy)"
    (own,) = sources.list_of_brand(connection, workspace, copy.id)
    assert own.id != source.id
    assert own.name == "logo.png"
    (made,) = takes.list_of_brand(connection, workspace, copy.id)
    assert (made.name, made.revision) == ("By day", 1)
    assert made.document == {
        "format": 2,
        "proof": {"logo": str(own.id)},
        "swatches": [{"source": str(own.id)}],
    }
    listed = {row.id: row for row in brands.page(connection, workspace, 9)}
    assert (listed[copy.id].logo, listed[copy.id].takes, listed[copy.id].sources) == (own.id, 1, 1)
    takes.save(connection, workspace, made.id, {"format": 2}, made_from=1)
    assert takes.find(connection, workspace, take.id).document == document
    assert [one.id for one in takes.removed_of_brand(connection, workspace, brand, 5)] == [gone.id]


def test_another_workspace_reaches_none_of_it(connection: Connection, workspace: UUID) -> None:
    brand = brands.create(connection, workspace, "Ours").id
    other = workspaces.find_or_create(connection, "Others")
    assert brands.page(connection, other, 9) == []
    for work in (
        lambda: brands.archive(connection, other, brand, away=True),
        lambda: brands.remove(connection, other, brand),
        lambda: brands.restore(connection, other, brand),
        lambda: brand_copies.copy(connection, other, brand),
    ):
        with pytest.raises(NotFound):
            work()
    workspaces.find_or_create(connection, "Studio")
    assert brands.find(connection, workspace, brand).name == "Ours"
