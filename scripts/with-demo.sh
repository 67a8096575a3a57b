#!/usr/bin/env bash
# with-demo.sh COMMAND…  runs a command against a fresh demo on a throw-away cluster; its address is in SOUNDING_URL
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
bash scripts/setup.sh --browser >&2
SOUNDING_DATA="$(mktemp -d)"; chmod 711 "$SOUNDING_DATA"; export SOUNDING_DATA
DATABASE_URL="$(scripts/db.sh start)"; export DATABASE_URL SOUNDING_ROOT="$PWD"
CHROMIUM="$(command -v chromium)"; export CHROMIUM
export PORT="${PORT:-4749}"
export SOUNDING_URL="http://127.0.0.1:$PORT"
node --enable-source-maps server/dist/main.js >/dev/null & server=$!
trap 'kill $server 2>/dev/null; wait $server || true; scripts/db.sh stop; rm -rf "$SOUNDING_DATA"' EXIT
node -e 'const until = Date.now() + 30000; const ask = () => fetch(process.env.SOUNDING_URL + "/api/health").then((r) => { if (!r.ok) throw 0; }).catch(() => { if (Date.now() < until) setTimeout(ask, 200); else process.exit(1); }); ask();'
"$@"
