"""The peer of the hot paths: a bare Flask view that reads the body and answers the same bytes."""

from __future__ import annotations

import os
from pathlib import Path

from flask import Flask, Response, request

app = Flask(__name__)
ANSWER = Path(os.environ["BENCH_ANSWER"]).read_bytes() if "BENCH_ANSWER" in os.environ else b""


@app.post("/api/evaluate")
@app.post("/api/changes")
def evaluate() -> Response:
    request.get_json()
    return Response(ANSWER, mimetype="application/json")


class NoErrands:
    """The settings of the real server wake what reads long files and sends mails; here is nothing to do."""

    def wake(self) -> None:
        pass


app.extensions["tonada.readings"] = app.extensions["tonada.courier"] = NoErrands()
