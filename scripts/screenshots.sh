#!/usr/bin/env bash
# screenshots.sh  fresh pictures of the main views from the demo
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
exec bash scripts/with-demo.sh node_modules/.bin/tsx scripts/screenshots.ts
