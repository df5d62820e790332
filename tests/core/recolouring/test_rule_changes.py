"""What a recolouring does to a stylesheet's rules, what would mend it, and the page that shows it."""

from __future__ import annotations

import re

import pytest

from tests.takes import TAKE
from tonada.core.color.contrast import ratio_between
from tonada.core.gate.rule_pairs import rule_pairs
from tonada.core.recolouring.old_colors import propose_mapping
from tonada.core.recolouring.rule_changes import rule_changes
from tonada.core.recolouring.sample_page import MOST_SAMPLES, sample_page
from tonada.core.source.stylesheets import StyleFile
from tonada.core.take.take import Role
from tonada.demo.seed import demo_file

FILES = [StyleFile("a.css", ".a{color:#000;background:#fff} .b{color:#fff;background:#222} .c{color:#111}")]


def test_what_gets_worse_is_listed_with_a_mend_that_passes() -> None:
    mapping = {"#000000": Role.ACCENT, "#ffffff": Role.PAPER, "#222222": Role.PRIMARY}
    found = rule_changes(TAKE, FILES, mapping)
    assert (found.judged, found.failing_before, found.failing_after) == (2, 0, 1)
    (worse,) = found.worse
    assert (worse.selector, worse.line, worse.before) == (".a", 1, 21.0)
    assert worse.after == ratio_between(TAKE.hex_of(Role.ACCENT), TAKE.hex_of(Role.PAPER))
    assert worse.mend is not None
    assert worse.mend.old == "#000000"
    assert ratio_between(worse.mend.hex, worse.ground_hex) >= worse.needed
    mended = rule_changes(TAKE, FILES, {**mapping, worse.mend.old: worse.mend.key})
    assert (mended.failing_after, mended.worse) == (0, ())


def test_the_end_that_fewer_rules_use_is_moved_and_never_to_a_signal() -> None:
    rules = [
        ".a{color:#fff;background:#444}",
        *(f".w{row}{{color:#fff;background:#000}}" for row in range(4)),
    ]
    files = [StyleFile("a.css", " ".join(rules))]
    found = rule_changes(TAKE, files, {"#ffffff": Role.PAPER, "#444444": Role.ACCENT, "#000000": Role.INK})
    (worse,) = found.worse
    assert worse.mend is not None
    assert worse.mend.old == "#444444"
    assert TAKE.owner_of(worse.mend.key)[0] == TAKE.owner_of(Role.ACCENT)[0]


def test_failing_pairs_are_as_the_gate_counts_them() -> None:
    files = [StyleFile("old-site.css", demo_file("old-site.css").decode())]
    mapping = {old: one.key for one in propose_mapping(TAKE, files) for old in one.members}
    found = rule_changes(TAKE, files, mapping)
    pairs = rule_pairs(files, TAKE.level)
    assert found.failing_before == sum(one.outcome == "fails" for one in pairs)
    assert all(one.after < one.needed for one in found.worse)


def test_the_page_shows_the_sheet_s_own_elements() -> None:
    page = sample_page([StyleFile("a.css", ".card .title{background:#eee} a.more:hover{background:#000}")])
    assert '<div class="card"><div class="title">title</div></div>' in page
    assert "more" not in page.partition("</style>")[2]
    many = " ".join(f".c{row}{{background:#eee}}" for row in range(200))
    assert sample_page([StyleFile("a.css", many)]).partition("</style>")[2].count("<div") == MOST_SAMPLES


@pytest.mark.parametrize(
    "text",
    [
        ".a{background:#fff}</style><script>alert(1)</script>",
        "a[onclick='alert(1)'][href='javascript:alert(1)']{background:#fff}",
        "a[class='\"><script>alert(1)</script>']{background:#fff}",
        "script{background:#fff} iframe{background:#fff} .x{content:'</STYLE><img src=x onerror=alert(1)>'}",
        ".é\\<b{background:#fff}",
    ],
)
def test_a_hostile_sheet_can_t_leave_its_place(text: str) -> None:
    page = sample_page([StyleFile("a.css", text)])
    assert len(re.findall(r"</style", page, re.IGNORECASE)) == 1
    body = page.partition("</style>")[2].lower()
    assert "<script" not in body
    assert "<iframe" not in body
    assert "<img" not in body
    assert "onclick" not in body
    assert "javascript:" not in body


def test_a_page_s_style_blocks_are_shown_as_rules() -> None:
    page = sample_page(
        [StyleFile("a.html", "<style>@media (width > 1px){.a{background:#eee}}</style><p>x</p>")]
    )
    assert "@media (width > 1px) { .a { background: #eee } }" in page
