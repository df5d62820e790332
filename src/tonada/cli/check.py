"""The command `tonada check`: the pairs of files, for a build that is to fail when one does."""

from __future__ import annotations

import argparse
import glob
import json
import os
import sys
import tomllib
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from fnmatch import fnmatchcase
from pathlib import Path
from typing import TYPE_CHECKING, Any, Final

from tonada.cli.streams import add_printed_out

if TYPE_CHECKING:
    from tonada.core.color.wcag import Level
    from tonada.core.gate.check import CheckedPair

FORMATS: Final = ("text", "json", "junit", "sarif", "annotations")
STANDARD_INPUT: Final = "-"
BASELINE_VERSION: Final = 1
_EXAMPLES: Final = """\
examples:
  tonada check brand.tonada.json
  tonada check 'dist/**/*.css' --level AA --strict
  cat page.html | tonada check -
  tonada check 'dist/*.css' --baseline known.json --update-baseline
  tonada check 'dist/*.css' --format sarif > contrast.sarif
  tonada check 'dist/*.css' --fix
  tonada check page.html --render

What is not given here is read from tonada.toml ([check]) or pyproject.toml ([tool.tonada.check]):
  files = ["dist/*.css"]   level = "AA"   strict = false   baseline = "known.json"
  ignore = [{ selector = ".legacy *", reason = "replaced in spring" }]
A rule with a comment /* tonada-ignore: reason */ is exempt.

exit codes: 0 fine, 1 a pair fails (or, with --strict, can't be decided), 2 the input can't be used"""


@dataclass(frozen=True)
class Ignored:
    """Selectors that are exempt, as a pattern with * and ?, and why."""

    selector: str
    reason: str


@dataclass(frozen=True)
class Settings:
    """What is checked, and how strictly."""

    files: tuple[str, ...] = ()
    level: Level | None = None
    strict: bool = False
    baseline: str | None = None
    ignore: tuple[Ignored, ...] = field(default=())


def check(command: argparse.ArgumentParser) -> None:
    """Add the arguments of `check`."""
    command.epilog = _EXAMPLES
    command.formatter_class = argparse.RawDescriptionHelpFormatter
    command.add_argument(
        "files",
        nargs="*",
        metavar="FILE",
        help="Tonada's own, design tokens with pairs, CSS or HTML; a pattern such as 'dist/**/*.css'; "
        "- for standard input",
    )
    command.add_argument(
        "--level", choices=("A", "AA", "AAA"), help="WCAG 2.2 level (default: the take's own, or AA)"
    )
    command.add_argument("--strict", action="store_true", help="also fail if a pair can't be decided")
    command.add_argument("--format", choices=FORMATS, default="text", help="output format (default: text)")
    command.add_argument("--json", action="store_true", help="print JSON")
    command.add_argument("--junit", action="store_true", help="print JUnit XML")
    command.add_argument("--quiet", action="store_true", help="print only what fails or can't be decided")
    command.add_argument("--baseline", metavar="FILE", help="a file of known failures, which don't count")
    command.add_argument(
        "--fix",
        action="store_true",
        help="write the nearest text colour that passes into stylesheets and pages",
    )
    command.add_argument(
        "--render",
        action="store_true",
        help="check pages as an installed Chromium renders them; addresses on this machine work too",
    )
    command.add_argument(
        "--browser",
        metavar="FILE",
        help="the Chromium to use (default: TONADA_BROWSER, or the installed one)",
    )
    command.add_argument("--update-baseline", action="store_true", help="write what fails to the baseline")
    add_printed_out(command)
    command.set_defaults(run=run)


def run(parsed: argparse.Namespace) -> int:
    """Check what is asked for; return the exit code."""
    from tonada.core.errors import InputError

    settings = _settings(parsed)
    if not settings.files:
        raise InputError("Give a file, a pattern, or - for standard input.", field="files")
    if parsed.render and parsed.fix:
        raise InputError("A rendered page can't be mended. Use --render or --fix, not both.", field="fix")
    if parsed.fix:
        _fix(settings)
    found = _rendered_pairs(settings, parsed.browser) if parsed.render else _pairs_of(settings)
    pairs = _without_ignored(found, settings.ignore)
    if parsed.update_baseline:
        return _update(settings, pairs)
    pairs = _without_known(pairs, settings.baseline)
    fails = any(_counts(pair, settings) for pair in pairs)
    kind = "json" if parsed.json else "junit" if parsed.junit else parsed.format
    shown = [pair for pair in pairs if pair.is_open] if parsed.quiet else pairs
    print(_report(shown, pairs, kind, settings))
    return 1 if fails else 0


def _counts(pair: CheckedPair, settings: Settings) -> bool:
    """Return whether a pair makes the check fail."""
    return pair.fails or (settings.strict and pair.outcome == "unknown")


def _rendered_pairs(settings: Settings, browser: str | None) -> list[CheckedPair]:
    from tonada.core.color.wcag import USUAL_LEVEL
    from tonada.rendering.browser import find_browser
    from tonada.rendering.pages import check_pages

    return check_pages(_names(settings.files), settings.level or USUAL_LEVEL, find_browser(browser))


def _fix(settings: Settings) -> None:
    from tonada.cli.fixing import fix
    from tonada.core.color.wcag import USUAL_LEVEL

    def is_ignored(selector: str) -> bool:
        return any(fnmatchcase(selector, entry.selector) for entry in settings.ignore)

    fix(_names(settings.files), settings.level or USUAL_LEVEL, is_ignored)


def _report(shown: Sequence[CheckedPair], pairs: Sequence[CheckedPair], kind: str, settings: Settings) -> str:
    from tonada import __version__
    from tonada.core.gate import check_reports as reports

    if kind == "json":
        return json.dumps(reports.as_data(shown), ensure_ascii=False)
    if kind == "junit":
        names = {pair.file for pair in pairs}
        name = names.pop() if len(names) == 1 else "contrast"
        return reports.as_junit(shown, name or "contrast", strict=settings.strict)
    if kind == "sarif":
        return reports.as_sarif(shown, __version__, strict=settings.strict)
    if kind == "annotations":
        return "\n".join([*reports.as_annotations(shown, strict=settings.strict), reports.summary_of(pairs)])
    colored = sys.stdout.isatty() and not os.environ.get("NO_COLOR")
    return "\n".join([*reports.as_lines(shown, colored=colored), reports.summary_of(pairs)])


def _pairs_of(settings: Settings) -> list[CheckedPair]:
    from tonada.core.formats.detect import is_own_file
    from tonada.core.gate.check import check_files, check_take

    found: list[CheckedPair] = []
    others: list[tuple[str, bytes]] = []
    for name in _names(settings.files):
        data = sys.stdin.buffer.read() if name == STANDARD_INPUT else Path(name).read_bytes()
        shown = "standard-input" if name == STANDARD_INPUT else name
        if not is_own_file(data):
            others.append((shown, data))
            continue
        # With pydantic, which other files can do without.
        from tonada.document.own_file import read_own

        take = read_own(data).take
        held = take if settings.level is None else replace(take, level=settings.level)
        found += [replace(entry, file=shown) for entry in check_take(held)]
    if others:
        found += check_files(others, settings.level)
    return found


def _names(files: Sequence[str]) -> list[str]:
    """Return the files that names and patterns mean, each once.

    Raises InputError for a pattern that no file fits.
    """
    from tonada.core.errors import InputError

    names: dict[str, None] = {}
    for file in files:
        is_pattern = (
            file != STANDARD_INPUT
            and "://" not in file
            and any(mark in file for mark in "*?[")
            and not Path(file).exists()
        )
        found = sorted(glob.glob(file, recursive=True)) if is_pattern else [file]
        if not found:
            raise InputError(f"No file matches “{file[:80]}”.", field="files")
        names |= dict.fromkeys(found)
    return list(names)


def _settings(parsed: argparse.Namespace) -> Settings:
    kept = _kept_settings()
    return Settings(
        files=tuple(parsed.files) or kept.files,
        level=parsed.level or kept.level,
        strict=parsed.strict or kept.strict,
        baseline=parsed.baseline or kept.baseline,
        ignore=kept.ignore,
    )


def _kept_settings() -> Settings:
    """Return the settings of tonada.toml, or of pyproject.toml. Raises InputError for what they can't be."""
    from tonada.core.errors import InputError

    for name, path in (("tonada.toml", ("check",)), ("pyproject.toml", ("tool", "tonada", "check"))):
        if not Path(name).is_file():
            continue
        try:
            table: Any = tomllib.loads(Path(name).read_text(encoding="utf-8"))
        except (tomllib.TOMLDecodeError, UnicodeDecodeError) as reason:
            raise InputError(f"{name} can't be read: {reason}.", field=name) from None
        for part in path:
            table = table.get(part, {}) if isinstance(table, dict) else {}
        if table:
            return _read_settings(table, name)
    return Settings()


def _read_settings(table: Any, name: str) -> Settings:
    from tonada.core.errors import InputError

    allowed = {"files": list, "level": str, "strict": bool, "baseline": str, "ignore": list}
    if not isinstance(table, dict):
        raise InputError(f"check in {name} is a table.", field=name)
    for key, value in table.items():
        if key not in allowed:
            raise InputError(f"check in {name} knows {', '.join(allowed)}; not “{key[:40]}”.", field=name)
        if not isinstance(value, allowed[key]):
            raise InputError(f"{key} in {name} isn't of the right kind.", field=name)
    if table.get("level", "AA") not in ("A", "AA", "AAA"):
        raise InputError(f"level in {name} is A, AA or AAA.", field=name)
    ignore = []
    for entry in table.get("ignore", []):
        is_whole = isinstance(entry, dict) and isinstance(entry.get("selector"), str) and entry.get("reason")
        if not is_whole:
            raise InputError(f"Each ignore in {name} has a selector and a reason.", field=name)
        ignore.append(Ignored(entry["selector"], str(entry["reason"])))
    files = table.get("files", [])
    if not all(isinstance(file, str) for file in files):
        raise InputError(f"files in {name} is a list of names.", field=name)
    return Settings(
        tuple(files), table.get("level"), table.get("strict", False), table.get("baseline"), tuple(ignore)
    )


def _without_ignored(pairs: Sequence[CheckedPair], ignore: Sequence[Ignored]) -> list[CheckedPair]:
    """Return the pairs, those exempt that a setting ignores."""
    made = []
    for pair in pairs:
        said = next((rule for rule in ignore if fnmatchcase(pair.text, rule.selector)), None)
        exempt = said is not None and pair.is_open
        made.append(
            replace(pair, outcome="exempt", reason=f"ignored: {said.reason}") if said and exempt else pair
        )
    return made


def _fingerprint(pair: CheckedPair) -> str:
    """Return what a failure is known again by: not its line, which moves."""
    return " | ".join((pair.file, pair.text, pair.scope, pair.text_hex or "", pair.ground_hex or pair.ground))


def _without_known(pairs: Sequence[CheckedPair], baseline: str | None) -> list[CheckedPair]:
    from tonada.core.errors import InputError

    if baseline is None or not Path(baseline).exists():
        return list(pairs)
    try:
        kept = json.loads(Path(baseline).read_text(encoding="utf-8"))
        known = set(kept["pairs"]) if kept["version"] == BASELINE_VERSION else None
    except (ValueError, KeyError, TypeError):
        known = None
    if known is None:
        raise InputError(
            f"{baseline} isn’t a baseline of this version. Write it again with --update-baseline.",
            field="baseline",
        )
    return [
        replace(pair, outcome="exempt", reason="known, in the baseline")
        if pair.is_open and _fingerprint(pair) in known
        else pair
        for pair in pairs
    ]


def _update(settings: Settings, pairs: Sequence[CheckedPair]) -> int:
    from tonada.core.errors import InputError

    if settings.baseline is None:
        raise InputError("Give the file: --baseline FILE.", field="baseline")
    failing = sorted({_fingerprint(pair) for pair in pairs if _counts(pair, settings)})
    content = json.dumps({"version": BASELINE_VERSION, "pairs": failing}, ensure_ascii=False, indent=1)
    Path(settings.baseline).write_text(content + "\n", encoding="utf-8")
    print(f"{settings.baseline}: {len(failing)} known.")
    return 0
