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
# The build takes longest, most of it on one processor: types and lint are looked at beside it.
step build node tools/build-if-needed.mjs > .reports/build.txt 2>&1 &
build=$!
step types npm run --silent types
step lint npm run --silent lint
wait "$build"
cat .reports/build.txt
grep -q "^== build: failed" .reports/build.txt && failed+=(build)
step unit npx vitest run --reporter=default --reporter=json --outputFile.json=.reports/unit.json
step browser npx playwright test
exec node tools/count-tests.mjs "${failed[@]}"
