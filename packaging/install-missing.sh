#!/usr/bin/env bash
# Installs the packages of the given lists that are not there yet. Asks nothing; says what it does first.
set -euo pipefail
missing=()
while read -r package; do
  dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
done < <(cat "$@" | grep -vE '^[[:space:]]*(#|$)')
[ ${#missing[@]} -eq 0 ] && exit 0
echo "Installing with apt: ${missing[*]}"
sudo=()
if [ "$(id -u)" -ne 0 ]; then
  command -v sudo >/dev/null || { echo "These packages are missing, and this user may not install them (no sudo)." >&2; exit 1; }
  sudo=(sudo)
fi
export DEBIAN_FRONTEND=noninteractive
"${sudo[@]}" apt-get update -qq
"${sudo[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null
