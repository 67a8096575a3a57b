#!/usr/bin/env bash
# db.sh start|stop|status|url   the project's own PostgreSQL cluster on 127.0.0.1, never one that exists already
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
DATA="${SOUNDING_DATA:-$ROOT/.data}"
PGDATA="$DATA/pg"
DBNAME="${SOUNDING_DB:-sounding}"
PGBIN="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)"
[ -x "$PGBIN/postgres" ] || { echo "db: no PostgreSQL server is installed" >&2; exit 3; }
# the server may not run as root: then its cluster belongs to "postgres", who must be able to reach the folder
OWNER="$(id -un)"
if [ "$(id -u)" = 0 ]; then
  OWNER="${SOUNDING_DB_OWNER:-postgres}"
  as() { ( cd / && exec runuser -u "$OWNER" -- "$@" ); }
else
  as() { ( cd / && exec "$@" ); }
fi
mkdir -p "$DATA"
if ! as test -x "$DATA"; then # a clone below a folder that is closed to others
  PGDATA="/var/tmp/sounding-$(printf %s "$DATA" | cksum | cut -d' ' -f1)/pg"
  mkdir -p "$(dirname "$PGDATA")"
fi
# the last port again if it is free, else one the system picks
free_port() {
  node -e '
    const net = require("net");
    const attempt = (port) => {
      const server = net.createServer();
      server.on("error", () => attempt(0));
      server.listen(port, "127.0.0.1", () => { const got = server.address().port; server.close(() => process.stdout.write(String(got))); });
    };
    attempt(Number(process.argv[1]) || 0);' "$(cat "$DATA/pgport" 2>/dev/null || true)"
}
port() { cat "$DATA/pgport"; }
ready() { [ -s "$DATA/pgport" ] && "$PGBIN/pg_isready" -q -h 127.0.0.1 -p "$(port)"; }
# the postmaster lives when its process does and is not a zombie, which pg_ctl would count as running
alive() {
  local pid
  pid="$(head -1 "$PGDATA/postmaster.pid" 2>/dev/null)" || return 1
  [ -n "$pid" ] && [ -r "/proc/$pid/stat" ] && ! grep -q '^State:[[:space:]]*Z' "/proc/$pid/status" 2>/dev/null \
    && [ "$(cat "/proc/$pid/comm" 2>/dev/null)" = postgres ]
}
gone() {
  local pid
  pid="$(head -1 "$PGDATA/postmaster.pid" 2>/dev/null)" || return 0
  for _ in $(seq 100); do [ -d "/proc/$pid" ] || return 0; sleep 0.1; done
}
url() { echo "postgres://app:$(cat "$DATA/pgpass")@127.0.0.1:$(port)/$DBNAME"; }
create() {
  rm -rf "$PGDATA"
  ( umask 077; head -c 24 /dev/urandom | base64 | tr -d '+/=\n' > "$DATA/pgpass" )
  install -d -m 700 -o "$OWNER" "$PGDATA"
  local init; init="$(dirname "$PGDATA")/pgpass.init"
  install -m 600 -o "$OWNER" "$DATA/pgpass" "$init"
  as "$PGBIN/initdb" -D "$PGDATA" -U app -E UTF8 --locale=C.UTF-8 --locale-provider=icu --icu-locale=en \
    --auth=scram-sha-256 --pwfile="$init" >"$DATA/initdb.log" 2>&1 || { cat "$DATA/initdb.log" >&2; exit 1; }
  rm -f "$init"
}
start() {
  [ -s "$PGDATA/PG_VERSION" ] || create
  if alive; then
    for _ in $(seq 600); do ready && break; sleep 0.1; done
  else
    gone
    free_port > "$DATA/pgport.new" && mv "$DATA/pgport.new" "$DATA/pgport"
    as "$PGBIN/pg_ctl" -D "$PGDATA" -w -t 60 -l "$PGDATA/server.log" \
      -o "-p $(port) -c listen_addresses=127.0.0.1 -c unix_socket_directories=''" start >/dev/null \
      || { tail -20 "$PGDATA/server.log" >&2; exit 1; }
  fi
  export PGPASSWORD; PGPASSWORD="$(cat "$DATA/pgpass")"
  local to=( -h 127.0.0.1 -p "$(port)" -U app )
  "$PGBIN/psql" "${to[@]}" -d postgres -Atc "select 1 from pg_database where datname='$DBNAME'" | grep -q 1 \
    || "$PGBIN/createdb" "${to[@]}" "$DBNAME"
}
stop() { if alive; then as "$PGBIN/pg_ctl" -D "$PGDATA" -m fast -w stop >/dev/null; fi; }
case "${1:-}" in
  start) start; url ;;
  stop) stop ;;
  status) alive && ready ;;
  url) url ;;
  *) echo "usage: db.sh start|stop|status|url" >&2; exit 2 ;;
esac
