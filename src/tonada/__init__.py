"""Tonada derives a brand colour palette, gives its colours roles, and proves that text can be read.

For scripts: `tonada.build(["#2b3a8c"])`, `tonada.check("dist/site.css")` and the other names of
`tonada.scripting`, which is loaded when one of them is first asked for; the command line needs none of it.
"""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

if TYPE_CHECKING:
    from tonada.scripting import *  # noqa: F403

__version__ = "0.2.0"
# What `tonada.scripting` offers. Any other name is a sub-package that is being imported, which loads nothing.
_OFFERED = frozenset((
    "FILE_FORMATS", "ChangeLine", "CheckedPair", "ColorList", "Evaluation", "InputError", "Level",
    "MendedTake", "Options", "Take", "TonadaError", "Usage", "build", "changes", "check", "contrast",
    "convert", "evaluate", "export", "load", "mend", "read", "save",
))  # fmt: skip


def __getattr__(name: str) -> Any:
    """Load what is offered when it is first asked for. Source: PEP 562."""
    if name in _OFFERED:
        from importlib import import_module

        return getattr(import_module("tonada.scripting"), name)
    raise AttributeError(f"module 'tonada' has no attribute {name!r}")
