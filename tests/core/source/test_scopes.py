"""Sites whose components set their colours by properties: each variant gives its own colours."""

from __future__ import annotations

import time

import pytest

from tonada.core.source.stylesheets import StyleFile
from tonada.core.source.stylesheets.groups import group_uses
from tonada.core.source.stylesheets.usage import StylesheetReading, read_stylesheets

BUTTONS = """
:root { --brand: #1b5fae; --brand-h: 212deg; --brand-s: 73%; }
.btn { --text: #222222; color: var(--text); background: var(--ground); border-color: var(--edge, #cccccc) }
.btn-main { --text: #ffffff; --ground: var(--brand) }
.btn.is-plain { --ground: #eeeeee }
.button-bar { --ground: #00ff00 }
.note { color: hsl(var(--brand-h), var(--brand-s), calc(20% + 4%)) }
.veil { background: color-mix(in srgb, var(--brand) 50%, white) }
"""


def read(text: str) -> StylesheetReading:
    return read_stylesheets([StyleFile("site.css", text)])


def test_each_variant_of_a_component_gives_its_colours_once() -> None:
    reading = read(BUTTONS)
    uses = {use.hex: use for use in reading.uses}
    assert (uses["#1b5fae"].ground, uses["#eeeeee"].ground) == (1, 1)
    assert uses["#ffffff"].text == 1
    assert "#00ff00" not in uses, "another component's property"
    pairs = {(pair.text, pair.ground): pair.selector for pair in reading.pairs}
    assert pairs == {("#ffffff", "#1b5fae"): ".btn-main", ("#222222", "#eeeeee"): ".btn.is-plain"}


def test_colours_in_parts_and_mixtures_are_computed() -> None:
    found = {use.hex for use in read(BUTTONS).uses}
    assert "#113a6a" in found
    assert "#8dafd7" in found


@pytest.mark.parametrize("value", ["linear-gradient(var(--missing), #b6653a)", "1px solid var(--a, #b6653a)"])
def test_what_can_t_be_told_hides_nothing_else(value: str) -> None:
    assert [use.hex for use in read(f"a {{ border-image: {value}; background: {value} }}").uses] == [
        "#b6653a"
    ]


def test_a_colour_that_variants_alone_set_is_not_the_component_s() -> None:
    reading = read(".tag { background: var(--tag) } .tag-a { --tag: #aa0000 } .tag-b { --tag: #00aa00 }")
    assert {use.hex: use.count for use in reading.uses} == {"#aa0000": 1, "#00aa00": 1}


def test_references_that_come_to_nothing_end_in_time() -> None:
    chain = "".join(f"--p{row}: var(--p{row + 1}) var(--p{row + 1});" for row in range(23))
    started = time.process_time()
    assert read(f":root {{ {chain} --p23: ; }} a {{ color: var(--p0) }}").uses == ()
    assert time.process_time() - started < 5, "or it would take hours"


def test_many_variants_are_read_once_each() -> None:
    variants = "".join(f".tag-{row} {{ --tag: #{row:06x} }}\n" for row in range(40))
    reading = read(".tag { background: var(--tag) }\n" + variants)
    assert len(reading.uses) == 40
    assert len(group_uses(reading.uses, 0.0)) == 40
