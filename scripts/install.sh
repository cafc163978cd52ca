#!/usr/bin/env bash
# Packages as locked; nothing where they are in place already.
set -euo pipefail
cd "$(dirname "$0")/.."
if [ ! -f node_modules/.installed ] || [ package-lock.json -nt node_modules/.installed ]; then
  npm ci --no-audit --no-fund --loglevel=error
  touch node_modules/.installed
fi
