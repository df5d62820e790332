"""Reports of checked pairs: lines for people, and formats for build servers and editors."""

from __future__ import annotations

import json
from collections import Counter
from collections.abc import Sequence
from typing import Any, Final
from xml.etree import ElementTree

from tonada.core.color.contrast import rounded_down
from tonada.core.color.requirements import Outcome
from tonada.core.errors import NotReachable
from tonada.core.gate.check import CheckedPair
from tonada.core.mends.nearest import nearest_passing
from tonada.core.source.stylesheets.nesting import split_selectors

_RED, _GREEN, _YELLOW, _DIM, _PLAIN = "\x1b[31m", "\x1b[32m", "\x1b[33m", "\x1b[2m", "\x1b[0m"
_SHADES: Final = {"fails": _RED, "passes": _GREEN, "unknown": _YELLOW, "exempt": _DIM}
# A longer list of selectors is shortened in lines for people.
_COUNTED: Final[dict[Outcome, tuple[str, str]]] = {
    "fails": ("fails", "fail"),
    "unknown": ("is unknown", "are unknown"),
    "exempt": ("is exempt", "are exempt"),
    "passes": ("passes", "pass"),
}
LONGEST_LABEL: Final = 60
RULES: Final = {
    "contrast": "Text and ground reach the contrast ratio that WCAG asks.",
    "contrast-untold": "Text and ground can't be decided from the file.",
}


def label_of(pair: CheckedPair) -> str:
    """Return which pair it is: text on ground, and in whose properties."""
    scope = f" in {_shortened(pair.scope)}" if pair.scope else ""
    return f"{_shortened(pair.text)}{scope} on {pair.ground}"


def _shortened(selector: str) -> str:
    """Return a long list of selectors as its first and how many more there are."""
    first, *more = split_selectors(selector)
    return f"{first} and {len(more)} more" if more and len(selector) > LONGEST_LABEL else selector


def suggestion_of(pair: CheckedPair) -> str | None:
    """Return the text colour nearest to a failing one that passes, of the same hue if there is one."""
    if not pair.fails or pair.text_hex is None or pair.ground_hex is None:
        return None
    for mode in ("hue", "free"):
        try:
            return nearest_passing(pair.text_hex, pair.ground_hex, pair.needed, mode).hex
        except NotReachable:
            continue
    return None


def message_of(pair: CheckedPair) -> str:
    """Return one sentence with the ratio reached, the ratio needed, and a colour that would pass."""
    if pair.ratio is None:
        return f"{label_of(pair)}: {pair.reason}"
    reached = f"{rounded_down(pair.ratio)} of {pair.needed:g}:1"
    if pair.outcome == "unknown":
        return f"{label_of(pair)}: {reached}, {pair.reason}"
    suggestion = suggestion_of(pair)
    mend = f"; {suggestion} would do in place of {pair.text_hex}" if suggestion else ""
    return f"{label_of(pair)}: {reached}{mend}"


def as_lines(pairs: Sequence[CheckedPair], *, colored: bool = False) -> list[str]:
    """Return a line for each pair. colored: for a terminal."""
    lines = []
    for pair in pairs:
        word = pair.outcome
        ratio = rounded_down(pair.ratio) if pair.ratio is not None else "–"
        shown = f"{_SHADES[word]}{word:<11}{_PLAIN}" if colored else f"{word:<11}"
        said = f"{pair.where}  " if pair.place else ""
        end = f", {pair.reason}" if pair.reason else f", {pair.usage}"
        suggestion = suggestion_of(pair)
        mend = f"; {suggestion} would do" if suggestion else ""
        lines.append(f"{shown}{ratio:>6} of {pair.needed:<4g} {said}{label_of(pair)}{end}{mend}")
    return lines


def summary_of(pairs: Sequence[CheckedPair]) -> str:
    """Return how many pairs there are, and what came of them."""
    counts = Counter(pair.outcome for pair in pairs)
    counted = [
        f"{counts[outcome]} {one if counts[outcome] == 1 else many}"
        for outcome, (one, many) in _COUNTED.items()
        if counts[outcome] or outcome == "passes"
    ]
    return f"{len(pairs)} pair{'' if len(pairs) == 1 else 's'}: {', '.join(counted)}"


def as_data(pairs: Sequence[CheckedPair]) -> dict[str, Any]:
    """Return what --json prints."""
    listed = []
    for pair in pairs:
        entry: dict[str, Any] = {
            "text": pair.text,
            "ground": pair.ground,
            "usage": pair.usage,
            "ratio": pair.ratio,
            "needed": pair.needed,
            "outcome": pair.outcome,
            "pass": pair.passes,
            "exempt": pair.outcome == "exempt",
        }
        if pair.place is not None or pair.scope:
            entry |= {
                "file": pair.file,
                "line": pair.place.line if pair.place else None,
                "column": pair.place.column if pair.place else None,
                "ground_line": pair.ground_place.line if pair.ground_place else None,
                "scope": pair.scope,
                "text_hex": pair.text_hex,
                "ground_hex": pair.ground_hex,
                "reason": pair.reason,
                "suggestion": suggestion_of(pair),
            }
        listed.append(entry)
    return {"pairs": listed}


def as_junit(pairs: Sequence[CheckedPair], name: str, *, strict: bool = False) -> str:
    """Return JUnit XML, as build servers read it: a suite with a case for each pair."""
    failing = [pair.fails or (strict and pair.outcome == "unknown") for pair in pairs]
    suite = ElementTree.Element(
        "testsuite",
        name=name,
        tests=str(len(pairs)),
        failures=str(sum(failing)),
        skipped=str(len(pairs) - sum(failing) - sum(pair.outcome == "passes" for pair in pairs)),
    )
    for one, fails in zip(pairs, failing, strict=True):
        case = ElementTree.SubElement(
            suite, "testcase", classname=f"contrast.{one.usage}", name=label_of(one)
        )
        if fails:
            ElementTree.SubElement(case, "failure", message=f"{one.where} {message_of(one)}".strip())
        elif one.outcome != "passes":
            ElementTree.SubElement(case, "skipped", message=f"{one.outcome}: {one.reason or one.usage}")
    return ElementTree.tostring(suite, encoding="unicode", xml_declaration=True)


def as_sarif(pairs: Sequence[CheckedPair], version: str, *, strict: bool = False) -> str:
    """Return SARIF 2.1.0 (OASIS): a result for each pair that fails or can't be decided."""
    results = [_result(pair, strict) for pair in pairs if pair.is_open]
    driver = {
        "name": "tonada check",
        "version": version,
        "rules": [{"id": name, "shortDescription": {"text": text}} for name, text in RULES.items()],
    }
    log = {
        "version": "2.1.0",
        "runs": [{"tool": {"driver": driver}, "results": results, "columnKind": "unicodeCodePoints"}],
    }
    return json.dumps(log, ensure_ascii=False, indent=1)


def _result(pair: CheckedPair, strict: bool) -> dict[str, Any]:
    result: dict[str, Any] = {
        "ruleId": "contrast" if pair.fails else "contrast-untold",
        "level": "error" if pair.fails or strict else "note",
        "message": {"text": message_of(pair)},
        "locations": [_location(pair.file, pair.place)],
    }
    if pair.ground_place is not None and pair.ground_place != pair.place:
        result["relatedLocations"] = [
            _location(pair.file, pair.ground_place) | {"message": {"text": "the ground"}}
        ]
    return result


def _location(file: str, place: tuple[int, int] | None) -> dict[str, Any]:
    physical: dict[str, Any] = {"artifactLocation": {"uri": file or "standard-input"}}
    if place is not None:
        physical["region"] = {"startLine": place[0], "startColumn": place[1]}
    return {"physicalLocation": physical}


def as_annotations(pairs: Sequence[CheckedPair], *, strict: bool = False) -> list[str]:
    """Return workflow commands, which build servers show beside the line they name."""
    lines = []
    for pair in pairs:
        if not pair.is_open:
            continue
        kind = "error" if pair.fails or strict else "notice"
        at = f",line={pair.place.line},col={pair.place.column}" if pair.place else ""
        message = message_of(pair).replace("%", "%25").replace("\r", "%0D").replace("\n", "%0A")
        file = pair.file.replace("%", "%25").replace(",", "%2C").replace(":", "%3A")
        lines.append(f"::{kind} file={file}{at},title=Contrast::{message}")
    return lines
