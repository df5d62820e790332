"""Pages as a browser renders them: text on what really lies behind it, in each state, scheme and width."""

from __future__ import annotations

import json
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path
from threading import Thread

import pytest

from tests.cli.test_cli import run
from tonada.core.color.contrast import ratio_between
from tonada.core.errors import InputError
from tonada.core.gate.check import CheckedPair
from tonada.rendering.browser import find_browser
from tonada.rendering.pages import check_pages

PAGE = """<!doctype html><meta charset="utf-8"><title>t</title><style>
body { margin: 0; font: 16px/1.5 sans-serif; color: #333; background: #fff }
.stops { background: linear-gradient(90deg, #000, #fff); color: #888; text-align: center }
.over { position: relative; height: 60px } .over * { position: absolute; inset: 0 }
.over p { color: #fff }
.faint { opacity: .5; color: #000 }
.veil { opacity: .5; background: #000; color: #fff }
.glass { color: rgb(0 0 0 / 50%) }
a { color: #06c } a:hover { color: #9cf }
.gone { display: none } .same { color: #fff }
.under { position: relative } .under b { position: absolute; inset: 0; background: #fff }
.blend { mix-blend-mode: multiply }
.large { font-size: 24px; color: #949494 } .small { color: #949494 }
button:disabled { color: #ccc }
@media (prefers-color-scheme: dark) { body { background: #111; color: #444 } }
@media (max-width: 500px) { .phone { color: #aaa } }
</style>
<p class="stops">On a gradient that runs from black to white, all the way across</p>
<div class="over"><svg width="100%" height="100%"><rect width="100%" height="100%" fill="#eeeeee"/></svg>
<p>On a picture</p></div>
<p class="faint">Half there</p><p class="veil">Within a veil</p><p class="glass">Of glass</p>
<p><a href="#">A link</a></p><p class="gone">Gone</p><p class="same">Same</p>
<p class="under">Covered<b></b></p><p class="blend">Blended</p><p class="phone">Phone</p>
<p class="large">Large</p><p class="small">Small</p><button disabled>Off</button>
<input placeholder="Typed here"><svg height="30"><text y="20" fill="#ddd">Drawn</text></svg>
"""


@pytest.fixture(scope="module")
def pairs(tmp_path_factory: pytest.TempPathFactory) -> list[CheckedPair]:
    page = tmp_path_factory.mktemp("pages") / "page.html"
    page.write_text(PAGE)
    return check_pages([str(page)], "AA", find_browser(None))


def of(pairs: list[CheckedPair], name: str, scope: str = "light, wide") -> list[CheckedPair]:
    return [one for one in pairs if one.text.endswith(name) and one.scope == scope]


@pytest.mark.parametrize(
    ("name", "text", "ground"),
    [
        ("div.over > p", "#ffffff", "#eeeeee"),
        ("p.faint", "#808080", "#ffffff"),
        ("p.veil", "#ffffff", "#808080"),
        ("p.glass", "#808080", "#ffffff"),
        ("p.same", "#ffffff", "#ffffff"),
        ("p > a", "#0066cc", "#ffffff"),
        ("svg > text", "#dddddd", "#ffffff"),
    ],
)
def test_text_and_ground_are_those_that_are_painted(
    pairs: list[CheckedPair], name: str, text: str, ground: str
) -> None:
    (pair,) = of(pairs, name)
    # A picture of a translucent layer is rounded: it may be two levels off.
    for found, expected in ((pair.text_hex, text), (pair.ground_hex, ground)):
        channels = [[int(one[start : start + 2], 16) for start in (1, 3, 5)] for one in (found, expected)]
        assert max(abs(one - other) for one, other in zip(*channels, strict=True)) <= 2
    assert pair.ratio == ratio_between(pair.text_hex, pair.ground_hex)


def test_a_gradient_is_judged_where_it_is_worst(pairs: list[CheckedPair]) -> None:
    (pair,) = of(pairs, "p.stops")
    assert pair.fails
    assert pair.ratio < 1.6


def test_what_can_t_be_seen_is_no_pair(pairs: list[CheckedPair]) -> None:
    assert not [one for one in pairs if one.text.endswith(("p.gone", "p.under"))]


def test_what_can_t_be_told_and_what_is_exempt_say_so(pairs: list[CheckedPair]) -> None:
    (blended,), (off,) = of(pairs, "p.blend"), of(pairs, "button")
    assert (blended.outcome, blended.reason) == ("unknown", "mix-blend-mode changes what is seen")
    assert (off.outcome, off.reason) == ("exempt", "disabled")


def test_size_decides_what_is_needed(pairs: list[CheckedPair]) -> None:
    ((large,), (small,)) = of(pairs, "p.large"), of(pairs, "p.small")
    assert (large.needed, large.passes, small.needed, small.fails) == (3.0, True, 4.5, True)


def test_states_schemes_and_widths_are_looked_at(pairs: list[CheckedPair]) -> None:
    assert of(pairs, "p > a")[0].passes
    assert of(pairs, "p > a", "light, wide, hover")[0].fails
    assert of(pairs, "p.phone")[0].passes
    assert of(pairs, "p.phone", "light, phone")[0].fails
    assert of(pairs, "p.phone", "dark, wide")[0].ground_hex == "#111111"


def test_a_field_s_placeholder_is_text(pairs: list[CheckedPair]) -> None:
    assert of(pairs, "input")[0].ground_hex == "#ffffff"


@pytest.mark.detail
def test_the_command_prints_reports_and_fails(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    page = tmp_path / "page.html"
    page.write_text("<meta charset=utf-8><body style='background:#fff;color:#999'><p>Grey, é</p>")
    code, out, _ = run(capsys, "check", str(page), "--render", "--json")
    (first, *_) = json.loads(out)["pairs"]
    assert (code, first["text_hex"], first["file"], first["scope"]) == (
        1,
        "#999999",
        str(page),
        "light, wide",
    )
    page.write_text("<meta charset=utf-8><body style='background:#fff;color:#000'><p>Black</p>")
    assert run(capsys, "check", str(page), "--render", "--quiet")[0] == 0


@pytest.mark.detail
def test_a_page_asks_nothing_of_other_machines(tmp_path: Path) -> None:
    asked: list[str] = []

    class Other(BaseHTTPRequestHandler):
        def do_GET(self) -> None:
            asked.append(self.path)
            self.send_response(200)
            self.end_headers()

        def log_message(self, *_: object) -> None: ...

    server = ThreadingHTTPServer(("127.0.0.1", 0), Other)
    Thread(target=server.serve_forever, daemon=True).start()
    other = f"http://127.0.0.1:{server.server_port}"
    page = tmp_path / "page.html"
    page.write_text(f"<p>Text</p><img src='{other}/a.png'><script src='{other}/a.js'></script>")
    assert check_pages([str(page)], "AA", find_browser(None))
    server.shutdown()
    assert asked == []


def test_what_isn_t_there_is_said(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    with pytest.raises(InputError, match="no browser at"):
        find_browser("/nowhere/browser")
    monkeypatch.setenv("TONADA_BROWSER", "/nowhere/other")
    with pytest.raises(InputError, match="no browser at"):
        find_browser(None)
    with pytest.raises(InputError, match="can't be opened"):
        check_pages([str(tmp_path / "none.html")], "AA", find_browser("/usr/bin/chromium-headless-shell"))
