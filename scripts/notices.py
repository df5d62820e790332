"""Writes the notices of third parties: what ships with Tonada, from the lock files, with its licences."""

from __future__ import annotations

import json
import re
import sys
from collections.abc import Iterator
from importlib.metadata import Distribution, PackageNotFoundError, distribution
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
NODE = ROOT / "frontend"
TEXTS = re.compile(r"^(licen[cs]e|copying|notice|ofl)", re.IGNORECASE)
LINE = "=" * 78


def node_packages() -> Iterator[tuple[str, str, list[str]]]:
    """What the bundle is built from: everything in the lock file that isn't only for building."""
    locked = json.loads((NODE / "package-lock.json").read_text(encoding="utf-8"))["packages"]
    for place, package in sorted(locked.items()):
        folder = NODE / place
        if not place or package.get("dev") or not folder.is_dir():
            continue
        name = place.rpartition("node_modules/")[2]
        title = f"{name} {package['version']} ({package.get('license', 'see its text')})"
        texts = [file for file in sorted(folder.iterdir()) if file.is_file() and TEXTS.match(file.name)]
        yield name, title, [file.read_text(encoding="utf-8", errors="replace") for file in texts]


def python_packages() -> Iterator[tuple[str, str, list[str]]]:
    """What is installed beside Tonada, with what belongs to it."""
    locked = (ROOT / "requirements" / "run.txt").read_text(encoding="utf-8")
    for name in re.findall(r"^([a-z0-9._-]+)==", locked, re.MULTILINE | re.IGNORECASE):
        try:
            found = distribution(name)
        except PackageNotFoundError:
            continue  # for another platform
        licence = field(found, "License-Expression") or short(field(found, "License")) or classified(found)
        texts = [
            Path(str(file.locate())).read_text(encoding="utf-8", errors="replace")
            for file in found.files or ()
            if "dist-info" in str(file) and TEXTS.match(file.name)
        ]
        yield name, f"{name} {found.version} ({licence})", texts


def field(found: Distribution, name: str) -> str:
    return str(next(iter(found.metadata.get_all(name) or ()), ""))


def short(licence: str) -> str:
    """Some packages put the whole text where its name belongs."""
    return licence if len(licence) < 100 else ""


def classified(found: Distribution) -> str:
    names = [one for one in found.metadata.get_all("Classifier") or () if one.startswith("License")]
    return names[-1].rpartition(" :: ")[2] if names else "see its text"


def main(target: Path) -> None:
    packages = [*node_packages(), *python_packages()]
    without = [name for name, _, texts in packages if not texts]
    parts = [
        "Tonada contains or is installed with the work of others. Thank you.",
        "\n".join(title for _, title, _ in packages),
    ]
    for _, title, texts in packages:
        parts.append("\n\n".join([LINE, title, LINE, *texts]))
    if without:
        parts.append("Without a text of their own: " + ", ".join(without) + ".")
    target.write_text("\n\n".join(parts) + "\n", encoding="utf-8")


if __name__ == "__main__":
    main(Path(sys.argv[1]))
