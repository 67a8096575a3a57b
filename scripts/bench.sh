#!/usr/bin/env bash
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
bash scripts/setup.sh --no-packages >&2
exec node_modules/.bin/tsx bench/src/main.ts "$@"
