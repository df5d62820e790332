"""What stands below the help of each command: lines that work. A test reads every one of them."""

from __future__ import annotations

import argparse
from typing import Final

EXAMPLES: Final[dict[str, tuple[str, ...]]] = {
    "extract": ("tonada extract logo.svg", "tonada extract photograph.jpg --max 6 --json"),
    "contrast": ("tonada contrast '#747892' '#e4e5ef'", "tonada contrast 'rgb(0 0 0 / 60%)' white --json"),
    "roles": ("tonada roles '#2b3a8c' '#d7b13c' '#b6653a'",),
    "harmony": (
        "tonada harmony '#2b3a8c' --rule triadic",
        "tonada harmony '#2b3a8c' --rule complementary --circle painter",
    ),
    "ramp": ("tonada ramp '#2b3a8c'", "tonada ramp '#2b3a8c' --kind mix --steps 5"),
    "mend": (
        "tonada mend '#747892' '#e4e5ef' --ratio 4.5",
        "tonada mend '#747892' '#e4e5ef' --ratio 7 --move ground --mode free",
    ),
    "convert": ("tonada convert colours.txt --to tokens", "tonada convert palette.gpl --to css"),
    "export": (
        "tonada export brand.tonada.json --to css --steps --dark attribute",
        "tonada export brand.tonada.json --to pdf --pages values pairs --out sheet.pdf",
    ),
    "slots": (
        "tonada slots brand.tonada.json --destination slides",
        "tonada slots brand.tonada.json --destination newsletter --to pdf --out slots.pdf",
    ),
    "recolour": (
        "tonada recolour old.css --take brand.tonada.json --diff",
        "tonada recolour old.css --take brand.tonada.json --properties",
    ),
    "build": (
        "tonada build logo.svg --out brand.tonada.json",
        "tonada build '#2b3a8c' '#d7b13c' --mood calm --to css --out brand.css",
    ),
    "palettes": (
        "tonada palettes --near '#8a3f24' --mood warm --hues 2 --json",
        "tonada palettes --with '#2b3a8c' --ground light --aaa",
        "tonada palettes --take 'Sage soap' --out brand.tonada.json",
    ),
    "serve": ("tonada serve", "tonada serve --demo"),
    "backup": ("tonada backup tonada-backup.dump",),
    "restore": ("tonada restore tonada-backup.dump",),
    "completions": ("tonada completions bash", "tonada completions fish"),
}


def add_examples(commands: argparse._SubParsersAction[argparse.ArgumentParser]) -> None:
    """Add the examples to the help of each command that has no epilog yet."""
    for name, command in commands.choices.items():
        if not command.epilog:
            command.epilog = "\n".join(["examples:", *(f"  {line}" for line in EXAMPLES.get(name, ()))])
            command.formatter_class = argparse.RawDescriptionHelpFormatter
