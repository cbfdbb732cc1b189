#!/usr/bin/env bash
# npm run -s agreed: proves the chain of what was agreed, and names the first broken link of each business.
set -euo pipefail
cd "$(dirname "$0")/.."
MECHANON_HOME=${MECHANON_HOME:-.mechanon}
[ -d "$MECHANON_HOME" ] || { echo "No data in $MECHANON_HOME yet. Start it first: ./start" >&2; exit 2; }
MECHANON_HOME=$(cd "$MECHANON_HOME" && pwd)
bash scripts/install.sh >&2
source scripts/cluster.sh
trap stop_cluster EXIT
start_cluster >&2
node --import tsx server/src/approvals/main.ts
