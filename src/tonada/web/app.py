"""The factory: all the wiring, and importing does none."""

from __future__ import annotations

import os
from typing import Any

import orjson
from flask.json.provider import DefaultJSONProvider
from flask_openapi3.models.info import Info
from flask_openapi3.openapi import OpenAPI

from tonada import __version__
from tonada.store.database import Database
from tonada.web import frontend, health, logs, problems, security
from tonada.web.access import Access
from tonada.web.answers import IS_DESCRIBED
from tonada.web.brands import files as brand_files
from tonada.web.brands import texts as brand_texts
from tonada.web.brands import views as brands
from tonada.web.handoff import changes, recolour, slots
from tonada.web.handoff import views as handoff
from tonada.web.harmony import views as harmony
from tonada.web.pairs import views as sight
from tonada.web.palettes import views as palettes
from tonada.web.proof import fonts, letters
from tonada.web.proof import views as proof
from tonada.web.proxies import NamedProxies
from tonada.web.reviews import client_views, hosts, outside, page, studio
from tonada.web.reviews import views as reviews
from tonada.web.reviews.courier import Courier
from tonada.web.reviews.streams import Streams
from tonada.web.session import views as session
from tonada.web.settings import Settings
from tonada.web.sources import lists, loupe
from tonada.web.sources import views as sources
from tonada.web.sources.readings import Readings
from tonada.web.takes import computation
from tonada.web.takes import views as takes
from tonada.web.takes.models import Problem


class FastJson(DefaultJSONProvider):
    """Requests are read by orjson, in a third of the time; it refuses deep nesting by itself."""

    sort_keys = False

    def loads(self, s: str | bytes, **kwargs: Any) -> Any:  # noqa: ARG002  # the provider's signature
        """Return what the text says. Raises ValueError, as the standard library does."""
        return orjson.loads(s)


def create_app(settings: Settings | None = None) -> OpenAPI:
    """Return the application. Without settings they are read from the environment."""
    settings = settings or Settings.from_environment(os.environ)
    app = OpenAPI(
        __name__,
        info=Info(title="Tonada", version=__version__),
        validation_error_callback=problems.validation_problem,
        validation_error_model=Problem,
        validation_error_status=422,
        doc_ui=IS_DESCRIBED,
        doc_prefix="/api",
        static_folder=None,
    )
    app.json = FastJson(app)
    if settings.log is not None:
        logs.set_up(settings.log)
    logs.register(app)
    hosts.register(app, settings)
    security.register(app, settings)
    problems.register(app)
    access = app.extensions["tonada"] = Access(Database(settings.database_url))
    app.extensions["tonada.readings"] = Readings(access)
    app.extensions["tonada.courier"] = Courier(access, settings.mail)
    app.extensions["tonada.streams"] = Streams(settings.database_url)
    for blueprint in (
        session.api,
        brands.api,
        brand_texts.api,
        letters.api,
        fonts.api,
        brand_files.api,
        sources.api,
        lists.api,
        loupe.api,
        harmony.api,
        sight.api,
        proof.api,
        palettes.api,
        palettes.computed,
        handoff.api,
        handoff.computed,
        slots.api,
        changes.api,
        slots.computed,
        recolour.api,
        recolour.computed,
        takes.api,
        computation.api,
        reviews.api,
        outside.api,
        studio.api,
        client_views.api,
        client_views.door,
    ):
        app.register_api(blueprint)
    app.register_blueprint(health.health)
    app.register_blueprint(page.pages)
    frontend.register(app, settings.frontend)
    app.wsgi_app = NamedProxies(  # type: ignore[method-assign]  # the documented way to add middleware
        app.wsgi_app, settings.proxies, https=settings.https
    )
    return app
