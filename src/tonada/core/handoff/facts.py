"""Everything that a take says, as single facts in words: what two of them differ in is what changed.

Each field of a document is in one fact or another, so that two documents that differ never say the same.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, fields
from typing import Any, Final, Literal, TypeAlias, get_args

from tonada.core.color.ramp import RampSettings
from tonada.core.color.spaces import Hex
from tonada.core.errors import TakeError
from tonada.core.proof.grounds import STANDARD_GROUNDS
from tonada.core.proof.pages import PAGES
from tonada.core.proof.voices import voice_of
from tonada.core.take.parts import PARTS_OF_A_SCHEME, Assignment, Pair
from tonada.core.take.proof_settings import (
    EVERY_PAGE,
    TEXT_STYLES,
    WIDTHS,
    PictureTone,
    PictureView,
    ProofSettings,
)
from tonada.core.take.take import Take, role_name

Section: TypeAlias = Literal[
    "Values in the files", "Names", "Roles", "Grounds", "Pairs", "Tints and shades", "Type", "Pages",
    "Harmony", "Settings",
]  # fmt: skip
SECTIONS: Final[tuple[Section, ...]] = get_args(Section)
# What a fact is about, such as role, primary, night.
Subject: TypeAlias = tuple[str, ...]
# Of values that are none, since a rule decides.
BY_RULE: Final = "by the rule"
AS_PAGES_HAVE_IT: Final = "as the pages have it"
_PROOF_LABELS: Final[Mapping[str, tuple[Section, str]]] = {
    "heading_face": ("Type", "Typeface of headings"),
    "text_face": ("Type", "Typeface of texts"),
    "logo": ("Pages", "Logo"),
    "picture": ("Pages", "Picture"),
    "overlay": ("Pages", "Overlay of the picture"),
    "bare_picture": ("Pages", "Picture without an overlay"),
    "picture_place": ("Pages", "Place of the picture"),
    "language": ("Pages", "Language of the pages"),
    "logo_in_one": ("Pages", "Logo in one colour where it can’t be seen"),
}
_HARMONY_LABELS: Final[Mapping[str, str]] = {
    "anchor": "Anchor of the chord",
    "ground": "Ground of the stave",
    "rule": "Rule",
    "shaped_from": "Colours before the character",
    "varied_from": "Colours before the variation",
    "web_safe": "Web-safe values",
    "seed": "Variation",
}


@dataclass(frozen=True, slots=True)
class Fact:
    """What is so. label: of what; said: how it is, in words; hex: a colour that goes with it.

    behind: what tells of the same change, and makes this fact silent where it is told. absent: how it is
    where nothing is said, such as by the rule; without it, it is new or gone. raw: what is
    compared, where the words hold names, which change by themselves.
    """

    section: Section
    label: str
    said: str
    hex: Hex | None = None
    behind: tuple[Subject, ...] = ()
    absent: str = ""
    raw: str | None = None

    @property
    def compared(self) -> str:
        return self.said if self.raw is None else self.raw


def facts_of(take: Take) -> dict[Subject, Fact]:
    """Return the facts of a take but for the values of its files, which follow from them."""
    day = take if take.scheme == "day" else take.turned()
    found: dict[Subject, Fact] = {}
    found["level",] = Fact("Settings", "WCAG level", take.level)
    found["steps",] = Fact("Settings", "Names of steps", take.step_names)
    found["scheme",] = Fact("Settings", "Scheme in front", take.scheme)
    found["night",] = Fact("Settings", "Night", "none" if take.other is None else "its own")
    found |= dict(_of_colors(day))
    for scheme in (day,) if day.other is None else (day, day.turned()):
        found |= dict(_of_scheme(scheme))
    found |= dict(_of_proof(day))
    for field in fields(day.harmony):
        label = _HARMONY_LABELS.get(field.name, field.name.replace("_", " ").capitalize())
        found["harmony", field.name] = Fact(
            "Harmony",
            label,
            _said(day, getattr(day.harmony, field.name)),
            raw=repr(getattr(day.harmony, field.name)),
        )
    for slot in day.slots:
        subject = ("slots", slot.destination, slot.slot)
        label = f"Slot “{slot.slot}” of {slot.destination}"
        found[subject] = Fact("Settings", label, _named(day, slot.key), absent=BY_RULE, raw=slot.key)
    for name in ("swatches", "neutrals", "overlays", "slots"):
        found |= _order(name, getattr(day, name))
    return found


def _order(name: str, parts: tuple[Any, ...]) -> dict[Subject, Fact]:
    ids = [getattr(part, "id", "") or f"{part.destination}/{part.slot}" for part in parts]
    # Additions and removals are told by themselves: of the order alone, only what is left tells.
    return {("order", name): Fact("Settings", f"Order of {name}", " ".join(ids), behind=(("any", name),))}


def _of_colors(take: Take) -> Iterator[tuple[Subject, Fact]]:
    for swatch in take.swatches:
        yield (
            ("swatches", swatch.id),
            Fact("Names", "Colour", swatch.name, swatch.hex, (("value", swatch.id),)),
        )
        yield (
            ("swatches", swatch.id, "hex"),
            Fact("Roles", swatch.name, swatch.hex, swatch.hex, (("value", "any"),)),
        )
        yield (
            ("swatches", swatch.id, "held"),
            Fact("Settings", swatch.name, "held" if swatch.held else "free"),
        )
        origin = swatch.origin
        share = "" if origin.share is None else f", {origin.share:.4g} of it"
        yield (
            ("swatches", swatch.id, "origin"),
            Fact(
                "Settings",
                f"Origin of {swatch.name}",
                f"{origin.kind}: {origin.note}{share}" + (f" ({origin.source})" if origin.source else ""),
                behind=(("swatches", swatch.id, "hex"),),
            ),
        )
        yield ("swatches", swatch.id, "ramp"), Fact("Tints and shades", swatch.name, _ramp(swatch.ramp))
    for neutral in take.neutrals:
        tint = "without a tint" if neutral.tint is None else f"tinted by {_named(take, neutral.tint)}"
        said = f"{neutral.steps} steps by {neutral.spacing}, {tint}, {neutral.strength:.4g} strong"
        yield ("neutrals", neutral.id), Fact("Names", "Neutrals", neutral.name)
        yield ("neutrals", neutral.id, "made"), Fact(
            "Tints and shades", neutral.name, said,
            raw=f"{neutral.tint} {neutral.strength!r} {neutral.steps} {neutral.spacing}",
        )  # fmt: skip
    for overlay in take.overlays:
        said = f"{take.name_of(overlay.swatch, overlay.step)} at {overlay.alpha:.6g}"
        yield (
            ("overlays", overlay.id),
            Fact("Names", "Overlay", overlay.name, behind=(("value", overlay.id),)),
        )
        yield ("overlays", overlay.id, "made"), Fact(
            "Roles", overlay.name, said, behind=(("value", overlay.id),),
            raw=f"{overlay.swatch}/{overlay.step} {overlay.alpha!r}",
        )  # fmt: skip


def _ramp(ramp: RampSettings) -> str:
    if ramp.kind == "mix":
        return f"mixed, {ramp.tints} tints and {ramp.shades} shades ({ramp.steps})"
    return f"{ramp.kind}, {ramp.steps} steps ({ramp.tints}, {ramp.shades})"


def _of_scheme(take: Take) -> Iterator[tuple[Subject, Fact]]:
    scheme = take.scheme
    for assigned in take.roles:
        yield from _of_role(take, assigned)
    for pair in take.pairs:
        yield (
            ("pairs", pair.id, scheme),
            Fact("Pairs", _pair_name(take, pair), _pair(take, pair), raw=repr(pair)),
        )
    for ground in take.grounds:
        label = ground.name or role_name(ground.id)
        stands = BY_RULE if ground.ground is None else _named(take, ground.ground)
        if ground.id not in STANDARD_GROUNDS or ground.ground or ground.name:
            yield (
                ("grounds", ground.id, scheme),
                Fact("Grounds", label, f"stands on {stands}", raw=str(ground.ground)),
            )
            yield ("grounds", ground.id, scheme, "name"), Fact("Names", "Ground", label, raw=str(ground.name))
        for element, key in ground.uses:
            yield ("grounds", ground.id, scheme, element), Fact(
                "Grounds", f"{element.capitalize()} on {label}", _named(take, key),
                behind=(("value", f"{ground.id}/{element}", scheme),), absent=BY_RULE, raw=key,
            )  # fmt: skip
    for name in PARTS_OF_A_SCHEME:
        ids = [getattr(part, "id", "") or part.role for part in getattr(take, name)]
        yield (
            ("order", name, scheme),
            Fact("Settings", f"Order of {name}", " ".join(ids), behind=(("any", name),)),
        )


def _of_role(take: Take, assigned: Assignment) -> Iterator[tuple[Subject, Fact]]:
    role, scheme = assigned.role, take.scheme
    name = role_name(role, assigned.name)
    subject = ("roles", role, scheme)
    target = take.name_of(assigned.swatch, assigned.step)
    yield (
        subject,
        Fact("Roles", name, target, take.hex_of(role), (("value", role, scheme),), raw=_key(assigned)),
    )
    text = assigned.text_step
    said = "the colour itself" if text is None else take.name_of(assigned.swatch, text)
    yield (
        (*subject, "text"),
        Fact("Roles", f"{name} as text", said, behind=(("value", f"{role}/text", scheme),), raw=str(text)),
    )
    yield (*subject, "name"), Fact("Names", "Role", name, raw=str(assigned.name))
    share = "as usual" if assigned.share is None else f"{assigned.share:.4g} of the page"
    yield (*subject, "share"), Fact("Roles", f"Share of {name}", share, raw=repr(assigned.share))
    yield (
        (*subject, "reason"),
        Fact("Roles", f"Reason of {name}", assigned.reason, behind=(subject, ("value", role, scheme))),
    )


def _key(assigned: Assignment) -> str:
    return assigned.swatch if assigned.step is None else f"{assigned.swatch}/{assigned.step}"


def _pair_name(take: Take, pair: Pair) -> str:
    return f"{_named(take, pair.text)} on {_named(take, pair.ground)}"


def _pair(take: Take, pair: Pair) -> str:
    size = f", {pair.size:.6g}px" if pair.size else ""
    weight = f", weight {pair.weight}" if pair.weight else ""
    layers = f", through {', '.join(_named(take, layer) for layer in pair.layers)}" if pair.layers else ""
    return f"{_pair_name(take, pair)}: {pair.usage}{size}{weight}{layers}, “{pair.sample}”"


def _of_proof(take: Take) -> Iterator[tuple[Subject, Fact]]:
    proof = take.proof
    for name, (section, label) in _PROOF_LABELS.items():
        yield (
            ("proof", name),
            Fact(section, label, _said(take, getattr(proof, name)), raw=repr(getattr(proof, name))),
        )
    voice = BY_RULE if proof.voice is None else f"{_voice(proof.voice)} ({proof.voice})"
    yield ("proof", "voice"), Fact("Pages", "Trade", voice)
    yield from _sizes(proof)
    for text in proof.texts:
        yield (
            ("proof", "text", text.page, text.part),
            Fact("Pages", f"{text.part}, {_page(text.page)}", f"“{text.text}”", absent=AS_PAGES_HAVE_IT),
        )
    yield ("proof", "view"), Fact("Pages", "What is seen of the picture", _view(proof.picture_view))
    yield ("proof", "tone"), Fact("Pages", "Tone of the picture", _tone(take, proof.picture_tone))
    for one in proof.pictures:
        said = f"{one.source}, {_view(one.view)}, {_tone(take, one.tone)}"
        yield (
            ("proof", "picture", one.page, one.part),
            Fact("Pages", f"{one.part}, {_page(one.page)}", said, absent=AS_PAGES_HAVE_IT, raw=repr(one)),
        )
    for page, section_, ground in proof.sections:
        label = f"Section “{section_}” of {_page(page)}"
        yield ("proof", "section", page, section_), Fact("Pages", label, f"on {ground}", absent=BY_RULE)


def _view(view: PictureView) -> str:
    return f"{view.x:.0%} from the left and {view.y:.0%} from the top in view, {view.zoom:.4g} times as large"


def _tone(take: Take, tone: PictureTone) -> str:
    if tone.kind == "plain":
        return "as it is"
    if tone.kind == "duotone":
        return f"in {_named(take, tone.dark)} and {_named(take, tone.light)}"
    return f"with {tone.amount:.0%} of {_named(take, tone.tint)} over it"


def _page(page: str) -> str:
    return {EVERY_PAGE: "every page", **{one.id: one.name for one in PAGES}}.get(page, page)


def _sizes(proof: ProofSettings) -> Iterator[tuple[Subject, Fact]]:
    own = {style for style, _ in proof.sizes}
    narrow = {(width, style) for width, style, _ in proof.narrow_sizes}
    for style in TEXT_STYLES:
        for width in WIDTHS:
            size = proof.size_of(style, width)
            chosen = style in own if width == "wide" else (width, style) in narrow
            by = "" if chosen else f", {BY_RULE}"
            yield ("proof", "size", style, width), Fact(
                "Type", f"{style.upper() if style[0] == 'h' else style.capitalize()}, {width}",
                f"{size.size:.6g}px, weight {size.weight}{by}",
                behind=() if width == "wide" else (("proof", "size", style, "wide"),) if not chosen else (),
            )  # fmt: skip


def _voice(voice: str) -> str:
    try:
        return voice_of(voice).name
    except (KeyError, TakeError):
        return voice


def _said(take: Take, value: Any) -> str:
    """Return a setting in words."""
    if value == "":
        return AS_PAGES_HAVE_IT
    if value is None:
        return BY_RULE
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, float):
        return f"{value:.6g}"
    if isinstance(value, tuple):
        return ", ".join(
            " ".join(map(str, part)) if isinstance(part, tuple) else _said(take, part) for part in value
        )
    return _named(take, value) if isinstance(value, str) else str(value)


def _named(take: Take, key: str) -> str:
    """Return what a key is called; itself where it is no key of this take."""
    try:
        return take.display_name(key)
    except TakeError:
        return key
