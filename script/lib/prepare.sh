# Shared by bin/setup, bin/demo, bin/test and bin/dev: brings in what is missing, and only that. Needs $root and $packages.
export MAKEFLAGS="${MAKEFLAGS:--j2}"
export LANG="${LANG:-C.UTF-8}" RUBY_YJIT_ENABLE="${RUBY_YJIT_ENABLE:-1}"
# Fewer, larger collections: a plan makes much short-lived garbage.
export RUBY_GC_HEAP_INIT_SLOTS=1200000 RUBY_GC_MALLOC_LIMIT=67108864 RUBY_GC_MALLOC_LIMIT_MAX=134217728 RUBY_GC_OLDMALLOC_LIMIT=134217728 RUBY_GC_OLDMALLOC_LIMIT_MAX=268435456
unset BUNDLE_GEMFILE

say() { printf '%s\n' "$*"; }

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
  say "Installing ${missing[*]}"
  $sudo apt-get update -qq
  DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null
}

prepare_gems() {
  (cd "$root" && { bundle check >/dev/null 2>&1 || { say "Installing gems"; bundle install --quiet; }; })
  (cd "$root/core" && { BUNDLE_GEMFILE="$root/core/Gemfile" bundle check >/dev/null 2>&1 || BUNDLE_GEMFILE="$root/core/Gemfile" bundle install --quiet; })
}

prepare_npm() {
  local stamp="$root/node_modules/.package-lock.json"
  if [ ! -f "$stamp" ] || [ "$root/package-lock.json" -nt "$stamp" ]; then
    say "Installing npm packages"
    (cd "$root" && npm ci --no-audit --no-fund --loglevel=error && touch "$stamp")
  fi
}

# Built only when a source is newer than the last build.
prepare_assets() {
  local manifest="$root/public/vite/.vite/manifest.json"
  if [ ! -f "$manifest" ] || [ -n "$(find "$root/app/frontend" "$root/vite.config.ts" "$root/package-lock.json" "$root/config/vite.json" -newer "$manifest" -print -quit)" ]; then
    say "Building the pages"
    (cd "$root" && RAILS_ENV=production NODE_ENV=production SECRET_KEY_BASE_DUMMY=1 bin/vite build --force >"$root/log/build.log" 2>&1) || { cat "$root/log/build.log"; exit 1; }
  fi
}

base_packages=(ruby ruby-dev ruby-bundler build-essential pkg-config git libyaml-dev libsqlite3-dev sqlite3 libxml2-dev libxslt1-dev zlib1g-dev libffi-dev libvips42 tzdata)
test_packages=(chromium chromium-driver fonts-dejavu-core)
