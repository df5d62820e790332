"""Who asks: a transaction together with the workspace that it may touch."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from uuid import UUID

from flask import current_app

from tonada.store import workspaces
from tonada.store.database import Connection, Database


class Access:
    """The database of one application, and its workspace once it has been looked up."""

    def __init__(self, database: Database) -> None:
        self._database = database
        self._workspace: UUID | None = None

    def close(self) -> None:
        """Let go of all connections."""
        self._database.close()

    @contextmanager
    def transaction(self) -> Iterator[tuple[Connection, UUID]]:
        """Give a connection whose statements are one transaction, and the workspace."""
        workspace = self.workspace()
        with self._database.transaction() as connection:
            workspaces.enter(connection, workspace)
            yield connection, workspace

    def workspace(self) -> UUID:
        """Return the workspace, with nothing asked of the database once it is known."""
        return self._workspace or self._find_workspace()

    def _find_workspace(self) -> UUID:
        """Look it up, or make it, in a transaction of its own: what comes after may be rolled back."""
        with self._database.transaction() as connection:
            self._workspace = workspaces.find_or_create(connection, workspaces.NAME)
        return self._workspace

    def check(self) -> None:
        """Raise StoreUnavailable where the database can't be used."""
        with self.transaction():
            pass


def own_workspace() -> UUID:
    """Return the workspace of this request, without a transaction."""
    access: Access = current_app.extensions["tonada"]
    return access.workspace()


@contextmanager
def workspace_connection() -> Iterator[tuple[Connection, UUID]]:
    """Give the transaction and the workspace of this request."""
    access: Access = current_app.extensions["tonada"]
    with access.transaction() as opened:
        yield opened
