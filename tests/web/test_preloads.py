"""What a page is told to preload: the files of its view, with all that they import, and its data."""

from __future__ import annotations

import json
from pathlib import Path

import pytest

from tonada.web.preloads import Preloads, read_preloads

BRAND = "73f0ea1a-aac7-4d34-84e9-ba5727fc6272"
TAKE = "b14393ef-22a5-4796-9ee6-a8e753127b5d"
MANIFEST = {
    "src/frame/TakeFrame.vue": {"file": "assets/TakeFrame-1.js", "imports": ["_shared.js"]},
    "src/harmony/HarmonyView.vue": {"file": "assets/HarmonyView-1.js", "imports": ["_shared.js", "_list.js"]},
    "src/brands/BrandsView.vue": {"file": "assets/BrandsView-1.js"},
    "_shared.js": {"file": "assets/shared-1.js", "imports": ["_list.js"]},
    # A circle, which bundlers make.
    "_list.js": {"file": "assets/list-1.js", "imports": ["_shared.js"]},
}


@pytest.fixture
def preloads(tmp_path: Path) -> Preloads:
    path = tmp_path / "manifest.json"
    path.write_text(json.dumps(MANIFEST), encoding="utf-8")
    return read_preloads(path)


def test_a_view_of_a_take_is_told_its_files_and_its_data(preloads: Preloads) -> None:
    links = preloads.of(f"brands/{BRAND}/takes/{TAKE}/harmony")
    assert links is not None
    for name in ("TakeFrame", "HarmonyView", "shared", "list"):
        assert links.count(f"</assets/{name}-1.js>; rel=modulepreload") == 1
    for path in (
        f"/api/brands/{BRAND}",
        f"/api/takes/{TAKE}",
        f"/api/takes/{TAKE}/evaluation",
        "/api/session",
    ):
        assert f"<{path}>; rel=preload; as=fetch; crossorigin" in links


def test_the_list_of_brands_is_told_its_own(preloads: Preloads) -> None:
    links = preloads.of("")
    assert links is not None
    assert "BrandsView-1.js" in links
    assert "HarmonyView" not in links


@pytest.mark.parametrize(
    "path",
    [
        "mails",
        f"brands/{BRAND}/reviews",
        f"brands/{BRAND}/takes/{TAKE}",
        f"brands/{BRAND}>; rel=x/takes/{TAKE}/harmony",
        f"brands/{BRAND}\r\nX: y/takes/{TAKE}/harmony",
    ],
)
def test_an_address_that_is_not_known_is_told_nothing(preloads: Preloads, path: str) -> None:
    assert preloads.of(path) is None


def test_a_view_without_files_of_its_own_is_told_the_frame_and_the_data(preloads: Preloads) -> None:
    links = preloads.of(f"brands/{BRAND}/takes/{TAKE}/ready-made")
    assert links is not None
    assert "TakeFrame" in links
    assert "HarmonyView" not in links


def test_without_a_manifest_no_files_are_told(tmp_path: Path) -> None:
    links = read_preloads(tmp_path / "none.json").of(f"brands/{BRAND}/takes/{TAKE}/harmony")
    assert links is not None
    assert "modulepreload" not in links
