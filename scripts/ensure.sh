# Sourced by the two commands: installs what is missing and says what takes time. Needs Node 20 and npm.
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$root"
export NEXT_TELEMETRY_DISABLED=1
export JAM_ROOT="$root"

ensure_packages() {
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.jam-installed ]; then
    echo "Installing the packages (about two minutes the first time) …"
    npm ci --no-audit --no-fund --loglevel=error
    ln -sf ../../bin/jam.mjs node_modules/.bin/jam
    touch node_modules/.jam-installed
  fi
}

# ensure_debian COMMAND_OR_FILE PACKAGE…: installs Debian packages when the command or file is not there.
ensure_debian() {
  local probe="$1"; shift
  if command -v "$probe" >/dev/null 2>&1 || [ -e "$probe" ]; then return 0; fi
  echo "Installing $* (Debian) …"
  local sudo=""; [ "$(id -u)" -eq 0 ] || sudo="sudo"
  if [ -z "${jam_apt_updated:-}" ]; then $sudo apt-get update -qq; jam_apt_updated=1; fi
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq --no-install-recommends "$@" >/dev/null
}

# The pages are built again when anything they are made of has changed.
ensure_build() {
  local stamp
  stamp="$(find src next.config.ts postcss.config.mjs package-lock.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum)"
  if [ ! -f .next/BUILD_ID ] || [ "$(cat .next/jam-built 2>/dev/null || true)" != "$stamp" ]; then
    echo "Building the pages (about a minute) …"
    node node_modules/next/dist/bin/next build > .jam-build.log 2>&1 || { cat .jam-build.log; exit 1; }
    rm -f .jam-build.log
    echo "$stamp" > .next/jam-built
  fi
}
