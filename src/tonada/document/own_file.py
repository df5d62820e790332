"""Tonada's own file: a whole take as JSON, with the version of the format. See docs/own-file.md."""

from __future__ import annotations

import json
from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Annotated, Final

from pydantic import StringConstraints, ValidationError

from tonada.core.errors import InputError
from tonada.core.formats.detect import decode_text
from tonada.core.formats.format import Json
from tonada.core.formats.own_list import MARK, is_own
from tonada.core.formats.tokens import parse_json
from tonada.core.limits import MAX_JSON_BYTES, MAX_NAME_LENGTH, MAX_PLACED_PICTURES, MAX_SWATCHES
from tonada.core.take.take import Take
from tonada.core.take.texts import one_line
from tonada.document.parts import Line, Model
from tonada.document.take import TakeDocument
from tonada.document.wrong_fields import first_wrong

# Of version 3: a role has a second colour, as text or line. Of version 4: the logo may be in one colour. Of
# version 5: the picture may be without an overlay. Of version 6: typefaces may be the trade's own. Of
# version 7: pictures in places of pages, and tones. Of version 8: fonts of the brand's own.
VERSION: Final = 8
# A file of version 1 has a take of format 1, which is read as it was.
# Its logo, its pictures, and what each colour was read from.
MAX_NAMED: Final = 2 + MAX_PLACED_PICTURES + MAX_SWATCHES
READABLE: Final = (1, 2, 3, 4, 5, 6, 7, 8)


class NamedPicture(Model):
    """A picture that a take was read from or shows, which isn't in the file.

    source: its id where the file was written. digest: SHA-256 of its bytes, in hex.
    """

    source: Annotated[str, StringConstraints(min_length=1, max_length=40)]
    name: Annotated[str, StringConstraints(min_length=1, max_length=200), Line]
    digest: Annotated[str, StringConstraints(pattern=r"^[0-9a-f]{64}$")]


@dataclass(frozen=True, slots=True)
class OwnFile:
    """A file of a take. brand, name: of the brand and of the take; either may be empty.

    origin: the version that it was, and its address.
    """

    take: Take
    brand: str = ""
    name: str = ""
    origin: str = ""
    pictures: tuple[NamedPicture, ...] = ()

    @property
    def title(self) -> str:
        """Both names, “Orrin Peak Observatory, Take 1”."""
        return ", ".join(part for part in (self.brand, self.name) if part)


def write_own(own: OwnFile) -> str:
    """Return the file: the same take gives the same bytes."""
    whole = {
        "format": MARK,
        "version": VERSION,
        "name": own.title,
        **({"brand": own.brand} if own.brand else {}),
        **({"take_name": own.name} if own.name else {}),
        **({"from": own.origin} if own.origin else {}),
        **({"pictures": [entry.model_dump() for entry in own.pictures]} if own.pictures else {}),
        "take": TakeDocument.of(own.take).model_dump(mode="json"),
    }
    return json.dumps(whole, ensure_ascii=False, indent=1) + "\n"


def read_own(data: bytes) -> OwnFile:
    """Return what a file holds. Raises InputError naming what is wrong, and where."""
    if len(data) > MAX_JSON_BYTES:
        raise InputError(f"A file of a take has at most {MAX_JSON_BYTES // 1024} KB.", field="file")
    root = parse_json(decode_text(data))
    if not is_own(root):
        raise InputError(
            f"This isn’t a Tonada file: its “format” is not “{MARK}”. Choose one that ends in .tonada.json.",
            field="format",
        )
    if root.get("version") not in READABLE:
        raise InputError(
            f"The file is of version {root.get('version')}; this Tonada reads 1 to {VERSION}.",
            field="version",
        )
    try:
        document = TakeDocument.model_validate_json(json.dumps(root.get("take")))
    except ValidationError as reason:
        path, said = first_wrong(reason, "take")
        raise InputError(f"In the file, {said}", field=f"take.{path}" if path else "take") from reason
    brand, name = _names(root)
    return OwnFile(
        document.to_take(), brand, name, _line(root, "from", 400), _pictures(root.get("pictures", []))
    )


def _names(root: dict[str, Json]) -> tuple[str, str]:
    """Return the names of brand and take; a file before 0.3 has both in one."""
    if "brand" in root or "take_name" in root:
        return _line(root, "brand", MAX_NAME_LENGTH), _line(root, "take_name", MAX_NAME_LENGTH)
    brand, _, name = _line(root, "name", 2 * MAX_NAME_LENGTH + 2).partition(", ")
    return brand[:MAX_NAME_LENGTH], name[:MAX_NAME_LENGTH]


def _line(root: dict[str, Json], field: str, longest: int) -> str:
    value = root.get(field, "")
    if not isinstance(value, str):
        raise InputError(f"“{field}” is a text.", field=field)
    return one_line(value)[:longest]


def _pictures(listed: Json) -> tuple[NamedPicture, ...]:
    if not isinstance(listed, list) or len(listed) > MAX_NAMED:
        raise InputError(f"“pictures” is a list of at most {MAX_NAMED}.", field="pictures")
    return tuple(_picture(entry, f"pictures.{row}") for row, entry in enumerate(listed))


def _picture(entry: Json, place: str) -> NamedPicture:
    try:
        return NamedPicture.model_validate(entry)
    except ValidationError as reason:
        path, said = first_wrong(reason, place)
        raise InputError(f"In the file, {said}", field=f"{place}.{path}" if path else place) from reason


def named_sources(take: Take) -> dict[str, str]:
    """Return the ids of the sources that a take names, each with what it is there.

    Its logo and its pictures come first, then what its colours were read from.
    """
    named = [
        (take.proof.logo, "the logo"),
        (take.proof.picture, "the picture"),
        *((one.source, one.part) for one in take.proof.pictures),
        *((swatch.origin.source, f"what “{swatch.name}” was read from") for swatch in take.swatches),
    ]
    found: dict[str, str] = {}
    for source, what in named:
        if source:
            found.setdefault(source, what)
    return found


def sources_of(take: Take) -> tuple[str, ...]:
    """Return the ids of the sources that a take names: its logo and pictures, then what colours came from."""
    return tuple(named_sources(take))


def with_sources(take: Take, known: Mapping[str, str]) -> Take:
    """Return a take whose sources are called otherwise; those that aren't known, it names no more."""

    def moved(source: str | None) -> str | None:
        return known.get(source) if source else None

    proof = replace(
        take.proof,
        logo=moved(take.proof.logo),
        picture=moved(take.proof.picture),
        pictures=tuple(
            replace(one, source=source) for one in take.proof.pictures if (source := moved(one.source))
        ),
    )
    swatches = tuple(
        replace(swatch, origin=replace(swatch.origin, source=moved(swatch.origin.source)))
        for swatch in take.swatches
    )
    return replace(take, proof=proof, swatches=swatches)
