#!/usr/bin/env bash
# One command from a fresh machine to the running demo.
set -u
cd "$(dirname "$0")/.."
source tools/system.sh
need bwrap bubblewrap
[ -x /usr/bin/python3 ] || missing_packages+=(python3)
# The other languages are offered if they are there; `--languages all` adds the missing ones.
kept=()
while [ $# -gt 0 ]; do
  case "$1" in
    --languages)
      [ "${2:-}" = all ] || { echo "Say --languages all to install every language."; exit 2; }
      need_languages
      shift 2
      ;;
    *)
      kept+=("$1")
      shift
      ;;
  esac
done
set -- ${kept[@]+"${kept[@]}"}
install_missing || echo "Bent Nail starts all the same: it reads and judges by text, and runs no programs."
install_packages || exit 1
node tools/build-if-needed.mjs || exit 1
exec bin/bent-nail demo "$@"
