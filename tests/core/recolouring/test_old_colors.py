"""What of a take gets the place of an old stylesheet's colours: one target for a value, and the right one."""

from __future__ import annotations

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sampling import examples
from tests.strategies import hexes
from tests.takes import TAKE, take_of
from tonada.core.color.spaces import hex_to_oklch, hex_to_srgb8
from tonada.core.errors import InputError
from tonada.core.gate.written import undecided_in, written_in
from tonada.core.recolouring.old_colors import OldColor, propose_mapping
from tonada.core.recolouring.restyle import restyle
from tonada.core.source.stylesheets.scan import scan_stylesheet
from tonada.core.source.stylesheets.usage import StyleFile
from tonada.core.take.take import SIGNALS, Role, Take

RED = take_of("#c62828", "#2f5d50", "#d7b13c")


def mapped(text: str, take: Take = RED) -> dict[str, OldColor]:
    return {value: one for one in propose_mapping(take, [StyleFile("a.css", text)]) for value in one.members}


def recolored(text: str, take: Take = RED) -> str:
    mapping = {value: one.key for value, one in mapped(text, take).items()}
    return restyle(take, [StyleFile("a.css", text)], mapping).files[0].text


def test_a_value_has_one_target_whether_it_is_opaque_or_not() -> None:
    made = recolored(
        ".btn{background:#0d6efd;color:#fff} .btn:focus{box-shadow:0 0 0 4px rgba(13,110,253,.25)}"
        ".veil{background:rgba(255,255,255,.8)}"
    )
    assert "background:#c62828" in made
    assert "rgb(198 40 40 / 25%)" in made
    paper = RED.hex_of(Role.PAPER)
    red, green, blue = (int(channel) for channel in hex_to_srgb8(paper))
    assert f"color:{paper}" in made
    assert f"rgb({red} {green} {blue} / 80%)" in made


def test_what_can_t_be_seen_stays() -> None:
    text = ".a{background:transparent;color:rgb(0 0 0 / 0);border-color:#0000}"
    with pytest.raises(InputError, match="no colour"):
        mapped(text)
    both = text + ".b{color:#123456}"
    assert recolored(both).startswith(text)


def test_every_colour_that_is_written_is_found_wherever_it_stands() -> None:
    text = (
        ":root{--brand:#0d6efd;--unused:#abcdef} @media (prefers-color-scheme:dark){:root{--brand:#6ea8fe}}"
        ".a{background:linear-gradient(#111827, rgb(55 65 81 / 50%))} .b{box-shadow:0 0 2px hsl(210 10% 23%)}"
        ".c{border:1px solid rebeccapurple}"
    )
    written = {one.color.hex for one in written_in(StyleFile("a.css", text))}
    assert len(written) == 7
    assert set(mapped(text)) == written
    assert not written & set(mapped(recolored(text)))


def test_the_colour_that_leads_becomes_primary_and_its_shades_primary_s_steps() -> None:
    text = (
        ".btn{background:#0d6efd} .nav{background:#0d6efd} a{color:#0d6efd}"
        ".soft{background:#cfe2ff} .deep{color:#052c65} .btn:hover{background:#0b5ed7} p{color:#212529}"
    )
    found = mapped(text)
    owner = RED.assignment(Role.PRIMARY).swatch
    assert found["#0d6efd"].key == Role.PRIMARY
    shades = [found[value] for value in ("#cfe2ff", "#0b5ed7", "#052c65")]
    assert all(one.key.startswith(f"{owner}/") or one.key == Role.PRIMARY for one in shades)
    lightness = [hex_to_oklch(one.new_hex)[0] for one in shades]
    assert lightness == sorted(lightness, reverse=True)
    neutral = found["#212529"].key
    assert RED.neutral(RED.owner_of(neutral)[0]) is not None


@pytest.mark.parametrize(
    ("rule", "role"),
    [
        (".alert-success{color:#198754}", Role.SUCCESS),
        (":root{--bs-danger:#dc3545}", Role.ERROR),
        (".is_invalid{border-color:#dc3545}", Role.ERROR),
        (".badge.warning{background:#ffc107}", Role.WARNING),
        ("$info-color: #0dcaf0;.x{color:red}", Role.INFO),
    ],
)
def test_what_means_a_signal_goes_to_that_signal(rule: str, role: Role) -> None:
    value = rule[rule.index("#") : rule.index("#") + 7]
    found = mapped(rule if not rule.startswith("$") else f".scss{{{rule.split(';')[0]}}}")
    owner = RED.assignment(role).swatch
    assert found[value].key == role or found[value].key.startswith(f"{owner}/")


@given(hexes)
@settings(max_examples=examples(40), deadline=None)
def test_no_other_colour_becomes_a_signal(value: str) -> None:
    signals = {TAKE.assignment(role).swatch for role in SIGNALS}
    key = mapped(f".brand{{background:{value}}} .plain{{color:{value}}}", TAKE)[value].key
    assert key not in SIGNALS
    assert key.split("/")[0] not in signals


@given(st.lists(hexes, min_size=1, max_size=6, unique=True))
@settings(max_examples=examples(30), deadline=None)
def test_equal_values_get_equal_targets_and_nothing_else_changes(values: list[str]) -> None:
    text = "".join(
        f".r{row}{{color:{value};outline:{value}80 solid 2px}}" for row, value in enumerate(values)
    )
    found = mapped(text)
    assert set(found) == set(values)
    made = recolored(text)
    before, after = (
        [(one.property, one.selector) for one in scan_stylesheet(whole)] for whole in (text, made)
    )
    assert before == after
    for row, value in enumerate(values):
        assert f".r{row}{{color:{found[value].new_hex};" in made


def test_three_channels_are_a_colour_where_something_makes_them_one() -> None:
    text = (
        ":root{--brand-rgb: 13, 110, 253;--space-rgb:13 110 253;--order: 1, 2, 3}"
        ".a{background:rgba(var(--brand-rgb), .5)} .b{color:rgb(var(--space-rgb) / 50%)}"
        ".c{background:#0d6efd}"
    )
    made = recolored(text)
    assert "--brand-rgb: 198, 40, 40;" in made
    assert "--space-rgb:198 40 40;" in made
    assert "--order: 1, 2, 3" in made
    assert "rgba(var(--brand-rgb), .5)" in made
    mapping = {value: one.key for value, one in mapped(text).items()}
    written = restyle(RED, [StyleFile("a.css", text)], mapping, "properties").files[0].text
    assert "--brand-rgb: 198, 40, 40;" in written, "what reads it expects three numbers"
    assert "background:var(--primary)" in written


@pytest.mark.parametrize(
    ("value", "says"),
    [
        ("hsl(var(--h) 50% 50%)", "parts"),
        ("rgb(var(--nowhere) / 50%)", "parts"),
        ("rgb(from var(--x) r g b)", "relative"),
        ("rgba($brand, .5)", "parts"),
        ("rgb(1 2 3 4 5)", "understood"),
        ("url(\"data:image/svg+xml,%3csvg fill='%23fff'%3e%3c/svg%3e\")", "picture"),
    ],
)
def test_what_can_t_be_decided_is_named_with_its_place(value: str, says: str) -> None:
    text = f".a {{ color: #123456 }}\n.b {{\n  background: {value};\n}}"
    made = restyle(RED, [StyleFile("a.css", text)], {"#123456": "primary"})
    (left,) = made.undecided
    assert (left.file, left.line, left.column) == ("a.css", 3, 15)
    assert says in left.reason
    assert left.text == value
    assert value in made.files[0].text


def test_what_stays_more_than_once_is_named_once_and_counted() -> None:
    text = ".a{color:hsl(var(--h) 1% 1%)}\n.b{color:hsl(var(--h) 1% 1%)}"
    (left,) = undecided_in([StyleFile("a.css", text)])
    assert (left.line, left.count) == (1, 2)


def test_colours_that_are_decided_are_not_named() -> None:
    text = (
        ":root{--b-rgb:1, 2, 3} .a{color:#123;background:color-mix(in srgb, #fff 10%, var(--x))}"
        ".b{color:rgb(var(--b-rgb), 1);background:url(a.png) var(--y);border:1px solid transparent}"
    )
    assert undecided_in([StyleFile("a.css", text)]) == ()


def test_a_page_s_style_blocks_are_recoloured_and_its_attributes_named() -> None:
    page = "<!doctype html>\n<style>\n.a{color:#0d6efd}\n</style>\n<p style='color:#0d6efd' class=x>"
    made = restyle(RED, [StyleFile("a.html", page)], {"#0d6efd": "primary"})
    assert made.files[0].text == page.replace(".a{color:#0d6efd}", ".a{color:#c62828}")
    (left,) = made.undecided
    assert (left.line, left.reason) == (5, "an attribute of the page")


def test_an_initial_value_is_a_written_colour() -> None:
    text = "@property --c{syntax:'<color>';inherits:true;initial-value:#0d6efd} .a{color:#0d6efd}"
    assert recolored(text).count("#c62828") == 2


def test_a_grey_in_the_rule_of_a_signal_is_no_signal() -> None:
    found = mapped(".warning{background:#ffc107;color:#000} .alert-danger{background:#dc3545;color:#fff}")
    signals = {RED.assignment(one).swatch for one in SIGNALS}
    for value in ("#000000", "#ffffff"):
        assert found[value].key not in SIGNALS
        assert found[value].key.split("/")[0] not in signals
    assert found["#ffc107"].key.split("/")[0] in {Role.WARNING, RED.assignment(Role.WARNING).swatch}


@pytest.mark.parametrize("text", ["$brand: #2b3a8c;\n.a { .b & { color: $brand } }", "@brand: #2b3a8c;"])
def test_variables_outside_of_all_rules_are_recoloured(text: str) -> None:
    files = [StyleFile("a.scss", text)]
    (found,) = propose_mapping(TAKE, files)
    assert (found.hex, found.count) == ("#2b3a8c", 1)
    made = restyle(TAKE, files, {"#2b3a8c": "#123456"})
    assert made.files[0].text == text.replace("#2b3a8c", "#123456")


def test_the_properties_of_a_page_are_declared_in_its_style_block() -> None:
    text = "<!doctype html><p>x</p><style media=screen>a{color:#2b3a8c}</style>"
    made = restyle(TAKE, [StyleFile("a.html", text)], {"#2b3a8c": TAKE.swatches[0].id}, "properties")
    head, _, style = made.files[0].text.partition("<style media=screen>")
    assert head == "<!doctype html><p>x</p>"
    assert style.startswith(":root {")
    assert "a{color:var(--" in style


def in_pictures(text: str, mapping: dict[str, str]) -> str:
    """Return a sheet recoloured with the pictures in it; what of them is left undecided is an error."""
    files = [StyleFile("a.css", text, pictures=True)]
    made = restyle(RED, files, mapping, "properties")
    assert not any("picture" in one.reason for one in made.undecided)
    return made.files[0].text


PRIMARY = RED.hex_of("primary")


@pytest.mark.parametrize(
    ("written", "expected"),
    [
        ("fill='%23123456'", f"fill='%23{PRIMARY[1:]}'"),
        ("fill='%23123456cc'", f"fill='%23{PRIMARY[1:]}cc'"),
        ("stroke=%22%23123456%22", f"stroke=%22%23{PRIMARY[1:]}%22"),
        ("stroke='rgb(18, 52, 86)'", f"stroke='%23{PRIMARY[1:]}'"),
        ("stroke='rgba%2818,52,86,.5%29'", "stroke='rgba%2818,52,86,.5%29'"),
        ("style='fill:%23123456;stroke:%23123456'", f"style='fill:%23{PRIMARY[1:]};stroke:%23{PRIMARY[1:]}'"),
        ("fill='url(%23123456)' href='%23123456'", "fill='url(%23123456)' href='%23123456'"),
        ("fill='none' id='navy'", "fill='none' id='navy'"),
    ],
)
def test_colours_of_pictures_in_addresses_are_replaced_on_request(written: str, expected: str) -> None:
    text = f'.a {{ color: #123456; background: url("data:image/svg+xml,%3csvg {written}/%3e") }}'
    assert f"%3csvg {expected}/%3e" in in_pictures(text, {"#123456": "primary"})
    # Unasked they stay, to the letter.
    assert written in restyle(RED, [StyleFile("a.css", text)], {"#123456": "primary"}).files[0].text


def test_a_picture_in_base64_stays_and_is_named() -> None:
    text = ".a{background:url(data:image/svg+xml;base64,PHN2ZyBmaWxsPSJyZWQiLz4=)}"
    (left,) = undecided_in([StyleFile("a.css", text, pictures=True)])
    assert left.reason == "a picture within the file, in base64"


def test_names_of_colours_in_pictures_are_found_among_the_old_colours() -> None:
    text = '.a{color:#000;mask:url("data:image/svg+xml,<svg stroke=\'firebrick\' fill=\\"teal\\"/>")}'
    found = {one.hex for one in propose_mapping(RED, [StyleFile("a.css", text, pictures=True)])}
    assert {"#000000", "#b22222", "#008080"} <= found
    assert "#b22222" not in {one.hex for one in propose_mapping(RED, [StyleFile("a.css", text)])}
