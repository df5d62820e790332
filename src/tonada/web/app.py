"""The factory: all the wiring, and importing does none."""

from __future__ import annotations

import os

from flask_openapi3.models.info import Info
from flask_openapi3.openapi import OpenAPI

from tonada import __version__
from tonada.store.database import Database
from tonada.web import frontend, problems, security
from tonada.web.access import Access
from tonada.web.models import Problem
from tonada.web.settings import Settings
from tonada.web.views import brands, computation, harmony, lists, loupe, session, sources, takes


def create_app(settings: Settings | None = None) -> OpenAPI:
    """Return the application. Without settings they are read from the environment."""
    settings = settings or Settings.from_environment(os.environ)
    app = OpenAPI(
        __name__,
        info=Info(title="Tonada", version=__version__),
        validation_error_callback=problems.validation_problem,
        validation_error_model=Problem,
        validation_error_status=422,
        doc_prefix="/api",
        static_folder=None,
    )
    app.json.sort_keys = False  # type: ignore[attr-defined]  # the default provider has it
    security.register(app, settings)
    problems.register(app)
    app.extensions["tonada"] = Access(Database(settings.database_url))
    for blueprint in (
        session.api,
        brands.api,
        sources.api,
        lists.api,
        loupe.api,
        harmony.api,
        takes.api,
        computation.api,
    ):
        app.register_api(blueprint)
    frontend.register(app, settings.frontend)
    return app
