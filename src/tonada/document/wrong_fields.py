"""What pydantic refuses, in plain English: which field it is, and what is allowed there."""

from __future__ import annotations

import re
from typing import Any, Final

from pydantic import ValidationError

from tonada.document.parts import HEX

# By pydantic's name of the error; what is in braces is pydantic's name of the limit.
_SENTENCES: Final = {
    "missing": "is missing",
    "extra_forbidden": "is not known here",
    "string_too_short": "needs at least {min_length} characters",
    "string_too_long": "may have at most {max_length} characters",
    "too_short": "needs at least {min_length} entries",
    "too_long": "may have at most {max_length} entries",
    "greater_than_equal": "must be at least {ge}",
    "greater_than": "must be more than {gt}",
    "less_than_equal": "must be at most {le}",
    "less_than": "must be less than {lt}",
    "literal_error": "must be {expected}",
    "enum": "must be {expected}",
    "union_tag_invalid": "must be one of {expected_tags}",
    "union_tag_not_found": "needs a {discriminator}",
    "model_attributes_type": "must be an object",
    "model_type": "must be an object",
    "dict_type": "must be an object",
    "int_parsing": "must be a whole number",
    "int_type": "must be a whole number",
    "int_from_float": "must be a whole number",
    "float_parsing": "must be a number",
    "float_type": "must be a number",
    "finite_number": "must be a finite number",
    "bool_type": "must be true or false",
    "bool_parsing": "must be true or false",
    "string_type": "must be a text",
    "tuple_type": "must be a list",
    "uuid_parsing": "must be a UUID",
}


def first_wrong(error: ValidationError, whole: str = "body") -> tuple[str, str]:
    """Return the path of the first field that is wrong, and a sentence that says what is allowed there.

    The path is empty where the whole is wrong, such as what is no JSON. whole: what that is called.
    """
    first = error.errors(include_url=False)[0]
    path = ".".join(str(part) for part in first["loc"])
    said = _said(first["type"], first["msg"], first.get("ctx", {}))
    if first["type"] in ("float_parsing", "int_parsing") and "," in str(first["input"]):
        said += f"; write {str(first['input'])[:20].replace(',', '.')} with a point"
    return path, f"{_named(first['loc'] or (whole,))} {said}."


def _named(place: tuple[int | str, ...]) -> str:
    """Return the field as a person would say it: “name”, or “swatches 4, name”, counted from one."""
    counted: list[str] = []
    last = ""
    for part in place:
        if isinstance(part, int):
            counted.append(f"{last} {part + 1}".strip())
            last = ""
        else:
            last = part
    words = [*counted, last] if last else counted
    return f"“{', '.join(words)}”"


def _said(kind: str, message: str, limits: dict[str, Any]) -> str:
    if kind in ("string_too_short", "too_short") and limits["min_length"] == 1:
        return "can’t be empty"
    if kind == "string_pattern_mismatch" and limits["pattern"] == HEX:
        return "must be a colour like #2b3a8c"
    if kind in _SENTENCES:
        return _SENTENCES[kind].format(**{name: _written(limit) for name, limit in limits.items()})
    return f"isn’t right: {message}"


def _written(limit: Any) -> str:
    if isinstance(limit, float) and limit.is_integer():
        return str(int(limit))
    return re.sub(r"'([^']*)'", r"“\1”", str(limit))
