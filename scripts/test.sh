#!/usr/bin/env bash
# npm test: installs what is missing, Chromium and PostgreSQL included, and runs every check.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/ensure.sh"
ensure_packages
ensure_debian /usr/bin/chromium chromium
ensure_debian /usr/lib/postgresql/15/bin/initdb postgresql
ensure_debian /usr/bin/python3 python3
ensure_debian /usr/lib/python3/dist-packages/parsedatetime python3-parsedatetime
ensure_debian /usr/lib/python3/dist-packages/flufl/bounce python3-flufl.bounce
ensure_debian /usr/lib/python3/dist-packages/icalendar python3-icalendar
ensure_debian /usr/lib/python3/dist-packages/workalendar python3-workalendar
ensure_debian /usr/share/gocode/src/github.com/teambition/rrule-go golang-github-teambition-rrule-go-dev
ensure_debian /usr/lib/python3/dist-packages/dateutil python3-dateutil
ensure_debian /usr/lib/dovecot/imap dovecot-imapd
ensure_debian /usr/bin/openssl openssl
ensure_build
exec node scripts/test.mjs "$@"
