"""Hostile stylesheets, lists and tokens, and bodies of requests."""

from __future__ import annotations

import json
from collections.abc import Iterator

import numpy as np


def texts(random: np.random.Generator) -> Iterator[tuple[str, bytes]]:
    """Name each file; its ending says what it claims to be."""
    rule = b".a{color:#123456;background:#fff}\n"
    yield "thousands of rules.css", rule * 25_000
    yield (
        "1.9 MB.css",
        b"".join(b".a%d{color:#%06x;background:rgba(0,0,0,.1)}\n" % (n, n % 4096) for n in range(39_000)),
    )
    yield "brackets.css", b"a{color:" + b"(" * 300_000
    yield "braces.css", b"@media x{" * 60_000
    yield (
        "variables of variables.css",
        b":root{"
        + b"".join(b"--v%d:var(--v%d);" % (n, n + 1) for n in range(9000))
        + b"--v9000:#123456}a{color:var(--v0)}",
    )
    yield "a circle of variables.css", b":root{--a:var(--b);--b:var(--a)}a{color:var(--a)}"
    doubling = b"".join(b"--d%d:var(--d%d) var(--d%d);" % (n, n + 1, n + 1) for n in range(40))
    yield "doubling variables.css", b":root{" + doubling + b"--d40:#123456}a{color:var(--d0)}"
    yield "a selector of megabytes.css", b"a," * 400_000 + b"b{color:#123456}"
    yield "comments.css", b"/**/" * 200_000 + rule
    yield "no end of a comment.css", rule + b"/*" + b"x" * 600_000
    yield "strings.css", b'a{content:"' + b"\\" * 500_000 + b'";color:#123456}'
    yield "important.css", b"a{color:red" + b" " * 500_000 + b"!important}"
    yield "gradients.css", b"a{background:linear-gradient(" + b"#123456," * 60_000 + b"#fff)}"
    yield "mixes.css", b"a{color:" + b"color-mix(in oklab," * 3000 + b"red" + b",blue)" * 3000 + b"}"
    yield "numbers.css", b"a{color:rgb(" + b"9" * 300_000 + b",1,1)}"
    yield "tags.html", b"<b" * 300_000
    yield "attributes.html", b"<p " + b"style='color:#123456' " * 40_000 + b">"
    yield "styles.html", b"<style>a{color:#123456}</style>" * 20_000
    yield "deep.html", b"<div>" * 100_000
    yield "entities.html", b"&amp;" * 200_000
    for name, space in {
        "a list": ["x"],
        "a number": 5,
        "an object": {"a": 1},
        "null": None,
        "unknown": "xyz",
    }.items():
        token = {"a": {"$type": "color", "$value": {"colorSpace": space, "components": [0.1, 0.2, 0.3]}}}
        yield f"the space is {name}.json", json.dumps(token).encode()
    for name, components in {
        "text": "abc",
        "too many": [0] * 5000,
        "NaN": ["none", {}, []],
        "huge": [1e308, 1e308, 1],
    }.items():
        token = {"a": {"$type": "color", "$value": {"colorSpace": "srgb", "components": components}}}
        yield f"components are {name}.json", json.dumps(token).encode()
    yield "deep.json", b'{"a":' * 50_000
    yield "deep and closed.json", b'{"a":' * 900 + b"1" + b"}" * 900
    yield (
        "a chain of aliases.json",
        json.dumps({f"t{n}": {"$type": "color", "$value": f"{{t{n + 1}}}"} for n in range(3000)}).encode(),
    )
    yield (
        "a circle of aliases.json",
        json.dumps(
            {"a": {"$value": "{b}", "$type": "color"}, "b": {"$value": "{a}", "$type": "color"}}
        ).encode(),
    )
    yield "numbers.json", b"[" + b"9," * 200_000 + b"9]"
    yield "a long number.json", b'{"a":' + b"9" * 200_000 + b"}"
    yield "names.json", json.dumps({"x" * 5000: {"$type": "color", "$value": "#123456"}}).encode()
    yield "lines.csv", b"name,hex\n" + b"a,#123456\n" * 60_000
    yield "quotes.csv", b'name,hex\n"' + b'""' * 200_000
    yield "columns.csv", b"," * 500_000
    yield "lines.gpl", b"GIMP Palette\n#\n" + b"1 2 3 x\n" * 60_000
    yield "numbers.gpl", b"GIMP Palette\n#\n" + b"9" * 300_000 + b" 2 3 x\n"
    yield "words.txt", b"#12345" * 100_000
    yield "one line.txt", b"rgb(" * 200_000
    yield "marks of order.txt", "\u202e\u0000\ufeff#123456 ".encode() * 3000
    yield "variables.scss", b"$a: $b;" * 60_000
    yield "maps.scss", b"$m: (" * 30_000
    for number in range(8):
        yield f"random {number}.css", bytes(random.integers(32, 127, 120_000, dtype=np.uint8))
        yield f"random {number}.json", bytes(random.integers(0, 256, 60_000, dtype=np.uint8))


# Method, path, type of content, body. {take} and {brand} are ids that are there.
Body = tuple[str, str, str, str, bytes]


def bodies() -> Iterator[Body]:
    """Requests as nobody's page sends them."""
    js = "application/json"
    large = b'{"name":"' + b"x" * 10_000_000 + b'"}'
    for kind in (
        js,
        "application/vnd.api+json",
        "text/plain",
        "",
        "application/x-www-form-urlencoded",
        "application/json; charset=utf-7",
    ):
        yield f"10 MB as {kind or 'nothing'}", "POST", "/api/brands", kind, large
    yield "10 MB to what computes", "POST", "/api/changes", js, large
    yield (
        "10 MB of a form to what computes",
        "POST",
        "/api/evaluate",
        "multipart/form-data; boundary=x",
        b"--x\r\n" + b"y" * 10_000_000,
    )
    for name, body in {
        "nested lists": b"[" * 200_000,
        "nested objects": b'{"a":' * 60_000,
        "a long number": b'{"name":' + b"9" * 300_000 + b"}",
        "no JSON": b"\xff\xfe\x00",
        "nothing": b"",
        "a list": b"[]",
        "null": b"null",
        "a number": b"1e999",
        "the same key": b'{"name":"a",' * 9000,
        "U+0000": b'{"name":"\\u0000"}',
        "half a letter": b'{"name":"\\ud800"}',
    }.items():
        for path in (
            "/api/brands",
            "/api/changes",
            "/api/evaluate",
            "/api/proposals",
            "/api/colors",
            "/api/lists",
        ):
            yield f"{name} to {path}", "POST", path, js, body
    for value in ("x" * 200_000, ["#123456"] * 60_000, {"a": 1}, -1, True):
        text = json.dumps({"text": value}).encode()
        yield f"a colour that is {str(value)[:12]}", "POST", "/api/colors", js, text
    yield (
        "a list of every colour",
        "POST",
        "/api/lists",
        js,
        json.dumps({"text": "#123456 " * 24_000}).encode(),
    )
    css = "a{color:#123456}" * 18_000
    document = {"document": {}, "files": [{"name": "a.css", "text": css}]}
    yield "a stylesheet to recolour", "POST", "/api/mapping", js, json.dumps(document).encode()
    yield (
        "a stylesheet of brackets",
        "POST",
        "/api/mapping",
        js,
        json.dumps({**document, "files": [{"name": "a.css", "text": "(" * 299_000}]}).encode(),
    )
    swatch = {"name": "x", "hex": "#123456", "held": False, "origin": {"kind": "typed", "note": ""}}
    many = {"swatches": [{**swatch, "id": f"s{n}"} for n in range(5000)]}
    yield "thousands of swatches", "POST", "/api/evaluate", js, json.dumps({"document": many}).encode()
