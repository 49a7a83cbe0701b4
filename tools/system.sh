#!/usr/bin/env bash
# Makes sure of what the product needs from the system, with apt-get where that is allowed. Usage: source tools/system.sh; need COMMAND PACKAGE ...
missing_packages=()

need() { # need PATH-OR-COMMAND PACKAGE
  command -v "$1" >/dev/null 2>&1 || [ -f "$1" ] || missing_packages+=("$2")
}

need_languages() { # what each language takes (server/toolchains/system), and what every sandbox is made by
  local word path package
  [ -x /usr/bin/python3 ] || missing_packages+=(python3)
  while read -r word path package; do
    case "$word" in need | want) compgen -G "$path" >/dev/null || missing_packages+=("$package") ;; esac
  done < <(cat "$(dirname "${BASH_SOURCE[0]}")"/../server/toolchains/system/*.txt)
}

install_missing() {
  [ ${#missing_packages[@]} -eq 0 ] && return 0
  local sudo=""
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then sudo="sudo -n"; else sudo="none"; fi
  fi
  if [ "$sudo" != "none" ] && command -v apt-get >/dev/null 2>&1; then
    echo "Installing: ${missing_packages[*]}"
    if { $sudo apt-get update -qq && $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing_packages[@]}"; } >/tmp/bent-nail-apt.log 2>&1; then return 0; fi
    tail -n 3 /tmp/bent-nail-apt.log
  fi
  echo "Not installed here: ${missing_packages[*]}. To have it: sudo apt-get install ${missing_packages[*]}"
  return 1
}

install_packages() { # npm packages by the lock file, only if they are not there or older than the lock file
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
    npm ci --no-audit --no-fund --loglevel=error && touch node_modules/.package-lock.json
  fi
}
