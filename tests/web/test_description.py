"""The document of the API: valid, true under generated requests, and enough for a script to do the job."""

from __future__ import annotations

import json
import re
import subprocess
import sys
import threading
from collections.abc import Iterator
from http.cookiejar import CookieJar
from importlib.resources import files
from pathlib import Path
from urllib.request import HTTPCookieProcessor, build_opener

import pytest
from flask import Flask
from openapi_spec_validator import OpenAPIV31SpecValidator
from werkzeug.serving import make_server

from tests.sampling import IS_LONG
from tests.web.conftest import Client, described
from tonada.web.problems import NOTHING_HERE

EXAMPLE = Path(__file__).parents[2] / "docs" / "examples" / "from_logo_to_palette.py"
# Left out: what a document can't express (a reference has to be to something that is there), and what
# is done on purpose (letters that can't be seen are taken out of names before they are counted).
LEFT_OUT = "positive_data_acceptance,negative_data_rejection"


@pytest.fixture
def address(app: Flask) -> Iterator[str]:
    server = make_server("127.0.0.1", 0, app, threaded=True)
    serving = threading.Thread(target=server.serve_forever, daemon=True)
    serving.start()
    yield f"http://127.0.0.1:{server.server_port}"
    server.shutdown()
    serving.join()


@pytest.mark.detail(4)
def test_it_is_valid() -> None:
    assert [str(error) for error in OpenAPIV31SpecValidator(described()).iter_errors()] == []


def test_every_change_asks_for_the_session_and_its_token(client: Client) -> None:
    client.token = ""
    for path, methods in described()["paths"].items():
        for method, operation in methods.items():
            if {"session": [], "token": []} in operation["security"]:
                filled = path.replace("{number}", "1").replace("{kind}", "css")
                filled = re.sub(r"{\w+_id}", "00000000-0000-4000-8000-000000000000", filled)
                answer = client.open(filled, method=method.upper(), json={})
                assert answer.status_code == 403, (method, path)


@pytest.mark.detail(24)
def test_generated_requests_find_nothing(address: str, tmp_path: Path) -> None:
    jar = CookieJar()
    with build_opener(HTTPCookieProcessor(jar)).open(f"{address}/api/session") as answer:
        token = json.load(answer)["csrf_token"]
    cookie = "; ".join(f"{one.name}={one.value}" for one in jar)
    phases = "coverage,fuzzing" if IS_LONG else "fuzzing"
    command = [
        str(Path(sys.executable).with_name("schemathesis")),
        *("run", f"{address}/api/openapi.json", "--checks", "all", "--exclude-checks", LEFT_OUT),
        *("--phases", phases, "-n", "40" if IS_LONG else "3", "--seed", "20261126", "--no-color"),
        *("-H", f"X-CSRF-Token: {token}", "-H", f"Cookie: {cookie}"),
    ]
    run = subprocess.run(command, cwd=tmp_path, capture_output=True, text=True, check=False)
    assert run.returncode == 0, run.stdout[-6000:]
    assert "Tested: " in run.stdout


def test_what_isn_t_there_is_404_and_what_isn_t_allowed_405(client: Client) -> None:
    for method in ("GET", "POST", "DELETE"):
        assert client.open("/api/nothing/here", method=method).get_json()["detail"] == NOTHING_HERE
        assert client.open("/api/takes/not-an-id", method=method).status_code == 404
    refused = client.delete("/api/advice")
    assert refused.status_code == 405
    assert set(refused.headers["Allow"].split(", ")) == {"POST", "OPTIONS"}
    assert client.get("/brands/anything").status_code == 200


def test_a_script_goes_from_a_logo_to_a_checked_palette(address: str) -> None:
    logo = str(files("tonada.demo") / "files" / "peak-logo.svg")
    run = subprocess.run(
        [sys.executable, str(EXAMPLE), logo, address], capture_output=True, text=True, check=False
    )
    assert run.returncode == 0, run.stderr
    assert "0 short of AA" in run.stderr
    assert "--primary: #2b3a8c;" in run.stdout
