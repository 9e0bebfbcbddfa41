#!/usr/bin/env bash
# npm run bench: ratios measured in one run.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/ensure.sh"
ensure_packages
ensure_debian /usr/bin/chromium chromium
ensure_build
exec node --expose-gc --import tsx bench/main.ts "$@"
