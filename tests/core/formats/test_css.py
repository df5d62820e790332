"""CSS custom properties: they read back as the same colours."""

from __future__ import annotations

from dataclasses import replace

import tinycss2

from tests.takes import TAKE, TYPED
from tonada.core.formats.sheet import Options
from tonada.core.formats.stylesheet_writing import write_css
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.take.take import Swatch, Take


def css_of(take: Take, *, title: str) -> str:
    options = Options(night=False)
    return write_css(sheet_of(take, options, title=title), options)


def test_the_stylesheet_reads_back_as_the_same_colors() -> None:
    hostile = replace(TAKE.swatches[0], name="*/ } body { color: red")
    take = replace(TAKE, swatches=(hostile, *TAKE.swatches[1:]))
    rules = [
        r for r in tinycss2.parse_stylesheet(css_of(take, title="Peak */ x")) if r.type == "qualified-rule"
    ]
    assert len(rules) == 1
    declared = tinycss2.parse_blocks_contents(rules[0].content, skip_comments=True, skip_whitespace=True)
    values = {one.lower_name: tinycss2.serialize(one.value).split("/*")[0].strip() for one in declared}
    roles = {f"--{one.role}": take.hex_of(one.role) for one in take.roles}
    as_text = {name: value for name, value in values.items() if name.endswith("-as-text")}
    assert as_text == {
        f"--{one.role}-as-text": take.color_of(f"{one.role}/text") if one.text_step else f"var(--{one.role})"
        for one in take.roles
        if f"--{one.role}-as-text" in values
    }
    texts = {name: value for name, value in values.items() if "-on-" in name or name == "--tint"}
    assert {**roles, **as_text, **texts} == values
    assert "--primary-as-text" in as_text


def test_swatches_without_a_role_get_a_property_of_their_own() -> None:
    extra = (Swatch("s90", "Paper", "#123456", False, TYPED), Swatch("s91", "—", "#654321", False, TYPED))
    text = css_of(replace(TAKE, swatches=TAKE.swatches + extra), title="x")
    assert "--paper-s90: #123456;" in text
    assert "--s91: #654321;" in text
