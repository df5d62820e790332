#!/usr/bin/env bash
# Makes what is read off the Python code: the API's description and what the page has to know beforehand.
set -eu
cd "$(dirname "$0")/.."
# A file that comes out the same keeps its time.
replace() {
  if cmp -s "$1.new" "$1"; then rm "$1.new"; else mv "$1.new" "$1"; fi
}
.venv/bin/python -m tonada.web.openapi >src/tonada/web/openapi.json.new
replace src/tonada/web/openapi.json
.venv/bin/python -m tonada.document.page_constants >frontend/src/api/constants.json.new
replace frontend/src/api/constants.json
touch src/tonada/web/.described
