#!/usr/bin/env bash
# Installs the npm packages and compiles the VIN data, each only when missing or older than what it is made from.
set -euo pipefail
cd "$(dirname "$0")/.."
stamp=.cache/installed-lock
if [ ! -d node_modules ] || ! cmp -s package-lock.json "$stamp"; then
  echo "Installing npm packages (about two minutes the first time)"
  # No package here needs its install script; some would try to download.
  npm ci --ignore-scripts --no-audit --no-fund
  mkdir -p .cache
  cp package-lock.json "$stamp"
fi
if [ ! -f .cache/vin/vin.table ] || [ core/src/vin/table/encode.ts -nt .cache/vin/vin.table ] || [ scripts/compileVinData.ts -nt .cache/vin/vin.table ]; then
  echo "Compiling the VIN data"
  node --import tsx scripts/compileVinData.ts
fi
