#!/usr/bin/env bash
# bench.sh [--browser]  the published data and times of the core; with --browser the way from a key to the screen as well
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
bash scripts/setup.sh --no-packages >&2
node_modules/.bin/tsx bench/src/main.ts
if [ "${1:-}" = --browser ]; then bash scripts/with-demo.sh node_modules/.bin/tsx e2e/timings.ts; fi
