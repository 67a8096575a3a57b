#!/usr/bin/env bash
# start.sh  the database (unless DATABASE_URL names one) and the application; Ctrl-C ends both
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
mine=0
if [ -z "${DATABASE_URL:-}" ]; then
  scripts/db.sh status || mine=1 # one that another start is using is not ours to stop
  DATABASE_URL="$(scripts/db.sh start)"
  export DATABASE_URL
fi
export SOUNDING_ROOT="$PWD"
child=""
stop() {
  trap '' INT TERM HUP
  [ -z "$child" ] || { kill -TERM "$child" 2>/dev/null || true; wait "$child" 2>/dev/null || true; }
  [ "$mine" = 0 ] || scripts/db.sh stop
  exit 0
}
trap stop INT TERM HUP
node --enable-source-maps server/dist/main.js & child=$!
rc=0; wait "$child" || rc=$?
[ "$mine" = 0 ] || scripts/db.sh stop
exit "$rc"
