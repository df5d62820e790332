"""Everything that is kept as one file, and back: the database by pg_dump, and the key of the sessions.

The file is a tar archive with `manifest.json` (what made it, and digests), `database.dump` (PostgreSQL's
custom format, which pg_restore reads too) and `secret-key`.
"""

from __future__ import annotations

import hashlib
import io
import json
import os
import subprocess
import tarfile
import tempfile
from datetime import UTC, datetime
from pathlib import Path
from typing import Any, Final, LiteralString

import psycopg
from psycopg.conninfo import conninfo_to_dict

from tonada import __version__
from tonada.run.cluster import APPLICATION, Cluster, server_programs
from tonada.run.serve import CannotServe, alone, data_folder, kept_secret
from tonada.store.migrate import migrate

FORMAT: Final = 1
_MANIFEST: Final = "manifest.json"
_DUMP: Final = "database.dump"
_KEY: Final = "secret-key"
# Names of the environment that are not just the name of the parameter. Source: libpq, environment variables.
_VARIABLES: Final = {"dbname": "PGDATABASE", "connect_timeout": "PGCONNECT_TIMEOUT"}

COUNT_TABLES: LiteralString = """
    select count(*) from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace
"""
APPLIED: LiteralString = "select name from migration order by name"


def backup(target: Path) -> str:
    """Write a backup of the database to a new file; return one line that says what was written.

    A server may go on running on the database meanwhile: the dump is of one moment.
    Raises CannotServe, ClusterError.
    """
    if target.exists():
        raise CannotServe(f"{target} exists already and was not overwritten.")
    data = data_folder()
    with _Database(data) as url, tempfile.TemporaryDirectory() as folder:
        dump = Path(folder) / _DUMP
        command = ["--format=custom", "--no-owner", "--no-privileges", "--enable-row-security"]
        _run("pg_dump", url, [*command, f"--file={dump}"])
        key = os.environ.get("SECRET_KEY") or kept_secret(data)
        migrations = _applied(url)
        manifest = {
            "format": FORMAT,
            "tonada": __version__,
            "made": datetime.now(UTC).isoformat(timespec="seconds"),
            "migrations": migrations,
            "sha256": {_DUMP: _digest(dump.read_bytes()), _KEY: _digest(key.encode())},
        }
        # Beside the target and then renamed: a backup that broke off is none.
        making = target.with_name(f"{target.name}.part")
        descriptor = os.open(making, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600)
        with os.fdopen(descriptor, "wb") as file, tarfile.open(fileobj=file, mode="w") as archive:
            _add(archive, _MANIFEST, json.dumps(manifest, indent=2).encode())
            _add(archive, _KEY, key.encode())
            archive.add(dump, _DUMP)
        os.replace(making, target)
    return f"{target}: {target.stat().st_size / 2**20:.1f} MB, {len(migrations)} migrations."


def restore(source: Path) -> str:
    """Bring a backup into a database that is empty, and up to date; return a line about it.

    Raises CannotServe where the file is no backup or the database holds something.
    """
    manifest, dump, key = _read(source)
    data = data_folder()
    with alone(data, "restoring"), _Database(data) as url, tempfile.TemporaryDirectory() as folder:
        with psycopg.connect(url) as connection:
            tables = connection.execute(COUNT_TABLES).fetchone()
            if tables != (0,):
                raise CannotServe(
                    "the database isn't empty. Restore into an empty one: "
                    "TONADA_DATA=/a/new/folder, or an empty database of yours."
                )
        path = Path(folder) / _DUMP
        path.write_bytes(dump)
        command = ["--no-owner", "--no-privileges", "--exit-on-error", "--single-transaction"]
        database = conninfo_to_dict(url)["dbname"]
        _run("pg_restore", url, [*command, f"--dbname={database}", str(path)])
        fresh = migrate(url, APPLICATION if not os.environ.get("DATABASE_URL") else None)
        _keep_key(data, key)
    return f"{source} of {manifest['made']} is restored; {len(fresh)} newer migrations were run."


class _Database:
    """The database that a server here would use, for the owner; our own cluster is started for it."""

    def __init__(self, data: Path) -> None:
        self._data = data
        self._cluster: Cluster | None = None

    def __enter__(self) -> str:
        url = os.environ.get("TONADA_OWNER_URL") or os.environ.get("DATABASE_URL")
        if url:
            return url
        cluster = Cluster(self._data / "cluster")
        running = cluster.running_url()
        if running:
            return running
        self._cluster = cluster
        return cluster.start()

    def __exit__(self, *_: object) -> None:
        if self._cluster is not None:
            self._cluster.stop()


def _run(program: str, url: str, arguments: list[str]) -> None:
    """Run one of PostgreSQL's programs; the address goes by the environment, which nobody else sees."""
    # Row-level security holds for the owner too; “*” is for all workspaces (migration 0006).
    environment = {**os.environ, "PGOPTIONS": "-c tonada.workspace=*"}
    for name, value in conninfo_to_dict(url).items():
        environment[_VARIABLES.get(name, f"PG{name.upper()}")] = str(value)
    done = subprocess.run(
        [str(server_programs() / program), *arguments],
        env=environment,
        stdin=subprocess.DEVNULL,
        stdout=subprocess.DEVNULL,
        stderr=subprocess.PIPE,
        check=False,
    )
    if done.returncode != 0:
        said = done.stderr.decode(errors="replace").strip().splitlines() or ["it gave no reason"]
        raise CannotServe(f"{program} failed: {said[-1]}")


def _applied(url: str) -> list[str]:
    with psycopg.connect(url) as connection:
        return [str(name) for (name,) in connection.execute(APPLIED)]


def _digest(content: bytes) -> str:
    return hashlib.sha256(content).hexdigest()


def _add(archive: tarfile.TarFile, name: str, content: bytes) -> None:
    entry = tarfile.TarInfo(name)
    entry.size, entry.mode = len(content), 0o600
    archive.addfile(entry, io.BytesIO(content))


def _read(source: Path) -> tuple[dict[str, Any], bytes, bytes]:
    """Return manifest, dump and key of a backup, checked against their digests."""
    try:
        with tarfile.open(source) as archive:
            parts = {name: _part(archive, name) for name in (_MANIFEST, _DUMP, _KEY)}
        manifest = json.loads(parts[_MANIFEST])
        known = manifest["sha256"]
        is_whole = all(_digest(parts[name]) == known[name] for name in (_DUMP, _KEY))
    except (tarfile.TarError, KeyError, ValueError) as reason:
        raise CannotServe(f"{source} isn’t a backup of Tonada.") from reason
    if not is_whole:
        raise CannotServe(f"{source} is damaged: its parts don't have the digests of its manifest.")
    if manifest["format"] != FORMAT:
        raise CannotServe(f"{source} has format {manifest['format']}; this Tonada reads {FORMAT}.")
    return manifest, parts[_DUMP], parts[_KEY]


def _part(archive: tarfile.TarFile, name: str) -> bytes:
    file = archive.extractfile(name)
    if file is None:
        raise KeyError(name)
    return file.read()


def _keep_key(data: Path, key: bytes) -> None:
    """Keep the key of the sessions where there is none; one that is set for the server goes first."""
    path = data / "secret-key"
    if not path.exists():
        descriptor = os.open(path, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
        with os.fdopen(descriptor, "wb") as file:
            file.write(key)
