#!/usr/bin/env bash
# sounding.sh ARGS  the command line; sets itself up on the first call, with no database and no server
set -euo pipefail
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
bash "$root/scripts/setup.sh" --no-packages >&2
export SOUNDING_EDITION="$root/knowledge/dist/edition.json"
cd "${INIT_CWD:-$PWD}" # file names are those of the caller's folder
exec node --enable-source-maps "$root/cli/dist/main.js" "$@"
