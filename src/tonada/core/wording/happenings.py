"""What can happen to a review, and how it is worded: for the history, on a page and on paper."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any, Final, Literal, TypeAlias

Kind: TypeAlias = Literal[
    "made",
    "link made",
    "opened",
    "remarked",
    "answered",
    "taken back",
    "chosen",
    "approved",
    "reopened",
    "prolonged",
    "link withdrawn",
    "withdrawn",
    "answers taken in",
]


@dataclass(frozen=True, slots=True)
class Happening:
    """Something that happened. who: a client's name, empty for the designer. detail: by kind, see _SAID."""

    kind: str
    who: str
    detail: Mapping[str, Any]


def sentence_of(happening: Happening) -> str:
    """Return what happened as a sentence in plain English, with its full stop."""
    say = _SAID.get(happening.kind)
    return say(happening) if say else f"{_who(happening)}: {happening.kind}."


def _who(happening: Happening) -> str:
    return happening.who or "The designer"


def _chosen(happening: Happening) -> str:
    reason = str(happening.detail.get("reason") or "")
    if happening.detail.get("place") is None:
        return f"{_who(happening)} chose none of them" + (f": “{reason}”." if reason else ".")
    return f"{_who(happening)} chose {happening.detail.get('name')}" + (f": “{reason}”." if reason else ".")


def _approved(happening: Happening) -> str:
    detail = happening.detail
    return (
        f"{_who(happening)} approved {detail.get('name')}, version {detail.get('version')} "
        f"(digest {str(detail.get('digest', ''))[:12]})."
    )


def _for(happening: Happening) -> str:
    name = str(happening.detail.get("link") or "")
    return f" for {name}" if name else ""


def _about(happening: Happening) -> str:
    about = str(happening.detail.get("about") or _WHOLE)
    return "" if about == _WHOLE else f" on {about}"


# What is remarked on where it isn't a part: the review as a whole.
_WHOLE: Final = "the whole"

_SAID: Final[Mapping[str, Callable[[Happening], str]]] = {
    "made": lambda one: f"The review was made with {one.detail.get('takes')}.",
    "link made": lambda one: f"A link{_for(one)} was made.",
    "opened": lambda one: f"The link{_for(one)} was opened for the first time.",
    "remarked": lambda one: f"{_who(one)} remarked{_about(one)}: “{one.detail.get('text')}”",
    "answered": lambda one: f"{_who(one)} answered: “{one.detail.get('text')}”",
    "taken back": lambda one: f"{_who(one)} deleted a remark{_about(one)}.",
    "chosen": _chosen,
    "approved": _approved,
    "reopened": lambda one: (
        "The designer reopened the review"
        + (f": “{one.detail.get('reason')}”." if one.detail.get("reason") else ".")
    ),
    "prolonged": lambda one: f"The link{_for(one)} now ends {one.detail.get('until') or 'never'}.",
    "link withdrawn": lambda one: f"The link{_for(one)} was withdrawn.",
    "withdrawn": lambda _: "The review was withdrawn.",
    "answers taken in": lambda one: f"Answers from a file{_for(one)} were imported.",
}
KINDS: Final = tuple(_SAID)
