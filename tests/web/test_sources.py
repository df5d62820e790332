"""Sources of every kind through the API: kept, read again, picked from, removed and brought back."""

from __future__ import annotations

import io
import time
from dataclasses import replace
from typing import Any
from uuid import uuid4

import numpy as np
import pytest
from PIL import Image

from tests.artwork import encoded
from tests.waiting import until
from tests.web.conftest import Client
from tests.web.test_api import LOGO, new_brand, upload
from tests.web.test_refusals import problem_of
from tonada.demo.pictures import dusk_ridge
from tonada.demo.seed import demo_file
from tonada.intake import bounded
from tonada.intake.bounded import run_bounded
from tonada.web.sources import views

CSS = b"body{color:#333;background:#fff}a{color:#2b3a8c}b{color:#343434}.x{color:#fff;background:#d7b13c}"
INDIGO = Image.new("RGB", (40, 40), "#2b3a8c")
# A hostile file may take so many times what a harmless one of its size takes in the same run. What this
# guards against takes thousands of times as long.
MOST_TIMES = 12


@pytest.fixture
def brand(client: Client) -> str:
    return str(new_brand(client)["id"])


def sources_of(client: Client, brand: str) -> list[dict[str, Any]]:
    return client.get(f"/api/brands/{brand}").get_json()["sources"]


def hexes_of(source: dict[str, Any]) -> list[str]:
    return [color["hex"] for color in source["colors"]]


def read_again(client: Client, source: dict[str, Any], **asked: Any) -> dict[str, Any]:
    answer = client.put(f"/api/sources/{source['id']}/reading", json=asked)
    assert answer.status_code == 200, answer.text
    return answer.get_json()


def test_fewer_and_more_change_what_is_shown_and_are_kept(client: Client, brand: str) -> None:
    source = upload(client, brand, dusk_ridge(600, 400), "dusk.jpg").get_json()
    usual = source["image"]["usual"]
    assert len(source["colors"]) == usual
    for count in (1, 3, 12):
        source = read_again(client, source, count=count)
        assert len(source["colors"]) == source["image"]["count"] == count
    assert sources_of(client, brand) == [source]
    assert len(read_again(client, source)["colors"]) == usual


def test_a_part_of_a_picture_is_read_and_the_kind_overruled(client: Client, brand: str) -> None:
    source = upload(client, brand, LOGO).get_json()
    part = read_again(client, source, region={"left": 0, "top": 0.7, "width": 1, "height": 0.3})
    assert hexes_of(part) == ["#d7b13c"]
    assert read_again(client, source, kind="photographic")["image"]["kind"] == "photographic"
    assert hexes_of(read_again(client, source)) == ["#2b3a8c", "#d7b13c"]


def test_the_magnifier_reads_the_pixels_of_the_file(client: Client, brand: str) -> None:
    source = upload(client, brand, encoded(INDIGO, "PNG"), "a.png").get_json()
    answer = client.post(f"/api/sources/{source['id']}/loupe", json={"x": 0.5, "y": 0.5, "square": 5})
    loupe = answer.get_json()
    assert (loupe["hex"], loupe["name"], loupe["x"], loupe["width"]) == ("#2b3a8c", "Indigo", 20, 40)
    assert len(loupe["pixels"]) == len(loupe["pixels"][0]) == 15
    problem_of(client.post(f"/api/sources/{source['id']}/loupe", json={"x": 2, "y": 0}), 422)
    problem_of(client.post(f"/api/sources/{uuid4()}/loupe", json={"x": 0, "y": 0}), 404)


def test_picked_colors_stay_with_their_source(client: Client, brand: str) -> None:
    source = upload(client, brand, LOGO).get_json()
    picked = [{"hex": "#123456", "name": "Mine"}]
    source = client.put(f"/api/sources/{source['id']}/picked", json={"colors": picked}).get_json()
    assert [color["name"] for color in source["colors"] if color["picked"]] == ["Mine"]
    assert hexes_of(read_again(client, source, count=1)) == ["#2b3a8c", "#123456"]


def test_single_typed_colors_gather_in_one_source(client: Client, brand: str) -> None:
    for text in ("#2b3a8c", "43 58 140", "teal", "oklch(0.78 0.14 90)"):
        assert client.post(f"/api/brands/{brand}/lists", json={"text": text}).status_code == 201
    (typed,) = sources_of(client, brand)
    assert typed["name"] == "Typed colours"
    assert hexes_of(typed) == ["#2b3a8c", "#008080", "#dab33a"]


def test_a_pasted_list_is_a_source_with_its_names_roles_and_notes(client: Client, brand: str) -> None:
    text = "Primary: #2b3a8c\nnothing\nComet: #d7b13c"
    understood = client.post("/api/lists", json={"text": text}).get_json()
    kept = client.post(f"/api/brands/{brand}/lists", json={"text": text}).get_json()
    for found in (understood["colors"], kept["colors"]):
        assert [(c["name"], c["role"]) for c in found] == [("Primary", "primary"), ("Comet", None)]
    assert kept["list"]["warnings"] == understood["warnings"]
    assert [warning["line"] for warning in kept["list"]["warnings"]] == [2]
    problem_of(client.post(f"/api/brands/{brand}/lists", json={"text": "nothing"}), 422)


@pytest.mark.parametrize(
    ("name", "data", "kind"),
    [
        ("palette.css", b":root{--primary:#2b3a8c}", "list"),
        ("site.css", CSS, "stylesheet"),
        ("page.html", b"<style>a{color:#2b3a8c}</style>", "stylesheet"),
        ("vars.scss", b"$primary: #2b3a8c;", "list"),
        ("vars.less", b"@primary: #2b3a8c;", "list"),
        ("brand.tokens.json", b'{"a":{"$type":"color","$value":"#2b3a8c"}}', "list"),
        ("p.gpl", b"GIMP Palette\n43 58 140 Indigo", "list"),
        ("c.csv", b"name,hex\nIndigo,#2b3a8c", "list"),
        ("c.txt", b"Indigo #2b3a8c", "list"),
        ("logo.svg", LOGO, "image"),
    ],
)
def test_a_file_becomes_what_it_is(client: Client, brand: str, name: str, data: bytes, kind: str) -> None:
    source = upload(client, brand, data, name).get_json()
    assert source["kind"] == kind
    assert "#2b3a8c" in hexes_of(source)


def test_a_swatch_sheet_is_read_as_a_list_on_request(client: Client, brand: str) -> None:
    form = {"file": (io.BytesIO(LOGO), "swatches.svg"), "wanted": "list"}
    source = client.post(f"/api/brands/{brand}/sources", data=form).get_json()
    assert (source["kind"], hexes_of(source)) == ("list", ["#2b3a8c", "#d7b13c"])


def test_several_stylesheets_are_read_together(client: Client, brand: str) -> None:
    files = [(io.BytesIO(b":root{--x:#2b3a8c}"), "a.css"), (io.BytesIO(b"a{color:var(--x)}"), "b.html.css")]
    form = {"file": files, "wanted": "stylesheet"}
    source = client.post(f"/api/brands/{brand}/sources", data=form).get_json()
    assert source["stylesheet"]["files"] == ["a.css", "b.html.css"]
    assert hexes_of(source) == ["#2b3a8c"]
    both = {"file": [(io.BytesIO(LOGO), "a.svg"), (io.BytesIO(LOGO), "b.svg")]}
    problem_of(client.post(f"/api/brands/{brand}/sources", data=both), 422)


def test_near_twins_are_grouped_by_the_difference_asked_for(client: Client, brand: str) -> None:
    source = upload(client, brand, CSS, "site.css").get_json()
    groups = source["stylesheet"]["groups"]
    grey = next(group for group in groups if group["hex"] == "#333333")
    assert [source["stylesheet"]["uses"][row]["hex"] for row in grey["members"]] == ["#333333", "#343434"]
    apart = read_again(client, source, difference=0)["stylesheet"]
    assert len(apart["groups"]) == len(apart["uses"])
    assert apart["pairs"][0]["selector"] == ".x"


def test_a_mood_gives_colors_and_says_what_it_is(client: Client, brand: str) -> None:
    vocabulary = client.get("/api/moods").get_json()
    assert len(vocabulary["words"]) >= 16
    body = {"words": ["calm", "natural"], "field": "craft"}
    mood = client.post(f"/api/brands/{brand}/moods", json=body).get_json()
    assert 3 <= len(mood["colors"]) <= 6
    assert len(mood["mood"]["conventions"]) == 3
    problem_of(client.post(f"/api/brands/{brand}/moods", json={"words": ["blurple"]}), 422)


def test_a_source_is_renamed_removed_and_brought_back(client: Client, brand: str) -> None:
    source = upload(client, brand, LOGO).get_json()
    path = f"/api/sources/{source['id']}"
    assert client.put(path, json={"name": "Mark"}).get_json()["name"] == "Mark"
    assert client.delete(path).status_code == 204
    assert sources_of(client, brand) == []
    problem_of(client.get(path), 410)
    problem_of(client.delete(path), 410)
    assert client.post(f"{path}/restoration").get_json()["name"] == "Mark"
    assert len(sources_of(client, brand)) == 1


def large_png() -> bytes:
    image = Image.new("RGB", (2600, 2000), "#2b3a8c")
    image.paste("#d7b13c", (0, 0, 1300, 2000))
    return encoded(image, "PNG")


def until_settled(client: Client, path: str) -> dict[str, Any]:
    def settled() -> dict[str, Any] | None:
        source: dict[str, Any] = client.get(path).get_json()
        return source if source["state"] != "reading" else None

    found = until(settled, "the reading did not end", pause=0.1)
    assert found
    return found


def until_begun(client: Client, path: str) -> None:
    until(lambda: client.get(path).get_json()["progress"], "the reading did not begin")


def test_a_large_picture_is_read_in_the_background(client: Client, brand: str) -> None:
    answer = upload(client, brand, large_png(), "large.png")
    assert answer.status_code == 202
    assert sources_of(client, brand) == []
    path = f"/api/sources/{answer.get_json()['id']}"
    source = until_settled(client, path)
    assert source["state"] == "ready"
    assert hexes_of(source) == ["#2b3a8c", "#d7b13c"]
    assert client.get(f"{path}/preview").mimetype == "image/png"


@pytest.fixture
def slow_machine(monkeypatch: pytest.MonkeyPatch) -> None:
    """A machine on which nothing is read in the time that a request has."""
    hurried = replace(bounded.SHORT, cpu_seconds=0.01)

    def read(work: str, *given: Any, budget: bounded.Budget = bounded.SHORT) -> bounded.Answer:
        return run_bounded(work, *given, budget=hurried if work == "take in" else budget)

    monkeypatch.setattr(views, "run_bounded", read)


@pytest.mark.usefixtures("slow_machine")
def test_a_picture_that_a_slow_machine_cannot_read_at_once_is_read_later(client: Client, brand: str) -> None:
    answer = upload(client, brand, dusk_ridge(), "ridge.jpg")
    assert answer.status_code == 202
    settled = until_settled(client, f"/api/sources/{answer.get_json()['id']}")
    assert settled["state"] == "ready"
    assert hexes_of(settled)


@pytest.mark.usefixtures("slow_machine")
def test_what_is_no_picture_of_pixels_is_refused_where_it_takes_too_long(client: Client, brand: str) -> None:
    for name, data in (("a.svg", LOGO), ("a.css", b"a{color:#2b3a8c}\n" * 20_000)):
        assert "seconds to read" in problem_of(upload(client, brand, data, name), 415)["detail"]
    assert sources_of(client, brand) == []


def test_a_reading_in_the_background_can_be_cancelled(
    client: Client, brand: str, caplog: pytest.LogCaptureFixture
) -> None:
    caplog.set_level("INFO", "tonada.readings")
    path = f"/api/sources/{upload(client, brand, large_png(), 'large.png').get_json()['id']}"
    until_begun(client, path)
    assert client.delete(path).status_code == 204
    until(lambda: "a reading was cancelled" in caplog.text, "the reading went on to its end")
    assert sources_of(client, brand) == []


def test_a_large_picture_that_is_broken_says_so_afterwards(client: Client, brand: str) -> None:
    data = large_png()
    answer = upload(client, brand, data[: len(data) // 2], "large.png")
    source = until_settled(client, f"/api/sources/{answer.get_json()['id']}")
    assert source["state"] == "failed"
    assert "broken" in source["problem"]
    assert sources_of(client, brand) == []


def animated() -> bytes:
    written = io.BytesIO()
    INDIGO.save(written, "GIF", save_all=True, append_images=[Image.new("RGB", (40, 40), "#d7b13c")])
    return written.getvalue()


def palette_with_transparency() -> bytes:
    image = INDIGO.quantize(4)
    image.paste(1, (0, 0, 10, 40))
    return encoded(image, "PNG", transparency=1)


ODD_BUT_FINE = {
    "16-bit grey": encoded(Image.fromarray(np.full((9, 9), 30000, np.uint16)), "PNG"),
    "one pixel": encoded(Image.new("RGB", (1, 1), "#2b3a8c"), "PNG"),
    "a palette with transparency": palette_with_transparency(),
    "animated": animated(),
    "CMYK without a profile": encoded(INDIGO.convert("CMYK"), "JPEG"),
    "a wrong ending": encoded(INDIGO, "PNG"),
    "a picture with a page behind it": encoded(INDIGO, "PNG") + b"<script>alert(1)</script>",
    "one row": encoded(Image.new("RGB", (3000, 1), "#2b3a8c"), "PNG"),
    "black and white": encoded(Image.new("1", (9, 9), 1), "PNG"),
}


@pytest.mark.parametrize("name", ODD_BUT_FINE)
def test_odd_files_are_read_and_what_comes_back_is_inert(client: Client, brand: str, name: str) -> None:
    source = upload(client, brand, ODD_BUT_FINE[name], "odd.jpg").get_json()
    assert source["colors"]
    preview = client.get(f"/api/sources/{source['id']}/preview")
    assert preview.mimetype == "image/png"
    assert b"script" not in preview.data
    assert preview.headers["X-Content-Type-Options"] == "nosniff"


HOSTILE = {
    "invalid UTF-8": ("a.css", b"a{color:#123456}\xff", 422),
    "3 MB of CSS without a colour": ("a.css", b"a{margin:0}\n" * 260_000, 422),
    "5 MB of CSS": ("a.css", b"a{color:red}\n" * 403_000, 422),
    "a page of open tags": ("a.html", b"<b" * 500_000, 422),
    "brackets without an end": ("a.css", b"a{color:" + b"(" * 400_000, 422),
    "whitespace before important": ("a.css", b"a{color:red" + b" " * 400_000 + b"x}", 422),
    "properties that refer to each other": (
        "a.css",
        b"".join(b"a{--x%d:var(--x%d)}" % (n, n + 1) for n in range(20_000)) + b"b{color:var(--x0)}",
        422,
    ),
    "properties that double": (
        "a.css",
        b":root{" + b"".join(b"--x%d:var(--x%d)var(--x%d);" % (n, n + 1, n + 1) for n in range(60))
        + b"--x60:#123456}b{background:var(--x0)}",
        None,
    ),
    "deeply nested JSON": ("a.json", b"[" * 200_000, 422),
    "a JSON number without an end": ("a.json", b'{"a":' + b"9" * 100_000 + b"}", 422),
    "tokens that refer in a circle": ("a.json", b'{"a":{"$type":"color","$value":"{a}"}}', 422),
    "zero bytes in a text": ("a.txt", b"#123456\0", 422),
    "one endless line": ("a.txt", b"#12345" * 170_000, 422),
    "an executable called CSV": ("a.csv", b"MZ\x90\0" * 1000, 422),
    "a stylesheet called PNG": ("a.png", CSS, 415),
    "a file without a name": ("", b"", None),
}  # fmt: skip


@pytest.mark.detail
@pytest.mark.parametrize("name", HOSTILE)
def test_hostile_files_are_answered_quickly_and_change_nothing(client: Client, brand: str, name: str) -> None:
    file_name, data, status = HOSTILE[name]
    # Of what is over the limit, so much as is read.
    harmless = b"a{color:#2b3a8c}\n" * (min(len(data), 700_000) // 17 + 1)
    # Readings of a whole machine take turns, and another test may be at it: one of three tries is alone.
    for _ in range(3):
        before = time.monotonic()
        client.delete(f"/api/sources/{upload(client, brand, harmless, 'a.css').get_json()['id']}")
        started = time.monotonic()
        answer = upload(client, brand, data, file_name)
        is_quick = time.monotonic() - started < MOST_TIMES * (started - before)
        if is_quick or answer.status_code < 400:
            break
    assert is_quick, "beside a harmless file of its size"
    if answer.status_code == 202:
        source = until_settled(client, f"/api/sources/{answer.get_json()['id']}")
        assert (source["state"], sources_of(client, brand)) == ("failed", [])
    elif status is None:
        assert answer.status_code < 500
    else:
        problem_of(answer, status)
        assert sources_of(client, brand) == []


@pytest.mark.long
def test_three_megabytes_of_css_are_read(client: Client, brand: str) -> None:
    rules = b"".join(b".a%d{color:#%06x;background:rgba(0,0,0,.1)}\n" % (n, n % 4096) for n in range(60_000))
    answer = upload(client, brand, rules, "big.css")
    assert answer.status_code == 202
    source = until_settled(client, f"/api/sources/{answer.get_json()['id']}")
    assert len(source["stylesheet"]["uses"]) == 400


def test_the_demo_stylesheet_has_about_thirty_colors_and_many_alike(client: Client, brand: str) -> None:
    sheet = upload(client, brand, demo_file("old-site.css"), "old-site.css").get_json()["stylesheet"]
    assert 28 <= len(sheet["uses"]) <= 36
    assert len(sheet["groups"]) <= 0.6 * len(sheet["uses"])


def test_a_source_stands_beside_the_one_before_and_its_swatches_move(client: Client) -> None:
    brand = new_brand(client)["id"]
    before = upload(client, brand, LOGO).get_json()
    after = upload(client, brand, LOGO.replace(b"#2b3a8c", b"#3548a8")).get_json()
    rows = client.get(f"/api/sources/{after['id']}/beside/{before['id']}").get_json()["rows"]
    first = next(one for one in rows if one["before"] and one["before"]["hex"] == "#2b3a8c")
    assert first["after"]["hex"] == "#3548a8"
    assert 0 < first["difference"] < 0.1
    colors = [
        {"hex": one["hex"], "name": None, "share": one["share"], "choice": None} for one in before["colors"]
    ]
    asked = {"colors": colors, "source": before["id"], "source_name": "logo.svg", "kind": "image"}
    document = client.post("/api/proposals", json=asked).get_json()["document"]
    moves = [{"before": "#2b3a8c", "after": "#3548a8", "share": 0.7}]
    change = {
        "kind": "replace",
        "before": before["id"],
        "after": after["id"],
        "name": "logo.svg",
        "moves": moves,
    }
    made = client.post("/api/changes", json={"document": document, "change": change}).get_json()["document"]
    moved = next(one for one in made["swatches"] if one["hex"] == "#3548a8")
    assert moved["origin"]["source"] == after["id"]
    assert not any(one["hex"] == "#2b3a8c" for one in made["swatches"])
    assert client.get(f"/api/sources/{after['id']}/beside/{brand}").status_code == 404
