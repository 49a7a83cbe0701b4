#!/usr/bin/env bash
# One command from a fresh machine to the running demo.
set -u
cd "$(dirname "$0")/.."
source tools/system.sh
need bwrap bubblewrap
[ -x /usr/bin/python3 ] || missing_packages+=(python3)
install_missing || echo "Bent Nail starts all the same: it reads and judges by text, and runs no programs."
install_packages || exit 1
node tools/build-if-needed.mjs || exit 1
exec bin/bent-nail demo "$@"
