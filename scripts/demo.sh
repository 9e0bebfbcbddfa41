#!/usr/bin/env bash
# npm run demo: installs what is missing, builds, loads the demo, starts, and prints the address.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/ensure.sh"
ensure_packages
ensure_build
exec node bin/jam.mjs demo "$@"
