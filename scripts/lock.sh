#!/usr/bin/env bash
# Locks the Python packages anew, with hashes and without naming where they came from.
set -eu
cd "$(dirname "$0")/.."
compile="uv pip compile -q --universal --python-version 3.11 --generate-hashes --no-emit-index-url --no-emit-find-links --only-binary :all:"
$compile pyproject.toml -o requirements/run.txt
$compile pyproject.toml --extra dev -o requirements/dev.txt
$compile requirements/node.in -o requirements/node.txt
