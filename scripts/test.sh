#!/usr/bin/env bash
# Everything there is to test: types, lint, unit, property and server tests, then the browser.
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/install.sh
# Chromium without windows: the same Debian source, a fifth less work in each test. Plain Chromium will do too.
chromium() {
  command -v "${CHROMIUM:-chromium-headless-shell}" >/dev/null && return
  local as_root
  as_root=$([ "$(id -u)" = 0 ] && echo || echo sudo)
  { $as_root apt-get update -qq &&
    $as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends chromium-headless-shell >/dev/null
  } || command -v chromium >/dev/null
}
# Each waits for the network for a while: together they wait once.
chromium &
browsing=$!
packages
compiled &
compiling=$!
step() { echo; echo "== $1 (after $SECONDS s)"; shift; "$@"; }
# What is read, on two cores.
read_over() {
  local told
  told=$(mktemp)
  { npm run -s types && npm run -s unused; } >"$told" 2>&1 &
  local reading=$!
  { npm run -s format && npm run -s rules; } || { wait $reading || true; cat "$told"; return 1; }
  wait $reading || { cat "$told"; return 1; }
}
step "types and lint" read_over
wait $browsing
export CHROMIUM=${CHROMIUM:-$(command -v chromium-headless-shell || command -v chromium)}
step "build" npm run -s build
# What is compiled is asked for by the server alone, and takes longer than what is read.
step "unit and property tests" env LATER=server/src npm run -s unit
wait $compiling
step "server tests" npm run -s unit -- server/src
# It waits for one thing after the other, which leaves a core to the tests beside it.
tortured=$(mktemp)
npm run -s torture -- --minutes 0.3 >"$tortured" 2>&1 &
torturing=$!
browsed=0
step "browser tests, and a short torture beside them" npm run -s e2e || browsed=$?
wait $torturing || browsed=1
cat "$tortured"
[ $browsed = 0 ]
echo; echo "== all of it in $SECONDS s"
