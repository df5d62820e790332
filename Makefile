# The index of everything one can do here. Every target does the set-up it needs, on a fresh Debian machine too.
SHELL := /bin/bash
# Modules are compiled once, whatever the environment says: hundreds of processes import them.
unexport PYTHONDONTWRITEBYTECODE
PYTHON := .venv/bin/python
NODE := PATH="$$(scripts/node-path.sh)"
PYTHON_FILES := $(shell find src/tonada -name "*.py" 2>/dev/null)
FRONTEND_FILES := $(shell find frontend/src frontend/public -type f -not -name "*.test.ts" -not -path "*/testing/*" -not -path "*/api/*" 2>/dev/null) $(shell find frontend/src/api -name "*.ts" -not -name schema.d.ts 2>/dev/null) $(wildcard docs/*.md docs/guide/*.md docs/screenshots/*.png) frontend/index.html frontend/docs.html frontend/review.html frontend/vite.config.ts frontend/vite.review.config.ts frontend/package.json

.DEFAULT_GOAL := help
# What was only half built is built again.
.DELETE_ON_ERROR:
.PHONY: help audit mutations setup demo demo-reset serve test test-long lint pytest frontend-test bench screenshots texts types lock system system-tests clean ready-made

help: ## list these targets
	@grep -E '^[a-z-]+:.*##' Makefile | sed -E 's/:.*## /|/' | column -t -s '|'

system:
	@scripts/system-packages.sh
system-tests: | system
	@scripts/system-packages.sh --tests

.venv/.installed-run: requirements/run.txt pyproject.toml | system
	@scripts/python-environment.sh run
.venv/.installed-dev: requirements/dev.txt pyproject.toml | system-tests .venv/.installed-run
	@scripts/python-environment.sh dev
frontend/node_modules/.installed: frontend/package-lock.json | .venv/.installed-run
	@echo "Installing what the front end is built from …"
	@cd frontend && $(subst scripts/,../scripts/,$(NODE)) npm ci --no-audit --no-fund --loglevel=error && touch node_modules/.installed
# What is made from the Python code: the API's description, the front end's types and constants. A file that
# comes out the same keeps its time, so nothing is built again because of it.
src/tonada/web/.described: .venv/.installed-run $(PYTHON_FILES)
	@scripts/described.sh
src/tonada/web/openapi.json frontend/src/api/constants.json: src/tonada/web/.described ;
frontend/src/api/.typed: src/tonada/web/.described frontend/node_modules/.installed
	@cd frontend && $(subst scripts/,../scripts/,$(NODE)) npm run --silent types && touch src/api/.typed
frontend/dist/index.html: frontend/node_modules/.installed $(FRONTEND_FILES) frontend/src/api/constants.json
	@echo "Building the front end …"
	@log=$$(mktemp) && (cd frontend && $(subst scripts/,../scripts/,$(NODE)) npm run --silent build) >"$$log" 2>&1 \
	  || { cat "$$log" >&2; exit 1; }; rm -f "$$log"
	@$(PYTHON) scripts/notices.py frontend/dist/third-party-notices.txt
	@$(PYTHON) -m whitenoise.compress --quiet frontend/dist

setup: .venv/.installed-run src/tonada/web/openapi.json frontend/dist/index.html ## install and build what running needs; afterwards .venv/bin/tonada is the command

demo: setup ## start Tonada with its demo brands on http://127.0.0.1:8600
	@exec .venv/bin/tonada serve --demo
demo-reset: setup ## throw the demo data away and start anew
	@exec .venv/bin/tonada serve --demo --reset
serve: setup ## start Tonada without demo brands
	@exec .venv/bin/tonada serve

lint: .venv/.installed-dev frontend/src/api/.typed ## ruff, mypy, vue-tsc, ESLint, Prettier
	@.venv/bin/ruff check . && .venv/bin/ruff format --check . && $(PYTHON) -m scripts.names
	@.venv/bin/mypy
	@cd frontend && $(subst scripts/,../scripts/,$(NODE)) npm run --silent check
pytest: .venv/.installed-dev setup ## all pytest suites, the browser's included
	@PATH="$$(scripts/node-path.sh)" .venv/bin/pytest -n 2 --dist worksteal
frontend-test: frontend/node_modules/.installed frontend/src/api/constants.json ## the front end's own tests: documents, stores, layout
	@cd frontend && $(subst scripts/,../scripts/,$(NODE)) npm run --silent test
test: .venv/.installed-dev frontend/src/api/.typed ## what proves a change
	@$(MAKE) --no-print-directory --output-sync=target -j2 lint frontend-test
	@$(MAKE) --no-print-directory pytest
audit: .venv/.installed-dev setup ## every view in every look and width: axe, reflow, small text, controls that can’t be hit
	@TONADA_TESTS=long PATH="$$(scripts/node-path.sh)" .venv/bin/pytest -n 2 --dist worksteal tests/browser/test_audit.py
mutations: .venv/.installed-dev frontend/node_modules/.installed ## what the tests would notice of changed code, in the parts that must be exact
	@$(PYTHON) -m scripts.mutations $(if $(SHOW),--show)
	@cd frontend/mutations && $(subst scripts/,../../scripts/,$(NODE)) npm ci --no-audit --no-fund --loglevel=error
	@cd frontend && export INTERLEAVINGS=150; for file in formats same saving scheme take unsent useChange useHistory useReplay; do \
	  $(subst scripts/,../scripts/,$(NODE)) mutations/node_modules/.bin/stryker run mutations/stryker.config.json \
	    --mutate "src/take/$$file.ts" --incrementalFile "mutations/tried-$$file.json" || exit 1; done
test-long: export TONADA_TESTS=long
test-long: test ## the same with nothing sampled and nothing left out: before an issue is resolved

bench: .venv/.installed-dev setup ## figures, each beside a peer in the same run
	@$(PYTHON) -m bench
ready-made: .venv/.installed-dev ## the ready-made palettes anew: the same every time; SHEETS=folder draws them to look at
	@$(PYTHON) -m scripts.ready_made $(if $(SHEETS),--sheet $(SHEETS))
texts: .venv/.installed-dev frontend/node_modules/.installed ## every text of the interface, with its place
	@cd frontend && $(subst scripts/,../scripts/,$(NODE)) node texts.mjs
	@$(PYTHON) -m scripts.texts
screenshots: .venv/.installed-dev setup ## docs/screenshots/ anew from the demo data
	@$(PYTHON) scripts/screenshots.py
types: frontend/src/api/.typed ## the API's description and the front end's types from it; setup and lint do it by themselves
lock: ## lock the Python packages anew (needs uv)
	@scripts/lock.sh
clean: ## remove what was built; keeps .data/
	@rm -rf .venv frontend/node_modules frontend/dist .mypy_cache .ruff_cache .pytest_cache .hypothesis .schemathesis
	@rm -f src/tonada/web/openapi.json src/tonada/web/.described frontend/src/api/schema.d.ts frontend/src/api/constants.json frontend/src/api/.typed
