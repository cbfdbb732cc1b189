#!/usr/bin/env bash
# npm run -s bench -- NAME: one JSON line per figure.
set -euo pipefail
cd "$(dirname "$0")/.."
bash scripts/install.sh >&2
if [ "${1:-}" = people ]; then
  # On a database of its own, which goes with it.
  source scripts/cluster.sh
  need_debian_packages "postgresql=/usr/lib/postgresql/*/bin/initdb" >&2
  MECHANON_HOME=$(mktemp -d /tmp/mechanon-bench.XXXXXX)
  chmod 755 "$MECHANON_HOME"
  trap 'stop_cluster; rm -rf "$MECHANON_HOME"' EXIT
  start_cluster "-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_wal_size=8GB -c shared_buffers=1GB"
  node --import tsx server/src/bench/people.ts "${@:2}"
else
  node --import tsx scripts/bench.ts "$@"
fi
