#!/usr/bin/env bash
# npm run rounds -- N [smtp|imap|outbox]: N times a server that dies in the middle; nothing may be lost or doubled.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/ensure.sh"
ensure_packages
ensure_debian /usr/lib/dovecot/imap dovecot-imapd /usr/bin/openssl openssl
exec npx tsx tests/rounds/main.ts "$@"
