"""A review as one file: everything is in it, and nothing in it gets out of its place."""

from __future__ import annotations

import base64
import hashlib
import html.parser
import json
import re
from pathlib import Path
from typing import Any

import pytest

from tonada.frozen.one_file import OneFile, offline_files, review_file
from tonada.frozen.page_set import NotBuilt, page_set_in, style_with

HOSTILE = "</script><script>alert(1)</script><!-- \u2028"
SETTINGS = {"heading_face": None, "text_face": None}
FACES = {"faces": {"heading": "Karla", "text": "Lora"}}
CONTENT: dict[str, Any] = {
    "brand": f"Peak {HOSTILE}",
    "greeting": HOSTILE,
    "takes": [{"name": HOSTILE, "drawn": {"day": {"settings": SETTINGS, "figures": FACES}}}],
}
STYLE = (
    "@font-face{font-family:Karla Variable;src:url(./karla.woff2)format('woff2')}"
    "@font-face{font-family:'Rubik Variable';src:url(rubik.woff2)}p{color:red}"
)


@pytest.fixture
def built(tmp_path: Path) -> Path:
    for name in ("pages", "client"):
        folder = tmp_path / name
        folder.mkdir()
        (folder / f"{name}.js").write_text(f"/* {HOSTILE} */ '{name}'")
        (folder / f"{name}.css").write_text(STYLE)
        (folder / "karla.woff2").write_bytes(b"karla")
        (folder / "rubik.woff2").write_bytes(b"rubik")
        (folder / f"{name}.js.br").write_bytes(b"not of the set")
    return tmp_path


def made(built: Path) -> str:
    drawing = {name: one.content for name, one in page_set_in(built).files.items()}
    files = {"a" * 64: ("image/png", b"picture")}
    one = OneFile("the-review", CONTENT, True, False, True, files, drawing)
    return review_file(one, offline_files(built)).decode()


class Elements(html.parser.HTMLParser):
    """The elements of a page, and the text in its scripts."""

    def __init__(self, text: str) -> None:
        super().__init__()
        self.scripts: list[tuple[dict[str, str | None], str]] = []
        self.policy = ""
        self._open: dict[str, str | None] | None = None
        self.feed(text)

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        given = dict(attrs)
        if tag == "script":
            self._open = given
        if tag == "meta" and given.get("http-equiv") == "Content-Security-Policy":
            self.policy = given["content"] or ""

    def handle_data(self, data: str) -> None:
        if self._open is not None:
            self.scripts.append((self._open, data))

    def handle_endtag(self, tag: str) -> None:
        if tag == "script":
            self._open = None


def test_what_stands_in_it_ends_nothing(built: Path) -> None:
    page = Elements(made(built))
    assert [given.get("type") for given, _ in page.scripts] == ["application/json", None]
    data = json.loads(page.scripts[0][1])
    assert data["content"] == CONTENT
    assert data["files"] == {"a" * 64: f"data:image/png;base64,{base64.b64encode(b'picture').decode()}"}
    assert (data["may_comment"], data["may_choose"], data["may_approve"]) == (True, False, True)


def test_its_policy_lets_it_run_its_own_two_scripts_and_fetch_nothing(built: Path) -> None:
    page = Elements(made(built))
    scripts = [page.scripts[1][1], json.loads(page.scripts[0][1])["pages"]["script"]]
    hashes = {base64.b64encode(hashlib.sha256(one.encode()).digest()).decode() for one in scripts}
    policy = dict(part.split(" ", 1) for part in page.policy.split("; "))
    assert set(re.findall(r"'sha256-([^']+)'", policy["script-src"])) == hashes
    assert "unsafe" not in policy["script-src"]
    assert policy["default-src"] == "'none'"
    assert "connect-src" not in policy
    assert not re.search(r"https?://", page.policy)


def test_it_has_the_fonts_that_its_pages_are_set_in_and_no_others(built: Path) -> None:
    style = json.loads(Elements(made(built)).scripts[0][1])["pages"]["style"]
    assert base64.b64encode(b"karla").decode() in style
    assert base64.b64encode(b"rubik").decode() not in style
    assert "p{color:red}" in style
    assert "woff2)" not in style_with(STYLE, frozenset(("Rubik Variable",)), {"rubik.woff2": "data:x"})


def test_a_set_of_pages_is_known_by_what_is_in_it(built: Path) -> None:
    first = page_set_in(built)
    assert set(first.files) == {"pages.js", "pages.css", "karla.woff2", "rubik.woff2"}
    assert first.files["pages.js"].digest == hashlib.sha256(first.files["pages.js"].content).hexdigest()
    (built / "pages/karla.woff2").write_bytes(b"another")
    (built / "pages/pages.js").touch()
    second = page_set_in(built)
    assert second.digest != first.digest
    assert second.names["pages.js"] == first.names["pages.js"]


def test_a_front_end_that_is_not_built_says_so(tmp_path: Path) -> None:
    with pytest.raises(NotBuilt, match="make setup"):
        page_set_in(tmp_path)
    with pytest.raises(NotBuilt):
        offline_files(tmp_path)
