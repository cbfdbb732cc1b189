#!/usr/bin/env bash
# npm run -s bench -- NAME: one JSON line per figure.
set -euo pipefail
cd "$(dirname "$0")/.."
bash scripts/install.sh >&2
source scripts/cluster.sh
if [ "${1:-}" = people ] || [ "${1:-}" = server ]; then
  # On a database of its own, which goes with it.
  need_debian_packages "postgresql=/usr/lib/postgresql/*/bin/initdb" >&2
  MECHANON_HOME=$(mktemp -d /tmp/mechanon-bench.XXXXXX)
  chmod 755 "$MECHANON_HOME"
  trap 'stop_cluster; rm -rf "$MECHANON_HOME"' EXIT
  start_cluster "-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_wal_size=8GB -c shared_buffers=1GB"
  node --import tsx "server/src/bench/$1.ts" "${@:2}"
elif [ "${1:-}" = device ] || [ "${1:-}" = photo ] || [ "${1:-}" = quote ]; then
  need_debian_packages "postgresql=/usr/lib/postgresql/*/bin/initdb" "chromium-headless-shell=/usr/bin/chromium-headless-shell" >&2
  bash scripts/build-web.sh >&2
  MECHANON_HOME=$(mktemp -d /tmp/mechanon-bench.XXXXXX)
  chmod 755 "$MECHANON_HOME"
  trap 'stop_cluster; rm -rf "$MECHANON_HOME"' EXIT
  start_cluster "-c fsync=off -c synchronous_commit=off -c full_page_writes=off"
  node --import tsx "e2e/src/bench/$1.ts"
elif [ "${1:-}" = scan ]; then
  need_debian_packages "chromium-headless-shell=/usr/bin/chromium-headless-shell" >&2
  bash scripts/build-web.sh >&2
  node --import tsx e2e/src/bench/scan.ts
else
  node --import tsx scripts/bench.ts "$@"
  if [ "${1:-}" = vin ]; then
    need_debian_packages "chromium-headless-shell=/usr/bin/chromium-headless-shell" >&2
    bash scripts/build-web.sh >&2
    node --import tsx e2e/src/bench/vin.ts
  fi
fi
