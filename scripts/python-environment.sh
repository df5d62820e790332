#!/usr/bin/env bash
# Makes .venv/ from the locked versions: `run` for what running needs, `dev` for the tests as well.
set -u
cd "$(dirname "$0")/.." || exit 1
kind=$1
# One installer at a time: the front end's Node comes into .venv/ too.
exec 9<requirements && flock 9 || exit 1
[ -x .venv/bin/python ] || python3 -m venv .venv || { echo "python3 could not make .venv/ (is the disk full?)" >&2; exit 1; }
export PIP_DISABLE_PIP_VERSION_CHECK=1 PIP_ROOT_USER_ACTION=ignore
echo "Installing the Python packages ($kind) …"
.venv/bin/pip install -q --require-hashes --only-binary :all: -r "requirements/$kind.txt" || exit 1
# The project itself needs no build: a path file points at its source, an entry script calls it.
site=$(.venv/bin/python -c 'import sysconfig; print(sysconfig.get_path("purelib"))')
printf '%s\n' "$PWD/src" >"$site/tonada.pth"
printf '#!%s\nimport sys\n\nfrom tonada.cli import main\n\nsys.exit(main())\n' "$PWD/.venv/bin/python" >.venv/bin/tonada
chmod +x .venv/bin/tonada
touch ".venv/.installed-$kind"
