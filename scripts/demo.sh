#!/usr/bin/env bash
# From a fresh clone to a running application with the demo job in it.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
packages
compiled
npm run -s build
SILL_DEMO=1 exec npm run -s start
