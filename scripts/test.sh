#!/usr/bin/env bash
# test.sh  types, lint, knowledge lint, Jest and the journeys on a database of their own; the last line counts them all
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
SOUNDING_DATA="$(mktemp -d)"; chmod 711 "$SOUNDING_DATA"
export SOUNDING_DATA SOUNDING_DB=sounding_test
cleanup() { scripts/db.sh stop; rm -rf "$SOUNDING_DATA"; }
trap cleanup EXIT
trap 'exit 130' INT TERM HUP
DATABASE_URL="$(scripts/db.sh start)" || exit 1
export DATABASE_URL SOUNDING_ROOT="$PWD"
CHROMIUM="$(command -v chromium)"; export CHROMIUM
passed=0; failed=0
check() { # NAME COMMAND…  one check that passes or fails as a whole
  local name="$1"; shift
  if "$@"; then echo "ok: $name"; passed=$((passed + 1)); else echo "FAILED: $name"; failed=$((failed + 1)); fi
}
count() { # NAME REPORT  adds a runner's own counts; a report that is missing is a failure
  local counts
  if counts="$(node scripts/count.mjs "$2")"; then
    passed=$((passed + ${counts% *})); failed=$((failed + ${counts#* }))
  else
    echo "FAILED: $1 left no report"; failed=$((failed + 1))
  fi
}
check types node_modules/.bin/tsc -b
check lint node_modules/.bin/eslint --cache --cache-location .data/eslintcache .
check "knowledge lint" node_modules/.bin/tsx knowledge/src/main.ts --lint
NODE_OPTIONS="--experimental-vm-modules --disable-warning=ExperimentalWarning" \
  timeout 2400 node_modules/.bin/jest --maxWorkers=2 --json --outputFile="$SOUNDING_DATA/jest.json" || true
count jest "$SOUNDING_DATA/jest.json"
PLAYWRIGHT_JSON_OUTPUT_NAME="$SOUNDING_DATA/playwright.json" timeout 2400 node_modules/.bin/playwright test --config e2e/playwright.config.ts || true
count journeys "$SOUNDING_DATA/playwright.json"
echo "$passed passed, $failed failed"
[ "$failed" = 0 ]
