"""From a logo to a checked palette by HTTP alone, with nothing but Python's standard library.

python docs/examples/from_logo_to_palette.py LOGO [ADDRESS] > palette.css

The stylesheet goes to standard output, what was done to standard error. Exits with 1 where a pair
falls short, so that a build can stop there.
"""

from __future__ import annotations

import json
import sys
import urllib.request
from http.cookiejar import CookieJar
from pathlib import Path
from typing import Any
from uuid import uuid4


class Tonada:
    """A session with a server: its cookie, and the token that every change sends."""

    def __init__(self, address: str) -> None:
        self._address = address.rstrip("/")
        self._opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(CookieJar()))
        self._headers: dict[str, str] = {}
        self._headers["X-CSRF-Token"] = self.ask("GET", "/api/session")["csrf_token"]

    def read(
        self, method: str, path: str, data: bytes | None = None, kind: str = "application/json"
    ) -> bytes:
        headers = {**self._headers, **({"Content-Type": kind} if data is not None else {})}
        request = urllib.request.Request(self._address + path, data, headers, method=method)  # noqa: S310
        with self._opener.open(request) as answer:
            content: bytes = answer.read()
        return content

    def ask(self, method: str, path: str, body: object = None) -> Any:
        content = self.read(method, path, None if body is None else json.dumps(body).encode())
        return json.loads(content) if content else None

    def send_file(self, path: str, file: Path) -> Any:
        boundary = uuid4().hex
        head = f'--{boundary}\r\nContent-Disposition: form-data; name="file"; filename="{file.name}"\r\n\r\n'
        data = head.encode() + file.read_bytes() + f"\r\n--{boundary}--\r\n".encode()
        return json.loads(self.read("POST", path, data, f"multipart/form-data; boundary={boundary}"))


def say(text: str) -> None:
    print(text, file=sys.stderr)


def main(logo: Path, address: str) -> int:
    server = Tonada(address)
    brand = server.ask("POST", "/api/brands", {"name": logo.stem})
    source = server.send_file(f"/api/brands/{brand['id']}/sources", logo)
    colors = source["colors"]
    say("Found: " + ", ".join(f"{one['hex']} {one['share']:.0%}" for one in colors))

    proposal = server.ask(
        "POST",
        "/api/proposals",
        {
            "colors": [{key: one[key] for key in ("hex", "share", "ground_share")} for one in colors],
            "leave_out_ground": source["image"]["leaves_ground_out"],
            "source": source["id"],
            "source_name": source["name"],
        },
    )
    take = server.ask("GET", f"/api/takes/{brand['first_take']}")
    body = {"document": proposal["document"], "revision": take["revision"]}
    server.ask("PUT", f"/api/takes/{take['id']}", body)

    evaluation = server.ask("POST", "/api/evaluate", {"document": proposal["document"]})
    short = [one for one in evaluation["pairs"] if one["outcome"] == "fails"]
    say(f"{len(evaluation['pairs'])} pairs, {len(short)} short of {proposal['document']['level']}.")
    for pair in short:
        say(f"  {pair['text_name']} on {pair['ground_name']}: {pair['ratio']:.2f} of {pair['needed']}")

    version = server.ask("POST", f"/api/takes/{take['id']}/versions", {"description": "Made by a script"})
    css = server.read("GET", f"/api/takes/{take['id']}/versions/{version['number']}/files/css")
    sys.stdout.write(css.decode())
    return 1 if short else 0


if __name__ == "__main__":
    where = sys.argv[2] if len(sys.argv) > 2 else "http://127.0.0.1:5000"
    sys.exit(main(Path(sys.argv[1]), where))
