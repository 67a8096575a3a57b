#!/usr/bin/env bash
# setup.sh [--browser | --no-packages]  everything a fresh machine needs; a moment when nothing has changed
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
mode="${1:-}"
mkdir -p .data
want=()
if [ "$mode" != --no-packages ]; then
  [ -n "${DATABASE_URL:-}" ] && [ "$mode" != --browser ] || ls /usr/lib/postgresql/*/bin/postgres >/dev/null 2>&1 || want+=(postgresql)
  [ "$mode" != --browser ] || command -v chromium >/dev/null || want+=(chromium)
fi
if [ ${#want[@]} -gt 0 ]; then
  echo "setup: installing ${want[*]}"
  SUDO=""; [ "$(id -u)" = 0 ] || SUDO=sudo
  # no cluster of Debian's own is wanted; one that exists stays as it is
  $SUDO mkdir -p /etc/postgresql-common/createcluster.d
  echo 'create_main_cluster = false' | $SUDO tee /etc/postgresql-common/createcluster.d/no-main.conf >/dev/null
  apt() { $SUDO env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=120 "$@" </dev/null; }
  apt update -qq >/dev/null 2>&1 || true
  apt install -y --no-install-recommends "${want[@]}" >.data/apt.log 2>&1 || { tail -20 .data/apt.log >&2; exit 1; }
fi
key="$(cat package-lock.json .npmrc | sha256sum | cut -c1-16)-$(node -v)"
if [ "$(cat node_modules/.setup-key 2>/dev/null)" != "$key" ]; then
  echo "setup: npm ci"
  # the inner npm must not inherit what the outer one put into the environment
  env -u NODE_ENV $(env | sed -n 's/^\(npm_[a-zA-Z_]*\)=.*/-u \1/p') npm ci --include=dev --no-audit --no-fund </dev/null >.data/npm-ci.log 2>&1 || { tail -20 .data/npm-ci.log >&2; exit 1; }
  echo "$key" > node_modules/.setup-key
fi
sources="$( { find core knowledge contract server web cli scripts/build.mjs package-lock.json -type f -not -path '*/node_modules/*' -not -path '*/dist/*' -print0 | sort -z | xargs -0 sha256sum; node -v; } | sha256sum | cut -c1-16)"
if [ "$(cat server/dist/.build-key 2>/dev/null)" != "$sources" ]; then
  echo "setup: build"
  node_modules/.bin/tsx knowledge/src/main.ts --pack 2>.data/knowledge.log || { cat .data/knowledge.log >&2; exit 1; }
  node scripts/build.mjs
  ( cd web && ../node_modules/.bin/vite build --logLevel warn )
  echo "$sources" > server/dist/.build-key
fi
