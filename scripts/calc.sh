#!/usr/bin/env bash
# npm run -s calc -- NAME [--lines]: installs and compiles what is missing, quietly, then answers.
set -euo pipefail
cd "$(dirname "$0")/.."
bash scripts/install.sh 1>/dev/null 2>/tmp/mechanon-install.$$.log || { cat /tmp/mechanon-install.$$.log >&2; exit 1; }
rm -f /tmp/mechanon-install.$$.log
exec node --import tsx scripts/calc.ts "$@"
