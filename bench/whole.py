"""The whole application without a database: what it computes needs none, and nothing tries to reach one."""

from __future__ import annotations

from bench.bare import NoErrands
from tonada.web.app import create_app

app = create_app()
for errand in ("tonada.readings", "tonada.courier"):
    app.extensions[errand] = NoErrands()
