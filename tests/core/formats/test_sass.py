"""Variables, maps and functions of Sass and Less, held against Sass's own compiler."""

from __future__ import annotations

import random

import pytest
import sass

from tonada.core.color.notation import read_color
from tonada.core.errors import InputError
from tonada.core.formats.detect import read_list

# Of each expression many, with colours and amounts drawn.
EXPRESSIONS = (
    "darken({c}, {p}%)", "lighten({c}, {p}%)", "saturate({c}, {p}%)", "desaturate({c}, {p}%)",
    "adjust-hue({c}, {h}deg)", "mix({c}, {d}, {p}%)", "mix({c}, {d})", "complement({c})", "grayscale({c})",
    "invert({c})", "invert({c}, {p}%)", "scale-color({c}, $lightness: {s}%)",
    "scale-color({c}, $red: {s}%, $blue: {s}%)", "scale-color({c}, $saturation: {s}%)",
    "adjust-color({c}, $red: {n}, $green: -{n})", "adjust-color({c}, $lightness: {s}%)",
    "change-color({c}, $hue: {h}deg)", "change-color({c}, $lightness: {p}%)", "rgba({c}, {a})",
    "transparentize({c}, {a})", "fade-in(rgba({c}, {a}), 0.1)", "mix(rgba({c}, {a}), {d}, {p}%)",
    "map-get((first: {c}, 500: {d}), 500)", "map-get(map-merge((a: {c}), (b: {d})), b)", "nth(({c}, {d}), 2)",
    "darken(mix({c}, {d}), {p}%)",
)  # fmt: skip


def drawn(seed: int) -> list[str]:
    draw = random.Random(seed)  # noqa: S311  (a seed, no secret)

    def color() -> str:
        return f"#{draw.randrange(1 << 24):06x}"

    return [
        pattern.format(
            c=color(), d=color(), p=draw.randrange(101), s=draw.randrange(-100, 101),
            h=draw.randrange(-360, 361), n=draw.randrange(256), a=draw.randrange(1, 101) / 100,
        )
        for pattern in EXPRESSIONS
        for _ in range(12)
    ]  # fmt: skip


def test_functions_come_to_what_the_compiler_makes_of_them() -> None:
    expressions = drawn(20261201)
    lines = [f".v{place} {{ color: {text}; }}" for place, text in enumerate(expressions)]
    css = sass.compile(string="\n".join(lines), output_style="compressed")
    compiled = [read_color(rule.partition("color:")[2]) for rule in css.split("}")[: len(expressions)]]
    assert len(compiled) == len(expressions)
    for text, wanted in zip(expressions, compiled, strict=True):
        # What is fully transparent is left out of a list; here it is what another is beside.
        read = read_list(f"$x: {text};\n$beside: #123456;".encode(), "a.scss")
        if wanted.alpha == 0:
            continue
        assert apart(read.colors[0].hex, on_white(wanted.hex, wanted.alpha)) <= 1, text


def on_white(value: str, alpha: float) -> str:
    channels = bytes.fromhex(value[1:])
    return "#" + bytes(round(255 + (channel - 255) * alpha) for channel in channels).hex()


def apart(one: str, other: str) -> int:
    pairs = zip(bytes.fromhex(one[1:]), bytes.fromhex(other[1:]), strict=True)
    return max(abs(first - second) for first, second in pairs)


@pytest.mark.parametrize(
    ("of_less", "of_sass"),
    [
        ("spin(#2b3a8c, 40)", "adjust-hue(#2b3a8c, 40deg)"),
        ("tint(#2b3a8c, 30%)", "mix(white, #2b3a8c, 30%)"),
        ("shade(#2b3a8c, 30%)", "mix(black, #2b3a8c, 30%)"),
        ("fade(#2b3a8c, 40%)", "rgba(#2b3a8c, 0.4)"),
        ("greyscale(#2b3a8c)", "grayscale(#2b3a8c)"),
        ("fadeout(#2b3a8c, 40%)", "fade-out(#2b3a8c, 0.4)"),
    ],
)
def test_less_has_names_of_its_own_for_the_same(of_less: str, of_sass: str) -> None:
    less = read_list(f"@x: {of_less};".encode(), "a.less").colors
    assert less[0].hex == read_list(f"$x: {of_sass};".encode(), "a.scss").colors[0].hex


def names_of(text: str, file: str = "a.scss") -> dict[str | None, str]:
    return {color.name: color.hex for color in read_list(text.encode(), file).colors}


def test_maps_are_read_with_their_keys_on_one_line_and_on_many() -> None:
    text = """
    @use "sass:color" as tone;
    $blue: #2b3a8c !default;
    $blue: #ff0000 !default;
    $theme: ("primary": $blue, 100: lighten($blue, 50%), "brand": (500: #123456, 600: $blue));
    $night: (
      paper: #101014, // the ground
      ink: tone.scale($blue, $lightness: 80%),
    );
    @use "config" with ($accent: #d7b13c, $quiet: map-get($theme, "primary"));
    """
    found = names_of(text)
    assert (found["primary"], found["brand 500"], found["brand 600"]) == ("#2b3a8c", "#123456", "#2b3a8c")
    assert found["theme 100"] == names_of("$x: lighten(#2b3a8c, 50%);")["x"]
    assert (found["paper"], found["accent"], found["quiet"]) == ("#101014", "#d7b13c", "#2b3a8c")
    assert "#ff0000" not in found.values()


def test_variables_count_where_they_are_set_in_sass_and_last_in_less() -> None:
    assert names_of("$a: #111111; $b: $a; $a: #222222;")["b"] == "#111111"
    assert names_of("@b: @a; @a: #111111; @a: #222222;", "a.less")["b"] == "#222222"


@pytest.mark.parametrize(
    ("value", "says"),
    [
        ("theme-color('primary')", "theme-color() isn’t computed here"),
        ("tint($blue, 20%)", "tint() isn’t computed here"),
        ("other.$blue-500", "$blue-500 is set nowhere in this file"),
        ("mine($blue)", "mine() is a function of the file"),
        ("color.to-space($blue, oklch)", "color.to-space() isn’t computed here"),
        ("color.scale($blue, $lightness: 10%, $space: oklch)", "$space"),
        ("map-get((a: $blue), b)", "no such key"),
    ],
)
def test_what_would_have_to_be_run_is_named_and_nothing_is_guessed(value: str, says: str) -> None:
    head = '@use "sass:color";\n@function mine($c) { @return $c; }\n$blue: #2b3a8c;\n'
    read = read_list(f"{head}$x: {value};".encode(), "a.scss")
    assert [color.name for color in read.colors] == ["blue"]
    (warning,) = read.warnings
    assert warning.kind == "not understood"
    assert warning.line == 4
    assert says in warning.text


def test_what_is_no_colour_is_left_out_and_not_called_unknown() -> None:
    read = read_list(b"$font: 'Arial', sans-serif;\n$gap: 1rem;\n$x: linear-gradient(red, blue);\n$a: red;")
    assert {warning.kind for warning in read.warnings} == {"left out"}


@pytest.mark.parametrize(
    "text",
    [
        "$a: " + "darken(" * 20_000 + "#fff",
        "$a0: (x: #123456);" + "".join(f"$a{n + 1}: (x: $a{n}, y: $a{n});" for n in range(40)),
        "$a: " + "(" * 5_000 + "#fff" + ")" * 5_000 + ";",
        "$a: $b; $b: $a;",
        "@a: @b; @b: @a;",
    ],
    ids=["deep", "doubling", "brackets", "circle", "lazy circle"],
)
def test_what_is_made_to_harm_ends(text: str) -> None:
    try:
        read_list(text.encode(), "a.less" if text.startswith("@") else "a.scss")
    except InputError:
        return
