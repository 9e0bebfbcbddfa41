#!/usr/bin/env bash
# npm test: installs what is missing, Chromium and PostgreSQL included, and runs every check.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/ensure.sh"
ensure_packages
ensure_debian \
  /usr/bin/chromium chromium \
  /usr/lib/postgresql/15/bin/initdb postgresql \
  /usr/bin/python3 python3 \
  /usr/lib/python3/dist-packages/parsedatetime python3-parsedatetime \
  /usr/lib/python3/dist-packages/flufl/bounce python3-flufl.bounce \
  /usr/lib/python3/dist-packages/icalendar python3-icalendar \
  /usr/lib/python3/dist-packages/workalendar python3-workalendar \
  /usr/share/gocode/src/github.com/teambition/rrule-go golang-github-teambition-rrule-go-dev \
  /usr/lib/python3/dist-packages/dateutil python3-dateutil \
  /usr/lib/dovecot/imap dovecot-imapd \
  /usr/bin/openssl openssl
ensure_build
exec node scripts/test.mjs "$@"
