"""The parser of the command line, which says what may have been meant."""

from __future__ import annotations

import argparse
import difflib
import re
from typing import Final, NoReturn

_CHOICE: Final = re.compile(r"invalid choice: '(?P<word>[^']*)' \(choose from (?P<choices>.*)\)")


def number(text: str) -> float:
    """Return a number that was typed; a decimal comma is refused with a sentence."""
    try:
        return float(text)
    except ValueError:
        hint = " (write decimals with a point, such as 4.5)" if "," in text else ""
        raise argparse.ArgumentTypeError(f"“{text}” is not a number{hint}") from None


class Parser(argparse.ArgumentParser):
    """Refuse wrong arguments as argparse does, and suggest the nearest known word."""

    def error(self, message: str) -> NoReturn:
        found = _CHOICE.search(message)
        if found:
            choices = re.findall(r"[\w-]+", found["choices"])
            near = difflib.get_close_matches(found["word"], choices, n=1)
            message += f". Did you mean “{near[0]}”?" if near else ""
        super().error(message)
