#!/usr/bin/env bash
# The web build: Expo's export without what nobody imports; the worker of the jobs by itself (the export would drop it); the typefaces;
# the lists of files that the service worker keeps for offline use; and every text compressed once, to be served as it lies.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
CI=1 EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 EXPO_UNSTABLE_TREE_SHAKING=1 EXPO_UNSTABLE_METRO_OPTIMIZE_GRAPH=1 \
  npx expo export --platform web --output-dir dist.next
npx esbuild src/jobs/job.worker.ts --bundle --minify --format=iife --target=es2022 --log-level=warning \
  --outfile=dist.next/job.worker.js
node scripts/addFonts.mjs dist.next
node scripts/addWasm.mjs dist.next
node scripts/writePrecacheList.mjs dist.next
node scripts/compress.mjs dist.next
rm -rf dist && mv dist.next dist
