"""Theme colours of office programs: twelve slots in XML, which such programs load as a colour theme.

Source: ECMA-376-1:2016, 20.1.6.2 clrScheme: dk1, lt1, dk2, lt2, accent1 to accent6, hlink, folHlink.
"""

from __future__ import annotations

from collections.abc import Iterator
from typing import Final
from xml.etree.ElementTree import Element, SubElement, indent, register_namespace, tostring

from defusedxml.ElementTree import ParseError, fromstring

from tonada.core.color.contrast import ratio_between, rounded_down
from tonada.core.color.requirements import requirement
from tonada.core.color.wcag import Usage
from tonada.core.errors import InputError
from tonada.core.formats.format import Format, Reading, Writing
from tonada.core.formats.listed import ColorList, ListBuilder
from tonada.core.formats.sheet import Options, Sheet, Value

NAMESPACE: Final = "http://schemas.openxmlformats.org/drawingml/2006/main"
SLOTS: Final = (
    "dk1", "lt1", "dk2", "lt2",
    "accent1", "accent2", "accent3", "accent4", "accent5", "accent6",
    "hlink", "folHlink",
)  # fmt: skip
# The roles that fill a slot, the best first; the accents take what is left of the brand, in order.
_ROLES: Final = {
    "dk1": ("ink", "deep"),
    "lt1": ("paper", "mist"),
    "dk2": ("deep", "ink"),
    "lt2": ("mist", "paper"),
    "hlink": ("link", "primary"),
    "folHlink": ("muted", "link"),
}
# What office programs set in what: text in the first dark slot, on fills in the first light one, links.
_PAIRS: Final = (
    ("dk1", "lt1"), ("dk1", "lt2"), ("dk2", "lt1"), ("dk2", "lt2"), ("lt1", "dk2"), ("hlink", "lt1"),
    ("folHlink", "lt1"), *(("lt1", f"accent{number}") for number in range(1, 7)),
)  # fmt: skip
_BRAND: Final = ("primary", "secondary", "accent")
_NO_ACCENTS: Final = frozenset(("paper", "mist", "deep", "ink", "muted", "line", "link"))
_DECLARATION: Final = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'
_FALLBACK: Final = {"dk1": "#000000", "lt1": "#ffffff"}


def is_office_theme(text: str) -> bool:
    """Return whether a text is such a file."""
    return "clrScheme" in text[:2000] and NAMESPACE in text[:4000]


def read_office_theme(text: str) -> ColorList:
    """Return the slots that hold a value, named as the slot. Raises InputError for broken XML or none."""
    try:
        root = fromstring(text.lstrip("\ufeff"), forbid_dtd=True)
    except (ParseError, ValueError) as reason:
        raise InputError("The colour theme isn’t XML that can be read.", field="file") from reason
    scheme = next(iter(root.iter(f"{{{NAMESPACE}}}clrScheme")), None)
    found = ListBuilder("Office colour theme")
    if scheme is None:
        return found.build()
    found.title = scheme.get("name")
    for slot in scheme:
        name = slot.tag.rpartition("}")[2]
        value = next(iter(slot), None)
        stated = None if value is None else value.get("lastClr") or value.get("val")
        if stated is None:
            found.warn(None, f"{name} holds no colour.")
        else:
            found.add_text(f"#{stated}", name)
    return found.build()


def write_office_theme(sheet: Sheet, options: Options) -> str:
    """Return the theme of the day's roles; where a slot's role is missing, the next best fills it."""
    del options  # the format has one notation and its own names
    return f"{_DECLARATION}\n<!-- {_checked(sheet)} -->\n{color_scheme(sheet)}\n"


def _checked(sheet: Sheet) -> str:
    """Return what comes of the slots that office programs put upon each other, as texts."""
    slots = dict(filled_slots(sheet))
    needed = requirement(Usage.BODY_TEXT, sheet.level).ratio
    ratios = {f"{text} on {ground}": ratio_between(slots[text], slots[ground]) for text, ground in _PAIRS}
    failing = [f"{pair}, {rounded_down(ratio)}" for pair, ratio in ratios.items() if ratio < needed]
    verdict = f"{len(failing)} under {needed:g}: {'; '.join(failing)}" if failing else "None fails"
    return f"Checked against WCAG 2.2 {sheet.level}: {len(ratios)} pairs of slots. {verdict}."


def color_scheme(sheet: Sheet) -> str:
    """Return the element clrScheme alone, as a theme of a presentation holds it."""
    register_namespace("a", NAMESPACE)
    root = Element(f"{{{NAMESPACE}}}clrScheme", {"name": sheet.title or "Colours"})
    for slot, value in filled_slots(sheet):
        entry = SubElement(root, f"{{{NAMESPACE}}}{slot}")
        SubElement(entry, f"{{{NAMESPACE}}}srgbClr", {"val": value.removeprefix("#").upper()})
    indent(root, space="  ")
    return tostring(root, encoding="unicode")


def filled_slots(sheet: Sheet) -> Iterator[tuple[str, str]]:
    """Yield each slot with its colour, `#rrggbb`, in the order of the standard."""
    opaque = [value for value in sheet.day if value.alpha == 1 and value.part != "use"]
    roles = {"-".join(value.words): value.hex for value in opaque if value.part == "role"}
    accents = _accents(opaque, roles)
    for slot in SLOTS:
        if slot.startswith("accent"):
            row = int(slot.removeprefix("accent")) - 1
            yield slot, accents[row % len(accents)]
            continue
        names = [name for name in _ROLES[slot] if name in roles]
        yield slot, roles[names[0]] if names else _FALLBACK.get(slot, accents[0])


def _accents(opaque: list[Value], roles: dict[str, str]) -> list[str]:
    """Return the colours of the brand, then further ones, each once; black for a take without any."""
    found = [roles[name] for name in _BRAND if name in roles]
    found += [value for name, value in roles.items() if name not in _NO_ACCENTS]
    found += [value.hex for value in opaque if value.part != "role"]
    return list(dict.fromkeys(found)) or ["#000000"]


FORMAT: Final = Format(
    kind="office",
    name="Office colour theme",
    note="twelve slots, ECMA-376",
    reading=Reading(read=read_office_theme, endings=(".xml",), recognise=is_office_theme),
    writing=Writing(
        write=write_office_theme,
        ending=".theme.xml",
        mimetype="application/xml",
        has_options=False,
        holds_all=False,
    ),
)
