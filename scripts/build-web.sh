#!/usr/bin/env bash
# Builds the web app when it is missing or older than what it is made from.
set -euo pipefail
cd "$(dirname "$0")/.."
built=app/dist/.built
if [ -f "$built" ] && [ -z "$(find app core/src contract/src scripts/completeWeb.ts scripts/writeFonts.ts package-lock.json .cache/vin/vin.table -newer "$built" -not -path '*/dist/*' -not -path '*/.expo/*' -not -path '*/node_modules/*' -type f | head -n 1)" ]; then
  exit 0
fi
echo "Building the web app (about a minute)"
started=$(mktemp)
(cd app && EXPO_NO_TELEMETRY=1 EXPO_OFFLINE=1 CI=1 npx --no-install expo export -p web --source-maps --output-dir dist && cd .. && node --import tsx scripts/writeFonts.ts && node --import tsx scripts/completeWeb.ts) > .cache/build-web.log 2>&1 || { tail -n 40 .cache/build-web.log >&2; exit 1; }
# As old as the start of the build: what was changed meanwhile is built next time.
mv "$started" "$built"
