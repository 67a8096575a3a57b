#!/usr/bin/env bash
# dev.sh  database, server that restarts on change, and Vite with hot reload at http://127.0.0.1:5173/
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
mine=0
if [ -z "${DATABASE_URL:-}" ]; then
  scripts/db.sh status || mine=1 # one that another start is using is not ours to stop
  DATABASE_URL="$(scripts/db.sh start)"; export DATABASE_URL
fi
export SOUNDING_ROOT="$PWD" PORT="${PORT:-4747}"
stop() { trap '' EXIT INT TERM HUP; [ "$mine" = 0 ] || scripts/db.sh stop; kill 0; }
trap stop EXIT INT TERM HUP
node_modules/.bin/tsx watch --include 'knowledge/dist/*.json' server/src/main.ts &
( cd web && API="http://127.0.0.1:$PORT" ../node_modules/.bin/vite ) &
wait
