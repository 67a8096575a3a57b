#!/usr/bin/env bash
# dev.sh  database, server that restarts on change, and Vite with hot reload at http://127.0.0.1:5173/
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
DATABASE_URL="${DATABASE_URL:-$(scripts/db.sh start)}"; export DATABASE_URL
export SOUNDING_ROOT="$PWD" PORT="${PORT:-4747}"
trap 'trap "" EXIT; kill 0' EXIT INT TERM HUP
node_modules/.bin/tsx watch --include 'knowledge/dist/*.json' server/src/main.ts &
( cd web && API="http://127.0.0.1:$PORT" ../node_modules/.bin/vite ) &
wait
