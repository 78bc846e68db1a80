# Shared by the commands in bin: brings in what is missing, and only that. Needs $root.
export MAKEFLAGS="${MAKEFLAGS:--j2}"
export LANG="${LANG:-C.UTF-8}" RUBY_YJIT_ENABLE="${RUBY_YJIT_ENABLE:-1}"
# Fewer, larger collections: a plan makes much short-lived garbage.
export RUBY_GC_HEAP_INIT_SLOTS=1200000 RUBY_GC_MALLOC_LIMIT=67108864 RUBY_GC_MALLOC_LIMIT_MAX=134217728 RUBY_GC_OLDMALLOC_LIMIT=67108864 RUBY_GC_OLDMALLOC_LIMIT_MAX=134217728
# Memory levels off: compiled code takes 64 MB at most (what is hot takes 10), and threads share two malloc arenas.
export MALLOC_ARENA_MAX="${MALLOC_ARENA_MAX:-2}"
[[ "${RUBYOPT:-}" == *--yjit* ]] || export RUBYOPT="${RUBYOPT:-} --yjit-exec-mem-size=64"
unset BUNDLE_GEMFILE

say() { printf '%s\n' "$*"; }

# One line for a stage that takes a while: what it is, and about how long. What it prints goes to a file, and is shown only if it fails.
stage() {
  local what="$1" long="$2" log="$root/log/setup.log"
  shift 2
  mkdir -p "$root/log"
  say "$what ($long)"
  "$@" >"$log" 2>&1 || { cat "$log"; say "$what failed; what it said stands above and in log/setup.log."; return 1; }
}

# Debian packages: installed when we may, named when we may not.
prepare_system() {
  command -v dpkg-query >/dev/null || { say "This is not a Debian machine: make sure these are there: $*"; return 0; }
  local missing=()
  for package in "$@"; do
    dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q '^install ok installed$' || missing+=("$package")
  done
  [ "${#missing[@]}" -eq 0 ] && return 0
  local sudo=""
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then sudo="sudo -n"; else
      say "These Debian packages are missing, and this user may not install them: ${missing[*]}"
      say "Run: apt-get install ${missing[*]}"
      exit 1
    fi
  fi
  stage "Installing ${missing[*]}" "up to 2 minutes" install_system "$sudo" "${missing[@]}"
}

install_system() {
  local sudo="$1"
  shift
  $sudo apt-get update -qq
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq --no-install-recommends "$@"
}

# Where gems go and how they are built stands in .bundle/config, so that any shell finds them.
prepare_gems() {
  (cd "$root" && bundle check) >/dev/null 2>&1 || stage "Installing gems" "3 to 5 minutes" bundle install --quiet
  (cd "$root/core" && bundle check) >/dev/null 2>&1 || stage "Installing the core's gems" "seconds" bundle_core
}

bundle_core() { (cd "$root/core" && bundle install --quiet); }

prepare_npm() {
  local stamp="$root/node_modules/.package-lock.json"
  if [ ! -f "$stamp" ] || [ "$root/package-lock.json" -nt "$stamp" ]; then
    stage "Installing npm packages" "half a minute" install_npm
  fi
}

install_npm() { (cd "$root" && npm ci --no-audit --no-fund --loglevel=error && touch node_modules/.package-lock.json); }

# Built only when a source is newer than the last build.
prepare_assets() {
  local manifest="$root/public/vite/.vite/manifest.json"
  if [ ! -f "$manifest" ] || [ -n "$(find "$root/app/frontend" "$root/vite.config.ts" "$root/package-lock.json" "$root/config/vite.json" -newer "$manifest" -print -quit)" ]; then
    stage "Building the pages" "20 seconds" build_assets
  fi
}

build_assets() { (cd "$root" && RAILS_ENV=production NODE_ENV=production SECRET_KEY_BASE_DUMMY=1 bin/vite build --force); }

prepare_all() {
  prepare_system "${base_packages[@]}"
  prepare_gems
  prepare_npm
  prepare_assets
}

# Production with the database of $RHEXON_DATABASE, and a secret of its own that no start changes.
prepare_production() {
  export RAILS_ENV=production PORT="${PORT:-3000}" RAILS_LOG_LEVEL="${RAILS_LOG_LEVEL:-warn}"
  # Nobody else on this computer reads the shop.
  umask 077
  chmod -R go-rwx "$root/storage" 2>/dev/null || true
  local secret="$root/storage/$RHEXON_DATABASE.secret"
  [ -s "$secret" ] || (umask 077 && ruby -W0 -rsecurerandom -e 'print SecureRandom.hex(64)' >"$secret")
  SECRET_KEY_BASE="$(cat "$secret")"
  export SECRET_KEY_BASE
}

base_packages=(ruby ruby-dev ruby-bundler build-essential pkg-config git libyaml-dev libsqlite3-dev sqlite3 libxml2-dev libxslt1-dev zlib1g-dev libffi-dev libvips42 tzdata)
test_packages=(chromium chromium-driver fonts-dejavu-core)
