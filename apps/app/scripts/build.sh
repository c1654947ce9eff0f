#!/usr/bin/env bash
# The web build: Expo's export, then the list of files that the service worker keeps for offline use.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
CI=1 EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 npx expo export --platform web --output-dir dist.next
node scripts/writePrecacheList.mjs dist.next
rm -rf dist && mv dist.next dist
