#!/usr/bin/env bash
# Called by Maven: builds the interface into dist/ if its sources changed, or with `test` runs its unit tests.
set -euo pipefail
cd "$(dirname "$0")"
mkdir -p dist
