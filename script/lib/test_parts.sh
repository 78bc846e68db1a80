# The parts of the tests: what each runs. Needs $root and prepare.sh.
parts=(style security types pages core_plans core_rules models requests_1 requests_2 routes browser_1 browser_2 browser_3 faults_1 faults_2 faults_3)

is_part() { [[ " ${parts[*]} " == *" $1 "* ]]; }

# Those asked for, the longest of the last run first; one that never ran comes first.
ordered_parts() {
  local part
  for part in "${@:-${parts[@]}}"; do cat "tmp/tests/$part.seconds" 2>/dev/null || echo "9999 $part"; done | sort -rn | cut -d' ' -f2
}

run_part() {
  local part="$1"
  export RHEXON_PART="$part"
  case "$part" in
    style) bundle exec rubocop --parallel --cache-root tmp/rubocop && npx biome check ;;
    # What Debian ships decides the versions of Ruby and Rails; their end of life is no finding about this code.
    security) bundle exec brakeman --quiet --no-pager --no-summary --exit-on-warn --except EOLRuby,EOLRails ;;
    types) types_are_current && npx tsc --noEmit ;;
    pages) npx vitest run --coverage --reporter=verbose ;;
    core_plans) core_tests core/test/{planning,search,picture}/*_test.rb ;;
    core_rules) core_tests $(ls core/test/*_test.rb core/test/*/*_test.rb | grep -vE '/(planning|search|picture)/') ;;
    models) rails_tests test/models ;;
    requests_*) rails_tests $(every_nth 2 "${part#requests_}" $(ls test/requests/*_test.rb | grep -vE '/(every|junk)_')) ;;
    routes) rails_tests test/requests/{every,junk}_*test.rb ;;
    browser_*) rails_tests $(every_nth 3 "${part#browser_}" test/system/*_test.rb) ;;
    faults_1) fault_tests test/faults/{backup,hardening}_test.rb ;;
    faults_2) fault_tests test/faults/{machine_faults,older_shops}_test.rb ;;
    faults_3) fault_tests $(ls test/faults/*_test.rb | grep -vE '/(backup|hardening|machine_faults|older_shops)_') ;;
  esac
}

# A file or folder.
run_paths() {
  case "$1" in
    core/*) core_tests $(find "$@" -name '*_test.rb' | sort) ;;
    test/frontend*) npx vitest run "$@" ;;
    test/faults*) prepare_assets && fault_tests $(find "$@" -name '*_test.rb' | sort) ;;
    *) prepare_assets && rails_tests "$@" ;;
  esac
}

# Files in turn: of so many shares the one of that number.
every_nth() { local of="$1" at="$2"; shift 2; printf '%s\n' "$@" | awk -v of="$of" -v at="$at" 'NR % of == at % of'; }

# What the tests of this part ran is kept for the summary.
coverage() { [ -z "${part:-}" ] || export RHEXON_COVERAGE="$root/tmp/coverage/$part"; }

core_tests() {
  coverage
  printf "require './%s'\n" "${@#core/}" |
    (cd core && BUNDLE_GEMFILE="$root/core/Gemfile" MT_NO_PLUGINS=1 bundle exec ruby -Ilib -Itest - -v)
}

# With a database of its own, made of the structure alone.
rails_tests() {
  coverage
  export RAILS_ENV=test RHEXON_TEST_DATABASE="test${part:+-$part}"
  rm -f "storage/$RHEXON_TEST_DATABASE.sqlite3"*
  sqlite3 "storage/$RHEXON_TEST_DATABASE.sqlite3" ".read db/structure.sql" \
    "INSERT INTO ar_internal_metadata VALUES ('environment', 'test', datetime(), datetime())"
  bin/rails test -v "$@"
}

# Those begin servers of their own.
fault_tests() { printf "require './%s'\n" "$@" | bundle exec ruby -Itest - -v; }

types_are_current() {
  RAILS_ENV=development bin/rails typelizer:generate >/dev/null
  node script/generate_types.mjs
  ruby script/generate_constants.rb
  git diff --exit-code --stat -- app/frontend/types || { say "The generated types were out of date; they are written anew: look at them and commit."; return 1; }
}
