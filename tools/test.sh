#!/usr/bin/env bash
# Types, lint, unit tests and browser tests, on the real server, database and translators. The last line counts them.
set -u
cd "$(dirname "$0")/.."
source tools/system.sh
need bwrap bubblewrap
need_languages
need "${BENT_NAIL_CHROMIUM:-/usr/bin/chromium}" chromium
install_missing || exit 1
install_packages || exit 1

mkdir -p .reports && rm -f .reports/*.json
failed=()
step() { # step NAME COMMAND...
  local name="$1"
  shift
  echo "== $name"
  "$@" || { echo "== $name: failed"; failed+=("$name"); }
}
# The types are looked through on one processor while the other builds.
step types npm run --silent types > .reports/types.txt 2>&1 &
types=$!
step lint npm run --silent lint
step build node tools/build-if-needed.mjs
wait "$types"
cat .reports/types.txt
grep -q "^== types: failed" .reports/types.txt && failed+=(types)
step unit npx vitest run --reporter=default --reporter=json --outputFile.json=.reports/unit.json
step browser npx playwright test
exec node tools/count-tests.mjs "${failed[@]}"
