"""Files as others read them: each text on its ground, by day and by night, with the names in the file alone.

The readers are not ours: tinycss2, Sass's compiler, json. The ratios are another library's.
"""

from __future__ import annotations

import json
import random
import re
from collections.abc import Iterator, Mapping
from dataclasses import replace
from functools import cache
from itertools import product
from typing import Any

import pytest
import sass
import tinycss2
from coloraide import Color

from tests.sampling import IS_LONG
from tests.takes import TAKE, take_of
from tonada.core.color.writing import CSS_NOTATIONS
from tonada.core.formats.detect import read_list
from tonada.core.formats.naming import is_use, words_of
from tonada.core.formats.registry import WRITINGS
from tonada.core.formats.sheet import DARKS, Naming, Options
from tonada.core.formats.take_sheet import sheet_of
from tonada.core.gate.check import check_file
from tonada.core.proof.grounds import set_use
from tonada.core.take.parts import Role
from tonada.core.take.proof_settings import Element, GroundSettings
from tonada.core.take.take import Take

TAKES = 500 if IS_LONG else 20
LEVELS = {"AA": 4.5, "AAA": 7.0}
LISTED = ("css", "tailwind", "scss", "less", "json", "tokens", "resolver")
# At least: parts and large text. A heading may be large, and its size decides.
LEAST = {("line",): 3.0, ("focus",): 3.0, ("button",): 3.0, ("heading",): 3.0}


@cache
def takes() -> tuple[Take, ...]:
    """Return proposals for drawn colours; some at AAA, without a night, with grounds of their own."""
    draw = random.Random(4040)  # noqa: S311  (a seed, no secret)
    made = []
    for row in range(TAKES):
        take = take_of(*(f"#{draw.randrange(1 << 24):06x}" for _ in range(1 + row % 4)))
        if row % 5 == 1:
            take = replace(take, level="AAA")
        if row % 7 == 2:
            take = replace(take, other=None)
        if row % 3 == 0:
            own = GroundSettings("own", "Café band", f"{take.swatches[0].id}/3")
            take = replace(take, grounds=(*take.grounds, own, GroundSettings("primary", ground="accent")))
        if row % 4 == 3:
            take = set_use(take, "mist", Element.LINK, "line")
        made.append(take)
    return tuple(made)


def written(take: Take, kind: str, naming: Naming = "kebab") -> str:
    options = Options(naming=naming)
    return WRITINGS[kind].write(sheet_of(take, options, title="Orrin Peak, Take 1"), options)


def by_scheme_in_css(text: str) -> dict[str, dict[str, str]]:
    """Read custom properties: those of the first rule by day, all by night; references are followed."""
    schemes: dict[str, dict[str, str]] = {"day": {}, "night": {}}
    for is_dark, name, value in _declarations(tinycss2.parse_stylesheet(text, True, True), False):
        for scheme in ("night",) if is_dark else ("day", "night"):
            schemes[scheme][name] = value
    for values in schemes.values():
        for name, value in values.items():
            while match := re.fullmatch(r"var\((--[\w-]+)\)", value):
                value = values[match[1]]
            values[name] = value
    return schemes


def _declarations(rules: Any, is_dark: bool) -> Iterator[tuple[bool, str, str]]:
    for rule in rules:
        if rule.content is None:
            continue
        if rule.type == "at-rule" and rule.at_keyword in ("media", "layer"):
            inner = tinycss2.parse_rule_list(rule.content, True, True)
            yield from _declarations(inner, is_dark or rule.at_keyword == "media")
            continue
        for entry in tinycss2.parse_blocks_contents(rule.content, True, True):
            if entry.type == "declaration" and entry.name.startswith("--"):
                yield is_dark, entry.name, tinycss2.serialize(entry.value).strip()


def by_scheme_in_scss(text: str) -> dict[str, dict[str, str]]:
    """Let Sass's compiler say the value of each variable."""
    names = list(dict.fromkeys(re.findall(r"^(\$[\w-]+):", text, re.MULTILINE)))
    rules = "\n".join(f'.x{row} {{ content: "{name}"; color: {name}; }}' for row, name in enumerate(names))
    compiled = sass.compile(string=f"{text}\n{rules}")
    found = dict(re.findall(r'content: "(\$[\w-]+)";\s*color: ([^;]+);', compiled))
    night = {name.removesuffix("-night"): value for name, value in found.items() if name.endswith("-night")}
    return {"day": found, "night": night}


def by_scheme_in_tokens(text: str) -> dict[str, dict[str, str]]:
    root = json.loads(text)

    def value_of(token: str) -> str:
        group, _, name = token.rpartition(".")
        value = (root[group] if group else root)[name]["$value"]
        return value_of(value.strip("{}")) if isinstance(value, str) else value["hex"]

    groups = ("day", "night") if "night" in root else ("",)
    return {
        group or "day": {
            name: value_of(f"{group}.{name}".strip("."))
            for name in (root[group] if group else root)
            if not name.startswith("$")
        }
        for group in groups
    }


def by_scheme_in_json(text: str) -> dict[str, dict[str, str]]:
    schemes: dict[str, dict[str, str]] = {"day": {}, "night": {}}
    for entry in json.loads(text)["colors"]:
        schemes[entry["scheme"]][entry["token"]] = entry["hex"]
    return schemes


READERS = {
    "css": by_scheme_in_css,
    "tailwind": by_scheme_in_css,
    "scss": by_scheme_in_scss,
    "tokens": by_scheme_in_tokens,
    "json": by_scheme_in_json,
}


def pairs_by_name(values: Mapping[str, str]) -> Iterator[tuple[str, str, str]]:
    """Yield each text on its ground with the text's job, by nothing but the names."""
    for name in values:
        words = words_of(name.lstrip("-$"))
        if not is_use(words):
            continue
        job, _, ground = name.partition("-on-")
        lead = re.match(r"(?:--color-|--|\$)?", job)
        assert lead
        job = job.removeprefix(lead[0])
        below = f"{lead[0]}button-on-{ground}" if job == "button-label" else f"{lead[0]}{ground}"
        yield name, below, job


@cache
def ratio(text: str, ground: str) -> float:
    """The contrast ratio by another library; its own hundredths of hundredths are its own."""
    return Color(text).contrast(Color(ground), method="wcag21") + 1e-6


@pytest.mark.parametrize("kind", READERS)
def test_whoever_follows_the_names_gets_what_can_be_read(kind: str) -> None:
    pairs = 0
    for take in takes():
        text = written(take, kind)
        said = failing_said(text)
        level = LEVELS[take.level]
        for scheme, values in READERS[kind](text).items():
            for name, below, job in pairs_by_name(values):
                needed = LEAST.get(tuple(job.split("-")), level)
                pairs += 1
                if ratio(values[name], values[below]) < needed:
                    assert f"{name} on {below}" in said or f"{name}-night on {below}-night" in said, (
                        scheme, name, below, values[name], values[below],
                    )  # fmt: skip
    assert pairs > 80 * TAKES


def failing_said(text: str) -> str:
    """Return the sentence of a file that names what fails."""
    found = re.search(r"Checked against WCAG 2\.2 A+: [^\n]*", text)
    assert found, text[:400]
    return found[0].replace("day.", "").replace("night.", "")


@pytest.mark.parametrize("kind", LISTED)
def test_the_gate_says_of_a_file_what_the_file_says_of_itself(kind: str) -> None:
    for row, take in enumerate(takes()[:20]):
        naming: Naming = ("kebab", "camel", "snake")[row % 3]
        text = written(take, kind, naming)
        checked = check_file(text.encode(), f"a.{'json' if kind in ('json', 'tokens') else kind}")
        sheet = sheet_of(take, Options(), title="")
        assert len(checked) == len(sheet.pairs) + len(sheet.night_pairs)
        failing = sum(pair.fails for pair in checked)
        said = failing_said(text)
        assert ("None fails" in said) == (failing == 0), said
        assert failing == 0 or f" {failing} fail" in said, (failing, said)


def test_names_are_the_same_by_day_and_by_night() -> None:
    for take in takes():
        sheet = sheet_of(take, Options(), title="")
        if sheet.night:
            assert {value.words for value in sheet.day} == {value.words for value in sheet.night}
        texts = {value.words for value in sheet.day if value.part == "use"}
        assert {("text", "on", role) for role in ("paper", "mist", "deep", "primary", "success")} <= texts


def test_a_ground_that_left_its_role_has_a_name_of_its_own() -> None:
    moved = replace(TAKE, grounds=(GroundSettings("primary", ground="accent"),))
    css = by_scheme_in_css(written(moved, "css"))
    for values in css.values():
        assert "--text-on-primary-ground" in values
        assert "--text-on-primary" in values
    assert css["day"]["--primary-ground"] == css["day"]["--accent"]
    assert ratio(css["night"]["--text-on-primary"], css["night"]["--primary"]) >= 4.5


def test_a_pair_that_fails_is_named_in_the_file_and_fails_the_gate() -> None:
    failing = set_use(TAKE, "mist", Element.TEXT, Role.MIST)
    for kind in LISTED:
        text = written(failing, kind)
        assert "1 fails: " in failing_said(text), failing_said(text)
        assert [pair.usage for pair in check_file(text.encode(), "a.css") if pair.fails] == ["body text"]


def test_files_without_texts_are_as_they_were() -> None:
    without = sheet_of(TAKE, Options(texts=False), title="x")
    assert not any(value.part == "use" for value in without.day)
    assert [value for value in sheet_of(TAKE, Options(), title="x").day if value.part != "use"] == list(
        without.day
    )
    for kind in ("gpl", "svg", "office"):
        options = Options()
        with_texts = WRITINGS[kind].write(sheet_of(TAKE, options, title="x"), options)
        assert WRITINGS[kind].write(without, options) == with_texts


def test_a_word_of_tailwind_gets_another_name_and_the_file_says_so() -> None:
    swatch = replace(TAKE.swatches[0], name="Current")
    base = replace(TAKE.swatches[1], name="base")
    take = replace(TAKE, swatches=(swatch, base, *TAKE.swatches[2:]))
    options = Options(steps=True)
    text = WRITINGS["tailwind"].write(sheet_of(take, options, title="x"), options)
    assert "--color-current-tone: " in text
    assert "--color-current: " not in text
    assert "Tailwind has these words for itself: base is base-tone, current is current-tone." in text
    assert "--color-primary: var(--color-current-tone);" in text


def test_both_schemes_in_one_value_say_the_same() -> None:
    """With light-dark(), with values for older browsers first, or with strings for tokens."""
    for take in takes()[:6]:
        plain = colors_checked(take, "css", Options())
        for kind, dark, notation in product(("css", "tailwind"), DARKS, CSS_NOTATIONS):
            options = Options(dark=dark, notation=notation, fallback=True)
            assert colors_checked(take, kind, options) == plain, (kind, dark, notation)
        for kind in ("tokens", "resolver"):
            assert colors_checked(take, kind, Options(hex_tokens=True)) == plain, kind


def colors_checked(
    take: Take, kind: str, options: Options
) -> list[tuple[str | None, str | None, float | None]]:
    text = WRITINGS[kind].write(sheet_of(take, options, title="x"), options)
    pairs = check_file(text.encode(), f"a{WRITINGS[kind].ending}")
    return sorted((pair.text_hex, pair.ground_hex, pair.ratio) for pair in pairs)


def test_older_browsers_find_hex_and_newer_ones_the_notation() -> None:
    options = Options(notation="oklch", fallback=True)
    text = WRITINGS["css"].write(sheet_of(TAKE, options, title="x"), options)
    older, newer = text.split("@supports", 1)
    assert "oklch(" not in older
    assert "--primary: #2b3a8c;" in older
    assert "--primary: oklch(" in newer
    # Hex and rgb() need no second value.
    plain = Options(notation="rgb", fallback=True)
    assert "@supports" not in WRITINGS["css"].write(sheet_of(TAKE, plain, title="x"), plain)


def test_a_resolver_document_has_one_name_for_both_schemes() -> None:
    root = json.loads(written(TAKE, "resolver"))
    assert root["version"] == "2025.10"
    assert root["resolutionOrder"] == [{"$ref": "#/sets/colors"}, {"$ref": "#/modifiers/scheme"}]
    day, night = root["sets"]["colors"]["sources"][0], root["modifiers"]["scheme"]["contexts"]["night"][0]
    assert day.keys() == night.keys()
    assert day["paper"]["$value"]["hex"] == TAKE.hex_of(Role.PAPER)
    assert night["paper"]["$value"]["hex"] == TAKE.turned().hex_of(Role.PAPER)
    back = read_list(json.dumps(root).encode(), "a.resolver.json")
    assert {"paper", "paper (night)"} <= {color.name for color in back.colors}
