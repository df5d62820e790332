"""The paints of an SVG: the cascade carried out, plain colours left, and what isn't understood said."""

from __future__ import annotations

import pytest

from tonada.core.errors import ImageError, ImageTooLarge
from tonada.core.source.pictures import extract_colors

SQUARE = 'd="M0 0h80v80H0z"'


def read(inside: str) -> tuple[list[str], bool, list[str]]:
    svg = f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">{inside}</svg>'
    found = extract_colors(svg.encode())
    return [color.hex for color in found.colors], found.exact, [note.sentence for note in found.notes]


@pytest.mark.parametrize(
    "inside",
    [
        f'<path fill="var(--f, #2b3a8c)" {SQUARE}/>',
        f'<path style="--b:#2b3a8c;fill:var(--b)" {SQUARE}/>',
        f'<path fill="rgb(43 58 140 / 100%)" {SQUARE}/>',
        f'<path fill="hwb(231 17% 45%)" {SQUARE}/>',
        f'<path style="fill:#2b3a8c;fill:foo(1);fill:rgb(1 2)" {SQUARE}/>',
        f'<style>.a{{fill:#2b3a8c!important}}</style><path class="a" style="fill:red" {SQUARE}/>',
        f'<style>path{{fill:red}}#p{{fill:#2b3a8c}}g path{{fill:lime}}</style><g><path id="p" {SQUARE}/></g>',
        "<style>.a .b+.b{fill:#2b3a8c}</style>"
        f'<g class="a"><path class="b" d=""/><path class="b" {SQUARE}/></g>',
        f'<style>@media print{{path{{fill:red}}}}</style><path fill="#2b3a8c" {SQUARE}/>',
        "<style>path{fill:#2b3a8c}@media (prefers-color-scheme:dark){path{fill:#fff}}</style>"
        f"<path {SQUARE}/>",
        "<style>@property --p{inherits:true;initial-value:#2b3a8c}path{fill:var(--p)}</style>"
        f"<path {SQUARE}/>",
        f'<g color="#2b3a8c"><path fill="currentColor" {SQUARE}/></g>',
        f'<g style="color:#2b3a8c"><g fill="currentColor"><path {SQUARE}/></g></g>',
        f'<defs><path id="s" {SQUARE}/></defs><use href="#s" fill="#2b3a8c"/>',
        f'<path fill="url(#none) #2b3a8c" {SQUARE}/>',
        f'<path fill="light-dark(#2b3a8c, white)" {SQUARE}/>',
    ],
)
def test_a_paint_is_read_as_a_browser_computes_it(inside: str) -> None:
    assert read(inside) == (["#2b3a8c"], True, [])


def test_a_colour_outside_srgb_is_clipped_and_said() -> None:
    colors, exact, notes = read(
        f'<path fill="#D92D20" style="fill:#D92D20;fill:color(display-p3 .851 .176 .125)" {SQUARE}/>'
    )
    assert (colors, exact) == (["#ed0000"], True)
    assert notes == [
        "mapped: <path>: color(display-p3 .851 .176 .125) lies outside sRGB; "
        "taken as an sRGB screen shows it, #ed0000"
    ]


@pytest.mark.parametrize(
    ("inside", "part"),
    [
        (f'<path style="fill:#2b3a8c;fill:contrast-color(red)" {SQUARE}/>', "contrast-color()"),
        (f'<path id="x" fill="color(--own 1 0 0)" {SQUARE}/>', "<path id='x'>"),
        (f'<defs><path id="s" fill="var(--c)" {SQUARE}/></defs><use href="#s" style="--c:red"/>', "--c"),
        (f'<path style="--a:var(--b);--b:var(--a);fill:var(--a, #2b3a8c)" {SQUARE}/>', ""),
    ],
)
def test_what_is_not_understood_is_said_with_its_place_and_nothing_is_called_exact(
    inside: str, part: str
) -> None:
    _, exact, notes = read(inside)
    if part:
        assert not exact
        assert any(note.startswith("not understood: ") and part in note for note in notes), notes
    else:
        # A circle of properties is invalid: the fallback counts, as in a browser.
        assert (exact, notes) == (True, [])


def test_a_condition_that_is_not_known_is_assumed_and_said() -> None:
    sheet = "@media (min-width:1px){path{fill:#2b3a8c}}"
    colors, exact, notes = read(f"<style>{sheet}</style><path {SQUARE}/>")
    assert (colors, exact) == (["#2b3a8c"], True)
    assert notes == ["assumed: path: that “@media (min-width:1px)” holds"]


def test_a_colour_of_the_system_is_assumed_and_said() -> None:
    colors, _, notes = read(f'<path fill="LinkText" {SQUARE}/>')
    assert colors == ["#0000ee"]
    assert notes == ["assumed: <path>: linktext is #0000ee, as with a light theme"]


HALF = 'width="50%" height="100%"'
HALVES = f'<rect {HALF} fill="#2b3a8c"/><rect x="50%" {HALF} fill="#d7b13c"/>'
HEAD = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">'


@pytest.mark.parametrize(
    "size",
    [
        'width="72pt" height="36pt" viewBox="0 0 72 36"',
        'width="280mm" height="140mm" viewBox="0 0 280 140"',
        'width="500pt" height="250pt"',
        'width="4in" height="5cm"',
        'width="20em" height="+3.5e1pc"',
        'height="200pt" viewBox="0 0 1557 777"',
        'width="100%" height="100%" viewBox="0 0 9 9"',
        'viewBox="0,0,9,9"',
        'width="0" height="-3px" viewBox="0 0 9 9"',
        'width="300" height="10Q"',
    ],
)
def test_a_drawing_has_its_size_in_whatever_unit_it_is_written(size: str) -> None:
    read = extract_colors(f'<svg xmlns="http://www.w3.org/2000/svg" {size}>{HALVES}</svg>'.encode())
    assert {color.hex: round(color.share, 2) for color in read.steps[-1]} == {"#2b3a8c": 0.5, "#d7b13c": 0.5}


def declaring(entities: str, fill: str) -> bytes:
    doctype = f'<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "x" [{entities}]>'
    return f'<?xml version="1.0"?>{doctype}{HEAD}<rect width="9" height="9" {fill}/></svg>'.encode()


def test_entities_of_drawing_programs_are_filled_in() -> None:
    entities = "<!-- names --><!ENTITY ns_svg \"http://www.w3.org/2000/svg\">\n<!ENTITY st0 'fill:#2b3a8c;'>"
    read = extract_colors(declaring(entities, 'style="&st0;" id="a&amp;b"'))
    assert [color.hex for color in read.steps[-1]] == ["#2b3a8c"]


@pytest.mark.parametrize(
    "entities",
    [
        '<!ENTITY a "ha"><!ENTITY b "&a;&a;">',
        '<!ENTITY a SYSTEM "file:///etc/passwd">',
        '<!ENTITY % a "x"> %a;',
        '<!ENTITY a "<script/>">',
        '<!ATTLIST svg onload CDATA "x"><!ENTITY a "x">',
    ],
)
def test_entities_that_could_grow_or_reach_outside_are_refused(entities: str) -> None:
    with pytest.raises(ImageError):
        extract_colors(declaring(entities, 'fill="#2b3a8c"'))


def test_entities_make_no_file_larger_than_files_may_be() -> None:
    entities = f'<!ENTITY a "{"x" * 5_000}">'
    with pytest.raises(ImageTooLarge, match="entities"):
        extract_colors(declaring(entities, f'fill="#2b3a8c" id="{"&a;" * 6_000}"'))


def test_what_is_not_svg_within_a_drawing_is_left_out_and_said_where_nothing_takes_its_place() -> None:
    page = '<foreignObject{}><p xmlns="http://www.w3.org/1999/xhtml">x</p></foreignObject>'
    drawing = HEAD + '{}<rect width="9" height="9"/></svg>'
    said = extract_colors(drawing.format(page.format("")).encode())
    assert [note.where for note in said.notes] == ["<foreignObject>"]
    assert not said.exact
    of_a_program = page.format(' requiredExtensions="x"')
    silent = extract_colors(drawing.format(f"<switch>{of_a_program}</switch>").encode())
    assert silent.notes == ()
    with pytest.raises(ImageError):
        extract_colors(drawing.format("<foreignObject><script/></foreignObject>").encode())
