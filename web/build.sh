#!/usr/bin/env bash
# Called by Maven: builds the interface into dist/ when its sources changed; with `test`, checks style and runs its tests.
set -euo pipefail
cd "$(dirname "$0")"
stamp=node_modules/.built
if [ ! -e node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  npm ci --no-audit --no-fund || npm install --no-save --no-audit --no-fund
fi
if [ "${1:-build}" = test ]; then
  npm run --silent check
  npm run --silent test
elif [ ! -e dist/index.html ] || [ ! -e "$stamp" ] ||
  [ -n "$(find src public index.html openapi.json package-lock.json vite.config.ts tsconfig.json -newer "$stamp" -print -quit)" ]; then
  npm run --silent build
  rm -rf target/classes/static # what is copied there would keep every earlier build's files
  touch "$stamp"
fi
