"""Upgrades from every earlier schema with data in it: what was kept is there afterwards, and can be used."""

from __future__ import annotations

from collections.abc import Iterator
from importlib import resources
from uuid import UUID, uuid4

import psycopg
import pytest

from tonada.store import brands, destinations, fonts, handoffs, sources, takes, versions, workspaces
from tonada.store.data_migrations import DATA_MIGRATIONS
from tonada.store.database import connect
from tonada.store.migrate import migrate
from tonada.store.reviews import frozen, mails

FOLDER = resources.files("tonada.store") / "migrations"
SCRIPTS = sorted(entry.name for entry in FOLDER.iterdir() if entry.name.endswith(".sql"))
STUDIO, BRAND, TAKE, HALF, REVIEW = (UUID(int=number) for number in (1, 2, 3, 4, 5))

# What a server of each schema would have kept, in its columns; each row also stays from there on.
KEPT = {
    "0001": """
        insert into workspace (id, name) values ('{studio}', 'Studio');
        insert into brand (id, workspace_id, name) values ('{brand}', '{studio}', 'Orrin Peak Ω');
        insert into take (id, workspace_id, brand_id, name, position, document, revision)
            values ('{take}', '{studio}', '{brand}', 'Take 1', 0, '{{"format": 1, "level": "AAA"}}', 4);
        insert into file (workspace_id, digest, content, preview)
            values ('{studio}', sha256('x'), 'x', 'png');
    """,
    "0001 only": """
        insert into source (workspace_id, brand_id, name, digest, extraction) values
            ('{studio}', '{brand}', 'a.svg', sha256('x'),
             '{{"format": "SVG", "colors": [{{"hex": "#2b3a8c"}}]}}');
    """,
    "0002": """
        insert into source (id, workspace_id, brand_id, name, kind, extraction, state, progress)
            values ('{half}', '{studio}', '{brand}', 'half read.png', 'image', '{{}}', 'reading', 0.4);
    """,
    "0003": """
        insert into version (workspace_id, take_id, number, note, document)
            values ('{studio}', '{take}', 1, 'first', '{{"format": 1, "level": "A"}}');
    """,
    "0004": """
        insert into handoff (workspace_id, take_id, version_number, what)
            values ('{studio}', '{take}', 1, 'css');
        insert into destination (workspace_id, name, slots) values ('{studio}', 'Our theme', '[]');
    """,
    "0005": "update source set attempts = 2 where state = 'reading';",
    "0006": "",
    "0007": "",
    "0008": "",
    "0009": "",
    "0010": "",
    "0011": """
        insert into review_file (workspace_id, digest, mimetype, content)
            values ('{studio}', sha256('draws'), 'text/javascript', 'draws');
        insert into page_set (workspace_id, digest, files)
            values ('{studio}', sha256('set'), '{{"pages.js": "ab"}}');
        insert into review
            (id, workspace_id, brand_id, may_comment, may_choose, may_approve, page_set, content)
            values ('{review}', '{studio}', '{brand}', true, true, true, sha256('set'),
                    '{{"format": 1, "brand": "Orrin Peak", "takes": [{{"name": "Midnight"}}]}}');
        insert into review_take (workspace_id, review_id, place, take_id, version_number, digest)
            values ('{studio}', '{review}', 0, '{take}', 1, sha256('document'));
    """,
    "0012": """
        insert into file (workspace_id, digest, content) values ('{studio}', sha256('font'), 'font');
        insert into font
            (workspace_id, brand_id, name, family, kind, lightest, heaviest, scripts, lacks, digest)
            values ('{studio}', '{brand}', 'a.woff2', 'Halden', 'sans', 400, 400, '{{Grek}}', 'ő',
                    sha256('font'));
    """,
    "0013": "update workspace set mark = 'mark' where id = '{studio}';",
}


@pytest.fixture
def empty_url(cluster_url: str) -> Iterator[str]:
    server, name = cluster_url.rpartition("/")[0], f"old_{uuid4().hex}"
    with psycopg.connect(f"{server}/postgres", autocommit=True) as admin:
        admin.execute(psycopg.sql.SQL("create database {}").format(psycopg.sql.Identifier(name)))
    yield f"{server}/{name}"
    with psycopg.connect(f"{server}/postgres", autocommit=True) as admin:
        admin.execute(psycopg.sql.SQL("drop database {} with (force)").format(psycopg.sql.Identifier(name)))


def test_every_migration_has_data_in_this_test() -> None:
    assert [name[:4] for name in SCRIPTS] == [name for name in KEPT if "only" not in name]


@pytest.mark.parametrize("last", [name[:4] for name in SCRIPTS])
def test_what_an_older_server_kept_is_there_after_the_upgrade(empty_url: str, last: str) -> None:
    ids = {"studio": STUDIO, "brand": BRAND, "take": TAKE, "half": HALF, "review": REVIEW}
    done = [name for name in SCRIPTS if name[:4] <= last]
    with psycopg.connect(empty_url) as connection:
        connection.execute("select set_config('tonada.workspace', '*', false)")
        connection.execute(
            "create table migration (name text primary key, applied_at timestamptz default now())"
        )
        for name in done:
            connection.execute((FOLDER / name).read_text())
            if name in DATA_MIGRATIONS:
                DATA_MIGRATIONS[name](connection)
            connection.execute("insert into migration (name) values (%s)", [name])
            statements = KEPT[name[:4]] + (KEPT["0001 only"] if name[:4] == last == "0001" else "")
            connection.execute(statements.format(**ids))

    assert migrate(empty_url) == SCRIPTS[len(done) :]
    assert migrate(empty_url) == []

    with connect(empty_url) as connection:
        workspace = workspaces.find_or_create(connection, "Studio")
        assert workspace == STUDIO
        assert [brand.name for brand in brands.list_all(connection, STUDIO)] == ["Orrin Peak Ω"]
        take = takes.find(connection, STUDIO, TAKE)
        assert (take.revision, take.document) == (4, {"format": 2, "level": "AAA"})
        assert takes.save(connection, STUDIO, TAKE, {"format": 2}, made_from=4).revision == 5
        if last == "0001":
            kept = sources.list_of_brand(connection, STUDIO, BRAND)[0]
            assert kept.extraction["steps"] == [[{"hex": "#2b3a8c"}]]
            assert sources.contents(connection, STUDIO, kept.id) == [("a.svg", b"x")]
        if last >= "0002":
            assert sources.claim(connection, STUDIO, 5) is not None
        if last >= "0011":
            review = frozen.find(connection, STUDIO, REVIEW)
            assert (review.content["format"], review.content["takes"][0]["name"]) == (1, "Midnight")
            assert frozen.read_set(connection, STUDIO, review.page_set) == {"pages.js": "ab"}
            with (
                pytest.raises(psycopg.errors.RaiseException, match="never changed"),
                connection.transaction(),
            ):
                connection.execute("update review set content = '{}'")
        if last >= "0012":
            (font,) = fonts.list_of_brand(connection, STUDIO, BRAND)
            assert (font.scripts, fonts.content(connection, STUDIO, font.id)) == (["Grek"], b"font")
        if last >= "0013":
            assert mails.studio(connection, STUDIO).mark == b"mark"
        if last >= "0003":
            version = versions.find(connection, STUDIO, TAKE, 1)
            assert (version.description, version.document) == ("first", {"format": 2, "level": "A"})
            with (
                pytest.raises(psycopg.errors.RaiseException, match="never changed"),
                connection.transaction(),
            ):
                connection.execute("update version set description = 'other'")
        if last >= "0004":
            assert handoffs.versions_of(connection, STUDIO, TAKE)
            assert [one.name for one in destinations.list_all(connection, STUDIO)] == ["Our theme"]
