"""Prints a take before there is anything in it: `python -m tonada.document.empty`. The front end reads it."""

from __future__ import annotations

from tonada.document.take import TakeDocument

if __name__ == "__main__":
    print(TakeDocument().model_dump_json(indent=2))
