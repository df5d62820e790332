"""What a list of colours is once it has been read, whatever it was written in."""

from __future__ import annotations

import re
from dataclasses import dataclass
from typing import Final

from tonada.core.color.contrast import composite
from tonada.core.color.css_values import SYSTEM_COLORS
from tonada.core.color.notation import LONGEST_COLOR, ReadColor, is_color_name, read_color
from tonada.core.color.spaces import Hex, hex_to_srgb8, srgb8_to_hex
from tonada.core.errors import ColorError, InputError
from tonada.core.formats.naming import is_use, words_of
from tonada.core.limits import MAX_LIST_COLORS, MAX_LIST_WARNINGS, MAX_NAME_LENGTH
from tonada.core.source.notes import Note, NoteKind
from tonada.core.take.earlier import ROLES_OF_FORMAT_1
from tonada.core.take.take import Role
from tonada.core.take.texts import one_line

# What people call a role in stylesheets and guides, beside the role's own name.
ROLE_WORDS: Final = {
    **{str(role): role for role in Role},
    # What files of earlier releases call them.
    **{old: Role(new) for old, new in ROLES_OF_FORMAT_1.items()},
    "brand": Role.PRIMARY,
    "main": Role.PRIMARY,
    "highlight": Role.ACCENT,
    "cta": Role.ACCENT,
    "background": Role.PAPER,
    "bg": Role.PAPER,
    "surface": Role.MIST,
    "text": Role.INK,
    "foreground": Role.INK,
    "fg": Role.INK,
    "body": Role.INK,
    "subtle": Role.MUTED,
    "border": Role.LINE,
    "divider": Role.LINE,
    "links": Role.LINK,
}
_AROUND_ROLE: Final = re.compile(
    r"^(?:color|colour|colors|clr|c|brand|theme)[\s._/-]+|[\s._/-]+(?:color|colour|default|base)$"
)

# What a value that holds this might be a colour after all: digits, a reference, a function that isn't
# known to be something else.
MAY_BE_COLOR: Final = re.compile(
    rf"""\#[0-9a-f]{{3}} | \b(?:currentcolor|{"|".join(SYSTEM_COLORS)})\b | (?<![-\w])(?:var|\$|@)
      | (?<![-\w])(?!(?:calc|min|max|clamp|abs|round|env|url|attr|local|format|repeat|minmax|fit-content
          |counters?|linear|steps|cubic-bezier|rotate|translate[xyz]?|scale[xyz]?|skew[xy]?|matrix|blur
          |brightness|opacity|percentage|unquote|quote|math\.\w+|div|rem|em|px|(?:repeating-)?
          (?:linear|radial|conic)-gradient)\()[-.\w]*[-a-z]\(""",
    re.VERBOSE | re.IGNORECASE,
)

_BY_WEIGHT: Final[tuple[NoteKind, ...]] = ("not understood", "mapped", "assumed", "left out")


@dataclass(frozen=True, slots=True)
class ListedColor:
    """A colour of a list. name: as the list has it, or None. role: where the name says so."""

    hex: Hex
    name: str | None
    role: Role | None


@dataclass(frozen=True, slots=True)
class ListWarning:
    """Something that was skipped or changed. line: from 1, or None. times: how many it stands for."""

    line: int | None
    text: str
    kind: NoteKind = "not understood"
    times: int = 1

    @property
    def note(self) -> Note:
        return Note(self.kind, f"line {self.line}" if self.line else "", self.text, self.times)


@dataclass(frozen=True, slots=True)
class ColorList:
    """format: what it was read as. title: the list's own name, where it has one."""

    format: str
    colors: tuple[ListedColor, ...]
    warnings: tuple[ListWarning, ...]
    title: str | None = None


class ListBuilder:
    """Collects the colours of a list; a colour with the same name and value is taken once."""

    def __init__(self, format_name: str) -> None:
        self._format = format_name
        self._colors: dict[tuple[Hex, str | None], ListedColor] = {}
        self._warnings: list[ListWarning] = []
        self._roles: set[Role] = set()
        self._beyond = 0
        self.title: str | None = None

    def add(
        self, color: ReadColor, name: str | None, *, line: int | None = None, role: Role | None = None
    ) -> None:
        """Take a colour; what had to be changed about it is noted."""
        value, shown = color.hex, plain_name(name)
        if color.alpha == 0:
            self.warn(line, f"{shown or 'A colour'} is fully transparent and was left out.", "left out")
            return
        if color.alpha < 1:
            white = hex_to_srgb8("#ffffff")
            value = srgb8_to_hex(composite(hex_to_srgb8(color.hex), color.alpha, white))
            self.warn(
                line, f"{shown or color.hex} is translucent; taken as it looks on white, {value}.", "assumed"
            )
        if color.mapped:
            self.warn(
                line,
                f"{shown or value} lies outside sRGB; taken as an sRGB screen shows it, {value}.",
                "mapped",
            )
        if len(self._colors) >= MAX_LIST_COLORS and (value, shown) not in self._colors:
            self._beyond += 1
            return
        wanted = role or role_of_name(name)
        own = wanted if wanted and wanted not in self._roles else None
        if own:
            self._roles.add(own)
        self._colors.setdefault((value, shown), ListedColor(value, shown, own))

    def add_text(self, text: str, name: str | None, *, line: int | None = None) -> bool:
        """Take a colour from its notation; warn and return False where it is none."""
        try:
            self.add(read_color(text), name, line=line)
        except ColorError:
            label = f"{plain_name(name)}: " if name else ""
            self.warn(line, f"{label}“{' '.join(text.split())[:60]}” is not a colour.")
            return False
        return True

    def add_css(self, text: str, name: str | None, *, line: int | None = None) -> bool:
        """Take a colour as CSS writes it; a bare number or bare digits are none, such as a z-index."""
        if text[:1] == "#" or "(" in text or is_color_name(text):
            return self.add_text(text, name, line=line)
        self.warn_no_color(text, name, line=line)
        return False

    def warn_no_color(
        self, text: str, name: str | None, *, line: int | None = None, is_sure: bool = False
    ) -> None:
        """Say that a value was left out: it is no colour, or perhaps one that isn't understood."""
        kind: NoteKind = "left out" if is_sure or not MAY_BE_COLOR.search(text) else "not understood"
        written = " ".join(text.split())[:60]
        self.warn(line, f"{plain_name(name) or 'A value'}: “{written}” is not a colour.", kind)

    def warn(self, line: int | None, text: str, kind: NoteKind = "not understood") -> None:
        """Warn the person of something; further ones than the limit are only counted."""
        self._warnings.append(ListWarning(line, text[:300], kind))

    def build(self) -> ColorList:
        """Return the list. Raises InputError where no colour was found."""
        if not self._colors:
            detail = f" {_where(self._warnings[0])}" if self._warnings else ""
            raise InputError(f"No colour was found.{detail}", field="file")
        self._leave_out_uses()
        # What matters least is counted where there is no place for all.
        ordered = sorted(self._warnings, key=lambda warning: _BY_WEIGHT.index(warning.kind))
        warnings, others = ordered[:MAX_LIST_WARNINGS], ordered[MAX_LIST_WARNINGS:]
        if others:
            warnings.append(ListWarning(None, f"{len(others):,} more of these.", others[0].kind, len(others)))
        if self._beyond:
            taken = f"{MAX_LIST_COLORS:,} of {MAX_LIST_COLORS + self._beyond:,} colours were taken"
            said = f"{taken}, which is the limit; {self._beyond:,} are left out."
            warnings.insert(0, ListWarning(None, said, "left out", self._beyond))
        return ColorList(self._format, tuple(self._colors.values()), tuple(warnings), plain_name(self.title))

    def _leave_out_uses(self) -> None:
        """Leave out what another colour of the list is called on a ground, such as “text on mist”."""
        uses = {key for key in self._colors if key[1] and is_use(words_of(_without_scheme(key[1])))}
        others = {value for value, name in self._colors if (value, name) not in uses}
        named = [key for key in uses if key[0] in others]
        for key in named:
            del self._colors[key]
        if named:
            said = f"{len(named)} names of texts on grounds, whose colours are in the list already."
            self._warnings.append(ListWarning(None, said, "left out", len(named)))


def _without_scheme(name: str) -> str:
    return name.removesuffix(" (dark)").removesuffix("-night")


def plain_name(name: str | None) -> str | None:
    """Return a name in one line without control characters, cut to its limit; None for an empty one."""
    return one_line(name or "")[:MAX_NAME_LENGTH].strip() or None


def is_css_color(value: object) -> bool:
    """Return whether a value is a text that CSS calls a colour; bare digits, such as a z-index, are none."""
    if not isinstance(value, str) or len(value) > LONGEST_COLOR:
        return False
    if not (value.startswith("#") or "(" in value or is_color_name(value)):
        return False
    try:
        read_color(value)
    except ColorError:
        return False
    return True


def role_of_name(name: str | None) -> Role | None:
    """Return the role that a name says, such as `--color-primary` or “Text”; None for any other name."""
    word = (name or "").strip().lstrip("-$").lower()
    for _ in range(2):
        word = _AROUND_ROLE.sub("", word)
    return ROLE_WORDS.get(word)


def _where(warning: ListWarning) -> str:
    return f"Line {warning.line}: {warning.text}" if warning.line else warning.text
