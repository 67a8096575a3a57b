#!/usr/bin/env bash
# screenshots.sh  fresh pictures of the main views from the demo, on a database of their own
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
bash scripts/setup.sh --browser
SOUNDING_DATA="$(mktemp -d)"; chmod 711 "$SOUNDING_DATA"; export SOUNDING_DATA
DATABASE_URL="$(scripts/db.sh start)"; export DATABASE_URL SOUNDING_ROOT="$PWD"
PORT=4749 node server/dist/main.js >/dev/null & server=$!
trap 'kill $server; wait $server || true; scripts/db.sh stop; rm -rf "$SOUNDING_DATA"' EXIT
for _ in $(seq 100); do curl -sf http://127.0.0.1:4749/api/health >/dev/null && break; sleep 0.2; done
CHROMIUM="$(command -v chromium)" node_modules/.bin/tsx scripts/screenshots.ts http://127.0.0.1:4749
