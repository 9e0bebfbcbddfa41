#!/usr/bin/env bash
# npm run bench:reading: how well letters and conversations are read, and how fast.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/ensure.sh"
ensure_packages
exec npx tsx bench/reading.ts
