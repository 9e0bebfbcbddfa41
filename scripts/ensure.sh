# Sourced by the two commands: installs what is missing and says what takes time. Needs Node 20 and npm.
root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$root"
export NEXT_TELEMETRY_DISABLED=1
export JAM_ROOT="$root"

# watched WHAT LOG COUNT COMMAND…: runs a command that takes long, its words into LOG, and says how far it is: COUNT is a
# function that prints "N of M" or nothing. Written over on a terminal; elsewhere a line every ten seconds.
watched() {
  local what="$1" log="$2" count="$3"; shift 3
  local start=$SECONDS last=-10 far
  "$@" > "$log" 2>&1 &
  local child=$!
  trap 'kill $child 2>/dev/null; exit 130' INT TERM
  while kill -0 "$child" 2>/dev/null; do
    far="$($count)"
    if [ -t 1 ]; then printf '\r\033[K%s %s(%ss) …' "$what" "${far:+$far }" "$((SECONDS - start))"
    elif [ $((SECONDS - last)) -ge 10 ]; then echo "$what ${far:+$far }($((SECONDS - start)) s) …"; last=$SECONDS; fi
    sleep 1
  done
  trap - INT TERM
  if ! wait "$child"; then
    [ ! -t 1 ] || echo
    cat "$log"
    echo "$what failed; the words above say why."
    return 1
  fi
  if [ -t 1 ]; then printf '\r\033[K%s done in %ss.\n' "$what" "$((SECONDS - start))"; else echo "$what done in $((SECONDS - start)) s."; fi
  rm -f "$log"
}

packages_there() {
  local all; all="$(grep -c '^    "node_modules/' package-lock.json)"
  echo "about $(find node_modules -maxdepth 3 -name package.json -not -path '*/.*' 2>/dev/null | wc -l) of $all"
}

nothing() { :; }

ensure_packages() {
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.jam-installed ]; then
    watched "Installing the packages:" .jam-install.log packages_there npm ci --no-audit --no-fund --loglevel=error
    ln -sf ../../bin/jam.mjs node_modules/.bin/jam
    touch node_modules/.jam-installed
  fi
}

# ensure_debian [COMMAND_OR_FILE PACKAGE]…: installs the Debian packages whose command or file is not there, all in one go.
ensure_debian() {
  local missing=()
  while [ $# -gt 0 ]; do
    if ! command -v "$1" >/dev/null 2>&1 && [ ! -e "$1" ]; then missing+=("$2"); fi
    shift 2
  done
  [ ${#missing[@]} -gt 0 ] || return 0
  local sudo=""; [ "$(id -u)" -eq 0 ] || sudo="sudo"
  watched "Asking Debian what there is" .jam-install.log nothing $sudo apt-get update -qq
  watched "Installing ${missing[*]} (Debian)" .jam-install.log nothing \
    $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"
}

# The pages and the command are built again when anything they are made of has changed.
ensure_build() {
  local stamp
  stamp="$(find src bin/bundle.mjs scripts/bundle-command.mjs next.config.ts postcss.config.mjs package-lock.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum)"
  if [ ! -f .next/BUILD_ID ] || [ ! -f .jam-command/main.js ] || [ "$(cat .next/jam-built 2>/dev/null || true)" != "$stamp" ]; then
    watched "Building" .jam-build.log nothing npm run --silent build
    echo "$stamp" > .next/jam-built
  fi
}
