#!/usr/bin/env bash
# Prints the PATH under which a Node that Vite can use is found first. Debian 12's own is too old:
# then a current one comes into .venv/ as a Python wheel.
set -u
root=$(cd "$(dirname "$0")/.." && pwd)
fits() {
  "$1/node" -e '
    const [major, minor] = process.versions.node.split(".").map(Number)
    process.exit(major > 22 || (major === 22 && minor >= 12) || (major === 20 && minor >= 19) ? 0 : 1)' 2>/dev/null &&
    [ "$("$1/npm" --version 2>/dev/null | cut -d. -f1)" -ge 11 ] 2>/dev/null
}
system=$(dirname "$(command -v node || echo /nowhere/node)")
if fits "$system"; then
  printf '%s' "$PATH"
  exit 0
fi
if ! fits "$root/.venv/bin"; then
  # One installer at a time, and the second one finds it there.
  exec 9<"$root/requirements" && flock 9 || exit 1
fi
if ! fits "$root/.venv/bin"; then
  echo "Installing a current Node into .venv/ …" >&2
  "$root/.venv/bin/pip" install -q --require-hashes --only-binary :all: -r "$root/requirements/node.txt" >&2 || exit 1
fi
printf '%s' "$root/.venv/bin:$PATH"
