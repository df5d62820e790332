"""The pairs of a file, held to a level: for a build that is to fail when a pair does.

A design token file says its pairs in `$extensions`, under PAIRS_KEY: a list of
{"text": "{color.ink}", "ground": "{color.paper}", "usage": "body text", "size": 16, "weight": 400};
usage, size and weight may be left out, and a colour in CSS notation may stand for a token. In a
stylesheet or page the pairs are those that stand in one rule, as body text.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from xml.etree import ElementTree

from tonada.core.color.contrast import composite, ratio_between, rounded_down
from tonada.core.color.requirements import requirement
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.color.wcag import Level, Usage
from tonada.core.errors import InputError
from tonada.core.formats.check_key import PAIRS_KEY
from tonada.core.formats.detect import decode_text
from tonada.core.formats.tokens import Json, TokenColors, parse_json
from tonada.core.limits import MAX_PAIRS
from tonada.core.pairs.evaluation import evaluate
from tonada.core.source.stylesheets import StyleFile, read_stylesheets
from tonada.core.take.take import Take


@dataclass(frozen=True, slots=True)
class CheckedPair:
    """ratio: exact. passes: an exempt pair doesn't, and doesn't fail either."""

    text: str
    ground: str
    text_hex: Hex
    ground_hex: Hex
    usage: Usage
    ratio: float
    needed: float
    passes: bool
    exempt: bool

    @property
    def fails(self) -> bool:
        return not self.passes and not self.exempt


def check_file(data: bytes, name: str, level: Level = "AA") -> tuple[CheckedPair, ...]:
    """Return the pairs of a design token file, a stylesheet or a page, in the order of the file.

    Raises InputError, naming the field, for a file without pairs or with broken ones.
    """
    text = decode_text(data)
    if text.lstrip().startswith("{"):
        return _of_tokens(parse_json(text), level)
    reading = read_stylesheets([StyleFile(name, text)])
    if not reading.pairs:
        raise InputError("No rule of the file sets both a text colour and a ground.", field="file")
    return tuple(
        _checked((one.selector, one.text), ("", one.ground), Usage.BODY_TEXT, level) for one in reading.pairs
    )


def check_take(take: Take) -> tuple[CheckedPair, ...]:
    """Return the pairs of a take, by day and then by night, held to the take's level.

    Those that a ground makes are among them where they fall short or were changed by hand.
    """
    schemes = (take, replace(take.turned(), level=take.level)) if take.other is not None else (take,)
    return tuple(
        CheckedPair(
            text=f"{one.text_name}{_by(scheme)}",
            ground=f"{one.ground_name}{_by(scheme)}",
            text_hex=one.text_hex,
            ground_hex=one.ground_hex,
            usage=one.usage,
            ratio=one.ratio,
            needed=one.needed,
            passes=one.passes,
            exempt=one.exempt,
        )
        for scheme in schemes
        for one in evaluate(scheme).pairs
    )


def _by(take: Take) -> str:
    return " (night)" if take.scheme == "night" else ""


def _of_tokens(root: dict[str, Json], level: Level) -> tuple[CheckedPair, ...]:
    extensions = root.get("$extensions")
    listed = extensions.get(PAIRS_KEY) if isinstance(extensions, dict) else None
    if not isinstance(listed, list) or not listed:
        raise InputError(
            f"The tokens say no pairs: $extensions needs a list “{PAIRS_KEY}”.", field="$extensions"
        )
    if len(listed) > MAX_PAIRS:
        raise InputError(f"At most {MAX_PAIRS} pairs in one file.", field=PAIRS_KEY)
    colors = TokenColors(root)
    return tuple(_of_entry(entry, f"{PAIRS_KEY}.{row}", colors, level) for row, entry in enumerate(listed))


def _of_entry(entry: Json, field: str, colors: TokenColors, level: Level) -> CheckedPair:
    if not isinstance(entry, dict):
        raise InputError("A pair is an object with text and ground.", field=field)
    ground, ground_alpha = colors.read(entry.get("ground"), field=f"{field}.ground")
    if ground_alpha < 1:
        raise InputError("A ground must be opaque.", field=f"{field}.ground")
    text, alpha = colors.read(entry.get("text"), field=f"{field}.text")
    seen = srgb8_to_hex(composite(hex_to_srgb8(text), alpha, hex_to_srgb8(ground)))
    usage = entry.get("usage", Usage.BODY_TEXT)
    if usage not in set(Usage):
        raise InputError(f"The usage is one of: {', '.join(Usage)}.", field=f"{field}.usage")
    size, weight = (_number(entry, part, f"{field}.{part}") for part in ("size", "weight"))
    named = [str(entry[end]).strip("{}") for end in ("text", "ground")]
    weight_ = None if weight is None else int(weight)
    return _checked((named[0], seen), (named[1], ground), Usage(usage), level, size, weight_)


def _number(entry: dict[str, Json], part: str, field: str) -> float | None:
    value = entry.get(part)
    if value is None:
        return None
    if isinstance(value, bool) or not isinstance(value, int | float) or not 0 < value <= 1000:
        raise InputError(f"The {part} is a number over 0, up to 1000.", field=field)
    return float(value)


def _checked(
    text: tuple[str, Hex],
    ground: tuple[str, Hex],
    usage: Usage,
    level: Level,
    size: float | None = None,
    weight: int | None = None,
) -> CheckedPair:
    asked = requirement(usage, level, size, weight)
    ratio = ratio_between(text[1], ground[1])
    return CheckedPair(
        text=text[0] or text[1],
        ground=ground[0] or ground[1],
        text_hex=text[1],
        ground_hex=ground[1],
        usage=usage,
        ratio=ratio,
        needed=asked.ratio,
        passes=ratio >= asked.ratio and not asked.exempt,
        exempt=asked.exempt,
    )


def as_junit(pairs: tuple[CheckedPair, ...], name: str) -> str:
    """Return JUnit XML, as build servers read it: a suite with a case for each pair."""
    suite = ElementTree.Element(
        "testsuite",
        name=name,
        tests=str(len(pairs)),
        failures=str(sum(one.fails for one in pairs)),
        skipped=str(sum(one.exempt for one in pairs)),
    )
    for one in pairs:
        case = ElementTree.SubElement(
            suite, "testcase", classname=f"contrast.{one.usage}", name=f"{one.text} on {one.ground}"
        )
        reached = f"{rounded_down(one.ratio)} of {one.needed:g} : 1"
        if one.fails:
            ElementTree.SubElement(case, "failure", message=reached)
        elif one.exempt:
            ElementTree.SubElement(case, "skipped", message=f"exempt: {one.usage}")
    return ElementTree.tostring(suite, encoding="unicode", xml_declaration=True)
