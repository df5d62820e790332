"""The pairs of rules: judged where both ends are known, and said why where they aren't."""

from __future__ import annotations

import pytest

from tonada.core.gate.rule_pairs import RulePair, rule_pairs
from tonada.core.source.stylesheets.usage import StyleFile


def pairs(text: str, name: str = "a.css") -> tuple[RulePair, ...]:
    return rule_pairs([StyleFile(name, text)], "AA")


def only(text: str) -> RulePair:
    (found,) = pairs(text)
    return found


def ends(one: RulePair) -> tuple[str | None, str | None]:
    return one.text_hex, one.ground_hex


@pytest.mark.parametrize(
    ("rule", "expected"),
    [
        ("color:#fff;background:#0d6efd", ("#ffffff", "#0d6efd")),
        ("background:#eee;background-color:#0d6efd;color:#fff", ("#ffffff", "#0d6efd")),
        ("background-color:#0d6efd;background:#eee;color:#000", ("#000000", "#eeeeee")),
        ("color:#111!important;color:#fff;background:#eee", ("#111111", "#eeeeee")),
        ("color:rgb(255 255 255 / 50%);background:#000", ("#808080", "#000000")),
        ("color:#fff;background:linear-gradient(#000,#888)", ("#ffffff", "#888888")),
        ("color:#fff;background:linear-gradient(#0008,#0000),#fff", ("#ffffff", "#ffffff")),
        ("color:color-mix(in srgb, #000 20%, #fff);background:#fff", ("#cccccc", "#ffffff")),
        ("color:color-mix(in srgb, red, blue);background:#fff", ("#800080", "#ffffff")),
        ("color:hsl(0 0% calc(20% + 2 * 15%));background:#fff", ("#808080", "#ffffff")),
        ("--a:13, 110, 253;color:rgb(var(--a));background:#fff", ("#0d6efd", "#ffffff")),
        ("--h:120;color:hsl(var(--h) 100% 25%);background:#fff", ("#008000", "#ffffff")),
        ("color:var(--none, #123456);background:#fff", ("#123456", "#ffffff")),
        ("color:#fff;-webkit-text-fill-color:#000;background:#eee", ("#000000", "#eeeeee")),
    ],
)
def test_what_a_rule_says_is_computed(rule: str, expected: tuple[str, str]) -> None:
    assert ends(only(f".a{{{rule}}}")) == expected


@pytest.mark.parametrize(
    ("rule", "why"),
    [
        ("color:#000;background:rgb(255 255 255 / 90%)", "lets through"),
        ("color:#000;background:linear-gradient(#fff, transparent)", "lets through"),
        ("color:#000;background:url(a.png) #fff", "picture"),
        ("color:#000;background:#fff;opacity:.5", "opacity"),
        ("color:#000;background:#fff;filter:invert(1)", "filter"),
        ("color:#000;background:#fff;mix-blend-mode:multiply", "mix-blend-mode"),
        ("color:#000;background:linear-gradient(red,blue);-webkit-background-clip:text", "clipped"),
        ("color:#000;background:currentcolor", "currentcolor"),
        ("color:#000;background:canvas", "system"),
        ("color:var(--nowhere);background:#000", "set nowhere"),
        ("--a:var(--b);--b:var(--a);color:var(--a);background:#000", "set nowhere"),
        ("color:hsl(0 0% calc(1px + 2%));background:#fff", "“1px” is no number"),
        ("color:#777;background:#fff;font-size:1.2em", "size"),
    ],
)
def test_what_can_t_be_told_says_why(rule: str, why: str) -> None:
    one = only(f".a{{{rule}}}")
    assert one.outcome == "unknown"
    assert why in one.reason


@pytest.mark.parametrize(
    "rule",
    [
        "color:#fff",
        "background:#000",
        "color:#fff;background:none",
        "color:#fff;background:transparent",
        "color:inherit;background:#000",
        "color:transparent;background:#000",
    ],
)
def test_a_rule_that_sets_not_both_is_no_pair(rule: str) -> None:
    assert pairs(f".a{{{rule}}}") == ()


@pytest.mark.parametrize(
    ("sheet", "count"),
    [
        ("@keyframes x{from{color:#fff;background:#eee}}", 0),
        ("@media print{.a{color:#fff;background:#eee}}", 0),
        ("@media screen{.a{color:#fff;background:#eee}}", 1),
        ("@supports (color:red){.a{color:#fff;background:#eee}}", 1),
        ("@layer x{.a{color:#fff;background:#eee}}", 1),
    ],
)
def test_only_what_is_seen_counts(sheet: str, count: int) -> None:
    assert len(pairs(sheet)) == count


@pytest.mark.parametrize(
    ("rule", "needed"),
    [
        ("font-size:24px", 3),
        ("font-size:23px", 4.5),
        ("font-size:1.2rem;font-weight:bold", 3),
        ("font-size:1.2rem", 4.5),
        ("font:700 14pt/1.5 serif", 3),
        ("font-size:2em", 4.5),
    ],
)
def test_size_and_weight_say_what_is_needed(rule: str, needed: float) -> None:
    assert only(f".a{{color:#000;background:#fff;{rule}}}").needed == needed


def test_a_rem_is_what_the_root_says() -> None:
    rule = ".a{color:#888;background:#fff;font-size:1.6rem}"
    assert only(rule).needed == 3
    assert only("html{font-size:62.5%}" + rule).needed == 4.5
    unsure = only("@media (min-width:40em){html{font-size:20px}}" + rule)
    assert unsure.outcome == "unknown"


def test_the_size_may_be_said_by_another_rule_of_the_element() -> None:
    rule = ".title{color:#888;background:#fff}"
    assert only(rule).outcome == "fails"
    assert only(rule + ".title{font-size:32px}").outcome == "passes"


@pytest.mark.parametrize(
    "selector", [".a:disabled", "button[disabled]", ".a.disabled", "[aria-disabled=true]"]
)
def test_disabled_controls_are_exempt(selector: str) -> None:
    assert only(f"{selector}{{color:#999;background:#aaa}}").outcome == "exempt"


def test_an_ignore_comment_needs_its_reason() -> None:
    said = only("/* tonada-ignore: an old partner's page */ .a{color:#999;background:#aaa}")
    assert (said.outcome, said.reason) == ("exempt", "ignored: an old partner's page")
    assert only(".a{/* tonada-ignore */color:#999;background:#aaa}").outcome == "unknown"


def test_properties_are_those_of_the_root_and_of_each_scope_that_sets_them() -> None:
    found = pairs(":root{--t:#fff;--g:#000} .dark{--t:#222;--g:#333} .a{color:var(--t);background:var(--g)}")
    assert [(one.scope, *ends(one)) for one in found] == [
        ("", "#ffffff", "#000000"),
        (".dark", "#222222", "#333333"),
    ]
    assert [one.outcome for one in found] == ["passes", "fails"]


def test_a_property_is_computed_where_it_is_declared() -> None:
    found = pairs(":root{--b:#000;--a:var(--b)} .x{--b:#fff} .y{color:var(--a);background:#fff}")
    assert [ends(one) for one in found] == [("#000000", "#ffffff")]


def test_scopes_that_hold_together_count_together() -> None:
    found = pairs(".b{color:var(--t);background:var(--g)} .b.red{--t:#fff;--g:#a00} .b.red.soft{--t:#500}")
    assert ("#550000", "#aa0000") in [ends(one) for one in found]
    assert all(one.ground_hex == "#aa0000" for one in found)


def test_a_scope_that_no_element_can_be_in_says_nothing() -> None:
    sheet = ":root{--g:#fff} input{--g:#000} td{color:#111;background:var(--g)}"
    assert [ends(one) for one in pairs(sheet)] == [("#111111", "#ffffff")]


def test_what_another_rule_always_overrides_is_never_seen() -> None:
    assert [ends(one) for one in pairs(".a{color:#999;background:#aaa} .a{color:#000;background:#fff}")] == [
        ("#000000", "#ffffff")
    ]
    important = pairs(".a{color:#000!important;background:#fff!important} .b.a{color:#fff;background:#eee}")
    assert [ends(one) for one in important] == [("#000000", "#ffffff")]


def test_a_state_is_an_element_in_that_state() -> None:
    found = pairs(":root{--g:#000} .a:hover{--g:#fff} .a:hover{color:#111;background:var(--g)}")
    assert [ends(one) for one in found] == [("#111111", "#ffffff")]


def test_the_dark_scheme_is_a_scope() -> None:
    dark = "@media (prefers-color-scheme: dark){:root{--g:#111}}"
    sheet = f":root{{--g:#fff}} {dark} .a{{color:#222;background:var(--g)}}"
    found = pairs(sheet)
    assert [ends(one) for one in found] == [("#222222", "#ffffff"), ("#222222", "#111111")]
    assert "dark" in found[1].scope
    both = pairs(".a{color:light-dark(#000,#fff);background:light-dark(#fff,#ccc)}")
    assert [one.outcome for one in both] == ["passes", "fails"]


def test_places_are_those_of_the_values() -> None:
    one = only("\n.a {\n  color: #999;\n\n  background: #aaa;\n}")
    assert one.text == (3, 10)
    assert one.ground == (5, 15)


def test_a_page_s_styles_and_attributes_are_read() -> None:
    style = "<style>\n.a{color:#999;background:#aaa}</style>"
    page = f'<!doctype html>\n{style}\n<p style="color:#fff;background:#eee">'
    found = pairs(page, "a.html")
    assert [(one.text.line, one.outcome) for one in found] == [(3, "fails"), (4, "fails")]


def test_properties_of_one_file_hold_in_the_others() -> None:
    files = [StyleFile("a.css", ".a{color:var(--t);background:#fff}"), StyleFile("b.css", ":root{--t:#000}")]
    (one,) = rule_pairs(files, "AA")
    assert (one.file, one.outcome) == ("a.css", "passes")


@pytest.mark.parametrize("selector", ["&:hover", ".a:has(b)", ".a >"])
def test_a_selector_that_is_not_understood_is_said(selector: str) -> None:
    one = only(f"{selector}{{color:#fff;background:#eee}}")
    assert one.outcome == "unknown"


def test_rules_in_one_another_are_worked_out() -> None:
    sheet = ".card { color: #000; background: #fff; &:hover, .title & { color: #999; background: #fff } "
    sheet += "> p { color: #555; background: #000 } @media (width > 1px) { color: #eee; background: #fff } }"
    found = [(one.selector, one.outcome) for one in rule_pairs([StyleFile("a.css", sheet)], "AA")]
    assert found == [
        (".card", "passes"),
        (".card:hover, .title .card", "fails"),
        (".card > p", "fails"),
        (".card", "fails"),
    ]


def test_what_changes_colours_around_an_element_is_said() -> None:
    sheet = ".veil { opacity: .5 } .veil p { color: #000; background: #fff }"
    (pair,) = rule_pairs([StyleFile("a.css", sheet)], "AA")
    assert (pair.outcome, pair.reason) == ("unknown", "opacity around it changes what is seen")
    full = sheet.replace(".5", "1")
    assert [one.outcome for one in rule_pairs([StyleFile("a.css", full)], "AA")] == ["passes"]


@pytest.mark.parametrize("condition", ["@container (width > 40em)", "@supports not (color: lab(0 0 0))"])
def test_what_holds_sometimes_doesn_t_count_elsewhere(condition: str) -> None:
    sheet = f".a {{ color: #000; background: #fff }} {condition} {{ .a {{ background: #000 }} }}"
    assert [one.outcome for one in rule_pairs([StyleFile("a.css", sheet)], "AA")] == ["passes"]


def test_hostile_sheets_end() -> None:
    many = "".join(f".s{n}{{--t:#{n:06x}}}" for n in range(3000))
    found = pairs(many + ".a{color:var(--t);background:#fff}")
    assert any("scopes" in one.reason for one in found)
    deep = "".join(f"--v{n}:var(--v{n + 1});" for n in range(200))
    assert only(f".a{{{deep}color:var(--v0);background:#fff}}").outcome == "unknown"
