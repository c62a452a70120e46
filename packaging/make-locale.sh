#!/usr/bin/env bash
# Makes the language with a comma in its numbers that the tests run under, when it is not there.
set -euo pipefail
locale -a 2>/dev/null | grep -qi '^de_DE.utf-\?8$' && exit 0
sudo=()
[ "$(id -u)" -eq 0 ] || sudo=(sudo)
echo "Making the locale de_DE.UTF-8 for the tests"
"${sudo[@]}" localedef -i de_DE -f UTF-8 de_DE.UTF-8
