#!/usr/bin/env bash
# npm run -s bench -- NAME: one JSON line per figure.
set -euo pipefail
cd "$(dirname "$0")/.."
bash scripts/install.sh >&2
exec node --import tsx scripts/bench.ts "$@"
