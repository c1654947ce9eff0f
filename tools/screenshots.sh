#!/usr/bin/env bash
# The pictures in docs/screenshots, from the demo home and the app as it is built now.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
[ -f apps/app/dist/index.html ] || bash apps/app/scripts/build.sh
cd e2e && exec node --import tsx screenshots.ts
